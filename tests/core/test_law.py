"""What holds of every cook: random plans, with whatever a day may add to them.

Each law is read from the steps of Cook and from the blocks of the Schedule, not from the plan that
made them. A law that was hardly tried holds nothing, so every cut, release and step must come up.
"""

import random
from collections import Counter
from collections.abc import Iterator
from contextlib import suppress
from dataclasses import dataclass, replace
from typing import get_args

import pytest

from pneumachron.core.catalog.cuts import RELEASE_METHODS, cuts
from pneumachron.core.errors import CoreError
from pneumachron.core.planning.batches import planned_batches
from pneumachron.core.planning.finish import FINISHES
from pneumachron.core.planning.load import Load
from pneumachron.core.planning.plan import Plan, make_plan
from pneumachron.core.planning.request import CookRequest
from pneumachron.core.planning.season import Marinade
from pneumachron.core.procedure.choices import Extra, ExtraWhen
from pneumachron.core.procedure.cook_plan import cook_plan
from pneumachron.core.procedure.step import Step, StepKind
from pneumachron.core.procedure.steps import cook_steps
from pneumachron.core.schedule.blocks import dish_blocks
from pneumachron.core.schedule.dish import Dish, brought
from pneumachron.core.schedule.model import Schedule
from pneumachron.core.schedule.schedule import schedule
from tests import by_depth
from tests.core.kitchen import cook_request, load

CASES = by_depth(60, 120, 840)
OFTEN = 0.01
STEP_OF = {
    "come_up": "come_up", "hold": "hold", "natural_release": "release", "waiting": "wait",
    "venting": "release", "keeping_warm": "keep_warm", "boiling": "boil", "soaking": "soak",
}  # fmt: skip
"""Phases of a plan, and the steps that are them."""
MILD: Marinade = "mild"
STRONG: Marinade = "strong_acid"
PLACES: tuple[ExtraWhen, ...] = (
    "before_rub", "before_pot", "first_run", "beside", "own_run", "at_end", "at_table",
)  # fmt: skip
ORDER = (
    "thaw", "part", "trim", "season", "rub", "marinate", "temper", "sear", "deglaze", "pour",
    "load", "lid", "set", "come_up", "hold", "open", "judge", "bag", "cool", "chill", "freeze",
    "reheat", "finish", "carve", "keep", "write_down",
)  # fmt: skip
"""What comes before what, of one batch. Common practice: nobody sears what is not seasoned, locks
a lid over an empty pot, or carves before the crust."""
AFTER_SERVING = {"keep", "write_down"}
TOLD_BY_EVENTS = {"guests_late"}
"""Steps that no plan has: something happens in a cook."""


@dataclass(frozen=True)
class Case:
    """A dish as a cook may want it, its plan and its steps."""

    dish: Dish
    plan: Plan
    steps: tuple[Step, ...]

    @property
    def blocks_s(self) -> Counter[tuple[str, float]]:
        """Work of the Schedule with its seconds."""
        return Counter(
            (part.work or part.kind, part.likely_s)
            for block in dish_blocks(self.dish)
            for part in block.segments
            if part.kind != "slack"
        )


def drawn(rng: random.Random, number: int) -> Dish:
    """Any cut with any release in turn, and whatever else by chance."""
    names = list(cuts())
    cut = cuts()[names[number % len(names)]]
    release = RELEASE_METHODS[(number // len(names) + number) % len(RELEASE_METHODS)]
    low_m, high_m = cut.usual_thickness_m
    thick_m = rng.uniform(low_m, max(low_m, min(high_m, 0.08)))
    count = rng.choice((1, 1, 2))
    pieces = load(cut.cut_id, count * min(max(14_000 * thick_m**3, 0.06), 1.3), thick_m, count)
    asked = replace(
        cook_request(pieces, pot="bass", release=release),
        wait_s=rng.choice((300.0, 900.0)) if release == "timed" else None,
        stay_s=rng.choice((600.0, 2400.0)) if release in {"soak", "keep_warm"} else None,
        boil_s=rng.choice((0.0, 0.0, 420.0)),
        tempered=rng.random() < 0.15,
        tenderness_step=float(rng.randrange(5)),
    )
    return Dish(
        "a",
        "Supper",
        _more(rng, asked),
        finish=rng.choice((None, *FINISHES)),
        from_freezer=rng.random() < 0.15,
        ahead=rng.choice(("today", "today", "today", "day_before", "frozen")),
        sauce=rng.choice(("none", "half", "glaze", "volume", "thick")),
        sauce_m3=rng.choice((None, 1.2e-4, 4.8e-4)),
        rubbed=rng.random() < 0.2,
        crackling=rng.random() < 0.2,
        pulled_first=rng.random() < 0.3,
        marinade=rng.choice((None, None, MILD, STRONG)),
        fat_m=rng.choice((None, None, 0.006)),
        sear_s=rng.choice((None, None, 0.0, 300.0)),
        leftovers=rng.choice(("chill", "freeze")),
        eaters=rng.choice((None, 2)),
        parted=number % 25 == 0,
        extras=tuple(Extra(f"own {when}", 5.0, when) for when in PLACES if rng.random() < 0.15),
    )


def _more(rng: random.Random, asked: CookRequest) -> CookRequest:
    """Now and then a second batch, or unlike pieces of which the thin ones come out first."""
    turn = rng.random()
    if turn < 0.1:
        return replace(asked, later=(asked.load,))
    if turn < 0.2:
        unlike = load("back_ribs", 0.9, 0.02).pieces + load("spare_ribs_trimmed", 1.1, 0.035).pieces
        return replace(
            asked, load=Load(unlike), tenderness_step=2.0, liquid_style="steam", thin_first=True
        )
    return asked


@pytest.fixture(scope="module")
def cases() -> list[Case]:
    rng = random.Random(17)
    found = []
    for number in range(CASES):
        with suppress(CoreError):
            dish = drawn(rng, number)
            first, *_ = planned_batches(dish.request)
            plan = make_plan(dish.request if dish.request.later else first)
            dish_blocks(dish)  # made ahead it may be too thick to cool in time
            steps = cook_steps(cook_plan(plan, dish.finish), brought(dish))
            found.append(Case(dish, plan, steps))
    assert len(found) > 0.6 * CASES
    return found


def phases_of(case: Case) -> Iterator[tuple[str, float]]:
    for phases in (case.plan.phases, *(batch.phases for batch in case.plan.later)):
        for phase in phases:
            if phase.kind in STEP_OF and phase.duration_s > 0:
                yield STEP_OF[phase.kind], phase.duration_s


def test_whatever_made_the_cook_time_shorter_or_longer_is_a_step(cases: list[Case]) -> None:
    seen: Counter[str] = Counter()
    for case in cases:
        told, planned = Counter[str](), Counter[str]()
        for step in case.steps:
            told[step.kind] += round(step.likely_s)
        for kind, seconds in phases_of(case):
            planned[kind] += round(seconds)
        for kind, seconds in planned.items():
            seen[kind] += 1
            runs = 1 + len(case.plan.later)
            # cook times are set in whole minutes, and what is put on hot comes up in its own time
            most = 90 * runs if kind == "come_up" else 31 * runs
            assert told[kind] == pytest.approx(seconds, abs=most), (kind, case.dish)
    assert set(seen) == set(STEP_OF.values())
    assert min(seen.values()) >= OFTEN * len(cases), seen


def test_cook_and_schedule_tell_the_same_work_for_as_long(cases: list[Case]) -> None:
    for case in cases:
        cook = Counter((s.work or s.kind, s.likely_s) for s in case.steps if s.kind != "write_down")
        assert _told(cook) == _told(case.blocks_s), case.dish


def _told(work: Counter[tuple[str, float]]) -> dict[str, int]:
    """Minutes by work; seasoning and portions are of the amounts that are in the pot together."""
    found: Counter[str] = Counter()
    for (name, seconds), count in work.items():
        if not name.startswith(("season", "keep")):
            found[name] += count * round(seconds / 60.0)
    return dict(found)


def test_nothing_stands_before_what_it_needs(cases: list[Case]) -> None:
    for case in cases:
        kinds = [step.kind for step in case.steps if step.batch == 1 and step.step_id[-1] != "2"]
        places = [ORDER.index(kind) for kind in kinds if kind in ORDER and kind != "thaw"]
        assert places == sorted(places), (kinds, case.dish)
        hot = [step.step_id for step in case.steps]
        if "preheat" in hot:
            assert hot.index("preheat") < hot.index("finish")
        if "thicken" in hot:
            assert hot.index("thicken") == hot.index("sauce") + 1
        if "rest" in hot:
            assert hot.index("rest") < hot.index("carve")


def test_nothing_that_the_meal_needs_comes_after_serving(cases: list[Case]) -> None:
    for case in cases[::6]:
        found: Schedule = schedule(dish_blocks(case.dish))
        for item in found.placed:
            kinds = {part.kind for part in item.block.segments}
            if item.block.after_table:
                assert item.start_s >= 0
                assert {kind.removesuffix("_frozen") for kind in kinds} <= AFTER_SERVING
            else:
                assert item.end_s <= 0
        assert found.is_safe


def test_every_cut_release_and_step_came_up(cases: list[Case]) -> None:
    least = OFTEN * len(cases)
    by_cut = Counter(case.dish.request.load.pieces[0].cut.cut_id for case in cases)
    by_release = Counter(case.dish.request.release for case in cases)
    by_kind = Counter(kind for case in cases for kind in {step.kind for step in case.steps})
    can_be_whole = set(cuts()) - {"brisket_whole"}  # it is parted into two cuts first
    assert {cut for cut in can_be_whole if by_cut[cut] < least} == set()
    assert {release for release in RELEASE_METHODS if by_release[release] < least} == set()
    asked = set(get_args(StepKind)) - TOLD_BY_EVENTS
    assert {kind for kind in asked if by_kind[kind] < least} == set(), by_kind

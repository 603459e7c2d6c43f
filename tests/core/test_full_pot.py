"""A pot so full that it would spray is not vented at once, and the wait is part of the numbers.

Common practice: a pot filled above the half is left for 10 to 15 minutes before its valve is
opened.
"""

import pytest

from pneumachron.core.catalog.cuts import ReleaseMethod
from pneumachron.core.planning.batches import planned_batches
from pneumachron.core.planning.load import Load
from pneumachron.core.planning.plan import Plan, make_plan
from pneumachron.core.planning.releases import CALM_S, is_full
from pneumachron.core.procedure.cook_plan import cook_plan
from pneumachron.core.procedure.steps import cook_steps
from pneumachron.core.schedule.blocks import dish_blocks
from pneumachron.core.schedule.dish import Dish
from tests.core.kitchen import cook_request, load

FULL, LOOSE = load("shoulder_boneless", 3.6, 0.06, 8), load("shoulder_boneless", 1.2, 0.06, 2)


def planned(of: Load, release: ReleaseMethod, wait_s: float | None = None) -> Plan:
    return make_plan(cook_request(of, liquid_style="bath", release=release, wait_s=wait_s))


def waited_s(plan: Plan) -> float:
    return sum(phase.duration_s for phase in plan.phases if phase.kind == "waiting")


@pytest.mark.parametrize(
    ("of", "release", "asked_s", "waits_s"),
    [
        (FULL, "quick", None, 720.0),
        (FULL, "soak", None, 720.0),
        (FULL, "timed", 300.0, 720.0),
        (FULL, "timed", 750.0, 750.0),  # longer stays as it was asked for
        (FULL, "natural", None, 0.0),
        (LOOSE, "quick", None, 0.0),
        (LOOSE, "timed", 300.0, 300.0),
    ],
)
def test_the_wait_is_counted_in_plan_and_steps(
    of: Load, release: ReleaseMethod, asked_s: float | None, waits_s: float
) -> None:
    plan = planned(of, release, asked_s)
    assert is_full(plan.setup.filling.fill_ratio) == (of is FULL)
    assert waited_s(plan) == pytest.approx(waits_s)
    steps = cook_steps(cook_plan(plan))
    told = sum(step.likely_s for step in steps if step.kind == "wait")
    assert told == pytest.approx(waits_s)


def test_what_softens_while_it_waits_is_taken_off_the_minutes() -> None:
    quick, timed = planned(FULL, "quick"), planned(FULL, "timed", CALM_S)
    assert quick.hold_min == timed.hold_min
    assert quick.lid_on_to_open_s == pytest.approx(timed.lid_on_to_open_s)


def test_the_caution_says_how_long() -> None:
    (said,) = (item for item in planned(FULL, "quick").cautions if item.said.code.endswith("spits"))
    assert said.said.params == {"wait_min": 12.0}


def test_a_stacked_load_is_one_run_in_the_schedule_as_in_the_plan() -> None:
    stacked = cook_request(load("shoulder_boneless", 3.6, 0.06, 8))
    plan = make_plan(stacked)
    assert plan.setup.arrangement.layers > 1
    runs = [
        block for block in dish_blocks(Dish("a", "Pulled", stacked)) if ":run" in block.block_id
    ]
    assert len(runs) == 1
    hold = next(part for part in runs[0].segments if part.kind == "hold")
    assert hold.likely_s == pytest.approx(60 * plan.hold_min)
    # what does not go in at once is still dealt out
    much = cook_request(load("shoulder_boneless", 9.0, 0.06, 20))
    assert len(planned_batches(much)) > 1

"""One procedure: what the plan counted on is a step, as long as there, in Cook and Schedule."""

from collections import Counter
from dataclasses import replace

import pytest

from pneumachron.core.catalog.cuts import RELEASE_METHODS, cuts
from pneumachron.core.errors import RequestError, ShapeError
from pneumachron.core.physics.tenderness import TEXTURES
from pneumachron.core.planning.finish import FINISHES, FinishKind
from pneumachron.core.planning.plan import Plan, make_plan
from pneumachron.core.planning.request import CookRequest
from pneumachron.core.procedure.choices import Ahead, Extra
from pneumachron.core.procedure.cook_plan import (
    LATER,
    CookPlan,
    cook_plan,
    from_document,
    to_document,
)
from pneumachron.core.procedure.step import Brought, Step
from pneumachron.core.procedure.steps import cook_steps
from pneumachron.core.schedule.blocks import dish_blocks
from pneumachron.core.schedule.dish import Dish, brought
from pneumachron.core.schedule.schedule import schedule
from pneumachron.core.session.danger_zone import was_out_too_long
from pneumachron.core.session.events import Event, SheetError
from pneumachron.core.session.forecast import alarms
from pneumachron.core.session.sheet import Sheet, after, check, fold
from tests.core.kitchen import cook_request, load

STEP_OF = {
    "natural_release": "release", "waiting": "wait", "venting": "release",
    "keeping_warm": "keep_warm", "boiling": "boil", "soaking": "soak",
}  # fmt: skip
"""Phases of a plan after the cook time, and the steps that are them."""


def cook_requests() -> list[CookRequest]:
    """Every cut with every release; waits, stays and open boils of several lengths."""
    found = []
    for number, cut in enumerate(cuts().values()):
        thick = sum(cut.usual_thickness_m) / 2
        mass_kg = min(max(14_000 * thick**3, 0.05), 1.2)
        for place, release in enumerate(RELEASE_METHODS):
            turn = number + place
            base = cook_request(
                load(cut.cut_id, mass_kg, thick, 1), pot="bass", liquid_style="short_braise"
            )
            found.append(
                replace(
                    base,
                    release=release,
                    wait_s=(300.0, 600.0, 900.0)[turn % 3] if release == "timed" else None,
                    stay_s=(600.0, 1500.0, 2400.0)[turn % 3]
                    if release in {"soak", "keep_warm"}
                    else None,
                    boil_s=(0.0, 420.0)[turn % 2],
                    tenderness_step=float(turn % len(TEXTURES)),
                )
            )
    return found


@pytest.fixture(scope="module")
def plans() -> list[Plan]:
    found = []
    for asked in cook_requests():
        try:
            found.append(make_plan(asked))
        except RequestError:
            continue
    assert len(found) > 0.7 * len(cook_requests())
    return found


def of_kind(steps: tuple[Step, ...], kind: str) -> float:
    return sum(step.likely_s for step in steps if step.kind == kind)


def test_what_the_plan_counted_on_is_a_step(plans: list[Plan]) -> None:
    seen: Counter[str] = Counter()
    for plan in plans:
        steps = cook_steps(cook_plan(plan))
        for phase in plan.phases:
            if phase.kind in {"come_up", "hold"}:
                assert of_kind(steps, phase.kind) == pytest.approx(phase.duration_s, abs=30)
            if phase.kind not in STEP_OF or phase.duration_s <= 0:
                continue
            seen[phase.kind] += 1
            found = of_kind(steps, STEP_OF[phase.kind])
            assert found == pytest.approx(phase.duration_s), (phase.kind, plan.setup.request)
    # a law that was not tried holds nothing
    assert set(seen) == set(STEP_OF)
    assert min(seen.values()) >= 0.01 * len(plans)


def test_schedule_tells_the_steps_of_cook(plans: list[Plan]) -> None:
    for plan in plans[::3]:
        dish = Dish("a", "Supper", plan.setup.request)
        cook = [
            (step.work or step.kind, step.likely_s)
            for step in cook_steps(cook_plan(plan))
            if step.kind not in {"season", "write_down"}
        ]
        day = [
            (part.work or part.kind, part.likely_s)
            for block in dish_blocks(dish)
            for part in block.segments
            if part.kind not in {"season", "slack"}
        ]
        assert sorted(day) == sorted(cook)


@pytest.mark.parametrize("finish", FINISHES)
@pytest.mark.parametrize("ahead", ["day_before", "frozen"])
def test_made_ahead_is_cold_before_the_night_and_keeps_its_finish(
    ahead: Ahead, finish: FinishKind
) -> None:
    asked = cook_request(load("brisket_flat", 0.7, 0.045, 2), pot="bass")
    dish = Dish("a", "Supper", asked, finish=finish, ahead=ahead)
    found = {item.block.block_id: item for item in schedule(dish_blocks(dish)).placed}
    # published: 57 to 21 °C within 2 h, to 5 °C within 6 h in all (FDA Food Code 3-501.14)
    cool = found["a:cool"]
    cold_s = cool.start_s + sum(part.likely_s for part in cool.block.segments[:2])
    assert cold_s - found["a:run0"].end_s <= 6 * 3600
    # served at 19:00: the hands of the evening before are free at 22:00, not next morning
    assert cold_s <= -21 * 3600 + 1
    if ahead == "frozen":
        assert found["a:thaw_cooked"].start_s <= -21 * 3600 + 1
    kinds = [part.work or part.kind for item in found.values() for part in item.block.segments]
    # a glaze in the cooker is made while the meat simmers there, before it is chilled
    assert (f"finish_{finish}" in kinds) is (finish not in {"none", "glaze"})
    assert "reheat" in kinds
    cook = cook_plan(make_plan(asked), dish.finish)
    told = {step.work or step.kind for step in cook_steps(cook, Brought(ahead=dish.ahead))}
    assert told - {"write_down"} == set(kinds) - {"slack"}


@pytest.mark.parametrize("ahead", ["today", "day_before"])
@pytest.mark.parametrize("finish", FINISHES)
def test_what_has_to_be_hot_is_switched_on_in_time(finish: FinishKind, ahead: Ahead) -> None:
    asked = cook_request(load("back_ribs", 1.2, 0.028, 1), pot="bass", liquid_style="steam")
    dish = Dish("a", "Supper", asked, finish=finish, ahead=ahead)
    day = schedule(dish_blocks(dish))
    assert day.clashes == ()
    found = {item.block.block_id: item for item in day.placed}
    steps = cook_steps(cook_plan(make_plan(asked), finish), Brought(ahead=ahead))
    order = [step.step_id for step in steps]
    # common practice: a broiler glows after about 5 min, a grill takes 10 to 20, an oven 10 to 15
    least_s = {"broiler": 240.0, "grill": 600.0, "air_fryer": 120.0}.get(finish)
    if ahead == "day_before":
        oven = found["a:preheat_oven"]
        assert 600 <= found["a:reheat"].start_s - oven.end_s <= 3600
        assert order.index("preheat_oven") < order.index("reheat")
        if finish == "broiler":
            least_s = None  # the oven is hot already
    if least_s is None:
        assert "a:preheat" not in found
        assert "preheat" not in order
        return
    assert least_s <= found["a:finish"].start_s - found["a:preheat"].end_s <= 3600
    assert order.index("preheat") < order.index("finish")
    if finish == "grill" and ahead == "today":
        # the meat rests for 5 to 10 minutes, the grill takes longer: it is lit under pressure
        assert order.index("hold") < order.index("preheat") < order.index("open")
    heats = next(step for step in steps if step.step_id == "preheat")
    assert heats.beside  # it holds nothing up
    assert heats.timers[0].seconds >= least_s


def test_a_cook_from_before_keeps_the_steps_it_began_with() -> None:
    plan = cook_plan(make_plan(cook_request(load("back_ribs", 1.0, 0.025, 1), pot="bass")), "grill")
    kept = to_document(plan.numbers)
    del kept["oven_heat_s"], kept["crust"]["heat_up_s"]
    older = replace(plan, numbers=from_document(kept))
    for ahead in ("today", "day_before"):
        assert all(step.kind != "preheat" for step in cook_steps(older, Brought(ahead=ahead)))


def test_what_the_cook_wants_is_the_same_in_schedule_and_cook() -> None:
    asked = cook_request(load("brisket_flat", 1.4, 0.045, 2), pot="bass")
    dish = Dish("a", "Supper", asked, fat_m=0.006, sear_s=360.0, sear_batches=3, eaters=2,
                leftovers="freeze",
                extras=(Extra("Stir in the honey", 2.0, "at_end"),))  # fmt: skip
    steps = cook_steps(cook_plan(make_plan(asked)), brought(dish))
    cook = {step.step_id: (step.work or step.kind, step.likely_s, step.params) for step in steps}
    day = {
        (part.work or part.kind): (part.likely_s, part.params)
        for block in dish_blocks(dish) for part in block.segments
    }  # fmt: skip
    for step_id in ("trim", "sear", "extra0", "keep"):
        said, seconds, params = cook[step_id]
        assert day[said] == (seconds, params)
    # arithmetic: three batches of six minutes, two timers each
    assert cook["sear"][1] == 18 * 60
    sear = next(step for step in steps if step.kind == "sear")
    assert [timer.seconds for timer in sear.timers] == [180.0] * 6
    # common practice: what is stirred in last comes after the sauce, and before the knife
    order = list(cook)
    # the fat cap comes off before it is measured and seasoned: common practice
    assert order.index("trim") < order.index("season")
    assert order.index("sauce") < order.index("extra0") < order.index("carve")
    assert cook["keep"][0] == "keep_frozen"
    assert float(cook["keep"][2]["portions"]) >= 1
    placed = {item.block.block_id: item for item in schedule(dish_blocks(dish)).placed}
    assert placed["a:run0"].end_s <= placed["a:extra0"].start_s
    assert placed["a:extra0"].end_s >= -900
    # not seared at all: no browned bits to scrape up either
    bare = cook_steps(cook_plan(make_plan(asked)), Brought(sear_s=0.0))
    assert not {"sear", "deglaze"} & {step.kind for step in bare}
    # ribs are not seared of themselves, but they can be
    ribs = cook_plan(make_plan(cook_request(load("back_ribs", 1.0, 0.025, 1), pot="bass")))
    assert all(step.kind != "sear" for step in cook_steps(ribs))
    (seared,) = (s for s in cook_steps(ribs, Brought(sear_s=240.0)) if s.kind == "sear")
    assert seared.likely_s == 240.0


@pytest.mark.parametrize("finish", ["glaze", "broiler"])
def test_firm_meat_in_a_glaze_gets_liquid_before_the_lid(finish: FinishKind) -> None:
    """What is boiled down makes no steam, and scorches (common practice)."""
    plan = make_plan(cook_request(load("short_ribs_english", 0.3, 0.045, 4), boil_s=600.0))
    judge = next(s for s in cook_steps(cook_plan(plan, finish)) if s.kind == "judge")
    assert (judge.work == "judge_glazed") is (finish == "glaze")


def two_batches() -> CookPlan:
    """Four racks, two at a time."""
    four = cook_request(load("back_ribs", 4.0, 0.026, 4), liquid_style="steam", release=None)
    pieces = four.load.pieces
    batched = replace(four, load=replace(four.load, pieces=pieces[:2]),
                      later=(replace(four.load, pieces=pieces[2:]),))  # fmt: skip
    return cook_plan(make_plan(batched))


def test_every_batch_is_cooked() -> None:
    cook = two_batches()
    steps = cook_steps(cook)
    (swap,) = [step for step in steps if step.kind == "batch"]
    assert swap.params["batch"] == 2
    assert swap.params["mass_kg"] == pytest.approx(2.0)
    # all that was done for the first batch is done for the second, each under an id of its own
    first_run = [step.kind for step in steps if step.batch == 1]
    again = [step.kind for step in steps if step.batch == 2]
    start = first_run.index(again[0])
    assert first_run[start : start + len(again)] == again
    assert {"load", "lid", "set", "come_up", "hold", "open", "judge"} <= set(again)
    assert len({step.step_id for step in steps}) == len(steps)
    # from lid on to meat out it takes as long as the plan says; the pot is hot already
    _, done_s, _ = cook.numbers.later[0]
    shut = {"come_up", "hold", "wait", "release", "keep_warm"}
    run_s = sum(step.likely_s for step in steps if step.batch == 2 and step.kind in shut)
    assert run_s == pytest.approx(done_s, abs=90)
    assert from_document(to_document(cook.numbers)) == cook.numbers


def test_a_batch_that_was_one_step_once_is_done_as_a_whole() -> None:
    """Cooks of earlier versions told a later batch as one step."""
    cook = two_batches()
    told = [Event(0.0, "began"), Event(9000.0, "done", {"step_id": "batch2"})]
    sheet = fold(cook, told)
    of_two = {step.step_id for step in sheet.steps if step.batch == 2}
    assert of_two <= set(sheet.done_s)
    assert not of_two & set(
        fold(cook, [*told, Event(9001.0, "undone", {"step_id": "batch2"})]).done_s
    )


def test_the_second_batch_has_a_clock_of_its_own() -> None:
    cook = two_batches()
    sheet = fold(cook, [Event(0.0, "began")])
    clock = 0.0
    while sheet.at_pot is not None and sheet.at_pot.step_id != "hold@2":
        clock += 60.0
        step = sheet.at_pot
        for tick in step.ticks:
            sheet = after(
                cook, sheet, Event(clock, "ticked", {"step_id": step.step_id, "tick": tick})
            )
        sheet = after(cook, sheet, Event(clock, "done", {"step_id": step.step_id}))
    (timer,) = [item for item in sheet.timers if item.step_id == "hold@2"]
    assert timer.due_s == pytest.approx(clock + cook.numbers.later[0][0])
    # what the cook time teaches is that of the first batch
    first_s = sheet.marks[0].pressure_s
    assert first_s == sheet.done_s["come_up"]
    assert sheet.opened_s == sheet.done_s["open"]


def test_a_wait_is_not_cut_short_without_a_word() -> None:
    asked = replace(
        cook_request(load("back_ribs", 1.0, 0.028, 1), pot="bass"), release="timed", wait_s=600
    )
    plan = cook_plan(make_plan(asked))
    sheet = fold(plan, [Event(0.0, "began")])
    clock = 0.0
    while sheet.at_pot is not None and sheet.at_pot.kind != "wait":
        clock += 60.0
        sheet = after(plan, sheet, Event(clock, "done", {"step_id": sheet.at_pot.step_id}))
    # it is counted from the end of the cook time, by itself
    assert [timer.due_s - clock for timer in sheet.timers] == [600.0]
    soon = Event(clock + 60.0, "done", {"step_id": "wait"})
    with pytest.raises(SheetError, match="too_soon"):
        check(sheet, soon)
    check(sheet, Event(clock + 60.0, "done", {"step_id": "wait", "anyway": True}))
    check(sheet, Event(clock + 590.0, "done", {"step_id": "wait"}))


def test_the_clock_of_the_danger_zone() -> None:
    # published: two hours between 4 and 60 °C at most (USDA, from memory)
    plan = cook_plan(make_plan(cook_request(load("brisket_flat", 1.4, 0.045, 2))))
    sheet = fold(plan, [Event(0.0, "began")])

    def warned(sheet: Sheet, at_s: float) -> set[str]:
        kinds = {alarm.kind for alarm in alarms(plan, sheet, at_s)}
        return {kind for kind in kinds if kind.startswith(("raw", "leftovers"))}

    assert warned(sheet, 80 * 60) == set()
    assert warned(sheet, 100 * 60) == {"raw_out"}
    assert warned(sheet, 121 * 60) == {"raw_too_long"}
    while sheet.at_pot is not None and sheet.at_pot.kind != "keep":
        step_id = sheet.at_pot.step_id
        sheet = after(plan, sheet, Event(3600.0, "done", {"step_id": step_id, "anyway": True}))
        if sheet.current_is("hold", "rest", "carve"):  # hot in the cooker, whatever it takes
            assert warned(sheet, 9 * 3600.0) == set()
    assert warned(sheet, 3600.0 + 80 * 60) == set()
    assert warned(sheet, 3600.0 + 100 * 60) == {"leftovers_out"}
    assert warned(sheet, 3600.0 + 130 * 60) == {"leftovers_too_long"}
    sheet = after(plan, sheet, Event(9000.0, "done", {"step_id": "keep"}))
    assert warned(sheet, 9 * 3600.0) == set()


@pytest.mark.parametrize(
    ("begun_to_hot_min", "carved_to_kept_min", "found"),
    [(60, 30, None), (119, 119, None), (120, 30, "raw"), (60, 121, "leftovers"),
     (130, 130, "raw"), (60, None, None)],
)  # fmt: skip
def test_what_was_out_too_long_is_known_afterwards(
    begun_to_hot_min: int, carved_to_kept_min: int | None, found: str | None
) -> None:
    plan = cook_plan(make_plan(cook_request(load("brisket_flat", 1.4, 0.045, 2))))
    sheet = fold(plan, [Event(0.0, "began")])
    clock = 60.0
    while sheet.at_pot is not None and sheet.at_pot.kind != "keep":
        if sheet.at_pot.kind == "come_up":
            clock = 60.0 * begun_to_hot_min
        done = {"step_id": sheet.at_pot.step_id, "anyway": True}
        sheet = after(plan, sheet, Event(clock, "done", done))
    assert was_out_too_long(sheet) == (found if found == "raw" else None)
    if carved_to_kept_min is not None:
        kept_s = clock + 60.0 * carved_to_kept_min
        sheet = after(plan, sheet, Event(kept_s, "done", {"step_id": "keep"}))
    sheet = after(plan, sheet, Event(clock + 20 * 3600.0, "ended"))
    assert was_out_too_long(sheet) == found


def test_what_keeps_people_safe_is_never_left_out(plans: list[Plan]) -> None:
    # common practice: lid, pressure, release, cooling and leftovers are not a matter of taste
    never = {"pour", "load", "lid", "set", "come_up", "hold", "wait", "release", "keep_warm",
             "open", "boil", "soak", "batch", "bag", "cool", "chill", "freeze", "thaw", "reheat",
             "keep", "deglaze"}  # fmt: skip
    seen = {(step.kind, step.skippable) for plan in plans for step in cook_steps(cook_plan(plan))}
    assert not {kind for kind, may in seen if may} & never
    assert {"sear", "rest", "finish"} <= {kind for kind, may in seen if may}


@pytest.mark.parametrize(
    "broken",
    [{"later_up_s": []}, {"later_lying": [], "later_phases": []}, {"later_up_s": [60.0, 60.0]},
     {"later_liquid_m3": [1e-4] * 500}],
)  # fmt: skip
def test_batches_that_are_not_whole_are_refused(broken: dict[str, list[float]]) -> None:
    kept = to_document(two_batches().numbers)
    with pytest.raises(ShapeError):
        from_document(kept | broken)
    # earlier versions kept nothing of this kind
    old = {key: value for key, value in kept.items() if key not in LATER}
    assert from_document(old).later == two_batches().numbers.later

"""The guests come later: what waits stays safe, and no softer than is said."""

import pytest

from pneumachron.core.constants import KEEP_WARM_TEMP
from pneumachron.core.planning.plan import make_plan
from pneumachron.core.procedure.choices import WARM_OVEN_C, LateHow
from pneumachron.core.procedure.cook_plan import cook_plan
from pneumachron.core.safety.limits import ZONE_HIGH
from pneumachron.core.schedule.dish import Dish
from pneumachron.core.schedule.guests_late import Stage, when_late
from pneumachron.core.session.danger_zone import out_since_s
from pneumachron.core.session.events import Event, SheetError
from pneumachron.core.session.late import MOST_TIMES, stayed_under_lid
from pneumachron.core.session.sheet import Sheet, after, check, fold
from tests.core.kitchen import cook_request, load

RIBS = Dish("a", "Ribs", cook_request(load("back_ribs", 1.0, 0.028)))
SHOULDER = Dish("b", "Shoulder", cook_request(load("shoulder_boneless", 1.4, 0.06, 2)))

PULLED = Dish("c", "Pulled", cook_request(load("shoulder_boneless", 1.4, 0.06, 2), texture="falls"))


@pytest.mark.parametrize(
    ("dish", "stage", "late_min", "how"),
    [
        (RIBS, "not_begun", 90, "later"),
        # common practice: what is out waits in foil in a warm oven, two hours at most for ribs,
        # three for a shoulder in its juice
        (RIBS, "out", 40, "rest_warm"),
        (RIBS, "out", 121, "chill"),
        (SHOULDER, "out", 150, "rest_warm"),
        (SHOULDER, "out", 200, "chill"),
        (RIBS, "carved", 30, "cover"),
        (RIBS, "carved", 90, "chill"),
        # common practice: ribs are out of the cooker within half an hour, or fall off the bone
        (RIBS, "in_cooker", 60, "take_out"),
        (SHOULDER, "in_cooker", 20, "take_out"),
        # what is pulled anyway may get softer
        (PULLED, "in_cooker", 20, "keep_warm"),
    ],
)
def test_how_a_dish_waits(dish: Dish, stage: Stage, late_min: int, how: LateHow) -> None:
    assert when_late(dish, stage, 60.0 * late_min).how == how


def test_what_waits_in_the_oven_is_out_of_the_danger_zone() -> None:
    """Published: held hot at 60 °C or above (USDA; 57 °C in the FDA Food Code), from memory."""
    assert ZONE_HIGH.value + 10 <= WARM_OVEN_C
    assert KEEP_WARM_TEMP.value >= ZONE_HIGH.value


def test_longer_under_the_lid_is_softer_and_is_said() -> None:
    softer = [when_late(PULLED, "in_cooker", 60.0 * late).softer_steps for late in (5, 10, 20)]
    assert softer == sorted(softer)
    assert softer[0] > 0.0
    for dish, most in ((PULLED, 1.0), (SHOULDER, 0.5), (RIBS, 0.5)):
        for late_min in (2, 5, 15, 30, 60, 120):
            late = when_late(dish, "in_cooker", 60.0 * late_min)
            # more is not taken: it is lifted out instead
            assert late.softer_steps <= most
            assert (late.how == "keep_warm") == (late.softer_steps > 0)


COOK = cook_plan(make_plan(PULLED.request), "broiler")


def cook_of(*steps_done: str, how: str, late_s: float = 2400.0) -> Sheet:
    """A shoulder that is pulled, on a sheet with so much done when the guests say so."""
    events = [Event(0.0, "began")]
    for number, step in enumerate(fold(COOK, []).steps):
        if step.step_id in steps_done:
            events.append(Event(60.0 * (number + 1), "done", {"step_id": step.step_id}))
    late = Event(5000.0, "guests_late", {"how": how, "late_s": late_s})
    check(fold(COOK, events), late)
    return fold(COOK, [*events, late])


def ids_up_to(kind: str) -> list[str]:
    """All steps before the first of a kind."""
    steps = fold(COOK, []).steps
    first = next(number for number, step in enumerate(steps) if step.kind == kind)
    return [step.step_id for step in steps[:first]]


@pytest.mark.parametrize(
    ("before", "how", "follows", "work"),
    [
        # raw meat waits in the refrigerator, not browned
        ("sear", "later", "sear", "later"),
        # under the lid it waits until that is opened
        ("hold", "keep_warm", "open", "keep_warm"),
        # taken out, whole, before crust and knife
        ("hold", "take_out", "finish", "rest_warm"),
        ("rest", "rest_warm", "finish", "rest_warm"),
        # the lid is off, so it cannot wait under it
        ("rest", "keep_warm", "finish", "rest_warm"),
        # what is cut waits hot before the rest of it is put away
        ("keep", "cover", "keep", "cover"),
        ("rest", "chill", "finish", "chill"),
    ],
)
def test_what_waits_is_a_step_of_its_cook(before: str, how: str, follows: str, work: str) -> None:
    sheet = cook_of(*ids_up_to(before), how=how)
    place = next(i for i, step in enumerate(sheet.steps) if step.kind == "guests_late")
    late = sheet.steps[place]
    assert late.work == f"guests_late_{work}"
    assert sheet.steps[place + 1].kind == follows
    assert late.likely_s == 2400.0
    assert late.skippable  # they may come sooner
    plain = fold(COOK, [Event(0.0, "began")])
    assert [step.step_id for step in sheet.steps if step is not late] == [
        step.step_id for step in plain.steps
    ]
    # and dinner is as much later
    assert sum(s.likely_s for s in sheet.steps) - sum(s.likely_s for s in plain.steps) == 2400.0


def test_the_clock_runs_when_it_waits_and_is_said_again() -> None:
    waiting = cook_of(*ids_up_to("finish"), how="rest_warm")
    assert waiting.at_pot is not None
    assert waiting.at_pot.kind == "guests_late"
    assert [timer.due_s for timer in waiting.timers if timer.step_id == "late1"] == [7400.0]
    again = Event(10.0, "guests_late", {"how": "rest_warm", "late_s": 60.0})
    sheet = fold(COOK, [again] * MOST_TIMES)
    late = {step.step_id for step in sheet.steps if step.kind == "guests_late"}
    assert late == {"late1", "late2", "late3", "late4"}
    with pytest.raises(SheetError):
        check(sheet, again)


def test_browned_meat_does_not_wait_raw() -> None:
    """Published: meat that is partly cooked is not held, but cooked on (USDA FSIS, from memory)."""
    sheet = cook_of(*ids_up_to("set"), how="later")
    assert not [step for step in sheet.steps if step.kind == "guests_late"]


def test_what_waits_hot_is_not_out_and_after_that_it_is() -> None:
    hot = cook_of(*ids_up_to("keep"), how="cover")
    assert out_since_s(hot) is None
    over = after(COOK, hot, Event(7400.0, "done", {"step_id": "late1"}))
    assert out_since_s(over) == ("leftovers", 7400.0)


def test_the_raw_meat_in_the_refrigerator_is_not_out() -> None:
    assert out_since_s(cook_of(*ids_up_to("sear"), how="later")) is None


def test_longer_under_the_lid_teaches_nothing() -> None:
    under = cook_of(*ids_up_to("open"), how="keep_warm")
    assert not stayed_under_lid(under.steps, under.done_s)
    over = after(COOK, under, Event(7400.0, "done", {"step_id": "late1"}))
    assert stayed_under_lid(over.steps, over.done_s)

"""Which cooks teach, without a server: the clock and what was read."""

from datetime import UTC, datetime, timedelta

import pytest

from pneumachron.core.planning.plan import make_plan
from pneumachron.core.procedure.cook_plan import cook_plan
from pneumachron.core.session.events import Event
from pneumachron.core.session.sheet import Sheet, blank, fold
from pneumachron.devices.clock import ClockOfCook, CookClock, KitchenClock
from pneumachron.services.lesson_rules import no_lesson, unsafe
from pneumachron.store.records import StoredEvent
from tests.core.kitchen import cook_request, load

WISH = cook_request(load("brisket_flat", 1.2, 0.045), texture="very")
PLAN = cook_plan(make_plan(WISH))
SHEET = blank(PLAN)
NOW = datetime(2026, 11, 27, 12, tzinfo=UTC)


def clock(ahead_s: float, speed: int = 1) -> ClockOfCook:
    kitchen = KitchenClock(wall=lambda: NOW, steady=lambda: 0.0)
    return ClockOfCook(kitchen, "cook", CookClock(NOW, NOW + timedelta(seconds=ahead_s), speed))


def event(kind: str, body: dict[str, object]) -> StoredEvent:
    return StoredEvent(f"{kind}-1", NOW, kind, body)


@pytest.mark.parametrize(
    ("ahead_s", "speed", "connected", "why"),
    [
        (0.0, 1, False, None),
        (5.0, 1, False, None),
        (3600.0, 1, False, "fast_clock"),
        (0.0, 60, False, "fast_clock"),
        (3600.0, 60, True, None),
    ],
)
def test_a_clock_that_did_not_run_with_the_kitchens(
    ahead_s: float, speed: int, connected: bool, why: str | None
) -> None:
    assert no_lesson(PLAN, SHEET, (), clock(ahead_s, speed), connected=connected) == why


def test_the_last_reading_counts() -> None:
    # published: USDA FSIS, 145 °F for whole beef, from memory
    cold, hot = event("judged", {"probe": "118 °F"}), event("judged", {"probe": "200 °F"})
    assert unsafe(WISH, SHEET, [cold])
    assert not unsafe(WISH, SHEET, [cold, event("put_back", {"hold_min": 10})])
    assert not unsafe(WISH, SHEET, [cold, hot])
    assert unsafe(WISH, SHEET, [hot, cold])
    assert not unsafe(WISH, SHEET, [event("judged", {"probe": None, "seen": "very"})])


def test_raw_meat_that_was_out_for_hours() -> None:
    # published: two hours between 4 and 60 °C at most (USDA, from memory)
    def sheet(hot_min: int) -> Sheet:
        steps = [step.step_id for step in SHEET.steps]
        before = steps[: steps.index("come_up") + 1]
        told = [Event(60.0 * hot_min, "done", {"step_id": key, "anyway": True}) for key in before]
        return fold(PLAN, [Event(0.0, "began"), *told])

    assert no_lesson(PLAN, sheet(100), (), clock(0.0), connected=False) is None
    assert no_lesson(PLAN, sheet(121), (), clock(0.0), connected=False) == "raw_out"
    assert no_lesson(PLAN, sheet(121), (), clock(0.0, 60), connected=True) == "raw_out"

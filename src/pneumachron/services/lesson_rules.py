"""Which cooks teach: what was not safe, or not timed by the kitchen's clock, is left out."""

from collections.abc import Sequence

from pneumachron.core.errors import CoreError, RequestError
from pneumachron.core.planning.recovery import judge_stopped
from pneumachron.core.planning.request import CookRequest
from pneumachron.core.procedure.cook_plan import CookPlan
from pneumachron.core.session.danger_zone import OutOf, was_out_too_long
from pneumachron.core.session.late import stayed_under_lid
from pneumachron.core.session.sheet import Sheet
from pneumachron.core.units import parse_measure
from pneumachron.devices.clock import ClockOfCook
from pneumachron.store.records import NoLesson, StoredEvent

AHEAD_S = 120.0
"""A cook's own time that is further from the kitchen's was not lived through. Judgement."""


_OUT: dict[OutOf, NoLesson] = {"raw": "raw_out", "leftovers": "leftovers_out"}


def no_lesson(
    plan: CookPlan,
    sheet: Sheet,
    events: Sequence[StoredEvent],
    clock: ClockOfCook,
    *,
    connected: bool,
) -> NoLesson | None:
    """Why a cook that is over teaches nothing; None: it teaches.

    Whether a simulated cook teaches is the household's choice, also on a fast clock.
    """
    if unsafe(plan.request, sheet, events):
        return "unsafe"
    if (out := was_out_too_long(sheet)) is not None:
        return _OUT[out]
    if not connected and (clock.speed > 1 or abs(clock.ahead_s) > AHEAD_S):
        return "fast_clock"
    if stayed_under_lid(sheet.steps, sheet.done_s):
        return "kept_warm"
    # the pieces that were rated had different times under pressure
    return None if plan.numbers.goes_on is None else "two_cycles"


def unsafe(request: CookRequest, sheet: Sheet, events: Sequence[StoredEvent]) -> bool:
    """Whether the last reading was below the safe minimum, or it should have been thrown away."""
    probe_c = _last_probe_c(events)
    safe_c = max(piece.cut.safe_core_c for piece in request.load.pieces)
    if probe_c is not None and probe_c < safe_c:
        return True
    marks = sheet.marks[-1]
    if marks.started_s is None or marks.stopped_early_s is None or sheet.ended_s is None:
        return False
    stopped_min = (marks.stopped_early_s - marks.started_s) / 60.0
    since_min = min(max(sheet.ended_s - marks.stopped_early_s, 0.0) / 60.0, 360.0)
    try:
        return judge_stopped(request, max(stopped_min, 0.0), since_min).step == "throw_away"
    except CoreError:
        return False  # it cannot be worked out: its minutes teach nothing of taste anyway


def _last_probe_c(events: Sequence[StoredEvent]) -> float | None:
    """What the last look read in the middle, unless it was cooked on after that."""
    read = None
    for event in events:
        if event.kind == "put_back":
            read = None
        text = event.body.get("probe") if event.kind == "judged" else None
        if isinstance(text, str):
            try:
                read = parse_measure(text, "temperature", "probe")
            except RequestError:
                read = None
    return read

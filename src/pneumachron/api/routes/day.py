"""The day: counted back from the table; as lanes, for a calendar, and kept."""

from typing import Annotated, Any

from fastapi import APIRouter, Path, Query, status

from pneumachron.api.dependencies import (
    CHANGING,
    INVALID,
    MISSING,
    STALE,
    TURN,
    Db,
    Effort,
    Kitchen,
    Seen,
    WriteDb,
)
from pneumachron.api.sane import SaneRoute
from pneumachron.api.schemas.day import (
    CalendarIn,
    CalendarOut,
    DayFixesOut,
    DayIn,
    DayLine,
    DayOut,
    DaysOut,
    GuestsLateIn,
    GuestsLateOut,
    KeepDayIn,
    MovedOut,
    StoredDayOut,
)
from pneumachron.services import day
from pneumachron.services.day import DayInputs
from pneumachron.services.day_actuals import still_raw, with_actuals
from pneumachron.services.day_calendar import calendar_here, moved_in_calendar
from pneumachron.services.day_fixes import fixes_here
from pneumachron.services.guests_late import guests_late_here
from pneumachron.services.live_kitchen import LiveKitchen
from pneumachron.store.repository import MAX_LISTED

router = APIRouter(prefix="/api", route_class=SaneRoute, tags=["day"])
_ASKED = INVALID | MISSING | CHANGING
DayId = Annotated[str, Path(min_length=1, max_length=40, pattern=r"^[A-Za-z0-9_-]+$")]


def _inputs(asked: DayIn, db: Db, here: LiveKitchen) -> DayInputs:
    """The day as the use cases take it, with what its cooks tell."""
    return with_actuals(db, here, asked.to_inputs(), asked.beside)


@router.post("/schedule", response_model=DayOut, responses=_ASKED, dependencies=[TURN])
def count_back(asked: DayIn, db: Db, here: Kitchen) -> dict[str, Any]:
    """Count dishes back from the table: when each stretch of work begins, what clashes."""
    return day.day_here(db, _inputs(asked, db, here))


@router.post("/schedule/fixes", responses=_ASKED, dependencies=[TURN])
def day_fixes(asked: DayIn, db: Db, here: Kitchen, go_on: Effort) -> DayFixesOut:
    """Which change of one dish leaves less clash or less delay, as far as there is time to look."""
    found = fixes_here(db, _inputs(asked, db, here), go_on)
    return DayFixesOut.model_validate({"fixes": list(found.fixes), "complete": found.complete})


@router.post("/schedule/guests-late", responses=_ASKED, dependencies=[TURN])
def guests_late(asked: GuestsLateIn, db: Db, here: Kitchen) -> GuestsLateOut:
    """What waits when the guests come later, how, and what that does to its tenderness."""
    raw = still_raw(db, here, asked.day.beside)
    found = guests_late_here(db, _inputs(asked.day, db, here), 60.0 * asked.late_min, raw)
    return GuestsLateOut.model_validate(found)


@router.post("/schedule/calendar", responses=_ASKED, dependencies=[TURN])
def day_calendar(asked: DayIn, db: Db, here: Kitchen) -> CalendarOut:
    """The day as iCalendar, with alarms where hands are needed."""
    return CalendarOut(text=calendar_here(db, _inputs(asked, db, here)).decode("utf-8"))


@router.post("/schedule/calendar/read", responses=_ASKED, dependencies=[TURN])
def read_calendar(asked: CalendarIn, db: Db, here: Kitchen) -> MovedOut:
    """What was moved in our own calendar file, as pins of the day."""
    return MovedOut.of(moved_in_calendar(db, _inputs(asked.day, db, here), asked.text))


@router.get("/schedules", responses=INVALID)
def list_days(
    db: Db,
    search: Annotated[str, Query(max_length=120)] = "",
    limit: Annotated[int, Query(ge=1, le=MAX_LISTED)] = 50,
    offset: Annotated[int, Query(ge=0, le=1_000_000)] = 0,
) -> DaysOut:
    """Days that are kept, the newest first."""
    day.warm_up()
    found, total = day.list_days(db, search=search, limit=limit, offset=offset)
    return DaysOut(days=[DayLine.of(stored) for stored in found], total=total)


@router.post("/schedules", status_code=status.HTTP_201_CREATED, responses=_ASKED)
def keep_day(asked: KeepDayIn, db: WriteDb) -> StoredDayOut:
    """Keep a day."""
    return StoredDayOut.of(day.keep_day(db, asked.name, asked.to_document()))


@router.get("/schedules/{day_id}", responses=INVALID | MISSING)
def get_day(day_id: DayId, db: Db) -> StoredDayOut:
    """A day as it was kept."""
    return StoredDayOut.of(day.get_day(db, day_id))


@router.put("/schedules/{day_id}", responses=_ASKED | STALE)
def replace_day(day_id: DayId, asked: KeepDayIn, db: WriteDb, seen: Seen = None) -> StoredDayOut:
    """Keep a day in place of one."""
    return StoredDayOut.of(day.keep_day(db, asked.name, asked.to_document(), day_id, seen))


@router.delete("/schedules/{day_id}", status_code=status.HTTP_204_NO_CONTENT, responses=_ASKED)
def delete_day(day_id: DayId, db: WriteDb) -> None:
    """Delete a saved schedule; it can be restored."""
    day.set_day_deleted(db, day_id, deleted=True)


@router.post(
    "/schedules/{day_id}/restore", status_code=status.HTTP_204_NO_CONTENT, responses=_ASKED
)
def restore_day(day_id: DayId, db: WriteDb) -> None:
    """Put a deleted day back."""
    day.set_day_deleted(db, day_id, deleted=False)

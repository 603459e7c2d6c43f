"""The day: counted back from the table; as lanes, and for a calendar."""

from typing import Any

from fastapi import APIRouter

from pneumachron.api.dependencies import CHANGING, INVALID, MISSING, Db
from pneumachron.api.schemas.day import CalendarOut, DayIn, DayOut, WaysOutOut
from pneumachron.services import day

router = APIRouter(prefix="/api/day", tags=["day"])
_ASKED = INVALID | MISSING | CHANGING


@router.post("", response_model=DayOut, responses=_ASKED)
def count_back(asked: DayIn, db: Db) -> dict[str, Any]:
    """Count dishes back from the table: when each stretch of work begins, what clashes."""
    return day.day_here(db, asked.to_inputs())


@router.post("/ways-out", responses=_ASKED)
def ways_out(asked: DayIn, db: Db) -> WaysOutOut:
    """Which change of one dish leaves less clash or less delay."""
    return WaysOutOut.model_validate({"ways": day.ways_out_here(db, asked.to_inputs())})


@router.post("/calendar", responses=_ASKED)
def day_calendar(asked: DayIn, db: Db) -> CalendarOut:
    """The day as iCalendar, with alarms where hands are needed."""
    return CalendarOut(text=day.calendar_here(db, asked.to_inputs()).decode("utf-8"))

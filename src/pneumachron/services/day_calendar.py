"""A day as a calendar file, and what was moved in one that comes back."""

from collections.abc import Iterator
from dataclasses import dataclass
from datetime import datetime, timedelta
from itertools import groupby

from sqlalchemy.orm import Session

from pneumachron.core.errors import RequestError
from pneumachron.core.procedure.choices import IN_PASSING
from pneumachron.core.schedule.model import Block, Segment
from pneumachron.services.calendars import Event, calendar_uid, read_calendar, write_calendar
from pneumachron.services.day import Day, DayInputs, counted_back
from pneumachron.services.wording import dish_name, say_work
from pneumachron.text.say import say


def calendar_here(session: Session, inputs: DayInputs) -> bytes:
    """The day as an iCalendar file; ids are stable, so importing it again updates.

    Raises
    ------
    RequestError : in this day something that spoils waits too long; it gets no alarms.
    """
    day = counted_back(session, inputs)
    if not day.found.is_safe:
        raise RequestError("unsafe_day", "table")
    return write_calendar(event for _, _, event in _events(day))


@dataclass(frozen=True, slots=True)
class Moved:
    """What a calendar says of a day: blocks that were moved there, and events not of this day."""

    pinned: tuple[tuple[str, datetime], ...]
    others: int


def moved_in_calendar(session: Session, inputs: DayInputs, content: str) -> Moved:
    """Read our own calendar file back: what was moved in it becomes a pin.

    Raises
    ------
    RequestError : no calendar.
    """
    there = read_calendar(content)
    pinned: dict[str, datetime] = {}
    known = set()
    for block_id, offset, event in _events(counted_back(session, inputs)):
        uid = calendar_uid(event.uid)
        known.add(uid)
        start = there.get(uid)
        if start is None or block_id in pinned:
            continue
        if abs((start - event.start).total_seconds()) >= _MOVED_S:
            pinned[block_id] = start - offset
    return Moved(tuple(pinned.items()), sum(uid not in known for uid in there))


_MOVED_S = 60.0
"""Calendars keep whole minutes; less than one is no move."""


def _events(day: Day) -> Iterator[tuple[str, timedelta, Event]]:
    """What needs a person, with its block and how far into it it begins.

    Work that follows without a gap is one event: nobody wants six alarms in five minutes.
    """
    for item in day.found.placed:
        start = day.table + timedelta(seconds=item.start_s)
        for offset, parts in _at_work(item.block):
            length = timedelta(seconds=sum(part.likely_s for part in parts))
            dish = dish_name(item.block.dish)
            event = Event(
                uid=f"{item.block.block_id}:{parts[0].kind}",
                title=say("calendar-event", {"dish": dish, "work": say_work(parts[0])}),
                details=tuple(say_work(part) for part in parts),
                start=start + offset,
                end=start + offset + length,
            )
            yield item.block.block_id, offset, event


def _wants_a_person(part: Segment) -> bool:
    return not {"hands", IN_PASSING}.isdisjoint(part.lanes)


def _at_work(block: Block) -> Iterator[tuple[timedelta, list[Segment]]]:
    """Stretches of work with hands that follow on each other, and how far into the block."""
    offset = 0.0
    for by_hand, group in groupby(block.segments, key=_wants_a_person):
        parts = list(group)
        if by_hand:
            yield timedelta(seconds=offset), parts
        offset += sum(part.likely_s for part in parts)

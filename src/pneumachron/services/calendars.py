"""iCalendar (RFC 5545): times in UTC, ids that stay, an alarm where hands are needed."""

from collections.abc import Iterable
from dataclasses import dataclass
from datetime import UTC, datetime, timedelta
from hashlib import sha256

from icalendar import Alarm, Calendar
from icalendar import Event as CalendarEvent

from pneumachron.core.errors import RequestError

DOMAIN = "pneumachron"
MAX_EVENTS = 2000


@dataclass(frozen=True, slots=True)
class Event:
    """A stretch of work in a calendar; `uid` is the same whenever the day is written."""

    uid: str
    title: str
    start: datetime
    end: datetime
    details: tuple[str, ...] = ()
    """What is done, line by line."""


def write_calendar(events: Iterable[Event]) -> bytes:
    """A calendar file. Events with the same id replace each other when it is imported again."""
    calendar = Calendar()
    calendar.add("prodid", "-//Pneumachron//the day//EN")
    calendar.add("version", "2.0")
    calendar.add("method", "PUBLISH")
    stamp = datetime.now(UTC)
    for event in events:
        calendar.add_component(_entry(event, stamp))
    return bytes(calendar.to_ical())


def read_calendar(content: str) -> dict[str, datetime]:
    """Starts of the events of a calendar file by their id; events of whole days are left out.

    Raises
    ------
    RequestError : it is no calendar, or too much of one.
    """
    try:
        events = Calendar.from_ical(content).walk("VEVENT")
        found = {
            str(event.get("uid")): event.decoded("dtstart")
            for event in events[:MAX_EVENTS]
            if event.get("uid") and event.get("dtstart")
        }
    except (ValueError, KeyError, IndexError, AttributeError):
        raise RequestError("no_calendar", "text") from None
    if len(events) > MAX_EVENTS:
        raise RequestError("long_calendar", "text", most=MAX_EVENTS)
    # a time without a zone is "wherever the reader is": it cannot be told apart here
    return {
        uid: start
        for uid, start in found.items()
        if isinstance(start, datetime) and start.tzinfo is not None
    }


def calendar_uid(name: str) -> str:
    """The id of an event: the same for the same stretch of the same dish, telling nothing."""
    return f"{sha256(name.encode()).hexdigest()[:32]}@{DOMAIN}"


def _entry(event: Event, stamp: datetime) -> CalendarEvent:
    entry = CalendarEvent()
    entry.add("uid", calendar_uid(event.uid))
    entry.add("summary", event.title)
    entry.add("dtstart", event.start.astimezone(UTC).replace(microsecond=0))
    entry.add("dtend", event.end.astimezone(UTC).replace(microsecond=0))
    entry.add("dtstamp", stamp)
    entry.add("sequence", int(stamp.timestamp()) % 2_000_000_000)
    if len(event.details) > 1:
        entry.add("description", "\n".join(event.details))
    alarm = Alarm()
    alarm.add("action", "DISPLAY")
    alarm.add("description", event.title)
    alarm.add("trigger", timedelta(0))
    entry.add_component(alarm)
    return entry

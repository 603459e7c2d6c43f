"""iCalendar (RFC 5545): times in UTC, ids that stay, an alarm where hands are needed."""

from collections.abc import Iterable
from dataclasses import dataclass
from datetime import UTC, datetime, timedelta
from hashlib import sha256

from icalendar import Alarm, Calendar
from icalendar import Event as CalendarEvent

DOMAIN = "pneumachron"


@dataclass(frozen=True, slots=True)
class Event:
    """A stretch of work in a calendar; `uid` is the same whenever the day is written."""

    uid: str
    title: str
    start: datetime
    end: datetime
    alarm: bool


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


def _entry(event: Event, stamp: datetime) -> CalendarEvent:
    entry = CalendarEvent()
    entry.add("uid", f"{sha256(event.uid.encode()).hexdigest()[:32]}@{DOMAIN}")
    entry.add("summary", event.title)
    entry.add("dtstart", event.start.astimezone(UTC).replace(microsecond=0))
    entry.add("dtend", event.end.astimezone(UTC).replace(microsecond=0))
    entry.add("dtstamp", stamp)
    entry.add("sequence", int(stamp.timestamp()) % 2_000_000_000)
    if event.alarm:
        alarm = Alarm()
        alarm.add("action", "DISPLAY")
        alarm.add("description", event.title)
        alarm.add("trigger", timedelta(0))
        entry.add_component(alarm)
    return entry

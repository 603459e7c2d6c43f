"""The clocks of cooks: simulated speeds, and what becomes of timers when the wall clock is set."""

import json
from collections.abc import Iterator
from contextlib import suppress
from dataclasses import replace
from datetime import datetime, timedelta
from pathlib import Path

from sqlalchemy.orm import Session

from pneumachron.core.session.events import SheetError
from pneumachron.devices.clock import SPEEDS, CookClock
from pneumachron.services.cook_state import moment_of, stored_cook, write_pot
from pneumachron.services.households import current_household
from pneumachron.services.live_kitchen import LiveKitchen
from pneumachron.store import cooks
from pneumachron.store.cooks import COOKS
from pneumachron.store.db import writing
from pneumachron.store.records import StoredCook

STEP_S = 2.0
"""A wall clock that is off by more was set; less is how clocks run."""
TOLERANCE = timedelta(seconds=1)


def set_speed(session: Session, here: LiveKitchen, cook_id: str, speed: int) -> None:
    """Let a cook's own time run so many times as fast from now on; what is ahead stays ahead.

    Raises
    ------
    SheetError : the cook is over.
    """
    _check_running(stored_cook(session, cook_id))
    with writing(session):
        stored = stored_cook(session, cook_id)
        clock = here.clock_of(stored)
        _keep(session, cook_id, CookClock(here.clock.now(), clock.now(), speed))


def bring_back(session: Session, here: LiveKitchen, cook_id: str) -> None:
    """Bring a cook back to the kitchen's time: everything that happened moves with it.

    Raises
    ------
    SheetError : the cook is over.
    """
    with writing(session):
        found = moment_of(session, here, cook_id)
        _check_running(found.stored)
        write_pot(session, found)
        by = -timedelta(seconds=found.clock.ahead_s)
        if found.device is not None:
            found.device.shift(by)
        cooks.shift(session, cook_id, by)
        _keep(session, cook_id, None)
    here.clock.forget(cook_id)
    here.memory.forget()


def follow_wall(session: Session, here: LiveKitchen) -> float:
    """When the wall clock was set, let the kitchen follow it.

    Every cook under way goes on by its own time, so that no timer jumps.

    Returns
    -------
    By how much the wall clock was moved [s]; 0 when it was not.
    """
    moved_s = here.clock.difference_s()
    if abs(moved_s) < STEP_S:
        return 0.0
    try:
        with writing(session):
            if abs(here.clock.difference_s()) < STEP_S:
                return 0.0  # somebody else did it meanwhile
            running = {stored.cook_id: here.clock_of(stored).own for stored in _running(session)}
            for cook_id, own in here.clock.set_right(running).items():
                _keep(session, cook_id, own)
    except Exception:
        here.clock.set_back()
        raise
    return moved_s


def settle(session: Session, here: LiveKitchen) -> None:
    """At a start: no cook under way is earlier than what was written down of it.

    The wall clock may have been set back while the app was off, or version 1 kept a time of its own
    for the whole kitchen; that time now belongs to the cooks that were under way in it.
    """
    old = _old_clock(here.old_clock_file)
    base = here.clock.now()
    with writing(session):
        for stored in _running(session):
            clock = here.clock_of(stored)
            last = _last_moment(session, stored)
            at = clock.now()
            if stored.content.clock is None and old is not None:
                at = max(at, old.at(base))
            if at + TOLERANCE < last or at - clock.now() > TOLERANCE:
                _keep(session, stored.cook_id, CookClock(base, max(at, last), clock.speed))
    with suppress(OSError):
        here.old_clock_file.unlink(missing_ok=True)


def _old_clock(file: Path) -> CookClock | None:
    """The kitchen's own time as version 1 kept it; at its speed only until now."""
    try:
        kept = json.loads(file.read_text(encoding="utf-8"))
        kitchen = datetime.fromisoformat(kept["kitchen"])
        wall = datetime.fromisoformat(kept["wall"])
        speed = int(kept["speed"])
    except (OSError, ValueError, KeyError, TypeError):
        return None
    if kitchen.tzinfo is None or wall.tzinfo is None or speed not in SPEEDS:
        return None
    return CookClock(wall, kitchen, speed)


def _running(session: Session) -> Iterator[StoredCook]:
    home = current_household(session).household_id
    yield from cooks.running_cooks(session, home)


def _last_moment(session: Session, stored: StoredCook) -> datetime:
    told = [event.at for event in cooks.events_of(session, stored.cook_id)]
    inked = cooks.last_sample_at(session, stored.cook_id)
    return max([stored.content.started_at, *told, *([inked] if inked else [])])


def _keep(session: Session, cook_id: str, own: CookClock | None) -> None:
    stored = stored_cook(session, cook_id)
    content = replace(stored.content, clock=None if own is None else own.to_document())
    home = current_household(session).household_id
    COOKS.replace(session, home, cook_id, content)


def _check_running(stored: StoredCook) -> None:
    if stored.content.ended_at is not None:
        raise SheetError("ended_times")

"""The simulated cooker beside a cook: connected, pressed, handled, and what it did written down."""

from contextlib import suppress
from dataclasses import replace
from typing import Any

from sqlalchemy.orm import Session

from pneumachron.core.planning.recovery import Resumed, judge_stopped
from pneumachron.core.session.events import SheetError
from pneumachron.core.session.sheet import ALWAYS_ROOM
from pneumachron.core.units import parse_measure
from pneumachron.devices.protocol import DeviceError, HandAction, PotCommand
from pneumachron.devices.simulated import Faults, SimulatedPot
from pneumachron.services.cook_state import (
    Moment,
    moment_of,
    stored_cook,
    unwritten,
    write_pot,
)
from pneumachron.services.cook_view import follow
from pneumachron.services.households import current_household
from pneumachron.services.live_kitchen import LiveKitchen
from pneumachron.store import cooks
from pneumachron.store.cooks import COOKS
from pneumachron.store.db import writing
from pneumachron.store.errors import NotFoundError, StoreError
from pneumachron.store.records import (
    StoredCook,
)

MAX_EVENTS = 2000
"""A cook of a whole day has some two hundred."""
LAST_EVENTS = 40
"""Room on a full sheet for what ends it."""


def connect(session: Session, here: LiveKitchen, cook_id: str, *, on: bool) -> dict[str, Any]:
    """Put the simulated pot beside a cook that runs, or go on by hand.

    Raises
    ------
    SheetError : the cook is over.
    """
    home = current_household(session).household_id
    with writing(session):
        stored = stored_cook(session, cook_id)
        if stored.content.ended_at is not None:
            raise SheetError("ended")
        if on != stored.content.connected:
            changed = replace(stored.content, connected=on)
            stored = COOKS.replace(session, home, cook_id, changed)
            if on:
                take_pot(session, here, stored)
    return follow(session, here, cook_id)


def take_pot(session: Session, here: LiveKitchen, stored: StoredCook) -> None:
    """Load the simulated pot. It holds one cook: another one beside it goes on by hand."""
    home = current_household(session).household_id
    content = stored.content
    for other in cooks.running_cooks(session, home):
        same_pot = other.content.connected and other.content.pot_id == content.pot_id
        if same_pot and other.cook_id != stored.cook_id:
            COOKS.replace(session, home, other.cook_id, replace(other.content, connected=False))
    device = here.pot(content.kitchen, here.clock_of(stored))
    device.load({"inputs": content.inputs, "kitchen": content.kitchen})


def press(
    session: Session,
    here: LiveKitchen,
    cook_id: str,
    what: PotCommand,
    *,
    at_the_pot: bool,
) -> dict[str, Any]:
    """Press the panel of a connected pot.

    Raises
    ------
    DeviceError : it refuses or does not answer; or nobody is at the pot for a start or a vent.
    """
    found = moment_of(session, here, cook_id)
    device = _device(found)
    if what in {"start", "vent"} and not at_the_pot:
        raise DeviceError("nobody_there")
    _press(found, device, what)
    return _after_pot(session, here, cook_id)


def handle(
    session: Session, here: LiveKitchen, cook_id: str, what: HandAction, volume: str | None
) -> dict[str, Any]:
    """Play the hands beside a simulated pot."""
    poured = 0.0 if volume is None else parse_measure(volume, "volume", "volume")
    _device(moment_of(session, here, cook_id)).hands(what, volume_m3=poured)
    return _after_pot(session, here, cook_id)


def _press(found: Moment, device: SimulatedPot, what: PotCommand) -> None:
    if what != "set":
        device.command(what)
        return
    sheet = found.sheet
    hold_min = found.content.hold_min
    if len(sheet.marks) > 1:
        hold_min = found.account.put_back_min[-1]
    elif sheet.marks[-1].stopped_s is not None and sheet.current_is("hold", "come_up"):
        # a run that stopped is set for what is missing, not from the beginning
        hold_min = missing_run(found).hold_min or hold_min
    device.command("set", hold_s=60.0 * hold_min, gauge_pa=found.plan.numbers.gauge_pa)


def set_faults(session: Session, here: LiveKitchen, cook_id: str, faults: Faults) -> dict[str, Any]:
    """Switch faults of the simulated pot on or off."""
    _device(moment_of(session, here, cook_id)).set_faults(faults)
    return _after_pot(session, here, cook_id)


def _after_pot(session: Session, here: LiveKitchen, cook_id: str) -> dict[str, Any]:
    """What the pot did is written down at once; if that fails, the watch does it later."""
    with suppress(StoreError):
        ask_pot(session, here, cook_id)
    return follow(session, here, cook_id)


def missing_run(found: Moment) -> Resumed:
    """What a run that stopped still needs."""
    marks = found.sheet.marks[-1]
    now_s = found.clock.now().timestamp()
    if marks.started_s is None:
        raise SheetError("not_started")
    stopped_s = now_s if marks.stopped_s is None else marks.stopped_s
    return judge_stopped(
        found.plan.request,
        (stopped_s - marks.started_s) / 60.0,
        min((now_s - stopped_s) / 60.0, 360.0),
    )


def probe(session: Session, here: LiveKitchen, cook_id: str) -> dict[str, Any]:
    """A probe in the middle of a simulated cook; believable only in an open pot."""
    device = _device(moment_of(session, here, cook_id))
    return {"temp_c": round(device.probe_c(), 1), "believable": device.reading().state == "open"}


def ask_pot(session: Session, here: LiveKitchen, cook_id: str) -> None:
    """Write down what the pot of a cook did: called every second, whether or not anybody looks.

    Raises
    ------
    StoreError : it cannot be written now; it is not lost, the pot keeps its own count.
    """
    try:
        found = moment_of(session, here, cook_id)
    except NotFoundError:
        return  # deleted since
    if not unwritten(found):
        return
    with writing(session):
        if cooks.last_event_id(session, cook_id) == found.account.last_id:
            leave_room(found.account.count, "ended")
            write_pot(session, found)


def leave_room(count: int, kind: str) -> None:
    """Refuse what a full sheet has no room for; what ends a cook always has."""
    most = MAX_EVENTS + (LAST_EVENTS if kind in ALWAYS_ROOM else 0)
    if count >= most:
        raise SheetError("full_sheet")


def _device(found: Moment) -> SimulatedPot:
    if not found.content.connected or found.device is None:
        raise DeviceError("by_hand")
    return found.device

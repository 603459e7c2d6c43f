"""A cook beside the pot: begin, write down what happens, follow a connected pot."""

import json
from collections.abc import Iterator, Mapping
from contextlib import suppress
from dataclasses import asdict, dataclass, field, replace
from datetime import UTC, datetime, timedelta
from functools import lru_cache
from typing import Any

from sqlalchemy.orm import Session

from pneumachron.core.again import Resumed, judge_opened, judge_stopped
from pneumachron.core.cook.forecast import heat_ratio
from pneumachron.core.cook.pieces import mean_step
from pneumachron.core.cook.sheet import (
    EVENT_KINDS,
    Event,
    EventKind,
    Sheet,
    SheetError,
    check,
    fold,
)
from pneumachron.core.cook.steps import Brought
from pneumachron.core.cook.turns import turn_of
from pneumachron.core.day.dish import Extra
from pneumachron.core.errors import WishError
from pneumachron.core.plan import Plan
from pneumachron.core.pots import Pot
from pneumachron.core.tenderness import TEXTURES, Texture
from pneumachron.core.units import parse_measure
from pneumachron.core.wish import Wish
from pneumachron.devices.protocol import (
    AwayError,
    DeviceError,
    HandAction,
    PotCommand,
)
from pneumachron.devices.simulated import Faults, SimulatedPot
from pneumachron.services.answers import opened_document, stopped_document
from pneumachron.services.cook_documents import (
    compare_document,
    cook_document,
    cooked,
    pieces_document,
)
from pneumachron.services.households import current_household
from pneumachron.services.inputs import INPUTS_VERSION, Defaults, PlanInputs, located, read_wish
from pneumachron.services.learning import household_defaults
from pneumachron.services.live_kitchen import LiveKitchen, plan_of
from pneumachron.services.planning import find_pot
from pneumachron.services.untaught import told_by_model
from pneumachron.store import cooks, households, photos
from pneumachron.store.cooks import COOKS, Filter
from pneumachron.store.records import (
    CookContent,
    LogLine,
    StoredCook,
    StoredEvent,
    StoredSample,
    new_id,
)

MAX_EVENTS = 2000
"""A cook of a whole day has some two hundred."""
_SAME = timedelta(milliseconds=1)


@dataclass(frozen=True, slots=True)
class Told:
    """Something that a screen tells of a cook; `key` is the same when it is told twice."""

    key: str
    kind: EventKind
    body: Mapping[str, Any]


@dataclass(frozen=True, slots=True)
class CameWith:
    """What a cook comes with besides its plan."""

    recipe: dict[str, Any] | None = None
    brought: Brought = field(default_factory=Brought)


def begin(
    session: Session,
    here: LiveKitchen,
    *,
    name: str,
    person_id: str | None,
    inputs: PlanInputs,
    connected: bool,
    came_with: CameWith | None = None,
) -> dict[str, Any]:
    """Begin a cook: its plan is worked out and kept with the kitchen as it is now.

    The recipe it is cooked from comes along on the sheet, and what a day adds to the steps.

    Raises
    ------
    WishError : it cannot be cooked; nothing was begun.
    """
    content = _content(session, here.clock.now(), name, person_id, inputs)
    came_with = came_with or CameWith()
    content = replace(
        content, connected=connected, recipe=came_with.recipe, brought=asdict(came_with.brought)
    )
    home = current_household(session).household_id
    stored = COOKS.add(session, home, content)
    began = StoredEvent("began", content.started_at, "began", {})
    cooks.add_event(session, stored.cook_id, began)
    if connected:
        _take_pot(session, here, stored)
    return _document(session, here, stored)


def connect(session: Session, here: LiveKitchen, cook_id: str, *, on: bool) -> dict[str, Any]:
    """Put the simulated pot beside a cook that runs, or go on by hand.

    Raises
    ------
    SheetError : the cook is over.
    """
    stored = _stored(session, cook_id)
    if stored.content.ended_at is not None:
        raise SheetError("ended", "This cook is over.", "Start it again from its plan.")
    if on != stored.content.connected:
        home = current_household(session).household_id
        stored = COOKS.replace(session, home, cook_id, replace(stored.content, connected=on))
        if on:
            _take_pot(session, here, stored)
    return _document(session, here, stored)


def _take_pot(session: Session, here: LiveKitchen, stored: StoredCook) -> None:
    """Load the simulated pot. It holds one cook: another one beside it goes on by hand."""
    home = current_household(session).household_id
    content = stored.content
    for other in cooks.running_cooks(session, home):
        same_pot = other.content.connected and other.content.pot_id == content.pot_id
        if same_pot and other.cook_id != stored.cook_id:
            COOKS.replace(session, home, other.cook_id, replace(other.content, connected=False))
    here.pot(content.kitchen).load({"inputs": content.inputs, "kitchen": content.kitchen})


def _content(
    session: Session, started_at: datetime, name: str, person_id: str | None, inputs: PlanInputs
) -> CookContent:
    """A cook as it begins: its plan worked out in the kitchen as it is now."""
    household = current_household(session)
    if person_id is not None:
        households.check_person(session, household.household_id, person_id)
    pot = find_pot(session, household.household_id, inputs.pot)
    defaults = household_defaults(session, inputs)
    try:
        wish = read_wish(inputs, pot, defaults)
    except WishError as error:
        raise located(error) from None
    kitchen = _kitchen_as_it_is(pot, defaults)
    typed = asdict(inputs)
    plan = _plan(typed, kitchen)
    return CookContent(
        name=name,
        person_id=person_id,
        cut=wish.load.pieces[0].cut.cut_id,
        pot_id=inputs.pot,
        pot_name=pot.name,
        mass_kg=wish.load.mass_kg,
        hold_min=plan.hold_min,
        wished_step=wish.texture_step,
        connected=False,
        inputs_version=INPUTS_VERSION,
        inputs=typed,
        kitchen=kitchen,
        started_at=started_at,
    )


@dataclass(frozen=True, slots=True)
class Entry:
    """A cook that was not followed, written down afterwards."""

    name: str
    person_id: str | None
    inputs: PlanInputs
    started_at: datetime
    hold_min: int
    come_up_min: float | None = None
    pieces: tuple[dict[str, Any], ...] = ()
    before_kg: float | None = None
    after_kg: float | None = None
    note: str = ""


def enter(session: Session, entry: Entry) -> LogLine:
    """Write a cook down that was not followed."""
    household = current_household(session)
    home = household.household_id
    if entry.person_id is not None:
        households.check_person(session, home, entry.person_id)
    pot = find_pot(session, home, entry.inputs.pot)
    content = entered_content(entry, pot, household_defaults(session, entry.inputs))
    events = list(entered_events(entry))
    stored = COOKS.add(session, home, told_by_model(content, events))
    for event in events:
        cooks.add_event(session, stored.cook_id, event)
    return cooks.log_line(session, stored.cook_id)


def entered_content(entry: Entry, pot: Pot, defaults: Defaults) -> CookContent:
    """The line of the log of a cook that was written down.

    Its plan is worked out when it is opened, so that a whole log comes in quickly.

    Raises
    ------
    WishError : what was typed cannot be read.
    """
    try:
        wish = read_wish(entry.inputs, pot, defaults)
    except WishError as error:
        raise located(error) from None
    up_s = None if entry.come_up_min is None else 60.0 * entry.come_up_min
    weights = (entry.before_kg, entry.after_kg)
    return CookContent(
        name=entry.name,
        person_id=entry.person_id,
        cut=wish.load.pieces[0].cut.cut_id,
        pot_id=entry.inputs.pot,
        pot_name=pot.name,
        mass_kg=wish.load.mass_kg,
        hold_min=entry.hold_min,
        wished_step=wish.texture_step,
        connected=False,
        inputs_version=INPUTS_VERSION,
        inputs=asdict(entry.inputs),
        kitchen=_kitchen_as_it_is(pot, defaults),
        started_at=entry.started_at,
        ended_at=_over(entry),
        outcome_step=mean_step(entry.pieces, _counts(wish)),
        come_up_s=up_s,
        yield_ratio=weights[1] / weights[0] if weights[0] and weights[1] else None,
        note=entry.note,
    )


@lru_cache(maxsize=32)
def _kitchen_as_it_is(pot: Pot, defaults: Defaults) -> dict[str, Any]:
    """Pot and habits as a cook keeps them; the same for all rows of a log, so read only."""
    return {"pot": asdict(pot), "defaults": asdict(defaults)}


USUAL_UP_MIN = 12.0
"""Time to pressure of a cook that does not say. Common practice."""


def _over(entry: Entry) -> datetime:
    up_min = USUAL_UP_MIN if entry.come_up_min is None else entry.come_up_min
    return entry.started_at + timedelta(minutes=up_min + entry.hold_min)


def entered_events(entry: Entry) -> Iterator[StoredEvent]:
    """The events that say what an entry says."""
    begin, over = entry.started_at, _over(entry)
    yield StoredEvent("began", begin, "began", {})
    if entry.come_up_min is not None:
        pressure = begin + timedelta(minutes=entry.come_up_min)
        yield StoredEvent("set", begin, "done", {"step_id": "set"})
        yield StoredEvent("come_up", pressure, "done", {"step_id": "come_up"})
    yield StoredEvent("hold", over, "done", {"step_id": "hold"})
    if entry.pieces:
        yield StoredEvent("outcome", over, "outcome", {"pieces": list(entry.pieces)})
    if entry.before_kg is not None or entry.after_kg is not None:
        weights = {"before_kg": entry.before_kg, "after_kg": entry.after_kg}
        yield StoredEvent("weighed", over, "weighed", weights)
    if entry.note:
        yield StoredEvent("note", over, "note", {"text": entry.note})
    yield StoredEvent("ended", over, "ended", {})


def follow(session: Session, here: LiveKitchen, cook_id: str) -> dict[str, Any]:
    """Where a cook stands, after asking its pot."""
    stored = _stored(session, cook_id)
    _ask_pot(session, here, stored)
    return _document(session, here, stored)


def tell(session: Session, here: LiveKitchen, cook_id: str, told: Told) -> dict[str, Any]:
    """Write something down. Telling it twice writes it once.

    Raises
    ------
    SheetError : it cannot be so; nothing was written.
    """
    stored = _stored(session, cook_id)
    _ask_pot(session, here, stored)
    sheet, plan = _sheet(session, stored)
    now = here.clock.now()
    event = Event(now.timestamp(), told.kind, told.body)
    events = cooks.events_of(session, cook_id)
    if all(known.key != told.key for known in events):
        check(sheet, event)
        _room(len(events))
        cooks.add_event(session, cook_id, StoredEvent(told.key, now, told.kind, dict(told.body)))
        _remember(session, stored, plan)
    return _document(session, here, _stored(session, cook_id))


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
    stored = _stored(session, cook_id)
    device = _device(here, stored)
    if what in {"start", "vent"} and not at_the_pot:
        raise DeviceError(
            "nobody_there",
            "Somebody has to stand at the pot for this.",
            "Look at lid and valve, then say that you are there.",
        )
    _press(session, stored, device, what, here.clock.now().timestamp())
    _ask_pot(session, here, stored)
    return _document(session, here, _stored(session, cook_id))


def handle(
    session: Session, here: LiveKitchen, cook_id: str, what: HandAction, volume: str | None
) -> dict[str, Any]:
    """Play the hands beside a simulated pot."""
    stored = _stored(session, cook_id)
    poured = 0.0 if volume is None else parse_measure(volume, "volume", "volume")
    _device(here, stored).hands(what, volume_m3=poured)
    _ask_pot(session, here, stored)
    return _document(session, here, _stored(session, cook_id))


def _press(
    session: Session, stored: StoredCook, device: SimulatedPot, what: PotCommand, now_s: float
) -> None:
    if what != "set":
        device.command(what)
        return
    sheet, plan = _sheet(session, stored)
    hold_min = stored.content.hold_min
    if len(sheet.marks) > 1:
        again = [event for event in cooks.events_of(session, stored.cook_id)
                 if event.kind == "put_back"]  # fmt: skip
        hold_min = int(again[-1].body["hold_min"])
    elif sheet.marks[-1].stopped_s is not None and sheet.current_is("hold", "come_up"):
        # a run that stopped is set for what is missing, not from the beginning
        hold_min = _missing(sheet, plan, now_s).hold_min or hold_min
    device.command("set", hold_s=60.0 * hold_min, gauge_pa=plan.gauge_pa)


def set_faults(session: Session, here: LiveKitchen, cook_id: str, faults: Faults) -> dict[str, Any]:
    """Switch faults of the simulated pot on or off."""
    stored = _stored(session, cook_id)
    _device(here, stored).set_faults(faults)
    _ask_pot(session, here, stored)
    return _document(session, here, stored)


def judge(
    session: Session, here: LiveKitchen, cook_id: str, *, seen: Texture | None, probe: str | None
) -> dict[str, Any]:
    """Done, put back, or rescue: from how it looks, what was set, and how long it is open."""
    stored = _stored(session, cook_id)
    sheet, plan = _sheet(session, stored)
    held = stored.content.hold_min + sum(
        int(event.body["hold_min"])
        for event in cooks.events_of(session, cook_id)
        if event.kind == "put_back"
    )
    down_s = sheet.marks[-1].down_s
    now = here.clock.now()
    open_min = 5.0 if down_s is None else min(max((now.timestamp() - down_s) / 60.0, 0.0), 60.0)
    wish = plan.setup.wish
    found = judge_opened(
        wish,
        held,
        seen_step=None if seen is None else float(TEXTURES.index(seen)),
        probe_c=None if probe is None else parse_measure(probe, "temperature", "probe"),
        open_min=open_min,
    )
    document = opened_document(wish, found)
    body = {"seen": seen, "probe": probe, "verdict": found.step, "hold_min": found.hold_min}
    cooks.add_event(session, cook_id, StoredEvent(f"judged-{new_id()}", now, "judged", body))
    return document


def worth(session: Session, here: LiveKitchen, cook_id: str) -> dict[str, Any]:
    """What the minutes of a run that stopped were worth, and how to go on."""
    stored = _stored(session, cook_id)
    sheet, plan = _sheet(session, stored)
    return stopped_document(_missing(sheet, plan, here.clock.now().timestamp()))


def _missing(sheet: Sheet, plan: Plan, now_s: float) -> Resumed:
    marks = sheet.marks[-1]
    if marks.started_s is None:
        raise SheetError("not_started", "This run was not started.", "Start it first.")
    stopped_s = now_s if marks.stopped_s is None else marks.stopped_s
    return judge_stopped(
        plan.setup.wish,
        (stopped_s - marks.started_s) / 60.0,
        min((now_s - stopped_s) / 60.0, 360.0),
    )


def compare(session: Session, here: LiveKitchen, one: str, other: str) -> dict[str, Any]:
    """Two sheets laid together, and what is not the same about them."""
    both = [_stored(session, cook_id) for cook_id in (one, other)]
    laid = []
    for stored in both:
        sheet, plan = _sheet(session, stored)
        laid.append(cooked(stored, plan, sheet, cooks.samples_of(session, stored.cook_id)))
    return {
        "sheets": [_document(session, here, stored) for stored in both],
        "differences": compare_document(*laid),
    }


def pieces(session: Session, cook_id: str) -> dict[str, Any]:
    """How the kinds of pieces in one pot softened, each along what happened to the pot."""
    stored = _stored(session, cook_id)
    sheet, plan = _sheet(session, stored)
    return pieces_document(stored, plan, sheet, cooks.samples_of(session, stored.cook_id))


def probe(session: Session, here: LiveKitchen, cook_id: str) -> dict[str, Any]:
    """A probe in the middle of a simulated cook; believable only in an open pot."""
    device = _device(here, _stored(session, cook_id))
    return {"temp_c": round(device.probe_c(), 1), "believable": device.reading().state == "open"}


def running(session: Session, here: LiveKitchen) -> None:
    """Ask the pots of all cooks that run: called every second, whether or not anybody looks."""
    home = current_household(session).household_id
    for stored in cooks.running_cooks(session, home):
        _ask_pot(session, here, stored)


def beside(session: Session, here: LiveKitchen) -> list[dict[str, Any]]:
    """All cooks that run, the one that needs hands first at the top."""
    home = current_household(session).household_id
    now_s = here.clock.now().timestamp()
    found = []
    for stored in cooks.running_cooks(session, home):
        sheet, plan = _sheet(session, stored)
        found.append((turn_of(plan, sheet, now_s), stored))
    found.sort(key=lambda item: (*item[0].rank, item[1].created_at))
    return [
        {
            "id": stored.cook_id,
            "name": stored.content.name,
            "pot_name": stored.content.pot_name,
            "wants": turn.wants,
            "title": turn.title,
            "due_at": _moment(turn.due_s),
            "left_s": max(round(turn.due_s - now_s), 0),
        }
        for turn, stored in found
    ]


def log(session: Session, wanted: Filter, *, limit: int, offset: int) -> tuple[list[LogLine], int]:
    """Cooks of the log, the last one first, and how many there are."""
    home = current_household(session).household_id
    return cooks.log_page(session, home, wanted, limit=limit, offset=offset)


def history(session: Session, cook_id: str) -> list[StoredEvent]:
    """Everything that happened in a cook."""
    return cooks.events_of(session, _stored(session, cook_id).cook_id)


def set_cook_deleted(session: Session, cook_id: str, *, deleted: bool) -> None:
    """Take a cook out of the log, or put it back."""
    home = current_household(session).household_id
    COOKS.set_deleted(session, home, cook_id, deleted=deleted)


def read_weights(before: str | None, after: str | None) -> dict[str, float | None]:
    """Weights before and after, as typed.

    Raises
    ------
    WishError : one cannot be read or cannot be; says which, and what to do.
    """
    found = {
        f"{name}_kg": _weight(name, text) for name, text in (("before", before), ("after", after))
    }
    raw, cooked = found["before_kg"], found["after_kg"]
    if raw is not None and cooked is not None and cooked > raw:
        raise WishError(
            "heavier_cooked",
            "after",
            "It cannot weigh more cooked than raw.",
            "Swap the two, or weigh the meat without its juice.",
        )
    return found


def _weight(name: str, text: str | None) -> float | None:
    if text is None or not text.strip():
        return None
    mass_kg = parse_measure(text, "mass", name)
    if not LEAST_WEIGHT_KG <= mass_kg <= MOST_WEIGHT_KG:
        raise WishError(
            "weight_range",
            name,
            f"“{text.strip()}” is not between 10 g and {MOST_WEIGHT_KG:g} kg.",
            "Weigh all pieces together, without the dish.",
        )
    return mass_kg


LEAST_WEIGHT_KG, MOST_WEIGHT_KG = 0.01, 40.0
"""More than any pot holds."""


def last_moment(session: Session) -> datetime | None:
    """The last thing that was written down, so that the clock starts no earlier."""
    home = current_household(session).household_id
    moments = [
        event.at
        for stored in cooks.running_cooks(session, home)
        for event in cooks.events_of(session, stored.cook_id)
    ]
    return max(moments, default=None)


# inside


def _stored(session: Session, cook_id: str) -> StoredCook:
    return COOKS.get(session, current_household(session).household_id, cook_id)


def _room(count: int) -> None:
    if count >= MAX_EVENTS:
        raise SheetError(
            "full_sheet", "This sheet is full.", "End this cook and begin another one."
        )


def _device(here: LiveKitchen, stored: StoredCook) -> SimulatedPot:
    if not stored.content.connected:
        raise DeviceError("by_hand", "No pot is connected to this cook.", "Go on by hand.")
    return here.pot(stored.content.kitchen)


@lru_cache(maxsize=64)
def _planned(inputs: str, kitchen: str) -> Plan:
    return plan_of(json.loads(inputs), json.loads(kitchen))


def _plan(inputs: dict[str, Any], kitchen: dict[str, Any]) -> Plan:
    """The plan of a cook; a sheet is folded at every glance, so plans are kept."""
    return _planned(json.dumps(inputs, sort_keys=True), json.dumps(kitchen, sort_keys=True))


def _sheet(session: Session, stored: StoredCook) -> tuple[Sheet, Plan]:
    content = stored.content
    plan = _plan(content.inputs, content.kitchen)
    told = [
        Event(event.at.timestamp(), _KINDS[event.kind], event.body)
        for event in cooks.events_of(session, stored.cook_id)
        if event.kind in _KINDS
    ]
    return fold(plan, content.inputs.get("finish"), told, _brought(content.brought)), plan


def _brought(kept: dict[str, Any] | None) -> Brought:
    if kept is None:
        return Brought()
    return Brought(tuple(Extra(**item) for item in kept["work"]), kept["sauce"])


_KINDS: dict[str, EventKind] = {kind: kind for kind in EVENT_KINDS}


def _ask_pot(session: Session, here: LiveKitchen, stored: StoredCook) -> None:
    """Write down what a connected pot did since it was last asked; away, it is asked again."""
    content = stored.content
    if not content.connected or content.ended_at is not None:
        return
    device = here.pot(content.kitchen)
    known = cooks.events_of(session, stored.cook_id)
    seen = [event.at for event in known if event.kind == "pot"]
    since = max(seen, default=content.started_at) - _SAME
    inked = cooks.last_sample_at(session, stored.cook_id) or content.started_at - _SAME
    with suppress(AwayError):
        for change in device.changes(since):
            key = f"pot-{change.at.timestamp():.3f}-{change.state}"
            _room(len(known))
            cooks.add_event(
                session, stored.cook_id, StoredEvent(key, change.at, "pot", {"state": change.state})
            )
        samples = [
            StoredSample(item.at, item.temp_c, item.gauge_pa) for item in device.samples(inked)
        ]
        cooks.add_samples(session, stored.cook_id, samples)


def _remember(session: Session, stored: StoredCook, plan: Plan) -> None:
    """What the log lists of a cook, beside its sheet."""
    sheet, _ = _sheet(session, stored)
    events = cooks.events_of(session, stored.cook_id)
    content = stored.content
    ratio = heat_ratio(sheet)
    up = next(step.likely_s for step in sheet.steps if step.kind == "come_up")
    notes = [str(event.body["text"]) for event in events if event.kind == "note"]
    weighed = sheet.weighed
    outcome = sheet.outcome
    if sheet.ended_s is not None:
        content = told_by_model(content, events)
        if any(marks.stopped_early_s is not None for marks in sheet.marks):
            # nobody knows how many of the minutes it had: it says nothing of taste
            content = replace(content, model_step=None)
    changed = replace(
        content,
        ended_at=_moment(sheet.ended_s),
        outcome_step=_mean_step(outcome, plan.setup.wish),
        come_up_s=None if ratio is None else ratio * up,
        yield_ratio=(
            weighed["after_kg"] / weighed["before_kg"]
            if {"before_kg", "after_kg"} <= weighed.keys()
            else None
        ),
        note="\n".join(notes)[:4000],
    )
    if changed != stored.content:
        home = current_household(session).household_id
        COOKS.replace(session, home, stored.cook_id, changed)


def _mean_step(outcome: Mapping[str, Any] | None, wish: Wish) -> float | None:
    return None if outcome is None else mean_step(outcome["pieces"], _counts(wish))


def _counts(wish: Wish) -> list[int]:
    """Pieces of each kind in the pot."""
    return [count for _, count in wish.load.kinds()]


def _moment(at_s: float | None) -> datetime | None:
    return None if at_s is None else datetime.fromtimestamp(at_s, UTC)


def _document(session: Session, here: LiveKitchen, stored: StoredCook) -> dict[str, Any]:
    sheet, plan = _sheet(session, stored)
    reading, faults = None, None
    if stored.content.connected and stored.content.ended_at is None:
        device = here.pot(stored.content.kitchen)
        faults = device.faults
        with suppress(AwayError):
            reading = device.reading()
    return cook_document(
        stored,
        plan,
        sheet,
        here.clock,
        reading=reading,
        faults=faults,
        samples=cooks.samples_of(session, stored.cook_id),
        photos=photos.photos_of(session, stored.cook_id),
    )

"""A cook that was not followed, written down afterwards."""

from collections.abc import Iterator
from dataclasses import asdict, dataclass
from datetime import datetime, timedelta
from functools import lru_cache
from typing import Any

from sqlalchemy.orm import Session

from pneumachron.core.catalog.pots import Pot
from pneumachron.core.errors import RequestError
from pneumachron.core.planning.request import CookRequest
from pneumachron.core.session.pieces import mean_step
from pneumachron.core.units import parse_measure
from pneumachron.services.baseline import with_model_prediction
from pneumachron.services.cook_numbers import with_numbers
from pneumachron.services.households import current_household
from pneumachron.services.inputs import INPUTS_VERSION, Defaults, PlanInputs, located, read_request
from pneumachron.services.learning import household_defaults
from pneumachron.services.planning import find_pot
from pneumachron.store import cooks, households
from pneumachron.store.cooks import COOKS
from pneumachron.store.db import give_back, writing
from pneumachron.store.records import CookContent, LogLine, StoredEvent

USUAL_UP_MIN = 12.0
"""Time to pressure of a cook that does not say. Common practice."""
LEAST_WEIGHT_KG, MOST_WEIGHT_KG = 0.01, 40.0
"""More than any pot holds."""


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
    defaults = household_defaults(session, entry.inputs)
    give_back(session)
    events = list(entered_events(entry))
    content = with_model_prediction(with_numbers(entered_content(entry, pot, defaults)), events)
    with writing(session):
        stored = COOKS.add(session, home, content)
        for event in events:
            cooks.add_event(session, stored.cook_id, event)
        return cooks.log_line(session, stored.cook_id)


def entered_content(entry: Entry, pot: Pot, defaults: Defaults) -> CookContent:
    """The line of the log of a cook that was written down.

    Its numbers are worked out later, so that a whole log comes in quickly.

    Raises
    ------
    RequestError : what was typed cannot be read.
    """
    try:
        request = read_request(entry.inputs, pot, defaults)
    except RequestError as error:
        raise located(error) from None
    up_s = None if entry.come_up_min is None else 60.0 * entry.come_up_min
    weights = (entry.before_kg, entry.after_kg)
    return CookContent(
        name=entry.name,
        person_id=entry.person_id,
        cut=request.load.pieces[0].cut.cut_id,
        pot_id=entry.inputs.pot,
        pot_name=pot.name,
        mass_kg=request.load.mass_kg,
        hold_min=entry.hold_min,
        wished_step=request.tenderness_step,
        connected=False,
        inputs_version=INPUTS_VERSION,
        inputs=asdict(entry.inputs),
        kitchen=kitchen_as_it_is(pot, defaults),
        started_at=entry.started_at,
        ended_at=_over(entry),
        outcome_step=mean_step(entry.pieces, piece_counts(request)),
        come_up_s=up_s,
        yield_ratio=weights[1] / weights[0] if weights[0] and weights[1] else None,
        note=entry.note,
    )


@lru_cache(maxsize=32)
def kitchen_as_it_is(pot: Pot, defaults: Defaults) -> dict[str, Any]:
    """Pot and habits as a cook keeps them; the same for all rows of a log, so read only."""
    return {"pot": asdict(pot), "defaults": asdict(defaults)}


def piece_counts(request: CookRequest) -> list[int]:
    """Pieces of each kind in the pot."""
    return [count for _, count in request.load.kinds()]


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


def read_weights(before: str | None, after: str | None) -> dict[str, float | None]:
    """Weights before and after, as typed.

    Raises
    ------
    RequestError : one cannot be read or cannot be; says which, and what to do.
    """
    found = {
        f"{name}_kg": _weight(name, text) for name, text in (("before", before), ("after", after))
    }
    raw, cooked = found["before_kg"], found["after_kg"]
    if raw is not None and cooked is not None and cooked > raw:
        raise RequestError("heavier_cooked", "after")
    return found


def _weight(name: str, text: str | None) -> float | None:
    if text is None or not text.strip():
        return None
    mass_kg = parse_measure(text, "mass", name)
    if not LEAST_WEIGHT_KG <= mass_kg <= MOST_WEIGHT_KG:
        raise RequestError(
            "weight_range",
            name,
            typed=text.strip(),
            least_kg=LEAST_WEIGHT_KG,
            most_kg=MOST_WEIGHT_KG,
        )
    return mass_kg

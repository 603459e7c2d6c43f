"""Where a cook stands: its events folded once and kept, with what its pot did since.

Reading writes nothing. What a connected pot did since it was last written down is read from the pot
and folded in; the watch writes it down.
"""

import json
from collections.abc import Iterable, Sequence
from contextlib import suppress
from dataclasses import dataclass, fields, replace
from datetime import datetime, timedelta
from typing import Any

from sqlalchemy.orm import Session

from pneumachron.core.procedure.choices import Extra
from pneumachron.core.procedure.cook_plan import CookPlan
from pneumachron.core.procedure.step import Brought
from pneumachron.core.session.events import EVENT_KINDS, Event, EventKind
from pneumachron.core.session.sheet import Sheet, after, blank
from pneumachron.devices.clock import ClockOfCook
from pneumachron.devices.protocol import AwayError
from pneumachron.devices.simulated import SimulatedPot
from pneumachron.services.cook_numbers import own_plan
from pneumachron.services.households import current_household
from pneumachron.services.live_kitchen import CookMemory, LiveKitchen
from pneumachron.store import cooks
from pneumachron.store.cooks import COOKS
from pneumachron.store.records import CookContent, StoredCook, StoredEvent, StoredSample

_SAME = timedelta(milliseconds=1)
_KINDS: dict[str, EventKind] = {kind: kind for kind in EVENT_KINDS}


def core_event(event: StoredEvent) -> Event | None:
    """A stored event as the core reads it; none of a kind that only another version knows."""
    kind = _KINDS.get(event.kind)
    return None if kind is None else Event(event.at.timestamp(), kind, event.body)


@dataclass(frozen=True, slots=True)
class Account:
    """The events of a cook up to a row, folded, and what else is asked of them."""

    plan: CookPlan
    sheet: Sheet
    last_id: int = 0
    count: int = 0
    last_at: datetime | None = None
    last_pot_at: datetime | None = None
    last_pot_keys: frozenset[str] = frozenset()
    """Of what the pot did at that very moment: two states may share one."""
    put_back_min: tuple[int, ...] = ()
    notes: tuple[str, ...] = ()
    outcomes: tuple[StoredEvent, ...] = ()

    def with_event(self, row_id: int, event: StoredEvent) -> "Account":
        """One more event."""
        told = core_event(event)
        sheet = self.sheet if told is None else after(self.plan, self.sheet, told)
        return replace(
            self,
            sheet=sheet,
            last_id=max(row_id, self.last_id),
            count=self.count + 1,
            last_at=event.at if self.last_at is None else max(event.at, self.last_at),
            **self._pot_mark(event),
            put_back_min=self.put_back_min
            + ((int(event.body["hold_min"]),) if event.kind == "put_back" else ()),
            notes=self.notes + ((str(event.body["text"]),) if event.kind == "note" else ()),
            outcomes=self.outcomes + ((event,) if event.kind in {"outcome", "put_back"} else ()),
        )

    def _pot_mark(self, event: StoredEvent) -> dict[str, Any]:
        last = self.last_pot_at
        if event.kind != "pot" or (last is not None and event.at < last):
            return {}
        keys = self.last_pot_keys if event.at == last else frozenset()
        return {"last_pot_at": event.at, "last_pot_keys": keys | {event.key}}

    def knows(self, at: datetime, key: str) -> bool:
        """Whether what the pot did then was told already."""
        last = self.last_pot_at
        return last is not None and (at < last or (at == last and key in self.last_pot_keys))


@dataclass(frozen=True, slots=True)
class Moment:
    """A cook as it stands at a moment."""

    stored: StoredCook
    account: Account
    """What is written down."""
    sheet: Sheet
    """With what the pot did since."""
    pending: tuple[StoredEvent, ...]
    """What the pot did and nobody wrote down yet."""
    samples: tuple[StoredSample, ...]
    fresh_samples: tuple[StoredSample, ...]
    """Those of them that are not written down yet."""
    clock: ClockOfCook
    device: SimulatedPot | None

    @property
    def content(self) -> CookContent:
        """What is kept of it."""
        return self.stored.content

    @property
    def plan(self) -> CookPlan:
        """What it goes by."""
        return self.account.plan

    @property
    def running(self) -> bool:
        """Whether it is under way."""
        return self.stored.content.ended_at is None


def stored_cook(session: Session, cook_id: str) -> StoredCook:
    """A cook of this household that is not deleted."""
    return COOKS.get(session, current_household(session).household_id, cook_id)


def moment_of(session: Session, here: LiveKitchen, cook_id: str) -> Moment:
    """Where a cook stands now. Nothing is written."""
    return moment_of_stored(session, here, stored_cook(session, cook_id))


def moment_of_stored(session: Session, here: LiveKitchen, stored: StoredCook) -> Moment:
    """The same of one that was read already."""
    account = _account(session, here.memory, stored)
    samples = _samples(session, here.memory, stored)
    content = stored.content
    clock = here.clock_of(stored)
    if not content.connected or content.ended_at is not None:
        return Moment(stored, account, account.sheet, (), samples, (), clock, None)
    device = here.pot(content.kitchen, clock)
    pending: tuple[StoredEvent, ...] = ()
    fresh: tuple[StoredSample, ...] = ()
    with suppress(AwayError):
        since = (account.last_pot_at or content.started_at) - _SAME
        told = [
            StoredEvent(
                f"pot-{change.at.timestamp():.3f}-{change.state}",
                change.at,
                "pot",
                {"state": change.state},
            )
            for change in device.changes(since)
        ]
        pending = tuple(event for event in told if not account.knows(event.at, event.key))
        inked = samples[-1].at if samples else content.started_at - _SAME
        fresh = tuple(
            StoredSample(item.at, item.temp_c, item.gauge_pa) for item in device.samples(inked)
        )
    sheet = _with(account, pending).sheet
    return Moment(stored, account, sheet, pending, samples + fresh, fresh, clock, device)


def _with(account: Account, events: Iterable[StoredEvent]) -> Account:
    for event in events:
        account = account.with_event(account.last_id, event)
    return account


def _account(session: Session, memory: CookMemory, stored: StoredCook) -> Account:
    """The fold of what is written down; only what is new is read and folded."""
    key = f"{stored.cook_id} {_key_of(stored.content)}"
    known = memory.get(key)
    if not isinstance(known, Account):
        plan = own_plan(stored.content)
        known = Account(plan, blank(plan, brought_of(stored.content.brought)))
    account = known
    for row_id, event in cooks.events_after(session, stored.cook_id, known.last_id):
        account = account.with_event(row_id, event)
    memory.keep(key, account)
    return account


def _samples(session: Session, memory: CookMemory, stored: StoredCook) -> tuple[StoredSample, ...]:
    key = f"{stored.cook_id} trace"
    kept = memory.get(key)
    known: tuple[StoredSample, ...] = kept if isinstance(kept, tuple) else ()
    last = known[-1].at if known else None
    found = known + tuple(cooks.samples_after(session, stored.cook_id, last))
    memory.keep(key, found)
    return found


def _key_of(content: CookContent) -> str:
    """What the fold depends on besides the events."""
    numbers = None if content.numbers is None else content.numbers.get("hold_min")
    made = (content.inputs, content.kitchen, content.brought, numbers)
    return json.dumps(made, sort_keys=True)


BROUGHT = {field.name for field in fields(Brought)}


def brought_of(kept: dict[str, Any] | None) -> Brought:
    """What recipe and day added to the steps."""
    if kept is None:
        return Brought(version=1)
    work = tuple(Extra(**item) for item in kept["work"])
    kept = {key: value for key, value in kept.items() if key in BROUGHT}
    if isinstance(kept["sauce"], bool):  # as it was kept before a sauce could be of a kind
        kept["sauce"] = "half" if kept["sauce"] else "none"
    spans = {  # JSON has no tuples
        name: tuple(kept[name]) for name in ("rub_s", "marinate_s") if kept.get(name) is not None
    }
    return Brought(**{"version": 1, **kept, **spans, "work": work})


def unwritten(moment: Moment) -> bool:
    """Whether its pot did something that nobody wrote down yet."""
    return bool(moment.pending or moment.fresh_samples)


def write_pot(session: Session, moment: Moment) -> None:
    """Write down what the pot did. Inside `writing`."""
    for event in moment.pending:
        cooks.add_event(session, moment.stored.cook_id, event)
    cooks.add_samples(session, moment.stored.cook_id, moment.fresh_samples)


def all_events(moment: Moment, session: Session) -> Sequence[StoredEvent]:
    """Everything that happened, what is not written down too."""
    return [*cooks.events_of(session, moment.stored.cook_id), *moment.pending]

"""A backup file, read back: what it would change, and doing it."""

from dataclasses import asdict, dataclass
from datetime import datetime
from typing import Any, Literal, TypeAlias

from sqlalchemy.orm import Session

from pneumachron.core.pots import Pot, check_pot
from pneumachron.services.backup import ENVELOPE, ENVELOPE_VERSION, backup
from pneumachron.services.errors import VersionError
from pneumachron.store import restoring
from pneumachron.store.records import Household, KeptPot, Person, PlanContent, StoredPlan

Kind: TypeAlias = Literal["household", "people", "pots", "plans"]


@dataclass(frozen=True, slots=True)
class Changes:
    """How many things of one kind are new, different, or as they are here."""

    kind: Kind
    added: int
    changed: int
    same: int


@dataclass(frozen=True, slots=True)
class Envelope:
    """A backup that was read: everything in it, in the store's own records."""

    made_at: str
    household: Household
    people: tuple[Person, ...]
    pots: tuple[KeptPot, ...]
    plans: tuple[StoredPlan, ...]


def read_envelope(content: dict[str, Any]) -> Envelope:
    """A backup file as records.

    Raises
    ------
    VersionError : written by a newer version.
    KeyError, TypeError, ValueError : not a backup, or damaged.
    """
    if content["envelope"] != ENVELOPE:
        raise ValueError("not a backup")
    if content["envelope_version"] > ENVELOPE_VERSION:
        raise VersionError("backup", content["envelope_version"], ENVELOPE_VERSION)
    kept = tuple(
        KeptPot(Pot(**{**_NEW_IN_POTS, **entry["pot"]}), entry["ready_id"])
        for entry in content["pots"]
    )
    for item in kept:
        check_pot(item.pot)
    return Envelope(
        made_at=str(content["made_at"]),
        household=Household(**content["household"]),
        people=tuple(Person(**entry) for entry in content["people"]),
        pots=kept,
        plans=tuple(_plan(entry) for entry in content["plans"]),
    )


_NEW_IN_POTS = {
    "heat_ratio": 1.0,
    "panel_step_min": 1.0,
    "has_start_key": False,
    "has_crisping_lid": False,
}
"""What pots of older files do not say."""


def _plan(entry: dict[str, Any]) -> StoredPlan:
    values = dict(entry)
    plan_id = values.pop("plan_id")
    created, updated = (
        datetime.fromisoformat(values.pop(name)) for name in ("created_at", "updated_at")
    )
    return StoredPlan(plan_id, PlanContent(**values), created, updated)


def restore(session: Session, content: dict[str, Any], *, dry_run: bool) -> tuple[Changes, ...]:
    """Take in everything of a backup: what is new is added, what differs is replaced.

    What is here and not in the file stays. A dry run only counts.

    Raises
    ------
    VersionError : written by a newer version.
    KeyError, TypeError, ValueError : not a backup, or damaged; nothing was changed.
    """
    envelope = read_envelope(content)
    here = backup(session)
    changes = (
        _compared("household", [asdict(envelope.household)], [here["household"]], "household_id"),
        _compared("people", [asdict(p) for p in envelope.people], here["people"], "person_id"),
        _compared("pots", _pots(envelope.pots), [p["pot"] for p in here["pots"]], "pot_id"),
        _compared("plans", content["plans"], here["plans"], "plan_id"),
    )
    if not dry_run:
        restoring.put_household(session, envelope.household)
        home = envelope.household.household_id
        for person in envelope.people:
            restoring.put_person(session, home, person)
        for pot in envelope.pots:
            restoring.put_pot(session, home, pot)
        for plan in envelope.plans:
            restoring.put_plan(session, home, plan)
    return changes


def _pots(kept: tuple[KeptPot, ...]) -> list[dict[str, Any]]:
    return [asdict(item.pot) for item in kept]


def _compared(
    kind: Kind, theirs: list[dict[str, Any]], ours: list[dict[str, Any]], key: str
) -> Changes:
    known = {item[key]: item for item in ours}
    added = sum(item[key] not in known for item in theirs)
    same = sum(known.get(item[key]) == item for item in theirs)
    return Changes(kind, added, len(theirs) - added - same, same)

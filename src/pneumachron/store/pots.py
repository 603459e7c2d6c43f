"""The pots of the household."""

from dataclasses import fields

from sqlalchemy import select
from sqlalchemy.orm import Session

from pneumachron.core.pots import Pot
from pneumachron.store.errors import NotFoundError
from pneumachron.store.records import KeptPot, new_id, now
from pneumachron.store.tables import PotRow

_NUMBERS = [field.name for field in fields(Pot) if field.name not in {"pot_id", "name"}]


def list_pots(session: Session, household_id: str) -> list[KeptPot]:
    """All pots, smallest first; at most 50."""
    rows = session.scalars(
        select(PotRow)
        .where(PotRow.household_id == household_id, PotRow.deleted_at.is_(None))
        .order_by(PotRow.usable_volume_m3, PotRow.name)
        .limit(50)
    )
    return [_kept(row) for row in rows]


def get_pot(session: Session, household_id: str, pot_id: str) -> KeptPot:
    """A pot of this household."""
    row = _row(session, household_id, pot_id)
    if row.deleted_at is not None:
        raise NotFoundError("pot", pot_id)
    return _kept(row)


def add_pot(session: Session, household_id: str, pot: Pot, ready_id: str | None) -> KeptPot:
    """Keep a pot."""
    numbers = {name: getattr(pot, name) for name in _NUMBERS}
    row = PotRow(
        id=new_id(),
        household_id=household_id,
        ready_id=ready_id,
        name=pot.name,
        created_at=now(),
        **numbers,
    )
    session.add(row)
    session.flush()
    return _kept(row)


def change_pot(session: Session, household_id: str, pot: Pot) -> KeptPot:
    """Keep other numbers for a pot that is here."""
    row = _row(session, household_id, pot.pot_id)
    row.name = pot.name
    for name in _NUMBERS:
        setattr(row, name, getattr(pot, name))
    session.flush()
    return _kept(row)


def set_pot_deleted(session: Session, household_id: str, pot_id: str, *, deleted: bool) -> None:
    """Put a pot away, or take it back out."""
    _row(session, household_id, pot_id).deleted_at = now() if deleted else None
    session.flush()


def _row(session: Session, household_id: str, pot_id: str) -> PotRow:
    row = session.get(PotRow, pot_id)
    if row is None or row.household_id != household_id:
        raise NotFoundError("pot", pot_id)
    return row


def _kept(row: PotRow) -> KeptPot:
    numbers = {name: getattr(row, name) for name in _NUMBERS}
    return KeptPot(Pot(pot_id=row.id, name=row.name, **numbers), row.ready_id)

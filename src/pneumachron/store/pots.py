"""The pots of the household."""

from dataclasses import fields

from sqlalchemy import select
from sqlalchemy.orm import Session

from pneumachron.core.catalog.pots import Pot
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
    row = PotRow(id=new_id(), household_id=household_id, ready_id=ready_id, created_at=now())
    _write(row, pot)
    session.add(row)
    session.flush()
    return _kept(row)


def change_pot(session: Session, household_id: str, pot: Pot) -> KeptPot:
    """Keep other numbers for a pot that is here."""
    row = _row(session, household_id, pot.pot_id)
    _write(row, pot)
    session.flush()
    return _kept(row)


def put_pot(session: Session, household_id: str, kept: KeptPot) -> None:
    """A pot under its own id, over what is there."""
    pot = kept.pot
    row = session.get(PotRow, pot.pot_id) or PotRow(id=pot.pot_id, created_at=now())
    row.household_id, row.ready_id, row.deleted_at = household_id, kept.ready_id, None
    _write(row, pot)
    session.add(row)
    session.flush()


def set_pot_deleted(session: Session, household_id: str, pot_id: str, *, deleted: bool) -> None:
    """Put a pot away, or take it back out."""
    _row(session, household_id, pot_id).deleted_at = now() if deleted else None
    session.flush()


def _row(session: Session, household_id: str, pot_id: str) -> PotRow:
    row = session.get(PotRow, pot_id)
    if row is None or row.household_id != household_id:
        raise NotFoundError("pot", pot_id)
    return row


def _write(row: PotRow, pot: Pot) -> None:
    row.name = pot.name
    for name in _NUMBERS:
        setattr(row, name, getattr(pot, name))


def _kept(row: PotRow) -> KeptPot:
    numbers = {name: getattr(row, name) for name in _NUMBERS}
    return KeptPot(Pot(pot_id=row.id, name=row.name, **numbers), row.ready_id)

"""Paired browsers: known by a digest of their cookie, never by the cookie itself."""

from dataclasses import dataclass
from datetime import datetime

from sqlalchemy import select
from sqlalchemy.orm import Session

from pneumachron.store.errors import NotFoundError
from pneumachron.store.records import new_id, now
from pneumachron.store.tables import DeviceRow

MAX_DEVICES = 50


@dataclass(frozen=True, slots=True)
class Device:
    """A browser that was paired."""

    device_id: str
    name: str
    digest: str
    created_at: datetime
    last_used_at: datetime


def list_devices(session: Session) -> list[Device]:
    """Those that are not forgotten, the last used first."""
    rows = session.scalars(
        select(DeviceRow)
        .where(DeviceRow.forgotten_at.is_(None))
        .order_by(DeviceRow.last_used_at.desc())
        .limit(MAX_DEVICES)
    )
    return [Device(row.id, row.name, row.digest, row.created_at, row.last_used_at) for row in rows]


def forgotten_digests(session: Session) -> set[str]:
    """Cookies that are not to be let in again."""
    return set(session.scalars(select(DeviceRow.digest).where(DeviceRow.forgotten_at.is_not(None))))


def add_device(session: Session, name: str, digest: str) -> Device:
    """One more. The one that was not used for longest makes room when there are too many."""
    kept = list_devices(session)
    if len(kept) >= MAX_DEVICES:
        forget_device(session, kept[-1].device_id)
    moment = now()
    row = DeviceRow(
        id=new_id(), name=name[:80], digest=digest, created_at=moment, last_used_at=moment
    )
    session.add(row)
    session.flush()
    return Device(row.id, row.name, digest, moment, moment)


def forget_device(session: Session, device_id: str) -> None:
    """Do not let it in again."""
    row = session.get(DeviceRow, device_id)
    if row is None or row.forgotten_at is not None:
        raise NotFoundError("device", device_id)
    row.forgotten_at = now()
    session.flush()


def note_use(session: Session, used: dict[str, datetime]) -> None:
    """When devices were used last, by their digest."""
    for row in session.scalars(select(DeviceRow).where(DeviceRow.digest.in_(used))):
        row.last_used_at = max(row.last_used_at, used[row.digest])
    session.flush()

"""Photos of cooks: what is known of them. The pictures lie beside the database."""

from collections.abc import Sequence
from datetime import datetime

from sqlalchemy import select
from sqlalchemy.orm import Session

from pneumachron.store.errors import NotFoundError
from pneumachron.store.records import StoredPhoto, now
from pneumachron.store.repository import MAX_ASKED
from pneumachron.store.tables import CookPhotoRow, CookRow


def photos_of(session: Session, cook_id: str) -> list[StoredPhoto]:
    """Those that are not deleted, in the order they came."""
    rows = session.scalars(
        select(CookPhotoRow)
        .where(CookPhotoRow.cook_id == cook_id, CookPhotoRow.deleted_at.is_(None))
        .order_by(CookPhotoRow.at, CookPhotoRow.id)
    )
    return [_stored(row) for row in rows]


def twin_of(session: Session, cook_id: str, digest: str) -> StoredPhoto | None:
    """The same picture on this sheet, also a deleted one."""
    row = session.scalar(
        select(CookPhotoRow).where(CookPhotoRow.cook_id == cook_id, CookPhotoRow.digest == digest)
    )
    return None if row is None else _stored(row)


def ids_of(session: Session, cook_ids: Sequence[str]) -> dict[str, list[str]]:
    """Ids of the photos of cooks that are not deleted, by cook."""
    found: dict[str, list[str]] = {}
    for first in range(0, len(cook_ids), MAX_ASKED):
        rows = session.execute(
            select(CookPhotoRow.cook_id, CookPhotoRow.id).where(
                CookPhotoRow.cook_id.in_(cook_ids[first : first + MAX_ASKED]),
                CookPhotoRow.deleted_at.is_(None),
            )
        )
        for cook_id, photo_id in rows:
            found.setdefault(cook_id, []).append(photo_id)
    return found


def is_known(session: Session, photo_id: str) -> bool:
    """Whether this id is taken, also by a deleted one."""
    return session.get(CookPhotoRow, photo_id) is not None


def known_ids(session: Session) -> set[str]:
    """All ids, also of deleted ones: they can be put back."""
    return set(session.scalars(select(CookPhotoRow.id)))


def add_photo(session: Session, photo: StoredPhoto) -> None:
    """One more."""
    session.add(
        CookPhotoRow(
            id=photo.photo_id,
            cook_id=photo.cook_id,
            at=photo.at,
            width_px=photo.width_px,
            height_px=photo.height_px,
            digest=photo.digest,
        )
    )
    session.flush()


def get_photo(session: Session, household_id: str, photo_id: str) -> StoredPhoto:
    """A photo of this household, also a deleted one, so that it can be put back."""
    return _stored(_owned(session, household_id, photo_id))


def set_photo_deleted(session: Session, household_id: str, photo_id: str, *, deleted: bool) -> None:
    """Take a photo off its sheet, or put it back."""
    row = _owned(session, household_id, photo_id)
    row.deleted_at = now() if deleted else None
    session.flush()


def _owned(session: Session, household_id: str, photo_id: str) -> CookPhotoRow:
    row = session.scalar(
        select(CookPhotoRow)
        .join(CookRow, CookRow.id == CookPhotoRow.cook_id)
        .where(CookPhotoRow.id == photo_id, CookRow.household_id == household_id)
    )
    if row is None:
        raise NotFoundError("photo", photo_id)
    return row


def _stored(row: CookPhotoRow) -> StoredPhoto:
    at: datetime = row.at
    return StoredPhoto(row.id, row.cook_id, at, row.width_px, row.height_px, row.digest)

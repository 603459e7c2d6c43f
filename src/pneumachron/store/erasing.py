"""Deleted things, counted and erased for good."""

from sqlalchemy import ColumnElement, Select, delete, func, select, update
from sqlalchemy.orm import Session

from pneumachron.store.records import now
from pneumachron.store.tables import (
    CookEventRow,
    CookPhotoRow,
    CookRow,
    CookSampleRow,
    DayRow,
    PersonRow,
    PlanRow,
    RecipeRow,
    SavedRow,
)

KINDS: dict[str, type[SavedRow]] = {
    "plans": PlanRow,
    "recipes": RecipeRow,
    "days": DayRow,
    "cooks": CookRow,
}


def counted(session: Session, household_id: str) -> dict[str, int]:
    """How many of each kind are deleted; photos are those that were taken off an entry."""
    found = {
        kind: session.scalar(select(func.count()).select_from(row).where(*_gone(row, household_id)))
        or 0
        for kind, row in KINDS.items()
    }
    photos = select(func.count()).select_from(CookPhotoRow)
    return found | {
        "photos": session.scalar(photos.where(CookPhotoRow.deleted_at.is_not(None))) or 0
    }


def _gone(row: type[SavedRow], household_id: str) -> tuple[ColumnElement[bool], ...]:
    return row.household_id == household_id, row.deleted_at.is_not(None)


def delete_all(session: Session, household_id: str) -> None:
    """Delete everything that was saved, and everybody; all but people can be restored."""
    gone = now()
    for row in KINDS.values():
        here = (row.household_id == household_id, row.deleted_at.is_(None))
        session.execute(update(row).where(*here).values(deleted_at=gone))
    people = (PersonRow.household_id == household_id, PersonRow.deleted_at.is_(None))
    session.execute(update(PersonRow).where(*people).values(deleted_at=gone))
    session.flush()


def erase(session: Session, household_id: str) -> list[str]:
    """Erase everything that is deleted; gives the ids of photos whose files go with it."""
    cooks: Select[str] = select(CookRow.id).where(*_gone(CookRow, household_id))
    lost = CookPhotoRow.cook_id.in_(cooks) | CookPhotoRow.deleted_at.is_not(None)
    photos = list(session.scalars(select(CookPhotoRow.id).where(lost)))
    session.execute(delete(CookPhotoRow).where(CookPhotoRow.id.in_(photos)))
    for row in (CookEventRow, CookSampleRow):
        session.execute(delete(row).where(row.cook_id.in_(cooks)))
    for kind in KINDS.values():
        session.execute(delete(kind).where(*_gone(kind, household_id)))
    session.flush()
    return photos

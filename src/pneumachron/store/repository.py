"""Things of a household that are saved, found, changed, deleted and restored."""

from collections.abc import Callable, Iterator, Sequence
from datetime import datetime
from typing import Generic, Protocol, TypeVar

from sqlalchemy import ColumnElement, func, select
from sqlalchemy.orm import InstrumentedAttribute, Session

from pneumachron.store.errors import NotFoundError, StaleError
from pneumachron.store.records import new_id, now
from pneumachron.store.tables import SavedRow

MAX_LISTED = 200
MAX_ASKED = 500
"""Ids in one question; SQLite takes some thousand."""

RowT = TypeVar("RowT", bound=SavedRow)
ContentT = TypeVar("ContentT")
ContentT_contra = TypeVar("ContentT_contra", contravariant=True)
StoredT_co = TypeVar("StoredT_co", covariant=True)


class _Stored(Protocol[ContentT_contra, StoredT_co]):
    def __call__(
        self,
        row_id: str,
        content: ContentT_contra,
        created_at: datetime,
        updated_at: datetime,
        version: int,
        /,
    ) -> StoredT_co: ...


class Repository(Generic[RowT, ContentT, StoredT_co]):
    """What all saved things have alike.

    Parameters
    ----------
    kind : what lies on it, for errors
    row : its table
    title : the column that is searched
    write : puts content into a row
    read : content of a row
    stored : a stored thing from id, content and dates
    """

    def __init__(
        self,
        kind: str,
        row: type[RowT],
        title: InstrumentedAttribute[str],
        *,
        write: Callable[[RowT, ContentT], None],
        read: Callable[[RowT], ContentT],
        stored: _Stored[ContentT, StoredT_co],
    ) -> None:
        self._kind, self._row, self._title = kind, row, title
        self._write, self._read, self._make = write, read, stored

    def page(
        self,
        session: Session,
        household_id: str,
        *,
        search: str = "",
        where: Sequence[ColumnElement[bool]] = (),
        limit: int = MAX_LISTED,
        offset: int = 0,
    ) -> tuple[list[StoredT_co], int]:
        """Those whose title holds all words searched for, the newest first, and how many."""
        row = self._row
        chosen = select(row).where(row.household_id == household_id, row.deleted_at.is_(None))
        for word in search.split():
            chosen = chosen.where(self._title.icontains(word, autoescape=True))
        chosen = chosen.where(*where)
        total = session.scalar(select(func.count()).select_from(chosen.subquery())) or 0
        rows = session.scalars(
            chosen.order_by(row.updated_at.desc(), row.id)
            .limit(min(limit, MAX_LISTED))
            .offset(offset)
        )
        return [self._stored(found) for found in rows], total

    def all(self, session: Session, household_id: str) -> Iterator[StoredT_co]:
        """Everything that is not deleted."""
        count = 0
        while True:
            found, total = self.page(session, household_id, offset=count)
            yield from found
            count += len(found)
            if not found or count >= total:
                return

    def some(
        self, session: Session, household_id: str, ids: Sequence[str]
    ) -> dict[str, StoredT_co]:
        """Those of these ids that are here and not deleted."""
        row = self._row
        found: dict[str, StoredT_co] = {}
        for first in range(0, len(ids), MAX_ASKED):
            rows = session.scalars(
                select(row).where(
                    row.household_id == household_id,
                    row.deleted_at.is_(None),
                    row.id.in_(ids[first : first + MAX_ASKED]),
                )
            )
            found |= {item.id: self._stored(item) for item in rows}
        return found

    def get(self, session: Session, household_id: str, row_id: str) -> StoredT_co:
        """One that is not deleted."""
        return self._stored(self._present(session, household_id, row_id))

    def add(self, session: Session, household_id: str, content: ContentT) -> StoredT_co:
        """A new one."""
        row = self._row(id=new_id(), household_id=household_id, created_at=now(), updated_at=now())
        self._write(row, content)
        session.add(row)
        session.flush()
        return self._stored(row)

    def replace(
        self,
        session: Session,
        household_id: str,
        row_id: str,
        content: ContentT,
        seen: int | None = None,
    ) -> StoredT_co:
        """Change one.

        Parameters
        ----------
        seen : the version that the change was made from; None writes over any

        Raises
        ------
        StaleError : it was changed since; nothing was written.
        """
        row = self._present(session, household_id, row_id)
        if seen is not None and row.version != seen:
            raise StaleError(self._kind, row_id, row.updated_at)
        self._write(row, content)
        row.updated_at = now()
        row.version += 1
        session.flush()
        return self._stored(row)

    def put(
        self,
        session: Session,
        household_id: str,
        row_id: str,
        content: ContentT,
        dates: tuple[datetime, datetime],
    ) -> None:
        """One under its own id and with its own dates, over what is there."""
        row = session.get(self._row, row_id) or self._row(id=row_id)
        self._write(row, content)
        row.household_id, row.deleted_at = household_id, None
        row.created_at, row.updated_at = dates
        row.version = (row.version or 0) + 1
        session.add(row)
        session.flush()

    def set_deleted(
        self, session: Session, household_id: str, row_id: str, *, deleted: bool
    ) -> None:
        """Delete one, or restore it."""
        row = self._owned(session, household_id, row_id)
        row.deleted_at = now() if deleted else None
        session.flush()

    def _owned(self, session: Session, household_id: str, row_id: str) -> RowT:
        row = session.get(self._row, row_id)
        if row is None or row.household_id != household_id:
            raise NotFoundError(self._kind, row_id)
        return row

    def _present(self, session: Session, household_id: str, row_id: str) -> RowT:
        row = self._owned(session, household_id, row_id)
        if row.deleted_at is not None:
            raise NotFoundError(self._kind, row_id)
        return row

    def _stored(self, row: RowT) -> StoredT_co:
        return self._make(row.id, self._read(row), row.created_at, row.updated_at, row.version)

"""Cooks: sheets in the log, their events and traces."""

from collections.abc import Iterable, Sequence
from dataclasses import dataclass, fields
from datetime import datetime

from sqlalchemy import func, insert, select
from sqlalchemy.orm import Session

from pneumachron.store.records import CookContent, StoredCook, StoredEvent, StoredSample
from pneumachron.store.shelf import MAX_LISTED, Shelf
from pneumachron.store.tables import CookEventRow, CookRow, CookSampleRow

_FIELDS = tuple(item.name for item in fields(CookContent))


def _write(row: CookRow, content: CookContent) -> None:
    for name in _FIELDS:
        setattr(row, name, getattr(content, name))


def _read(row: CookRow) -> CookContent:
    return CookContent(**{name: getattr(row, name) for name in _FIELDS})


COOKS = Shelf("cook", CookRow, CookRow.name, write=_write, read=_read, stored=StoredCook)


@dataclass(frozen=True, slots=True)
class Filter:
    """Which cooks of the log."""

    search: str = ""
    cut: str | None = None
    pot_id: str | None = None
    running: bool | None = None
    since: datetime | None = None
    until: datetime | None = None


def log_page(
    session: Session, household_id: str, wanted: Filter, *, limit: int, offset: int
) -> tuple[list[StoredCook], int]:
    """Cooks of the log, the last one first, and how many there are."""
    chosen = select(CookRow).where(
        CookRow.household_id == household_id, CookRow.deleted_at.is_(None)
    )
    for word in wanted.search.split():
        chosen = chosen.where(
            CookRow.name.icontains(word, autoescape=True)
            | CookRow.note.icontains(word, autoescape=True)
        )
    if wanted.cut is not None:
        chosen = chosen.where(CookRow.cut == wanted.cut)
    if wanted.pot_id is not None:
        chosen = chosen.where(CookRow.pot_id == wanted.pot_id)
    if wanted.running is not None:
        over = CookRow.ended_at.is_(None) if wanted.running else CookRow.ended_at.is_not(None)
        chosen = chosen.where(over)
    if wanted.since is not None:
        chosen = chosen.where(CookRow.started_at >= wanted.since)
    if wanted.until is not None:
        chosen = chosen.where(CookRow.started_at < wanted.until)
    total = session.scalar(chosen.with_only_columns(func.count())) or 0
    rows = session.scalars(
        chosen.order_by(CookRow.started_at.desc(), CookRow.id)
        .limit(min(limit, MAX_LISTED))
        .offset(offset)
    )
    found = [StoredCook(row.id, _read(row), row.created_at, row.updated_at) for row in rows]
    return found, total


def events_of(session: Session, cook_id: str) -> list[StoredEvent]:
    """Everything that happened, in the order it was told."""
    rows = session.scalars(
        select(CookEventRow).where(CookEventRow.cook_id == cook_id).order_by(CookEventRow.id)
    )
    return [StoredEvent(row.key, row.at, row.kind, row.body) for row in rows]


def add_event(session: Session, cook_id: str, event: StoredEvent) -> bool:
    """Write something down; False when it was told before, here or on another screen."""
    wanted = {
        "cook_id": cook_id,
        "key": event.key,
        "at": event.at,
        "kind": event.kind,
        "body": event.body,
    }
    # one statement, so that two that tell the same at once do not trip over each other
    written = session.scalars(
        insert(CookEventRow).prefix_with("OR IGNORE").returning(CookEventRow.id), [wanted]
    )
    return len(written.all()) == 1


def samples_of(session: Session, cook_id: str) -> list[StoredSample]:
    """The whole trace."""
    rows = session.scalars(
        select(CookSampleRow).where(CookSampleRow.cook_id == cook_id).order_by(CookSampleRow.at)
    )
    return [StoredSample(row.at, row.temp_c, row.gauge_pa) for row in rows]


def last_sample_at(session: Session, cook_id: str) -> datetime | None:
    """Until when the trace is inked."""
    return session.scalar(
        select(CookSampleRow.at)
        .where(CookSampleRow.cook_id == cook_id)
        .order_by(CookSampleRow.at.desc())
        .limit(1)
    )


def add_samples(session: Session, cook_id: str, samples: Sequence[StoredSample]) -> None:
    """Ink more of the trace."""
    if samples:
        session.execute(
            insert(CookSampleRow).prefix_with("OR IGNORE"),
            [
                {"cook_id": cook_id, "at": item.at, "temp_c": item.temp_c,
                 "gauge_pa": item.gauge_pa}
                for item in samples
            ],
        )  # fmt: skip


def put_history(
    session: Session,
    cook_id: str,
    events: Iterable[StoredEvent],
    samples: Sequence[StoredSample],
) -> None:
    """Events and trace of a cook that comes back from a file; what is there already stays once."""
    for event in events:
        add_event(session, cook_id, event)
    add_samples(session, cook_id, samples)

"""Cooks: sheets in the log, their events and traces."""

from collections.abc import Iterable, Iterator, Sequence
from dataclasses import dataclass, fields, replace
from datetime import datetime, timedelta
from typing import Any

from sqlalchemy import ColumnElement, delete, func, insert, select, text
from sqlalchemy.orm import InstrumentedAttribute, Session

from pneumachron.store.records import CookContent, LogLine, StoredCook, StoredEvent, StoredSample
from pneumachron.store.repository import MAX_ASKED, MAX_LISTED, Repository
from pneumachron.store.tables import CookEventRow, CookRow, CookSampleRow

_FIELDS = tuple(item.name for item in fields(CookContent))


def _write(row: CookRow, content: CookContent) -> None:
    for name in _FIELDS:
        setattr(row, name, getattr(content, name))


def _read(row: CookRow) -> CookContent:
    return CookContent(**{name: getattr(row, name) for name in _FIELDS})


COOKS = Repository("cook", CookRow, CookRow.name, write=_write, read=_read, stored=StoredCook)


@dataclass(frozen=True, slots=True)
class Filter:
    """Which cooks of the log."""

    search: str = ""
    cut: str | None = None
    pot_id: str | None = None
    running: bool | None = None
    since: datetime | None = None
    until: datetime | None = None


_LISTED = (
    CookRow.id, CookRow.name, CookRow.person_id, CookRow.cut, CookRow.pot_name, CookRow.mass_kg,
    CookRow.hold_min, CookRow.wished_step, CookRow.outcome_step, CookRow.come_up_s,
    CookRow.yield_ratio, CookRow.started_at, CookRow.ended_at, CookRow.note,
)  # fmt: skip


def log_page(
    session: Session, household_id: str, wanted: Filter, *, limit: int, offset: int
) -> tuple[list[LogLine], int]:
    """Lines of the log, the last one first, and how many there are.

    What is searched for is counted up to one more than `MOST_FOUND`: the list answers at once,
    and who has so many looks for something else.
    """
    few = _numbers(session, wanted.search)
    # with a term on it SQLite leaves the long index alone and goes by the few numbers
    home = CookRow.household_id if few is None else CookRow.household_id.concat("")
    where = [home == household_id, CookRow.deleted_at.is_(None), *_where(wanted, few)]
    last_first = (CookRow.started_at.desc(), CookRow.id.desc())
    # ids by the index alone; whole rows are read for the page that is shown
    ids = select(CookRow.id).where(*where).order_by(*last_first)
    limit = min(limit, MAX_LISTED)
    first = session.scalars(ids.limit(MOST_FOUND + 1)).all() if _words(wanted.search) else None
    if first is None:
        total = session.scalar(select(func.count()).select_from(CookRow).where(*where)) or 0
    else:
        total = len(first)
    if first is not None and total <= MOST_FOUND:
        page = first[offset : offset + limit]
    else:
        page = session.scalars(ids.limit(limit).offset(offset)).all()
    rows = session.execute(select(*_LISTED).where(CookRow.id.in_(page)).order_by(*last_first))
    return [_log_line(row) for row in rows], total


SHORTEST = 3
"""Letters of a word that the index of words can find."""
MOST_FOUND = 2000
"""So many are told of a search, and picked out by their numbers; of more, the log is read."""


def _words(search: str) -> list[str]:
    """A zero byte ends a text for SQLite, so it ends a word here."""
    return search.replace("\0", " ").split()


def _numbers(session: Session, search: str) -> list[int] | None:
    """Which cooks hold all words, by their number; None: too many, or no word to go by."""
    words = [word for word in _words(search) if len(word) >= SHORTEST]
    if not words:
        return None
    # the index takes what stands between double quotes as it is; all phrases are wanted
    phrases = " ".join('"' + word.replace('"', '""') + '"' for word in words)
    found = session.scalars(
        text("SELECT rowid FROM cook_words WHERE cook_words MATCH :phrases LIMIT :most"),
        {"phrases": phrases, "most": MOST_FOUND + 1},
    ).all()
    return None if len(found) > MOST_FOUND else list(found)


def log_line(session: Session, cook_id: str) -> LogLine:
    """The line of one cook."""
    return _log_line(session.execute(select(*_LISTED).where(CookRow.id == cook_id)).one())


def _log_line(row: Sequence[Any]) -> LogLine:
    return LogLine(*row)


def _where(wanted: Filter, few: list[int] | None) -> Iterator[ColumnElement[bool]]:
    if few is not None:
        yield CookRow.number.in_(few)
    if wanted.cut is not None:
        yield CookRow.cut == wanted.cut
    if wanted.pot_id is not None:
        yield CookRow.pot_id == wanted.pot_id
    if wanted.running is not None:
        yield CookRow.ended_at.is_(None) if wanted.running else CookRow.ended_at.is_not(None)
    if wanted.since is not None:
        yield CookRow.started_at >= wanted.since
    if wanted.until is not None:
        yield CookRow.started_at < wanted.until
    # last, for they cost most: SQLite looks in this order. Long words that are read for are known
    # to be common, so short ones tell more apart
    for word in sorted(_words(wanted.search), key=len):
        if few is None or len(word) < SHORTEST:
            # SQLite compares letters of either case alike by itself; lower() on each row is slow
            sought = f"%{word.translate(_ESCAPED)}%"
            yield CookRow.note.like(sought, escape="/") | CookRow.name.like(sought, escape="/")


_ESCAPED = str.maketrans({"%": "/%", "_": "/_", "/": "//"})
MAX_RUNNING = 50


def running_cooks(session: Session, household_id: str) -> list[StoredCook]:
    """Cooks beside the pot now."""
    found, _ = COOKS.page(
        session, household_id, where=(CookRow.ended_at.is_(None),), limit=MAX_RUNNING
    )
    return found


def events_of(session: Session, cook_id: str) -> list[StoredEvent]:
    """Everything that happened, in the order it was told."""
    rows = session.scalars(
        select(CookEventRow).where(CookEventRow.cook_id == cook_id).order_by(CookEventRow.id)
    )
    return [StoredEvent(row.key, row.at, row.kind, row.body) for row in rows]


def events_after(session: Session, cook_id: str, last_id: int) -> list[tuple[int, StoredEvent]]:
    """What was told after a row of the events, with the rows' own numbers, in order."""
    rows = session.execute(
        select(
            CookEventRow.id, CookEventRow.key, CookEventRow.at, CookEventRow.kind, CookEventRow.body
        )
        .where(CookEventRow.cook_id == cook_id, CookEventRow.id > last_id)
        .order_by(CookEventRow.id)
    )
    return [(row_id, StoredEvent(key, at, kind, body)) for row_id, key, at, kind, body in rows]


def last_event_id(session: Session, cook_id: str) -> int:
    """The number of the last event of a cook; 0 when there is none."""
    found = session.scalar(select(func.max(CookEventRow.id)).where(CookEventRow.cook_id == cook_id))
    return found or 0


def is_told(session: Session, cook_id: str, key: str) -> bool:
    """Whether something was told under this key already."""
    found = select(CookEventRow.id).where(CookEventRow.cook_id == cook_id, CookEventRow.key == key)
    return session.scalar(found) is not None


def connected_ids(session: Session, household_id: str) -> list[str]:
    """Cooks under way beside a connected pot, the last one first."""
    return list(
        session.scalars(
            select(CookRow.id)
            .where(
                CookRow.household_id == household_id,
                CookRow.deleted_at.is_(None),
                CookRow.ended_at.is_(None),
                CookRow.connected.is_(True),
            )
            .order_by(CookRow.updated_at.desc())
            .limit(MAX_RUNNING)
        )
    )


def shift(session: Session, cook_id: str, by: timedelta) -> None:
    """Move everything that happened in a cook by so much, its trace too."""
    row = session.get_one(CookRow, cook_id)
    row.started_at += by
    if row.ended_at is not None:
        row.ended_at += by
    for event in session.scalars(select(CookEventRow).where(CookEventRow.cook_id == cook_id)):
        event.at += by
    samples = samples_of(session, cook_id)
    session.execute(delete(CookSampleRow).where(CookSampleRow.cook_id == cook_id))
    add_samples(session, cook_id, [replace(item, at=item.at + by) for item in samples])
    row.version += 1
    session.flush()


def of_older_engine(session: Session, household_id: str, engine: str) -> list[str]:
    """Cooks that teach, and whose lesson is from another engine than this one."""
    return list(
        session.scalars(
            select(CookRow.id)
            .where(
                CookRow.household_id == household_id,
                CookRow.deleted_at.is_(None),
                CookRow.model_engine.is_not(None),
                CookRow.model_engine != engine,
            )
            .order_by(CookRow.started_at)
        )
    )


def put_lesson(
    session: Session,
    cook_id: str,
    model_step: float | None,
    planned_up_s: float | None,
    engine: str,
) -> None:
    """What an engine says of a cook; its own numbers and what happened stay."""
    row = session.get_one(CookRow, cook_id)
    row.model_step, row.planned_up_s, row.model_engine = model_step, planned_up_s, engine
    session.flush()


def unworked(session: Session, household_id: str, limit: int) -> list[str]:
    """Cooks whose own numbers were never worked out: from a version before, or from a file."""
    return list(
        session.scalars(
            select(CookRow.id)
            .where(CookRow.household_id == household_id, CookRow.numbers.is_(None))
            .order_by(CookRow.started_at.desc())
            .limit(limit)
        )
    )


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


def samples_after(session: Session, cook_id: str, last: datetime | None) -> list[StoredSample]:
    """The trace after a moment."""
    chosen = select(CookSampleRow.at, CookSampleRow.temp_c, CookSampleRow.gauge_pa).where(
        CookSampleRow.cook_id == cook_id
    )
    if last is not None:
        chosen = chosen.where(CookSampleRow.at > last)
    return [StoredSample(*row) for row in session.execute(chosen.order_by(CookSampleRow.at))]


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


def put_new(
    session: Session, household_id: str, new: Sequence[tuple[StoredCook, Sequence[StoredEvent]]]
) -> None:
    """Many new cooks at once."""
    if not new:
        return
    cooks = [
        {name: getattr(stored.content, name) for name in _FIELDS}
        | {
            "id": stored.cook_id,
            "household_id": household_id,
            "created_at": stored.created_at,
            "updated_at": stored.updated_at,
        }
        for stored, _ in new
    ]
    events = [
        {"cook_id": stored.cook_id, "key": item.key, "at": item.at, "kind": item.kind,
         "body": item.body}
        for stored, happened in new
        for item in happened
    ]  # fmt: skip
    # straight to the tables: a log has a hundred thousand rows
    connection = session.connection()
    connection.execute(insert(CookRow), cooks)
    if events:
        connection.execute(insert(CookEventRow).prefix_with("OR IGNORE"), events)


def known_ids(session: Session, ids: Sequence[str]) -> set[str]:
    """Which of them are there already, also deleted ones."""
    return set(session.scalars(select(CookRow.id).where(CookRow.id.in_(ids))))


def put_back(session: Session, household_id: str, ids: Iterable[str]) -> int:
    """Undelete those of them that are deleted; gives how many."""
    rows = session.scalars(
        select(CookRow).where(
            CookRow.id.in_(ids),
            CookRow.household_id == household_id,
            CookRow.deleted_at.is_not(None),
        )
    ).all()
    for row in rows:
        row.deleted_at = None
    session.flush()
    return len(rows)


def sizes(session: Session, ids: Sequence[str]) -> tuple[dict[str, int], dict[str, int]]:
    """How many events and how many points of the trace cooks have, by their id."""
    return _counts(session, CookEventRow.cook_id, ids), _counts(session, CookSampleRow.cook_id, ids)


def _counts(
    session: Session, column: InstrumentedAttribute[str], ids: Sequence[str]
) -> dict[str, int]:
    found: dict[str, int] = {}
    for first in range(0, len(ids), MAX_ASKED):
        some = ids[first : first + MAX_ASKED]
        chosen = select(column, func.count()).where(column.in_(some)).group_by(column)
        for cook_id, count in session.execute(chosen):
            found[cook_id] = count
    return found


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

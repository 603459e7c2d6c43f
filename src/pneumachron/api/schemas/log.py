"""The log over the wire: lines, entries, comparing, import and export, what was learned."""

from datetime import datetime
from typing import Annotated, Any, Literal

from pydantic import Field, StringConstraints

from pneumachron.api.schemas.base import Id, MeasureText, Moment, Name, StrictModel
from pneumachron.api.schemas.cook_events import PieceOutcome
from pneumachron.api.schemas.cook_request import PlanIn
from pneumachron.api.schemas.cooks import CookOut
from pneumachron.api.schemas.plan import LearnedOut
from pneumachron.core.session.pieces import MOST_PIECES
from pneumachron.services.entries import Entry, read_weights
from pneumachron.services.log_files import MAX_TOLD, Imported
from pneumachron.store.cooks import Filter
from pneumachron.store.lessons import LessonKind
from pneumachron.store.records import LogLine, StoredEvent
from pneumachron.store.repository import MAX_LISTED

MAX_LOG_FILE = 4_000_000
MAX_IMPORT_ROWS = 5_000
"""Through the screen; the command takes more."""


class EntryIn(StrictModel):
    """A cook that was not followed, written down afterwards."""

    name: Name
    person_id: Id | None = None
    plan: PlanIn
    started_at: Moment
    hold_min: Annotated[int, Field(ge=0, le=720, description="what was set")]
    come_up_min: Annotated[float | None, Field(gt=0, le=180)] = None
    pieces: Annotated[list[PieceOutcome], Field(max_length=MOST_PIECES)] = Field(
        default_factory=list
    )
    before: Annotated[MeasureText | None, Field(description="raw, all pieces together")] = None
    after: Annotated[MeasureText | None, Field(description="cooked")] = None
    note: Annotated[str, StringConstraints(strip_whitespace=True, max_length=2000)] = ""

    def to_entry(self) -> Entry:
        """As the use case takes it."""
        return Entry(
            self.name, self.person_id, self.plan.to_inputs(), self.started_at, self.hold_min,
            self.come_up_min, tuple(piece.model_dump() for piece in self.pieces),
            note=self.note, **read_weights(self.before, self.after),
        )  # fmt: skip


class DifferenceOut(StrictModel):
    """Something that is not the same about two cooks."""

    about: str
    first: str
    then: str


class CompareOut(StrictModel):
    """Two sheets laid together."""

    sheets: Annotated[list[CookOut], Field(min_length=2, max_length=2)]
    differences: Annotated[list[DifferenceOut], Field(max_length=20)]


class CompareQuery(StrictModel):
    """Which two sheets."""

    one: Id
    other: Id


class CookLine(StrictModel):
    """One line of the log."""

    id: str
    name: str
    person_id: str | None
    cut: str
    pot_name: str
    mass_kg: float
    hold_min: int
    wished_step: float
    outcome_step: float | None
    come_up_s: float | None
    yield_ratio: float | None
    started_at: datetime
    ended_at: datetime | None
    note: str

    @classmethod
    def of(cls, line: LogLine) -> "CookLine":
        """A line of the log."""
        names = cls.model_fields.keys() - {"id"}
        return cls(id=line.cook_id, **{name: getattr(line, name) for name in names})


class LogQuery(StrictModel):
    """Which cooks of the log."""

    search: Annotated[str, Field(max_length=120)] = ""
    cut: Annotated[str | None, Field(max_length=40)] = None
    pot: Annotated[str | None, Field(max_length=40)] = None
    running: bool | None = None
    since: Moment | None = None
    until: Moment | None = None
    limit: Annotated[int, Field(ge=1, le=MAX_LISTED)] = 50
    offset: Annotated[int, Field(ge=0, le=10_000_000)] = 0

    def to_filter(self) -> Filter:
        """As the store takes it."""
        return Filter(self.search, self.cut, self.pot, self.running, self.since, self.until)


class ExportQuery(LogQuery):
    """Which cooks, and in which format."""

    kind: Literal["csv", "jsonld"] = "csv"


class LogOut(StrictModel):
    """Cooks of the log, the last one first."""

    cooks: Annotated[list[CookLine], Field(max_length=MAX_LISTED)]
    total: Annotated[int, Field(description="of a search: counted no further than 2001")]


class EventOut(StrictModel):
    """Something that happened."""

    key: str
    at: datetime
    kind: str
    body: dict[str, Any]

    @classmethod
    def of(cls, stored: StoredEvent) -> "EventOut":
        """A stored event."""
        return cls(key=stored.key, at=stored.at, kind=stored.kind, body=stored.body)


class HistoryOut(StrictModel):
    """Everything that happened in a cook, in its order."""

    events: Annotated[list[EventOut], Field(max_length=2000)]


class ImportLogIn(StrictModel):
    """A file that the log exported: CSV or JSON-LD."""

    text: Annotated[str, Field(max_length=MAX_LOG_FILE)]


class BadRowOut(StrictModel):
    """A row that could not be read."""

    line: int
    message: str


class ImportedOut(StrictModel):
    """What came in, what was there already, and what could not be read."""

    added: int
    known: int
    bad: int
    told: Annotated[list[BadRowOut], Field(max_length=MAX_TOLD)]

    @classmethod
    def of(cls, found: Imported) -> "ImportedOut":
        """The answer of the use case."""
        told = [BadRowOut(line=row.line, message=row.message) for row in found.told]
        return cls(added=found.added, known=found.known, bad=found.bad, told=told)


class LessonOut(LearnedOut):
    """What the log taught of a cut or a pot, and what to vary next time."""

    next: str | None
    set_back: Annotated[bool, Field(description="learning began again since then")]


class LessonsOut(StrictModel):
    """Everything the log taught."""

    lessons: Annotated[list[LessonOut], Field(max_length=80)]


class SetBackIn(StrictModel):
    """Begin learning again from now on, or let everything count."""

    kind: LessonKind
    key: Annotated[str, StringConstraints(min_length=1, max_length=40)]
    on: bool

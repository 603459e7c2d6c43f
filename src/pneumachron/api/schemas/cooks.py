"""Cooks: what is told of them, and what a screen shows."""

from datetime import datetime
from typing import Annotated, Any, Literal

from pydantic import Field, StringConstraints

from pneumachron.api.schemas.ask import MAX_STEPS, PlanStep
from pneumachron.api.schemas.base import Closed, Id, MeasureText, Moment, Name, Shown
from pneumachron.api.schemas.plan import LearnedOut, PlanIn
from pneumachron.api.schemas.recipe_card import (
    Eaters,
    ExtraIn,
    Leftovers,
    RecipeCard,
    Sauce,
    SearBatches,
    SearMinutes,
)
from pneumachron.core.cook.forecast import AlarmKind
from pneumachron.core.cook.pieces import MOST_PIECES
from pneumachron.core.cook.turns import Wants
from pneumachron.core.live.pot import LiveState
from pneumachron.core.procedure.choices import MAX_EXTRAS, Ahead, Extra
from pneumachron.core.procedure.steps import Brought, Waits
from pneumachron.core.season import Marinade
from pneumachron.core.tenderness import Texture
from pneumachron.core.wish import Level
from pneumachron.devices.protocol import HandAction, PotCommand
from pneumachron.devices.simulated import Faults
from pneumachron.services.cook_documents import MOST_INK
from pneumachron.services.cooks import CameWith, Told
from pneumachron.services.entries import Entry, read_weights
from pneumachron.services.log_files import MAX_TOLD, Imported
from pneumachron.services.photos import MAX_PHOTOS
from pneumachron.store.cooks import MAX_RUNNING, Filter
from pneumachron.store.lessons import LessonKind
from pneumachron.store.records import LogLine, NoLesson, StoredEvent
from pneumachron.store.shelf import MAX_LISTED

MAX_LOG_FILE = 4_000_000
MAX_IMPORT_ROWS = 5_000
"""Through the screen; the command takes more."""
MAX_TIMERS = 60
MAX_PIECE_KINDS = 12
EventKey = Annotated[
    str, StringConstraints(min_length=4, max_length=60, pattern=r"^[A-Za-z0-9._-]+$")
]
StepId = Annotated[str, StringConstraints(min_length=1, max_length=20)]
Rung = Annotated[int, Field(ge=1, le=5)]


class BeginIn(Closed):
    """Begin a cook."""

    name: Name
    person_id: Id | None = None
    plan: PlanIn
    connected: Annotated[bool, Field(description="the simulated pot stands beside it")] = False
    recipe: Annotated[RecipeCard | None, Field(description="what it is cooked from")] = None
    extras: Annotated[
        list[ExtraIn], Field(max_length=MAX_EXTRAS, description="work that recipe or day add")
    ] = Field(default_factory=list)
    sauce: Sauce = "half"
    ahead: Annotated[Ahead, Field(description="eaten the day it is cooked, or later")] = "today"
    from_freezer: Annotated[bool, Field(description="it is thawed first")] = False
    rubbed: Annotated[bool, Field(description="the rub stays on overnight")] = False
    marinade: Marinade | None = None
    sear_min: SearMinutes = None
    sear_batches: SearBatches = None
    eaters: Eaters = None
    leftovers: Leftovers = "chill"

    def came_with(self) -> CameWith:
        """What comes along besides the plan."""
        work = tuple(Extra(**extra.model_dump()) for extra in self.extras)
        recipe = None if self.recipe is None else self.recipe.model_dump()
        brought = Brought(
            work,
            self.sauce,
            self.ahead,
            from_freezer=self.from_freezer,
            rubbed=self.rubbed,
            marinade=self.marinade,
            sear_s=None if self.sear_min is None else 60.0 * self.sear_min,
            sear_batches=self.sear_batches,
            eaters=self.eaters,
            leftovers=self.leftovers,
        )
        return CameWith(recipe, brought)


class _Told(Closed):
    """`key` is the client's own; the same key is written once."""

    key: EventKey


class StepTold(_Told):
    """A step was done, or was not after all."""

    kind: Literal["done", "undone"]
    step_id: StepId
    anyway: Annotated[
        bool, Field(description="done although time that the plan counts on is left")
    ] = False
    skipped: Annotated[
        str | None,
        StringConstraints(strip_whitespace=True, min_length=1, max_length=200),
        Field(description="why it is left out"),
    ] = None


class TickTold(_Told):
    """A line of a step was confirmed."""

    kind: Literal["ticked"]
    step_id: StepId
    tick: Annotated[str, StringConstraints(min_length=1, max_length=80)]


class TimerStartTold(_Told):
    """A timer runs."""

    kind: Literal["timer_started"]
    step_id: StepId
    timer_id: EventKey
    title: Annotated[
        str | None, StringConstraints(strip_whitespace=True, min_length=1, max_length=80)
    ] = None
    offered: Annotated[
        int | None, Field(ge=0, le=100, description="which timer of the step; or a title")
    ] = None
    seconds: Annotated[float, Field(ge=1, le=172_800)]


class TimerMoveTold(_Told):
    """A timer was moved."""

    kind: Literal["timer_moved"]
    timer_id: EventKey
    by_s: Annotated[float, Field(ge=-86_400, le=86_400)]


class TimerTold(_Told):
    """A timer was heard, or taken off."""

    kind: Literal["timer_rang", "timer_stopped"]
    timer_id: EventKey


class PutBackTold(_Told):
    """It goes back into the pot."""

    kind: Literal["put_back"]
    hold_min: Annotated[int, Field(ge=1, le=240)]


class NoteTold(_Told):
    """A line for next time."""

    kind: Literal["note"]
    step_id: Annotated[StepId | None, Field(description="the step that it is about")] = None
    text: Annotated[str, StringConstraints(strip_whitespace=True, min_length=1, max_length=2000)]


class WeighedTold(_Told):
    """Weights before and after, with their unit."""

    kind: Literal["weighed"]
    before: MeasureText | None = None
    after: MeasureText | None = None


class PieceOutcome(Closed):
    """How a piece came out, or all of a kind when `number` is not said."""

    group: Annotated[int | None, Field(ge=0, lt=MAX_PIECE_KINDS, description="its kind")] = None
    number: Annotated[int | None, Field(ge=1, le=MOST_PIECES)] = None
    mark: Annotated[str, StringConstraints(strip_whitespace=True, max_length=40)] = ""
    texture: Texture | None = None
    juicy: Rung | None = None
    taste: Rung | None = None


class OutcomeTold(_Told):
    """How it came out, piece by piece."""

    kind: Literal["outcome"]
    pieces: Annotated[list[PieceOutcome], Field(min_length=1, max_length=MOST_PIECES)]


class EndTold(_Told):
    """It is over; abandoned: it was given up before it was done, and teaches nothing."""

    kind: Literal["ended", "abandoned"]


class BeganTold(_Told):
    """It begins only now: nothing of it was done yet."""

    kind: Literal["began"]


ToldIn = Annotated[
    StepTold
    | TickTold
    | TimerStartTold
    | TimerMoveTold
    | TimerTold
    | PutBackTold
    | NoteTold
    | WeighedTold
    | OutcomeTold
    | EndTold
    | BeganTold,
    Field(discriminator="kind"),
]


def told(event: ToldIn) -> Told:
    """As the use case takes it.

    Raises
    ------
    WishError : a weight that cannot be.
    """
    if isinstance(event, WeighedTold):
        return Told(event.key, event.kind, read_weights(event.before, event.after))
    body = event.model_dump(exclude={"key", "kind"})
    if not body.get("anyway", True):
        del body["anyway"]
    return Told(event.key, event.kind, body)


class EntryIn(Closed):
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


class PressIn(Closed):
    """Press the panel."""

    do: PotCommand
    at_the_pot: Annotated[bool, Field(description="somebody stands there")] = False


class ConnectIn(Closed):
    """Whether the simulated pot stands beside a cook."""

    on: bool


class HandsIn(Closed):
    """Play the hands beside a simulated pot."""

    do: HandAction
    volume: Annotated[str | None, Field(max_length=40)] = None


class FaultsIn(Closed):
    """What of the simulated pot does not work."""

    weak_heater: bool = False
    leaking_gasket: bool = False
    stuck_base: bool = False
    away: bool = False

    def to_faults(self) -> Faults:
        """As the device takes it."""
        return Faults(**self.model_dump())


class JudgeIn(Closed):
    """How it looks, or what a probe reads."""

    seen: Texture | None = None
    probe: Annotated[str | None, Field(max_length=40)] = None


class TickOut(Closed):
    """A line to confirm."""

    code: str
    text: str
    on: bool


class CookStepTimerOut(Closed):
    """A timer that a step offers."""

    offered: int
    title: str
    seconds: int


class CookStepOut(PlanStep):
    """A step of the plan, as far as it is done."""

    recipe: Annotated[list[str], Field(max_length=60, description="what the recipe says of it")]
    waits: Waits | None
    skippable: Annotated[bool, Field(description="it may be left out without harm")]
    ticks: Annotated[list[TickOut], Field(max_length=8)]
    timers: Annotated[list[CookStepTimerOut], Field(max_length=MAX_TIMERS)]
    done_at: datetime | None


class TimerOut(Closed):
    """A timer; `heard` once it rang somewhere."""

    timer_id: str
    step_id: str
    title: str
    due_at: datetime
    left_s: int
    heard: bool


class AlarmOut(Closed):
    """What goes wrong now, and what to do."""

    kind: AlarmKind
    title: str
    do: Annotated[list[str], Field(max_length=8)]


class AheadOut(Closed):
    """A step still to come."""

    step_id: str
    begin_at: datetime
    end_at: datetime


class ForecastOut(Closed):
    """When it is on the table, from what has happened so far."""

    table_at: datetime
    planned_at: datetime
    late_s: int
    ahead: Annotated[list[AheadOut], Field(max_length=MAX_STEPS)]


class PotNowOut(Closed):
    """What a connected pot shows."""

    state: LiveState
    temp_c: float
    gauge_pa: int
    pin_up: bool
    left_s: int | None
    spitting: bool


class LooksOut(Closed):
    """How a rung looks."""

    texture: Texture
    looks: str


class KindOut(Closed):
    """Alike pieces."""

    name: str
    count: int


class CookPlanOut(Closed):
    """What of the plan stands beside the pot."""

    hold_min: int
    level: Level
    pot_name: str
    cut: str
    texture: Texture
    looks: Annotated[list[LooksOut], Field(max_length=5)]
    kinds: Annotated[list[KindOut], Field(max_length=MAX_PIECE_KINDS)]
    cautions: Annotated[list[str], Field(max_length=30)]


Points = Annotated[
    list[Annotated[list[float], Field(min_length=2, max_length=2)]],
    Field(max_length=MOST_INK + 2, description="[s from the start of heating, Pa]"),
]


class PhotoOut(Closed):
    """A photo of a cook; the picture is at `/api/photos/{id}`."""

    id: str
    at: datetime
    width_px: int
    height_px: int


class WeighedOut(Closed):
    """Weights as far as they were told."""

    before: Shown | None
    after: Shown | None


class CookOut(Closed):
    """Where a cook stands."""

    id: str
    name: str
    person_id: str | None
    now: datetime
    speed: int
    ahead_s: Annotated[int, Field(description="ahead of the kitchen's clock; negative: behind")]
    version: int
    abandoned: bool
    no_lesson: Annotated[
        Literal["abandoned", "stopped"] | NoLesson | None,
        Field(description="why it teaches nothing of taste, once it is over"),
    ] = None
    engine: Annotated[str, Field(description="the engine whose numbers it goes by")]
    reconstructed: Annotated[bool, Field(description="its numbers were worked out afterwards")]
    began_at: datetime
    ended_at: datetime | None
    connected: bool
    set_min: int
    plan: CookPlanOut
    steps: Annotated[list[CookStepOut], Field(max_length=MAX_STEPS)]
    current: str | None
    next: str | None
    timers: Annotated[list[TimerOut], Field(max_length=MAX_TIMERS)]
    alarms: Annotated[list[AlarmOut], Field(max_length=10)]
    forecast: ForecastOut
    rounds: int
    pot: PotNowOut | None
    faults: Annotated[FaultsIn | None, Field(description="of the simulated pot")]
    lid_at: datetime | None
    pencil: Points
    ink: Points
    outcome: dict[str, Any] | None
    weighed: WeighedOut
    side_by_side: Annotated[list[str], Field(max_length=MOST_PIECES)]
    wish: Annotated[PlanIn | None, Field(description="as it was typed, to plan it again")]
    recipe: RecipeCard | None
    photos: Annotated[list[PhotoOut], Field(max_length=MAX_PHOTOS)]


class DifferenceOut(Closed):
    """Something that is not the same about two cooks."""

    about: str
    first: str
    then: str


class CompareOut(Closed):
    """Two sheets laid together."""

    sheets: Annotated[list[CookOut], Field(min_length=2, max_length=2)]
    differences: Annotated[list[DifferenceOut], Field(max_length=20)]


class PieceTraceOut(Closed):
    """One kind of piece over time."""

    name: str
    count: int
    softening: Annotated[
        list[Annotated[list[float], Field(min_length=2, max_length=2)]],
        Field(
            max_length=MOST_INK + 2,
            description="[s from the start of heating, rung: 0 chewy to 4 falls apart]",
        ),
    ]


class PiecesOut(Closed):
    """The kinds of pieces in one pot, one over the other."""

    followed: Annotated[bool, Field(description="along what happened; else along the plan")]
    kinds: Annotated[list[PieceTraceOut], Field(max_length=MAX_PIECE_KINDS)]
    said: Annotated[list[str], Field(max_length=2 * MAX_PIECE_KINDS)]


class CompareQuery(Closed):
    """Which two sheets."""

    one: Id
    other: Id


class RangOut(Closed):
    """A timer that is due and was not heard yet."""

    timer_id: str
    title: str


class TurnOut(Closed):
    """What a cook beside the pot wants."""

    id: str
    name: str
    pot_name: str
    wants: Wants
    title: str
    due_at: datetime
    left_s: int
    speed: Annotated[int, Field(description="how many times as fast as the wall its time runs")]
    rang: Annotated[list[RangOut], Field(max_length=MAX_TIMERS)]


class TurnsOut(Closed):
    """All cooks beside the pots; what needs hands comes first."""

    turns: Annotated[list[TurnOut], Field(max_length=MAX_RUNNING)]


class ScaleIn(Closed):
    """What lies on the simulated scale, with its unit."""

    on_it: MeasureText


class ScaleOut(Closed):
    """What the scale shows."""

    mass_kg: float
    mass_shown: Shown
    settled: bool


class CookLine(Closed):
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


class LogQuery(Closed):
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


class LogOut(Closed):
    """Cooks of the log, the last one first."""

    cooks: Annotated[list[CookLine], Field(max_length=MAX_LISTED)]
    total: Annotated[int, Field(description="of a search: counted no further than 2001")]


class EventOut(Closed):
    """Something that happened."""

    key: str
    at: datetime
    kind: str
    body: dict[str, Any]

    @classmethod
    def of(cls, stored: StoredEvent) -> "EventOut":
        """A stored event."""
        return cls(key=stored.key, at=stored.at, kind=stored.kind, body=stored.body)


class HistoryOut(Closed):
    """Everything that happened in a cook, in its order."""

    events: Annotated[list[EventOut], Field(max_length=2000)]


class ImportLogIn(Closed):
    """A file that the log exported: CSV or JSON-LD."""

    text: Annotated[str, Field(max_length=MAX_LOG_FILE)]


class BadRowOut(Closed):
    """A row that could not be read."""

    line: int
    message: str


class ImportedOut(Closed):
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
    set_back: Annotated[bool, Field(description="it is learned anew since then")]


class LessonsOut(Closed):
    """Everything the log taught."""

    lessons: Annotated[list[LessonOut], Field(max_length=80)]


class SetBackIn(Closed):
    """Learn anew from now on, or let everything count again."""

    kind: LessonKind
    key: Annotated[str, StringConstraints(min_length=1, max_length=40)]
    on: bool


class ProbeOut(Closed):
    """What a probe reads; with the lid on it reads the steam."""

    temp_c: float
    believable: bool


class ClockIn(Closed):
    """How fast the time of a cook runs, or that it comes back to the time of the kitchen."""

    speed: Literal[1, 10, 60, 240] | None = None
    back: bool = False


class ClockOut(Closed):
    """What time it is in the kitchen."""

    now: datetime

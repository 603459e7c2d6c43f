"""Cooks: what is told of them, and what a screen shows."""

from datetime import datetime
from typing import Annotated, Any, Literal

from pydantic import Field

from pneumachron.api.schemas.ask import MAX_STEPS, PlanStep
from pneumachron.api.schemas.base import Id, Name, Shown, StrictModel
from pneumachron.api.schemas.connected import FaultsIn
from pneumachron.api.schemas.cook_events import MAX_PIECE_KINDS, MAX_TIMERS
from pneumachron.api.schemas.cook_request import PlanIn
from pneumachron.api.schemas.recipe_card import (
    Eaters,
    ExtraIn,
    FatLeft,
    Leftovers,
    PulledFirst,
    RecipeCard,
    Sauce,
    SauceMl,
    SearBatches,
    SearMinutes,
    SpanMinutes,
)
from pneumachron.core.physics.tenderness import Texture
from pneumachron.core.planning.request import Level
from pneumachron.core.planning.season import Marinade
from pneumachron.core.procedure.choices import MAX_EXTRAS, Ahead, Extra
from pneumachron.core.procedure.step import Brought, Waits
from pneumachron.core.session.forecast import AlarmKind
from pneumachron.core.session.pieces import MOST_PIECES
from pneumachron.core.session.simulated_pot import LiveState
from pneumachron.core.session.turns import Wants
from pneumachron.services.cook_documents import MOST_INK
from pneumachron.services.cooks import SessionContext
from pneumachron.services.inputs import span_s
from pneumachron.services.photos import MAX_PHOTOS
from pneumachron.store.cooks import MAX_RUNNING
from pneumachron.store.records import NoLesson


class BeginIn(StrictModel):
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
    sauce_ml: SauceMl = None
    ahead: Annotated[Ahead, Field(description="eaten the day it is cooked, or later")] = "today"
    from_freezer: Annotated[bool, Field(description="it is thawed first")] = False
    rubbed: Annotated[bool, Field(description="the rub stays on, overnight or for `rub_min`")] = (
        False
    )
    rub_min: SpanMinutes = None
    crackling: Annotated[bool, Field(description="its rind is roasted crisp on its own")] = False
    pulled_first: PulledFirst = False
    marinade: Marinade | None = None
    marinate_min: SpanMinutes = None
    fat_mm: FatLeft = None
    sear_min: SearMinutes = None
    sear_batches: SearBatches = None
    eaters: Eaters = None
    leftovers: Leftovers = "chill"

    def came_with(self) -> SessionContext:
        """What comes along besides the plan."""
        work = tuple(Extra(**extra.model_dump()) for extra in self.extras)
        recipe = None if self.recipe is None else self.recipe.model_dump()
        brought = Brought(
            work,
            self.sauce,
            self.ahead,
            from_freezer=self.from_freezer,
            rubbed=self.rubbed,
            rub_s=span_s(self.rub_min),
            crackling=self.crackling,
            pulled_first=self.pulled_first,
            marinade=self.marinade,
            marinate_s=span_s(self.marinate_min),
            fat_m=None if self.fat_mm is None else self.fat_mm / 1000.0,
            sear_s=None if self.sear_min is None else 60.0 * self.sear_min,
            sear_batches=self.sear_batches,
            eaters=self.eaters,
            leftovers=self.leftovers,
            sauce_m3=None if self.sauce_ml is None else self.sauce_ml / 1e6,
        )
        return SessionContext(recipe, brought)


class JudgeIn(StrictModel):
    """How it looks, or what a probe reads."""

    seen: Texture | None = None
    probe: Annotated[str | None, Field(max_length=40)] = None


class TickOut(StrictModel):
    """A line to confirm."""

    code: str
    text: str
    on: bool


class CookStepTimerOut(StrictModel):
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


class TimerOut(StrictModel):
    """A timer; `heard` once it rang somewhere."""

    timer_id: str
    step_id: str
    title: str
    due_at: datetime
    left_s: int
    heard: bool


class AlarmOut(StrictModel):
    """What goes wrong now, and what to do."""

    kind: AlarmKind
    title: str
    do: Annotated[list[str], Field(max_length=8)]


class AheadOut(StrictModel):
    """A step still to come."""

    step_id: str
    begin_at: datetime
    end_at: datetime


class ForecastOut(StrictModel):
    """When it is on the table, from what has happened so far."""

    table_at: datetime
    planned_at: datetime
    late_s: int
    ahead: Annotated[list[AheadOut], Field(max_length=MAX_STEPS)]


class PotNowOut(StrictModel):
    """What a connected pot shows."""

    state: LiveState
    temp_c: float
    gauge_pa: int
    pin_up: bool
    left_s: int | None
    spitting: bool


class LooksOut(StrictModel):
    """How a step looks."""

    texture: Texture
    looks: str


class KindOut(StrictModel):
    """Alike pieces."""

    name: str
    count: int


class CookPlanOut(StrictModel):
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


class PhotoOut(StrictModel):
    """A photo of a cook; the picture is at `/api/photos/{id}`."""

    id: str
    at: datetime
    width_px: int
    height_px: int


class WeighedOut(StrictModel):
    """Weights as far as they were told."""

    before: Shown | None
    after: Shown | None


class CookOut(StrictModel):
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
    request: Annotated[PlanIn | None, Field(description="as it was typed, to plan it again")]
    recipe: RecipeCard | None
    photos: Annotated[list[PhotoOut], Field(max_length=MAX_PHOTOS)]


class PieceTraceOut(StrictModel):
    """One kind of piece over time."""

    name: str
    count: int
    softening: Annotated[
        list[Annotated[list[float], Field(min_length=2, max_length=2)]],
        Field(
            max_length=MOST_INK + 2,
            description="[s from the start of heating, step: 0 chewy to 4 falls apart]",
        ),
    ]


class PiecesOut(StrictModel):
    """The kinds of pieces in one pot, one over the other."""

    followed: Annotated[bool, Field(description="along what happened; else along the plan")]
    kinds: Annotated[list[PieceTraceOut], Field(max_length=MAX_PIECE_KINDS)]
    said: Annotated[list[str], Field(max_length=2 * MAX_PIECE_KINDS)]


class RangOut(StrictModel):
    """A timer that is due and was not heard yet."""

    timer_id: str
    title: str


class TurnOut(StrictModel):
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


class TurnsOut(StrictModel):
    """All cooks beside the pots; what needs hands comes first."""

    turns: Annotated[list[TurnOut], Field(max_length=MAX_RUNNING)]

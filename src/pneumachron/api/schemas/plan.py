"""A request and the plan that answers it."""

from datetime import datetime
from typing import Annotated

from pydantic import Field, computed_field

from pneumachron.api.schemas.base import Shown, StrictModel
from pneumachron.api.schemas.said import Params
from pneumachron.core.catalog.cuts import LiquidStyle, ReleaseMethod
from pneumachron.core.catalog.racks import Rack
from pneumachron.core.constants import SourceKind
from pneumachron.core.physics.tenderness import Texture
from pneumachron.core.planning.batches import MAX_RUNS
from pneumachron.core.planning.course import MAX_TRACE, PhaseKind
from pneumachron.core.planning.finish import FinishKind
from pneumachron.core.planning.habits import HabitCode
from pneumachron.core.planning.likely_range import PartKind
from pneumachron.core.planning.load import MAX_KINDS, MAX_PIECES, Shape
from pneumachron.core.planning.lying import ArrangementKind
from pneumachron.core.planning.reasons import About
from pneumachron.core.planning.releases import ReleaseWhy
from pneumachron.core.planning.request import Level
from pneumachron.core.procedure.tasks import Resource
from pneumachron.store.lessons import LessonKind
from pneumachron.text.say import say, say_cut


class SettingOut(StrictModel):
    """What is set on the panel, and the choices it rests on."""

    hold_min: int
    hold_low_min: int
    hold_high_min: int
    level: Level
    gauge_pa: float
    hold_temp_c: float
    boil_temp_c: float
    texture: Texture
    liquid_style: LiquidStyle
    release: ReleaseMethod
    rack: Rack
    altitude_m: float
    altitude_shown: Shown


class MarkOut(StrictModel):
    """A sensible amount of liquid as typed, and how high it would stand."""

    typed: str
    level_m: float


class LiquidOut(StrictModel):
    """How much liquid, between which limits, and how high it stands."""

    volume_m3: float
    sauce_m3: float = 0.0
    bed_m3: float = 0.0
    max_volume_m3: float | None = None
    usual_volume_m3: float
    lowest_m3: float
    highest_m3: float
    level_m: float
    fill_ratio: float
    solids_m3: float
    shown: Shown
    usual_shown: Shown
    marks_metric: Annotated[list[MarkOut], Field(max_length=120)]
    marks_us: Annotated[list[MarkOut], Field(max_length=120)]
    lowest_shown: Shown
    highest_shown: Shown
    level_shown: Shown


Point = Annotated[list[float], Field(min_length=2, max_length=2)]


class PlacedOut(StrictModel):
    """A piece in its place: its edge from above, and its heights over the base."""

    kind: Annotated[int, Field(description="index into pieces")]
    outline_m: Annotated[list[Point], Field(max_length=400)]
    bottom_m: float
    height_m: float


class SpanOut(StrictModel):
    """Where the cut that is drawn meets a piece."""

    placed: int
    left_m: float
    right_m: float


class BedOut(StrictModel):
    """Vegetables between two layers of meat; heights over the base."""

    bottom_m: float
    height_m: float


class ArrangementOut(StrictModel):
    """How the meat stands; x and y from the middle of the floor."""

    coiled: bool
    kind: ArrangementKind | None = None
    tight: bool = False
    rack_height_m: float
    rack_inset_m: float = 0.0
    meat_height_m: float
    layers: float
    beds: Annotated[list[BedOut], Field(max_length=6)] = Field(default_factory=list)
    placed: Annotated[list[PlacedOut], Field(max_length=MAX_PIECES)]
    section_m: Annotated[float, Field(description="y of the cut that is drawn")] = 0.0
    section: Annotated[list[SpanOut], Field(max_length=600)]


class ReleaseOut(StrictModel):
    """How the pressure is let go, what that does, and why it is the usual way."""

    method: ReleaseMethod
    usual: ReleaseMethod
    wait_s: float | None
    keep_s: float
    boil_s: float
    soak_s: float
    why: ReleaseWhy | None = None
    pulses: bool

    @computed_field
    def reason(self) -> str:
        """Why the usual way is usual."""
        return say("release-why", {"why": self.why or self.usual})

    @computed_field
    def juice(self) -> str:
        """What it does to the juice."""
        return say(f"release-{self.method}.juice")

    @computed_field
    def spray(self) -> str:
        """What comes out of the valve."""
        return say(f"release-{self.method}.spray")


class EndingOut(StrictModel):
    """What is in the pot when the lid comes off."""

    steam_m3: float
    juice_m3: float
    fat_m3: float
    liquid_m3: float
    meat_kg: float
    level_m: float
    juice_shown: Shown
    liquid_shown: Shown


class ExpectationOut(StrictModel):
    """What comes of the cook's own minutes: steps of tenderness, in 8 of 10 kitchens between."""

    usual_min: Annotated[int, Field(description="what the engine would set")]
    usual_low_min: int
    usual_high_min: int
    tenderness_step: float
    texture_reached: Texture
    low_step: float
    low_reached: Texture
    high_step: float
    high_reached: Texture
    below: Annotated[bool, Field(description="firmer than the first step of tenderness")]
    sure_ratio: Annotated[float, Field(description="chance of what was wished, or softer")]


class BatchOut(StrictModel):
    """A batch after the first; it goes into a hot pot."""

    pieces: int
    mass_shown: Shown
    hold_min: int
    hold_low_min: int
    hold_high_min: int
    lid_on_to_open_s: float
    goes_on: Annotated[
        bool, Field(description="no new meat: what was not done with the first is cooked on")
    ] = False


class HabitOut(StrictModel):
    """One of two habits of a cut, and what to set for it."""

    code: HabitCode
    my_minutes: int | None
    texture: Texture | None
    finish: FinishKind | None


class WholeOut(StrictModel):
    """Alike pieces as they were bought, before the knife."""

    total_mass_shown: Shown
    thickness_m: float
    length_m: float
    width_m: float
    thickness_shown: Shown
    length_shown: Shown
    width_shown: Shown


class ServingOut(StrictModel):
    """From the shop to the plates."""

    plates_from: int
    plates_to: int
    bought_shown: Shown
    served_shown: Shown


class RangePartOut(StrictModel):
    """One thing that widens the range, by itself."""

    kind: PartKind
    low_min: float
    high_min: float


class PotOut(StrictModel):
    """The pot, as drawn."""

    name: str
    usable_volume_m3: float
    inner_diameter_m: float
    inner_height_m: float
    heater_w: float
    min_liquid_m3: float
    min_level_m: float
    max_fill_ratio: float
    max_level_m: float
    gauge_high_pa: float
    gauge_low_pa: float
    longest_hold_min: float
    heat_ratio: float = 1.0
    panel_step_min: float = 1.0
    has_start_key: bool = False
    has_crisping_lid: bool = False
    is_stovetop: bool = False
    min_liquid_shown: Shown
    max_volume_shown: Shown
    inner_diameter_shown: Shown
    inner_height_shown: Shown


class PieceOut(StrictModel):
    """One kind of piece, and what becomes of it."""

    cut: str
    count: int
    mass_kg: float
    thickness_m: float
    width_m: float
    length_m: float
    start_temp_c: float
    shape: Shape = "block"
    frozen: bool = False
    bone: bool
    membrane: bool
    total_mass_shown: Shown
    mass_shown: Shown
    thickness_shown: Shown
    width_shown: Shown
    length_shown: Shown
    start_shown: Shown
    tenderness_step: float
    texture_reached: Texture
    dry: bool = False
    dryness_ratio: Annotated[float, Field(description="above 1 it is soft but dry")] = 0.0
    lethality_ratio: Annotated[
        float | None, Field(description="over the published time and temperature table")
    ] = None
    core_at_open_c: float
    core_at_open_shown: Shown
    above_safe_s: float
    size_spread_ratio: float
    safe_core_shown: Shown
    safe_rest_s: float

    @computed_field
    def looks(self) -> str:
        """What one sees when the lid comes off."""
        return say("looks-dry") if self.dry else say_cut(self.cut, self.texture_reached)


class PhaseOut(StrictModel):
    """A stretch of the cook; the core is that of the slowest piece at its end."""

    kind: PhaseKind
    start_s: float
    duration_s: float
    core_temp_c: float


class TaskOut(StrictModel):
    """A stretch of work for a schedule: its range, what it occupies, how long it may wait."""

    id: str
    low_s: float
    likely_s: float
    high_s: float
    needs: Annotated[list[Resource], Field(max_length=6)]
    after: Annotated[list[str], Field(max_length=40)]
    may_wait_s: float


Samples = Annotated[list[float], Field(max_length=MAX_TRACE + 1)]


class TraceOut(StrictModel):
    """The cook over time, for drawing."""

    time_s: Samples
    gauge_pa: Samples
    pot_temp_c: Samples
    core_temp_c: Samples
    tenderness_step: Samples
    softens_from_s: float | None = None
    """When softening begins; plans of engines before 4 do not say."""


class ReasonOut(StrictModel):
    """One fact behind a number, and what it does to it."""

    about: About
    fact: str
    value: float
    unit: str
    effect: float
    effect_unit: str
    params: Params = Field(default_factory=dict)
    kept_text: Annotated[
        str | None, Field(max_length=600, description="of a plan that version 1 stored as text")
    ] = None
    source: SourceKind

    @computed_field
    def text(self) -> str:
        """The fact as a sentence."""
        if self.kept_text is not None:
            return self.kept_text
        if "why" in self.params:
            return say("release-why", self.params)
        return say(f"reason-{self.about}-{self.fact}", self.params)


class SourceOut(StrictModel):
    """Where a statement comes from."""

    kind: SourceKind
    work: str


class CautionOut(StrictModel):
    """A word of care, and the field where it bites."""

    code: str
    severity: str
    field: str
    params: Params = Field(default_factory=dict)
    kept_text: Annotated[
        str | None, Field(max_length=600, description="of a plan that version 1 stored as text")
    ] = None
    source: SourceOut

    @computed_field
    def text(self) -> str:
        """The caution as a sentence."""
        if self.kept_text is not None:
            return self.kept_text
        return say(f"caution-{self.code}", self.params)


class TaughtBy(StrictModel):
    """A cook that taught."""

    id: str
    name: str
    started_at: datetime


class LearnedOut(StrictModel):
    """How far the log moved a plan: `ratio` times the softening of a cut, or the heat of a pot."""

    kind: LessonKind
    key: str
    ratio: float
    low_ln: Annotated[float, Field(description="of nine beliefs in ten, as ln of the ratio")]
    high_ln: float
    moved_min: Annotated[
        float | None, Field(description="the same in minutes: of this plan, or of a usual piece")
    ] = None
    low_min: float | None = None
    high_min: float | None = None
    cooks: Annotated[list[TaughtBy], Field(max_length=60)]


class PlanOut(StrictModel):
    """What to set, what happens, and why."""

    results_version: int
    engine_version: str
    setting: SettingOut
    range: Annotated[list[RangePartOut], Field(max_length=6)]
    release: ReleaseOut | None = None
    liquid: LiquidOut
    ending: EndingOut | None = None
    arrangement: ArrangementOut
    pot: PotOut
    serving: ServingOut | None = None
    pieces: Annotated[list[PieceOut], Field(max_length=MAX_PIECES)]
    phases: Annotated[list[PhaseOut], Field(max_length=40)]
    phases_through: Annotated[
        list[PhaseOut],
        Field(
            default_factory=list,
            max_length=80,
            description="of all that is drawn: of both runs of a plan in two steps",
        ),
    ]
    tasks: Annotated[list[TaskOut], Field(max_length=60)]
    lid_on_to_open_s: float
    done_s: Annotated[float, Field(description="from lid on until the meat is out of the pot")]
    longest_delay_s: Annotated[
        float | None, Field(description="it may wait raw in the pot before the start")
    ] = None
    all_done_s: Annotated[float | None, Field(description="the same for the last batch")] = None
    later: Annotated[list[BatchOut], Field(max_length=MAX_RUNS)] = Field(default_factory=list)
    expectation: ExpectationOut | None = None
    habits: Annotated[
        list[HabitOut], Field(max_length=2, description="asked when the cut has two")
    ] = Field(default_factory=list)
    wholes: Annotated[list[WholeOut], Field(max_length=MAX_KINDS)] = Field(default_factory=list)
    trace: TraceOut
    reasons: Annotated[list[ReasonOut], Field(max_length=40)]
    cautions: Annotated[list[CautionOut], Field(max_length=40)]
    learned: Annotated[
        list[LearnedOut], Field(max_length=MAX_PIECES, description="how far the log moved it")
    ] = Field(default_factory=list)

"""A wish and the plan that answers it."""

from typing import Annotated

from pydantic import Field

from pneumachron.api.schemas.base import Closed, Id, MeasureText, Shown
from pneumachron.core.alternatives import AlternativeKind
from pneumachron.core.constants import SourceKind
from pneumachron.core.cuts import ReleaseMethod, School
from pneumachron.core.liquid import Rack
from pneumachron.core.load import MAX_PIECES
from pneumachron.core.plan import MAX_TRACE, Level, PhaseKind
from pneumachron.core.tasks import Resource
from pneumachron.core.tenderness import Texture
from pneumachron.services.inputs import PieceInputs, PlanInputs


class PieceIn(Closed):
    """Alike pieces. Measures are typed with their unit: `3 lb 2 oz`, `4.5 cm`."""

    cut: Id
    count: Annotated[int, Field(ge=0, le=1000)] = 1
    mass: Annotated[MeasureText, Field(description="all of these pieces together")]
    thickness: Annotated[
        MeasureText | None, Field(description="guessed from cut and weight when left out")
    ] = None
    length: MeasureText | None = None
    width: MeasureText | None = None
    bone: bool | None = None
    membrane: bool | None = None
    start: Annotated[MeasureText | None, Field(description="temperature of the meat")] = None


class PlanIn(Closed):
    """A wish. What is left out takes the cut's or the household's default."""

    pieces: Annotated[list[PieceIn], Field(min_length=1, max_length=MAX_PIECES)]
    pot: Id
    texture: Texture | None = None
    school: School | None = None
    release: ReleaseMethod | None = None
    level: Level = "high"
    wait_min: Annotated[
        int | None, Field(ge=0, le=600, description="of a timed release; 10 when left out")
    ] = None
    liquid: Annotated[MeasureText | None, Field(description="instead of the school's")] = None
    altitude: Annotated[MeasureText | None, Field(description="instead of the household's")] = None

    def to_inputs(self) -> PlanInputs:
        """As the use cases take it."""
        values = self.model_dump(exclude={"pieces"})
        pieces = tuple(PieceInputs(**piece.model_dump()) for piece in self.pieces)
        return PlanInputs(pieces=pieces, **values)


class SettingOut(Closed):
    """What is set on the panel, and the choices it rests on."""

    hold_min: int
    hold_low_min: int
    hold_high_min: int
    level: Level
    gauge_pa: float
    hold_temp_c: float
    boil_temp_c: float
    texture: Texture
    school: School
    release: ReleaseMethod
    rack: Rack
    altitude_m: float
    altitude_shown: Shown


class LiquidOut(Closed):
    """How much liquid, between which limits, and how high it stands."""

    volume_m3: float
    school_volume_m3: float
    lowest_m3: float
    highest_m3: float
    level_m: float
    fill_ratio: float
    solids_m3: float
    shown: Shown
    school_shown: Shown
    lowest_shown: Shown
    highest_shown: Shown
    level_shown: Shown


class StandingOut(Closed):
    """How the meat stands."""

    coiled: bool
    rack_height_m: float
    meat_height_m: float
    layers: float


class PotOut(Closed):
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
    min_liquid_shown: Shown
    max_volume_shown: Shown
    inner_diameter_shown: Shown
    inner_height_shown: Shown


class PieceOut(Closed):
    """One kind of piece, and what becomes of it."""

    cut: str
    count: int
    mass_kg: float
    thickness_m: float
    width_m: float
    length_m: float
    start_temp_c: float
    bone: bool
    membrane: bool
    total_mass_shown: Shown
    mass_shown: Shown
    thickness_shown: Shown
    width_shown: Shown
    length_shown: Shown
    start_shown: Shown
    texture_step: float
    texture_reached: Texture
    looks: str
    core_at_open_c: float
    core_at_open_shown: Shown
    above_safe_s: float
    size_spread_ratio: float
    safe_core_shown: Shown
    safe_rest_s: float


class PhaseOut(Closed):
    """A stretch of the cook; the core is that of the slowest piece at its end."""

    kind: PhaseKind
    start_s: float
    duration_s: float
    core_temp_c: float


class TaskOut(Closed):
    """A stretch of work for a schedule: its range, what it occupies, how long it may wait."""

    id: str
    low_s: float
    likely_s: float
    high_s: float
    needs: Annotated[list[Resource], Field(max_length=6)]
    after: Annotated[list[str], Field(max_length=40)]
    may_wait_s: float


Samples = Annotated[list[float], Field(max_length=MAX_TRACE + 1)]


class TraceOut(Closed):
    """The cook over time, for drawing."""

    time_s: Samples
    gauge_pa: Samples
    pot_temp_c: Samples
    core_temp_c: Samples
    texture_step: Samples


class ReasonOut(Closed):
    """One fact behind the hold."""

    fact: str
    value: float
    unit: str
    effect_min: float
    text: str
    source: SourceKind


class SourceOut(Closed):
    """Where a statement comes from."""

    kind: SourceKind
    work: str


class CautionOut(Closed):
    """A word of care, and the field where it bites."""

    code: str
    severity: str
    field: str
    text: str
    source: SourceOut


class PlanOut(Closed):
    """What to set, what happens, and why."""

    results_version: int
    engine_version: str
    setting: SettingOut
    liquid: LiquidOut
    standing: StandingOut
    pot: PotOut
    pieces: Annotated[list[PieceOut], Field(max_length=MAX_PIECES)]
    phases: Annotated[list[PhaseOut], Field(max_length=40)]
    tasks: Annotated[list[TaskOut], Field(max_length=60)]
    lid_on_to_open_s: float
    trace: TraceOut
    reasons: Annotated[list[ReasonOut], Field(max_length=20)]
    cautions: Annotated[list[CautionOut], Field(max_length=40)]


class MinutesIn(Closed):
    """A wish, and the minutes a recipe gives for it."""

    wish: PlanIn
    hold_min: Annotated[int, Field(ge=0, le=720)]


class AnswerOut(Closed):
    """What a cook comes to; texture and core are those of the slowest piece."""

    hold_min: int
    lid_on_to_open_s: float
    texture_step: float
    texture_reached: Texture
    core_at_open_c: float


class ReadyByIn(Closed):
    """A wish, and the minutes there are until the lid should be off."""

    wish: PlanIn
    available_min: Annotated[int, Field(ge=1, le=1440)]


class WayOut(Closed):
    """A way of cutting and releasing; a negative `spare_s` is how late it is."""

    parts: int
    release: ReleaseMethod
    answer: AnswerOut
    spare_s: float


class ReadyByOut(Closed):
    """Ways that go, best first."""

    ways: Annotated[list[WayOut], Field(max_length=20)]


class AlternativeOut(Closed):
    """One thing changed: an answer, or why there is none."""

    kind: AlternativeKind
    value: str
    answer: AnswerOut | None
    trouble: str | None


class WhatIfOut(Closed):
    """The same wish with one thing different at a time."""

    alternatives: Annotated[list[AlternativeOut], Field(max_length=80)]

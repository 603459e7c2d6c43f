"""What a cook asks around a plan, and the answers."""

from typing import Annotated

from pydantic import Field

from pneumachron.api.schemas.base import Id, MeasureText, Shown, StrictModel
from pneumachron.api.schemas.cook_request import PlanIn
from pneumachron.api.schemas.what_if import AnswerOut
from pneumachron.core.catalog.sides import SideWay
from pneumachron.core.physics.tenderness import Texture
from pneumachron.core.planning.batches import MAX_RUNS
from pneumachron.core.planning.finish import FinishKind
from pneumachron.core.planning.recovery import NextStep
from pneumachron.core.planning.sauce import Body
from pneumachron.core.planning.season import Marinade
from pneumachron.core.procedure.step import StepKind
from pneumachron.core.safety.cooling import Cooler

Minutes = Annotated[int, Field(ge=0, le=720)]
Pair = Annotated[list[float], Field(min_length=2, max_length=2, description="from and to")]


class OpenedIn(StrictModel):
    """A request as it was cooked, and what was found under the lid."""

    request: PlanIn
    hold_min: Minutes
    seen: Annotated[Texture | None, Field(description="how it looks, on the ladder")] = None
    probe: Annotated[MeasureText | None, Field(description="read in the middle")] = None
    open_min: Annotated[float, Field(ge=0, le=60, description="since the lid came off")] = 5.0


class OpenedOut(StrictModel):
    """Done, put back for so long, or too soft and what to do with it."""

    step: NextStep
    hold_min: int
    more_s: float
    tenderness_step: float
    texture_reached: Texture
    looks: str
    size_ratio: float
    next_hold_min: int
    advice: str | None


class StoppedIn(StrictModel):
    """A request, and when its run stopped: minutes after lid on, and minutes ago."""

    request: PlanIn
    at_min: Annotated[float, Field(ge=0, le=720)]
    since_min: Annotated[float, Field(ge=0, le=360)]


class StoppedOut(StrictModel):
    """What the minutes were worth, whether it is still safe, and how to go on."""

    step: NextStep
    tenderness_step: float
    core_temp_c: float
    zone_s: float
    hold_min: int
    more_s: float
    advice: str


class OtherPressureIn(StrictModel):
    """A request, and minutes that were written for another pressure."""

    request: PlanIn
    hold_min: Annotated[int, Field(ge=1, le=720)]
    gauge: MeasureText


class OtherPressureOut(StrictModel):
    """What those minutes are here."""

    hold_min: int
    factor: float
    tenderness_step: float
    texture_reached: Texture


class RunOut(StrictModel):
    """One run of the pot."""

    pieces: int
    mass_kg: float
    mass_shown: Shown
    answer: AnswerOut


class BatchesOut(StrictModel):
    """The fewest runs, evenly loaded."""

    runs: Annotated[list[RunOut], Field(max_length=12)]


class AroundIn(StrictModel):
    """A request, and how it is seasoned and finished."""

    request: PlanIn
    finish: FinishKind | None = None
    marinade: Marinade | None = None
    brined: Annotated[bool, Field(description="sold with added brine")] = False


class SeasoningOut(StrictModel):
    """Amounts by weight."""

    salt_kg: Pair
    rub_kg: Pair
    rub_sugar_kg: float
    rub_rest_s: Pair


class MarinatingOut(StrictModel):
    """How much and how long; `longest_s` is the limit of food safety."""

    volume_m3: Pair
    time_s: Pair
    longest_s: float


class SearingOut(StrictModel):
    """Browning in batches."""

    batches: int
    batch_s: Pair
    total_s: Pair
    deglaze_m3: Pair


class FinishOut(StrictModel):
    """Crust, batch by batch; look at half time."""

    kind: FinishKind
    batches: int
    each_s: Pair
    look_s: float
    total_s: Pair
    heat_up_s: Annotated[
        float, Field(description="before it is hot; 0 where that is part of the work")
    ] = 0.0
    sauce: str


class CoolingOut(StrictModel):
    """How fast the thickest piece cools, beside the published limits."""

    cooler: Cooler
    to_21_c_s: float
    to_5_c_s: float
    safe: bool
    thickest_shown: Shown


class AroundOut(StrictModel):
    """What is done before and after the pot."""

    seasoning: SeasoningOut
    marinating: MarinatingOut | None
    marinade_boil_s: float
    searing: SearingOut | None
    finish: FinishOut
    rest_s: Pair
    keep_warm_s: float
    pulled: bool
    carve_core_c: float
    carve_hot: str
    carve_cold: str
    cooling: Annotated[list[CoolingOut], Field(max_length=2)]


class SauceIn(StrictModel):
    """What is left in a pot, and what it should become."""

    pot: Id
    volume: MeasureText
    left_ratio: Annotated[float, Field(gt=0, le=1)] = 0.5
    body: Body = "medium"


class ReductionOut(StrictModel):
    """Boiling down with the lid off."""

    volume_m3: float
    left_m3: float
    heat_s: float
    boil_s: float
    salt_factor: float
    left_shown: Shown


class SlurryOut(StrictModel):
    """What thickens the reduced sauce."""

    starch_kg: float
    flour_kg: float
    water_m3: float
    spoons: float
    potatoes_kg: float


class SauceOut(StrictModel):
    """Reduce and thicken."""

    reduction: ReductionOut
    slurry: SlurryOut


class PlatesOut(StrictModel):
    """What to buy for a number of plates."""

    cut: str
    plates: int
    enough_kg: float
    enough_shown: Shown
    least_kg: float
    other_cut: str | None
    other_kg: float | None


class SideOut(StrictModel):
    """A side beside a hold."""

    side: str
    name: str
    way: SideWay
    hold_min: int
    vessel: str
    foams: bool


MAX_STEPS = 20 * MAX_RUNS + 40
"""Of a cook: each batch has some fifteen, and the rest some thirty."""


class PlanStep(StrictModel):
    """One thing to do, and how long it takes [s]."""

    step_id: str
    kind: StepKind
    title: str
    look_for: str
    if_not: str
    low_s: int
    likely_s: int
    high_s: int
    hands: Annotated[bool, Field(description="false: it only has to pass")]


class StepsOut(StrictModel):
    """The steps of a plan in the order of work."""

    steps: Annotated[list[PlanStep], Field(max_length=MAX_STEPS)]


class SidesOut(StrictModel):
    """Every side known here."""

    sides: Annotated[list[SideOut], Field(max_length=40)]

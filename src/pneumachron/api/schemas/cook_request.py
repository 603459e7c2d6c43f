"""A request over the wire: the pieces, the cooker, and how to go about it."""

from typing import Annotated, TypeAlias

from pydantic import AliasChoices, Field

from pneumachron.api.schemas.base import Id, MeasureText, StrictModel
from pneumachron.core.catalog.cuts import LiquidStyle, ReleaseMethod
from pneumachron.core.catalog.racks import Rack
from pneumachron.core.physics.tenderness import Texture
from pneumachron.core.planning.cutting import CutWay
from pneumachron.core.planning.finish import FinishKind
from pneumachron.core.planning.liquid import MAX_SUGAR_KG_M3, SaucePlace
from pneumachron.core.planning.load import MAX_KINDS, Shape
from pneumachron.core.planning.lying import ArrangementKind
from pneumachron.core.planning.request import Level
from pneumachron.services.inputs import PieceInputs, PlanInputs

LiquidStyleName: TypeAlias = Annotated[
    LiquidStyle | None, Field(validation_alias=AliasChoices("liquid_style", "school"))
]
"""How much liquid there is. Backups, log files and drafts of earlier versions say `school`."""


class PieceIn(StrictModel):
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
    start: Annotated[
        MeasureText | None,
        Field(description="temperature of the meat, or refrigerator, tempered, seared, frozen"),
    ] = None
    shape: Shape = "block"
    as_bought: Annotated[bool, Field(description="weighed before trimming")] = False
    section_bones: Annotated[
        int | None, Field(ge=0, le=1000, description="racks are cut into sections of so many bones")
    ] = None
    cutting: Annotated[
        CutWay | None,
        Field(description="how each is cut; weight, sizes and count are those before the knife"),
    ] = None
    parts: Annotated[
        int | None, Field(ge=0, le=1000, description="made of one, lengthwise or across; 2")
    ] = None
    cube: Annotated[MeasureText | None, Field(description="edge of a cube; 4 cm")] = None


class PlanIn(StrictModel):
    """A request. What is left out takes the cut's or the household's default."""

    pieces: Annotated[list[PieceIn], Field(min_length=1, max_length=MAX_KINDS)]
    pot: Id
    texture: Texture | None = None
    liquid_style: LiquidStyleName = None
    release: ReleaseMethod | None = None
    level: Level = "high"
    wait_min: Annotated[
        int | None, Field(ge=0, le=600, description="of a timed release; 10 when left out")
    ] = None
    liquid: Annotated[MeasureText | None, Field(description="instead of the usual one")] = None
    altitude: Annotated[MeasureText | None, Field(description="instead of the household's")] = None
    rack: Annotated[Rack | None, Field(description="instead of the usual one")] = None
    stacked: Annotated[bool, Field(description="short for lying: stacked")] = False
    lying: Annotated[
        ArrangementKind | None, Field(description="how the pieces lie; the best that fits")
    ] = None
    touching: Annotated[bool, Field(description="false: gaps are kept for the steam")] = True
    stay_min: Annotated[
        int | None, Field(ge=0, le=600, description="of soaking or keeping warm")
    ] = None
    boil_min: Annotated[int, Field(ge=0, le=600, description="with the lid off, after")] = 0
    gauge: Annotated[MeasureText | None, Field(description="pressure instead of the level's")] = (
        None
    )
    foams: Annotated[bool, Field(description="fill to half at most")] = False
    sauce: Annotated[MeasureText | None, Field(description="volume that goes in too")] = None
    sauce_thick: bool = True
    sauce_sugar_g_l: Annotated[float, Field(ge=0, le=MAX_SUGAR_KG_M3)] = 0.0
    sauce_place: SaucePlace = "base"
    batches: Annotated[
        int, Field(ge=0, le=1000, description="fillings of the pot; the pieces are dealt evenly")
    ] = 1
    thin_first: Annotated[
        bool, Field(description="of unlike pieces, what is done first comes out, the rest goes on")
    ] = False
    my_minutes: Annotated[
        int | None, Field(ge=0, le=100_000, description="the cook's own, not the engine's")
    ] = None
    finish: Annotated[
        FinishKind | None, Field(description="crust; what follows the pot, not its minutes")
    ] = None

    def to_inputs(self) -> PlanInputs:
        """As the use cases take it."""
        values = self.model_dump(exclude={"pieces"})
        pieces = tuple(PieceInputs(**piece.model_dump()) for piece in self.pieces)
        return PlanInputs(pieces=pieces, **values)

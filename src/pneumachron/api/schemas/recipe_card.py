"""A converted recipe on its way to the pot: on a day, on a sheet, in a backup."""

from typing import Annotated

from pydantic import AfterValidator, BeforeValidator, Field, StringConstraints
from pydantic_core import PydanticCustomError

from pneumachron.api.schemas.base import StrictModel
from pneumachron.core.planning.season import LONGEST_S
from pneumachron.core.procedure.choices import ExtraWhen, Kept, SauceTo


class RecipeStepCard(StrictModel):
    """A step of a converted recipe."""

    kind: Annotated[str, StringConstraints(max_length=20, pattern=r"^[a-z_]*$")]
    text: Annotated[str, Field(max_length=2000)]


class RecipeCard(StrictModel):
    """A converted recipe, as it comes along to the pot."""

    title: Annotated[str, Field(max_length=200)]
    ingredients: Annotated[list[Annotated[str, Field(max_length=300)]], Field(max_length=120)]
    steps: Annotated[list[RecipeStepCard], Field(max_length=60)]


def _named_sauce(value: object) -> object:
    """What was kept before a sauce could be of a kind: there is one, or there is none."""
    if isinstance(value, bool):
        return "half" if value else "none"
    return value


Sauce = Annotated[
    SauceTo, BeforeValidator(_named_sauce), Field(description="what becomes of the juice")
]


SauceMl = Annotated[
    int | None, Field(ge=30, le=3000, description="to what the juice is reduced, for `volume`, ml")
]
FatLeft = Annotated[
    int | None, Field(ge=0, le=30, description="fat cap that is left on after trimming, mm")
]


def in_order(span: list[float]) -> list[float]:
    """From and to, in this order."""
    if span[1] < span[0]:
        raise PydanticCustomError("ends_before_it_begins", "ends before it begins")
    return span


_Soaked = Annotated[float, Field(ge=1, le=LONGEST_S["beef"] / 60.0)]
PulledFirst = Annotated[bool, Field(description="what is pulled is crisped after it")]

SpanMinutes = Annotated[
    Annotated[list[_Soaked], Field(min_length=2, max_length=2), AfterValidator(in_order)] | None,
    Field(description="from and to, as the recipe has it; none: as is usual"),
]
SearMinutes = Annotated[
    float | None,
    Field(ge=0, le=60, description="of each batch, both sides; 0: not seared; none: as the cut is"),
]
SearBatches = Annotated[int | None, Field(ge=1, le=12)]
Eaters = Annotated[
    int | None, Field(ge=0, le=200, description="plates eaten on the day; the rest is kept")
]
Leftovers = Annotated[Kept, Field(description="where what is left goes")]


class ExtraIn(StrictModel):
    """Work that a recipe brings along, or the cook adds."""

    title: Annotated[str, StringConstraints(strip_whitespace=True, min_length=1, max_length=200)]
    minutes: Annotated[float, Field(ge=1, le=600)]
    when: ExtraWhen

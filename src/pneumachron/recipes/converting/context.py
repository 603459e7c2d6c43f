"""What the rules look at, and the lines that they make."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field, replace

from pneumachron.core.errors import Param
from pneumachron.recipes.converting.amounts import enough
from pneumachron.recipes.converting.liquids import Pouring
from pneumachron.recipes.converting.marks import OutLine, When
from pneumachron.recipes.model import Part
from pneumachron.recipes.understanding.ingredients import Ingredient
from pneumachron.recipes.understanding.lines import Line, read_line
from pneumachron.recipes.understanding.measures import unit_of
from pneumachron.recipes.understanding.understand import Understood


@dataclass(frozen=True, slots=True)
class ConversionContext:
    """What the rules look at."""

    understood: Understood
    mass_kg: float
    scale: float
    hold_min: int
    pouring: Pouring
    rubbed: frozenset[int]
    """Lines that are rubbed onto the meat."""
    sprayed: frozenset[int]
    stirred_in: frozenset[int]
    """Binders that belong to the liquid."""
    is_soup: bool
    """Its liquid is eaten: what the pot does not need is heated and poured in at the end."""
    brushes_sauce: bool
    """What the recipe calls its sauce is a glaze."""
    poured_in: frozenset[int]
    """Sweet sauces that the steps pour in with the meat, before the long heat."""
    fries: bool
    """Whether anything is fried in the pot before the lid goes on."""
    blended: frozenset[int]
    """Lines that are blended smooth with others before the long heat."""
    stirred: frozenset[int]
    """Lines of a sauce that is only stirred together and poured in: nothing of it is fried."""
    softened: frozenset[int]
    """Vegetables that are fried first and melt into the sauce."""
    cured: frozenset[int]
    """Lines of a cure or brine."""
    marinated: frozenset[int]
    """Liquids of a marinade."""
    shared: frozenset[int]
    """Of a mixture that goes partly onto the raw meat and partly on at the end."""
    poured_in_two: bool
    """Of that the first part is poured over the meat, and the rest over it when it is done."""
    is_wet: bool
    bastes: bool
    """The meat is basted at the end with what it was marinated in."""
    cooks_marinade: bool
    """The meat is cooked in what it was marinated in."""
    """The recipe cooks its meat in liquid under a lid."""
    in_marinade: frozenset[int]
    """Whatever stands with the raw meat in a marinade."""
    soaked: frozenset[int]
    """Of a marinade what is thick or sharp, or is thrown away: none of it goes into the pot."""
    certain: frozenset[int]
    """Lines whose place a step tells in so many words: nothing is asked about them."""
    caramel: frozenset[int]
    """Sugar that is melted in the pot before the meat goes in."""
    bought_cured: bool
    parts: Mapping[int, Part]
    """The part of the recipe that a line belongs to, where it is one that is not cooked along."""
    late: Mapping[int, When]
    """Lines that the steps name only after the main heat, and where they go then."""
    sweet_left_kg: float
    """Sugar that the rub may carry, over what it does carry: 1 when it may carry all."""
    metric: bool


@dataclass(frozen=True, slots=True)
class ConvertedLines:
    """Lines that come of one ingredient, and the rule that made them so; None: as it was."""

    lines: tuple[OutLine, ...]
    rule: str | None = None
    params: dict[str, Param] = field(default_factory=dict)
    """What its reason speaks of, in SI units."""


def together(outcomes: Sequence[ConvertedLines]) -> ConvertedLines:
    """What becomes of a line with several foods; its mark is that of the first one with a rule."""
    marked = next((found for found in outcomes if found.rule is not None), outcomes[0])
    return replace(marked, lines=tuple(line for found in outcomes for line in found.lines))


def plain_line(
    context: ConversionContext, item: Ingredient, when: When, factor: float = 1.0
) -> OutLine:
    """A line as it was, by the new weight of the meat."""
    line = item.line
    scale = factor * context.scale
    amount = None
    if line.low is not None and line.high is not None:
        amount = (scale * line.low, scale * line.high)
    aside = line.aside if abs(scale - 1.0) <= SAME else _without_measure(line, line.unit)
    return OutLine(item.index, when, amount, line.unit, line.name, aside, item.food)


SAME = 0.02
"""An amount that changes by less is as it was."""


def _without_measure(line: Line, unit: str) -> str:
    """What is said beside an amount that changes, without the same amount in another unit.

    “⅓ cup (80 ml)” halved is no longer 80 ml; the size of a can stays what it is.
    """
    if unit_of(unit).kind == "count" or unit in _CONTAINERS:
        return line.aside
    kept = [
        part for part in line.aside.split(", ")
        if not ((told := read_line(part)).low is not None and told.unit and not told.name)
    ]  # fmt: skip
    return ", ".join(kept)


_CONTAINERS = frozenset({"can", "jar", "bottle", "packet"})


def volume_line(
    context: ConversionContext, item: Ingredient, when: When, volume_m3: float
) -> OutLine:
    """A line with a new volume, in the unit it was written in where that makes sense."""
    unit = item.line.unit if unit_of(item.line.unit).kind == "volume" else "ml"
    amount = volume_m3 / unit_of(unit).factor
    if unit not in {"ml", "tbsp", "tsp"} and amount < 0.2:
        unit = "ml" if context.metric else "tbsp"
        amount = volume_m3 / unit_of(unit).factor
    if unit in {"l", "dl", "cl", "bottle"}:
        unit, amount = "ml", volume_m3 * 1e6
    line, amount = item.line, enough(amount, unit)
    aside = _without_measure(line, unit)
    return OutLine(item.index, when, (amount, amount), unit, line.name, aside, item.food)

"""Where a food ends up: as the rules say, as a second reading has it, or as the cook does."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace

from pneumachron.core.message import Message
from pneumachron.recipes.converting.context import (
    ConversionContext,
    ConvertedLines,
    plain_line,
    together,
)
from pneumachron.recipes.converting.kitchen import Choices, PlacedWhen
from pneumachron.recipes.converting.liquid_rules import liquid
from pneumachron.recipes.converting.liquids import is_liquid
from pneumachron.recipes.converting.marks import OutLine, When
from pneumachron.recipes.converting.rules import apply_rule
from pneumachron.recipes.converting.sides import is_boiled
from pneumachron.recipes.placing.likely import Place, likely_places
from pneumachron.recipes.understanding.foods_of_a_line import foods_in
from pneumachron.recipes.understanding.ingredients import (
    Ingredient,
    Kind,
)

IN_DOUBT = 0.15
"""A place less likely than this is asked about. Set after seeing output: in texts left out of the
learning, more than half of those so unlikely were wrong."""
MOST_SAID = 80
"""Characters of a line that a question repeats."""
LIKELY = 0.4
"""What is offered instead is at least so likely. Judgement."""


@dataclass(frozen=True, slots=True)
class Doubt:
    """A food whose place is in doubt: where it stands, and where it may belong instead."""

    index: int
    when: When
    instead: When
    said: str
    """Its line in the recipe."""

    @property
    def question(self) -> Message:
        """What is asked about it."""
        return Message(
            "doubt-place", {"said": self.said, "when": self.when, "instead": self.instead}
        )


PLACE_OF: Mapping[When, Place] = {
    "season": "season", "sear": "pot", "pot": "pot", "top": "pot", "first_run": "run",
    "own_run": "run", "after": "after", "finish": "finish", "beside": "beside",
}  # fmt: skip
"""The place of each stage of the work; what cures has none."""
_NEVER: frozenset[Kind] = frozenset(
    {"meat", "other_meat", "cure", "tool", "smoke_wood", "smoke_liquid", "spirit"}
)
"""What the rules alone decide about."""
SCORCHES: frozenset[Kind] = frozenset(
    {"thick", "sweet_sauce", "sugar_thick", "sugar", "dairy", "starch", "flour", "foaming",
     "foaming_thick", "unknown", "baking"}
)  # fmt: skip
"""What no guess puts on the bottom of the cooker: it burns, curdles or foams there."""
_RAW: frozenset[Kind] = frozenset({"root", "foaming"})
_SWEET: frozenset[Kind] = frozenset({"sugar", "sugar_thick", "sweet_sauce"})
_UNFIT: Mapping[Place, frozenset[Kind]] = {
    "season": _SWEET | _RAW | {"dairy", "starch", "foaming_thick", "thick"},
    "pot": SCORCHES,
    "after": _RAW,
    "finish": _RAW | {"dairy", "starch", "flour", "foaming_thick"},
    "beside": frozenset(),
}
"""Kinds that are never guessed to belong there: they would stay raw, burn or curdle."""
_MAY_RUN: frozenset[Kind] = frozenset({"root", "foaming", "tender_veg"})


@dataclass(frozen=True, slots=True)
class Placing:
    """What becomes of an ingredient, and whether its place is in doubt."""

    item: Ingredient
    found: ConvertedLines
    doubt: Doubt | None = None


def placed(context: ConversionContext, choices: Choices) -> tuple[Placing, ...]:
    """What becomes of each ingredient."""
    chosen = dict(choices.placed)
    likely = likely_places(context.understood)
    return tuple(
        _by_rule_or_cook(context, item, chosen.get(item.index), likely.get(item.index, {}))
        for item in context.understood.ingredients
    )


def _by_rule_or_cook(
    context: ConversionContext,
    item: Ingredient,
    when: PlacedWhen | None,
    odds: Mapping[Place, float],
) -> Placing:
    """As the cook says, or the rules; what is likelier than the rules' place is in doubt."""
    fixed = item.kind in {"meat", "cure"} or item.index in context.cured
    if when is not None and not fixed:
        scorches = when in {"pot", "sear"} and item.kind in SCORCHES
        rule = "placed_to_scorch" if scorches else "placed"
        return Placing(item, _moved(context, item, when, rule))
    found = together([apply_rule(context, food) for food in foods_in(item)])
    now = found.lines[0].when if found.lines else None
    if now is None or now not in PLACE_OF or any(line.when != now for line in found.lines):
        return Placing(item, found)
    if now == "own_run" and all(map(is_boiled, found.lines)):
        return Placing(item, found)  # noodles are boiled, whatever they are eaten with
    unlikely = 1.0 if item.index in context.certain else odds.get(PLACE_OF[now], 1.0)
    instead = _instead(context, item, odds) if unlikely < IN_DOUBT else None
    doubt = None if instead is None else Doubt(item.index, now, instead, item.line.raw[:MOST_SAID])
    return Placing(item, found, doubt)


def _instead(
    context: ConversionContext, item: Ingredient, odds: Mapping[Place, float]
) -> When | None:
    """The likeliest place, where such a food may go there."""
    likeliest = max(odds, key=lambda each: odds[each])
    if odds[likeliest] < LIKELY or item.kind in _NEVER | _UNFIT.get(likeliest, frozenset()):
        return None
    if likeliest == "run":
        return "own_run" if item.kind in _MAY_RUN else None
    return "sear" if likeliest == "pot" and _is_fried(context, item) else likeliest


def _is_fried(context: ConversionContext, item: Ingredient) -> bool:
    return context.fries and item.kind in {"aromatic", "root", "tender_veg"}


def _moved(context: ConversionContext, item: Ingredient, when: When, rule: str) -> ConvertedLines:
    """All foods of a line at another stage; what is poured in has the volume that is poured."""
    if when == "pot" and is_liquid(item):
        return ConvertedLines(liquid(context, item).lines, rule)
    lines = tuple(plain_line(context, food, when) for food in foods_in(item))
    return ConvertedLines(lines, rule)


def still_in_doubt(placings: Sequence[Placing], lines: Sequence[OutLine]) -> tuple[Doubt, ...]:
    """The doubts by where the lines stand at last: fat that is not fried has moved on."""
    now = {line.origin: line.when for line in lines}
    doubts = [each.doubt for each in placings if each.doubt is not None]
    return tuple(
        replace(doubt, when=now[doubt.index]) for doubt in doubts
        if doubt.index in now and now[doubt.index] != doubt.instead
    )  # fmt: skip

"""What a pot needs, and which lines of a recipe bring it."""

from collections.abc import Sequence
from dataclasses import replace

from pneumachron.core.planning.request import CookRequest, resolve
from pneumachron.recipes.converting.cures import cured_lines
from pneumachron.recipes.converting.kitchen import Choices
from pneumachron.recipes.converting.liquids import Pouring, is_liquid, pour
from pneumachron.recipes.converting.load import Portioned
from pneumachron.recipes.converting.marinade import discarded_lines
from pneumachron.recipes.converting.marks import OutLine
from pneumachron.recipes.converting.parts import parts_apart
from pneumachron.recipes.converting.placed import Placing
from pneumachron.recipes.converting.pot_work import is_soup, slurry_water
from pneumachron.recipes.converting.seasoning import shared_lines
from pneumachron.recipes.converting.sprays import sprayed_lines
from pneumachron.recipes.understanding.foods_of_a_line import foods_in
from pneumachron.recipes.understanding.ingredients import Ingredient
from pneumachron.recipes.understanding.measures import unit_of
from pneumachron.recipes.understanding.understand import Understood

_LIQUID_RULES = frozenset({"thin_to_need", "wine_first"})
_FILLS_M3 = 60e-6
"""From a quarter of a cup on, vinegar or soy sauce fills the pot too; less of it only seasons.
Judgement."""


def pouring_of(
    understood: Understood, portioned: Portioned, choices: Choices, seasoning_m3: float = 0.0
) -> Pouring:
    """What the runs need together, shared among the recipe's liquids.

    `seasoning_m3` of vinegar and soy sauce are in the pot whatever the liquids are.
    """
    apart = frozenset(parts_apart(understood))
    elsewhere = (
        sprayed_lines(understood)
        | cured_lines(understood)
        | shared_lines(understood)
        | discarded_lines(understood)
        | apart
        | slurry_water(understood)
        | {index for index, _ in choices.placed}
    ) - {index for index, when in choices.placed if when == "pot"}
    # “1 onion, 500 ml stock”: a line pours its first liquid
    liquids = tuple(
        poured for item in understood.ingredients if item.index not in elsewhere
        if (poured := next(filter(is_liquid, foods_in(item)), None)) is not None
    )  # fmt: skip
    found = pour(liquids, _need_m3(portioned), portioned.scale, _insisted(choices, liquids))
    # what the recipe thins its vinegar with stays: only water that we would add makes room
    water = max(found.water_m3 - seasoning_m3, 0.0)
    total = found.need_m3 - found.water_m3 + water + seasoning_m3
    # what a soup leaves out goes in at the end: nothing that seasons it is too much
    ratio = 1.0 if is_soup(understood) else found.ratio
    return replace(found, water_m3=water, need_m3=max(found.need_m3, total), ratio=ratio)


def seasoning_m3(placings: Sequence[Placing]) -> float:
    """Volume of the vinegar and soy sauce that go into the pot, where they are more than a dash."""
    lines = [line for placing in placings for line in placing.found.lines if line.when == "pot"]
    return sum(volume for line in lines if (volume := _volume_m3(line)) >= _FILLS_M3)


def _volume_m3(line: OutLine) -> float:
    unit = unit_of(line.unit)
    sharp_or_salty = line.food.kind in {"acid", "salty_thin"} and unit.kind == "volume"
    return line.amount[0] * unit.factor if sharp_or_salty and line.amount is not None else 0.0


def _insisted(choices: Choices, liquids: tuple[Ingredient, ...]) -> frozenset[int]:
    """Liquids whose amount the cook wants left as it was."""
    crossed = {
        int(place)
        for rule, _, place in (mark.partition(":") for mark in choices.overruled)
        if rule in _LIQUID_RULES and place.isdecimal()
    }
    return frozenset(item.index for item in liquids if item.index in crossed)


def filled(portioned: Portioned, pouring: Pouring) -> CookRequest:
    """The fullest run with its share of the liquid."""
    need = _need_m3(portioned)
    first = portioned.first
    if pouring.need_m3 <= need * 1.001:
        return first
    share = resolve(first).filling.liquid_m3 / need
    return replace(first, liquid_m3=share * pouring.need_m3)


def _need_m3(portioned: Portioned) -> float:
    return sum(resolve(run).filling.liquid_m3 for run in portioned.runs)

"""Who fills the pot: how much of each thin liquid goes in, and how much water is added."""

from dataclasses import dataclass

from pneumachron.recipes.understanding.ingredients import COVERING_L, THIN_KINDS, Ingredient

WINE_SHARE = 1.0 / 3.0
"""Wine over all liquid at most. Common practice."""
SWEET_SHARE = 0.5
"""Juice or cola over all liquid at most: 100 g of sugar in a litre of it, 50 g in the pot's.
Common practice."""
SPIRIT_M3 = 30e-6
"""A splash of a spirit at most. Common practice."""
LEAST_RATIO = 0.5
"""The juice of the meat dilutes what seasons the liquid, so half of it stays. Judgement."""
_LEAST_M3 = 15e-6
"""Less than a spoon of water is not written down."""


@dataclass(frozen=True, slots=True)
class Pouring:
    """Volume of each line by its index, the water that is added, and all together."""

    by_index: dict[int, float]
    water_m3: float
    need_m3: float
    kept: frozenset[int]
    """Lines whose amount the cook insists on."""
    ratio: float
    """What is poured of the recipe's liquids over what it asks for; what seasons the liquid goes
    down with it, but not below `LEAST_RATIO`."""


def pour(
    liquids: tuple[Ingredient, ...], need_m3: float, scale: float, kept: frozenset[int]
) -> Pouring:
    """Share the liquid that the pot needs among the lines of a recipe.

    `kept` are lines whose amount the cook insists on; wine and sweet liquids are bounded by their
    share; no line grows beyond its own scaled amount: what is missing is water.
    """
    asked = {item.index: scale * (item.volume_m3 or 0.0) for item in liquids}
    given = {index: volume for index, volume in asked.items() if index in kept}
    need = max(need_m3, sum(given.values()))
    left = need - sum(given.values())
    bounded: dict[int, float] = {}
    for kinds, share in ((("wine", "beer"), WINE_SHARE), (("sweet_thin",), SWEET_SHARE)):
        lines = [item for item in liquids if item.kind in kinds and item.index not in kept]
        total = sum(asked[item.index] for item in lines)
        if total > 0:
            factor = min(1.0, share * need / total)
            bounded |= {item.index: factor * asked[item.index] for item in lines}
    plain = [item for item in liquids if item.index not in bounded and item.index not in kept]
    room = max(left - sum(bounded.values()), 0.0)
    shared: dict[int, float] = {}
    # “1 can coconut water, water to cover”: what is measured goes in first
    for lines in (
        [item for item in plain if not _covers(item)],
        [item for item in plain if _covers(item)],
    ):
        have = sum(asked[item.index] for item in lines)
        factor = min(1.0, room / have) if have > 0 else 0.0
        shared |= {item.index: factor * asked[item.index] for item in lines}
        room -= factor * have
    poured = {**given, **bounded, **shared}
    water = need - sum(poured.values())
    total = sum(asked.values())
    ratio = max(sum(poured.values()) / total, LEAST_RATIO) if total > 0 else 1.0
    return Pouring(poured, water if water > _LEAST_M3 else 0.0, need, kept, min(ratio, 1.0))


def _covers(item: Ingredient) -> bool:
    """“Water”, “stock to cover”: nobody measured it."""
    told = any(letter.isnumeric() for letter in item.line.raw)
    return item.line.low is None or (item.line.low == COVERING_L and not told)


def is_liquid(item: Ingredient) -> bool:
    """Whether a line is a thin liquid that is poured into the pot."""
    return item.kind in THIN_KINDS and item.volume_m3 is not None

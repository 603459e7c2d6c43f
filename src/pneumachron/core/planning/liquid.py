"""How much liquid goes in, how high it stands, and what is there at the end."""

from dataclasses import dataclass
from math import ceil
from typing import Literal, TypeAlias

import numpy as np

from pneumachron.core.catalog.cuts import LiquidStyle
from pneumachron.core.catalog.pots import Pot
from pneumachron.core.constants import US_CUP, WATER_DENSITY, Constant, Source
from pneumachron.core.errors import OutOfRangeError, RequestError
from pneumachron.core.physics.steam import FloatArray
from pneumachron.core.planning.load import Load
from pneumachron.core.planning.lying import Arrangement
from pneumachron.core.planning.serving import drip_fat_m3, drip_m3

BRAISE_M3_PER_KG = 1.5e-4
"""150 ml a kilo, between 1 and 2½ cups. Common practice: 1 cup for 1.4–1.8 kg, 2 for 3.2 kg."""
BRAISE_RANGE_M3 = (US_CUP.value, 2.5 * US_CUP.value)
BATH_COVER_RATIO = 0.85
"""Share of the height of the meat that a bath reaches: "nearly covered". Common practice."""
MEASURE_M3 = US_CUP.value / 4
"""Amounts are rounded up to a quarter cup, the smallest cup in a kitchen drawer."""
LEAN_SHARE = Constant(
    0.5, "1", Source("common practice", "half of the maker's minimum: ½ cup in a 6 qt pot")
)
THICK_SHARE = Constant(
    0.5,
    "1",
    Source("judgement", "share of a thick or sweet sauce that boils like water"),
)
SCORCH_SUGAR_KG_M3 = Constant(
    100.0, "kg/m³", Source("common practice", "sweeter than this at the base scorches")
)
FOAM_FILL_RATIO = Constant(0.5, "1", Source("common practice", "half full for what foams"))
MAX_SAUCE_M3 = 2e-3
MAX_SUGAR_KG_M3 = 900.0

SaucePlace: TypeAlias = Literal["base", "top"]


@dataclass(frozen=True, slots=True)
class Sauce:
    """A sauce that goes in with the meat, apart from the thin liquid."""

    volume_m3: float
    thick: bool = True
    sugar_kg_m3: float = 0.0
    place: SaucePlace = "base"

    def __post_init__(self) -> None:
        """Refuse amounts that are no sauce.

        Raises
        ------
        OutOfRangeError : more than two litres, or more sugar than a syrup.
        """
        if not 0.0 <= self.volume_m3 <= MAX_SAUCE_M3:
            raise OutOfRangeError("sauce", 1e3 * self.volume_m3, 0.0, 1e3 * MAX_SAUCE_M3, "l")
        if not 0.0 <= self.sugar_kg_m3 <= MAX_SUGAR_KG_M3:
            raise OutOfRangeError("sugar", self.sugar_kg_m3, 0.0, MAX_SUGAR_KG_M3, "g/l")

    @property
    def scorches(self) -> bool:
        """Whether it lies on the hot base and would burn there."""
        sweet = self.sugar_kg_m3 > SCORCH_SUGAR_KG_M3.value
        return self.place == "base" and self.volume_m3 > 0 and (self.thick or sweet)

    @property
    def counted_m3(self) -> float:
        """What of it counts as thin liquid."""
        if self.place == "top":
            return 0.0
        return self.volume_m3 * (THICK_SHARE.value if self.scorches else 1.0)


NO_SAUCE = Sauce(0.0, thick=False)


@dataclass(frozen=True, slots=True)
class Filling:
    """What is in the pot and how high. Volumes [m³], heights above the base [m]."""

    liquid_m3: float
    """Thin liquid to pour."""
    usual_m3: float
    """What this style of liquid takes; `liquid_m3` differs when the cook chose an amount."""
    lowest_m3: float
    highest_m3: float
    sauce_m3: float
    solids_m3: float
    """Meat, rack and vegetable bed."""
    bed_m3: float
    fill_ratio: float
    level_m: float
    limited_by_line: bool
    max_volume_m3: float
    """Solids and liquid that may be in this pot with this food."""

    @property
    def wet_m3(self) -> float:
        """All that is liquid."""
        return self.liquid_m3 + self.sauce_m3


def level_m(liquid_m3: float, load: Load, pot: Pot, arrangement: Arrangement) -> float:
    """Height of the liquid above the base, with rack and meat pushing it up."""
    return float(levels_m(np.array([liquid_m3]), load, pot, arrangement)[0])


def levels_m(liquid_m3: FloatArray, load: Load, pot: Pot, arrangement: Arrangement) -> FloatArray:
    """Heights of several amounts of liquid. (n,) [m³] to (n,) [m]

    A piece below the surface takes up room in proportion to how deep it stands; rack and bed
    spread theirs over the height of the rack.
    """
    rack = arrangement.rack_kind
    kinds = load.kinds()
    bodies = [
        (rack.height_m + item.bottom_m, item.height_m, kinds[item.kind][0].volume_m3)
        for item in arrangement.placed
    ]
    for low, high in arrangement.beds:
        share = (high - low) / sum(top - bottom for bottom, top in arrangement.beds)
        bodies.append((rack.height_m + low, high - low, share * arrangement.between_m3(pot)))
    if rack.height_m > 0:
        bodies.append((0.0, rack.height_m, rack.volume_m3(pot)))
    bottom, height, volume = (np.array(column) for column in zip(*bodies, strict=True))
    marks = np.unique(np.concatenate([[0.0], bottom, bottom + height]))
    under = np.clip((marks[:, np.newaxis] - bottom) / height, 0.0, 1.0) @ volume
    # a pot pressed full of meat still has a twentieth of its floor for liquid
    free = np.maximum(np.diff(pot.floor_m2 * marks - under), 0.05 * pot.floor_m2 * np.diff(marks))
    held = np.concatenate([[0.0], np.cumsum(free)])
    over = np.maximum(liquid_m3 - held[-1], 0.0) / pot.floor_m2
    return np.asarray(np.interp(liquid_m3, held, marks) + over)


def _usual_amount_m3(
    liquid_style: LiquidStyle, load: Load, pot: Pot, arrangement: Arrangement
) -> float:
    if liquid_style == "steam":
        return pot.min_liquid_m3
    if liquid_style == "lean":
        return LEAN_SHARE.value * pot.min_liquid_m3
    if liquid_style == "short_braise":
        low, high = BRAISE_RANGE_M3
        return min(max(BRAISE_M3_PER_KG * load.mass_kg, low), high)
    depth = arrangement.rack_height_m + BATH_COVER_RATIO * arrangement.depth_m
    rack_m3 = arrangement.rack_kind.volume_m3(pot) + BATH_COVER_RATIO * arrangement.between_m3(pot)
    return pot.floor_m2 * depth - BATH_COVER_RATIO * load.volume_m3 - rack_m3


def covering_m3(load: Load, pot: Pot, arrangement: Arrangement, filling: Filling) -> float:
    """Liquid that nearly covers the meat as it stands, gaps and all [m³]; at most what fits.

    The usual amount of a bath goes by how much meat lies on how much floor, so that it does not
    jump where one more piece makes a layer. Where pieces lie loosely it reaches less high.
    """
    amounts = np.linspace(filling.lowest_m3, filling.highest_m3, _STEPS_OF_COVER)
    levels = levels_m(amounts + filling.sauce_m3, load, pot, arrangement)
    wanted = arrangement.rack_height_m + BATH_COVER_RATIO * arrangement.meat_height_m
    enough = MEASURE_M3 * ceil(float(np.interp(wanted, levels, amounts)) / MEASURE_M3 - 0.02)
    return min(enough, filling.highest_m3)


_STEPS_OF_COVER = 60
"""Amounts that are tried: an eighth of a cup apart in the largest cooker."""


def lowest_m3(liquid_style: LiquidStyle, pot: Pot) -> float:
    """Least thin liquid: the maker's, or half of it when the cook asks for the lean style."""
    return pot.min_liquid_m3 * (LEAN_SHARE.value if liquid_style == "lean" else 1.0)


def fill(
    load: Load,
    pot: Pot,
    liquid_style: LiquidStyle,
    arrangement: Arrangement,
    wished_m3: float | None = None,
    *,
    sauce: Sauce = NO_SAUCE,
    foams: bool = False,
) -> Filling:
    """The liquid and the level, between the least and the maximum line.

    Raises
    ------
    RequestError : the meat alone leaves no room for the least liquid, or the cook's own amount
        is under it or over the line.
    """
    vegetables = arrangement.between_m3(pot)
    solids = load.volume_m3 + arrangement.rack_kind.volume_m3(pot) + vegetables
    most = pot.max_volume_m3
    if foams:
        most = min(most, FOAM_FILL_RATIO.value * pot.usable_volume_m3)
    least = lowest_m3(liquid_style, pot)
    highest = most - solids - sauce.volume_m3
    if highest < least - sauce.counted_m3:
        raise _too_much_meat(load, most - least - (solids - load.volume_m3) - sauce.volume_m3)
    lowest = max(least - sauce.counted_m3, 0.0)
    amount = _usual_amount_m3(liquid_style, load, pot, arrangement) - sauce.counted_m3
    # a maker's minimum of a cup is a cup, even if it is printed in millilitres
    rounded = MEASURE_M3 * ceil(amount / MEASURE_M3 - 0.02)
    usual_m3 = min(max(rounded, lowest), highest)
    limited = rounded > highest * (1 + 1e-9)
    if limited:
        usual_m3 = max(MEASURE_M3 * int(highest / MEASURE_M3), lowest)
    liquid = usual_m3 if wished_m3 is None else wished_m3
    _check_liquid(liquid, lowest, highest)
    return Filling(
        liquid_m3=liquid,
        usual_m3=usual_m3,
        lowest_m3=lowest,
        highest_m3=highest,
        sauce_m3=sauce.volume_m3,
        solids_m3=solids,
        bed_m3=arrangement.rack_kind.bed_m3(pot) + vegetables,
        fill_ratio=(solids + liquid + sauce.volume_m3) / pot.usable_volume_m3,
        level_m=level_m(liquid + sauce.volume_m3, load, pot, arrangement),
        limited_by_line=limited and wished_m3 is None,
        max_volume_m3=most,
    )


def check_room(load: Load, pot: Pot, liquid_style: LiquidStyle) -> None:
    """Whether the meat alone leaves room for the least liquid, however it lies.

    Raises
    ------
    RequestError : too much meat for this pot.
    """
    if pot.max_volume_m3 - load.volume_m3 < lowest_m3(liquid_style, pot):
        raise _too_much_meat(load, pot.max_volume_m3 - lowest_m3(liquid_style, pot))


def _too_much_meat(load: Load, room_m3: float) -> RequestError:
    density = load.mass_kg / load.volume_m3
    most_kg = max(room_m3, 0.0) * density
    if most_kg < 0.05:
        return RequestError("too_full_without_meat", "pot")
    batches = ceil(load.mass_kg / most_kg)
    return RequestError("too_full", "mass", mass_kg=load.mass_kg, most_kg=most_kg, batches=batches)


def _check_liquid(liquid_m3: float, lowest_m3: float, highest_m3: float) -> None:
    # an amount that was shown rounded to a spoonful can be typed back
    grace = 5e-6
    if not liquid_m3 >= lowest_m3 - grace:
        raise RequestError("below_minimum", "liquid", liquid_m3=liquid_m3, least_m3=lowest_m3)
    if not liquid_m3 <= highest_m3 + grace:
        raise RequestError("above_maximum", "liquid", liquid_m3=liquid_m3, most_m3=highest_m3)


@dataclass(frozen=True, slots=True)
class Ending:
    """What is in the pot when the lid comes off. Volumes [m³], masses [kg]."""

    steam_m3: float
    """Water that left as steam, as liquid."""
    juice_m3: float
    """What the meat gave, fat included."""
    fat_m3: float
    liquid_m3: float
    """Sauce and liquid at the end, fat included."""
    meat_kg: float
    """All the meat as it comes out."""
    level_m: float


def ending(
    load: Load,
    pot: Pot,
    arrangement: Arrangement,
    filling: Filling,
    *,
    steam_kg: float,
    extra_ratio: float,
) -> Ending:
    """Liquid and level at the end: poured, less the steam, and what the meat gave.

    Parameters
    ----------
    steam_kg : what left while air was driven out and while it was vented
    extra_ratio : juice lost by a fast release, as a share of the boneless raw weight

    Mass and volume are conserved: juice that leaves the meat leaves the meat smaller.
    """
    steam = steam_kg / WATER_DENSITY.value
    fast = extra_ratio * sum(piece.boneless_kg for piece in load.pieces) / WATER_DENSITY.value
    juice = drip_m3(load) + fast
    liquid = max(filling.wet_m3 - steam + juice, 0.0)
    shrunk = load.shrunk(juice)
    return Ending(
        steam_m3=steam,
        juice_m3=juice,
        fat_m3=drip_fat_m3(load),
        liquid_m3=liquid,
        meat_kg=load.mass_kg - juice * WATER_DENSITY.value,
        level_m=level_m(liquid, shrunk, pot, arrangement),
    )

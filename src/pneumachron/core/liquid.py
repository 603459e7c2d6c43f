"""How much liquid, on what, and whether it all fits: volumes and levels in a round pot."""

from dataclasses import dataclass
from math import ceil, hypot
from typing import Literal, TypeAlias

from pneumachron.core.constants import (
    GIVE_RATIO,
    LID_CLEARANCE,
    TRIVET_HEIGHT,
    US_CUP,
)
from pneumachron.core.cuts import School
from pneumachron.core.errors import WishError
from pneumachron.core.load import Load, Piece
from pneumachron.core.pots import Pot
from pneumachron.core.units import show_volume

Rack: TypeAlias = Literal["trivet", "none"]
RACKS: dict[School, Rack] = {"steam": "trivet", "short_braise": "none", "bath": "none"}

BRAISE_M3_PER_KG = 1.5e-4
"""150 ml a kilo, between 1 and 2½ cups. Common practice: 1 cup for 1.4–1.8 kg, 2 for 3.2 kg."""
BRAISE_RANGE_M3 = (US_CUP.value, 2.5 * US_CUP.value)
BATH_COVER_RATIO = 0.85
"""Share of the height of the meat that a bath reaches: "nearly covered". Common practice."""
MEASURE_M3 = US_CUP.value / 4
"""Amounts are rounded up to a quarter cup, the smallest cup in a kitchen drawer."""


@dataclass(frozen=True, slots=True)
class Standing:
    """How a load stands in a pot. Heights are above the base [m]."""

    coiled: bool
    rack: Rack
    rack_height_m: float
    meat_height_m: float
    """Height of the tallest piece as it stands, without the rack."""
    layers: float
    """Area the pieces take, over the floor; above 1 they lie on each other."""

    @property
    def top_m(self) -> float:
        """Highest point of the meat."""
        return self.rack_height_m + self.meat_height_m


@dataclass(frozen=True, slots=True)
class Filling:
    """What is in the pot and how high. Volumes [m³], heights above the base [m]."""

    liquid_m3: float
    school_m3: float
    """What the school would take; differs from `liquid_m3` when the cook chose an amount."""
    lowest_m3: float
    highest_m3: float
    solids_m3: float
    fill_ratio: float
    level_m: float
    limited_by_line: bool


def stand(load: Load, pot: Pot, school: School) -> Standing:
    """How the load stands: racks of ribs coiled on edge when too long, the rest flat.

    Raises
    ------
    WishError : a piece is longer than the pot is wide, or too tall for it.
    """
    rack = RACKS[school]
    rack_height = TRIVET_HEIGHT.value if rack == "trivet" else 0.0
    coiled = any(_must_coil(piece, pot) for piece in load.pieces)
    height = max(_height(piece, coiled=coiled) for piece in load.pieces)
    area = sum(
        piece.length_m * (piece.thickness_m if coiled else piece.width_m) for piece in load.pieces
    )
    for piece in load.pieces:
        if not coiled:
            _check_length(piece, pot)
    room = pot.inner_height_m - LID_CLEARANCE.value - rack_height
    # a rack on edge leans by about a tenth
    if height > room * GIVE_RATIO.value:
        raise WishError(
            "too_tall",
            "pot",
            f"The meat stands {100 * height:.0f} cm high; this pot has room for "
            f"{100 * room:.0f} cm{' on the rack' if rack_height else ''}.",
            "Cut it into sections, or take a taller pot.",
        )
    return Standing(coiled, rack, rack_height, height, area / pot.floor_m2)


def _must_coil(piece: Piece, pot: Pot) -> bool:
    return piece.cut.coils and hypot(piece.length_m, piece.width_m) > (
        pot.inner_diameter_m * GIVE_RATIO.value
    )


def _height(piece: Piece, *, coiled: bool) -> float:
    return piece.width_m if coiled and piece.cut.coils else piece.thickness_m


def _check_length(piece: Piece, pot: Pot) -> None:
    """A flat piece goes in when a rounded rectangle of its sizes does."""
    longest = pot.inner_diameter_m * GIVE_RATIO.value
    # an ellipse-like roast gives way at its corners: half way between side and diagonal
    reach = 0.5 * (piece.length_m + hypot(piece.length_m, piece.width_m))
    if reach <= longest:
        return
    parts = ceil(piece.length_m / (0.8 * pot.inner_diameter_m))
    raise WishError(
        "too_long",
        "count",
        f"A piece {100 * piece.length_m:.0f} × {100 * piece.width_m:.0f} cm does not go into "
        f"a pot {100 * pot.inner_diameter_m:.0f} cm wide.",
        f"Cut it into {max(parts, 2)} along its length, or take a wider pot.",
    )


def level_m(liquid_m3: float, load: Load, pot: Pot, standing: Standing) -> float:
    """Height of the liquid above the base, with the meat pushing it up.

    Meat below the surface takes up room in proportion to how deep it stands; the rack's own
    volume (some 30 ml of wire) is left out.
    """
    bare = liquid_m3 / pot.floor_m2
    if bare <= standing.rack_height_m:
        return bare
    meat_area = load.volume_m3 / standing.meat_height_m
    beside = max(pot.floor_m2 - meat_area, 0.05 * pot.floor_m2)
    under_rack = pot.floor_m2 * standing.rack_height_m
    level = standing.rack_height_m + (liquid_m3 - under_rack) / beside
    if level <= standing.top_m:
        return level
    return (liquid_m3 + load.volume_m3) / pot.floor_m2


def _school_amount_m3(school: School, load: Load, pot: Pot, standing: Standing) -> float:
    if school == "steam":
        return pot.min_liquid_m3
    if school == "short_braise":
        low, high = BRAISE_RANGE_M3
        return min(max(BRAISE_M3_PER_KG * load.mass_kg, low), high)
    depth = BATH_COVER_RATIO * standing.meat_height_m
    return pot.floor_m2 * depth - BATH_COVER_RATIO * load.volume_m3


def fill(
    load: Load, pot: Pot, school: School, standing: Standing, wished_m3: float | None = None
) -> Filling:
    """The liquid and the level, between the maker's minimum and the maximum line.

    Raises
    ------
    WishError : the meat alone leaves no room for the minimum liquid, or the cook's own amount
        is under the minimum or over the line.
    """
    solids = load.volume_m3
    highest = pot.max_volume_m3 - solids
    if highest < pot.min_liquid_m3:
        raise _too_much_meat(load, pot)
    amount = _school_amount_m3(school, load, pot, standing)
    # a maker's minimum of a cup is a cup, even if it is printed in millilitres
    rounded = MEASURE_M3 * ceil(amount / MEASURE_M3 - 0.02)
    school_m3 = min(max(rounded, pot.min_liquid_m3), highest)
    limited = rounded > highest * (1 + 1e-9)
    if limited:
        school_m3 = max(MEASURE_M3 * int(highest / MEASURE_M3), pot.min_liquid_m3)
    liquid = school_m3 if wished_m3 is None else wished_m3
    _check_liquid(liquid, pot, highest)
    return Filling(
        liquid_m3=liquid,
        school_m3=school_m3,
        lowest_m3=pot.min_liquid_m3,
        highest_m3=highest,
        solids_m3=solids,
        fill_ratio=(solids + liquid) / pot.usable_volume_m3,
        level_m=level_m(liquid, load, pot, standing),
        limited_by_line=limited and wished_m3 is None,
    )


def _too_much_meat(load: Load, pot: Pot) -> WishError:
    density = load.mass_kg / load.volume_m3
    most_kg = (pot.max_volume_m3 - pot.min_liquid_m3) * density
    runs = ceil(load.mass_kg / most_kg)
    return WishError(
        "too_full",
        "mass",
        f"{load.mass_kg:.1f} kg with the least liquid fills this pot above its maximum line; "
        f"it takes {most_kg:.1f} kg.",
        f"Cook it in {runs} runs of about {load.mass_kg / runs:.1f} kg, or take a bigger pot.",
    )


def _check_liquid(liquid_m3: float, pot: Pot, highest_m3: float) -> None:
    least, most = show_volume(pot.min_liquid_m3), show_volume(highest_m3, at_most=True)
    # an amount that was shown rounded to a spoonful can be typed back
    grace = 5e-6
    if not liquid_m3 >= pot.min_liquid_m3 - grace:
        raise WishError(
            "below_minimum",
            "liquid",
            f"{show_volume(liquid_m3).metric} is under this pot's minimum; it would run dry and "
            "stop.",
            f"Use at least {least.metric} ({least.us}) of thin liquid.",
        )
    if not liquid_m3 <= highest_m3 + grace:
        raise WishError(
            "above_maximum",
            "liquid",
            f"{show_volume(liquid_m3).metric} with this meat is over the maximum line.",
            f"Use at most {most.metric} ({most.us}), or less meat.",
        )

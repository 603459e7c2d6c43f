"""From what was bought to what is on the plates: trim, yield, juice. Numbers in data/yields.csv."""

from collections.abc import Iterable
from dataclasses import dataclass
from functools import cache
from math import ceil

from pneumachron.core.catalog.cuts import Cut, cut_by_id
from pneumachron.core.catalog.tables import read_numbers
from pneumachron.core.constants import Constant, Source
from pneumachron.core.errors import OutOfRangeError
from pneumachron.core.planning.load import Load

PULLING_LOSS = Constant(
    0.04, "1", Source("common practice", "fat and gristle picked out while pulling, 3–5 points")
)
MAX_PLATES = 200


@dataclass(frozen=True, slots=True)
class Yield:
    """What becomes of a cut. Pairs are from and to."""

    trim_ratio: tuple[float, float]
    yield_ratio: tuple[float, float]
    plates_per_kg: tuple[float, float]
    drip_m3_per_kg: float
    drip_fat_m3_per_kg: float


@cache
def yields() -> dict[str, Yield]:
    """Yield of every cut, by its id."""
    return {
        cut_id: Yield(
            trim_ratio=(row["trim_from_ratio"], row["trim_to_ratio"]),
            yield_ratio=(row["yield_from_ratio"], row["yield_to_ratio"]),
            plates_per_kg=(row["plates_from_per_kg"], row["plates_to_per_kg"]),
            drip_m3_per_kg=row["drip_m3_per_kg"],
            drip_fat_m3_per_kg=row["drip_fat_m3_per_kg"],
        )
        for cut_id, row in read_numbers("yields.csv").items()
    }


def drip_m3(load: Load) -> float:
    """Juice and fat that a load gives while it becomes tender."""
    return sum(
        yields()[piece.cut.cut_id].drip_m3_per_kg * piece.boneless_kg for piece in load.pieces
    )


def drip_fat_m3(load: Load) -> float:
    """The share of it that is fat."""
    return sum(
        yields()[piece.cut.cut_id].drip_fat_m3_per_kg * piece.boneless_kg for piece in load.pieces
    )


@dataclass(frozen=True, slots=True)
class Serving:
    """Bought, in the pot, on the plates. Pairs are from and to."""

    bought_kg: tuple[float, float]
    """What is bought for what is in the pot, trimmed."""
    served_kg: tuple[float, float]
    plates: tuple[int, int]


def serving(load: Load, *, pulled: bool) -> Serving:
    """Plates of a load that is in the pot, trimmed."""
    bought, served = [0.0, 0.0], [0.0, 0.0]
    plates = [0.0, 0.0]
    for piece, count in load.kinds():
        row = yields()[piece.cut.cut_id]
        mass = piece.mass_kg * count
        for end in (0, 1):
            bought[end] += mass / (1.0 - row.trim_ratio[end])
            share = row.yield_ratio[end] - (PULLING_LOSS.value if pulled else 0.0)
            served[end] += share * piece.boneless_kg * count
            # from the weight in the pot back to the weight bought
            plates[end] += row.plates_per_kg[end] * mass / (1.0 - sum(row.trim_ratio) / 2)
    return Serving(
        (bought[0], bought[1]), (served[0], served[1]), (int(plates[0]), int(plates[1] + 0.5))
    )


def by_cut(loads: Iterable[Load]) -> dict[str, tuple[float, float]]:
    """What each cut of several loads weighs [kg]: in the pot, and as it is bought, likely.

    In the order in which they come.
    """
    found: dict[str, tuple[float, float]] = {}
    for load in loads:
        for piece, count in load.kinds():
            cut_id, mass_kg = piece.cut.cut_id, piece.mass_kg * count
            bought_kg = sum(
                mass_kg / (1.0 - trim_ratio) / 2 for trim_ratio in yields()[cut_id].trim_ratio
            )
            before = found.get(cut_id, (0.0, 0.0))
            found[cut_id] = (before[0] + mass_kg, before[1] + bought_kg)
    return found


def trimmed_kg(cut: Cut, bought_kg: float) -> float:
    """What is left of what was bought once fat cap, membrane or skin are cut off."""
    return bought_kg * (1.0 - sum(yields()[cut.cut_id].trim_ratio) / 2)


PORTION_KG = 0.3
"""A portion for the freezer: two plates of cooked meat. Common practice."""
PORTION_JUICE_M3_PER_KG = 75e-6
"""Juice with each kilo, 50–100 ml. Common practice."""
PLATE_KG = 0.15
"""Cooked meat on a plate. Common practice."""


@dataclass(frozen=True, slots=True)
class Leftovers:
    """What is kept: portions of `PORTION_KG` with some juice, chilled or frozen flat."""

    mass_kg: float
    portions: int
    juice_m3: float


def leftovers(served_kg: float, eaters: int | None) -> Leftovers:
    """What the eaters leave of the served meat; nothing when they are not counted."""
    left = 0.0 if eaters is None else max(served_kg - PLATE_KG * eaters, 0.0)
    portions = ceil(left / PORTION_KG - 0.2)
    return Leftovers(left, max(portions, 0), PORTION_JUICE_M3_PER_KG * left)


def mass_for_plates_kg(cut: Cut, plates: int) -> tuple[float, float]:
    """What to buy for a number of plates: enough for sure, and enough if all goes well.

    Raises
    ------
    OutOfRangeError : fewer than one plate, or more than a village.
    """
    if not 1 <= plates <= MAX_PLATES:
        raise OutOfRangeError("plates", plates, 1, MAX_PLATES, "plates")
    low, high = yields()[cut.cut_id].plates_per_kg
    return plates / low, plates / high


SAME_MEAT = (
    ("shoulder_bone_in", "shoulder_boneless"),
    ("picnic_bone_in", "picnic_boneless"),
    ("short_ribs_english", "short_ribs_boneless"),
)
"""Cuts sold with the bone and without it."""


def other_form(cut: Cut) -> Cut | None:
    """The same meat without the bone, or with it."""
    for pair in SAME_MEAT:
        if cut.cut_id in pair:
            return cut_by_id(pair[1 - pair.index(cut.cut_id)])
    return None


def same_plates_kg(cut: Cut, mass_kg: float) -> float | None:
    """Weight of the other form that fills as many plates; None when there is no other form."""
    other = other_form(cut)
    if other is None:
        return None
    own, theirs = yields()[cut.cut_id], yields()[other.cut_id]
    return mass_kg * sum(own.plates_per_kg) / sum(theirs.plates_per_kg)

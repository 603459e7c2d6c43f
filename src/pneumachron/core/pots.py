"""Pots: what a maker prints on the plate and what a ruler finds."""

from dataclasses import dataclass
from functools import cache
from math import pi

from pneumachron.core.errors import WishError
from pneumachron.core.tables import read_numbers, read_words


@dataclass(frozen=True, slots=True)
class Pot:
    """An electric pressure cooker. Every number is an input: a boil test may move the last ones."""

    pot_id: str
    name: str
    usable_volume_m3: float
    inner_diameter_m: float
    inner_height_m: float
    heater_w: float
    min_liquid_m3: float
    max_fill_ratio: float
    gauge_high_pa: float
    gauge_low_pa: float
    longest_hold_min: float
    vessel_j_k: float
    plate_j_k: float
    plate_w_k: float
    loss_closed_w_k: float
    loss_open_w_k: float
    orifice_m2: float

    @property
    def floor_m2(self) -> float:
        """Inner cross-section."""
        return pi / 4 * self.inner_diameter_m**2

    @property
    def max_volume_m3(self) -> float:
        """Solids and liquid up to the maximum line."""
        return self.max_fill_ratio * self.usable_volume_m3

    @property
    def max_level_m(self) -> float:
        """Height of the maximum line above the base."""
        return self.max_volume_m3 / self.floor_m2


@cache
def ready_pots() -> dict[str, Pot]:
    """The pots that come with the app, by id."""
    words = read_words("pots.csv")
    numbers = read_numbers("pots.csv")
    return {
        pot_id: Pot(pot_id=pot_id, name=words[pot_id]["name"], **values)
        for pot_id, values in numbers.items()
    }


def ready_pot(pot_id: str) -> Pot:
    """A ready pot.

    Raises
    ------
    WishError : no such pot.
    """
    try:
        return ready_pots()[pot_id]
    except KeyError:
        raise WishError(
            "unknown_pot",
            "pot",
            "This pot is not known here.",
            f"Choose one of: {', '.join(ready_pots())}.",
        ) from None

"""Racks: what keeps meat out of the liquid. Numbers live in data/racks.csv."""

from dataclasses import dataclass
from functools import cache
from typing import Literal, TypeAlias, cast, get_args

from pneumachron.core.catalog.cuts import LiquidStyle
from pneumachron.core.catalog.pots import Pot
from pneumachron.core.catalog.tables import read_numbers

Rack: TypeAlias = Literal["none", "trivet", "tall", "basket", "bed"]
RACK_KINDS: tuple[Rack, ...] = get_args(Rack)
USUAL_RACKS: dict[LiquidStyle, Rack] = {
    "steam": "trivet",
    "lean": "trivet",
    "short_braise": "none",
    "bath": "none",
}
"""Rack of each liquid style unless the cook takes another. Common practice."""


@dataclass(frozen=True, slots=True)
class RackKind:
    """A rack: how high it lifts, how much narrower than the pot it is, what room it takes."""

    rack: Rack
    height_m: float
    inset_m: float
    own_volume_m3: float
    bed_ratio: float
    """Share of the space below the meat that vegetables fill."""

    def volume_m3(self, pot: Pot) -> float:
        """Room it takes in a pot, vegetables included."""
        return self.own_volume_m3 + self.bed_m3(pot)

    def bed_m3(self, pot: Pot) -> float:
        """Vegetables of the bed; at about a gram a millilitre this is also their weight."""
        return self.bed_ratio * self.height_m * pot.floor_m2


@cache
def racks() -> dict[Rack, RackKind]:
    """All racks by id."""
    return {
        cast(Rack, rack): RackKind(cast(Rack, rack), **values)
        for rack, values in read_numbers("racks.csv").items()
    }

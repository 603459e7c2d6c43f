"""How a load lies in a cooker: what is asked for, and what was found."""

from dataclasses import dataclass
from typing import Literal, TypeAlias, get_args

import numpy as np

from pneumachron.core.catalog.pots import Pot
from pneumachron.core.catalog.racks import Rack, RackKind, racks
from pneumachron.core.physics.contact import lying_half_m
from pneumachron.core.physics.packing import (
    TIGHT_PRESS,
    PlacedPiece,
)
from pneumachron.core.planning.load import Piece

ArrangementKind: TypeAlias = Literal[
    "one",
    "side_by_side",
    "on_edge",
    "on_end",
    "leaning",
    "coiled",
    "nested",
    "folded",
    "criss_cross",
    "heap",
    "stacked",
    "on_bed",
    "layered",
]
ARRANGEMENT_KINDS: tuple[ArrangementKind, ...] = get_args(ArrangementKind)
MIDDLE_SHARE = 0.6
"""The cut goes through the middle unless it meets less than this share of the best one."""
SECTION_LINES = (0.0, 0.12, -0.12, 0.3, -0.3, 0.5, -0.5)
"""Lines, in pot radii from the middle, of which the one through most meat is drawn."""


@dataclass(frozen=True, slots=True)
class Covered:
    """Shares of faces that lie on other meat, 0 to 1; see contact.py.

    `first`, `second` : of the two wide faces; `side` : of one narrow side.
    """

    first: float = 0.0
    second: float = 0.0
    side: float = 0.0

    @property
    def wide(self) -> tuple[float, float]:
        """Of the two wide faces."""
        return self.first, self.second


FREE = Covered()
"""Steam or liquid reaches every face."""


def as_thick_as_m(piece: Piece, covered: Covered) -> float:
    """Thickness of a free piece that warms as slowly as this one with its faces covered [m]."""
    conductivity = np.array(piece.cut.meat.conductivity_w_mk)
    return 2.0 * float(lying_half_m(np.array(piece.thickness_m), conductivity, covered.wide))


@dataclass(frozen=True, slots=True)
class Arrangement:
    """How a load stands in a pot. Heights are above the base unless said otherwise [m]."""

    kind: ArrangementKind
    rack_kind: RackKind
    placed: tuple[PlacedPiece, ...]
    """Every piece in its place, with heights above the rack."""
    meat_height_m: float
    """Height of the meat as it stands, without the rack."""
    layers: int
    """Layers of pieces that touch, as they are drawn."""
    press_ratio: float
    """How far the pieces have to give way."""
    depth_m: float
    """Height of the meat that a bath covers: as `meat_height_m`, but without the steps of whole
    layers for what lies flat."""
    covered: Covered = FREE
    beds: tuple[tuple[float, float], ...] = ()
    """Bottom and top of the vegetables between layers, above the rack."""
    rack_left_out: bool = False
    """The usual rack had to go, or it would not fit."""

    @property
    def rack(self) -> Rack:
        """What it stands on."""
        return self.rack_kind.rack

    @property
    def rack_height_m(self) -> float:
        """Height of the rack."""
        return self.rack_kind.height_m

    @property
    def coiled(self) -> bool:
        """Whether racks are bent along the wall."""
        return self.kind in {"coiled", "nested"}

    def between_m3(self, pot: Pot) -> float:
        """Vegetables between the layers; at about a gram a millilitre also their weight."""
        bed = racks()["bed"]
        return bed.bed_ratio * pot.floor_m2 * sum(top - bottom for bottom, top in self.beds)

    @property
    def tight(self) -> bool:
        """Whether the pieces have to be pressed in."""
        return self.press_ratio > TIGHT_PRESS

    @property
    def top_m(self) -> float:
        """Highest point of the meat."""
        return self.rack_height_m + self.meat_height_m

    def section(self, pot: Pot) -> tuple[float, tuple[tuple[int, float, float], ...]]:
        """A cut for drawing: its line and, for each piece met, its index and its ends along x."""
        middle, *others = (self._cut(share * pot.inner_diameter_m / 2) for share in SECTION_LINES)
        if self.coiled:
            return middle
        best = max([middle, *others], key=met_m)
        return middle if met_m(middle) >= MIDDLE_SHARE * met_m(best) else best

    def _cut(self, line_m: float) -> tuple[float, tuple[tuple[int, float, float], ...]]:
        found = [
            (index, left, right)
            for index, item in enumerate(self.placed)
            for left, right in item.spans_m(line_m)
        ]
        return line_m, tuple(found)


def met_m(cut: tuple[float, tuple[tuple[int, float, float], ...]]) -> float:
    """How much meat a cut meets."""
    return sum(right - left for _, left, right in cut[1])


@dataclass(frozen=True, slots=True)
class Lying:
    """What a cook may ask of how it lies. What is None or left alone the engine chooses.

    `kind` : this way and no other
    `touching` : False keeps gaps for the steam, where there is room for them
    """

    kind: ArrangementKind | None = None
    touching: bool = True


ANYHOW = Lying()

"""How a load stands in a pot: the rack, the way the pieces lie, and the height they reach."""

from collections.abc import Callable, Iterator
from dataclasses import dataclass
from math import ceil, hypot
from typing import Literal, TypeAlias

from pneumachron.core.constants import GIVE_RATIO, LID_CLEARANCE
from pneumachron.core.cuts import School
from pneumachron.core.errors import WishError
from pneumachron.core.load import Load, Piece
from pneumachron.core.packing import (
    TIGHT_PRESS,
    Footprint,
    Layer,
    Placed,
    facing,
    inner_radius_m,
    pack_coils,
    pack_layers,
    pack_rows,
)
from pneumachron.core.pots import Pot
from pneumachron.core.racks import SCHOOL_RACKS, Rack, RackKind, racks

Arrangement: TypeAlias = Literal[
    "one", "side_by_side", "on_end", "coiled", "criss_cross", "heap", "stacked"
]
MAX_LAYERS = 6
"""Layers of small pieces or of a stack that are tried."""
MAX_STACK_M = 0.15
"""A stack cooks as one piece of its whole height; beyond this the model was not checked."""
MIDDLE_SHARE = 0.6
"""The cut goes through the middle unless it meets less than this share of the best one."""
SECTION_LINES = (0.0, 0.12, -0.12, 0.3, -0.3, 0.5, -0.5)
"""Lines, in pot radii from the middle, of which the one through most meat is drawn."""


@dataclass(frozen=True, slots=True)
class Standing:
    """How a load stands in a pot. Heights are above the base unless said otherwise [m]."""

    arrangement: Arrangement
    rack_kind: RackKind
    placed: tuple[Placed, ...]
    """Every piece in its place, with heights above the rack."""
    meat_height_m: float
    """Height of the meat as it stands, without the rack."""
    layers: int
    """Pieces on each other that touch; they cook like one thicker piece."""
    press_ratio: float
    """How far the pieces have to give way."""

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
        return self.arrangement == "coiled"

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
        best = max([middle, *others], key=_met_m)
        return middle if _met_m(middle) >= MIDDLE_SHARE * _met_m(best) else best

    def _cut(self, line_m: float) -> tuple[float, tuple[tuple[int, float, float], ...]]:
        found = [
            (index, left, right)
            for index, item in enumerate(self.placed)
            for left, right in item.spans_m(line_m)
        ]
        return line_m, tuple(found)


def _met_m(cut: tuple[float, tuple[tuple[int, float, float], ...]]) -> float:
    """How much meat a cut meets."""
    return sum(right - left for _, left, right in cut[1])


def stand(
    load: Load, pot: Pot, school: School, rack: Rack | None = None, *, stacked: bool = False
) -> Standing:
    """How the load stands: the first way of lying, in the order of the trade, that fits.

    Racks of ribs too long for the pot are coiled, sections stand on end, roasts lie side by side,
    blocks criss-cross when one layer is not enough, small pieces make a heap; the last resort is
    a stack, which costs its time. `stacked` asks for a stack.

    Raises
    ------
    WishError : it does not fit; says what to cut where, or how many runs to cook.
    """
    kind = racks()[rack or SCHOOL_RACKS[school]]
    radius = pot.inner_diameter_m / 2 - kind.inset_m
    room = pot.inner_height_m - LID_CLEARANCE.value - kind.height_m
    lowest: float | None = None
    for arrangement, pack, layers in _ways(load, radius, stacked=stacked):
        layer = pack()
        if layer is None:
            continue
        height = max(item.bottom_m + item.height_m for item in layer.placed)
        # what stands on edge leans by about a tenth
        if height <= room * GIVE_RATIO.value:
            placed = facing(layer.placed)
            return Standing(arrangement, kind, placed, height, layers, layer.press_ratio)
        lowest = height if lowest is None else min(lowest, height)
    raise _does_not_fit(load, pot, kind, room, lowest)


_Way: TypeAlias = tuple[Arrangement, Callable[[], Layer | None], int]


def _ways(load: Load, radius_m: float, *, stacked: bool) -> Iterator[_Way]:
    """Ways of lying that suit the load, the best first, with the layers that touch."""
    flat = _footprints(load, lambda piece: (piece.length_m, piece.width_m, piece.thickness_m))
    if not stacked:
        yield from _single_layers(load, flat, radius_m)
        yield from _loose_layers(load, flat, radius_m)
    for layers in range(2, MAX_LAYERS + 1):
        thick = layers * max(piece.thickness_m for piece in load.pieces)
        if layers <= len(flat) and thick <= MAX_STACK_M:
            yield "stacked", _layered(flat, radius_m, layers, crossed=False), layers


def _single_layers(load: Load, flat: list[Footprint], radius_m: float) -> Iterator[_Way]:
    if any(must_coil(piece, radius_m) for piece in load.pieces):
        yield "coiled", lambda: _coil(load, radius_m), 1
        return
    if all(piece.cut.coils for piece in load.pieces):
        upright = _footprints(load, lambda it: (it.length_m, it.thickness_m, it.width_m))
        yield "on_end", lambda: pack_rows(upright, radius_m), 1
        across = _footprints(load, lambda it: (it.width_m, it.thickness_m, it.length_m))
        yield "on_end", lambda: pack_rows(across, radius_m), 1
    name: Arrangement = "one" if len(flat) == 1 else "side_by_side"
    yield name, lambda: pack_rows(flat, radius_m), 1


def _loose_layers(load: Load, flat: list[Footprint], radius_m: float) -> Iterator[_Way]:
    """Layers that steam gets between."""
    if all(piece.cut.blocks for piece in load.pieces):
        yield "criss_cross", _layered(flat, radius_m, 2, crossed=True), 1
    if all(piece.cut.small for piece in load.pieces):
        for layers in range(2, MAX_LAYERS + 1):
            yield "heap", _layered(flat, radius_m, layers, crossed=True), 1


def _layered(
    flat: list[Footprint], radius_m: float, layers: int, *, crossed: bool
) -> Callable[[], Layer | None]:
    return lambda: pack_layers(flat, radius_m, layers, crossed=crossed)


def _footprints(
    load: Load, sides: Callable[[Piece], tuple[float, float, float]]
) -> list[Footprint]:
    found = []
    for kind, (piece, count) in enumerate(load.kinds()):
        long, short, height = sides(piece)
        found += [Footprint(kind, max(long, short), min(long, short), height)] * count
    return found


def must_coil(piece: Piece, radius_m: float) -> bool:
    """A rack of ribs that goes into the pot only when bent."""
    return piece.cut.coils and hypot(piece.length_m, piece.width_m) > (
        2 * radius_m * GIVE_RATIO.value
    )


def _coil(load: Load, radius_m: float) -> Layer | None:
    """Racks along the wall; whatever else there is lies in the middle."""
    edge = _footprints(load, lambda piece: (piece.length_m, piece.thickness_m, piece.width_m))
    flat = _footprints(load, lambda piece: (piece.length_m, piece.width_m, piece.thickness_m))
    racks_of_ribs = [must_coil(piece, radius_m) for piece in load.pieces]
    coils = pack_coils(
        [item for item, long in zip(edge, racks_of_ribs, strict=True) if long], radius_m
    )
    rest = [item for item, long in zip(flat, racks_of_ribs, strict=True) if not long]
    if coils is None or not rest:
        return coils
    middle = pack_rows(rest, inner_radius_m(coils))
    if middle is None:
        return None
    return Layer(coils.placed + middle.placed, max(coils.press_ratio, middle.press_ratio))


def _does_not_fit(
    load: Load, pot: Pot, kind: RackKind, room_m: float, lowest_m: float | None
) -> WishError:
    radius = pot.inner_diameter_m / 2 - kind.inset_m
    wide = f"{200 * radius:.0f} cm"
    for piece in load.pieces:
        if must_coil(piece, radius):
            continue
        alone = Footprint(0, piece.length_m, piece.width_m, piece.thickness_m)
        if pack_rows([alone], radius) is None:
            parts = max(ceil(piece.length_m / (0.8 * 2 * radius)), 2)
            return WishError(
                "too_long",
                "count",
                f"A piece {100 * piece.length_m:.0f} × {100 * piece.width_m:.0f} cm does not go "
                f"into a pot {wide} wide.",
                f"Cut it into {parts} along its length, or take a wider pot.",
            )
    if lowest_m is not None:
        return WishError(
            "too_tall",
            "pot",
            f"The meat stands {100 * lowest_m:.0f} cm high; this pot has room for "
            f"{100 * room_m:.0f} cm{' on the rack' if kind.height_m else ''}.",
            "Cut it into sections, or take a taller pot.",
        )
    return WishError(
        "does_not_lie",
        "count",
        f"{len(load.pieces)} pieces of this size do not go beside each other in a pot {wide} wide.",
        "Cook them in two runs, or take a wider pot.",
    )

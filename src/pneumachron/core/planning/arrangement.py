"""How a load stands in a pot: the rack, the way the pieces lie, and the height they reach."""

from collections.abc import Callable, Iterator
from dataclasses import dataclass, replace
from functools import partial
from math import acos, ceil, cos, hypot, pi, radians, sin

from pneumachron.core.catalog.cuts import LiquidStyle
from pneumachron.core.catalog.pots import Pot
from pneumachron.core.catalog.racks import USUAL_RACKS, Rack, RackKind, racks
from pneumachron.core.constants import FLOOR_SHARE, GIVE_RATIO, LID_CLEARANCE
from pneumachron.core.errors import RequestError
from pneumachron.core.physics.packing import (
    Footprint,
    Layer,
    facing,
    inner_radius_m,
    pack_coils,
    pack_layers,
    pack_rows,
)
from pneumachron.core.planning.load import Load, Piece
from pneumachron.core.planning.lying import (
    ANYHOW,
    FREE,
    Arrangement,
    ArrangementKind,
    Covered,
    Lying,
)

MAX_LAYERS = 6
"""Layers of small pieces or of a stack that are tried."""
CUBE_M = 0.065
"""Pieces no longer than this are stirred in as a heap. Judgement."""
MAX_STACK_M = 0.15
"""Height of a stack; beyond this the model was not checked."""
MAX_FOLDED_M = 0.035
"""A flat up to this thick folds over. Common practice."""
MAX_LEAN_RAD = radians(60.0)
"""Sections that are too high lean against the wall like books, up to this. Judgement."""
UPRIGHT_RAD = radians(15.0)
"""What leans less still stands on end."""
CLOSING_SHARE = 0.6
"""From this share of a full floor on, pieces that lie beside each other begin to touch; on a full
floor they are pressed together. Judgement."""


def arrange(
    load: Load, pot: Pot, liquid_style: LiquidStyle, rack: Rack | None = None, lying: Lying = ANYHOW
) -> Arrangement:
    """How the load stands: the first way of lying, in the order of the trade, that fits.

    Racks of ribs too long for the pot are coiled, sections stand on edge or lean, roasts lie side
    by side, a thin flat folds over, blocks criss-cross, small pieces make a heap; the last resort
    is a stack. A rack that nobody asked for is left out when it makes the meat too high.

    Raises
    ------
    RequestError : it does not fit; says what to cut where, or how many runs to cook.
    """
    usual = racks()["bed" if lying.kind == "on_bed" else rack or USUAL_RACKS[liquid_style]]
    kinds = [usual] if rack is not None or usual.height_m == 0 else [usual, racks()["none"]]
    refusals = []
    for kind in kinds:
        found = _arrange_on(load, pot, kind, lying)
        if not isinstance(found, RequestError):
            return replace(found, rack_left_out=kind is not usual)
        refusals.append(found)
    raise refusals[0]


def _arrange_on(load: Load, pot: Pot, kind: RackKind, lying: Lying) -> Arrangement | RequestError:
    floor = _Floor(
        pot.inner_diameter_m / 2 - kind.inset_m,
        # what stands on edge leans by about a tenth
        (pot.inner_height_m - LID_CLEARANCE.value - kind.height_m) * GIVE_RATIO.value,
    )
    lowest: float | None = None
    for way in _ways(load, floor, lying, on_bed=kind.rack == "bed"):
        layer = way.pack()
        if layer is None:
            continue
        height = max(item.bottom_m + item.height_m for item in layer.placed)
        if way.kind == "stacked" and height > MAX_STACK_M:
            continue
        if height <= floor.room_m * (1.0 + 1e-9):
            covered = way.covered if lying.touching else way.apart()
            return Arrangement(
                way.kind,
                kind,
                facing(layer.placed),
                height,
                way.layers,
                layer.press_ratio,
                height if way.depth_m is None else way.depth_m,
                covered,
                way.beds,
            )
        lowest = height if lowest is None else min(lowest, height)
    return _does_not_fit(load, pot, kind, floor.room_m / GIVE_RATIO.value, lowest)


@dataclass(frozen=True, slots=True)
class _Floor:
    """Where the load lies: radius and height [m]."""

    radius_m: float
    room_m: float

    def layers(self, area_m2: float) -> float:
        """How many times pieces of so much area cover it, as a real number."""
        return area_m2 / (FLOOR_SHARE.value * pi * self.radius_m**2)


@dataclass(frozen=True, slots=True)
class _Way:
    """A way of lying that is tried."""

    kind: ArrangementKind
    pack: Callable[[], Layer | None]
    covered: Covered = FREE
    layers: int = 1
    depth_m: float | None = None
    beds: tuple[tuple[float, float], ...] = ()

    def apart(self) -> Covered:
        """What stays covered with gaps between the pieces: what lies on other meat still does."""
        if self.kind in {"stacked", "folded"}:
            return replace(self.covered, side=0.0)
        return FREE


def _ways(load: Load, floor: _Floor, lying: Lying, *, on_bed: bool) -> Iterator[_Way]:
    """Ways of lying that suit the load, the best first."""
    if lying.kind == "layered":
        yield from _layered_with_vegetables(load, floor)
        return
    for found in _all_ways(load, floor):
        bedded = on_bed and found.kind in {"one", "side_by_side"}
        way = replace(found, kind="on_bed") if bedded else found
        if lying.kind is None:
            yield way
        elif lying.kind == way.kind or (
            # what version 1 called coiled, however many
            lying.kind == "coiled" and way.kind == "nested"
        ):
            # a stack that was asked for is one, also where there is room for a single layer
            whole = Covered(1.0, float(way.layers > 2), way.covered.side)
            yield replace(way, covered=whole) if way.layers > 1 else way


def _all_ways(load: Load, floor: _Floor) -> Iterator[_Way]:
    flat = _footprints(load, lambda piece: (piece.length_m, piece.width_m, piece.thickness_m))
    times = floor.layers(sum(item.long_m * item.short_m for item in flat))
    covered = _lying_flat(times, len(flat))
    depth = max(times, 1.0) * max(item.height_m for item in flat)
    yield from _single_layers(load, flat, floor, covered)
    # layers that steam gets between; their sides touch as on a full floor
    loose = Covered(side=covered.side)
    for layers in range(2, MAX_LAYERS + 1):
        crossed = _layered(flat, floor.radius_m, layers, crossed=True)
        if all(piece.cut.blocks for piece in load.pieces):
            yield _Way("criss_cross", crossed, loose, depth_m=depth)
        if all(piece.cut.small for piece in load.pieces):
            yield _Way("heap", crossed, loose, depth_m=depth)
        elif all(piece.length_m <= CUBE_M for piece in load.pieces):
            # cubes lie closer than wings: their faces touch
            yield _Way("heap", crossed, covered, depth_m=depth)
    for layers in range(2, MAX_LAYERS + 1):
        if layers <= len(flat):
            pack = _layered(flat, floor.radius_m, layers, crossed=False)
            yield _Way("stacked", pack, covered, layers, depth)


def _layered_with_vegetables(load: Load, floor: _Floor) -> Iterator[_Way]:
    """Layers of meat with wedges between them: liquid and steam reach every face."""
    flat = _footprints(load, lambda piece: (piece.length_m, piece.width_m, piece.thickness_m))
    bed_m = racks()["bed"].height_m
    high = max(item.height_m for item in flat)
    times = floor.layers(sum(item.long_m * item.short_m for item in flat))
    for layers in range(2, min(MAX_LAYERS, len(flat)) + 1):
        if ceil(len(flat) / ceil(len(flat) / layers)) < layers:
            continue  # dealt evenly, the last layer would be empty
        beds = tuple(
            (number * high + (number - 1) * bed_m, number * (high + bed_m))
            for number in range(1, layers)
        )
        yield _Way(
            "layered",
            partial(pack_layers, flat, floor.radius_m, layers, crossed=False, gap_m=bed_m),
            Covered(side=_closing(times / layers)),
            beds=beds,
        )


def _lying_flat(times: float, count: int) -> Covered:
    """What of the faces is covered when pieces cover the floor so many times.

    The first faces between one and two times, the second ones between two and three; sides close
    as the floor fills.
    """
    if count == 1:
        return FREE
    return Covered(
        min(max(times - 1.0, 0.0), 1.0), min(max(times - 2.0, 0.0), 1.0), _closing(times)
    )


def _closing(times: float) -> float:
    return min(max((times - CLOSING_SHARE) / (1.0 - CLOSING_SHARE), 0.0), 1.0)


def _single_layers(
    load: Load, flat: list[Footprint], floor: _Floor, covered: Covered
) -> Iterator[_Way]:
    radius = floor.radius_m
    long = [piece for piece in load.pieces if must_coil(piece, radius)]
    if any(piece.frozen for piece in long):
        raise RequestError("frozen_stiff", "start")
    if long:
        yield _Way("nested" if len(long) > 1 else "coiled", lambda: _coil(load, radius))
        return
    if all(piece.cut.coils for piece in load.pieces):
        yield from _upright(load, floor)
    name: ArrangementKind = "one" if len(flat) == 1 else "side_by_side"
    yield _Way(name, lambda: pack_rows(flat, radius), covered)
    frozen = any(piece.frozen for piece in load.pieces)
    if len(flat) == 1 and flat[0].height_m <= MAX_FOLDED_M and not frozen:
        yield _folded(flat[0], floor)


def _upright(load: Load, floor: _Floor) -> Iterator[_Way]:
    """Sections on edge, then on end; they lean when they are too high."""
    for on_edge in (True, False):
        sides = [
            (it.width_m, it.length_m) if on_edge else (it.length_m, it.width_m)
            for it in load.pieces
        ]
        highest = max(up for up, _ in sides)
        lean = _lean_rad(highest, floor.room_m)
        if lean is None:
            continue
        # what leans takes more floor, and the last one its whole slant
        slant = highest * sin(lean) / len(load.pieces)
        stood = _footprints(load, partial(_stood, on_edge=on_edge, lean=lean, slant_m=slant))
        name: ArrangementKind = "on_edge" if on_edge else "on_end"
        if lean > UPRIGHT_RAD:
            name = "leaning"
        # steam gets between them, as in a coil
        yield _Way(name, _rows(stood, floor.radius_m))


def _stood(
    piece: Piece, *, on_edge: bool, lean: float, slant_m: float
) -> tuple[float, float, float]:
    """Sides and height of a piece that stands."""
    up, along = piece.width_m, piece.length_m
    if not on_edge:
        up, along = along, up
    return along, piece.thickness_m / cos(lean) + slant_m, up * cos(lean)


def _rows(footprints: list[Footprint], radius_m: float) -> Callable[[], Layer | None]:
    return lambda: pack_rows(footprints, radius_m)


def _lean_rad(up_m: float, room_m: float) -> float | None:
    """How far something so high leans to be as high as the room; None: too far.

    Its edges are rounded, so that its thickness adds nothing.
    """
    lean = acos(min(room_m / up_m, 1.0))
    return lean if lean <= MAX_LEAN_RAD else None


def _folded(piece: Footprint, floor: _Floor) -> _Way:
    """A thin flat too long for the pot: what sticks out is folded over onto it."""
    times = floor.layers(piece.long_m * piece.short_m)
    sides = (piece.long_m / 2, piece.short_m)
    lies = Footprint(piece.kind, max(sides), min(sides), 2 * piece.height_m)
    share = min(max(times - 1.0, 0.0), 1.0)
    depth = max(times, 1.0) * piece.height_m
    return _Way("folded", lambda: pack_rows([lies], floor.radius_m), Covered(share), depth_m=depth)


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
) -> RequestError:
    radius = pot.inner_diameter_m / 2 - kind.inset_m
    for piece in load.pieces:
        if must_coil(piece, radius):
            continue
        alone = Footprint(0, piece.length_m, piece.width_m, piece.thickness_m)
        if pack_rows([alone], radius) is None:
            parts = max(ceil(piece.length_m / (0.8 * 2 * radius)), 2)
            return RequestError(
                "too_long",
                "count",
                length_m=piece.length_m,
                width_m=piece.width_m,
                wide_m=2 * radius,
                parts=parts,
            )
    if lowest_m is not None:
        return RequestError(
            "too_tall",
            "pot",
            high_m=lowest_m,
            room_m=room_m,
            raised="yes" if kind.height_m else "no",
        )
    return RequestError("does_not_lie", "count", count=len(load.pieces), wide_m=2 * radius)

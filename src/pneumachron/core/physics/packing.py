"""How pieces lie on a round floor: in rows, or coiled along the wall.

Pieces are rounded and give way by up to a tenth (common practice), so a piece takes a rounded
rectangle of the floor and may be pressed. Everything here is plain plane geometry: metres, the
middle of the floor at (0, 0). The tests check with polygons of an independent library that
nothing overlaps or leaves the pot.
"""

from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from math import ceil, cos, floor, hypot, pi, sin, sqrt

from pneumachron.core.constants import GIVE_RATIO

CORNER_RATIO = 0.4
"""Corner radius over the shorter side of a piece: a roast is closer to an oval than to a brick.
Judgement; with the tenth of give, two halves of a flat go into a 22 cm pot, as practice knows."""
PRESSES = (1.0, 1.05, GIVE_RATIO.value)
"""How far pieces are pressed, the least first."""
TIGHT_PRESS = 1.05
"""Pressed this far, it fits but is tight."""
INNER_COIL_M = 0.02
"""Radius that stays open inside a coil: a rack does not bend round less. Judgement."""
TURN_GAP_M = 0.001
"""Between the turns of a coil: a rub and what steam needs. Judgement."""
COIL_GAP_M = 0.005
"""Between the ends of two coiled racks."""
_CORNER_POINTS = 4
_COIL_STEP_RAD = pi / 18

Point = tuple[float, float]


@dataclass(frozen=True, slots=True)
class Footprint:
    """What one piece takes of the floor when it lies or stands: sides and height [m]."""

    kind: int
    long_m: float
    short_m: float
    height_m: float


@dataclass(frozen=True, slots=True)
class PlacedPiece:
    """A piece in its place: its edge from above, anticlockwise, and its heights over the rack."""

    kind: int
    outline_m: tuple[Point, ...]
    bottom_m: float
    height_m: float

    def spans_m(self, line_m: float) -> tuple[tuple[float, float], ...]:
        """Where a vertical cut along x, at this y, meets the piece."""
        return _crossings(self.outline_m, line_m)


@dataclass(frozen=True, slots=True)
class Layer:
    """Pieces side by side. `press_ratio` is how far they had to give way."""

    placed: tuple[PlacedPiece, ...]
    press_ratio: float


@dataclass(frozen=True, slots=True)
class _Slot:
    footprint: Footprint
    x_m: float
    y_m: float
    dx_m: float
    dy_m: float


def pack_rows(
    footprints: Sequence[Footprint], radius_m: float, bottom_m: float = 0.0
) -> Layer | None:
    """All pieces side by side within a circle, or None when they do not go.

    Rows across the circle, the longest in the middle; both ways of turning the pieces and as many
    rows as there is room for are tried, first without pressing them.
    """
    for press in PRESSES:
        for turned in (False, True):
            slots = _best_rows(footprints, radius_m, press, turned=turned)
            if slots is not None:
                return Layer(tuple(_place(slot, bottom_m) for slot in slots), press)
    return None


def _best_rows(
    footprints: Sequence[Footprint], radius_m: float, press: float, *, turned: bool
) -> list[_Slot] | None:
    sides = [(item.long_m / press, item.short_m / press) for item in footprints]
    if turned:
        sides = [(short, long) for long, short in sides]
    order = sorted(range(len(sides)), key=lambda i: (-sides[i][1], -sides[i][0]))
    pieces = [(footprints[i], *sides[i]) for i in order]
    tallest = max(dy for _, _, dy in pieces)
    most = min(len(pieces), floor(2 * radius_m / min(dy for _, _, dy in pieces)))
    for rows in range(1, most + 1):
        filled = _fill_rows(pieces, rows, tallest, radius_m)
        if filled is not None:
            slots = _stack_rows(filled, radius_m)
            if slots is not None:
                return slots
    return None


_Sized = tuple[Footprint, float, float]


def _fill_rows(
    pieces: list[_Sized], rows: int, row_m: float, radius_m: float
) -> list[list[_Sized]] | None:
    """Deal the pieces into rows of a guessed height, the middle rows first."""
    middles = [(j - (rows - 1) / 2) * row_m for j in range(rows)]
    filled: list[list[_Sized]] = [[] for _ in range(rows)]
    left = list(pieces)
    for j in sorted(range(rows), key=lambda j: (abs(middles[j]), j)):
        length = 0.0
        while left:
            _, dx, dy = left[0]
            if not _row_fits(length + dx, dy, middles[j], radius_m, min(dx, dy)):
                break
            filled[j].append(left.pop(0))
            length += dx
    return None if left else filled


def _row_fits(
    length_m: float, row_m: float, middle_m: float, radius_m: float, shorter_m: float
) -> bool:
    """A row of this length goes across the circle at this height, rounded corners counted."""
    corner = CORNER_RATIO * shorter_m
    x = max(length_m / 2 - corner, 0.0)
    y = max(abs(middle_m) + row_m / 2 - corner, 0.0)
    return hypot(x, y) + corner <= radius_m * (1 + 1e-9)


def _stack_rows(rows: list[list[_Sized]], radius_m: float) -> list[_Slot] | None:
    """Rows on top of each other, in the middle of the circle, with their own heights."""
    heights = [max((dy for _, _, dy in row), default=0.0) for row in rows]
    y = -sum(heights) / 2
    slots: list[_Slot] = []
    for row, height in zip(rows, heights, strict=True):
        x = -sum(dx for _, dx, _ in row) / 2
        for footprint, dx, dy in row:
            slot = _Slot(footprint, x + dx / 2, y + height / 2, dx, dy)
            if not _inside(slot, radius_m):
                return None
            slots.append(slot)
            x += dx
        y += height
    return slots


def _inside(slot: _Slot, radius_m: float) -> bool:
    corner = CORNER_RATIO * min(slot.dx_m, slot.dy_m)
    x = abs(slot.x_m) + slot.dx_m / 2 - corner
    y = abs(slot.y_m) + slot.dy_m / 2 - corner
    return hypot(x, y) + corner <= radius_m * (1 + 1e-9)


def _place(slot: _Slot, bottom_m: float) -> PlacedPiece:
    return PlacedPiece(
        slot.footprint.kind,
        rounded_rectangle(slot.x_m, slot.y_m, slot.dx_m, slot.dy_m),
        bottom_m,
        slot.footprint.height_m,
    )


def rounded_rectangle(x_m: float, y_m: float, dx_m: float, dy_m: float) -> tuple[Point, ...]:
    """Edge of a piece around (x, y) with sides dx and dy."""
    corner = CORNER_RATIO * min(dx_m, dy_m)
    points = []
    for quarter, (sx, sy) in enumerate(((1, 1), (-1, 1), (-1, -1), (1, -1))):
        cx, cy = x_m + sx * (dx_m / 2 - corner), y_m + sy * (dy_m / 2 - corner)
        for step in range(_CORNER_POINTS + 1):
            angle = pi / 2 * (quarter + step / _CORNER_POINTS)
            points.append((cx + corner * cos(angle), cy + corner * sin(angle)))
    return tuple(points)


def pack_coils(
    footprints: Sequence[Footprint], radius_m: float, bottom_m: float = 0.0
) -> Layer | None:
    """Long racks on edge, one behind the other along the wall and inwards, bone side in.

    `long_m` runs along the coil and `short_m` is the thickness. The middle line is a spiral whose
    radius shrinks by one thickness each turn.
    """
    for press in PRESSES:
        pitch = max(item.short_m for item in footprints) / press + TURN_GAP_M
        placed, angle = [], 0.0
        for item in footprints:
            end = _coil_end(angle, item.long_m / press, radius_m, pitch)
            if end is None:
                break
            band = _band(angle, end, radius_m, pitch, item.short_m / press)
            placed.append(PlacedPiece(item.kind, band, bottom_m, item.height_m))
            gap = _coil_end(end, COIL_GAP_M, radius_m, pitch)
            angle = end if gap is None else gap
        else:
            return Layer(tuple(placed), press)
    return None


def inner_radius_m(layer: Layer) -> float:
    """Radius that coils leave open inside."""
    return min(hypot(x, y) for item in layer.placed for x, y in item.outline_m)


def _coil_end(start_rad: float, length_m: float, radius_m: float, pitch_m: float) -> float | None:
    """Angle at which a coil of this length ends, or None when it would bend too far.

    The middle line has radius R - t/2 - t θ/2π; its length is a quadratic in θ.
    """
    first = radius_m - pitch_m / 2
    slope = pitch_m / (2 * pi)
    done = first * start_rad - slope * start_rad**2 / 2
    under = first**2 - 2 * slope * (done + length_m)
    if under <= 0:
        return None
    end = (first - sqrt(under)) / slope
    inside = radius_m - pitch_m - slope * end
    return end if inside >= INNER_COIL_M else None


def _band(
    start_rad: float, end_rad: float, radius_m: float, pitch_m: float, thick_m: float
) -> tuple[Point, ...]:
    # corners at the same angles in every turn, so that neighbouring edges fall together
    first, last = ceil(start_rad / _COIL_STEP_RAD + 1e-6), floor(end_rad / _COIL_STEP_RAD - 1e-6)
    inner = [_COIL_STEP_RAD * i for i in range(first, last + 1)]
    angles = [start_rad, *inner, end_rad]
    outer = [(radius_m - pitch_m * a / (2 * pi), a) for a in angles]
    edge = [(r * cos(a), r * sin(a)) for r, a in outer]
    back = [((r - thick_m) * cos(a), (r - thick_m) * sin(a)) for r, a in reversed(outer)]
    return (*edge, *back)


def pack_layers(
    footprints: Sequence[Footprint],
    radius_m: float,
    layers: int,
    *,
    crossed: bool,
    gap_m: float = 0.0,
) -> Layer | None:
    """Pieces in so many layers, evenly dealt, with gaps between the layers.

    `crossed` turns every other layer by a quarter.
    """
    per_layer = -(-len(footprints) // layers)
    placed: list[PlacedPiece] = []
    press, bottom = 1.0, 0.0
    for number in range(layers):
        part = footprints[number * per_layer : (number + 1) * per_layer]
        if not part:
            break
        packed = pack_rows(part, radius_m, bottom)
        if packed is None:
            return None
        turned = crossed and number % 2 == 1
        placed += [_quarter_turn(item) for item in packed.placed] if turned else packed.placed
        press = max(press, packed.press_ratio)
        # with something between them, layers are as high as the highest piece of all
        tallest = max(item.height_m for item in (footprints if gap_m else part))
        bottom += tallest + gap_m
    return Layer(tuple(placed), press)


def facing(placed: tuple[PlacedPiece, ...]) -> tuple[PlacedPiece, ...]:
    """The same pieces, turned by a quarter when a cut through the middle then meets more."""
    turned = tuple(_quarter_turn(item) for item in placed)
    met, met_turned = (sum(bool(item.spans_m(0.0)) for item in way) for way in (placed, turned))
    return turned if met_turned > met else placed


def _quarter_turn(item: PlacedPiece) -> PlacedPiece:
    turned = tuple((-y, x) for x, y in item.outline_m)
    return PlacedPiece(item.kind, turned, item.bottom_m, item.height_m)


def _crossings(outline: Iterable[Point], at_m: float) -> tuple[tuple[float, float], ...]:
    """Intervals of a horizontal line inside a closed outline."""
    points = list(outline)
    hits = []
    for (x0, y0), (x1, y1) in zip(points, [*points[1:], points[0]], strict=True):
        if (y0 > at_m) != (y1 > at_m):
            hits.append(x0 + (at_m - y0) * (x1 - x0) / (y1 - y0))
    hits.sort()
    return tuple(zip(hits[::2], hits[1::2], strict=True))

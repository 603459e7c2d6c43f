"""Meat in a pot that is cooking now, stepped in time.

A piece is stood in for by a body with one coordinate, between a slab, a cylinder and a sphere and
beyond: `dT/dt = α r^-m d/dr (r^m dT/dr)`. Radius and exponent are those that give it the surface
per volume and the slowest mode of the piece, so that it takes up heat as fast in the beginning and
in the end. Unlike the responses of conduction.py it can follow any history, also of a pot that is
opened, filled up and put on again.
"""

from dataclasses import dataclass, field
from math import pi

import numpy as np
from scipy.linalg import solve_banded
from scipy.optimize import brentq

from pneumachron.core.constants import SURFACE_COEFFICIENT
from pneumachron.core.load import Piece
from pneumachron.core.steam import FloatArray

CELLS = 24
FIRST_ROOT = ((0.0, pi / 2), (1.0, 2.404_826), (2.0, pi), (3.0, 3.831_706), (4.0, 4.493_409),
              (5.0, 5.135_622))  # fmt: skip
"""First zeros of the Bessel functions of order (m − 1)/2. Published, Abramowitz & Stegun, 9.5."""
MAX_EXPONENT = FIRST_ROOT[-1][0]


def body_of(half_sizes_m: tuple[float, float, float]) -> tuple[float, float]:
    """Exponent and radius [m] of the body that stands in for a block."""
    surface_1_m = sum(1.0 / half for half in half_sizes_m)
    decay_1_m2 = pi**2 / 4 * sum(1.0 / half**2 for half in half_sizes_m)
    orders, roots = zip(*FIRST_ROOT, strict=True)

    def off(exponent: float) -> float:
        root = float(np.interp(exponent, orders, roots))
        return (root * surface_1_m / (1.0 + exponent)) ** 2 - decay_1_m2

    exponent = brentq(off, 0.0, MAX_EXPONENT) if off(MAX_EXPONENT) < 0 < off(0.0) else 0.0
    return float(exponent), (1.0 + float(exponent)) / surface_1_m


@dataclass
class LiveMeat:
    """All alike pieces of a load. `temp_c` (CELLS,) from the middle out."""

    piece: Piece
    count: int
    layers: int = 1
    size_ratio: float = 1.0
    """How thick it really is over how thick it was measured."""
    temp_c: FloatArray = field(init=False)
    _volume: FloatArray = field(init=False)
    _area: FloatArray = field(init=False)
    _width_m: float = field(init=False)

    def __post_init__(self) -> None:
        """Cells of equal width."""
        length, width, thick = self.piece.half_sizes_m
        half = self.size_ratio * thick * self.layers
        exponent, radius = body_of((self.size_ratio * length, self.size_ratio * width, half))
        edges = np.linspace(0.0, radius, CELLS + 1)
        self._width_m = radius / CELLS
        self._volume = np.diff(edges ** (exponent + 1.0)) / (exponent + 1.0)
        self._area = edges**exponent
        self.temp_c = np.full(CELLS, self.piece.heat_start_c)

    @property
    def core_c(self) -> float:
        """In the middle."""
        return float(self.temp_c[0])

    @property
    def heat_capacity_j_k(self) -> float:
        """Of all pieces."""
        return self.count * self.piece.heat_capacity_j_k

    def step(self, around_c: float, step_s: float) -> float:
        """Warm or cool for a while in liquid or steam; gives the heat that all took up [J]."""
        meat = self.piece.cut.meat
        k = meat.conductivity_w_mk
        inner = k * self._area[1:-1] / self._width_m
        film = self._area[-1] / (1.0 / SURFACE_COEFFICIENT.value + self._width_m / 2 / k)
        stored = self._volume * k / meat.diffusivity_m2_s / step_s
        bands = np.zeros((3, CELLS))
        bands[0, 1:] = -inner
        bands[2, :-1] = -inner
        bands[1] = stored
        bands[1, :-1] += inner
        bands[1, 1:] += inner
        bands[1, -1] += film
        right = stored * self.temp_c
        right[-1] += film * around_c
        before = self._mean_c()
        self.temp_c = np.asarray(solve_banded((1, 1), bands, right))
        return self.heat_capacity_j_k * (self._mean_c() - before)

    def _mean_c(self) -> float:
        return float(self._volume @ self.temp_c / self._volume.sum())

"""Meat in a pot that is cooking now, stepped in time.

An eighth of a block stands on a grid, with cells that become thinner towards the surface. Heat
moves along the three axes independently, so that a step is the product of three matrix
exponentials: exact in time as long as the surroundings stay. Unlike the responses of conduction.py
it can follow any history, also of a pot that is opened, filled up and put on again.
"""

from dataclasses import dataclass, field
from functools import lru_cache
from math import pi

import numpy as np
from scipy.linalg import expm

from pneumachron.core.constants import READING_SHARE, SURFACE_COEFFICIENT
from pneumachron.core.physics.steam import FloatArray
from pneumachron.core.planning.load import Piece
from pneumachron.core.planning.lying import FREE, Covered
from pneumachron.core.planning.scenarios import covered_sizes_m

CELLS = 14
"""Along each half side. With 28 the middle moves by less than 0.1 K."""


@dataclass(frozen=True)
class _Axis:
    """Half a side. `share` (n,) of the length in each cell; `to_reading` (n,) interpolates."""

    step: FloatArray
    """(n, n) what is left of differences from the surroundings after one time step."""
    share: FloatArray
    to_core: FloatArray
    to_reading: FloatArray


@lru_cache(maxsize=256)
def _axis(half_m: float, diffusivity_m2_s: float, conductivity_w_mk: float, step_s: float) -> _Axis:
    edges = half_m * np.sin(pi / 2 * np.linspace(0.0, 1.0, CELLS + 1))
    width = np.diff(edges)
    middle = 0.5 * (edges[1:] + edges[:-1])
    between = diffusivity_m2_s / np.diff(middle)
    film_m_s = 1.0 / (
        width[-1] / 2 / diffusivity_m2_s
        + conductivity_w_mk / diffusivity_m2_s / SURFACE_COEFFICIENT.value
    )
    flow = np.zeros((CELLS, CELLS))
    for cell, rate in enumerate(between):
        flow[cell, cell] -= rate
        flow[cell, cell + 1] += rate
        flow[cell + 1, cell + 1] -= rate
        flow[cell + 1, cell] += rate
    flow[-1, -1] -= film_m_s
    return _Axis(
        np.asarray(expm(step_s * flow / width[:, np.newaxis])),
        width / half_m,
        _weights_at(0.0, middle),
        _weights_at(READING_SHARE.value * half_m, middle),
    )


def _weights_at(place_m: float, middles_m: FloatArray) -> FloatArray:
    """Weights of cells that give the value at a place; even in the middle, linear between."""
    squares = middles_m**2  # near the middle a profile is a parabola
    right = int(np.clip(np.searchsorted(middles_m, place_m), 1, len(middles_m) - 1))
    part = (place_m**2 - squares[right - 1]) / (squares[right] - squares[right - 1])
    weights = np.zeros_like(middles_m)
    weights[right - 1], weights[right] = 1.0 - part, part
    return weights


@dataclass
class LiveMeat:
    """All alike pieces of a load. `temp_c` (CELLS, CELLS, CELLS) from the middle out."""

    piece: Piece
    count: int
    covered: Covered = FREE
    size_ratio: float = 1.0
    """How thick it really is over how thick it was measured."""
    temp_c: FloatArray = field(init=False)
    _half_m: tuple[float, ...] = field(init=False)

    def __post_init__(self) -> None:
        """Cold through."""
        sizes = self.size_ratio * np.array([self.piece.half_sizes_m])
        conductivity = np.array([self.piece.cut.meat.conductivity_w_mk])
        self._half_m = tuple(map(float, covered_sizes_m(sizes, conductivity, self.covered)[0]))
        self.temp_c = np.full((CELLS,) * 3, self.piece.heat_start_c)

    @property
    def core_c(self) -> float:
        """In the middle."""
        return self._at(*(axis.to_core for axis in self._axes(1.0)))

    @property
    def reading_c(self) -> float:
        """Where softening is read."""
        return self._at(*(axis.to_reading for axis in self._axes(1.0)))

    @property
    def heat_capacity_j_k(self) -> float:
        """Of all pieces."""
        return self.count * self.piece.heat_capacity_j_k

    def step(self, around_c: float, step_s: float) -> float:
        """Warm or cool for a while in liquid or steam; gives the heat that all took up [J]."""
        axes = self._axes(step_s)
        before = self._mean_c(axes)
        left = self.temp_c - around_c
        for axis, each in enumerate(axes):
            left = np.moveaxis(np.tensordot(each.step, left, axes=(1, axis)), 0, axis)
        self.temp_c = around_c + left
        return self.heat_capacity_j_k * (self._mean_c(axes) - before)

    def _axes(self, step_s: float) -> tuple[_Axis, ...]:
        meat = self.piece.cut.meat
        return tuple(
            _axis(half, meat.diffusivity_m2_s, meat.conductivity_w_mk, step_s)
            for half in self._half_m
        )

    def _mean_c(self, axes: tuple[_Axis, ...]) -> float:
        return self._at(*(axis.share for axis in axes))

    def _at(self, *weights: FloatArray) -> float:
        first, second, third = weights
        return float(first @ (self.temp_c @ third) @ second)

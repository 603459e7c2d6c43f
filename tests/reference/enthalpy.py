"""Thawing and heating of a block by finite volumes in enthalpy: the reference for frozen starts.

One eighth of the block, explicit steps. Ice melts over a range: below the freezing point the
share of ice is 1 - T_f / T (Raoult), as usual for meat. Nothing of the app is used but numbers.
"""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

Array = NDArray[np.float64]

FREEZING_C = -1.0
LATENT_J_KG = 333_600.0
FROZEN_W_MK = 1.4
"""Frozen lean meat, ASHRAE Refrigeration ch. 19, from memory."""
FROZEN_J_KGK = 2000.0


@dataclass(frozen=True)
class Thawing:
    """Core of a block that comes out of a freezer into hot surroundings."""

    time_s: Array
    core_c: Array

    def reaches_s(self, temp_c: float) -> float:
        """When the core is that warm."""
        return float(np.interp(temp_c, self.core_c, self.time_s))


def thaw(
    half_sizes_m: tuple[float, float, float],
    *,
    around_c: float,
    start_c: float,
    density: float,
    specific_j_kgk: float,
    thawed_w_mk: float,
    ice_kg_kg: float,
    surface_w_m2k: float,
    until_c: float,
    cells: int = 12,
) -> Thawing:
    """Heat a frozen block until its core is warm."""
    dx = np.array(half_sizes_m) / cells
    temps, enthalpy = _curve(specific_j_kgk, ice_kg_kg)
    h = np.full((cells,) * 3, np.interp(start_c, temps, enthalpy))
    step = 0.15 * float(np.min(dx)) ** 2 * density * FROZEN_J_KGK / FROZEN_W_MK / 1.5
    time, times, cores = 0.0, [0.0], [start_c]
    while cores[-1] < until_c:
        t = np.interp(h, enthalpy, temps)
        k = np.where(t < FREEZING_C, FROZEN_W_MK, thawed_w_mk)
        flux = np.zeros_like(h)
        for axis in range(3):
            # cell 0 is at the middle, the last one at the surface
            a, b = np.moveaxis(t, axis, 0), np.moveaxis(k, axis, 0)
            between = 2 * b[1:] * b[:-1] / (b[1:] + b[:-1]) / dx[axis] ** 2 * (a[1:] - a[:-1])
            into = np.moveaxis(flux, axis, 0)
            into[:-1] += between
            into[1:] -= between
            film = 1.0 / (1.0 / surface_w_m2k + dx[axis] / 2 / b[-1])
            into[-1] += film * (around_c - a[-1]) / dx[axis]
        h = h + step * flux / density
        time += step
        times.append(time)
        cores.append(float(np.interp(h[0, 0, 0], enthalpy, temps)))
    return Thawing(np.array(times), np.array(cores))


def _curve(specific_j_kgk: float, ice_kg_kg: float) -> tuple[Array, Array]:
    """Temperatures and enthalpies of meat, rising."""
    cold = -np.geomspace(40.0, -FREEZING_C, 200)
    ice = ice_kg_kg * (1.0 - FREEZING_C / cold)
    below = FROZEN_J_KGK * (cold - FREEZING_C) - LATENT_J_KG * ice
    warm = np.array([0.0, 150.0])
    return np.concatenate([cold, warm]), np.concatenate([below, specific_j_kgk * (warm + 1.0)])

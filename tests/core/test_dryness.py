"""Dryness is judged by the volume: where softening is read, half of the meat is past it."""

import numpy as np
import pytest

from pneumachron.core.constants import SURFACE_COEFFICIENT
from pneumachron.core.physics.conduction import slab_coefficients, slab_roots
from pneumachron.core.physics.tenderness import cumulative_softening_min
from pneumachron.core.planning.plan import make_plan
from tests.core.kitchen import cook_request, load

MODES = 60


def left_at(
    place: float, half_m: float, rate_m2_s: float, k: float, times_s: np.ndarray
) -> np.ndarray:
    """Share left in a slab at `place` of the half thickness: the series, Carslaw & Jaeger 3.11."""
    roots = slab_roots(np.array(SURFACE_COEFFICIENT.value * half_m / k), modes=MODES)
    weights = slab_coefficients(roots) * np.cos(place * roots)
    return weights @ np.exp(-np.outer(roots**2, rate_m2_s * times_s / half_m**2))


@pytest.mark.parametrize(
    ("cut", "kilos", "thick_m"),
    [
        ("brisket_flat", 1.5, 0.045),
        ("shoulder_boneless", 2.5, 0.10),
        ("short_ribs_english", 0.3, 0.05),
    ],
)
def test_the_place_of_reading_is_the_median_of_the_volume(
    cut: str, kilos: float, thick_m: float
) -> None:
    """Gauss quadrature over an octant of the block, in a pot held at 114 °C."""
    plan = make_plan(cook_request(load(cut, kilos, thick_m), texture="very"))
    piece = plan.outcomes[0].piece
    meat = piece.cut.meat
    times = np.arange(1.0, 60.0 * (plan.hold_min + 15), 60.0)
    nodes, weights = np.polynomial.legendre.leggauss(8)
    places, weights = (nodes + 1.0) / 2.0, weights / 2.0
    args = (meat.diffusivity_m2_s, meat.conductivity_w_mk, times)
    slabs = [
        np.array([left_at(place, half, *args) for place in (*places, 0.6)])
        for half in piece.half_sizes_m
    ]
    doses = np.empty((9, 9, 9))
    for i, j, k in np.ndindex(doses.shape):
        inside = 114.0 - 110.0 * slabs[0][i] * slabs[1][j] * slabs[2][k]
        doses[i, j, k] = cumulative_softening_min(inside, step_s=60.0)[-1]
    share = np.einsum("i,j,k->ijk", weights, weights, weights)
    past = float(share[doses[:8, :8, :8] > doses[8, 8, 8]].sum())
    assert past == pytest.approx(0.5, abs=0.15)

"""Pieces that touch: how thick a piece with a covered face cooks.

Where two faces lie on each other, juice between them still carries some heat into the gap: a
covered face has a weaker film, not none. A slab with unlike films has one plane that no heat
crosses; its distance from the free face takes the place of the half thickness.
"""

import numpy as np

from pneumachron.core.constants import CONTACT_COEFFICIENT, SURFACE_COEFFICIENT
from pneumachron.core.errors import OutOfRangeError
from pneumachron.core.physics.conduction import slab_roots
from pneumachron.core.physics.steam import FloatArray

_NEWTONS = 9
"""Steps of Newton's method to a root between 0 and π: to rounding for 1e-4 <= Bi <= 1e4."""


def one_face_covered_m(
    thickness_m: FloatArray, conductivity_w_mk: FloatArray, gap_w_m2k: float | None = None
) -> FloatArray:
    """Half thickness as the heat sees it when one of the two faces is covered.

    Parameters
    ----------
    thickness_m : (S...), > 0
    conductivity_w_mk : (S...) of the meat
    gap_w_m2k : film of the covered face; `CONTACT_COEFFICIENT` when not given

    Returns
    -------
    (S...) from half the thickness (the gap is as good as free) to all of it (nothing gets in)

    Source
    ------
    Eigenvalue of a slab with unlike films, β = atan(Bi₁/β) + atan(Bi₂/β): Carslaw & Jaeger
    (1959), section 3.10, from memory; held to a finite-element solution in the tests.
    """
    thick, free, gap = _films(thickness_m, conductivity_w_mk, gap_w_m2k)
    # between what the films give when they are weak and when they are strong
    root = 1.0 / np.sqrt(1.0 / (free + gap) + 1.0 / np.pi**2)
    for _ in range(_NEWTONS):
        over = root - np.arctan(free / root) - np.arctan(gap / root)
        slope = 1.0 + free / (root**2 + free**2) + gap / (root**2 + gap**2)
        root = np.maximum(root - over / slope, 0.1 * root)
    return np.asarray(thick * np.arctan(free / root) / root)


def both_faces_covered_m(
    thickness_m: FloatArray, conductivity_w_mk: FloatArray, gap_w_m2k: float | None = None
) -> FloatArray:
    """Half thickness of a slab with free faces that warms as slowly as one covered on both.

    Arguments and shapes as `one_face_covered_m`; both have the same slowest mode.
    """
    thick, free, gap = _films(thickness_m, conductivity_w_mk, gap_w_m2k)
    mode_1_m = slab_roots(gap / 2.0, modes=1)[..., 0] / (thick / 2.0)
    return np.asarray(np.arctan(free / thick / mode_1_m) / mode_1_m)


def lying_half_m(
    thickness_m: FloatArray,
    conductivity_w_mk: FloatArray,
    covered: tuple[float, float],
    gap_w_m2k: float | None = None,
) -> FloatArray:
    """Half thickness as the heat sees it, with a share of each face covered.

    `covered` : shares of the first and of the second face, 0 to 1. It grows evenly with them, so
    that nothing jumps where a pot begins to be too small for one layer.
    """
    half = np.asarray(thickness_m, dtype=float) / 2.0
    first, second = covered
    if not (0.0 <= second <= 1.0 and 0.0 <= first <= 1.0):
        raise OutOfRangeError("covered share", max(covered), 0.0, 1.0, "1")
    if first == 0.0 and second == 0.0:
        return half
    one = one_face_covered_m(thickness_m, conductivity_w_mk, gap_w_m2k)
    lying = half + first * (one - half)
    if second > 0.0:
        both = both_faces_covered_m(thickness_m, conductivity_w_mk, gap_w_m2k)
        lying = lying + second * (both - one)
    return np.asarray(lying)


def _films(
    thickness_m: FloatArray, conductivity_w_mk: FloatArray, gap_w_m2k: float | None
) -> tuple[FloatArray, FloatArray, FloatArray]:
    """Thickness, and Biot numbers over the whole thickness of a free and of a covered face."""
    thick = np.asarray(thickness_m, dtype=float)
    if not np.all(thick > 0):
        raise OutOfRangeError("thickness", float(np.min(thick)), 0.0, np.inf, "m")
    gap = CONTACT_COEFFICIENT.value if gap_w_m2k is None else gap_w_m2k
    over_k = thick / np.asarray(conductivity_w_mk)
    return thick, SURFACE_COEFFICIENT.value * over_k, gap * over_k

"""Pieces that touch, against a solution of their own: a block on a three-dimensional grid, every
face with its own film, each cell of a face covered or not, stepped by backward Euler in scipy.

Covered cells have the film of a gap, free ones that of steam. Compared are the minutes until half
of the volume has had a dose, in a pot that is hot from the start; ours reads one point instead.
"""

from dataclasses import dataclass

import numpy as np
import pytest
from scipy.sparse import diags, identity, kron
from scipy.sparse.linalg import splu

from pneumachron.core.constants import CONTACT_COEFFICIENT, SURFACE_COEFFICIENT
from pneumachron.core.errors import OutOfRangeError
from pneumachron.core.physics.conduction import block_response
from pneumachron.core.physics.contact import both_faces_covered_m, lying_half_m, one_face_covered_m
from pneumachron.core.physics.steam import FloatArray
from pneumachron.core.physics.tenderness import cumulative_softening_min
from pneumachron.core.planning.lying import Covered
from pneumachron.core.planning.scenarios import covered_sizes_m

ALPHA, K = 1.47e-7, 0.529
START_C, POT_C = 4.0, 114.0
STEP_S = 30.0
CELLS = (14, 14, 18)
DOSE_MIN = 150.0


@dataclass(frozen=True)
class Lying:
    """A piece and what of it is covered. Sizes [m]; `top`, `bottom` are shares along the length."""

    sizes_m: tuple[float, float, float]
    covered: Covered
    top: float = 0.0
    bottom: float = 0.0
    side: bool = False


LOADS = {
    "two halves of a flat": Lying((0.14, 0.11, 0.0445), Covered(1.0), bottom=1.0),
    "the middle one of three": Lying((0.14, 0.11, 0.0445), Covered(1.0, 1.0), 1.0, 1.0),
    "half of a face": Lying((0.14, 0.11, 0.0445), Covered(0.5), bottom=0.5),
    "a flat pressed on one side": Lying((0.14, 0.11, 0.0445), Covered(side=1.0), side=True),
    "a shoulder pressed on one side": Lying((0.13, 0.10, 0.07), Covered(side=1.0), side=True),
    "two thick ones on each other": Lying((0.14, 0.12, 0.07), Covered(1.0), bottom=1.0),
    "ribs on a full floor": Lying((0.12, 0.09, 0.028), Covered(1.0, 1.0), 1.0, 1.0),
    "ribs, a third of a face": Lying((0.12, 0.09, 0.028), Covered(0.33), bottom=0.33),
}
APART = Lying((0.14, 0.11, 0.0445), Covered())


def theirs_min(lying: Lying, gap: float) -> float:
    """Minutes until half of the volume has had the dose."""
    widths = [size / cells for size, cells in zip(lying.sizes_m, CELLS, strict=True)]
    inner = []
    for width, cells in zip(widths, CELLS, strict=True):
        off = np.full(cells - 1, ALPHA / width**2)
        main = np.zeros(cells)
        main[:-1] -= off
        main[1:] -= off
        inner.append(diags([off, main, off], [-1, 0, 1]))
    x, y, z = inner
    nx, ny, nz = (identity(cells) for cells in CELLS)
    flow = kron(kron(x, ny), nz) + kron(kron(nx, y), nz) + kron(kron(nx, ny), z)
    film = np.zeros(CELLS)

    def through(h: FloatArray, width: float) -> FloatArray:
        # film and half a cell in series, per volume and heat capacity
        return np.asarray(ALPHA / K / width / (1.0 / h + width / 2 / K))

    free = np.full(CELLS, SURFACE_COEFFICIENT.value)
    film[0] += through(free[0], widths[0])
    film[-1] += through(free[-1], widths[0])
    side = np.full_like(free[:, 0], gap if lying.side else SURFACE_COEFFICIENT.value)
    film[:, 0] += through(side, widths[1])
    film[:, -1] += through(free[:, -1], widths[1])
    for face, share in ((0, lying.bottom), (-1, lying.top)):
        lies = (np.arange(CELLS[0]) + 0.5) / CELLS[0] < share
        h = np.where(lies[:, np.newaxis], gap, free[:, :, face])
        film[:, :, face] += through(h, widths[2])
    cells = film.size
    stepped = splu((identity(cells) - STEP_S * (flow - diags(film.ravel()))).tocsc())
    left = np.full(cells, START_C - POT_C)
    history = [left]
    for _ in range(600):
        left = stepped.solve(left)
        history.append(left)
    dose = cumulative_softening_min(POT_C + np.array(history).T, step_s=STEP_S)
    half = np.median(dose, axis=0)
    return float(np.interp(DOSE_MIN, half, STEP_S / 60.0 * np.arange(len(half))))


def ours_min(lying: Lying) -> float:
    """The same by the model's one point, with the covered faces in its sizes."""
    half = covered_sizes_m(np.array([lying.sizes_m]) / 2.0, np.array([K]), lying.covered)
    found = block_response(
        half, np.array([ALPHA]), np.array([K]), SURFACE_COEFFICIENT.value,
        step_s=STEP_S, count=601,
    )  # fmt: skip
    read = START_C + (POT_C - START_C) * found.reading_step[0]
    dose = cumulative_softening_min(read, step_s=STEP_S)
    return float(np.interp(DOSE_MIN, dose, STEP_S / 60.0 * np.arange(len(dose))))


def test_the_point_stands_for_half_of_the_volume() -> None:
    assert ours_min(APART) == pytest.approx(theirs_min(APART, 45.0), rel=0.05)


@pytest.mark.parametrize("name", LOADS)
def test_covered_faces(name: str) -> None:
    """Within 13 % below and 6 % above, which an audit of this method found with finite elements."""
    lying = LOADS[name]
    theirs = theirs_min(lying, CONTACT_COEFFICIENT.value)
    assert 0.87 <= ours_min(lying) / theirs <= 1.06


def test_closed_forms() -> None:
    # a gap as good as a free face changes nothing; one that lets nothing in closes the face
    thick, k = np.array([0.02, 0.045, 0.09]), np.full(3, K)
    free, none = SURFACE_COEFFICIENT.value, 1e-9
    assert one_face_covered_m(thick, k, free) == pytest.approx(thick / 2, rel=1e-9)
    assert both_faces_covered_m(thick, k, free) == pytest.approx(thick / 2, rel=1e-9)
    assert one_face_covered_m(thick, k, none) == pytest.approx(thick, rel=1e-6)
    assert lying_half_m(thick, k, (0.0, 0.0)) == pytest.approx(thick / 2)
    for gaps in ((500.0, 100.0, 45.0, 10.0),):
        halves = [float(one_face_covered_m(thick[1:2], k[1:2], gap)[0]) for gap in gaps]
        assert halves == sorted(halves)


def test_thicker_is_never_quicker() -> None:
    thick = np.linspace(0.012, 0.125, 300)
    k = np.full_like(thick, K)
    for covered in ((0.3, 0.0), (1.0, 0.0), (1.0, 0.4), (1.0, 1.0)):
        assert np.all(np.diff(lying_half_m(thick, k, covered)) > 0)


@pytest.mark.parametrize("bad", [(1.2, 0.0), (-0.1, 0.0), (0.5, 2.0)])
def test_shares_that_cannot_be(bad: tuple[float, float]) -> None:
    with pytest.raises(OutOfRangeError):
        lying_half_m(np.array([0.04]), np.array([K]), bad)


def test_a_thickness_that_cannot_be() -> None:
    with pytest.raises(OutOfRangeError):
        one_face_covered_m(np.array([0.0]), np.array([K]))

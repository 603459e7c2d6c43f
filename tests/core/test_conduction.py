"""Heat conduction against tables, textbook examples and closed forms."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from pneumachron.core.cooker.pot_heat import duhamel
from pneumachron.core.errors import OutOfRangeError, ShapeError
from pneumachron.core.physics.conduction import (
    FO_SWITCH,
    block_response,
    slab_coefficients,
    slab_roots,
    slab_step_response,
)
from pneumachron.core.physics.steam import FloatArray


# published: table of roots and coefficients of the plane wall, in Incropera & DeWitt,
# Fundamentals of Heat and Mass Transfer, table 5.1, and Çengel, table 4-2 (from memory);
# four decimals are printed
@pytest.mark.parametrize(
    ("biot", "root", "coefficient"),
    [
        (0.1, 0.3111, 1.0161),
        (1.0, 0.8603, 1.1191),
        (10.0, 1.4289, 1.2620),
        (100.0, 1.5552, 1.2731),
    ],
)
def test_roots_and_coefficients(biot: float, root: float, coefficient: float) -> None:
    roots = slab_roots(np.array(biot))
    assert roots[0] == pytest.approx(root, abs=6e-5)
    assert slab_coefficients(roots)[0] == pytest.approx(coefficient, abs=6e-5)


@given(st.floats(1e-6, 1e6))
def test_roots_solve_their_equation(biot: float) -> None:
    roots = slab_roots(np.array(biot))
    np.testing.assert_allclose(
        roots * np.sin(roots), biot * np.cos(roots), rtol=1e-9, atol=1e-9 * biot + 1e-12
    )
    assert np.all(np.diff(roots) > 0)


# published: centre of a slab whose surface is held (Carslaw & Jaeger 1959, section 3.3)
@pytest.mark.parametrize(
    ("fourier", "left"), [(0.1, 0.94931), (0.2, 0.77231), (0.5, 0.37078), (1.0, 0.10798)]
)
def test_held_surface(fourier: float, left: float) -> None:
    centre = slab_step_response(np.array([fourier]), np.array(1e7)).core
    assert centre[0] == pytest.approx(left, abs=1e-5)


def test_textbook_pipe_wall() -> None:
    # published: Incropera & DeWitt, chapter 5, plane wall example: steel pipe wall of 40 mm,
    # insulated outside, oil at 60 °C with h 500 for 8 min from -20 °C; 42.9 °C at the insulated
    # face (from memory; read with one term, hence 0.3 K)
    fourier = 18.8e-6 * 480 / 0.04**2
    centre = slab_step_response(np.array([fourier]), np.array(500 * 0.04 / 63.9)).core
    assert 60 - 80 * centre[0] == pytest.approx(42.9, abs=0.3)


def test_textbook_brass_plate() -> None:
    # published: Çengel, chapter 4, large brass plate: 4 cm, 20 °C into 500 °C, h 120, 7 min;
    # 282 °C read from a chart, 279 °C lumped (from memory; hence 4 K)
    fourier = 33.9e-6 * 420 / 0.02**2
    centre = slab_step_response(np.array([fourier]), np.array(120 * 0.02 / 110)).core
    assert 500 - 480 * centre[0] == pytest.approx(281, abs=4)


# published: values of the model this one re-derives, Bi = infinity and h 500, k 0.5;
# block 4.5 × 12 × 12 cm, diffusivity 1.45e-7, sudden step from 4 to 116.27 °C
@pytest.mark.parametrize(
    ("film", "temps"), [(1e9, (23.77, 55.39, 92.41)), (500.0, (20.98, 51.05, 88.61))]
)
def test_block(film: float, temps: tuple[float, float, float]) -> None:
    response = block_response(
        np.array([0.06, 0.06, 0.0225]),
        np.array(1.45e-7),
        np.array(0.5),
        film,
        step_s=30.0,
        count=81,
    )
    core = 4 + (116.27 - 4) * response.core_step[[20, 40, 80]]
    np.testing.assert_allclose(core, temps, atol=0.01)


@pytest.mark.parametrize("biot", [0.05, 1.0, 12.0, 1e5])
def test_short_and_long_forms_meet(biot: float) -> None:
    around = np.array([FO_SWITCH * (1 - 1e-9), FO_SWITCH * (1 + 1e-9)])
    found = slab_step_response(around, np.array(biot))
    for left in (found.core, found.reading, found.mean):
        assert abs(np.diff(left)[0]) < 1e-6


@pytest.mark.parametrize("fourier", [0.01, 0.03, 0.2, 0.7])
def test_where_softening_is_read(fourier: float) -> None:
    # closed form: held surface, Σ 4 (−1)^n / ((2n+1) π) cos((n + ½) π ξ) exp(−((n + ½) π)² Fo)
    # (Carslaw & Jaeger 1959, section 3.3)
    order = np.arange(200)
    root = (order + 0.5) * np.pi
    terms = 4 * (-1.0) ** order / (2 * root) * np.cos(0.6 * root) * np.exp(-(root**2) * fourier)
    found = slab_step_response(np.array([fourier]), np.array(1e7))
    assert found.reading[0] == pytest.approx(float(terms.sum()), abs=2e-6)
    assert found.reading[0] < found.core[0]


def test_ramp_in_a_slab_closed_form() -> None:
    # closed form: slab with its surface rising steadily (Carslaw & Jaeger 1959, section 3.5)
    half, alpha, step_s, rate = 0.03, 1.45e-7, 30.0, 0.02
    response = block_response(
        np.array([[[50.0, 50.0, half]]]),
        np.array([[alpha]]),
        np.array([[0.5]]),
        1e9,
        step_s=step_s,
        count=200,
    )
    ours = duhamel(np.full((1, 199), rate * step_s), response.core_ramp)[0, 0]
    time = step_s * np.arange(200)
    n = 2 * np.arange(40) + 1
    terms = np.sin(n * np.pi / 2) / n**3
    decay = np.exp(-alpha * (n * np.pi / (2 * half)) ** 2 * time[:, np.newaxis])
    theirs = rate * (
        time - half**2 / (2 * alpha) + 16 * half**2 / (alpha * np.pi**3) * decay @ terms
    )
    np.testing.assert_allclose(ours, theirs, atol=0.02)


def blocks(sizes: list[float]) -> FloatArray:
    return block_response(
        np.array(sizes), np.array(1.45e-7), np.array(0.5), 500.0, step_s=30.0, count=120
    ).core_step


@given(
    st.lists(st.floats(0.006, 0.15), min_size=3, max_size=3),
    st.integers(0, 2),
    st.floats(1.0, 1.5),
)
def test_a_bigger_block_is_never_faster(sizes: list[float], axis: int, more: float) -> None:
    bigger = list(sizes)
    bigger[axis] *= more
    assert np.all(blocks(bigger) <= blocks(sizes) + 1e-9)


@given(st.lists(st.floats(0.006, 0.15), min_size=3, max_size=3))
def test_core_only_warms_and_never_overshoots(sizes: list[float]) -> None:
    core = blocks(sizes)
    assert np.all(np.diff(core) >= -1e-12)
    assert core[0] == pytest.approx(0.0, abs=1e-12)
    assert core[-1] <= 1.0


def test_bad_input() -> None:
    with pytest.raises(OutOfRangeError, match="half size"):
        blocks([0.0, 0.1, 0.1])
    with pytest.raises(OutOfRangeError, match="Biot"):
        slab_roots(np.array(float("nan")))
    with pytest.raises(ShapeError):
        slab_step_response(np.ones((2, 5)), np.ones(3))
    with pytest.raises(ShapeError):
        blocks([0.1, 0.1])

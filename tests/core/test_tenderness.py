"""The dose against closed forms."""

import numpy as np
import pytest

from pneumachron.core.errors import OutOfRangeError, ShapeError
from pneumachron.core.physics.tenderness import (
    TEXTURES,
    cumulative_softening_min,
    tenderness_step_of,
    texture_softening_min,
)


# closed form: at a constant temperature the dose is time × 10^((T-100)/28)
@pytest.mark.parametrize(("temp", "rate"), [(100.0, 1.0), (128.0, 10.0), (72.0, 0.1)])
def test_constant_temperature(temp: float, rate: float) -> None:
    dose = cumulative_softening_min(np.full(121, temp), step_s=30.0)
    assert dose[-1] == pytest.approx(60.0 * rate, rel=1e-12)
    assert dose[0] == 0.0


def test_nothing_below_seventy() -> None:
    assert cumulative_softening_min(np.linspace(0.0, 69.9, 100), step_s=30.0)[-1] == 0.0


def test_ramp_closed_form() -> None:
    # closed form: integral of 10^((T-100)/28) over a ramp from 40 to 110 °C in 70 min, above 70
    ramp = np.linspace(40.0, 110.0, 141)
    exact = 28 / np.log(10) * (10 ** (10 / 28) - 10 ** (-30 / 28))
    assert cumulative_softening_min(ramp, step_s=30.0)[-1] == pytest.approx(exact, rel=1e-3)


def test_crossing_moves_smoothly() -> None:
    doses = [
        cumulative_softening_min(np.array([60.0, 60.0 + rise]), step_s=30.0)[-1]
        for rise in np.linspace(9.0, 12.0, 61)
    ]
    assert np.all(np.diff(doses) >= 0.0)
    assert np.max(np.diff(doses)) < 0.004


def test_ladder() -> None:
    doses = [texture_softening_min(100.0, float(step)) for step in range(len(TEXTURES))]
    np.testing.assert_allclose(np.diff(np.log(doses)), np.log(1.3))
    assert doses[2] == pytest.approx(100.0)
    steps = tenderness_step_of(100.0, np.array(doses))
    np.testing.assert_allclose(steps, range(5), atol=1e-12)


def test_membrane_is_one_step() -> None:
    on = texture_softening_min(50.0, 2.0, has_membrane=True)
    assert on == pytest.approx(texture_softening_min(50.0, 3.0))


def test_bad_input() -> None:
    with pytest.raises(OutOfRangeError, match="step"):
        cumulative_softening_min(np.ones(3), step_s=float("nan"))
    with pytest.raises(ShapeError):
        cumulative_softening_min(np.ones((2, 0)), step_s=1.0)
    with pytest.raises(OutOfRangeError, match="texture"):
        texture_softening_min(100.0, 4.5)

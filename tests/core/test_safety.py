"""Beside the published minimum: pairs of time and temperature, and the danger zone."""

import numpy as np
import pytest

from pneumachron.core.cuts import cut_by_id
from pneumachron.core.errors import OutOfRangeError
from pneumachron.core.safety import lethality_ratio, needed_time_s, safety_of, zone_time_s


# published: USDA FSIS Appendix A, whole cuts (from memory): 130 °F 112 min, 140 °F 12 min,
# 145 °F 4 min, 158 °F at once
@pytest.mark.parametrize(("celsius", "minutes"), [(54.4, 112), (60.0, 12), (62.8, 4)])
def test_published_pairs(celsius: float, minutes: float) -> None:
    assert float(needed_time_s(np.array(celsius))) == pytest.approx(60 * minutes)
    held = np.full(int(60 * minutes), celsius)
    assert lethality_ratio(held, 1.0) == pytest.approx(1.0)


def test_between_and_outside_the_rows() -> None:
    temps = np.array([50.0, 54.4, 58.0, 61.0, 64.0, 67.0, 70.0, 90.0])
    needed = needed_time_s(temps)
    assert np.isinf(needed[0])
    assert np.all(np.diff(needed[1:]) <= 0)
    assert needed[-1] == 1.0
    assert lethality_ratio(np.full(100, 50.0), 30.0) == 0.0
    with pytest.raises(OutOfRangeError):
        lethality_ratio(temps, 0.0)


def test_safe_minimum() -> None:
    # published: USDA FSIS, 145 °F and 3 min of rest; poultry 165 °F (from memory)
    beef, wings = cut_by_id("brisket_flat"), cut_by_id("wings")
    warm = np.concatenate([np.linspace(4, 64, 60), np.full(8, 64.0)])
    assert safety_of(beef, warm, 64.0, 30.0).met
    assert not safety_of(beef, warm[:62], 64.0, 30.0).met
    assert not safety_of(wings, warm, 64.0, 30.0).met
    assert safety_of(beef, warm, 64.0, 30.0).lethality_ratio > 0.9


def test_danger_zone() -> None:
    # published: USDA, 40 to 140 °F
    assert zone_time_s(np.array([4.0, 20.0, 59.0, 61.0]), 30.0) == 60.0

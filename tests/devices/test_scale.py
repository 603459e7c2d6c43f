"""The simulated scale, and the protocol a real one would follow."""

import pytest

from pneumachron.devices.protocol import DeviceError
from pneumachron.devices.scale import LoadedScale, ScaleDriver, ScaleReading, SimulatedScale


class Steady:
    def __init__(self) -> None:
        self.seconds = 0.0

    def __call__(self) -> float:
        return self.seconds


@pytest.fixture
def steady() -> Steady:
    return Steady()


@pytest.fixture
def scale(steady: Steady) -> SimulatedScale:
    return SimulatedScale(steady)


def test_it_creeps_then_stands(scale: SimulatedScale, steady: Steady) -> None:
    scale.put(1.42)
    seen = []
    for _ in range(8):
        steady.seconds += 0.25
        seen.append(scale.reading())
    assert not seen[0].settled
    assert seen[0].mass_kg < 1.3
    assert seen[-1].settled
    # common practice: a kitchen scale that stands is right to two grams
    assert seen[-1].mass_kg == pytest.approx(1.42, abs=0.02)
    steady.seconds += 5
    assert scale.reading().mass_kg == pytest.approx(1.42, abs=0.002)


def test_tare(scale: SimulatedScale, steady: Steady) -> None:
    scale.put(0.4)  # a bowl
    steady.seconds += 5
    scale.tare()
    assert scale.reading().mass_kg == pytest.approx(0.0, abs=0.002)
    scale.put(1.9)
    steady.seconds += 5
    assert scale.reading().mass_kg == pytest.approx(1.5, abs=0.002)
    scale.put(0.0)
    steady.seconds += 5
    assert scale.reading().mass_kg == pytest.approx(-0.4, abs=0.002)


@pytest.mark.parametrize("mass", [-0.1, 15.1, float("nan")])
def test_too_much(scale: SimulatedScale, steady: Steady, mass: float) -> None:
    scale.put(1.0)
    with pytest.raises(DeviceError, match="overload"):
        scale.put(mass)
    steady.seconds += 5
    assert scale.reading().mass_kg == pytest.approx(1.0, abs=0.002)


class RealScale:
    """What a driver of a real scale would have."""

    def reading(self) -> ScaleReading:
        return ScaleReading(1.0, settled=True)

    def tare(self) -> None:
        return None


def test_the_protocol_takes_another_driver(scale: SimulatedScale) -> None:
    assert isinstance(RealScale(), ScaleDriver)
    assert not isinstance(RealScale(), LoadedScale)
    assert isinstance(scale, LoadedScale)

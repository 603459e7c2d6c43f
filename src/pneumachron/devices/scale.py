"""A kitchen scale: what the app asks of one, and a simulated stand-in."""

import time
from collections.abc import Callable
from dataclasses import dataclass
from math import exp
from threading import Lock
from typing import Protocol, runtime_checkable

import numpy as np

from pneumachron.devices.protocol import DeviceError

RESOLUTION_KG = 0.001
MOST_KG = 15.0
"""What a kitchen platform takes. Common practice."""
SETTLE_S = 0.35
"""Time constant of plate and filter. Judgement."""
STILL_S = 5.0 * SETTLE_S
NOISE_KG = 0.0004


@dataclass(frozen=True, slots=True)
class ScaleReading:
    """What a scale shows."""

    mass_kg: float
    """Less the tare; below zero when something was taken off after it."""
    settled: bool
    """It stands still, so it may be believed."""


@runtime_checkable
class ScaleDriver(Protocol):
    """A scale that is connected; asked several times a second while somebody weighs."""

    def reading(self) -> ScaleReading:
        """What it shows now."""
        ...

    def tare(self) -> None:
        """What lies on it counts as nothing."""
        ...


@runtime_checkable
class LoadedScale(ScaleDriver, Protocol):
    """A scale that is played: somebody's hands are simulated too."""

    def put(self, mass_kg: float) -> None:
        """All that lies on it from now on."""
        ...


class SimulatedScale:
    """A scale that creeps to its weight, trembles by half a gram, and shows whole grams.

    It forgets what lay on it when the app stops, as a scale does.

    Parameters
    ----------
    steady : seconds of a clock that never goes back; the kitchen's faster time is not a scale's
    """

    def __init__(self, steady: Callable[[], float] = time.monotonic, seed: int = 0) -> None:
        self._steady, self._noise = steady, np.random.default_rng(seed)
        self._lock = Lock()
        self._from_kg = self._on_kg = self._tare_kg = 0.0
        self._since = steady()

    def reading(self) -> ScaleReading:
        """What it shows now."""
        with self._lock:
            gone = self._steady() - self._since
            shown = self._plate_kg(gone) + float(self._noise.normal(0.0, NOISE_KG))
            whole = round((shown - self._tare_kg) / RESOLUTION_KG) * RESOLUTION_KG
            return ScaleReading(round(whole, 3), settled=gone >= STILL_S)

    def tare(self) -> None:
        """What lies on it counts as nothing."""
        with self._lock:
            self._tare_kg = self._plate_kg(self._steady() - self._since)

    def put(self, mass_kg: float) -> None:
        """All that lies on it from now on.

        Raises
        ------
        DeviceError : more than it takes; what lay on it is still there.
        """
        if not 0.0 <= mass_kg <= MOST_KG:
            raise DeviceError("overload", most_kg=MOST_KG)
        with self._lock:
            now = self._steady()
            self._from_kg = self._plate_kg(now - self._since)
            self._on_kg, self._since = mass_kg, now

    def _plate_kg(self, gone_s: float) -> float:
        return self._on_kg + (self._from_kg - self._on_kg) * exp(-gone_s / SETTLE_S)

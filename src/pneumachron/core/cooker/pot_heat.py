"""The pot's heat balance, coupled to the meat in it: what come_up.py and let_go.py share.

Two heat stores with one temperature each: the hot plate under the base, which the heater warms,
and the liquid with the vessel, which takes heat from the plate, loses some to the kitchen and
gives some to the meat. Every step is implicit in both and in what the meat takes up (see
conduction.py), so 30 s steps are stable. Events inside a step (pressure reached, lid off) move
the value at its end continuously, so results do not jump while an input is dragged.

As long as nothing happens the balance is linear, with the same answer to each past rise: a lower
triangular Toeplitz system, which `linear_rises` solves for a whole phase at once. Only what
follows an event is stepped, as a difference from there.

Arrays have one row a *case* (V of them: the plan itself, the same a little thicker ...) and, in
the release, K *holds* a case.
"""

from collections.abc import Sequence
from dataclasses import dataclass
from functools import cached_property
from typing import TypeAlias

import numpy as np
from numpy.lib.stride_tricks import as_strided
from numpy.typing import NDArray
from scipy.fft import irfft, next_fast_len, rfft
from scipy.linalg.blas import dtrsm

from pneumachron.core.catalog.pots import Pot
from pneumachron.core.constants import (
    CARRY_OVER,
    LEAST_VENT_SHARE,
    SPRAY_FILL_RATIO,
    SPRAY_THROTTLE,
    STEAM_GAS_CONSTANT,
    WATER_DENSITY,
    WATER_SPECIFIC_HEAT,
)
from pneumachron.core.physics.steam import FloatArray, latent_heat_j_kg, saturation_temp_c

IntArray: TypeAlias = NDArray[np.int_]
Rows: TypeAlias = slice | IntArray

STEP_S = 30.0


@dataclass(frozen=True)
class PotCases:
    """V cases of a pot and what is in it. Shapes (V,)."""

    pot: Pot
    ambient_pa: FloatArray
    gauge_pa: FloatArray
    liquid_m3: FloatArray
    solids_m3: FloatArray
    """Meat, rack and vegetable bed."""
    bed_m3: FloatArray
    """Vegetables under the meat: they warm like water."""
    start_c: FloatArray
    """Pot and liquid when the lid goes on."""

    @cached_property
    def boil_c(self) -> FloatArray:
        """Boiling temperature with the lid off."""
        return saturation_temp_c(self.ambient_pa)

    @cached_property
    def hold_c(self) -> FloatArray:
        """Temperature at pressure."""
        return saturation_temp_c(self.ambient_pa + self.gauge_pa)

    @cached_property
    def water_j_k(self) -> FloatArray:
        """Heat capacity of the liquid and of a vegetable bed."""
        wet_m3 = self.liquid_m3 + self.bed_m3
        return np.asarray(wet_m3 * WATER_DENSITY.value * WATER_SPECIFIC_HEAT.value)

    @cached_property
    def fill_ratio(self) -> FloatArray:
        """Solids and liquid as a share of the usable volume."""
        return (self.solids_m3 + self.liquid_m3) / self.pot.usable_volume_m3

    @cached_property
    def headspace_j_k(self) -> FloatArray:
        """Heat that steam in the headspace takes or gives as its pressure changes by 1 K."""
        kelvin = self.hold_c + 273.15
        latent = latent_heat_j_kg(self.hold_c)
        density = (self.ambient_pa + self.gauge_pa) / (STEAM_GAS_CONSTANT.value * kelvin)
        slope = density * (latent / (STEAM_GAS_CONSTANT.value * kelvin**2) - 1.0 / kelvin)
        empty = np.maximum(self.pot.usable_volume_m3 - self.solids_m3 - self.liquid_m3, 0.0)
        return np.asarray(empty * slope * latent)

    @cached_property
    def orifice_m2(self) -> FloatArray:
        """The valve, throttled by the cook when the pot is full enough to spit."""
        over = np.maximum(self.fill_ratio - SPRAY_FILL_RATIO.value, 0.0)
        return np.asarray(
            self.pot.orifice_m2
            * np.maximum(1.0 - SPRAY_THROTTLE.value * over, LEAST_VENT_SHARE.value)
        )

    def rows(self, which: Rows) -> "PotCases":
        """Some of the cases, with what was worked out of them already."""
        part = PotCases(self.pot, *(getattr(self, name)[which] for name in _CASE_FIELDS))
        known = self.__dict__.keys() - {"pot", *_CASE_FIELDS}
        part.__dict__.update({name: self.__dict__[name][which] for name in known})
        return part

    @staticmethod
    def stacked(parts: Sequence["PotCases"]) -> "PotCases":
        """Cases of one pot together."""
        columns = ([getattr(part, name) for part in parts] for name in _CASE_FIELDS)
        return PotCases(parts[0].pot, *(np.concatenate(column) for column in columns))


_CASE_FIELDS = ("ambient_pa", "gauge_pa", "liquid_m3", "solids_m3", "bed_m3", "start_c")


@dataclass(frozen=True, slots=True)
class AfterHold:
    """What is done after the hold; all times in seconds.

    `wait_s` : how long the pot stands before it is vented: 0 at once, infinite never
    `keep_s` : how long it is kept warm, lid on, once the pin is down
    `boil_s` : how long it boils with the lid off
    `stand_s` : how long the meat goes on by its own heat, in the open pot
    """

    wait_s: float = float("inf")
    keep_s: float = 0.0
    boil_s: float = 0.0
    stand_s: float = CARRY_OVER.value

    @property
    def open_pot_s(self) -> float:
        """From lid off to the end of what is counted."""
        return self.boil_s + self.stand_s


NATURAL = AfterHold()


@dataclass(frozen=True, slots=True)
class AfterHolds:
    """What is done after the hold of each case: `AfterHold`, all (V, 1) [s]."""

    wait_s: FloatArray
    keep_s: FloatArray
    boil_s: FloatArray
    stand_s: FloatArray

    @staticmethod
    def of(ways: AfterHold | Sequence[AfterHold], cases: int) -> "AfterHolds":
        """One way for all cases, or one for each."""
        each = [ways] * cases if isinstance(ways, AfterHold) else ways
        return AfterHolds(
            np.array([[way.wait_s] for way in each]),
            np.array([[way.keep_s] for way in each]),
            np.array([[way.boil_s] for way in each]),
            np.array([[way.stand_s] for way in each]),
        )

    def rows(self, which: Rows) -> "AfterHolds":
        """Some of the cases."""
        return AfterHolds(
            self.wait_s[which], self.keep_s[which], self.boil_s[which], self.stand_s[which]
        )

    @property
    def open_pot_s(self) -> FloatArray:
        """From lid off to the end of what is counted. (V, 1)"""
        return np.asarray(self.boil_s + self.stand_s)


@dataclass(frozen=True, slots=True)
class MeatHeat:
    """What all the meat takes up, on the time grid. (V, n)

    `start_j` : heat taken since it went into a pot that stayed as cold as the tap; `ramp_j_k` :
    heat taken after the pot rose by 1 K over the first step.
    """

    start_j: FloatArray
    ramp_j_k: FloatArray


def plate_ramp_j_k(pot: Pot, count: int) -> FloatArray:
    """Heat the plate takes after the pot rose by 1 K over the first step. (n,) [J/K]

    Closed form of a lumped store with the time constant C/G.
    """
    lag = STEP_S * np.arange(count) * pot.plate_w_k / pot.plate_j_k
    step = STEP_S * pot.plate_w_k / pot.plate_j_k
    ramp = 1.0 - np.exp(-lag) * np.expm1(step) / step
    ramp[0] = 0.0
    return np.asarray(pot.plate_j_k * ramp)


def clip(values: FloatArray, low: float, high: float) -> FloatArray:
    """Three times as fast as numpy's own on the small arrays of a step."""
    return np.asarray(np.minimum(np.maximum(values, low), high))


def plate_left(pot: Pot, time_s: FloatArray) -> FloatArray:
    """Share of a difference between plate and pot that is left after a time."""
    return np.exp(-np.maximum(time_s, 0.0) * pot.plate_w_k / pot.plate_j_k)


def fraction(before: FloatArray, level: FloatArray, after: FloatArray) -> FloatArray:
    """Where between two samples a level is crossed, 0 to 1."""
    span = np.where(after == before, 1.0, after - before)
    return np.asarray(clip((level - before) / span, 0.0, 1.0))


def linear_rises(source_w: FloatArray, stiff_w_k: FloatArray, lagged_w_k: FloatArray) -> FloatArray:
    """Rises of a pot to which nothing happens, for a whole phase at once.

    Parameters
    ----------
    source_w : (V, ..., n) what drives each step, had there been no rise before [W]
    stiff_w_k : (V,) what a rise in a step takes in that step [W/K]
    lagged_w_k : (V, m) what it takes 1, 2, ... steps later [W/K]

    Returns
    -------
    (V, ..., n) [K]: x of A x = source, A lower triangular and Toeplitz
    """
    cases, count = len(source_w), source_w.shape[-1]
    head = np.zeros((cases, 2 * count - 1))
    head[:, count - 1] = stiff_w_k
    head[:, count:] = lagged_w_k[:, : count - 1]
    rises = np.empty_like(source_w)
    step = head.strides[1]
    for case in range(cases):
        # entry (i, j) stands i - j behind the diagonal: a view, which BLAS copies by itself
        matrix = as_strided(head[case, count - 1 :], (count, count), (step, -step))
        found = dtrsm(1.0, matrix, source_w[case].reshape(-1, count).T, lower=1)
        rises[case] = found.T.reshape(source_w.shape[1:])
    return rises


def meat_gain_j(meat: MeatHeat, rise_k: FloatArray) -> FloatArray:
    """Heat all the meat has taken up in a pot that rises so and then stays. (V, n) [J]"""
    return np.asarray(meat.start_j + duhamel(rise_k, meat.ramp_j_k))


def ramp_w_k_of(pot: Pot, meat: MeatHeat) -> FloatArray:
    """Power that meat and plate take in each step after a rise of 1 K. (V, n - 1) [W/K]"""
    count = meat.ramp_j_k.shape[-1]
    return np.asarray(np.diff(meat.ramp_j_k + plate_ramp_j_k(pot, count)) / STEP_S)


def duhamel(rise_k: FloatArray, ramp: FloatArray) -> FloatArray:
    """Sum of the answers to every past rise.

    Parameters
    ----------
    rise_k : (V, m) rise in each of the first m steps [K]
    ramp : (V, n) or (V, G, n) answer to a unit ramp over one step

    Returns
    -------
    shape of `ramp`: the answer at 0, 1, ..., n - 1 steps

    Source
    ------
    Duhamel's theorem, Carslaw & Jaeger (1959), section 1.14.
    """
    flat = ramp.reshape(len(rise_k), -1, ramp.shape[-1])
    size = rise_k.shape[-1] + ramp.shape[-1]
    size = next_fast_len(size, real=True)
    spectrum = rfft(rise_k, size)[:, np.newaxis] * rfft(flat, size)
    return np.asarray(irfft(spectrum, size)[..., : ramp.shape[-1]].reshape(ramp.shape))

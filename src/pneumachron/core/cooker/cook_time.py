"""The hold that gives a texture: one search for many cases at once.

The dose of a whole run is what it would be with the pot held for ever, up to the end of the
hold, plus what the release and the carry-over add. The first part is known at every step from
one convolution. The second changes slowly with the hold, so a handful of releases, stepped side
by side, is enough to interpolate it; the root is then read off a fine grid.
"""

from collections.abc import Callable, Sequence
from copy import copy
from dataclasses import dataclass
from functools import lru_cache
from math import ceil
from typing import TypeAlias

import numpy as np
from numpy.typing import NDArray
from scipy.interpolate import CubicSpline

from pneumachron.core.constants import (
    DOSE_REFERENCE_TEMP,
    DOSE_Z,
    HEATER_EFFICIENCY,
    KITCHEN_TEMP,
    LADDER_STEP,
    PURGE_HEAT,
)
from pneumachron.core.cooker.come_up import MAX_COME_UP_S, ComeUp, come_up
from pneumachron.core.cooker.grid import entries_at, first_zeros, interpolate_last, interpolate_rows
from pneumachron.core.cooker.let_go import LONGEST_VENT_S, Held, Release, release
from pneumachron.core.cooker.meat_cases import MeatCases
from pneumachron.core.cooker.pot_heat import (
    STEP_S,
    AfterHold,
    AfterHolds,
    MeatHeat,
    PotCases,
    Rows,
    duhamel,
    meat_gain_j,
)
from pneumachron.core.errors import RequestError
from pneumachron.core.physics.conduction import BlockResponse, Blocks
from pneumachron.core.physics.steam import FloatArray
from pneumachron.core.physics.tenderness import cumulative_softening_min

MAX_HOLD_S = 12.0 * 3600.0
LEAST_PROBES = 5
_UNIT = np.linspace(0.0, 1.0, 193)
_SHORT_S, _MORE_S = 2700.0, 1500.0
"""Releases longer than the first are probed at four more places for each of the second begun."""
_LEAST_SHARE = 1e-3
"""What a release adds is not told apart below this share of the request."""


@lru_cache(maxsize=8)
def _from_nodes(probes: int) -> FloatArray:
    """Values at even probes times this are values on a fine grid, of the spline through them."""
    return np.ascontiguousarray(_spline(probes)(_UNIT).T)


def _weights_at(place: FloatArray, probes: int) -> FloatArray:
    """Weights of even probes at places (V,) between them, 0 to 1, of the spline. (V, K)"""
    return np.asarray(_spline(probes)(place))


@lru_cache(maxsize=8)
def _spline(probes: int) -> CubicSpline:
    return CubicSpline(np.linspace(0.0, 1.0, probes), np.eye(probes))


@dataclass(frozen=True, slots=True)
class Run:
    """One whole cook of the first case, sampled every `STEP_S`.

    `pot_c`, `core_c` (G, n), `softening_min` (G, n); times of the events [s], `vent_s` infinite
    without venting.
    """

    time_s: FloatArray
    pot_c: FloatArray
    core_c: FloatArray
    softening_min: FloatArray
    boil_s: float
    pressure_s: float
    hold_end_s: float
    vent_s: float
    open_s: float
    final_softening_min: FloatArray
    """(G,) to the end of the carry-over."""
    vented_j: float
    heat: MeatHeat
    rise_k: FloatArray
    """(1, n - 1) what the pot did."""

    @property
    def meat_gain_j(self) -> FloatArray:
        """(n,) heat taken by all the meat so far."""
        return meat_gain_j(self.heat, self.rise_k)[0, : len(self.time_s)]


@dataclass(frozen=True, slots=True)
class Probes:
    """Some holds a case (V, K) [s], ln of the dose after them (V, G, K) [min], and releases."""

    hold_s: FloatArray
    log_extra: FloatArray
    let_go: Release


Openings: TypeAlias = tuple[FloatArray, FloatArray, FloatArray]
"""Lid off (V,) [s], dose (V, G) [min], core at that moment (V, G) [°C]."""


class Search:
    """Come-up and held history of V cases, from which holds and runs are read."""

    def __init__(
        self,
        cases: PotCases,
        meat: MeatCases,
        after: AfterHold | Sequence[AfterHold],
        *,
        at_least_s: float = 0.0,
        past_rise_k: FloatArray | None = None,
    ) -> None:
        """Heat up, and hold for ever.

        `after` is what is done then, for all cases or for each; `at_least_s` makes room for a hold
        that is given [s]; `past_rise_k` (V, n0) is what the pot did before, when it is put on
        again.
        """
        self.meat, self.after = meat, AfterHolds.of(after, len(cases.ambient_pa))
        self.head_start_s = _longest_after_s(cases, meat, self.after)
        longest_s = float(self.head_start_s.max())
        blocks = meat.blocks()
        held_s = max(_held_time_s(cases, meat, blocks), at_least_s)
        count = _steps(cases, meat, longest_s + held_s)
        count += 0 if past_rise_k is None else past_rise_k.shape[-1]
        self.cases = cases
        self.response = blocks.response(STEP_S, count)
        self.heat = meat.heat(self.response, cases.start_c)
        self.up = come_up(cases, self.heat, past_rise_k)
        self.held = Held.of(cases, self.heat, self.up)
        self.held_c = _reading_c(cases, meat, self.response, self.up.rise_k)
        self.held_dose = cumulative_softening_min(self.held_c, step_s=STEP_S)

    def held_dose_at(self, time_s: FloatArray) -> FloatArray:
        """Dose of each kind had the pot been held so long. (V, ...) to (V, G, ...)"""
        return interpolate_rows(self.held_dose, time_s / STEP_S)

    def release(self, hold_s: FloatArray) -> tuple[Release, FloatArray]:
        """Releases after (V, K) holds, and the final dose of each kind (V, G, K)."""
        let_go, dose = self._released(hold_s)
        end = (let_go.open_s + self.after.open_pot_s) / STEP_S - let_go.first
        return let_go, interpolate_last(dose, np.minimum(end, dose.shape[-1] - 1.0))

    def _released(self, hold_s: FloatArray) -> tuple[Release, FloatArray]:
        """Releases, and the dose in their windows with all that came before. (V, G, K, M + 1)"""
        let_go = release(self.cases, self.held, self.up, hold_s, self.after)
        read = _window_c(self.response.reading_ramp, self.held_c, let_go)
        before = entries_at(self.held_dose, let_go.first)
        return let_go, before[..., np.newaxis] + cumulative_softening_min(read, step_s=STEP_S)

    def holds_s(self) -> FloatArray:
        """The hold of each case, 0 when come-up and release are enough. (V,) [s]"""
        return self.solve(self.meat.softening_min[..., np.newaxis])[:, 0]

    def solve(self, softening_min: FloatArray) -> FloatArray:
        """Holds for several requests a case: (V, G, T) doses to (V, T) holds [s].

        Raises
        ------
        RequestError : no hold up to twelve hours is enough.
        """
        probed = self.probe(softening_min)
        return self._read_off(softening_min, probed)

    def probe(self, softening_min: FloatArray) -> "Probes":
        """Releases after some holds around those that give (V, G, T) doses.

        Raises
        ------
        As `solve`.
        """
        need = softening_min
        ratio = self.held_dose[:, :, np.newaxis, :] / need[..., np.newaxis]
        worst = ratio.min(axis=1)
        if not np.all(worst[..., -1] >= 1.0):
            raise RequestError("never_done", "thickness", longest_s=MAX_HOLD_S)
        reached_s = STEP_S * np.argmax(worst >= 1.0, axis=-1)
        top_s = np.maximum(reached_s - self.up.end_s[:, np.newaxis], 0.0)
        highest_s, lowest_s = (
            top_s.max(axis=-1),
            np.maximum(top_s.min(axis=-1) - self.head_start_s, 0.0),
        )
        width_s = np.maximum(highest_s - lowest_s, 60.0)
        probes = LEAST_PROBES + 4 * max(ceil(float(width_s.max() - _SHORT_S) / _MORE_S), 0)
        span = np.ceil(width_s / (probes - 1) / STEP_S) * STEP_S
        probes_s = lowest_s[:, np.newaxis] + span[:, np.newaxis] * np.arange(probes)
        let_go, total = self.release(probes_s)
        held = self.held_dose_at(self.up.end_s[:, np.newaxis] + probes_s)
        least = _LEAST_SHARE * need.min(axis=-1)[..., np.newaxis]
        return Probes(probes_s, np.log(np.maximum(total - held, least)), let_go)

    def _read_off(self, need: FloatArray, probed: "Probes") -> FloatArray:
        """Holds (V, T) from the dose before the release and an interpolated one after it."""
        low, high = probed.hold_s[:, :1], probed.hold_s[:, -1:]
        fine_s = low + (high - low) * _UNIT
        held = self.held_dose_at(self.up.end_s[:, np.newaxis] + fine_s)
        log_extra = probed.log_extra
        log_total = np.log(held + np.exp(log_extra @ _from_nodes(log_extra.shape[-1])))
        gap = (log_total[:, :, np.newaxis] - np.log(need)[..., np.newaxis]).min(axis=1)
        return first_zeros(gap, fine_s)

    def holds_and_openings(
        self, settable_min: Callable[[FloatArray], FloatArray]
    ) -> tuple[FloatArray, Openings]:
        """Holds in whole minutes (V,) for what each case wants, and what they come to.

        Parameters
        ----------
        settable_min : from exact holds (V,) [min] to those that are set

        What lies between the probes is read off them; only holds beyond are released once more.
        """
        need = self.meat.softening_min[..., np.newaxis]
        probed = self.probe(need)
        exact_min = self._read_off(need, probed)[:, 0] / 60.0
        minutes = settable_min(exact_min)
        hold_s = 60.0 * minutes
        inside = (hold_s >= probed.hold_s[:, 0]) & (hold_s <= probed.hold_s[:, -1])
        if not inside.all():
            return minutes, self.openings(hold_s)
        return minutes, self._between(probed, hold_s)

    def _between(self, probed: "Probes", hold_s: FloatArray) -> Openings:
        """Lid off, dose and core of holds (V,) that lie between probes."""
        low, high = probed.hold_s[:, 0], probed.hold_s[:, -1]
        nodes = probed.hold_s.shape[-1]
        weights = _weights_at((hold_s - low) / (high - low), nodes)
        let_go = probed.let_go
        open_s = np.einsum("vk,vk->v", weights, let_go.open_s - probed.hold_s) + hold_s
        extra = np.exp(np.einsum("vgk,vk->vg", probed.log_extra, weights))
        held = self.held_dose_at((self.up.end_s + hold_s)[:, np.newaxis])[..., 0]
        held_core = _core_c(self.cases, self.meat, self.response, self.up.rise_k)
        core = _window_c(self.response.core_ramp, held_core, let_go)
        at_open = interpolate_last(core, let_go.open_s / STEP_S - let_go.first)
        return open_s, held + extra, np.einsum("vgk,vk->vg", at_open, weights)

    def state(self, rise_k: FloatArray) -> tuple[FloatArray, FloatArray, FloatArray]:
        """The first case after a history of its pot (1, n).

        Pot (n + 1,), core (G, n + 1) as a probe reads it, dose (G, n + 1).
        """
        one = self.rows(slice(0, 1))
        count = rise_k.shape[-1] + 1
        core = _core_c(one.cases, one.meat, one.response, rise_k)[0, :, :count]
        read = _reading_c(one.cases, one.meat, one.response, rise_k)[0, :, :count]
        pot_c = float(one.cases.start_c[0]) + np.concatenate([[0.0], np.cumsum(rise_k[0])])
        return pot_c, one.meat.shown_c(core), cumulative_softening_min(read, step_s=STEP_S)

    def rows(self, which: Rows) -> "Search":
        """The same search for some cases."""
        part = copy(self)
        part.cases, part.meat = self.cases.rows(which), self.meat.rows(which)
        part.response = self.response.rows(which)
        part.heat = MeatHeat(self.heat.start_j[which], self.heat.ramp_j_k[which])
        part.held = self.held.rows(which)
        part.up = ComeUp(
            self.up.temp_c[which],
            self.up.rise_k[which],
            self.up.boil_s[which],
            self.up.end_s[which],
        )
        part.held_c, part.held_dose = self.held_c[which], self.held_dose[which]
        part.after, part.head_start_s = self.after.rows(which), self.head_start_s[which]
        return part

    def openings(self, hold_s: FloatArray) -> Openings:
        """What each case comes to after its hold (V,) [s].

        Lid off (V,) [s], dose (V, G), core at that moment (V, G) [°C].
        """
        let_go, dose = self.release(hold_s[:, np.newaxis])
        held = _core_c(self.cases, self.meat, self.response, self.up.rise_k)
        core = _window_c(self.response.core_ramp, held, let_go)
        at_open = interpolate_last(core, let_go.open_s / STEP_S - let_go.first)
        return let_go.open_s[:, 0], dose[..., 0], at_open[..., 0]

    def run(self, hold_s: float) -> Run:
        """The first case, cooked with a given hold."""
        one = self.rows(slice(0, 1))
        let_go, window_dose = one._released(np.array([[hold_s]]))
        first = int(let_go.first[0, 0])
        end = (let_go.open_s + self.after.open_pot_s) / STEP_S - let_go.first
        total = interpolate_last(window_dose, np.minimum(end, window_dose.shape[-1] - 1.0))
        rise = np.concatenate([_until(one.up.rise_k, first), let_go.rise_k[:, 0]], axis=-1)
        held_core = _core_c(one.cases, one.meat, one.response, one.up.rise_k)
        core = _window_c(one.response.core_ramp, held_core, let_go)
        count = rise.shape[-1] + 1
        return Run(
            time_s=STEP_S * np.arange(count),
            pot_c=float(one.cases.start_c[0]) + np.concatenate([[0.0], np.cumsum(rise[0])]),
            core_c=one.meat.shown_c(
                np.concatenate([held_core[0, :, :first], core[0, :, 0]], axis=-1)
            ),
            softening_min=np.concatenate(
                [one.held_dose[0, :, :first], window_dose[0, :, 0]], axis=-1
            ),
            boil_s=float(one.up.boil_s[0]),
            pressure_s=float(one.up.end_s[0]),
            hold_end_s=float(one.up.end_s[0]) + hold_s,
            vent_s=float(let_go.vent_s[0, 0]),
            open_s=float(let_go.open_s[0, 0]),
            final_softening_min=total[0, :, 0],
            vented_j=float(let_go.vented_j[0, 0]),
            heat=one.heat,
            rise_k=rise,
        )


def _until(rise_k: FloatArray, count: int) -> FloatArray:
    """So many steps of it; what is held does not rise. (V, m) to (V, count)"""
    held = np.zeros((len(rise_k), count))
    known = min(count, rise_k.shape[-1])
    held[:, :known] = rise_k[:, :known]
    return held


def _core_c(
    cases: PotCases, meat: MeatCases, response: BlockResponse, rise_k: FloatArray
) -> FloatArray:
    """Core of each kind in a pot that rises so and then stays. (V, G, n) [°C]"""
    return _inside_c(cases, meat, response.core_step, duhamel(rise_k, response.core_ramp))


def _reading_c(
    cases: PotCases, meat: MeatCases, response: BlockResponse, rise_k: FloatArray
) -> FloatArray:
    """The same where softening is read. (V, G, n) [°C]"""
    return _inside_c(cases, meat, response.reading_step, duhamel(rise_k, response.reading_ramp))


def _inside_c(
    cases: PotCases, meat: MeatCases, step: FloatArray, risen_k: FloatArray
) -> FloatArray:
    """Meat that was put into a pot of another temperature, which then rose. (V, G, n) [°C]"""
    jump = (cases.start_c[:, np.newaxis] - meat.start_c)[..., np.newaxis]
    return np.asarray(meat.start_c[..., np.newaxis] + jump * step + risen_k)


def _window_c(ramp: FloatArray, held_c: FloatArray, let_go: Release) -> FloatArray:
    """A place in each kind from the end of the hold on. (V, G, K, M + 1) [°C]

    `ramp` (V, G, n) is its answer to a unit ramp, `held_c` (V, G, n) it in a pot held for ever.
    """
    rise = let_go.rise_k
    kinds, length = held_c.shape[1], rise.shape[-1]
    columns = let_go.first[..., np.newaxis] + np.arange(length + 1)
    held = held_c[
        np.arange(len(rise))[:, np.newaxis, np.newaxis, np.newaxis],
        np.arange(kinds)[np.newaxis, :, np.newaxis, np.newaxis],
        columns[:, np.newaxis],
    ]
    # row j of the (M, M + 1) matrix is the answer to a unit rise in step j of the window
    answers = ramp[..., _later(length)]
    return np.asarray(held + rise[:, np.newaxis] @ answers)


@lru_cache(maxsize=32)
def _later(length: int) -> NDArray[np.int_]:
    """Steps from the end of each step to each moment; 0, where a ramp is 0, up to its own."""
    lags = np.arange(length + 1) - np.arange(length)[:, np.newaxis]
    return np.asarray(np.maximum(lags, 0))


def _longest_after_s(cases: PotCases, meat: MeatCases, after: AfterHolds) -> FloatArray:
    """Upper bound of the release with what follows: none of the meat cools it. (V,) [s]"""
    pot = cases.pot
    heat_j_k = (
        cases.water_j_k + pot.vessel_j_k + pot.plate_j_k + meat.heat_capacity_j_k.sum(axis=-1)
    )
    fall_j = (heat_j_k + cases.headspace_j_k) * (cases.hold_c - cases.boil_c)
    fall_s = fall_j / (pot.loss_closed_w_k * (cases.boil_c - KITCHEN_TEMP.value))
    falls_s = np.minimum(fall_s[:, np.newaxis], after.wait_s + LONGEST_VENT_S)
    return np.asarray(falls_s + after.keep_s + after.open_pot_s)[:, 0]


def _steps(cases: PotCases, meat: MeatCases, held_and_after_s: float) -> int:
    """Steps that surely hold the whole cook: all the meat warms as fast as the pot."""
    pot = cases.pot
    heat_j_k = (
        cases.water_j_k + pot.vessel_j_k + pot.plate_j_k + meat.heat_capacity_j_k.sum(axis=-1)
    )
    start_c = min(float(cases.start_c.min()), float(meat.start_c.min()))
    spare_w = HEATER_EFFICIENCY.value * pot.power_w - pot.loss_closed_w_k * (
        cases.hold_c - KITCHEN_TEMP.value
    )
    rise_j = (heat_j_k + cases.headspace_j_k) * (cases.hold_c - start_c) + PURGE_HEAT.value
    plate_j = pot.plate_j_k * pot.power_w / pot.plate_w_k
    up_s = np.where(spare_w > 0, (rise_j + plate_j) / np.maximum(spare_w, 1e-9), MAX_COME_UP_S)
    up_max_s = float(np.minimum(up_s, MAX_COME_UP_S).max())
    return int((up_max_s + held_and_after_s) / STEP_S) + 12


def _held_time_s(cases: PotCases, meat: MeatCases, blocks: Blocks) -> float:
    """Time the slowest kind needs in a pot that is hot from the start, on a coarse grid."""
    coarse_s = 150.0
    slowest_s = float(np.max(np.min(meat.half_sizes_m, axis=-1) ** 2 / meat.diffusivity_m2_s))
    rate = 10.0 ** ((cases.hold_c - 2.0 - DOSE_REFERENCE_TEMP.value) / DOSE_Z.value)
    dose = LADDER_STEP.value * meat.softening_min
    bound_s = 1.6 * slowest_s + 60.0 * float(np.max(dose / rate[:, np.newaxis]))
    count = int(min(bound_s, MAX_HOLD_S) / coarse_s) + 2
    warmed = blocks.reading_later(coarse_s * np.arange(count, dtype=float))
    read = (
        meat.start_c[..., np.newaxis]
        + warmed * (cases.hold_c[:, np.newaxis] - meat.start_c)[..., np.newaxis]
    )
    done = (cumulative_softening_min(read, step_s=coarse_s) >= dose[..., np.newaxis]).all(
        axis=(0, 1)
    )
    return coarse_s * (int(np.argmax(done)) + 1 if done.any() else count)

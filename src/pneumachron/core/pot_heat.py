"""The pot's heat balance, coupled to the meat in it, stepped for many cases at once.

Two heat stores with one temperature each: the hot plate under the base, which the heater warms,
and the liquid with the vessel, which takes heat from the plate, loses some to the kitchen and
gives some to the meat. Every step is implicit in both and in what the meat takes up (see
conduction.py), so 15 s steps are stable. Events inside a step (pressure reached, lid off) move
the value at its end continuously, so results do not jump while an input is dragged.

Arrays have one row a *case* (V of them: the plan itself, the same a little thicker ...) and, in
the release, K *holds* a case.
"""

from collections.abc import Sequence
from dataclasses import dataclass
from functools import cached_property
from typing import TypeAlias

import numpy as np
from numpy.typing import NDArray
from scipy.fft import irfft, next_fast_len, rfft

from pneumachron.core.constants import (
    CARRY_OVER,
    HEATER_EFFICIENCY,
    KEEP_WARM_TEMP,
    KITCHEN_TEMP,
    LEAST_VENT_SHARE,
    PIN_DROP_RISE,
    PURGE_HEAT,
    SPRAY_FILL_RATIO,
    SPRAY_THROTTLE,
    STEAM_GAS_CONSTANT,
    WATER_DENSITY,
    WATER_SPECIFIC_HEAT,
)
from pneumachron.core.errors import OutOfRangeError, WishError
from pneumachron.core.pots import Pot
from pneumachron.core.steam import (
    FloatArray,
    latent_heat_j_kg,
    saturation_pressure_pa,
    saturation_temp_c,
    vent_flow_kg_s,
)

IntArray: TypeAlias = NDArray[np.int_]
Rows: TypeAlias = slice | IntArray

STEP_S = 30.0
VENT_SLOPE_1_K = 0.03
"""Relative change of vent power with temperature, for a first guess only."""
ICE_POINT_C = 0.01
"""Triple point of water; published, IAPWS."""
MAX_COME_UP_S = 2.0 * 3600.0
"""A pot that takes longer has no seal or far too little power for its load."""


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
        """Some of the cases."""
        return PotCases(self.pot, *(getattr(self, name)[which] for name in _CASE_FIELDS))

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
class MeatHeat:
    """What all the meat takes up, on the time grid. (V, n)

    `start_j` : heat taken since it went into a pot that stayed as cold as the tap; `ramp_j_k` :
    heat taken after the pot rose by 1 K over the first step.
    """

    start_j: FloatArray
    ramp_j_k: FloatArray


@dataclass(frozen=True, slots=True)
class ComeUp:
    """From lid on to pressure. `temp_c` : (V, m + 1) pot at 0, 1, ... steps; then it holds."""

    temp_c: FloatArray
    rise_k: FloatArray
    """(V, m) what the pot gained in each step."""
    boil_s: FloatArray
    end_s: FloatArray
    """(V,) the moment pressure is reached."""


@dataclass(frozen=True, slots=True)
class Release:
    """After the hold. Windows start at the last grid point before its end: `first` (V, K)."""

    first: IntArray
    temp_c: FloatArray
    """(V, K, M + 1)"""
    rise_k: FloatArray
    """(V, K, M)"""
    vent_s: FloatArray
    """(V, K) when venting starts; infinite when it never does."""
    open_s: FloatArray
    """(V, K) pin down, lid off."""
    vented_j: FloatArray
    """(V, K) latent heat that left through the valve."""


def plate_ramp_j_k(pot: Pot, count: int) -> FloatArray:
    """Heat the plate takes after the pot rose by 1 K over the first step. (n,) [J/K]

    Closed form of a lumped store with the time constant C/G.
    """
    lag = STEP_S * np.arange(count) * pot.plate_w_k / pot.plate_j_k
    step = STEP_S * pot.plate_w_k / pot.plate_j_k
    ramp = 1.0 - np.exp(-lag) * np.expm1(step) / step
    ramp[0] = 0.0
    return np.asarray(pot.plate_j_k * ramp)


def _clip(values: FloatArray, low: float, high: float) -> FloatArray:
    """Three times as fast as numpy's own on the small arrays of a step."""
    return np.asarray(np.minimum(np.maximum(values, low), high))


def _plate_left(pot: Pot, time_s: FloatArray) -> FloatArray:
    """Share of a difference between plate and pot that is left after a time."""
    return np.exp(-np.maximum(time_s, 0.0) * pot.plate_w_k / pot.plate_j_k)


def come_up(cases: PotCases, meat: MeatHeat, past_rise_k: FloatArray | None = None) -> ComeUp:
    """Heat from lid on until every case is under pressure.

    `past_rise_k` (V, n0) is what the pot did before in this time grid, when it is put on again;
    times count from the very start.

    Raises
    ------
    WishError : a case does not get there within two hours (or within the response's grid).
    """
    pot, count = cases.pot, len(cases.ambient_pa)
    ramp_w_k = _ramp_w_k(pot, meat)
    past = np.zeros((count, 0)) if past_rise_k is None else past_rise_k
    before = past.shape[-1]
    limit = min(before + int(MAX_COME_UP_S / STEP_S), ramp_w_k.shape[-1])
    source_w = -np.diff(meat.start_j)[:, :limit] / STEP_S
    source_w[:, before:] += _heater_w(pot, limit - before)
    source_w += pot.loss_closed_w_k * KITCHEN_TEMP.value
    boil_c, hold_c = cases.boil_c, cases.hold_c
    cold_w_k = (cases.water_j_k + pot.vessel_j_k) / STEP_S + ramp_w_k[:, 0] + pot.loss_closed_w_k
    steam_w_k = cold_w_k + cases.headspace_j_k / STEP_S

    stiff_w_k, boiling = cold_w_k, False
    history = cases.start_c[:, np.newaxis] + np.cumsum(past, axis=-1)
    temps = [cases.start_c, *history.T]
    temp, rises = temps[-1], np.zeros((count, limit))
    rises[:, :before] = past
    purge_j = np.full(count, PURGE_HEAT.value)
    debt_j = np.zeros(count)
    boil_s, end_s = np.full(count, np.inf), np.full(count, np.inf)
    for n in range(before, limit):
        past_w = np.einsum("vk,vk->v", rises[:, :n], ramp_w_k[:, n:0:-1])
        drive_w = source_w[:, n] - past_w - pot.loss_closed_w_k * temp
        new = temp + drive_w / stiff_w_k
        if not boiling and (debt_j.any() or (new < ICE_POINT_C).any()):
            new, debt_j = _iced(new, debt_j, stiff_w_k * STEP_S)
        if boiling or (new > boil_c).any():
            boiling = True
            stiff_w_k = np.where(temp >= boil_c, steam_w_k, cold_w_k)
            new = temp + drive_w / stiff_w_k
            starts = (new > boil_c) & np.isinf(boil_s)
            boil_s[starts] = ((n + _fraction(temp, boil_c, new)) * STEP_S)[starts]
            surplus_j = np.maximum(new - boil_c, 0.0) * stiff_w_k * STEP_S
            spent_j = np.minimum(surplus_j, purge_j)
            purge_j -= spent_j
            new = new - spent_j / (stiff_w_k * STEP_S)
            arrives = (new >= hold_c) & np.isinf(end_s)
            end_s[arrives] = ((n + _fraction(temp, hold_c, new)) * STEP_S)[arrives]
            new = np.minimum(new, hold_c)
        rises[:, n] = new - temp
        temp = new
        temps.append(temp)
        if not np.isinf(end_s).any():
            return ComeUp(np.stack(temps, axis=-1), rises[:, : n + 1], boil_s, end_s)
    raise WishError(
        "no_pressure",
        "pot",
        "With this load the pot would need over two hours to come to pressure.",
        "Use less liquid, or a pot with more power.",
    )


def _iced(
    temp_c: FloatArray, debt_j: FloatArray, stiff_j_k: FloatArray
) -> tuple[FloatArray, FloatArray]:
    """Liquid on frozen meat does not fall below 0 °C: ice forms, and melts before it warms."""
    left_j = (temp_c - ICE_POINT_C) * stiff_j_k - debt_j
    return ICE_POINT_C + np.maximum(left_j, 0.0) / stiff_j_k, np.maximum(-left_j, 0.0)


def coast(cases: PotCases, meat: MeatHeat, past_rise_k: FloatArray, steps: int) -> FloatArray:
    """A pot that was stopped, lid shut and valve closed: what it does by itself.

    Parameters
    ----------
    past_rise_k : (V, n0) what the pot did before
    steps : how long it stands

    Returns
    -------
    (V, n0 + steps) rises

    Raises
    ------
    OutOfRangeError : longer than the grid of `meat`.
    """
    pot, before = cases.pot, past_rise_k.shape[-1]
    ramp_w_k = _ramp_w_k(pot, meat)
    if not before + steps <= ramp_w_k.shape[-1]:
        raise OutOfRangeError("standing", steps, 0, ramp_w_k.shape[-1] - before, "steps")
    start_w = np.diff(meat.start_j) / STEP_S
    rises = np.zeros((len(past_rise_k), before + steps))
    rises[:, :before] = past_rise_k
    temp = cases.start_c + past_rise_k.sum(axis=-1)
    cold_w_k = (cases.water_j_k + pot.vessel_j_k) / STEP_S + ramp_w_k[:, 0] + pot.loss_closed_w_k
    for n in range(before, before + steps):
        past_w = np.einsum("vk,vk->v", rises[:, :n], ramp_w_k[:, n:0:-1])
        steam_w_k = np.where(temp > cases.boil_c, cases.headspace_j_k / STEP_S, 0.0)
        loss_w = pot.loss_closed_w_k * (temp - KITCHEN_TEMP.value)
        rises[:, n] = (-start_w[:, n] - past_w - loss_w) / (cold_w_k + steam_w_k)
        temp = temp + rises[:, n]
    return rises


def _heater_w(pot: Pot, count: int) -> FloatArray:
    """What the heater sends through the plate in each step from cold. (n,) [W]"""
    edges = STEP_S * np.arange(count + 1.0)
    lag_s = pot.plate_j_k / pot.plate_w_k
    delayed_s = lag_s * -np.diff(_plate_left(pot, edges))
    return np.asarray(HEATER_EFFICIENCY.value * pot.power_w * (1.0 - delayed_s / STEP_S))


def _fraction(before: FloatArray, level: FloatArray, after: FloatArray) -> FloatArray:
    """Where between two samples a level is crossed, 0 to 1."""
    span = np.where(after == before, 1.0, after - before)
    return np.asarray(_clip((level - before) / span, 0.0, 1.0))


def release(
    cases: PotCases, meat: MeatHeat, up: ComeUp, hold_s: FloatArray, after: AfterHold
) -> Release:
    """Let the pressure go after each of several holds, open, and let it stand.

    Parameters
    ----------
    cases, meat, up : the pot, the meat in it and its come-up
    hold_s : (V, K) holds, >= 0; those of one case differ by whole steps [s]
    after : what is done then

    Returns
    -------
    Release, until the last of the open pots has stood.
    """
    pot, runs, wait_s = cases.pot, hold_s.shape, after.wait_s
    terms = _release_terms(cases, meat, up, hold_s)
    length = terms.source_w.shape[-1]
    started = (terms.since_s[..., 1:] > wait_s).any(axis=(0, 1))
    first_vent = int(np.argmax(started)) if started.any() else length
    # once the pin is down the lid comes off, unless the pot is kept warm
    vent = _VentTable(cases) if started.any() else None
    left_w_k = pot.loss_closed_w_k if after.keep_s > 0 else pot.loss_open_w_k
    loss_w_k = np.full(runs, pot.loss_closed_w_k)
    stiff_w_k = np.broadcast_to(terms.stored_w_k + terms.steam_w_k + pot.loss_closed_w_k, runs)
    temp = np.broadcast_to(cases.hold_c[:, np.newaxis], runs)
    temps, rises = [temp], np.zeros((*runs, length))
    shut, open_s, vented_j = np.ones(runs, bool), np.full(runs, np.inf), np.zeros(runs)
    last = length
    for i in range(length):
        if i == last:
            return Release(
                terms.first,
                np.stack(temps, -1),
                rises[..., :i],
                terms.end_s + wait_s,
                open_s,
                vented_j,
            )
        past_w = np.einsum("vki,vi->vk", rises[..., :i], terms.ramp_w_k[:, i:0:-1])
        free_w = terms.source_w[..., i] - past_w
        change = (free_w - loss_w_k * (temp - KITCHEN_TEMP.value)) / stiff_w_k
        if last == length:
            if vent is not None and i >= first_vent:
                share = _clip((terms.since_s[..., i + 1] - wait_s) / STEP_S, 0.0, 1.0) * shut
                change, vent_w = _vented_change(vent, temp, change, stiff_w_k, share)
                vented_j += vent_w * STEP_S
            drops = shut & (temp + change <= terms.pin_c)
            if drops.any():
                part = _fraction(temp, terms.pin_c, temp + change)
                open_s[drops] = ((terms.first + i + part) * STEP_S)[drops] + after.keep_s
                shut &= ~drops
                loss_w_k = np.where(shut, pot.loss_closed_w_k, left_w_k)
                stiff_w_k = np.where(drops, terms.stored_w_k + left_w_k, stiff_w_k)
                opened = (free_w - loss_w_k * (temp - KITCHEN_TEMP.value)) / stiff_w_k
                change = np.where(drops, terms.pin_c - temp + (1.0 - part) * opened, change)
                if not shut.any():
                    stop_s = (open_s + after.open_pot_s) / STEP_S - terms.first
                    last = int(np.ceil(stop_s).max())
        if after.keep_s > 0 or after.boil_s > 0:
            change, loss_w_k, stiff_w_k = _tended(
                cases, terms, after, _Moment(i, shut, open_s, temp, change)
            )
        rises[..., i] = change
        temp = temp + change
        temps.append(temp)
    raise WishError(
        "no_release",
        "release",
        "The pressure would take too long to fall by itself.",
        "Vent it after ten minutes.",
    )


@dataclass(frozen=True, slots=True)
class _ReleaseTerms:
    """What is known before a release is stepped. Runs are (V, K), L steps."""

    end_s: FloatArray
    first: IntArray
    since_s: FloatArray
    """(V, K, L + 1) since the end of the hold; negative at the first grid point only."""
    source_w: FloatArray
    """(V, K, L) from plate and meat, had the pot stayed hot, and the heater's last share."""
    ramp_w_k: FloatArray
    stored_w_k: FloatArray
    steam_w_k: FloatArray
    pin_c: FloatArray


def _release_terms(
    cases: PotCases, meat: MeatHeat, up: ComeUp, hold_s: FloatArray
) -> _ReleaseTerms:
    pot, column = cases.pot, (slice(None), np.newaxis)
    end_s = up.end_s[column] + hold_s
    first = np.floor(end_s / STEP_S + 1e-9).astype(int)
    length = meat.ramp_j_k.shape[-1] - 1 - int(first.max())
    held_w = _windows(np.diff(meat_gain_j(meat, up.rise_k)), first, length) / STEP_S
    since_s = STEP_S * np.arange(length + 1) + (first * STEP_S - end_s)[..., np.newaxis]
    hold_c, boil_c = cases.hold_c[column], cases.boil_c[column]
    keeping_w = held_w[..., 0] + pot.loss_closed_w_k * (hold_c - KITCHEN_TEMP.value)
    plate_j = np.maximum(keeping_w, 0.0) / pot.plate_w_k * pot.plate_j_k
    source_w = -held_w - np.diff(_plate_left(pot, since_s)) * plate_j[..., np.newaxis] / STEP_S
    # the heater still carries its share of the first step
    source_w[..., 0] += (1.0 - since_s[..., 1] / STEP_S) * keeping_w
    ramp_w_k = _ramp_w_k(pot, meat)
    return _ReleaseTerms(
        end_s=end_s,
        first=first,
        since_s=since_s,
        source_w=source_w,
        ramp_w_k=ramp_w_k,
        stored_w_k=((cases.water_j_k + pot.vessel_j_k) / STEP_S + ramp_w_k[:, 0])[column],
        steam_w_k=cases.headspace_j_k[column] / STEP_S,
        pin_c=np.minimum(boil_c + PIN_DROP_RISE.value, 0.5 * (boil_c + hold_c)),
    )


class _VentTable:
    """Vent power between local boiling and pressure, from 256 points a case; within 0.1 %."""

    def __init__(self, cases: PotCases) -> None:
        self.low_c = cases.boil_c[:, np.newaxis]
        self.step_k = (cases.hold_c[:, np.newaxis] - self.low_c) / 255
        self.points_w = vent_power_w(cases, self.low_c + self.step_k * np.arange(256))
        self.rows = np.arange(len(self.points_w))[:, np.newaxis]

    def power_w(self, temp_c: FloatArray) -> FloatArray:
        """Latent heat that leaves through the open valve. (V, K) [°C] to (V, K) [W]"""
        position = _clip((temp_c - self.low_c) / self.step_k, 0.0, 254.999)
        below = position.astype(int)
        left = self.points_w[self.rows, below]
        right = self.points_w[self.rows, below + 1]
        return np.asarray(left + (position - below) * (right - left))


@dataclass(frozen=True, slots=True)
class _Moment:
    """One step of a release, for all runs (V, K)."""

    step: int
    shut: NDArray[np.bool_]
    open_s: FloatArray
    temp_c: FloatArray
    change_k: FloatArray


def _tended(
    cases: PotCases, terms: "_ReleaseTerms", after: AfterHold, now: _Moment
) -> tuple[FloatArray, FloatArray, FloatArray]:
    """Keep warm under the lid, or boil without it.

    The change of this step, and loss and stiffness of the next one. Both settings switch inside a
    step by their share of it.
    """
    shut, open_s, temp_c, change_k = now.shut, now.open_s, now.temp_c, now.change_k
    pot, starts_s = cases.pot, (terms.first + now.step) * STEP_S
    boils = _clip((open_s + after.boil_s - starts_s) / STEP_S, 0.0, 1.0)
    boils = np.minimum(boils, _clip((starts_s + STEP_S - open_s) / STEP_S, 0.0, 1.0))
    change = (1.0 - boils) * change_k + boils * (cases.boil_c[:, np.newaxis] - temp_c)
    warm = ~shut & (open_s > starts_s) & (after.keep_s > 0)
    floor_k = np.minimum(KEEP_WARM_TEMP.value - temp_c, 0.0)
    change = np.where(warm, np.maximum(change, floor_k), change)
    off = _clip((starts_s + 2 * STEP_S - open_s) / STEP_S, 0.0, 1.0)
    loss_w_k = pot.loss_closed_w_k + off * (pot.loss_open_w_k - pot.loss_closed_w_k)
    steam_w_k = np.where(shut, terms.steam_w_k, 0.0)
    return change, loss_w_k, terms.stored_w_k + steam_w_k + loss_w_k


def _vented_change(
    vent: "_VentTable",
    temp_c: FloatArray,
    free_k: FloatArray,
    stiff_w_k: FloatArray,
    share: FloatArray,
) -> tuple[FloatArray, FloatArray]:
    """Change over a step with the valve open for a share of it, and the mean vent power.

    A secant makes the mean of start and end stand for the whole step.
    """
    vent_w = share * vent.power_w(temp_c)
    guess = (free_k * stiff_w_k - vent_w) / (stiff_w_k + VENT_SLOPE_1_K * vent_w)
    end_w = share * vent.power_w(temp_c + guess)
    slope_w_k = np.where(guess < 0.0, (end_w - vent_w) / np.minimum(guess, -1e-9), 0.0)
    change = (free_k * stiff_w_k - vent_w) / (stiff_w_k + 0.5 * slope_w_k)
    return change, vent_w + 0.5 * slope_w_k * change


def meat_gain_j(meat: MeatHeat, rise_k: FloatArray) -> FloatArray:
    """Heat all the meat has taken up in a pot that rises so and then stays. (V, n) [J]"""
    return np.asarray(meat.start_j + duhamel(rise_k, meat.ramp_j_k))


def _ramp_w_k(pot: Pot, meat: MeatHeat) -> FloatArray:
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


def _windows(rows: FloatArray, first: IntArray, length: int) -> FloatArray:
    """Cut a window of `length` out of row v at each first[v, k]. (V, K, length)"""
    columns = np.minimum(first[..., np.newaxis] + np.arange(length), rows.shape[-1] - 1)
    return np.asarray(rows[np.arange(len(rows))[:, np.newaxis, np.newaxis], columns])


def vent_power_w(cases: PotCases, temp_c: FloatArray) -> FloatArray:
    """Latent heat that leaves through the open valve. (V, K) [°C] to (V, K) [W]"""
    outside = cases.ambient_pa[:, np.newaxis]
    inside = np.maximum(saturation_pressure_pa(temp_c), outside)
    flow = vent_flow_kg_s(inside, temp_c, outside, cases.orifice_m2[:, np.newaxis])
    return np.asarray(flow * latent_heat_j_kg(temp_c))

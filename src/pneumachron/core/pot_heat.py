"""The pot's heat balance, coupled to the meat in it, stepped for many cases at once.

Two heat stores with one temperature each: the hot plate under the base, which the heater warms,
and the liquid with the vessel, which takes heat from the plate, loses some to the kitchen and
gives some to the meat. Every step is implicit in both and in what the meat takes up (see
conduction.py), so 15 s steps are stable. Events inside a step (pressure reached, lid off) move
the value at its end continuously, so results do not jump while an input is dragged.

Arrays have one row a *case* (V of them: the plan itself, the same a little thicker ...) and, in
the release, K *holds* a case.
"""

from dataclasses import dataclass
from functools import cached_property
from typing import TypeAlias

import numpy as np
from numpy.typing import NDArray
from scipy.fft import irfft, next_fast_len, rfft

from pneumachron.core.constants import (
    CARRY_OVER,
    HEATER_EFFICIENCY,
    KITCHEN_TEMP,
    LEAST_VENT_SHARE,
    PIN_DROP_RISE,
    PURGE_HEAT,
    SPRAY_FILL_RATIO,
    SPRAY_THROTTLE,
    STEAM_GAS_CONSTANT,
    TAP_WATER_TEMP,
    WATER_DENSITY,
    WATER_SPECIFIC_HEAT,
)
from pneumachron.core.errors import WishError
from pneumachron.core.pots import Pot
from pneumachron.core.steam import (
    FloatArray,
    latent_heat_j_kg,
    saturation_pressure_pa,
    saturation_temp_c,
    vent_flow_kg_s,
)

IntArray: TypeAlias = NDArray[np.int_]

STEP_S = 30.0
VENT_SLOPE_1_K = 0.03
"""Relative change of vent power with temperature, for a first guess only."""
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
        """Heat capacity of the liquid."""
        return self.liquid_m3 * WATER_DENSITY.value * WATER_SPECIFIC_HEAT.value

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

    def first(self) -> "PotCases":
        """The first case alone."""
        return PotCases(
            self.pot,
            self.ambient_pa[:1],
            self.gauge_pa[:1],
            self.liquid_m3[:1],
            self.solids_m3[:1],
        )


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


def _plate_left(pot: Pot, time_s: FloatArray) -> FloatArray:
    """Share of a difference between plate and pot that is left after a time."""
    return np.exp(-np.maximum(time_s, 0.0) * pot.plate_w_k / pot.plate_j_k)


def come_up(cases: PotCases, meat: MeatHeat) -> ComeUp:
    """Heat from lid on until every case is under pressure.

    Raises
    ------
    WishError : a case does not get there within two hours (or within the response's grid).
    """
    pot, count = cases.pot, len(cases.ambient_pa)
    ramp_w_k = _ramp_w_k(pot, meat)
    limit = min(int(MAX_COME_UP_S / STEP_S), ramp_w_k.shape[-1])
    source_w = _heater_w(pot, limit) - np.diff(meat.start_j)[:, :limit] / STEP_S
    source_w += pot.loss_closed_w_k * KITCHEN_TEMP.value
    boil_c, hold_c = cases.boil_c, cases.hold_c
    cold_w_k = (cases.water_j_k + pot.vessel_j_k) / STEP_S + ramp_w_k[:, 0] + pot.loss_closed_w_k
    steam_w_k = cold_w_k + cases.headspace_j_k / STEP_S

    stiff_w_k, boiling = cold_w_k, False
    temp = np.full(count, TAP_WATER_TEMP.value)
    temps, rises = [temp], np.zeros((count, limit))
    purge_j = np.full(count, PURGE_HEAT.value)
    boil_s, end_s = np.full(count, np.inf), np.full(count, np.inf)
    for n in range(limit):
        past_w = np.einsum("vk,vk->v", rises[:, :n], ramp_w_k[:, n:0:-1])
        drive_w = source_w[:, n] - past_w - pot.loss_closed_w_k * temp
        new = temp + drive_w / stiff_w_k
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


def _heater_w(pot: Pot, count: int) -> FloatArray:
    """What the heater sends through the plate in each step from cold. (n,) [W]"""
    edges = STEP_S * np.arange(count + 1.0)
    lag_s = pot.plate_j_k / pot.plate_w_k
    delayed_s = lag_s * -np.diff(_plate_left(pot, edges))
    return np.asarray(HEATER_EFFICIENCY.value * pot.heater_w * (1.0 - delayed_s / STEP_S))


def _fraction(before: FloatArray, level: FloatArray, after: FloatArray) -> FloatArray:
    """Where between two samples a level is crossed, 0 to 1."""
    span = np.where(after == before, 1.0, after - before)
    return np.asarray(np.clip((level - before) / span, 0.0, 1.0))


def release(
    cases: PotCases, meat: MeatHeat, up: ComeUp, hold_s: FloatArray, wait_s: float
) -> Release:
    """Let the pressure go after each of several holds, open, and let it stand.

    Parameters
    ----------
    cases, meat, up : the pot, the meat in it and its come-up
    hold_s : (V, K) holds, >= 0; those of one case differ by whole steps [s]
    wait_s : how long the pot stands before it is vented: 0 quick, infinite natural [s]

    Returns
    -------
    Release, until `CARRY_OVER` after the last lid is off.
    """
    pot, runs = cases.pot, hold_s.shape
    terms = _release_terms(cases, meat, up, hold_s)
    length = terms.source_w.shape[-1]
    started = (terms.since_s[..., 1:] > wait_s).any(axis=(0, 1))
    first_vent = int(np.argmax(started)) if started.any() else length
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
            if i >= first_vent:
                share = np.clip((terms.since_s[..., i + 1] - wait_s) / STEP_S, 0.0, 1.0) * shut
                change, vent_w = _vented_change(cases, temp, change, stiff_w_k, share)
                vented_j += vent_w * STEP_S
            drops = shut & (temp + change <= terms.pin_c)
            if drops.any():
                part = _fraction(temp, terms.pin_c, temp + change)
                open_s[drops] = ((terms.first + i + part) * STEP_S)[drops]
                shut &= ~drops
                loss_w_k = np.where(shut, pot.loss_closed_w_k, pot.loss_open_w_k)
                stiff_w_k = np.where(drops, terms.stored_w_k + pot.loss_open_w_k, stiff_w_k)
                opened = (free_w - loss_w_k * (temp - KITCHEN_TEMP.value)) / stiff_w_k
                change = np.where(drops, terms.pin_c - temp + (1.0 - part) * opened, change)
                if not shut.any():
                    last = int(np.ceil((open_s + CARRY_OVER.value) / STEP_S - terms.first).max())
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


def _vented_change(
    cases: PotCases,
    temp_c: FloatArray,
    free_k: FloatArray,
    stiff_w_k: FloatArray,
    share: FloatArray,
) -> tuple[FloatArray, FloatArray]:
    """Change over a step with the valve open for a share of it, and the mean vent power.

    A secant makes the mean of start and end stand for the whole step.
    """
    vent_w = share * vent_power_w(cases, temp_c)
    guess = (free_k * stiff_w_k - vent_w) / (stiff_w_k + VENT_SLOPE_1_K * vent_w)
    end_w = share * vent_power_w(cases, temp_c + guess)
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

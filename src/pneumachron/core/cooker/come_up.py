"""From lid on to pressure, and a pot that was stopped.

Until the liquid boils the balance is linear (pot_heat.py). From there on the air is driven out and
steam fills the pot: those few steps are walked, all cases side by side from their own boil on.
"""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from pneumachron.core.catalog.pots import Pot
from pneumachron.core.constants import HEATER_EFFICIENCY, KITCHEN_TEMP, PURGE_HEAT
from pneumachron.core.cooker.pot_heat import (
    STEP_S,
    MeatHeat,
    PotCases,
    duhamel,
    fraction,
    linear_rises,
    plate_left,
    ramp_w_k_of,
)
from pneumachron.core.errors import OutOfRangeError, RequestError
from pneumachron.core.physics.steam import FloatArray

ICE_POINT_C = 0.01
"""Triple point of water; published, IAPWS."""
MAX_COME_UP_S = 2.0 * 3600.0
"""A pot that takes longer has no seal or far too little power for its load."""
_USUAL_STEPS = 64
"""Half an hour: most pots are at pressure by then; otherwise the whole time is looked at."""
_STEAM_STEPS = 24
"""Twelve minutes from the boil to pressure, likewise."""


@dataclass(frozen=True, slots=True)
class ComeUp:
    """From lid on to pressure. `temp_c` : (V, m + 1) pot at 0, 1, ... steps; then it holds."""

    temp_c: FloatArray
    rise_k: FloatArray
    """(V, m) what the pot gained in each step."""
    boil_s: FloatArray
    end_s: FloatArray
    """(V,) the moment pressure is reached."""


def come_up(cases: PotCases, meat: MeatHeat, past_rise_k: FloatArray | None = None) -> ComeUp:
    """Heat from lid on until every case is under pressure.

    `past_rise_k` (V, n0) is what the pot did before in this time grid, when it is put on again;
    times count from the very start.

    Raises
    ------
    RequestError : a case does not get there within two hours (or within the response's grid).
    """
    past = np.zeros((len(cases.ambient_pa), 0)) if past_rise_k is None else past_rise_k
    room = min(int(MAX_COME_UP_S / STEP_S), meat.ramp_j_k.shape[-1] - 1 - past.shape[-1])
    for count, steam in ((min(_USUAL_STEPS, room), _STEAM_STEPS), (room, room)):
        cold = _Cold.until(cases, meat, past, count)
        if cold.freezes:
            return stepped_come_up(cases, meat, past)
        found = cold.boiled_off(steam)
        if found is not None:
            return found
    raise _no_pressure()


def _no_pressure() -> RequestError:
    return RequestError("no_pressure", "pot", longest_s=MAX_COME_UP_S)


@dataclass(frozen=True, slots=True)
class _Cold:
    """All cases as if they never boiled. Steps count from the end of what was before."""

    cases: PotCases
    past: FloatArray
    ramp_w_k: FloatArray
    stiff_w_k: FloatArray
    rise_k: FloatArray
    """(V, n)"""
    temp_c: FloatArray
    """(V, n + 1)"""

    @staticmethod
    def until(cases: PotCases, meat: MeatHeat, past: FloatArray, count: int) -> "_Cold":
        """So many steps of it."""
        pot, before = cases.pot, past.shape[-1]
        ramp = ramp_w_k_of(pot, meat)
        stiff = (cases.water_j_k + pot.vessel_j_k) / STEP_S + ramp[:, 0] + pot.loss_closed_w_k
        start_c = cases.start_c + past.sum(axis=-1)
        source = _heater_w(pot, count) - np.diff(meat.start_j)[:, before : before + count] / STEP_S
        source -= pot.loss_closed_w_k * (start_c - KITCHEN_TEMP.value)[:, np.newaxis]
        if before:
            source -= _lagged(past, ramp)[:, before : before + count]
        rise = linear_rises(source, stiff, ramp[:, 1:] + pot.loss_closed_w_k)
        temp = np.concatenate([np.zeros((len(rise), 1)), np.cumsum(rise, axis=-1)], axis=-1)
        return _Cold(cases, past, ramp, stiff, rise, start_c[:, np.newaxis] + temp)

    @property
    def freezes(self) -> bool:
        """Whether liquid would fall below the ice point before it boils."""
        return bool((self.temp_c[:, 1:] < ICE_POINT_C).any())

    def boiled_off(self, most_steps: int) -> ComeUp | None:
        """What becomes of it once the liquid boils; None when the steps are too few."""
        cases, pot, count = self.cases, self.cases.pot, self.rise_k.shape[-1]
        boils = self.temp_c[:, 1:] > cases.boil_c[:, np.newaxis]
        if not boils.any(axis=-1).all():
            return None
        first = np.argmax(boils, axis=-1)
        rows = np.arange(len(first))
        steam_w_k = self.stiff_w_k + cases.headspace_j_k / STEP_S
        lost_w = pot.loss_closed_w_k * (self.temp_c[:, :-1] - KITCHEN_TEMP.value)
        drive_w = self.stiff_w_k[:, np.newaxis] * self.rise_k + lost_w
        steps = min(count - int(first.max()), most_steps)
        now = first[:, np.newaxis] + np.arange(steps)
        drive_w, base_k = drive_w[rows[:, np.newaxis], now], self.rise_k[rows[:, np.newaxis], now]
        apart, changes = np.zeros((len(first), steps)), np.zeros((len(first), steps))
        temp = self.temp_c[rows, first]
        boil_s = (self.past.shape[-1] + first) * STEP_S
        boil_s += STEP_S * fraction(temp, cases.boil_c, temp + base_k[:, 0])
        purge_j = np.full(len(first), PURGE_HEAT.value)
        done = 0
        while done < steps and purge_j.any():
            past_w = np.einsum("vk,vk->v", apart[:, :done], self.ramp_w_k[:, done:0:-1])
            free_w = drive_w[:, done] - past_w
            free_w -= pot.loss_closed_w_k * (temp - KITCHEN_TEMP.value)
            stiff_w_k = np.where(temp >= cases.boil_c, steam_w_k, self.stiff_w_k)
            new = temp + free_w / stiff_w_k
            surplus_j = np.maximum(new - cases.boil_c, 0.0) * stiff_w_k * STEP_S
            spent_j = np.minimum(surplus_j, purge_j)
            purge_j -= spent_j
            changes[:, done] = new - spent_j / (stiff_w_k * STEP_S) - temp
            apart[:, done] = changes[:, done] - base_k[:, done]
            temp = temp + changes[:, done]
            done += 1
        if done < steps:
            lags = np.arange(done, steps) - np.arange(done)[:, np.newaxis]
            rest_w = drive_w[:, done:] - np.einsum(
                "vk,vkn->vn", apart[:, :done], self.ramp_w_k[:, lags]
            )
            rest_w -= steam_w_k[:, np.newaxis] * base_k[:, done:]
            # as warm as it would be with the cold pot's rises from here on
            base_c = (temp - KITCHEN_TEMP.value)[:, np.newaxis] + np.cumsum(
                np.concatenate([np.zeros((len(first), 1)), base_k[:, done:-1]], axis=-1), axis=-1
            )
            rest_w -= pot.loss_closed_w_k * base_c
            lagged_w_k = self.ramp_w_k[:, 1:] + pot.loss_closed_w_k
            changes[:, done:] = base_k[:, done:] + linear_rises(rest_w, steam_w_k, lagged_w_k)
        return self._arrived(first, changes, boil_s)

    def _arrived(
        self, first: NDArray[np.int_], changes: FloatArray, boil_s: FloatArray
    ) -> ComeUp | None:
        """Each case up to its pressure, which then holds."""
        rows, hold_c = np.arange(len(first)), self.cases.hold_c
        temp = np.concatenate([self.temp_c[rows, first][:, np.newaxis], changes], axis=-1)
        temp = np.cumsum(temp, axis=-1)
        there = temp[:, 1:] >= hold_c[:, np.newaxis]
        if not there.any(axis=-1).all():
            return None
        step = np.argmax(there, axis=-1)
        part = fraction(temp[rows, step], hold_c, temp[rows, step + 1])
        end_s = (self.past.shape[-1] + first + step + part) * STEP_S
        after = np.arange(temp.shape[-1]) > step[:, np.newaxis]
        changes = np.diff(np.where(after, hold_c[:, np.newaxis], temp), axis=-1)
        return self._joined(first, changes, int((first + step).max()) + 1, boil_s, end_s)

    def _joined(
        self,
        first: NDArray[np.int_],
        changes: FloatArray,
        length: int,
        boil_s: FloatArray,
        end_s: FloatArray,
    ) -> ComeUp:
        """Cold up to the boil, stepped from there; what came before stands in front."""
        width = max(length, int(first.max()) + changes.shape[-1])
        rise = np.zeros((len(first), width))
        rise[:, : self.rise_k.shape[-1]] = self.rise_k[:, :width]
        steps = first[:, np.newaxis] + np.arange(changes.shape[-1])
        np.put_along_axis(rise, steps, changes, axis=-1)
        whole = np.concatenate([self.past, rise[:, :length]], axis=-1)
        temp = np.concatenate(
            [
                self.cases.start_c[:, np.newaxis],
                self.cases.start_c[:, np.newaxis] + np.cumsum(whole, axis=-1),
            ],
            axis=-1,
        )
        return ComeUp(temp, whole, boil_s, end_s)


def _lagged(past_rise_k: FloatArray, ramp_w_k: FloatArray) -> FloatArray:
    """Power that past rises take in each step. (V, n) [W]"""
    return duhamel(past_rise_k, ramp_w_k)


def stepped_come_up(cases: PotCases, meat: MeatHeat, past: FloatArray) -> ComeUp:
    """The same as `come_up`, step by step: for liquid that freezes onto the meat.

    `past` (V, n0) as there.
    """
    pot, count = cases.pot, len(cases.ambient_pa)
    ramp_w_k = ramp_w_k_of(pot, meat)
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
            boil_s[starts] = ((n + fraction(temp, boil_c, new)) * STEP_S)[starts]
            surplus_j = np.maximum(new - boil_c, 0.0) * stiff_w_k * STEP_S
            spent_j = np.minimum(surplus_j, purge_j)
            purge_j -= spent_j
            new = new - spent_j / (stiff_w_k * STEP_S)
            arrives = (new >= hold_c) & np.isinf(end_s)
            end_s[arrives] = ((n + fraction(temp, hold_c, new)) * STEP_S)[arrives]
            new = np.minimum(new, hold_c)
        rises[:, n] = new - temp
        temp = new
        temps.append(temp)
        if not np.isinf(end_s).any():
            return ComeUp(np.stack(temps, axis=-1), rises[:, : n + 1], boil_s, end_s)
    raise _no_pressure()


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
    ramp_w_k = ramp_w_k_of(pot, meat)
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
    delayed_s = lag_s * -np.diff(plate_left(pot, edges))
    return np.asarray(HEATER_EFFICIENCY.value * pot.power_w * (1.0 - delayed_s / STEP_S))

"""After the hold: the pressure is let go, the lid comes off, and the pot stands.

Until the valve is opened or the pin drops the balance is linear (pot_heat.py), for all holds of a
case with the same matrix. From there on it is stepped, all runs side by side from their own event
on, as a difference from the pot to which nothing happens.
"""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from pneumachron.core.constants import KEEP_WARM_TEMP, KITCHEN_TEMP, PIN_DROP_RISE
from pneumachron.core.cooker.come_up import ComeUp
from pneumachron.core.cooker.pot_heat import (
    STEP_S,
    AfterHolds,
    IntArray,
    MeatHeat,
    PotCases,
    Rows,
    clip,
    fraction,
    linear_rises,
    meat_gain_j,
    plate_left,
    ramp_w_k_of,
)
from pneumachron.core.errors import RequestError
from pneumachron.core.physics.steam import (
    FloatArray,
    latent_heat_j_kg,
    saturation_pressure_pa,
    vent_flow_kg_s,
)

LONGEST_VENT_S = 1500.0
"""Nearly full and vented in pulses it takes some ten minutes; this is a bound."""
VENT_SLOPE_1_K = 0.03
"""Relative change of vent power with temperature, for a first guess only."""
_USUAL_STEPS = 70
"""Most pots are down within thirty-five minutes; otherwise the whole grid is looked at."""


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


def release(
    cases: PotCases, held: "Held", up: ComeUp, hold_s: FloatArray, after: AfterHolds
) -> Release:
    """Let the pressure go after each of several holds, open, and let it stand.

    Parameters
    ----------
    cases, held, up : the pot, held for ever, and its come-up
    hold_s : (V, K) holds, >= 0 [s]
    after : what is done then, case by case

    Returns
    -------
    Release, until the last of the open pots has stood.

    Raises
    ------
    RequestError : the pressure does not fall in the time there is.
    """
    end_s = up.end_s[:, np.newaxis] + hold_s
    whole = held.ramp_w_k.shape[-1] - int(end_s.max() / STEP_S + 1e-9)
    known_s = np.where(np.isfinite(after.wait_s), after.wait_s + LONGEST_VENT_S, 0.0)
    then_s = known_s + after.keep_s + after.open_pot_s
    usual = _USUAL_STEPS + int(float(then_s.max()) / STEP_S)
    # a hold up to the end of what was worked out leaves nothing to let the pressure fall in
    for count in dict.fromkeys((min(usual, whole), whole) if whole > 0 else ()):
        terms = _release_terms(cases, held, end_s, count)
        found = _Shut.until(cases, terms, after).opened()
        if found is not None:
            return found
    raise RequestError("no_release", "release")


@dataclass(frozen=True, slots=True)
class Held:
    """A pot that is held at pressure for ever. (V, n)"""

    meat_w: FloatArray
    """What the meat takes up in each step."""
    ramp_w_k: FloatArray
    """What meat and plate take in each step after a rise of 1 K."""

    @staticmethod
    def of(cases: PotCases, meat: MeatHeat, up: ComeUp) -> "Held":
        """From the come-up on."""
        meat_w = np.diff(meat_gain_j(meat, up.rise_k)) / STEP_S
        return Held(meat_w, ramp_w_k_of(cases.pot, meat))

    def rows(self, which: Rows) -> "Held":
        """Some of the cases."""
        return Held(self.meat_w[which], self.ramp_w_k[which])


@dataclass(frozen=True, slots=True)
class _Shut:
    """All runs as if they stayed shut. (V, K, n) and (V, K, n + 1)"""

    cases: PotCases
    terms: "_ReleaseTerms"
    after: AfterHolds
    rise_k: FloatArray
    temp_c: FloatArray

    @staticmethod
    def until(cases: PotCases, terms: "_ReleaseTerms", after: AfterHolds) -> "_Shut":
        """As many steps of it as there are terms."""
        loss_w_k = cases.pot.loss_closed_w_k
        stiff_w_k = terms.stored_w_k + terms.steam_w_k + loss_w_k
        hold_c = cases.hold_c[:, np.newaxis, np.newaxis]
        source_w = terms.source_w - loss_w_k * (hold_c - KITCHEN_TEMP.value)
        rise = linear_rises(source_w, stiff_w_k[:, 0], terms.ramp_w_k[:, 1:] + loss_w_k)
        temp = np.empty((*rise.shape[:-1], rise.shape[-1] + 1))
        temp[..., 0] = hold_c[..., 0]
        temp[..., 1:] = hold_c + np.cumsum(rise, axis=-1)
        return _Shut(cases, terms, after, rise, temp)

    def _events(self) -> IntArray | None:
        """The step of each run in which the valve is opened or the pin drops; None: not yet."""
        down = self.temp_c[..., 1:] <= self.terms.pin_c[..., np.newaxis]
        vents = self.terms.since_s[..., 1:] > self.after.wait_s[..., np.newaxis]
        happens = down | vents
        return np.argmax(happens, axis=-1) if happens.any(axis=-1).all() else None

    def opened(self) -> Release | None:
        """What becomes of it once something happens; None when the steps are too few."""
        start = self._events()
        if start is None:
            return None
        walk = _Walk(self, start)
        done = 0
        while walk.shut.any() or (done < walk.needed and not walk.plain):
            if done == walk.steps:
                return None
            walk.step(done)
            done += 1
        if walk.needed > walk.steps:
            return None
        if done < walk.needed:
            walk.rest(done)
        rise = self._joined(start, walk.changes[..., : walk.needed], walk.last)
        temp = np.concatenate([self.temp_c[..., :1], rise], axis=-1).cumsum(axis=-1)
        vent_s = self.terms.end_s + self.after.wait_s
        return Release(self.terms.first, temp, rise, vent_s, walk.open_s, walk.vented_j)

    def _joined(self, start: IntArray, changes: FloatArray, length: int) -> FloatArray:
        """Rises: shut up to the event, stepped from there. (V, K, length)"""
        width = max(length, int(start.max()) + changes.shape[-1])
        rise = np.zeros((*start.shape, width))
        rise[..., : self.rise_k.shape[-1]] = self.rise_k[..., :width]
        columns = start[..., np.newaxis] + np.arange(changes.shape[-1])
        np.put_along_axis(rise, columns, changes, axis=-1)
        return rise[..., :length]


class _Walk:
    """All runs side by side, each from its own event on; what is kept is how far from shut."""

    def __init__(self, shut: _Shut, start: IntArray) -> None:
        """`start` (V, K) is the step of the event."""
        self.cases, self.terms, self.after, self.start = shut.cases, shut.terms, shut.after, start
        pot, terms, after = self.cases.pot, self.terms, self.after
        self.steps = shut.rise_k.shape[-1] - int(start.max())
        columns = start[..., np.newaxis] + np.arange(self.steps)
        self.base_k = np.take_along_axis(shut.rise_k, columns, axis=-1)
        self.base_c = np.take_along_axis(shut.temp_c, columns, axis=-1)
        self.since_s = np.take_along_axis(terms.since_s, columns + 1, axis=-1)
        shut_w_k = terms.stored_w_k + terms.steam_w_k + pot.loss_closed_w_k
        self.drive_w = shut_w_k[..., np.newaxis] * self.base_k
        self.drive_w += pot.loss_closed_w_k * (self.base_c - KITCHEN_TEMP.value)
        self.vent = _VentTable(self.cases) if np.isfinite(after.wait_s).any() else None
        # once the pin is down the lid comes off, unless the pot is kept warm
        self.left_w_k = np.where(after.keep_s > 0, pot.loss_closed_w_k, pot.loss_open_w_k)
        self.plain = not ((after.keep_s > 0) | (after.boil_s > 0)).any()
        self.loss_w_k = np.full(start.shape, pot.loss_closed_w_k)
        self.stiff_w_k = np.broadcast_to(shut_w_k, start.shape)
        self.temp = self.base_c[..., 0]
        self.apart, self.changes = np.zeros_like(self.base_k), np.zeros_like(self.base_k)
        self.shut = np.ones(start.shape, bool)
        self.open_s, self.vented_j = np.full(start.shape, np.inf), np.zeros(start.shape)
        self.last = self.needed = 0

    def step(self, j: int) -> None:
        """One step after the event."""
        past_w = np.einsum("vkj,vj->vk", self.apart[..., :j], self.terms.ramp_w_k[:, j:0:-1])
        free_w = self.drive_w[..., j] - past_w
        change = self._freely(free_w)
        if self.shut.any():
            if self.vent is not None:
                share = clip((self.since_s[..., j] - self.after.wait_s) / STEP_S, 0.0, 1.0)
                change, vent_w = _vented_change(
                    self.vent, self.temp, change, self.stiff_w_k, share * self.shut
                )
                self.vented_j += vent_w * STEP_S
            change = self._pin_down(j, free_w, change)
        if not self.plain:
            now = _Moment(self.start + j, self.shut, self.open_s, self.temp, change)
            change, self.loss_w_k, self.stiff_w_k = _tended(self.cases, self.terms, self.after, now)
        self.changes[..., j] = change
        self.apart[..., j] = change - self.base_k[..., j]
        self.temp = self.temp + change

    def _freely(self, free_w: FloatArray) -> FloatArray:
        lost_w = self.loss_w_k * (self.temp - KITCHEN_TEMP.value)
        return np.asarray((free_w - lost_w) / self.stiff_w_k)

    def _pin_down(self, j: int, free_w: FloatArray, change: FloatArray) -> FloatArray:
        """Where the pin drops within this step the rest of it is open."""
        terms = self.terms
        drops = self.shut & (self.temp + change <= terms.pin_c)
        if not drops.any():
            return change
        part = fraction(self.temp, terms.pin_c, self.temp + change)
        at_s = (terms.first + self.start + j + part) * STEP_S + self.after.keep_s
        self.open_s = np.where(drops, at_s, self.open_s)
        self.shut = self.shut & ~drops
        self.loss_w_k = np.where(self.shut, self.cases.pot.loss_closed_w_k, self.left_w_k)
        self.stiff_w_k = np.where(drops, terms.stored_w_k + self.left_w_k, self.stiff_w_k)
        if not self.shut.any():
            stop_s = (self.open_s + self.after.open_pot_s) / STEP_S - terms.first
            self.last = int(np.ceil(stop_s).max())
            self.needed = self.last - int(self.start.min())
        opened = self._freely(free_w)
        return np.where(drops, terms.pin_c - self.temp + (1.0 - part) * opened, change)

    def rest(self, done: int) -> None:
        """Nothing more happens: from here the open pot is linear again."""
        left = slice(done, self.needed)
        lags = np.arange(done, self.needed) - np.arange(done)[:, np.newaxis]
        past_w = self.apart[..., :done] @ self.terms.ramp_w_k[:, lags]
        base_c = self.base_c[..., left] + (self.temp - self.base_c[..., done])[..., np.newaxis]
        rest_w = self.drive_w[..., left] - past_w
        rest_w -= self.stiff_w_k[..., np.newaxis] * self.base_k[..., left]
        rest_w -= self.left_w_k[..., np.newaxis] * (base_c - KITCHEN_TEMP.value)
        lagged_w_k = self.terms.ramp_w_k[:, 1:] + self.left_w_k
        apart = linear_rises(rest_w, self.stiff_w_k[:, 0], lagged_w_k)
        self.changes[..., left] = self.base_k[..., left] + apart


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


def _release_terms(cases: PotCases, held: "Held", end_s: FloatArray, length: int) -> _ReleaseTerms:
    pot, column = cases.pot, (slice(None), np.newaxis)
    first = np.floor(end_s / STEP_S + 1e-9).astype(int)
    held_w = _windows(held.meat_w, first, length)
    since_s = STEP_S * np.arange(length + 1) + (first * STEP_S - end_s)[..., np.newaxis]
    hold_c, boil_c = cases.hold_c[column], cases.boil_c[column]
    keeping_w = held_w[..., 0] + pot.loss_closed_w_k * (hold_c - KITCHEN_TEMP.value)
    plate_j = np.maximum(keeping_w, 0.0) / pot.plate_w_k * pot.plate_j_k
    source_w = -held_w - np.diff(plate_left(pot, since_s)) * plate_j[..., np.newaxis] / STEP_S
    # the heater still carries its share of the first step
    source_w[..., 0] += (1.0 - since_s[..., 1] / STEP_S) * keeping_w
    return _ReleaseTerms(
        end_s=end_s,
        first=first,
        since_s=since_s,
        source_w=source_w,
        ramp_w_k=held.ramp_w_k,
        stored_w_k=((cases.water_j_k + pot.vessel_j_k) / STEP_S + held.ramp_w_k[:, 0])[column],
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
        position = clip((temp_c - self.low_c) / self.step_k, 0.0, 254.999)
        below = position.astype(int)
        left = self.points_w[self.rows, below]
        right = self.points_w[self.rows, below + 1]
        return np.asarray(left + (position - below) * (right - left))


@dataclass(frozen=True, slots=True)
class _Moment:
    """One step of a release, for all runs (V, K); each counts its own steps."""

    step: IntArray
    shut: NDArray[np.bool_]
    open_s: FloatArray
    temp_c: FloatArray
    change_k: FloatArray


def _tended(
    cases: PotCases, terms: "_ReleaseTerms", after: AfterHolds, now: _Moment
) -> tuple[FloatArray, FloatArray, FloatArray]:
    """Keep warm under the lid, or boil without it.

    The change of this step, and loss and stiffness of the next one. Both settings switch inside a
    step by their share of it.
    """
    shut, open_s, temp_c, change_k = now.shut, now.open_s, now.temp_c, now.change_k
    pot, starts_s = cases.pot, (terms.first + now.step) * STEP_S
    boils = clip((open_s + after.boil_s - starts_s) / STEP_S, 0.0, 1.0)
    boils = np.minimum(boils, clip((starts_s + STEP_S - open_s) / STEP_S, 0.0, 1.0))
    boils = np.where(after.boil_s > 0, boils, 0.0)
    change = (1.0 - boils) * change_k + boils * (cases.boil_c[:, np.newaxis] - temp_c)
    warm = ~shut & (open_s > starts_s) & (after.keep_s > 0)
    floor_k = np.minimum(KEEP_WARM_TEMP.value - temp_c, 0.0)
    change = np.where(warm, np.maximum(change, floor_k), change)
    off = clip((starts_s + 2 * STEP_S - open_s) / STEP_S, 0.0, 1.0)
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

"""The release as engines 1 to 4 first walked it, step by step: the oracle for the linear one."""

import numpy as np

from pneumachron.core.constants import KITCHEN_TEMP
from pneumachron.core.cooker.come_up import ComeUp
from pneumachron.core.cooker.let_go import (
    Held,
    Release,
    _Moment,
    _release_terms,
    _tended,
    _vented_change,
    _VentTable,
)
from pneumachron.core.cooker.pot_heat import STEP_S, AfterHold, AfterHolds, PotCases, clip, fraction
from pneumachron.core.physics.steam import FloatArray


def stepped_release(
    cases: PotCases, held: Held, up: ComeUp, hold_s: FloatArray, after: AfterHold
) -> Release:
    """As `release`, with every step walked and the whole history counted in each."""
    pot, runs, wait_s = cases.pot, hold_s.shape, after.wait_s
    end_s = up.end_s[:, np.newaxis] + hold_s
    length = held.ramp_w_k.shape[-1] - int(end_s.max() / STEP_S + 1e-9)
    terms = _release_terms(cases, held, end_s, length)
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
                share = clip((terms.since_s[..., i + 1] - wait_s) / STEP_S, 0.0, 1.0) * shut
                change, vent_w = _vented_change(vent, temp, change, stiff_w_k, share)
                vented_j += vent_w * STEP_S
            drops = shut & (temp + change <= terms.pin_c)
            if drops.any():
                part = fraction(temp, terms.pin_c, temp + change)
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
                cases,
                terms,
                AfterHolds.of(after, len(cases.ambient_pa)),
                _Moment(np.full(runs, i), shut, open_s, temp, change),
            )
        rises[..., i] = change
        temp = temp + change
        temps.append(temp)
    raise AssertionError("the pressure does not fall")

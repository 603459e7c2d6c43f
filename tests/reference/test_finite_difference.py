"""One full cook against an independent finite-volume solution by scipy."""

from dataclasses import replace

import numpy as np
import pytest

from pneumachron.core.cooker.cook_time import Run, Search
from pneumachron.core.cooker.pot_heat import STEP_S
from pneumachron.core.physics.steam import ambient_pressure_pa
from pneumachron.core.physics.tenderness import cumulative_softening_min
from pneumachron.core.planning.lying import Lying
from pneumachron.core.planning.request import CookRequest, resolve
from tests.core.kitchen import cook_request, load, search
from tests.reference.finite_difference import Result, Setting, cook


def setting(wanted: CookRequest) -> Setting:
    """The same case for the reference."""
    piece, count = wanted.load.kinds()[0]
    filling = resolve(wanted).filling
    return Setting(
        pot=wanted.pot,
        half_sizes_m=piece.half_sizes_m,
        diffusivity_m2_s=piece.cut.meat.diffusivity_m2_s,
        conductivity_w_mk=piece.cut.meat.conductivity_w_mk,
        meat_j_k=count * piece.heat_capacity_j_k,
        start_c=piece.start_temp_c,
        liquid_m3=filling.liquid_m3,
        solids_m3=filling.solids_m3,
        ambient_pa=ambient_pressure_pa(wanted.altitude_m),
        gauge_pa=wanted.pot.gauge_high_pa,
    )


CASES = {
    "flat, natural": (
        # apart from each other; what touches is held to a solution of its own (test_contact.py)
        replace(
            cook_request(load("brisket_flat", 1.4, 0.045, 2), altitude_m=1150.0),
            lying=Lying(touching=False),
        ),
        90,
    ),
    "rack, timed": (
        cook_request(
            load("back_ribs", 1.1, 0.03), liquid_style="bath", release="timed", altitude_m=1150.0
        ),
        20,
    ),
}


Pair = tuple[Search, Run, Result]


@pytest.fixture(scope="module", params=CASES, ids=str)
def pair(request: pytest.FixtureRequest) -> Pair:
    wanted, hold_min = CASES[request.param]
    found = search(wanted)
    ours = found.run(60.0 * hold_min)
    theirs = cook(
        setting(wanted),
        hold_s=60.0 * hold_min,
        wait_s=resolve(wanted).after.wait_s,
        cells=(10, 10, 16),
        rtol=1e-4,
    )
    return found, ours, theirs


def test_core(pair: Pair) -> None:
    _, ours, theirs = pair
    core = np.interp(ours.time_s, theirs.time_s, theirs.core_c)
    late = ours.time_s >= 600.0
    assert np.max(np.abs(ours.core_c[0] - core)[late]) < 0.2


def test_where_softening_is_read(pair: Pair) -> None:
    _, ours, theirs = pair
    read = np.interp(ours.time_s, theirs.time_s, theirs.reading_c)
    dose = cumulative_softening_min(read, step_s=STEP_S)
    assert ours.softening_min[0, -1] == pytest.approx(dose[-1], rel=0.03)


def test_events(pair: Pair) -> None:
    _, ours, theirs = pair
    assert ours.boil_s == pytest.approx(theirs.boil_s, rel=0.015)
    assert ours.pressure_s == pytest.approx(theirs.pressure_s, rel=0.01)
    release = ours.open_s - ours.hold_end_s
    their_release = theirs.open_s - theirs.pressure_s - (ours.hold_end_s - ours.pressure_s)
    assert release == pytest.approx(their_release, rel=0.015)


def test_energy(pair: Pair) -> None:
    # heat taken by the meat until pressure, end of hold and lid off: within 1 %
    _, ours, theirs = pair
    shift = theirs.pressure_s - ours.pressure_s
    for ours_s, theirs_s in (
        (ours.pressure_s, theirs.pressure_s),
        (ours.hold_end_s, ours.hold_end_s + shift),
        (ours.open_s, theirs.open_s),
    ):
        gained = np.interp(ours_s, ours.time_s, ours.meat_gain_j)
        their_gain = np.interp(theirs_s, theirs.time_s, theirs.meat_gain_j)
        assert gained == pytest.approx(their_gain, rel=0.01)


def test_come_up_balances(pair: Pair) -> None:
    # closed form: what the heater gave is in the meat, the liquid and vessel, the plate, the
    # steam, or lost; no step of the solver is used
    found, ours, _ = pair
    pot, cases = found.cases.pot, found.cases
    end, rise = ours.pressure_s, float(cases.hold_c[0]) - 15.0
    heater = 0.9 * pot.heater_w
    lag = pot.plate_j_k / pot.plate_w_k
    middle = 0.5 * (ours.time_s[1:] + ours.time_s[:-1])
    steps = np.where(middle < end, np.diff(ours.pot_c), 0.0)
    trail = float(np.sum(steps * np.exp(-np.maximum(end - middle, 0.0) / lag)))
    plate = pot.plate_j_k * (rise - trail + heater / pot.plate_w_k * (1 - np.exp(-end / lag)))
    warmth = np.interp(middle, ours.time_s, ours.pot_c) - 20.0
    lost = pot.loss_closed_w_k * float(np.sum(warmth[middle < end]) * 30.0)
    steam = 20e3 + float(cases.headspace_j_k[0] * (cases.hold_c[0] - cases.boil_c[0]))
    own = float(cases.water_j_k[0]) + pot.vessel_j_k
    meat = float(np.interp(end, ours.time_s, ours.meat_gain_j))
    assert meat + own * rise + plate + steam + lost == pytest.approx(heater * end, rel=0.01)

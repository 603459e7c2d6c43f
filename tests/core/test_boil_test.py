"""The boil test: what a litre of water says about a pot."""

from dataclasses import replace

import numpy as np
import pytest
from numpy.typing import NDArray
from scipy.integrate import solve_ivp

from pneumachron.core.catalog.pots import ready_pot
from pneumachron.core.cooker.boil_test import boil_time_s, heat_ratio_of
from pneumachron.core.errors import RequestError
from pneumachron.core.planning.plan import make_plan
from tests.core.kitchen import cook_request, load

TENOR = ready_pot("tenor")


def test_a_litre_boils_as_fast_as_practice_knows() -> None:
    # closed form: 85 K times 4.2 kJ is 357 kJ; hotplates bring 40 to 75 % of their heat into the
    # water (from memory), and never all of it
    alone_s = 357e3 / 1000.0
    assert alone_s / 0.75 <= boil_time_s(TENOR, 0.0, 15.0) <= alone_s / 0.4


def test_against_two_stores_stepped() -> None:
    # independent solution: plate and water as two stores, integrated by scipy
    water = 1e-3 * 1000 * 4200 + TENOR.vessel_j_k

    def rate(_: float, y: NDArray[np.float64]) -> list[float]:
        plate, pot = y
        flow = TENOR.plate_w_k * (plate - pot)
        heat = 0.9 * TENOR.heater_w
        lost = TENOR.loss_open_w_k * (pot - 20.0)
        return [(heat - flow) / TENOR.plate_j_k, (flow - lost) / water]

    found = solve_ivp(rate, (0, 1200), [15.0, 15.0], rtol=1e-8, max_step=5.0)
    boils_s = float(np.interp(99.97, found.y[1], found.t))
    assert boil_time_s(TENOR, 0.0, 15.0) == pytest.approx(boils_s, rel=0.01)


@pytest.mark.parametrize("ratio", [0.6, 0.85, 1.0, 1.25])
def test_finds_what_it_was(ratio: float) -> None:
    minutes = boil_time_s(replace(TENOR, heat_ratio=ratio), 1150.0, 12.0) / 60
    assert heat_ratio_of(TENOR, 1150.0, 12.0, minutes) == pytest.approx(ratio, abs=1e-3)


def test_slower_water_is_a_weaker_pot() -> None:
    ratios = [heat_ratio_of(TENOR, 0.0, 15.0, minutes) for minutes in (10, 12, 15, 18)]
    assert ratios == sorted(ratios, reverse=True)


@pytest.mark.parametrize(("start", "minutes"), [(15, 1), (15, 2000), (99, 9), (float("nan"), 9)])
def test_absurd_tests(start: float, minutes: float) -> None:
    with pytest.raises(RequestError):
        heat_ratio_of(TENOR, 0.0, start, minutes)


def test_the_plan_uses_it_and_says_so() -> None:
    usual = cook_request(load("brisket_flat", 1.4, 0.045, 2))
    weak = make_plan(replace(usual, pot=replace(TENOR, heat_ratio=0.7)))
    plain = make_plan(usual)
    assert weak.phases[0].duration_s > 1.2 * plain.phases[0].duration_s
    reason = next(reason for reason in weak.reasons if reason.fact == "boil_test")
    assert reason.params == {"share": pytest.approx(0.3), "is": "weaker"}
    assert reason.effect == pytest.approx(-300.0)
    assert "boil_test" not in {reason.fact for reason in plain.reasons}

"""Pots of the household: checked for sense, and scaled from what a cook can measure."""

import pytest

from pneumachron.core.catalog.pots import LIMITS, check_pot, ready_pot, ready_pots, scaled_pot
from pneumachron.core.errors import RequestError
from pneumachron.core.planning.plan import make_plan
from tests.core.kitchen import cook_request, load


def test_ready_pots_make_sense() -> None:
    for pot in ready_pots().values():
        check_pot(pot)
    assert ready_pot("bass").has_start_key
    assert ready_pot("bass").panel_step_min == 5


@pytest.mark.parametrize("field", LIMITS)
@pytest.mark.parametrize("bad", [0.0, -1.0, float("nan"), 1e9])
def test_every_limit(field: str, bad: float) -> None:
    with pytest.raises(RequestError) as caught:
        scaled_pot(ready_pot("tenor"), "own", "Ours", **{field: bad})
    assert caught.value.field == field


@pytest.mark.parametrize(
    ("changes", "code"),
    [
        ({"inner_diameter_m": 0.30}, "pot_does_not_hold"),
        ({"gauge_low_pa": 80e3}, "pot_levels"),
        ({"min_liquid_m3": 0.001, "usable_volume_m3": 0.0021, "inner_height_m": 0.081,
          "inner_diameter_m": 0.18}, "pot_minimum"),
    ],
)  # fmt: skip
def test_contradictions(changes: dict[str, float], code: str) -> None:
    with pytest.raises(RequestError) as caught:
        scaled_pot(ready_pot("tenor"), "own", "Ours", **changes)
    assert caught.value.code == code


def test_more_power_comes_up_faster() -> None:
    weak = scaled_pot(ready_pot("tenor"), "a", "A", heater_w=800.0)
    strong = scaled_pot(ready_pot("tenor"), "b", "B", heater_w=1500.0)
    pieces = load("brisket_flat", 1.4, 0.045, 2)
    times = []
    for pot in (weak, strong):
        wanted = cook_request(pieces)
        plan = make_plan(type(wanted)(pieces, pot, 2.0, "short_braise", "natural", "high", 0.0))
        times.append(plan.phases[0].duration_s)
    assert times[1] < times[0]
    assert strong.vessel_j_k > weak.vessel_j_k


@pytest.mark.parametrize(
    ("exact", "ones", "fives"), [(42.4, 42, 42), (60.2, 60, 60), (61.9, 62, 60), (78.0, 78, 80)]
)
def test_a_hold_can_be_set_on_the_panel(exact: float, ones: int, fives: int) -> None:
    # common practice: some panels count in steps of 5 min above an hour
    assert ready_pot("tenor").settable_min(exact) == ones
    assert ready_pot("bass").settable_min(exact) == fives
    plan = make_plan(cook_request(load("brisket_flat", 1.4, 0.045, 2), pot="bass", texture="falls"))
    assert plan.hold_min > 60
    assert plan.hold_min % 5 == 0
    assert plan.hold_min == pytest.approx(plan.hold_exact_min, abs=2.5)


def test_what_the_panel_asks_is_said() -> None:
    wanted = cook_request(load("brisket_flat", 1.4, 0.045, 2), pot="bass")
    assert "start_key" in {caution.code for caution in make_plan(wanted).cautions}
    assert "start_key" not in {
        caution.code
        for caution in make_plan(cook_request(load("brisket_flat", 1.4, 0.045, 2))).cautions
    }

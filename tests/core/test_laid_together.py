"""Two cooks laid together, and the kinds of pieces in one pot over what happened to it."""

from dataclasses import replace
from typing import Any

import numpy as np
import pytest
from scipy.integrate import solve_ivp

from pneumachron.core.errors import ShapeError
from pneumachron.core.message import Message
from pneumachron.core.planning.load import Load
from pneumachron.core.planning.plan import make_plan
from pneumachron.core.planning.request import CookRequest, resolve
from pneumachron.core.planning.what_if import steps_for_minutes, summary_for_minutes
from pneumachron.core.procedure.cook_plan import cook_plan
from pneumachron.core.session.compare import CameOut, Cooked, differences, to_pressure_s
from pneumachron.core.session.events import Event
from pneumachron.core.session.piece_traces import kind_names, pieces_along, pieces_as_set, said_of
from pneumachron.core.session.pieces import mean_model_step
from pneumachron.core.session.sheet import fold
from tests.core.kitchen import cook_request, load
from tests.reference.finite_difference import Block
from tests.reference.test_finite_difference import setting

RACK_OFF = load("back_ribs", 1.0, 0.028, membrane=False)
RACK_ON = load("back_ribs", 1.0, 0.028, membrane=True)
TWO_WAYS = cook_request(Load(RACK_OFF.pieces + RACK_ON.pieces), pot="bass", texture="very")
# up to 115 °C in 20 min, held, opened and cooled to 70 °C, and under pressure once more
HISTORY = (
    np.array([0.0, 1200.0, 3600.0, 4200.0, 5400.0, 6000.0, 9600.0]),
    np.array([15.0, 115.0, 115.0, 70.0, 68.0, 112.0, 112.0]),
)


def test_along_a_pot_that_was_opened_and_shut_again() -> None:
    """Finite volumes and scipy's BDF know neither Duhamel nor our product solutions."""
    one = cook_request(load("brisket_flat", 1.4, 0.045, 2))
    (trace,) = pieces_along(resolve(one), *HISTORY)
    block = Block(setting(one), (10, 10, 16))

    def rate(at: float, cells: np.ndarray) -> np.ndarray:
        return np.asarray(block.laplacian @ cells + block.film * np.interp(at, *HISTORY))

    start = np.full(block.size, one.load.pieces[0].start_temp_c)
    found = solve_ivp(
        rate, (0.0, 9600.0), start, "BDF", t_eval=trace.time_s, max_step=60.0, rtol=1e-5,
        atol=1e-3, jac=block.laplacian,
    )  # fmt: skip
    core = block.centre @ found.y
    # the same bound as for a whole cook against this reference: 1 K
    assert np.abs(trace.core_c - core).max() < 1.0
    assert core.max() > 85.0  # it has something to tell


def test_the_same_as_the_plan_for_the_minutes_of_the_plan() -> None:
    plan = make_plan(TWO_WAYS)
    traces = pieces_as_set(plan.setup, plan.hold_min)
    for trace, outcome in zip(traces, plan.outcomes, strict=True):
        # the grid is three times as coarse as the plan's; 0.02 of a step is a third of a minute
        assert trace.tenderness_step[-1] == pytest.approx(outcome.tenderness_step, abs=0.02)
        at_open = np.interp(plan.lid_on_to_open_s, trace.time_s, trace.core_c)
        assert at_open == pytest.approx(outcome.core_at_open_c, abs=0.5)


@pytest.mark.parametrize("seconds", [2.0, 29.0, 31.0])
def test_a_cook_that_was_over_at_once_has_a_course_all_the_same(seconds: float) -> None:
    traces = pieces_along(resolve(TWO_WAYS), np.array([0.0, seconds]), np.array([15.0, 15.5]))
    assert all(len(trace.time_s) >= 2 for trace in traces)
    assert all(np.isfinite(trace.core_c).all() for trace in traces)
    assert all(trace.core_c[-1] < 16.0 for trace in traces)


def test_a_membrane_costs_a_rung_and_no_heat() -> None:
    """Common practice: left on, it takes the next step of the ladder to bite through."""
    off, on = pieces_along(resolve(TWO_WAYS), *HISTORY)
    assert off.tenderness_step[-1] - on.tenderness_step[-1] == pytest.approx(1.0)
    assert np.array_equal(off.core_c, on.core_c)
    (against,) = said_of((off, on))
    assert (against.firm.params["membrane"], against.soft.params["membrane"]) == ("on", "off")
    assert against.said == (
        Message("log-firmer", {"steps": 1.0}),
        Message("log-warm_together", {"warm_c": 90.0}),
    )


def test_thin_is_ahead_of_thick() -> None:
    """Common practice: of unlike pieces the thin one is done first."""
    thick, thin = load("brisket_flat", 0.7, 0.06), load("brisket_flat", 0.4, 0.035)
    setup = resolve(cook_request(Load(thick.pieces + thin.pieces)))
    names = kind_names(setup.request.load)
    assert [name.params["thickness_m"] for name in names] == pytest.approx([0.06, 0.035])
    traces = pieces_along(setup, *HISTORY)
    assert np.all(traces[1].core_c[40:200] > traces[0].core_c[40:200])
    (against,) = said_of(traces)
    assert against.firm.params["thickness_m"] == pytest.approx(0.06)
    assert [line.code for line in against.said] == ["log-firmer", "log-warm_later"]
    assert said_of(traces[:1]) == ()


def test_what_is_no_trace() -> None:
    setup = resolve(TWO_WAYS)
    for times in ([0.0], [0.0, 0.0], [60.0, 0.0]):
        with pytest.raises(ShapeError):
            pieces_along(setup, np.array(times), np.full(len(times), 100.0))


def test_the_model_is_told_against_the_pieces_that_were_judged() -> None:
    """Unlike kinds have a step each; what was judged alone counts alone."""
    steps = steps_for_minutes(TWO_WAYS, 25)
    assert steps[0] - steps[1] == pytest.approx(1.0)
    assert min(steps) == pytest.approx(summary_for_minutes(TWO_WAYS, 25).tenderness_step)
    both: list[dict[str, Any]] = [{"texture": "very"}, {"texture": "tender"}]
    assert mean_model_step(both, [1, 1], steps) == pytest.approx(sum(steps) / 2)
    assert mean_model_step(both, [3, 1], steps) == pytest.approx((3 * steps[0] + steps[1]) / 4)
    only: list[dict[str, Any]] = [{"texture": None}, {"texture": "tender"}]
    assert mean_model_step(only, [1, 1], steps) == pytest.approx(steps[1])
    assert mean_model_step([], [1, 1], steps) is None
    # a sheet from elsewhere with more pieces than the load has kinds teaches nothing
    assert mean_model_step([*both, both[0]], [1, 1], steps) is None


def cooked(wanted: CookRequest) -> Cooked:
    plan = cook_plan(make_plan(wanted))
    return Cooked(plan, fold(plan, []), "Tenor", plan.hold_min)


def test_alike_cooks_have_no_differences() -> None:
    one = cooked(cook_request(load("brisket_flat", 1.4, 0.045, 2)))
    assert differences(one, one) == ()


def test_what_differs_and_what_is_left_out() -> None:
    first = cook_request(load("brisket_flat", 1.4, 0.045, 2))
    one = replace(cooked(first), up_s=780.0, yield_ratio=0.66, set_min=85)
    second = replace(first, load=load("brisket_flat", 1.8, 0.06, 2), release="quick")
    other = replace(cooked(second), set_min=125, up_s=960.0)
    told = {
        item.about.removeprefix("differs-"): [
            side for side in (item.first, item.then) if isinstance(side, Message)
        ]
        for item in differences(one, other)
    }
    assert [side.params for side in told["set"]] == [{"time_min": 85}, {"time_min": 125}]
    assert [side.params["mass_kg"] for side in told["weight"]] == pytest.approx([1.4, 1.8])
    assert [side.params["length_m"] for side in told["thickest"]] == pytest.approx([0.045, 0.06])
    assert [side.params["time_s"] for side in told["to_pressure"]] == [780, 960]
    assert [side.params["release"] for side in told["release"]] == ["natural", "quick"]
    # of one of them nobody knows it, so nothing is said; what is the same is not said either
    assert "yield" not in told
    assert not {"pot", "wished", "pieces", "runs"} & set(told)


def test_kinds_that_came_out_unlike_are_named() -> None:
    plan = cook_plan(make_plan(TWO_WAYS))
    told = [Event(0.0, "outcome", {"pieces": [{"texture": "very"}, {"texture": "tender"}]})]
    one = Cooked(plan, fold(plan, told), "Bass", plan.hold_min)
    same = [Event(0.0, "outcome", {"pieces": [{"texture": "very"}, {"texture": "very"}]})]
    other = replace(one, sheet=fold(plan, same))
    (found,) = differences(one, other)
    assert isinstance(found.first, CameOut)
    assert isinstance(found.then, CameOut)
    assert [texture for _, texture in found.first.rated] == ["very", "tender"]
    assert [texture for _, texture in found.then.rated] == ["very", "very"]
    (unknown,) = differences(one, replace(one, sheet=fold(plan, [])))
    assert isinstance(unknown.then, CameOut)
    assert unknown.then.rated == ()


def test_to_pressure_off_the_ink() -> None:
    ink = [(0.0, 0.0), (300.0, 2e3), (600.0, 4e4), (700.0, 6.8e4), (900.0, 7e4), (4000.0, 0.0)]
    assert to_pressure_s(ink) == 700.0
    assert to_pressure_s([(0.0, 0.0), (900.0, 5e3)]) is None
    assert to_pressure_s([]) is None

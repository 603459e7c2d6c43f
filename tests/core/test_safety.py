"""Beside the published minimum: pairs of time and temperature, and the danger zone."""

from dataclasses import replace
from math import exp

import numpy as np
import pytest

from pneumachron.core.catalog.cuts import ReleaseMethod, cut_by_id
from pneumachron.core.errors import OutOfRangeError, RequestError
from pneumachron.core.planning.load import Load
from pneumachron.core.planning.lying import Lying
from pneumachron.core.planning.plan import make_plan
from pneumachron.core.planning.poultry import floor_min
from pneumachron.core.planning.recovery import judge_opened, judge_stopped
from pneumachron.core.planning.request import resolve
from pneumachron.core.planning.what_if import quick_summary
from pneumachron.core.safety.limits import (
    lethality_ratio,
    longest_delay_s,
    needed_time_s,
    safety_of,
    zone_time_s,
)
from tests.core.kitchen import cook_request, first_search, load


# published: USDA FSIS Appendix A, whole cuts (from memory): 130 °F 112 min, 140 °F 12 min,
# 145 °F 4 min, 158 °F at once
@pytest.mark.parametrize(("celsius", "minutes"), [(54.4, 112), (60.0, 12), (62.8, 4)])
def test_published_pairs(celsius: float, minutes: float) -> None:
    assert float(needed_time_s(np.array(celsius), "beef")) == pytest.approx(60 * minutes)
    held = np.full(int(60 * minutes), celsius)
    assert lethality_ratio(held, 1.0, "beef") == pytest.approx(1.0)


# published: USDA FSIS Appendix A, chicken of 12 % fat (from memory): 136 °F 81.4 min,
# 145 °F 13 min, 155 °F 54.4 s, 165 °F at once
@pytest.mark.parametrize(("celsius", "seconds"), [(57.8, 4884), (62.8, 780), (68.3, 54.4)])
def test_poultry_has_its_own_pairs(celsius: float, seconds: float) -> None:
    needed = float(needed_time_s(np.array(celsius), "poultry"))
    assert needed == pytest.approx(seconds)
    assert needed > float(needed_time_s(np.array(celsius), "beef"))
    assert float(needed_time_s(np.array(73.9), "poultry")) == 1.0
    assert float(needed_time_s(np.array(72.0), "poultry")) > 10.0


def test_a_delayed_start_has_a_limit() -> None:
    """Published: USDA, two hours in the zone (from memory); the middle leaves it last."""
    thin = make_plan(cook_request(load("back_ribs", 1.0, 0.025), liquid_style="steam"))
    thick = make_plan(cook_request(load("shoulder_boneless", 3.0, 0.12), texture="falls"))
    delays = [plan.outcomes[0].safety.longest_delay_s / 60.0 for plan in (thin, thick)]
    assert 80.0 < delays[0] < 120.0
    assert delays[1] < 40.0
    hot = np.linspace(4.0, 90.0, 87)
    assert longest_delay_s(hot, 60.0) == pytest.approx(7200.0 - 56 * 60.0)
    assert longest_delay_s(np.full(9, 20.0), 3600.0) == 0.0


def test_between_and_outside_the_rows() -> None:
    temps = np.array([50.0, 54.4, 58.0, 61.0, 64.0, 67.0, 70.0, 90.0])
    needed = needed_time_s(temps, "pork")
    assert np.isinf(needed[0])
    assert np.all(np.diff(needed[1:]) <= 0)
    assert needed[-1] == 1.0
    assert lethality_ratio(np.full(100, 50.0), 30.0, "pork") == 0.0
    with pytest.raises(OutOfRangeError):
        lethality_ratio(temps, 0.0, "pork")


def test_safe_minimum() -> None:
    # published: USDA FSIS, 145 °F and 3 min of rest; poultry 165 °F (from memory)
    beef, wings = cut_by_id("brisket_flat"), cut_by_id("wings")
    warm = np.concatenate([np.linspace(4, 64, 60), np.full(8, 64.0)])
    assert safety_of(beef, warm, 64.0, 30.0).met
    assert not safety_of(beef, warm[:62], 64.0, 30.0).met
    assert not safety_of(wings, warm, 64.0, 30.0).met
    assert safety_of(beef, warm, 64.0, 30.0).lethality_ratio > 0.9


def test_danger_zone() -> None:
    # published: USDA, 40 to 140 °F
    assert zone_time_s(np.array([4.0, 20.0, 59.0, 61.0]), 30.0) == 60.0


def test_poultry_is_safe_in_the_thickest_piece_whatever_is_wished() -> None:
    """Published: USDA FSIS, poultry 165 °F, 73.9 °C (from memory)."""
    releases: tuple[ReleaseMethod, ...] = ("quick", "timed")
    for thick in (0.02, 0.027, 0.035):
        for release in releases:
            wanted = cook_request(
                load("wings", 0.9, thick, 12),
                texture="chewy",
                liquid_style="steam",
                release=release,
            )
            plan = make_plan(wanted)
            piece = wanted.load.pieces[0].with_thickness(exp(1.2816 * 0.08))
            larger = replace(wanted, load=Load((piece,) * 12), liquid_m3=2.4e-4)
            run = first_search(larger).run(60.0 * plan.hold_min)
            at_open = float(np.interp(run.open_s, run.time_s, run.core_c[0]))
            assert at_open >= 73.9
            assert quick_summary(wanted).hold_min == plan.hold_min
            # nor is less offered as the short end, or for next time
            assert plan.hold_range_min[0] >= floor_min(plan.setup)
            told = judge_opened(wanted, plan.hold_min + 10, seen_step=4.0)
            assert told.next_hold_min >= floor_min(plan.setup)
    # ribs of the same size have no such floor
    assert floor_min(resolve(cook_request(load("rib_pieces", 0.9, 0.027, 12)))) == 0


def test_frozen_pieces_that_touch_are_judged_together() -> None:
    apart = cook_request(load("brisket_flat", 1.4, 0.045, 2, start_c=-18.0))
    assert make_plan(apart).hold_min > 0
    on_each_other = replace(apart, lying=Lying("stacked"))
    with pytest.raises(RequestError) as caught:
        make_plan(on_each_other)
    assert caught.value.code == "frozen_together"
    # a gap that was asked for does not lift a piece off the one it lies on
    with pytest.raises(RequestError):
        make_plan(replace(apart, lying=Lying("stacked", touching=False)))
    # nor does a frozen flat fold
    with pytest.raises(RequestError):
        make_plan(cook_request(load("brisket_flat", 1.4, 0.03, start_c=-18.0)))
    rack = cook_request(load("back_ribs", 1.3, 0.028, start_c=-18.0), liquid_style="steam")
    with pytest.raises(RequestError) as caught:
        make_plan(rack)
    assert caught.value.code == "frozen_stiff"


def test_a_thick_roast_that_stood_warm_is_thrown_away() -> None:
    """Published: USDA, two hours between 40 and 140 °F (from memory). Its middle is cold still, but
    its surface was warm all along, and heating it through takes its time too."""
    roast = cook_request(load("shoulder_boneless", 3.2, 0.12))
    assert judge_stopped(roast, 8, 150).step == "throw_away"
    found = judge_stopped(roast, 8, 2)
    assert found.zone_s > 3600  # what is still ahead counts


def test_wings_that_are_kept_warm_were_hot_enough_before() -> None:
    """They are cooler when the lid comes off, and need no more minutes for it."""
    wanted = cook_request(
        load("wings", 0.375, None, 2), liquid_style="steam", release="keep_warm", altitude_m=1150.0
    )
    for pot_c in (None, 80.0):
        plan = make_plan(replace(wanted, pot_start_c=pot_c))
        (outcome,) = plan.outcomes
        assert floor_min(plan.setup) <= plan.hold_min < 20
        assert outcome.safety.core_at_open_c < 73.9 < outcome.safety.hottest_c
        assert outcome.safety.met
        assert "below_safe_minimum" not in {caution.code for caution in plan.cautions}

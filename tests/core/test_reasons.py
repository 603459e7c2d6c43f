"""Every named fact does what it says: change it, and find the effect."""

from dataclasses import replace
from math import log

import numpy as np
import pytest

from pneumachron.core.catalog.cuts import cut_by_id
from pneumachron.core.catalog.racks import RACK_KINDS, Rack
from pneumachron.core.learning.learn import taught
from pneumachron.core.physics.tenderness import TEXTURES
from pneumachron.core.planning.likely_range import (
    HoldRange,
    Kitchens,
    altitude_rule_min,
    hold_range,
    kitchens_of,
    model_sd_ln,
)
from pneumachron.core.planning.liquid import Sauce
from pneumachron.core.planning.load import Load
from pneumachron.core.planning.lying import Lying
from pneumachron.core.planning.plan import make_plan
from pneumachron.core.planning.reasons import Reason
from pneumachron.core.planning.request import CookRequest
from pneumachron.core.session.simulated_meat import LiveMeat
from tests.core.kitchen import CUP_M3, cook_request, load

BASE = load("brisket_flat", 1.4, 0.045, 2)
WANTED = cook_request(BASE, altitude_m=1150.0)


def facts(wanted: CookRequest) -> dict[tuple[str, str], Reason]:
    return {(reason.about, reason.fact): reason for reason in make_plan(wanted).reasons}


def hold(wanted: CookRequest) -> float:
    return make_plan(wanted).hold_exact_min


def thicker(wanted: CookRequest, more_m: float) -> CookRequest:
    pieces = tuple(
        replace(piece, thickness_m=piece.thickness_m + more_m) for piece in wanted.load.pieces
    )
    return replace(wanted, load=Load(pieces))


def test_thickness() -> None:
    # the same weight, half a centimetre more on the ruler
    effect = hold(thicker(WANTED, 0.005)) - hold(WANTED)
    assert facts(WANTED)["hold", "thickness"].effect == pytest.approx(effect, abs=0.3)


def test_altitude_and_the_published_rule() -> None:
    low = hold(replace(WANTED, altitude_m=0.0))
    reason = facts(WANTED)["hold", "altitude"]
    assert reason.effect == pytest.approx(hold(WANTED) - low, abs=0.2)
    # published: extension services, +5 % for every 1,000 ft above 2,000 ft; 1150 m is 3,773 ft
    rule = low * (1 + 0.05 * 1.773)
    assert reason.params["rule_min"] == pytest.approx(rule, rel=1e-3)
    assert altitude_rule_min(low, 1150.0) == pytest.approx(rule, rel=1e-3)
    assert altitude_rule_min(100.0, 600.0) == 100.0
    assert altitude_rule_min(100.0, 3000.0) == pytest.approx(139.2, abs=0.1)
    assert ("hold", "altitude") not in facts(replace(WANTED, altitude_m=0.0))


def test_texture_and_membrane() -> None:
    softer = hold(replace(WANTED, tenderness_step=3.0)) - hold(WANTED)
    assert facts(WANTED)["hold", "texture"].effect == pytest.approx(softer, abs=0.3)
    on = cook_request(
        load("back_ribs", 1.1, 0.03, membrane=True), liquid_style="steam", release="timed"
    )
    off = cook_request(load("back_ribs", 1.1, 0.03), liquid_style="steam", release="timed")
    assert ("hold", "membrane") in facts(on)
    assert ("hold", "membrane") not in facts(off)
    # the membrane asks for one step, so it adds what one step adds without it
    assert hold(on) - hold(off) == pytest.approx(facts(off)["hold", "texture"].effect, abs=0.3)


def test_warming_and_what_comes_after() -> None:
    plan = make_plan(WANTED)
    found = facts(WANTED)
    start_s = plan.phases[1].start_s
    # the same pot, with the meat on a grid of its own
    piece = WANTED.load.pieces[0]
    meat = LiveMeat(piece, 1, plan.setup.arrangement.covered)
    clock_s = 0.0
    while meat.reading_c < 70.0:
        clock_s += 5.0
        meat.step(float(np.interp(clock_s, plan.trace.time_s, plan.trace.pot_c)), 5.0)
    warm_s = clock_s - start_s
    assert found["hold", "warming"].value == pytest.approx(warm_s / 60, abs=1.2)
    end_s = start_s + plan.phases[1].duration_s
    at_end = plan.trace.tenderness_step[plan.trace.time_s <= end_s][-1]
    share = 1 - 1.3 ** (at_end - plan.trace.tenderness_step[-1])
    assert found["hold", "after_hold"].value == pytest.approx(share, abs=0.02)
    assert found["release", "softening_after"].effect == found["hold", "after_hold"].value


def test_frozen_and_stacked() -> None:
    frozen = facts(cook_request(load("brisket_flat", 1.4, 0.045, 2, start_c=-18.0)))[
        "hold", "frozen"
    ]
    assert (frozen.value, frozen.effect) == (-18.0, 2.0)
    stacked = facts(replace(WANTED, lying=Lying("stacked")))["hold", "stacked"]
    assert stacked.value == 0.5  # one of two faces, all of it
    assert 0.0 < stacked.effect < 0.045


def test_liquid() -> None:
    found = facts(WANTED)
    assert found["liquid", "style"].effect == pytest.approx(0.0)
    own = facts(replace(WANTED, liquid_m3=5e-4))
    plan = make_plan(WANTED)
    poured = 5e-4 - plan.setup.filling.usual_m3
    assert own["liquid", "style"].effect == pytest.approx(poured)
    minimum = own["liquid", "minimum"]
    assert minimum.value == pytest.approx(CUP_M3, abs=1e-7)
    assert minimum.effect == pytest.approx(5e-4 - minimum.value)
    juice = found["liquid", "juice"]
    assert juice.effect == pytest.approx(plan.ending.liquid_m3 - plan.setup.filling.wet_m3)
    assert ("liquid", "sauce") not in found
    sauce = facts(replace(WANTED, sauce=Sauce(2e-4)))["liquid", "sauce"]
    assert sauce.effect == pytest.approx(-1e-4)


@pytest.mark.parametrize("rack", RACK_KINDS)
def test_rack(rack: Rack) -> None:
    wanted = replace(cook_request(load("brisket_flat", 0.9, 0.04, 2)), rack=rack)
    plan = make_plan(wanted)
    reason = next(reason for reason in plan.reasons if reason.about == "rack")
    assert reason.fact == rack
    setup = plan.setup
    assert reason.effect == pytest.approx(setup.arrangement.rack_height_m - setup.filling.level_m)
    assert (float(reason.params["bed_kg"]) > 0) == (rack == "bed")


def test_arrangement_and_release() -> None:
    found = facts(WANTED)
    assert found["arrangement", "side_by_side"].value == 2.0
    assert found["release", "natural"].value == pytest.approx(
        make_plan(WANTED).setup.filling.fill_ratio
    )
    # the default's reason when it is the default, and the cook's own otherwise
    usual = facts(replace(WANTED, release=None))["release", "natural"]
    assert usual.params["why"] == "natural"
    assert facts(replace(WANTED, release="quick"))["release", "quick"].params["why"] == "chosen"
    full = cook_request(load("back_ribs", 2.3, 0.03, 2), liquid_style="bath", release=None)
    assert facts(full)["release", "timed"].effect == 900.0


def band(
    hold_min: float,
    *,
    sizes_min: tuple[float, float] | None = None,
    weaker_min: float | None = None,
    guessed: bool = False,
    kitchens: Kitchens,
    model_ln: float = 0.0,
    rule_min: float | None = None,
) -> HoldRange:
    """A band in which nothing is off that is not named."""
    return hold_range(
        hold_min,
        sizes_min=sizes_min or (hold_min, hold_min),
        weaker_min=weaker_min or hold_min,
        guessed=guessed,
        kitchens=kitchens,
        model_ln=model_ln,
        rule_min=rule_min or hold_min,
    )


def test_a_log_narrows_the_band() -> None:
    """The more it knows, the narrower, down to how one animal differs from the next."""
    plain = cut_by_id("shoulder_boneless")
    widths = []
    for known in (None, 0.2, 0.1, 0.05):
        kitchens = kitchens_of(replace(plain, taste_sd_ln=known), 80.0, 92.0)
        assert kitchens.from_log == (known is not None)
        widths.append(band(80.0, kitchens=kitchens).high_min)
    assert widths == sorted(widths, reverse=True)
    assert len(set(widths)) == 4
    # closed form: rise · √(belief² + 0.13²), rise = ln(92/80) / ln 1.3
    rise = log(92 / 80) / log(1.3)
    found = kitchens_of(replace(plain, taste_sd_ln=0.1), 80.0, 92.0)
    assert found.sd_ln == pytest.approx(rise * (0.1**2 + 0.13**2) ** 0.5)


def test_range_names_its_largest_part() -> None:
    # of a roast a ruler tells little: with the weight kept, thicker is narrower
    butt = cook_request(load("shoulder_boneless", 1.8, 0.07, 2), texture="falls")
    assert make_plan(butt).range.largest.kind == "practice"
    assert ("range", "practice") in facts(butt)
    guessed = cook_request(load("back_ribs", 1.0, None))
    assert ("range", "guessed_thickness") in facts(guessed)
    # closed form: normal quantile, exp(± 1.2816 · 0.2)
    exact = band(80.0, sizes_min=(80.0, 80.0), kitchens=Kitchens(0.2, from_log=False))
    assert exact.largest.kind == "practice"
    assert (exact.low_min, exact.high_min) == pytest.approx((61.9, 103.4), abs=0.1)
    high = band(80.0, kitchens=Kitchens(0.05, from_log=False), rule_min=99)
    assert high.largest.kind == "altitude_rule"
    assert high.high_min > 99.0 > high.low_min


def test_parts_add_as_squares() -> None:
    # closed form: independent parts, squares of logarithms
    sd = log(1.25) / 1.2816
    both = band(100.0, sizes_min=(80, 125), kitchens=Kitchens(sd, from_log=False))
    assert both.high_min == pytest.approx(100 * 2.718281828 ** (0.2231 * 2**0.5), rel=1e-3)
    weaker = band(100.0, weaker_min=125.0, kitchens=Kitchens(sd, from_log=False))
    assert weaker.low_min == pytest.approx(both.low_min)
    halved = band(
        100.0, sizes_min=(64, 156), guessed=True, kitchens=Kitchens(0.001, from_log=False)
    )
    low, high = halved.measured_min
    assert (low, high) == pytest.approx((80, 125), abs=0.5)


def test_every_reason_has_its_units() -> None:
    for reason in make_plan(WANTED).reasons:
        assert reason.unit
        assert reason.effect_unit


def test_a_lean_flat_goes_dry_and_marbled_meat_forgives() -> None:
    # judgement: a flat is soft and dry beyond 1.5 times falling apart
    soft = make_plan(cook_request(load("brisket_flat", 1.4, 0.045, 2), texture="falls"))
    assert not soft.outcomes[0].dry
    assert soft.outcomes[0].dryness_ratio == pytest.approx(1 / 1.5, abs=0.03)
    thick = load("brisket_flat", 0.8, 0.05).pieces[0]
    thin = load("brisket_flat", 0.2, 0.02).pieces[0]
    mixed = make_plan(cook_request(Load((thick, thin)), texture="falls"))
    assert mixed.outcomes[1].dry
    assert "goes_dry" in {caution.code for caution in mixed.cautions}
    butt = make_plan(cook_request(load("shoulder_boneless", 1.8, 0.07, 2), texture="falls"))
    assert butt.outcomes[0].dryness_ratio < 0.6


def test_what_the_log_moved_is_told_in_minutes() -> None:
    """Against the plan of the same cut without it; a step on the ladder is the yardstick, so it is
    within a few minutes of it."""
    cut = cut_by_id("brisket_flat")
    for moved in (-0.2, 0.25):
        pieces = tuple(
            replace(piece, cut=taught(cut, {"brisket_flat": moved})) for piece in WANTED.load.pieces
        )
        wanted = replace(WANTED, load=Load(pieces))
        told = facts(wanted)["hold", "log"]
        really = hold(wanted) - hold(WANTED)
        assert told.effect == pytest.approx(really, abs=3.0)
        assert told.params == {
            "moved_min": told.effect,
            "came_out": "firmer" if moved > 0 else "softer",
        }
    assert ("hold", "log") not in facts(WANTED)


def test_a_guess_that_hardly_matters_is_only_a_note() -> None:
    butt = make_plan(cook_request(load("shoulder_boneless", 2.0, None), texture="falls"))
    ribs = make_plan(cook_request(load("back_ribs", 1.0, None)))
    levels = [
        next(c.severity for c in plan.cautions if c.code == "thickness_guessed")
        for plan in (butt, ribs)
    ]
    assert levels == ["note", "careful"]


def test_what_the_log_found_of_a_pot_is_not_called_a_boil_test() -> None:
    tested = replace(WANTED, pot=replace(WANTED.pot, heat_ratio=0.9))
    assert ("hold", "boil_test") in facts(tested)
    assert ("hold", "log_heat") not in facts(tested)
    logged = replace(tested, log_heat_ratio=0.9)
    assert ("hold", "boil_test") not in facts(logged)
    assert facts(logged)["hold", "log_heat"].params == {
        "share": pytest.approx(0.1),
        "is": "weaker",
    }
    both = facts(replace(tested, log_heat_ratio=0.95))
    assert ("hold", "boil_test") in both
    assert ("hold", "log_heat") in both


def test_what_practice_leaves_open_widens_what_it_did_not_try() -> None:
    """z and the ratio of steps: nothing where practice was, more away from it."""
    cut = cut_by_id("brisket_flat")
    usual = float(TEXTURES.index(cut.default_texture))
    assert model_sd_ln(cut, usual, 116.0) == 0.0
    # by hand: 10 K × ln 10 × (1/22 − 1/33) / 2 / 1.2816, and one step × ln(1.4/1.2) / 2 / 1.2816
    assert model_sd_ln(cut, usual, 106.0) == pytest.approx(0.1361, abs=2e-4)
    assert model_sd_ln(cut, usual - 1.0, 116.0) == pytest.approx(0.0601, abs=2e-4)
    known = Kitchens(0.1, from_log=False)
    assert band(80.0, kitchens=known, model_ln=0.1).high_min > band(80.0, kitchens=known).high_min

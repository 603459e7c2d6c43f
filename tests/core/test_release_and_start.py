"""Ways of letting go, pressures, shapes and starts: each does what the trade says."""

from dataclasses import replace

import numpy as np
import pytest
from scipy.special import j0, j1, jn_zeros

from pneumachron.core.catalog.cuts import RELEASE_METHODS, ReleaseMethod, cut_by_id
from pneumachron.core.errors import OutOfRangeError, RequestError
from pneumachron.core.physics.steam import saturation_temp_c
from pneumachron.core.planning.liquid import NO_SAUCE, Sauce
from pneumachron.core.planning.load import ROLL_RATIO, Load, make_piece
from pneumachron.core.planning.plan import Plan, make_plan
from pneumachron.core.planning.releases import (
    FULL_WAIT_S,
    after_hold,
    choose_release,
    release_kinds,
)
from pneumachron.core.planning.request import CookRequest, resolve
from tests.core.kitchen import CUP_M3, cook_request, load, search

BASE = load("brisket_flat", 1.4, 0.045, 2)


def minutes(plan: Plan, kind: str) -> float:
    return sum(phase.duration_s for phase in plan.phases if phase.kind == kind) / 60


@pytest.mark.parametrize("method", RELEASE_METHODS)
def test_every_release_gives_the_texture(method: ReleaseMethod) -> None:
    plan = make_plan(cook_request(BASE, release=method))
    assert plan.outcomes[0].tenderness_step == pytest.approx(2.0, abs=0.06)
    assert plan.setup.release == method
    kind = release_kinds()[method]
    assert kind.vents == (minutes(plan, "venting") > 0)


def test_slower_releases_need_shorter_holds() -> None:
    holds = {
        method: make_plan(cook_request(BASE, release=method)).hold_exact_min
        for method in RELEASE_METHODS
    }
    assert holds["keep_warm"] < holds["natural"] < holds["timed"] < holds["quick"]
    # soaking goes on where venting stops
    assert holds["soak"] < holds["quick"]


def test_keeping_warm_counts_its_minutes() -> None:
    short, long = (
        make_plan(replace(cook_request(BASE, release="keep_warm"), stay_s=60.0 * m))
        for m in (15, 90)
    )
    assert long.hold_exact_min < short.hold_exact_min
    assert minutes(long, "keeping_warm") == pytest.approx(90)
    assert long.lid_on_to_open_s > short.lid_on_to_open_s
    trace = long.trace
    kept = (trace.time_s > long.lid_on_to_open_s - 5000) & (trace.time_s < long.lid_on_to_open_s)
    assert trace.pot_c[kept].min() >= 70.0 - 1e-6


def test_keeping_warm_is_continuous_in_its_minutes() -> None:
    holds = [
        make_plan(
            replace(cook_request(BASE, release="keep_warm"), stay_s=1800.0 + extra)
        ).hold_exact_min
        for extra in (0.0, 10.0, 20.0, 30.0, 40.0)
    ]
    assert np.all(np.diff(holds) <= 0.02)
    assert np.all(np.abs(np.diff(holds)) < 0.3)


def test_open_boil_goes_on_at_the_boil() -> None:
    # common practice (P3): 1 in rib pieces, 5 min, vented at once, then 10 min of open boil
    plain = make_plan(
        cook_request(load("rib_pieces", 0.9, 0.0254, 12), release="quick", texture="holds")
    )
    boiled = make_plan(
        cook_request(
            load("rib_pieces", 0.9, 0.0254, 12), release="quick", texture="holds", boil_s=600.0
        )
    )
    assert boiled.hold_exact_min < plain.hold_exact_min
    assert minutes(boiled, "boiling") == pytest.approx(10)
    assert boiled.done_s == pytest.approx(boiled.lid_on_to_open_s + 600)
    trace = boiled.trace
    boiling = (trace.time_s > boiled.lid_on_to_open_s + 60) & (trace.time_s < boiled.done_s - 60)
    np.testing.assert_allclose(trace.pot_c[boiling], boiled.boil_c, atol=0.01)


@pytest.mark.parametrize(
    ("cut", "fill", "special", "expected"),
    [
        ("brisket_flat", 0.4, "", ("natural", 600.0)),
        ("back_ribs", 0.4, "", ("timed", 600.0)),
        ("back_ribs", 0.62, "", ("timed", FULL_WAIT_S)),
        ("wings", 0.3, "", ("quick", 600.0)),
        ("wings", 0.62, "", ("timed", FULL_WAIT_S)),
        ("wings", 0.3, "thick", ("timed", FULL_WAIT_S)),
        ("wings", 0.3, "foams", ("natural", 600.0)),
    ],
)
def test_default_release(
    cut: str, fill: float, special: str, expected: tuple[ReleaseMethod, float]
) -> None:
    # common practice: roasts natural, racks 10 min, thin pieces quick; a full pot waits 15
    choice = choose_release(
        cut_by_id(cut), fill, foams=special == "foams", thick_sauce=special == "thick"
    )
    assert (choice.method, choice.wait_s) == expected
    assert choice.why in {special, "full", "thick_sauce", choice.method}


@pytest.mark.parametrize(
    ("wait_s", "stay_s", "boil_s"),
    [(10.0, None, 0.0), (600.0, 10.0, 0.0), (600.0, 1e6, 0.0), (600.0, None, float("nan"))],
)
def test_absurd_times(wait_s: float, stay_s: float | None, boil_s: float) -> None:
    with pytest.raises(RequestError):
        after_hold("soak", wait_s=wait_s, stay_s=stay_s, boil_s=boil_s)


def test_pressure_of_the_cook() -> None:
    # published: IAPWS-IF97, 201.325 kPa saturates at 120.42 °C (a stovetop cooker's 100 kPa)
    stove = make_plan(replace(cook_request(BASE), gauge_pa=100e3))
    assert stove.hold_c == pytest.approx(120.42, abs=0.01)
    assert stove.hold_exact_min < make_plan(cook_request(BASE)).hold_exact_min
    assert stove.hold_c == pytest.approx(float(saturation_temp_c(201_325.0)), abs=1e-6)
    for bad in (0.0, 5e3, 2e5, float("nan")):
        with pytest.raises(RequestError) as caught:
            make_plan(replace(cook_request(BASE), gauge_pa=bad))
        assert caught.value.field == "gauge"


def test_more_pressure_never_takes_longer() -> None:
    holds = [
        make_plan(replace(cook_request(BASE), gauge_pa=kpa * 1e3)).hold_exact_min
        for kpa in (20, 40, 60, 75, 90, 105)
    ]
    assert holds == sorted(holds, reverse=True)


def test_a_roll_warms_like_a_cylinder() -> None:
    # closed form: infinite cylinder with its surface held, series of Bessel functions
    # (Carslaw & Jaeger 1959, section 7.6), against the square bar that stands for it
    radius, alpha = 0.035, 1.45e-7
    time = np.linspace(900, 4500, 8)
    zeros = jn_zeros(0, 40)
    theirs = sum(
        2 / (z * j1(z)) * np.exp(-alpha * (z / radius) ** 2 * time) * j0(0.0) for z in zeros
    )
    n = np.arange(60)
    terms = 4 / np.pi * (-1.0) ** n / (2 * n + 1)
    half = ROLL_RATIO * radius
    rate = alpha * ((2 * n + 1) * np.pi / (2 * half)) ** 2
    slab = (terms * np.exp(-rate * time[:, np.newaxis])).sum(axis=1)
    np.testing.assert_allclose(slab**2, theirs, atol=0.012)
    rolled = make_piece(
        cut_by_id("shoulder_boneless"),
        mass_kg=1.2,
        thickness_m=0.08,
        start_temp_c=4.0,
        shape="rolled",
    )
    # closed form: a cylinder holds the weight
    assert np.pi / 4 * 0.08**2 * rolled.length_m == pytest.approx(rolled.volume_m3)
    assert rolled.width_m == 0.08


def test_tapered_pieces_are_longer_and_cook_by_their_thick_third() -> None:
    block, tapered = (
        make_piece(
            cut_by_id("brisket_flat"), mass_kg=0.7, thickness_m=0.045, start_temp_c=4.0, shape=shape
        )
        for shape in ("block", "tapered")
    )
    assert tapered.length_m * tapered.width_m == pytest.approx(block.length_m * block.width_m / 0.8)
    holds = [make_plan(cook_request(Load((piece,)))).hold_exact_min for piece in (block, tapered)]
    assert holds[1] == pytest.approx(holds[0], rel=0.1)


def test_searing_gives_a_head_start() -> None:
    raw = load("brisket_flat", 0.7, 0.045).pieces[0]
    seared = make_piece(raw.cut, mass_kg=0.7, thickness_m=0.045, start_temp_c=4.0, seared=True)
    # judgement: 3 min a face warms a 4.5 cm piece by 10 to 20 K on average
    assert 10 < seared.start_temp_c - 4.0 < 20
    holds = [make_plan(cook_request(Load((piece,)))).hold_exact_min for piece in (raw, seared)]
    assert 1 < holds[0] - holds[1] < 12


def poured(wanted: CookRequest) -> tuple[float, float]:
    filling = resolve(wanted).filling
    return filling.liquid_m3, filling.wet_m3


def test_sauce_counts_by_what_it_is() -> None:
    base = cook_request(BASE)
    thin = replace(base, sauce=Sauce(2 * CUP_M3, thick=False))
    thick = replace(base, sauce=Sauce(2 * CUP_M3, thick=True))
    sweet = replace(base, sauce=Sauce(CUP_M3, thick=False, sugar_kg_m3=150.0))
    top = replace(base, sauce=Sauce(CUP_M3, place="top"))
    # thin sauce is liquid, thick counts half, what lies on top not at all
    assert poured(thin)[0] < poured(thick)[0] < poured(base)[0]
    assert poured(top)[0] == poured(base)[0]
    for wanted, scorches in ((thin, False), (thick, True), (sweet, True), (top, False)):
        plan = make_plan(wanted)
        assert ("scorches" in {caution.code for caution in plan.cautions}) == scorches
        assert plan.setup.filling.liquid_m3 + wanted.sauce.counted_m3 >= CUP_M3 - 1e-9
        assert "sauce" in {reason.fact for reason in plan.reasons}
    assert NO_SAUCE.counted_m3 == 0.0
    for bad in (-1e-4, 1.0, float("nan")):
        with pytest.raises(OutOfRangeError):
            Sauce(bad)


def test_what_foams_fills_to_half() -> None:
    pieces = load("back_ribs", 2.2, 0.03, 2)
    foaming = resolve(replace(cook_request(pieces, liquid_style="bath"), foams=True))
    assert foaming.filling.fill_ratio <= 0.5 + 1e-9
    assert foaming.filling.max_volume_m3 == pytest.approx(0.5 * 0.0057)
    assert resolve(cook_request(pieces, liquid_style="bath")).filling.fill_ratio > 0.5


def test_lean_goes_below_the_minimum_only_when_asked() -> None:
    plan = make_plan(
        cook_request(load("back_ribs", 1.1, 0.03, 4), liquid_style="lean", release="timed")
    )
    assert plan.setup.filling.liquid_m3 == pytest.approx(CUP_M3 / 2, abs=1e-6)
    assert "lean_liquid" in {caution.code for caution in plan.cautions}
    with pytest.raises(RequestError, match="minimum"):
        make_plan(cook_request(BASE, liquid_style="steam", liquid_m3=CUP_M3 / 2))


def test_water_is_conserved() -> None:
    # closed form: poured = left + steam - juice, and juice that leaves the meat leaves it smaller
    for method in RELEASE_METHODS:
        plan = make_plan(cook_request(load("shoulder_boneless", 1.8, 0.07, 2), release=method))
        end, filling = plan.ending, plan.setup.filling
        assert end.liquid_m3 == pytest.approx(filling.wet_m3 - end.steam_m3 + end.juice_m3)
        assert end.meat_kg + 1000 * end.juice_m3 == pytest.approx(1.8)
        assert 0 < end.fat_m3 < end.juice_m3
    # common practice: 250 ml under 1.8 kg of shoulder ends at 650–800 ml
    plan = make_plan(cook_request(load("shoulder_boneless", 1.8, 0.07, 2), liquid_m3=2.5e-4))
    assert 6.5e-4 <= plan.ending.liquid_m3 <= 8.0e-4


def test_vented_steam_is_the_heat_that_left() -> None:
    # closed form: latent heat times the steam equals the energy through the valve
    found = search(cook_request(BASE, release="quick", liquid_m3=1e-3))
    run = found.run(3600.0)
    plan = make_plan(cook_request(BASE, release="quick", liquid_m3=1e-3))
    fall_k = float(found.cases.hold_c[0] - found.cases.boil_c[0]) - 2.0
    stored = float(found.cases.water_j_k[0]) + found.cases.pot.vessel_j_k
    # the liquid and the pot alone give this; meat and plate add to it
    assert run.vented_j > 0.8 * stored * fall_k
    assert plan.ending.steam_m3 * 1000 * 2.2e6 == pytest.approx(
        found.run(60.0 * plan.hold_min).vented_j + 20e3, rel=0.02
    )


def test_meat_that_has_just_thawed_starts_without_a_jump() -> None:
    def start(temp_c: float) -> Plan:
        piece = make_piece(
            cut_by_id("brisket_flat"), mass_kg=0.7, thickness_m=0.045, start_temp_c=temp_c
        )
        return make_plan(cook_request(Load((piece,) * 2)))

    # -1 °C is where thawing ends: a division by nothing there once
    assert start(-1.0).hold_exact_min == pytest.approx(start(-0.9).hold_exact_min, abs=0.2)

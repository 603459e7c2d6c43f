"""Frozen starts against a 3-D enthalpy solution, and where the stand-in must not show."""

import numpy as np
import pytest

from pneumachron.core.catalog.cuts import cut_by_id
from pneumachron.core.constants import SURFACE_COEFFICIENT
from pneumachron.core.errors import RequestError
from pneumachron.core.physics.conduction import block_response
from pneumachron.core.planning.load import make_piece, thaw_hours
from pneumachron.core.planning.plan import make_plan
from tests.core.kitchen import cook_request, load, search
from tests.reference.enthalpy import thaw

AROUND_C = 116.0


SHAPES: tuple[tuple[str, str, float, tuple[float, float, float]], ...] = (
    ("half a flat", "brisket_flat", 0.7, (0.125, 0.118, 0.045)),
    ("thin flat", "brisket_flat", 0.45, (0.125, 0.098, 0.035)),
    ("short-rib cube", "short_ribs_boneless", 0.11, (0.05, 0.046, 0.045)),
    ("shoulder slab", "shoulder_boneless", 0.5, (0.1, 0.095, 0.05)),
    ("shoulder slice", "shoulder_boneless", 0.2, (0.09, 0.07, 0.03)),
)
TEMPS_C = (50.0, 70.0, 90.0, 100.0)


def thawed_times_s(
    shape: tuple[str, str, float, tuple[float, float, float]],
) -> tuple[list[float], list[float]]:
    """When the core is that warm, by the reference and by the stand-in."""
    _, cut, kg, (length_m, width_m, thickness_m) = shape
    piece = make_piece(
        cut_by_id(cut),
        mass_kg=kg,
        thickness_m=thickness_m,
        length_m=length_m,
        width_m=width_m,
        start_temp_c=-18.0,
    )
    meat = piece.cut.meat
    theirs = thaw(
        piece.half_sizes_m,
        around_c=AROUND_C,
        start_c=-18.0,
        density=meat.density_kg_m3,
        specific_j_kgk=meat.specific_heat_j_kgk,
        thawed_w_mk=meat.conductivity_w_mk,
        ice_kg_kg=0.95 * piece.cut.composition.water_ratio,
        surface_w_m2k=SURFACE_COEFFICIENT.value,
        until_c=TEMPS_C[-1],
    )
    response = block_response(
        np.array(piece.half_sizes_m),
        np.array(meat.diffusivity_m2_s),
        np.array(meat.conductivity_w_mk),
        SURFACE_COEFFICIENT.value,
        step_s=15.0,
        count=600,
    )
    core = piece.heat_start_c + (AROUND_C - piece.heat_start_c) * response.core_step
    ours = [float(np.interp(temp, core, 15.0 * np.arange(600))) for temp in TEMPS_C]
    return [theirs.reaches_s(temp) for temp in TEMPS_C], ours


# ours against an independent solution: five shapes
@pytest.mark.parametrize("shape", SHAPES, ids=lambda shape: shape[0])
def test_thawing(shape: tuple[str, str, float, tuple[float, float, float]]) -> None:
    theirs, ours = thawed_times_s(shape)
    assert ours == pytest.approx(theirs, abs=60.0)


def test_the_reference_itself() -> None:
    # without ice it is plain conduction, which has a closed form; grid and steps cost 0.5 %
    meat = cut_by_id("brisket_flat").meat
    half = (0.06, 0.05, 0.02)
    theirs = thaw(
        half,
        around_c=AROUND_C,
        start_c=4.0,
        density=meat.density_kg_m3,
        specific_j_kgk=meat.specific_heat_j_kgk,
        thawed_w_mk=meat.conductivity_w_mk,
        ice_kg_kg=0.0,
        surface_w_m2k=500.0,
        until_c=90.0,
    )
    response = block_response(
        np.array(half),
        np.array(meat.diffusivity_m2_s),
        np.array(meat.conductivity_w_mk),
        500.0,
        step_s=15.0,
        count=400,
    )
    core = 4.0 + (AROUND_C - 4.0) * response.core_step
    for temp_c in (40.0, 70.0, 90.0):
        ours = float(np.interp(temp_c, core, 15.0 * np.arange(400)))
        assert theirs.reaches_s(temp_c) == pytest.approx(ours, rel=0.006)


def test_the_stand_in_never_shows() -> None:
    plan = make_plan(cook_request(load("brisket_flat", 1.4, 0.045, 2, start_c=-18.0)))
    trace = plan.trace
    assert trace.core_c.min() == pytest.approx(-18.0)
    assert np.all(np.diff(trace.core_c[: int(np.argmax(trace.core_c))]) >= -1e-9)
    assert trace.pot_c.min() >= 0.0
    assert plan.outcomes[0].piece.start_temp_c == -18.0
    assert plan.outcomes[0].safety.met


def test_energy_of_thawing_is_counted() -> None:
    # closed form: ice of 90 % of the water, 333.6 kJ/kg, and 16 K of frozen meat on top of
    # heating thawed meat; held to the heat that the meat takes until it is all hot
    frozen = search(
        cook_request(load("brisket_flat", 0.6, 0.03, 2, start_c=-18.0), texture="falls")
    )
    run = frozen.run(5400.0)
    piece = load("brisket_flat", 0.6, 0.03, 2).pieces[0]
    water = piece.cut.composition.water_ratio
    hot = frozen.cases.hold_c[0]
    heat = 0.6 * (
        piece.cut.meat.specific_heat_j_kgk * (hot + 2.0) + 0.9 * water * 333_600.0 + 2000.0 * 16.0
    )
    at_end = float(np.interp(run.hold_end_s, run.time_s, run.meat_gain_j))
    assert at_end == pytest.approx(heat, rel=0.03)


def test_frozen_takes_longer_and_says_so() -> None:
    thawed = make_plan(cook_request(load("brisket_flat", 1.4, 0.045, 2)))
    frozen = make_plan(cook_request(load("brisket_flat", 1.4, 0.045, 2, start_c=-18.0)))
    assert frozen.hold_exact_min > thawed.hold_exact_min + 5
    assert "frozen" in {caution.code for caution in frozen.cautions}
    assert "frozen" in {reason.fact for reason in frozen.reasons}


def test_thick_frozen_roasts_are_thawed_first() -> None:
    with pytest.raises(RequestError) as caught:
        load("shoulder_boneless", 3.0, 0.11, start_c=-18.0)
    assert caught.value.code == "frozen_too_thick"
    assert caught.value.params["thaw_s"]
    # common practice: 24 h for a roast of 2–2.3 kg
    assert thaw_hours(0.09) == pytest.approx(24, abs=6)


@pytest.mark.parametrize("sizes_m", [(0.125, 0.118, 0.045), (0.16, 0.12, 0.07)])
def test_thawing_in_the_refrigerator(sizes_m: tuple[float, float, float]) -> None:
    # against the enthalpy solution in 4 °C with a fan: never shorter, not half as long again
    cut = cut_by_id("brisket_flat")
    found = thaw(
        (sizes_m[0] / 2, sizes_m[1] / 2, sizes_m[2] / 2),
        around_c=4.0,
        start_c=-18.0,
        density=cut.meat.density_kg_m3,
        specific_j_kgk=cut.meat.specific_heat_j_kgk,
        thawed_w_mk=cut.meat.conductivity_w_mk,
        ice_kg_kg=0.9 * cut.composition.water_ratio,
        surface_w_m2k=15.0,
        until_c=-0.5,
        cells=4,
    )
    hours = found.time_s[-1] / 3600
    assert hours <= thaw_hours(sizes_m[2]) <= 1.5 * hours

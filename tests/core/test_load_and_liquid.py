"""Pieces, pots and liquid: what fits, and what is said when it does not."""

from dataclasses import replace
from math import pi
from typing import Any

import pytest
from hypothesis import given, reject
from hypothesis import strategies as st

from pneumachron.core.catalog.cuts import LIQUID_STYLES, LiquidStyle, cut_by_id, cuts
from pneumachron.core.catalog.pots import ready_pot, ready_pots
from pneumachron.core.catalog.tables import read_rows
from pneumachron.core.errors import OutOfRangeError, RequestError
from pneumachron.core.planning.arrangement import arrange
from pneumachron.core.planning.liquid import fill, level_m, lowest_m3
from pneumachron.core.planning.load import Load, make_piece
from pneumachron.core.planning.plan import make_plan
from pneumachron.core.planning.request import CookRequest, resolve
from tests.core.kitchen import CUP_M3, LB_KG, cook_request, load


def trouble(cut: str = "brisket_flat", **measures: float | bool) -> RequestError:
    given_measures: dict[str, Any] = {
        "mass_kg": 0.7,
        "thickness_m": 0.045,
        "start_temp_c": 4.0,
    } | measures
    with pytest.raises(RequestError) as caught:
        make_piece(cut_by_id(cut), **given_measures)
    return caught.value


@pytest.mark.parametrize("bad", [0.0, -1.0, float("nan"), 40.0])
def test_absurd_mass(bad: float) -> None:
    assert trouble(mass_kg=bad).field == "mass"


@pytest.mark.parametrize("bad", [0.0, -0.04, float("nan"), 0.008, 0.2])
def test_absurd_thickness(bad: float) -> None:
    assert trouble(thickness_m=bad).field == "thickness"


def test_contradictions_are_named() -> None:
    assert trouble(mass_kg=0.1, thickness_m=0.09).code == "thickness_is_not_shortest"
    assert trouble(length_m=0.3, width_m=0.25).code == "sizes_do_not_hold_weight"
    assert trouble(has_bone=True).code == "no_bone"
    assert trouble(has_membrane=True).code == "no_membrane"
    assert trouble(start_temp_c=-18.0, thickness_m=0.06).code == "frozen_too_thick"
    assert trouble(start_temp_c=-18.0, seared=True).code == "frozen_sear"
    assert trouble(start_temp_c=-1.5).code == "start_unclear"
    assert trouble(start_temp_c=70.0).code == "start_too_warm"
    assert trouble(start_temp_c=float("nan")).field == "start"


def test_sizes_hold_the_weight() -> None:
    for cut in cuts().values():
        piece = make_piece(cut, mass_kg=0.9, thickness_m=0.04, start_temp_c=4.0)
        volume = piece.length_m * piece.width_m * piece.thickness_m
        assert volume == pytest.approx(piece.volume_m3, rel=1e-9)
        assert piece.length_m >= piece.width_m


def test_one_measured_side_gives_the_other() -> None:
    piece = make_piece(
        cut_by_id("brisket_flat"), mass_kg=0.7, thickness_m=0.045, width_m=0.12, start_temp_c=4.0
    )
    assert piece.width_m == 0.12
    assert piece.length_m * 0.12 * 0.045 == pytest.approx(piece.volume_m3)


def test_a_load_is_bounded() -> None:
    piece = load("brisket_flat", 0.7, 0.045).pieces[0]
    for count in (0, 151):
        with pytest.raises(RequestError, match="piece_count"):
            Load((piece,) * count)


def test_unlike_pieces_stay_apart() -> None:
    thick = load("brisket_flat", 0.7, 0.045).pieces[0]
    thin = load("brisket_flat", 0.5, 0.03).pieces[0]
    kinds = Load((thick, thick, thin)).kinds()
    assert [count for _, count in kinds] == [2, 1]


def test_ready_pots_hold_their_volume() -> None:
    # closed form: a cylinder; the nominal size is rounded by makers to 2 %
    for pot in ready_pots().values():
        cylinder = pi / 4 * pot.inner_diameter_m**2 * pot.inner_height_m
        assert cylinder == pytest.approx(pot.usable_volume_m3, rel=0.02)


# common practice: 1 cup for 6 qt, 1½ for 8 qt; two thirds full at most
@pytest.mark.parametrize(("pot", "cups"), [("tenor", 1.0), ("bass", 1.5)])
def test_minimum_liquid(pot: str, cups: float) -> None:
    assert ready_pot(pot).min_liquid_m3 == pytest.approx(cups * CUP_M3, rel=1e-3)
    assert ready_pot(pot).max_fill_ratio == pytest.approx(2 / 3, rel=1e-4)


# common practice: a short braise takes about 1 cup for 1.8 kg (P4), 1 for 1.4 (P10), 2 for 3.2 (P9)
@pytest.mark.parametrize(
    ("cut", "pounds", "thickness", "count", "cups"),
    [
        ("shoulder_boneless", 4.0, 0.07, 2, 1.0),
        ("short_ribs_english", 3.0, 0.045, 14, 1.0),
        ("shoulder_boneless", 7.0, 0.12, 1, 2.0),
    ],
)
def test_short_braise(cut: str, pounds: float, thickness: float, count: int, cups: float) -> None:
    pot = ready_pot("tenor")
    pieces = load(cut, pounds * LB_KG, thickness, count)
    filling = fill(pieces, pot, "short_braise", arrange(pieces, pot, "short_braise"))
    assert filling.liquid_m3 == pytest.approx(cups * CUP_M3, abs=0.25 * CUP_M3 + 1e-9)


@given(
    st.sampled_from(list(cuts())),
    st.sampled_from(list(ready_pots())),
    st.sampled_from(LIQUID_STYLES),
    st.tuples(st.floats(0.3, 3.5), st.floats(0.02, 0.1), st.integers(1, 6)),
)
def test_no_default_is_over_the_line_or_under_the_minimum(
    cut: str, pot_id: str, liquid_style: LiquidStyle, sizes: tuple[float, float, int]
) -> None:
    pot = ready_pot(pot_id)
    try:
        pieces = load(cut, *sizes)
        filling = fill(pieces, pot, liquid_style, arrange(pieces, pot, liquid_style))
    except RequestError:
        reject()
    assert filling.fill_ratio <= pot.max_fill_ratio + 1e-9
    assert filling.liquid_m3 >= lowest_m3(liquid_style, pot) - 1e-12
    assert filling.level_m <= pot.inner_height_m


def test_level_is_a_volume() -> None:
    # closed form: water and what stands in it, in a cylinder
    pot = ready_pot("tenor")
    pieces = load("brisket_flat", 1.4, 0.045, 2)
    arrangement = arrange(pieces, pot, "bath")
    deep = level_m(2e-3, pieces, pot, arrangement)
    assert deep * pot.floor_m2 == pytest.approx(2e-3 + pieces.volume_m3)
    shallow = level_m(3e-4, pieces, pot, arrangement)
    wet = pieces.volume_m3 * shallow / arrangement.meat_height_m
    assert shallow * pot.floor_m2 == pytest.approx(3e-4 + wet)


def test_what_does_not_fit_says_what_to_do() -> None:
    pot = ready_pot("treble")
    whole = load("brisket_flat", 2.5, 0.05)
    with pytest.raises(RequestError) as long:
        arrange(whole, pot, "short_braise")
    assert long.value.code == "too_long"
    assert long.value.params["parts"]
    tall = load("back_ribs", 1.4, 0.025)
    with pytest.raises(RequestError) as high:
        arrange(tall, pot, "steam")
    assert high.value.code == "too_tall"
    much = load("shoulder_boneless", 4.4, 0.07, 6)
    with pytest.raises(RequestError) as full:
        resolve(cook_request(much, liquid_style="bath"))
    assert full.value.code == "too_full"
    assert full.value.params["batches"]


@pytest.mark.parametrize(("litres", "code"), [(0.1, "below_minimum"), (4.0, "above_maximum")])
def test_own_amount_of_liquid(litres: float, code: str) -> None:
    pot = ready_pot("tenor")
    pieces = load("brisket_flat", 1.4, 0.045, 2)
    arrangement = arrange(pieces, pot, "bath")
    with pytest.raises(RequestError) as caught:
        fill(pieces, pot, "bath", arrangement, litres / 1000)
    assert (caught.value.code, caught.value.field) == (code, "liquid")
    assert fill(pieces, pot, "bath", arrangement, 0.001).liquid_m3 == 0.001


def test_long_racks_are_coiled_and_sections_are_not() -> None:
    pot = ready_pot("tenor")
    assert arrange(load("back_ribs", 1.1, 0.03), pot, "bath").coiled
    assert not arrange(load("back_ribs", 1.1, 0.03, 4), pot, "steam").coiled


@pytest.mark.parametrize("name", ["cuts.csv", "pots.csv"])
def test_tables_have_units_sources_and_ranges(name: str) -> None:
    kinds = {"published", "measured", "common practice", "from memory", "fitted", "judgement"}
    for row in read_rows(name):
        assert row.unit
        assert row.source
        assert row.source_kind in kinds
        if row.unit != "word":
            assert row.valid_from < row.valid_to


def test_unknown_names() -> None:
    with pytest.raises(RequestError, match="cut"):
        cut_by_id("tofu")
    with pytest.raises(RequestError, match="pot"):
        ready_pot("cauldron")
    assert issubclass(OutOfRangeError, ValueError)


def test_a_bath_that_disappears_in_the_gaps_says_so() -> None:
    # ours: eight pieces in two layers stand 8 cm high; 300 ml would be a puddle under them
    def told(of: CookRequest) -> dict[str, object]:
        plan = make_plan(of)
        found = [each for each in plan.cautions if each.code == "shallow_bath"]
        return dict(found[0].params) if found else {}

    loose = cook_request(load("shoulder_boneless", 1.8, 0.04, 8), liquid_style="bath")
    said = told(loose)
    assert said["height_m"] == pytest.approx(0.08, abs=0.002)
    assert isinstance(said["enough_m3"], float)
    enough = replace(loose, liquid_m3=said["enough_m3"])
    assert told(enough) == {}
    setup = resolve(enough)
    covered = setup.filling.level_m / setup.arrangement.meat_height_m
    assert 0.8 <= covered <= 0.95  # "nearly covers": common practice
    assert told(replace(loose, liquid_style="short_braise")) == {}
    one_layer = cook_request(load("brisket_flat", 1.4, 0.045, 2), liquid_style="bath")
    assert told(one_layer) == {}

"""The knife: pieces keep the sizes that it leaves them."""

from dataclasses import replace

import pytest

from pneumachron.core.catalog.cuts import cuts
from pneumachron.core.errors import Fix, RequestError
from pneumachron.core.planning.batches import in_batches, whole_load
from pneumachron.core.planning.cutting import Knife, cut_all
from pneumachron.core.planning.likely_range import LEAST_MIN
from pneumachron.core.planning.load import Load, Piece
from pneumachron.core.planning.own_minutes import check_own
from pneumachron.core.planning.plan import make_plan
from pneumachron.core.planning.remedies import with_fix
from pneumachron.core.planning.request import CookRequest
from tests.core.kitchen import cook_request, load

FLAT = load("brisket_flat", 1.5, 0.045).pieces[0]


def sizes(piece: Piece) -> tuple[float, float, float]:
    return piece.length_m, piece.width_m, piece.thickness_m


def test_half_of_a_flat_is_as_thick_as_the_flat() -> None:
    length, width, thick = sizes(FLAT)
    narrow = Knife("lengthwise", parts=2).cut(FLAT)
    assert len(narrow) == 2
    assert sizes(narrow[0]) == pytest.approx((length, width / 2, thick))
    short = Knife("across", parts=3).cut(FLAT)
    assert sizes(short[0]) == pytest.approx((width, length / 3, thick))
    assert sum(piece.mass_kg for piece in short) == pytest.approx(FLAT.mass_kg)


def test_halves_of_one_flat_take_a_little_less_than_the_flat() -> None:
    """Conduction: a cut adds two faces to each part, which the pressed side of the other covers."""
    whole = make_plan(cook_request(Load((FLAT,)), texture="very")).hold_exact_min
    for way in ("lengthwise", "across"):
        halves = make_plan(
            cut_all(cook_request(Load((FLAT,)), texture="very"), Knife(way, parts=2))
        )
        assert 0.8 * whole < halves.hold_exact_min < whole


def test_a_guessed_thickness_stays_guessed_unless_the_knife_sets_it() -> None:
    guessed = load("shoulder_boneless", 2.0, None).pieces[0]
    assert guessed.thickness_guessed
    assert Knife("across", parts=2).cut(guessed)[0].thickness_guessed
    assert not Knife("cubes", cube_m=0.04).cut(guessed)[0].thickness_guessed


def test_cubes_have_the_weight_and_about_the_edge() -> None:
    cubes = Knife("cubes", cube_m=0.04).cut(FLAT)
    assert sum(piece.mass_kg for piece in cubes) == pytest.approx(FLAT.mass_kg)
    assert cubes[0].thickness_m == pytest.approx(0.04, rel=0.05)
    thin = load("brisket_flat", 1.0, 0.03).pieces[0]
    flat_cubes = Knife("cubes", cube_m=0.05).cut(thin)
    assert flat_cubes[0].thickness_m == pytest.approx(0.03)
    assert flat_cubes[0].length_m == pytest.approx(0.05, rel=0.15)


def test_what_no_knife_does_is_refused() -> None:
    bony = load("shoulder_bone_in", 2.5, 0.09).pieces[0]
    rolled = replace(FLAT, shape="rolled", width_m=FLAT.thickness_m)
    for piece, knife, code in (
        (bony, Knife("cubes"), "bony_cubes"),
        (FLAT, Knife("cubes", cube_m=0.013), "many_cubes"),
        (FLAT, Knife("cubes", cube_m=0.3), "cube_size"),
        (FLAT, Knife("across", parts=1), "parts"),
        (FLAT, Knife("across", parts=99), "parts"),
        (FLAT, Knife("sections", bones=0), "section_bones"),
        (rolled, Knife("lengthwise", parts=2), "rolled_lengthwise"),
    ):
        with pytest.raises(RequestError) as caught:
            knife.cut(piece)
        assert caught.value.code == code


def test_a_roll_that_is_cut_across_stays_one() -> None:
    rolled = load("shoulder_boneless", 2.0, 0.09).pieces[0]
    rolled = replace(rolled, shape="rolled", width_m=0.09, length_m=rolled.volume_m3 / 0.00636)
    half = Knife("across", parts=2).cut(rolled)[0]
    assert half.shape == "rolled"
    assert half.thickness_m == 0.09


# --- batches


def test_batches_take_all_the_meat() -> None:
    wanted = in_batches(cook_request(load("shoulder_boneless", 6.0, 0.08, 3), texture="falls"), 3)
    assert len(wanted.later) == 2
    assert whole_load(wanted).mass_kg == pytest.approx(6.0)
    plan = make_plan(wanted)
    alone = make_plan(replace(wanted, later=()))
    assert plan.serving.plates[1] >= 2.9 * alone.serving.plates[1] - 3
    assert plan.all_done_s > 3 * plan.done_s * 0.85
    assert len(plan.later) == 2


def test_a_hot_cooker_comes_up_sooner_and_needs_more_minutes() -> None:
    # common practice: the second batch comes to pressure in about half the time
    plan = make_plan(
        in_batches(cook_request(load("shoulder_boneless", 4.0, 0.08, 2), texture="falls"), 2)
    )
    (second,) = plan.later
    assert second.hold_min >= plan.hold_min
    assert second.lid_on_to_open_s < plan.lid_on_to_open_s


def test_one_roast_in_two_batches_is_cut_first() -> None:
    wanted = in_batches(cook_request(load("shoulder_boneless", 5.0, 0.09), texture="falls"), 2)
    assert wanted.load.mass_kg == pytest.approx(2.5)
    for count in (0, 13):
        with pytest.raises(RequestError, match="batches"):
            in_batches(cook_request(load("shoulder_boneless", 5.0, 0.09)), count)


# --- the one change that makes it fit


@pytest.mark.parametrize(
    ("wanted", "kind"),
    [
        (cook_request(load("shoulder_boneless", 5.0, 0.12)), "batches"),
        (replace(cook_request(load("back_ribs", 1.6, 0.025)), rack="tall"), "rack"),
        (cook_request(load("brisket_flat", 2.4, 0.045)), "across"),
    ],
)
def test_the_fix_fits(wanted: CookRequest, kind: str) -> None:
    with pytest.raises(RequestError) as caught:
        make_plan(wanted)
    mended = with_fix(wanted, caught.value)
    assert mended.fix is not None
    assert mended.fix.kind == kind
    make_plan(_fixed(wanted, mended.fix))


def _fixed(wanted: CookRequest, fix: Fix) -> CookRequest:
    if fix.kind == "rack":
        return replace(wanted, rack="none", liquid_m3=None)
    if fix.kind == "batches":
        return in_batches(wanted, int(fix.value))
    return cut_all(wanted, Knife("across", parts=int(fix.value)))


def test_what_no_change_mends_stays_as_it_is() -> None:
    refused = RequestError("too_thin", "thickness")
    assert with_fix(cook_request(load("back_ribs", 1.0, 0.025)), refused) is refused


# --- the cook's own minutes


def test_own_minutes_say_what_to_expect() -> None:
    wanted = cook_request(load("brisket_flat", 1.5, 0.045), texture="very", altitude_m=1150.0)
    usual = make_plan(wanted)
    plans = [make_plan(replace(wanted, own_hold_min=minutes)) for minutes in (45, 80, 92, 130)]
    found = [plan.expectation for plan in plans]
    assert usual.expectation is None
    sure = [item.sure_ratio for item in found if item is not None]
    assert len(sure) == len(found)
    assert sure == sorted(sure)
    assert sure[0] < 0.02
    assert sure[-1] > 0.95
    for plan, item in zip(plans, found, strict=True):
        assert item is not None
        assert plan.hold_range_min == (plan.hold_min, plan.hold_min)
        assert item.usual_min == usual.hold_min
        assert item.low_step <= item.tenderness_step <= item.high_step
        hold = next(phase for phase in plan.phases if phase.kind == "hold")
        assert hold.duration_s == pytest.approx(60.0 * plan.hold_min, abs=1.0)
    assert usual.range.low_min > LEAST_MIN


def test_the_engines_own_minutes_are_even_odds() -> None:
    wanted = cook_request(load("shoulder_boneless", 2.0, 0.08), texture="falls")
    usual = make_plan(wanted)
    own = make_plan(replace(wanted, own_hold_min=usual.hold_min)).expectation
    assert own is not None
    assert own.sure_ratio == pytest.approx(0.5, abs=0.02)
    at_the_end = replace(wanted, own_hold_min=round(usual.range.high_min))
    high = make_plan(at_the_end).expectation
    assert high is not None
    # one side of a band of 8 in 10 leaves one in ten
    assert high.sure_ratio == pytest.approx(0.9, abs=0.01)


def test_own_minutes_have_bounds() -> None:
    for minutes in (-1, 721):
        with pytest.raises(RequestError, match="720"):
            check_own(minutes, 0)
    wings = cook_request(
        load("wings", 1.0, 0.027, 10), liquid_style="steam", release="quick", texture="holds"
    )
    with pytest.raises(RequestError, match="unsafe_minutes"):
        make_plan(replace(wings, own_hold_min=0))


def test_long_own_minutes_are_answered_too() -> None:
    """Up to twelve hours, whatever the band says of the kitchen that needs least."""
    wanted = cook_request(load("brisket_flat", 1.5, 0.045), texture="very", altitude_m=1150.0)
    for minutes in (0, 300, 720):
        found = make_plan(replace(wanted, own_hold_min=minutes)).expectation
        assert found is not None
        assert found.low_step <= found.tenderness_step <= found.high_step


def test_more_batches_are_of_all_the_meat() -> None:
    wanted = in_batches(cook_request(load("brisket_flat", 12.0, 0.06, 8)), 2)
    with pytest.raises(RequestError) as caught:
        make_plan(wanted)
    fix = with_fix(wanted, caught.value).fix
    assert fix is not None
    assert fix.kind == "batches"
    assert int(fix.value) > 2
    whole = replace(wanted, load=whole_load(wanted), later=())
    make_plan(in_batches(whole, int(fix.value)))


def test_what_is_cut_already_is_not_told_to_be_cut() -> None:
    wanted = cook_request(load("brisket_flat", 2.4, 0.045))
    with pytest.raises(RequestError) as caught:
        make_plan(wanted)
    fix = with_fix(wanted, caught.value, uncut=False).fix
    assert fix is not None
    assert fix.kind == "batches"


def test_what_has_a_rind_and_what_a_cap_of_fat() -> None:
    # common practice: shoulder and picnic are sold with their skin, brisket and butt with a cap
    assert {cut.cut_id for cut in cuts().values() if cut.has_rind} == {
        "shoulder_boneless", "shoulder_bone_in", "picnic_boneless", "picnic_bone_in",
    }  # fmt: skip
    with_cap = {cut.family for cut in cuts().values() if cut.has_fat_cap}
    assert with_cap == {"brisket", "shoulder"}

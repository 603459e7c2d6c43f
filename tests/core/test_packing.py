"""How pieces lie: checked with the polygons of an independent library."""

from dataclasses import replace
from itertools import combinations
from math import pi

import pytest
from hypothesis import given, reject, settings
from hypothesis import strategies as st
from shapely.geometry import Point, Polygon

from pneumachron.core.catalog.cuts import LiquidStyle, cuts
from pneumachron.core.catalog.pots import Pot, ready_pot, ready_pots
from pneumachron.core.catalog.racks import RACK_KINDS, Rack, racks
from pneumachron.core.errors import RequestError
from pneumachron.core.physics.packing import Footprint, pack_coils, pack_rows
from pneumachron.core.planning.arrangement import arrange
from pneumachron.core.planning.batches import batches, deal
from pneumachron.core.planning.liquid import fill
from pneumachron.core.planning.load import Load
from pneumachron.core.planning.lying import Arrangement, Lying
from pneumachron.core.planning.plan import make_plan
from pneumachron.core.planning.request import resolve
from tests.core.kitchen import cook_request, load
from tests.reference.practice import P1, P4, P5, P7_HOLDS, P8, P9, P10, P14, Case

TENOR = ready_pot("tenor")
SLIVER_M2 = 2e-7
"""Two tenths of a square millimetre: edges are polygons, not curves."""


def assert_lies(arrangement: Arrangement, pot: Pot) -> None:
    """Nothing overlaps at one height, and nothing leaves the pot."""
    radius = pot.inner_diameter_m / 2 - arrangement.rack_kind.inset_m
    floor = Point(0, 0).buffer(radius * 1.0005, 128)
    shapes = [(Polygon(item.outline_m), item) for item in arrangement.placed]
    for shape, item in shapes:
        assert shape.is_valid
        assert shape.difference(floor).area < SLIVER_M2
        assert arrangement.rack_height_m + item.bottom_m >= 0
    for (one, low), (other, high) in combinations(shapes, 2):
        apart = (
            low.bottom_m + low.height_m <= high.bottom_m + 1e-9
            or high.bottom_m + high.height_m <= low.bottom_m + 1e-9
        )
        assert apart or one.intersection(other).area < SLIVER_M2


# common practice: these cooks go into their 22 cm pot
@pytest.mark.parametrize(
    ("case", "kind"),
    [
        (P1, "side_by_side"),
        (P4, "side_by_side"),
        (P5, "on_edge"),
        (P7_HOLDS, "nested"),
        (P8, "heap"),
        (P9, "one"),
        (P10, "side_by_side"),
        (P14, "side_by_side"),
    ],
    ids=lambda value: value.name[:4] if isinstance(value, Case) else value,
)
def test_practice_packs(case: Case, kind: str) -> None:
    wanted = case.cook_request()
    arrangement = resolve(wanted).arrangement
    assert arrangement.kind == kind
    assert arrangement.layers == 1
    assert_lies(arrangement, wanted.pot)


def test_sharp_halves_would_not_go_and_soft_ones_do() -> None:
    # closed form: two squares of 12 cm side by side have a diagonal of 26.8 cm in a 22 cm pot
    halves = [Footprint(0, 0.12, 0.12, 0.045)] * 2
    layer = pack_rows(halves, 0.11)
    assert layer is not None
    assert layer.press_ratio == 1.10
    assert pack_rows([Footprint(0, 0.135, 0.135, 0.045)] * 2, 0.11) is None


def test_seven_round_pieces_in_a_circle() -> None:
    # closed form: seven circles pack a circle of three times their radius; squares of that side
    # with round corners do not, six do
    side = 2 * 0.11 / 3
    assert pack_rows([Footprint(0, side, side, 0.04)] * 4, 0.11) is not None
    assert pack_rows([Footprint(0, side, side, 0.04)] * 8, 0.11) is None


def test_a_coil_is_as_long_as_the_rack() -> None:
    # closed form: area of the band is length times thickness, to the width of its polygon
    layer = pack_coils([Footprint(0, 0.45, 0.03, 0.12)], 0.11)
    assert layer is not None
    band = Polygon(layer.placed[0].outline_m)
    assert band.area == pytest.approx(0.45 * 0.03 / layer.press_ratio**2, rel=0.02)
    longest = pi * (0.11**2 - 0.02**2) / 0.03 * 1.1**2
    assert pack_coils([Footprint(0, 1.05 * longest, 0.03, 0.12)], 0.11) is None


@settings(max_examples=150, deadline=None)
@given(
    st.sampled_from(list(cuts())),
    st.sampled_from(list(ready_pots())),
    st.sampled_from(RACK_KINDS),
    st.tuples(st.floats(0.2, 3.5), st.floats(0.014, 0.11), st.integers(1, 20)),
)
def test_no_arrangement_overlaps_or_leaves_the_pot(
    cut: str, pot_id: str, rack: Rack, sizes: tuple[float, float, int]
) -> None:
    pot = ready_pot(pot_id)
    try:
        arrangement = arrange(load(cut, *sizes), pot, "steam", rack)
    except RequestError:
        reject()
    assert len(arrangement.placed) == sizes[2]
    assert_lies(arrangement, pot)
    room = pot.inner_height_m - 0.025
    assert arrangement.top_m <= room * 1.1 + 1e-9
    line, spans = arrangement.section(pot)
    for index, left, right in spans:
        middle = Point((left + right) / 2, line)
        assert Polygon(arrangement.placed[index].outline_m).buffer(1e-6).contains(middle)
    assert spans


def test_unlike_pieces_lie_together() -> None:
    rack = load("back_ribs", 1.1, 0.03).pieces[0]
    flat = load("brisket_flat", 0.25, 0.04).pieces[0]
    mixed = arrange(Load((rack, flat)), TENOR, "steam")
    assert mixed.kind == "coiled"
    assert_lies(mixed, TENOR)
    sizes = [load("brisket_flat", kg, 0.04).pieces[0] for kg in (0.4, 0.3, 0.2, 0.2)]
    assert_lies(arrange(Load(tuple(sizes)), TENOR, "short_braise"), TENOR)


def test_stacked_pieces_are_named_and_cost_their_time() -> None:
    # published: conduction; welded they would be one body of twice the thickness, which takes about
    # twice the hold; juice between them brings that down (finite elements, in test_contact.py)
    side = make_plan(cook_request(load("brisket_flat", 1.2, 0.04, 2)))
    stack = make_plan(
        replace(cook_request(load("brisket_flat", 1.2, 0.04, 2)), lying=Lying("stacked"))
    )
    assert stack.setup.arrangement.kind == "stacked"
    assert 1.15 < stack.hold_exact_min / side.hold_exact_min < 1.6
    assert "not_one_layer" in {caution.code for caution in stack.cautions}
    assert {"stacked"} <= {reason.fact for reason in stack.reasons}


def test_blocks_cross_and_small_pieces_heap() -> None:
    blocks = arrange(load("short_ribs_english", 2.2, 0.045, 22), TENOR, "short_braise")
    assert blocks.kind == "criss_cross"
    assert_lies(blocks, TENOR)
    wings = arrange(load("wings", 2.0, 0.027, 30), TENOR, "steam", "basket")
    assert wings.kind == "heap"
    assert_lies(wings, TENOR)


@pytest.mark.parametrize("rack", RACK_KINDS)
def test_every_rack(rack: Rack) -> None:
    kind = racks()[rack]
    pieces = load("brisket_flat", 0.9, 0.04, 2)
    arrangement = arrange(pieces, TENOR, "steam", kind.rack)
    assert arrangement.rack_height_m == kind.height_m
    assert_lies(arrangement, TENOR)
    filling = fill(pieces, TENOR, "steam", arrangement)
    # closed form: rack and bed count as solids
    assert filling.solids_m3 == pytest.approx(pieces.volume_m3 + kind.volume_m3(TENOR))
    assert (filling.bed_m3 > 0) == (rack == "bed")
    assert racks()["trivet"].height_m < racks()["tall"].height_m


@pytest.mark.parametrize(
    ("cut", "kg", "thickness", "count"),
    [
        ("brisket_flat", 4.5, 0.045, 6),
        ("shoulder_boneless", 5.0, 0.07, 7),
        ("wings", 6.0, 0.027, 60),
    ],
)
def test_batches_are_even_and_never_fuller(
    cut: str, kg: float, thickness: float, count: int
) -> None:
    whole = cook_request(load(cut, kg, thickness, count), liquid_style="short_braise")
    runs = batches(whole)
    assert len(runs) > 1
    assert sum(len(run.load.pieces) for run in runs) == count
    weights = [run.load.mass_kg for run in runs]
    assert max(weights) - min(weights) <= kg / count + 1e-9
    fills = [resolve(run).filling.fill_ratio for run in runs]
    assert max(fills) <= TENOR.max_fill_ratio + 1e-9


@given(st.lists(st.floats(0.1, 2.0), min_size=1, max_size=12), st.integers(1, 6))
def test_dealing_loses_nothing(weights: list[float], runs: int) -> None:
    pieces = tuple(load("shoulder_boneless", kg, 0.05).pieces[0] for kg in weights)
    dealt = deal(pieces, runs)
    assert sum(part.mass_kg for part in dealt) == pytest.approx(sum(weights))
    assert max(part.mass_kg for part in dealt) <= sum(weights) + 1e-9


def test_a_piece_too_long_by_itself_is_no_matter_of_runs() -> None:
    with pytest.raises(RequestError) as caught:
        batches(cook_request(load("brisket_flat", 2.5, 0.045)))
    assert caught.value.code == "too_long"


@pytest.mark.parametrize("liquid_style", ["steam", "lean", "short_braise", "bath"])
def test_room_is_checked_before_lying(liquid_style: LiquidStyle) -> None:
    with pytest.raises(RequestError) as caught:
        resolve(cook_request(load("shoulder_boneless", 6.0, 0.07, 6), liquid_style=liquid_style))
    assert caught.value.code == "too_full"

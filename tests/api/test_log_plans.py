"""The plan of a cook in a cell of the log's files: out and in again, whatever was typed."""

import json
from dataclasses import asdict

from hypothesis import given, settings
from hypothesis import strategies as st

from pneumachron.api.plan_cells import read_plan
from pneumachron.core.catalog.cuts import LIQUID_STYLES, RELEASE_METHODS
from pneumachron.core.physics.tenderness import TEXTURES
from pneumachron.services.inputs import PieceInputs, PlanInputs
from pneumachron.services.log_plans import MAX_PLAN, write_plan

POT = "a-pot-of-this-household"
MEASURES = st.sampled_from(["3 lb 2 oz", "1,42 kg", "1 3/4 in", "4.5 cm", "“odd” text", "½ in"])
MAYBE = st.none() | MEASURES


def pieces() -> st.SearchStrategy[PieceInputs]:
    return st.builds(
        PieceInputs,
        cut=st.sampled_from(["brisket_flat", "back_ribs", "shoulder_bone"]),
        count=st.integers(1, 40),
        mass=MEASURES,
        thickness=MAYBE,
        length=MAYBE,
        width=MAYBE,
        bone=st.none() | st.booleans(),
        membrane=st.none() | st.booleans(),
        start=st.none() | st.sampled_from(["tempered", "frozen", "4 °C"]),
        shape=st.sampled_from(["block", "tapered", "rolled"]),
        as_bought=st.booleans(),
        section_bones=st.none() | st.integers(1, 12),
    )


def plans() -> st.SearchStrategy[PlanInputs]:
    return st.builds(
        PlanInputs,
        pieces=st.lists(pieces(), min_size=1, max_size=12).map(tuple),
        pot=st.just(POT),
        texture=st.none() | st.sampled_from(TEXTURES),
        liquid_style=st.none() | st.sampled_from(LIQUID_STYLES),
        release=st.none() | st.sampled_from(RELEASE_METHODS),
        level=st.sampled_from(["high", "low"]),
        wait_min=st.none() | st.integers(0, 600),
        liquid=MAYBE,
        altitude=MAYBE,
        rack=st.none() | st.just("basket"),
        stacked=st.booleans(),
        boil_min=st.integers(0, 600),
        foams=st.booleans(),
        sauce=MAYBE,
        sauce_thick=st.booleans(),
        sauce_sugar_g_l=st.floats(0, 300, width=16),
        sauce_place=st.sampled_from(["base", "top"]),
        finish=st.none() | st.just("broiler"),
    )


@given(plans())
@settings(max_examples=200, deadline=None, derandomize=True)
def test_out_and_in_again_is_the_same_plan(inputs: PlanInputs) -> None:
    cell = write_plan(asdict(inputs))
    assert read_plan(cell, POT) == inputs
    assert len(cell) <= MAX_PLAN
    assert "pot" not in json.loads(cell)  # it has a column of its own, by its name


@given(plans())
@settings(max_examples=50, deadline=None, derandomize=True)
def test_it_is_read_for_a_pot_of_this_household(inputs: PlanInputs) -> None:
    cell = write_plan({**asdict(inputs), "pot": "a pot from elsewhere"})
    assert read_plan(cell, POT).pot == POT


@given(st.text(max_size=300) | st.dictionaries(st.text(max_size=8), st.integers()).map(json.dumps))
@settings(max_examples=200, deadline=None, derandomize=True)
def test_what_is_no_plan_is_told(text: str) -> None:
    """Every cell is read or refused in words; nothing else comes of it."""
    told = ""
    try:
        read_plan(text, POT)
    except ValueError as error:
        told = str(error)
    assert told.startswith("row_plan_")

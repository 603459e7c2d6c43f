"""Unlike pieces: open half way, take the thin ones out, close again."""

from dataclasses import replace

import pytest

from pneumachron.core.early_out import OPEN_S, early_out
from pneumachron.core.load import Load
from pneumachron.core.plan import make_plan
from tests.core.kitchen import load, wish

THIN = load("back_ribs", 0.9, 0.02).pieces
THICK = load("spare_ribs_trimmed", 1.1, 0.035).pieces
BOTH = wish(Load(THIN + THICK), texture="tender", school="steam", release="timed")


def test_both_come_out_as_wished() -> None:
    together = make_plan(BOTH)
    thin, thick = (outcome.texture_step for outcome in together.outcomes)
    assert thin > thick + 1.0
    found = early_out(BOTH)
    assert found is not None
    assert found.out == (0,)
    assert found.stays == (1,)
    for step in found.texture_steps:
        assert step == pytest.approx(BOTH.texture_step, abs=0.3)


def test_two_cycles_take_longer_than_one_and_less_than_two() -> None:
    found = early_out(BOTH)
    assert found is not None
    together = make_plan(BOTH)
    alone = [make_plan(replace(BOTH, load=Load(pieces))) for pieces in (THIN, THICK)]
    assert found.first_min < together.hold_min
    assert found.done_s > together.lid_on_to_open_s + OPEN_S
    assert found.done_s < sum(plan.lid_on_to_open_s for plan in alone)


def test_the_second_cycle_counts_the_first() -> None:
    """Energy: what is warm already needs less than the difference of two cold cooks."""
    found = early_out(BOTH)
    assert found is not None
    thick_alone = make_plan(replace(BOTH, load=Load(THICK))).hold_min
    assert 1 <= found.second_min < thick_alone
    assert found.first_min + found.second_min >= thick_alone - 8


def test_pieces_that_are_done_together_are_left_alone() -> None:
    assert early_out(wish(load("back_ribs", 1.0, 0.025, 2))) is None
    nearly = load("brisket_flat", 0.7, 0.042).pieces + load("brisket_flat", 0.7, 0.043).pieces
    assert early_out(wish(Load(nearly))) is None


def test_poultry_takes_one_time_that_is_safe_for_all() -> None:
    """Published: USDA FSIS, poultry 165 °F in the thickest piece (from memory)."""
    unlike = load("wings", 0.6, 0.02, 8).pieces + load("wings", 0.9, 0.045, 6).pieces
    assert early_out(wish(Load(unlike), texture="chewy", school="steam", release="quick")) is None

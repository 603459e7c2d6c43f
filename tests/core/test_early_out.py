"""Unlike pieces: open half way, take the thin ones out, close again."""

import itertools
from dataclasses import replace

import numpy as np
import pytest

from pneumachron.core.planning.load import Load
from pneumachron.core.planning.plan import make_plan
from pneumachron.core.planning.two_cycles import OPEN_S, early_out
from pneumachron.core.planning.what_if import Alternative, what_changes_in_two
from pneumachron.core.procedure.cook_plan import cook_plan, from_document, to_document
from pneumachron.core.procedure.steps import cook_steps
from pneumachron.core.schedule.blocks import dish_blocks
from pneumachron.core.schedule.dish import Dish
from tests.core.kitchen import cook_request, load

THIN = load("back_ribs", 0.9, 0.02).pieces
THICK = load("spare_ribs_trimmed", 1.1, 0.035).pieces
BOTH = cook_request(Load(THIN + THICK), texture="tender", liquid_style="steam", release="timed")


def test_both_come_out_as_wished() -> None:
    together = make_plan(BOTH)
    thin, thick = (outcome.tenderness_step for outcome in together.outcomes)
    assert thin > thick + 1.0
    found = early_out(BOTH)
    assert found is not None
    assert found.out == (0,)
    assert found.stays == (1,)
    for step in found.tenderness_steps:
        assert step == pytest.approx(BOTH.tenderness_step, abs=0.3)


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


def test_planned_in_two_steps_every_view_tells_both() -> None:
    found, plan = early_out(BOTH), make_plan(replace(BOTH, thin_first=True))
    assert found is not None
    assert (plan.hold_min, [batch.hold_min for batch in plan.later]) == (
        found.first_min, [found.second_min],
    )  # fmt: skip
    assert plan.all_done_s == pytest.approx(found.done_s)
    for outcome in plan.outcomes:
        assert outcome.tenderness_step == pytest.approx(BOTH.tenderness_step, abs=0.3)
    # the meat that is out is not cooked again: what is eaten is all of it
    assert plan.serving == make_plan(BOTH).serving
    cook = cook_plan(plan)
    assert from_document(to_document(cook.numbers)) == cook.numbers
    steps = {step.step_id: step for step in cook_steps(cook)}
    order = list(steps)
    assert order.index("judge") < order.index("out2") < order.index("lid@2")
    assert steps["release"].work == "release_quick"
    assert steps["out2"].params["out_kg"] == pytest.approx(Load(THIN).mass_kg)
    assert steps["out2"].params["stays_kg"] == pytest.approx(Load(THICK).mass_kg)
    assert steps["hold@2"].likely_s == 60.0 * found.second_min
    # nothing is poured or laid in again, and the release that was wished ends it
    assert not {"pour@2", "load@2", "sear@2", "next2"} & steps.keys()
    assert "wait@2" in steps
    # the five minutes in between, that the second cycle counts on, are steps
    between = ("out2", "lid@2", "set@2")
    assert sum(steps[name].likely_s for name in between) == pytest.approx(OPEN_S)
    (run,) = (block for block in dish_blocks(Dish("a", "Ribs", plan.setup.request))
              if block.block_id == "a:run0")  # fmt: skip
    day = [(part.work or part.kind, part.likely_s) for part in run.segments]
    wanted = [(step.work or step.kind, step.likely_s) for name, step in steps.items()
              if order.index("pour") <= order.index(name) <= order.index("judge@2")]  # fmt: skip
    assert [part for part in day if part[0] != "slack"] == wanted
    kinds = [part.kind for part in run.segments]
    assert len(kinds) == len(set(kinds))  # each has an id of its own in a calendar


def test_what_is_drawn_goes_through_both_runs() -> None:
    plan = make_plan(replace(BOTH, thin_first=True))
    trace, later = plan.trace, plan.later[0]
    restart_s = plan.lid_on_to_open_s + OPEN_S
    assert trace.time_s[-1] >= plan.all_done_s
    hot = trace.gauge_pa > 0.5 * plan.gauge_pa
    # up twice, and without pressure while the lid is off
    assert int(np.sum(np.diff(hot.astype(int)) == 1)) == 2
    off = (trace.time_s > plan.lid_on_to_open_s) & (trace.time_s < restart_s)
    assert off.any()
    assert not trace.gauge_pa[off].any()
    phases = plan.phases_through
    assert [phase.kind for phase in phases].count("hold") == 2
    for before, after in itertools.pairwise(phases):
        assert after.start_s == pytest.approx(before.start_s + before.duration_s)
    assert phases[-2].start_s + phases[-2].duration_s == pytest.approx(
        restart_s + later.lid_on_to_open_s
    )
    assert make_plan(BOTH).phases_through == make_plan(BOTH).phases
    # and so it is on the day's chart
    (run,) = (block for block in dish_blocks(Dish("a", "Ribs", plan.setup.request))
              if block.block_id == "a:run0")  # fmt: skip
    drawn = np.array(run.gauge)
    assert (np.diff(drawn[:, 0]) >= 0.0).all()
    high = drawn[:, 1] > 0.5 * plan.gauge_pa
    assert int(np.sum(np.diff(high.astype(int)) == 1)) == 2
    clock, held = 0.0, []
    for part in run.segments:
        if part.kind.startswith("hold"):
            held.append((clock, clock + part.likely_s))
        clock += part.likely_s
    for begin_s, end_s in held:
        middle = np.interp((begin_s + end_s) / 2, drawn[:, 0], drawn[:, 1])
        assert middle > 0.9 * plan.gauge_pa


def test_two_steps_are_for_unlike_pieces_alone() -> None:
    alike = cook_request(load("back_ribs", 1.0, 0.025, 2))
    assert make_plan(replace(alike, thin_first=True)).hold_min == make_plan(alike).hold_min
    own = make_plan(replace(BOTH, thin_first=True, own_hold_min=25))
    assert (own.hold_min, own.later) == (25, ())


def test_pieces_that_are_done_together_are_left_alone() -> None:
    assert early_out(cook_request(load("back_ribs", 1.0, 0.025, 2))) is None
    nearly = load("brisket_flat", 0.7, 0.042).pieces + load("brisket_flat", 0.7, 0.043).pieces
    assert early_out(cook_request(Load(nearly))) is None


def test_poultry_takes_one_time_that_is_safe_for_all() -> None:
    """Published: USDA FSIS, poultry 165 °F in the thickest piece (from memory)."""
    unlike = load("wings", 0.6, 0.02, 8).pieces + load("wings", 0.9, 0.045, 6).pieces
    assert (
        early_out(
            cook_request(Load(unlike), texture="chewy", liquid_style="steam", release="quick")
        )
        is None
    )


def test_the_second_run_has_a_range_around_it() -> None:
    """Both racks are as unsure as alone; what is missing is cooked in the second run."""
    (second,) = make_plan(replace(BOTH, thin_first=True)).later
    low_min, high_min = second.hold_range_min
    assert 0 <= low_min <= second.hold_min <= high_min
    alone = make_plan(replace(BOTH, load=Load(THICK)))
    assert high_min - second.hold_min == alone.hold_range_min[1] - alone.hold_min
    assert low_min < high_min


def test_what_if_it_is_cooked_in_two_steps() -> None:
    """Each answer is what a plan with that change comes to."""
    planned = replace(BOTH, thin_first=True)
    found: dict[tuple[str, str], Alternative] = {
        (item.kind, item.value): item for item in what_changes_in_two(planned)
    }
    for key, changed in {
        ("texture", "very"): replace(planned, tenderness_step=3.0),
        ("release", "quick"): replace(planned, release="quick"),
        ("level", "low"): replace(planned, level="low"),
    }.items():
        answer, plan = found[key].answer, make_plan(changed)
        assert answer is not None
        assert (answer.hold_min, answer.then_min) == (plan.hold_min, plan.later[0].hold_min)
        assert answer.done_s == pytest.approx(plan.all_done_s)
    softer, planned_min = found["texture", "very"].answer, make_plan(planned).hold_min
    assert softer is not None
    assert softer.hold_min > planned_min
    assert {item.kind for item in found.values()} >= {"halved", "release", "texture", "level"}

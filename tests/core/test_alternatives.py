"""What changes if, and what given minutes would do."""

from dataclasses import replace
from typing import Any

import pytest

from pneumachron.core.catalog.pots import ready_pots
from pneumachron.core.errors import OutOfRangeError, RequestError
from pneumachron.core.planning.cutting import split
from pneumachron.core.planning.finish import rest_for
from pneumachron.core.planning.lying import Lying
from pneumachron.core.planning.plan import make_plan
from pneumachron.core.planning.plan_summary import PlanSummary
from pneumachron.core.planning.ready_by import ways_in_time
from pneumachron.core.planning.request import CookRequest
from pneumachron.core.planning.what_if import (
    quick_summary,
    summary_for_minutes,
    what_changes,
)
from tests.core.kitchen import cook_request, load

SMALL = cook_request(load("brisket_flat", 0.8, 0.05), altitude_m=1150.0)


def by_kind(wanted: CookRequest) -> dict[tuple[str, str], PlanSummary | RequestError | None]:
    found = what_changes(wanted, ready_pots().values())
    return {(item.kind, item.value): item.answer or item.trouble for item in found}


def test_quick_answer_is_the_plans() -> None:
    for wanted in (SMALL, replace(SMALL, release="timed"), replace(SMALL, level="low")):
        plan, quick = make_plan(wanted), quick_summary(wanted)
        assert quick.hold_min == pytest.approx(plan.hold_exact_min, abs=0.6)
        assert quick.lid_on_to_open_s == pytest.approx(plan.lid_on_to_open_s, abs=70)


def test_every_alternative_is_the_plan_of_the_changed_request() -> None:
    found = by_kind(SMALL)
    for (kind, value), answer in found.items():
        if kind in {"release", "liquid_style", "level"}:
            change: dict[str, Any] = {kind: value}
            changed = replace(SMALL, **change)
            assert isinstance(answer, PlanSummary)
            assert answer.hold_min == pytest.approx(make_plan(changed).hold_exact_min, abs=0.6)
    assert {kind for kind, _ in found} == {
        "halved", "quartered", "frozen", "release", "texture", "liquid_style", "level", "lying",
        "pot",
    }  # fmt: skip


def test_cutting_shortens_as_the_trade_knows() -> None:
    # common practice: halving a roast across its thickness shortens the time, much
    halved = by_kind(SMALL)["halved", "2"]
    assert isinstance(halved, PlanSummary)
    assert halved.hold_min < 0.7 * quick_summary(SMALL).hold_min


def test_parts_that_lie_on_each_other_are_quicker_all_the_same() -> None:
    # published: conduction; juice gets between faces that touch, so halves are not one body again
    full = cook_request(load("brisket_flat", 1.4, 0.045, 2))
    halved = by_kind(full)["halved", "2"]
    assert isinstance(halved, PlanSummary)
    loose = replace(full, lying=Lying(touching=False))
    free = by_kind(loose)["halved", "2"]
    assert isinstance(free, PlanSummary)
    assert free.hold_min < halved.hold_min < quick_summary(full).hold_min


def test_other_ways_of_lying_that_fit_are_told() -> None:
    sections = by_kind(cook_request(load("back_ribs", 1.1, 0.03, 4), liquid_style="steam"))
    ways = {value for kind, value in sections if kind == "lying"}
    assert "stacked" in ways
    assert "coiled" not in ways  # sections do not bend round the wall
    plan = make_plan(cook_request(load("back_ribs", 1.1, 0.03, 4), liquid_style="steam"))
    assert plan.setup.arrangement.kind not in ways
    stacked = sections["lying", "stacked"]
    assert isinstance(stacked, PlanSummary)
    assert stacked.hold_min > plan.hold_min


def test_parts_hold_the_weight() -> None:
    # conservation of mass and volume
    for piece in (SMALL.load.pieces[0], load("shoulder_boneless", 3.0, 0.11).pieces[0]):
        for parts in (2, 4):
            part = split(piece, parts)
            assert part.mass_kg * parts == pytest.approx(piece.mass_kg)
            volume = part.length_m * part.width_m * part.thickness_m
            assert volume * parts == pytest.approx(
                piece.length_m * piece.width_m * piece.thickness_m
            )
            assert part.length_m >= part.width_m >= part.thickness_m


def test_minutes_of_a_recipe() -> None:
    planned = quick_summary(SMALL)
    own = summary_for_minutes(SMALL, planned.hold_min)
    assert own.hold_min == planned.hold_min
    # what follows the hold is read off between probes in one, released in the other
    assert own.lid_on_to_open_s == pytest.approx(planned.lid_on_to_open_s, abs=1.0)
    assert own.tenderness_step == pytest.approx(planned.tenderness_step, abs=0.005)
    assert own.core_at_open_c == pytest.approx(planned.core_at_open_c, abs=0.05)
    steps = [
        summary_for_minutes(SMALL, minutes).tenderness_step for minutes in (0, 30, 60, 90, 600)
    ]
    assert steps == sorted(steps)
    assert steps[0] == -4.0
    for bad in (-1, 800):
        with pytest.raises(OutOfRangeError):
            summary_for_minutes(SMALL, bad)


def test_ready_by_prefers_to_change_nothing() -> None:
    total = quick_summary(SMALL).lid_on_to_open_s + rest_for(SMALL.load)[0]
    ways = ways_in_time(SMALL, total + 60.0)
    assert (ways[0].parts, ways[0].release) == (1, "natural")
    assert ways[0].spare_s == pytest.approx(60.0, abs=1.0)


def test_ready_by_takes_the_knife_when_it_must() -> None:
    ways = ways_in_time(SMALL, quick_summary(SMALL).lid_on_to_open_s - 900.0)
    assert ways[0].parts > 1
    assert ways[0].spare_s >= 0.0
    for way in ways:
        assert way.answer.tenderness_step == pytest.approx(SMALL.tenderness_step, abs=0.1)


def test_ready_by_says_how_late_the_best_is() -> None:
    ways = ways_in_time(SMALL, 60.0)
    assert all(way.spare_s < 0.0 for way in ways)
    spares = [way.spare_s for way in ways]
    assert spares == sorted(spares, reverse=True)


def test_more_time_never_leaves_fewer_ways() -> None:
    in_time = [
        sum(way.spare_s >= 0.0 for way in ways_in_time(SMALL, 60.0 * minutes))
        for minutes in (20, 60, 90, 120, 200)
    ]
    assert in_time == sorted(in_time)


@pytest.mark.parametrize("bad", [0.0, -5.0, float("nan"), 1e6])
def test_ready_by_bad_time(bad: float) -> None:
    with pytest.raises(OutOfRangeError, match="time"):
        ways_in_time(SMALL, bad)

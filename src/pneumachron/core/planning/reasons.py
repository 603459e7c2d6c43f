"""Why each number is what it is, as facts with an effect; `text` has the words."""

from collections.abc import Callable, Iterable, Mapping
from dataclasses import dataclass
from math import log
from typing import Literal, TypeAlias

from pneumachron.core.constants import LADDER_STEP, MEMBRANE_STEPS, SourceKind
from pneumachron.core.errors import Param
from pneumachron.core.planning.findings import PlanFindings
from pneumachron.core.planning.likely_range import LEAST_MIN
from pneumachron.core.planning.lying import as_thick_as_m
from pneumachron.core.planning.scenarios import THICKER_M

About: TypeAlias = Literal["hold", "liquid", "rack", "arrangement", "release", "range"]


LEAST_HEAT = 0.005
"""Less than half a percent of heat is not worth a word."""
LEAST_SHARE = 0.05
"""Less of a face that is covered is not worth a word."""


@dataclass(frozen=True, slots=True)
class Reason:
    """One fact behind a number.

    `about` is the number, `value` the fact in its unit, `effect` what it does to the number in
    `effect_unit`, signed. The message `reason-about-fact` speaks of `params`.
    """

    about: About
    fact: str
    value: float
    unit: str
    effect: float
    effect_unit: str
    params: Mapping[str, Param]
    source: SourceKind


def reasons_for(facts: PlanFindings) -> tuple[Reason, ...]:
    """The facts behind hold, range, liquid, rack, arrangement and release, in this order."""
    makers: tuple[Callable[[PlanFindings], Iterable[Reason]], ...] = (
        _thickness,
        _warming,
        _after_hold,
        _texture,
        _altitude,
        _frozen,
        _stacked,
        _poultry,
        _sources,
        _log,
        _boil_test,
        _range,
        _liquid,
        _juice,
        _rack,
        _arrangement,
        _release,
    )
    return tuple(reason for maker in makers for reason in maker(facts))


def _thickness(facts: PlanFindings) -> Iterable[Reason]:
    piece = facts.load.kinds()[facts.slowest][0]
    more_min = facts.thicker_hold_min - facts.hold_min
    yield Reason(
        "hold",
        "thickness",
        piece.thickness_m,
        "m",
        more_min,
        "min",
        {"min_per_m": more_min / THICKER_M},
        "published",
    )


def _warming(facts: PlanFindings) -> Iterable[Reason]:
    warm_min = facts.warm_up_s / 60.0
    if warm_min < 0.5:
        return  # it softens before the pot is at pressure
    yield Reason(
        "hold",
        "warming",
        warm_min,
        "min",
        warm_min,
        "min",
        {"warm_min": warm_min},
        "published",
    )


def _after_hold(facts: PlanFindings) -> Iterable[Reason]:
    yield Reason(
        "hold",
        "after_hold",
        facts.after_hold_share,
        "1",
        -facts.after_hold_share * facts.hold_min,
        "min",
        {"share": facts.after_hold_share},
        "fitted",
    )


def _texture(facts: PlanFindings) -> Iterable[Reason]:
    more_min = facts.softer_hold_min - facts.hold_min
    yield Reason(
        "hold",
        "texture",
        facts.setup.request.tenderness_step,
        "steps",
        more_min,
        "min",
        {"more_min": more_min},
        "fitted",
    )
    if any(piece.has_membrane for piece in facts.load.pieces):
        yield Reason(
            "hold",
            "membrane",
            MEMBRANE_STEPS.value,
            "steps",
            more_min,
            "min",
            {},
            MEMBRANE_STEPS.source.kind,
        )


def _altitude(facts: PlanFindings) -> Iterable[Reason]:
    higher_min = facts.hold_min - facts.sea_level_hold_min
    if abs(higher_min) < LEAST_MIN:
        return
    metres = facts.setup.request.altitude_m
    yield Reason(
        "hold",
        "altitude",
        metres,
        "m",
        higher_min,
        "min",
        {"altitude_m": metres, "more_min": higher_min, "rule_min": facts.rule_hold_min},
        "published",
    )


def _frozen(facts: PlanFindings) -> Iterable[Reason]:
    if facts.frozen_extra_min <= 0:
        return
    coldest = min(piece.start_temp_c for piece in facts.load.pieces)
    yield Reason(
        "hold",
        "frozen",
        coldest,
        "°C",
        facts.frozen_extra_min,
        "min",
        {"extra_min": facts.frozen_extra_min},
        "fitted",
    )


def _stacked(facts: PlanFindings) -> Iterable[Reason]:
    covered = facts.setup.arrangement.covered
    share = 0.5 * (covered.first + covered.second)
    if share >= LEAST_SHARE:
        piece = facts.load.kinds()[facts.slowest][0]
        cooks_m = as_thick_as_m(piece, covered)
        yield Reason(
            "hold",
            "stacked",
            share,
            "1",
            cooks_m - piece.thickness_m,
            "m",
            {"cooks_m": cooks_m},
            "published",
        )


def _poultry(facts: PlanFindings) -> Iterable[Reason]:
    if facts.floor_min >= facts.hold_min > 0:
        yield Reason(
            "hold",
            "poultry_floor",
            float(facts.floor_min),
            "min",
            float(facts.floor_min),
            "min",
            {"floor_min": facts.floor_min},
            "from memory",
        )


def _sources(facts: PlanFindings) -> Iterable[Reason]:
    cut = facts.load.kinds()[facts.slowest][0].cut
    if cut.practice_cases <= 1:
        yield Reason(
            "hold",
            "few_sources",
            float(cut.practice_cases),
            "1",
            0.0,
            "min",
            {"cases": cut.practice_cases, "cut": cut.cut_id},
            "judgement",
        )


def _log(facts: PlanFindings) -> Iterable[Reason]:
    taught = facts.load.kinds()[facts.slowest][0].cut.taste_ln
    rise = max(facts.softer_hold_min, LEAST_MIN) / max(facts.hold_min, LEAST_MIN)
    # one step on the ladder is so many minutes; the log moved it by a share of one
    plain_min = facts.hold_min * rise ** (-taught / log(LADDER_STEP.value))
    moved_min = facts.hold_min - plain_min
    if abs(moved_min) >= 1.0:
        yield Reason(
            "hold",
            "log",
            taught,
            "1",
            moved_min,
            "min",
            {"moved_min": moved_min, "came_out": "firmer" if moved_min > 0 else "softer"},
            "measured",
        )


def _boil_test(facts: PlanFindings) -> Iterable[Reason]:
    """What a boil test found of the pot, and what the log did: each only where it was."""
    log_ratio = facts.setup.request.log_heat_ratio
    tested = facts.pot.heat_ratio / log_ratio
    if abs(tested - 1.0) >= LEAST_HEAT:
        yield Reason(
            "hold",
            "boil_test",
            tested,
            "1",
            facts.pot.heater_w * (tested - 1.0),
            "W",
            {"share": abs(tested - 1.0), "is": "stronger" if tested > 1 else "weaker"},
            "measured",
        )
    if abs(log_ratio - 1.0) >= LEAST_HEAT:
        yield Reason(
            "hold",
            "log_heat",
            log_ratio,
            "1",
            facts.pot.heater_w * tested * (log_ratio - 1.0),
            "W",
            {"share": abs(log_ratio - 1.0), "is": "stronger" if log_ratio > 1 else "weaker"},
            "measured",
        )


def _range(facts: PlanFindings) -> Iterable[Reason]:
    largest = facts.range.largest
    low, high = facts.range.measured_min
    yield Reason(
        "range",
        largest.kind,
        largest.low_min,
        "min",
        largest.high_min - largest.low_min,
        "min",
        {"measured_low_min": low, "measured_high_min": high},
        "judgement",
    )


def _liquid(facts: PlanFindings) -> Iterable[Reason]:
    filling = facts.setup.filling
    yield Reason(
        "liquid",
        "style",
        filling.usual_m3,
        "m³",
        filling.liquid_m3 - filling.usual_m3,
        "m³",
        {"style": facts.setup.request.liquid_style},
        "common practice",
    )
    yield Reason(
        "liquid",
        "minimum",
        filling.lowest_m3,
        "m³",
        filling.liquid_m3 - filling.lowest_m3,
        "m³",
        {"least_m3": filling.lowest_m3},
        "common practice",
    )
    if filling.sauce_m3 > 0:
        counted = facts.setup.request.sauce.counted_m3
        yield Reason(
            "liquid",
            "sauce",
            filling.sauce_m3,
            "m³",
            -counted,
            "m³",
            {"counted_m3": counted, "place": "base" if counted > 0 else "top"},
            "judgement",
        )


def _juice(facts: PlanFindings) -> Iterable[Reason]:
    end = facts.ending
    yield Reason(
        "liquid",
        "juice",
        end.juice_m3,
        "m³",
        end.liquid_m3 - facts.setup.filling.wet_m3,
        "m³",
        {"juice_m3": end.juice_m3, "fat_m3": end.fat_m3, "liquid_m3": end.liquid_m3},
        "common practice",
    )


def _rack(facts: PlanFindings) -> Iterable[Reason]:
    arrangement, level = facts.setup.arrangement, facts.setup.filling.level_m
    under = arrangement.rack_height_m - level
    params: dict[str, Param] = {
        "away_m": abs(under),
        "side": "below" if under >= 0 else "above",
        "bed_kg": 1e3 * facts.setup.filling.bed_m3,
    }
    yield Reason(
        "rack",
        arrangement.rack,
        arrangement.rack_height_m,
        "m",
        under,
        "m",
        params,
        "common practice",
    )


def _arrangement(facts: PlanFindings) -> Iterable[Reason]:
    arrangement = facts.setup.arrangement
    params: dict[str, Param] = {
        "tight": "yes" if arrangement.tight else "no",
        "rack_left_out": "yes" if arrangement.rack_left_out else "no",
    }
    yield Reason(
        "arrangement",
        arrangement.kind,
        float(len(arrangement.placed)),
        "1",
        arrangement.meat_height_m,
        "m",
        params,
        "common practice",
    )


def _release(facts: PlanFindings) -> Iterable[Reason]:
    setup = facts.setup
    usual = setup.release == setup.choice.method
    yield Reason(
        "release",
        setup.release,
        setup.filling.fill_ratio,
        "1",
        setup.after.wait_s if setup.release == "timed" else 0.0,
        "s",
        {"why": setup.choice.why if usual else "chosen"},
        "common practice",
    )
    yield Reason(
        "release",
        "softening_after",
        facts.after_hold_share,
        "1",
        facts.after_hold_share,
        "1",
        {"share": facts.after_hold_share},
        "fitted",
    )

"""The old method's softening as a cross-check of the plan."""

from dataclasses import dataclass
from typing import cast

from pneumachron.core.errors import CoreError, Param
from pneumachron.core.message import Message
from pneumachron.core.physics.tenderness import TEXTURES
from pneumachron.core.planning.other_methods import OtherMethod, cooked_by, hold_of_softening_min
from pneumachron.core.planning.own_minutes import Expectation
from pneumachron.core.planning.plan import Plan
from pneumachron.core.planning.recovery import translate_minutes
from pneumachron.recipes.understanding.method import Method
from pneumachron.recipes.understanding.understand import Understood

STOVETOP_PA = 100e3
"""Gauge of a stovetop pressure cooker that does not say. Common practice."""
ELECTRIC_PA = 75e3
"""The same of an electric one. Common practice: 70–80 kPa."""


@dataclass(frozen=True, slots=True)
class CrossCheck:
    """What the old method would have come to here; `agrees` within the plan's range."""

    hold_min: float
    agrees: bool
    said: Message


def cross_check(understood: Understood, plan: Plan) -> CrossCheck | None:
    """The hold that would soften as much as the old method did."""
    if plan.expectation is not None:
        return _of_own_minutes(plan, plan.expectation)
    cooking = understood.cooking
    if cooking.method is None or cooking.low_s is None or cooking.high_s is None:
        return None
    middle_s = (cooking.low_s + cooking.high_s) / 2
    try:
        hold = _hold_min(plan, cooking.method, middle_s, cooking.gauge_pa)
    except CoreError:
        return None
    low, high = plan.hold_range_min
    agrees = low <= hold <= high
    verdict = "agrees" if agrees else "plan_has_more" if hold < low else "plan_has_less"
    params: dict[str, Param] = {"spent_s": middle_s, "method": cooking.method, "hold_min": hold}
    return CrossCheck(hold, agrees, Message(f"check-{verdict}", params))


def own_minutes_params(plan: Plan, expected: Expectation) -> dict[str, Param]:
    """What is said of minutes that a recipe brings, in SI units and codes."""
    request = plan.setup.request
    low, high = _likely_min(plan)
    return {
        "own_min": plan.hold_min,
        "usual_min": expected.usual_min,
        "low_min": low,
        "high_min": high,
        "cut": request.load.pieces[0].cut.cut_id,
        "texture": TEXTURES[min(max(round(expected.tenderness_step), 0), len(TEXTURES) - 1)],
    }


def _likely_min(plan: Plan) -> tuple[int, int]:
    """From and to of the plan's own time."""
    return round(plan.range.low_min), round(plan.range.high_min)


def _of_own_minutes(plan: Plan, expected: Expectation) -> CrossCheck:
    """The minutes of a recipe for such a cooker stay; the plan's own stand beside them."""
    low, high = _likely_min(plan)
    agrees = low <= plan.hold_min <= high
    verdict = "agrees" if agrees else "shorter" if plan.hold_min < low else "longer"
    said = Message(f"check-kept_{verdict}", own_minutes_params(plan, expected))
    return CrossCheck(float(plan.hold_min), agrees, said)


USUAL_PA: dict[Method, float] = {"stovetop_pressure": STOVETOP_PA, "pressure": ELECTRIC_PA}


def _hold_min(plan: Plan, method: Method, middle_s: float, gauge_pa: float | None) -> float:
    """Minutes here that soften as much as the old method did."""
    request = plan.setup.request
    if method in USUAL_PA:
        gauge = gauge_pa or USUAL_PA[method]
        return float(translate_minutes(request, max(round(middle_s / 60), 1), gauge).hold_min)
    without_pressure = cast(OtherMethod, method)
    piece = plan.outcomes[0].piece
    dose = cooked_by(piece, without_pressure, middle_s, request.altitude_m).softening_min
    return hold_of_softening_min(request, dose)

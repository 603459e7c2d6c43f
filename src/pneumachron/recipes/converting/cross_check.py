"""The old method's softening as a cross-check of the plan."""

from dataclasses import dataclass
from typing import cast

from pneumachron.core.errors import CoreError, Param
from pneumachron.core.message import Message
from pneumachron.core.planning.other_methods import OtherMethod, cooked_by, hold_of_dose_min
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


USUAL_PA: dict[Method, float] = {"stovetop_pressure": STOVETOP_PA, "pressure": ELECTRIC_PA}


def _hold_min(plan: Plan, method: Method, middle_s: float, gauge_pa: float | None) -> float:
    """Minutes here that soften as much as the old method did."""
    wish = plan.setup.wish
    if method in USUAL_PA:
        gauge = gauge_pa or USUAL_PA[method]
        return float(translate_minutes(wish, max(round(middle_s / 60), 1), gauge).hold_min)
    without_pressure = cast(OtherMethod, method)
    piece = plan.outcomes[0].piece
    dose = cooked_by(piece, without_pressure, middle_s, wish.altitude_m).dose_min
    return hold_of_dose_min(wish, dose)

"""The guests come later: what waits, how, and what that does to the tenderness of a dish."""

from dataclasses import dataclass, replace
from typing import Literal, TypeAlias

from pneumachron.core.errors import CoreError
from pneumachron.core.planning.batches import planned_batches
from pneumachron.core.planning.finish import afterwards
from pneumachron.core.planning.plan import is_pulled, make_plan
from pneumachron.core.planning.what_if import summary_for_minutes
from pneumachron.core.procedure.choices import LateHow
from pneumachron.core.schedule.dish import Dish

Stage: TypeAlias = Literal["not_begun", "in_cooker", "out", "carved"]
"""Where a dish stands; `not_begun` also of one made ahead that is not reheated yet."""
MOST_SOFTER_STEPS, MOST_SOFTER_PULLED_STEPS = 0.5, 1.0
"""Steps of tenderness that keeping warm may cost unasked; what is pulled may fall apart.
Judgement."""
WRAPPED_KEEPS_S = 7200.0
"""Whole, in foil, in such an oven. Common practice: two hours."""
COVERED_KEEPS_S = 3600.0
"""Carved meat under foil with hot juice dries out within the hour. Common practice."""
LATE_RANGE_S = (60.0, 6 * 3600.0)


@dataclass(frozen=True, slots=True)
class Late:
    """What becomes of a dish."""

    how: LateHow
    planned_step: float
    tenderness_step: float
    """As served; the same as planned unless it stays hot under the lid."""

    @property
    def softer_steps(self) -> float:
        """How much softer than planned."""
        return self.tenderness_step - self.planned_step


def when_late(dish: Dish, stage: Stage, late_s: float) -> Late:
    """The gentlest way to wait that is safe.

    Parameters
    ----------
    stage : where the dish stands now
    late_s : how much later it is served
    """
    planned = dish.request.tenderness_step
    keeps_s = afterwards()[dish.request.load.pieces[0].cut.family].keep_warm_s
    if stage == "not_begun":
        return Late("later", planned, planned)
    if stage == "carved":
        return Late("cover" if late_s <= COVERED_KEEPS_S else "chill", planned, planned)
    if late_s > max(keeps_s, WRAPPED_KEEPS_S):
        return Late("chill", planned, planned)
    if stage == "out":
        return Late("rest_warm", planned, planned)
    softer = _softer_kept_warm(dish, late_s) if late_s <= keeps_s else None
    most = MOST_SOFTER_PULLED_STEPS if is_pulled(dish.request) else MOST_SOFTER_STEPS
    if softer is None or softer > most:
        return Late("take_out", planned, planned)
    return Late("keep_warm", planned, planned + softer)


def _softer_kept_warm(dish: Dish, late_s: float) -> float | None:
    """Steps that it softens under the lid; None when the cooker cannot keep it so long."""
    request = planned_batches(dish.request)[-1]
    try:
        plan = make_plan(request)
        stay_s = plan.setup.after.keep_s + late_s
        kept = replace(request, release="keep_warm", wait_s=None, stay_s=stay_s)
        longer = summary_for_minutes(kept, plan.hold_min)
        usual = summary_for_minutes(request, plan.hold_min)
    except CoreError:
        return None
    return max(longer.tenderness_step - usual.tenderness_step, 0.0)

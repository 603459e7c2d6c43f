"""A cook as the fitted model sees it, nothing learned: what lessons are told against."""

import json
from collections.abc import Sequence
from dataclasses import dataclass, replace
from functools import lru_cache

from pneumachron.core import ENGINE_VERSION
from pneumachron.core.errors import RequestError
from pneumachron.core.planning.request import CookRequest
from pneumachron.core.planning.what_if import steps_for_minutes
from pneumachron.core.session.pieces import mean_model_step
from pneumachron.services.live_kitchen import plan_of
from pneumachron.store.records import CookContent, StoredEvent

NO_ANSWER_S = 0.0
"""Stands in the log for a time to pressure that the model was asked for and cannot give, so that it
is not asked at every plan."""


@dataclass(frozen=True, slots=True)
class _Untaught:
    request: CookRequest
    up_s: float


@lru_cache(maxsize=8)
def _untaught(inputs: str, kitchen: str) -> _Untaught:
    plan = plan_of(json.loads(inputs), json.loads(kitchen))
    up_s = sum(item.duration_s for item in plan.phases if item.kind == "come_up")
    return _Untaught(plan.setup.request, up_s)


def with_model_prediction(content: CookContent, events: Sequence[StoredEvent]) -> CookContent:
    """The step and the time to pressure of the fitted model, for all minutes that were set.

    Without what the log had taught when it began, or lessons would count twice. Unlike meat, and a
    cook that cannot be worked out, has no step.
    """
    plain = {**content.kitchen["defaults"], "taste_ln": [], "taste_sd": [], "heat_ln": 0.0}
    kitchen = {**content.kitchen, "defaults": plain}
    again = sum(int(event.body["hold_min"]) for event in events if event.kind == "put_back")
    try:
        found = _untaught(
            json.dumps(content.inputs, sort_keys=True), json.dumps(kitchen, sort_keys=True)
        )
        alike = len({piece.cut.cut_id for piece in found.request.load.pieces}) == 1
        step = _judged_by_model(found.request, content.hold_min + again, events) if alike else None
    except RequestError:
        return replace(
            content, model_step=None, planned_up_s=NO_ANSWER_S, model_engine=ENGINE_VERSION
        )
    return replace(content, model_step=step, planned_up_s=found.up_s, model_engine=ENGINE_VERSION)


def _judged_by_model(
    request: CookRequest, hold_min: int, events: Sequence[StoredEvent]
) -> float | None:
    """The model's step of the pieces that were rated; None when none was."""
    told = [event.body["pieces"] for event in events if event.kind == "outcome"]
    counts = [count for _, count in request.load.kinds()]
    return mean_model_step(told[-1] if told else [], counts, steps_for_minutes(request, hold_min))

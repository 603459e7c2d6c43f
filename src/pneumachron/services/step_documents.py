"""A step of the procedure in words, the same for every view."""

from typing import Any

from pneumachron.core.procedure.step import Step
from pneumachron.services.wording import say_message
from pneumachron.text.say import say


def step_document(step: Step) -> dict[str, Any]:
    """What to do, what to look for, what to do if it is not so, and how long it takes."""
    low_s, high_s = step.range_s
    return {
        "step_id": step.step_id,
        "kind": step.kind,
        "title": say_message(step.said),
        "look_for": say(f"{step.said.code}.look", step.params),
        "if_not": say(f"{step.said.code}.wrong", step.params),
        "low_s": round(low_s),
        "likely_s": round(step.likely_s),
        "high_s": round(high_s),
        "hands": step.hands,
    }

"""Sentences that several answers share, for whoever reads."""

from pneumachron.core.cautions import Caution
from pneumachron.core.plan import Plan
from pneumachron.text.say import say


def say_caution(caution: Caution) -> str:
    """A word of care."""
    return say(f"caution-{caution.code}", caution.params)


def careful(plan: Plan) -> list[str]:
    """The pressing cautions of a plan."""
    return [say_caution(item) for item in plan.cautions if item.severity == "careful"]

"""Sentences that several answers share, for whoever reads."""

from pneumachron.core.cautions import Caution
from pneumachron.core.day.before import SHOP_DISH
from pneumachron.core.day.schedule import Segment
from pneumachron.core.plan import Plan
from pneumachron.text.say import say


def say_caution(caution: Caution) -> str:
    """A word of care."""
    return say(f"caution-{caution.code}", caution.params)


def say_work(part: Segment) -> str:
    """What is done in a stretch of a day."""
    return say(f"work-{part.work or part.kind}", part.params)


def dish_name(dish: str) -> str:
    """The title of a dish, or what stands for all of them."""
    return say("day-itself") if dish == SHOP_DISH else dish


def careful(plan: Plan) -> list[str]:
    """The pressing cautions of a plan."""
    return [say_caution(item) for item in plan.cautions if item.severity == "careful"]

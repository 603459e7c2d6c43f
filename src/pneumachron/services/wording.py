"""Sentences that several answers share, for whoever reads."""

from collections.abc import Iterator
from itertools import count

from pneumachron.core.message import Message
from pneumachron.core.planning.plan import Plan
from pneumachron.core.schedule.model import Segment
from pneumachron.core.schedule.prep import SHOP_DISH
from pneumachron.core.session.forecast import Alarm
from pneumachron.text.reader import READING
from pneumachron.text.render import has_message
from pneumachron.text.say import say


def say_message(message: Message) -> str:
    """Any message of the core."""
    return say(message.code, message.params)


def what_to_do(alarm: Alarm) -> Iterator[str]:
    """The lines of an alarm, in order."""
    reader = READING.get()
    for number in count(1):
        code = f"{alarm.said.code}.do-{number}"
        if not has_message(code, reader):
            return
        yield say(code, alarm.params)


def say_work(part: Segment) -> str:
    """What is done in a stretch of a day."""
    return say(f"do-{part.work or part.kind}", part.params)


def dish_name(dish: str) -> str:
    """The title of a dish, or what stands for all of them."""
    return say("day-itself") if dish == SHOP_DISH else dish


def careful(plan: Plan) -> list[str]:
    """The pressing cautions of a plan."""
    return [say_message(item.said) for item in plan.cautions if item.severity == "careful"]

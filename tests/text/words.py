"""What tests read of a converted step."""

from pneumachron.core.message import Message
from pneumachron.recipes.converting.marks import OutStep
from pneumachron.text.reader import ANYBODY
from pneumachron.text.render import render


def words(step: OutStep) -> str:
    """A step as anybody reads it."""
    return " ".join(map(sentence, step.said))


def sentence(message: Message | None) -> str:
    """A message as anybody reads it."""
    return "" if message is None else render(message.code, message.params, ANYBODY)

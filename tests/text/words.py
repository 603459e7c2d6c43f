"""What tests read of a converted step."""

from pneumachron.recipes.converting.marks import OutStep
from pneumachron.text.reader import ANYBODY
from pneumachron.text.render import render


def words(step: OutStep) -> str:
    """A step as anybody reads it."""
    return " ".join(render(item.code, item.params, ANYBODY) for item in step.said)

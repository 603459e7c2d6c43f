"""Short recipes for tests: read, understood and converted for one kitchen."""

from pneumachron.core.catalog.pots import ready_pot
from pneumachron.recipes.converting.convert import Converted, convert
from pneumachron.recipes.converting.kitchen import Kitchen
from pneumachron.recipes.model import Recipe
from pneumachron.recipes.reading import read_recipe
from pneumachron.recipes.understanding.understand import Understood, understand
from tests.text.words import words

KITCHEN = Kitchen(ready_pot("tenor"), 0.0, 4.0)


def read(text: str) -> Recipe:
    return read_recipe(text).recipe


def understood(
    *steps: str, meat: str = "2 kg pork shoulder", more: tuple[str, ...] = ()
) -> Understood:
    return understand(Recipe("Supper", (meat, *more), steps))


def made(*steps: str, meat: str = "2 kg pork shoulder", more: tuple[str, ...] = ()) -> Converted:
    return convert(understood(*steps, meat=meat, more=more), KITCHEN)


def went(done: Converted, row: int) -> list[str]:
    return [line.when for line in done.lines if line.origin == row]


def told(done: Converted) -> str:
    return " ".join(words(step) for step in done.steps)


WET = "Cover and simmer for 2 hours until tender."
DOUBTED = """Ribs for a crowd

4 lb country style pork ribs
1 cup cola
1 bottle barbecue sauce
1 tsp dry mustard

Pour the cola around the ribs, cover with foil and bake at 325 F for 2 hours. Drain.
Stir barbecue sauce and mustard together. Spread over the ribs, bake uncovered 30 minutes more.
"""
"""The mustard of its late sauce is what tests doubt about."""

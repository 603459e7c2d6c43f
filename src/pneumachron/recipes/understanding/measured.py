"""Foods that running text measures: “stir in 2 Tbsp honey and 1 cup of cola”."""

import re
from collections.abc import Iterator
from dataclasses import dataclass

from pneumachron.recipes.understanding.ingredients import Food, food_of

_MEASURED = re.compile(
    r"(?<![\d/.])\d[\d/.½¼¾]{0,5}\s?"
    r"(?:cups?|c|T|t|[Tt]bsp|tsp|tablespoons?|teaspoons?|ml|g|oz|cans?|tins?|pkts?|packets?|pkgs?"
    r"|packages?|envelopes?|bottles?|jars?)\b\.? "
    r"(?:of )?(?!(?:the|that|this|its|their|your)\b(?! (?:\w+ )?(?:sauce|glaze|mop|dressing)\b))"
    r"(?P<food>[a-z-]{3,20}"
    r"(?: (?!(?:with|and|in|on|to|plus|or|over|into|for|until|then|if)\b)[a-z-]{2,20}){0,3})"
)


@dataclass(frozen=True, slots=True)
class Measured:
    """A food with its amount, as a text has it."""

    text: str
    """“2 Tbsp honey”."""
    name: str
    food: Food


def measured_in(text: str) -> Iterator[Measured]:
    """Each food that a text measures, in its order; what is not known here too."""
    for found in _MEASURED.finditer(text):
        name = found["food"].strip()
        yield Measured(found[0].strip(), name, food_of(name))

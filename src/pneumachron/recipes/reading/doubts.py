"""Lines that look more like something else than like what they were taken for."""

from dataclasses import dataclass

from pneumachron.recipes.model import Recipe
from pneumachron.recipes.reading.looks import look_at

SURE = 0.8
"""How much more a line must look like the other thing before anybody is asked. Judgement."""


@dataclass(frozen=True, slots=True)
class Doubts:
    """Texts of such lines, for the cook to look at."""

    steps_like_ingredients: tuple[str, ...]
    ingredients_like_steps: tuple[str, ...]


def doubts_of(recipe: Recipe) -> Doubts:
    """Which lines of a recipe may stand among the wrong ones."""
    steps = ((text, look_at(text)) for text in recipe.steps)
    lines = ((text, look_at(text)) for text in recipe.ingredients)
    return Doubts(
        tuple(text for text, look in steps if look.has_amount and look.food > look.work + SURE),
        tuple(text for text, look in lines if look.work > max(look.food, 0.0) + SURE),
    )

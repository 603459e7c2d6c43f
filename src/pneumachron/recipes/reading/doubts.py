"""Lines that look more like something else than like what they were taken for."""

import re
from dataclasses import dataclass

from pneumachron.recipes.model import Recipe
from pneumachron.recipes.reading.looks import look_at
from pneumachron.recipes.understanding.foods_of_a_line import foods_in
from pneumachron.recipes.understanding.ingredients import (
    Kind,
    foods_named,
    read_ingredients,
)
from pneumachron.recipes.understanding.measured import measured_in

SURE = 0.8
"""How much more a line must look like the other thing before anybody is asked. Judgement."""


@dataclass(frozen=True, slots=True)
class Doubts:
    """Texts of such lines, for the cook to look at."""

    steps_like_ingredients: tuple[str, ...]
    ingredients_like_steps: tuple[str, ...]
    foods_on_no_line: tuple[str, ...]
    """“6 c. cider vinegar”: measured in the text, and no ingredient."""


def doubts_of(recipe: Recipe) -> Doubts:
    """Which lines of a recipe may stand among the wrong ones."""
    steps = ((text, look_at(text)) for text in recipe.steps)
    lines = ((text, look_at(text)) for text in recipe.ingredients)
    return Doubts(
        tuple(text for text, look in steps if look.has_amount and look.food > look.work + SURE),
        tuple(text for text, look in lines if look.work > max(look.food, 0.0) + SURE),
        _foods_on_no_line(recipe),
    )


_LEAST_TOGETHER = 2
"""Such foods in one text that are a list which was not read as one. Judgement."""
MOST_TOLD = 20
"""Foods that are told at most. Judgement."""
_IN_BRACKETS = re.compile(r"\([^()]*\)")
"""“1 cup sour orange juice (or ⅔ c orange, ⅓ c lime)”: what else may be taken."""
_NOT_BOUGHT: frozenset[Kind] = frozenset({"unknown", "thin", "meat", "other_meat", "salt", "tool"})


def _foods_on_no_line(recipe: Recipe) -> tuple[str, ...]:
    """What a step or the words above the recipe measure, and no line has."""
    items = read_ingredients(recipe.ingredients)
    listed = {food.words for line in recipe.ingredients for food in foods_named(line)}
    texts = [(text, listed) for text in (recipe.description, *recipe.steps)]
    # a line of meat may have swallowed a whole list
    texts += [
        (_IN_BRACKETS.sub("", item.line.raw), {each.food.words for each in foods_in(item)})
        for item in items
    ]
    found: dict[str, None] = {}
    for text, known in texts:
        foods = {
            each.food.words: each.text
            for each in measured_in(text)
            if each.food.kind not in _NOT_BOUGHT and each.food.words not in known
        }
        if len(foods) >= _LEAST_TOGETHER:
            found |= dict.fromkeys(foods.values())
    return tuple(found)[:MOST_TOLD]

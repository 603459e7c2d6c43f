"""Foods for the table that stand below the steps, or on the last line of the list."""

import re
from collections.abc import Sequence
from dataclasses import replace
from itertools import takewhile

from pneumachron.recipes.model import Part, Recipe
from pneumachron.recipes.reading.prose import LEAST_ALONE, LISTED, is_work
from pneumachron.recipes.understanding.ingredients import Kind, food_of
from pneumachron.recipes.understanding.lines import read_line
from pneumachron.recipes.understanding.sentences import sentences_in


def with_what_is_served(recipe: Recipe) -> Recipe:
    """“Corn tortillas, onion, cilantro, lime”, below the steps of a list: foods for the table."""
    if not (recipe.steps and recipe.ingredients):
        return recipe
    recipe = _with_toppings(recipe)
    told = sentences_in(recipe.steps[-1]) or [""]
    served = _GOOD_WITH.sub("", told[-1].strip(" ."))
    foods = [text.strip() for text in LISTED.split(served) if text.strip()]
    left = recipe.left_out
    if not _are_for_the_table(foods):
        told = []
        foods = list(reversed(list(takewhile(_is_bare, reversed(left)))))
        told_above = 1 if foods and foods[0].endswith(":") else 0  # “To serve:”
        foods = foods[told_above:]
        # links to other pages begin with a capital each; these stood on one line
        foods = [] if any(text[:1].isupper() for text in foods[1:]) else foods
        left = left[: len(left) - len(foods) - told_above]
    if not _are_for_the_table(foods):
        return recipe
    known = {food_of(line).words for line in recipe.ingredients}
    new = [text for text in foods if food_of(text).words not in known]
    if not new:
        return recipe
    rows = tuple(range(len(recipe.ingredients), len(recipe.ingredients) + len(new)))
    ends = [" ".join(told[:-1])] if told else [recipe.steps[-1]]
    return replace(
        recipe,
        ingredients=(*recipe.ingredients, *new),
        steps=(*recipe.steps[:-1], *filter(None, ends)),
        parts=(*recipe.parts, Part.of("To serve", rows)),
        left_out=left,
    )


def _with_toppings(recipe: Recipe) -> Recipe:
    """“Lime, cilantro, sharp cheese, corn chips”, on the last line of the list: for the table."""
    last = len(recipe.ingredients) - 1
    foods = [text.strip() for text in LISTED.split(recipe.ingredients[last]) if text.strip()]
    if any(last in part.lines for part in recipe.parts) or not _are_for_the_table(foods):
        return recipe
    early = " ".join(recipe.steps[:-1]).lower()
    unnamed = [text for text in foods if text.split()[-1].lower() not in early]
    if len(unnamed) < LEAST_ALONE:
        return recipe
    return replace(recipe, parts=(*recipe.parts, Part.of("To serve", (last,))))


_GOOD_WITH = re.compile(
    r"^(?:it(?:['’]s| is) )?(?:nice|good|great|lovely) (?:with|over) "
    r"|\s+(?:with it|alongside)$|,? (?:and )?(?:done|enjoy)$",
    re.I,
)
_ON_A_PLATE: frozenset[Kind] = frozenset({"beside", "dairy", "tender_veg"})


def _are_for_the_table(foods: Sequence[str]) -> bool:
    # “Rolls and slaw”
    two = len(foods) == 2 and all(food_of(text).kind in _ON_A_PLATE for text in foods)
    several = (len(foods) >= LEAST_ALONE or two) and all(map(_is_bare, foods))
    # “top with pork, avocado and cheese” is work: the meat is none of what is bought for the table
    several = several and not any(map(_COOKED_MEAT.search, foods))
    return several and any(food_of(text).kind == "beside" for text in foods)


_COOKED_MEAT = re.compile(r"\b(?:with|the) (?:pork|beef|meat|ribs?|brisket)\b", re.I)


def _is_bare(text: str) -> bool:
    """Few words, no amount and no work."""
    few = len(text.split()) <= LEAST_ALONE and read_line(text).low is None
    return few and (text.lower() == "mash" or not is_work(text.split(maxsplit=1)[0]))

"""For how many a recipe is."""

import re

from pneumachron.recipes.model import Recipe

_NUMBERS = re.compile(r"(\d{1,3})(?:\s*(?:-|–|to)\s*(\d{1,3}))?")
_IN_STEPS = re.compile(
    r"\b(?:serves|feeds|for|enough for) (?:about )?(\d{1,3})\b(?! ?(?:min|hour|h\b|°|cm|lb|kg))",
    re.I,
)
_AT_THE_END = re.compile(
    r"\b(?:serves|feeds|does|makes|enough for|served? (?:it )?(?:to|for)|for)\s+(?:about )?"
    r"(?P<count>\d{1,3})(?:\s*(?:-|–|to)\s*(?P<most>\d{1,3}))?"
    r"(?=\s*(?:\.|!|$|easily|people|persons?|portions|servings|with |in (?:buns|rolls)))",
    re.I,
)
"""“Serves 6.” within a step: a number of people and nothing that is measured."""


def read_plates(recipe: Recipe) -> float | None:
    """Plates by its yield, or by “serves 6” anywhere; the middle of a range."""
    for text in (recipe.yields, recipe.description):
        match = _NUMBERS.search(text) if text is recipe.yields else _IN_STEPS.search(text)
        if match:
            low = float(match[1])
            high = float(match[2]) if match.lastindex and match.lastindex > 1 and match[2] else low
            if 1 <= low <= high <= 200:
                return (low + high) / 2
    for text in (*reversed(recipe.steps), *recipe.notes):
        if found := _AT_THE_END.search(text):
            low = float(found["count"])
            high = float(found["most"] or low)
            if 1 <= low <= high <= 200:
                return (low + high) / 2
    return None

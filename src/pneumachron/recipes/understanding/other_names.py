"""Foods that the steps call otherwise than the list: “the broth” for a stock.

Words live in data/other_names.csv; that one food has both names is common practice.
"""

import re
from collections.abc import Mapping, Sequence
from csv import DictReader
from functools import cache
from importlib.resources import files
from typing import TypeAlias

from pneumachron.recipes.understanding.foods_of_a_line import foods_in
from pneumachron.recipes.understanding.ingredients import Ingredient
from pneumachron.recipes.understanding.twins import telling_word, telling_words

OtherNames: TypeAlias = Mapping[tuple[int, str], re.Pattern[str]]
"""By row and name of a food: how the steps call it. A food that they call by its name has none."""


@cache
def _table() -> tuple[tuple[re.Pattern[str], str], ...]:
    """How a food is found in a name, and what it is called as well."""
    table = files("pneumachron.recipes") / "data" / "other_names.csv"
    with table.open(encoding="utf-8") as lines:
        return tuple((_in_a_name(row["food"]), row["called"]) for row in DictReader(lines))


def _in_a_name(food: str) -> re.Pattern[str]:
    """A food as a word of a name; “*öl” is the end of a word, which German has before it."""
    begins = "" if food.startswith("*") else r"(?<![\w-])"
    return re.compile(rf"{begins}{re.escape(food.removeprefix('*'))}(?:s|n)?(?![\w-])", re.I)


def other_names(ingredients: Sequence[Ingredient], said: Sequence[str]) -> OtherNames:
    """What the steps call each food, where that is not its name; worked out once for a recipe.

    A name that another line has for itself means that one: with a stock and a broth in the list,
    “the broth” is no stock.

    Parameters
    ----------
    said : the steps
    """
    whole = " ".join(said).lower()
    used = [(name, called) for name, called in _table() if _as_called(called).search(whole)]
    if not used:
        return {}
    foods = [item for item in ingredients if item.kind != "meat"]
    owners = {
        called: {item.index for item in foods if _has(item.line.name.lower(), called)}
        for _, called in used
    }
    found: dict[tuple[int, str], re.Pattern[str]] = {}
    for item in foods:
        for name in {item.line.name, *(food.line.name for food in foods_in(item))}:
            calls = {
                called for food, called in used
                if food.search(name) and owners[called] <= {item.index}
            }  # fmt: skip
            if calls:
                found[item.index, name] = re.compile("|".join(map(_pattern, sorted(calls))))
    return found


def _has(name: str, called: str) -> bool:
    """Whether a line has that name for itself: “red wine vinegar” is no wine."""
    words = telling_words(name)
    if " " in called:
        return called in name
    return bool(words) and telling_word(words) == called.rstrip("s")


@cache
def _as_called(called: str) -> re.Pattern[str]:
    return re.compile(_pattern(called))


def _pattern(called: str) -> str:
    """The name as a word of a step: “chile flakes” are no chile, “baking soda” is no soda."""
    before, behind = r"(?<![\w-])(?<!root )(?<!ginger )(?<!baking )", r"(?:e?s|n)?(?![\w-])"
    return rf"{before}{re.escape(called)}{behind}{_NOT_OF_ANOTHER}"


_NOT_OF_ANOTHER = (
    r"(?! (?:powder|sauce|paste|flakes|oil|vinegar|salt|seeds?|cubes?|crisps?|mix|rings?|pods?)\b)"
)

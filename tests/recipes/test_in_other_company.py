"""A recipe among what stands around it on a page, in a forum or a mail: nothing of that is read.

Three texts of the development half are put into the company of such lines (`company.txt`, which
is invented); what a cook would read in them stays the same.
"""

from collections.abc import Iterator
from pathlib import Path

import pytest

from pneumachron.recipes.reading import read_recipe
from tests import some
from tests.recipes.test_in_other_dress import RECIPES, seen

NAMES = ("d01", "d06", "d16")
BLOCKS = (Path(__file__).parent / "company.txt").read_text(encoding="utf-8").split("=== ")[1:]
COMPANY = [tuple(block.rstrip("\n").split("\n", 1)) for block in BLOCKS]
"""Where they stand, and the lines."""


def test_the_company_is_there() -> None:
    assert len(COMPANY) > 100
    assert {place for place, _ in COMPANY} == {"above", "below", "within"}


def among(title: str, rest: list[str], place: str, words: str) -> Iterator[str]:
    """The recipe with such lines in it."""
    if place == "above":
        yield "\n".join((title, words, *rest))
    elif place == "below":
        yield "\n".join((title, *rest, "", words))
    else:
        for at in (rest.index("Ingredients") + 1, rest.index("Method")):
            yield "\n".join((title, *rest[:at], words, *rest[at:]))


@pytest.mark.parametrize("name", NAMES)
def test_what_stands_around_a_recipe_is_not_read(name: str) -> None:
    title, *rest = (text for _, text in RECIPES[name])
    alone = seen("\n".join((title, *rest)))
    wrong = {
        (place, words): found for place, words in some(COMPANY, 2, NAMES.index(name) % 2, usual=6)
        for text in among(title, rest, place, words)
        if (found := seen(text)) != alone
    }  # fmt: skip
    assert not wrong


def test_nor_where_no_heading_says_what_is_which() -> None:
    title, *rest = (
        text
        for role, text in RECIPES["d01"]
        if role != "H" or text not in {"Ingredients", "Method"}
    )
    alone = seen("\n".join((title, *rest)))
    wrong = {
        (place, words): found for place, words in COMPANY if place != "within"
        for text in among(title, rest, place, words)
        if (found := seen(text)) != alone
    }  # fmt: skip
    assert not wrong


@pytest.mark.parametrize("heading", ["Serve with:", "To serve:", "Serving:"])
def test_what_is_served_with_it_is_food_and_no_note(heading: str) -> None:
    recipe = read_recipe(
        f"Supper\n\nIngredients\n2 kg pork shoulder\n500 ml cider\n{heading}\n8 soft buns\n"
        "1/2 cup pickles\n\nMethod\nCover and cook at 150 C for 4 hours.\n"
    ).recipe
    assert recipe.ingredients[-2:] == ("8 soft buns", "1/2 cup pickles")
    assert len(recipe.steps) == 1

"""What a text measures and no line has is told, and never lost in silence. Common practice."""

from itertools import pairwise

import pytest

from pneumachron.recipes.model import Recipe
from pneumachron.recipes.reading.doubts import MOST_TOLD, doubts_of
from pneumachron.recipes.reading.read import read_recipe
from tests.recipes.strangers.measure import corpus
from tests.recipes.test_usual_cards import VOICES

LINES = ("4 lb pork shoulder", "1 onion, sliced", "1 cup stock", "2 Tbsp butter")


def lost(*steps: str, lines: tuple[str, ...] = LINES, description: str = "") -> tuple[str, ...]:
    recipe = Recipe("Supper", lines, steps, description=description)
    return doubts_of(recipe).foods_on_no_line


@pytest.mark.parametrize(
    ("said", "foods"),
    [
        ("Mix 1/2 cup ketchup with 1/4 cup honey.", ("1/2 cup ketchup", "1/4 cup honey")),
        ("foil w/ 1/2 c apple juice + 2 T vinegar", ("1/2 c apple juice", "2 T vinegar")),
        # one of them is work that its step keeps in its own words
        ("Stir in 2 Tbsp honey.", ()),
        # what is listed, water and salt are no loss
        ("Add 1 cup stock, 2 Tbsp butter, 1 cup water and 1 tsp salt.", ()),
        ("Cook 30 minutes at 150 C for 2 hours.", ()),
    ],
)
def test_foods_that_only_a_step_measures(said: str, foods: tuple[str, ...]) -> None:
    assert lost(said) == foods


def test_a_list_that_stands_above_the_recipe() -> None:
    told = "Rub it with 1/4 cup paprika, 2 Tbsp cumin and 1 Tbsp cayenne."
    assert lost("Braise 4 hours.", description=told) == (
        "1/4 cup paprika", "2 Tbsp cumin", "1 Tbsp cayenne",
    )  # fmt: skip


def test_a_list_that_a_line_of_meat_has_swallowed() -> None:
    line = "3 lb brisket in cubes with 3 Tbsp flour and 2 cups beer"
    assert lost("Braise 4 hours.", lines=(line,)) == ("3 Tbsp flour", "2 cups beer")
    # what else may be taken stands in brackets
    juice = "1 cup sour orange juice (or 2/3 c orange juice, 1/3 c lime juice)"
    assert lost("Braise 4 hours.", lines=("4 lb pork shoulder", juice)) == ()


def test_only_so_many_are_told() -> None:
    foods = ("honey", "ketchup", "paprika", "cumin", "vinegar", "soy sauce", "mustard", "oregano")
    steps = [f"Mix {n} cups {one} with {n} cups {two}." for n in range(1, 9)
             for one, two in pairwise(foods)]  # fmt: skip
    assert len(lost(*steps)) == MOST_TOLD


def test_nothing_is_told_of_usual_recipes() -> None:
    """A remark that stands on every recipe is read on none."""
    texts = [item.pasted() for item in corpus("development")]
    texts += [file.read_text() for file in sorted(VOICES.glob("b*.txt"))]
    told = [text for text in texts if doubts_of(read_recipe(text).recipe).foods_on_no_line]
    assert len(texts) > 60
    assert len(told) <= len(texts) / 50

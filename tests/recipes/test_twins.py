"""Several foods with one word in their names: each sentence means some of them. Common practice."""

import pytest

from pneumachron.recipes.understanding.naming import rows_named
from tests.recipes.supper import understood
from tests.recipes.test_usual_cards import of, when

BROWN_AND_WHITE = ("2 Tbsp brown sugar", "1 tsp white sugar")


@pytest.mark.parametrize(
    ("more", "text", "named"),
    [
        (BROWN_AND_WHITE, "rub with the brown sugar", {1}),
        (BROWN_AND_WHITE, "the brown and white sugar", {1, 2}),
        (BROWN_AND_WHITE, "dissolve both sugars", {1, 2}),
        (BROWN_AND_WHITE, "stir in the sugar", {1, 2}),
        (("2 Tbsp light brown sugar", "1 tsp sugar"), "stir in the sugar", {2}),
        (("2 Tbsp light brown sugar", "1 tsp sugar"), "stir in the brown sugar", {1}),
        (("1 cup cider vinegar", "2 Tbsp balsamic vinegar"), "a splash of balsamic vinegar", {2}),
        (("1 cup cider vinegar", "2 Tbsp balsamic vinegar"), "pour in the vinegars", {1, 2}),
        (("3 garlic cloves", "1 tsp garlic powder"), "add the garlic powder", {2}),
        (("1 bell pepper", "1 tsp black pepper"), "season with black pepper", {2}),
        (("1 tsp pepper", "1 tsp red pepper flakes"), "strew with red pepper flakes", {2}),
        (("2 onions", "1 bunch green onions"), "scatter over the green onions", {2}),
        (("2 onions", "1 bunch green onions"), "soften the onions", {1}),
        (("1 Tbsp oil", "1 tsp sesame oil"), "brown it in the oil", {1}),
        (("2 limes, juice", "4 lime leaves"), "tear in the lime leaves", {2}),
    ],
)
def test_a_text_means_the_food_it_says_most_of(
    more: tuple[str, ...], text: str, named: set[int]
) -> None:
    assert rows_named(understood("Cook it.", more=more), text) == named


def test_what_is_called_by_more_elsewhere_is_not_meant_by_less() -> None:
    """“The oil” is what is fried in: the sesame oil is named in full at the end."""
    told = understood(
        "Brown the pork in the oil. Simmer for 2 hours.", "Drizzle with sesame oil.",
        more=("1 Tbsp vegetable oil", "1 tsp sesame oil"),
    )  # fmt: skip
    assert rows_named(told, "brown the pork in the oil") == {1}
    assert rows_named(told, "drizzle with sesame oil") == {2}


def test_the_sugar_of_a_rub_may_be_the_brown_one() -> None:
    """White sugar stands in the sauce alone, and the rub still gets its own."""
    found = when(of("overnight_what_you_will_do"))
    assert found["dark brown sugar"] != "pot"
    assert found["smoked paprika"] == "season"


def test_dark_soy_of_a_braise_is_not_brushed_on() -> None:
    """“Hoisin”, at the end, is no soy; and the sugar of the pickle is not that of the pot."""
    found = when(of("brisket_bao"))
    assert found["dark soy sauce"] == "pot"
    assert found["caster sugar"] == "beside"

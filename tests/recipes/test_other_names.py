"""Foods that the steps call otherwise than the list does.

Recipes are invented; that one food has both names is common practice.
"""

import pytest

from pneumachron.recipes.understanding.naming import rows_named
from tests.recipes.supper import WET, made, told, understood, went


@pytest.mark.parametrize(
    ("line", "called"),
    [
        ("2 cups chicken broth", "the stock"),
        ("500 ml beef stock", "the broth"),
        ("4 scallions, sliced", "the green onions"),
        ("4 spring onions", "the scallions"),
        ("330 ml stout", "the beer"),
        ("1 cup pinot noir", "the wine"),
        ("2 tbsp cornstarch", "the slurry"),
        ("2 tbsp cornflour", "the corn starch"),
        ("3 dried ancho chiles, stemmed", "the chillies"),
        ("60 ml bourbon", "the whiskey"),
        ("1/2 cup maple syrup", "the syrup"),
        ("1 cup pineapple chunks", "the pineapple"),
        ("2 celery ribs", "the celery"),
        ("2 Möhren", "die Karotten"),
        ("1/4 Sellerieknolle", "den Sellerie"),
        ("500 ml Rinderfond", "die Brühe"),
        ("2 EL Öl", "das Öl"),
    ],
)
def test_a_food_by_its_other_name(line: str, called: str) -> None:
    step = f"Add {called} and simmer for 2 hours."
    assert rows_named(understood(step, more=(line,)), step) == {1}


@pytest.mark.parametrize(
    ("lines", "step"),
    [
        (("500 ml beef stock", "1 cup vegetable broth"), "Add the broth."),
        (("4 shallots", "1 onion"), "Add the onion."),
        (("3 ancho chiles", "1 tsp chili powder"), "Add the chili powder."),
        (("1 can cola", "1 tsp baking soda"), "Add the baking soda."),
        (("1 cup merlot", "2 tbsp red wine vinegar"), "Add the wine vinegar."),
        (("330 ml ale", "1 cup ginger beer"), "Add the ginger beer."),
    ],
)
def test_a_name_that_another_line_has_means_that_one(lines: tuple[str, ...], step: str) -> None:
    assert 1 not in rows_named(understood(step, WET, more=lines), step)


def test_a_glaze_of_syrup_is_brushed_on() -> None:
    late = "Whisk the syrup and mustard. Brush over the pork and broil for 5 minutes."
    done = made(
        "Pour the stock around.", WET, late,
        more=("1 cup stock", "1/2 cup maple syrup", "2 tbsp mustard"),
    )  # fmt: skip
    assert went(done, 2) == ["finish"]
    assert "maple syrup" in told(done)

"""What is put on the raw meat dry, what it lies in, and what becomes of that: by many wordings.

Recipes are invented; that spices on raw meat are a rub, that meat left in something wet is
marinated, and that a marinade is boiled before it is brushed on, is common practice.
"""

import pytest

from pneumachron.recipes.model import Recipe
from pneumachron.recipes.understanding.method import read_method
from tests.recipes.supper import WET, made, told, went

SPICES = ("1 tbsp chili powder", "2 tsp ground coriander", "1 tsp black pepper")


@pytest.mark.parametrize(
    "step",
    [
        "Sprinkle both sides of the pork with the chili powder, coriander and pepper.",
        "Sprinkle chili powder, coriander and pepper over both sides.",
        "Trim the pork, then sprinkle with chili powder, coriander and pepper.",
        "Cover the pork with chili powder, coriander and pepper, patting it on.",
        "Give the meat a good coating of chili powder, coriander and pepper.",
        "Roll the pork in the chili powder, coriander and pepper.",
        "Shake the chili powder, coriander and pepper over the pork.",
        "Begin by rubbing the pork with chili powder, coriander and pepper.",
        "Put the pork in a bag with chili powder, coriander and pepper and shake.",
        "Stir chili powder, coriander and pepper together. Use it to coat the pork.",
        "Place the pork in a bowl; add chili powder, coriander and pepper and toss to coat.",
    ],
)
def test_spices_put_on_the_raw_meat_are_its_rub(step: str) -> None:
    done = made(step, "Pour the stock around.", WET, more=("1 cup beef stock", *SPICES))
    assert [went(done, row) for row in (2, 3, 4)] == [["season"]] * 3


def test_the_rest_under_a_rub_that_is_sprinkled_on() -> None:
    step = "Sprinkle both sides of the pork with the salt. Cover and refrigerate overnight."
    done = made(step, WET, more=("2 tsp salt",))
    assert "Leave it covered in the refrigerator for 8–12" in told(done)
    assert "Sprinkle" not in told(done)


@pytest.mark.parametrize(
    "step",
    [
        "Whisk the beer, chili powder, coriander and pepper; pour over the pork.",
        "Deglaze the pot with the beer, chili powder, coriander and pepper.",
        "Cover the pork with the beer, chili powder, coriander and pepper.",
    ],
)
def test_spices_poured_in_with_a_liquid_are_no_rub(step: str) -> None:
    done = made("Season the pork with salt.", step, WET, more=("1 bottle beer", *SPICES))
    assert [went(done, row) for row in (2, 3, 4)] == [["pot"]] * 3


SOY = ("1/2 cup soy sauce", "1/4 cup orange juice", "4 cloves garlic, minced")


@pytest.mark.parametrize(
    "steps",
    [
        ("Combine the soy sauce, orange juice and garlic in a bag. Add the pork, seal, and "
         "refrigerate for at least 4 hours.",),
        ("Place the pork in a dish. Mix the soy sauce, orange juice and garlic and pour over. "
         "Leave overnight in the fridge.",),
        ("The day before, mix the soy sauce, orange juice and garlic and soak the pork in it "
         "overnight.",),
        ("Whisk the soy sauce, orange juice and garlic; add the pork and turn to coat. Cover and "
         "marinate overnight.",),
    ],
)  # fmt: skip
def test_meat_left_in_something_wet_is_marinated_in_it(steps: tuple[str, ...]) -> None:
    cooked = "Put the pork with the marinade in a casserole, cover and bake at 300F for 3 hours."
    done = made(*steps, cooked, more=SOY)
    assert went(done, 1) == ["pot"]
    assert "Marinate the meat in soy sauce, orange juice, and garlic" in told(done)


@pytest.mark.parametrize(
    "late",
    [
        "Boil the marinade 5 minutes. Brush over the pork and broil 5 minutes.",
        "Simmer the reserved marinade until thick and use as a glaze.",
    ],
)
def test_a_marinade_that_is_boiled_and_brushed_back_is_not_poured_in(late: str) -> None:
    soak = "Mix the soy sauce, orange juice and garlic and pour over the pork. Marinate overnight."
    roast = "Drain, reserving the marinade. Cover the pork with foil and bake at 300F for 3 hours."
    done = made(soak, roast, late, more=SOY)
    assert went(done, 1) == ["season", "finish"]
    assert "Marinate the meat in soy sauce" in told(done)


def test_the_fat_of_the_recipe_is_named_where_the_meat_is_seared() -> None:
    done = made("Brown the pork in the lard.", "Add the stock.", WET,
                more=("1 tbsp lard", "1 cup beef stock"))  # fmt: skip
    assert "Heat the pot, then the lard, then sear" in told(done)


@pytest.mark.parametrize(
    ("steps", "temp_c"),
    [
        (("Roast the pork for 4 hours under foil.", "Oven temperature: about 300°F."), 149),
        (("Cover with foil and bake at 300 for 4 hours, to 200°F inside.",), 149),
        (("Bake at 300 for 4 hours, then uncover, turn up to 425°F and brown.",), 149),
    ],
)
def test_the_heat_of_the_long_time(steps: tuple[str, ...], temp_c: int) -> None:
    found = read_method(Recipe("Pork", ("4 lb pork shoulder",), steps)).temp_c
    assert found == pytest.approx(temp_c, abs=0.6)


def test_one_heat_in_two_units_above_the_recipe() -> None:
    steps = ("Roast the pork for 4 hours under foil.",)
    recipe = Recipe("Pork", ("4 lb pork shoulder",), steps, description="Oven 150°C (300°F)")
    assert read_method(recipe).temp_c == pytest.approx(150.0)

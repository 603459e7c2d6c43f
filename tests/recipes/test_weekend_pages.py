"""Pages, cards and mails for a weekend; each went wrong at one place. Common practice."""

import pytest

from pneumachron.recipes.converting.amounts import amount_text
from pneumachron.recipes.understanding.crust import read_crust
from pneumachron.recipes.understanding.foods_of_a_line import foods_in
from pneumachron.recipes.understanding.ingredients import (
    read_ingredients,
)
from pneumachron.recipes.understanding.lines import read_line
from pneumachron.recipes.understanding.method import read_method
from tests.recipes.supper import read, told
from tests.recipes.test_usual_cards import of, when


def test_what_is_on_the_side_is_not_fried() -> None:
    """Dumplings were fried with the carrots."""
    places = when(of("neck_with_dumplings_on_the_side"))
    assert places["Dumplings and red cabbage"] == "beside"
    assert places["carrots"] == "sear"


def test_equal_shares_of_salt_and_pepper_are_a_rub() -> None:
    """A quarter of a cup of salt and pepper was poured into the pot, and the mustard with it."""
    done = of("plate_ribs_half_and_half")
    places = when(done)
    assert places["salt and coarse pepper"] == "season"
    assert places["yellow mustard or hot sauce"] == "season"
    # 203 °F is read inside the meat; the smoker is at 250 °F
    assert done.understood.cooking.temp_c == pytest.approx(121, abs=1)


def test_rolls_and_rocket_are_served() -> None:
    """They were simmered in the sauce."""
    done = of("pork_with_rolls_and_rocket")
    assert when(done)["bread rolls + rocket"] == "beside"
    meat = done.understood.ingredients[done.understood.meat_index or 0]
    assert "mine was" not in meat.line.aside
    wine = read_line("white wine, about a glass and a half")
    assert (wine.low, wine.unit) == (1.5, "glass")


def test_a_sauce_that_is_stirred_and_poured_over_is_not_fried() -> None:
    """A grated pear, onion and garlic were fried; "soaked in" was a food of its own."""
    places = when(of("short_ribs_in_a_stirred_sauce"))
    assert {places[name] for name in ("Asian pear", "onion", "garlic", "ginger")} == {"pot"}
    assert "soaked in" not in places


def test_checked_after_three_hours() -> None:
    """The half hour that is only given if need be was the whole time."""
    cooking = of("gas_grill_ribs_checked_after_three_hours").understood.cooking
    assert (cooking.low_s, cooking.high_s) == (3 * 3600.0, 3 * 3600.0)


def test_a_covered_grill_is_no_oven() -> None:
    """A sauce that simmers while the ribs cook made an oven of the grill."""
    cooking = of("country_ribs_over_a_drip_pan").understood.cooking
    assert (cooking.method, cooking.low_s) == ("grill", 5400.0)


def test_all_finely_chopped() -> None:
    (line,) = read_ingredients(("1 onion, 1 carrot, 1 celery stalk, all finely chopped",))
    assert [item.line.aside for item in foods_in(line)] == 3 * ["finely chopped"]


def test_pickle_chips_are_for_the_table() -> None:
    assert when(of("sandwiches_with_pickle_chips"))["Dill pickle chips"] == "beside"


@pytest.mark.parametrize(
    ("steps", "temp_c"),
    [
        ("Smoke at 250°F for 8 hours. Cook on to 203-205F, or till it probes soft.", 121),
        ("Heat the oven to 95 °C and leave the covered roast in it for 8 hours.", 95),
        ("Turn the oven down to 90°C. Cover and cook for 9 hours.", 90),
        ("Set the smoker to 225°F. Smoke for 6 hours, to 195°F.", 107),
        ("Smoke it fat side up at 250°F for 8 hours.", 121),
        ("Brown it in oil and roast it at 300°F for 4 hours, covered.", 149),
        ("Heat oil to 375°F and brown it. Cover and bake at 275°F for 4 hours.", 135),
    ],
)
def test_what_goes_to_a_heat(steps: str, temp_c: float) -> None:
    """An oven is set to it; what the meat comes to is read inside."""
    recipe = read(f"Supper\n\nIngredients\n2 kg brisket\n1 tbsp salt\n\nMethod\n{steps}\n")
    assert read_method(recipe).temp_c == pytest.approx(temp_c, abs=1)


def test_more_only_if_need_be() -> None:
    recipe = read(
        "Supper\n\nIngredients\n2 kg brisket\n500 ml stock\n\nMethod\nCover and bake at 150°C for"
        " 3 hours. If it is not tender, cook it another 30 minutes.\n"
    )
    assert read_method(recipe).high_s == 3 * 3600.0
    assert "mine" not in told(of("pork_with_rolls_and_rocket"))


def test_a_bbq_rub_is_a_part() -> None:
    """All spices were brushed on at the end, and "BBQ Rub" was a food."""
    places = when(of("oven_ribs_with_a_bbq_rub"))
    assert "BBQ Rub" not in places
    assert {places[name] for name in ("smoked paprika", "salt", "cayenne")} == {"season"}
    assert places["BBQ sauce"] == "finish"


def test_a_jerk_paste_is_a_part() -> None:
    """The paste lay on the meat as a food, and what it is ground of was in the liquid."""
    places = when(of("shoulder_with_jerk_paste"))
    assert "Jerk paste" not in places
    assert {places[name] for name in ("scotch bonnets", "ginger", "nutmeg")} == {"season"}
    assert places["Hot pepper sauce"] == "beside"


@pytest.mark.parametrize(
    ("lines", "is_food"),
    [
        ("BBQ rub\n1 cup apple juice\n1/2 cup honey\n1 onion", True),
        ("BBQ rub\n1 tbsp salt\n1 tbsp paprika\n1 tsp pepper", False),
        ("Red curry paste\n1 tbsp salt", True),
    ],
)
def test_a_rub_that_is_bought(lines: str, is_food: bool) -> None:
    recipe = read(
        f"Ribs\n\nIngredients\n2 racks baby back ribs\n{lines}\n\nMethod\nRub the ribs with the rub"
        " and bake them covered at 150°C for 3 hours.\n"
    )
    assert (lines.split("\n", 1)[0] in recipe.ingredients) is is_food


def test_a_dipping_sauce_is_for_the_table() -> None:
    """It was stirred into the juice of the pot."""
    done = of("lemongrass_ribs_and_a_dip")
    assert {line.when for line in done.lines if line.name in {"lime juice", "warm water"}} == {
        "beside"
    }


def test_the_last_of_several_on_a_line_stays() -> None:
    """Salsa, the last of a line that was taken apart, was a heading over the steps."""
    done = of("barbacoa_and_salsa")
    assert "salsa" in done.understood.recipe.ingredients
    assert when(done)["avocado leaves"] == "pot"


def test_rub_on_means_the_spices() -> None:
    """A quarter of a kilogram of paprika was in the liquid."""
    places = when(of("ribs_for_forty_rub_on"))
    assert {places[name] for name in ("paprika", "black pepper", "garlic granules")} == {"season"}


def test_poured_over_the_ribs_in_a_bag() -> None:
    done = of("flanken_in_a_zip_bag")
    soaks = "Marinate the meat in soy sauce, pineapple juice, mirin, sesame oil, garlic, and "
    assert f"{soaks}grated ginger, in the refrigerator, for 2–12\xa0h" in told(done)
    assert when(done)["garlic"] == "season"


def test_leeks_are_not_brushed_on() -> None:
    done = of("twice_cooked_with_leeks")
    assert when(done)["leeks"] == "after"
    assert "Stir-fry" not in told(done)


def test_what_you_will_do_is_a_heading() -> None:
    assert "What you" not in told(of("overnight_what_you_will_do"))


def test_a_finishing_sauce_and_a_spritz_are_parts() -> None:
    """Both belonged to the rub; "Finishing sauce (optional)" was a food."""
    done = of("pellet_butt_with_a_finishing_sauce")
    assert [part.name for part in done.understood.recipe.parts] == [
        "Pork", "Rub", "Spritz", "Finishing sauce (optional)",
    ]  # fmt: skip
    assert "apple juice" not in when(done)  # nothing is sprayed under a lid
    assert when(done)["cider vinegar"] == "beside"


def test_everything_but_several() -> None:
    """“Everything but the starch, oil, chilli and spring onion”: only the first was left out."""
    places = when(of("steamed_ribs_everything_but"))
    assert places["garlic"] == "season"
    assert (places["red chilli"], places["spring onion"]) == ("pot", "beside")


def test_a_robust_red_is_wine() -> None:
    """It lay on the meat, and mash on the side was a step."""
    places = when(of("short_ribs_and_a_robust_red"))
    assert (places["robust red"], places["Mash + buttered greens"]) == ("sear", "beside")


def test_ground_coriander_is_not_the_leaves() -> None:
    assert when(of("chilli_with_ground_coriander"))["ground coriander"] == "pot"


def test_burnt_ends_go_back_into_the_oven() -> None:
    """They were glazed in the open cooker, and stayed one piece."""
    done = of("burnt_ends_back_in_at_300")
    assert done.finish.kind == "broiler"
    assert "Cut the meat into cubes first" in told(done)


def test_the_juices_are_no_lime_juice() -> None:
    assert when(of("carnitas_and_their_juices"))["lime juice"] == "pot"


def test_an_eighth_of_a_teaspoon_stays_one() -> None:
    """It was doubled."""
    cayenne = next(
        line for line in of("brisket_with_an_eighth_of_cayenne").lines
        if line.name == "cayenne pepper"
    )  # fmt: skip
    assert cayenne.amount is not None
    assert amount_text(*cayenne.amount, cayenne.unit) == "⅛ tsp"


def test_water_of_a_slurry_is_not_brushed_on() -> None:
    """“Brush with water only once it is hot”: the slurry thickens what is brushed on."""
    done = of("honey_ribs_and_a_slurry")
    assert {line.when for line in done.lines if line.name == "water"} == {"pot", "after"}


def test_a_remark_in_brackets_is_no_step() -> None:
    done = of("band_hut_remark_in_brackets")
    assert not any("whole band" in step for step in done.understood.recipe.steps)
    assert "whole band" in done.understood.recipe.description


def test_uncovered_for_the_last_minutes_was_of_the_oven() -> None:
    assert "Uncover" not in told(of("smoked_then_braised"))


def test_toppings_that_no_step_names() -> None:
    """Cheese and soured cream were stirred into the juice."""
    done = of("shredded_beef_and_its_fixings")
    places = when(done)
    assert (places["cheese"], places["sour cream"]) == ("beside", "beside")


def test_one_food_below_on_the_day() -> None:
    """It was a step, and lost."""
    assert "7 Tbsp brown sugar" in of("sugar_on_the_day").understood.recipe.ingredients


@pytest.mark.parametrize(
    ("amount", "unit", "text"),
    [(0.75, "can", "¾ can"), (3, "drop", "3 drops"), (2, "pinch", "2 pinches"),
     (1.5, "glass", "1½ glasses"), (0.5, "bottle", "½ bottle"), (0.5, "tsp", "½ tsp")],
)  # fmt: skip
def test_amounts_as_they_are_said(amount: float, unit: str, text: str) -> None:
    assert amount_text(amount, amount, unit) == text


@pytest.mark.parametrize(
    ("steps", "method", "temp_c"),
    [
        ("On the pellet grill at 180 for 3 hours, then wrapped for 2 hours.", "smoker", 82),
        ("Into the oven at 240 for 6 hours, covered.", "oven_lid", 116),
        ("Into the oven at 210 for 1 hour, uncovered.", "oven_open", 210),
        ("Bake on a rack over a tray at 275°F for 3 hours, no foil.", "oven_open", 135),
        ("Cook on the barbecue, lid down, burners at one side on low, 2 hours.", "grill", None),
        ("Poach the brisket at a bare shiver for 3 hours.", "simmer", None),
    ],
)
def test_heats_and_ways_in_short(steps: str, method: str, temp_c: float | None) -> None:
    recipe = read(f"Supper\n\n2 kg brisket\n500 ml stock\n2 onions\n\nMethod\n{steps}\n")
    cooking = read_method(recipe)
    assert cooking.method == method
    assert cooking.temp_c == (None if temp_c is None else pytest.approx(temp_c, abs=1))


def test_an_oven_is_named_in_the_same_step() -> None:
    """“Backofen auf 150 Grad … 2 Stunden schmoren” was a pot on the stove, without a glaze."""
    done = of("rippchen_im_backofen")
    cooking = done.understood.cooking
    assert (cooking.method, cooking.temp_c) == ("oven_lid", 150)
    places = when(done)
    assert (places["Honig"], places["Ketchup"]) == ("finish", "finish")
    assert done.finish.kind == "broiler"


def test_from_midnight_to_noon() -> None:
    """The fire is lit at midnight, and the brisket goes on at once."""
    done = of("forum_from_midnight_to_noon")
    assert done.understood.cooking.high_s == 12 * 3600.0
    pepper = next(line for line in done.lines if line.name == "pepper")
    assert (pepper.unit, pepper.when) == ("cup", "season")


def test_a_rating_is_no_description() -> None:
    recipe = of("page_with_a_rating_of_five").understood.recipe
    assert "ratings" not in recipe.description
    assert not recipe.description.endswith("Oven")


def test_a_title_is_said_once() -> None:
    recipe = of("shoulder_with_front_matter").understood.recipe
    assert recipe.title == "Beer-Braised Pork Shoulder"
    assert "Beer-Braised" not in recipe.description


def test_butter_mashed_with_flour_is_two_foods() -> None:
    """“Thicken with mashed with stirred into cold water.”"""
    places = when(of("roast_and_a_butter_flour_paste"))
    assert "mashed with" not in places
    assert places["flour"] == "after"


def test_what_is_sprayed_or_stands_in_a_pan_of_water_is_no_liquid() -> None:
    done = of("electric_smoker_and_a_water_pan")
    assert not {"apple juice", "vinegar"} & set(when(done))
    assert "Take to 200" not in told(done)


def test_boiling_a_thin_gravy_is_no_main_heat() -> None:
    assert of("pot_roast_if_the_gravy_is_thin").understood.cooking.high_s == 3 * 3600.0


def test_water_is_slaked_with_starch_that_stands_apart() -> None:
    done = of("sweet_and_sour_slaked")
    assert ("¼ cup", "after") in [
        (amount_text(*line.amount, line.unit), line.when) for line in done.lines
        if line.name == "water" and line.amount is not None
    ]  # fmt: skip


def test_a_splash_is_not_halved() -> None:
    vinegar = [line for line in of("goulash_and_a_splash").lines if line.name == "vinegar"]
    assert [(line.when, line.unit) for line in vinegar] == [("pot", "splash")]


def test_a_whiskey_glaze_is_a_part_and_made_whole() -> None:
    """Its name was a food, its sugar in the juice, and how it is made broke off."""
    done = of("ribs_with_a_whiskey_glaze")
    places = when(done)
    assert "Whiskey glaze" not in places
    assert {places[name] for name in ("molasses", "brown sugar", "whiskey")} == {"finish"}
    assert "stir in the rest" in told(done)


def test_a_paste_that_is_ground_some_sentences_before() -> None:
    """Its seeds were in the liquid, its garlic was fried."""
    places = when(of("shoulder_with_a_ground_paste"))
    assert {places[name] for name in ("fennel seeds", "black peppercorns", "garlic")} == {"season"}
    assert places["fennel bulbs"] == "after"


def test_foil_with_butter_and_honey() -> None:
    places = when(of("ribs_foiled_with_honey"))
    assert (places["butter"], places["honey"]) == ("finish", "finish")


def test_no_meat_is_brushed_with_pastry() -> None:
    """And the oven in which pies are baked is no finish of the meat."""
    done = of("pie_filling_and_pastry")
    assert when(done)["puff pastry + 1 egg to glaze"] == "beside"
    assert done.finish.kind == "none"


def test_ribs_are_broiled_though_biscuits_are_served() -> None:
    recipe = read(
        "Ribs\n\nIngredients\n2 kg spare ribs\n250 ml sauce\n\nMethod\nCover and bake at 150°C"
        " for 3 hours. Brush with the sauce, broil 5 minutes and serve with biscuits.\n"
    )
    assert read_crust(recipe, read_method(recipe)).kind == "broiler"


def test_what_is_added_beside_the_marinade_was_not_in_it() -> None:
    done = of("adobo_and_its_marinade")
    assert {line.when for line in done.lines if line.name == "cane vinegar"} == {"pot", "after"}


def test_twelve_small_tacos_are_a_yield() -> None:
    """They lay on the meat."""
    recipe = of("twelve_small_tacos").understood.recipe
    assert recipe.yields == "12 small tacos"
    assert not any("small tacos" in line for line in recipe.ingredients)


def test_less_of_half_a_teaspoon_reads_as_less() -> None:
    """“½ tsp cayenne” was marked as changed, and read as before."""
    cayenne = next(
        line for line in of("oven_ribs_with_a_bbq_rub").lines if line.name == "cayenne"
    )  # fmt: skip
    assert cayenne.amount is not None
    assert amount_text(*cayenne.amount, cayenne.unit) == "¼ tsp"

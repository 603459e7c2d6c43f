"""Pages, cards and mails of the first snow; each went wrong at one place. Common practice."""

import pytest

from pneumachron.recipes.understanding.ingredients import UNKNOWN, food_of
from pneumachron.recipes.writing.day import extra_work
from tests.recipes.supper import made, read
from tests.recipes.test_usual_cards import of, when
from tests.text.words import sentence


def rows(name: str) -> tuple[str, ...]:
    return of(name).understood.recipe.ingredients


def test_what_it_is_cooked_with_is_no_food() -> None:
    """A kettle grill, charcoal and a drip pan were ingredients, and the charcoal paprika."""
    lines = rows("carolina_butt")
    assert lines[0] == "1 bone-in Boston butt, 7 1/2 lb"
    # meat on the same line stays
    kept = read("You need: foil, 2 racks pork ribs\n\nBake at 300 F for 2 hours.")
    assert any("ribs" in line for line in kept.ingredients)


def test_a_step_without_a_verb_of_cooking_is_a_step() -> None:
    """“Eat w/ tortillas, crema, cilantro.” was taken for food."""
    assert not any("Eat" in line for line in rows("chili_colorado"))


def test_a_sauce_between_commas_goes_in_with_the_ribs() -> None:
    """“Put ribs, sauce and water in a heavy pot” left the whole sauce for the end."""
    places = when(of("korean_forum"))
    assert {places["soy"], places["garlic"], places["black pepper"]} == {"pot"}


def test_a_gremolata_is_strewn_on() -> None:
    places = when(of("osso_style"))
    assert places["parsley leaves"] == places["lemon zest"] == "beside"


def test_what_seasons_a_late_sauce_goes_with_it() -> None:
    """“Stir barbecue sauce, preserves, mustard and hot sauce together”, after two hours."""
    places = when(of("party_ribs_bottle"))
    sauce = ("hickory barbecue sauce", "apricot preserves", "dry mustard", "hot sauce")
    assert {places[name] for name in sauce} == {"finish"}


def test_what_it_is_great_with_takes_no_time() -> None:
    """“Great with corn bread and potato salad!” was ten minutes of work while the cooker heats."""
    assert extra_work(of("party_ribs_bottle")) == ()


def test_a_paste_is_pounded_in_two_sentences() -> None:
    """“Grind the seeds. Add the garlic and pound to a paste. Rub this all over.”"""
    assert when(of("lamb_style_shoulder_slow"))["garlic"] == "season"
    assert when(of("tagine_ribs"))["garlic"] == "season"


def test_people_and_an_afternoon_are_no_food() -> None:
    assert rows("rendang_mail")[0].startswith("1.2 kg")


def test_ribs_that_are_weighed_in_words() -> None:
    """“4 bone plate rib, just shy of 6 lbs”: nothing lists them."""
    found = of("forum_beef_ribs").understood
    assert found.mass_kg == pytest.approx(6 * 0.45359237, rel=0.01)  # published: NIST
    assert of("ribs_coffee_de").understood.mass_kg == pytest.approx(1.6)  # “à ca. 400 g”


def test_smoking_in_german_is_smoking() -> None:
    assert of("ribs_beer_can_de").understood.cooking.method == "smoker"


def test_cubes_are_told_by_the_verb() -> None:
    """“Dice the meat about 3 cm” was a whole shoulder, with 85 minutes."""
    found = of("pörkölt")
    assert found.understood.thickness_m == pytest.approx(0.03)
    assert found.plan.hold_min < 40


def test_pickled_onions_are_a_part_where_others_are() -> None:
    places = when(of("bb_pork_sliders"))
    assert "Pickled onions" not in places
    assert {places["red onion"], places["vinegar"], places["sugar"]} == {"beside"}
    assert when(of("gochujang_pulled"))["Persian cucumbers"] == "beside"
    assert when(of("bossam"))["Korean radish"] == "beside"  # a kimchi


def test_foods_with_an_amount_are_bought_wherever_they_are_charred() -> None:
    """“Char 3 tomatoes … and 2 jalapeños in a dry skillet” lost the tomatoes."""
    lines = rows("brisket_tacos_question")
    assert "3 tomatoes" in lines
    assert "2 jalapeños" in lines


def test_mustard_that_is_whisked_into_a_liquid_is_no_binder() -> None:
    assert when(of("ham_hock_like"))["brown mustard"] == "pot"
    assert when(of("smitten"))["Dijon mustard"] == "pot"


def test_what_is_kept_back_of_a_marinade_is_brushed_on() -> None:
    """“Whizz everything except the ribs … Keep a third back”, “Reserve 2 tablespoons”."""
    for name, food in (("jerk_ribs_uk", "garlic"), ("char_siu_pro", "hoisin sauce")):
        done = of(name)
        places = [line.when for line in done.lines if line.name == food]
        assert places == ["season", "finish"], name


def test_a_card_in_two_columns_keeps_its_title() -> None:
    recipe = of("pork_stew_card").understood.recipe
    assert recipe.title == "Green Chile Stew"
    assert {"salt", "flour tortillas"} <= set(recipe.ingredients)


def test_a_covered_tray_before_the_grill_is_an_oven() -> None:
    assert of("oven_ribs_table").understood.cooking.method == "oven_lid"


def test_apples_that_braise_with_the_meat_stay_with_it() -> None:
    assert when(of("lancashire"))["cooking apples"] == "top"


def test_spices_of_the_onions_are_not_rubbed_on() -> None:
    """“Stir in the garlic and spices”: the cumin was rubbed on, the coriander was not."""
    places = when(of("pomegranate_ribs"))
    assert places["ground cumin"] == places["ground coriander"] == "pot"


def test_what_a_rub_holds_on_by_goes_on_first() -> None:
    places = when(of("smoked_plate"))
    assert places["Worcestershire sauce"] == "season"
    assert of("smoked_plate").understood.count == 3  # “1 rack (3-bone)”


@pytest.mark.parametrize(
    ("name", "kind"),
    [("balsamic", "acid"), ("long beans", "tender_veg"), ("Schweineschmalz", "fat")],
)
def test_foods_that_were_not_known(name: str, kind: str) -> None:
    assert food_of(name) is not UNKNOWN
    assert food_of(name).kind == kind


def test_headings_in_capitals_come_again_above_the_steps() -> None:
    """“SLAW AND ASSEMBLY”, and “Short ribs” above the steps, were foods."""
    places = when(of("bon_app"))
    assert "Short ribs" not in places
    assert places["celery root"] == places["lemon juice"] == "beside"


def test_what_pleases_about_a_recipe_is_no_food() -> None:
    assert not any("pot" in line for line in rows("weeknight_site"))


def test_meat_that_rests_in_foil_brushes_no_jelly_on() -> None:
    done = of("uk_slow_brisket")
    assert when(done)["redcurrant jelly"] == "after"
    assert done.finish.kind == "none"


def test_a_yield_by_weight_is_no_meat() -> None:
    assert rows("allrec")[0].startswith("3 pounds pork baby back ribs")


def test_the_broth_of_the_onions_makes_no_glaze() -> None:
    """“Whisk syrup and mustard; stir half into onions with the broth”, and brush with the rest."""
    places = when(of("maple_brisket"))
    assert {places["unsalted beef broth"], places["thyme"]} == {"pot"}


def test_a_list_behind_a_letter_is_taken_apart() -> None:
    """“(A) dashi 400ml / sake 100ml / mirin 3 tbsp …” kept its dashi alone."""
    assert {"sake 100ml", "mirin 3 tbsp", "soy sauce 4 tbsp"} <= set(rows("jp_kakuni_shoulder"))
    assert "servings" not in rows("jp_kakuni_shoulder")[0]  # “2 servings + leftovers”


def test_pink_onions_are_served() -> None:
    places = when(of("pibil"))
    assert places["red onions"] == places["habanero"] == "beside"


def test_wood_beside_a_heat_is_a_smoker() -> None:
    assert of("bbq_sundays").understood.cooking.method == "smoker"


def test_meat_that_tops_a_dish_is_not_bought_again() -> None:
    """“Spread tostadas with beans; top with pork, avocado and cheese”: two meats, and refused."""
    found = of("tinga").understood
    assert found.cut == "shoulder_boneless"
    assert not any("top with" in line for line in found.recipe.ingredients)


def test_a_marinade_for_cooked_ribs_is_a_glaze() -> None:
    """“Drain the ribs and turn them in it while hot”: soy and oil went into the pot."""
    places = when(of("swiss_kids"))
    assert {places["ketchup"], places["soy sauce"], places["sweet paprika"]} == {"finish"}
    assert "portions" not in rows("swiss_kids")[0]


def test_what_is_called_as_a_part_is_stays_a_food() -> None:
    """A heading that comes again stands above work; a slaw to serve is a slaw."""
    told = read(
        "Ribs\n\nFor the slaw:\n1 cabbage\n2 tbsp vinegar\n\n"
        "Ribs:\n2 racks back ribs\n2 tbsp rub\n\n"
        "To serve:\n8 buns\nslaw\nhot sauce\n\nRub the ribs, bake at 150 °C for 2 hours.\nServe.\n"
    )
    assert "slaw" in told.ingredients
    plain = read(
        "Sunday\n\nIngredients\nMeat:\nBrisket\nsalt\n2 tbsp pepper\n\nMethod\nBake for 3 hours.\n"
    )
    assert "Brisket" in plain.ingredients


def test_pounds_and_ounces_of_the_meat_stay_as_written() -> None:
    """“3 lb 2 oz baby back ribs” were 3 lb on the converted list."""
    done = made("Bake at 300 °F for 2 hours.", meat="3 lb 2 oz baby back ribs")
    assert done.lines[0].text(sentence) == "3 lb 2 oz baby back ribs"

"""Pages, cards and mails of a late autumn; each went wrong at one place. Common practice."""

import pytest

from pneumachron.recipes.converting.convert import convert
from pneumachron.recipes.converting.cures import is_cured
from pneumachron.recipes.errors import RecipeError
from pneumachron.recipes.understanding.foods_of_a_line import foods_in
from pneumachron.recipes.understanding.ingredients import (
    read_ingredients,
)
from pneumachron.recipes.understanding.understand import understand
from tests.recipes.supper import KITCHEN, read, told, understood
from tests.recipes.test_usual_cards import of, when


def test_seasoned_ribs_of_a_braise_get_salt_and_pepper() -> None:
    """“Season the ribs”, and cumin and ginger went on them instead of into the sauce."""
    places = when(of("short_ribs_with_prunes"))
    assert places["salt and freshly ground black pepper"] == "season"
    assert {places[name] for name in ("ground cumin", "ground ginger", "ground cinnamon")} == {
        "pot"
    }


def test_the_second_food_of_a_bare_line_is_kept() -> None:
    """“Carrots, potatoes if you want” lost its potatoes."""
    (line,) = read_ingredients(("carrots, potatoes if you want",))
    assert [food.line.name for food in foods_in(line)] == ["carrots", "potatoes"]
    done = of("brisket_as_it_was_on_the_card")
    assert "carrots and potatoes" in told(done)


def test_both_juices_go_into_the_pot() -> None:
    """Lime wedges at the table made the lime juice one more thing to serve, and lard a rub."""
    places = when(of("carnitas_under_the_broiler"))
    assert places["Lime wedges"] == "beside"
    assert places["orange juice"] == "pot"
    assert places["lime juice"] != "beside"
    assert places["lard or vegetable oil"] == "pot"


def test_a_sauce_from_a_pan_of_its_own_is_served() -> None:
    """Raw apples were stirred into the gravy."""
    done = of("pork_with_apple_sauce_of_its_own")
    places = when(done)
    assert {places[name] for name in ("cooking apples", "butter", "caster sugar")} == {"beside"}
    assert "put the apples in a small pan" in told(done)


def test_sesame_oil_finishes_a_sauce() -> None:
    """It was brushed on, because the next sentence glazes the ribs."""
    assert when(of("short_ribs_finished_with_sesame"))["sesame oil"] == "after"


def test_apples_mixed_with_kraut_stay_with_it() -> None:
    assert when(of("country_ribs_on_kraut"))["apple"] == "sear"


@pytest.mark.parametrize("name", ["Zwiebeln", "Möhren", "Knollensellerie"])
def test_german_steps_shorten_a_compound(name: str) -> None:
    """“Sellerie” is the Knollensellerie, and was boiled apart."""
    assert when(of("querrippe_in_rotwein"))[name] == "sear"


def test_sugar_is_strewn_on_and_not_brushed() -> None:
    assert "Strew turbinado sugar over it" in told(of("smoked_backs_with_a_mop"))


def test_hours_until_it_is_probe_tender() -> None:
    """From 10 pm to noon: two hours in a cooler were taken for the smoke."""
    cooking = of("butt_by_the_clock_of_a_forum").understood.cooking
    assert cooking.low_s == pytest.approx(14 * 3600)


def test_a_heading_of_sandwiches_is_nothing_to_serve() -> None:
    """“Serve with SANDWICHES”; and how they are pressed was lost."""
    done = of("mojo_sandwiches")
    assert "SANDWICHES" not in told(done)
    assert "press on a griddle" in told(done)
    assert "soft rolls" in told(done)


@pytest.mark.parametrize("name", ["cubes_in_a_caramel", "carnitas_under_the_broiler"])
def test_oil_of_a_braise_is_no_seasoning(name: str) -> None:
    season = {line.food.words for line in of(name).lines if line.when == "season"}
    assert not {words for words in season if words.endswith("oil")}


def test_what_is_shaken_in_the_bag_is_on_the_meat() -> None:
    assert when(of("short_ribs_shaken_in_a_bag"))["pepper"] == "season"


def test_a_paste_told_in_two_steps_is_rubbed_on() -> None:
    """Fennel and pepper went into the pot, and the zest of two lemons as their juice."""
    places = when(of("shoulder_with_a_fennel_paste"))
    names = ("fennel seed", "black peppercorns", "red-pepper flakes", "garlic", "rosemary leaves")
    assert {places[name] for name in names} == {"season"}
    lines = of("shoulder_with_a_fennel_paste").lines
    assert [line.when for line in lines if line.name == "lemon zest"] == ["season"]


def test_rib_ends_are_pieces() -> None:
    assert of("rib_ends_and_beans").understood.cut == "rib_pieces"


def test_steaks_of_the_shoulder_are_not_sliced() -> None:
    assert "Serve the pieces whole" in told(of("steaks_over_two_zones"))


def test_what_mine_came_to_is_the_weight_of_all() -> None:
    """“Each about the size of a fist (mine came to 4 lb 6 oz)” were ten kilos."""
    found = of("short_ribs_that_came_to_a_weight").understood
    assert found.mass_kg == pytest.approx(1.98, abs=0.01)
    assert found.count == 5


def test_garnishes_on_one_line_are_served() -> None:
    """Onion, oregano and limes of a garnish went into the pot."""
    done = of("stew_with_hominy")
    places = when(done)
    assert {places[name] for name in ("diced onion", "oregano", "limes")} == {"beside"}
    # the sauce is blended before it is stirred in, and called by its name
    said = told(done)
    assert said.index("soak the chiles") < said.index("Stir in chile sauce")


def test_a_log_by_the_hour() -> None:
    """“0900 trimmed, rubbed” was something to put in."""
    found = of("log_of_a_brisket_by_the_hour").understood
    assert not any("trimmed" in line for line in found.recipe.ingredients)
    assert (found.cooking.method, found.cooking.low_s) == ("smoker", 4.5 * 3600)


def test_hours_stay_figures_where_they_are_none() -> None:
    """“1500 ml stock” is no quarter of an hour past anything."""
    recipe = read(
        "Stew\n\nIngredients\n2 kg pork shoulder\n1200 ml stock\n1500 g potatoes\n2000 ml water\n"
        "\nMethod\nSimmer for 2 hours."
    )
    assert recipe.ingredients[1:] == ("1200 ml stock", "1500 g potatoes", "2000 ml water")


def test_a_british_grill_is_a_broiler() -> None:
    assert of("ribs_under_a_british_grill").finish.kind == "broiler"
    assert of("burnt_ends_in_a_foil_pan").finish.kind == "broiler"


def test_vegetables_roasted_in_the_fat_are_fried() -> None:
    """They had a run of their own; juniper and cloves of the same line were lost."""
    places = when(of("brisket_in_beer_translated"))
    assert {places[name] for name in ("carrot", "celeriac", "leek")} == {"sear"}
    assert {places[name] for name in ("juniper berry", "cloves")} == {"pot"}


def test_a_sauce_to_toss_in_is_no_gravy() -> None:
    assert when(of("rib_tips_fried_and_tossed"))["black vinegar"] == "finish"


def test_a_white_sauce_keeps_its_own_words() -> None:
    """Its flour thickened the juice, and its milk was stirred in."""
    done = of("collar_of_bacon_and_its_sauce")
    assert when(done)["milk"] == "beside"
    assert "Melt the butter, stir in flour" in told(done)
    assert done.understood.meat_index == 0
    assert is_cured(done.understood)


def test_a_letter_tells_its_meat_in_the_opening() -> None:
    """“Ok so for 1 kilo of pork …:” was a heading, and the recipe had no meat."""
    found = of("humba_in_a_letter").understood
    assert found.mass_kg == pytest.approx(1.0)


def test_hot_sauce_as_a_binder_is_not_all_of_the_rub() -> None:
    places = when(of("plate_rack_in_the_oven"))
    names = ("coarse black pepper", "kosher salt", "granulated garlic", "hot sauce")
    assert {places[name] for name in names} == {"season"}


def test_vegetables_that_are_strained_out_are_not_cooked_apart() -> None:
    """Carrot and celeriac under a roast are for its sauce; salt and garlic are for the meat."""
    places = when(of("schulter_mit_kruste"))
    assert {places[name] for name in ("Karotten", "Sellerieknolle")} == {"sear"}
    assert {places[name] for name in ("Knoblauch", "Salz und Pfeffer")} == {"season"}


def test_what_no_line_lists_is_still_served() -> None:
    """Tortillas, cilantro and lime stood in the last step alone, and were lost."""
    done = of("barbacoa_i_use")
    assert "Serve on warm corn tortillas" in told(done)
    assert any(line.name == "beef brisket" for line in done.lines)


def test_whisk_marinade_is_all_of_it() -> None:
    assert when(of("char_siu_whisk_marinade"))["garlic"] == "season"


def test_a_stew_that_thickens_uncovered_gets_no_crust() -> None:
    done = of("stew_with_stout")
    assert done.finish.kind == "none"
    assert when(done)["carrots"] == "sear"  # “add the lardons, shallots, carrots and celery”


def test_a_question_tells_the_meat_of_its_answer() -> None:
    """Ten pounds were a guess of three, and nothing was read of the answer."""
    found = of("question_about_a_packer").understood
    assert found.mass_kg == pytest.approx(4.54, abs=0.01)
    assert found.cooking.low_s == 36000  # an hour a pound
    assert len(found.ingredients) > 4


def test_ribs_cut_in_pieces_of_an_inch_and_a_half() -> None:
    assert of("spareribs_and_bitter_melon").understood.cut == "rib_pieces"


def test_from_start_to_finish_is_no_heat() -> None:
    """Three hours and a quarter were added to the oven's, and the rub was brushed on as a glaze."""
    done = of("st_louis_with_peach_glaze")
    assert done.understood.cooking.low_s == 2.5 * 3600
    places = when(done)
    names = ("black pepper", "brown sugar", "chili powder")
    assert {places[name] for name in names} == {"season"}
    assert places["peach preserves"] == "finish"


def test_so_much_each_in_the_middle_of_a_line() -> None:
    """Of six things on a line only the sugar was read."""
    (line,) = read_ingredients(
        ("2 tbsp brown sugar, 1 tbsp each paprika, salt, 2 tsp each cumin, mustard powder, pepper",)
    )
    told = [(food.line.name, food.line.amount, food.line.unit) for food in foods_in(line)]
    assert told == [
        ("brown sugar", 2.0, "tbsp"), ("paprika", 1.0, "tbsp"), ("salt", 1.0, "tbsp"),
        ("cumin", 2.0, "tsp"), ("mustard powder", 2.0, "tsp"), ("pepper", 2.0, "tsp"),
    ]  # fmt: skip


@pytest.mark.parametrize(
    "meat",
    [
        "1 (8-rib) pork loin roast, frenched, about 5 lb",
        "1 rack of pork, 2 kg",
        "2 pork tenderloins",
    ],
)
def test_a_lean_roast_is_not_cooked_as_ribs(meat: str) -> None:
    """A rack of the loin got the minutes of back ribs. It dries out long before it is tender."""
    with pytest.raises(RecipeError) as error:
        understood("Roast at 350°F for 1 1/2 hours.", meat=meat)
    assert error.value.code in {"out_of_scope", "no_cut"}


@pytest.mark.parametrize("meat", ["2 racks pork loin back ribs", "1 rack of pork ribs, 1.2 kg"])
def test_ribs_of_the_loin_are_ribs(meat: str) -> None:
    assert understood("Roast at 300°F for 2 hours.", meat=meat).cut == "back_ribs"


def test_the_yield_may_name_the_meat() -> None:
    recipe = read(
        "Dry ribs\n\nYield: 2 racks baby back ribs, about 4 lbs total\n\nIngredients\n"
        "1/4 cup paprika\n2 Tbsp salt\n\nMethod\nRub the ribs. Smoke at 250°F for 4 hours."
    )
    assert any("baby back ribs" in line for line in recipe.ingredients)


def test_an_hour_of_simmering_in_a_row_of_words() -> None:
    """“Brown, wine, passata, simmer 1 hour covered.”"""
    cooking = of("involtini_of_the_shoulder").understood.cooking
    assert (cooking.method, cooking.low_s) == ("simmer", 3600)


@pytest.mark.parametrize("said", ["red pepper flakes", "red-pepper flakes", "sea salt flakes"])
def test_flakes_of_a_spice_do_not_fall_apart(said: str) -> None:
    """“Add the pepper flakes” asked for meat that falls apart, and got more minutes."""
    assert understood(f"Add the {said}. Cover and simmer for 2 hours.").texture == (
        understood("Cover and simmer for 2 hours.").texture
    )
    assert "Slice" in told(of("shoulder_with_fennel_and_beans"))


def test_a_sticky_bit_is_brushed_on() -> None:
    places = when(of("ribs_and_the_sticky_bit"))
    assert {places[name] for name in ("ketchup", "dark soy", "smoked paprika")} == {"finish"}


def test_all_but_the_cheese_leaves_the_cheese_out() -> None:
    """Provolone went into the pot with everything else."""
    assert when(of("italian_beef_from_an_aunt"))["provolone"] == "beside"


def test_what_is_added_with_the_onion_is_fried() -> None:
    assert when(of("coffee_short_ribs"))["poblano"] == "sear"


def test_riblets_that_are_boiled_and_baked_get_a_crust() -> None:
    assert of("riblets_boiled_and_baked").finish.kind == "broiler"


def test_tomatoes_of_a_curry_are_no_marinade() -> None:
    """“Add the pork with all its marinade”, two sentences behind the tomatoes."""
    assert when(of("vindaloo_with_its_marinade"))["tomatoes"] == "top"


def test_flour_of_an_oven_bag_thickens_nothing() -> None:
    assert not any(line.food.words == "flour" for line in of("shoulder_in_an_oven_bag").lines)


def test_everything_else_is_a_heading() -> None:
    done = of("rendang_and_everything_else")
    assert not any("verything else" in line.name for line in done.lines)
    assert when(done)["desiccated coconut"] == "after"  # “stir in the kerisik”


def test_a_three_bone_plate_is_three_pieces() -> None:
    """It was cut into eleven."""
    assert of("three_bone_plate").understood.count == 3


def test_a_german_white_sauce_keeps_its_own_words() -> None:
    """Its butter, flour and milk became a gravy, and its broth was poured in with the meat."""
    done = of("rinderbrust_mit_meerrettich")
    assert {when(done)[name] for name in ("Butter", "Mehl", "Brühe", "Milch")} == {"beside"}
    assert "Butter in einem Topf zerlassen" in told(done)


def test_a_letter_with_hours_of_the_clock() -> None:
    """“Around 2 I put them on … bake at 275 till 5.”"""
    done = of("letter_with_hours_of_the_clock")
    assert done.understood.cooking.low_s == 3 * 3600
    assert done.finish.kind == "grill"


def test_sugar_that_is_added_behind_the_ribs_is_no_rub() -> None:
    done = of("kraut_and_a_can_of_beer")
    assert when(done)["packed light brown sugar"] not in {"season", "finish"}
    assert done.finish.kind == "none"


@pytest.mark.parametrize(
    ("name", "kind"), [("1/4 cup shallot", "aromatic"), ("2 cups diced tomato w/ juice", "thick")]
)
def test_one_of_a_food_is_known_as_well(name: str, kind: str) -> None:
    """Only “shallots” and “tomatoes” were: a diced tomato with juice was juice."""
    (line,) = read_ingredients((name,))
    assert line.kind == kind


def test_meat_seasoned_with_salt_gets_salt() -> None:
    """The oregano of the sauce was rubbed on as well."""
    places = when(of("tacos_with_a_quick_slaw"))
    assert (places["oregano"], places["maple syrup"]) == ("pot", "after")


def test_a_card_with_dashes_behind_its_labels() -> None:
    """“SAUCE -- 1/2 c soy, …” was lost, and the crock told no method."""
    done = of("korean_pork_on_a_card")
    assert {"soy", "gochujang", "ginger"} <= {line.name for line in done.lines}
    assert done.understood.cooking.method == "slow_low"


def test_a_list_in_one_sentence_is_parted() -> None:
    """The rub stood in the line of the meat."""
    done = of("butt_on_a_kettle_step_by_step")
    assert when(done)["your favourite rub"] == "season"
    assert done.finish.kind == "none"  # back onto the grill for hours is no crust


def test_what_is_discarded_is_not_stirred_in() -> None:
    """“Discard rosemary, bay and cinnamon” named them late."""
    places = when(of("brasato_and_its_marinade"))
    assert {places["bay leaves"], places["cinnamon stick"]} == {"pot"}


def test_roast_alone_on_a_line_is_a_heading() -> None:
    assert "Roast" not in of("collar_in_a_brine").understood.recipe.steps


def test_the_size_of_chunks_may_stand_behind_a_comma() -> None:
    """“Cut the pork into large chunks, about 6cm.”"""
    assert of("hand_of_pork_in_big_chunks").understood.thickness_m == pytest.approx(0.06)


def test_fillings_beside_tortillas_are_served() -> None:
    """Lettuce was simmered, and sour cream stirred in."""
    places = when(of("burritos_with_their_fillings"))
    names = ("tortillas", "cheese", "sour cream", "lettuce for burritos")
    assert {places[name] for name in names} == {"beside"}


def test_ribs_turned_in_a_syrup_are_glazed() -> None:
    done = of("short_ribs_turned_to_coat")
    assert done.finish.kind == "glaze"
    # what is boiled down makes no steam any more
    assert "pour in" in told(done)
    assert when(done)["ginger"] == "sear"  # “4 cm-piece ginger”


def test_oil_salt_and_pepper_are_three() -> None:
    assert {"olive oil", "salt", "pepper"} <= when(of("ribs_in_umido")).keys()


def test_serve_at_the_end_names_what_is_served() -> None:
    """“Serve: tacos, pickled onions, coriander”: the word itself was served with it."""
    done = of("carnitas_to_air_fry")
    assert not any("erve" in line.name for line in done.lines)
    assert when(done)["pickled onions"] == "beside"


def test_garlic_and_onion_powder_are_two_powders() -> None:
    (line,) = read_ingredients(("1 Tbsp each garlic + onion powder",))
    assert [food.line.name for food in foods_in(line)] == ["garlic powder", "onion powder"]


BOILED_AND_POURED = (
    "Ribs\n\nIngredients\n3 lb spare ribs\n\nFor the sauce\n1 cup stock\n1/2 cup soy sauce\n"
    "2 Tbsp brown sugar\n1 tsp ginger\n\nMethod\n"
    "Simmer the stock, soy, sugar and ginger in a small saucepan for 5 minutes. "
    "Pour over the ribs, cover and bake at 300 for 3 hours."
)


def test_a_sauce_from_a_pan_that_is_poured_over_is_what_the_meat_cooks_in() -> None:
    places = when(convert(understand(read(BOILED_AND_POURED)), KITCHEN))
    assert (places["soy sauce"], places["ginger"]) == ("pot", "pot")


@pytest.mark.parametrize(
    ("text", "first"),
    [
        ("Brisket\nBBQ sauce\nBeer\n", "Brisket"),  # no heading, though it stands alone
        ("parsley (fresh)\n2 lb brisket\n", "parsley (fresh)"),
    ],
)
def test_a_word_alone_stays_a_food(text: str, first: str) -> None:
    recipe = read(
        f"Supper\n\nIngredients\n{text}\nMethod\nCover and simmer with fresh thyme 3 hours."
    )
    assert recipe.ingredients[0] == first


def test_a_title_with_a_dash_stays_a_title() -> None:
    recipe = read("SMOKED BRISKET — Texas style\n\n5 lb brisket\n2 Tbsp salt\n\nSmoke for 8 hours.")
    assert recipe.title == "SMOKED BRISKET — Texas style"


def test_what_is_filled_and_baked_is_no_crust() -> None:
    found = understood(
        "Simmer the pork for 2 hours. Shred it.", "Fill the tortillas. Bake 20 min at 350.",
        more=("12 tortillas",),
    )  # fmt: skip
    assert found.crust.kind is None


def test_vegetables_that_are_lifted_out_are_served() -> None:
    found = understood(
        "Brown the pork. Add the carrots, cover and simmer for 2 hours.",
        "Lift out the meat and vegetables. Strain the juices and serve.",
        more=("4 carrots", "500 ml stock"),
    )  # fmt: skip
    assert when(convert(found, KITCHEN))["carrots"] == "own_run"


def test_brine_of_a_jar_cures_nothing() -> None:
    """“Pour in the brine” of the pepperoncini put them and the butter into a cure."""
    done = of("brisket_with_two_packets")
    assert not any(line.when == "cure" for line in done.lines)
    assert not is_cured(done.understood)


def test_what_is_topped_with_pastry_gets_no_crust() -> None:
    assert of("filling_of_a_pot_pie").finish.kind == "none"


def test_pan_juices_are_no_pan_to_fry_in() -> None:
    assert of("ribs_basted_with_pan_juices").finish.kind == "broiler"


def test_a_soft_fire_simmers() -> None:
    assert of("ribs_in_brown_beer_translated").understood.cooking.method == "simmer"

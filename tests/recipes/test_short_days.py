"""Texts of usual recipes, and ways to say a heat or a softness. Common practice."""

import pytest

from pneumachron.core.physics.tenderness import Texture
from pneumachron.recipes.converting.cures import cured_lines
from pneumachron.recipes.understanding.texture import read_texture
from pneumachron.recipes.understanding.understand import understand
from tests.recipes.supper import read, understood
from tests.recipes.test_usual_cards import of, when
from tests.text.words import words


@pytest.mark.parametrize(
    ("said", "celsius"),
    [
        ("Into a 150 oven for 4 hours.", 150),
        ("Lid on and into the oven at one-fifty for 4 hours.", 150),
        ("Pop into a low oven (about 150) for four hours.", 150),
        ("Four hours in the oven at 150 does it.", 150),
        ("Oven on 3 (gas), four hours, lid on.", 160),
        ("Bake 350 1 hr. then 300 3 hrs.", 149),
        ("Get your smoker up to temp (I like 265). Pork goes on for 9 hours.", 129),
        ("Two-zone fire in the kettle grill, keep it 250ish, 9 hours.", 121),
        ("Into a 250 oven. After 5 hours it'll be about 165. Another 5 hours.", 121),
        # the meat stalls at 160 °F, which is no heat of the smoker
        ("Hold the smoker at 235. When it stalls (about 160) wrap it. 9 hours in all.", 113),
    ],
)
def test_a_heat_in_few_words(said: str, celsius: float) -> None:
    assert understood(said).cooking.temp_c == pytest.approx(celsius, abs=1.0)


@pytest.mark.parametrize(
    ("said", "texture"),
    [
        ("Bake until the bones wiggle loose.", "falls"),
        ("Cook until the meat parts easily with a fork.", "falls"),
        ("Cook until it can be teased apart.", "falls"),
        ("Cook until the meat is nearly off the bone.", "falls"),
        ("Cook until soft and sticky.", "very"),
        ("Cook until a fork can be turned in the meat with ease.", "very"),
        ("It should be soft enough to eat with a fork alone.", "very"),
        ("Until you can put a spoon through it.", "very"),
        ("Until the pork is squidgy.", "very"),
        ("Cook until a chopstick goes through easily.", "tender"),
        ("Cook until the meat pulls back from the bone ends.", "tender"),
        ("Cook until the bones start to show.", "tender"),
        ("Cook until a skewer meets with little resistance.", "tender"),
        ("Cook until the meat loosens its grip on the bone.", "tender"),
        ("Cook it, but not so long that it falls apart.", "holds"),
        ("It comes off the bone with a light tug.", "holds"),
        ("So it will hold up on the grill.", "holds"),
        ("The ribs should be chewy.", "chewy"),
        ("Pull back the foil and cook on.", None),
    ],
)
def test_a_softness_in_few_words(said: str, texture: Texture | None) -> None:
    assert read_texture((said,)) == texture


def test_a_sauce_that_makes_two_cups_is_a_part() -> None:
    """Its cup of mustard and its vinegar were rubbed on."""
    places = when(of("butt_with_a_sauce_for_two_cups"))
    assert "Mustard sauce" not in places
    assert {places[name] for name in ("yellow mustard", "cider vinegar", "honey")} == {"after"}
    assert places["paprika"] == "season"


def test_pieces_of_so_many_grams_each_in_a_mail() -> None:
    """“Six big short ribs, about 400g each” were one of 400 g, and the wine was lost."""
    done = of("six_ribs_by_mail")
    assert done.understood.count == 6
    assert done.understood.mass_kg == pytest.approx(2.4)
    assert when(done)["red wine"] == "sear"
    assert when(done)["unsalted beef stock"] == "pot"


def test_a_rack_of_beef_plate_ribs_is_cut_between_its_bones() -> None:
    """It was read as eleven ribs of a usual size."""
    assert of("plate_ribs_of_three_bones").understood.count == 3
    two = understand(read("Ribs\n\n2 racks beef plate ribs, 10 lb\n1 onion\n\nBraise 4 hours."))
    assert two.count == 6


def test_short_words_of_cards() -> None:
    places = when(of("kraut_card"))
    assert places["S + P"] == "season"
    assert "large jar kraut" in places
    assert "dry onion soup mix" in when(of("brisket_with_two_envelopes"))
    assert any(step.kind == "sear" for step in of("kraut_card").steps)


def test_a_rub_for_so_much_meat_is_a_part() -> None:
    """“Rub (per 8 lb butt): 1/4 cup paprika, …” was lost, and only pepper was left."""
    places = when(of("butt_on_a_gas_grill"))
    rubbed = ("paprika", "brown sugar", "kosher salt", "chili powder", "cayenne")
    assert {places[name] for name in rubbed} == {"season"}


def test_lemons_in_slices_are_not_halved() -> None:
    """Half of the slices were stirred in at the end, as if they were juice."""
    lines = [line for line in of("shoulder_with_two_lemons").lines if line.name == "fresh lemon"]
    assert [line.when for line in lines] == ["pot"]


def test_a_plate_of_three_bones_is_meat() -> None:
    done = of("plate_ribs_in_a_barrel").understood
    assert done.cut == "short_ribs_english"
    assert done.count == 3
    assert done.mass_kg == pytest.approx(2.63, abs=0.01)


def test_the_step_says_what_the_meat_is_marinated_in() -> None:
    """It said “Marinate in the refrigerator”, and not in what."""
    told = " ".join(words(step) for step in of("char_siu_in_strips").steps)
    assert "Marinate the meat in soy sauce, Shaoxing, oyster sauce, five-spice, " in told
    assert "and garlic, in the refrigerator" in told  # the garlic was told one step before
    assert "garlic" not in words(of("char_siu_in_strips").steps[0])
    assert "Leave out hoisin and honey for now." in told


def test_the_last_of_a_list_loses_its_and() -> None:
    assert "lime" in when(of("green_chile_stew_in_parts"))


def test_wine_by_its_place_is_wine() -> None:
    """“Barolo or other full red”: half a liter of raw wine lay on top of the meat."""
    places = when(of("ribs_polenta_gremolata"))
    assert places["Barolo or other full red"] == "sear"
    # the polenta is a side of its own, and “all chopped together” is no food
    assert places["quick-cook polenta"] == "beside"
    assert not any("together" in name for name in places)


def test_a_stew_is_not_strained() -> None:
    """The onions and tomatoes of a chili were thrown away with “Strain the juice”."""
    chili = " ".join(words(step) for step in of("brisket_chili_and_toppings").steps)
    assert "Strain" not in chili
    assert "Let the fat rise and skim it." in chili
    smoked = " ".join(words(step) for step in of("three_two_one_with_a_wrap").steps)
    assert "Strain the juice" in smoked


def test_toppings_as_the_last_word() -> None:
    places = when(of("brisket_chili_and_toppings"))
    assert {places[name] for name in ("cheddar", "sour cream", "jalapeños")} == {"beside"}


def test_marinated_in_all_that_was_blended() -> None:
    """“Marinate the pork in that overnight” was lost, as a later sentence pours the marinade in."""
    done = of("cochinita_in_leaves")
    told = " ".join(words(step) for step in done.steps)
    assert "in the refrigerator, for 8–12\xa0h" in told
    assert "Marinate the meat in achiote paste, sour orange juice" in told
    # the pickled onions are no part of it
    assert when(done)["red onions"] == "beside"


def test_a_sauce_of_a_gallon_is_a_part() -> None:
    """“SAUCE 1 gal.: 6 c. cider vinegar, …” was read as a step, and all of it was lost."""
    done = of("butts_for_the_picnic")
    places = when(done)
    assert {places[name] for name in ("cider vinegar", "ketchup", "brown sugar")} == {"after"}
    # nor is a butt for a picnic a picnic shoulder
    assert done.understood.cut == "shoulder_bone_in"


def test_a_butt_is_named_a_picnic_only_by_itself() -> None:
    for title, cut in (
        ("Pulled picnic", "picnic_bone_in"),
        ("For the picnic", "shoulder_boneless"),
    ):
        found = understand(read(f"{title}\n\n4 lb pork butt\n1 onion\n\nBraise 4 hours."))
        assert found.cut == cut


def test_seasoned_all_over_with_what_stands_beside_the_salt() -> None:
    places = when(of("schulter_halb_englisch"))
    assert places["Pfeffer"] == places["Kümmel"] == "season"


def test_a_teaspoon_of_thyme_is_dried() -> None:
    steps = " ".join(words(step) for step in of("smothered_blade_steaks").steps)
    assert "Take out thyme" not in steps


def test_sauced_for_the_last_minutes_is_brushed_on() -> None:
    places = when(of("three_two_one_with_a_wrap"))
    assert places["your fav sauce"] == "finish"
    assert "honey" in places


def test_an_hour_for_burnt_ends_is_not_the_cook_time() -> None:
    assert of("brisket_and_its_burnt_ends").understood.cooking.low_s is None


def test_a_coleslaw_is_a_part_of_its_own() -> None:
    """Its mayonnaise was stirred into the juice of the pork."""
    places = when(of("sliders_and_their_coleslaw"))
    assert {places[name] for name in ("red cabbage", "carrot", "mayo", "lemon juice")} == {"beside"}


def test_butter_for_the_noodles_is_not_brushed_on() -> None:
    """A stroganoff went under the broiler."""
    done = of("short_rib_stroganoff")
    assert when(done)["butter"] == "beside"
    assert done.finish.kind == "none"


def test_two_thirds_of_a_sauce_go_into_the_pot() -> None:
    """All of it was left for after pressure; of minced garlic two foods were made."""
    places = when(of("galbi_jjim_in_cells"))
    assert places["soy sauce"] == places["garlic"] == "pot"
    assert "minced" not in " ".join(name for name in places if name.startswith("minced"))


def test_soft_at_a_heat_inside_is_more_than_sliced() -> None:
    assert of("brisket_tacos_chopped").understood.texture == "very"


def test_flour_that_is_mashed_with_butter() -> None:
    assert "flour" in when(of("cider_pot_roast_regulo"))


def test_the_vegetables_that_are_softened_first() -> None:
    """“Soften veg” names none of them, and “baby onions” at the end were taken for the onions."""
    places = when(of("stout_ribs_and_lardons"))
    assert places["onions"] == places["carrots"] == places["celery"] == "sear"
    assert places["baby onions"] == "after"


def test_a_glaze_that_is_simmered_in_a_pan_keeps_its_words() -> None:
    """The ribs were brushed with raw plums."""
    done = of("plum_ribs_on_a_barbecue")
    told = [words(step) for step in done.steps if step.kind == "own_words"]
    assert any(
        "Simmer 15 minutes until plums collapse. Blend until smooth." in text for text in told
    )
    assert done.finish.kind == "grill"


def test_a_rub_behind_the_meat_on_one_line() -> None:
    """“8 lb butt. mustard. rub = 1/2 c paprika, …”: all of the rub was lost."""
    done = of("butt_the_short_version")
    assert done.understood.mass_kg == pytest.approx(3.63, abs=0.01)
    assert done.understood.cooking.temp_c == pytest.approx(121, abs=1)
    places = when(done)
    rubbed = ("mustard", "paprika", "garlic powder", "onion powder", "cayenne")
    assert {places[name] for name in rubbed} == {"season"}


def test_foods_of_a_part_between_semicolons() -> None:
    """Of “For the stew: 3 lb brisket in cubes; 6 oz bacon, diced; …” only the meat was left."""
    done = of("burgundy_brisket_in_parts")
    places = when(done)
    assert places["unsalted beef stock"] == "pot"
    assert places["slab bacon"] == "sear"
    # what the meat lay among is not cooked to be eaten
    assert places["carrot"] == "sear"
    told = [words(step) for step in done.steps if step.kind == "own_words"]
    assert any("Saute the onions and mushrooms in the butter." in text for text in told)


def test_two_foods_as_the_last_sentence_are_for_the_table() -> None:
    places = when(of("brisket_in_that_order"))
    assert places["Hoagies"] == places["provolone"] == "beside"


def test_a_list_between_dashes_has_its_name() -> None:
    """“-- rub --” was a food, and half of the rub was stirred into the sauce."""
    done = of("firehouse_ribs_for_twelve")
    places = when(done)
    assert places["paprika"] == places["chili powder"] == "season"
    assert places["ketchup"] == places["hot sauce"] == "finish"


def test_four_ribs_of_so_many_grams_each_in_german() -> None:
    """“4 Short Ribs (à ca. 400 g)” weighed 400 g."""
    assert of("short_ribs_mit_rotwein").understood.mass_kg == pytest.approx(1.6)


def test_a_cure_of_five_days_is_no_seasoning() -> None:
    """“cure (5 days): 4 qts water, 1 c kosher salt, …”: the cup of salt was rubbed on after it."""
    lines = of("pastrami_short_ribs").lines
    cured = {line.name for line in lines if line.when == "cure"}
    assert cured >= {"kosher salt", "pink curing salt", "pickling spice"}
    assert "coriander seed" in {line.name for line in lines if line.when == "season"}


def test_more_salt_than_a_rub_has_is_never_seasoning_beside_a_cure() -> None:
    found = understood("Rinse off the cure. Braise for 4 hours.",
                       more=("300 g salt", "10 g pink curing salt"))  # fmt: skip
    assert 1 in cured_lines(found)
    assert 1 not in cured_lines(understood("Rub it. Braise for 4 hours.", more=("300 g salt",)))


def test_a_crust_of_salt_is_brushed_off() -> None:
    """A cup of salt stayed on the meat, and all of it would be in the juice."""
    done = of("big_easy_shoulder")
    season = " ".join(words(step) for step in done.steps if step.kind == "season")
    assert "in the refrigerator for 6\xa0h. Then brush off the salt" in season
    usual = of("butt_on_a_gas_grill")
    assert not any("brush off" in words(step) for step in usual.steps)


def test_a_night_in_the_rub_in_one_paragraph() -> None:
    done = of("butt_with_a_vinegar_mop")
    season = " ".join(words(step) for step in done.steps if step.kind == "season")
    assert "in the refrigerator for 8–12\xa0h" in season
    # what is browned and set aside rests in no refrigerator
    ribs = " ".join(words(step) for step in of("ribs_polenta_gremolata").steps)
    assert "refrigerator for" not in ribs


def test_cream_beside_a_tossed_pasta_goes_into_the_sauce() -> None:
    assert when(of("weeknight_pork_ragu"))["heavy cream"] == "after"


def test_what_is_poured_into_a_covered_pan_is_no_spritz() -> None:
    """A later sentence mops, and the cider was struck as what is sprayed on."""
    places = when(of("racks_for_saturday"))
    assert places["apple cider"] == places["cider vinegar"] == "pot"


def test_carrots_cut_in_half_do_not_cut_the_meat() -> None:
    assert of("brisket_from_the_parish").understood.count == 1


def test_the_heat_above_the_recipe_is_that_of_the_long_time() -> None:
    """“Oven: 300°F” stood above, and “uncover, turn oven to 425” was taken for it."""
    heat_c = of("roast_with_cider_gravy").understood.cooking.temp_c
    assert heat_c == pytest.approx(149, abs=1)
    later = understood("Cover and roast 4 hours. Then turn the oven up to 220 C for 20 minutes.")
    assert later.cooking.temp_c == pytest.approx(220)  # no other is told


def test_a_sauce_that_is_boiled_down_meanwhile_is_brushed_on() -> None:
    """“Boil all the sauce ingredients until reduced”, and no pan is named: it went into the pot."""
    done = of("huli_ribs_and_their_sauce")
    places = when(done)
    assert {places[name] for name in ("pineapple juice", "ketchup", "soy sauce")} == {"finish"}
    assert done.finish.kind == "grill"


def test_a_teaspoon_of_coriander_in_a_line_of_spices_is_ground() -> None:
    assert when(of("texas_chili_of_short_ribs"))["coriander"] == "pot"


def test_vinegar_in_short() -> None:
    assert when(of("shoulder_hot_and_fast"))["cider vin"] == "after"


def test_herbs_that_are_mixed_with_the_salt_are_rubbed_on() -> None:
    places = when(of("roast_with_cider_gravy"))
    assert places["chopped fresh thyme"] == places["chopped fresh sage"] == "season"


def test_rippchen_in_the_st_louis_cut() -> None:
    meat = "2 Leitern Schweinerippchen (St. Louis Cut, zusammen 2,8 kg)"
    found = understand(read(f"Rippchen\n\n{meat}\n4 EL Rub\n\n6 Stunden räuchern."))
    assert found.cut == "spare_ribs_trimmed"

"""Usual recipes of many parts, and where their sauces go. Common practice."""

import pytest

from pneumachron.recipes.converting.convert import convert
from pneumachron.recipes.understanding.durations import durations_in
from pneumachron.recipes.understanding.meat import thickness_in
from pneumachron.recipes.understanding.understand import understand
from tests.recipes.supper import KITCHEN, made, read, told
from tests.recipes.test_usual_cards import of, when
from tests.text.words import words


@pytest.mark.parametrize(
    ("voice", "foods", "place"),
    [
        # poured over the baked ribs and baked on: it was stirred into the juice
        ("spareribs_sauce_poured_over", ("honey", "soy sauce", "garlic"), "finish"),
        # half goes in and half is brushed on: the ribs were broiled bare
        ("ribs_of_four_things", ("barbecue sauce",), "finish"),
        # “PICKLED ONIONS” above its foods: they went into the cooker
        ("shoulder_in_leaves_with_pickles", ("large red onion", "lime juice"), "beside"),
        # “serve the rest at the table”: two cups of vinegar were stirred into the juice
        ("pulled_with_a_vinegar_table_sauce", ("cider vinegar", "ketchup"), "beside"),
        ("pulled_with_a_vinegar_table_sauce", ("turbinado sugar",), "season"),
        # the marinade goes back in: its vinegar was wiped off
        ("adobo_with_its_marinade_back", ("white vinegar", "soy sauce"), "pot"),
        # injected, and not cooked with; the vinegar is sprayed on
        ("kettle_shoulder_injected", ("apple juice",), "cure"),
        # the sugar that cures is brushed off with its salt; the other one goes under the broiler
        ("shoulder_in_sugar_and_salt", ("white sugar", "kosher salt"), "season"),
        ("shoulder_in_sugar_and_salt", ("brown sugar",), "finish"),
        ("shoulder_in_sugar_and_salt", ("thinly sliced scallions", "neutral oil"), "beside"),
        # “gold sauce” in small letters: a cup of mustard was rubbed on
        ("ribs_with_gold_sauce", ("honey", "cider vinegar", "hot sauce"), "finish"),
        ("short_ribs_with_risotto", ("arborio rice", "hot chicken stock", "saffron"), "beside"),
        ("pie_of_brisket_and_ale", ("block shortcrust pastry", "egg"), "beside"),
        ("neck_with_a_dash_before_each", ("cornflour",), "after"),
        ("blade_steaks_dredged", ("Seasoned salt and black pepper",), "season"),
        ("card_with_four_large_ribs", ("butter", "plain flour"), "after"),
        ("rendang_of_cubes_and_kerisik", ("shallots", "vegetable oil"), "sear"),
    ],
)
def test_where_it_goes(voice: str, foods: tuple[str, ...], place: str) -> None:
    places = when(of(voice))
    assert {food: places[food] for food in foods} == dict.fromkeys(foods, place)


@pytest.mark.parametrize(
    ("voice", "lost"),
    [
        ("carnitas_served_with", "Serve with"),
        ("carnitas_served_with", "Carnitas"),
        ("caption_with_pictures", "How to"),
        ("adobo_with_its_marinade_back", "peeled"),
        ("spares_and_their_own_rub_mopped", "the dry rub"),
        ("kettle_shoulder_injected", "cider vinegar"),
    ],
)
def test_what_is_no_food_of_the_meal(voice: str, lost: str) -> None:
    assert not any(lost in line.name for line in of(voice).lines)


def test_four_large_ones_are_four() -> None:
    """They were cooked as nine of a usual size."""
    assert of("card_with_four_large_ribs").understood.count == 4


def test_pieces_with_a_bone_are_pieces() -> None:
    """“Bone-in pork shoulder, cut into 3-inch pieces” was one joint, and took 95 minutes."""
    done = of("shoulder_in_leaves_with_pickles")
    assert done.understood.count > 2
    assert done.plan.hold_min < of("pulled_with_a_vinegar_table_sauce").plan.hold_min


def test_a_name_in_brackets_is_the_meat() -> None:
    """“Plat de côtes (short ribs)” became a word before the recipe, which was refused."""
    assert of("short_ribs_named_in_french").understood.cut == "short_ribs_english"


@pytest.mark.parametrize(
    ("voice", "finish"),
    [
        ("short_ribs_basted_sticky", "broiler"),  # “Remove foil. Bake, basting, until sticky.”
        ("collar_in_cola_with_treacle", "broiler"),  # roasted “until bubbling” is not boiled
        ("pie_of_brisket_and_ale", "none"),  # its oven bakes the pastry
    ],
)
def test_the_crust(voice: str, finish: str) -> None:
    assert of(voice).finish.kind == finish


def test_a_total_time_is_no_further_time() -> None:
    """“Total cook time will be about 6–7 hours” was added to the first three."""
    cooking = of("plate_ribs_with_a_total_time").understood.cooking
    assert (cooking.low_s, cooking.high_s) == (6 * 3600, 7 * 3600)
    # nor is what a sauce simmers meanwhile, or what a pie is baked
    assert of("ribs_in_ale_and_a_sauce").understood.cooking.high_s == 2.5 * 3600
    assert of("pie_of_brisket_and_ale").understood.cooking.high_s == 3 * 3600


@pytest.mark.parametrize(
    ("voice", "sears"),
    [
        ("brisket_on_browned_onions", False),  # “cook onions w/ butter in skillet till brown”
        ("brisket_coloured_with_beetroot", True),  # “colour the beef well on every side”
        ("brisket_charred_then_braised", True),
    ],
)
def test_the_meat_is_browned_where_the_recipe_does(voice: str, sears: bool) -> None:
    assert any(step.kind == "sear" for step in of(voice).steps) is sears


def test_steps_that_keep_their_words() -> None:
    injected = of("kettle_shoulder_injected")
    assert injected.steps[0].kind == "cure"
    assert "inject the pork" in words(injected.steps[0])
    assert "Set up a kettle" not in told(injected)
    assert "Whisk the vinegar sauce" in told(of("pulled_with_a_vinegar_table_sauce"))
    pie = [step.kind for step in of("pie_of_brisket_and_ale").steps]
    assert pie.index("own_words") > pie.index("sauce")
    assert "For the risotto" in told(of("short_ribs_with_risotto"))


@pytest.mark.parametrize(
    ("voice", "told_so"),
    [
        ("spareribs_sauce_poured_over", "Stir in the cornstarch slurry and cook until thick"),
        ("ribs_in_ale_and_a_sauce", "simmer all of the sauce ingredients in a saucepan"),
        ("ribs_with_gold_sauce", "whisk sauce in small pan, simmer 10 min"),
    ],
)
def test_a_glaze_in_a_pan_of_its_own_is_told_before_it_is_brushed_on(
    voice: str, told_so: str
) -> None:
    steps = of(voice).steps
    own = next(at for at, step in enumerate(steps) if told_so in words(step))
    assert own < [step.kind for step in steps].index("finish")


def test_slices_are_no_cubes() -> None:
    """Steaks of an inch and a half were twenty cubes; “1,5 cm” was read as 5 cm."""
    assert of("steaks_that_stay_whole").understood.count == 3
    german = of("ribs_dutch_de").understood
    assert german.thickness_m == pytest.approx(0.015)
    assert german.count == 13


def test_the_rest_of_the_butter_is_no_rest() -> None:
    """“Melt the rest of the butter … 15 minutes” kept the meat in the refrigerator."""
    assert "refrigerator" not in told(of("short_ribs_with_risotto"))


def test_a_marinade_names_its_own_foods_and_time() -> None:
    step = next(
        step for step in of("adobo_with_its_marinade_back").steps if step.kind == "marinate"
    )
    assert "brown sugar" not in words(step)
    french = of("short_ribs_named_in_french")
    assert "8–12\xa0h" in told(french)  # “one night”; it was the two minutes of the flour


def test_of_a_cup_to_dredge_in_four_spoons_thicken() -> None:
    done = of("blade_steaks_dredged")
    flour = next(line for line in done.lines if line.name == "flour")
    assert flour.amount == (0.25, 0.25)
    assert flour.unit == "cup"


def test_an_orange_that_is_fished_out_is_not_halved() -> None:
    steps = ("Squeeze the orange over, then drop the halves in. Cover and bake 3 hours.",)
    done = made(*steps, more=("1 orange, halved", "500 ml stock"))
    assert [line.when for line in done.lines if line.name == "orange"] == ["pot"]
    juiced = made("Cover and bake 3 hours.", more=("2 limes, juiced", "500 ml stock"))
    assert [line.when for line in juiced.lines if line.name == "limes"] == ["pot", "after"]


def test_praise_and_bare_brackets() -> None:
    text = "Ribs\n\n2 kg spare ribs\n2 carrots )\n1 onion ) sliced\n\nBraise 3 hours.\n"
    found = understand(read(f'{text}"The best!" — my aunt'))
    assert [item.line.name for item in found.ingredients[1:]] == ["carrots", "onion"]
    assert not any("aunt" in step for step in found.recipe.steps)


@pytest.mark.parametrize(
    ("voice", "foods", "place"),
    [
        # “Salmuera” below an empty line, and brushed on by a step: its water went into the cooker
        ("strips_with_salmuera", ("warm water", "garlic"), "finish"),
        # blended with the chiles: the tomatillos were left out for later
        ("chile_verde_from_a_pan", ("tomatillos",), "top"),
        ("tacos_with_chipotles", ("chopped green chiles",), "pot"),  # no powder of the rub
        ("ribs_for_a_pictured_four", ("garlic granules",), "season"),
        ("brisket_point_or_flat", ("mayonnaise", "Dijon"), "beside"),
        ("shoulder_in_buttermilk", ("buttermilk",), "cure"),
        ("shoulder_in_buttermilk", ("butter",), "after"),  # it stood among the brine
        ("kimchi_braise", ("aged kimchi",), "pot"),
        ("kimchi_braise", ("gochujang",), "after"),
        ("nachos_of_pulled_pork", ("shredded cheddar", "black beans"), "beside"),
        ("slab_with_chopped_rosemary", ("garlic", "rosemary leaves"), "season"),
        ("pot_roast_with_soup_mix", ("water",), "pot"),  # no water of a slurry
        ("pot_roast_with_soup_mix", ("cornstarch",), "after"),
        ("ribs_with_a_piece_of_ginger", ("ginger",), "sear"),
    ],
)
def test_where_it_goes_as_well(voice: str, foods: tuple[str, ...], place: str) -> None:
    places = when(of(voice))
    assert {food: places[food] for food in foods} == dict.fromkeys(foods, place)


def test_pieces_behind_a_comma_are_cubes() -> None:
    """“1.2 kg beef brisket, 4 cm pieces” was one piece, and took an hour."""
    done = of("stew_of_brisket_pieces")
    assert done.understood.count == 18
    assert done.plan.hold_min < 40


def test_point_or_flat_is_asked() -> None:
    """It was read as a whole brisket, for two hours."""
    done = of("brisket_point_or_flat")
    assert done.understood.cut == "brisket_flat"
    assert "cut" in {question.asked for question in done.understood.questions}


def test_what_stands_or_is_cooked_beside_is_no_time_of_the_meat() -> None:
    assert of("slab_with_chopped_rosemary").understood.cooking.high_s == 2 * 3600
    assert of("ribs_over_polenta").understood.cooking.high_s == 1.5 * 3600
    assert "Make the polenta" in told(of("ribs_over_polenta"))
    assert "Layer chips" in told(of("nachos_of_pulled_pork"))


def test_a_heading_in_capitals_is_not_shouted_in_a_step() -> None:
    assert "Serve with carolina vinegar sauce." in told(of("pulled_with_a_vinegar_table_sauce"))


def test_a_glaze_that_keeps_its_words_is_linked_to_them() -> None:
    marks = {mark.before[:9]: mark.rule for mark in of("ribs_in_ale_and_a_sauce").marks}
    assert marks["While the"] == "own_words"


def test_a_sauce_that_only_the_paragraph_of_the_heat_measures_is_told() -> None:
    """The heat of its paragraph was struck, and the cup of sauce with it."""
    done = made(
        "Wrap in foil, bake at 300 F for 2 hours. Brush with 1 cup bbq sauce, broil 4 minutes.",
        meat="2 racks baby back ribs, 2 lb each",
    )
    assert "Brush with 1 cup bbq sauce" in told(done)


def test_a_picture_of_people_says_for_how_many() -> None:
    assert of("ribs_for_a_pictured_four").plates == 4


def test_a_skin_to_crisp_is_crackling() -> None:
    assert "crackling" in of("rolled_shoulder_crisp_skin").understood.crust.characters


@pytest.mark.parametrize(
    ("voice", "foods", "place"),
    [
        ("letter_to_tom", ("crushed fennel seed",), "season"),  # told above the steps
        ("letter_to_tom", ("apple sauce", "potatoes"), "beside"),  # “we have it with”
        ("massaman_with_late_onion", ("onion",), "sear"),  # cooked on for an hour, and not raw
        # “pour sauce over”: all of it was stirred in at the end
        ("bulgogi_in_half_inch_slices", ("soy sauce", "garlic", "Asian pear"), "pot"),
        ("note_with_an_arrow", ("tom. paste",), "top"),
        ("shoulder_with_garlic_in_slits", ("garlic",), "season"),
        # “pour in the sauce”, and basted with it later: it was brushed on
        ("galbi_jjim_basted", ("soy sauce", "minced garlic", "sesame oil"), "pot"),
        ("pernil_of_a_mortar", ("garlic", "white vinegar"), "season"),
        ("brisket_with_peaches", ("dry mustard",), "pot"),  # whisked into the sauce
        ("shoulder_on_crushed_beans", ("cannellini beans", "lemon"), "beside"),
    ],
)
def test_where_it_goes_besides(voice: str, foods: tuple[str, ...], place: str) -> None:
    places = when(of(voice))
    assert {food: places[food] for food in foods} == dict.fromkeys(foods, place)


def test_half_of_a_german_marinade_is_brushed_on() -> None:
    lines = of("rippchen_mit_halber_marinade").lines
    for food in ("Honig", "Sojasauce", "Knoblauchzehen"):
        assert [line.when for line in lines if line.name == food] == ["season", "finish"]


def test_slices_on_the_line_of_the_meat() -> None:
    """“Into 1/2-inch slices” was one piece of three pounds, for an hour and a half."""
    done = of("bulgogi_in_half_inch_slices")
    assert done.understood.thickness_m == pytest.approx(0.0127)
    assert done.plan.hold_min < 30


def test_oil_the_ribs_is_work() -> None:
    """It was a second meat, and the recipe was asked about."""
    done = of("country_ribs_oiled")
    assert when(done)["olive oil"] == "season"
    assert "mustard for slather" in when(of("forum_from_midnight_to_noon"))


def test_what_is_fried_with_the_cooked_meat_keeps_its_words() -> None:
    assert "Fry the coconut slices until golden" in told(of("brisket_fried_at_the_end"))


def test_names_and_times_of_short_notes() -> None:
    assert of("note_with_an_arrow").understood.recipe.title == "Wine-braised brisket w/ shallots"
    thread = of("thread_for_one_rack")
    assert thread.plates is None  # “for 1 rack” is for nobody in particular
    assert thread.understood.mass_kg == pytest.approx(1.59, abs=0.01)
    assert of("massaman_with_late_onion").understood.cooking.high_s == 3 * 3600


def test_a_brine_is_what_was_dissolved_before() -> None:
    """Its salt was rubbed on, its sugar stirred into the juice, and its hours were smoked."""
    done = of("ribs_brined_then_glazed")
    assert {when(done)[food] for food in ("kosher salt", "brown sugar")} == {"cure"}
    assert done.understood.cooking.high_s == 4 * 3600
    assert words(done.steps[0]).startswith("Dissolve salt and sugar in the water. Brine the ribs")


def test_names_that_a_step_is_for() -> None:
    """“Pickled cucumber”, and “For pickled cucumber, combine …” in the steps."""
    places = when(of("sliders_with_pickled_cucumber"))
    assert {places[food] for food in ("Lebanese cucumbers", "caster sugar")} == {"beside"}
    assert places["rice wine vinegar"] == "pot"  # that of the pork, which stands first
    mopped = when(of("butts_with_a_gallon_of_mop"))
    assert not any("mop sauce" in name for name in mopped)
    assert mopped["cider vinegar"] == "after"  # “wet down with fresh mop”


def test_what_bakes_or_thickens_uncovered_is_no_crust() -> None:
    assert of("stew_with_cheddar_dumplings").finish.kind == "none"
    assert of("brisket_with_relish_gravy").finish.kind == "none"


@pytest.mark.parametrize("size", ["1-½ inch cubes", "1 ½ inch cubes", "1½-inch cubes"])
def test_a_size_with_its_fraction_apart(size: str) -> None:
    """“1-½ inch” was half an inch."""
    assert thickness_in(size) == pytest.approx(0.0381)


@pytest.mark.parametrize("time", ["2 & ½ hrs", "2-½ hours", "2½ hours"])
def test_a_time_with_its_fraction_apart(time: str) -> None:
    """“2 & ½ hrs” was half an hour."""
    assert [span.high_s for span in durations_in(f"Bake {time}.")] == [2.5 * 3600]


LISTED = """Grilled strips

Ingredients
2 kg beef short ribs
1 onion
Salmuera
1 cup warm water
2 tbsp salt
3 cloves garlic

Method
Braise the ribs for 3 hours at 150 C, covered. Brush with the salmuera and grill 5 minutes.
"""


def test_a_name_that_a_step_says_again_needs_no_empty_line() -> None:
    found = understand(read(LISTED))
    assert [(part.name, part.lines) for part in found.recipe.parts] == [("Salmuera", (2, 3, 4))]
    assert when(convert(found, KITCHEN))["warm water"] == "finish"


def test_a_brine_of_tea_is_no_marinade() -> None:
    """“Boil what is left of the marinade … before you use it as a sauce” was said of its brine."""
    kinds = [step.kind for step in of("ribs_in_a_tea_brine").steps]
    assert kinds[0] == "cure"
    assert "marinate" not in kinds


def test_potatoes_baked_on_top_are_a_dish_of_their_own() -> None:
    """Their butter was brushed on the meat, and their hour was cooked."""
    done = of("hotpot_under_potatoes")
    assert done.finish.kind == "none"
    assert done.understood.cooking.high_s == 2.5 * 3600
    assert "Layer the potatoes over the meat" in told(done)


def test_racks_by_their_name_and_weight_in_a_mail() -> None:
    """“Two St Louis racks, about 1.3 kg each” were back ribs of 1.3 kg."""
    found = of("mail_of_two_louis_racks").understood
    assert (found.cut, found.count) == ("spare_ribs_trimmed", 2)
    assert found.mass_kg == pytest.approx(2.6)

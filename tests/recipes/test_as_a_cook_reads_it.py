"""The whole steps of usual recipes, read as a cook would. Common practice."""

import pytest

from pneumachron.recipes.converting.convert import convert
from pneumachron.recipes.reading import read_recipe
from pneumachron.recipes.understanding.ingredients import read_ingredients
from pneumachron.recipes.understanding.measured import measured_in
from pneumachron.recipes.understanding.texture import read_texture
from pneumachron.recipes.understanding.understand import understand
from tests.recipes.supper import KITCHEN, made, read
from tests.recipes.test_usual_cards import of, when
from tests.text.words import words


@pytest.mark.parametrize(
    ("voice", "foods", "place"),
    [
        # poured over the cooked ribs and baked on: it was stirred into the juice
        ("country_ribs_sauce_baked_on", ("ketchup", "brown sugar", "hot sauce"), "finish"),
        ("island_ribs_sauce_poured", ("pineapple juice", "soy sauce", "cornstarch"), "finish"),
        # the ribs lie in it and cook in it: all of it was brushed on
        ("ribs_cola_marinade_boiled_down", ("dark soy sauce", "star anise"), "pot"),
        ("ribs_marinade_boiled_to_syrup", ("lemongrass", "fish sauce"), "pot"),
        ("short_ribs_pear_and_chestnuts", ("soy sauce", "Asian pear", "garlic"), "pot"),
        # the list measures what goes into the foil; it was struck with the spray
        ("babybacks_wrap_measured", ("apple juice",), "pot"),
        # “Serve … with cilantro and lime”: the juice was served beside
        ("brisket_tacos_pickled_onions", ("lime juice",), "after"),
        ("boiled_collar_two_pastes", ("instant coffee",), "pot"),
        # “season the pork with salt and pepper”, and the cumin is ground for the marinade
        ("vindaloo_ground_spices", ("mustard seeds", "cumin seeds"), "pot"),
        ("sunday_shoulder_crushed_pepper", ("crushed black peppercorns",), "season"),
        ("butt_with_two_headed_sauces", ("ketchup", "red pepper flakes"), "beside"),
        ("butt_with_two_headed_sauces", ("paprika", "cayenne"), "season"),
        ("short_ribs_or_cheeks", ("carrots",), "sear"),
        ("short_ribs_or_cheeks", ("mash",), "beside"),
        ("skin_on_shoulder_lime_paste", ("limes",), "season"),
        ("adobo_all_but_oil", ("oil",), "finish"),
        ("adobo_all_but_oil", ("white vinegar", "garlic"), "pot"),
        ("corned_with_horseradish_sauce", ("sour cream", "mustard"), "beside"),
        ("rib_tips_jelly_melted", ("apple jelly", "bbq sauce"), "finish"),
        ("pork_and_butter_beans", ("red peppers",), "sear"),
        ("tamarind_ribs_basted", ("runny honey", "tomato ketchup"), "finish"),
        ("shredded_brisket_second_pan", ("cumin", "tomato sauce", "capers"), "after"),
        ("cider_shoulder_late_apples", ("tart apples",), "after"),
        ("card_file_green_chile", ("tomatillos",), "top"),
        ("ribs_honey_basted_in_dish", ("honey",), "finish"),
        ("short_ribs_late_onions_covered", ("onions",), "sear"),
        ("tacos_lard_and_salsa", ("lard",), "pot"),
        ("brisket_chili_bell_pepper", ("red bell pepper",), "sear"),
        ("flat_with_mop_and_sauce", ("ketchup", "hot sauce"), "beside"),
        ("shoulder_rolled_with_zest", ("orange zest",), "season"),
        ("short_ribs_diced_on_one_line", ("onion", "carrot", "celery rib"), "sear"),
        ("shoulder_mustard_sauce_passed", ("yellow mustard", "honey"), "beside"),
        ("barbacoa_blended_by_a_range", ("chipotles", "garlic", "limes"), "pot"),
        ("short_ribs_parsnip_puree", ("parsnips", "whole milk"), "beside"),
        ("brisket_remaining_ingredients", ("thyme",), "pot"),
        ("rib_tacos_corn_salsa", ("red onion", "jalapeño", "cilantro"), "beside"),
        ("sauerbraten_gingersnaps_late", ("gingersnaps", "raisins"), "after"),
        ("ribs_broiled_first_and_poured_over", ("garlic", "grated ginger"), "pot"),
        ("pork_with_a_gremolata_line", ("whole tomatoes",), "top"),
        ("pulled_pork_sauce_of_its_own", ("gochujang", "cornstarch"), "beside"),
        ("brisket_in_a_bowl_for_the_kids", ("cranberry sauce", "chili sauce"), "after"),
        ("brined_shoulder_and_greens", ("butter", "shallot", "vinegar"), "beside"),
        ("nacken_mit_der_mischung", ("Paprikapulver", "Kreuzkümmel", "Pfeffer"), "season"),
        ("riblets_sticky_in_their_sauce", ("brown sugar", "ketchup"), "finish"),
        ("spareribs_marinade_and_plum_glaze", ("five-spice powder",), "pot"),
        ("shoulder_maple_mustard_reserved", ("maple syrup", "grainy mustard"), "season"),
        # “tip everything into a casserole” is not about what stands on the table
        ("brisket_point_and_pineapple", ("white onion", "coriander", "lime"), "beside"),
    ],
)
def test_where_it_goes(voice: str, foods: tuple[str, ...], place: str) -> None:
    places = when(of(voice))
    assert {food: places[food] for food in foods} == dict.fromkeys(foods, place)


@pytest.mark.parametrize(
    ("voice", "said"),
    [
        ("vindaloo_ground_spices", "Marinate the meat in dried Kashmiri chillies, cumin seeds, "),
        ("dry_ribs_reserved_rub", "Sprinkle heavily with reserved rub"),
        ("skin_on_shoulder_lime_paste", "in the refrigerator for 24–72\xa0h"),
        ("brisket_nachos_grilled", "Layer chips, brisket, beans, cheese and jalapeños on a tray."),
        ("shredded_brisket_second_pan", "In a big skillet heat oil."),
        ("mail_big_racks_and_a_rub", "slather with your sauce"),
        ("country_ribs_sauce_baked_on", "combine sauce ingredients in a small saucepan. Bring to"),
        ("island_ribs_sauce_poured", "Cook and stir until thick. Stir in the green pepper."),
        ("ribs_glaze_begun_with_butter", "Melt butter in a saucepan over medium heat. Add shallot"),
        ("short_ribs_parsnip_puree", "Make the purée: Simmer parsnips in milk"),
        ("rib_tacos_corn_salsa", "chop onion, jalapeño, cilantro, toss w/ corn"),
        ("hand_studded_with_cloves", "score the fat in diamonds and stud with cloves."),
        ("kraut_and_apples_in_layers", "Serve w/ mashed potatoes & rye bread."),
        ("barbacoa_soaked_and_blended", "cover with hot water 15 minutes, drain. Blend with"),
        ("sauerbraten_gingersnaps_late", "Boil marinade ingredients 5 minutes"),
        ("ribs_basted_with_the_rest", "Place ribs in a large zip-top bag with the marinade"),
        ("allotment_pork_and_baps", "Serve with floury baps"),
        ("tacos_page_all_of_it", "Serve with Slaw and Tortillas, cotija and cilantro."),
        # what is raw is simmered in, and not stirred in
        ("sweet_and_sour_1968", "Add green pepper and onion and simmer until tender"),
    ],
)
def test_what_the_steps_tell(voice: str, said: str) -> None:
    assert said in " ".join(words(step) for step in of(voice).steps)


@pytest.mark.parametrize(
    ("voice", "silent"),
    [
        # nothing marinates before the pot what is brushed on at the grill
        ("ribs_boiled_then_marinated", "Marinate"),
        ("short_ribs_shaken_in_flour", "shake to coat"),
        ("short_ribs_shaken_in_flour", "combine remaining ingredients"),
        ("brisket_gravy_of_brown_onions", "caramel"),
        ("rendang_coated_with_paste", "Marinate"),
        # a marinade is told once, by the step that leaves out what scorches
        ("spareribs_marinade_and_plum_glaze", "Whisk marinade ingredients"),
        ("cider_shoulder_three_devices", "slow cooker, low 8 hours"),
        ("ribs_broiled_first_and_poured_over", "Soften garlic"),
        ("short_ribs_strained_with_mushrooms", "Crisp it in a hot pan"),
        ("cider_pork_apples_uncovered", "under the broiler"),
    ],
)
def test_what_they_do_not_tell(voice: str, silent: str) -> None:
    assert silent not in " ".join(words(step) for step in of(voice).steps)


def test_of_several_devices_the_pressure_cooker_is_the_first() -> None:
    """“Slow cooker: put everything in …” put the salt in after pressure."""
    done = of("cider_shoulder_three_devices")
    assert done.understood.pressure is not None
    assert (done.understood.pressure.hold_min, done.understood.count) == (60, 4)
    assert when(done)["salt"] == "season"


def test_meat_under_potatoes_cooks_with_them() -> None:
    """No time was read of “Arrange the potatoes over the top … bake for 1 hour 15 mins”."""
    cooking = of("rib_hotpot_under_potatoes").understood.cooking
    assert (cooking.method, cooking.low_s) == ("oven_lid", 105 * 60)


@pytest.mark.parametrize(
    ("voice", "texture"),
    [
        ("shoulder_stands_before_slicing", "tender"),
        ("chopped_brisket_on_buns", "falls"),
        # “let it sit or it'll fall to pieces, slice”: it was to be pulled
        ("brisket_in_a_bowl_for_the_kids", "very"),
    ],
)
def test_how_soft(voice: str, texture: str) -> None:
    assert of(voice).understood.texture == texture


@pytest.mark.parametrize(
    ("voice", "plates"),
    [
        ("ribs_a_slab_feeds", 5),
        ("card_file_green_chile", 8),
        ("short_ribs_two_meals_for_four", 8),
    ],
)
def test_for_how_many(voice: str, plates: float) -> None:
    assert of(voice).plates == plates


@pytest.mark.parametrize(
    ("line", "name", "food"),
    [
        # the meat was called “bone-in” in every list and step
        ("1 bone-in, skin-on pork shoulder (picnic), 8 lb", "bone-in, skin-on pork shoulder", ""),
        ("2 medium, yellow onions, sliced", "medium, yellow onions", "onions"),
        ("1 (14 oz) can whole tomatoes with juice", "whole tomatoes", "tomatoes"),
        ("3 chipotles from a can + 1 tbsp of the sauce", "chipotles", "chipotle"),
        ("enough stock to come a third of the way up", "stock", "stock"),
        ("1 lb tomatillos -- husked, quartered", "tomatillos", "tomatillos"),
        ("zest of 2 oranges", "orange zest", "orange zest"),
        ("4 sprigs thyme, 2 sprigs rosemary, tied", "4 sprigs thyme, 2 sprigs rosemary",
         "herb sachet"),
        ("1 tbsp salt/pepper/garlic", "salt/pepper/garlic", "spg"),
        ("1/4 t red pepper", "red pepper", "crushed red pepper"),
        ("1 tsp cayenne if the kids aren't eating", "cayenne", "cayenne"),
    ],
)  # fmt: skip
def test_what_a_line_names(line: str, name: str, food: str) -> None:
    item = read_ingredients((line,))[0]
    assert item.line.name == name
    assert item.food.words == food or (not food and item.kind == "meat")


def test_a_card_with_broken_lines_is_joined() -> None:
    steps = of("kraut_card_broken_lines").understood.recipe.steps
    assert len(steps) == 1
    assert "lay ribs on top, cover with rest of kraut." in steps[0]


def test_a_little_late_wine_seasons_and_much_is_boiled_down() -> None:
    for much, place in (("2 tbsp mirin", "after"), ("200 ml mirin", "sear")):
        done = made("Simmer the pork in the stock for 2 hours. Season with the mirin.",
                    more=("1 l stock", much))  # fmt: skip
        assert when(done)["mirin"] == place


def test_a_rub_keeps_the_salt_that_the_marinade_has_too() -> None:
    text = (
        "Ribs\n\nRub\n1 tbsp salt\n1 tsp paprika\n\nMarinade\n1 cup soy sauce\n4 cloves garlic\n"
        "1 tsp salt\n\n2 kg pork ribs\n\nRub the ribs with the rub.\nMix the marinade. Marinate "
        "the ribs in it overnight in the refrigerator.\nGrill over indirect heat for 2 hours."
    )
    done = convert(understand(read(text)), KITCHEN)
    told = {step.kind: words(step) for step in done.steps}
    assert "salt and paprika" in told["season"]
    assert "garlic" in told["marinate"]


def test_cans_and_packets_are_measures_too() -> None:
    """“1 pkt onion soup, 1 can cream of mushroom -> mix” on a note was lost without a word."""
    told = [each.text for each in measured_in("1 pkt onion soup, 1 can cream of mushroom -> mix")]
    assert told == ["1 pkt onion soup", "1 can cream of mushroom"]


def test_a_wait_under_the_rub_is_no_heat() -> None:
    """“Set aside for 30 minutes” made 5½ hours in the oven of five."""
    done = made(
        "Rub the pork with the salt and set aside for 30 minutes. Roast at 150 C for 5 hours."
    )
    assert done.understood.cooking.low_s == 5 * 3600


@pytest.mark.parametrize(
    ("said", "heat_c"),
    [
        ("Oven temperature: 275. Roast the pork for 4 hours.", 135),
        ("Overnight in the oven at 200 degrees, lid on, 8 hours.", 93),
        ("Set the oven at 200. Leave the pork in it for 12 hours.", 93),
    ],
)
def test_heats_as_they_are_typed(said: str, heat_c: float) -> None:
    cooking = made(said).understood.cooking
    assert cooking.temp_c == pytest.approx(heat_c, abs=0.6)
    assert cooking.low_s is not None


def test_a_ring_above_is_a_degree_sign() -> None:
    text = (
        "Supper\n\nIngredients\n2 kg pork shoulder\n\nMethod\nRoast it, covered, at 275˚ for 4 h."
    )
    assert understand(read_recipe(text).recipe).cooking.temp_c == pytest.approx(135.0)


@pytest.mark.parametrize(
    ("said", "texture"),
    [
        ("A bite leaves teeth marks and the rest stays put.", "holds"),
        ("Done when a toothpick goes in; they should not fall off the bone.", "holds"),
        ("Cook until it flops apart when you press it.", "falls"),
        ("Remove and chop finely. Pile on buns.", "falls"),
        ("Cook until it yields to the spoon.", "very"),
    ],
)
def test_softness_as_it_is_told(said: str, texture: str) -> None:
    assert read_texture((said,)) == texture

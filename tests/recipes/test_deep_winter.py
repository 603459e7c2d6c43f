"""Fifty more texts of usual recipes; each went wrong at one place. Common practice."""

import pytest

from pneumachron.recipes.converting.convert import Converted
from pneumachron.recipes.understanding.understand import understand
from tests.recipes.supper import read
from tests.recipes.test_usual_cards import of, when
from tests.text.words import words


def own_words(done: Converted) -> str:
    return " ".join(words(step) for step in done.steps if step.kind == "own_words")


def test_a_sauce_that_is_blended_and_poured_over_the_ribs_cooks_with_them() -> None:
    places = when(of("galbi_with_chestnuts"))
    assert {places[name] for name in ("soy sauce", "onion", "garlic", "ginger")} == {"pot"}
    # what the ribs only soak in is not poured into the cooker
    assert "Water for soaking" not in places
    assert places["dried shiitake"] == "pot"


def test_a_mop_that_the_pulled_meat_is_mixed_with_is_kept() -> None:
    places = when(of("butt_with_a_vinegar_mop"))
    assert places["cider vinegar"] == places["red pepper flakes"] == "after"


def test_a_paste_that_the_slits_are_stuffed_with_is_rubbed_on() -> None:
    places = when(of("pernil_under_its_skin"))
    pasted = ("garlic", "kosher salt", "dried oregano", "olive oil", "white vinegar", "sazon")
    assert {places[name] for name in pasted} == {"season"}


@pytest.mark.parametrize(
    ("text", "fat"),
    [("carnitas_with_orange_halves", "lard"), ("brisket_with_pepperoncini", "butter")],
)
def test_fat_that_is_laid_on_top_cooks_along(text: str, fat: str) -> None:
    assert when(of(text))[fat] == "pot"


def test_what_it_is_served_with_is_told_though_no_line_has_it() -> None:
    """“Slice, and serve with mash and buttered cabbage” was lost in our own step."""
    assert "mash and buttered cabbage" in own_words(of("brisket_in_columns"))
    assert "over mashed potatoes" in own_words(of("cold_sunday_short_ribs"))
    # what a line has is told by our step, and not twice
    assert "scallions" not in own_words(of("country_adobo"))


def test_red_pepper_is_no_black_pepper() -> None:
    """“Rub with Italian seasoning, salt, and red pepper” seasoned with a pepper of its own."""
    done = of("italian_beef_page")
    assert when(done)["crushed red pepper"] == "season"
    season = " ".join(words(step) for step in done.steps if step.kind == "season")
    assert "and pepper" not in season


@pytest.mark.parametrize(
    ("text", "pieces", "thickness_m"),
    [
        # “Fleisch in 3 cm große Würfel schneiden”, and a joint of 1.5 kg was cooked for 90 min
        ("gulasch_bei_oma", 53, 0.03),
        ("tinga_of_two_pots", 3, 0.08),  # “in fist-size pieces”
        ("daube", 7, 0.06),  # “brisket, in 6 cm pieces”
    ],
)
def test_pieces_of_a_size(text: str, pieces: int, thickness_m: float) -> None:
    found = of(text).understood
    assert found.count == pieces
    assert found.thickness_m == pytest.approx(thickness_m)


@pytest.mark.parametrize(
    ("told", "pieces"),
    [
        ("Schweinefleisch in ca. 4 cm große Stücke schneiden.", 15),
        ("Fleisch in mundgerechte Würfel schneiden.", 10),
        ("Kartoffeln in 2 cm große Würfel schneiden.", 1),
    ],
)
def test_only_the_meat_is_cubed(told: str, pieces: int) -> None:
    recipe = read(
        "Gulasch\n\nZutaten\n1 kg Schweineschulter\n500 g Kartoffeln\n500 ml Brühe\n\nZubereitung\n"
        f"{told}\nIn der Brühe zugedeckt 1 Stunde schmoren.\n"
    )
    assert understand(recipe).count == pieces


def test_a_capital_word_before_an_amount_names_the_part() -> None:
    """“SAUCE 1 btl catsup (14oz)”: the sauce was a food, and its vinegar went under the lid."""
    done = of("aunt_s_card")
    places = when(done)
    assert {places[name] for name in ("catsup", "vinegar", "onion", "lemon")} == {"finish"}


def test_names_below_an_empty_line_are_no_food() -> None:
    lines = of("red_pozole_blocks").understood.recipe.ingredients
    assert not {"Soup", "Red chile"} & set(lines)
    # one such line alone may be a food
    assert "Parsley" in read("Ribs\n\n2 racks ribs\n\nParsley\n1 onion\n2 carrots\n").ingredients


def test_slanted_words_above_a_list_name_the_part() -> None:
    """The sugar of the rub and that of the sauce changed places."""
    places = when(of("coffee_shoulder_page"))
    assert "Cherry sauce" not in places
    assert places["sugar"] == "after"


def test_what_is_fried_for_the_sauce_is_no_crust_of_the_meat() -> None:
    assert of("tinga_of_two_pots").finish.kind == "none"


def test_roots_of_a_strained_marinade_are_not_cooked_apart() -> None:
    assert when(of("sauerbraten_brisket"))["carrots"] == "sear"


def test_what_is_done_with_water_is_not_its_name() -> None:
    assert "a cup of water" in of("church_supper").understood.recipe.ingredients


def test_kosher_alone_is_salt() -> None:
    assert when(of("forum_321"))["kosher"] == "season"


def test_a_joint_that_is_only_called_by_its_cut_is_weighed() -> None:
    """“Collar, 2.2 kg, tied” became the description, and 1.5 kg was guessed."""
    done = of("stout_collar")
    assert done.understood.mass_kg == pytest.approx(2.2)
    places = when(done)
    # “Finish: 60 g honey …”, “warm the finish in a small pan, brush over, oven 220 °C”
    assert places["honey"] == places["butter"] == "finish"
    assert done.finish.kind == "broiler"


def test_roots_on_a_line_with_others_are_strained_out_with_them() -> None:
    """“2 leeks, 3 carrots, 1 parsnip”, “strained, defatted”."""
    places = when(of("short_ribs_with_jelly"))
    assert places["carrots"] == places["parsnip"] == "sear"


def test_a_rempah_that_is_fried_is_no_marinade() -> None:
    assert when(of("rendang_short_ribs"))["candlenuts or macadamias"] == "top"


def test_unsalted_takes_the_place_of_low_salt() -> None:
    assert "unsalted beef stock" in when(of("cold_sunday_short_ribs"))


def test_everything_in_the_pot_is_all_of_it() -> None:
    """“Everything in the pot … toss orange & onion”: a raw onion was stirred in at the end."""
    assert when(of("carnitas_of_a_thread"))["onion"] == "pot"
    assert when(of("dorm_rice_cooker"))["water"] == "pot"


def test_herbs_and_counted_cloves_are_several_things() -> None:
    """“Rosemary, sage, 2 cloves” were rosemary."""
    places = when(of("stracotto"))
    assert places["rosemary"] == places["sage"] == places["cloves"] == "pot"

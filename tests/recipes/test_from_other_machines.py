"""What scanners, chats, threads, cards of meal kits and freezer bags make of a recipe.

Numbers are read off the texts; where things go is common practice.
"""

from pathlib import Path

import pytest

from pneumachron.recipes.converting.convert import Converted, convert
from pneumachron.recipes.reading.numbering import without_letters, without_thread_numbers
from pneumachron.recipes.reading.scanned import with_letters_right
from pneumachron.recipes.reading.scattered import with_foods_apart, with_one_amount
from pneumachron.recipes.understanding.durations import durations_in
from pneumachron.recipes.understanding.understand import Understood, understand
from tests.recipes.supper import KITCHEN, read, told, went

VOICES = Path(__file__).parent / "voices"


def known(name: str) -> Understood:
    return understand(read((VOICES / f"{name}.txt").read_text(encoding="utf-8")))


def of(name: str) -> Converted:
    return convert(known(name), KITCHEN)


def when(done: Converted, words: str) -> list[str]:
    rows = done.understood.recipe.ingredients
    return went(done, next(at for at, line in enumerate(rows) if words in line))


@pytest.mark.parametrize(
    ("scanned", "printed"),
    [
        ("3 Ib. beef brisket", "3 lb. beef brisket"),
        ("2Ibs ribs", "2lbs ribs"),
        ("l Tbsp. salt", "1 Tbsp. salt"),
        ("- I large onion", "- 1 large onion"),
        ("1 /2 tsp. pepper", "1/2 tsp. pepper"),
        ("l/4 cup sugar", "1/4 cup sugar"),
        ("bake at 32S°F for 1O minutes", "bake at 325°F for 10 minutes"),
        ("let stand 1O\nminutes", "let stand 10\nminutes"),
        ("2 Iarge Ieeks", "2 large leeks"),
        # what is right stays
        ("I cook it low", "I cook it low"),
        ("I can never wait", "I can never wait"),
        ("I pound the garlic", "I pound the garlic"),
        ("I can of beans", "1 can of beans"),
        ("1 / 2 cups", "1/2 cups"),
        ("4 / 2 people", "4 / 2 people"),
        ("I lb it up", "1 lb it up"),
        ("In the oven", "In the oven"),
    ],
)
def test_letters_of_a_scanner(scanned: str, printed: str) -> None:
    assert with_letters_right(scanned) == printed


def test_a_scanned_page() -> None:
    """The weight was asked for, and three amounts stood as words."""
    found = known("scanned_brisket")
    assert found.mass_kg == pytest.approx(3 * 0.45359237)
    assert found.cooking.temp_c == pytest.approx(163.0, abs=0.5)
    assert found.recipe.ingredients[1] == "1 Tbsp. salt"


def test_an_answer_of_a_machine() -> None:
    """Its heading was the title, and its tips were steps."""
    found = known("answered_by_a_machine")
    assert found.recipe.title == "Slow-Smoked Pork Shoulder"
    assert len(found.recipe.ingredients) == 6
    assert len(found.recipe.steps) == 4
    assert any("stall" in note for note in found.recipe.notes)
    assert not any("side dish" in line for line in found.recipe.steps)


def test_an_amount_for_two_and_one_for_four() -> None:
    """Both were added up: 900 g of pork."""
    found = known("for_two_or_four")
    assert found.mass_kg == pytest.approx(0.6)
    assert found.plates == 4
    assert found.recipe.ingredients[1] == "30 ml Soy sauce".replace("30", "60")


def test_one_amount_is_left_alone() -> None:
    text = "For 2  and  For 4\nPork  300 g\n"
    assert with_one_amount(text) == text


def test_a_sum_behind_its_name() -> None:
    found = known("rub_with_a_sum")
    assert [part.name for part in found.recipe.parts] == ["rub"]
    assert found.cooking.high_s == 2.5 * 3600  # "2 & 1/2 hrs" was half an hour
    assert found.mass_kg == pytest.approx(5 * 0.45359237)


@pytest.mark.parametrize(
    ("told_as", "hours"), [("2 & 1/2 hrs", 2.5), ("1 and 3/4 hours", 1.75), ("3-1/2 hours", 3.5)]
)
def test_and_a_half(told_as: str, hours: float) -> None:
    assert [span.high_s for span in durations_in(told_as)] == [hours * 3600]


def test_a_slow_cooker_in_german() -> None:
    done = of("schulter_im_slowcooker")
    assert done.understood.cut == "shoulder_boneless"
    assert "cut" not in {item.asked for item in done.understood.questions}
    assert "Slowcooker geben" not in told(done)


def test_a_thread_of_messages() -> None:
    found = known("thread_of_messages")
    assert found.mass_kg == pytest.approx(5 * 0.45359237)
    assert len(found.recipe.ingredients) == 5
    assert found.cooking.high_s == 3.5 * 3600


def test_numbers_that_are_no_thread() -> None:
    for text in ("1/2 cup sugar\n2/3 cup salt\n3/4 cup oil", "1/ one\n3/ three\n4/ four"):
        assert without_thread_numbers(text) == text


def test_steamed_then_charred() -> None:
    """The head of the table was the title, and the steaming a step of its own."""
    done = of("steamed_then_grilled")
    assert done.understood.recipe.title == "Pork spare ribs"
    assert "Steam the ribs" not in told(done)


def test_all_in_a_freezer_bag() -> None:
    """Its line was a note, so that nothing went into the pot but water."""
    done = of("freezer_bag")
    assert done.understood.mass_kg == pytest.approx(3 * 0.45359237)
    assert len(done.understood.recipe.ingredients) == 9
    assert when(done, "cornstarch") == ["after"]
    assert "To finish" not in told(done)


def test_two_foods_on_a_line_of_a_handout() -> None:
    found = known("cookery_class")
    assert len(found.recipe.ingredients) == 7
    assert found.mass_kg == pytest.approx(1.5 * 0.45359237)
    assert found.cooking.method == "oven_lid"
    assert found.texture == "very"  # cubes of a hotpot are not pulled
    # a gas mark 3, by its older name: 160 °C, common practice
    assert found.cooking.temp_c == pytest.approx(160.0)


def test_one_food_on_a_line_stays() -> None:
    text = "2 kg ribs    (about 2 racks)\n1 cup cola\n"
    assert with_foods_apart(text) == text


def test_a_water_bath_is_no_work_of_ours() -> None:
    assert "water bath" not in told(of("water_bath_ribs"))


def test_a_list_in_the_first_step() -> None:
    done = of("list_in_the_first_step")
    assert len(done.understood.recipe.ingredients) == 7
    assert done.understood.mass_kg == pytest.approx(1.4)
    assert when(done, "prunes") == ["after"]
    assert "last half hour" not in told(done)


def test_a_list_in_yaml() -> None:
    found = known("in_yaml")
    assert (found.mass_kg, found.plates) == (1.8, 4)
    assert len(found.recipe.ingredients) == 5
    assert found.recipe.notes == ("Better the next day.",)


def test_what_is_put_in_a_tray() -> None:
    assert "gastronorm" not in told(of("in_gastronorm_trays"))


def test_times_behind_a_food() -> None:
    done = of("galbi_for_my_roommate")
    jujubes = next(line for line in done.lines if "jujube" in line.name)
    assert (jujubes.name, jujubes.amount) == ("jujubes", (6.0, 6.0))


def test_cured_ribs_in_german() -> None:
    """Their line lay “on top of the meat”, and their weight was asked for."""
    found = known("gepoekelte_rippchen")
    assert found.mass_kg == 1.0
    assert found.meat_index == 0
    marks = of("gepoekelte_rippchen").marks
    assert any(mark.rule == "cured_meat" and mark.index == 0 for mark in marks)


def test_what_stands_on_the_table_at_the_end_of_an_answer() -> None:
    """“Tortillas, onion, cilantro, lime wedges.” was lost."""
    done = of("carnitas_answered")
    for food in ("Tortillas", "onion", "cilantro", "lime wedges"):
        assert when(done, food) == ["beside"]


def test_powders_written_short() -> None:
    """Garlic powder was fried as garlic is, and the pepper went into the liquid."""
    done = of("memphis_dry")
    assert set(when(done, "garlic pwdr")) == {"season"}


def test_so_much_for_two_of_six() -> None:
    found = known("per_two_people")
    assert found.plates == 6
    assert found.mass_kg == pytest.approx(1.5)


def test_a_list_alone_is_quoted() -> None:
    """All but the meat was lost."""
    found = known("a_quoted_list")
    assert len(found.recipe.ingredients) == 6
    assert found.recipe.ingredients[0] == "Country-style ribs, boneless, 3 lbs"


def test_roast_potatoes_are_food_below_the_heading_of_the_list() -> None:
    done = of("roast_potatoes_to_serve")
    assert when(done, "Roast potatoes") == ["beside"]
    assert "Stand for 15 minutes" not in told(done)


def test_measured_behind_a_name_that_nobody_knows() -> None:
    found = known("chefs_shorthand")
    assert "SR bone-in 320g pp" in found.recipe.ingredients
    assert "mass" in {item.asked for item in found.questions}


def test_steps_with_letters() -> None:
    done = of("lettered_steps")
    assert done.understood.recipe.steps[0] == "Rub ribs with salt. Put in roaster with 1 cup cider."
    assert done.understood.plates == 4  # "Yield = 4"


def test_letters_that_count_nothing() -> None:
    text = "a) one\nc) three\nd) four\n"
    assert without_letters(text) == text


def test_foil_is_opened_over_a_hot_oven() -> None:
    assert "crank to 220" not in told(of("napkins"))


def test_a_canner_is_a_pressure_cooker() -> None:
    """Forty minutes at ten pounds were those of an open oven, as its title speaks of a roast."""
    found = known("pressure_canner")
    assert found.cooking.method == "stovetop_pressure"
    assert found.cooking.high_s == 40 * 60


def test_cubes_are_told_behind_the_meat_of_a_message() -> None:
    """They were a whole shoulder, and had 87 minutes."""
    found = known("vindaloo_for_priya")
    assert found.thickness_m == pytest.approx(0.04)
    assert found.cubed


def test_what_goes_into_the_pot_behind_its_name() -> None:
    done = of("char_siu_pot")
    assert when(done, "100 ml water") == ["pot"]
    assert "Pot:" not in told(done)


def test_skin_and_bone_in_german() -> None:
    found = known("schulterbraten_mit_schwarte")
    assert found.cut == "shoulder_bone_in"
    assert "cut" not in {item.asked for item in found.questions}


def test_a_list_behind_need() -> None:
    """Five foods were one line, and that was fried."""
    found = known("rugby_pork")
    assert found.recipe.ingredients[2:] == (
        "2 onions", "bbq spice", "brown sugar", "tomato sauce", "vinegar",
    )  # fmt: skip


def test_values_without_a_type() -> None:
    """“There is no recipe in this”: a tool had left out what kind it is."""
    found = known("without_a_type")
    assert found.mass_kg == pytest.approx(3 * 0.45359237)
    assert (len(found.recipe.ingredients), found.plates) == (4, 6)


def test_a_hand_of_pork_in_an_old_book() -> None:
    found = known("potted_hand")
    assert found.mass_kg == pytest.approx(4 * 0.45359237)
    assert found.cut == "shoulder_bone_in"
    assert len(found.recipe.ingredients) > 4


def test_ribs_are_those_of_the_title() -> None:
    """“Ribs: 2.2 kg”, below “short ribs”, were baby back ribs."""
    found = known("third_attempt")
    assert found.cut == "short_ribs_english"
    assert found.thickness_m == pytest.approx(0.055)


def test_another_four_or_five() -> None:
    found = known("question_from_a_reader")
    assert found.cooking.low_s == pytest.approx((7 + 5) * 3600, abs=3600)
    assert not any("Write to us" in step for step in found.recipe.steps)


def test_keycaps_before_steps() -> None:
    found = known("keycaps")
    assert found.recipe.steps[0] == "Sear the pork, then the onion."


def test_short_ribs_cut_across_are_not_as_thick_as_they_are_long() -> None:
    """“Cut into 3-inch pieces” was their thickness: no piece of 206 g can be so thick, and the
    recipe was refused."""
    found = known("short_ribs_in_lengths")
    assert found.thickness_m is None or found.thickness_m < 0.065
    assert convert(found, KITCHEN).plan.hold_min > 20


def test_what_was_set_aside_is_brushed_on_under_the_broiler() -> None:
    done = of("ribs_basted_with_the_rest")
    assert when(done, "hoisin") == ["season", "finish"]
    assert "increase oven to 425" not in told(done)


def test_a_glaze_is_brushed_on_in_german_too() -> None:
    """Honey, mustard and soy sauce were stirred into the juice."""
    done = of("honig_senf_glasur")
    for food in ("Honig", "Senf", "Sojasauce", "Tomatenmark"):
        assert when(done, food) == ["finish"]
    assert "bestreichen" not in told(done)


def test_sugar_for_the_wrap_stays_out_of_the_pot() -> None:
    done = of("two_two_one")
    assert set(when(done, "brown sugar")) == {"finish"}
    assert when(done, "SPOG") == ["season"]
    assert "pellet grill" not in told(done)


def test_packets_are_shut_a_step_before() -> None:
    assert known("ribs_in_packets").cooking.method == "oven_lid"


def test_wings_are_tossed_in_what_was_melted() -> None:
    """Butter, hot sauce and honey were stirred into the juice."""
    done = of("buffalo_wings_melted")
    for food in ("hot sauce", "butter", "honey"):
        assert when(done, food) == ["finish"]


def test_oil_is_not_stirred_into_a_skimmed_juice() -> None:
    done = of("red_braised_cubes")
    assert when(done, "2 tbsp oil") == ["sear"]  # the sugar is melted in it

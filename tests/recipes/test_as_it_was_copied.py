"""Recipes as they were copied, from pages, tables, letters and threads. Common practice."""

from pathlib import Path

import pytest

from pneumachron.recipes.converting.convert import Converted, convert
from pneumachron.recipes.reading.numbering import numbered_apart
from pneumachron.recipes.reading.scattered import (
    with_columns_apart,
    with_fields_named,
    with_foods_whole,
)
from pneumachron.recipes.reading.wrapping import without_divided_words
from pneumachron.recipes.understanding.understand import Understood, understand
from tests.recipes.supper import KITCHEN, made, read, told, went

VOICES = Path(__file__).parent / "voices"


def known(name: str) -> Understood:
    file = next(VOICES.glob(f"{name}.*"))
    return understand(read(file.read_text()))


def of(name: str) -> Converted:
    return convert(known(name), KITCHEN)


def when(done: Converted, words: str) -> list[str]:
    """Where the first line with these words went."""
    rows = done.understood.recipe.ingredients
    return went(done, next(at for at, line in enumerate(rows) if words in line))


def test_amount_unit_and_food_on_three_lines() -> None:
    """All amounts were lost, and two racks of 3½ lb were one of 1.6 kg."""
    found = known("ribs_in_three_lines")
    assert found.recipe.ingredients == (
        "2 racks pork spareribs, about 3½ lbs each", "3 Tablespoons brown sugar",
        "1 Tablespoon smoked paprika", "2 teaspoons kosher salt",
        "1 teaspoon each onion powder and garlic powder", "½ cup apple juice",
        "1¼ cups barbecue sauce, homemade or bottled",
    )  # fmt: skip
    assert (found.count, found.cooking.high_s) == (2, 2.5 * 3600)
    assert found.mass_kg == pytest.approx(3.175, abs=0.01)


def test_what_is_mixed_and_rubbed_in_one_sentence_is_no_glaze() -> None:
    done = of("ribs_in_three_lines")
    assert when(done, "paprika") == ["season"]
    assert "sheet of foil" not in told(done)


def test_a_list_that_is_whole_stays_as_it_is() -> None:
    for text in ("1\nCut the ribs.\n2\nCook the ribs.\n", "2 cups\nstock\n1 rack of ribs\n"):
        assert with_foods_whole(text) == text
    assert with_foods_whole("2\ncups\nstock\n\n1\ntsp\nsalt\n").split("\n")[0] == "2 cups stock"


def test_two_columns_are_told_one_after_the_other() -> None:
    """Each food was a step that began with it."""
    found = known("pork_in_two_columns")
    assert len(found.recipe.ingredients) == 9
    assert found.recipe.steps[0] == "Oven to 120°C / fan 100 / gas ½."
    assert (found.plates, found.cooking.method) == (10, "oven_lid")
    assert found.cooking.high_s == 10 * 3600
    assert when(of("pork_in_two_columns"), "baps") == ["beside"]


@pytest.mark.parametrize("text", [
    "Ingredients      Method\n2 kg pork\n1 onion\nCook it.\n", "Ingredients: 2 kg pork   1 onion\n",
])  # fmt: skip
def test_without_two_columns_nothing_is_parted(text: str) -> None:
    assert with_columns_apart(text) == text


def test_a_list_that_begins_with_you_want() -> None:
    found = known("you_want")
    assert found.recipe.ingredients[0] == "5 fat short ribs, bone in, the lot about 2.3kg"
    assert len(found.recipe.ingredients) == 12
    assert (found.count, found.plates) == (5, 4.5)
    assert found.mass_kg == pytest.approx(2.3)


def test_you_need_to_is_no_list() -> None:
    recipe = read("Ribs\n\n2 kg ribs\n1 cup stock\n\nYou need to soak 2 kg of wood, 1 hour.\n"
                  "Cover and bake at 300 F for 3 hours.\n")  # fmt: skip
    assert len(recipe.ingredients) == 2


def test_a_line_that_stands_for_a_part_is_not_rubbed_on_as_well() -> None:
    text = told(of("sliders_in_a_table"))
    assert "granulated garlic" in text
    assert "all of it" not in text


def test_a_german_mail() -> None:
    """Two racks were one, and nothing was left in the refrigerator overnight."""
    found = known("rippchen_in_einer_mail")
    assert (found.count, found.plates) == (2, 4)
    assert "Marinate in the refrigerator for 8–12\xa0h" in told(of("rippchen_in_einer_mail"))


def test_a_puree_on_the_list_is_no_work() -> None:
    """Onions that are cooked gently went raw into the liquid: “… and purée and stir”."""
    done = of("brisket_in_a_casserole")
    assert when(done, "onions") == ["sear"]
    assert when(done, "carrots") == ["own_run"]
    assert when(done, "parsley") == ["beside"]


def test_everything_else_is_what_no_step_has_named() -> None:
    done = of("carnitas_with_everything_else")
    assert when(done, "bay leaf") == ["pot"]
    assert when(done, "salsa verde") == ["beside"]
    assert "Add the orange juice and peel" not in told(done)  # our own step does


def test_a_thread_tells_its_hours_by_the_clock() -> None:
    found = known("thread_with_a_plan")
    assert (found.cut, found.cooking.method) == ("brisket_whole", "smoker")
    assert found.cooking.high_s == 17 * 3600  # from 8 pm to 1 pm
    assert found.cooking.temp_c is not None
    assert found.cooking.temp_c < 140.0  # 203 °F is that of the meat


def test_a_dredge_is_no_thickener_and_the_sauce_has_a_pan_of_its_own() -> None:
    done = of("riblets_in_a_dredge")
    text = told(done)
    assert "Turn it in cornflour" in text
    assert "Thicken" not in text
    assert when(done, "stock") == ["finish"]
    assert text.index("simmer all the sauce ingredients") < text.index("Turn it in cornflour")


def test_ribs_by_the_piece_in_a_story() -> None:
    found = known("dino_bones")
    assert (found.cut, found.count, found.plates) == ("short_ribs_english", 3, 4)
    assert found.mass_kg == pytest.approx(2.835, abs=0.01)
    assert when(of("dino_bones"), "pepper") == ["season"]


def test_what_is_said_of_all_is_no_food() -> None:
    assert known("steaks_with_gremolata").recipe.ingredients[-1].endswith("chopped together")


def test_steam_cooks() -> None:
    """The whole recipe was a step of ours, and its method was not known."""
    done = of("steamed_ribs")
    assert (done.understood.cooking.method, done.understood.cooking.high_s) == ("simmer", 1500)
    assert "steam over boiling water" not in told(done)
    assert (
        "shaoxing wine, sugar, sesame oil, and red chilli, in the refrigerator, for 2\xa0h"
        in told(done)
    )
    assert when(done, "spring onion") == ["beside"]


@pytest.mark.parametrize("name", ["rack_with_salt_and_pepper", "sunday_pot"])
def test_salt_and_pepper_in_the_line_of_the_meat(name: str) -> None:
    assert "the cut ones too: salt and pepper." in told(of(name))


def test_labels_beside_the_yield() -> None:
    found = known("sunday_pot")
    assert found.plates == 6
    assert found.cooking.temp_c == pytest.approx(162.8, abs=0.1)


def test_a_rind_is_scalded_and_dried_before_it_comes_off() -> None:
    text = told(of("crackling_from_the_noticeboard"))
    assert text.index("kettle of boiling water") < text.index("Take the rind off")
    assert text.index("uncovered in the fridge") < text.index("Take the rind off")
    done = of("crackling_from_the_noticeboard")
    assert when(done, "bulbs fennel") == ["own_run"]  # only its seeds are crushed and rubbed in
    first = next(mark for mark in done.marks if mark.where == "step" and mark.index == 0)
    ours = [step.kind for step in done.steps]
    assert first.step == ours.index("season") + 1


def test_english_cut_and_a_sauce_that_is_poured_over() -> None:
    found = known("bulgogi_ribs")
    assert (found.cut, found.cooking.high_s) == ("short_ribs_english", 2700)
    assert found.mass_kg == pytest.approx(1.36, abs=0.01)
    done = of("bulgogi_ribs")
    assert when(done, "gochujang") == ["after"]
    assert "broiler" not in told(done)


def test_zest_and_juice_are_both_told() -> None:
    done = of("orange_chipotle_brisket")
    assert {line.aside for line in done.lines if "orange" in line.name} == {"zest and juice"}


def test_seasonings_before_what_has_an_amount() -> None:
    done = of("short_ribs_geschmort")
    assert when(done, "Butterschmalz") == ["sear"]
    assert set(when(done, "Pfeffer")) == {"season"}


def test_a_letter_in_one_paragraph_is_the_work_itself() -> None:
    """It was a description, and nothing of it was browned."""
    found = known("letter_in_a_paragraph")
    assert len(found.recipe.steps) == 1
    assert (found.cooking.method, found.cooking.high_s, found.plates) == ("simmer", 7200, 7)
    assert "sear the meat" in told(of("letter_in_a_paragraph"))


def test_the_template_of_a_wiki() -> None:
    found = known("pork_neck_of_a_wiki")
    assert (found.recipe.title, found.plates) == ("Vinegar-braised pork neck", 4)
    assert (len(found.recipe.ingredients), len(found.recipe.steps)) == (8, 5)
    assert with_fields_named('{"title": "x"}') == '{"title": "x"}'


def test_bell_peppers_are_no_pepper() -> None:
    done = made("Season with salt and pepper.", "Cover and simmer for 2 hours until tender.",
                more=("1 green bell pepper",))  # fmt: skip
    assert "salt and pepper." in told(done)


def test_foil_on_the_list_goes_into_no_cooker() -> None:
    done = of("brisket_under_foil")
    assert "foil" not in told(done).replace("with foil", "")
    assert done.understood.cooking.high_s == pytest.approx(50 * 60 * 4.5)


def test_half_of_a_paste_is_rubbed_on() -> None:
    """The chillies were not known, and lay whole on the meat."""
    done = of("lemongrass_ribs")
    assert {"season"} == {*when(done, "chillies"), *when(done, "shallots"), *when(done, "turmeric")}


def test_a_chat_that_tells_night_and_noon() -> None:
    found = known("butt_overnight_in_a_chat")
    assert found.cooking.high_s == 14 * 3600  # from 10 at night to noon
    assert found.cooking.temp_c == pytest.approx(107.2, abs=0.1)


def test_a_german_relish_is_served_beside() -> None:
    done = of("rinderbrust_mit_apfelkren")
    assert when(done, "Äpfel") == when(done, "Zitrone") == ["beside"]
    assert "Serve with Apfelkren" in told(done)


def test_of_two_ways_the_electric_one() -> None:
    """25 minutes and 20 on the stove were 45, and the numbered steps on one line were one."""
    found = known("tamarind_ribs_two_ways")
    assert len(found.recipe.steps) == 5
    assert (found.cooking.method, found.cooking.high_s) == ("pressure", 25 * 60)
    assert when(of("tamarind_ribs_two_ways"), "Tamarind") == ["after"]


def test_a_side_that_is_made_in_the_same_paragraph_is_told() -> None:
    done = of("shoulder_with_salsa_verde")
    assert "chop everything for the salsa verde" in told(done)
    assert done.understood.plates == 8


def test_whole_wings_are_no_whole_bird() -> None:
    found = known("wings_smoked_then_fried")
    assert found.cut == "wings"
    assert [part.name for part in found.recipe.parts] == ["Buffalo"]


def test_cells_of_a_page_are_apart() -> None:
    """“Short ribs, bone in4 (1.6kg)”: cells were words without a space between."""
    found = known("short_ribs_in_a_table")
    assert (found.cut, found.count, found.plates) == ("short_ribs_english", 4, 4)
    assert found.mass_kg == pytest.approx(1.6)
    assert found.recipe.ingredients[1] == "Porter 500ml"


def test_round_bullets() -> None:
    found = known("barbacoa_in_round_bullets")
    assert found.recipe.ingredients[0] == "2½ lbs brisket, big cubes"
    assert len(found.recipe.ingredients) == 8


def test_burnt_ends_set_under_heat() -> None:
    done = of("shoulder_burnt_ends")
    assert done.understood.crust.kind == "broiler"
    assert "Cut the meat into cubes first" not in told(done)  # it was cut raw
    assert done.understood.cubed


def test_a_message_whose_work_has_amounts() -> None:
    """“1 cup stock in, scrape, 3 tbsp vinegar” was a list, and the minutes behind it were lost."""
    found = known("hey_jo")
    assert (found.cooking.method, found.cooking.high_s, found.count) == ("pressure", 3600, 4)
    assert {"2 tbsp smoked paprika", "3 tbsp vinegar", "200 ml bbq sauce"} <= set(
        found.recipe.ingredients
    )


def test_dumplings_are_told_how_to_make() -> None:
    assert "Mix the dumplings, roll into 12" in told(of("brisket_with_dumplings"))


def test_a_card_in_its_own_spelling() -> None:
    found = known("spair_ribs")
    assert (found.cut, found.count) == ("spare_ribs", 2)
    done = of("spair_ribs")
    assert when(done, "shuger") == ["after"]
    assert when(done, "vinager") == ["pot", "after"]
    assert "spair ribs" in [line.name for line in done.lines]  # shown as it was written


def test_bold_words_on_the_first_line_of_a_paragraph() -> None:
    found = known("christmas_brisket")
    assert (found.recipe.title, found.cut) == ("Christmas Brisket", "brisket_whole")
    assert found.plates == 16


def test_points_between_foods_of_which_some_have_no_amount() -> None:
    found = known("pork_and_beans_with_dots")
    assert len(found.recipe.ingredients) == 13
    assert found.thickness_m == pytest.approx(0.05)


def test_notes_of_a_film_in_their_order() -> None:
    found = known("competition_notes")
    assert (found.cooking.method, found.cooking.high_s, found.count) == ("smoker", 11_700, 2)
    done = of("competition_notes")
    assert "Brush with foil" not in told(done)
    assert when(done, "mustard") == ["season"]


def test_a_recipe_for_such_a_cooker_is_not_cut_up_more_than_it_says() -> None:
    """Three pieces were cut in four each, so that twelve of 130 g lay side by side."""
    done = of("brisket_at_high_75")
    assert "portions" not in told(done)
    assert "partly on each other" in told(done)


def test_a_heat_behind_a_sign_and_the_heat_of_the_meat() -> None:
    found = known("burnt_ends_on_pellets")
    assert found.cooking.temp_c == pytest.approx(107.2, abs=0.1)  # "@ 225 until 165° IT"


def test_strokes_between_the_foods_of_a_rub() -> None:
    found = known("rib_night")
    assert found.recipe.title == "RIB NIGHT"
    assert "20 g salt" in found.recipe.ingredients
    assert found.recipe.steps[1].startswith("roasting tin + cider")
    assert found.plates == 8


def test_a_beize_is_a_marinade_and_caramel_no_rub() -> None:
    """Days in vinegar were lost, and the sugar of a caramel was rubbed on."""
    done = of("sauerbraten")
    text = told(done)
    assert "Nelken, in the refrigerator, for 72–120" in text
    assert when(done, "Zucker") == ["sear"]  # it is melted first, and dissolved
    assert "broiler" not in text


def test_a_hot_oven_behind_boiled_ribs_is_a_crust() -> None:
    found = known("gochujang_ribs_boiled_first")
    assert (found.cooking.method, found.cooking.high_s) == ("simmer", 3000)
    assert found.crust.kind == "broiler"


def test_vegetables_of_a_recipe_for_such_a_cooker_stay_in_it() -> None:
    done = of("chile_verde_under_pressure")
    assert when(done, "tomatillos") == ["top"]  # under the lid, and not where they scorch
    assert when(done, "cilantro") == when(done, "hominy") == ["after"]
    assert when(done, "crema") == ["beside"]


def test_amounts_in_brackets_behind_the_name() -> None:
    """Three racks were one, the title was that of the rub, and the steps kept their numbers."""
    found = known("amounts_in_brackets")
    assert (found.recipe.title, found.count) == ("Ribs à la Kansas", 3)
    assert found.mass_kg == pytest.approx(3.742, abs=0.01)
    assert found.recipe.steps[1].startswith("Smoke at 225 F")
    done = of("amounts_in_brackets")
    assert when(done, "Molasses") == ["finish"]  # "sauce the ribs"
    assert "Paprika" in told(done).split("Leave it")[0]


def test_labels_in_italics_are_parts() -> None:
    done = of("asado_ribs")
    assert [part.name for part in done.understood.recipe.parts] == ["Salmuera", "Chimichurri"]
    assert when(done, "parsley") == ["beside"]
    assert done.understood.count == 3


def test_cooked_gently() -> None:
    found = known("pork_with_clams")
    assert (found.cooking.method, found.cooking.high_s) == ("simmer", 3600)


def test_an_adobo_that_is_mashed_and_pushed_in() -> None:
    done = of("picnic_in_adobo")
    assert when(done, "garlic") == ["season"]
    assert "Leave it covered in the refrigerator for 24–48" in told(done)


@pytest.mark.parametrize("line", ["1 Onion, chopped. 2 Carrots, diced.", "1 Rack of ribs"])
def test_numbers_before_foods_number_nothing(line: str) -> None:
    assert numbered_apart(line) == [line]


def test_a_printed_column_with_divided_words() -> None:
    """“Pork shoul-” was no meat of ours, and each line of the work a step."""
    found = known("printed_column")
    assert found.recipe.title == "Braised Pork Shoulder with Quince"
    assert found.recipe.ingredients[0] == "1.6 kg boned pork shoulder, rolled and tied"
    assert len(found.recipe.ingredients) == 8
    assert len(found.recipe.steps) == 1
    assert found.cooking.high_s == 195 * 60
    assert "THE WINTER TABLE 117" in found.recipe.left_out


def test_a_hyphen_of_its_own_stays() -> None:
    text = "bone-\nin pork shoul-\nder, dry-\ncured\n"
    assert without_divided_words(text).split("\n")[0] == "bone-in pork shoulder, dry-cured"
    assert without_divided_words("bone-\nin pork\n") == "bone-\nin pork\n"


def test_a_list_that_begins_with_for_so_many() -> None:
    found = known("spareribs_fuer_vier")
    assert found.plates == 4
    assert found.recipe.ingredients[0] == "ca. 2 kg Spareribs"
    assert {"Salz", "Pfeffer"} <= set(found.recipe.ingredients)


def test_a_heat_that_stands_before_its_smoker() -> None:
    found = known("short_ribs_in_paper")
    assert found.cooking.temp_c == pytest.approx(135.0)
    assert found.thickness_m == pytest.approx(0.05715)


def test_a_dark_crust_at_the_end_is_no_cooking() -> None:
    assert known("big_easy_shoulder").cooking.high_s == 6 * 3600

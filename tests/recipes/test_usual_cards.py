"""Usual cards, mails and pages; each went wrong at one place. Common practice."""

from pathlib import Path

import pytest

from pneumachron.recipes.converting.convert import Converted, convert
from pneumachron.recipes.reading.titles import title_of
from pneumachron.recipes.understanding.ingredients import read_ingredients
from pneumachron.recipes.understanding.main_heat import main_spans
from pneumachron.recipes.understanding.naming import may_name
from pneumachron.recipes.understanding.number_words import in_figures
from pneumachron.recipes.understanding.side_work import is_side_work
from pneumachron.recipes.understanding.understand import understand
from tests.recipes.supper import KITCHEN, read, told

VOICES = Path(__file__).parent / "voices"


def of(name: str) -> Converted:
    file = next(VOICES.glob(f"{name}.*"))
    return convert(understand(read(file.read_text())), KITCHEN)


def when(done: Converted) -> dict[str, str]:
    """Where each food goes; the first place of one that is parted."""
    return {line.name: line.when for line in reversed(done.lines)}


def test_a_mail_with_a_third_of_a_cup() -> None:
    """The sugar was a whole cup, the sauce had no amount, and the night before was no step."""
    done = of("mail_with_a_third_of_a_cup")
    assert done.understood.recipe.ingredients[1] == "1/3 cup of brown sugar"
    assert "1 cup bbq sauce" in done.understood.recipe.ingredients
    assert "2 tbsp butter" in done.understood.recipe.ingredients
    assert "vinegar" not in done.understood.recipe.ingredients
    assert "8–12\xa0h" in told(done)


@pytest.mark.parametrize(
    ("said", "figures"),
    [
        ("a third of a cup of stock", "1/3 cup of stock"),
        ("one third cup stock", "1/3 cup stock"),
        ("two thirds of a cup", "2/3 cup"),
    ],
)
def test_shares_of_a_cup(said: str, figures: str) -> None:
    assert in_figures(said) == figures


def test_carnitas_with_an_orange() -> None:
    """It was called after its meat, the orange was lost, and what is on the table was a step."""
    done = of("carnitas_with_an_orange")
    assert done.understood.recipe.title == "Carnitas!!"
    assert any("orange" in line.name for line in done.lines)
    assert when(done)["salsa verde"] == "beside"


def test_what_simmers_is_not_marinated() -> None:
    """“Bei kleiner Hitze 2 1/2 Stunden ziehen lassen” put root vegetables into a marinade."""
    done = of("rinderbrust_bei_kleiner_hitze")
    assert when(done)["Suppengrün"] == "pot"
    assert "Marinate" not in told(done)
    assert done.understood.cooking.high_s == 2.5 * 3600  # the five minutes are those of the sauce


def test_a_sauce_between_dashes_is_poured_in() -> None:
    done = of("sauce_between_dashes")
    assert {"soy sauce", "ginger", "blk pepper"} <= {
        name for name, place in when(done).items() if place == "pot"
    }
    assert "mirin" in when(done)


def test_a_studded_onion_is_one_thing() -> None:
    names = when(of("salt_beef_and_a_studded_onion"))
    assert names["onion"] == "pot"
    assert not any("stuck" in name for name in names)


def test_what_goes_into_the_buns_is_raw() -> None:
    """The cabbage was simmered."""
    done = of("buns_with_the_cabbage")
    assert when(done)["red cabbage"] == "beside"
    assert "slow cooker" in done.understood.recipe.title.lower()


def test_three_foods_on_a_line_are_served() -> None:
    names = when(of("chili_served_with_three"))
    assert {names["Shredded cheddar"], names["sour cream"], names["chopped cilantro"]} == {"beside"}
    assert when(of("tacos_topped_with_cheese"))["crumbled queso fresco"] == "beside"


def test_until_everything_is_tender_adds_nothing() -> None:
    """All foods of the stew were named in that sentence, and went in after pressure."""
    names = when(of("stew_till_everything_is_tender"))
    assert (names["star anise"], names["cinnamon stick"]) == ("pot", "pot")
    assert names["garlic"] == "sear"


def test_an_answer_about_a_pellet_grill() -> None:
    done = of("answer_about_a_pellet_grill")
    assert done.understood.recipe.title == "pork butt for sandwiches on a pellet grill"
    assert done.understood.cooking.temp_c == pytest.approx(107.2, abs=0.1)
    assert "ellet" not in told(done)


def test_a_curry_with_its_paste() -> None:
    """Onions that fry for 8 minutes counted, an oven was made up, and potatoes came in raw."""
    done = of("neck_curry_with_a_paste")
    assert done.understood.cooking.high_s == 115 * 60
    assert when(done)["vindaloo paste"] == "top"
    assert when(done)["washed potatoes"] == "pot"
    assert done.finish.kind == "none"


def test_sprayed_at_three_hours() -> None:
    """It was 11 hours at 203 °C: “mine took 8”, at 275 °F."""
    cooking = of("plate_ribs_sprayed_at_three_hours").understood.cooking
    assert cooking.high_s == 8 * 3600
    assert cooking.temp_c == pytest.approx(135, abs=0.1)
    (span,) = main_spans(0, "Roast at 200C for 25 min, turn.", "oven")
    assert span.high_s == 25 * 60


@pytest.mark.parametrize(
    ("sentence", "side"),
    [
        ("For the gravy, simmer the juices for 10 minutes.", True),
        ("Für die Soße die Butter zerlassen und 5 Minuten köcheln lassen.", True),
        ("For the sauce, simmer the ribs in the wine for 2 hours.", False),
        ("For the sauce, cook onions and tomatoes slowly for 2 hours.", False),
        ("Für die Soße das Fleisch anbraten und 20 Minuten köcheln lassen.", False),
    ],
)
def test_work_for_a_sauce(sentence: str, side: bool) -> None:
    assert is_side_work(sentence) is side


def test_names_that_steps_use() -> None:
    paste, tomato, cheese = read_ingredients(("3 Tbsp korma paste", "2 Tbsp tomato paste", "feta"))
    assert may_name(paste, "add the paste and fry")
    assert not may_name(tomato, "fry the onion")
    assert may_name(cheese, "crumble the cheese on top")


@pytest.mark.parametrize(
    ("line", "title"),
    [
        ("What's the best way to do a 3 kg shoulder for tacos?", "shoulder for tacos"),
        ("How do you smoke a brisket flat overnight?", "brisket flat overnight"),
    ],
)
def test_a_question_is_a_title(line: str, title: str) -> None:
    assert title_of(line) == title


def test_ribs_with_a_wrap_per_slab() -> None:
    """What goes into the foil was lost, and “2:15 unwrapped” was no time."""
    done = of("ribs_with_a_wrap_per_slab")
    cooking = done.understood.cooking
    assert (cooking.method, cooking.high_s) == ("smoker", 3.5 * 3600)
    assert cooking.temp_c == pytest.approx(121.1, abs=0.1)
    places = when(done)
    assert {places["honey"], places["squeeze butter"]} == {"finish"}
    assert places["black pep"] == "season"
    assert "drum" not in told(done)


def test_a_dry_marinade_is_a_rub() -> None:
    """It was in the liquid, and a night in the refrigerator and the glaze counted as heat."""
    done = of("rippchen_mit_trockenmarinade")
    cooking = done.understood.cooking
    assert (cooking.method, cooking.high_s, cooking.temp_c) == ("oven_lid", 2 * 3600, 140.0)
    assert when(done)["Paprika edelsüß"] == "season"
    assert when(done)["Honig"] == "finish"


def test_foods_between_gaps() -> None:
    """A quarter of a cup of salt went into the sauce."""
    done = of("butt_on_an_envelope")
    assert {"salt 1/4 c", "br. sug 1/4 c"} <= set(done.understood.recipe.ingredients)
    assert when(done)["salt"] == "season"
    assert {when(done)["rice"], when(done)["kimchi"]} == {"beside"}


def test_a_mix_that_is_poured_over_is_no_glaze() -> None:
    places = when(of("country_ribs_in_maple"))
    assert places["soy sauce"] == "pot"
    assert "finish" not in places.values()


def test_foods_below_the_steps_are_served() -> None:
    """They were left out as words that are no recipe."""
    done = of("shoulder_with_pineapple")
    assert {when(done)[name] for name in ("corn torts", "cilantro", "lime")} == {"beside"}
    assert not done.understood.recipe.left_out
    plain = read("Ribs\n\n2 kg ribs\n1 onion\n1 cup stock\n\nSimmer 2 hours.\nGood luck.\n")
    assert len(plain.ingredients) == 3


def test_the_meat_ends_the_marinade() -> None:
    """Olives and tomato paste were seasoning, as all of the list stood below “Marinade”."""
    done = of("daube_in_its_marinade")
    (part,) = done.understood.recipe.parts
    assert part.lines == (0, 1, 2, 3, 4, 5)
    assert when(done)["tomato paste"] == "top"
    assert when(done)["black olives"] == "after"


def test_wings_are_tossed_in_what_was_warmed() -> None:
    """The honey was stirred into the juice."""
    places = when(of("hot_honey_wings"))
    assert {places["honey"], places["hot sauce"], places["butter"]} == {"finish"}


def test_a_letter_with_an_onion() -> None:
    """“You also want an onion, 3 carrots, … half a swede”: the onion was lost."""
    lines = of("brisket_with_an_onion").understood.recipe.ingredients
    assert "1 onion" in lines
    assert "half a swede" in lines


def test_country_ribs_are_served_whole() -> None:
    """They were brushed with their glaze, and then pulled on a tray."""
    done = of("country_ribs_glazed")
    assert done.understood.texture == "very"
    assert "Serve the pieces whole." in told(done)


def test_butter_of_burnt_ends_is_no_frying_fat() -> None:
    assert when(of("burnt_ends_with_butter"))["butter"] == "finish"


def test_melted_cheese_is_no_crust() -> None:
    done = of("rolls_with_melted_cheese")
    assert done.finish.kind == "none"
    assert when(done)["provolone"] == "beside"


def test_carbs_are_no_food() -> None:
    """Protein lay on top of the meat."""
    done = of("short_ribs_with_their_carbs")
    assert done.understood.recipe.ingredients[0] == "2.5 lb boneless short ribs"
    assert "protein" not in " ".join(when(done)).lower()


def test_steaks_of_the_shoulder_are_thin() -> None:
    """A kilogram of them was one piece of 8 cm."""
    found = of("shoulder_steaks_on_the_hob").understood
    assert found.count == 4
    (asked,) = (each for each in found.questions if each.asked == "thickness")
    assert asked.guess.params["thickness_m"] == 0.025


def test_collar_steaks_are_pork() -> None:
    """They were refused as beef, and their glaze was stirred into the juice."""
    done = of("collar_steaks_with_peach")
    assert done.understood.cut == "shoulder_boneless"
    assert when(done)["peach preserves"] == "finish"
    assert "unusual_thickness" not in {each.code for each in done.plan.cautions}


def test_toppings_stand_on_the_table() -> None:
    places = when(of("chilli_with_toppings"))
    assert (places["coriander"], places["black beans"]) == ("beside", "after")


def test_a_tip_above_the_list_is_no_step() -> None:
    done = of("short_ribs_with_a_tip_above")
    assert "tip" not in told(done)
    assert when(done)["cherry tomatoes"] == "top"  # out of a tin


def test_five_days_in_salt_stay() -> None:
    """The cure was lost, in a recipe of one paragraph."""
    assert "lay it in salt with an ounce of saltpetre five days" in told(
        of("collared_brisket_in_salt")
    )


def test_foods_for_finishing() -> None:
    """All of the sauce was brushed on raw, with cornstarch."""
    places = when(of("ribs_for_finishing"))
    assert (places["soy sauce"], places["cornstarch"]) == ("pot", "after")
    assert places["sliced scallions"] == "beside"


def test_a_paste_that_is_fried_is_no_marinade() -> None:
    done = of("rendang_with_a_fried_paste")
    assert when(done)["shallots"] == "sear"
    assert "Marinate" not in told(done)


def test_a_sauce_to_finish_is_brushed_on() -> None:
    """It was served beside, though the steps brush it on and broil."""
    assert when(of("ribs_with_a_sauce_to_finish"))["BBQ sauce"] == "finish"


def test_to_crisp_in_a_pan() -> None:
    assert of("carnitas_to_crisp_in_a_pan").finish.kind == "pan"


def test_what_lies_on_the_foil() -> None:
    """“Top each with butter and brown sugar, then the ribs”: they were served beside."""
    places = when(of("ribs_on_two_sheets_of_foil"))
    assert (places["butter"], places["brown sugar"]) == ("finish", "finish")


def test_pearl_onions_are_not_the_onion() -> None:
    """They were fried first, and cooked under pressure."""
    places = when(of("bourguignon_with_pearl_onions"))
    assert (places["large onion"], places["pearl onions"]) == ("sear", "after")


def test_brushed_with_what_simmered_meanwhile() -> None:
    places = when(of("ribs_brushed_with_what_simmered"))
    assert (places["ketchup"], places["honey"]) == ("finish", "finish")


def test_more_of_it_to_glaze() -> None:
    """“Honey, plus 1 tbsp to glaze”: “to glaze” was a food."""
    assert "to glaze" not in when(of("steaks_and_honey_to_glaze"))

"""What cooks write in plain voices, by class: each of these was read wrong once.

All texts are invented; what is expected is common practice unless it says otherwise.
"""

import pytest

from pneumachron.recipes.converting.convert import convert
from pneumachron.recipes.model import Recipe
from pneumachron.recipes.understanding.ingredients import read_ingredients
from pneumachron.recipes.understanding.lines import read_line
from pneumachron.recipes.understanding.method import read_method
from pneumachron.recipes.understanding.sentences import sentences_in
from pneumachron.recipes.understanding.spelling_out import spelled_out
from pneumachron.recipes.understanding.texture import read_texture
from pneumachron.recipes.understanding.understand import understand
from tests.recipes.supper import KITCHEN, WET, made, read, told, understood, went
from tests.text.words import words

# --- amounts


@pytest.mark.parametrize(
    ("text", "low", "high", "unit", "name"),
    [
        ("a sprig or two of thyme", 1, 2, "sprig", "thyme"),
        ("a clove or two of garlic", 1, 2, "clove", "garlic"),
        ("a 900g piece of brisket", 900, 900, "g", "piece of brisket"),
        ("a dollop of mustard", 1, 1, "dollop", "mustard"),
        ("a glass of red wine", 1, 1, "glass", "red wine"),
        ("1 gal. cider vinegar", 1, 1, "gallon", "cider vinegar"),
        ("1 tsp five spice", 1, 1, "tsp", "five spice"),
    ],
)
def test_amounts(text: str, low: float, high: float, unit: str, name: str) -> None:
    line = read_line(text)
    assert (line.low, line.high, line.unit, line.name) == (low, high, unit, name)


@pytest.mark.parametrize(
    ("line", "mass_kg"),
    [("2 racks baby backs (abt 2.5# each)", 2.27), ("4 Boston butts, 8 lb. ea", 14.5)],
)
def test_weight_of_each(line: str, mass_kg: float) -> None:
    assert understood("Smoke for 6 hours.", meat=line).mass_kg == pytest.approx(mass_kg, rel=0.01)


# --- cuts


@pytest.mark.parametrize(
    ("line", "cut"),
    [
        ("2 racks St. Louis-cut spareribs, 2¾ lb apiece", "spare_ribs_trimmed"),
        ("two pork shoulders on the bone, 3 kg each", "shoulder_bone_in"),
        ("800 g pork ribs, chopped into 4cm lengths", "rib_pieces"),
        ("1½ lb pork spareribs, cut across the bone into 1½-inch pieces", "rib_pieces"),
        ("1.8 kg Schweineschulter mit Schwarte", "shoulder_boneless"),
        ("1.5 kg Rinderbrust", "brisket_flat"),
    ],
)
def test_names_of_cuts(line: str, cut: str) -> None:
    done = made("Cover and simmer for 2 hours.", meat=line)
    assert done.understood.cut == cut
    # whatever it is called, the meat is no topping and no spice
    assert went(done, 0) == ["season"]


def test_country_style_ribs_are_thin_slices_of_the_shoulder() -> None:
    # common practice: 1 to 1½ in thick, of the blade end; which cut it is, is asked
    found = understood("Cover and simmer for 2 hours.", meat="3 lb country-style pork ribs")
    assert found.cut.startswith("shoulder")
    assert found.thickness_m == pytest.approx(0.035)
    assert {"cut", "thickness"} <= {question.asked for question in found.questions}


def test_the_length_of_chopped_ribs_is_no_thickness() -> None:
    found = understood("Simmer 45 minutes.", meat="800 g pork ribs, cut into 4 cm pieces")
    assert found.cut == "rib_pieces"
    assert found.thickness_m is None


def test_a_bone_in_the_steps_is_a_bone_in_the_meat() -> None:
    found = understood(
        "Smoke at 110 °C for 10 hours until the bone pulls out.", meat="4 kg pork butt"
    )
    assert found.cut == "shoulder_bone_in"


# --- how it is laid out


ONE_LINE = """Sticky ribs

Ingredients:  1 kilo spare ribs | 100 ml hoisin | 4 tbsp honey | 1 star anise

Method:  Put the ribs in a tin with a mug of water, cover with foil, bake at 150C for 2 hours.

Tip: leftovers freeze well.
"""


def test_ingredients_on_one_line() -> None:
    recipe = read(ONE_LINE)
    assert recipe.ingredients == (
        "1 kilo spare ribs",
        "100 ml hoisin",
        "4 tbsp honey",
        "1 star anise",
    )
    assert len(recipe.steps) == 1
    assert recipe.notes == ("Tip: leftovers freeze well.",)


def test_a_part_on_one_line_is_a_part() -> None:
    text = (
        "Butts for the hall\n\nIngredients\n4 lb pork butt\n2 Tbsp rub\n"
        "For mustard sauce: 1 cup yellow mustard, 1/2 cup honey, 1/4 cup brown sugar\n\n"
        "Method\nRub the butt. Smoke at 225 F for 8 hours.\nPull. Serve the sauce on the side.\n"
    )
    recipe = read(text)
    assert [part.name for part in recipe.parts] == ["For mustard sauce"]
    assert "1/2 cup honey" in recipe.ingredients
    done = convert(understand(recipe), KITCHEN)
    assert [went(done, row) for row in (2, 3, 4)] == [["after"]] * 3


def test_an_abbreviation_ends_no_sentence() -> None:
    text = (
        "Holiday brisket\n(from the cookbook, p. 41)\n\n1 first-cut brisket, 4 to 5 lbs.\n"
        "1/2 c. red wine\n6 carrots, cut up\n\n"
        "Place in a roaster with the wine. Cover tightly with foil. Bake at 325° for 3 hrs.\n"
    )
    recipe = read(text)
    assert recipe.ingredients[0] == "1 first-cut brisket, 4 to 5 lbs."
    assert understand(recipe).mass_kg == pytest.approx(2.04, rel=0.01)


def test_the_subject_of_a_mail_is_the_title() -> None:
    text = (
        "From: Pat\nSubject: Fwd: pork for the working party\n\nHere it is.\n\n"
        "2 pork shoulders on the bone, 3 kg each\n6 tablespoons sea salt\n\n"
        "Rub the salt in.\nCover and roast at 130 C for nine hours.\nPull it with forks.\n\n"
        "See you there\n"
    )
    recipe = read(text)
    assert recipe.title == "pork for the working party"
    assert not any("See you" in step for step in recipe.steps)


# --- times and devices


@pytest.mark.parametrize(
    ("step", "method", "minutes"),
    [
        ("Cover and simmer 3 hours, or cook in a slow cooker on Low for 8 hours, until tender.",
         "simmer", 180),
        ("Smoke at 120°C for 7 hrs. Spritz with vinegar after 3 hrs, then hourly.", "smoker", 420),
        ("Toast the chiles; cover with boiling water 20 min. Cover the meat and bake at 160 °C "
         "for 3 hours.", "oven_lid", 180),
        ("Parboil the ribs for 10 minutes. Cover and simmer for 90 minutes.", "simmer", 90),
        ("Press sauté. Cook the onions 5 min, add garlic 1 min. Lock the lid and cook on HIGH "
         "PRESSURE for 45 minutes. Release naturally for 20 minutes.", "pressure", 45),
    ],
)  # fmt: skip
def test_only_the_long_heat_counts(step: str, method: str, minutes: float) -> None:
    cooking = read_method(Recipe("Supper", ("2 kg pork shoulder",), (step,)))
    assert cooking.method == method
    assert cooking.high_s == pytest.approx(60 * minutes)


@pytest.mark.parametrize(
    "release",
    ["Let pressure drop for 15 min., then quick release whatever is left.",
     "Let the steam come down on its own, 15 min. Then open the valve."],
)  # fmt: skip
def test_a_release_in_other_words(release: str) -> None:
    found = understood(f"Lock the lid. Pressure cook on high, 60 min. {release}")
    assert found.pressure is not None
    assert (found.pressure.hold_min, found.pressure.release) == (60, "timed")
    assert found.pressure.wait_s == pytest.approx(900)


@pytest.mark.parametrize(
    ("said", "texture"),
    [("till a spoon would cut it", "very"), ("Break the pieces up a little with a spoon", "falls")],
)
def test_more_ways_to_say_how_tender(said: str, texture: str) -> None:
    assert read_texture((said,)) == texture


# --- what the recipe does, and what it does not do


# --- cards, church books, forums, mails


CARD = """Beef short ribs - competition method

Meat: 2 plates beef short ribs (3 bones each, ~5 lb per plate)
Binder: hot sauce
Rub: black pepper, kosher salt, granulated garlic
Wood: post oak
Cook temp: 275F

1. Binder, then rub.
2. On the smoker 4 hrs until bark sets.
3. Rest 1 hour in a cooler. Slice between bones.
"""


def test_a_card_with_labels() -> None:
    recipe = read(CARD)
    done = convert(understand(recipe), KITCHEN)
    assert done.understood.mass_kg == pytest.approx(4.54, rel=0.01)
    season = next(step for step in done.steps if step.kind == "season")
    assert all(word in words(season) for word in ("black pepper", "kosher salt", "smoked paprika"))
    # the fire and its heat are no work of ours
    assert "275F" not in told(done)
    assert "post oak" not in told(done)


def test_counted_ingredients_are_those_that_follow() -> None:
    text = (
        "Honey garlic ribs\nSubmitted by: Marge T.\n\n3 lbs boneless country-style ribs\n"
        "1/2 c honey\n1/2 c soy sauce\n1/4 c ketchup\n2 T cornstarch + 2 T cold water\n\n"
        "Place ribs in crock pot. Mix next 3 ingredients, pour over. Cover, low 6 hrs.\n"
        "Remove ribs. Whisk cornstarch and water into the liquid, high 15 min until thick.\n"
    )
    recipe = read(text)
    assert recipe.author == "Marge T."
    done = convert(understand(recipe), KITCHEN)
    assert went(done, 3) == ["after"]  # ketchup that is poured over is no glaze
    # starch and its water are one thing, and go in together at the end
    assert went(done, 4) == ["after"]
    assert "Thicken with cornstarch stirred into cold water" in told(done)


@pytest.mark.parametrize(
    ("step", "named"),
    [
        ("Mix the next two ingredients.", ("mustard", "sugar")),
        ("Mix the first 2 ingredients.", ("mustard", "sugar")),
        ("Salt the meat. Add everything else.", ("mustard", "sugar", "cider")),
        ("Put all ingredients in the pot.", ("salt", "mustard", "sugar", "cider")),
    ],
)
def test_steps_that_count_are_spelled_out(step: str, named: tuple[str, ...]) -> None:
    lines = ("2 kg pork shoulder", "1 tsp mustard", "1 tsp sugar", "1 cup cider", "1 tsp salt")
    found = spelled_out((step,), read_ingredients(lines))
    assert len(found) == 1
    assert found[0].startswith(step[:4])
    assert all(name in found[0] for name in named)


def test_the_time_for_a_pound_counts_for_the_meat_alone() -> None:
    # 4 lb at 50 minutes, then twice 15 for what is beside it
    step = (
        "Cover and reduce to a simmer: 50 min per pound. Add the potatoes, simmer 15 min. "
        "Add the cabbage, simmer 15 min more."
    )
    cooking = read_method(Recipe("Supper", ("4 lb brisket flat",), (step,)))
    assert cooking.high_s == pytest.approx(60 * (200 + 30))


def test_chunks_without_a_size_are_chunks() -> None:
    # common practice: a chunk of a stew is 4 to 5 cm, and nobody means the whole shoulder
    found = understood("Simmer for 2 hours.", meat="1 kg pork shoulder, big chunks")
    assert found.thickness_m == pytest.approx(0.045)
    assert found.count > 5
    cut = understood(
        "Cut the pork into large chunks.", "Simmer 2 hours.", meat="1 kg pork shoulder"
    )
    assert cut.thickness_m == pytest.approx(0.045)


def test_prose_without_a_list_has_its_meat() -> None:
    text = (
        "Pulled pork in the oven\n\nI take an 8lb bone in butt and cover it in rub.\n"
        "Into a 250 oven for about 12 hours, till it hits 200 inside.\nPull it.\n"
    )
    found = understand(read(text))
    assert found.cut == "shoulder_bone_in"
    assert found.mass_kg == pytest.approx(3.63, rel=0.01)
    assert found.plates is None


def test_what_only_the_title_says() -> None:
    recipe = Recipe("Slow-roast pork shoulder, serves 8ish", ("2.5 kg pork shoulder",),
                    ("30 min at 220C, then down to 150C for 4 hrs.",))  # fmt: skip
    found = understand(recipe)
    assert found.cooking.method == "oven_open"
    assert found.plates == 8


def test_a_little_is_no_amount() -> None:
    line = read_line("a little oil")
    assert (line.low, line.name) == (None, "oil")


# --- what would have hurt


@pytest.mark.parametrize(
    ("line", "mass_kg", "asked"),
    [
        ("12 short ribs, English cut (circa 1,5 kg)", 1.5, False),
        ("2 racks back ribs, about 3 lb", 1.36, True),
    ],
)
def test_a_weight_behind_a_number(line: str, mass_kg: float, *, asked: bool) -> None:
    found = understood("Cover and simmer for 2 hours.", meat=line)
    assert found.mass_kg == pytest.approx(mass_kg, rel=0.01)
    assert ("mass" in {question.asked for question in found.questions}) == asked


def test_low_or_high_is_low() -> None:
    step = "Cover and cook on LOW for 8 hours, or HIGH for 4-5 hours, in the slow cooker."
    cooking = read_method(Recipe("Supper", ("3 lb short ribs",), (step,)))
    assert (cooking.method, cooking.high_s) == ("slow_low", 8 * 3600)


@pytest.mark.parametrize(
    ("text", "sentences"),
    [
        ("Heat the oven to 150°C. Cover and cook.", 2),
        ("Simmer approx. 3 hrs. covered.", 1),
        ("Bake 12 mins or so. Rest it; slice it.", 3),
        ("then foil + 300 oven 1.5 hr. then sauce em", 2),
    ],
)
def test_where_sentences_end(text: str, sentences: int) -> None:
    assert len(sentences_in(text)) == sentences


@pytest.mark.parametrize(
    ("step", "temp_c"),
    [
        ("Preheat the oven to 180C. Brown the meat. Reduce the heat to 150C. Cover and braise 3 "
         "hours.", 150),
        ("Roast 30 min at 220, then 4 hours at 140.", 140),
        ("On the pellet grill at 225F for 4 hours then 275F for 3.", 107.2),
        ("Put in an oven preheated to 160 (140 fan) for 3 hrs, covered in foil.", 160),
        ("Smoke low and slow (225f) for 6 hrs.", 107.2),
        ("Run the pit at two seventy-five for 5 hours.", 135),
        ("Heat the grill to medium, 350. Grill over indirect heat for 2 hours.", 176.7),
        ("Hold the pit between 225 and 250 for 12 hours.", 107.2),
    ],
)  # fmt: skip
def test_the_heat_of_the_long_time(step: str, temp_c: float) -> None:
    cooking = read_method(Recipe("Pork", ("2 kg pork shoulder",), (step,)))
    assert cooking.temp_c == pytest.approx(temp_c, rel=0.01)


def test_a_range_over_two_units() -> None:
    step = (
        "Roast in a very hot oven (450°) 30 minutes. Pour the sauce over the ribs. Continue baking "
        "in a moderate oven (350°) till tender, 45 minutes to 1 hour."
    )
    cooking = read_method(Recipe("Rib bake", ("4 lb spareribs",), (step,)))
    assert (cooking.low_s, cooking.high_s) == (75 * 60, 90 * 60)


def test_a_heading_in_capitals() -> None:
    text = (
        "Char siu\n\n600 g pork collar, in long strips 4 cm thick\nMARINADE\n2 tbsp hoisin\n"
        "1 tbsp light soy\nfew drops red colouring\n\n"
        "Mix the marinade, coat the pork, overnight in the fridge.\n"
        "Roast at 200C for 45 min.\nSlice.\n"
    )
    recipe = read(text)
    assert recipe.ingredients[-1] == "few drops red colouring"
    assert [part.role for part in recipe.parts] == ["marinade"]
    said = told(convert(understand(recipe), KITCHEN))
    assert said.count("8–12") == 1  # the night in the marinade is no second night in a rub


def test_a_forum_quotes_and_weighs_by_the_way() -> None:
    text = (
        'Post by smokeyjoe » Sat Jul 11\n[quote="newbie"]how do you do yours?[/quote]\n\n'
        "4-bone plate of dinos about 6 pounds\nsalt pepper garlic\n\n"
        "Smoke at 285ish about 3 hrs till the bark is good.\n"
        "Into a foil pan w a beer, covered, another 2.5 hrs till 205 inside.\n"
        "Last edited by smokeyjoe\n"
    )
    found = understand(read(text))
    assert found.cut == "short_ribs_english"
    assert found.mass_kg == pytest.approx(2.72, rel=0.01)


def test_large_cubes_are_cubes() -> None:
    found = understood(WET, meat="1.5 kg brisket, cut into 5-6cm chunks")
    assert found.count > 4


def test_a_weight_with_a_fraction_and_a_dash() -> None:
    found = understood(WET, meat="3½-lb. boneless pork shoulder, tied")
    assert found.mass_kg == pytest.approx(1.59, rel=0.01)


def test_a_button_of_the_cooker_is_no_simmering() -> None:
    step = "Brown in oil 4 min a side. Lock lid; MEAT/STEW 55 min high. NPR 15, then QR."
    found = understood(step, meat="2 1/2 lb brisket, cut in 4 chunks")
    assert found.pressure is not None
    assert (found.pressure.hold_min, found.pressure.release) == (55, "timed")


def test_a_numbered_list_has_no_amounts_in_its_numbers() -> None:
    text = (
        "1. 4 lb pork shoulder\n2. 1 Tbsp cumin\n3. 1 cup orange juice\n\n"
        "1. Rub the cumin on the pork.\n2. Put all in the crockpot.\n3. Low 8 hours.\n"
    )
    recipe = read(text)
    assert recipe.ingredients == ("4 lb pork shoulder", "1 Tbsp cumin", "1 cup orange juice")
    assert understand(recipe).mass_kg == pytest.approx(1.81, rel=0.01)


def test_meat_that_only_the_steps_name() -> None:
    text = (
        "Marinade\n2 tbsp soy sauce\n1 tbsp honey\n3 cloves garlic\n\n"
        "Mix and pour over 2 lb boneless short ribs. Chill 2 hours.\n"
        "Put everything in a Dutch oven, cover, 300F for 3 hours.\n"
    )
    found = understand(read(text))
    assert found.cut == "short_ribs_boneless"
    assert found.mass_kg == pytest.approx(0.907, rel=0.01)
    prose = (
        "Ribs & two sauces\n\n"
        "Get yourself three racks of baby back ribs (roughly 2½ pounds apiece). "
        "Salt them the night before. Cover with foil and bake at 150°C for two and a half hours.\n"
        "Serve with sauce.\n"
    )
    racks = understand(read(prose))
    assert (racks.cut, racks.count) == ("back_ribs", 3)
    assert racks.mass_kg == pytest.approx(3.4, rel=0.01)

"""How strangers write names, amounts, times and heats. The phrases are invented; what they mean is
common practice, or arithmetic."""

import json
from collections.abc import Callable

import pytest

from pneumachron.core.catalog.pots import ready_pot
from pneumachron.recipes.converting.convert import convert
from pneumachron.recipes.converting.kitchen import Kitchen
from pneumachron.recipes.model import Part, Recipe
from pneumachron.recipes.reading import read_recipe
from pneumachron.recipes.understanding.durations import durations_in, temperatures_in
from pneumachron.recipes.understanding.ingredients import read_ingredients
from pneumachron.recipes.understanding.lines import read_line
from pneumachron.recipes.understanding.meat import Meat, read_meat
from pneumachron.recipes.understanding.method import read_method
from pneumachron.recipes.understanding.plates import read_plates
from pneumachron.recipes.understanding.texture import read_texture
from pneumachron.recipes.understanding.understand import understand
from pneumachron.recipes.writing.formats import to_jsonld, to_markdown, to_text

POUND_KG = 0.45359237
"""Published: international yard and pound agreement of 1959."""


def test_fat_of_an_animal_is_no_second_meat() -> None:
    lines = ("12 lb whole packer brisket", "2 tbsp beef tallow")
    found = read_meat(read_ingredients(lines), "Brisket", ())
    assert (found.cut, found.others) == ("brisket_whole", ())


def meat_of(line: str, title: str = "Supper") -> Meat:
    return read_meat(read_ingredients((line,)), title, ())


@pytest.mark.parametrize(
    ("line", "title", "cut"),
    [
        ("2 slabs baby backs", "Ribs", "back_ribs"),
        ("1 rack St. Louis ribs", "Ribs", "spare_ribs_trimmed"),
        ("3 slabs spares", "My ribs", "spare_ribs"),
        ("1 kg pork riblets", "Snack", "rib_pieces"),
        ("12 lb whole packer", "Brisket", "brisket_whole"),
        ("6 lb flat", "Smoked brisket, my way", "brisket_flat"),
        ("1.2 kg boneless pork blade, rolled", "Roast", "shoulder_boneless"),
        ("2 kg neck end of pork on the bone", "Roast", "shoulder_bone_in"),
        ("2.5 kg hand of pork, bone in", "Roast", "shoulder_bone_in"),
        ("1 kg pork collar, boneless", "Roast", "shoulder_boneless"),
        ("4 lb boneless Boston butt", "Pulled", "shoulder_boneless"),
        ("4 lb Jacob’s ladder", "Braise", "short_ribs_english"),
        ("1 kg short ribs, without bone", "Ragout", "short_ribs_boneless"),
        ("2 lb party wings", "Wings", "wings"),
    ],
)
def test_names_in_use(line: str, title: str, cut: str) -> None:
    assert meat_of(line, title).cut == cut


@pytest.mark.parametrize(
    ("line", "kilos"),
    [
        ("3-1/2 lb boneless pork shoulder", 3.5 * POUND_KG),
        ("3# chicken wings", 3 * POUND_KG),
        ("2 (2 pound) racks baby back ribs", 4 * POUND_KG),
        ("3 slabs spares, 3 pounds per slab", 9 * POUND_KG),
        ("5-pound brisket", 5 * POUND_KG),
        ("1.500 g spare ribs", 1.5),
        ("1,800 g brisket flat", 1.8),
        ("1,8 kg pork shoulder", 1.8),
    ],
)
def test_weights(line: str, kilos: float) -> None:
    assert meat_of(line).mass_kg == pytest.approx(kilos)


@pytest.mark.parametrize(
    ("line", "millilitres"),
    [("2 EL mustard", 30), ("1 TL salt", 5), ("2 dsp honey", 20), ("1.000 ml stock", 1000)],
)
def test_spoons_of_other_kitchens(line: str, millilitres: float) -> None:
    (item,) = read_ingredients((line,))
    assert 1e6 * (item.volume_m3 or 0) == pytest.approx(millilitres, rel=0.02)


def test_half_a_pint_is_half() -> None:
    assert read_line("half a pint of cider").amount == 0.5


@pytest.mark.parametrize(
    ("said", "minutes"),
    [
        ("for an hour and a half", 90),
        ("two and a half hours", 150),
        ("three quarters of an hour", 45),
        ("a quarter of an hour", 15),
        ("an hour and a quarter", 75),
        ("smoke another hour", 60),
        ("1:30 h", 90),
        ("2,5 hours", 150),
        ("1 hr 45", 105),
        ("1 h 15 a pound", 75),
        ("3½ hours", 210),
        ("half an hour", 30),
        ("1h15", 75),
        ("a couple of hours", 120),
        ("about ninety minutes", 90),
        ("twenty-five minutes", 25),
        ("for an hour or so", 60),
        ("3 Stunden", 180),
        ("anderthalb Stunden", 90),
        ("dreieinhalb Stunden", 210),
        ("eine halbe Stunde", 30),
        ("eine Dreiviertelstunde", 45),
        ("zwei Stunden", 120),
        ("1 Stunde und 15 Minuten", 75),
        ("2 Std 20", 140),
        ("6+ hours", 360),
        ("one-and-a-half hours", 90),
        ("2 full hours", 120),
        ("10 additional minutes", 10),
        ("an extra hour", 60),
        ("a half hour", 30),
        ("1hr45min", 105),
    ],
)
def test_times_as_they_are_said(said: str, minutes: float) -> None:
    (span,) = durations_in(said)
    assert (span.low_s, span.high_s) == (60 * minutes, 60 * minutes)


@pytest.mark.parametrize(
    ("said", "celsius"),
    [
        ("Bake at 325 for three hours.", 162.8),
        ("225 till it hits the stall", 107.2),
        ("cook at 180 for an hour", 180.0),
        ("roast at 160 °C", 160.0),
        ("Gas 2", 150.0),
        ("gas mark ½", 130.0),
        ("a low oven (140 c)", 140.0),
        ("two hundred and fifty degrees", 121.1),
        ("hold the smoker at 240ish", 115.6),
        ("160°, lid on, 3 hours", 160.0),
        ("until it reaches 165°", 73.9),
        ("bei 140 Grad", 140.0),
    ],
)
def test_heats_as_they_are_said(said: str, celsius: float) -> None:
    assert temperatures_in(said)[0].temp_c == pytest.approx(celsius, abs=0.1)


@pytest.mark.parametrize("said", ["1.500 g ribs", "serves 120", "in 1950 my mother", "150 ml"])
def test_other_numbers_are_no_heat(said: str) -> None:
    assert not temperatures_in(said)


def cooked(*steps: str, title: str = "Supper", meat: str = "2 kg pork shoulder") -> Recipe:
    return Recipe(title, (meat,), steps)


@pytest.mark.parametrize(
    ("step", "method", "minutes"),
    [
        ("In the crock pot on low for 8 hrs.", "slow_low", 480),
        ("Cover and cook in a casserole at 150C for 4 hours.", "oven_lid", 240),
        ("Charcoal on one side of the kettle, lid on, 3 hrs, spritz every 30 min.", "grill", 180),
        ("Smoke on the pellet grill at 225 F for 6 hours.", "smoker", 360),
        ("Pressure cook on high 25 minutes. Natural release 10 minutes.", "pressure", 25),
        ("Cook at full pressure over a low flame for 45 minutes. Simmer 10 minutes more.",
         "stovetop_pressure", 45),
        ("Wrap each tightly in foil. 250 degrees, 3 hours.", "oven_lid", 180),
        ("Brown it in a Dutch oven. Simmer covered for 3 hours.", "simmer", 180),
        ("Set the valve. 50 min high. NPR 15 min.", "pressure", 50),
        ("High pressure for 40 minutes then natural release for 10 minutes.", "pressure", 40),
        ("Ribs on the cool side of a two-zone fire, 3 hours.", "grill", 180),
        ("Into a tagine over the lowest heat, 3 hours.", "simmer", 180),
        ("Roast 30 minutes at 220 °C, then cover, turn down to 150 °C and cook for 4 hours.",
         "oven_lid", 240),
        ("Tent with foil and bake 3 hours at 275 °F. Uncover, brush with sauce, bake 20 minutes.",
         "oven_lid", 180),
        ("Roast at 250 °F for an hour a pound.", "oven_open", 60 * 2 / POUND_KG),
        ("Roast at 150 °C for 4 hours. Turn the oven to 240 °C for 20 minutes, for crackling.",
         "oven_open", 240),
    ],
)  # fmt: skip
def test_devices_and_minutes(step: str, method: str, minutes: float) -> None:
    found = read_method(cooked(step))
    assert found.method == method
    assert found.low_s == pytest.approx(60 * minutes)


@pytest.mark.parametrize(
    ("said", "texture"),
    [
        ("until you can pull the bone clean out with your fingers", "falls"),
        ("until the meat slides off the bone", "falls"),
        ("until the meat is coming away from the bone", "falls"),
        ("until it breaks apart at a touch", "falls"),
        ("tear it into chunks with forks", "falls"),
        ("until the blade bone slips out", "falls"),
        ("until it flakes", "falls"),
        ("until it is falling to bits", "falls"),
        ("pull off a bone: it should come clean", "falls"),
        ("soft enough to cut with a spoon", "very"),
        ("to an internal temperature of 203", "very"),
        ("until meltingly soft", "very"),
        ("until a skewer meets no resistance", "tender"),
        ("until the tip of a knife slides in", "tender"),
        ("until a toothpick slides between the bones", "tender"),
        ("until the rack bends when lifted", "tender"),
        ("until the meat has pulled back from the bone ends", "tender"),
        ("cook till soft", "tender"),
        ("tender but not falling apart", "tender"),
        ("with a clean bite", "holds"),
        ("don't let it fall apart", "holds"),
        ("stop before they fall off the bone", "holds"),
        ("spoon the sauce over, and melt the butter", None),
        ("add 2 tablespoons of flaked salt", None),
        ("chop it fine", None),
    ],
)
def test_how_soft_it_should_be(said: str, texture: str | None) -> None:
    assert read_texture((said,)) == texture


def test_how_many_eat_and_how_soft() -> None:
    assert read_plates(cooked("Shred it. Serves 6.")) == 6
    assert read_plates(cooked("Cook for 6 hours at 150 °C.")) is None
    assert read_texture(("Bake until the bones pull out.",)) == "falls"
    assert read_texture(("Cook to 203 °F inside.",)) == "very"


FORUM = """posted by lowlander, 3 years ago
easy pulled pork
ok here it is since everyone asked!!
3-1/2 lb boston butt, boneless
1 cup of broth
rub the butt with salt n pepper, set it in the crock pot
pour broth over, low 8 hrs
reply   like (14)   share
> did you trim the fat?
"""


def test_what_stands_around_a_recipe_is_left_out_and_kept() -> None:
    found = read_recipe(FORUM).recipe
    assert found.title == "easy pulled pork"
    assert found.ingredients == ("3-1/2 lb boston butt, boneless", "1 cup of broth")
    assert found.steps[1] == "pour broth over, low 8 hrs"
    # no line is lost
    told = {*found.left_out, found.title, *found.ingredients, *found.steps, found.description}
    for line in FORUM.strip().split("\n"):
        words = " ".join(line.lstrip("> ").split())
        assert any(words in " ".join(text.split()) for text in told), line


def test_steps_may_stand_before_the_ingredients() -> None:
    found = read_recipe(
        "Backward ribs\nRub the ribs with the salt.\nBake covered at 300 °F for 2 hours.\n"
        "1 rack back ribs\n1 tsp salt\n"
    ).recipe
    assert found.ingredients == ("1 rack back ribs", "1 tsp salt")
    assert len(found.steps) == 2


@pytest.mark.parametrize(
    ("heading", "role"),
    [
        ("For the glaze", "glaze"), ("Rub:", "rub"), ("For the brine", "brine"),
        ("For the horseradish cream", "beside"), ("To serve:", "beside"), ("Marinade:", "marinade"),
        ("For the mop sauce", "glaze"), ("For the gravy", "sauce"), ("For the ribs", "main"),
    ],
)  # fmt: skip
def test_parts_by_their_headings(heading: str, role: str) -> None:
    text = f"Ribs\nIngredients\n1 rack back ribs\n{heading}\n1 tsp salt\nMethod\nBake 2 hours.\n"
    (part,) = read_recipe(text).recipe.parts
    assert part == Part(heading.strip(":"), part.role, (1,))
    assert part.role == role


CREDITED = Recipe(
    title="Oven ribs & more",
    ingredients=("2 racks back ribs", "1 tsp salt", "2 tbsp honey"),
    steps=("Bake the ribs covered at 300 °F for 2 hours.", "Brush with the honey."),
    yields="Serves 4",
    description="For a wet Sunday in the valley.",
    notes=("Keeps three days.",),
    author="Ida Marsh",
    source="https://example.org/ribs",
    parts=(Part.of("For the glaze", (2,)),),
)


@pytest.mark.parametrize("write", [to_jsonld, to_markdown, to_text])
def test_what_is_written_reads_back_with_its_credit(write: Callable[[Recipe], str]) -> None:
    assert read_recipe(write(CREDITED)).recipe == CREDITED


@pytest.mark.parametrize(
    ("node", "author", "source"),
    [
        ({"author": "Ida Marsh"}, "Ida Marsh", ""),
        ({"author": [{"@type": "Person", "name": "A"}, {"name": "B"}]}, "A, B", ""),
        ({"url": "https://example.org/a"}, "", "https://example.org/a"),
        ({"mainEntityOfPage": {"@id": "https://example.org/b"}}, "", "https://example.org/b"),
        ({"url": "javascript:alert(1)"}, "", ""),
    ],
)
def test_credit_on_structured_pages(node: dict[str, object], author: str, source: str) -> None:
    """Published: schema.org/Recipe, properties author, url, mainEntityOfPage; from memory."""
    whole = {"@type": "Recipe", "name": "R", "recipeIngredient": ["1 rack back ribs"], **node}
    found = read_recipe(json.dumps(whole)).recipe
    assert (found.author, found.source) == (author, source)


@pytest.mark.parametrize(
    "line", ["By the fire, 2 hours", "By all means add more", "Recipe for six", "from scratch"]
)
def test_what_is_no_credit(line: str) -> None:
    found = read_recipe(f"Ribs\n{line}\nIngredients\n1 rack ribs\nMethod\nBake 2 hours.\n").recipe
    assert (found.author, found.source) == ("", "")


@pytest.mark.parametrize(
    "line",
    ["home-made chicken stock, 500 ml", "shop-bought mustard, 2 tsp", "best olive oil",
     "2 Tbsp sharp mustard", "1 l stock?"],
)  # fmt: skip
def test_no_ingredient_is_taken_for_what_stands_around(line: str) -> None:
    text = f"Ribs\nIngredients\n1 rack back ribs\n{line}\nMethod\nBake covered for 2 hours.\n"
    assert line in read_recipe(text).recipe.ingredients


def test_a_second_yield_and_meat_in_an_odd_place_are_kept_once() -> None:
    text = (
        "Ribs\nServes 4\nIngredients\n1 rack back ribs\nMethod\nBake covered for 2 hours.\n"
        "Makes 2 cups of sauce\n"
    )
    found = read_recipe(text).recipe
    assert found.yields == "Serves 4"
    told = (*found.steps, *found.left_out, *found.notes, found.description)
    assert sum("Makes 2 cups of sauce" in part for part in told) == 1


def test_the_heat_of_the_long_time_is_read_not_of_the_blast_before() -> None:
    blast = "Roast 30 minutes at 220 °C, then cover, turn down to 150 °C and cook for 4 hours."
    assert read_method(cooked(blast)).temp_c == 150


@pytest.mark.parametrize(
    ("line", "when"),
    [
        ("1 can condensed tomato soup", "after"), ("1 packet gravy mix", "after"),
        ("1/2 cup plum sauce", "after"), ("1 cup buttermilk", "after"),
        ("1/2 cup peanut butter", "top"), ("1 bunch kale", "after"), ("1 jar salsa", "top"),
        # a can is cooked already: it is warmed in the sauce, and needs no run of its own
        ("1 can kidney beans", "after"), ("1 cup dried beans", "first_run"),
        ("1/2 cup breadcrumbs", "after"),
        ("1 cup coleslaw", "beside"), ("1/2 cup raisins", "after"), ("1 cup root beer", "pot"),
        ("1 bunch coriander", "after"), ("1/4 cup chili garlic sauce", "top"),
        ("1 cup crushed pineapple", "after"), ("1 packet onion soup mix", "after"),
    ],
)  # fmt: skip
def test_what_is_thick_sweet_or_starchy_stays_off_the_bottom(line: str, when: str) -> None:
    """Common practice: it sinks, scorches, and stops the cooker from coming to pressure."""
    recipe = Recipe("Braise", ("2 kg pork shoulder", "500 ml stock", line),
                    ("Braise everything covered at 150 °C for 4 hours.",))  # fmt: skip
    done = convert(understand(recipe), Kitchen(ready_pot("bass"), 0.0, 4.0))
    assert {item.when for item in done.lines if item.origin == 2} == {when}


@pytest.mark.parametrize(
    ("meat", "step", "count", "thickness_cm"),
    [
        ("1.5 kg pork shoulder", "Cut the meat into 4 cm chunks.", 22, 4.0),
        ("2 kg pork shoulder", "Cut into fist-sized pieces.", 4, 8.0),
        ("4 lb pork butt", "Halve the butt.", 2, None),
        ("4 lb pork butt, quartered", "Brown it.", 4, None),
        ("3 lb brisket flat", "Cut the brisket in two across the grain.", 2, None),
        ("2 racks baby back ribs, 2 kg in all", "Cut the racks in half.", 4, None),
        ("2 racks baby back ribs, 2 kg in all", "Cut the racks into 3-bone sections.", 8, None),
        ("2 racks baby back ribs, 2 kg in all", "Cut between the bones.", 24, None),
        ("2 kg pork shoulder", "Cut the carrots into 2 cm chunks.", 1, None),
        ("2 kg pork shoulder", "Cut the onions in half.", 1, None),
    ],
)
def test_sizes_told_in_the_steps(
    meat: str, step: str, count: int, thickness_cm: float | None
) -> None:
    """Arithmetic: a cube of 4 cm weighs 67 g; a rack has some twelve bones (common practice)."""
    recipe = Recipe("Supper", (meat, "1 l stock"), (step, "Braise covered at 150 °C for 3 hours."))
    found = understand(recipe)
    assert found.count == count
    assert found.thickness_m == (
        None if thickness_cm is None else pytest.approx(thickness_cm / 100)
    )


def test_what_is_cut_after_the_heat_is_no_size_of_the_raw_meat() -> None:
    steps = ("Braise covered at 150 °C for 3 hours.", "Cut the pork into 2 cm cubes.")
    found = understand(Recipe("Supper", ("2 kg pork shoulder", "1 l stock"), steps))
    assert (found.count, found.thickness_m) == (1, None)


def test_a_weight_that_is_guessed_is_that_of_what_was_bought() -> None:
    steps = ("Cut the racks into single ribs.", "Braise covered at 150 °C for 3 hours.")
    found = understand(Recipe("Ribs", ("2 racks baby back ribs", "1 l stock"), steps))
    assert (found.count, found.mass_kg) == (24, 2.0)

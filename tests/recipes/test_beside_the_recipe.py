"""What stands above, among and below a recipe, and is none of it: nothing of the recipe is lost.

That another way, another piece and a reader's word change nothing of what the recipe says is
common practice; the lines are invented.
"""

import json
from pathlib import Path

import pytest

from pneumachron.recipes.converting.convert import convert
from pneumachron.recipes.model import Recipe, Section
from pneumachron.recipes.reading import read_recipe
from pneumachron.recipes.understanding.other_ways import in_one_way
from pneumachron.recipes.understanding.remarks import without_remarks
from pneumachron.recipes.understanding.understand import Understood, understand
from tests.recipes.supper import KITCHEN
from tests.text.words import words

FOODS = ("1.5 kg boneless pork shoulder", "1 tsp salt", "1 onion, sliced", "2 carrots, sliced",
         "1 cup stock")  # fmt: skip
STEPS = (
    "Salt the pork and brown it in the oil.", "Soften the onion and carrots in the fat.",
    "Add the stock, cover and braise at 300F for 3 hours.", "Rest the meat, then slice it.",
)  # fmt: skip
PLACES = ("top", "foods", "steps", "end")


def page(noise: str, place: str, *, headings: bool) -> str:
    """The recipe, with something else above it, behind its foods, among its steps or below."""
    told = {each: f"{noise}\n\n" if each == place else "" for each in PLACES}
    over = ("Ingredients\n", "Method\n") if headings else ("", "")
    steps = [f"{number}. {step}" if headings else step for number, step in enumerate(STEPS, 1)]
    lines = (
        "Braised pork shoulder\n", f"{told['top']}{over[0]}{FOODS[0]}", *FOODS[1:],
        f"\n{told['foods']}{over[1]}{steps[0]}\n", f"{told['steps']}{steps[1]}", *steps[2:],
        f"\n{told['end']}",
    )  # fmt: skip
    return "\n".join(lines)


def read(noise: str, place: str, *, headings: bool) -> Recipe:
    return read_recipe(page(noise, place, headings=headings).encode()).recipe


BOXES = (
    "Equipment\n- Dutch oven\n- tongs",
    "Tools\npot\ntongs\nknife",
    "You will need\na heavy pot with a lid\nkitchen paper\ntongs",
    "Special equipment: a grill basket",
    "Nutrition\nCalories 420\nFat 25 g\nProtein 31 g",
    "Nutrition per serving: 420 kcal, 31 g protein, 25 g fat",
    "Notes\nUse good stock.\nThe onion may be red.",
    "Tips\n- Don't rush the browning.\n- A heavier pot is better.",
    "Tipps\nBeim Metzger vorbestellen.\nMit Bier wird es kräftiger.",
    "Variations\nUse cider instead of stock.\nAdd 2 parsnips.\nSwap thyme for sage.",
    "Comments\nRob: lovely, used 2 cups wine.\nAnn: took 4 hours in mine.",
    "3 Comments\n\nRob\nMarch 4\nLovely, used 2 cups wine.\n\nAnn\nMine took 4 hours at 275F.",
    "Related recipes\nBeef stew with ale\nSticky cider ribs\nPork and beans",
    "Storage\nKeeps 3 days in the fridge.\nFreezes for 3 months.",
    "Why this works\nCollagen melts slowly, so take your time.\nThe onions make the gravy.",
    "About the author\nIna cooks in a village hall.\nShe has two dogs.",
    "Make ahead\nBraise it the day before, chill, reheat at 325F for 40 minutes.",
    "Newsletter\nGet a recipe every week. Enter your email address.",
    "Advertisement\n\nContinue below",
    "Share this page\nPrint\nSave\nEmail",
)


@pytest.mark.parametrize("headings", [False, True])
@pytest.mark.parametrize("place", PLACES)
@pytest.mark.parametrize("box", BOXES)
def test_a_box_takes_nothing_of_the_recipe_with_it(box: str, place: str, *, headings: bool) -> None:
    recipe = read(box, place, headings=headings)
    assert recipe.title == "Braised pork shoulder"
    assert (recipe.ingredients, recipe.steps) == (FOODS, STEPS)


def test_notes_among_the_recipe_are_kept_as_notes() -> None:
    recipe = read("Notes\nUse good stock.\nThe onion may be red.", "foods", headings=False)
    assert recipe.notes == ("Use good stock.", "The onion may be red.")
    again = read("Equipment\nDutch oven\ntongs", "steps", headings=True)
    assert again.left_out == ("Dutch oven", "tongs")


BESIDE_THE_LIST = (
    "* see notes", "*I used a picnic", "(The onion can be left out.)", "(US / Metric)",
    "You'll need a 5-quart pot with a lid.", "Ingredient notes: use good stock.",
    "Note: don't use lean pork", "Salt: use half as much if table salt.", "Advertisement",
    "Allergens: celery, perhaps gluten", "Utensils: 1 pot, 1 knife", "(photo 3)",
)  # fmt: skip


@pytest.mark.parametrize("line", BESIDE_THE_LIST)
def test_what_is_said_of_the_list_is_no_food(line: str) -> None:
    for headings in (False, True):
        assert read(line, "foods", headings=headings).ingredients == FOODS


HEADINGS = (
    "Step 1: the rub", "[rub]", "For the rub (can be made ahead)", "Rub - mix together",
    "Spices", "Sauce ingredients", "Dry ingredients", "Produce", "Pantry", "Meat & dairy",
    "Gewürze",
)  # fmt: skip


@pytest.mark.parametrize("heading", HEADINGS)
def test_a_subheading_is_no_food(heading: str) -> None:
    text = page("", "top", headings=True).replace("1 tsp salt", f"{heading}\n1 tsp salt")
    recipe = read_recipe(text.encode()).recipe
    assert recipe.ingredients == FOODS
    assert [part.name for part in recipe.parts] == [heading.strip("[]")]


def test_optional_is_said_of_a_food_and_no_step() -> None:
    lines = read("Optional: 1 tsp chile flakes", "foods", headings=False).ingredients
    assert lines == (*FOODS, "1 tsp chile flakes, optional")


REMARKS = (
    "Slow cooker: cook on low for 8 hours.",
    "Slow cooker method: brown the pork, put it in the slow cooker and cook on low for 8 hours.",
    "To make in the slow cooker, cook on low 8 to 10 hours.",
    "Crockpot directions: low 8-10 hours.",
    "You can also do this in a slow cooker on low for 8 hours.",
    "Alternatively, cook in a slow cooker for 8 hours on low.",
    "(Or do it in a slow cooker, 8 hours low.)",
    "If using a slow cooker, cook 8 hours on low.",
    "For the slow cooker, put everything in and cook 8 hours on low.",
    "Works on the grill too: indirect, 225F, 6 hours.",
    "In a hurry? Cook at 350F for 2 hours.",
    "Stovetop: simmer very gently for 3 1/2 hours.",
    "On the stove it takes about 2 1/2 hours.",
    "For a bigger piece (3 kg) allow 5 hours.",
    "A boneless shoulder takes 30 minutes less.",
    "I once left it in for 5 hours and it was fine.",
    "Mine took 4 hours.",
    "Jo says: I used 2 lb and it took 2 hours, added 1 cup wine.",
    "gruntle99: smoked mine at 225 for 8 hours instead",
    "Anna: Habe es 4 Stunden bei 130 Grad gemacht.",
    "EDIT 2: some of you asked, yes you can smoke it, 250F for 6 hours.",
    "To cook from frozen, add 1 hour.",
    "Use the leftovers in tacos: fry 5 minutes until crisp.",
    "Oven: 300F. Time: 3 hours.",
    "With beef: use 3 lb chuck and cook 4 hours.",
    "Try it with beef short ribs; they need 3 1/2 hours.",
    "For pulled pork, cook an hour longer.",
    "Want it shreddable? Give it 4 hours.",
    "We had it with red cabbage that simmered for 2 hours.",
    "Im Schongarer: 8 Stunden auf niedrig.",
    "Im Schnellkochtopf 45 Minuten.",
    "Ready in 3 h 40",
    "Rating: great. Would cook 30 min less next time.",
)


def heat_of(understood: Understood) -> tuple[object, ...]:
    heat = understood.cooking
    return (heat.method, heat.low_s, heat.high_s, heat.temp_c, understood.texture,
            understood.crust.kind, understood.cut)  # fmt: skip


@pytest.mark.parametrize("remark", REMARKS)
def test_another_way_or_piece_changes_nothing_of_the_heat(remark: str) -> None:
    plain = understand(Recipe("Pork shoulder", FOODS, STEPS))
    assert heat_of(plain)[:2] == ("oven_lid", 3 * 3600.0)
    pasted = understand(read(remark, "end", headings=True))
    assert heat_of(pasted) == heat_of(plain)
    # of a page with marks it is a step
    step = understand(Recipe("Pork shoulder", FOODS, (*STEPS, remark)))
    assert heat_of(step) == heat_of(plain)
    joined = understand(Recipe("Pork shoulder", FOODS, (*STEPS[:3], f"{STEPS[3]} {remark}")))
    assert heat_of(joined) == heat_of(plain)


def test_a_heat_is_long_though_its_sentence_softens_the_onions() -> None:
    steps = ("Soften the onions, add the stock, cover and braise at 300F for 3 hours.",)
    assert without_remarks((*steps, "Slow cooker: low 8 hours.")) == (*steps, "")
    soaked = ("Marinate the pork in the fridge for 2 hours.", "Slow cooker: low 8 hours.")
    assert without_remarks(soaked) == soaked


def test_a_slurry_is_told_once() -> None:
    slaked = (
        "Take out the meat. Mix the cornstarch with cold water, stir it into the juices and boil."
    )
    recipe = Recipe("Pork shoulder", (*FOODS, "1 tbsp cornstarch"), (*STEPS[:3], slaked))
    converted = convert(understand(recipe), KITCHEN)
    told = [words(step) for step in converted.steps if "cornstarch" in words(step)]
    assert len(told) == 1
    assert "Thicken with cornstarch stirred into cold water" in told[0]


NO_REMARKS = (
    ("In the slow cooker, cook on low for 8 hours.",),
    ("Slow cooker: low 8 hours.",),
    ("Smoke it at 225F for 3 hours.", "In the oven, wrapped, give it 2 hours more at 275F."),
    ("Braise for 3 hours.", "For a thicker sauce, add the slurry."),
    ("Braise for 3 hours.", "Keep back 1/4 cup of the juice."),
    ("Braise for 3 hours.", "If the sauce is thin, boil it down."),
    ("Braise for 3 hours.", "Any leftover sauce is served with it."),
    ("Braise for 3 hours.", "Grill: brush with the sauce, 5 minutes a side."),
    ("Smoke for 3 hours.", "Oven: wrapped, at 275F, 2 hours more."),
    ("Braise for 3 hours.", "For crisp edges, broil it 5 minutes longer."),
    ("Braise for 3 hours.", "You need 2 cups of the juice for the gravy."),
    ("Braise for 3 hours.", "We served it with mash and peas."),
    ("Braise for 3 hours.", "I make the gravy with 2 cups of the juice."),
    ("Saturday: smoked the ribs at 225F for 5 hours.",),
    ("Mum says: cook it for 3 hours, and not a minute less.",),
)


@pytest.mark.parametrize("steps", NO_REMARKS)
def test_work_is_no_remark(steps: tuple[str, ...]) -> None:
    assert without_remarks(steps) == steps


def test_a_label_with_work_behind_it_stays_a_step() -> None:
    for line in (
        "Gravy: use the juices and a little flour.",
        "Save the fat for the potatoes, hot.",
    ):
        recipe = read(line, "end", headings=True)
        assert (recipe.steps, recipe.notes) == ((*STEPS, line), ())


def test_minutes_of_a_pressure_cooker_are_taken_from_wherever_they_stand() -> None:
    told = understand(read("Pressure cooker: 60 minutes at high pressure.", "end", headings=True))
    assert (told.cooking.method, told.cooking.low_s) == ("pressure", 3600.0)


@pytest.mark.parametrize("tool", ["a large roasting pan", "an instant-read thermometer", "Foil"])
def test_a_tool_among_the_foods_is_not_cooked(tool: str) -> None:
    converted = convert(understand(Recipe("Pork shoulder", (*FOODS, tool), STEPS)), KITCHEN)
    said = " ".join(map(words, converted.steps)).lower()
    assert tool.removeprefix("a ").removeprefix("an ").lower() not in said.replace("with foil", "")


def web_page(box: str, place: str) -> str:
    """The same as a page that marks nothing."""
    name, *lines = filter(None, box.split("\n"))
    listed = "".join(f"<li>{line.removeprefix('- ')}</li>" for line in lines)
    apart = f"<h3>{name}</h3><ul>{listed}</ul>" if lines else f"<p>{name}</p>"
    told = {each: apart if each == place else "" for each in PLACES}
    foods = "".join(f"<li>{food}</li>" for food in FOODS)
    steps = [f"<p>{step}</p>" for step in STEPS]
    return (
        f"<html><body><h1>Braised pork shoulder</h1>{told['top']}<ul>{foods}</ul>{told['foods']}"
        f"{steps[0]}{told['steps']}{''.join(steps[1:])}{told['end']}</body></html>"
    )


def markdown(box: str, place: str) -> str:
    """The same in Markdown, the steps below their heading."""
    name, *lines = filter(None, box.split("\n"))
    listed = "".join(f"- {line.removeprefix('- ')}\n" for line in lines)
    apart = f"### {name}\n\n{listed}\n" if lines else f"{name}\n\n"
    told = {each: apart if each == place else "" for each in PLACES}
    foods = "".join(f"- {food}\n" for food in FOODS)
    later = "\n\n".join(STEPS[1:])
    return (
        f"# Braised pork shoulder\n\n{told['top']}## Ingredients\n\n{foods}\n{told['foods']}"
        f"## Method\n\n{STEPS[0]}\n\n{told['steps']}{later}\n\n{told['end']}"
    )


@pytest.mark.parametrize("place", PLACES)
@pytest.mark.parametrize("box", BOXES)
def test_a_box_of_a_page_takes_nothing_with_it(box: str, place: str) -> None:
    for text in (web_page(box, place), markdown(box, place)):
        recipe = read_recipe(text.encode()).recipe
        assert (recipe.title, recipe.ingredients, recipe.steps) == (
            "Braised pork shoulder", FOODS, STEPS,
        )  # fmt: skip


VOICES = Path(__file__).parent / "voices"


@pytest.mark.parametrize(
    ("name", "title", "method", "hours"),
    [
        ("birria_on_a_thread.txt", "birria de res for a crowd", "simmer", 3.0),
        (
            "schaeufele_mit_hinweisen.txt",
            "Fränkisches Schäufele mit Kloß und Soß",
            "oven_open",
            2.5,
        ),
        ("ribs_and_kraut_of_lottie.txt", "Ribs & Kraut", "oven_lid", 2.5),
        ("note_on_the_freezer.txt", "Short ribs in the chest freezer", "oven_lid", 4.0),
        ("adobo_between_bars.txt", "PORK ADOBO (lola's)", "simmer", 1.0),
        ("carnitas_with_readers_tips.txt", "Carnitas, the Tuesday version", "simmer", 1.5),
    ],
)
def test_the_first_way_of_a_text_is_its_own(
    name: str, title: str, method: str, hours: float
) -> None:
    told = understand(read_recipe((VOICES / name).read_bytes()).recipe)
    heat = told.cooking
    assert (told.recipe.title, heat.method, heat.low_s) == (title, method, hours * 3600.0)


def test_what_else_those_texts_say_is_read() -> None:
    def told(name: str) -> Understood:
        return understand(read_recipe((VOICES / name).read_bytes()).recipe)

    birria, adobo = told("birria_on_a_thread.txt"), told("adobo_between_bars.txt")
    assert [item.line.raw for item in birria.ingredients[:3]] == [
        "6 guajillo", "3 ancho", "2 arbol, stems and seeds out, soaked in hot water 20 min",
    ]  # fmt: skip
    assert birria.plates is None  # “since three people asked”
    assert (len(adobo.ingredients), adobo.plates) == (9, 6.0)
    assert told("ribs_and_kraut_of_lottie.txt").recipe.author == "Lottie Brandt"
    assert told("schaeufele_mit_hinweisen.txt").crust.kind == "broiler"
    assert told("carnitas_with_readers_tips.txt").crust.kind == "pan"
    frozen = told("note_on_the_freezer.txt")
    assert (frozen.cut, frozen.mass_kg) == ("short_ribs_english", 2.0)


OVEN = (
    "Rub the pork with the salt and set it on the onion in a Dutch oven.",
    "Add the stock, cover, and bake at 300F for 4 hours.",
    "Slice it.",
)
SLOW = (
    "Rub the pork with the salt and set it on the onion in the slow cooker.",
    "Add the stock. Cook on low for 9 hours.",
    "Slice it.",
)
PRESSURE = (
    "Cut the pork in 4. Rub, add onion and stock, high pressure 60 minutes, natural release 15.",
    "Slice it.",
)


def in_ways(*ways: tuple[str, tuple[str, ...]]) -> Recipe:
    steps = "\n\n".join(
        "\n".join((name, *(f"{number}. {step}" for number, step in enumerate(told, 1))))
        for name, told in ways
    )
    foods = "\n".join(FOODS)
    return read_recipe(f"Pork shoulder (2 ways)\n\n{foods}\n\n{steps}\n".encode()).recipe


def test_of_two_ways_with_headings_the_first_is_cooked() -> None:
    recipe = in_ways(("Oven Method", OVEN), ("Slow Cooker Method", SLOW))
    assert (recipe.ingredients, recipe.steps) == (FOODS, OVEN)
    assert recipe.notes == ("Slow Cooker Method", *SLOW)
    told = understand(recipe).cooking
    assert (told.method, told.low_s) == ("oven_lid", 4 * 3600.0)
    slow = understand(in_ways(("Slow Cooker:", SLOW), ("Oven:", OVEN))).cooking
    assert (slow.method, slow.low_s) == ("slow_low", 9 * 3600.0)


def test_of_several_ways_an_electric_pressure_cooker_is_the_first() -> None:
    told = understand(in_ways(("Slow Cooker:", SLOW), ("Pressure Cooker:", PRESSURE))).cooking
    assert (told.method, told.low_s) == ("pressure", 3600.0)


def test_sections_of_a_page_may_be_two_ways_and_tips_are_notes() -> None:
    def section(name: str, steps: tuple[str, ...]) -> dict[str, object]:
        told = [{"@type": "HowToStep", "text": step} for step in steps]
        return {"@type": "HowToSection", "name": name, "itemListElement": told}

    tip = {"@type": "HowToTip", "text": "A bigger piece needs 5 hours."}
    detailed = {
        "@type": "HowToStep", "text": OVEN[1],
        "itemListElement": [{"@type": "HowToDirection", "text": "Cover and bake."}, tip],
    }  # fmt: skip
    node = {
        "@type": "Recipe", "name": "Pork shoulder", "recipeIngredient": list(FOODS),
        "recipeInstructions": [section("Oven", OVEN), section("Slow cooker", SLOW), tip],
    }  # fmt: skip
    recipe = read_recipe(json.dumps(node).encode()).recipe
    assert (recipe.steps, recipe.notes) == ((*OVEN, *SLOW), (tip["text"],))
    told = understand(recipe).cooking
    assert (told.method, told.low_s) == ("oven_lid", 4 * 3600.0)
    node["recipeInstructions"] = [detailed]
    alone = read_recipe(json.dumps(node).encode()).recipe
    assert (alone.steps, alone.notes) == ((OVEN[1],), (tip["text"],))
    detailed["text"] = "Bake it."
    node["recipeInstructions"] = [detailed]
    assert read_recipe(json.dumps(node).encode()).recipe.steps == ("Cover and bake.",)


def test_two_stages_are_no_two_ways() -> None:
    stages = Recipe(
        "Ribs", ("2 racks spare ribs, 5 lb",),
        ("Smoke the ribs at 225F for 3 hours.", "Wrap and bake at 275F for 2 hours."),
        sections=(Section("Smoker", 0), Section("Oven", 1)),
    )  # fmt: skip
    assert understand(stages).cooking.low_s == 5 * 3600.0
    then_slow = Recipe(
        "Pork shoulder", FOODS,
        ("Smoke the pork at 225F for 3 hours.", "Put the smoked pork into it, on low for 5 hours."),
        sections=(Section("Smoker", 0), Section("Slow cooker", 1)),
    )  # fmt: skip
    assert all(in_one_way(then_slow).steps)

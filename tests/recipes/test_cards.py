"""A page tells its recipe twice, in a post and on a card: it is read once, from the card.

How such pages are built is common practice; the recipe is invented.
"""

import pytest

from pneumachron.recipes.reading import read_recipe

FOODS = (
    "3 lb boneless pork shoulder, cut in 4",
    "2 tsp salt",
    "1 onion, sliced",
    "1 cup dry cider",
    "2 tbsp cider vinegar",
)
STEPS = (
    "Season the pork with the salt.",
    "Brown it on all sides in a Dutch oven.",
    "Add the onion and cider, cover, and braise at 300F for 3 hours.",
    "Shred the pork and stir in the vinegar.",
)
TITLE = "Pork shoulder in cider"
LISTED = {
    "with colons": "What you'll need\n\nPork shoulder: boneless.\nCider: dry, not sweet.",
    "with dashes": "Ingredients you'll need\n\n- Pork shoulder - boneless\n- Cider - a dry one",
    "bare": "Ingredients\n\nPork shoulder\nOnion\nDry cider",
    "measured": "Ingredients\n\n- 3 lb pork shoulder, from the market\n- 2 tsp salt, coarse\n"
    "- 1 onion\n- 1 cup cider (not sweet)\n- 2 tbsp cider vinegar",
    "nowhere": "",
}
TOLD = {
    "in steps": "How to make it\n\nStep 1: Salt the pork and brown it on all sides.\n\n"
    "Step 2: Add onion and cider and cook in the oven at 300F for 3 hours.\n\n"
    "Step 3: Pull the pork apart and stir in the vinegar.",
    "in a letter": "How do you make it?\n\nI season the pork and brown it well. Then in go the "
    "onion and a cup of cider, and the pot stands in a 300F oven for three hours.\n\n"
    "Can I use a slow cooker?\n\nYes! Brown the pork, then cook on low for 8 hours.",
    "nowhere": "",
}
CARD = "{title}\nPrep: 20 minutes\nServes 6\n\n{foods}\n\n{steps}"


def card(*, headed: bool) -> str:
    foods, steps = "\n".join(FOODS), "\n".join(STEPS)
    if headed:
        foods, steps = f"Ingredients\n\n{foods}", f"Instructions\n\n{steps}"
    return CARD.format(title=TITLE, foods=foods, steps=steps)


@pytest.mark.parametrize("headed", [True, False])
@pytest.mark.parametrize("told", TOLD)
@pytest.mark.parametrize("listed", LISTED)
def test_the_card_below_a_post_is_the_recipe(listed: str, told: str, headed: bool) -> None:
    post = "\n\n".join(filter(None, (LISTED[listed], TOLD[told])))
    said = "This pork is the easiest supper I know, and it feeds a crowd."
    text = f"{TITLE}\n\n{said}\n\n{post}\n\n{card(headed=headed)}\n"
    recipe = read_recipe(text.encode()).recipe
    assert (recipe.title, recipe.ingredients, recipe.steps) == (TITLE, FOODS, STEPS)
    assert said in recipe.description
    kept = " ".join((*recipe.left_out, *recipe.notes, recipe.description))
    assert all(line.lstrip("- ") in kept for line in post.split("\n") if line.startswith("-"))


@pytest.mark.parametrize("told", ["in steps"])
@pytest.mark.parametrize("listed", ["with dashes", "nowhere"])
def test_a_post_below_the_card_tells_it_again(listed: str, told: str) -> None:
    post = "\n\n".join(filter(None, (LISTED[listed], TOLD[told])))
    recipe = read_recipe(f"{card(headed=True)}\n\n{post}\n".encode()).recipe
    assert (recipe.title, recipe.ingredients, recipe.steps) == (TITLE, FOODS, STEPS)


def test_a_second_heat_of_another_length_is_the_next_step() -> None:
    """“How to cook it”, with other hours than before, goes on with the recipe."""
    more = (
        "How to cook it the next day\n\nBraise the pulled pork in the rest of the cider, 2 hours."
    )
    recipe = read_recipe(f"{card(headed=True)}\n\n{more}\n".encode()).recipe
    assert any("2 hours" in step for step in recipe.steps)


def test_a_rub_with_its_own_foods_is_no_post() -> None:
    text = (
        "Pork shoulder\n\nRub\n1 tbsp salt\n1 tbsp pepper\n1 tbsp paprika\n\nMix the rub.\n\n"
        "Pork\n1.5 kg pork shoulder\n1 onion\n200 ml stock\n\n"
        "Rub the pork.\nAdd onion and stock and braise at 150 °C for 3 hours.\n"
    )
    recipe = read_recipe(text.encode()).recipe
    assert {"1 tbsp paprika", "1.5 kg pork shoulder", "200 ml stock"} <= set(recipe.ingredients)
    assert not recipe.left_out


@pytest.mark.parametrize(
    ("line", "prep_s", "cook_s"),
    [("20 min prep, 3 hr cook", 1200.0, 10800.0), ("Prep: 15 min. Cook: 2 h", 900.0, 7200.0)],
)
def test_times_stand_before_or_behind_their_label(line: str, prep_s: float, cook_s: float) -> None:
    foods, steps = "\n".join(FOODS), "\n".join(STEPS)
    recipe = read_recipe(f"{TITLE}\n{line}\n\n{foods}\n\n{steps}\n".encode()).recipe
    assert (recipe.prep_s, recipe.cook_s) == (prep_s, cook_s)
    assert line not in recipe.description


def test_a_meat_that_looks_like_work_stays_on_its_list() -> None:
    """“Plate short ribs”, first below the heading: the list begins with it."""
    foods = ("Plate short ribs, one rack (5 lbs)", *FOODS[1:])
    text = "\n".join(("Dino ribs", "", "You need", "", *foods, "", "Method", "", *STEPS))
    assert read_recipe(text.encode()).recipe.ingredients == foods


def test_a_post_in_german() -> None:
    post = (
        "Geschmorte Rippchen\n\nWas ihr braucht\n\nSchweinerippchen – frisch\nMost – trocken\n\n"
        "So geht's Schritt für Schritt\n\nSchritt 1: Rippchen salzen und anbraten.\n"
        "Schritt 2: Zugedeckt bei 160 Grad 2 Stunden im Ofen schmoren.\n\n"
    )
    foods = ("1,5 kg dicke Rippe vom Schwein", "2 TL Salz", "2 Zwiebeln", "400 ml Apfelmost")
    steps = ("Die Rippe salzen und anbraten.", "Mit Most bei 160 °C 2 Stunden im Ofen schmoren.")
    card = "\n".join(("Zutaten", *foods, "", "Zubereitung", *steps))
    recipe = read_recipe(f"{post}Geschmorte Rippchen\n\n{card}\n".encode()).recipe
    assert (recipe.ingredients, recipe.steps) == (foods, steps)

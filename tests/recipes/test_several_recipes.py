"""Several recipes in one text: the one for a cooker is read, a sauce or a slaw belongs to it.

The recipes are invented; how such pages look is common practice.
"""

import json

import pytest

from pneumachron.recipes.converting.convert import convert
from pneumachron.recipes.reading import read_recipe
from pneumachron.recipes.understanding.understand import understand
from tests.recipes.supper import KITCHEN
from tests.text.words import words

Told = tuple[str, tuple[str, ...], tuple[str, ...]]
PORK: Told = (
    "Pork shoulder in cider",
    ("1.5 kg boneless pork shoulder", "2 tsp salt", "1 onion, sliced", "300 ml cider"),
    ("Salt the pork and brown it.", "Add onion and cider, cover and braise at 150C for 3 hours."),
)
RIBS: Told = (
    "Oven ribs",
    ("2 racks pork ribs", "2 tbsp brown sugar", "1 tsp pepper", "150 ml ketchup"),
    ("Rub the ribs with sugar.", "Wrap in foil and bake at 140C for 2.5 hours."),
)
MASH: Told = (
    "Mashed potatoes",
    ("1 kg potatoes", "150 ml milk", "50 g butter"),
    ("Boil the potatoes until soft, 20 minutes.", "Mash with the milk and butter."),
)
SLAW: Told = (
    "Quick slaw",
    ("300 g cabbage, shredded", "2 tbsp mayonnaise", "1 tbsp cider vinegar"),
    ("Toss the cabbage with mayonnaise and vinegar.",),
)
RUB: Told = (
    "Smoky rub",
    ("1 tbsp paprika", "1 tbsp brown sugar", "2 tsp cumin"),
    ("Mix the spices in a bowl.",),
)


def headed(told: Told) -> str:
    name, foods, steps = told
    lines = [f"{at}. {step}" for at, step in enumerate(steps, 1)]
    return "\n".join((name, "Serves 4", "", "Ingredients", *foods, "", "Method", *lines, ""))


def bare(told: Told) -> str:
    name, foods, steps = told
    return "\n".join((name, "", *foods, "", *steps, ""))


def marked(told: Told) -> str:
    name, foods, steps = told
    list_of_foods = "\n".join(f"- {food}" for food in foods)
    list_of_steps = "\n".join(f"{at}. {step}" for at, step in enumerate(steps, 1))
    return f"## {name}\n\n### Ingredients\n\n{list_of_foods}\n\n### Method\n\n{list_of_steps}\n"


@pytest.mark.parametrize("form", [headed, bare, marked])
@pytest.mark.parametrize("above", ["", "Recipes for a Sunday\n\n"])
@pytest.mark.parametrize(
    "order", [(PORK, MASH), (MASH, PORK), (PORK, RIBS), (MASH, RIBS, PORK)],
    ids=lambda order: ", ".join(name for name, *_ in order),
)  # fmt: skip
def test_one_of_several_is_read(order: tuple[Told, ...], above: str, form: object) -> None:
    assert callable(form)
    read = read_recipe((above + "\n".join(map(form, order))).encode())
    name, foods, steps = next(each for each in order if each is not MASH)
    recipe = read.recipe
    assert (recipe.title, recipe.ingredients, recipe.steps) == (name, foods, steps)
    assert [(each.code, each.params["count"]) for each in read.remarks] == [
        ("remark-several_recipes", len(order))
    ]
    others = [each for each in order if each[0] != name]
    lost = {line for _, *lines in others for part in lines for line in part}
    assert not {line for line in lost if not any(line in kept for kept in recipe.left_out)}


@pytest.mark.parametrize("form", [headed, marked])
@pytest.mark.parametrize(
    "order", [(PORK, SLAW), (RUB, RIBS), (RUB, PORK, SLAW, MASH)],
    ids=lambda order: ", ".join(name for name, *_ in order),
)  # fmt: skip
def test_a_mixture_belongs_to_the_recipe(order: tuple[Told, ...], form: object) -> None:
    assert callable(form)
    recipe = read_recipe("\n".join(map(form, order)).encode()).recipe
    read = [each for each in order if each is not MASH]
    assert sorted(recipe.ingredients) == sorted(food for _, foods, _ in read for food in foods)
    assert sorted(recipe.steps) == sorted(step for *_, steps in read for step in steps)
    mixtures = {name for name, *_ in read} & {SLAW[0], RUB[0]}
    assert mixtures <= {part.name for part in recipe.parts}


def test_the_yield_is_that_of_the_recipe_that_is_read() -> None:
    text = headed(MASH).replace("Serves 4", "Serves 9") + "\n" + headed(PORK)
    assert "4" in read_recipe(text.encode()).recipe.yields


def test_of_several_on_a_page_the_one_with_a_meat_is_read() -> None:
    nodes = [
        {"@type": "Recipe", "name": name, "recipeIngredient": foods, "recipeInstructions": steps}
        for name, foods, steps in (MASH, PORK)
    ]
    read = read_recipe(json.dumps({"@graph": nodes}).encode())
    assert read.recipe.title == PORK[0]
    assert [each.code for each in read.remarks] == ["remark-several_recipes"]


def test_everything_under_the_heading_of_a_rub_is_the_rub() -> None:
    """“Stir everything together” does not stir the mustard that the meat is slathered with."""
    rub = (RUB[0], RUB[1], ("Stir everything together.",))
    butt: Told = (
        "Pulled pork",
        ("8 lb bone-in pork butt", "1/4 cup yellow mustard", "1/2 cup apple juice"),
        ("Slather the butt with mustard and coat with the rub.", "Smoke at 225°F for 10 hours."),
    )
    recipe = read_recipe("\n".join(map(headed, (butt, rub))).encode()).recipe
    understood = understand(recipe)
    told = next(text for text in understood.said if "everything" in text)
    assert "paprika" in told
    assert "mustard" not in told
    assert "juice" not in told
    steps = [(step.kind, words(step)) for step in convert(understood, KITCHEN).steps]
    mixed = next(at for at, (_, text) in enumerate(steps) if "Stir everything" in text)
    assert mixed < next(at for at, (kind, _) in enumerate(steps) if kind == "season")

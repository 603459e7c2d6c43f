"""Recipes that are written as JSON-LD keep to the vocabulary of schema.org."""

import json
from collections.abc import Callable, Iterator
from dataclasses import replace
from pathlib import Path
from typing import Any

import pytest

from pneumachron.core.catalog.pots import ready_pot
from pneumachron.recipes.converting.convert import convert
from pneumachron.recipes.converting.kitchen import Kitchen
from pneumachron.recipes.model import Part, Recipe, Section
from pneumachron.recipes.reading import read_recipe
from pneumachron.recipes.understanding.understand import understand
from pneumachron.recipes.writing.formats import to_jsonld, to_markdown, to_text
from pneumachron.recipes.writing.recipe import to_recipe
from pneumachron.services.wording import say_message
from tests.text.words import words

TYPES: dict[str, Any] = json.loads(
    (Path(__file__).parent / "schema_org.json").read_text(encoding="utf-8")
)["types"]
"""Published: the schema.org vocabulary; the file names its source."""
WORDS = {"Text", "URL", "Duration", "Date", "DateTime"}
"""Ranges whose values are written as text."""
RIBS = Recipe(
    title="Glazed ribs",
    ingredients=("2 racks back ribs", "1 tsp salt", "1 cup stock", "3 Tbsp honey", "1 lime"),
    steps=(
        "Rub the ribs with the salt.",
        "Braise covered with the stock at 150 °C for 2 hours.",
        "Simmer the honey with the lime in a saucepan for 5 minutes.",
        "Brush it on and broil 5 minutes.",
    ),
    yields="Serves 4",
    description="For a wet Sunday.",
    prep_s=900.0,
    cook_s=7200.0,
    author="Ida Marsh",
    source="https://example.org/ribs",
    image="https://example.org/ribs.png",
    sections=(Section("For the ribs", 0), Section("For the glaze", 2)),
)


def lineage(kind: str) -> set[str]:
    return {kind}.union(*(lineage(parent) for parent in TYPES[kind]["parents"]))


def troubles(node: dict[str, Any]) -> Iterator[str]:
    """What in a node is not of the vocabulary: types, properties, and what they may hold."""
    kind = node["@type"]
    if kind not in TYPES:
        yield f"no type {kind}"
        return
    known: dict[str, list[str]] = {}
    for name in lineage(kind):
        known |= TYPES[name]["properties"]
    for key, value in node.items():
        if key.startswith(("@", "pneumachron:")):
            continue
        if key not in known:
            yield f"{kind} has no {key}"
            continue
        for item in value if isinstance(value, list) else [value]:
            if isinstance(item, dict):
                if not lineage(item["@type"]) & set(known[key]):
                    yield f"{kind}.{key} takes no {item['@type']}"
                yield from troubles(item)
            elif not (isinstance(item, str) and WORDS & set(known[key])):
                yield f"{kind}.{key} takes no {item!r}"


def converted() -> Recipe:
    done = convert(understand(RIBS), Kitchen(ready_pot("bass"), 0.0, 4.0))
    return to_recipe(done, say_message)


@pytest.mark.parametrize("made", [lambda: RIBS, converted], ids=["as it was", "converted"])
def test_what_is_written_is_of_the_vocabulary(made: Callable[[], Recipe]) -> None:
    recipe = made()
    node = json.loads(to_jsonld(recipe))
    assert list(troubles(node)) == []
    assert [item["@type"] for item in node["recipeInstructions"]][-1] == "HowToSection"


@pytest.mark.parametrize(
    "change",
    [
        {"cookTemperature": "150"}, {"recipeYield": {"@type": "Person", "name": "four"}},
        {"author": 4}, {"@type": "Stew"},
    ],
)  # fmt: skip
def test_what_is_not_of_the_vocabulary_is_found(change: dict[str, Any]) -> None:
    assert list(troubles(json.loads(to_jsonld(RIBS)) | change)) != []


@pytest.mark.parametrize("write", [to_jsonld, to_markdown, to_text])
@pytest.mark.parametrize("made", [lambda: RIBS, converted], ids=["as it was", "converted"])
def test_headings_over_steps_read_back(
    made: Callable[[], Recipe], write: Callable[[Recipe], str]
) -> None:
    recipe = made()
    found = read_recipe(write(recipe)).recipe
    assert found.sections == recipe.sections
    assert found.steps == tuple(" ".join(step.split()) for step in recipe.steps)
    assert found.ingredients == recipe.ingredients
    assert (found.author, found.source) == (recipe.author, recipe.source)


def test_what_only_the_steps_of_a_glaze_name_belongs_to_it() -> None:
    """Nobody put the honey under a heading of its own among the ingredients; its step is."""
    done = convert(understand(RIBS), Kitchen(ready_pot("bass"), 0.0, 4.0))
    where = {line.origin: line.when for line in done.lines}
    assert (where[3], where[4]) == ("finish", "finish")
    assert where[2] == "pot"


def test_sections_of_structured_pages_are_read() -> None:
    node = json.loads(to_jsonld(RIBS))
    del node["@context"]
    found = read_recipe(json.dumps(node)).recipe
    assert found.sections == RIBS.sections
    page = """<div itemscope itemtype="https://schema.org/Recipe"><h1 itemprop="name">Ribs</h1>
    <meta itemprop="cookTime" content="PT2H"><img itemprop="image" src="https://example.org/r.png">
    <ul><li itemprop="recipeIngredient">1 rack back ribs</li>
    <li itemprop="recipeIngredient">For the glaze:</li>
    <li itemprop="recipeIngredient">3 Tbsp honey</li></ul>
    <div itemprop="recipeInstructions" itemscope itemtype="https://schema.org/HowToSection">
    <h3 itemprop="name">For the ribs</h3><p>Bake covered for 2 hours.</p></div>
    <div itemprop="recipeInstructions" itemscope itemtype="https://schema.org/HowToSection">
    <h3 itemprop="name">For the glaze</h3><p>Warm the honey.</p></div></div>"""
    found = read_recipe(page).recipe
    assert found.sections == (Section("For the ribs", 0), Section("For the glaze", 1))
    assert found.parts == (Part.of("For the glaze", (1,)),)
    assert found.ingredients == ("1 rack back ribs", "3 Tbsp honey")
    assert (found.cook_s, found.image) == (7200.0, "https://example.org/r.png")


def test_a_glaze_is_made_before_it_is_brushed_on_and_a_rub_rests_as_long_as_it_did() -> None:
    """Common practice: what is brushed on has been cooked; and nothing that is said is dropped."""
    steps = ("Rub the ribs with the salt and leave them overnight.", *RIBS.steps[1:])
    done = convert(understand(replace(RIBS, steps=steps)), Kitchen(ready_pot("bass"), 0.0, 4.0))
    kinds = [step.kind for step in done.steps]
    assert kinds.index("own_words") < kinds.index("finish")
    (season,) = [step for step in done.steps if step.kind == "season"]
    assert "8–12" in words(season)
    short = replace(RIBS, steps=("Rub the ribs with the salt and chill 2 hours.", *RIBS.steps[1:]))
    rested = convert(understand(short), Kitchen(ready_pot("bass"), 0.0, 4.0)).steps[0]
    assert "2" in words(rested)

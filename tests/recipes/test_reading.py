"""Readers: what they understand, and that nothing brings them down."""

import json
import random
import time
from contextlib import suppress
from csv import DictReader
from importlib.resources import files

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from pneumachron.recipes.errors import UnreadableError
from pneumachron.recipes.model import MAX_BYTES, Recipe
from pneumachron.recipes.reading import read_recipe
from pneumachron.recipes.understanding.durations import durations_in, temperatures_in
from pneumachron.recipes.understanding.ingredients import KINDS, food_of, foods
from pneumachron.recipes.understanding.lines import read_line
from pneumachron.recipes.writing.formats import to_jsonld, to_markdown, to_text
from tests import by_depth
from tests.recipes.measure import (
    WANTED,
    corpus_bytes,
    line_labels,
    line_scores,
    recipe_labels,
    recipe_scores,
)


def test_corpus_is_large_enough_and_read_well_enough() -> None:
    assert len(line_labels()) >= 120
    assert len(recipe_labels()) >= 25
    scores = line_scores() | recipe_scores()
    for field, least in WANTED.items():
        assert scores[field].precision >= least, field
        assert scores[field].recall >= least, field


@pytest.mark.parametrize(
    ("line", "low", "high", "unit", "name"),
    [  # common practice: how people write amounts
        ("3 lb 2 oz pork shoulder", 3.125, 3.125, "lb", "pork shoulder"),
        ("1½ c. stock", 1.5, 1.5, "cup", "stock"),
        ("2 T oil", 2, 2, "tbsp", "oil"),
        ("2 t salt", 2, 2, "tsp", "salt"),
        ("3 x 400 g tins tomatoes", 3, 3, "can", "tomatoes"),
        ("salt 20 g", 20, 20, "g", "salt"),
        ("onions - 3", 3, 3, "", "onions"),
        ("1/0 cup water", None, None, "", "1/0 cup water"),
        ("", None, None, "", ""),
        ("water", None, None, "", "water"),
    ],
)
def test_lines(line: str, low: float | None, high: float | None, unit: str, name: str) -> None:
    found = read_line(line)
    assert (found.unit, found.name) == (unit, name)
    assert found.low == (pytest.approx(low) if low is not None else None)
    assert found.high == (pytest.approx(high) if high is not None else None)


@pytest.mark.parametrize(
    ("text", "minutes"),
    [
        ("for 2 3/4 hours", [(165, 165)]),
        ("1 hour 30 minutes", [(90, 90)]),
        ("8 to 10 hrs", [(480, 600)]),
        ("an hour", [(60, 60)]),
        ("3–4 min a side", [(3, 4)]),
        ("4 chops at 180 C", []),
        ("1/0 hours", []),
    ],
)
def test_durations(text: str, minutes: list[tuple[float, float]]) -> None:
    assert [(s.low_s / 60, s.high_s / 60) for s in durations_in(text)] == minutes


@pytest.mark.parametrize(
    ("text", "temps"),
    [
        ("225 F", [107.2]),
        ("300°F (150 °C)", [148.9, 150]),
        ("350 degrees", [176.7]),
        ("160C/140C fan/gas 3", [160, 140, 160]),
        ("400 ml", []),
    ],
)
def test_temperatures(text: str, temps: list[float]) -> None:
    # closed form: (F - 32) / 1.8; gas marks: common practice
    assert [d.temp_c for d in temperatures_in(text)] == pytest.approx(temps, abs=0.1)


@pytest.mark.parametrize(
    ("name", "kind"),
    [
        ("beef stock", "stock"),
        ("onion powder", "spice"),
        ("smoked paprika", "spice"),
        ("red wine vinegar", "acid"),
        ("apple wood chips", "smoke_wood"),
        ("sour cream", "dairy"),
        ("medlar", "unknown"),
        ("ginger ale", "sweet_thin"),
        ("tomato paste", "thick"),
    ],
)
def test_the_last_thing_named_is_the_thing(name: str, kind: str) -> None:
    assert food_of(name).kind == kind


def test_no_food_stands_twice_in_the_table() -> None:
    """The later row hid the earlier one in silence, with another kind or allergen."""
    table = files("pneumachron.recipes") / "data" / "ingredients.csv"
    with table.open(encoding="utf-8") as lines:
        words = [row["words"] for row in DictReader(lines)]
    assert len(words) > 1000
    assert len(words) == len(set(words))


def test_foods_are_plausible() -> None:
    for food in foods().values():
        assert food.kind in KINDS
        # from memory: from dried leaves to honey and salt; wood is not measured by volume
        assert 0.1 <= food.density_kg_l <= 1.5 or food.kind in {"smoke_wood", "tool"}
        assert 0 <= food.piece_g <= 1000


BROKEN: list[tuple[bytes, str]] = [
    (b"", "no_recipe"),
    (b"   \n\n ", "no_recipe"),
    (b"\x00\x01\x02\x03" * 50, "not_text"),
    (b"{" * 100_000, "broken_json"),
    (b"[" * 100_000, "broken_json"),
    (b'{"@type":"Recipe"', "broken_json"),
    (b'{"@type":"Recipe","name":"x"}', "no_recipe"),
    (b'{"@type":"Person"}', "no_recipe"),
    (b"a" * (MAX_BYTES + 1), "recipe_too_large"),
    (b"<html><script>alert(1)</script></html>", "no_recipe"),
    ("\n".join(["Title", "Ingredients", *["1 cup water"] * 500]).encode(), "recipe_too_long"),
]


@pytest.mark.parametrize(("content", "code"), BROKEN, ids=lambda value: str(value)[:20])
def test_what_cannot_be_read_is_told_apart(content: bytes, code: str) -> None:
    with pytest.raises(UnreadableError) as told:
        read_recipe(content)
    assert told.value.code == code


@pytest.mark.parametrize("encoding", ["utf-8", "utf-8-sig", "utf-16", "cp1252", "latin-1"])
def test_encodings(encoding: str) -> None:
    text = "Brüst\n\nIngredients\n1½ kg brisket\n\nMethod\nRoast at 150 °C for 3 hours.\n"
    recipe = read_recipe(text.encode(encoding)).recipe
    assert recipe.title == "Brüst"
    assert read_line(recipe.ingredients[0]).low == 1.5


def test_a_page_without_markup_is_read_by_its_words() -> None:
    page = """<html><head><title>x</title><style>p{}</style></head><body><nav>Home</nav>
    <h1>Shed brisket</h1><p>Serves 6</p><h2>Ingredients</h2><ul><li>1.5 kg brisket flat</li>
    <li>200 ml stock</li></ul><h2>Method</h2><p>Cover and bake at 150&deg;C for 3 hours.</p>
    <script>document.write("no")</script></body></html>"""
    recipe = read_recipe(page).recipe
    assert recipe.title == "Shed brisket"
    assert recipe.ingredients == ("1.5 kg brisket flat", "200 ml stock")
    assert recipe.steps == ("Cover and bake at 150°C for 3 hours.",)
    assert "Home" not in recipe.description


def test_markup_in_marked_text_is_shown_as_text() -> None:
    page = json.dumps(
        {
            "@type": ["Thing", "Recipe"],
            "name": "Ribs &amp; <b>more</b>",
            "recipeIngredient": ["2 lb ribs<script>alert(1)</script>", {"@value": "1 cup water"}],
            "recipeInstructions": [{"@type": "HowToStep", "text": "<p>Smoke 3 h.</p>"}, 5],
            "recipeYield": ["4", "4 servings"],
            "cookTime": "PT3H",
            "prepTime": "rubbish",
            "totalTime": "P1Y2M",
        }
    )
    recipe = read_recipe(page).recipe
    assert recipe.title == "Ribs & more"
    assert all("<" not in text for text in (*recipe.ingredients, *recipe.steps))
    assert (recipe.yields, recipe.cook_s, recipe.prep_s) == ("4 servings", 10_800.0, None)


def test_broken_script_beside_a_good_one() -> None:
    good = json.dumps({"@type": "Recipe", "name": "Good", "recipeIngredient": ["1 kg brisket"]})
    page = (
        "<script type='application/ld+json'>{broken</script>"
        f"<script type='application/ld+json'><!-- {good} --></script>"
    )
    assert read_recipe(page).recipe.title == "Good"


WORDS = st.text("abcdefghij klmnopqrstuvwxyzäöü½°'()&<>*_#-", min_size=1, max_size=60)
LINES = st.lists(WORDS.map(lambda text: " ".join(text.split())).filter(bool), max_size=8)
SPANS = st.none() | st.integers(60, 86_400).map(float)


@given(
    st.builds(
        Recipe,
        title=WORDS.map(lambda text: " ".join(text.split())).filter(bool),
        ingredients=LINES.filter(bool).map(tuple),
        steps=LINES.map(tuple),
        yields=st.sampled_from(["", "4 plates", "6 to 8"]),
        prep_s=SPANS,
        cook_s=SPANS,
        total_s=SPANS,
        notes=LINES.map(tuple),
        plan=st.none()
        | st.dictionaries(
            st.sampled_from(["hold_min", "cut", "liquid_m3", "liquid_style"]),
            st.integers(0, 500) | st.floats(0, 1) | st.sampled_from(["steam", "bath"]),
            min_size=1,
        ),
    )
)
@settings(max_examples=200)
def test_our_own_file_loses_nothing(recipe: Recipe) -> None:
    assert read_recipe(to_jsonld(recipe)).recipe == recipe


def test_the_other_formats_can_be_pasted_back() -> None:
    recipe = Recipe(
        title="Alto *supper* <short ribs>",
        ingredients=("1.8 kg short ribs_English", "240 ml stock [warm]", "2 bay leaves"),
        steps=("Trim the meat and season it.", "High pressure, 0:35, then wait."),
        yields="6 plates",
        notes=("The maker's manual comes first.",),
    )
    for text in (to_text(recipe), to_markdown(recipe)):
        found = read_recipe(text.replace("<short ribs>", "short ribs")).recipe
        assert found.ingredients == recipe.ingredients
        assert found.steps == recipe.steps
        assert (found.yields, found.notes) == (recipe.yields, recipe.notes)


BYTES = st.binary(max_size=600)
ENCODED = st.text(max_size=600).map(lambda text: text.encode("utf-8", "replace"))


@given(BYTES | ENCODED)
@settings(max_examples=300)
def test_anything_is_read_or_refused(content: bytes) -> None:
    with suppress(UnreadableError):
        found = read_recipe(content).recipe
        assert found.ingredients or found.steps


@given(st.text(max_size=200))
@settings(max_examples=300)
def test_any_line_is_read(text: str) -> None:
    found = read_line(text)
    assert found.raw == text.strip()
    if found.low is not None and found.high is not None:
        assert found.low >= 0


HANGS_S = 30.0
"""Of the processor. Not a speed: a grammar that runs away on these takes hours, the others take
milliseconds, and on a machine that is shared up to a second."""


MUTATED = by_depth(80, 250, 2_000)


def test_mutated_files() -> None:
    # none may crash or hang
    chance = random.Random(20261125)
    seeds = [content for _, content in corpus_bytes()]
    slowest = 0.0
    for _ in range(MUTATED):
        content = bytearray(chance.choice(seeds))
        for _ in range(chance.randint(1, 12)):
            at = chance.randrange(len(content))
            match chance.randrange(4):
                case 0:
                    content[at] = chance.randrange(256)
                case 1:
                    del content[at : at + chance.randint(1, 40)]
                case 2:
                    content[at:at] = bytes(chance.choice(b"<>{}[]\"'&/\\0\n") for _ in range(3))
                case _:
                    content[at:at] = content[at : at + 80] * chance.randint(1, 4)
            content = content or bytearray(b"x")
        begun = time.thread_time()
        with suppress(UnreadableError):
            read_recipe(bytes(content))
        slowest = max(slowest, time.thread_time() - begun)
    assert slowest < HANGS_S


def test_long_runs_do_not_hang() -> None:
    for text in ("1 " * 20_000, "(" * 5000, "a (" * 3000, "½" * 5000, "1/" * 5000, "to " * 5000):
        begun = time.thread_time()
        read_line(text)
        durations_in(text)
        temperatures_in(text)
        assert time.thread_time() - begun < HANGS_S, text[:4]


def test_every_recipe_of_the_corpus_has_a_label() -> None:
    assert {name for name, _ in corpus_bytes()} == set(recipe_labels())

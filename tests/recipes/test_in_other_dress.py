"""The same recipe in another dress is the same recipe: capitals, spellings, signs and forms.

Each text of the development half is dressed otherwise, and what a cook would read in both is held
against each other: no label is needed, so that any text can be tried.
"""

import re
from collections.abc import Callable
from html import escape

import pytest

from pneumachron.recipes.errors import RecipeError
from pneumachron.recipes.reading import read_recipe
from pneumachron.recipes.understanding.method import read_method
from pneumachron.recipes.understanding.plates import read_plates
from pneumachron.recipes.understanding.texture import texture_of
from pneumachron.recipes.understanding.understand import understand
from tests import some
from tests.recipes.strangers.measure import Labeled, bare, corpus

Lines = list[tuple[str, str]]
_MARK = re.compile(r"^(?:[-*•▢☐–>#\s]|step\s*\d{1,2}\s*[.:]?|\d{1,2}[.)](?=\s))+\s*|\*\*", re.I)
_OPENS = {
    "I": re.compile(r"(ingredients|what you need)", re.I),
    "S": re.compile(r"(method|directions|instructions|steps|what to do)", re.I),
}
HEADINGS = {"I": "Ingredients", "S": "Method"}


def plainly(item: Labeled) -> Lines:
    """Its lines without marks, under two plain headings."""
    found: Lines = []
    opened: set[str] = set()
    for role, text in item.lines:
        if role not in "TYHIS":
            continue
        line = _MARK.sub("", text)
        if role == "H" and any(opens.match(line) for opens in _OPENS.values()):
            continue
        if role in HEADINGS and role not in opened:
            opened.add(role)
            found.append(("H", HEADINGS[role]))
        found.append((role, line))
    return found


RECIPES = {
    item.name: plainly(item) for item in corpus("development")
    if item.labels.get("scope", "ok") == "ok"
    and {"T", "I", "S"} <= {role for role, _ in item.lines}
}  # fmt: skip


def seen(text: str) -> dict[str, object]:
    """What a cook would read in it."""
    recipe = read_recipe(text).recipe
    cooking = read_method(recipe)
    found: dict[str, object] = {
        "title": len(bare(recipe.title).split()),
        "method": cooking.method, "texture": texture_of(recipe),
        "time": (cooking.low_s, cooking.high_s), "plates": read_plates(recipe),
        "lines": (len(recipe.ingredients), len(recipe.steps)),
        "heat": cooking.temp_c and round(cooking.temp_c),
    }  # fmt: skip
    try:
        meat = understand(recipe)
    except RecipeError as stopped:
        return {**found, "stopped": stopped.code}
    kinds = sorted(item.kind for item in meat.ingredients)
    mass = meat.mass_kg and round(meat.mass_kg, 1)
    thickness_mm = meat.thickness_m and round(1000 * meat.thickness_m)
    return {**found, "meat": (meat.cut, mass, meat.count, thickness_mm), "kinds": kinds}


def _each(change: Callable[[str], str]) -> Callable[[Lines], str]:
    return lambda lines: "\n".join(change(text) for _, text in lines)


_VULGAR = {"½": "1/2", "¼": "1/4", "¾": "3/4", "⅓": "1/3", "⅔": "2/3"}
_FULL = {r"\b[Tt]bsp\b": "tablespoons", r"\btsp\b": "teaspoons", r"\blbs?\b": "pounds",
         r"\boz\b": "ounces", r"\bhrs?\b": "hours", r"\bmins?\b": "minutes",
         r"(?<=\d)\s?kg\b": " kilograms", r"(?<=\d)\s?ml\b": " millilitres",
         r"(?<=\d)\s?g\b": " grams", r"(?<=\d)\s?cm\b": " centimetres"}  # fmt: skip
_SHORT = {r"\btablespoons?\b": "tbsp", r"\bteaspoons?\b": "tsp", r"\bpounds?\b": "lb",
          r"\bounces?\b": "oz", r"\bhours\b": "hrs", r"\bhour\b": "hr", r"\bminutes\b": "min",
          r"(?: degrees |°\s?)F\b": "F"}  # fmt: skip
_WORDS = ("one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten")


def _with(changes: dict[str, str]) -> Callable[[str], str]:
    def change(text: str) -> str:
        for pattern, put in changes.items():
            text = re.sub(pattern, put, text)
        return text

    return change


def _spelled(text: str) -> str:
    for sign, figures in _VULGAR.items():
        text = re.sub(rf"(\d)\s?{sign}", rf"\1 {figures}", text).replace(sign, figures)
    return text


def _in_words(text: str) -> str:
    return re.sub(
        r"(?<![\d./°-])([1-9]|10)(?= (?:hours?|hrs?|racks?|slabs?|onions?|cups?|people|pounds?"
        r"|minutes?|mins?|cloves?|carrots?|\(\w+ pound\)))",
        lambda found: _WORDS[int(found[1]) - 1], text)  # fmt: skip


def _page(lines: Lines) -> str:
    tags = {"T": "h1", "H": "h2", "I": "li", "S": "p", "Y": "p"}
    body = "".join(f"<{tags[role]}>{escape(text)}</{tags[role]}>" for role, text in lines)
    return f"<!doctype html><html><body>{body}</body></html>"


def _markdown(lines: Lines) -> str:
    marks = {"T": "# ", "H": "## ", "I": "- ", "S": "1. ", "Y": ""}
    return "\n".join(f"{marks[role]}{text}" for role, text in lines)


def _numbered(lines: Lines) -> str:
    found, number = [], 0
    for role, text in lines:
        number += role == "S"
        found.append(f"Step {number}: {text}" if role == "S" else text)
    return "\n".join(found)


DRESSES: dict[str, Callable[[Lines], str]] = {
    "capitals": _each(str.upper),
    "small letters": _each(str.lower),
    "units in full": _each(_with(_FULL)),
    "units in short": _each(_with(_SHORT)),
    "fractions in figures": _each(_spelled),
    "numbers in words": _each(_in_words),
    "degrees in words": _each(_with({r"(\d{3})\s?°?\s?([FC])\b": r"\1 degrees \2"})),
    "units close by": _each(_with({r"(\d) (g|kg|ml|cm|lb|oz|tbsp|tsp)\b": r"\1\2"})),
    "spaces that do not break": _each(lambda text: text.replace(" ", "\u00a0")),
    "a page": _page,
    "markdown": _markdown,
    "numbered steps": _numbered,
    "boxes": lambda lines: "\n".join(("▢ " if role == "I" else "") + text for role, text in lines),
    "lines apart": lambda lines: "\r\n\r\n".join(text for _, text in lines),
    "a mail": lambda lines: "Hi all,\nhere is the recipe you asked for.\n\n"
    + "\n".join(text for _, text in lines) + "\n\nEnjoy!\nMara",
}  # fmt: skip
"""How else a recipe comes. Common practice."""


def test_the_corpus_is_there() -> None:
    assert len(RECIPES) >= 20


@pytest.mark.parametrize("dress", DRESSES)
def test_the_same_in_another_dress(dress: str) -> None:
    told = {}
    for name, lines in some(RECIPES.items(), 2, list(DRESSES).index(dress) % 2, usual=6):
        plain = seen("\n".join(text for _, text in lines))
        other = seen(DRESSES[dress](lines))
        differs = {
            key: (plain[key], other.get(key)) for key in plain if plain[key] != other.get(key)
        }
        if differs:
            told[name] = differs
    assert not told


def _meat(line: str) -> tuple[float | None, float | None, float | None]:
    recipe = read_recipe(
        f"Supper\n\n{line}\n500 ml stock\n2 onions\n\nSimmer for 2 hours.\n"
    ).recipe
    found = understand(recipe)
    return found.mass_kg, found.count, found.thickness_m


@pytest.mark.parametrize(
    ("line", "mass_kg", "count", "thickness_m"),
    [
        ("2 pork shoulder steaks (about 300 grams each, 2.5 centimetres thick)", 0.6, 2, 0.025),
        ("two (two pound) racks baby back ribs", 1.814, 2, None),
        ("1.5 kilograms beef brisket flat, 50 millimetres thick", 1.5, None, 0.05),
        ("1.5 kg pork shoulder, cut in 4-centimeter cubes", 1.5, None, 0.04),
    ],
)
def test_units_in_full(
    line: str, mass_kg: float, count: float | None, thickness_m: float | None
) -> None:
    found = _meat(line)
    assert found[0] == pytest.approx(mass_kg, rel=0.01)
    assert found[2] == (None if thickness_m is None else pytest.approx(thickness_m))
    if count is not None:
        assert found[1] == count


def _cooked(steps: str, meat: str = "5 lb beef brisket flat") -> tuple[float | None, ...]:
    text = f"Supper\n\nIngredients\n{meat}\n2 onions\n\nMethod\n{steps}\n"
    found = read_method(read_recipe(text).recipe)
    return found.low_s, found.high_s, found.temp_c and round(found.temp_c)


@pytest.mark.parametrize(
    ("steps", "low_min", "high_min", "temp_c"),
    [
        ("Bake at 300°F for 4-5 hrs. (about an hour a pound) or till fork-tender.", 240, 300, 149),
        ("Wrap in foil and bake at 300F for two hours.", 120, 120, 149),
        ("BAKE AT 300 DEGREES FOR 4 HOURS.", 240, 240, 149),
        ("Cover; oven at 150 degrees C/130 degrees C fan for 3 hours.", 180, 180, 150),
        ("Smoke at 225°F for 3 hrs. Wrap, 2 hrs more, then sauce and smoke another hr.",
         360, 360, 107),
        ("Pit at 275. Cook 4 hrs with no peeking. Cook till 203 in the middle, 6 to 8 hrs total.",
         360, 480, 135),
        ("Cover and bake at 325 for three hours. Uncover for the last ten minutes.", 180, 180, 163),
    ],
)  # fmt: skip
def test_times_and_heats_in_short_and_in_full(
    steps: str, low_min: float, high_min: float, temp_c: float
) -> None:
    assert _cooked(steps) == (60 * low_min, 60 * high_min, temp_c)


def test_times_of_a_message_are_no_foods() -> None:
    recipe = read_recipe(
        "I only do points. 6 to 7 lb point, trim hard fat. Mustard slather, then salt and pepper"
        " with some garlic powder. 250F over oak till 165 in the middle, about 5 h. Slice. Done."
    ).recipe
    assert not recipe.left_out
    assert read_method(recipe).high_s == 5 * 3600.0
    assert understand(recipe).mass_kg == pytest.approx(6.5 * 0.45359237)


def test_a_message_on_a_page_reads_as_the_message_does() -> None:
    message = (
        "Take a 6 to 7 lb pork shoulder, 2 Tbsp salt, 1 cup cider, 2 onions. Rub it with the salt."
        " Put it in the slow cooker on the onions and pour the cider round. Low for 8 hours."
    )
    plain = read_recipe(message).recipe
    page = read_recipe(f"<!doctype html><html><body><p>{message}</p></body></html>").recipe
    assert (page.ingredients, page.steps) == (plain.ingredients, plain.steps)


def test_a_dish_for_so_many_below_the_first_words_of_a_mail() -> None:
    recipe = read_recipe(
        "Hi all,\nhere is the recipe you asked for.\n\nBraised Short Ribs, for 4-6\n\n"
        "2 kg beef short ribs\n1 onion\n500 ml stock\n\nBrown the ribs.\n"
        "Add the stock, cover and simmer 3 hours.\n"
    ).recipe
    assert recipe.title == "Braised Short Ribs"
    assert (read_plates(recipe), len(recipe.ingredients)) == (5, 3)


def test_two_and_a_half_hours_serve_nobody() -> None:
    recipe = read_recipe(
        "Goulash\n\n3 lb boneless short ribs\n3 onions\n2 cups broth\n\nBrown the ribs. Cover and"
        " bake at 325 for two and a half hours. Serves 6.\n"
    ).recipe
    assert read_plates(recipe) == 6


def test_capitals_keep_what_must_be_a_capital() -> None:
    recipe = read_recipe(
        "GRANNY'S RIBS\n\n2 LB BABY BACK RIBS\n2 T SALT\n1 C BBQ SAUCE\n\nI RUB THEM WITH THE SALT."
        " BAKE AT 300°F FOR 2 1/2 HRS. BRUSH WITH THE SAUCE AND BROIL 5 MIN. SERVES 4."
    ).recipe
    assert recipe.title == "Granny's Ribs"
    assert recipe.ingredients == ("2 lb baby back ribs", "2 T salt", "1 c BBQ sauce")
    assert "at 300°F for 2 1/2 hrs. Brush" in " ".join(recipe.steps)

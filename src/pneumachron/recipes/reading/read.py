"""Which reader a text is for, and the bounds that hold for all of them."""

import re
from dataclasses import replace

from pneumachron.core.message import Message
from pneumachron.recipes.errors import UnreadableError
from pneumachron.recipes.model import (
    MAX_LINES,
    MAX_PARTS,
    MAX_TEXT,
    MAX_TITLE,
    Format,
    ReadRecipe,
    Recipe,
)
from pneumachron.recipes.reading.capitals import without_capitals
from pneumachron.recipes.reading.decode import clean, decode
from pneumachron.recipes.reading.html import recipes_of_page, words_of_page
from pneumachron.recipes.reading.jsonld import loads, recipes_in, to_recipe
from pneumachron.recipes.reading.looks import STARTS_COUNTED, VERBS, look_at
from pneumachron.recipes.reading.numbering import without_letters, without_thread_numbers
from pneumachron.recipes.reading.plain import read_markdown, read_plain
from pneumachron.recipes.reading.scanned import with_letters_right
from pneumachron.recipes.reading.scattered import (
    with_columns_apart,
    with_fields_named,
    with_foods_apart,
    with_foods_whole,
    with_one_amount,
)
from pneumachron.recipes.reading.served import with_what_is_served
from pneumachron.recipes.reading.titles import title_by_its_meat
from pneumachron.recipes.reading.wrapping import without_wraps
from pneumachron.recipes.understanding.durations import durations_in, temperatures_in
from pneumachron.recipes.understanding.ingredients import food_of
from pneumachron.recipes.understanding.sentences import NO_END

MAX_PAGE_TAGS = 30_000
"""Tags of a saved page; a long one has some thousand."""
_PAGE = re.compile(r"^<[a-z!]|<(!doctype html|html|body)\b", re.I)
"""A page begins with a tag or has a body; words with a stray tag in them are words."""
_MARKDOWN = re.compile(r"^(#{1,4} |[-*] \S|\d+\. \S)|\*\*\S|\[[^\]]+\]\(", re.M)
_HEADING = re.compile(r"^#{1,4} \S", re.M)


def read_recipe(content: bytes | str, *, name: str = "") -> ReadRecipe:
    """A recipe from a file or a paste.

    Parameters
    ----------
    content : bytes of a file, or pasted text
    name : of the file; its ending only helps to choose between text and Markdown

    Raises
    ------
    UnreadableError : too large, not text, or nothing that could be a recipe.
    """
    raw = content if isinstance(content, bytes) else content.encode("utf-8", "surrogatepass")
    if isinstance(content, bytes):
        text, remarks = decode(raw)
    else:
        decode(raw[: len(raw)] if len(raw) > 2_000_000 else b"")
        text, remarks = clean(content.encode("utf-8", "replace").decode()), []
    kind, recipes = _read(text, name)
    if len(recipes) > 1:
        remarks.append(Message("remark-several_recipes", {"count": len(recipes)}))
    recipe = _bounded(with_what_is_served(recipes[0])) if recipes else None
    if recipe is None or not (recipe.ingredients or recipe.steps):
        raise UnreadableError("no_recipe")
    return ReadRecipe(recipe, kind, tuple(remarks))


def _meat_first(recipes: list[Recipe]) -> list[Recipe]:
    """Of several on a page those with a meat first, each kind in their order."""
    return sorted(
        recipes, key=lambda each: all(food_of(line).kind != "meat" for line in each.ingredients)
    )


def _read(text: str, name: str) -> tuple[Format, list[Recipe]]:
    if _JSON.match(text):
        data = loads(text)
        if data is None:
            raise UnreadableError("broken_json")
        return "jsonld", _meat_first([to_recipe(node) for node in recipes_in(data)])
    if _PAGE.search(text.lstrip()):
        if text.count("<") > MAX_PAGE_TAGS:
            raise UnreadableError("too_many_tags")
        marked = [recipe for recipe in recipes_of_page(text) if recipe.ingredients or recipe.steps]
        return "html", _meat_first(marked) or read_plain(_laid_out(words_of_page(text)))
    text = _laid_out(with_fields_named(text))
    marked_up = name.lower().endswith((".md", ".markdown")) or _is_markdown(text)
    if marked_up and len(text) <= MAX_MARKDOWN:
        return "markdown", read_markdown(text)
    return "text", read_plain(text)


_JSON = re.compile(r"\s*(?:\{(?!\{\w)|\[(?!\s*[a-z/!*_-]))", re.I)
"""“[EASY] Ribs” begins a title, and no list of values."""
_BB_QUOTE = re.compile(
    r"\[quote[^\]]{0,60}\][^\[]{0,2000}\[/quote\]|\[/?(?:b|i|u|url|img|list|size|color)\]", re.I
)
"""What a forum quotes, and its marks for bold and the like."""
_QUOTED = re.compile(r"^[ \t]*(?:>[ \t]?)+", re.M)
_MOSTLY = 0.6
"""Share of the lines, or of the words, of an answered mail that are quoted. Judgement."""


def _unquoted(text: str) -> str:
    """A forwarded mail has a sign before every line; single quotes in a page stay what they are."""
    lines = [line for line in text.split("\n") if line.strip()]
    quoted = [line for line in lines if _QUOTED.match(line)]
    # or all that is told is in the quote: "Q: … / > … / thanks, that is what I needed"
    words, told = (sum(map(len, some)) for some in (lines, quoted))
    mostly = len(quoted) >= _MOSTLY * len(lines) or told >= _MOSTLY * words
    # or the list alone is quoted
    foods = sum(look_at(_QUOTED.sub("", line)).has_amount for line in quoted)
    mostly = mostly or foods >= _LEAST_LISTED
    return _QUOTED.sub("", text) if quoted and mostly else text


def _laid_out(text: str) -> str:
    """Without quotes, columns and wraps, in small letters, a line for each food and sentence."""
    text = _KEYCAP.sub(r"\g<number>. ", text)
    text = without_letters(without_thread_numbers(_unquoted(_BB_QUOTE.sub("", text))))
    text = _EQUALS.sub(r"\g<label>: ", with_letters_right(text))
    told = with_foods_apart(with_columns_apart(with_one_amount(text)))
    return _spread(without_capitals(without_wraps(with_foods_whole(told))))


_KEYCAP = re.compile(r"^[ \t]*(?P<number>\d)\ufe0f?\u20e3[ \t]*", re.M)
"""“1️⃣ Sear the pork.”"""
_EQUALS = re.compile(
    r"\b(?P<label>yields?|serves|servings|oven|time|prep|cook|temp(?:erature)?|total) ?= ?(?=\d)",
    re.I,
)
"""“Yield = 4”, on a card."""
_FEW_LINES, _MANY_WORDS = 2, 20
_SENTENCE_ENDS = re.compile(rf"(?<=[a-zA-Z)])[.;!]{NO_END}\s+")
_COMMAS = re.compile(r",\s+(?![^(]*\))")


def _spread(text: str) -> str:
    """A recipe in one breath, as in a message: a line for each sentence and each food."""
    lines = [line for line in text.split("\n") if line.strip()]
    words = text[: 200 * _MANY_WORDS].split()
    if len(lines) > _FEW_LINES or len(words) < _MANY_WORDS or len(text) > MAX_MESSAGE:
        return text
    found: list[str] = []
    listed, begun = 0, False
    for line in lines:
        for sentence in _SENTENCE_ENDS.split(line):
            parts = _COMMAS.split(sentence)
            looks = [look_at(part) for part in parts]
            is_food = looks[0].has_amount and sum(look.food > look.work for look in looks)
            # "two days before, blend 12 cloves of garlic, 2 Tbsp salt": work, and no list
            works = any(_is_work(part) for part in parts[1:]) or any(
                durations_in(part) or temperatures_in(part) for part in parts
            )
            # "1 cup stock in, scrape, pork back", amid the work, is no list
            amid = begun and not all(map(STARTS_COUNTED.match, parts))
            begun = begun or (looks[0].work > 0.0 and not is_food)
            if is_food and is_food >= len(parts) / 2 and not works and not amid:
                foods = [food for part in parts for food in _in_brackets(part)]
                listed += sum(1 for food in foods if STARTS_COUNTED.match(food))
                found += foods
            else:
                found.append(f"{sentence.rstrip('.')}.")
    if listed < _LEAST_LISTED:
        return text  # it is told in sentences
    if found and not look_at(found[0]).has_amount:
        found[0] = found[0].rstrip(".")
    return "\n".join(found)


def _is_work(part: str) -> bool:
    """“Blend 12 cloves”: a verb, and how much of what."""
    first, _, rest = part.lower().partition(" ")
    return first in VERBS and rest[:1].isdigit()


_LEAST_LISTED = 3
"""Fewer foods than these make no list. Judgement."""


def _in_brackets(part: str) -> list[str]:
    """“Rub (2 T salt 2 T pepper)”: a part and its foods; any other food is itself."""
    if of := re.fullmatch(r"(rub|marinade|glaze|sauce) of (?=[\d½¼¾])(.+)", part.strip(), re.I):
        return [f"For the {of[1].lower()}:", of[2]]
    found = re.fullmatch(r"([a-z][a-z ]{1,30})\((.{3,300})\)", part.strip(), re.I)
    foods = re.split(r"(?:,\s*|\s+)(?=\d)", found[2]) if found else []
    return [f"For the {found[1].strip()}:", *foods] if found and len(foods) > 1 else [part]


MAX_MESSAGE = 4_000
"""Characters of a recipe in one breath."""
MAX_MARKDOWN = 100_000
"""Characters of a recipe in Markdown; a longer text is read as plain lines."""


def _is_markdown(text: str) -> bool:
    return bool(_HEADING.search(text)) or (len(_MARKDOWN.findall(text)) >= 3 and "**" in text)


def _bounded(recipe: Recipe) -> Recipe:
    count = len(recipe.ingredients) + len(recipe.steps) + len(recipe.notes)
    if count > MAX_LINES:
        raise UnreadableError("recipe_too_long", count=count, most=MAX_LINES)

    def short(texts: tuple[str, ...]) -> tuple[str, ...]:
        return tuple(" ".join(text[:MAX_TEXT].split()) for text in texts)

    return replace(
        recipe,
        title=(recipe.title or title_by_its_meat(recipe))[:MAX_TITLE],
        ingredients=short(recipe.ingredients),
        steps=short(recipe.steps),
        notes=short(recipe.notes),
        author=recipe.author[:MAX_TITLE],
        source=recipe.source[:MAX_TEXT],
        image=recipe.image[:MAX_TEXT],
        left_out=short(recipe.left_out),
        parts=tuple(replace(part, name=part.name[:MAX_TITLE]) for part in recipe.parts[:MAX_PARTS]),
        sections=tuple(
            replace(section, name=section.name[:MAX_TITLE])
            for section in recipe.sections[:MAX_PARTS]
        ),
        yields=recipe.yields[:MAX_TITLE],
        description=recipe.description[:MAX_TEXT],
    )

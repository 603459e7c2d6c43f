"""schema.org/Recipe as JSON-LD, as pages and our own export carry it."""

import json
from collections import deque
from collections.abc import Iterator
from math import isfinite
from typing import TypeAlias

import isodate
from selectolax.lexbor import LexborHTMLParser

from pneumachron.recipes.model import MAX_LINES, MAX_PARTS, MAX_TEXT, Part, Recipe, Section
from pneumachron.recipes.reading.headings import heading_of
from pneumachron.recipes.understanding.ingredients import food_of

Json: TypeAlias = "dict[str, Json] | list[Json] | str | int | float | bool | None"

EXTENSION = "pneumachron:plan"
"""Our plan inside a recipe; its context is named in the export."""
NOTES = "pneumachron:notes"
PARTS = "pneumachron:parts"
_MAX_NODES = 20_000
"""Nodes looked at before giving up: a page's graph has some hundreds."""


MAX_VALUES = 100_000
"""Values of a document. A page's graph has some hundreds."""
MAX_TAGS = 400
"""Tags in one text; a list of steps has some dozen."""


def loads(text: str) -> Json:
    """JSON, a little forgiving; None when it is none, or far too much of it."""
    if text.count(",") + text.count("[") + text.count("{") > MAX_VALUES:
        return None
    try:
        found: Json = json.loads(text, strict=False, parse_int=_number, parse_float=_number)
    except (ValueError, RecursionError):
        return None
    return found


def _number(text: str) -> float:
    """A number of no more digits than anybody writes."""
    found = float(text[:40])
    return int(found) if found.is_integer() and abs(found) < 1e15 else found


def recipes_in(data: Json) -> Iterator[dict[str, Json]]:
    """Every recipe in a document: by itself, in a list, in a graph."""
    waiting: deque[Json] = deque([data])
    for _ in range(_MAX_NODES):
        if not waiting:
            return
        node = waiting.popleft()
        if isinstance(node, list):
            waiting += node[:_MAX_NODES]
        elif isinstance(node, dict):
            if _is_recipe(node):
                yield node
            else:
                waiting += [node[key] for key in ("@graph", "mainEntity", "itemListElement", "item")
                            if key in node]  # fmt: skip


def _is_recipe(node: dict[str, Json]) -> bool:
    if "@type" not in node and ("recipeIngredient" in node or "recipeInstructions" in node):
        return True  # some tools leave the type out
    kinds = node.get("@type")
    named = kinds if isinstance(kinds, list) else [kinds]
    return any(isinstance(kind, str) and kind.split("/")[-1] == "Recipe" for kind in named)


def to_recipe(node: dict[str, Json]) -> Recipe:
    """A recipe from its node; what is missing stays empty."""
    plan = node.get(EXTENSION)
    lines = list(_lines(node.get("recipeIngredient", node.get("ingredients"))))
    told = tuple(_parts(node.get(PARTS)))
    ingredients, parts = (lines, told) if told or _is_ours(node) else under_headings(lines)
    sections: list[Section] = []
    steps = list(_steps(node.get("recipeInstructions"), sections))
    return Recipe(
        title=_text(node.get("name")),
        ingredients=tuple(ingredients),
        steps=tuple(steps),
        yields=_yield(node.get("recipeYield", node.get("yield"))),
        description=_text(node.get("description")),
        prep_s=seconds_of(node.get("prepTime")),
        cook_s=seconds_of(node.get("cookTime")),
        total_s=seconds_of(node.get("totalTime")),
        notes=(*_lines(node.get(NOTES)), *_tips(node.get("recipeInstructions"))),
        plan=_plain(plan) if isinstance(plan, dict) else None,
        author=_names(node.get("author", node.get("creator"))),
        source=_address(node.get("isBasedOn"), node.get("url"), node.get("mainEntityOfPage"),
                        node.get("@id")),
        image=_address(node.get("image")),
        parts=parts,
        sections=tuple(section for section in sections if section.first < len(steps)),
    )  # fmt: skip


def _is_ours(node: dict[str, Json]) -> bool:
    """Whether this app wrote it: then a line is a line, whatever it looks like."""
    return "urn:pneumachron:" in json.dumps(node.get("@context"))[:MAX_TEXT]


MAX_AUTHORS = 5


def _names(value: Json) -> str:
    """One or several authors: texts, persons, organizations."""
    people = value if isinstance(value, list) else [value]
    return ", ".join(filter(None, (_text(person) for person in people[:MAX_AUTHORS])))


def _address(*values: Json) -> str:
    """The first address of the web among these."""
    for value in values:
        found = value[0] if isinstance(value, list) and value else value
        if isinstance(found, dict):
            found = found.get("url", found.get("@id", found.get("contentUrl")))
        if isinstance(found, str) and found.startswith(("https://", "http://")):
            return found[:MAX_TEXT].split()[0]
    return ""


def _parts(value: Json) -> Iterator[Part]:
    for node in value[:MAX_PARTS] if isinstance(value, list) else []:
        if not isinstance(node, dict):
            continue
        name, rows = _text(node.get("name")), node.get("lines")
        numbers = rows[:MAX_LINES] if isinstance(rows, list) else []
        lines = tuple(row for row in numbers if type(row) is int and 0 <= row < MAX_LINES)
        if name and lines:
            yield Part.of(name, lines)


def under_headings(lines: list[str]) -> tuple[list[str], tuple[Part, ...]]:
    """Ingredients, and the parts that headings among them name: “For the glaze:”."""
    found: list[str] = []
    named: list[tuple[str, list[int]]] = []
    for line in lines:
        if heading_of(line) == "part" and food_of(line).kind != "meat":
            named.append((line.strip("*_: "), []))
            continue
        if named:
            named[-1][1].append(len(found))
        found.append(line)
    parts = [Part.of(name, tuple(rows)) for name, rows in named[:MAX_PARTS] if rows]
    return found, tuple(parts)


def _plain(plan: dict[str, Json]) -> dict[str, str | int | float]:
    return {
        str(key): value
        for key, value in list(plan.items())[:60]
        if isinstance(value, str | int | float) and not isinstance(value, bool)
    }


def _text(value: Json) -> str:
    """Words of a value, without markup."""
    if isinstance(value, list):
        value = value[0] if value else None
    if isinstance(value, dict):
        value = value.get("@value", value.get("text", value.get("name")))
    if isinstance(value, int | float) and not isinstance(value, bool):
        return f"{value:g}" if isfinite(value) else ""
    return markup_free(value) if isinstance(value, str) else ""


def markup_free(text: str) -> str:
    """A text whose tags and entities are gone."""
    text = text[: 10 * MAX_TEXT]
    if text.count("<") > MAX_TAGS:
        text = text.replace("<", " ")  # no markup of a text; as plain words it is harmless
    if "<" in text or "&" in text:
        body = LexborHTMLParser(text).body
        text = body.text(separator=" ") if body else ""
    return " ".join(text.split())


def _lines(value: Json) -> Iterator[str]:
    items = value if isinstance(value, list) else str(value or "").split("\n")
    for item in items[: 2 * MAX_LINES]:
        if text := _text(item):
            yield text


MAX_SECTIONS_DEEP = 8


def _steps(value: Json, sections: list[Section], depth: int = 0, before: int = 0) -> Iterator[str]:
    """Steps from a text, a list of texts, of steps, or of sections of steps.

    `sections` gets the named ones; `before` is how many steps there are already.
    """
    if depth > MAX_SECTIONS_DEEP:
        return
    if isinstance(value, str):
        yield from _step_texts(value)
    elif isinstance(value, dict):
        inner, kind = value.get("itemListElement"), str(value.get("@type", ""))
        if kind.endswith("HowToTip"):
            return
        if inner is not None:
            name = _text(value.get("name"))
            if name and kind.endswith("HowToSection"):
                sections.append(Section(name, before))
            apart = list(_steps(inner, sections, depth + 1, before))
            # a step may tell in one text what its directions tell apart
            whole = _text(value.get("text")) if kind.endswith("HowToStep") else ""
            longer = len(whole) >= sum(map(len, apart)) and whole
            yield from [whole] if longer else apart
        elif text := _text(value):
            yield text
    elif isinstance(value, list):
        for item in value[: 2 * MAX_LINES]:
            told = _steps(item, sections, depth + 1, before) if isinstance(item, dict | list) else (
                _step_texts(item)
            )  # fmt: skip
            for text in told:
                before += 1
                yield text


def _tips(value: Json, depth: int = 0) -> Iterator[str]:
    """Tips among the steps, wherever they stand."""
    if depth > MAX_SECTIONS_DEEP:
        return
    if isinstance(value, list):
        for item in value[: 2 * MAX_LINES]:
            yield from _tips(item, depth + 1)
    if isinstance(value, dict):
        if str(value.get("@type", "")).endswith("HowToTip"):
            yield from filter(None, [_text(value)])
        else:
            yield from _tips(value.get("itemListElement"), depth + 1)


def _step_texts(value: Json) -> Iterator[str]:
    if not isinstance(value, str):
        return
    if "<li" in value or "<p" in value or "<br" in value:
        for tag in ("</li>", "</p>", "<br>", "<br/>", "<br />"):
            value = value.replace(tag, "\n")
    for line in value.split("\n")[: 2 * MAX_LINES]:
        if text := markup_free(line):
            yield text


def _yield(value: Json) -> str:
    """The most telling of several: the one with words."""
    if isinstance(value, list):
        texts = [text for text in (_text(item) for item in value) if text]
        return max(texts, key=len, default="")
    return _text(value)


def seconds_of(value: Json) -> float | None:
    """Seconds of an ISO 8601 duration."""
    if not isinstance(value, str) or len(value) > 40:
        return None
    try:
        span = isodate.parse_duration(value)
        seconds = span.total_seconds()
    except (ValueError, ArithmeticError, AttributeError, TypeError):
        return None
    return float(seconds) if 0 < seconds < 40 * 86400 else None

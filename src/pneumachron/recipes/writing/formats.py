"""Open formats: schema.org/Recipe as JSON-LD, Markdown, and plain text."""

import json
from collections.abc import Iterator
from datetime import timedelta
from html import escape

import isodate

from pneumachron.recipes.model import Recipe
from pneumachron.recipes.reading.headings import heading_of
from pneumachron.recipes.reading.jsonld import EXTENSION, NOTES, PARTS, Json

CONTEXT: list[Json] = ["https://schema.org", {"pneumachron": "urn:pneumachron:"}]


def to_jsonld(recipe: Recipe) -> str:
    """A schema.org/Recipe. Our plan and notes stand under names of our own."""
    node: dict[str, Json] = {
        "@context": CONTEXT,
        "@type": "Recipe",
        "name": _marked(recipe.title),
        "recipeIngredient": [_marked(line) for line in recipe.ingredients],
        "recipeInstructions": _instructions(recipe),
    }
    optional: dict[str, Json] = {
        "description": _marked(recipe.description),
        "author": {"@type": "Person", "name": _marked(recipe.author)} if recipe.author else None,
        "isBasedOn": _marked(recipe.source),
        "image": _marked(recipe.image),
        "recipeYield": _marked(recipe.yields),
        "prepTime": _duration(recipe.prep_s),
        "cookTime": _duration(recipe.cook_s),
        "totalTime": _duration(recipe.total_s),
        "cookingMethod": "Pressure cooking" if recipe.plan is not None else None,
        "tool": (
            {"@type": "HowToTool", "name": "Electric pressure cooker"}
            if recipe.plan is not None
            else None
        ),
        NOTES: [_marked(note) for note in recipe.notes],
        PARTS: [{"name": _marked(part.name), "lines": list(part.lines)} for part in recipe.parts],
        EXTENSION: {**recipe.plan} if recipe.plan is not None else None,
    }
    node |= {key: value for key, value in optional.items() if value}
    return json.dumps(node, ensure_ascii=False, indent=2)


def _instructions(recipe: Recipe) -> list[Json]:
    """Steps, those under a heading as a section."""
    found: list[Json] = []
    section: list[Json] = found
    named = {item.first: item.name for item in recipe.sections}
    for row, step in enumerate(recipe.steps):
        if row in named:
            section = []
            found.append({"@type": "HowToSection", "name": _marked(named[row]),
                          "itemListElement": section})  # fmt: skip
        section.append({"@type": "HowToStep", "text": _marked(step)})
    return found


def _marked(text: str) -> str:
    """Words that a reader of the format would take for markup are written as entities."""
    return escape(text, quote=False) if set("<&") & set(text) else text


def _duration(seconds: float | None) -> str | None:
    if not seconds:
        return None
    return str(isodate.duration_isoformat(timedelta(seconds=round(seconds))))


def to_text(recipe: Recipe) -> str:
    """Plain text that reads well and can be pasted back."""
    parts = [recipe.title, "", *_credit(recipe)]
    if recipe.description:
        parts += [recipe.description, ""]
    if recipe.yields:
        parts += [recipe.yields, ""]
    parts += ["Ingredients", *(line for _, line in _under_headings(recipe)), "", "Method"]
    for heading, step in _steps_under_headings(recipe):
        parts += ["", step] if heading else [step]
    if recipe.notes:
        parts += ["", "Notes", *recipe.notes]
    return "\n".join(parts) + "\n"


def _credit(recipe: Recipe) -> list[str]:
    """Who wrote it and where it stands."""
    lines = [f"By {recipe.author}"] if recipe.author else []
    lines += [f"Source: {recipe.source}"] if recipe.source else []
    return [*lines, ""] if lines else []


def _under_headings(recipe: Recipe) -> Iterator[tuple[bool, str]]:
    """The ingredients with the headings of their parts, and which of both each line is."""
    names = {part.lines[0]: part.name for part in recipe.parts if part.lines}
    for row, line in enumerate(recipe.ingredients):
        if row in names:
            yield True, _heading(names[row])
        yield False, line


def _steps_under_headings(recipe: Recipe) -> Iterator[tuple[bool, str]]:
    """The numbered steps with the headings over them, and which of both each line is."""
    names = {item.first: _heading(item.name) for item in recipe.sections}
    for row, step in enumerate(recipe.steps):
        # a heading that would read back as something else is left away
        if row in names and heading_of(names[row]) == "part":
            yield True, names[row]
        yield False, f"{row + 1}. {step}"


def _heading(name: str) -> str:
    plain = name.lower().startswith(("for ", "to "))
    return name if plain else f"{name}:"


def to_markdown(recipe: Recipe) -> str:
    """Markdown; what could be taken for markup is escaped."""
    parts = [f"# {_plain(recipe.title)}", "", *map(_plain, _credit(recipe))]
    if recipe.description:
        parts += [_plain(recipe.description), ""]
    if recipe.yields:
        parts += [_plain(recipe.yields), ""]
    parts += ["## Ingredients", ""]
    for heading, line in _under_headings(recipe):
        parts += ["", f"### {_plain(line)}", ""] if heading else [f"- {_plain(line)}"]
    parts += ["", "## Method", ""]
    for heading, step in _steps_under_headings(recipe):
        # a full stop after a number is no markup, and its number is not in the text
        number, _, words = step.partition(". ")
        parts += ["", f"### {_plain(step)}", ""] if heading else [f"{number}. {_plain(words)}"]
    if recipe.notes:
        parts += ["", "## Notes", "", *(f"- {_plain(note)}" for note in recipe.notes)]
    return "\n".join(parts) + "\n"


def _plain(text: str) -> str:
    for sign in ("\\", "*", "_", "`", "[", "]", "<", ">", "#", "|", "~", "&"):
        text = text.replace(sign, f"\\{sign}")
    return text

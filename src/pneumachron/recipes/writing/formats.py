"""Open formats: schema.org/Recipe as JSON-LD, Markdown, and plain text."""

import json
from collections.abc import Iterator
from datetime import timedelta
from html import escape

import isodate

from pneumachron.recipes.model import Recipe
from pneumachron.recipes.reading.jsonld import EXTENSION, NOTES, PARTS, Json

CONTEXT: list[Json] = ["https://schema.org", {"pneumachron": "urn:pneumachron:"}]


def to_jsonld(recipe: Recipe) -> str:
    """A schema.org/Recipe. Our plan and notes stand under names of our own."""
    node: dict[str, Json] = {
        "@context": CONTEXT,
        "@type": "Recipe",
        "name": _marked(recipe.title),
        "recipeIngredient": [_marked(line) for line in recipe.ingredients],
        "recipeInstructions": [
            {"@type": "HowToStep", "text": _marked(step)} for step in recipe.steps
        ],
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
    parts += [f"{number}. {step}" for number, step in enumerate(recipe.steps, start=1)]
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
            name = names[row]
            plain = name.lower().startswith(("for ", "to "))
            yield True, name if plain else f"{name}:"
        yield False, line


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
    parts += [f"{number}. {_plain(step)}" for number, step in enumerate(recipe.steps, start=1)]
    if recipe.notes:
        parts += ["", "## Notes", "", *(f"- {_plain(note)}" for note in recipe.notes)]
    return "\n".join(parts) + "\n"


def _plain(text: str) -> str:
    for sign in ("\\", "*", "_", "`", "[", "]", "<", ">", "#", "|", "~", "&"):
        text = text.replace(sign, f"\\{sign}")
    return text

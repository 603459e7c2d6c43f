"""A recipe as its writer left it: texts only, nothing understood yet."""

from dataclasses import dataclass
from typing import Literal, TypeAlias

Format: TypeAlias = Literal["text", "markdown", "html", "jsonld"]

MAX_BYTES = 2_000_000
"""Of a file; far above any recipe page. Judgement."""
MAX_LINES = 400
"""Ingredients and steps together. Judgement: a feast has some eighty."""
MAX_TEXT = 2_000
"""Characters in one line or step. Judgement."""
MAX_TITLE = 200


@dataclass(frozen=True, slots=True)
class Recipe:
    """Title, yield, ingredient lines and steps. `plan` is our own extension, when it has one."""

    title: str
    ingredients: tuple[str, ...]
    steps: tuple[str, ...]
    yields: str = ""
    description: str = ""
    prep_s: float | None = None
    cook_s: float | None = None
    total_s: float | None = None
    notes: tuple[str, ...] = ()
    plan: dict[str, str | int | float] | None = None


@dataclass(frozen=True, slots=True)
class ReadRecipe:
    """What a reader made of a text, and what it has to say about that."""

    recipe: Recipe
    format: Format
    remarks: tuple[str, ...] = ()

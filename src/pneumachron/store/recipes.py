"""The library of recipes."""

from dataclasses import replace

from sqlalchemy import ColumnElement, func, select
from sqlalchemy.orm import Session

from pneumachron.store.records import RecipeContent, StoredRecipe
from pneumachron.store.repository import Repository
from pneumachron.store.tables import RecipeRow

MAX_TWINS = 5


def bears(tag: str) -> ColumnElement[bool]:
    """Recipes with a tag."""
    tags = func.json_each(RecipeRow.tags).table_valued("value")
    return select(tags.c.value).where(tags.c.value == tag).exists()


def twins(session: Session, household_id: str, fingerprint: str) -> list[StoredRecipe]:
    """Recipes in the library with the same lines."""
    same = RecipeRow.fingerprint == fingerprint
    found, _ = RECIPES.page(session, household_id, where=(same,), limit=MAX_TWINS)
    return found


def replace_recipe(
    session: Session,
    household_id: str,
    recipe_id: str,
    content: RecipeContent,
    seen: int | None = None,
) -> StoredRecipe:
    """Change title, tags, answers and choices; the original stays as it came."""
    there = RECIPES.get(session, household_id, recipe_id).content
    kept = replace(content, original=there.original, format=there.format)
    return RECIPES.replace(session, household_id, recipe_id, kept, seen)


def _write(row: RecipeRow, content: RecipeContent) -> None:
    row.title, row.tags = content.title, list(content.tags)
    row.original, row.format = content.original, content.format
    row.fingerprint, row.recipe = content.fingerprint, content.recipe
    row.answers, row.choices = content.answers, content.choices


def _read(row: RecipeRow) -> RecipeContent:
    return RecipeContent(
        title=row.title,
        tags=tuple(row.tags),
        original=row.original,
        format=row.format,
        fingerprint=row.fingerprint,
        recipe=row.recipe,
        answers=row.answers,
        choices=row.choices,
    )


RECIPES = Repository(
    "recipe", RecipeRow, RecipeRow.title, write=_write, read=_read, stored=StoredRecipe
)

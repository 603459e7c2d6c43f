"""The library of recipes."""

from sqlalchemy import func, select
from sqlalchemy.orm import Session

from pneumachron.store.errors import NotFoundError
from pneumachron.store.records import RecipeContent, StoredRecipe, new_id, now
from pneumachron.store.tables import RecipeRow

MAX_LISTED = 200


def list_recipes(
    session: Session, household_id: str, *, search: str, tag: str, limit: int, offset: int
) -> tuple[list[StoredRecipe], int]:
    """Recipes whose title holds all words searched for and that bear a tag, the newest first."""
    chosen = select(RecipeRow).where(
        RecipeRow.household_id == household_id, RecipeRow.deleted_at.is_(None)
    )
    for word in search.split():
        chosen = chosen.where(RecipeRow.title.icontains(word, autoescape=True))
    if tag:
        tags = func.json_each(RecipeRow.tags).table_valued("value")
        chosen = chosen.where(select(tags.c.value).where(tags.c.value == tag).exists())
    total = session.scalar(select(func.count()).select_from(chosen.subquery())) or 0
    rows = session.scalars(
        chosen.order_by(RecipeRow.updated_at.desc(), RecipeRow.id)
        .limit(min(limit, MAX_LISTED))
        .offset(offset)
    )
    return [_stored(row) for row in rows], total


def get_recipe(session: Session, household_id: str, recipe_id: str) -> StoredRecipe:
    """A recipe that is not deleted."""
    row = _row(session, household_id, recipe_id)
    if row.deleted_at is not None:
        raise NotFoundError("recipe", recipe_id)
    return _stored(row)


def twins(session: Session, household_id: str, fingerprint: str) -> list[StoredRecipe]:
    """Recipes in the library with the same lines."""
    rows = session.scalars(
        select(RecipeRow)
        .where(
            RecipeRow.household_id == household_id,
            RecipeRow.fingerprint == fingerprint,
            RecipeRow.deleted_at.is_(None),
        )
        .limit(5)
    )
    return [_stored(row) for row in rows]


def add_recipe(session: Session, household_id: str, content: RecipeContent) -> StoredRecipe:
    """Put a recipe into the library."""
    row = RecipeRow(id=new_id(), household_id=household_id, created_at=now())
    _write(row, content)
    session.add(row)
    session.flush()
    return _stored(row)


def replace_recipe(
    session: Session, household_id: str, recipe_id: str, content: RecipeContent
) -> StoredRecipe:
    """Change title, tags, answers and choices; the original stays as it came."""
    row = _row(session, household_id, recipe_id)
    if row.deleted_at is not None:
        raise NotFoundError("recipe", recipe_id)
    original, kind = row.original, row.format
    _write(row, content)
    row.original, row.format = original, kind
    session.flush()
    return _stored(row)


def put_recipe(session: Session, household_id: str, recipe: StoredRecipe) -> None:
    """A recipe under its own id and with its own dates, over what is there."""
    row = session.get(RecipeRow, recipe.recipe_id) or RecipeRow(id=recipe.recipe_id)
    _write(row, recipe.content)
    row.household_id, row.deleted_at = household_id, None
    row.created_at, row.updated_at = recipe.created_at, recipe.updated_at
    session.add(row)
    session.flush()


def set_recipe_deleted(
    session: Session, household_id: str, recipe_id: str, *, deleted: bool
) -> None:
    """Take a recipe out of the library, or put it back."""
    _row(session, household_id, recipe_id).deleted_at = now() if deleted else None
    session.flush()


def _row(session: Session, household_id: str, recipe_id: str) -> RecipeRow:
    row = session.get(RecipeRow, recipe_id)
    if row is None or row.household_id != household_id:
        raise NotFoundError("recipe", recipe_id)
    return row


def _write(row: RecipeRow, content: RecipeContent) -> None:
    row.title, row.tags = content.title, list(content.tags)
    row.original, row.format = content.original, content.format
    row.fingerprint, row.recipe = content.fingerprint, content.recipe
    row.answers, row.choices = content.answers, content.choices
    row.updated_at = now()


def _stored(row: RecipeRow) -> StoredRecipe:
    content = RecipeContent(
        title=row.title,
        tags=tuple(row.tags),
        original=row.original,
        format=row.format,
        fingerprint=row.fingerprint,
        recipe=row.recipe,
        answers=row.answers,
        choices=row.choices,
    )
    return StoredRecipe(row.id, content, row.created_at, row.updated_at)

"""Recipes: read, convert, give back, keep."""

from typing import Annotated, Any

from fastapi import APIRouter, Body, Depends, Path, Query, Request, status

from pneumachron.api.dependencies import (
    CHANGING,
    INVALID,
    MISSING,
    STALE,
    TURN,
    Db,
    Seen,
    WriteDb,
)
from pneumachron.api.sane import SaneRoute
from pneumachron.api.schemas.recipes import (
    ConvertedOut,
    ConvertIn,
    ExportIn,
    ExportOut,
    LibraryOut,
    OtherWayIn,
    OtherWayOut,
    ReadOut,
    RecipeIn,
    RecipeLine,
    StoredRecipeOut,
)
from pneumachron.services import planning, recipes
from pneumachron.services.reading import ReadingRoom
from pneumachron.store.repository import MAX_LISTED

router = APIRouter(prefix="/api", route_class=SaneRoute, tags=["recipes"])
_ASKED = INVALID | MISSING | CHANGING
RecipeId = Annotated[str, Path(min_length=1, max_length=40, pattern=r"^[A-Za-z0-9_-]+$")]


@router.post("/recipes/read", response_model=ReadOut, responses=_ASKED)
def read_recipe(
    content: Annotated[bytes, Body(media_type="application/octet-stream")],
    request: Request,
    db: Db,
    name: Annotated[str, Query(max_length=200)] = "",
) -> dict[str, Any]:
    """Read a recipe from a file or a paste: text, Markdown, a saved web page, JSON-LD."""
    room: ReadingRoom = request.app.state.reading
    return recipes.read_here(db, content, name, room.read)


@router.post("/recipes/convert", response_model=ConvertedOut, responses=_ASKED, dependencies=[TURN])
def convert_recipe(asked: ConvertIn, db: Db) -> dict[str, Any]:
    """Convert a recipe for a pot. Nothing is kept."""
    return recipes.convert_here(db, asked.to_inputs())


@router.post("/recipes/export", responses=_ASKED, dependencies=[TURN])
def export_recipe(asked: ExportIn, db: Db) -> ExportOut:
    """The converted recipe as JSON-LD, Markdown or plain text."""
    text = recipes.export_here(db, asked.request.to_inputs(), asked.format)
    return ExportOut(format=asked.format, text=text)


def _warm_up(request: Request) -> None:
    """Whoever looks at the recipes may paste one next: what reads it is started meanwhile."""
    room: ReadingRoom = request.app.state.reading
    room.warm_up()


@router.get("/recipes", responses=INVALID, dependencies=[Depends(_warm_up)])
def list_recipes(
    db: Db,
    search: Annotated[str, Query(max_length=120)] = "",
    tag: Annotated[str, Query(max_length=30)] = "",
    limit: Annotated[int, Query(ge=1, le=MAX_LISTED)] = 50,
    offset: Annotated[int, Query(ge=0, le=1_000_000)] = 0,
) -> LibraryOut:
    """Recipes of the library, the newest first."""
    found, total = recipes.list_here(db, search=search, tag=tag, limit=limit, offset=offset)
    return LibraryOut(recipes=[RecipeLine.of(stored) for stored in found], total=total)


@router.post("/recipes", status_code=status.HTTP_201_CREATED, responses=_ASKED)
def keep_recipe(recipe: RecipeIn, db: WriteDb) -> StoredRecipeOut:
    """Keep a recipe in the library."""
    return StoredRecipeOut.of(recipes.keep_recipe(db, recipe.to_inputs()))


@router.get("/recipes/{recipe_id}", responses=INVALID | MISSING)
def get_recipe(recipe_id: RecipeId, db: Db) -> StoredRecipeOut:
    """A recipe as it was kept, with its original."""
    return StoredRecipeOut.of(recipes.get_recipe(db, recipe_id))


@router.put("/recipes/{recipe_id}", responses=_ASKED | STALE)
def replace_recipe(
    recipe_id: RecipeId, recipe: RecipeIn, db: WriteDb, seen: Seen = None
) -> StoredRecipeOut:
    """Change title, tags, answers and choices; the original stays."""
    return StoredRecipeOut.of(recipes.keep_recipe(db, recipe.to_inputs(), recipe_id, seen))


@router.delete("/recipes/{recipe_id}", status_code=status.HTTP_204_NO_CONTENT, responses=_ASKED)
def delete_recipe(recipe_id: RecipeId, db: WriteDb) -> None:
    """Take a recipe out of the library; it can be put back."""
    recipes.set_recipe_deleted(db, recipe_id, deleted=True)


@router.post(
    "/recipes/{recipe_id}/restore", status_code=status.HTTP_204_NO_CONTENT, responses=_ASKED
)
def restore_recipe(recipe_id: RecipeId, db: WriteDb) -> None:
    """Put a deleted recipe back."""
    recipes.set_recipe_deleted(db, recipe_id, deleted=False)


@router.post(
    "/plan/other-methods", response_model=OtherWayOut, responses=_ASKED, dependencies=[TURN]
)
def other_way(asked: OtherWayIn, db: Db) -> dict[str, Any]:
    """A pressure plan as an oven braise or in a slow cooker."""
    return planning.other_way_here(db, asked.request.to_inputs(), asked.method)

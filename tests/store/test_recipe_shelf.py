"""The library of recipes on disk."""

from collections.abc import Iterator
from dataclasses import replace
from pathlib import Path

import pytest
from sqlalchemy.orm import Session

from pneumachron.services.households import current_household
from pneumachron.store import recipes
from pneumachron.store.db import Database
from pneumachron.store.errors import NotFoundError
from pneumachron.store.recipes import RECIPES
from pneumachron.store.records import RecipeContent


@pytest.fixture
def session(tmp_path: Path) -> Iterator[Session]:
    database = Database(tmp_path)
    with database.writing() as opened:
        yield opened
    database.close()


def content(title: str, *tags: str, original: str = "as it came") -> RecipeContent:
    return RecipeContent(title, tags, original, "text", title.lower(), {"title": title}, {}, {})


def test_find_by_words_and_tags(session: Session) -> None:
    home = current_household(session).household_id
    for title, tags in (("Smoked brisket", ("smoker",)), ("Short ribs 100%", ("oven", "snow"))):
        RECIPES.add(session, home, content(title, *tags))

    def found(search: str = "", tag: str = "") -> list[str]:
        page, total = RECIPES.page(
            session, home, search=search, where=[recipes.bears(tag)] if tag else []
        )
        assert total == len(page)
        return [item.content.title for item in page]

    assert found("BRISKET smoked") == ["Smoked brisket"]
    assert found("100%") == ["Short ribs 100%"]
    assert found("%") == ["Short ribs 100%"]  # a sign of the query language is a sign
    assert found(tag="snow") == ["Short ribs 100%"]
    assert found(tag="sno") == []
    assert len(found()) == 2


def test_originals_stay_and_deletion_is_no_loss(session: Session) -> None:
    home = current_household(session).household_id
    kept = RECIPES.add(session, home, content("One"))
    changed = recipes.replace_recipe(
        session, home, kept.recipe_id, content("Two", original="something else")
    )
    assert (changed.content.title, changed.content.original) == ("Two", "as it came")
    RECIPES.set_deleted(session, home, kept.recipe_id, deleted=True)
    with pytest.raises(NotFoundError):
        RECIPES.get(session, home, kept.recipe_id)
    assert recipes.twins(session, home, "two") == []
    RECIPES.set_deleted(session, home, kept.recipe_id, deleted=False)
    assert RECIPES.get(session, home, kept.recipe_id) == changed
    assert [item.recipe_id for item in recipes.twins(session, home, "two")] == [kept.recipe_id]
    with pytest.raises(NotFoundError):
        RECIPES.get(session, "another household", kept.recipe_id)


def test_put_back_under_its_own_id(session: Session) -> None:
    home = current_household(session).household_id
    kept = RECIPES.add(session, home, content("One"))
    RECIPES.put(session, home, kept.recipe_id, kept.content, (kept.created_at, kept.updated_at))
    there = RECIPES.get(session, home, kept.recipe_id)
    assert there == replace(kept, version=2)  # who has it open is told that it was changed

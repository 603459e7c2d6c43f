"""The process that reads: what takes too long is ended, and the next text is read all the same."""

import multiprocessing
import time
from collections.abc import Iterator

import pytest
from fastapi import FastAPI
from fastapi.testclient import TestClient

from pneumachron.recipes.errors import UnreadableError
from pneumachron.services.reading import ReadingRoom
from tests.live import PATIENCE_S

RECIPE = b"Ribs\n\n1 rack of back ribs\n\nRub the ribs and bake them for 2 hours."


@pytest.fixture
def room() -> Iterator[ReadingRoom]:
    found = ReadingRoom(limit_s=1.0)
    yield found
    found.close()


def test_a_recipe_is_read_and_a_refusal_comes_back(room: ReadingRoom) -> None:
    assert room.read(RECIPE, "").recipe.title == "Ribs"
    with pytest.raises(UnreadableError) as refused:
        room.read(b"[[[[", "")
    assert refused.value.code == "broken_json"


def test_who_looks_at_the_recipes_finds_a_process_that_is_started(
    client: TestClient, app: FastAPI
) -> None:
    """The first paste waited for it: three seconds on a slow machine."""
    room = ReadingRoom()
    shared, app.state.reading = app.state.reading, room
    try:
        before = set(multiprocessing.active_children())
        assert client.get("/api/recipes").status_code == 200
        deadline = time.monotonic() + PATIENCE_S
        while not set(multiprocessing.active_children()) - before:
            assert time.monotonic() < deadline
            time.sleep(0.05)
        assert room.read(RECIPE, "").recipe.title == "Ribs"
    finally:
        app.state.reading = shared
        room.close()


def test_what_takes_too_long_is_ended() -> None:
    hasty = ReadingRoom(limit_s=0.01)
    try:
        with pytest.raises(UnreadableError) as ended:
            hasty.read(b"# Ribs\n\n" + b"[a](" * 24_000, "")  # most of a second
        assert ended.value.code == "reading_too_slow"
        hasty.limit_s = 20.0
        assert hasty.read(RECIPE, "").recipe.title == "Ribs"
    finally:
        hasty.close()

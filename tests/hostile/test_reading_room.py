"""The process that reads: what takes too long is ended, and the next text is read all the same."""

from collections.abc import Iterator

import pytest

from pneumachron.recipes.errors import UnreadableError
from pneumachron.services.reading import ReadingRoom

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

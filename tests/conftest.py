"""What tests of several areas share."""

import gc
from collections.abc import Iterator
from pathlib import Path
from typing import Any

import pytest
from fastapi import FastAPI
from fastapi.testclient import TestClient
from hypothesis import settings

from pneumachron.api.app import LOCAL_HOSTS, create_app
from pneumachron.services.reading import ReadingRoom
from pneumachron.store.db import FILE_NAME, Database
from tests import DEEP, USUAL
from tests.whole import ONLY_WHOLE

# speed belongs into benchmarks: no property fails for being slow on a busy machine
settings.register_profile("project", deadline=None)
settings.load_profile("project")

ROOT = Path(__file__).parents[1]
SLOW = (
    "tests/browser/", "tests/faults/", "tests/hostile/", "tests/bench/", "tests/reference/",
    "tests/version1/", "tests/api/test_fuzz.py", "tests/test_cli_log.py", "tests/test_project.py",
    "tests/core/test_learn.py", "tests/core/test_keeping.py", "tests/core/test_no_cliffs.py",
    "tests/core/test_plan.py", "tests/core/test_schedule.py", "tests/core/test_band.py",
    "tests/core/test_laid_together.py", "tests/devices/test_any_hands.py",
    "tests/api/test_following.py", "tests/text/test_all_is_said.py", "tests/api/test_cooks_api.py",
    "tests/api/test_photos_api.py", "tests/api/test_log_files.py", "tests/api/test_lan.py",
    "tests/api/test_kit_api.py", "tests/api/test_recipes_api.py", "tests/api/test_log_plans.py",
    "tests/api/test_learning_api.py", "tests/api/test_day_api.py", "tests/core/test_law.py",
    "tests/core/test_fixes.py", "tests/api/test_one_procedure_api.py",
    "tests/recipes/test_reading.py::test_mutated_files", "tests/api/test_ask_api.py",
    "tests/store/test_words.py", "tests/core/test_live.py", "tests/api/test_saved_plans_api.py",
    "tests/core/test_linear.py", "tests/devices/test_simulated.py",
    "tests/core/test_other_methods.py", "tests/core/test_procedure.py", "tests/revision13/",
    "tests/api/test_erasing.py", "tests/recipes/test_in_", "tests/recipes/test_side_work.py",
    "tests/recipes/test_as_it_was_copied.py", "tests/recipes/test_usual_cards.py",
    "tests/recipes/test_what_is_left_unsaid.py", "tests/recipes/test_placing.py",
    "tests/recipes/test_late_autumn.py", "tests/recipes/test_first_snow.py",
    "tests/recipes/test_weekend_pages.py", "tests/recipes/test_as_the_recipe_does.py",
    "tests/recipes/test_from_other_machines.py", "tests/recipes/test_said_",
    "tests/recipes/test_told_", "tests/recipes/test_plain_voices.py",
    "tests/recipes/test_more_voices.py",
)  # fmt: skip
"""What `dev.py test --quick` leaves out."""
LONGEST = (
    "tests/api/test_fuzz.py", "tests/faults/test_faults.py", "tests/browser/test_cook.py",
    "tests/hostile/test_growth.py", "tests/test_project.py::test_validation",
    "tests/core/test_learn.py", "tests/test_cli_log.py", "tests/browser/test_plan.py",
)  # fmt: skip
"""Begun first, so that no worker is left with a long one at the end."""


def pytest_ignore_collect(collection_path: Path, config: pytest.Config) -> bool | None:
    """What is slow as a whole is not even read: the fuzz alone takes a quarter of a minute."""
    if config.option.markexpr != "not slow":
        return None
    there = collection_path.relative_to(config.rootpath).as_posix()
    return True if there.startswith(SLOW) or f"{there}/" in SLOW else None


def pytest_collection_finish() -> None:
    """What is loaded by now stays: no collection of garbage has to go through it again."""
    gc.collect()
    gc.freeze()


def pytest_collection_modifyitems(config: pytest.Config, items: list[pytest.Item]) -> None:
    """Mark what is slow, leave out what is for a longer run, begin with what takes longest."""
    left = {
        item for item in items
        if (item.get_closest_marker("deep") and not DEEP)
        or (USUAL and item.nodeid.startswith(ONLY_WHOLE))
    }  # fmt: skip
    if left:
        config.hook.pytest_deselected(items=list(left))
        items[:] = [item for item in items if item not in left]
    for item in items:
        if item.nodeid.startswith(SLOW):
            item.add_marker("slow")
    items.sort(key=lambda item: not item.nodeid.startswith(LONGEST))


BRISKET: dict[str, Any] = {
    "pieces": [{"cut": "brisket_flat", "count": 2, "mass": "3 lb 2 oz", "thickness": "1 3/4 in"}],
    "pot": "tenor",
    "texture": "tender",
}


@pytest.fixture(scope="session")
def prepared(tmp_path_factory: pytest.TempPathFactory) -> bytes:
    """An empty database with all its tables: made once, as twelve migrations take a while."""
    folder = tmp_path_factory.mktemp("prepared")
    Database(folder).close()
    return (folder / FILE_NAME).read_bytes()


class SharedRoom(ReadingRoom):
    """The process that reads recipes, for all apps of a test run: its start takes a second."""

    def close(self) -> None:
        """An app that stops leaves it to the next one."""


@pytest.fixture(scope="session")
def app(tmp_path_factory: pytest.TempPathFactory) -> Iterator[FastAPI]:
    """The app, whose routes are built once; each start of it is on a folder of its own."""
    built = create_app(tmp_path_factory.mktemp("app"), LOCAL_HOSTS)
    room = SharedRoom()
    built.state.make_reading_room = lambda: room
    yield built
    ReadingRoom.close(room)


@pytest.fixture
def client(app: FastAPI, tmp_path: Path, prepared: bytes) -> Iterator[TestClient]:
    """The real app on an empty data folder."""
    (tmp_path / FILE_NAME).write_bytes(prepared)
    app.state.folder = tmp_path
    with TestClient(app, base_url="http://127.0.0.1") as test_client:
        yield test_client

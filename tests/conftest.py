"""What tests of several areas share."""

from collections.abc import Iterator
from pathlib import Path
from typing import Any

import pytest
from fastapi.testclient import TestClient
from hypothesis import settings

from pneumachron.api.app import LOCAL_HOSTS, create_app
from pneumachron.demo import scenario
from pneumachron.store.db import Database

# speed belongs into benchmarks: no property fails for being slow on a busy machine
settings.register_profile("project", deadline=None)
settings.load_profile("project")

ROOT = Path(__file__).parents[1]
BRISKET: dict[str, Any] = {
    "pieces": [{"cut": "brisket_flat", "count": 2, "mass": "3 lb 2 oz", "thickness": "1 3/4 in"}],
    "pot": "tenor",
    "texture": "tender",
}


@pytest.fixture
def client(tmp_path: Path) -> Iterator[TestClient]:
    """The real app on an empty data folder."""
    with TestClient(create_app(tmp_path, LOCAL_HOSTS), base_url="http://127.0.0.1") as test_client:
        yield test_client


@pytest.fixture(scope="session")
def demo_folder(tmp_path_factory: pytest.TempPathFactory) -> Path:
    """A data folder with the demo in it."""
    folder = tmp_path_factory.mktemp("demo")
    database = Database(folder)
    with database.writing() as session:
        scenario.fill(session, folder)
    database.close()
    return folder

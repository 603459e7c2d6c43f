"""What version 1 wrote opens in every later version: data folder, backup, CSV and JSON-LD."""

import json
import zipfile
from collections.abc import Iterator
from datetime import UTC, datetime
from pathlib import Path
from typing import Any

import pytest
from fastapi.testclient import TestClient

from pneumachron.api.app import LOCAL_HOSTS, create_app
from pneumachron.devices.clock import KitchenClock
from pneumachron.services.live_kitchen import LiveKitchen

HERE = Path(__file__).parent
WALL_SHOWED = datetime(2026, 11, 27, 7, 18, tzinfo=UTC)
KITCHEN_SHOWED = datetime(2026, 11, 27, 9, 42, tzinfo=UTC)
"""Just after it went dark. Later in the day a pot that was under pressure is ready to open."""
EXPECTED: dict[str, Any] = json.loads((HERE / "expected.json").read_text(encoding="utf-8"))


def unpack(folder: Path) -> None:
    """The folder as version 1 was killed in it."""
    with zipfile.ZipFile(HERE / "data-folder.zip") as packed:
        packed.extractall(folder)


def opened(folder: Path, moment: datetime) -> TestClient:
    """The app on a folder, at a moment that stands."""

    def kitchen(folder: Path) -> LiveKitchen:
        return LiveKitchen(folder, lambda: KitchenClock(lambda: moment, lambda: 0.0))

    return TestClient(create_app(folder, LOCAL_HOSTS, kitchen), base_url="http://127.0.0.1")


@pytest.fixture
def old(tmp_path: Path) -> Iterator[TestClient]:
    unpack(tmp_path)
    with opened(tmp_path, WALL_SHOWED) as client:
        yield client


@pytest.fixture
def empty(tmp_path: Path) -> Iterator[TestClient]:
    with opened(tmp_path, KITCHEN_SHOWED) as client:
        yield client


def check_cooks(client: TestClient, *, running: bool) -> None:
    listed = client.get("/api/cooks", params={"limit": 50}).json()
    assert listed["total"] == EXPECTED["log_total"]
    for cook_id, was in EXPECTED["cooks"].items():
        shown = client.get(f"/api/cooks/{cook_id}")
        assert shown.status_code == 200, shown.text
        found = shown.json()
        for name in ("name", "set_min", "began_at", "ended_at"):
            assert found[name] == was[name], (was["name"], name)
        if running or was["ended_at"]:
            assert found["current"] == was["current"], was["name"]
    for line in listed["cooks"]:
        assert client.get(f"/api/cooks/{line['id']}").status_code == 200
        assert client.get(f"/api/cooks/{line['id']}/pieces").status_code == 200


def check_plans(client: TestClient) -> None:
    listed = client.get("/api/plans").json()["plans"]
    assert {plan["id"] for plan in listed} == {plan["id"] for plan in EXPECTED["plans"]}
    for plan in EXPECTED["plans"]:
        found = client.get(f"/api/plans/{plan['id']}").json()
        assert found["name"] == plan["name"]
        assert found["results"]["setting"]["hold_min"] == plan["hold_min"]
    for day in client.get("/api/schedules").json()["days"]:
        assert client.get(f"/api/schedules/{day['id']}").status_code == 200
    for recipe in client.get("/api/recipes").json()["recipes"]:
        assert client.get(f"/api/recipes/{recipe['id']}").status_code == 200


def photos_of(client: TestClient) -> set[str]:
    return {
        photo["id"]
        for line in client.get("/api/cooks", params={"limit": 50}).json()["cooks"]
        for photo in client.get(f"/api/cooks/{line['id']}").json()["photos"]
    }


def test_the_data_folder_opens_with_its_cooks_under_way(old: TestClient) -> None:
    check_cooks(old, running=True)
    check_plans(old)
    photos = photos_of(old)
    assert len(photos) == 3
    for photo in photos:
        assert old.get(f"/api/photos/{photo}").content[:2] == b"\xff\xd8"
    assert old.get("/api/backup").status_code == 200
    by_hand = next(
        cook_id for cook_id, was in EXPECTED["cooks"].items() if was["name"].startswith("Organ")
    )
    timers = old.get(f"/api/cooks/{by_hand}").json()["timers"]
    assert [timer["timer_id"] for timer in timers] == ["oven-timer"]
    told = {"key": "after-upgrade", "kind": "note", "text": "it goes on"}
    assert old.post(f"/api/cooks/{by_hand}/events", json=told).status_code == 200


def test_what_it_learned_is_still_known(old: TestClient) -> None:
    was = {(item["kind"], item["key"]): item for item in EXPECTED["lessons"]["lessons"]}
    now = {(item["kind"], item["key"]): item for item in old.get("/api/lessons").json()["lessons"]}
    assert now.keys() == was.keys()


def test_its_backup_comes_into_an_empty_kitchen(empty: TestClient) -> None:
    content = (HERE / "backup.json").read_bytes()
    reply = empty.post("/api/restore", json=json.loads(content), params={"dry_run": False})
    assert reply.status_code == 200, reply.text
    check_cooks(empty, running=True)
    check_plans(empty)
    assert len(photos_of(empty)) == 3


def test_its_log_files_come_in(client: TestClient) -> None:
    csv = (HERE / "log.csv").read_text(encoding="utf-8")
    first = client.post("/api/cooks/import", json={"text": csv}).json()
    assert (first["bad"], first["added"]) == (0, EXPECTED["log_total"])
    jsonld = (HERE / "log.jsonld").read_text(encoding="utf-8")
    again = client.post("/api/cooks/import", json={"text": jsonld}).json()
    assert (again["bad"], again["known"]) == (0, EXPECTED["log_total"])

"""What was written when the liquid style was `school` opens with the names of today."""

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
WROTE = datetime(2026, 11, 28, 9, 1, tzinfo=UTC)


def opened(folder: Path) -> TestClient:
    def kitchen(folder: Path) -> LiveKitchen:
        return LiveKitchen(folder, lambda: KitchenClock(lambda: WROTE, lambda: 0.0))

    return TestClient(create_app(folder, LOCAL_HOSTS, kitchen), base_url="http://127.0.0.1")


@pytest.fixture
def empty(tmp_path: Path) -> Iterator[TestClient]:
    with opened(tmp_path) as client:
        yield client


@pytest.fixture(params=["data folder", "backup"])
def kitchen(request: pytest.FixtureRequest, tmp_path: Path) -> Iterator[TestClient]:
    """The old kitchen, from its folder or from its backup."""
    if request.param == "data folder":
        with zipfile.ZipFile(HERE / "data-folder.zip") as packed:
            packed.extractall(tmp_path)
    with opened(tmp_path) as client:
        if request.param == "backup":
            content = json.loads((HERE / "backup.json").read_text(encoding="utf-8"))
            assert (
                client.post("/api/restore", json=content, params={"dry_run": False}).status_code
                == 200
            )
        yield client


def got(client: TestClient, path: str) -> dict[str, Any]:
    reply = client.get(path)
    assert reply.status_code == 200, reply.text
    found: dict[str, Any] = reply.json()
    return found


def test_a_plan(kitchen: TestClient) -> None:
    (line,) = got(kitchen, "/api/plans")["plans"]
    plan = got(kitchen, f"/api/plans/{line['id']}")
    assert plan["inputs"]["liquid_style"] == "bath"
    results = plan["results"]
    assert results["setting"]["liquid_style"] == "bath"
    assert results["arrangement"]["kind"] == "nested"
    assert results["liquid"]["usual_volume_m3"] == pytest.approx(results["liquid"]["volume_m3"])
    (why,) = (
        reason
        for reason in results["reasons"]
        if (reason["about"], reason["fact"]) == ("liquid", "style")
    )
    assert why["text"]
    again = kitchen.post(f"/api/plans/{line['id']}/recompute").json()
    assert again["results"]["reasons"][0].keys() == why.keys()
    assert again["differences"] == []


def test_a_recipe(kitchen: TestClient) -> None:
    (line,) = got(kitchen, "/api/recipes")["recipes"]
    assert got(kitchen, f"/api/recipes/{line['id']}")["choices"]["liquid_style"] == "bath"


def test_a_day(kitchen: TestClient) -> None:
    (line,) = got(kitchen, "/api/schedules")["days"]
    day = got(kitchen, f"/api/schedules/{line['id']}")["day"]
    assert day["dishes"][0]["plan"]["liquid_style"] == "bath"
    assert kitchen.post("/api/schedule", json=day).status_code == 200


def test_cooks(kitchen: TestClient) -> None:
    lines = got(kitchen, "/api/cooks")["cooks"]
    assert {line["name"] for line in lines} == {"Ribs in a bath", "Ribs of last week"}
    for line in lines:
        assert got(kitchen, f"/api/cooks/{line['id']}")["request"]["liquid_style"] == "bath"


def test_a_log(empty: TestClient) -> None:
    text = (HERE / "log.csv").read_text(encoding="utf-8")
    reply = empty.post("/api/cooks/import", json={"text": text})
    assert reply.status_code == 200, reply.text
    assert reply.json()["added"] == 2
    assert '""liquid_style"":""bath""' in empty.get("/api/cooks/export?kind=csv").text

"""Own pots, the boil test, and a backup read back."""

import json
from pathlib import Path
from typing import Any

import pytest
from fastapi.testclient import TestClient
from httpx2 import Response

from pneumachron.api.app import create_app
from tests.conftest import BRISKET

OWN: dict[str, Any] = {
    "name": "The vestry pot",
    "volume": "6 l",
    "diameter": "8 3/4 in",
    "height": "15.5 cm",
    "power_w": 900,
    "high": "11 psi",
    "start_key": True,
    "panel_step_min": 5,
}


def test_a_pot_of_ones_own_is_planned_with(client: TestClient) -> None:
    kept = client.post("/api/pots/own", json=OWN)
    assert kept.status_code == 201, kept.text
    pot = kept.json()["pot"]
    assert pot["has_start_key"]
    assert pot["gauge_high_pa"] == pytest.approx(75.8e3, rel=0.01)
    plan = client.post("/api/plan", json=BRISKET | {"pot": kept.json()["id"]}).json()
    assert plan["pot"]["name"] == "The vestry pot"
    assert "start_key" in {caution["code"] for caution in plan["cautions"]}
    names = [item["pot"]["name"] for item in client.get("/api/pots").json()["pots"]]
    assert "The vestry pot" in names


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"diameter": "40 cm"}, "diameter"),
        ({"volume": "20 l"}, "volume"),
        ({"height": "9 cm"}, "volume"),
        ({"power_w": 50}, "power_w"),
        ({"high": "1 kPa"}, "high"),
        ({"low": "100 kPa"}, "low"),
        ({"least_liquid": "3 l"}, "least_liquid"),
        ({"diameter": "wide"}, "diameter"),
        ({"longest_min": 5}, "longest_min"),
    ],
)
def test_pots_that_cannot_be(change: dict[str, Any], field: str, client: TestClient) -> None:
    refused = client.post("/api/pots/own", json=OWN | change)
    assert refused.status_code == 422
    assert refused.json()["field"] == field


def test_boil_test_moves_the_plan_and_back(client: TestClient) -> None:
    pot_id = client.post("/api/pots/own", json=OWN).json()["id"]
    cook_request = BRISKET | {"pot": pot_id}

    def come_up() -> float:
        phases: list[dict[str, Any]] = client.post("/api/plan", json=cook_request).json()["phases"]
        return float(phases[0]["duration_s"])

    before = come_up()
    tested = client.post(f"/api/pots/{pot_id}/boil-test", json={"minutes": 18, "start": "12 °C"})
    assert tested.json()["pot"]["heat_ratio"] < 0.95
    assert come_up() > before
    reasons = client.post("/api/plan", json=cook_request).json()["reasons"]
    assert "boil_test" in {reason["fact"] for reason in reasons}
    absurd = client.post(f"/api/pots/{pot_id}/boil-test", json={"minutes": 1})
    assert absurd.json()["code"] == "boil_minutes"
    client.post(f"/api/pots/{pot_id}/boil-test", json={"minutes": 0})
    assert come_up() == pytest.approx(before)
    assert client.post("/api/pots/nowhere/boil-test", json={"minutes": 9}).status_code == 404


def fresh(folder: Path) -> TestClient:
    return TestClient(create_app(folder), base_url="http://127.0.0.1")


def counts(reply: Response) -> dict[str, tuple[int, int, int]]:
    return {
        item["kind"]: (item["added"], item["changed"], item["same"])
        for item in reply.json()["changes"]
    }


def test_backup_and_restore(client: TestClient, tmp_path: Path) -> None:
    client.post("/api/people", json={"name": "Wenna Aske"})
    client.post("/api/pots/own", json=OWN)
    client.post("/api/plans", json={"name": "Rehearsal", "inputs": BRISKET})
    file = client.get("/api/backup").json()
    with fresh(tmp_path / "other") as other:
        other.post("/api/plans", json={"name": "Here before", "inputs": BRISKET})
        dry = other.post("/api/restore", json=file)
        assert dry.status_code == 200, dry.text
        assert not dry.json()["done"]
        assert counts(dry)["plans"] == (1, 0, 0)
        assert other.get("/api/plans").json()["total"] == 1
        done = other.post("/api/restore", json=file, params={"dry_run": False})
        assert done.json()["done"]
        assert other.get("/api/plans").json()["total"] == 2
        again = counts(other.post("/api/restore", json=file))
        assert again["plans"] == (0, 0, 1)
        assert again["people"][0] == again["pots"][0] == 0
        back = other.get("/api/backup").json()
        assert back["people"] == file["people"]
        assert {**back["household"], "household_id": ""} == {
            **file["household"],
            "household_id": "",
        }
        assert {json.dumps(pot, sort_keys=True) for pot in file["pots"]} <= {
            json.dumps(pot, sort_keys=True) for pot in back["pots"]
        }
        stored = other.get(f"/api/plans/{file['plans'][0]['plan_id']}").json()
        assert stored["results"]["setting"] == file["plans"][0]["results"]["setting"]


@pytest.mark.parametrize(
    "damage",
    [
        {"envelope": "something else"},
        {"household": {"name": "x"}},
        {"household": None},
        {"people": [{"person_id": 3}]},
        {"plans": [{"plan_id": "x"}]},
        {"pots": [{"pot": {}, "ready_id": None}]},
        {"plans": 7},
        {"made_at": "yesterday"},
        {"people": [{"person_id": "x" * 99, "name": "Ruan"}]},
        {"people": [{"person_id": str(n), "name": "Ruan"} for n in range(300)]},
        {"surprise": 1},
    ],
)
def test_damaged_files_change_nothing(damage: dict[str, Any], client: TestClient) -> None:
    client.post("/api/plans", json={"name": "Rehearsal", "inputs": BRISKET})
    before = client.get("/api/backup").json()
    refused = client.post("/api/restore", json=before | damage, params={"dry_run": False})
    assert refused.status_code == 422, refused.text
    assert refused.json()["code"] == "not_a_backup"
    after = client.get("/api/backup").json()
    assert {**after, "made_at": ""} == {**before, "made_at": ""}


def test_newer_files_are_not_guessed_at(client: TestClient) -> None:
    file = client.get("/api/backup").json() | {"envelope_version": 99}
    assert client.post("/api/restore", json=file).status_code == 409


def test_a_plan_whose_cook_is_gone_comes_back_without_a_name(
    client: TestClient, tmp_path: Path
) -> None:
    cook = client.post("/api/people", json={"name": "Wenna Aske"}).json()["id"]
    client.post("/api/plans", json={"name": "Hers", "inputs": BRISKET, "person_id": cook})
    file = client.get("/api/backup").json() | {"people": []}
    with fresh(tmp_path / "other") as other:
        done = other.post("/api/restore", json=file, params={"dry_run": False})
        assert done.status_code == 200, done.text
        assert other.get("/api/plans").json()["plans"][0]["person_id"] is None


def test_dates_and_zones_of_a_plan_survive(client: TestClient, tmp_path: Path) -> None:
    client.post("/api/plans", json={"name": "Rehearsal", "inputs": BRISKET})
    file = client.get("/api/backup").json()
    plan = file["plans"][0]
    plan["updated_at"] = "2025-03-30T02:30:00+02:00"
    with fresh(tmp_path / "other") as other:
        other.post("/api/restore", json=file, params={"dry_run": False})
        back = other.get("/api/backup").json()["plans"][0]
        assert back["updated_at"] == "2025-03-30T00:30:00+00:00"
        naive = json.loads(json.dumps(file))
        naive["plans"][0]["updated_at"] = "2025-03-30T02:30:00"
        assert other.post("/api/restore", json=naive).json()["code"] == "not_a_backup"

"""Saving, finding, renaming, deleting with undo, working out anew, backing up."""

import json
from pathlib import Path
from typing import Any

from fastapi.testclient import TestClient
from sqlalchemy import text
from typer.testing import CliRunner

from pneumachron.api.app import LOCAL_HOSTS, create_app
from pneumachron.cli import app as cli
from pneumachron.services.households import current_household
from pneumachron.store.db import Database
from pneumachron.store.plans import PLANS
from pneumachron.store.records import PlanContent
from tests.conftest import BRISKET, ROOT


def save(client: TestClient, name: str = "Alto supper", **more: object) -> dict[str, Any]:
    answer = client.post("/api/plans", json={"name": name, "inputs": BRISKET} | more)
    assert answer.status_code == 201, answer.text
    saved: dict[str, Any] = answer.json()
    return saved


def names(client: TestClient, search: str = "") -> list[str]:
    saved = client.get("/api/plans", params={"search": search}).json()
    return [plan["name"] for plan in saved["plans"]]


def test_saved_and_found_after_a_restart(tmp_path: Path) -> None:
    with TestClient(create_app(tmp_path, LOCAL_HOSTS), base_url="http://127.0.0.1") as before:
        saved = save(before)
    with TestClient(create_app(tmp_path, LOCAL_HOSTS), base_url="http://127.0.0.1") as after:
        stored = after.get(f"/api/plans/{saved['id']}").json()
    assert stored == saved
    assert stored["current"]
    assert stored["inputs"]["pieces"][0]["mass"] == "3 lb 2 oz"  # exactly as typed


def test_search_rename_delete_undo(client: TestClient) -> None:
    first, second = save(client, "Alto supper"), save(client, "100 % rehearsal ribs")
    assert names(client) == ["100 % rehearsal ribs", "Alto supper"]
    assert names(client, "SUPPER alto") == ["Alto supper"]
    assert names(client, "%") == ["100 % rehearsal ribs"]
    renamed = client.patch(f"/api/plans/{first['id']}", json={"name": "Bass supper"}).json()
    assert renamed["results"] == first["results"]
    path = f"/api/plans/{second['id']}"
    assert client.delete(path).status_code == 204
    assert names(client) == ["Bass supper"]
    assert client.get(path).status_code == 404
    assert client.put(path, json={"name": "x", "inputs": BRISKET}).status_code == 404
    assert client.post(f"{path}/restore").status_code == 204
    assert len(names(client)) == 2


def test_replacing_works_out_anew(client: TestClient) -> None:
    saved = save(client)
    body = {"name": "Softer", "inputs": BRISKET | {"texture": "falls"}}
    changed = client.put(f"/api/plans/{saved['id']}", json=body).json()
    assert changed["results"]["setting"]["hold_min"] > saved["results"]["setting"]["hold_min"]
    assert changed["id"] == saved["id"]
    assert changed["updated_at"] > saved["updated_at"]


def test_a_request_that_cannot_be_met_is_not_saved(client: TestClient) -> None:
    body = {"name": "No", "inputs": BRISKET | {"liquid": "9 l"}}
    assert client.post("/api/plans", json=body).status_code == 422
    body = {"name": "No", "inputs": BRISKET, "person_id": "nobody"}
    assert client.post("/api/plans", json=body).status_code == 404
    assert client.post("/api/plans", json={"name": "  ", "inputs": BRISKET}).status_code == 422
    assert names(client) == []


def test_stored_numbers_stay_until_asked_anew(client: TestClient) -> None:
    saved = save(client)
    path = f"/api/plans/{saved['id']}"
    assert client.post(f"{path}/recompute").json()["differences"] == []
    change = {"name": "Up there", "altitude": "1150 m", "start": "4 °C", "units": "metric"}
    client.put("/api/household", json=change)
    assert client.get(path).json()["results"] == saved["results"]
    fresh = client.post(f"{path}/recompute").json()
    changed = {item["what"]: item for item in fresh["differences"]}
    assert changed["Cook time"]["stored"] == f"{saved['results']['setting']['hold_min']}\u00a0min"
    assert changed["Cook time"]["fresh"] == f"{fresh['results']['setting']['hold_min']}\u00a0min"
    assert changed["Altitude"]["fresh"] == "1,150\u00a0m"
    assert client.get(path).json()["results"] == saved["results"]  # asking saves nothing


def test_an_older_engine_is_said(client: TestClient, tmp_path: Path) -> None:
    saved = save(client)
    database = Database(tmp_path)
    with database.writing() as session:
        session.execute(text("UPDATE plan SET engine_version = '0'"))
    database.close()
    assert not client.get(f"/api/plans/{saved['id']}").json()["current"]


def test_newer_inputs_are_not_guessed_at(client: TestClient, tmp_path: Path) -> None:
    saved = save(client)
    database = Database(tmp_path)
    with database.writing() as session:
        session.execute(text("UPDATE plan SET inputs_version = 99"))
    database.close()
    answer = client.post(f"/api/plans/{saved['id']}/recompute")
    assert answer.status_code == 409
    assert answer.json()["code"] == "newer_version"


def test_plans_stored_by_the_first_version_stay_readable(
    client: TestClient, tmp_path: Path
) -> None:
    # ours: inputs and results as version 1 wrote them; a field added later needs a default
    old = json.loads((ROOT / "tests/api/data/stored-plan-v1.json").read_text())
    content = PlanContent("Long ago", None, 1, old["inputs"], 1, old["results"], "2")
    client.get("/api/household")
    database = Database(tmp_path)
    with database.writing() as session:
        stored = PLANS.add(session, current_household(session).household_id, content)
    database.close()
    assert names(client) == ["Long ago"]
    opened = client.get(f"/api/plans/{stored.plan_id}").json()
    setting = old["results"]["setting"]
    setting["liquid_style"] = setting.pop("school")
    assert opened["results"]["setting"] == setting
    assert client.post(f"/api/plans/{stored.plan_id}/recompute").status_code == 200


def test_pots_come_and_go(client: TestClient) -> None:
    pots = client.get("/api/pots").json()["pots"]
    assert [pot["ready_id"] for pot in pots] == ["treble", "tenor", "bass"]
    path = f"/api/pots/{pots[1]['id']}"
    inputs = BRISKET | {"pot": pots[1]["id"]}
    saved = save(client, inputs=inputs)
    client.delete(path)
    assert client.post("/api/plan", json=inputs).status_code == 404
    assert client.get(f"/api/plans/{saved['id']}").json() == saved  # the sheet keeps its pot
    client.post(f"{path}/restore")
    assert client.post("/api/plan", json=inputs).status_code == 200
    assert client.post("/api/pots", json={"ready_id": "bass"}).status_code == 201
    assert client.post("/api/pots", json={"ready_id": "kettle"}).status_code == 422
    assert len(client.get("/api/pots").json()["pots"]) == 4


def test_people(client: TestClient) -> None:
    person = client.post("/api/people", json={"name": " Perpetua Nook "}).json()
    assert person["name"] == "Perpetua Nook"
    assert client.get("/api/people").json()["people"] == [person]
    assert save(client, person_id=person["id"])["person_id"] == person["id"]


def test_household_refuses_nonsense(client: TestClient) -> None:
    good = {"name": "Home", "altitude": "0 m", "start": "4 °C", "units": "metric"}
    for field, value in (("altitude", "12 km"), ("altitude", "high"), ("start", "90 °C")):
        answer = client.put("/api/household", json=good | {field: value})
        assert answer.status_code == 422
        assert answer.json()["field"] == field
    assert client.get("/api/household").json()["altitude_m"] == 0.0


TWO_STEPS = {
    "pieces": [
        {"cut": "back_ribs", "count": 1, "mass": "900 g", "thickness": "2 cm"},
        {"cut": "spare_ribs_trimmed", "count": 1, "mass": "1.1 kg", "thickness": "3.5 cm"},
    ],
    "pot": "tenor",
    "texture": "tender",
    "thin_first": True,
}


def test_the_total_of_a_plan_in_two_steps_counts_both(client: TestClient) -> None:
    made = client.post("/api/plans", json={"name": "Two racks", "inputs": TWO_STEPS}).json()
    results = made["results"]
    (line,) = client.get("/api/plans").json()["plans"]
    assert line["total_s"] == results["all_done_s"] > results["lid_on_to_open_s"]
    # what is drawn goes as far, with the phases of both runs
    assert results["trace"]["time_s"][-1] > results["all_done_s"]
    assert [phase["kind"] for phase in results["phases_through"]].count("hold") == 2
    assert [phase["kind"] for phase in results["phases"]].count("hold") == 1
    plain = client.post(
        "/api/plans", json={"name": "One", "inputs": {**TWO_STEPS, "thin_first": False}}
    ).json()["results"]
    assert plain["phases_through"] == plain["phases"]


def test_backup_holds_everything(client: TestClient, tmp_path: Path) -> None:
    for number in range(3):
        save(client, f"Plan {number}")
    answer = client.get("/api/backup")
    envelope = answer.json()
    assert (envelope["envelope"], envelope["envelope_version"]) == ("pneumachron-backup", 2)
    assert len(envelope["plans"]) == 3
    assert envelope["plans"][0]["inputs"]["pieces"][0]["mass"] == "3 lb 2 oz"
    assert "attachment" in answer.headers["content-disposition"]
    printed = CliRunner().invoke(cli, ["backup", "--data", str(tmp_path)])
    assert json.loads(printed.stdout)["plans"] == envelope["plans"]

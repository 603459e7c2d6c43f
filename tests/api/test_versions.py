"""Nobody writes over what they have not seen: plans, days, recipes, the household."""

from typing import Any

import pytest
from fastapi.testclient import TestClient

from tests.conftest import BRISKET

PLAN = {"name": "Supper", "inputs": BRISKET}
DAY = {
    "name": "Saturday",
    "day": {
        "table": "2026-11-28T19:00:00+00:00",
        "dishes": [{"dish_id": "a", "title": "Brisket", "plan": BRISKET}],
    },
}
RECIPE = {
    "title": "Ribs",
    "original": "Ribs",
    "format": "text",
    "recipe": {"title": "Ribs", "ingredients": ["1 rack back ribs"], "steps": ["Bake."]},
}
HOUSEHOLD = {"name": "Here", "altitude": "1150 m", "start": "4 °C", "units": "metric"}


@pytest.mark.parametrize(
    ("path", "body"), [("plans", PLAN), ("schedules", DAY), ("recipes", RECIPE)]
)
def test_a_stale_change_is_refused_and_changes_nothing(
    client: TestClient, path: str, body: dict[str, Any]
) -> None:
    made = client.post(f"/api/{path}", json=body).json()
    where = f"/api/{path}/{made['id']}"
    name = "title" if path == "recipes" else "name"
    first = client.put(where, params={"seen": made["version"]}, json=body | {name: "First"})
    assert first.status_code == 200, first.text
    assert first.json()["version"] == made["version"] + 1
    late = client.put(where, params={"seen": made["version"]}, json=body | {name: "Late"})
    assert (late.status_code, late.json()["code"]) == (409, "changed_elsewhere")
    assert late.json()["hint"]
    assert client.get(where).json()[name] == "First"
    # who has seen it, or wants his own in any case, may
    again = client.put(where, params={"seen": first.json()["version"]}, json=body | {name: "Mine"})
    assert again.status_code == 200
    assert client.put(where, json=body | {name: "Over any"}).status_code == 200


def test_the_household_too(client: TestClient) -> None:
    here = client.get("/api/household").json()
    ask = {"seen": here["version"]}
    assert client.put("/api/household", params=ask, json=HOUSEHOLD).status_code == 200
    stale = client.put("/api/household", params=ask, json=HOUSEHOLD | {"name": "Late"})
    assert stale.status_code == 409
    assert client.get("/api/household").json()["name"] == "Here"


def test_a_deletion_that_is_undone_is_no_change(client: TestClient) -> None:
    made = client.post("/api/plans", json=PLAN).json()
    where = f"/api/plans/{made['id']}"
    client.delete(where)
    client.post(f"{where}/restore")
    changed = client.put(where, params={"seen": made["version"]}, json=PLAN)
    assert changed.status_code == 200

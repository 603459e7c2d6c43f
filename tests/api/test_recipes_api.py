"""Recipes over the wire: read, convert, export, keep, find, give back in a backup."""

import json
from typing import Any

import pytest
from fastapi.testclient import TestClient

from pneumachron.api.guard import MAX_RECIPE_BYTES
from pneumachron.demo.recipes import BRAISED_SHORT_RIBS, RECIPES
from pneumachron.recipes.converting import placed
from tests.conftest import BRISKET
from tests.recipes.measure import corpus_bytes
from tests.recipes.supper import DOUBTED

BYTES = {"Content-Type": "application/octet-stream"}


def read(client: TestClient, content: bytes | str, name: str = "") -> dict[str, Any]:
    reply = client.post("/api/recipes/read", content=content, params={"name": name}, headers=BYTES)
    assert reply.status_code == 200, reply.text
    found: dict[str, Any] = reply.json()
    return found


def request_of(client: TestClient, text: str, **choices: object) -> dict[str, Any]:
    return {"recipe": read(client, text)["recipe"], "pot": "tenor", "choices": choices}


def convert(client: TestClient, cook_request: dict[str, Any]) -> dict[str, Any]:
    reply = client.post("/api/recipes/convert", json=cook_request)
    assert reply.status_code == 200, reply.text
    found: dict[str, Any] = reply.json()
    return found


def keep(client: TestClient, text: str, *tags: str) -> dict[str, Any]:
    found = read(client, text)
    body = {
        "title": found["recipe"]["title"], "tags": list(tags), "original": text,
        "format": found["format"], "recipe": found["recipe"],
    }  # fmt: skip
    reply = client.post("/api/recipes", json=body)
    assert reply.status_code == 201, reply.text
    kept: dict[str, Any] = reply.json()
    return kept


@pytest.mark.parametrize(("name", "content"), [*corpus_bytes()], ids=lambda value: str(value)[:12])
def test_every_recipe_of_the_corpus_goes_through(
    client: TestClient, name: str, content: bytes
) -> None:
    cook_request = {"recipe": read(client, content, name)["recipe"], "pot": "tenor"}
    done = convert(client, cook_request)
    assert done["setting"]["hold_min"] > 0
    assert done["lines"]
    assert len(done["steps"]) >= 9
    # the request for the Bench is the plan that was shown
    plan = client.post("/api/plan", json=done["request"]).json()
    assert plan["setting"]["hold_min"] == pytest.approx(done["setting"]["hold_min"], abs=2)


def test_the_plan_counts_the_vinegar_of_the_recipe(client: TestClient) -> None:
    """Convert said 535 ml and 20 min; Cook said 240 ml and 23 min."""
    sour = (
        "Adobo\n\n1 kg pork shoulder, in 5 cm cubes\n3/4 cup vinegar\n1/2 cup soy sauce\n"
        "1 cup water\n\nMarinate the pork in the vinegar and soy sauce. Add the marinade and the "
        "water, bring to a boil, cover and simmer for 1 hour.\n"
    )
    done = convert(client, request_of(client, sour))
    assert done["request"]["liquid"]
    plan = client.post("/api/plan", json=done["request"]).json()
    assert plan["setting"]["hold_min"] == done["setting"]["hold_min"]
    assert plan["liquid"]["shown"] == done["setting"]["liquid_shown"]


def test_answers_and_choices(client: TestClient) -> None:
    cook_request = request_of(client, "Rough\n\n1 brisket\n1 l stock\n\nCook it.\n")
    asked = {item["asked"] for item in convert(client, cook_request)["understood"]["questions"]}
    assert {"mass", "thickness", "method"} <= asked
    cook_request["answers"] = {"mass": "3", "cut": "brisket_flat"}
    reply = client.post("/api/recipes/convert", json=cook_request)
    assert (reply.status_code, reply.json()["field"]) == (422, "mass")
    cook_request["answers"] = {
        "mass": "3 lb",
        "thickness": "4.5 cm",
        "method": "oven_lid",
        "method_minutes": 200,
        "texture": "tender",
        "cut": "brisket_flat",
    }
    done = convert(client, cook_request)
    assert done["understood"]["questions"] == []
    stock = next(mark for mark in done["marks"] if mark["rule"] == "thin_to_need")
    cook_request["choices"] = {"overruled": [stock["mark_id"]], "plates": 10, "finish": "none"}
    again = convert(client, cook_request)
    kept = next(mark for mark in again["marks"] if mark["mark_id"] == stock["mark_id"])
    assert kept["overruled"]
    assert again["setting"]["finish"] == "none"
    assert again["understood"]["mass_kg"] == pytest.approx(1.3608, abs=1e-3)


def test_foods_that_no_line_has_come_with_what_was_read(client: TestClient) -> None:
    text = "Pork\n\n4 lb pork shoulder\n1 onion\n\nBraise 4 hours. Mix 1 c ketchup, 2 T honey.\n"
    found = client.post("/api/recipes/read", content=text.encode())
    assert found.status_code == 200, found.text
    assert found.json()["doubts"]["foods_on_no_line"] == ["1 c ketchup", "2 T honey"]


def test_a_place_in_doubt_is_asked_about_and_kept_when_said(
    client: TestClient, monkeypatch: pytest.MonkeyPatch
) -> None:
    monkeypatch.setattr(placed, "likely_places", lambda _: {3: {"after": 0.99, "finish": 0.01}})
    cook_request = request_of(client, DOUBTED)
    (asked,) = convert(client, cook_request)["doubts"]
    assert (asked["index"], asked["when"], asked["instead"]) == (3, "finish", "after")
    assert "dry mustard" in asked["text"]
    assert "after pressure" in asked["text"]
    cook_request["choices"] = {"placed": [{"line": 3, "when": "after"}]}
    done = convert(client, cook_request)
    assert done["doubts"] == []
    assert [line["when"] for line in done["lines"] if line["origin"] == 3] == ["after"]
    movable = {line["origin"]: line["movable"] for line in done["lines"]}
    assert movable == {0: False, 1: True, 2: True, 3: True, None: False}
    body = {
        "title": "Ribs", "tags": [], "original": DOUBTED, "format": "text",
        "recipe": cook_request["recipe"], "choices": cook_request["choices"],
    }  # fmt: skip
    kept = client.post("/api/recipes", json=body).json()
    again = client.get(f"/api/recipes/{kept['id']}").json()
    assert again["choices"]["placed"] == [{"line": 3, "when": "after"}]
    cook_request["choices"] = {"placed": [{"line": 3, "when": "cure"}]}
    assert client.post("/api/recipes/convert", json=cook_request).status_code == 422


def test_exports_read_back(client: TestClient) -> None:
    cook_request = request_of(client, BRAISED_SHORT_RIBS)
    texts = {
        kind: client.post(
            "/api/recipes/export", json={"request": cook_request, "format": kind}
        ).json()["text"]
        for kind in ("jsonld", "markdown", "text")
    }
    node = json.loads(texts["jsonld"])
    # published: schema.org/Recipe, ISO 8601 durations
    assert node["@type"] == "Recipe"
    assert node["cookTime"].startswith("PT")
    assert node["pneumachron:plan"]["hold_min"] > 0
    # published: schema.org/Recipe, cookingMethod (Text); HowTo, tool (HowToTool); from memory
    assert node["cookingMethod"] == "Pressure cooking"
    assert node["tool"]["@type"] == "HowToTool"
    found = {kind: read(client, text)["recipe"] for kind, text in texts.items()}
    assert found["jsonld"]["ingredients"] == found["text"]["ingredients"]
    assert found["jsonld"]["ingredients"] == found["markdown"]["ingredients"]
    assert found["jsonld"]["steps"] == found["markdown"]["steps"] == found["text"]["steps"]


def test_library(client: TestClient) -> None:
    kept = [keep(client, text, *tags) for text, tags in RECIPES]
    assert client.get("/api/recipes").json()["total"] == 3
    assert client.get("/api/recipes", params={"search": "short RIBS"}).json()["total"] == 1
    assert client.get("/api/recipes", params={"tag": "oven"}).json()["total"] == 1
    assert client.get("/api/recipes", params={"tag": "ove"}).json()["total"] == 0
    # the same lines in other dress are noticed
    twin = read(client, BRAISED_SHORT_RIBS.replace("  ", " ").upper())["twins"]
    assert [item["id"] for item in twin] == [kept[1]["id"]]
    path = f"/api/recipes/{kept[1]['id']}"
    body = {key: kept[1][key] for key in ("title", "tags", "format", "recipe", "answers")}
    body |= {"title": "Snow ribs", "original": "rubbish", "choices": {"plates": 8}}
    changed = client.put(path, json=body).json()
    assert (changed["title"], changed["choices"]["plates"]) == ("Snow ribs", 8)
    assert changed["original"] == BRAISED_SHORT_RIBS  # originals are never changed
    assert client.delete(path).status_code == 204
    assert client.get(path).status_code == 404
    assert client.put(path, json=body).status_code == 404
    assert client.post(f"{path}/restore").status_code == 204
    assert client.get(path).json()["title"] == "Snow ribs"
    assert client.get("/api/recipes/nobody").status_code == 404


def test_recipes_are_in_the_backup(client: TestClient) -> None:
    kept = keep(client, BRAISED_SHORT_RIBS, "oven")
    copy = client.get("/api/backup").json()
    assert [entry["recipe_id"] for entry in copy["recipes"]] == [kept["id"]]
    same = client.post("/api/restore", json=copy).json()["changes"]
    assert {"kind": "recipes", "added": 0, "changed": 0, "same": 1} in same
    client.delete(f"/api/recipes/{kept['id']}")
    copy["recipes"][0]["title"] = "Back again"
    done = client.post("/api/restore", params={"dry_run": False}, json=copy).json()
    assert {"kind": "recipes", "added": 1, "changed": 0, "same": 0} in done["changes"]
    assert client.get(f"/api/recipes/{kept['id']}").json()["title"] == "Back again"
    older = {key: value for key, value in copy.items() if key != "recipes"}
    assert client.post("/api/restore", json=older).status_code == 200


def test_what_is_too_large_or_no_recipe_is_refused(client: TestClient) -> None:
    for content, code in (
        (b"\x00" * 100, "not_text"),
        (b"x" * 2_100_000, "recipe_too_large"),
        (b"hello", "no_recipe"),
        (b"x" * (MAX_RECIPE_BYTES + 1), "too_large"),
    ):
        reply = client.post("/api/recipes/read", content=content, headers=BYTES)
        assert reply.status_code in {413, 422}
        assert reply.json()["code"] == code
        assert reply.json()["hint"]
    lines = {"title": "x", "ingredients": ["1 kg brisket"] * 401, "steps": []}
    assert (
        client.post("/api/recipes/convert", json={"recipe": lines, "pot": "tenor"}).status_code
        == 422
    )
    soup = {"title": "Soup", "ingredients": ["1 l water"], "steps": ["Boil."]}
    reply = client.post("/api/recipes/convert", json={"recipe": soup, "pot": "tenor"})
    assert (reply.status_code, reply.json()["code"]) == (422, "no_cut")


@pytest.mark.parametrize("method", ["oven_lid", "slow_low", "slow_high"])
def test_other_way(client: TestClient, method: str) -> None:
    found = client.post(
        "/api/plan/other-methods", json={"request": BRISKET, "method": method}
    ).json()
    assert 3600 < found["duration_s"] < 14 * 3600
    assert found["advice"]
    smoker = client.post("/api/plan/other-methods", json={"request": BRISKET, "method": "smoker"})
    assert smoker.status_code == 422  # nobody asks a pressure plan for the smoker
    frozen = {**BRISKET, "pieces": [{**BRISKET["pieces"][0], "start": "frozen"}]}
    reply = client.post("/api/plan/other-methods", json={"request": frozen, "method": "slow_low"})
    assert (reply.status_code, reply.json()["field"]) == (422, "pieces.0.start")

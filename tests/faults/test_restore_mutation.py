"""Every field of a whole backup, spoiled: refused with words, or everything still opens.

The backup is the one of version 1, cut down to one or two things of each kind. The suite takes a
fixed sample of the spoiled copies, `python3 dev.py faults` takes them all.
"""

import copy
import json
import random
from collections.abc import Iterator
from pathlib import Path
from typing import Any, TypeAlias

import pytest
from fastapi.testclient import TestClient

from pneumachron.api.app import LOCAL_HOSTS, create_app
from tests import DEEP, by_depth
from tests.conftest import BRISKET
from tests.version1.test_version1 import HERE

SAMPLE = by_depth(40, 110, 0)
Where: TypeAlias = tuple[str | int, ...]
SPOILS: tuple[Any, ...] = (
    None, "text", "", "\ud800", "\x00", float("nan"), float("inf"), -1, 0, 1e300, 10**60, True, [],
    {}, [[]], "0001-01-01T00:00:00+14:00", "9999-12-31T23:59:59-14:00", "x" * 5000,
)  # fmt: skip
GONE = object()


def small_backup() -> dict[str, Any]:
    whole: dict[str, Any] = json.loads((HERE / "backup.json").read_text(encoding="utf-8"))
    followed = next(item for item in whole["cooks"] if item["name"].startswith("Vestry"))
    running = next(item for item in whole["cooks"] if item["name"].startswith("Organ"))
    written = next(item for item in whole["cooks"] if item["name"].startswith("Ribs two"))
    followed["samples"] = followed["samples"][:40:10]
    whole |= {
        "people": whole["people"][:1],
        "pots": whole["pots"][:1],
        "plans": whole["plans"][:1],
        "recipes": whole["recipes"][:1],
        "cooks": [followed, running, written],
    }
    results = whole["plans"][0]["results"]
    for name in ("time_s", "gauge_pa", "pot_c", "core_c", "tenderness_step"):
        if name in results.get("trace", {}):
            results["trace"][name] = results["trace"][name][:3]
    return whole


def places(value: object, here: Where = ()) -> Iterator[Where]:
    """Every place in a document; of a list its first two entries stand for all."""
    if here:
        yield here
    if isinstance(value, dict):
        for key, item in value.items():
            yield from places(item, (*here, key))
    elif isinstance(value, list):
        for index, item in enumerate(value[:2]):
            yield from places(item, (*here, index))


def spoiled(whole: dict[str, Any], where: Where, spoil: object) -> dict[str, Any]:
    found = copy.deepcopy(whole)
    holder: Any = found
    for step in where[:-1]:
        holder = holder[step]
    if spoil is GONE:
        del holder[where[-1]]
    else:
        holder[where[-1]] = spoil
    return found


def everything_opens(client: TestClient, what: str) -> None:
    def opened(path: str, **params: str) -> Any:  # noqa: ANN401 - any JSON
        reply = client.get(path, params=params)
        assert reply.status_code == 200, f"{what}: {path} answers {reply.status_code} {reply.text}"
        return reply.json() if reply.headers["content-type"] == "application/json" else reply.text

    for path in ("/api/household", "/api/people", "/api/lessons", "/api/cooks/active", "/api/pots"):
        opened(path)
    for name, kind in (("plans", "plans"), ("recipes", "recipes"), ("schedules", "days")):
        for item in opened(f"/api/{name}")[kind]:
            opened(f"/api/{name}/{item['id']}")
    for item in opened("/api/cooks", limit="50")["cooks"]:
        for more in ("", "/pieces", "/events"):
            opened(f"/api/cooks/{item['id']}{more}")
    opened("/api/cooks/export", kind="csv")
    opened("/api/cooks/export", kind="jsonld")
    reply = client.post("/api/plan", json=BRISKET)
    assert reply.status_code == 200, f"{what}: a plan answers {reply.status_code}"
    again = opened("/api/backup")
    dry = client.post("/api/restore", json=again)
    assert dry.status_code == 200, f"{what}: its own backup is refused: {dry.text}"


@pytest.fixture(scope="module")
def client(tmp_path_factory: pytest.TempPathFactory) -> Iterator[TestClient]:
    folder: Path = tmp_path_factory.mktemp("spoiled")
    app = create_app(folder, LOCAL_HOSTS)
    with TestClient(app, base_url="http://127.0.0.1", raise_server_exceptions=False) as opened:
        yield opened


def cases() -> list[tuple[Where, Any]]:
    whole = small_backup()
    found = [(where, spoil) for where in places(whole) for spoil in (*SPOILS, GONE)]
    if DEEP:
        return found
    return random.Random(20_261_127).sample(found, SAMPLE)


def test_the_backup_itself_is_taken_in(client: TestClient) -> None:
    reply = client.post("/api/restore", params={"dry_run": False}, json=small_backup())
    assert reply.status_code == 200, reply.text
    everything_opens(client, "whole")


@pytest.mark.parametrize("value", [1e300, -1.0, 0.0])
def test_a_kitchen_that_cannot_be_is_refused(client: TestClient, value: float) -> None:
    """Found by the deep run: a plate of 1e300 W/K was taken in and broke the restore itself."""
    for number in ("plate_w_k", "plate_j_k", "vessel_j_k", "loss_closed_w_k", "orifice_m2"):
        where = ("cooks", 0, "kitchen", "pot", number)
        reply = client.post(
            "/api/restore", params={"dry_run": True}, json=spoiled(small_backup(), where, value)
        )
        assert reply.status_code == 422, (number, reply.text)


def test_spoiled_in_one_place(client: TestClient) -> None:
    whole = small_backup()
    taken = refused = 0
    for where, spoil in cases():
        what = f"{'.'.join(map(str, where))} = {'gone' if spoil is GONE else repr(spoil)[:40]}"
        body = json.dumps(spoiled(whole, where, spoil))
        reply = client.post(
            "/api/restore",
            params={"dry_run": False},
            content=body,
            headers={"content-type": "application/json"},
        )
        if reply.status_code == 200:
            taken += 1
            everything_opens(client, what)
        else:
            refused += 1
            assert reply.status_code in {400, 409, 422}, f"{what}: {reply.status_code}"
            assert reply.json()["message"]
            assert reply.json()["hint"] or reply.status_code == 400, what
    # both ways were met
    assert taken > 5
    assert refused > taken


def test_a_dry_run_builds_no_photo(client: TestClient, monkeypatch: pytest.MonkeyPatch) -> None:
    def never(*_: object, **__: object) -> None:
        raise AssertionError("a dry run reads no picture")

    monkeypatch.setattr("pneumachron.services.photos.cleaned", never)
    monkeypatch.setattr("pneumachron.services.photos.photo_entries", never)
    assert client.post("/api/restore", json=small_backup()).status_code == 200

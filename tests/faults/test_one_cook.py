"""One cook, many screens: no answer of 500, nothing acknowledged lost, and each thing written once.

The suite runs it short; `python -m tests.faults.test_one_cook 20` runs it for 20 s and prints the
figures that stand in docs/reliability.md.
"""

import asyncio
import json
import random
import sys
import tempfile
import time
from collections import Counter
from dataclasses import dataclass, field
from pathlib import Path
from typing import Any

import httpx2
import numpy as np
from fastapi.testclient import TestClient

from pneumachron.api.app import LOCAL_HOSTS, create_app
from pneumachron.services.connected_pots import LAST_EVENTS, MAX_EVENTS
from tests.conftest import BRISKET
from tests.live import run_apart, serving

CLIENTS = 50


@dataclass
class Load:
    """What so many clients got."""

    answers: Counter[int] = field(default_factory=Counter)
    took_s: list[float] = field(default_factory=list)
    confirmed: list[str] = field(default_factory=list)


async def one_client(
    client: httpx2.AsyncClient, cook: str, number: int, until: float, load: Load
) -> None:
    rng = random.Random(number)
    count = 0
    while time.monotonic() < until:
        count += 1
        key = f"client-{number}-{count}"
        start = time.monotonic()
        if rng.random() < 0.5:
            reply = await client.get(f"/api/cooks/{cook}")
        else:
            told = {"key": key, "kind": "note", "text": f"note {count} of {number}"}
            reply = await client.post(f"/api/cooks/{cook}/events", json=told)
            if reply.status_code == 200:
                load.confirmed.append(key)
        load.took_s.append(time.monotonic() - start)
        load.answers[reply.status_code] += 1
        await asyncio.sleep(rng.uniform(0.0, 0.3))


async def hammer(address: str, seconds: float) -> tuple[Load, set[str]]:
    load = Load()
    limits = httpx2.Limits(max_connections=CLIENTS + 5)
    async with httpx2.AsyncClient(base_url=address, timeout=30, limits=limits) as client:
        body = {"name": "One cook", "plan": BRISKET, "connected": True}
        cook = (await client.post("/api/cooks", json=body)).json()["id"]
        until = time.monotonic() + seconds
        await asyncio.gather(
            *(one_client(client, cook, number, until, load) for number in range(CLIENTS))
        )
        events = (await client.get(f"/api/cooks/{cook}/events")).json()["events"]
    return load, {event["key"] for event in events}


def test_fifty_clients_on_one_cook(tmp_path: Path) -> None:
    with serving(tmp_path, demo=False) as address:
        load, kept = run_apart(lambda: hammer(address, 4.0))
    # a full sheet may refuse (409); nothing else may go wrong
    assert set(load.answers) <= {200, 409}, load.answers
    assert load.answers[200] > CLIENTS
    assert set(load.confirmed) <= kept


def test_presses_are_written_once_whatever_their_key(client: TestClient) -> None:
    cook = client.post("/api/cooks", json={"name": "x", "plan": BRISKET}).json()["id"]

    def tell(number: int, **body: Any) -> int:  # noqa: ANN401 - a body
        told = {"key": f"press-{number}", **body}
        return client.post(f"/api/cooks/{cook}/events", json=told).status_code

    for number in range(10):
        assert tell(number, kind="done", step_id="season") == 200
    timer = {"kind": "timer_started", "timer_id": "rest-1", "step_id": "rest", "title": "rest",
             "seconds": 1}  # fmt: skip
    assert tell(100, **timer) == 200
    for number in range(200, 205):
        assert tell(number, kind="timer_rang", timer_id="rest-1") == 200
    for number in range(300, 303):
        assert tell(number, kind="ended") == 200  # two screens that end it at once agree
    kinds = Counter(
        event["kind"] for event in client.get(f"/api/cooks/{cook}/events").json()["events"]
    )
    assert kinds == {"began": 1, "done": 1, "timer_started": 1, "timer_rang": 1, "ended": 1}


def test_a_full_sheet_can_still_be_ended(tmp_path: Path) -> None:
    app = create_app(tmp_path, LOCAL_HOSTS)
    with TestClient(app, base_url="http://127.0.0.1") as client:
        cook = client.post("/api/cooks", json={"name": "x", "plan": BRISKET}).json()["id"]
        with app.state.database.engine.connect() as reader:
            writer = reader.execution_options(sqlite_begin="IMMEDIATE")
            writer.exec_driver_sql(
                "WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n WHERE i < ?) "
                "INSERT INTO cook_event (cook_id, key, at, kind, body) "
                "SELECT ?, 'filled-' || i, '2026-11-27 12:00:00.000000', 'note', ? FROM n",
                (MAX_EVENTS - 1, cook, json.dumps({"text": "x"})),
            )
            writer.commit()
        where = f"/api/cooks/{cook}/events"
        full = client.post(where, json={"key": "more", "kind": "note", "text": "x"})
        assert (full.status_code, full.json()["code"]) == (409, "full_sheet")
        assert client.post(where, json={"key": "over", "kind": "ended"}).status_code == 200
        assert client.get(f"/api/cooks/{cook}").json()["ended_at"]
        assert LAST_EVENTS > 5


def test_a_cook_is_given_up_from_any_step_and_teaches_nothing(client: TestClient) -> None:
    cook = client.post("/api/cooks", json={"name": "x", "plan": BRISKET}).json()["id"]
    where = f"/api/cooks/{cook}/events"
    client.post(where, json={"key": "done-1", "kind": "done", "step_id": "set"})
    client.post(where, json={"key": "done-2", "kind": "done", "step_id": "come_up"})
    given_up = client.post(where, json={"key": "up-1", "kind": "abandoned"}).json()
    assert given_up["abandoned"]
    assert given_up["ended_at"]
    judged = {"key": "out-1", "kind": "outcome", "pieces": [{"texture": "very"}]}
    assert client.post(where, json=judged).status_code == 200
    assert client.get("/api/lessons").json()["lessons"] == []


def test_a_cook_begins_later_than_it_was_written_down(client: TestClient) -> None:
    begun = client.post("/api/cooks", json={"name": "x", "plan": BRISKET}).json()
    where = f"/api/cooks/{begun['id']}/events"
    time.sleep(0.05)
    later = client.post(where, json={"key": "now-1", "kind": "began"}).json()
    assert later["began_at"] > begun["began_at"]
    client.post(where, json={"key": "done-1", "kind": "done", "step_id": "season"})
    refused = client.post(where, json={"key": "now-2", "kind": "began"})
    assert (refused.status_code, refused.json()["code"]) == (409, "begun")


def test_minutes_under_pressure_are_counted_without_a_connected_cooker(client: TestClient) -> None:
    begun = client.post("/api/cooks", json={"name": "x", "plan": BRISKET}).json()
    where = f"/api/cooks/{begun['id']}/events"
    for step in ("season", "sear", "deglaze", "set"):
        client.post(where, json={"key": f"done-{step}", "kind": "done", "step_id": step})
    up = client.post(where, json={"key": "done-up", "kind": "done", "step_id": "come_up"}).json()
    (timer,) = [item for item in up["timers"] if item["timer_id"].startswith("pressure-")]
    assert timer["left_s"] == 60 * up["set_min"]
    undone = client.post(where, json={"key": "un", "kind": "undone", "step_id": "come_up"})
    assert undone.status_code == 422  # a key is four signs or longer
    undone = client.post(where, json={"key": "undo", "kind": "undone", "step_id": "come_up"})
    assert undone.json()["timers"] == []


if __name__ == "__main__":
    with tempfile.TemporaryDirectory() as folder, serving(Path(folder), demo=False) as served:
        found, _ = asyncio.run(hammer(served, float(sys.argv[1])))
        took_ms = 1000 * np.percentile(found.took_s, (50, 95))
        print(dict(found.answers), f"{took_ms[0]:.0f} ms, 95th percentile {took_ms[1]:.0f} ms")

"""Faults: killed, a write cut short, a full database, two tabs at once, a clock that moves."""

import sqlite3
import threading
from collections.abc import Callable, Iterator
from datetime import UTC, datetime, timedelta
from pathlib import Path

import pytest
from fastapi import FastAPI
from fastapi.testclient import TestClient
from sqlalchemy import Connection, Engine, event

from pneumachron.api.app import LOCAL_HOSTS, create_app
from pneumachron.devices.clock import KitchenClock
from pneumachron.services.live_kitchen import LiveKitchen
from pneumachron.store.db import Database
from tests import by_depth
from tests.conftest import BRISKET
from tests.faults.killed import run_seed

SEEDS = by_depth(1, 2, 100)


@pytest.mark.parametrize("seed", range(SEEDS))
def test_killed_at_a_random_moment(seed: int, tmp_path: Path) -> None:
    run_seed(seed, tmp_path)


@pytest.fixture
def cook(tmp_path: Path) -> Iterator[tuple[TestClient, str]]:
    app = create_app(tmp_path, LOCAL_HOSTS)
    with TestClient(app, base_url="http://127.0.0.1", raise_server_exceptions=False) as client:
        begun = client.post("/api/cooks", json={"name": "Supper", "plan": BRISKET})
        yield client, begun.json()["id"]


def opened(folder: Path, kitchen: Callable[[Path], LiveKitchen]) -> TestClient:
    return TestClient(create_app(folder, LOCAL_HOSTS, kitchen), base_url="http://127.0.0.1")


def note(client: TestClient, cook_id: str, key: str, words: str = "x") -> int:
    body = {"key": key, "kind": "note", "text": words}
    return client.post(f"/api/cooks/{cook_id}/events", json=body).status_code


def engine_of(client: TestClient) -> Engine:
    app = client.app
    assert isinstance(app, FastAPI)
    database: Database = app.state.database
    return database.engine


def kept(folder: Path) -> list[str]:
    with sqlite3.connect(folder / "pneumachron.sqlite3") as database:
        assert database.execute("PRAGMA integrity_check").fetchone() == ("ok",)
        return [row[0] for row in database.execute("SELECT key FROM cook_event ORDER BY id")]


def test_a_full_database_refuses_and_loses_nothing(
    cook: tuple[TestClient, str], tmp_path: Path
) -> None:
    client, cook_id = cook
    engine = engine_of(client)

    def small(connection: sqlite3.Connection, _record: object) -> None:
        pages = connection.execute("PRAGMA page_count").fetchone()[0]
        connection.execute(f"PRAGMA max_page_count={pages + 2}")

    event.listen(engine, "connect", small)
    engine.dispose()
    confirmed = []
    refused = 0
    for number in range(60):
        status = note(client, cook_id, f"note-{number}", "n" * 1900)
        if status == 200:
            confirmed.append(f"note-{number}")
        else:
            refused += 1
    assert refused > 0
    assert set(confirmed) <= set(kept(tmp_path))
    # room again: the cook goes on
    event.remove(engine, "connect", small)
    engine.dispose()
    assert note(client, cook_id, "room-again") == 200
    assert kept(tmp_path)[-1] == "room-again"


def test_a_write_cut_short_leaves_all_or_nothing(
    cook: tuple[TestClient, str], tmp_path: Path
) -> None:
    client, cook_id = cook
    assert note(client, cook_id, "before") == 200
    engine = engine_of(client)
    broken = threading.Event()

    def cut(_connection: Connection) -> None:
        if broken.is_set():
            error = sqlite3.OperationalError("disk I/O error")
            error.sqlite_errorname = "SQLITE_IOERR_WRITE"
            raise error

    event.listen(engine, "commit", cut)
    broken.set()
    assert note(client, cook_id, "cut-short") == 507
    broken.clear()
    event.remove(engine, "commit", cut)
    assert "cut-short" not in kept(tmp_path)
    assert note(client, cook_id, "cut-short") == 200  # told again, it is written
    assert kept(tmp_path).count("cut-short") == 1


def test_two_tabs_at_once(cook: tuple[TestClient, str], tmp_path: Path) -> None:
    client, cook_id = cook
    found: list[int] = []

    def tab(name: str) -> None:
        for number in range(15):
            found.append(note(client, cook_id, f"{name}-{number}"))
            found.append(note(client, cook_id, f"shared-{number}"))

    tabs = [threading.Thread(target=tab, args=(name,)) for name in ("one", "two")]
    for each in tabs:
        each.start()
    for each in tabs:
        each.join()
    assert set(found) == {200}
    keys = kept(tmp_path)
    assert len(keys) == len(set(keys)) == 1 + 3 * 15  # it began, and each note once


def test_the_wall_clock_moves_and_no_timer_does(tmp_path: Path) -> None:
    walls, counts = [datetime(2026, 11, 28, 12, 0, tzinfo=UTC)], [0.0]

    def kitchen(folder: Path) -> LiveKitchen:
        return LiveKitchen(folder, lambda: KitchenClock(lambda: walls[0], lambda: counts[0]))

    with opened(tmp_path, kitchen) as client:
        cook_id = client.post("/api/cooks", json={"name": "x", "plan": BRISKET}).json()["id"]
        body = {"key": "timer-one", "kind": "timer_started", "timer_id": "rest-one",
                "step_id": "rest", "title": "rest", "seconds": 600}  # fmt: skip
        client.post(f"/api/cooks/{cook_id}/events", json=body)
        counts[0] += 60
        walls[0] -= timedelta(hours=3)  # set back by hand, or by the end of summer time
        timer = client.get(f"/api/cooks/{cook_id}").json()["timers"][0]
        assert timer["left_s"] == 540
    with opened(tmp_path, kitchen) as client:
        timer = client.get(f"/api/cooks/{cook_id}").json()["timers"][0]
        assert timer["left_s"] <= 540  # never back

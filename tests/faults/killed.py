"""A server killed (SIGKILL) at a random moment of a cook, again and again: nothing that was
confirmed may be lost, the file must be whole, the cook must go on.

`python3 -m tests.faults.killed 100` runs a hundred seeds; the suite runs four.
"""

import json
import random
import sqlite3
import sys
import tempfile
import time
from multiprocessing.context import ForkServerProcess
from pathlib import Path
from threading import Thread
from typing import Any

import httpx2

from tests.conftest import BRISKET
from tests.live import free_port, start, wait_for

STEPS = ("season", "sear", "deglaze", "load", "rest", "sauce")
DEAD = (httpx2.TransportError,)


def run_seed(seed: int, folder: Path) -> int:
    """One cook with one kill; gives how many things had been confirmed.

    Raises
    ------
    AssertionError : something confirmed was lost.
    """
    rng = random.Random(seed)
    port = free_port()
    process = start(folder, port)
    address = f"http://127.0.0.1:{port}"
    wait_for(f"{address}/api/health", process)
    confirmed: list[dict[str, Any]] = []
    with httpx2.Client(base_url=address, timeout=10) as client:
        body = {"name": f"Seed {seed}", "plan": BRISKET, "connected": True}
        cook = client.post("/api/cooks", json=body).json()["id"]
        killer = Thread(target=_kill_after, args=(process, rng.uniform(0.05, 1.2)))
        killer.start()
        try:
            for number in range(400):
                event = _event(rng, number)
                reply = client.post(f"/api/cooks/{cook}/events", json=event)
                if reply.status_code == 200:
                    confirmed.append(event)
                if number == 3:
                    client.post(f"/api/cooks/{cook}/simulate", json={"do": "lid_on"})
        except DEAD:
            pass
        killer.join()
    process.join()
    _check(folder, cook, confirmed)
    return len(confirmed)


def _event(rng: random.Random, number: int) -> dict[str, Any]:
    key = f"seed-{number}-{rng.randrange(10**9)}"
    kind = rng.choice(("done", "note", "timer", "note"))
    if kind == "done":
        return {"key": key, "kind": "done", "step_id": rng.choice(STEPS)}
    if kind == "timer":
        return {"key": key, "kind": "timer_started", "timer_id": key, "step_id": "rest",
                "title": "rest", "seconds": rng.uniform(10, 5000)}  # fmt: skip
    return {"key": key, "kind": "note", "text": "n" * rng.randrange(1, 1500)}


def _kill_after(process: ForkServerProcess, seconds: float) -> None:
    time.sleep(seconds)
    process.kill()


def _check(folder: Path, cook: str, confirmed: list[dict[str, Any]]) -> None:
    with sqlite3.connect(folder / "pneumachron.sqlite3") as database:
        assert database.execute("PRAGMA integrity_check").fetchone() == ("ok",)
        rows = database.execute("SELECT key, kind, body FROM cook_event").fetchall()
    keys = {row[0] for row in rows}
    steps = {json.loads(body)["step_id"] for _, kind, body in rows if kind == "done"}
    # a step that is done is written once, however often it is told
    told = {item["key"] for item in confirmed if item["kind"] != "done"}
    done = {item["step_id"] for item in confirmed if item["kind"] == "done"}
    assert told <= keys, f"lost: {told - keys}"
    assert done <= steps, f"lost: {done - steps}"
    port = free_port()
    process = start(folder, port)
    try:
        address = f"http://127.0.0.1:{port}"
        wait_for(f"{address}/api/health", process)
        with httpx2.Client(base_url=address, timeout=10) as client:
            found = client.get(f"/api/cooks/{cook}").json()
            assert found["current"] is not None
            assert found["pot"]["state"] in {"open", "shut"}
            after = {"key": "after-all", "kind": "note", "text": "it goes on"}
            assert client.post(f"/api/cooks/{cook}/events", json=after).status_code == 200
    finally:
        process.terminate()
        process.join()


def main() -> None:
    """As many seeds as are asked for."""
    for seed in range(int(sys.argv[1]) if len(sys.argv) > 1 else 100):
        with tempfile.TemporaryDirectory() as folder:
            print(f"seed {seed}: {run_seed(seed, Path(folder))} confirmed, none lost", flush=True)


if __name__ == "__main__":
    main()

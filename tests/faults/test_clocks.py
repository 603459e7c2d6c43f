"""Clocks that are set, machines that sleep, restarts, midnight: a timer is due when it is due.

The clocks are moved by the test. What is moved follows facts: a suspended machine counts on by its
boot clock (Linux, clock_gettime(2)); a clock that is kept right over the network is stepped when it
is off by more than 0.128 s (RFC 5905, section 11.2.2: step threshold); summer time moves no UTC.
"""

from collections.abc import Iterator
from contextlib import contextmanager
from dataclasses import dataclass
from datetime import UTC, datetime, timedelta
from pathlib import Path
from typing import Any

import pytest
from fastapi import FastAPI
from fastapi.testclient import TestClient

from pneumachron.api.app import LOCAL_HOSTS, create_app
from pneumachron.devices.clock import KitchenClock
from pneumachron.services import cook_clocks
from pneumachron.services.live_kitchen import LiveKitchen
from pneumachron.store.errors import DiskError
from tests.conftest import BRISKET

TIMER_S = 3600.0
EVENING = datetime(2026, 11, 28, 23, 40, tzinfo=UTC)
"""So that every case goes over midnight."""


@dataclass
class Machine:
    """A machine whose clocks the test moves."""

    folder: Path
    wall: datetime = EVENING
    count_s: float = 0.0

    @contextmanager
    def running(self) -> Iterator[TestClient]:
        def kitchen(folder: Path) -> LiveKitchen:
            return LiveKitchen(
                folder, lambda: KitchenClock(lambda: self.wall, lambda: self.count_s)
            )

        app = create_app(self.folder, LOCAL_HOSTS, kitchen)
        with TestClient(app, base_url="http://127.0.0.1") as client:
            yield client

    def go_on(self, seconds: float, *, wall_set_by_s: float = 0.0) -> None:
        self.count_s += seconds
        self.wall += timedelta(seconds=seconds + wall_set_by_s)

    def boot(self, off_s: float, *, wall_set_by_s: float = 0.0) -> None:
        """Switched off for a while; the count begins again."""
        self.count_s = 0.0
        self.wall += timedelta(seconds=off_s + wall_set_by_s)


def start(client: TestClient) -> str:
    cook = client.post("/api/cooks", json={"name": "Night", "plan": BRISKET}).json()["id"]
    timer = {"key": "timer-one", "kind": "timer_started", "timer_id": "rest-one",
             "step_id": "rest", "title": "rest", "seconds": TIMER_S}  # fmt: skip
    assert client.post(f"/api/cooks/{cook}/events", json=timer).status_code == 200
    return str(cook)


def shown(client: TestClient, cook: str) -> dict[str, Any]:
    answer = client.get(f"/api/cooks/{cook}")
    assert answer.status_code == 200, answer.text
    found: dict[str, Any] = answer.json()
    return found


def left_s(client: TestClient, cook: str) -> float:
    return float(shown(client, cook)["timers"][0]["left_s"])


def test_a_lid_closed_for_fifty_minutes(tmp_path: Path) -> None:
    machine = Machine(tmp_path)
    with machine.running() as client:
        cook = start(client)
        machine.go_on(50 * 60)  # asleep: the boot clock and the wall went on, nothing else did
        assert left_s(client, cook) == pytest.approx(TIMER_S - 50 * 60, abs=1)
        machine.go_on(50 * 60)
        assert left_s(client, cook) <= 0


@pytest.mark.parametrize("step_s", [0.5, -0.5, 40.0, -40.0, 86_400.0, -86_400.0, 3600.0, -3600.0])
def test_the_wall_clock_is_stepped(tmp_path: Path, step_s: float) -> None:
    """Over the network, by hand, a day wrong, or by a machine that keeps local time."""
    machine = Machine(tmp_path)
    with machine.running() as client:
        cook = start(client)
        machine.go_on(600, wall_set_by_s=step_s)
        assert left_s(client, cook) == pytest.approx(TIMER_S - 600, abs=1)
        # the watch has a beat a second; what it does then must move no timer either
        app = client.app
        assert isinstance(app, FastAPI)
        app.state.watch.look_around()
        assert left_s(client, cook) == pytest.approx(TIMER_S - 600, abs=1)
        if abs(step_s) > 2:
            ahead = shown(client, cook)["ahead_s"]
            assert ahead == pytest.approx(-step_s, abs=1)  # said, with a way back
            back = client.put(f"/api/cooks/{cook}/clock", json={"back": True})
            assert back.status_code == 200, back.text
            assert shown(client, cook)["ahead_s"] == pytest.approx(0, abs=1)
            assert left_s(client, cook) == pytest.approx(TIMER_S - 600, abs=1)


def test_a_clock_that_cannot_be_kept_is_set_at_the_next_beat(
    tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    """The disk is full in that moment: nothing jumps, and the next beat tries again."""
    machine = Machine(tmp_path)
    with machine.running() as client:
        cook = start(client)
        app = client.app
        assert isinstance(app, FastAPI)
        with monkeypatch.context() as full:

            def refuse(*_: object) -> None:
                raise DiskError(full=True)

            full.setattr(cook_clocks, "_keep", refuse)
            machine.go_on(600, wall_set_by_s=-86_400.0)
            app.state.watch.look_around()
            assert left_s(client, cook) == pytest.approx(TIMER_S - 600, abs=1)
        app.state.watch.look_around()
        assert left_s(client, cook) == pytest.approx(TIMER_S - 600, abs=1)
        assert shown(client, cook)["ahead_s"] == pytest.approx(86_400, abs=1)


@pytest.mark.parametrize("set_s", [0.0, -7200.0])
def test_a_restart_in_the_middle(tmp_path: Path, set_s: float) -> None:
    """Off for a quarter of an hour: that time has passed for the meat too. With the wall clock set
    back meanwhile nobody can know how long it was off: the timer stays, and never jumps back."""
    machine = Machine(tmp_path)
    with machine.running() as client:
        cook = start(client)
        machine.go_on(600)
        note = {"key": "noted", "kind": "note", "text": "smells good"}
        assert client.post(f"/api/cooks/{cook}/events", json=note).status_code == 200
    machine.boot(900, wall_set_by_s=set_s)
    with machine.running() as client:
        passed = 600.0 if set_s else 1500.0
        assert left_s(client, cook) == pytest.approx(TIMER_S - passed, abs=2)
        machine.go_on(60)
        assert left_s(client, cook) == pytest.approx(TIMER_S - passed - 60, abs=2)


def test_what_is_ahead_stays_in_order_over_midnight(tmp_path: Path) -> None:
    machine = Machine(tmp_path)
    with machine.running() as client:
        cook = start(client)
        before = shown(client, cook)["forecast"]
        machine.go_on(3600)  # twenty to one, the next day
        after = shown(client, cook)
        begins = [datetime.fromisoformat(item["begin_at"]) for item in after["forecast"]["ahead"]]
        assert begins == sorted(begins)
        assert begins[1] >= EVENING + timedelta(seconds=3599)
        assert datetime.fromisoformat(after["forecast"]["table_at"]) > datetime.fromisoformat(
            before["table_at"]
        )

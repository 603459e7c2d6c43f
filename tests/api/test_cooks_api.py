"""A cook over the wire: a whole day beside a simulated pot on a clock that the test moves."""

from collections.abc import Iterator
from datetime import UTC, datetime, timedelta
from pathlib import Path
from statistics import median
from typing import Any

import pytest
from fastapi.testclient import TestClient

from pneumachron.api.app import LOCAL_HOSTS, create_app
from pneumachron.devices.clock import KitchenClock
from pneumachron.services.live_kitchen import LiveKitchen
from tests.conftest import BRISKET

NOON = datetime(2026, 11, 28, 12, 0, tzinfo=UTC)


class Stepped:
    """A kitchen clock whose steady count the test moves."""

    def __init__(self) -> None:
        self.seconds = 0.0

    def make(self, file: Path) -> KitchenClock:
        return KitchenClock(file, self._wall, lambda: self.seconds)

    def _wall(self) -> datetime:
        return NOON + timedelta(seconds=self.seconds)


class Cook:
    """One cook, told and pressed."""

    def __init__(self, client: TestClient, stepped: Stepped, **more: object) -> None:
        self.client, self.stepped = client, stepped
        body = {"name": "Supper", "plan": BRISKET, "connected": True, **more}
        reply = client.post("/api/cooks", json=body)
        assert reply.status_code == 201, reply.text
        self.id = reply.json()["id"]
        self.count = 0

    def now(self) -> dict[str, Any]:
        found: dict[str, Any] = self.client.get(f"/api/cooks/{self.id}").json()
        return found

    def step(self, seconds: float) -> dict[str, Any]:
        self.stepped.seconds += seconds
        return self.now()

    def post(self, path: str, body: dict[str, Any], status: int = 200) -> dict[str, Any]:
        reply = self.client.post(f"/api/cooks/{self.id}/{path}", json=body)
        assert reply.status_code == status, reply.text
        found: dict[str, Any] = reply.json()
        return found

    def tell(self, kind: str, status: int = 200, **body: object) -> dict[str, Any]:
        self.count += 1
        return self.post("events", {"key": f"test-{self.count}", "kind": kind, **body}, status)

    def do(self, step_id: str) -> dict[str, Any]:
        """A step with its ticks."""
        step = next(item for item in self.now()["steps"] if item["step_id"] == step_id)
        for tick in step["ticks"]:
            self.tell("ticked", step_id=step_id, tick=tick["text"])
        return self.tell("done", step_id=step_id)

    def hands(self, what: str, **more: object) -> dict[str, Any]:
        return self.post("hands", {"do": what, **more})

    def press(self, what: str, status: int = 200, *, there: bool = True) -> dict[str, Any]:
        return self.post("pot", {"do": what, "at_the_pot": there}, status)

    def to_the_pot(self) -> None:
        """Everything up to the start."""
        for step_id in ("season", "sear", "deglaze", "pour", "load"):
            self.do(step_id)
        self.hands("lid_on")
        self.do("lid")
        self.press("set")
        self.press("start")


def opened(folder: Path, stepped: Stepped) -> TestClient:
    app = create_app(folder, LOCAL_HOSTS, lambda data: LiveKitchen(data, stepped.make))
    return TestClient(app, base_url="http://127.0.0.1")


@pytest.fixture
def stepped() -> Stepped:
    return Stepped()


@pytest.fixture
def kitchen(tmp_path: Path, stepped: Stepped) -> Iterator[TestClient]:
    with opened(tmp_path, stepped) as client:
        yield client


def test_a_whole_cook_beside_the_pot(kitchen: TestClient, stepped: Stepped) -> None:
    cook = Cook(kitchen, stepped)
    assert cook.now()["current"] == "season"
    stepped.seconds += 600
    cook.to_the_pot()
    heating = cook.step(60)
    assert (heating["current"], heating["pot"]["state"]) == ("come_up", "heating")
    assert heating["next"] == "hold"
    holding = cook.step(1500)
    assert (holding["current"], holding["pot"]["state"]) == ("hold", "holding")
    assert holding["pot"]["left_s"] > 0
    plan = kitchen.post("/api/plan", json=BRISKET).json()
    over = cook.step(holding["pot"]["left_s"] + 30)
    assert over["current"] == "release"
    fallen = cook.step(3600)
    assert fallen["current"] == "open"
    assert len(fallen["ink"]) > 100
    # common practice: high pressure is 75 kPa; hidden truth is off by 3 % in one of three
    held = [gauge for at, gauge in fallen["ink"] if 1500 < at < 3000]
    assert median(held) == pytest.approx(75e3, rel=0.15)
    cook.hands("lid_off")
    cook.do("open")
    assert cook.now()["current"] == "judge"
    verdict = cook.post("judge", {"seen": "tender"})
    assert verdict["step"] == "done"
    for step in ("judge", "rest", "sauce"):
        cook.do(step)
    cook.tell("weighed", before_kg=1.42, after_kg=0.92)
    cook.tell("outcome", pieces=[{"texture": "very", "juicy": 4, "taste": 5}])
    cook.tell("note", text="a little softer than wished <script>alert(1)</script>")
    done = cook.tell("ended")
    assert done["ended_at"] is not None
    line = kitchen.get("/api/cooks").json()["cooks"][0]
    assert line["outcome_step"] == 3
    assert line["yield_ratio"] == pytest.approx(0.92 / 1.42)
    assert line["come_up_s"] == pytest.approx(
        next(item["duration_s"] for item in plan["phases"] if item["kind"] == "come_up"), rel=0.35
    )
    assert "<script>" in line["note"]  # kept as text
    found = kitchen.get("/api/cooks", params={"search": "softer wished"}).json()
    assert found["total"] == 1
    assert kitchen.get("/api/cooks", params={"running": True}).json()["total"] == 0


def test_told_twice_is_written_once(kitchen: TestClient, stepped: Stepped) -> None:
    cook = Cook(kitchen, stepped)
    body = {"key": "same-key", "kind": "done", "step_id": "season"}
    first = cook.post("events", body)
    stepped.seconds += 60
    again = cook.post("events", body)
    assert first["steps"][0]["done_at"] == again["steps"][0]["done_at"]
    # two tabs do the same step under their own keys: it was done once
    other = cook.post("events", {**body, "key": "other-tab"})
    assert other["steps"][0]["done_at"] == first["steps"][0]["done_at"]


def test_what_cannot_be_is_refused_with_what_to_do(kitchen: TestClient, stepped: Stepped) -> None:
    cook = Cook(kitchen, stepped)
    refused = cook.tell("done", 409, step_id="pour")
    assert refused["code"] == "not_confirmed"
    assert "the liquid is in" in refused["message"]
    assert cook.press("start", 409, there=False)["code"] == "nobody_there"
    assert cook.press("start", 409)["code"] == "lid_off"
    assert cook.tell("done", 409, step_id="dance")["code"] == "unknown_step"
    assert cook.tell("dance", 422)["code"] == "invalid_input"
    by_hand = Cook(kitchen, stepped, connected=False)
    assert by_hand.press("start", 409)["code"] == "by_hand"
    assert by_hand.now()["pot"] is None
    assert kitchen.get("/api/cooks/nothing").status_code == 404


def test_overheated_scraped_and_finished(kitchen: TestClient, stepped: Stepped) -> None:
    cook = Cook(kitchen, stepped)
    cook.to_the_pot()
    kitchen.put(f"/api/cooks/{cook.id}/faults", json={"stuck_base": True})
    hot = cook.step(900)
    assert [alarm["kind"] for alarm in hot["alarms"]][:1] == ["stopped_hot"]
    worth = kitchen.get(f"/api/cooks/{cook.id}/worth").json()
    assert worth["step"] == "go_on"
    assert worth["hold_min"] > 30
    cook.press("stop")
    cook.hands("lid_off")
    cook.hands("stir")
    cook.hands("pour", volume="100 ml")
    cook.hands("lid_on")
    cook.press("start")
    assert cook.step(2400)["pot"]["state"] == "holding"


def test_put_back_and_a_second_run(kitchen: TestClient, stepped: Stepped) -> None:
    cook = Cook(kitchen, stepped)
    cook.to_the_pot()
    cook.step(4 * 3600)
    cook.hands("lid_off")
    cook.do("open")
    verdict = cook.post("judge", {"seen": "chewy"})
    assert verdict["step"] == "put_back"
    back = cook.tell("put_back", hold_min=verdict["hold_min"])
    assert back["current"] == "lid#2"
    cook.hands("lid_on")
    cook.do("lid#2")
    cook.press("set")
    cook.press("start")
    again = cook.step(3600 + 60 * verdict["hold_min"] + 1800)
    assert again["current"] == "open#2"
    assert again["rounds"] == 2
    probe = kitchen.get(f"/api/cooks/{cook.id}/probe").json()
    assert not probe["believable"]


def test_timers_live_on_the_server(kitchen: TestClient, stepped: Stepped) -> None:
    cook = Cook(kitchen, stepped, connected=False)
    cook.tell("timer_started", step_id="sear", timer_id="side-one", title="first side", seconds=120)
    assert cook.step(30)["timers"][0]["left_s"] == 90
    moved = cook.tell("timer_moved", timer_id="side-one", by_s=60)
    assert moved["timers"][0]["left_s"] == 150
    over = cook.step(200)
    assert (over["timers"][0]["left_s"], over["timers"][0]["heard"]) == (0, False)
    heard = cook.tell("timer_rang", timer_id="side-one")
    assert heard["timers"][0]["heard"]
    assert cook.tell("timer_stopped", timer_id="side-one")["timers"] == []


def test_killed_and_started_again(tmp_path: Path, stepped: Stepped) -> None:
    with opened(tmp_path, stepped) as client:
        cook = Cook(client, stepped)
        cook.to_the_pot()
        cook.tell("timer_started", step_id="rest", timer_id="long-one", title="x", seconds=9000)
        cook.step(1800)
    stepped.seconds += 1800  # nobody looks for half an hour
    with opened(tmp_path, stepped) as client:
        cook.client = client
        again = cook.now()
        assert again["pot"]["state"] == "holding"
        assert again["timers"][0]["left_s"] == 9000 - 3600
        inked = [point[0] for point in again["ink"]]
        assert max(inked) == pytest.approx(3600, abs=60)  # also what went by unseen


def test_away_and_back(kitchen: TestClient, stepped: Stepped) -> None:
    cook = Cook(kitchen, stepped)
    cook.to_the_pot()
    kitchen.put(f"/api/cooks/{cook.id}/faults", json={"away": True})
    gone = cook.step(1800)
    assert gone["pot"] is None
    assert gone["current"] == "come_up"
    assert cook.press("stop", 409)["code"] == "device_away"
    kitchen.put(f"/api/cooks/{cook.id}/faults", json={})
    back = cook.now()
    assert back["current"] == "hold"  # what it did meanwhile is told afterwards
    assert back["pot"]["state"] == "holding"


def test_deleted_and_put_back_and_the_clock(kitchen: TestClient, stepped: Stepped) -> None:
    cook = Cook(kitchen, stepped, connected=False)
    kitchen.delete(f"/api/cooks/{cook.id}")
    assert kitchen.get(f"/api/cooks/{cook.id}").status_code == 404
    kitchen.post(f"/api/cooks/{cook.id}/restore")
    assert kitchen.get(f"/api/cooks/{cook.id}").status_code == 200
    kinds = [
        event["kind"] for event in kitchen.get(f"/api/cooks/{cook.id}/events").json()["events"]
    ]
    assert kinds == ["began"]
    before = datetime.fromisoformat(kitchen.get("/api/clock").json()["now"])
    assert kitchen.put("/api/clock", json={"speed": 240}).json()["speed"] == 240
    stepped.seconds += 10
    after = datetime.fromisoformat(kitchen.get("/api/clock").json()["now"])
    assert after - before == timedelta(minutes=40)
    assert kitchen.put("/api/clock", json={"speed": 3}).status_code == 422

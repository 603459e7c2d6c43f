"""A cook over the wire: a whole day beside a simulated pot on a clock that the test moves."""

from collections.abc import Iterator
from dataclasses import asdict, replace
from datetime import UTC, datetime, timedelta
from itertools import pairwise
from pathlib import Path
from statistics import median
from typing import Any

import pytest
from fastapi.testclient import TestClient

from pneumachron.api.app import LOCAL_HOSTS, create_app
from pneumachron.core.procedure.step import Brought
from pneumachron.devices.clock import KitchenClock
from pneumachron.services.cook_state import brought_of
from pneumachron.services.live_kitchen import LiveKitchen
from tests.api.test_saved_plans_api import TWO_STEPS
from tests.conftest import BRISKET

NOON = datetime(2026, 11, 28, 12, 0, tzinfo=UTC)


class Stepped:
    """A kitchen clock whose steady count the test moves."""

    def __init__(self) -> None:
        self.seconds = 0.0

    def make(self) -> KitchenClock:
        return KitchenClock(self._wall, lambda: self.seconds)

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
            self.tell("ticked", step_id=step_id, tick=tick["code"])
        return self.tell("done", step_id=step_id)

    def hands(self, what: str, **more: object) -> dict[str, Any]:
        return self.post("simulate", {"do": what, **more})

    def press(self, what: str, status: int = 200, *, there: bool = True) -> dict[str, Any]:
        return self.post("pot", {"do": what, "at_the_pot": there}, status)

    def to_the_pot(self) -> None:
        """Everything up to the start."""
        while (step_id := self.now()["current"]) != "lid":
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
    cook.tell("weighed", before="1.42 kg", after="920 g")
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


def test_the_ink_reaches_to_now_however_long_it_cooks(
    kitchen: TestClient, stepped: Stepped
) -> None:
    cook = Cook(kitchen, stepped)
    cook.to_the_pot()
    begun = stepped.seconds
    for _ in range(12):  # five hours in all; a pot is asked every quarter of a minute
        ink = cook.step(1500)["ink"]
        assert ink[-1][0] == pytest.approx(stepped.seconds - begun, abs=20)
        assert 90 <= len(ink) <= 402
        gaps = [then[0] - first[0] for first, then in pairwise(ink)]
        assert max(gaps) <= 2.5 * median(gaps)


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
    assert refused["code"] == "not_confirmed"
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
    worth = kitchen.get(f"/api/cooks/{cook.id}/credit").json()
    assert worth["step"] == "go_on"
    assert worth["hold_min"] > 30
    cook.press("stop")
    cook.hands("lid_off")
    cook.hands("stir")
    cook.hands("pour", volume="100 ml")
    cook.hands("lid_on")
    cook.press("start")
    assert cook.step(2400)["pot"]["state"] == "holding"


def test_after_a_power_cut_the_pot_is_set_for_what_is_missing(
    kitchen: TestClient, stepped: Stepped
) -> None:
    cook = Cook(kitchen, stepped)
    cook.to_the_pot()
    holding = cook.step(1500 + 1800)
    full = holding["set_min"]
    cook.press("stop")
    cut = cook.step(60)
    assert (cut["current"], cut["alarms"][0]["kind"]) == ("hold", "stopped_early")
    worth = kitchen.get(f"/api/cooks/{cook.id}/credit").json()
    assert 0 < worth["hold_min"] < full
    cook.press("set")
    cook.press("start")
    again = cook.step(900)
    assert (again["pot"]["state"], again["alarms"]) == ("holding", [])
    # common practice: what it had counts, so less is left than the whole hold
    assert again["pot"]["left_s"] < 60 * worth["hold_min"]
    assert cook.step(again["pot"]["left_s"] + 60)["current"] == "release"


def test_the_pot_is_put_beside_a_cook_later_and_holds_one(
    kitchen: TestClient, stepped: Stepped
) -> None:
    cook = Cook(kitchen, stepped, connected=False)
    put = f"/api/cooks/{cook.id}/connected"
    assert kitchen.put(put, json={"on": True}).json()["pot"]["state"] == "open"
    cook.to_the_pot()
    assert cook.step(30)["pot"]["state"] == "heating"
    # asked twice, it is not loaded anew
    assert kitchen.put(put, json={"on": True}).json()["pot"]["state"] == "heating"
    second = Cook(kitchen, stepped, name="Next one")
    assert second.now()["pot"]["state"] == "open"
    first = cook.now()
    assert (first["connected"], first["pot"], first["current"]) == (False, None, "come_up")
    assert kitchen.put(put, json={"on": False}).json()["connected"] is False
    cook.tell("ended")
    assert kitchen.put(put, json={"on": True}).json()["code"] == "ended"


def test_what_needs_hands_is_at_the_top(kitchen: TestClient, stepped: Stepped) -> None:
    waiting = Cook(kitchen, stepped, name="In the pot")
    waiting.to_the_pot()
    begun = Cook(kitchen, stepped, name="On the board", connected=False)
    turns = kitchen.get("/api/cooks/active").json()["turns"]
    assert [(turn["name"], turn["wants"]) for turn in turns] == [
        ("On the board", "hands"),
        ("In the pot", "time"),
    ]
    assert turns[1]["left_s"] > 300
    begun.tell("timer_started", step_id="season", timer_id="timer-1", title="salt", seconds=600)
    kitchen.put(f"/api/cooks/{waiting.id}/faults", json={"stuck_base": True})
    waiting.step(900)
    turns = kitchen.get("/api/cooks/active").json()["turns"]
    assert [turn["wants"] for turn in turns] == ["help", "ear"]
    assert turns[1]["title"] == "salt"
    for cook in (waiting, begun):
        cook.tell("ended")
    assert kitchen.get("/api/cooks/active").json()["turns"] == []


CARD = {
    "title": "Onion brisket",
    "ingredients": ["3 lb brisket", "two onions <b>sliced</b>"],
    "steps": [
        {"kind": "sear", "text": "Brown with the onions."},
        {"kind": "set", "text": "Set it."},
        {"kind": "finish", "text": "Glaze it."},
    ],
}


def test_the_recipe_comes_along(kitchen: TestClient, stepped: Stepped) -> None:
    cook = Cook(kitchen, stepped, recipe=CARD, plan={**BRISKET, "finish": "broiler"})
    found = {step["step_id"]: step["recipe"] for step in cook.now()["steps"]}
    assert found["sear"] == ["Brown with the onions."]
    assert found["finish"] == ["Glaze it."]
    assert found["set"] == []  # the minutes are the plan's own
    assert cook.now()["recipe"] == CARD
    cook.tell("ended")
    exported = kitchen.get("/api/cooks/export", params={"kind": "jsonld"}).json()
    recipe = exported["@graph"][0]["recipe"]
    assert recipe["name"] == "Onion brisket"
    assert recipe["recipeIngredient"] == CARD["ingredients"]
    assert recipe["recipeInstructions"][0] == {
        "@type": "HowToStep",
        "text": "Brown with the onions.",
    }
    again = kitchen.get("/api/backup").json()
    assert again["cooks"][0]["recipe"] == CARD
    assert kitchen.post("/api/restore", json=again).status_code == 200


def test_what_a_day_adds_stands_in_the_steps(kitchen: TestClient, stepped: Stepped) -> None:
    extras = [
        {"title": "Cut the slaw <b>", "minutes": 15, "when": "beside"},
        {"title": "Beans", "minutes": 8, "when": "own_run"},
    ]
    cook = Cook(kitchen, stepped, extras=extras, sauce=False)
    ids = [step["step_id"] for step in cook.now()["steps"]]
    assert "sauce" not in ids
    assert ids.index("set") < ids.index("extra0") < ids.index("come_up")
    assert ids.index("rest") < ids.index("side1") < ids.index("carve")
    cook.to_the_pot()
    slaw = cook.step(30)
    assert (slaw["current"], slaw["next"]) == ("extra0", "come_up")
    assert cook.do("extra0")["current"] == "come_up"
    whole = kitchen.get("/api/backup").json()
    assert whole["cooks"][0]["brought"]["work"] == extras
    dry = kitchen.post("/api/restore", json=whole).json()
    assert all((item["added"], item["changed"]) == (0, 0) for item in dry["changes"])
    bad = {"name": "x", "plan": BRISKET, "extras": [{**extras[0], "minutes": 0}]}
    assert kitchen.post("/api/cooks", json=bad).status_code == 422


def test_a_cook_whose_thin_rack_came_out_first_comes_back(kitchen: TestClient) -> None:
    """Once it was over its page was an error, and no backup that had it could be restored."""
    begun = kitchen.post("/api/cooks", json={"name": "Two racks", "plan": TWO_STEPS}).json()
    kitchen.post(f"/api/cooks/{begun['id']}/events", json={"key": "over", "kind": "ended"})
    reply = kitchen.get(f"/api/cooks/{begun['id']}/pieces")
    assert (reply.status_code, reply.json()["kinds"]) == (200, [])
    whole = kitchen.get("/api/backup").json()
    assert whole["cooks"][0]["traces"] is not None
    assert kitchen.post("/api/restore", json=whole).status_code == 200


def test_pieces_of_one_pot(kitchen: TestClient, stepped: Stepped) -> None:
    cook = Cook(kitchen, stepped)
    pieces = [
        {"texture": "tender", "group": 0, "number": 1, "mark": "membrane on", "juicy": 4},
        {"texture": "very", "group": 0, "number": 2, "mark": "membrane off", "juicy": 3},
    ]
    told = cook.tell("outcome", pieces=pieces)
    assert len(told["side_by_side"]) == 1
    assert "one step softer and drier by 1" in told["side_by_side"][0]
    cook.tell("ended")
    assert kitchen.get("/api/cooks").json()["cooks"][0]["outcome_step"] == pytest.approx(2.5)
    assert cook.tell("outcome", 422, pieces=[{"texture": "tender", "number": 0}])["code"]
    assert cook.tell("outcome", 422, pieces=pieces * 30)["code"] == "invalid_input"


def test_the_scale_over_the_wire(kitchen: TestClient) -> None:
    assert kitchen.put("/api/scale", json={"on_it": "3 lb"}).status_code == 200
    shown = kitchen.get("/api/scale").json()
    assert shown["mass_kg"] <= 1.37
    assert set(shown["mass_shown"]) == {"metric", "us"}
    assert kitchen.put("/api/scale", json={"on_it": "3 in"}).status_code == 422
    heavy = kitchen.put("/api/scale", json={"on_it": "40 kg"})
    assert (heavy.status_code, heavy.json()["code"]) == (409, "overload")
    assert abs(kitchen.post("/api/scale/tare").json()["mass_kg"]) < 0.05


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
    where = f"/api/cooks/{cook.id}/clock"
    fast = kitchen.put(where, json={"speed": 240}).json()
    assert (fast["speed"], fast["ahead_s"]) == (240, 0)
    stepped.seconds += 10
    ahead = cook.now()
    gone = datetime.fromisoformat(ahead["now"]) - datetime.fromisoformat(fast["now"])
    assert gone == timedelta(minutes=40)
    assert ahead["ahead_s"] == 40 * 60 - 10
    # the kitchen's own time, and any other cook's, is the wall's
    assert datetime.fromisoformat(kitchen.get("/api/clock").json()["now"]) == NOON + timedelta(
        seconds=stepped.seconds
    )
    assert kitchen.put(where, json={"speed": 3}).status_code == 422
    kitchen.put(where, json={"speed": 1})
    stepped.seconds += 5
    assert cook.now()["ahead_s"] == 40 * 60 - 10  # what is ahead stays ahead
    back = kitchen.put(where, json={"back": True}).json()
    assert (back["ahead_s"], back["speed"]) == (0, 1)
    # its past moved with it, so nothing of it lies in the future
    assert datetime.fromisoformat(back["began_at"]) == datetime.fromisoformat(
        fast["began_at"]
    ) - timedelta(seconds=40 * 60 - 10)


def test_two_sheets_and_the_kinds_of_one_pot(kitchen: TestClient, stepped: Stepped) -> None:
    rack = {"cut": "back_ribs", "count": 1, "mass": "1 kg", "thickness": "2.8 cm"}
    two_ways = {
        **BRISKET,
        "pieces": [{**rack, "membrane": False}, {**rack, "membrane": True}],
    }
    cook = Cook(kitchen, stepped, plan=two_ways)
    before = kitchen.get(f"/api/cooks/{cook.id}/pieces").json()
    assert not before["followed"]  # nothing happened yet: along what is set
    cook.to_the_pot()
    stepped.seconds += 3600
    cook.now()
    pieces = kitchen.get(f"/api/cooks/{cook.id}/pieces").json()
    assert pieces["followed"]
    assert [kind["name"] for kind in pieces["kinds"]] == [
        "Baby back ribs, membrane off",
        "Baby back ribs, membrane on",
    ]
    # common practice: a membrane left on costs a step
    off, on = (kind["softening"][-1][1] for kind in pieces["kinds"])
    assert off - on == pytest.approx(1.0, abs=0.01)
    assert "one step firmer" in pieces["said"][0]

    other = Cook(kitchen, stepped, connected=False)
    wanted = {"one": cook.id, "other": other.id}
    laid = kitchen.get("/api/cooks/compare", params=wanted).json()
    assert [sheet["id"] for sheet in laid["sheets"]] == [cook.id, other.id]
    told = {item["about"]: item["then"] for item in laid["differences"]}
    assert told["Pieces"] == "2 × Brisket flat"
    assert told["Weight"] == "1.42\u00a0kg"
    # the pot came up: only one of them knows how long it took
    assert "Time to pressure" not in told
    alike = kitchen.get("/api/cooks/compare", params={"one": other.id, "other": other.id}).json()
    assert alike["differences"] == []
    lost = kitchen.get("/api/cooks/compare", params={"one": cook.id, "other": "nothing"})
    assert lost.status_code == 404
    assert kitchen.get("/api/cooks/compare", params={"one": cook.id}).status_code == 422


@pytest.mark.parametrize(
    ("told", "field", "code"),
    [
        ({"before": "1.42"}, "before", "unit_missing"),
        ({"after": "a bowl"}, "after", "unit_unknown"),
        ({"before": "90 kg"}, "before", "weight_range"),
        ({"after": "2 g"}, "after", "weight_range"),
        ({"before": "900 g", "after": "2 lb"}, "after", "heavier_cooked"),
    ],
)
def test_weights_that_cannot_be(
    kitchen: TestClient, stepped: Stepped, told: dict[str, str], field: str, code: str
) -> None:
    cook = Cook(kitchen, stepped, connected=False)
    refused = cook.tell("weighed", 422, **told)
    assert (refused["field"], refused["code"]) == (field, code)
    assert refused["hint"]
    assert cook.now()["weighed"] == {"before": None, "after": None}


def test_weights_are_shown_in_both_systems_and_told_anew(
    kitchen: TestClient, stepped: Stepped
) -> None:
    cook = Cook(kitchen, stepped, connected=False)
    cook.tell("weighed", before="3 lb 2 oz")
    # NIST Handbook 44: 1 lb = 0.453 592 37 kg, so 3 lb 2 oz is 1.417 kg
    shown = cook.tell("weighed", after=" 2 lb ")["weighed"]
    assert shown == {
        "before": {"metric": "1.42 kg", "us": "3 lb 2 oz"},
        "after": {"metric": "907 g", "us": "2 lb"},
    }
    cook.tell("ended")
    assert cook.tell("weighed", after="1 kg")["weighed"]["after"]["metric"] == "1 kg"
    line = kitchen.get("/api/cooks").json()["cooks"][0]
    assert line["yield_ratio"] == pytest.approx(1.0 / 1.417_475, rel=1e-4)


@pytest.mark.parametrize(
    ("kind", "body"),
    [
        ("weighed", {"before_kg": "abc"}),
        ("weighed", {"x": {}}),
        ("done", {}),
        ("outcome", {"pieces": 3}),
        ("pot", {"state": "singing"}),
        ("put_back", {"hold_min": "x"}),
        ("timer_started", {}),
        ("note", {}),
    ],
)
def test_a_copy_with_an_unreadable_sheet_is_refused_whole(
    kitchen: TestClient, stepped: Stepped, kind: str, body: dict[str, Any]
) -> None:
    cook = Cook(kitchen, stepped, connected=False)
    cook.tell("note", text="kept")
    whole = kitchen.get("/api/backup").json()
    assert kitchen.post("/api/restore", json=whole).status_code == 200
    whole["cooks"][0]["events"][-1] |= {"kind": kind, "body": body}
    refused = kitchen.post("/api/restore", params={"dry_run": False}, json=whole)
    assert refused.status_code == 422
    assert refused.json()["code"] == "not_a_backup"
    assert cook.now()["name"] == "Supper"


def test_own_minutes_reach_the_cook_and_the_log(client: TestClient) -> None:
    own = BRISKET | {"my_minutes": 41}
    begun = client.post("/api/cooks", json={"name": "Habit", "plan": own}).json()
    assert begun["set_min"] == 41
    assert any("41\u00a0min" in step["title"] for step in begun["steps"])
    dish = {"dish_id": "habit-1", "title": "Habit", "plan": own}
    asked = {"table": "2026-11-28T18:00:00Z", "dishes": [dish]}
    day = client.post("/api/schedule", json=asked)
    assert day.status_code == 200, day.text
    held = [
        part["likely_s"]
        for block in day.json()["blocks"]
        for part in block["segments"]
        if part["kind"] == "hold"
    ]
    assert held == [pytest.approx(41 * 60.0, abs=1.0)]
    client.post(f"/api/cooks/{begun['id']}/events", json={"key": "over", "kind": "ended"})
    (line,) = client.get("/api/cooks").json()["cooks"]
    assert line["hold_min"] == 41


def test_what_would_not_cool_in_time_is_not_begun_ahead(client: TestClient) -> None:
    # published: 57 to 21 °C within 2 h (FDA Food Code 3-501.14); 12 cm of meat take longer in ice
    thick = {"cut": "shoulder_boneless", "count": 1, "mass": "3 kg", "thickness": "12 cm"}
    thin = {"cut": "brisket_flat", "count": 1, "mass": "0.7 kg", "thickness": "4.5 cm"}
    for piece, status in ((thick, 422), (thin, 201)):
        body = {"name": "Ahead", "plan": {"pieces": [piece], "pot": "bass"}, "ahead": "day_before"}
        reply = client.post("/api/cooks", json=body)
        assert reply.status_code == status, reply.text
    assert len(client.get("/api/cooks/active").json()["turns"]) == 1


def test_a_step_is_left_out_with_a_reason_and_a_note_stands_at_its_step(
    kitchen: TestClient, stepped: Stepped
) -> None:
    cook = Cook(kitchen, stepped, connected=False)
    told = cook.tell("done", step_id="season", skipped="rubbed yesterday")
    assert next(step for step in told["steps"] if step["step_id"] == "season")["done_at"]
    cook.tell("note", step_id="sear", text="a touch more salt")
    where = f"/api/cooks/{cook.id}/events"
    lid = {"key": "no-lid", "kind": "done", "step_id": "lid", "skipped": "no time"}
    assert kitchen.post(where, json=lid).json()["code"] == "cannot_skip"
    nowhere = {"key": "nowhere", "kind": "note", "step_id": "nothing", "text": "x"}
    assert kitchen.post(where, json=nowhere).status_code == 409
    events = kitchen.get(where).json()["events"]
    assert [event["body"].get("skipped") for event in events if event["kind"] == "done"] == [
        "rubbed yesterday"
    ]
    assert "a touch more salt" in kitchen.get("/api/cooks").json()["cooks"][0]["note"]


def test_an_entry_can_be_planned_again(kitchen: TestClient, stepped: Stepped) -> None:
    cook = Cook(kitchen, stepped, connected=False)
    again = kitchen.post("/api/plan", json=cook.now()["request"])
    assert again.status_code == 200
    assert again.json()["setting"]["hold_min"] == cook.now()["plan"]["hold_min"]


def test_a_running_day_is_told_by_its_cook_on_the_server(
    kitchen: TestClient, stepped: Stepped
) -> None:
    """The same fold as Cook and Log: nobody tells the Schedule what the cook knows."""
    cook = Cook(kitchen, stepped, connected=False)
    day = {
        "table": (NOON + timedelta(hours=5)).isoformat(),
        "dishes": [{"dish_id": "a", "title": "Supper", "plan": BRISKET}],
        "now": NOON.isoformat(),
        "beside": {"a": cook.id},
    }

    def told() -> dict[str, Any]:
        reply = kitchen.post("/api/schedule", json=day)
        assert reply.status_code == 200, reply.text
        return {item["block_id"]: item for item in reply.json()["done"]}

    assert "a:season" not in told()
    stepped.seconds += 600
    cook.do("season")
    stood = told()
    assert datetime.fromisoformat(stood["a:season"]["end"]) == NOON + timedelta(seconds=600)
    # the run is on, till the end that Cook itself forecasts; it is not over before
    assert stood["a:run0"]["end"] is None
    ahead = {item["step_id"]: item["end_at"] for item in cook.now()["forecast"]["ahead"]}
    blocks = kitchen.post("/api/schedule", json=day).json()["blocks"]
    run = next(item for item in blocks if item["block_id"] == "a:run0")
    assert run["state"] == "begun"
    seen = datetime.fromisoformat(run["end"])
    assert abs((seen - datetime.fromisoformat(ahead["judge"])).total_seconds()) <= 1
    # what was ticked by hand gives way to what the cook tells
    ticked = {"block_id": "a:season", "start": NOON.isoformat(), "end": None}
    again = kitchen.post("/api/schedule", json=day | {"done": [ticked]}).json()["done"]
    assert [item["end"] is None for item in again if item["block_id"] == "a:season"] == [False]
    # a cook that is gone tells nothing
    gone = kitchen.post("/api/schedule", json=day | {"beside": {"a": "nobody"}})
    assert gone.json()["done"] == []


def test_a_cook_of_before_has_the_first_version_of_the_steps() -> None:
    """It was kept without saying which; one that begins today says so."""
    today = Brought(from_freezer=True)
    assert brought_of(asdict(today)) == today
    kept = {key: value for key, value in asdict(today).items() if key != "version"}
    assert brought_of(kept) == replace(today, version=1)
    assert brought_of(None) == Brought(version=1)

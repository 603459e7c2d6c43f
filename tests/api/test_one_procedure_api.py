"""One procedure: Plan, Cook, Schedule, calendar and JSON-LD tell the same steps for as long.

What is compared is read back from the answers and files, not from the model.
"""

import json
import re
from collections import Counter
from datetime import datetime, timedelta
from pathlib import Path
from typing import Any

import pytest
from fastapi.testclient import TestClient
from icalendar import Calendar

from pneumachron.demo.recipes import BRAISED_SHORT_RIBS
from tests import some
from tests.api.test_day_api import ask, day
from tests.api.test_recipes_api import convert, request_of
from tests.api.test_saved_plans_api import TWO_STEPS
from tests.conftest import BRISKET

PIECE = BRISKET["pieces"][0]
PLANS: dict[str, dict[str, Any]] = {
    "a rest in its liquid": {**BRISKET, "release": "soak", "stay_min": 30},
    "kept warm": {**BRISKET, "texture": "falls", "release": "keep_warm", "stay_min": 45},
    "a wait, then vented": {**BRISKET, "release": "timed", "wait_min": 15},
    "an open boil": {**BRISKET, "release": "quick", "boil_min": 10},
    "an hour on the counter": {**BRISKET, "pieces": [{**PIECE, "start": "tempered"}]},
    "frozen": {**BRISKET, "pieces": [{**PIECE, "start": "frozen"}]},
    "two batches": {**BRISKET, "batches": 2},
    "a thin rack out early": TWO_STEPS,
}
COUNTED = ("hold", "wait", "keep_warm", "boil", "soak")
"""What the cook time counts on."""
NOT_SHARED = {"season", "keep"}
"""Seasoning and portions are of what is in the pot together."""


@pytest.mark.parametrize("name", PLANS)
def test_plan_cook_schedule_and_calendar(client: TestClient, name: str) -> None:
    steps = client.post("/api/plan/steps", json=PLANS[name]).json()["steps"]
    plan = _minutes(steps)

    begun = client.post("/api/cooks", json={"name": "Supper", "plan": PLANS[name]})
    assert begun.status_code == 201, begun.text
    # the notes at the end are of a cook, not of a plan
    cook = [step for step in begun.json()["steps"] if step["kind"] != "write_down"]
    assert _minutes(cook) == plan

    body = day(PLANS[name])
    found = ask(client, body)
    segments = [part for block in found["blocks"] for part in block["segments"]]
    shared = {title: minutes for title, minutes in plan.items() if title not in _titles(steps)}
    told = _minutes(segments)
    assert {title: told.get(title) for title in shared} == shared

    text = client.post("/api/schedule/calendar", json=body).json()["text"]
    events = [
        (event.decoded("dtstart"), event.decoded("dtend"))
        for event in Calendar.from_ical(text).walk("VEVENT")
    ]
    by_hand = timedelta()
    for block in found["blocks"]:
        at = datetime.fromisoformat(block["start"])
        for part in block["segments"]:
            end = at + timedelta(seconds=part["likely_s"])
            if {"hands", "in_passing"} & set(part["lanes"]):
                by_hand += end - at
                slack = timedelta(seconds=2)
                assert any(a - slack <= at and end <= b + slack for a, b in events), part["title"]
            at = end
    # and nothing else: what only has to pass is no event
    total = sum((end - start for start, end in events), timedelta())
    assert abs(total - by_hand) <= timedelta(seconds=2 * len(events))


def _titles(steps: list[dict[str, Any]]) -> set[str]:
    return {step["title"] for step in steps if step["kind"] in NOT_SHARED}


def _minutes(steps: list[dict[str, Any]]) -> dict[str, int]:
    """Minutes by what is done, of all runs together."""
    found: dict[str, float] = {}
    for step in steps:
        found[step["title"]] = found.get(step["title"], 0.0) + step["likely_s"]
    return {title: round(seconds / 60.0) for title, seconds in found.items()}


@pytest.mark.parametrize("release", ["natural", "timed", "quick", "soak", "keep_warm"])
def test_convert_and_json_ld(client: TestClient, release: str) -> None:
    cook_request = request_of(client, BRAISED_SHORT_RIBS, release=release)
    done = convert(client, cook_request)
    assert done["setting"]["release"] == release
    steps = client.post("/api/plan/steps", json=done["request"]).json()["steps"]
    exported = client.post(
        "/api/recipes/export", json={"request": cook_request, "format": "jsonld"}
    ).json()
    node = json.loads(exported["text"])
    texts = " ".join(_texts(node["recipeInstructions"]))
    counted = [step for step in steps if step["kind"] in COUNTED]
    assert counted
    for step in counted:
        assert round(step["likely_s"] / 60.0) in _spans(texts), step["title"]
    on_screen = " ".join(step["text"] for step in done["steps"])
    for step in counted:
        assert round(step["likely_s"] / 60.0) in _spans(on_screen), step["title"]


def _texts(steps: list[dict[str, Any]]) -> list[str]:
    """Of steps, and of sections of steps."""
    found = [step["text"] for step in steps if "text" in step]
    return found + [text for step in steps for text in _texts(step.get("itemListElement", []))]


def _spans(text: str) -> set[int]:
    """All durations that are told, in minutes: `1 h 23 min`, `83 min`."""
    plain = text.replace("\u00a0", " ")
    hours = {60 * int(h) + int(m or 0) for h, m in re.findall(r"(\d+) h(?: (\d+) min)?", plain)}
    return hours | {int(m) for m in re.findall(r"(\d+) min", plain)}


VOICES = some(sorted((Path(__file__).parents[1] / "recipes" / "voices").glob("*.txt")), 4, usual=20)
BROUGHT = (
    "extras", "crackling", "pulled_first", "sear_min", "rubbed", "rub_min", "marinade",
    "marinate_min",
)  # fmt: skip


def test_a_recipe_and_its_cook_do_the_same(client: TestClient) -> None:
    """Browned, marinated and crisped in Cook what is so in Convert, for the same minutes."""
    seen: Counter[str] = Counter()
    refused = 0
    for voice in VOICES:
        recipe = client.post("/api/recipes/read", content=voice.read_bytes()).json()["recipe"]
        reply = client.post("/api/recipes/convert", json={"recipe": recipe, "pot": "bass"})
        if reply.status_code == 422:  # two meats, or what pressure does nothing for
            refused += 1
            continue
        done = reply.json()
        brought = {name: done[name] for name in BROUGHT}
        cook = client.post(
            "/api/cooks", json={"name": voice.stem, "plan": done["request"], **brought}
        ).json()
        told = {step["kind"] for step in done["steps"]}
        # a crust that is only brushed or stirred has no step of its own in Cook
        told -= {"finish"} if done["setting"]["finish"] in {"none", "glaze"} else set()
        kinds = {step["kind"] for step in cook["steps"]}
        for kind in ("sear", "marinate", "finish", "rest"):
            assert (kind in told) == (kind in kinds), (voice.stem, kind)
            seen[kind] += kind in told
        hold = next(step for step in cook["steps"] if step["kind"] == "hold")
        soaked = [
            [60 * step["low_min"], 60 * step["high_min"]]
            for step in done["steps"] if step["kind"] == "marinate"
        ]  # fmt: skip
        own = [
            [step["low_s"], step["high_s"]]
            for step in cook["steps"] if step["kind"] == "marinate"
        ]  # fmt: skip
        assert soaked == own, voice.stem
        assert round(hold["likely_s"] / 60) == done["setting"]["hold_min"], voice.stem
    assert refused < len(VOICES) / 20
    assert all(0 < seen[kind] < len(VOICES) for kind in ("sear", "marinate", "finish"))

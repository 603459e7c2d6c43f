"""A followed cook: all of it first, then only what is new; a stream over a real connection."""

import json
from pathlib import Path
from typing import Any

import httpx2
from hypothesis import given
from hypothesis import strategies as st

from pneumachron.services.following import Follower
from tests.conftest import BRISKET
from tests.live import PATIENCE_S, serving

POINTS = st.lists(st.tuples(st.integers(0, 20), st.integers(0, 3)), max_size=8)


def merged(known: dict[str, Any], news: dict[str, Any]) -> dict[str, Any]:
    """What a screen does with it."""
    start = news.pop("ink_from", None)
    if start is not None:
        news["ink"] = known["ink"][:start] + news["ink"]
    return known | news


@given(st.lists(st.tuples(POINTS, st.sampled_from("abc")), min_size=1, max_size=6))
def test_a_screen_that_adds_what_is_new_shows_the_same(
    states: list[tuple[list[tuple[int, int]], str]],
) -> None:
    follower, screen = Follower(), dict[str, Any]()
    for number, (ink, current) in enumerate(states):
        fresh = {"now": number, "ahead_s": 0, "ink": ink, "current": current, "timers": []}
        news = follower.news(fresh)
        if news is not None:
            screen = merged(screen, news)
        assert screen["ink"] == ink
        assert screen["current"] == current


def test_time_alone_is_no_news() -> None:
    follower = Follower()
    timer = {"timer_id": "a", "due_at": "x"}
    first = {"now": 1, "ink": [], "forecast": 1, "timers": [timer | {"left_s": 9}]}
    assert follower.news(first) == first
    assert (
        follower.news(first | {"now": 2, "forecast": 2, "timers": [timer | {"left_s": 8}]}) is None
    )
    heard = follower.news(first | {"now": 3, "timers": [timer | {"left_s": 0, "heard": True}]})
    assert heard is not None
    assert set(heard) == {"now", "timers"}


def test_a_stream_tells_all_and_then_the_news(tmp_path: Path) -> None:
    with (
        serving(tmp_path, demo=False) as address,
        httpx2.Client(base_url=address, timeout=PATIENCE_S) as client,
    ):
        cook = client.post("/api/cooks", json={"name": "x", "plan": BRISKET}).json()
        where = f"/api/cooks/{cook['id']}"
        told: list[dict[str, Any]] = []
        with client.stream("GET", f"{where}/stream", timeout=PATIENCE_S) as stream:
            assert stream.headers["content-type"].startswith("text/event-stream")
            for line in stream.iter_lines():
                if not line.startswith("data:"):
                    continue
                told.append(json.loads(line.removeprefix("data:")))
                if len(told) == 1:
                    done = {"key": "done-1", "kind": "done", "step_id": "season"}
                    httpx2.post(f"{address}{where}/events", json=done, timeout=PATIENCE_S)
                elif len(told) == 2:
                    over = {"key": "over-1", "kind": "ended"}
                    httpx2.post(f"{address}{where}/events", json=over, timeout=PATIENCE_S)
        assert told[0]["steps"]
        assert told[0]["current"] == "season"
        assert told[1]["current"] == "sear"
        assert "pencil" not in told[1]  # only what is new
        assert told[-1]["ended_at"]
        assert client.get("/api/cooks/nothing-here/stream").status_code == 404

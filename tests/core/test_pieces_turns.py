"""Pieces judged one by one, and whose turn it is among several dishes."""

import pytest

from pneumachron.core.message import Message
from pneumachron.core.planning.plan import make_plan
from pneumachron.core.procedure.cook_plan import cook_plan
from pneumachron.core.procedure.under_pressure import LID_TICKS
from pneumachron.core.session.events import Event, EventKind
from pneumachron.core.session.pieces import Rated, mean_step, side_by_side
from pneumachron.core.session.sheet import fold
from pneumachron.core.session.turns import Turn, turn_of
from tests.core.kitchen import cook_request, load

PLAN = cook_plan(make_plan(cook_request(load("brisket_flat", 1.4, 0.045, 2))), "broiler")


def judged(texture: str | None, **more: object) -> dict[str, object]:
    return {"texture": texture, **more}


def test_mean_step_over_pieces() -> None:
    # by hand: holds, tender, very tender are steps 1, 2, 3 of the ladder in DOMAIN's order
    both = [judged("tender"), judged("very")]
    assert mean_step(both, [1, 1]) == pytest.approx(2.5)
    # three of the first kind and one of the second, each kind judged as one: (3·2 + 3) / 4
    assert mean_step(both, [3, 1]) == pytest.approx(2.25)
    # one by one, whatever there is of a kind
    single = [judged("tender", group=0, number=1), judged("very", group=0, number=2)]
    assert mean_step(single, [2]) == pytest.approx(2.5)
    assert mean_step([judged(None), judged("holds")], [5, 2]) == pytest.approx(1.0)
    assert mean_step([judged(None)], [1]) is None
    # a sheet from elsewhere with more pieces than the load has kinds
    assert mean_step([judged("tender"), judged("very")], [1]) == pytest.approx(2.5)


def test_what_sets_pieces_apart() -> None:
    pieces = [
        judged("tender", group=0, number=1, mark="membrane on", juicy=4, taste=3),
        judged("very", group=0, number=2, mark="membrane off", juicy=2, taste=3),
        judged("chewy", group=0, number=3, juicy=4),
        judged(None, group=0, number=4),
    ]
    second, third, fourth = side_by_side(pieces)
    assert second.first == Rated(0, 1, "membrane on")
    assert second.said == (
        Message("apart-texture", {"way": "more", "steps": 1}),
        Message("apart-juicy", {"way": "less", "steps": 2}),
        Message("apart-taste", {"way": "same", "steps": 0}),
    )
    assert third.said[0] == Message("apart-texture", {"way": "less", "steps": 2})
    assert fourth.said == ()
    assert side_by_side(pieces[:1]) == ()


def event(at_s: float, kind: EventKind, **body: object) -> Event:
    return Event(at_s, kind, body)


def up_to(kind: str) -> list[Event]:
    found = [event(0.0, "began")]
    for number, step in enumerate(fold(PLAN, found).steps):
        if step.kind == kind:
            break
        ticks = {"pour": ("liquid_in",), "lid": LID_TICKS}.get(step.step_id, ())
        at = 60.0 * (number + 1)
        found += [event(at, "ticked", step_id=step.step_id, tick=tick) for tick in ticks]
        found.append(event(at, "done", step_id=step.step_id))
    return found


def turn(events: list[Event], now_s: float) -> Turn:
    return turn_of(PLAN, fold(PLAN, events), now_s)


def test_what_needs_hands_comes_first() -> None:
    # common practice: trouble before a ringing timer, that before the next piece of work, and a
    # pot that only needs time last
    heating = [*up_to("set"), event(900, "pot", state="heating")]
    hot = [*heating, event(1000, "pot", state="stopped_hot")]
    ringing = [
        *up_to("sear"),
        event(100, "timer_started", timer_id="t", step_id="sear", title="a side", seconds=60),
    ]
    turns = [
        turn(heating, 1200),
        turn(up_to("write_down"), 1200),
        turn(up_to("season"), 1200),
        turn(ringing, 1200),
        turn(hot, 1200),
    ]
    assert [item.wants for item in turns] == ["time", "notes", "hands", "ear", "help"]
    in_order = sorted(turns, key=lambda item: item.rank)
    assert [item.wants for item in in_order] == ["help", "ear", "hands", "time", "notes"]


def test_time_until_hands_are_wanted_again() -> None:
    browning = [
        *up_to("sear"),
        event(100, "timer_started", timer_id="t", step_id="sear", title="a side", seconds=240),
    ]
    waiting = turn(browning, 160)
    assert (waiting.wants, waiting.due_s) == ("time", 340)
    heard = [*browning, event(341, "timer_rang", timer_id="t")]
    assert turn(heard, 350).wants == "hands"
    held = 60 * PLAN.hold_min
    states = ((900, "heating"), (1800, "holding"))
    holding = [*up_to("set"), *(event(at, "pot", state=state) for at, state in states)]
    # nobody is wanted at the end of the hold: the pressure falls by itself, then the lid is opened
    falls = PLAN.numbers.natural_release_s
    assert turn(holding, 2000).due_s == pytest.approx(1800 + held + falls, abs=60)

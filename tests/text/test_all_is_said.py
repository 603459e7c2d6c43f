"""Whatever the core comes to, there is a sentence for it: every cut, release, rack and way."""

from collections.abc import Iterator
from dataclasses import replace
from typing import Any

import pytest

from pneumachron.core.catalog.cuts import LIQUID_STYLES, RELEASE_METHODS, cuts
from pneumachron.core.catalog.pots import ready_pots
from pneumachron.core.catalog.racks import RACK_KINDS
from pneumachron.core.errors import RequestError
from pneumachron.core.message import Message
from pneumachron.core.planning.finish import FINISHES
from pneumachron.core.planning.load import Load, make_piece
from pneumachron.core.planning.lying import ARRANGEMENT_KINDS, Lying
from pneumachron.core.planning.plan import Plan, make_plan
from pneumachron.core.planning.request import CookRequest
from pneumachron.core.procedure.choices import Ahead, Extra
from pneumachron.core.procedure.cook_plan import cook_plan
from pneumachron.core.procedure.step import Brought
from pneumachron.core.procedure.steps import cook_steps
from pneumachron.core.schedule.blocks import day_blocks
from pneumachron.core.schedule.dish import Dish
from pneumachron.core.schedule.model import Segment, WaitWhy
from pneumachron.core.schedule.schedule import schedule
from pneumachron.core.session.forecast import Alarm, AlarmKind
from pneumachron.text.reader import EVERYBODY, READING, Reader
from pneumachron.text.render import has_message, render
from pneumachron.text.say import say

EXTRAS = (
    Extra("Slaw", 10, "before_pot"),
    Extra("Beans", 4, "own_run"),
    Extra("Lentils", 8, "first_run"),
    Extra("Bread", 3, "beside"),
)


def usual(cut: str) -> Load:
    kind = cuts()[cut]
    thick = sum(kind.usual_thickness_m) / 2
    mass_kg = min(max(14_000 * thick**3, 0.05), 1.2)
    piece = make_piece(kind, mass_kg=mass_kg, thickness_m=thick, start_temp_c=4)
    return Load((piece, piece))


def cook_requests() -> Iterator[CookRequest]:
    pots = ready_pots()
    for cut in cuts():
        base = CookRequest(usual(cut), pots["bass"], 2.0, "short_braise", None, "high", 1150.0)
        yield base
        for release in RELEASE_METHODS:
            yield replace(base, release=release, tenderness_step=4.0)
    flat = CookRequest(usual("brisket_flat"), pots["tenor"], 2.0, "steam", None, "low", 0.0)
    for cut, kg, thick, count in (
        ("brisket_flat", 1.0, 0.045, 1), ("brisket_flat", 1.4, 0.03, 1),
        ("back_ribs", 1.5, 0.025, 1), ("back_ribs", 1.1, 0.025, 2),
    ):  # fmt: skip
        piece = make_piece(cuts()[cut], mass_kg=kg, thickness_m=thick, start_temp_c=4)
        yield replace(flat, load=Load((piece,) * count))
    for liquid_style in LIQUID_STYLES:
        yield replace(flat, liquid_style=liquid_style, foams=True)
    for rack in RACK_KINDS:
        yield replace(flat, rack=rack)
    for cut in ("wings", "back_ribs", "short_ribs_english", "brisket_flat"):
        for way in ARRANGEMENT_KINDS:
            yield replace(flat, load=Load(usual(cut).pieces * 2), lying=Lying(way))


@pytest.fixture(scope="module")
def plans() -> list[Plan]:
    found, refused = [], []
    for cook_request in cook_requests():
        try:
            found.append(make_plan(cook_request))
        except RequestError as error:
            refused.append(error)
    assert all(
        render(f"error-{error.code}", error.params, reader)
        for error in refused
        for reader in EVERYBODY
    )
    assert {plan.setup.arrangement.kind for plan in found} >= set(ARRANGEMENT_KINDS) - {
        "on_bed", "on_end",
    }  # fmt: skip
    return found


def said_by(plan: Plan) -> Iterator[Message]:
    for reason in plan.reasons:
        own = "why" in reason.params
        yield Message(
            "release-why" if own else f"reason-{reason.about}-{reason.fact}", reason.params
        )
    yield from (caution.said for caution in plan.cautions)
    for part in plan.range.parts:
        yield Message(f"reason-range-{part.kind}", {"measured_low_min": 1, "measured_high_min": 2})
    for finish in FINISHES:
        for step in cook_steps(cook_plan(plan, finish), Brought(EXTRAS)):
            yield step.said
            yield Message(f"{step.said.code}.look", step.params)
            yield Message(f"{step.said.code}.wrong", step.params)
            yield from (Message(f"tick-{tick}") for tick in step.ticks)
            yield from (Message(f"timer-{timer.code}", timer.params) for timer in step.timers)


@pytest.fixture(scope="module")
def messages(plans: list[Plan]) -> list[Message]:
    """Each once: many plans say the same."""
    return list({repr(said): said for plan in plans for said in said_by(plan)}.values())


@pytest.mark.parametrize("reader", EVERYBODY, ids=str)
def test_plans_and_steps(reader: Reader, messages: list[Message]) -> None:
    for message in messages:
        assert render(message.code, message.params, reader).strip()


def dishes() -> Iterator[Dish]:
    pots = ready_pots()
    cook_request = CookRequest(
        usual("back_ribs"), pots["tenor"], 2.0, "steam", None, "high", 0.0, tempered=True
    )
    aheads: tuple[Ahead, ...] = ("today", "day_before", "frozen")
    for ahead in aheads:
        for finish in FINISHES:
            yield Dish(f"{ahead}{finish}", "Ribs", cook_request, finish,
                       from_freezer=ahead == "frozen", ahead=ahead, marinade="mild", eaters=1,
                       parted=True, extras=EXTRAS)  # fmt: skip


@pytest.mark.parametrize("reader", EVERYBODY, ids=str)
def test_days(reader: Reader) -> None:
    seen = set()
    for dish in dishes():
        blocks = day_blocks([dish], shop=True)
        parts: list[Segment] = [part for block in blocks for part in block.segments]
        for part in parts:
            assert render(f"do-{part.work or part.kind}", part.params, reader)
            seen.add(part.work or part.kind)
        found = schedule(blocks, fixed={blocks[0].block_id: 0.0})
        for clash in found.clashes:
            assert render(f"conflict-{clash.why}", {"most_s": clash.most_s}, reader)
    assert {"shop", "fetch_frozen", "thaw_bags", "load_side", "finish_grill", "keep"} <= seen
    whys: Any = WaitWhy
    for why in (*whys.__args__, "not_ready", "waits_for_table", "late"):
        assert render(f"conflict-{why}", {"most_s": 3600.0}, reader)


@pytest.mark.parametrize("reader", EVERYBODY, ids=str)
def test_alarms_say_what_to_do(reader: Reader) -> None:
    kinds: Any = AlarmKind
    for kind in kinds.__args__:
        alarm = Alarm(kind, {"left_min": 3, "out_min": 95})
        assert render(alarm.said.code, alarm.params, reader)
        assert has_message(f"{alarm.said.code}.do-1", reader)


def test_who_reads_is_set_for_one_answer() -> None:
    before = READING.set(Reader("en-GB", "us"))
    try:
        assert say("finish-broiler") == "grill"
    finally:
        READING.reset(before)
    assert say("finish-broiler") == "broiler"

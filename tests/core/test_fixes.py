"""The one change that mends a day: against every change scheduled for itself."""

from collections.abc import Sequence

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from pneumachron.core.schedule.constraints import DayLimits, Way
from pneumachron.core.schedule.fixes import (
    MORE_HANDS_BOTHER_S,
    Change,
    Fix,
    best_fixes,
    cost_s,
)
from pneumachron.core.schedule.model import Block, Segment, UnavailableWindow, Wait
from pneumachron.core.schedule.schedule import schedule
from pneumachron.core.schedule.solver import WORK

MINUTE_S = 60.0
PROVES = 20 * WORK
"""Enough for the best of a small day to be proved, whatever is drawn."""


def block(
    name: str, minutes: int, *lanes: str, after: tuple[Wait, ...] = (), to_table_s: float = 0.0
) -> Block:
    length = MINUTE_S * minutes
    return Block(name, name, (Segment(name, length, length, length, lanes),), after, to_table_s)


def dish(name: str, cooks: int, finishes: int, pot: str = "pot:a") -> list[Block]:
    """Cooked in a pot, crisped under the one grill straight after, and served hot."""
    cooked = Block(f"{name}:cook", name, block("", cooks, pot).segments)
    wait = Wait(cooked.block_id, 0.0, 5 * MINUTE_S, "kept_warm")
    return [cooked, block(f"{name}:crisp", finishes, "hands", "oven", after=(wait,),
                          to_table_s=4 * MINUTE_S)]  # fmt: skip


def costs(
    blocks: Sequence[Block], capacity: dict[str, int], closed: Sequence[UnavailableWindow]
) -> float:
    return cost_s(schedule(blocks, DayLimits(capacity, closed), work=PROVES).clashes, 0.0)


dishes_st = st.lists(
    st.tuples(st.integers(10, 60), st.integers(3, 15)), min_size=2, max_size=3
)  # fmt: skip


@given(dishes_st, st.integers(0, 2), st.booleans())
@settings(max_examples=40)
def test_the_best_of_all_changes(
    sizes: list[tuple[int, int]],
    which: int,
    shut: bool,
) -> None:
    wished = [dish(str(number), *size) for number, size in enumerate(sizes)]
    number = min(which, len(sizes) - 1)
    cooks, finishes = sizes[number]
    other = {
        "pot": dish(str(number), cooks, finishes, "pot:b"),
        "quick": dish(str(number), max(cooks - 8, 1), finishes),
        "plain": dish(str(number), cooks, 1),
    }
    closed = [UnavailableWindow("hands", -20 * MINUTE_S, -10 * MINUTE_S)] if shut else []
    now = costs([item for blocks in wished for item in blocks], {}, closed)
    tried: dict[str | None, float] = {
        key: costs(
            [
                item
                for place, blocks in enumerate(wished)
                for item in (changed if place == number else blocks)
            ],
            {},
            closed,
        )
        for key, changed in other.items()
    }
    everything = [item for blocks in wished for item in blocks]
    tried[None] = costs(everything, {"hands": 2}, closed) + MORE_HANDS_BOTHER_S
    found = best_fixes(
        DayLimits({}, closed),
        Way([]),
        [Way(blocks) for blocks in wished],
        [Change(key, number, Way(changed), key) for key, changed in other.items()],
        now_costs_s=now,
        most=4,
        more_hands=True,
        work=PROVES,
    )
    helping = {key: left for key, left in tried.items() if left <= now - 60.0}
    assert {way.key: way.costs_s for way in found} == pytest.approx(helping)
    assert [way.costs_s for way in found] == sorted(way.costs_s for way in found)


def two_pinned(kitchen: DayLimits, *, most: int = 4) -> list[Fix]:
    """Two dishes, the first pinned an hour early; it may move, or go into another pot."""
    first, second = dish("a", 30, 5), dish("b", 20, 5)
    early = {"a:cook": -95 * MINUTE_S}
    changes = [
        Change("moves", 0, Way(first), "moves"),
        Change("pot", 0, Way(dish("a", 30, 5, "pot:b"), early), "pot"),
        Change("other pot", 1, Way(dish("b", 20, 5, "pot:b")), "pot of b"),
    ]
    found = schedule([*first, *second], fixed=early)
    return best_fixes(
        kitchen, Way([]), [Way(first, early), Way(second)], changes,
        now_costs_s=cost_s(found.clashes, 0.0), most=most,
    )  # fmt: skip


def test_what_is_pinned_may_move() -> None:
    best = two_pinned(DayLimits({}))[0]
    assert best.key == "moves"
    # what is left is what the day has with nothing pinned
    alone = schedule([*dish("a", 30, 5), *dish("b", 20, 5)])
    assert best.left_s == pytest.approx(cost_s(alone.clashes, 0.0))


def test_no_more_than_asked_and_none_when_there_is_no_time() -> None:
    assert len(two_pinned(DayLimits({}), most=1)) == 1
    first = dish("a", 30, 5)
    assert best_fixes(DayLimits({}), Way([]), [Way(first)], [Change("x", 0, Way(first), "x")],
                    now_costs_s=600.0, most=4, go_on=lambda: False) == []  # fmt: skip


def test_a_table_that_moves_is_a_delay() -> None:
    """By hand: 35 min of work 20 min before dinner are 15 late; a quicker dish of 25 min, 5."""
    slow, quick = dish("a", 30, 5), dish("a", 20, 5)
    kitchen = DayLimits({}, now_s=-20 * MINUTE_S, table_moves=True)
    found = best_fixes(kitchen, Way([]), [Way(slow)], [Change("quick", 0, Way(quick), "quick")],
                     now_costs_s=15 * MINUTE_S, most=4)  # fmt: skip
    assert [(way.key, way.left_s) for way in found] == [("quick", 5 * MINUTE_S)]


def test_one_of_a_group_is_offered() -> None:
    """Another pot for a dish is offered once, not once a pot."""
    first, second = dish("a", 30, 5), dish("b", 30, 5)
    changes = [Change(pot, 0, Way(dish("a", 30, 5, pot)), "pot") for pot in ("pot:b", "pot:c")]
    now = cost_s(schedule([*first, *second]).clashes, 0.0)
    assert now > 0
    found = best_fixes(DayLimits({}), Way([]), [Way(first), Way(second)], changes,
                     now_costs_s=now, most=4)  # fmt: skip
    assert len(found) == 1


def test_what_spoils_comes_first() -> None:
    """A minute that raw meat waits too long costs more than dinner an hour late."""
    raw = Block("a:raw", "a", block("", 5, "hands").segments)
    wait = Wait("a:raw", 0.0, 10 * MINUTE_S, "raw_pork")
    cook = block("a:cook", 30, "pot:a", after=(wait,))
    stands = {"a:raw": -60 * MINUTE_S, "a:cook": -30 * MINUTE_S}  # 25 min out, 10 are allowed
    later = [raw, block("a:cook", 30, "pot:a", after=(wait,), to_table_s=0.0)]
    sooner = {"a:raw": -60 * MINUTE_S, "a:cook": -48 * MINUTE_S}
    now = cost_s(schedule([raw, cook], fixed=stands).clashes, 0.0)
    changes = [Change("sooner", 0, Way(later, sooner), "sooner")]
    (found,) = best_fixes(DayLimits({}), Way([]), [Way([raw, cook], stands)], changes,
                        now_costs_s=now, most=1)  # fmt: skip
    assert found.left_s == pytest.approx(18 * MINUTE_S)  # it waits for the table instead
    assert found.costs_s < now

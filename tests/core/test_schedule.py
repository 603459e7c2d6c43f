"""Counting back: against exhaustive search on small days, and what must always hold."""

from collections.abc import Sequence
from dataclasses import replace
from itertools import product

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from pneumachron.core.errors import RequestError
from pneumachron.core.planning.batches import batches
from pneumachron.core.planning.parting import parted
from pneumachron.core.planning.plan import make_plan
from pneumachron.core.planning.serving import leftovers
from pneumachron.core.procedure.choices import Ahead, Extra
from pneumachron.core.procedure.step import Step, StepKind
from pneumachron.core.schedule.actuals import Actual, actuals
from pneumachron.core.schedule.blocks import cold_chain, day_blocks, dish_blocks
from pneumachron.core.schedule.constraints import DayLimits
from pneumachron.core.schedule.dish import Dish
from pneumachron.core.schedule.model import (
    Block,
    Schedule,
    Segment,
    UnavailableWindow,
    Wait,
    lasting,
)
from pneumachron.core.schedule.prep import SHOP_ID
from pneumachron.core.schedule.schedule import schedule
from tests.core.kitchen import LB_KG, cook_request, load

LANES = ("hands", "pot:a", "oven")


def block(name: str, minutes: int, *lanes: str, after: tuple[Wait, ...] = ()) -> Block:
    return Block(name, name, (Segment(name, minutes, minutes, minutes, lanes),), after)


def latest_start_by_search(blocks: Sequence[Block]) -> float:
    """Every way to place whole minutes, later starts first. Exhaustive, independent of ours."""
    total = int(sum(item.duration_s for item in blocks))
    followers = {
        item.block_id: [
            other for other in blocks for wait in other.after if wait.block_id == item.block_id
        ]
        for item in blocks
    }
    order: list[Block] = []
    while len(order) < len(blocks):  # followers first
        order += [
            item for item in blocks
            if item not in order and all(other in order for other in followers[item.block_id])
        ]  # fmt: skip
    best = -total - 1

    def place(index: int, starts: dict[str, int]) -> None:
        nonlocal best
        if index == len(order):
            best = max(best, min(starts.values()))
            return
        item = order[index]
        length = int(item.duration_s)
        end = min([0, *(starts[other.block_id] for other in followers[item.block_id])])
        for start in range(end - length, best, -1):
            clash = any(
                set(item.segments[0].lanes) & set(other.segments[0].lanes)
                and start < starts[other.block_id] + other.duration_s
                and starts[other.block_id] < start + length
                for other in order[:index]
            )
            if not clash:
                place(index + 1, starts | {item.block_id: start})

    place(0, {})
    return best


@st.composite
def small_days(draw: st.DrawFn) -> list[Block]:
    count = draw(st.integers(2, 7))
    found: list[Block] = []
    for index in range(count):
        lanes = draw(st.lists(st.sampled_from(LANES), max_size=2, unique=True))
        before = draw(st.lists(st.integers(0, max(index - 1, 0)), max_size=2, unique=True))
        after = tuple(Wait(f"t{number}") for number in before if number < index)
        found.append(block(f"t{index}", draw(st.integers(1, 4)), *lanes, after=after))
    return found


@given(small_days())
@settings(max_examples=120)
def test_as_late_as_exhaustive_search(blocks: list[Block]) -> None:
    # closed form: nothing starts later than the best of all placements of whole minutes
    assert schedule(blocks).start_s == latest_start_by_search(blocks)


def test_seven_tasks_on_three_lanes() -> None:
    chain = [
        block("a", 3, "hands"), block("b", 4, "pot:a", after=(Wait("a"),)),
        block("c", 2, "hands", "oven", after=(Wait("b"),)), block("d", 3, "hands"),
        block("e", 5, "pot:a", after=(Wait("d"),)), block("f", 2, "oven", after=(Wait("e"),)),
        block("g", 1, "hands", after=(Wait("f"),)),
    ]  # fmt: skip
    assert schedule(chain).start_s == latest_start_by_search(chain)


def full(found: Schedule, capacity: dict[str, int]) -> list[str]:
    """Lanes that are taken by more than they hold."""
    stretches: list[tuple[float, float, str]] = []
    for item in found.placed:
        begin = item.start_s
        for segment in item.block.segments:
            stretches += [(begin, begin + segment.likely_s, lane) for lane in segment.lanes]
            begin += segment.likely_s
    return [
        lane
        for begin, end, lane in stretches
        if lane not in {"fridge", "in_passing"}
        and sum(lane == other and a < end - 0.01 and begin + 0.01 < b and a <= begin < b
                for a, b, other in stretches) > capacity.get(lane, 1)
    ]  # fmt: skip


DISHES = (
    Dish("a", "Brisket", cook_request(load("brisket_flat", 1.4, 0.045, 2))),
    Dish("b", "Ribs", cook_request(load("back_ribs", 2.2, 0.028, 2), pot="bass", release=None)),
    Dish("c", "Shoulder", cook_request(load("shoulder_boneless", 1.8, 0.07, 2), texture="falls"),
         ahead="day_before"),
    Dish("d", "Short ribs", cook_request(load("short_ribs_english", 1.4, 0.045, 12)),
         from_freezer=True),
    Dish("e", "Wings", cook_request(load("wings", 0.6, 0.025, 10), pot="treble", release=None)),
)  # fmt: skip


@given(st.lists(st.integers(0, 4), min_size=1, max_size=3, unique=True), st.integers(1, 2))
@settings(max_examples=25)
def test_what_always_holds(picked: list[int], cooks: int) -> None:
    chosen = [DISHES[index] for index in picked]
    blocks = [item for dish in chosen for item in dish_blocks(dish)]
    capacity = {"hands": cooks}
    found = schedule(blocks, DayLimits(capacity))
    assert full(found, capacity) == []
    starts = {item.block.block_id: item.start_s for item in found.placed}
    ends = {item.block.block_id: item.end_s for item in found.placed}
    for item in blocks:
        for wait in item.after:  # nothing before what it needs
            assert starts[item.block_id] >= ends[wait.block_id] + wait.least_s - 0.01
        if not item.after_table:  # the table is met
            assert ends[item.block_id] <= 0.01


def test_one_dish_stands_in_the_order_of_work() -> None:
    found = schedule(dish_blocks(DISHES[0]))
    kinds = [segment.kind for item in found.placed for segment in item.block.segments]
    run = ["season", "sear", "deglaze", "pour", "load", "lid_check", "set", "come_up", "hold",
           "slack", "natural_release", "open", "judge"]  # fmt: skip
    assert kinds[: len(run)] == run  # common practice: the order of the work
    assert kinds[-2:] == ["carve", "keep"]
    assert found.clashes == ()
    # common practice: an hour and a half under pressure is some three hours and a half of work
    assert -4.5 * 3600 < found.start_s < -2.5 * 3600


def test_thaw_and_the_day_before() -> None:
    thawed = {item.block_id: item for item in dish_blocks(DISHES[3])}
    # common practice: half a day at least in the refrigerator
    assert thawed["d:thaw"].duration_s >= 12 * 3600
    found = schedule(dish_blocks(DISHES[2]))
    ends = {item.block.block_id: item.end_s for item in found.placed}
    starts = {item.block.block_id: item.start_s for item in found.placed}
    # common practice: chilled overnight; never cooled in the pot
    cool = next(item.block for item in found.placed if item.block.block_id == "c:cool")
    chill = next(part for part in cool.segments if part.kind == "chill")
    assert starts["c:reheat"] - (ends["c:cool"] - chill.likely_s) >= 8 * 3600
    assert not any(lane.startswith("pot") for segment in cool.segments for lane in segment.lanes)
    assert starts["c:cool"] - ends["c:run0"] <= 1800  # cooling begins at once


def test_frozen_in_portions_and_the_pressure_along_the_day() -> None:
    blocks = dish_blocks(replace(DISHES[2], ahead="frozen"))
    found = {item.block.block_id: item for item in schedule(blocks).placed}
    # common practice: a night in the freezer at least, thawed in the refrigerator
    gap = found["c:thaw_cooked"].start_s - found["c:freeze"].end_s
    assert gap >= 12 * 3600 - 1
    assert found["c:reheat"].start_s >= found["c:thaw_cooked"].end_s - 1
    run = found["c:run0"].block
    times = [point[0] for point in run.gauge]
    assert times == sorted(times)
    assert times[-1] <= run.duration_s + 1
    hold = next(part for part in run.segments if part.kind == "hold")
    begin = sum(part.likely_s for part in run.segments[: run.segments.index(hold)])
    middle = begin + hold.likely_s / 2
    held = [pressure for at, pressure in run.gauge if abs(at - middle) < hold.likely_s / 4]
    assert held == pytest.approx([75e3] * len(held), rel=0.02)  # common practice: high is 75 kPa


def test_two_dishes_in_one_pot_clash_and_a_second_pot_helps() -> None:
    one = [
        replace(dish, request=replace(dish.request, pot=DISHES[0].request.pot))
        for dish in DISHES[:2]
    ]
    tight = schedule([item for dish in one for item in dish_blocks(dish)])
    free = schedule([item for dish in DISHES[:2] for item in dish_blocks(dish)])
    assert sum(clash.over_s for clash in free.clashes) == 0
    assert tight.start_s < free.start_s
    assert all(clash.why and clash.over_s > 0 for clash in tight.clashes)


def test_what_stands_is_not_moved() -> None:
    blocks = dish_blocks(DISHES[0])
    plain = {item.block.block_id: item.start_s for item in schedule(blocks).placed}
    fixed = {"a:season": plain["a:season"] - 7200.0, "a:run0": plain["a:run0"] - 600.0}
    found = {item.block.block_id: item.start_s for item in schedule(blocks, fixed=fixed).placed}
    for name, start in fixed.items():
        assert found[name] == start
    late = schedule(blocks, fixed={"a:run0": plain["a:run0"] + 3600.0})
    assert any(clash.why in {"not_ready", "late"} for clash in late.clashes)


def test_bounds() -> None:
    assert schedule([]).placed == ()
    with pytest.raises(RequestError, match="too_many_tasks"):
        schedule([block(f"t{number}", 1) for number in range(121)])
    with pytest.raises(RequestError, match="same_task"):
        schedule([block("a", 1), block("a", 2)])
    with pytest.raises(RequestError, match="circle"):
        schedule([block("a", 1, after=(Wait("b"),)), block("b", 1, after=(Wait("a"),))])


def test_batches_follow_each_other_and_the_pot_is_still_hot() -> None:
    big = Dish(
        "x",
        "Feast",
        cook_request(load("back_ribs", 4.0, 0.026, 4), liquid_style="steam", release=None),
    )
    runs = [item for item in dish_blocks(big) if ":run" in item.block_id]
    assert len(runs) == 2
    ups = [segment.likely_s for item in runs for segment in item.segments
           if segment.kind == "come_up"]  # fmt: skip
    assert ups[1] < ups[0]
    for first, second in product(runs[:1], runs[1:]):
        assert second.after[-1].block_id == first.block_id


def test_marinade_leftovers_and_the_cold_chain() -> None:
    plain = DISHES[0]
    dish = replace(plain, marinade="mild", eaters=2)
    blocks = {item.block_id: item for item in dish_blocks(dish)}
    found = schedule(tuple(blocks.values()))
    starts = {item.block.block_id: item.start_s for item in found.placed}
    ends = {item.block.block_id: item.end_s for item in found.placed}
    # common practice: six hours and more for thick beef, in the refrigerator
    assert starts["a:run0"] - ends["a:season"] >= 6 * 3600 - 1
    assert blocks["a:marinate"].segments[0].lanes == ("fridge",)
    # common practice: a plate is 150 g, a portion 300 g with 50–100 ml of juice a kilo
    plans = [make_plan(dish.request)]
    served = sum(plans[0].serving.served_kg) / 2
    kept = leftovers(served, dish.eaters)
    assert kept.mass_kg == pytest.approx(served - 0.3)
    assert kept.portions * 0.3 == pytest.approx(kept.mass_kg, abs=0.3)
    assert 50e-6 <= kept.juice_m3 / kept.mass_kg <= 100e-6
    assert blocks["a:keep"].segments[0].params["portions"] == kept.portions
    assert leftovers(served, plain.eaters).portions == 0
    # published: two hours between 4 and 60 °C at most (USDA, from memory)
    chain = cold_chain(plans[0])
    assert chain.safe
    assert 1800 < chain.out_s < 7200
    thick = cold_chain(make_plan(cook_request(load("shoulder_boneless", 3.4, 0.115, 1))))
    assert thick.out_s > chain.out_s


def at(found: Schedule) -> dict[str, tuple[float, float]]:
    return {item.block.block_id: (item.start_s, item.end_s) for item in found.placed}


def test_nobody_works_at_night() -> None:
    night = UnavailableWindow("hands", -12 * 3600.0, -3 * 3600.0)
    blocks = [block("mix", 3600, "hands"), block("cook", 4 * 3600, "pot:a", after=(Wait("mix"),))]
    # closed form: the pot may run through the night, the hands end where it begins
    found = at(schedule(blocks, DayLimits(closed=[night])))
    assert found["cook"] == (-4 * 3600.0, 0.0)
    assert found["mix"] == (-13 * 3600.0, -12 * 3600.0)
    # two cooks are both asleep
    assert at(schedule(blocks, DayLimits({"hands": 2}, [night])))["mix"] == found["mix"]
    for item in schedule(dish_blocks(DISHES[3]), DayLimits(closed=[night])).placed:
        begin = item.start_s
        for part in item.block.segments:
            if "hands" in part.lanes:
                assert begin >= night.end_s - 0.01 or begin + part.likely_s <= night.begin_s + 0.01
            begin += part.likely_s


def test_one_trip_to_the_shop_before_everything_that_is_fresh() -> None:
    blocks = day_blocks(DISHES, shop=True)
    found = at(schedule(blocks, DayLimits({"hands": 2})))
    for dish in DISHES:
        if dish.from_freezer:
            continue  # it lies in the freezer already
        own = [start for name, (start, _) in found.items() if name[0] == dish.dish_id]
        assert min(own) >= found[SHOP_ID][1] - 0.01
    keeps = {wait.most_s for item in blocks for wait in item.after if wait.block_id == SHOP_ID}
    # published: raw poultry 1–2 days, whole cuts of beef and pork 3–5 (USDA, from memory)
    assert keeps == {86_400.0, 3 * 86_400.0}
    assert day_blocks(DISHES[:1])[0].block_id == "a:season"


def test_what_took_longer_pushes_what_follows() -> None:
    blocks = dish_blocks(DISHES[0])
    run = next(item for item in blocks if item.block_id == "a:run0")
    late = lasting(run, run.duration_s + 1800.0)
    assert late.duration_s == pytest.approx(run.duration_s + 1800.0)
    assert late.gauge[-1][0] <= late.duration_s + 1
    plain = at(schedule(blocks))
    start = plain["a:run0"][0]
    moved = at(schedule([late if item is run else item for item in blocks],
                        fixed={"a:run0": start}))  # fmt: skip
    assert moved["a:run0"][0] == start
    # a schedule is of whole seconds
    assert moved["a:run0"][1] == pytest.approx(plain["a:run0"][1] + 1800.0, abs=1.0)


def test_tempered_meat_goes_from_the_counter_into_the_pot() -> None:
    found = at(
        schedule(dish_blocks(replace(DISHES[0], request=replace(DISHES[0].request, tempered=True))))
    )
    # common practice: half an hour to an hour on the counter; published: two hours in all (USDA,
    # from memory)
    out, into = found["a:temper"], found["a:run0"]
    assert 1800 <= out[1] - out[0] <= 2 * 3600
    assert 0 <= into[0] - out[1] <= 600
    cold, warm = (
        cold_chain(make_plan(replace(DISHES[0].request, tempered=tempered)))
        for tempered in (False, True)
    )
    assert warm.out_s == cold.out_s + 3600


def test_leftovers_in_bags_meet_the_food_code() -> None:
    # published: 57 to 21 °C within 2 h, to 5 °C within 6 h in all (FDA Food Code 3-501.14)
    found = cold_chain(make_plan(DISHES[0].request)).leftovers
    assert found.safe == (found.to_first_s <= 7200 and found.to_last_s <= 6 * 3600)


def test_a_side_in_a_run_of_its_own_and_a_recipes_own_work() -> None:
    extras = (
        Extra("potatoes", 8.0, "own_run"),
        Extra("a paste of spices", 12.0, "before_pot"),
        Extra("a slaw", 20.0, "beside"),
        Extra("soak the ribs", 60.0, "before_rub"),
        Extra("bake it under mash", 25.0, "at_table"),
    )
    dish = replace(DISHES[0], extras=extras)
    blocks = dish_blocks(dish)
    found = schedule(blocks)
    where = at(found)
    assert full(found, {}) == []
    assert where["a:side0"][0] >= where["a:run0"][1] - 0.01  # the same pot, once the meat is out
    assert where["a:side0"][1] <= 0.01
    assert where["a:extra1"][1] <= where["a:run0"][0] + 0.01
    assert where["a:extra2"][1] <= 0.01
    assert where["a:extra3"][1] <= where["a:season"][0] + 0.01
    assert where["a:carve"][1] <= where["a:extra4"][0] + 0.01
    assert where["a:extra4"][1] <= 0.01
    shopped = at(schedule(day_blocks([dish], shop=True)))
    assert shopped["*:shop"][1] <= shopped["a:extra3"][0] + 0.01
    side = next(item for item in blocks if item.block_id == "a:side0")
    hold = next(part for part in side.segments if part.kind == "hold")
    assert hold.likely_s == 480.0


def test_pulses_have_the_cooker_before_the_meat() -> None:
    """Common practice: they are set aside, and go into the sauce of the meat."""
    dish = replace(DISHES[0], extras=(Extra("white beans", 12.0, "first_run"),))
    blocks = dish_blocks(dish)
    found = schedule(blocks)
    where = at(found)
    assert full(found, {}) == []
    assert 0 <= where["a:run0"][0] - where["a:side0"][1] + 0.01 <= 1800.02
    down = next(item.segments[-1] for item in blocks if item.block_id == "a:side0")
    assert (down.work, "hands" in down.lanes) == ("pulses_down", False)  # they foam: never vented


@pytest.mark.parametrize("ahead", ["today", "day_before"])
def test_crackling_is_still_crisp_at_the_table(ahead: Ahead) -> None:
    """Common practice: the rind is taken off raw, roasted at 220 °C in 25 to 45 min, keeps 1 h."""
    shoulder = cook_request(load("shoulder_boneless", 1.4, 0.08, 1))
    dish = Dish("a", "Shoulder", shoulder, finish="broiler", ahead=ahead, crackling=True)
    blocks = dish_blocks(dish)
    found = schedule(blocks)
    where = at(found)
    assert full(found, {}) == []  # the oven is not wanted twice at a time
    season = next(item for item in blocks if item.block_id == "a:season")
    assert season.segments[0].work == "rind_off"
    hot, roast = where["a:heat_rind"], where["a:crackling"]
    assert roast[0] - hot[0] >= 1200.0 - 0.01
    assert 25 * 60 <= roast[1] - roast[0] <= 45 * 60
    assert -3600.0 - 0.01 <= roast[1] <= 0.01
    without = dish_blocks(replace(dish, crackling=False))
    assert {item.block_id for item in blocks} - {item.block_id for item in without} == {
        "a:heat_rind", "a:crackling",
    }  # fmt: skip


def test_a_whole_brisket_is_parted_and_runs_hold_one_kind() -> None:
    # common practice: a 13 lb whole brisket parts into a flat of about half; half a flat fills a
    # six-quart pot
    whole = cook_request(load("brisket_whole", 13 * LB_KG, 0.065, 1))
    with pytest.raises(RequestError):
        batches(whole)
    apart = parted(whole)
    assert apart.load.mass_kg == pytest.approx(13 * LB_KG)
    flat = [item for item in apart.load.pieces if item.cut.cut_id == "brisket_flat"]
    assert sum(item.mass_kg for item in flat) == pytest.approx(6.5 * LB_KG)
    assert all(item.thickness_guessed for item in apart.load.pieces)
    runs = batches(apart)
    assert len(runs) >= 2
    for run in runs:
        assert len({item.cut.cut_id for item in run.load.pieces}) == 1
    assert sum(run.load.mass_kg for run in runs) == pytest.approx(13 * LB_KG)
    found = schedule(dish_blocks(Dish("w", "Feast", apart, parted=True)))
    kinds = [part.kind for item in found.placed for part in item.block.segments]
    assert kinds[0] == "part"
    assert kinds.count("hold") == len(runs)
    with pytest.raises(RequestError, match="not_whole"):
        parted(DISHES[0].request)


def least_by_search(blocks: Sequence[Block], most: int) -> tuple[float, float]:
    """Least conflict, and the latest start with it: every placement on a grid of ten seconds.

    Exhaustive, independent of ours.
    """
    lengths = [int(item.duration_s) // 10 for item in blocks]
    index = {item.block_id: number for number, item in enumerate(blocks)}
    best = (float("inf"), 0.0)
    for starts in product(range(-most, 0), repeat=len(blocks)):
        ends = [start + length for start, length in zip(starts, lengths, strict=True)]
        if max(ends) > 0:
            continue
        over, fits = 0, True
        for number, item in enumerate(blocks):
            for wait in item.after:
                gap = starts[number] - ends[index[wait.block_id]]
                fits = fits and gap >= 0
                over += max(0, gap - int(min(wait.most_s, 1000)) // 10)
            for other in range(number):
                shared = set(item.segments[0].lanes) & set(blocks[other].segments[0].lanes)
                apart = ends[other] <= starts[number] or ends[number] <= starts[other]
                fits = fits and (apart or not shared)
        if fits:
            best = min(best, (10.0 * over, -10.0 * min(starts)))
    return best


@st.composite
def days_that_wait(draw: st.DrawFn) -> list[Block]:
    found: list[Block] = []
    for index in range(draw(st.integers(2, 4))):
        lanes = draw(st.lists(st.sampled_from(LANES[:2]), min_size=1, max_size=2, unique=True))
        before = draw(st.lists(st.integers(0, max(index - 1, 0)), max_size=1))
        after = tuple(
            Wait(f"t{number}", most_s=10.0 * draw(st.integers(0, 2)), why="crust")
            for number in before
            if number < index
        )
        found.append(block(f"t{index}", 10 * draw(st.integers(1, 3)), *lanes, after=after))
    return found


@given(days_that_wait())
@settings(max_examples=25)
def test_the_least_conflict_and_then_the_latest_start(blocks: list[Block]) -> None:
    found = schedule(blocks)
    over_s = sum(clash.over_s for clash in found.clashes)
    assert (over_s, -found.start_s) == least_by_search(blocks, 12)


def test_what_is_crisp_does_not_wait_although_it_could_be_later() -> None:
    """Placed as late as it can be, the crust would wait for a quarter of an hour longer than it
    may; common practice: what is crisp is served at once, so it goes with its cooker."""
    chain = [
        block("braise", 60, "pot:a"),
        block("crisp", 20, "oven", after=(Wait("braise", most_s=10.0, why="crust"),)),
    ]
    found = schedule(chain, DayLimits(closed=[UnavailableWindow("pot:a", -50.0, 0.0)]))
    assert found.clashes == ()
    assert at(found) == {"braise": (-110.0, -50.0), "crisp": (-40.0, -20.0)}


def test_the_same_day_comes_out_twice_the_same() -> None:
    blocks = [item for dish in DISHES for item in dish_blocks(dish)]
    first, second = schedule(blocks), schedule(blocks)
    assert at(first) == at(second)
    assert full(first, {}) == []


def test_a_search_that_is_ended_still_gives_a_day() -> None:
    blocks = [item for dish in DISHES[:3] for item in dish_blocks(dish)]
    found = schedule(blocks, go_on=lambda: False)
    assert full(found, {}) == []
    assert len(found.placed) == len(blocks)
    best = schedule(blocks)
    assert sum(clash.over_s for clash in best.clashes) <= sum(c.over_s for c in found.clashes)


def test_two_things_pinned_to_one_time_are_not_moved() -> None:
    blocks = [block("a", 100, "hands"), block("b", 100, "hands"), block("c", 100, "hands")]
    found = at(schedule(blocks, fixed={"a": -100.5, "b": -100.5}))
    assert (found["a"][0], found["b"][0]) == (-100.5, -100.5)
    assert found["c"][1] <= -100.5


def test_what_spoils_is_late_last() -> None:
    """One pair of hands, and two things that cannot both follow at once: a crust goes soft rather
    than cooked meat stand on the counter (USDA FSIS: two hours; from memory)."""
    late = [
        block("braise", 100, "pot:a"),
        block("cool", 50, "hands", after=(Wait("braise", most_s=0.0, why="cool_soon"),)),
        block("crisp", 10, "hands", after=(Wait("braise", most_s=0.0, why="crust"),)),
    ]
    found = schedule(late)
    assert [clash.why for clash in found.clashes] == ["crust"]
    assert found.is_safe
    pinned = schedule(late, fixed={"crisp": -10.0, "cool": -80.0, "braise": -200.0})
    assert not pinned.is_safe


def test_a_day_of_five_dishes_is_proved_and_an_over_full_one_says_that_it_is_not() -> None:
    """Five dishes and two cooks: the least conflict is proved. Eight dishes for one cook are not,
    and nobody is told that they are."""
    blocks = [item for dish in DISHES for item in dish_blocks(dish)]
    assert schedule(blocks, DayLimits({"hands": 2})).proved
    many = [replace(DISHES[i % 5], dish_id=f"d{i}", title=f"d{i}") for i in range(8)]
    crowded = schedule([item for dish in many for item in dish_blocks(dish)])
    assert crowded.clashes
    assert not crowded.proved


# what a cook under way tells its day


def test_a_run_ends_with_the_look_at_its_meat_and_later_batches_are_blocks() -> None:
    steps = (step_of("season"), step_of("judge"), step_of("batch", "next2"),
             step_of("judge", "judge@2"), step_of("carve"))  # fmt: skip
    done = {"season": 300.0, "judge": 1800.0, "next2": 2100.0, "judge@2": 3300.0}
    told = {item.block: item for item in actuals(steps, done, 0.0, {})}
    assert told["season"] == Actual("season", 0.0, 300.0)
    assert told["run0"] == Actual("run0", 300.0, 1800.0)
    assert told["run1"].end_s == 3300.0
    assert "carve" not in told


def test_what_goes_on_or_is_put_back_is_one_run() -> None:
    goes_on = (step_of("season"), step_of("judge"), step_of("batch", "out2"),
               step_of("judge", "judge@2"))  # fmt: skip
    done = {"season": 300.0, "judge": 1800.0, "out2": 2100.0, "judge@2": 3300.0}
    told = {item.block: item for item in actuals(goes_on, done, 0.0, {})}
    assert told["run0"].end_s == 3300.0
    assert "run1" not in told
    back = (step_of("season"), step_of("judge"), step_of("judge", "judge#2"))
    told = {item.block: item for item in actuals(back, {"season": 300.0, "judge": 1800.0}, 0.0,
                                                 {"judge#2": 3000.0})}  # fmt: skip
    # the end that can be seen by now: a late come-up moves the day
    assert told["run0"] == Actual("run0", 300.0, 3000.0, is_seen=True)


def test_work_of_its_own_begins_its_minutes_before_it_ended() -> None:
    steps = (step_of("season"), step_of("preheat"), step_of("extra", "extra0"))
    told = {item.block: item for item in
            actuals(steps, {"preheat": 900.0, "extra0": 20.0}, 0.0, {})}  # fmt: skip
    assert told["preheat"] == Actual("preheat", 840.0, 900.0)
    # never before the cook began
    assert told["extra0"] == Actual("extra0", 0.0, 20.0)


def step_of(kind: StepKind, step_id: str = "") -> Step:
    return Step(step_id or kind, kind, 60.0)

"""Beside the pot: steps in the order of work, the sheet, the forecast, and what goes wrong."""

from collections.abc import Sequence
from dataclasses import replace

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from pneumachron.core.planning.plan import make_plan
from pneumachron.core.procedure.choices import Extra
from pneumachron.core.procedure.cook_plan import cook_plan
from pneumachron.core.procedure.step import Brought, Step
from pneumachron.core.procedure.steps import cook_steps
from pneumachron.core.procedure.under_pressure import LID_TICKS
from pneumachron.core.session.danger_zone import out_since_s, was_out_too_long
from pneumachron.core.session.events import Event, EventKind, SheetError
from pneumachron.core.session.forecast import alarms, forecast, heat_ratio
from pneumachron.core.session.sheet import Sheet, after, check, fold
from tests.core.kitchen import cook_request, load

FLAT = make_plan(cook_request(load("brisket_flat", 1.4, 0.045, 2)))
PLAN = cook_plan(FLAT)
BARE, BROILED = cook_plan(FLAT, "none"), cook_plan(FLAT, "broiler")
FULL = cook_plan(
    make_plan(
        replace(
            cook_request(load("back_ribs", 2.2, 0.028, 2), pot="bass", liquid_style="bath"),
            release="quick",
        )
    )
)


def event(at_s: float, kind: EventKind, **body: object) -> Event:
    return Event(at_s, kind, body)


def done(at_s: float, step_id: str) -> list[Event]:
    """A step with all its ticks."""
    ticks = {"pour": ("liquid_in",), "lid": LID_TICKS}.get(step_id.partition("#")[0], ())
    confirmed = [event(at_s, "ticked", step_id=step_id, tick=tick) for tick in ticks]
    return [*confirmed, event(at_s, "done", step_id=step_id)]


def up_to(kind: str, *, every_s: float = 60.0) -> list[Event]:
    """All steps before a kind, done in turn."""
    found = [event(0.0, "began")]
    for number, step in enumerate(fold(PLAN, found).steps):
        if step.kind == kind:
            return found
        found += done(every_s * (number + 1), step.step_id)
    return found


def test_steps_stand_in_the_order_of_work() -> None:
    # common practice: the order of the work
    kinds = [step.kind for step in fold(BARE, []).steps]
    assert kinds == [
        "season", "sear", "deglaze", "pour", "load", "lid", "set", "come_up", "hold", "release",
        "open", "judge", "rest", "skim", "sauce", "carve", "keep", "write_down",
    ]  # fmt: skip
    steps = {step.kind: step for step in fold(BROILED, []).steps}
    assert steps["set"].params["hold_min"] == PLAN.hold_min
    # common practice: the second side has a timer of its own, and the crust is looked at half way
    assert [timer.code for timer in steps["sear"].timers[:2]] == ["sear_first", "sear_second"]
    look, crust = steps["finish"].timers
    assert look.seconds < crust.seconds
    for step in steps.values():
        assert step.likely_s > 0
        assert step.hands or step.kind in {"come_up", "hold", "release", "rest", "sauce"}
    ribs = cook_plan(
        make_plan(cook_request(load("back_ribs", 2.0, 0.028, 2), pot="bass", release="timed"))
    )
    assert "sear" not in {step.kind for step in fold(ribs, []).steps}  # racks are not


def test_nothing_is_done_unconfirmed() -> None:
    begun = up_to("pour")
    sheet = fold(PLAN, begun)
    with pytest.raises(SheetError, match="not_confirmed"):
        check(sheet, event(500, "done", step_id="pour"))
    ticked = fold(PLAN, [*begun, event(500, "ticked", step_id="pour", tick="liquid_in")])
    check(ticked, event(501, "done", step_id="pour"))
    with pytest.raises(SheetError, match="not_confirmed"):
        check(ticked, event(501, "done", step_id="lid"))
    for wrong in (
        event(1, "done", step_id="dance"),
        event(1, "ticked", step_id="pour", tick="a song"),
        event(1, "timer_moved", timer_id="none", by_s=60),
    ):
        with pytest.raises(SheetError):
            check(ticked, wrong)
    over = fold(PLAN, [*begun, event(600, "ended")])
    with pytest.raises(SheetError, match="ended"):
        check(over, event(601, "done", step_id="season"))
    check(over, event(601, "note", text="still good"))


def test_a_step_is_done_once_and_can_be_taken_back() -> None:
    events = [event(0, "began"), *done(60, "season"), *done(90, "season")]
    assert fold(PLAN, events).done_s["season"] == 60
    back = fold(PLAN, [*events, event(100, "undone", step_id="season")])
    assert back.current is not None
    assert back.current.kind == "season"


def test_timers_ring_once_and_move() -> None:
    start = event(
        10, "timer_started", timer_id="a", step_id="sear", title="first side", seconds=120
    )
    moved = event(20, "timer_moved", timer_id="a", by_s=30)
    rang = event(170, "timer_rang", timer_id="a")
    sheet = fold(PLAN, [start, moved, rang, event(180, "timer_rang", timer_id="a")])
    timer = sheet.timers[0]
    assert (timer.due_s, timer.rang_s) == (160, 170)
    assert timer.left_s(100) == 60
    longer = fold(PLAN, [start, moved, rang, event(175, "timer_moved", timer_id="a", by_s=60)])
    assert longer.timers[0].rang_s is None  # it rings again
    early = fold(PLAN, [start, event(50, "timer_moved", timer_id="a", by_s=-500)])
    assert early.timers[0].due_s == 50  # never in the past
    assert fold(PLAN, [start, event(50, "timer_stopped", timer_id="a")]).timers == ()


def pot(at_s: float, state: str) -> Event:
    return event(at_s, "pot", state=state)


def run_of_the_pot(start_s: float, up_s: float, hold_s: float, fall_s: float) -> list[Event]:
    states = ("heating", "under_pressure", "holding", "falling", "shut")
    times = (0.0, up_s - 30, up_s, up_s + hold_s, up_s + hold_s + fall_s)
    return [pot(start_s + time, state) for time, state in zip(times, states, strict=True)]


def test_a_connected_pot_does_its_own_steps() -> None:
    held = 60 * PLAN.hold_min
    sheet = fold(PLAN, [*up_to("set"), *run_of_the_pot(1000, 900, held, 800)])
    marks = sheet.marks[0]
    assert (marks.started_s, marks.pressure_s, marks.over_s) == (1000, 1900, 1900 + held)
    assert marks.down_s == 2700 + held
    assert sheet.current is not None
    assert sheet.current.kind == "open"
    # falling without a hold is a stop, not the end of one
    broken = fold(PLAN, [*up_to("set"), pot(1000, "heating"), pot(1300, "stopped_hot"),
                               pot(1400, "falling"), pot(1500, "shut")])  # fmt: skip
    assert broken.current is not None
    assert broken.current.kind == "come_up"
    assert broken.marks[0].stopped_hot_s == 1300


def test_a_power_cut_in_the_hold_is_not_its_end() -> None:
    held = 60 * PLAN.hold_min
    cut = [*up_to("set"), *run_of_the_pot(1000, 900, held / 2, 800)]
    sheet = fold(PLAN, cut)
    assert sheet.current_is("hold")
    assert sheet.marks[0].stopped_s == 1900 + held / 2
    assert sheet.marks[0].over_s is None
    assert [alarm.kind for alarm in alarms(PLAN, sheet, 5000)] == ["stopped_early"]
    # set again for what is missing: the word is over while it heats, and its end is the end
    again = [*cut, *run_of_the_pot(9000, 200, held / 3, 800)]
    assert alarms(PLAN, fold(PLAN, again[:-3]), 9200) == ()
    finished = fold(PLAN, again)
    assert finished.current_is("open")
    assert finished.marks[0].over_s == 9200 + held / 3
    # stopped on purpose: somebody says that the minutes are over
    assert fold(PLAN, [*cut, *done(6000, "hold")]).current_is("release")
    # a pot that counts a minute less than was set is not early
    short = fold(PLAN, [*up_to("set"), *run_of_the_pot(1000, 900, held - 60, 800)])
    assert short.current_is("open")


BROUGHT = Brought(
    (
        Extra("Toast the spices", 10, "before_pot"),
        Extra("Cut the slaw", 15, "beside"),
        Extra("Beans", 8, "own_run"),
    ),
    sauce="none",
)


def test_what_recipe_and_day_bring_along_has_its_place() -> None:
    # common practice: what the pot waits for first, cold work while it heats, a side's own run
    # while the meat rests
    soaked = Extra("Soak the ribs", 60, "before_rub")
    plated = Extra("Serve over the mash", 3, "at_table")
    brought = replace(BROUGHT, work=(*BROUGHT.work, soaked, plated))
    kinds = [step.step_id for step in fold(BARE, [], brought).steps]
    assert kinds == [
        "extra3", "season", "extra0", "sear", "deglaze", "pour", "load", "lid", "set", "extra1",
        "come_up", "hold", "release", "open", "judge", "rest", "side2load",
        "side2lid", "side2up", "side2hold", "side2", "carve", "extra4", "keep", "write_down",
    ]  # fmt: skip


def test_pulled_meat_is_crisped_in_the_order_of_its_recipe() -> None:
    """Common practice: carnitas are pulled and spread out first, a barked shoulder is not."""
    shoulder = cook_request(load("shoulder_boneless", 1.5, 0.08, 1), texture="falls")
    plan = cook_plan(make_plan(shoulder), "broiler")
    first = [step.step_id for step in cook_steps(plan, Brought(pulled_first=True))]
    assert first[first.index("pull") :] == ["pull", "finish", "carve", "keep", "write_down"]
    whole = [step.step_id for step in cook_steps(plan)]
    assert (whole.index("finish") < whole.index("carve"), "pull" in whole) == (True, False)
    no_crust = cook_plan(make_plan(shoulder), "none")
    assert cook_steps(no_crust, Brought(pulled_first=True)) == cook_steps(no_crust)


def test_what_is_done_with_the_raw_meat_and_the_juice() -> None:
    brought = Brought(from_freezer=True, rubbed=True, marinade="mild", sauce="thick")
    steps = {step.kind: step for step in fold(BARE, [], brought).steps}
    assert list(steps)[:5] == ["fetch", "thaw", "season", "rub", "marinate"]
    assert list(steps).index("thicken") == list(steps).index("sauce") + 1
    # common practice: a roast is thawed overnight at least, a rub stays on for the night
    assert steps["thaw"].range_s[0] >= 12 * 3600
    assert steps["rub"].range_s == pytest.approx((8 * 3600, 24 * 3600))
    # common practice: 25 g of starch thicken a litre to a medium sauce
    left_m3 = BARE.numbers.left_m3
    assert steps["thicken"].params["starch_kg"] == pytest.approx(25.0 * left_m3)
    half, glaze = (
        next(step.likely_s for step in fold(BARE, [], told).steps if step.kind == "sauce")
        for told in (Brought(sauce="half"), Brought(sauce="glaze"))
    )
    # arithmetic: to a quarter three quarters boil away, to half two
    assert glaze == pytest.approx(1.5 * half)


def test_juice_boiled_down_to_a_volume() -> None:
    """Arithmetic: what boils away goes by the power, so half as much left is as `half` is."""
    left_m3 = BARE.numbers.left_m3

    def sauce(brought: Brought) -> Step:
        return next(step for step in fold(BARE, [], brought).steps if step.kind == "sauce")

    half = sauce(Brought(sauce="half")).likely_s
    to_half = sauce(Brought(sauce="volume", sauce_m3=left_m3 / 2))
    assert to_half.likely_s == pytest.approx(half)
    assert to_half.params["sauce_m3"] == left_m3 / 2
    assert sauce(Brought(sauce="volume", sauce_m3=left_m3 / 4)).likely_s == pytest.approx(
        1.5 * half
    )
    # it cannot become more: it is brought to a simmer
    assert 0 < sauce(Brought(sauce="volume", sauce_m3=2 * left_m3)).likely_s < half


def test_a_cook_keeps_the_steps_that_it_began_with() -> None:
    """Before, nobody was told to get the meat out or to dry the pot, and a side was one step."""
    asked = cook_request(load("wings", 0.6, 0.025, 10), pot="bass", release=None)
    plan = cook_plan(make_plan(replace(asked, tempered=True)), "crisping")
    new = replace(BROUGHT, from_freezer=True)
    old = replace(new, version=1)
    more = {step.step_id for step in cook_steps(plan, new)} - {
        step.step_id for step in cook_steps(plan, old)
    }
    sides = {"side2load", "side2lid", "side2up", "side2hold"}
    assert more == {"fetch", "take_out", "temper", "empty", *sides}


def test_the_inner_pot_is_dry_before_the_air_fryer_lid() -> None:
    """Common practice: over liquid the meat steams, and does not crisp."""
    plan = make_plan(cook_request(load("wings", 0.6, 0.025, 10), pot="bass", release=None))
    kinds = [step.kind for step in fold(cook_plan(plan, "crisping"), []).steps]
    assert kinds.index("empty") == kinds.index("finish") - 1
    assert "empty" not in {step.kind for step in fold(cook_plan(plan, "broiler"), []).steps}


def test_a_marinade_in_the_refrigerator_is_no_time_out_of_it() -> None:
    """USDA FSIS, from memory: two hours out of the refrigerator, all in all."""
    brought = Brought(marinade="mild")
    begun = [*up_to("season"), *done(600, "season")]
    assert out_since_s(fold(BARE, begun[:-1], brought)) is not None
    assert out_since_s(fold(BARE, begun, brought)) is None
    out = [*begun, *done(30_000, "marinate")]
    # the ten minutes on the board before it count on
    board_s = 600 - (fold(BARE, begun, brought).began_s or 0.0)
    assert out_since_s(fold(BARE, out, brought)) == ("raw", 30_000 - board_s)
    assert was_out_too_long(fold(BARE, out, brought)) is None


def test_hours_on_the_board_before_the_marinade_are_not_forgotten() -> None:
    """USDA FSIS, from memory: two hours out of the refrigerator, all in all."""
    brought = Brought(marinade="mild")
    began = [event(0, "began")]
    slow = [*began, *done(4000, "season"), *done(40_000, "marinate")]
    sheet = fold(BARE, slow, brought)
    for number, step in enumerate(sheet.steps):
        if step.step_id not in sheet.done_s:
            slow += done(40_000 + 600 * number, step.step_id)
        if step.kind == "come_up":
            break
    assert was_out_too_long(fold(BARE, slow, brought)) == "raw"


def test_work_beside_the_pot_holds_nothing_up() -> None:
    before = [*up_to("sear"), event(130, "done", step_id="extra0")]
    for number, step in enumerate(fold(PLAN, []).steps[1:7]):
        before += done(200 + 60 * number, step.step_id)

    def sheet(*more: Event) -> Sheet:
        return fold(PLAN, [*before, *more], BROUGHT)

    held = 60.0 * PLAN.hold_min
    ran = run_of_the_pot(1000, 900, held, 800)
    heating = sheet(*ran[:1])
    assert heating.current is not None
    assert heating.current.step_id == "extra1"
    # it moves nothing on the clock, done or not
    sliced = sheet(*ran[:1], event(1500, "done", step_id="extra1"))
    assert forecast(heating, 1600).table_s == pytest.approx(forecast(sliced, 1600).table_s)
    plain = fold(PLAN, [*before, *ran[:1]], replace(BROUGHT, work=BROUGHT.work[::2]))
    assert forecast(heating, 1600).table_s == pytest.approx(forecast(plain, 1600).table_s)
    # trouble is told all the same, and the pot comes first when it wants hands
    assert [alarm.kind for alarm in alarms(PLAN, heating, 1000 + 3600)] == ["no_pressure"]
    over = sheet(*ran)
    assert over.current is not None
    assert over.current.step_id == "open"
    rested = sheet(*ran, *done(9000, "open"), *done(9060, "judge"))
    assert rested.current is not None
    assert rested.current.step_id == "extra1"  # the meat rests: there is time for it


def test_put_back_adds_a_round_after_the_look() -> None:
    events = [*up_to("judge"), event(9000, "put_back", hold_min=12)]
    sheet = fold(PLAN, events)
    assert sheet.current is not None
    assert sheet.current.step_id == "lid#2"
    assert sheet.step("set#2").params["hold_min"] == 12
    kinds = [step.step_id for step in sheet.steps]
    assert kinds.index("judge#2") < kinds.index("rest")
    ran = fold(PLAN, [*events, *done(9060, "lid#2"), *run_of_the_pot(9100, 300, 720, 800)])
    assert ran.current is not None
    assert ran.current.step_id == "open#2"
    assert ran.marks[1].pressure_s == 9400
    most = [*events, event(9001, "put_back", hold_min=5), event(9002, "put_back", hold_min=5)]
    with pytest.raises(SheetError, match="too_many_rounds"):
        check(fold(PLAN, most), event(9003, "put_back", hold_min=5))


def test_forecast_follows_what_happened() -> None:
    fresh = forecast(fold(PLAN, [event(0, "began")]), 0.0)
    assert fresh.late_s == pytest.approx(0.0, abs=1.0)
    times = [item.begin_s for item in fresh.ahead if item.step_id != "sauce"]
    assert times == sorted(times)
    # closed form: an hour of dawdling over the board is an hour later on the table
    late = forecast(fold(PLAN, [event(0, "began")]), 4200.0)
    assert late.late_s == pytest.approx(3600.0, abs=1.0)
    up = next(step.likely_s for step in fold(PLAN, []).steps if step.kind == "come_up")
    before = up_to("set")
    quick = fold(PLAN, [*before, pot(1000, "heating"), pot(1000 + 0.8 * up, "holding")])
    slow = fold(PLAN, [*before, pot(1000, "heating"), pot(1000 + 1.4 * up, "holding")])
    assert heat_ratio(quick) == pytest.approx(0.8)
    gap = forecast(slow, 1000 + 2 * up).table_s - forecast(quick, 1000 + 2 * up).table_s
    assert gap == pytest.approx(0.6 * up, abs=1.0)
    waiting = fold(PLAN, [*before, pot(1000, "heating")])
    assert forecast(waiting, 1000 + 2 * up).ahead[0].end_s == 1000 + 2 * up  # any moment now


def test_nights_in_the_refrigerator_make_no_dinner_early_or_late() -> None:
    """Rubbed the evening before and begun when the cook comes home; chilled for a day or two."""
    rubbed = [event(0, "began"), *done(600, "season")]
    brought = Brought(rubbed=True, ahead="day_before")
    plain = forecast(fold(BARE, rubbed, brought), 600.0).late_s
    for hours in (1, 8, 20):
        back_s = 600 + 3600.0 * hours
        sheet = fold(BARE, [*rubbed, *done(back_s, "rub")], brought)
        assert forecast(sheet, back_s).late_s == pytest.approx(plain, abs=1.0)
        # an hour at the board after that is an hour
        assert forecast(sheet, back_s + 7200).late_s > plain + 3600
    steps = [step.step_id for step in fold(BARE, [], brought).steps]
    chilled = rubbed + [
        item for step_id in steps[1 : steps.index("chill")] for item in done(700, step_id)
    ]
    usual = forecast(fold(BARE, chilled, brought), 800.0).late_s
    assert forecast(fold(BARE, chilled, brought), 700 + 2 * 86_400.0).late_s == pytest.approx(usual)


def kinds_of(plan_events: Sequence[Event], now_s: float) -> list[str]:
    return [alarm.kind for alarm in alarms(PLAN, fold(BROILED, plan_events), now_s)]


def test_moments_that_go_wrong_are_caught() -> None:
    before = up_to("set")
    up = next(step.likely_s for step in fold(PLAN, []).steps if step.kind == "come_up")
    heating = [*before, pot(1000, "heating")]
    assert kinds_of(heating, 1000 + up) == []
    assert kinds_of(heating, 1000 + 1.5 * up) == ["no_pressure"]
    assert "stopped_hot" in kinds_of([*heating, pot(1200, "stopped_hot")], 1210)
    assert "not_sealed" in kinds_of([*heating, pot(1200, "not_sealed")], 1210)
    resting = [*up_to("carve"), event(20000, "timer_started", timer_id="r", step_id="rest",
                                      title="rest", seconds=900)]  # fmt: skip
    resting += done(20001, "finish")
    assert kinds_of(resting, 20100) == ["resting"]
    assert kinds_of(resting, 21000) == []
    crust = [*up_to("finish"), event(100, "timer_started", timer_id="h", step_id="finish",
                                     offered=0, seconds=120)]  # fmt: skip
    assert kinds_of(crust, 230) == ["look_now"]


def test_a_full_pot_is_not_vented_at_once() -> None:
    steps = {step.kind: step for step in fold(FULL, []).steps}
    # common practice: a nearly full pot waits 10–15 min before it is vented
    assert 600 <= steps["wait"].timers[0].seconds <= 900
    events = [event(0, "began")]
    for step in fold(FULL, []).steps:
        if step.kind == "set":
            break
        events += done(10, step.step_id)
    held = 60.0 * FULL.hold_min
    sheet = fold(FULL, [*events, *run_of_the_pot(100, 900, held, 600)[:4]])
    # the wait is a step of its own; who opens the valve before it is over is warned
    assert sheet.at_pot is not None
    assert sheet.at_pot.kind == "wait"
    soon = event(1050.0 + held, "done", step_id="wait", anyway=True)
    vented = after(FULL, sheet, soon)
    assert [alarm.kind for alarm in alarms(FULL, vented, 1100.0 + held)] == ["full_vent"]
    assert alarms(FULL, vented, 1000.0 + held + 721) == ()


WHAT = ("done", "undone", "pot", "timer")


@st.composite
def histories(draw: st.DrawFn) -> list[Event]:
    ids = [step.step_id for step in fold(PLAN, []).steps]
    states = ("heating", "under_pressure", "holding", "falling", "shut", "open", "stopped_hot")
    clock, found = 0.0, [event(0.0, "began")]
    for _ in range(draw(st.integers(0, 30))):
        clock += draw(st.floats(0, 900))
        what = draw(st.sampled_from(WHAT))
        if what == "pot":
            found.append(pot(clock, draw(st.sampled_from(states))))
        elif what == "timer":
            found.append(event(clock, "timer_started", timer_id="t", step_id="rest", title="t",
                               seconds=draw(st.floats(1, 3600))))  # fmt: skip
        else:
            kind: EventKind = "done" if what == "done" else "undone"
            found.append(event(clock, kind, step_id=draw(st.sampled_from(ids))))
    return found


@given(histories(), st.integers(0, 30))
@settings(max_examples=60)
def test_a_sheet_read_again_stands_where_it_stood(events: list[Event], cut: int) -> None:
    whole = fold(PLAN, events)
    again: Sheet = fold(PLAN, list(events))
    assert whole == again
    now = events[-1].at_s
    seen = forecast(whole, now)
    assert all(item.end_s >= item.begin_s for item in seen.ahead)
    left: list[Step] = [step for step in whole.steps if step.step_id not in whole.done_s]
    assert [item.step_id for item in seen.ahead] == [step.step_id for step in left]
    assert fold(PLAN, events[:cut]).began_s in {None, 0.0}

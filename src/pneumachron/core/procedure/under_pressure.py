"""Steps from the lid to the look, for each run, batch and cycle. Common practice."""

from dataclasses import replace

from pneumachron.core.physics.tenderness import TEXTURES
from pneumachron.core.planning.load import Load
from pneumachron.core.planning.releases import CALM_S, is_full
from pneumachron.core.procedure.before_lid import load_steps
from pneumachron.core.procedure.cook_plan import CookPlan, sear_numbers
from pneumachron.core.procedure.step import MINUTE_S, Brought, Step, StepTimer

LID_S, SET_S, OPEN_S, JUDGE_S = 90.0, 30.0, 120.0, 60.0
LID_TICKS = ("gasket", "pin", "screen", "valve", "outside")
TICKS_OF_VERSION_1 = {
    "the liquid is in": "liquid_in",
    "gasket seated all round": "gasket",
    "pin moves freely": "pin",
    "valve screen clear": "screen",
    "valve shut": "valve",
    "pot dry outside and in place": "outside",
}
"""What was ticked before ticks had codes."""
UP_SHARE = (0.8, 1.3)
"""Shortest and longest come-up over the likely one. Common practice."""


def run_steps(plan: CookPlan, hold_min: int, round_number: int = 1) -> tuple[Step, ...]:
    """One run of the cooker, from the lid to the look.

    What is put back is only vented again: what stood in the liquid, or was kept warm, was so once.
    """
    request = plan.request
    suffix = "" if round_number == 1 else f"#{round_number}"
    up_s = plan.numbers.come_up_s / (1 if round_number == 1 else 2)
    looks_as = request.load.pieces[0].looks_as
    texture = TEXTURES[round(request.tenderness_step)]
    hold_s = MINUTE_S * hold_min
    on_stove = request.pot.is_stovetop
    hold_low_s, hold_high_s = plan.numbers.hold_range_s or (hold_s, hold_s)
    steps = (
        Step(f"lid{suffix}", "lid", LID_S, pot=True, ticks=LID_TICKS),
        Step(f"set{suffix}", "set", SET_S, pot=True,
             work="set_stove" if on_stove else "",
             params={"hold_min": hold_min, "level": request.level}),
        Step(f"come_up{suffix}", "come_up", up_s, hands=False, pot=True, waits="pressure",
             span_s=(UP_SHARE[0] * up_s, UP_SHARE[1] * up_s),
             work="come_up_stove" if on_stove else "",
             params={"up_min": max(round(up_s / MINUTE_S), 1)}),
        Step(f"hold{suffix}", "hold", hold_s, hands=False, pot=True, waits="hold_over",
             span_s=(min(hold_low_s, hold_s), max(hold_high_s, hold_s)),
             work="hold_stove" if on_stove else ""),
        *(_release_steps(plan, suffix) if plan.numbers.phases else _told_release(plan, suffix)),
        Step(f"open{suffix}", "open", OPEN_S, pot=True),
        *(_open_pot_steps(plan) if round_number == 1 else ()),
        Step(f"judge{suffix}", "judge", JUDGE_S, pot=True,
             work="judge_glazed" if is_glazed(plan) else "",
             params={"cut": looks_as, "texture": texture}),
    )  # fmt: skip
    return tuple(replace(step, round=round_number) for step in steps)


def _release_steps(plan: CookPlan, suffix: str) -> tuple[Step, ...]:
    """From the end of the cook time to the lid: what the plan counted on, stretch by stretch."""
    found = []
    pot = plan.request.pot
    for kind, seconds in plan.numbers.phases:
        minutes = seconds / MINUTE_S
        if kind == "natural_release":
            found.append(
                Step(f"release{suffix}", "release", seconds, hands=False, pot=True,
                     waits="pin_down",
                     work="release_off_stove" if pot.is_stovetop else "release_natural",
                     params={"fall_min": max(round(minutes), 1)})
            )  # fmt: skip
        elif kind == "waiting":
            found.append(_wait(suffix, seconds))
        elif kind == "venting":
            waited_s = sum(step.likely_s for step in found)
            # a cook that was begun before the plan counted on this wait
            if waited_s < CALM_S and is_full(plan.numbers.fill_ratio):
                found = [_wait(suffix, CALM_S)]
            found.append(
                Step(f"release{suffix}", "release", seconds, pot=True, waits="pin_down",
                     work="release_vent" if found else "release_quick", params={})
            )  # fmt: skip
        elif kind == "keeping_warm" and not suffix:
            found.append(
                Step("keep_warm", "keep_warm", seconds, hands=False, pot=True,
                     timers=(StepTimer("keep_warm", seconds),), params={"warm_min": minutes})
            )  # fmt: skip
    return tuple(found)


def _wait(suffix: str, seconds: float) -> Step:
    """The valve stays shut: the pressure falls by itself for a while."""
    timers = (StepTimer("valve", seconds),)
    return Step(f"wait{suffix}", "wait", seconds, hands=False, pot=True, timers=timers,
                params={"wait_min": seconds / MINUTE_S})  # fmt: skip


def _open_pot_steps(plan: CookPlan) -> tuple[Step, ...]:
    """What goes on in the open cooker, before the meat comes out."""
    found: list[Step] = []
    for kind, seconds in plan.numbers.phases:
        params = {"open_min": seconds / MINUTE_S}
        if kind == "boiling":
            found.append(Step("boil", "boil", seconds, pot=True, span_s=(seconds, seconds),
                              timers=(StepTimer("boil", seconds),), params=params,
                              work="boil_to_glaze" if is_glazed(plan) else ""))  # fmt: skip
        elif kind == "soaking":
            found.append(Step("soak", "soak", seconds, hands=False, pot=True,
                              timers=(StepTimer("soak", seconds),), params=params))  # fmt: skip
    return tuple(found)


def is_glazed(plan: CookPlan) -> bool:
    """Whether the juice becomes a glaze around the meat."""
    return plan.numbers.crust is not None and plan.numbers.crust.kind == "glaze"


def _told_release(plan: CookPlan, suffix: str) -> tuple[Step, ...]:
    """The release of a cook that began before its stretches were kept with it."""
    wait_s = plan.numbers.wait_s
    natural_s, vent_s = plan.numbers.natural_release_s, plan.numbers.venting_s
    if wait_s is None:
        return (
            Step(f"release{suffix}", "release", natural_s, hands=False, waits="pin_down",
                 work="release_natural",
                 params={"fall_min": max(round(natural_s / MINUTE_S), 1)}),
        )  # fmt: skip
    if is_full(plan.numbers.fill_ratio):
        wait_s = max(wait_s, CALM_S)
    timers = (StepTimer("valve", wait_s),) if wait_s > 0 else ()
    return (
        Step(f"release{suffix}", "release", wait_s + vent_s, timers=timers, waits="pin_down",
             work="release_timed" if wait_s > 0 else "release_quick",
             params={"wait_min": wait_s / MINUTE_S}),
    )  # fmt: skip


SWAP_S = 120.0
"""Hands to take a batch out and cover it. Common practice."""


def batch_steps(plan: CookPlan, brought: Brought) -> tuple[Step, ...]:
    """The batches after the first, each cooked the same way, for minutes of its own.

    The cooker is hot by then: what is left of the time from lid on to meat out, after cook time and
    release, is the shorter way to pressure.
    """
    if plan.numbers.goes_on is not None:
        return _second_cycle(plan)
    found: list[Step] = []
    of = len(plan.numbers.later) + 1
    let_go_s = sum(seconds for _, seconds in plan.numbers.phases)
    for number, (hold_s, done_s, mass_kg) in enumerate(plan.numbers.later, start=2):
        up_s = max(done_s - hold_s - let_go_s, MINUTE_S)
        one = _one_batch(plan, number - 2, up_s)
        run = (*load_steps(one, brought), *run_steps(one, round(hold_s / MINUTE_S)))
        found.append(next_batch(number, of, mass_kg))
        found += [
            replace(step, step_id=f"{step.step_id}{BATCH_SIGN}{number}", batch=number)
            for step in run
        ]
    return tuple(found)


OUT_S = 180.0
"""What is done comes out and is covered; checking and locking the lid are steps of their own.
Together the five minutes that the plan counts on (early_out.py)."""


def _second_cycle(plan: CookPlan) -> tuple[Step, ...]:
    """What is done comes out; lid on again, and the rest goes on in the same liquid."""
    (hold_s, _, stays_kg), *_ = plan.numbers.later
    out_kg = max(sum(piece.mass_kg for piece in plan.request.load.pieces) - stays_kg, 0.0)
    one = _one_batch(plan, 0, plan.numbers.later_up_s[0])
    out = Step("out2", "batch", OUT_S, pot=True, work="out_first",
               params={"out_kg": out_kg, "stays_kg": stays_kg,
                       "hold_min": round(hold_s / MINUTE_S)}, batch=2)  # fmt: skip
    pieces = tuple(p for p in one.request.load.pieces if p.cut.cut_id == plan.numbers.goes_on)
    one = replace(one, request=replace(one.request, load=Load(pieces or one.request.load.pieces)))
    run = run_steps(one, round(hold_s / MINUTE_S))
    return (
        out,
        *(replace(step, step_id=f"{step.step_id}{BATCH_SIGN}2", batch=2) for step in run),
    )


def _one_batch(plan: CookPlan, index: int, up_s: float) -> CookPlan:
    """A later batch as a cook of its own: its meat, how that lies, its liquid."""
    request = replace(plan.request, later=())
    if index < len(plan.request.later):
        request = replace(request, load=plan.request.later[index])
    numbers = replace(plan.numbers, come_up_s=up_s, hold_range_s=None, later=(),
                      goes_on=None, sear=sear_numbers(request))  # fmt: skip
    told = plan.numbers
    if index < len(told.later_lying):
        rack, arrangement = told.later_lying[index]
        numbers = replace(
            numbers,
            rack=rack,
            arrangement=arrangement,
            liquid_m3=told.later_liquid_m3[index],
            come_up_s=told.later_up_s[index],
            phases=told.later_phases[index],
        )
    return replace(plan, request=request, numbers=numbers)


BATCH_SIGN = "@"
"""Between the id of a step and the number of its batch."""


def next_batch(number: int, of: int, mass_kg: float) -> Step:
    """The meat out, covered; the next part of it goes in."""
    return Step(f"next{number}", "batch", SWAP_S, pot=True,
                params={"batch": number, "batches": of, "mass_kg": mass_kg})  # fmt: skip

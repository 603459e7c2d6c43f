"""One run of the pot: browning, loading, the phases of the plan, opening, in one block."""

from collections.abc import Sequence

import numpy as np

from pneumachron.core.planning.finish import afterwards
from pneumachron.core.planning.plan import Plan
from pneumachron.core.procedure.before_lid import load_steps
from pneumachron.core.procedure.cook_plan import cook_plan
from pneumachron.core.procedure.step import Step, StepKind
from pneumachron.core.procedure.under_pressure import BATCH_SIGN, batch_steps, next_batch, run_steps
from pneumachron.core.schedule.dish import Dish, block_id, brought, pot_lane, segment, stretch
from pneumachron.core.schedule.model import Block, Segment, Wait
from pneumachron.core.schedule.prep import TEMPERED_KEEPS_S, extra_waits, raw_waits

MINUTE_S = 60.0
SLACK_SHARE = 0.5
"""Part of the hold's upper range that is kept as slack, as long as the meat may wait. Judgement."""


CALENDAR_KINDS: dict[StepKind, str] = {
    "lid": "lid_check", "wait": "waiting", "keep_warm": "keeping_warm", "boil": "boiling",
    "soak": "soaking",
}  # fmt: skip
"""What steps were called when the first calendars went out; ids in a calendar stay."""


def run(dish: Dish, plan: Plan, number: int, of: int = 1) -> Block:
    """Browning, pressure and opening: one block, since browned meat is not put aside."""
    cook = cook_plan(plan, dish.finish)
    steps = [*load_steps(cook, brought(dish)), *run_steps(cook, plan.hold_min)]
    if number > 0:
        steps.insert(0, next_batch(number + 1, of, plan.setup.request.load.mass_kg))
    segments: list[Segment] = []
    for step in steps:
        segments.append(stretch(dish, step, _calendar_kind(step)))
        if step.kind == "hold" and (slack := _slack_s(plan)) > 0:
            segments.append(segment("slack", (0.0, slack, slack), pot_lane(dish)))
    if cook.numbers.goes_on is not None:  # the cooker is not free in between
        segments += [
            stretch(dish, step, f"{_calendar_kind(step)}{BATCH_SIGN}{step.batch}")
            for step in batch_steps(cook, brought(dish))
        ]
    before_s = sum(step.likely_s for step in steps[: _lid_on(steps)])
    waits = list(raw_waits(dish))
    if dish.request.tempered and number == 0:
        waits.append(Wait(block_id(dish, "temper"), 0.0, TEMPERED_KEEPS_S, "counter"))
    if number == 0:
        waits += extra_waits(dish)
    else:
        waits.append(Wait(block_id(dish, f"run{number - 1}"), 0.0))
    return Block(
        block_id(dish, f"run{number}"),
        dish.title,
        tuple(segments),
        tuple(waits),
        gauge=_gauge(plan, segments, before_s),
    )


def _lid_on(steps: Sequence[Step]) -> int:
    return next(index for index, step in enumerate(steps) if step.kind == "come_up")


def _calendar_kind(step: Step) -> str:
    if step.kind == "release":
        return "natural_release" if not step.hands else "venting"
    return CALENDAR_KINDS.get(step.kind, step.kind)


GAUGE_POINTS = 40
"""Of a run."""
MOST_GAUGE_POINTS = 2 * GAUGE_POINTS
"""Of a block, where what is not done is cooked on."""


def _gauge(
    plan: Plan, segments: Sequence[Segment], before_s: float
) -> tuple[tuple[float, float], ...]:
    """Pressure over the block: the trace of the plan, stretched to the segments of the day."""
    ends, times, clock = [0.0], [before_s], before_s
    begun = next(index for index, part in enumerate(segments) if part.kind == "come_up")
    coming = list(plan.phases_through)
    for part in segments[begun:]:
        kind = part.kind.split(BATCH_SIGN)[0]
        phase = next((item for item in coming if item.kind == kind), None)
        if phase is not None:  # a second run has the same kinds once more
            coming = coming[coming.index(phase) + 1 :]
            ends.append(max(ends[-1], phase.start_s))
            times.append(clock)
        clock += part.likely_s
        ends.append(ends[-1] if phase is None else phase.start_s + phase.duration_s)
        times.append(clock)
    runs = 1 + sum(phase.kind == "come_up" for phase in plan.phases_through[1:])
    trace_s = np.linspace(0.0, ends[-1], runs * GAUGE_POINTS)
    pressure = np.interp(trace_s, plan.trace.time_s, plan.trace.gauge_pa)
    # a spare stretch has no time of its own on the trace: nudge, so that times rise
    day_s = np.interp(trace_s, np.array(ends) + 1e-6 * np.arange(len(ends)), times)
    return tuple(
        (round(float(a), 1), round(float(b))) for a, b in zip(day_s, pressure, strict=True)
    )


def _slack_s(plan: Plan) -> float:
    """Time kept for a hold that takes longer, no more than the meat may be kept warm."""
    _, high_min = plan.hold_range_min
    family = plan.outcomes[0].piece.cut.family
    wanted = SLACK_SHARE * (high_min - plan.hold_min) * MINUTE_S
    return min(wanted, afterwards()[family].keep_warm_s / 2)

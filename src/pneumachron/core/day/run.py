"""One run of the pot: browning, loading, the phases of the plan, opening, in one block."""

import numpy as np

from pneumachron.core.day.before import TEMPERED_KEEPS_S, extra_waits, raw_waits
from pneumachron.core.day.dish import LID_S, LOAD_S, Dish, block_id, pot_lane, segment
from pneumachron.core.day.schedule import Block, Lane, Segment, Wait
from pneumachron.core.finish import afterwards
from pneumachron.core.plan import Plan
from pneumachron.core.season import searing

MINUTE_S = 60.0
OUT_S = (60.0, 120.0, 300.0)
"""Meat out of the pot and covered."""
SLACK_SHARE = 0.5
"""Part of the hold's upper range that is kept as slack, as long as the meat may wait. Judgement."""


def run(dish: Dish, plan: Plan, number: int) -> Block:
    """Browning, pressure and opening: one block, since browned meat is not put aside."""
    pot = pot_lane(dish)
    load = plan.setup.wish.load
    segments: list[Segment] = []
    if load.pieces[0].cut.sears and not any(piece.frozen for piece in load.pieces):
        low, high = searing(load, plan.setup.wish.pot).total_s
        segments.append(segment("sear", (low, (low + high) / 2, high), "hands", pot))
    segments.append(segment("load", LOAD_S, "hands", pot))
    segments.append(segment("lid_check", LID_S, "hands", pot))
    before_s = sum(part.likely_s for part in segments)
    phases = _phases(dish, plan)
    segments += phases
    segments.append(segment("open", OUT_S, "hands", pot))
    waits = list(raw_waits(dish))
    if dish.tempered and number == 0:
        waits.append(Wait(block_id(dish, "temper"), 0.0, TEMPERED_KEEPS_S, "counter"))
    waits += extra_waits(dish)
    if number > 0:
        waits.append(Wait(block_id(dish, f"run{number - 1}"), 0.0))
    return Block(
        block_id(dish, f"run{number}"),
        dish.title,
        tuple(segments),
        tuple(waits),
        gauge=_gauge(plan, phases, before_s),
    )


GAUGE_POINTS = 40


def _gauge(plan: Plan, phases: list[Segment], before_s: float) -> tuple[tuple[float, float], ...]:
    """Pressure over the block: the trace of the plan, stretched to the segments of the day."""
    ends, times, clock = [0.0], [before_s], before_s
    for part in phases:
        clock += part.likely_s
        phase = next((item for item in plan.phases if item.kind == part.kind), None)
        ends.append(ends[-1] if phase is None else phase.start_s + phase.duration_s)
        times.append(clock)
    trace_s = np.linspace(0.0, ends[-1], GAUGE_POINTS)
    pressure = np.interp(trace_s, plan.trace.time_s, plan.trace.gauge_pa)
    # a spare stretch has no time of its own on the trace: nudge, so that times rise
    day_s = np.interp(trace_s, np.array(ends) + 1e-6 * np.arange(len(ends)), times)
    return tuple(
        (round(float(a), 1), round(float(b))) for a, b in zip(day_s, pressure, strict=True)
    )


_PHASES = frozenset(
    {"come_up", "hold", "natural_release", "waiting", "venting", "keeping_warm", "boiling",
     "soaking"}
)  # fmt: skip
"""Phases of a plan that are stretches of a day; what stands with the lid off rests."""


def _phases(dish: Dish, plan: Plan) -> list[Segment]:
    pot = pot_lane(dish)
    low_min, high_min = plan.hold_range_min
    found = []
    for phase in plan.phases:
        if phase.kind not in _PHASES:
            continue
        likely = phase.duration_s
        span = (likely, likely, likely)
        lanes: tuple[Lane, ...] = (pot,)
        if phase.kind == "come_up":
            span = (0.8 * likely, likely, 1.3 * likely)
        elif phase.kind == "hold":
            span = (low_min * MINUTE_S, likely, high_min * MINUTE_S)
        elif phase.kind == "venting":
            lanes = ("hands", pot)
        found.append(segment(phase.kind, span, *lanes))
        if phase.kind == "hold" and (slack := _slack_s(plan)) > 0:
            found.append(segment("slack", (0.0, slack, slack), pot))
    return found


def _slack_s(plan: Plan) -> float:
    """Time kept for a hold that takes longer, no more than the meat may be kept warm."""
    _, high_min = plan.hold_range_min
    family = plan.outcomes[0].piece.cut.family
    wanted = SLACK_SHARE * (high_min - plan.hold_min) * MINUTE_S
    return min(wanted, afterwards()[family].keep_warm_s / 2)

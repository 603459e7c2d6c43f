"""A dish of the day: one planned cook as blocks of work, from the freezer to the leftovers.

Durations come from the plan (heating up, hold, release), from what is around it (searing, reducing,
finish, rest) and from habits of the trade; each with a range. Searing and pressure are one block,
since meat that was browned is not put aside.
"""

from dataclasses import dataclass
from math import ceil
from typing import Literal, TypeAlias

import numpy as np

from pneumachron.core.batches import batches
from pneumachron.core.errors import WishError
from pneumachron.core.finish import FinishKind, afterwards, finish_for, rest_for
from pneumachron.core.keeping import cooling
from pneumachron.core.load import thaw_hours
from pneumachron.core.plan import Plan, make_plan
from pneumachron.core.safety import ZONE_HIGH, ZONE_LIMIT
from pneumachron.core.sauce import reduce_sauce
from pneumachron.core.schedule import Block, Lane, Segment, Wait
from pneumachron.core.season import Marinade, marinating, searing
from pneumachron.core.wish import Wish

Ahead: TypeAlias = Literal["today", "day_before", "frozen"]

MINUTE_S = 60.0
TRIM_S = (300.0, 600.0, 1200.0)
"""Trim, measure, portion, season, for one load. Common practice."""
RUB_LEAST_S, RUB_MOST_S = 600.0, 86_400.0
"""Ten minutes to overnight, in the refrigerator. Common practice."""
LOAD_S = (180.0, 300.0, 600.0)
"""Deglaze, liquid, rack, meat. Common practice."""
LID_S = (60.0, 120.0, 240.0)
OUT_S = (60.0, 120.0, 300.0)
"""Meat out of the pot and covered."""
CARVE_S = (180.0, 300.0, 600.0)
CARVED_KEEPS_S = 900.0
"""Carved meat is served within a quarter of an hour. Common practice."""
THAWED_KEEPS_S = 86_400.0
"""Thawed meat is cooked within a day. USDA, from memory."""
COOL_S = (600.0, 900.0, 1800.0)
"""Hands for bagging and layering what is cooled. Common practice."""
CHILL_LEAST_S, CHILL_MOST_S = 8 * 3600.0, 3 * 86_400.0
"""Overnight, and at most three days at 4 °C. Common practice; USDA, from memory."""
FLAT_M = 0.03
"""Bags are frozen this flat. Common practice."""
FREEZE_LEAST_S, FREEZE_MOST_S = 12 * 3600.0, 60 * 86_400.0
"""Overnight, and two months before it loses. Common practice."""
REHEAT_S = (1200.0, 1800.0, 2400.0)
"""Sliced, covered, with juice, to 74 °C in the oven. Common practice."""
HOT_RESTART_SHARE = 0.5
"""A pot that is still hot comes up in about half the time. Judgement."""
SLACK_SHARE = 0.5
"""Part of the hold's upper range that is kept as slack, as long as the meat may wait. Judgement."""
SKIM_S = (180.0, 300.0, 420.0)
PAN: Lane = "pan"
"""A pan on the stove; a kitchen has two burners to spare. Common practice."""
KITCHEN_LANES: dict[Lane, int] = {PAN: 2}
"""How many of a lane there are besides hands."""
FINISH_LANES: dict[FinishKind, str] = {"broiler": "oven", "grill": "grill", "crisping": "pot"}


@dataclass(frozen=True, slots=True)
class Dish:
    """A planned cook of the day."""

    dish_id: str
    title: str
    wish: Wish
    finish: FinishKind | None = None
    from_freezer: bool = False
    """It lies in the freezer and is thawed first."""
    ahead: Ahead = "today"
    sauce: bool = True
    marinade: Marinade | None = None
    eaters: int | None = None
    """Plates that are eaten on the day; the rest is kept. None: all of it."""


def dish_blocks(dish: Dish) -> tuple[Block, ...]:
    """All work on a dish, as blocks that wait for each other.

    Raises
    ------
    WishError : it cannot be cooked; says what to do.
    """
    runs = batches(dish.wish)
    plans = [make_plan(run) for run in runs]
    found = [_trim(dish, plans[0])]
    if dish.from_freezer:
        found.insert(0, _thaw(dish))
    if dish.marinade is not None:
        found.append(_marinate(dish))
    found += [_run(dish, plan, number) for number, plan in enumerate(plans)]
    last = found[-1].block_id
    if dish.ahead != "today":
        found += _chilled(dish, plans, last)
        return tuple(found)
    ran = [block.block_id for block in found if f"{dish.dish_id}:run" in block.block_id]
    found += _finished(dish, plans, ran)
    found.append(_leftovers(dish, plans))
    return tuple(found)


def _id(dish: Dish, kind: str) -> str:
    return f"{dish.dish_id}:{kind}"


def _segment(kind: str, title: str, span_s: tuple[float, float, float], *lanes: Lane) -> Segment:
    return Segment(kind, title, *span_s, lanes)


def _pot(dish: Dish) -> Lane:
    return f"pot:{dish.wish.pot.pot_id}"


def _thaw(dish: Dish) -> Block:
    thick = max(piece.thickness_m for piece in dish.wish.load.pieces)
    seconds = 3600.0 * thaw_hours(thick)
    span = (seconds, seconds, 1.5 * seconds)
    return Block(
        _id(dish, "thaw"),
        dish.title,
        (_segment("thaw", "Thaw in the refrigerator, on a tray", span, "fridge"),),
    )


def _trim(dish: Dish, plan: Plan) -> Block:
    piece = plan.outcomes[0].piece
    waits: tuple[Wait, ...] = ()
    if dish.from_freezer:
        waits = (
            Wait(_id(dish, "thaw"), 0.0, THAWED_KEEPS_S, "thawed meat is cooked within a day"),
        )
    title = f"Trim, measure, pat dry and season ({piece.cut.short_name})"
    return Block(
        _id(dish, "season"), dish.title, (_segment("season", title, TRIM_S, "hands"),), waits
    )


def _marinate(dish: Dish) -> Block:
    low, high = marinating(dish.wish.load, dish.marinade or "mild").time_s
    return Block(
        _id(dish, "marinate"),
        dish.title,
        (_segment("marinate", "Marinate, covered, in the refrigerator", (low, low, high),
                  "fridge"),),
        (Wait(_id(dish, "season"), 0.0, RUB_MOST_S, "trimmed meat keeps a day"),),
    )  # fmt: skip


def _run(dish: Dish, plan: Plan, number: int) -> Block:
    """Browning, pressure and opening: one block, since browned meat is not put aside."""
    pot = _pot(dish)
    load = plan.setup.wish.load
    segments: list[Segment] = []
    if load.pieces[0].cut.sears and not any(piece.frozen for piece in load.pieces):
        low, high = searing(load, plan.setup.wish.pot).total_s
        segments.append(
            _segment("sear", "Brown in batches, then scrape the base bare",
                     (low, (low + high) / 2, high), "hands", pot)
        )  # fmt: skip
    segments.append(_segment("load", "Liquid, rack, meat into the pot", LOAD_S, "hands", pot))
    segments.append(
        _segment("lid_check", "Check gasket, pin, screen, valve; set the pot", LID_S, "hands", pot)
    )
    before_s = sum(segment.likely_s for segment in segments)
    phases = _phases(dish, plan, number)
    segments += phases
    segments.append(_segment("open", "Lid away from the face, meat out", OUT_S, "hands", pot))
    waits = [Wait(_id(dish, "season"), RUB_LEAST_S, RUB_MOST_S, "rubbed meat keeps a day")]
    if dish.marinade is not None:
        longest = marinating(dish.wish.load, dish.marinade).longest_s
        waits = [Wait(_id(dish, "marinate"), 0.0, longest, "raw meat keeps so long in a marinade")]
    if number > 0:
        waits.append(Wait(_id(dish, f"run{number - 1}"), 0.0))
    return Block(
        _id(dish, f"run{number}"),
        dish.title,
        tuple(segments),
        tuple(waits),
        gauge=_gauge(plan, phases, before_s),
    )


GAUGE_POINTS = 40


def _gauge(plan: Plan, phases: list[Segment], before_s: float) -> tuple[tuple[float, float], ...]:
    """Pressure over the block: the trace of the plan, stretched to the segments of the day."""
    ends, times, clock = [0.0], [before_s], before_s
    for segment in phases:
        clock += segment.likely_s
        phase = next((item for item in plan.phases if item.kind == segment.kind), None)
        ends.append(ends[-1] if phase is None else phase.start_s + phase.duration_s)
        times.append(clock)
    trace_s = np.linspace(0.0, ends[-1], GAUGE_POINTS)
    pressure = np.interp(trace_s, plan.trace.time_s, plan.trace.gauge_pa)
    # a spare stretch has no time of its own on the trace: nudge, so that times rise
    day_s = np.interp(trace_s, np.array(ends) + 1e-6 * np.arange(len(ends)), times)
    return tuple(
        (round(float(a), 1), round(float(b))) for a, b in zip(day_s, pressure, strict=True)
    )


_PHASE_WORDS = {
    "come_up": "Heats up",
    "hold": "Under pressure",
    "natural_release": "Pressure falls by itself",
    "waiting": "Waits before the valve is opened",
    "venting": "Vent, face and hands out of the jet",
    "keeping_warm": "Kept warm under the lid",
    "boiling": "Boils with the lid off",
    "soaking": "Soaks in the open pot",
}


def _phases(dish: Dish, plan: Plan, number: int) -> list[Segment]:
    pot = _pot(dish)
    low_min, high_min = plan.hold_range_min
    found = []
    for phase in plan.phases:
        words = _PHASE_WORDS.get(phase.kind)
        if words is None:
            continue
        likely = phase.duration_s
        span = (likely, likely, likely)
        lanes: tuple[Lane, ...] = (pot,)
        if phase.kind == "come_up":
            share = HOT_RESTART_SHARE if number > 0 else 1.0
            span = (0.8 * share * likely, share * likely, 1.3 * share * likely)
        elif phase.kind == "hold":
            span = (low_min * MINUTE_S, likely, high_min * MINUTE_S)
        elif phase.kind == "venting":
            lanes = ("hands", pot)
        found.append(_segment(phase.kind, words, span, *lanes))
        if phase.kind == "hold" and (slack := _slack_s(plan)) > 0:
            found.append(
                _segment("slack", "Spare, should it need longer", (0.0, slack, slack), pot)
            )
    return found


def _slack_s(plan: Plan) -> float:
    """Time kept for a hold that takes longer, no more than the meat may be kept warm."""
    _, high_min = plan.hold_range_min
    family = plan.outcomes[0].piece.cut.family
    wanted = SLACK_SHARE * (high_min - plan.hold_min) * MINUTE_S
    return min(wanted, afterwards()[family].keep_warm_s / 2)


def _finished(dish: Dish, plans: list[Plan], run_ids: list[str]) -> list[Block]:
    """Rest, sauce, crust, knife."""
    load = dish.wish.load
    family = load.pieces[0].cut.family
    keeps = afterwards()[family].keep_warm_s
    low, high = rest_for(load)
    late = f"kept warm for {keeps / MINUTE_S:.0f} min at most"
    rest = Block(
        _id(dish, "rest"),
        dish.title,
        (_segment("rest", "Rest under a loose tent", (low, (low + high) / 2, high)),),
        tuple(Wait(run, 0.0, keeps, late) for run in run_ids),
    )
    found = [rest]
    before_knife = [Wait(rest.block_id, 0.0, keeps, late)]
    if dish.sauce:
        volume = max(plans[-1].ending.liquid_m3, 1e-4)
        reduced = reduce_sauce(dish.wish.pot, dish.wish.altitude_m, volume, 0.5)
        likely = reduced.heat_s + reduced.boil_s
        sauce = Block(
            _id(dish, "sauce"),
            dish.title,
            (
                _segment("skim", "Strain the juice into a pan, skim the fat", SKIM_S, "hands", PAN),
                _segment("reduce", "Boil the juice down, salt it last",
                         (0.8 * likely, likely, 1.3 * likely), PAN),
            ),
            (Wait(run_ids[-1], 0.0, keeps, "the juice is kept hot"),),
            to_table_s=keeps,
        )  # fmt: skip
        found.append(sauce)
    crust = finish_for(load, dish.wish.pot, dish.finish)
    if crust.kind != "none":
        lane = FINISH_LANES[crust.kind]
        low, high = crust.total_s
        found.append(
            Block(
                _id(dish, "finish"),
                dish.title,
                (_segment("finish", f"Crust ({crust.kind}); look at half time",
                          (low, (low + high) / 2, high), "hands",
                          _pot(dish) if lane == "pot" else lane),),
                (Wait(rest.block_id, 0.0, keeps, late),),
            )
        )  # fmt: skip
        before_knife = [Wait(_id(dish, "finish"), 0.0, CARVED_KEEPS_S, "a crust goes soft")]
    found.append(_carve(dish, tuple(before_knife)))
    return found


def _carve(dish: Dish, waits: tuple[Wait, ...]) -> Block:
    return Block(
        _id(dish, "carve"),
        dish.title,
        (_segment("carve", "Carve or pull, and serve", CARVE_S, "hands"),),
        waits,
        to_table_s=CARVED_KEEPS_S,
    )


PORTION_KG = 0.3
"""A portion for the freezer: two plates of cooked meat. Common practice."""
PORTION_JUICE_M3_PER_KG = 75e-6
"""Juice with each kilo, 50–100 ml. Common practice."""
PLATE_KG = 0.15
"""Cooked meat on a plate. Common practice."""


@dataclass(frozen=True, slots=True)
class Leftovers:
    """What is kept: portions of `PORTION_KG` with some juice, chilled or frozen flat."""

    mass_kg: float
    portions: int
    juice_m3: float


def leftovers(dish: Dish, plans: list[Plan]) -> Leftovers:
    """What the eaters leave of the served meat; nothing when they are not counted."""
    served = sum(sum(plan.serving.served_kg) / 2 for plan in plans)
    left = 0.0 if dish.eaters is None else max(served - PLATE_KG * dish.eaters, 0.0)
    portions = ceil(left / PORTION_KG - 0.2)
    return Leftovers(left, max(portions, 0), PORTION_JUICE_M3_PER_KG * left)


def _leftovers(dish: Dish, plans: list[Plan], before: str = "carve") -> Block:
    """After the meal, before two hours are over."""
    found = leftovers(dish, plans)
    what = "Leftovers"
    if found.portions > 0:
        grams, millilitres = 1000 * PORTION_KG, 1e6 * found.juice_m3 / found.portions
        what = f"{found.portions} portions of {grams:.0f} g with {millilitres:.0f} ml of juice each"
    title = f"{what} into flat layers and the refrigerator, within 2 h"
    return Block(
        _id(dish, "keep"),
        dish.title,
        (_segment("keep", title, COOL_S, "hands"),),
        (Wait(_id(dish, before), 0.0, ZONE_LIMIT.value, "two hours at room temperature"),),
        after_table=True,
    )


@dataclass(frozen=True, slots=True)
class ColdChain:
    """How long the raw meat is out of the refrigerator before its middle passes 60 °C."""

    out_s: float
    safe: bool


def cold_chain(plan: Plan) -> ColdChain:
    """Trimming, browning, loading, and the pot until the middle is hot: within two hours."""
    pot = plan.setup.wish.pot
    load = plan.setup.wish.load
    hands = TRIM_S[1] + LOAD_S[1] + LID_S[1]
    if load.pieces[0].cut.sears:
        hands += sum(searing(load, pot).total_s) / 2
    hot = plan.trace.core_c >= ZONE_HIGH.value
    until = float(plan.trace.time_s[hot][0]) if hot.any() else float(plan.trace.time_s[-1])
    return ColdChain(hands + until, hands + until <= ZONE_LIMIT.value)


def _frozen(dish: Dish, cool_id: str) -> list[Block]:
    """Frozen flat in its juice, and thawed in the refrigerator the day before."""
    freeze = Block(
        _id(dish, "freeze"),
        dish.title,
        (_segment("freeze", "Bag flat with some juice, write the date, freeze", COOL_S, "hands"),),
        (Wait(cool_id, 0.0, CHILL_LEAST_S, "into the freezer the same day"),),
    )
    seconds = 3600.0 * thaw_hours(FLAT_M)
    thaw = Block(
        _id(dish, "thaw_cooked"),
        dish.title,
        (_segment("thaw", "Thaw the bags in the refrigerator", (seconds, seconds, 1.5 * seconds),
                  "fridge"),),
        (Wait(freeze.block_id, FREEZE_LEAST_S, FREEZE_MOST_S, "two months in the freezer"),),
    )  # fmt: skip
    return [freeze, thaw]


def _chilled(dish: Dish, plans: list[Plan], last_run: str) -> list[Block]:
    """Made ahead: cooled fast and apart from its juice, chilled, sliced cold, reheated."""
    piece = max(dish.wish.load.pieces, key=lambda item: item.thickness_m)
    found = cooling(piece.cut, piece.thickness_m, "ice_bath")
    if not found.safe:
        raise WishError(
            "cools_too_slowly",
            "ahead",
            "A piece this thick does not cool within six hours, even in ice water.",
            "Halve it, or cook it on the day.",
        )
    seconds = found.to_last_s
    cool = Block(
        _id(dish, "cool"),
        dish.title,
        (
            _segment("bag", "Meat out of the juice, bagged into ice water", COOL_S, "hands"),
            _segment("cool", "Cools in ice water to 5 °C", (seconds, seconds, seconds)),
        ),
        (Wait(last_run, 0.0, 1800.0, "cooling begins within half an hour"),),
    )
    ready = [cool]
    if dish.ahead == "frozen":
        ready += _frozen(dish, cool.block_id)
    wait = Wait(cool.block_id, CHILL_LEAST_S, CHILL_MOST_S, "three days at 4 °C")
    if dish.ahead == "frozen":
        wait = Wait(ready[-1].block_id, 0.0, THAWED_KEEPS_S, "thawed meat is eaten within a day")
    reheat = Block(
        _id(dish, "reheat"),
        dish.title,
        (
            _segment("slice", "Slice cold across the grain", CARVE_S, "hands"),
            _segment("reheat", "Covered with juice in the oven to 74 °C", REHEAT_S, "oven"),
        ),
        (wait,),
        to_table_s=CARVED_KEEPS_S,
    )
    return [*ready, reheat, _leftovers(dish, plans, "reheat")]

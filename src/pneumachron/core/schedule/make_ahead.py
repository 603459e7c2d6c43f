"""Made ahead: cooled fast the evening before, chilled or frozen, and finished on the day."""

from pneumachron.core.errors import RequestError
from pneumachron.core.planning.plan import Plan
from pneumachron.core.procedure.before_lid import extra_steps
from pneumachron.core.procedure.step import Step
from pneumachron.core.procedure.to_table import (
    CHILL_LEAST_S,
    CHILL_MOST_S,
    cold_carve_steps,
    cool_steps,
    preheat_oven_steps,
    reheat_steps,
)
from pneumachron.core.schedule.dish import Dish, block_id, brought, stretch
from pneumachron.core.schedule.finishing import (
    CARVED_KEEPS_S,
    all_of,
    at_end,
    crust,
    kept,
    own_runs,
    preheated,
    sauce,
    served,
)
from pneumachron.core.schedule.model import Block, Wait
from pneumachron.core.schedule.prep import DAY_S, THAWED_KEEPS_S

FREEZE_LEAST_S, FREEZE_MOST_S = 12 * 3600.0, 60 * DAY_S
"""Overnight, and two months before it loses. Common practice."""
SAUCE_KEEPS_S = 1800.0
"""A sauce stays hot in its pan for half an hour. Common practice."""
REHEATED_KEEPS_S = 1200.0
"""Hot and covered before the crust or the knife. Common practice."""


def ahead(dish: Dish, plans: list[Plan], last_run: str) -> list[Block]:
    """Cooled at once and apart from its juice, cold before the night; reheated on the day.

    The finish is that of the dish: what goes on the grill today goes on the grill tomorrow.

    Raises
    ------
    RequestError : too thick to cool in time.
    """
    cook = all_of(dish, plans)
    if cook.numbers.ice_bath_s <= 0:
        raise RequestError("cools_too_slowly", "ahead")
    steps = {step.kind: step for step in cool_steps(cook, dish.ahead)}
    chilled_s = steps["chill"].likely_s if "chill" in steps else 0.0
    cool = Block(
        block_id(dish, "cool"),
        dish.title,
        tuple(stretch(dish, steps[kind]) for kind in ("bag", "cool", "chill") if kind in steps),
        (Wait(last_run, 0.0, 1800.0, "cool_soon"),),
        # the hands are free when it goes from the ice water into the refrigerator
        over_before_table_s=max(dish.evening_s - chilled_s, 0.0),
    )
    found = [cool]
    cold = Wait(cool.block_id, 0.0, CHILL_MOST_S - chilled_s, "chilled")
    if dish.ahead == "frozen":
        found += _frozen(dish, steps["freeze"], steps["thaw"], cool.block_id)
        cold = Wait(found[-1].block_id, 0.0, THAWED_KEEPS_S, "thawed_cooked")
    hot = reheat_steps(cook)
    oven, waits = preheated(dish, preheat_oven_steps(cook))
    knife = cold_carve_steps(cook, brought(dish))
    reheat = Block(
        block_id(dish, "reheat"),
        dish.title,
        tuple(stretch(dish, step) for step in hot),
        (cold, *waits),
        to_table_s=None if knife or extra_steps(brought(dish), "at_table") else CARVED_KEEPS_S,
    )
    found += [*oven, reheat, *sauce(dish, cook, cold, SAUCE_KEEPS_S)]
    after = Wait(reheat.block_id, 0.0, REHEATED_KEEPS_S, "kept_warm")
    crusted = crust(dish, cook, after)
    if crusted:
        after = Wait(crusted[-1].block_id, 0.0, CARVED_KEEPS_S, "crust")
    found += crusted
    found += served(dish, knife, after)
    last = "carve" if knife else "reheat"
    found += at_end(dish, reheat.block_id)
    return [*found, *own_runs(dish, last_run), kept(dish, plans, last)]


def _frozen(dish: Dish, freeze: Step, thaw: Step, cool_id: str) -> list[Block]:
    """Frozen flat in its juice, and thawed in the refrigerator the day before."""
    frozen = Block(
        block_id(dish, "freeze"),
        dish.title,
        (stretch(dish, freeze),),
        (Wait(cool_id, 0.0, CHILL_LEAST_S, "same_day"),),
    )
    thawed = Block(
        block_id(dish, "thaw_cooked"),
        dish.title,
        (stretch(dish, thaw),),
        (Wait(frozen.block_id, FREEZE_LEAST_S, FREEZE_MOST_S, "frozen"),),
        # somebody puts the bags into the refrigerator: before the night, not in it
        over_before_table_s=max(dish.evening_s - thaw.likely_s, 0.0),
    )
    return [frozen, thawed]

"""After the pot: rest, sides in a run of their own, sauce, crust, knife, leftovers."""

from collections.abc import Iterator, Sequence
from dataclasses import replace

from pneumachron.core.planning.finish import afterwards
from pneumachron.core.planning.load import Load
from pneumachron.core.planning.plan import Plan
from pneumachron.core.procedure.before_lid import extra_steps
from pneumachron.core.procedure.cook_plan import CookPlan, cook_plan
from pneumachron.core.procedure.step import Step, StepKind
from pneumachron.core.procedure.to_table import (
    carve_steps,
    crackling_steps,
    crust_steps,
    last_steps,
    preheat_steps,
    rest_steps,
    rind_oven_steps,
    sauce_steps,
)
from pneumachron.core.safety.limits import ZONE_LIMIT
from pneumachron.core.schedule.dish import (
    Dish,
    block_id,
    brought,
    stretch,
)
from pneumachron.core.schedule.model import Block, Wait
from pneumachron.core.schedule.prep import RAW_KEEPS_S, RAW_WHY, side_block

CARVED_KEEPS_S = 900.0
"""Carved meat is served within a quarter of an hour. Common practice."""
CRACKLING_KEEPS_S = 3600.0
"""Crackling stays crisp for an hour, uncovered. Common practice."""
SIDE_KEEPS_S = 1200.0
"""A side keeps its bite for twenty minutes under a lid. Common practice."""


def all_of(dish: Dish, plans: list[Plan]) -> CookPlan:
    """What the steps after the cooker go by, as in Cook: the first run, and the meat of all."""
    pieces = tuple(piece for plan in plans for piece in plan.setup.request.load.pieces)
    return cook_plan(plans[0], dish.finish, Load(pieces))


def finished(dish: Dish, plans: list[Plan], run_ids: list[str]) -> list[Block]:
    """Rest, a side in its own run, sauce, crust, knife."""
    cook = all_of(dish, plans)
    keeps = afterwards()[dish.request.load.pieces[0].cut.family].keep_warm_s
    rest = _block(
        dish, "rest", rest_steps(cook), tuple(Wait(run, 0.0, keeps, "kept_warm") for run in run_ids)
    )
    found = [rest, *own_runs(dish, run_ids[-1])]
    found += at_end(dish, run_ids[-1])
    found += sauce(dish, cook, Wait(run_ids[-1], 0.0, keeps, "juice_hot"), keeps)
    before_knife = Wait(rest.block_id, 0.0, keeps, "kept_warm")
    found += crust(dish, cook, before_knife)
    if len(found) > 1 and found[-1].block_id == block_id(dish, "finish"):
        before_knife = Wait(block_id(dish, "finish"), 0.0, CARVED_KEEPS_S, "crust")
    return [*found, *served(dish, carve_steps(cook, brought(dish)), before_knife)]


def _block(
    dish: Dish, name: str, steps: Sequence[Step], waits: tuple[Wait, ...],
    to_table_s: float | None = None,
) -> Block:  # fmt: skip
    stretches = tuple(stretch(dish, step, CALENDAR_KINDS.get(step.kind, "")) for step in steps)
    return Block(block_id(dish, name), dish.title, stretches, waits, to_table_s=to_table_s)


CALENDAR_KINDS: dict[StepKind, str] = {"sauce": "reduce"}
"""What steps were called when the first calendars went out; ids in a calendar stay."""


def sauce(dish: Dish, cook: CookPlan, after: Wait, keeps_s: float) -> list[Block]:
    """The juice boiled down, when it is wished."""
    steps = sauce_steps(cook, brought(dish))
    return [_block(dish, "sauce", steps, (after,), keeps_s)] if steps else []


def crust(dish: Dish, cook: CookPlan, after: Wait) -> list[Block]:
    """The finish of the dish, when it has one, and what is heated up for it."""
    steps = crust_steps(cook, brought(dish))
    if not steps:
        return []
    found, waits = preheated(dish, preheat_steps(cook, in_hot_oven=dish.ahead != "today"))
    return [*found, _block(dish, "finish", steps, (after, *waits))]


PREHEATED_S = 1200.0
"""An oven or a grill that is hot may stand so long. Judgement."""


def preheated(dish: Dish, steps: Sequence[Step]) -> tuple[list[Block], tuple[Wait, ...]]:
    """What is switched on, and how long what comes in waits for it to be hot."""
    blocks = [_block(dish, step.step_id, (step,), ()) for step in steps]
    waits = tuple(
        Wait(block.block_id, step.timers[0].seconds, step.timers[0].seconds + PREHEATED_S,
             "preheated")
        for block, step in zip(blocks, steps, strict=True)
    )  # fmt: skip
    return blocks, waits


def served(dish: Dish, knife: Sequence[Step], after: Wait) -> list[Block]:
    """Cut or pulled just before the meal, and what the recipe wants done to the carved meat."""
    named = [("carve", knife)] if knife else []
    named += [(step.step_id, (step,)) for step in extra_steps(brought(dish), "at_table")]
    found: list[Block] = []
    for name, steps in named:
        found.append(_block(dish, name, steps, (after,)))
        after = Wait(found[-1].block_id, 0.0, CARVED_KEEPS_S, "kept_warm")
    return [*found[:-1], *(replace(block, to_table_s=CARVED_KEEPS_S) for block in found[-1:])]


def at_end(dish: Dish, after_id: str) -> Iterator[Block]:
    """What is stirred in, dressed or toasted just before it is served."""
    for step in extra_steps(brought(dish), "at_end"):
        yield _block(dish, step.step_id, (step,), (Wait(after_id),), CARVED_KEEPS_S)


def own_runs(dish: Dish, after_id: str) -> Iterator[Block]:
    """Sides that do not stand the meat's hold: a run of their own once the meat is out."""
    for number, extra in enumerate(dish.extras):
        if extra.when != "own_run":
            continue
        side = side_block(dish, number, extra)
        yield replace(side, after=(Wait(after_id),), to_table_s=SIDE_KEEPS_S)


def crackling(dish: Dish) -> list[Block]:
    """The rind, roasted so that it is still crisp at the table."""
    steps = crackling_steps(brought(dish))
    if not steps:
        return []
    found, waits = preheated(dish, rind_oven_steps(brought(dish)))
    off = Wait(block_id(dish, "season"), 0.0, RAW_KEEPS_S["pork"], RAW_WHY["pork"])
    # frozen for weeks the meat comes to the table without it: then it is eaten on the day
    keeps_s = None if dish.ahead == "frozen" else CRACKLING_KEEPS_S
    return [*found, _block(dish, "crackling", steps, (off, *waits), keeps_s)]


def kept(dish: Dish, plans: list[Plan], before: str = "carve") -> Block:
    """After the meal, before two hours are over."""
    keep, *_ = last_steps(all_of(dish, plans), brought(dish))
    return Block(
        block_id(dish, "keep"),
        dish.title,
        (stretch(dish, keep),),
        (Wait(block_id(dish, before), 0.0, ZONE_LIMIT.value, "room_temperature"),),
        after_table=True,
    )

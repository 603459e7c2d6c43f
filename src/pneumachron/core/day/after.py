"""After the pot: rest, sides in a run of their own, sauce, crust, knife, leftovers."""

from collections.abc import Iterator
from dataclasses import dataclass
from math import ceil

from pneumachron.core.day.dish import (
    LID_S,
    LOAD_S,
    PAN,
    Dish,
    block_id,
    pot_lane,
    segment,
)
from pneumachron.core.day.schedule import Block, Wait
from pneumachron.core.finish import FinishKind, afterwards, finish_for, rest_for
from pneumachron.core.plan import Plan
from pneumachron.core.safety import ZONE_LIMIT
from pneumachron.core.sauce import reduce_sauce

MINUTE_S = 60.0
CARVE_S = (180.0, 300.0, 600.0)
CARVED_KEEPS_S = 900.0
"""Carved meat is served within a quarter of an hour. Common practice."""
COOL_S = (600.0, 900.0, 1800.0)
"""Hands for bagging and layering what is cooled. Common practice."""
SKIM_S = (180.0, 300.0, 420.0)
FINISH_LANES: dict[FinishKind, str] = {"broiler": "oven", "grill": "grill", "crisping": "pot"}
SIDE_UP_S = (180.0, 300.0, 480.0)
"""A small side in a pot that is still hot. Common practice."""
SIDE_VENT_S = (60.0, 120.0, 240.0)
"""Vented at once, nearly empty (practice: 1–2 min, 4 min for a litre)."""
SIDE_KEEPS_S = 1200.0
"""A side keeps its bite for twenty minutes under a lid. Common practice."""


def finished(dish: Dish, plans: list[Plan], run_ids: list[str]) -> list[Block]:
    """Rest, a side in its own run, sauce, crust, knife."""
    load = dish.wish.load
    family = load.pieces[0].cut.family
    keeps = afterwards()[family].keep_warm_s
    low, high = rest_for(load)
    rest = Block(
        block_id(dish, "rest"),
        dish.title,
        (segment("rest", (low, (low + high) / 2, high)),),
        tuple(Wait(run, 0.0, keeps, "kept_warm") for run in run_ids),
    )
    found = [rest, *own_runs(dish, run_ids[-1])]
    before_knife = [Wait(rest.block_id, 0.0, keeps, "kept_warm")]
    if dish.sauce:
        volume = max(plans[-1].ending.liquid_m3, 1e-4)
        reduced = reduce_sauce(dish.wish.pot, dish.wish.altitude_m, volume, 0.5)
        likely = reduced.heat_s + reduced.boil_s
        sauce = Block(
            block_id(dish, "sauce"),
            dish.title,
            (
                segment("skim", SKIM_S, "hands", PAN),
                segment("reduce", (0.8 * likely, likely, 1.3 * likely), PAN),
            ),
            (Wait(run_ids[-1], 0.0, keeps, "juice_hot"),),
            to_table_s=keeps,
        )  # fmt: skip
        found.append(sauce)
    crust = finish_for(load, dish.wish.pot, dish.finish)
    if crust.kind != "none":
        lane = FINISH_LANES[crust.kind]
        low, high = crust.total_s
        found.append(
            Block(
                block_id(dish, "finish"),
                dish.title,
                (segment("finish", (low, (low + high) / 2, high), "hands",
                         pot_lane(dish) if lane == "pot" else lane,
                         work=f"finish_{crust.kind}"),),
                (Wait(rest.block_id, 0.0, keeps, "kept_warm"),),
            )
        )  # fmt: skip
        before_knife = [Wait(block_id(dish, "finish"), 0.0, CARVED_KEEPS_S, "crust")]
    found.append(_carve(dish, tuple(before_knife)))
    return found


def _carve(dish: Dish, waits: tuple[Wait, ...]) -> Block:
    return Block(
        block_id(dish, "carve"),
        dish.title,
        (segment("carve", CARVE_S, "hands"),),
        waits,
        to_table_s=CARVED_KEEPS_S,
    )


def own_runs(dish: Dish, after_id: str) -> Iterator[Block]:
    """Sides that do not stand the meat's hold: a run of their own once the meat is out."""
    pot = pot_lane(dish)
    for number, extra in enumerate(dish.extras):
        if extra.when != "own_run":
            continue
        hold = MINUTE_S * extra.minutes
        yield Block(
            block_id(dish, f"side{number}"),
            dish.title,
            (
                segment("load", LOAD_S, "hands", pot, work="load_side", own=extra.title),
                segment("lid_check", LID_S, "hands", pot),
                segment("come_up", SIDE_UP_S, pot),
                segment("hold", (hold, hold, hold), pot),
                segment("venting", SIDE_VENT_S, "hands", pot),
            ),
            (Wait(after_id),),
            to_table_s=SIDE_KEEPS_S,
        )  # fmt: skip


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


def kept(dish: Dish, plans: list[Plan], before: str = "carve") -> Block:
    """After the meal, before two hours are over."""
    found = leftovers(dish, plans)
    work = segment(
        "keep",
        COOL_S,
        "hands",
        portions=found.portions,
        portion_kg=PORTION_KG,
        juice_m3=found.juice_m3 / max(found.portions, 1),
    )
    return Block(
        block_id(dish, "keep"),
        dish.title,
        (work,),
        (Wait(block_id(dish, before), 0.0, ZONE_LIMIT.value, "room_temperature"),),
        after_table=True,
    )

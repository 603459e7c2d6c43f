"""Made ahead: cooled fast, chilled or frozen, sliced cold, reheated."""

from pneumachron.core.day.after import CARVE_S, CARVED_KEEPS_S, COOL_S, kept, own_runs
from pneumachron.core.day.before import THAWED_KEEPS_S
from pneumachron.core.day.dish import Dish, block_id, segment
from pneumachron.core.day.schedule import Block, Wait
from pneumachron.core.errors import WishError
from pneumachron.core.keeping import cooling
from pneumachron.core.load import thaw_hours
from pneumachron.core.plan import Plan

CHILL_LEAST_S, CHILL_MOST_S = 8 * 3600.0, 3 * 86_400.0
"""Overnight, and at most three days at 4 °C. Common practice; USDA, from memory."""
FLAT_M = 0.025
"""Bags are laid this flat, to cool in time and to thaw overnight. Common practice: 2–3 cm."""
FREEZE_LEAST_S, FREEZE_MOST_S = 12 * 3600.0, 60 * 86_400.0
"""Overnight, and two months before it loses. Common practice."""
REHEAT_S = (1200.0, 1800.0, 2400.0)
"""Sliced, covered, with juice, to 74 °C in the oven. Common practice."""


def ahead(dish: Dish, plans: list[Plan], last_run: str) -> list[Block]:
    """Made ahead: cooled fast and apart from its juice, chilled, sliced cold, reheated."""
    piece = max(dish.wish.load.pieces, key=lambda item: item.thickness_m)
    found = cooling(piece.cut, piece.thickness_m, "ice_bath")
    if not found.safe:
        raise WishError("cools_too_slowly", "ahead")
    seconds = found.to_last_s
    cool = Block(
        block_id(dish, "cool"),
        dish.title,
        (
            segment("bag", COOL_S, "hands"),
            segment("cool", (seconds, seconds, seconds)),
        ),
        (Wait(last_run, 0.0, 1800.0, "cool_soon"),),
    )
    ready = [cool]
    if dish.ahead == "frozen":
        ready += _frozen(dish, cool.block_id)
    wait = Wait(cool.block_id, CHILL_LEAST_S, CHILL_MOST_S, "chilled")
    if dish.ahead == "frozen":
        wait = Wait(ready[-1].block_id, 0.0, THAWED_KEEPS_S, "thawed_cooked")
    reheat = Block(
        block_id(dish, "reheat"),
        dish.title,
        (
            segment("slice", CARVE_S, "hands"),
            segment("reheat", REHEAT_S, "oven"),
        ),
        (wait,),
        to_table_s=CARVED_KEEPS_S,
    )
    return [*ready, reheat, *own_runs(dish, last_run), kept(dish, plans, "reheat")]


def _frozen(dish: Dish, cool_id: str) -> list[Block]:
    """Frozen flat in its juice, and thawed in the refrigerator the day before."""
    freeze = Block(
        block_id(dish, "freeze"),
        dish.title,
        (segment("freeze", COOL_S, "hands"),),
        (Wait(cool_id, 0.0, CHILL_LEAST_S, "same_day"),),
    )
    seconds = 3600.0 * thaw_hours(FLAT_M)
    thaw = Block(
        block_id(dish, "thaw_cooked"),
        dish.title,
        (segment("thaw", (seconds, seconds, 1.5 * seconds), "fridge", work="thaw_bags"),),
        (Wait(freeze.block_id, FREEZE_LEAST_S, FREEZE_MOST_S, "frozen"),),
    )  # fmt: skip
    return [freeze, thaw]

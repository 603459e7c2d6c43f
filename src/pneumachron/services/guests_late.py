"""The guests come later: dish by dish, what waits and how."""

from collections.abc import Collection
from datetime import timedelta
from typing import Any

from sqlalchemy.orm import Session

from pneumachron.core.planning.batches import planned_batches
from pneumachron.core.schedule.dish import Dish, block_id
from pneumachron.core.schedule.guests_late import Stage, when_late
from pneumachron.services.day import DayInputs, dishes_of, is_over
from pneumachron.services.day_documents import late_document


def guests_late_here(
    session: Session, inputs: DayInputs, late_s: float, raw: Collection[str] = ()
) -> dict[str, Any]:
    """What waits when the guests come later, and when it is served then.

    Parameters
    ----------
    raw : dishes by their id whose meat is not heated yet, although work on them has begun

    Raises
    ------
    RequestError : a dish that cannot be cooked; its field is a path into the dishes.
    """
    dishes = dishes_of(session, inputs)
    told = [
        (
            dish,
            when_late(dish, "not_begun" if dish.dish_id in raw else _stage(dish, inputs), late_s),
        )
        for dish in dishes
    ]
    return late_document(inputs.table + timedelta(seconds=late_s), told, late_s)


def _stage(dish: Dish, inputs: DayInputs) -> Stage:
    begun = {done.block_id for done in inputs.done}
    over = {done.block_id for done in inputs.done if is_over(done, inputs.now)}
    if block_id(dish, "carve") in over:
        return "carved"
    if dish.ahead != "today":
        return "out" if block_id(dish, "reheat") in begun else "not_begun"
    last = block_id(dish, f"run{len(planned_batches(dish.request)) - 1}")
    if last in over:
        return "out"
    return "in_cooker" if last in begun else "not_begun"

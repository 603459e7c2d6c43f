"""The running day: what the cooks under way tell it, folded on the server as everywhere else."""

from collections.abc import Mapping
from contextlib import suppress
from dataclasses import replace
from datetime import UTC, datetime

from sqlalchemy.orm import Session

from pneumachron.core.schedule.actuals import actuals
from pneumachron.core.session.forecast import forecast
from pneumachron.core.session.late import is_heated
from pneumachron.services.cook_state import Moment, moment_of
from pneumachron.services.day import DayInputs, Done
from pneumachron.services.live_kitchen import LiveKitchen
from pneumachron.store.errors import NotFoundError


def with_actuals(
    session: Session, here: LiveKitchen, inputs: DayInputs, beside: Mapping[str, str]
) -> DayInputs:
    """A day with what its cooks tell: it stands above what was ticked by hand.

    Parameters
    ----------
    beside : the cook of each dish, by its id; one that is gone tells nothing
    """
    dishes = {item.dish_id for item in inputs.dishes}
    told: dict[str, Done] = {}
    for dish_id, cook_id in beside.items():
        if dish_id not in dishes:
            continue
        try:
            found = moment_of(session, here, cook_id)
        except NotFoundError:
            continue
        told |= {done.block_id: done for done in _told(dish_id, found)}
    ticked = tuple(done for done in inputs.done if done.block_id not in told)
    return replace(inputs, done=(*ticked, *told.values()))


def still_raw(session: Session, here: LiveKitchen, beside: Mapping[str, str]) -> frozenset[str]:
    """Dishes whose cook has begun, and whose meat is not heated yet."""
    found = set()
    for dish_id, cook_id in beside.items():
        with suppress(NotFoundError):
            sheet = moment_of(session, here, cook_id).sheet
            if not is_heated(sheet.steps, sheet.done_s):
                found.add(dish_id)
    return frozenset(found)


def _told(dish_id: str, found: Moment) -> list[Done]:
    sheet = found.sheet
    began_s = found.content.started_at.timestamp()
    ahead = forecast(sheet, found.clock.now().timestamp()).ahead
    seen = actuals(sheet.steps, sheet.done_s, began_s, {item.step_id: item.end_s for item in ahead})
    return [
        Done(
            f"{dish_id}:{item.block}",
            _moment(item.begin_s),
            _moment(item.end_s),
            is_seen=item.is_seen,
        )
        for item in seen
    ]


def _moment(at_s: float) -> datetime:
    return datetime.fromtimestamp(at_s, UTC)

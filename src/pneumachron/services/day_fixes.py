"""What would make a day that does not fit work: changes, each tried on the whole day."""

from collections.abc import Callable, Iterator, Sequence
from contextlib import suppress
from dataclasses import dataclass, replace
from typing import Any

from sqlalchemy.orm import Session

from pneumachron.core.catalog.pots import Pot
from pneumachron.core.errors import Param, WishError
from pneumachron.core.planning.cutting import cut_into
from pneumachron.core.planning.parting import is_whole, parted
from pneumachron.core.schedule.dish import Dish
from pneumachron.core.schedule.solver import LITTLE_WORK
from pneumachron.core.units import show_length
from pneumachron.services.day import Day, DayInputs, blocks_of_day, count_back, dishes_of
from pneumachron.services.households import current_household
from pneumachron.store import pots
from pneumachron.store.db import give_back
from pneumachron.text.say import say


@dataclass(frozen=True, slots=True)
class WaysOut:
    """Changes of one dish that help, best first; `complete` unless the time for it ran out."""

    ways: tuple[dict[str, Any], ...]
    complete: bool


def ways_out_here(session: Session, inputs: DayInputs, go_on: Callable[[], bool]) -> WaysOut:
    """Changes of one dish that leave less clash or less delay, as far as they were looked at.

    Parameters
    ----------
    go_on : asked before every step of the search; False ends it with what was found
    """
    dishes = dishes_of(session, inputs)
    home = current_household(session).household_id
    kept = [item.pot for item in pots.list_pots(session, home)]
    give_back(session)
    day = count_back(inputs, blocks_of_day(dishes, inputs), go_on)
    found = list(_ways_out(inputs, dishes, kept, day, go_on))
    best = sorted(found, key=lambda item: float(item["left_s"]))[:MOST_WAYS]
    return WaysOut(tuple(best), complete=go_on())


MOST_WAYS = 4


def _ways_out(
    inputs: DayInputs,
    dishes: Sequence[Dish],
    kept: Sequence[Pot],
    day: Day,
    go_on: Callable[[], bool],
) -> Iterator[dict[str, Any]]:
    """Changes of one dish that leave less clash or less delay, in any order."""
    now = _trouble(day)
    if now == 0.0:
        return
    begun = {done.block_id.partition(":")[0] for done in inputs.done}
    for index, dish in enumerate(dishes):
        if dish.dish_id in begun:
            continue  # what is under way is not cooked another way
        for kind, value, params, changed in _changes(dish, kept):
            if not go_on():
                return
            try:
                blocks = blocks_of_day([*dishes[:index], changed, *dishes[index + 1 :]], inputs)
            except WishError:
                continue
            left = _trouble(count_back(inputs, blocks, go_on, LITTLE_WORK))
            if left < now - 60.0:
                words = say(f"conflict-fix-{kind}", {"dish": dish.title, **params})
                yield {"dish_id": dish.dish_id, "kind": kind, "value": value, "words": words,
                       "left_s": left}  # fmt: skip


def _changes(dish: Dish, kept: Sequence[Pot]) -> list[tuple[str, str, dict[str, Param], Dish]]:
    """What could be done with a dish: kind, value, what is said of it, and how it would be."""
    found: list[tuple[str, str, dict[str, Param], Dish]] = [
        ("pot", pot.pot_id, {"pot": pot.name},
         replace(dish, wish=replace(dish.wish, pot=pot, liquid_m3=None)))
        for pot in kept
        if pot.pot_id != dish.wish.pot.pot_id
    ]  # fmt: skip
    if is_whole(dish.wish):
        with suppress(WishError):
            apart = replace(dish, wish=parted(dish.wish), parted=True)
            found.append(("parted", "", {}, apart))
    if dish.ahead == "today":
        ahead = replace(dish, ahead="day_before")
        found.append(("ahead", "day_before", {}, ahead))
    if dish.wish.release != "quick":
        quick = replace(dish, wish=replace(dish.wish, release="quick", wait_s=None, stay_s=None))
        found.append(("release", "quick", {}, quick))
    with suppress(WishError):
        halved = replace(dish, wish=cut_into(dish.wish, 2))
        thick_m = halved.wish.load.pieces[0].thickness_m
        typed = show_length(thick_m).metric
        found.append(("halved", typed, {"thickness_m": thick_m}, halved))
    return found


def _trouble(day: Day) -> float:
    return day.delay_s + sum(clash.over_s for clash in day.found.clashes)

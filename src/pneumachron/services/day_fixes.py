"""What would make a day that does not fit work: one change, found by the solver among all."""

from collections.abc import Callable, Iterator, Mapping, Sequence
from contextlib import suppress
from dataclasses import dataclass, replace
from datetime import datetime
from typing import Any

from sqlalchemy.orm import Session

from pneumachron.core.catalog.pots import Pot
from pneumachron.core.errors import Param, RequestError
from pneumachron.core.planning.cutting import cut_into
from pneumachron.core.planning.parting import is_whole, parted
from pneumachron.core.schedule.blocks import dish_blocks
from pneumachron.core.schedule.constraints import Way
from pneumachron.core.schedule.dish import Dish
from pneumachron.core.schedule.fixes import Change, best_fixes, cost_s
from pneumachron.core.schedule.model import Block
from pneumachron.core.units import show_length
from pneumachron.services.day import (
    MAX_COOKS,
    DayInputs,
    blocks_of_day,
    count_back,
    dishes_of,
    from_table_s,
    limits_of,
    standing,
)
from pneumachron.services.households import current_household
from pneumachron.store import pots
from pneumachron.store.db import give_back
from pneumachron.text.say import say


@dataclass(frozen=True, slots=True)
class Fixes:
    """Changes that help, best first; `complete` unless the time for it ran out."""

    fixes: tuple[dict[str, Any], ...]
    complete: bool


MOST_FIXES = 4


def fixes_here(session: Session, inputs: DayInputs, go_on: Callable[[], bool]) -> Fixes:
    """Changes that leave less clash or less delay, as far as they were looked at.

    Parameters
    ----------
    go_on : asked before every step of the search; False ends it with what was found
    """
    dishes = dishes_of(session, inputs)
    home = current_household(session).household_id
    kept = [item.pot for item in pots.list_pots(session, home)]
    give_back(session)
    blocks = blocks_of_day(dishes, inputs)
    day = count_back(inputs, blocks, go_on)
    costs_s = cost_s(day.found.clashes, day.delay_s)
    if costs_s == 0.0:
        return Fixes((), complete=True)
    stands = standing(inputs, blocks)
    ways = _as_wished(inputs, blocks, stands, dishes)
    told: dict[str | None, dict[str, Any]] = {}
    changes = []
    for change, words in _changes_of(inputs, dishes, kept, ways, go_on):
        told[change.key] = words
        changes.append(change)
    more_hands = inputs.cooks < MAX_COOKS
    if more_hands:
        told[None] = _words("", "hands", str(inputs.cooks + 1), {"count": inputs.cooks + 1})
    found = best_fixes(
        limits_of(inputs),
        ways[None],
        [ways[dish.dish_id] for dish in dishes],
        changes,
        now_costs_s=costs_s,
        most=MOST_FIXES,
        more_hands=more_hands,
        go_on=go_on,
    )
    best = tuple(told[way.key] | {"left_s": way.left_s} for way in found)
    return Fixes(best, complete=go_on())


def _as_wished(
    inputs: DayInputs,
    blocks: Sequence[Block],
    stands: Mapping[str, datetime],
    dishes: Sequence[Dish],
) -> dict[str | None, Way]:
    """The work on each dish by its id, and under None what belongs to no dish or is under way."""
    begun = _begun(inputs)
    movable = {dish.dish_id for dish in dishes} - begun
    fixed = {key: from_table_s(inputs, at) for key, at in stands.items()}
    groups: dict[str | None, list[Block]] = {None: []} | {dish.dish_id: [] for dish in dishes}
    for block in blocks:
        dish_id = _dish_of(block.block_id)
        groups[dish_id if dish_id in movable else None].append(block)
    return {
        key: Way(group, {b.block_id: fixed[b.block_id] for b in group if b.block_id in fixed})
        for key, group in groups.items()
    }


def _dish_of(block_id: str) -> str:
    return block_id.partition(":")[0]


def _begun(inputs: DayInputs) -> set[str]:
    """Dishes that are under way: they are not cooked another way."""
    return {_dish_of(done.block_id) for done in inputs.done}


def _changes_of(
    inputs: DayInputs,
    dishes: Sequence[Dish],
    kept: Sequence[Pot],
    ways: Mapping[str | None, Way],
    go_on: Callable[[], bool],
) -> Iterator[tuple[Change, dict[str, Any]]]:
    """Every change of one dish that can be cooked, and what is said of it."""
    begun = _begun(inputs)
    for number, dish in enumerate(dishes):
        if dish.dish_id in begun:
            continue
        wished = ways[dish.dish_id]
        if wished.fixed:
            words = _words(dish.dish_id, "unpinned", "", {"dish": dish.title})
            yield _change(number, "unpinned", "", Way(wished.blocks)), words
        for kind, value, params, changed in _changes(dish, _other_pots(kept, dishes)):
            if not go_on():
                return
            with suppress(RequestError):
                blocks = _with_shop(dish_blocks(changed), wished)
                names = {block.block_id for block in blocks}
                fixed = {key: at for key, at in wished.fixed.items() if key in names}
                words = _words(dish.dish_id, kind, value, {"dish": dish.title, **params})
                yield _change(number, kind, value, Way(blocks, fixed)), words


BOTHER_S = {"unpinned": 0, "pot": 0, "release": 10, "halved": 20, "parted": 20, "ahead": 60}
"""See `Change`: of ways that help alike, the least change comes first. Judgement."""


def _change(number: int, kind: str, value: str, way: Way) -> Change:
    group = f"{number} {kind}"
    return Change(f"{group} {value}", number, way, group, BOTHER_S[kind])


def _other_pots(kept: Sequence[Pot], dishes: Sequence[Dish]) -> list[Pot]:
    """Cookers that could take a dish: of those that are alike, one that nothing cooks in."""
    busy = {dish.request.pot.pot_id for dish in dishes}
    found: dict[Pot, Pot] = {}
    for pot in sorted(kept, key=lambda item: item.pot_id in busy):
        found.setdefault(replace(pot, pot_id="", name=""), pot)
    return list(found.values())


def _with_shop(blocks: Sequence[Block], wished: Way) -> Sequence[Block]:
    """The first work waits for the shop as it does in the dish as it is wished."""
    first = wished.blocks[0]
    own = {block.block_id for block in wished.blocks}
    shop = tuple(wait for wait in first.after if wait.block_id not in own)
    return [replace(blocks[0], after=(*blocks[0].after, *shop)), *blocks[1:]]


def _words(dish_id: str, kind: str, value: str, params: Mapping[str, Param]) -> dict[str, Any]:
    words = say(f"conflict-fix-{kind}", params)
    return {"dish_id": dish_id, "kind": kind, "value": value, "words": words}


def _changes(dish: Dish, kept: Sequence[Pot]) -> list[tuple[str, str, dict[str, Param], Dish]]:
    """What could be done with a dish: kind, value, what is said of it, and how it would be."""
    found: list[tuple[str, str, dict[str, Param], Dish]] = [
        ("pot", pot.pot_id, {"pot": pot.name},
         replace(dish, request=replace(dish.request, pot=pot, liquid_m3=None)))
        for pot in kept
        if pot.pot_id != dish.request.pot.pot_id
    ]  # fmt: skip
    if is_whole(dish.request):
        with suppress(RequestError):
            apart = replace(dish, request=parted(dish.request), parted=True)
            found.append(("parted", "", {}, apart))
    if dish.ahead == "today":
        ahead = replace(dish, ahead="day_before")
        found.append(("ahead", "day_before", {}, ahead))
    if dish.request.release != "quick":
        quick = replace(
            dish, request=replace(dish.request, release="quick", wait_s=None, stay_s=None)
        )
        found.append(("release", "quick", {}, quick))
    with suppress(RequestError):
        halved = replace(dish, request=cut_into(dish.request, 2))
        thick_m = halved.request.load.pieces[0].thickness_m
        typed = show_length(thick_m).metric
        found.append(("halved", typed, {"thickness_m": thick_m}, halved))
    return found

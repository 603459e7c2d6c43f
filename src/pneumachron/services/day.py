"""A day: planned cooks counted back from the time on the table, on the clock."""

from collections.abc import Sequence
from contextlib import suppress
from dataclasses import dataclass, replace
from datetime import datetime, timedelta
from typing import Any

from sqlalchemy.orm import Session

from pneumachron.core.alternatives import cut_into
from pneumachron.core.batches import batches
from pneumachron.core.dish import KITCHEN_LANES, Ahead, Dish, cold_chain, dish_blocks
from pneumachron.core.errors import WishError
from pneumachron.core.finish import FinishKind
from pneumachron.core.plan import make_plan
from pneumachron.core.pots import Pot
from pneumachron.core.schedule import Block, Schedule, schedule
from pneumachron.core.season import Marinade
from pneumachron.core.tenderness import TEXTURES
from pneumachron.core.units import show_length, show_mass, show_volume
from pneumachron.core.wish import Wish
from pneumachron.services.calendars import Event, write_calendar
from pneumachron.services.documents import shown_document
from pneumachron.services.households import current_household
from pneumachron.services.inputs import Defaults, PlanInputs, located, read_wish
from pneumachron.services.planning import find_pot
from pneumachron.store import pots

MAX_DISHES = 8
MAX_COOKS = 6
_TURNS = 6
"""Rounds of moving the table until nothing begins before now; each round mends most of it."""


@dataclass(frozen=True, slots=True)
class DishInputs:
    """A planned cook of the day, as typed."""

    dish_id: str
    title: str
    plan: PlanInputs
    from_freezer: bool = False
    ahead: Ahead = "today"
    sauce: bool = True
    marinade: Marinade | None = None
    eaters: int | None = None


@dataclass(frozen=True, slots=True)
class DayInputs:
    """When it should be on the table, and what stands already.

    `pinned` and `done` are starts by block; what is done is never moved.
    """

    table: datetime
    dishes: tuple[DishInputs, ...]
    cooks: int = 1
    pinned: tuple[tuple[str, datetime], ...] = ()
    done: tuple[tuple[str, datetime], ...] = ()
    now: datetime | None = None


@dataclass(frozen=True, slots=True)
class Day:
    """A day on the clock."""

    table: datetime
    delay_s: float
    found: Schedule


def day_here(session: Session, inputs: DayInputs) -> dict[str, Any]:
    """Count a day back and say what clashes.

    Raises
    ------
    WishError : a dish that cannot be cooked; its field is a path into the dishes.
    """
    dishes = _dishes(session, inputs)
    blocks = _blocks(dishes)
    day = _count_back(inputs, blocks)
    return _document(inputs, day) | {"cards": [_card(dish) for dish in dishes]}


def ways_out_here(session: Session, inputs: DayInputs) -> list[dict[str, Any]]:
    """Changes of one dish that leave less clash or less delay, best first."""
    dishes = _dishes(session, inputs)
    return _ways_out(session, inputs, dishes, _count_back(inputs, _blocks(dishes)))


def calendar_here(session: Session, inputs: DayInputs) -> bytes:
    """The day as an iCalendar file; ids are stable, so importing it again updates."""
    day = _count_back(inputs, _blocks(_dishes(session, inputs)))
    events = []
    for item in day.found.placed:
        begin = item.start_s
        for segment in item.block.segments:
            if segment.kind != "slack":
                events.append(
                    Event(
                        uid=f"{item.block.block_id}:{segment.kind}",
                        title=f"{item.block.dish}: {segment.title}",
                        start=day.table + timedelta(seconds=begin),
                        end=day.table + timedelta(seconds=begin + segment.likely_s),
                        alarm="hands" in segment.lanes,
                    )
                )
            begin += segment.likely_s
    return write_calendar(events)


def _dishes(session: Session, inputs: DayInputs) -> list[Dish]:
    household = current_household(session)
    defaults = Defaults(household.altitude_m, household.start_temp_c, household.taste_step)
    found = []
    for index, item in enumerate(inputs.dishes):
        pot = find_pot(session, household.household_id, item.plan.pot)
        try:
            wish = read_wish(item.plan, pot, defaults)
        except WishError as error:
            raise _of_dish(located(error), index) from None
        found.append(_dish(item, wish, item.plan.finish))
    return found


def _dish(item: DishInputs, wish: Wish, finish: FinishKind | None) -> Dish:
    return Dish(
        dish_id=item.dish_id,
        title=item.title,
        wish=wish,
        finish=finish,
        from_freezer=item.from_freezer,
        ahead=item.ahead,
        sauce=item.sauce,
        marinade=item.marinade,
        eaters=item.eaters,
    )


def _blocks(dishes: Sequence[Dish]) -> list[Block]:
    found: list[Block] = []
    for index, dish in enumerate(dishes):
        try:
            found += dish_blocks(dish)
        except WishError as error:
            raise _of_dish(error, index) from None
    return found


def _of_dish(error: WishError, index: int) -> WishError:
    field = f"dishes.{index}.{error.field}"
    return WishError(error.code, field, error.message, error.hint)


def _count_back(inputs: DayInputs, blocks: Sequence[Block]) -> Day:
    """The schedule; when it would have to begin before now, the table moves, and by how much."""
    stands = dict(inputs.pinned) | dict(inputs.done)
    table = inputs.table
    for _ in range(_TURNS):
        fixed = {key: (start - table).total_seconds() for key, start in stands.items()}
        found = schedule(blocks, KITCHEN_LANES | {"hands": inputs.cooks}, fixed=fixed)
        missing = _missing_s(found, inputs, table)
        if missing <= 0:
            break
        table += timedelta(seconds=60 * -(-missing // 60))
    return Day(table, (table - inputs.table).total_seconds(), found)


def _missing_s(found: Schedule, inputs: DayInputs, table: datetime) -> float:
    """By how much something free begins before now, or what stands pushes past the table."""
    stands = {key for key, _ in (*inputs.pinned, *inputs.done)}
    late = max((clash.over_s for clash in found.clashes if clash.why in _LATE), default=0.0)
    if inputs.now is None:
        return late if inputs.done else 0.0
    now_s = (inputs.now - table).total_seconds()
    begins = [
        item.start_s
        for item in found.placed
        if item.block.block_id not in stands and not item.block.after_table
    ]
    return max(now_s - min(begins, default=now_s), late if inputs.done else 0.0)


_LATE = {"it is late for the table", "what it needs is not ready"}


def _ways_out(
    session: Session, inputs: DayInputs, dishes: Sequence[Dish], day: Day
) -> list[dict[str, Any]]:
    """Changes of one dish that leave less clash or less delay, best first."""
    now = _trouble(day)
    if now == 0.0:
        return []
    home = current_household(session).household_id
    kept = [item.pot for item in pots.list_pots(session, home)]
    found: list[dict[str, Any]] = []
    for index, dish in enumerate(dishes):
        for kind, value, words, changed in _changes(dish, kept):
            try:
                blocks = _blocks([*dishes[:index], changed, *dishes[index + 1 :]])
            except WishError:
                continue
            left = _trouble(_count_back(inputs, blocks))
            if left < now - 60.0:
                found.append(
                    {"dish_id": dish.dish_id, "kind": kind, "value": value, "words": words,
                     "left_s": left}
                )  # fmt: skip
    return sorted(found, key=lambda item: float(item["left_s"]))[:4]


def _changes(dish: Dish, kept: Sequence[Pot]) -> list[tuple[str, str, str, Dish]]:
    """What could be done with a dish: kind, value, words, and the dish as it would be."""
    found = [
        ("pot", pot.pot_id, f"{dish.title} in {pot.name}",
         replace(dish, wish=replace(dish.wish, pot=pot, liquid_m3=None)))
        for pot in kept
        if pot.pot_id != dish.wish.pot.pot_id
    ]  # fmt: skip
    if dish.ahead == "today":
        ahead = replace(dish, ahead="day_before")
        words = f"cook {dish.title} the day before, chill and reheat"
        found.append(("ahead", "day_before", words, ahead))
    if dish.wish.release != "quick":
        quick = replace(dish, wish=replace(dish.wish, release="quick", wait_s=None, stay_s=None))
        found.append(("release", "quick", f"vent {dish.title} at once", quick))
    with suppress(WishError):
        halved = replace(dish, wish=cut_into(dish.wish, 2))
        thick = show_length(halved.wish.load.pieces[0].thickness_m).metric
        found.append(("halved", thick, f"halve {dish.title}, to {thick}", halved))
    return found


def _trouble(day: Day) -> float:
    return day.delay_s + sum(clash.over_s for clash in day.found.clashes)


def _card(dish: Dish) -> dict[str, Any]:
    """What stands on the card of a dish, by the pot."""
    plans = [make_plan(run) for run in batches(dish.wish)]
    plan = max(plans, key=lambda item: item.setup.wish.load.mass_kg)
    low, high = plan.hold_range_min
    chain = cold_chain(plan)
    piece = plan.outcomes[0].piece
    mass = show_mass(dish.wish.load.mass_kg)
    return {
        "dish_id": dish.dish_id,
        "title": dish.title,
        "meat": f"{piece.cut.name}, {mass.metric} ({mass.us})",
        "runs": len(plans),
        "hold_min": plan.hold_min,
        "hold_low_min": low,
        "hold_high_min": high,
        "level": dish.wish.level,
        "pot": dish.wish.pot.name,
        "liquid_shown": shown_document(show_volume(plan.setup.filling.liquid_m3)),
        "rack": plan.setup.standing.rack,
        "release": plan.setup.release,
        "looks": piece.cut.looks[TEXTURES[round(dish.wish.texture_step)]],
        "cautions": [item.text for item in plan.cautions if item.severity == "careful"],
        "out_s": chain.out_s,
        "cold_chain_safe": chain.safe,
        "bought": [
            f"{piece.cut.name}: {bought.metric} ({bought.us})"
            for bought in [show_mass(sum(sum(item.serving.bought_kg) / 2 for item in plans))]
        ],
        "plates_from": sum(item.serving.plates[0] for item in plans),
        "plates_to": sum(item.serving.plates[1] for item in plans),
    }


def _document(inputs: DayInputs, day: Day) -> dict[str, Any]:
    stands = {key: "pinned" for key, _ in inputs.pinned} | {key: "done" for key, _ in inputs.done}
    ids = {item.dish_id: item.title for item in inputs.dishes}
    return {
        "table": day.table,
        "delay_s": day.delay_s,
        "start": day.table + timedelta(seconds=day.found.start_s),
        "blocks": [
            {
                "block_id": item.block.block_id,
                "dish_id": item.block.block_id.partition(":")[0],
                "dish": ids[item.block.block_id.partition(":")[0]],
                "start": day.table + timedelta(seconds=item.start_s),
                "end": day.table + timedelta(seconds=item.end_s),
                "state": stands.get(item.block.block_id, "free"),
                "gauge": [list(point) for point in item.block.gauge],
                "segments": [
                    {
                        "kind": segment.kind,
                        "title": segment.title,
                        "low_s": segment.low_s,
                        "likely_s": segment.likely_s,
                        "high_s": segment.high_s,
                        "lanes": list(segment.lanes),
                    }
                    for segment in item.block.segments
                ],
            }
            for item in day.found.placed
        ],
        "clashes": [
            {"block_id": clash.block_id, "dish": clash.dish, "over_s": clash.over_s,
             "why": clash.why}
            for clash in day.found.clashes
        ],
    }  # fmt: skip

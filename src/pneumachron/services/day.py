"""A day: planned cooks counted back from the time on the table, on the clock."""

from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass
from datetime import datetime, time, timedelta
from functools import cache
from threading import Thread
from typing import Any

from sqlalchemy.orm import Session

from pneumachron.core.errors import RequestError
from pneumachron.core.planning.parting import parted
from pneumachron.core.planning.request import CookRequest
from pneumachron.core.planning.season import Marinade
from pneumachron.core.procedure.choices import Ahead, Extra, Kept, SauceTo
from pneumachron.core.schedule import solver
from pneumachron.core.schedule.blocks import day_blocks
from pneumachron.core.schedule.constraints import DayLimits
from pneumachron.core.schedule.dish import KITCHEN_LANES, Dish
from pneumachron.core.schedule.model import Block, Schedule, UnavailableWindow, lasting
from pneumachron.core.schedule.schedule import schedule
from pneumachron.services.day_documents import State, card_document, day_document
from pneumachron.services.households import current_household
from pneumachron.services.inputs import PlanInputs, located, read_request, span_s
from pneumachron.services.learning import household_defaults
from pneumachron.services.planning import find_pot
from pneumachron.store.days import DAYS
from pneumachron.store.db import give_back
from pneumachron.store.records import DayContent, StoredDay

MAX_DISHES = 8
MAX_COOKS = 6
MAX_AWAY = 40


@dataclass(frozen=True, slots=True)
class DishInputs:
    """A planned cook of the day, as typed."""

    dish_id: str
    title: str
    plan: PlanInputs
    from_freezer: bool = False
    ahead: Ahead = "today"
    sauce: SauceTo = "half"
    sauce_ml: int | None = None
    rubbed: bool = False
    rub_min: Sequence[float] | None = None
    crackling: bool = False
    pulled_first: bool = False
    marinade: Marinade | None = None
    marinate_min: Sequence[float] | None = None
    fat_mm: int | None = None
    sear_min: float | None = None
    sear_batches: int | None = None
    eaters: int | None = None
    leftovers: Kept = "chill"
    parted: bool = False
    extras: tuple[Extra, ...] = ()


@dataclass(frozen=True, slots=True)
class Done:
    """Work that has begun, and when it ended, or will as far as can be seen."""

    block_id: str
    start: datetime
    end: datetime | None
    is_seen: bool = False
    """It goes on; its end is a forecast."""


@dataclass(frozen=True, slots=True)
class DayInputs:
    """When it should be on the table, and what stands already.

    `pinned` are starts by block; what has begun or is done is never moved. `away` are the times
    in which nobody has hands: the night, the rehearsal.
    """

    table: datetime
    dishes: tuple[DishInputs, ...]
    cooks: int = 1
    pinned: tuple[tuple[str, datetime], ...] = ()
    done: tuple[Done, ...] = ()
    away: tuple[tuple[datetime, datetime], ...] = ()
    shop: bool = False
    now: datetime | None = None


@dataclass(frozen=True, slots=True)
class Day:
    """A day on the clock."""

    table: datetime
    delay_s: float
    found: Schedule
    states: Mapping[str, State]


def day_here(session: Session, inputs: DayInputs) -> dict[str, Any]:
    """Count a day back and say what clashes.

    Raises
    ------
    RequestError : a dish that cannot be cooked; its field is a path into the dishes.
    """
    dishes = dishes_of(session, inputs)
    day = count_back(inputs, blocks_of_day(dishes, inputs))
    titles = {item.dish_id: item.title for item in inputs.dishes}
    document = day_document(day.table, day.delay_s, day.found, titles, day.states)
    done = [
        {
            "block_id": item.block_id,
            "start": item.start,
            "end": None if item.is_seen else item.end,
        }
        for item in inputs.done
    ]
    return document | {"cards": [card_document(dish) for dish in dishes], "done": done}


def counted_back(session: Session, inputs: DayInputs) -> Day:
    """The day that was asked for, counted back from the table."""
    return count_back(inputs, blocks_of_day(dishes_of(session, inputs), inputs))


def dishes_of(session: Session, inputs: DayInputs) -> list[Dish]:
    """The dishes of a day, with what the household knows.

    Raises
    ------
    RequestError : a dish that cannot be cooked; its field is a path into the dishes.
    """
    household = current_household(session)
    asked = [
        (find_pot(session, household.household_id, item.plan.pot),
         household_defaults(session, item.plan))
        for item in inputs.dishes
    ]  # fmt: skip
    give_back(session)
    found = []
    for index, (item, (pot, defaults)) in enumerate(zip(inputs.dishes, asked, strict=True)):
        try:
            request = read_request(item.plan, pot, defaults)
            if item.parted and not request.parted:
                request = parted(request)
        except RequestError as error:
            raise _of_dish(located(error), index) from None
        found.append(_dish(item, request, inputs.table))
    return found


def _dish(item: DishInputs, request: CookRequest, table: datetime) -> Dish:
    return Dish(
        dish_id=item.dish_id,
        title=item.title,
        request=request,
        finish=item.plan.finish,
        from_freezer=item.from_freezer,
        ahead=item.ahead,
        sauce=item.sauce,
        sauce_m3=None if item.sauce_ml is None else item.sauce_ml / 1e6,
        rubbed=item.rubbed,
        rub_s=span_s(item.rub_min),
        crackling=item.crackling,
        pulled_first=item.pulled_first,
        marinade=item.marinade,
        marinate_s=span_s(item.marinate_min),
        fat_m=None if item.fat_mm is None else item.fat_mm / 1000.0,
        sear_s=None if item.sear_min is None else 60.0 * item.sear_min,
        sear_batches=item.sear_batches,
        eaters=item.eaters,
        leftovers=item.leftovers,
        parted=item.parted,
        extras=item.extras,
        evening_s=evening_s(table),
    )


EVENING_ENDS = time(22)
"""Hands rest from here on. Common practice."""
SMALL_HOURS = time(4)
"""What is served before belongs to the evening before."""


def evening_s(table: datetime) -> float:
    """How long before serving the evening of the day before ends [s]."""
    days = 2 if table.time() < SMALL_HOURS else 1
    evening = datetime.combine(table.date() - timedelta(days), EVENING_ENDS, table.tzinfo)
    return (table - evening).total_seconds()


def blocks_of_day(dishes: Sequence[Dish], inputs: DayInputs) -> list[Block]:
    """All work; what is over lasted as long as it did."""
    try:
        blocks = day_blocks(dishes, shop=inputs.shop)
    except RequestError as error:
        raise _of_dish(error, error.entry or 0) from None
    took = {
        done.block_id: (done.end - done.start).total_seconds()
        for done in inputs.done
        if done.end is not None
    }
    return [
        lasting(block, took[block.block_id]) if block.block_id in took else block
        for block in blocks
    ]


def _of_dish(error: RequestError, index: int) -> RequestError:
    field = f"dishes.{index}.{error.field}"
    return error.at_field(field)


def count_back(
    inputs: DayInputs, blocks: Sequence[Block], go_on: Callable[[], bool] = lambda: True
) -> Day:
    """The schedule; when it would have to begin before now, the table moves, and by how much."""
    stands = standing(inputs, blocks)
    fixed = {key: from_table_s(inputs, at) for key, at in stands.items()}
    found = schedule(blocks, limits_of(inputs), fixed=fixed, go_on=go_on)
    table = inputs.table + timedelta(seconds=found.delay_s)
    return Day(table, found.delay_s, found, _states(inputs, stands))


def from_table_s(inputs: DayInputs, at: datetime) -> float:
    """A time on the clock, from the table that was wished [s]."""
    return (at - inputs.table).total_seconds()


def limits_of(inputs: DayInputs) -> DayLimits:
    """Hands, lanes and clock of a day."""
    return DayLimits(
        capacity=KITCHEN_LANES | {"hands": inputs.cooks},
        closed=[
            UnavailableWindow("hands", from_table_s(inputs, begin), from_table_s(inputs, end))
            for begin, end in inputs.away
        ],
        now_s=None if inputs.now is None else from_table_s(inputs, inputs.now),
        table_moves=inputs.now is not None or bool(inputs.done),
        begun=frozenset(done.block_id for done in inputs.done),
    )


def standing(inputs: DayInputs, blocks: Sequence[Block]) -> dict[str, datetime]:
    """Starts that nobody moves: pinned, under way, or over."""
    return dict(inputs.pinned) | _over(inputs, blocks)


def _over(inputs: DayInputs, blocks: Sequence[Block]) -> dict[str, datetime]:
    """Starts of what has begun, and of all it needed: nobody ticks what goes without saying."""
    over = {done.block_id: done.start for done in inputs.done}
    known = {block.block_id: block for block in blocks}
    waiting = [key for key in over if key in known]
    while waiting:
        block = known[waiting.pop()]
        for wait in block.after:
            before = known.get(wait.block_id)
            if before is not None and wait.block_id not in over:
                gap_s = wait.least_s + before.duration_s
                over[wait.block_id] = over[block.block_id] - timedelta(seconds=gap_s)
                waiting.append(wait.block_id)
    return over


def _states(inputs: DayInputs, stands: Mapping[str, datetime]) -> dict[str, State]:
    begun = {done.block_id for done in inputs.done if not is_over(done, inputs.now)}
    pinned = {key for key, _ in inputs.pinned}
    ticked = {done.block_id for done in inputs.done}
    found: dict[str, State] = {}
    for key in stands:
        if key in begun:
            found[key] = "begun"
        else:
            found[key] = "pinned" if key in pinned - ticked else "done"
    return found


_CLOCKS_APART = timedelta(minutes=1)
"""A tick and the time of the question are not of the same second."""


def is_over(done: Done, now: datetime | None) -> bool:
    """An end that is still to come is a forecast: it goes on till then."""
    if done.is_seen:
        return False
    return done.end is not None and (now is None or done.end <= now + _CLOCKS_APART)


@cache
def warm_up() -> None:
    """Load the solver beside: the Schedule is opened, so a day is about to be planned."""
    Thread(target=solver.warm_up, daemon=True).start()


def list_days(
    session: Session, *, search: str, limit: int, offset: int
) -> tuple[list[StoredDay], int]:
    """Days that are kept, the newest first, and how many there are."""
    home = current_household(session).household_id
    return DAYS.page(session, home, search=search, limit=limit, offset=offset)


def get_day(session: Session, day_id: str) -> StoredDay:
    """A day as it was kept."""
    return DAYS.get(session, current_household(session).household_id, day_id)


def keep_day(
    session: Session,
    name: str,
    document: dict[str, Any],
    day_id: str | None = None,
    seen: int | None = None,
) -> StoredDay:
    """Keep a day: a new one, or in place of `day_id`, if that has the version `seen`."""
    home = current_household(session).household_id
    content = DayContent(name, document)
    if day_id is None:
        return DAYS.add(session, home, content)
    return DAYS.replace(session, home, day_id, content, seen)


def set_day_deleted(session: Session, day_id: str, *, deleted: bool) -> None:
    """Delete a saved schedule, or restore it."""
    home = current_household(session).household_id
    DAYS.set_deleted(session, home, day_id, deleted=deleted)

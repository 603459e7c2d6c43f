"""All work on the dishes of a day, as blocks that wait for each other, and its cold chain."""

from collections.abc import Sequence
from dataclasses import dataclass

from pneumachron.core.errors import RequestError
from pneumachron.core.planning.batches import planned_batches
from pneumachron.core.planning.plan import Plan, make_plan
from pneumachron.core.planning.season import searing
from pneumachron.core.procedure.before_lid import TEMPER_S
from pneumachron.core.procedure.to_table import FLAT_M
from pneumachron.core.safety.cooling import Cooling, cooling
from pneumachron.core.safety.limits import ZONE_HIGH, ZONE_LIMIT
from pneumachron.core.schedule import prep
from pneumachron.core.schedule.dish import LID_S, LOAD_S, Dish
from pneumachron.core.schedule.finishing import crackling, finished, kept
from pneumachron.core.schedule.make_ahead import ahead
from pneumachron.core.schedule.model import Block
from pneumachron.core.schedule.run import run


def day_blocks(dishes: Sequence[Dish], *, shop: bool = False) -> tuple[Block, ...]:
    """All work of a day, with one trip to the shop when it is wished.

    Raises
    ------
    RequestError : a dish that cannot be cooked; `entry` tells which.
    """
    found: list[Block] = []
    kinds: dict[str, str] = {}
    for index, dish in enumerate(dishes):
        try:
            blocks = dish_blocks(dish)
        except RequestError as error:
            raise error.at_entry(index) from None
        if not dish.from_freezer:
            kind = dish.request.load.pieces[0].cut.kind
            kinds |= dict.fromkeys((blocks[0].block_id, *prep.before_the_knife(dish)), kind)
        found += blocks
    return prep.shopping(found, kinds) if shop else tuple(found)


def dish_blocks(dish: Dish) -> tuple[Block, ...]:
    """All work on a dish, in the order of work.

    Raises
    ------
    RequestError : it cannot be cooked; says what to do.
    """
    plans = [make_plan(part) for part in planned_batches(dish.request)]
    found = [prep.trim(dish, plans[0])]
    if dish.from_freezer:
        found.insert(0, prep.thaw(dish))
    found += prep.in_the_cold(dish)
    if dish.request.tempered:
        found.append(prep.temper(dish))
    runs = [run(dish, plan, number, len(plans)) for number, plan in enumerate(plans)]
    found += [*runs, *prep.extras(dish), *crackling(dish)]
    if dish.ahead != "today":
        return (*found, *ahead(dish, plans, runs[-1].block_id))
    found += finished(dish, plans, [block.block_id for block in runs])
    return (*found, kept(dish, plans))


@dataclass(frozen=True, slots=True)
class ColdChain:
    """How long the raw meat is out of the refrigerator before its middle passes 60 °C."""

    out_s: float
    safe: bool
    leftovers: Cooling
    """Of what is left, flat in bags in the refrigerator."""


def cold_chain(plan: Plan) -> ColdChain:
    """Trimming, browning, loading, and the pot until the middle is hot: within two hours."""
    pot = plan.setup.request.pot
    load = plan.setup.request.load
    hands = prep.TRIM_S[1] + LOAD_S[1] + LID_S[1]
    if plan.setup.request.tempered:
        hands += TEMPER_S[1]
    if load.pieces[0].cut.sears:
        hands += sum(searing(load, pot).total_s) / 2
    hot = plan.trace.core_c >= ZONE_HIGH.value
    until = float(plan.trace.time_s[hot][0]) if hot.any() else float(plan.trace.time_s[-1])
    cut = load.pieces[0].cut
    bags = cooling(cut, FLAT_M, "refrigerator")
    return ColdChain(hands + until, hands + until <= ZONE_LIMIT.value, bags)

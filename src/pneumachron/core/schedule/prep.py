"""Before the pot: shop, thaw, part, trim and season, marinate, temper."""

from collections.abc import Iterator, Sequence
from dataclasses import replace

from pneumachron.core.planning.plan import Plan
from pneumachron.core.planning.season import marinating
from pneumachron.core.procedure.before_lid import RIND_ID, SIDE_ID, raw_steps, side_steps
from pneumachron.core.procedure.choices import Extra, ExtraWhen
from pneumachron.core.schedule.dish import Dish, block_id, brought, segment, stretch
from pneumachron.core.schedule.model import LONGEST_S, Block, Segment, Wait, WaitWhy

DAY_S = 86_400.0
SHOP_ID = "*:shop"
SHOP_DISH = "*"
"""No dish: it is for all of them."""
SHOP_S = (1800.0, 3600.0, 5400.0)
"""Half an hour to an hour and a half with the list. Common practice."""
RAW_KEEPS_S = {"beef": 3 * DAY_S, "pork": 3 * DAY_S, "poultry": DAY_S}
"""Raw in the refrigerator: 3–5 days for whole cuts, 1–2 for poultry; the shorter is taken. USDA,
from memory."""
RAW_WHY: dict[str, WaitWhy] = {
    "beef": "raw_beef", "pork": "raw_pork", "poultry": "raw_poultry",
}  # fmt: skip
TRIM_S = (300.0, 600.0, 1200.0)
"""Trim, measure, portion, season, for one load. Common practice."""
RUB_LEAST_S, RUB_MOST_S = 600.0, DAY_S
"""Ten minutes to overnight, in the refrigerator. Common practice."""
TEMPERED_KEEPS_S = 600.0
"""From the counter straight into the pot or the pan. Common practice."""
THAWED_KEEPS_S = DAY_S
"""Thawed meat is cooked within a day. USDA, from memory."""
EXTRA_KEEPS_S = DAY_S
"""What a recipe has mixed or cut beside the pot keeps a day. Common practice."""


def shopping(blocks: Sequence[Block], kinds: dict[str, str]) -> tuple[Block, ...]:
    """One trip for all dishes, and the first work on each that waits for it.

    Parameters
    ----------
    blocks : of all dishes
    kinds : what meat the first block of a dish works on, by block id: beef, pork, poultry
    """
    shop = Block(
        SHOP_ID,
        SHOP_DISH,
        (segment("shop", SHOP_S, "hands"),),
    )
    waiting = [_after_the_shop(block, kinds.get(block.block_id)) for block in blocks]
    return (shop, *waiting)


def _after_the_shop(block: Block, kind: str | None) -> Block:
    if kind is None:
        return block
    wait = Wait(SHOP_ID, 0.0, RAW_KEEPS_S[kind], RAW_WHY[kind])
    return replace(block, after=(*block.after, wait))


def _raw(dish: Dish, step_id: str) -> Segment:
    """A step with the raw meat as a stretch of the day."""
    thick = dish.request.load.pieces[0].thickness_m
    steps = raw_steps(dish.request, thick, brought(dish))
    return stretch(dish, next(step for step in steps if step.step_id == step_id))


def thaw(dish: Dish) -> Block:
    """From the freezer into the refrigerator, as long as the thickest piece takes."""
    return Block(block_id(dish, "thaw"), dish.title, (_raw(dish, "fetch"), _raw(dish, "thaw")))


def trim(dish: Dish, plan: Plan) -> Block:
    """Trim, portion and season; a whole brisket is parted first."""
    waits = (*_thawed(dish), *extra_waits(dish, ("before_rub",)))
    thick = plan.outcomes[0].piece.thickness_m
    trimmed = "season_trimmed" if dish.fat_m is not None else ""
    work = [segment("season", TRIM_S, "hands", work=trimmed, thickness_m=thick)]
    if dish.fat_m is not None:
        work.insert(0, _raw(dish, "trim"))
    if dish.crackling:
        work.insert(0, _raw(dish, RIND_ID))
    if dish.parted or dish.request.parted:
        work.insert(0, _raw(dish, "part"))
    return Block(block_id(dish, "season"), dish.title, tuple(work), waits)


def _thawed(dish: Dish) -> tuple[Wait, ...]:
    """What is done with meat from the freezer waits for it to be thawed."""
    wait = Wait(block_id(dish, "thaw"), 0.0, THAWED_KEEPS_S, "thawed")
    return (wait,) if dish.from_freezer else ()


def in_the_cold(dish: Dish) -> Iterator[Block]:
    """Under its rub, and in its marinade, covered, in the refrigerator."""
    before = "season"
    for kind, wanted in (("rub", dish.rubbed), ("marinate", dish.marinade is not None)):
        if wanted:
            waits = (Wait(block_id(dish, before), 0.0, RUB_MOST_S, "trimmed"),)
            yield Block(block_id(dish, kind), dish.title, (_raw(dish, kind),), waits)
            before = kind


def temper(dish: Dish) -> Block:
    """Out of the refrigerator, and straight from the counter into the pot."""
    return Block(
        block_id(dish, "temper"),
        dish.title,
        (_raw(dish, "take_out"), _raw(dish, "temper")),
        raw_waits(dish),
    )


def extras(dish: Dish) -> Iterator[Block]:
    """A recipe's own work: before the pot, or any time within a day."""
    for number, extra in enumerate(dish.extras):
        if extra.when in {"own_run", "at_end", "at_table"}:
            continue
        if extra.when == "first_run":
            yield side_block(dish, number, extra)
            continue
        likely = 60.0 * extra.minutes
        span = (0.7 * likely, likely, 1.5 * likely)
        yield Block(
            block_id(dish, f"extra{number}"),
            dish.title,
            (segment("extra", span, "hands", work=f"extra_{extra.when}", own=extra.title),),
            _thawed(dish) if extra.when == "before_rub" else (),
            to_table_s=None if extra.when in _BEFORE else EXTRA_KEEPS_S,
        )


def before_the_knife(dish: Dish) -> tuple[str, ...]:
    """Blocks of work on the meat before it is trimmed: ribs that are soaked."""
    return tuple(wait.block_id for wait in extra_waits(dish, ("before_rub",)))


SIDE_KINDS = ("load", "lid_check", "come_up", "hold", "venting")
"""What the steps of a side are called in calendars, for good."""


def side_block(dish: Dish, number: int, extra: Extra) -> Block:
    """A run of the cooker for something else than the meat; whoever asks says what it waits for."""
    stretches = zip(side_steps(number, extra), SIDE_KINDS, strict=True)
    return Block(
        block_id(dish, f"{SIDE_ID}{number}"),
        dish.title,
        tuple(stretch(dish, step, kind) for step, kind in stretches),
    )


def extra_waits(
    dish: Dish, when: Sequence[ExtraWhen] = ("before_pot", "first_run")
) -> tuple[Wait, ...]:
    """What of it the pot waits for, or the knife that trims."""
    return tuple(
        Wait(block_id(dish, f"{_BEFORE[extra.when]}{number}"), 0.0, _KEEPS_S[extra.when], "extra")
        for number, extra in enumerate(dish.extras)
        if extra.when in when
    )


PULSES_KEEP_S = 1800.0
"""Cooked pulses stand out for two hours at most: soon after them the meat goes in. USDA, from
memory."""
_BEFORE: dict[ExtraWhen, str] = {
    "before_rub": "extra", "before_pot": "extra", "first_run": SIDE_ID,
}  # fmt: skip
_KEEPS_S: dict[ExtraWhen, float] = {
    "before_rub": EXTRA_KEEPS_S, "before_pot": EXTRA_KEEPS_S, "first_run": PULSES_KEEP_S,
}  # fmt: skip


def raw_waits(dish: Dish) -> tuple[Wait, ...]:
    """What the meat, seasoned or marinated, waits for."""
    season = Wait(block_id(dish, "season"), RUB_LEAST_S, RUB_MOST_S, "rubbed")
    if dish.marinade is not None:
        longest = marinating(dish.request.load, dish.marinade).longest_s
        return (
            replace(season, most_s=LONGEST_S),
            Wait(block_id(dish, "marinate"), 0.0, longest, "marinade"),
        )
    if dish.rubbed:
        return (
            replace(season, most_s=LONGEST_S),
            Wait(block_id(dish, "rub"), 0.0, RUB_MOST_S, "rubbed"),
        )
    return (season,)

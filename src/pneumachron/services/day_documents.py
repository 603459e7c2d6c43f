"""A day as a document for the wire: blocks on the clock, clashes, cards."""

from collections.abc import Mapping, Sequence
from datetime import datetime, timedelta
from typing import Any, Literal, TypeAlias

from pneumachron.core.physics.tenderness import TEXTURES
from pneumachron.core.planning.batches import planned_batches
from pneumachron.core.planning.plan import make_plan
from pneumachron.core.planning.serving import by_cut
from pneumachron.core.procedure.choices import WARM_OVEN_C
from pneumachron.core.schedule.blocks import cold_chain
from pneumachron.core.schedule.dish import Dish
from pneumachron.core.schedule.guests_late import Late
from pneumachron.core.schedule.model import Schedule, ScheduledBlock
from pneumachron.core.schedule.prep import SHOP_DISH
from pneumachron.core.units import show_volume
from pneumachron.services.documents import shown_document
from pneumachron.services.release_shown import release_shown
from pneumachron.services.wording import careful, dish_name, say_work
from pneumachron.text.say import say, say_cut

State: TypeAlias = Literal["free", "pinned", "begun", "done"]


def card_document(dish: Dish) -> dict[str, Any]:
    """What stands on the card of a dish, by the pot."""
    plans = [make_plan(run) for run in planned_batches(dish.request)]
    plan = max(plans, key=lambda item: item.setup.request.load.mass_kg)
    low, high = plan.hold_range_min
    chain = cold_chain(plan)
    piece = plan.outcomes[0].piece
    cuts = by_cut(item.setup.request.load for item in plans)
    return {
        "dish_id": dish.dish_id,
        "title": dish.title,
        "meats": [
            say("card-meat", {"cut": cut_id, "mass_kg": in_pot_kg})
            for cut_id, (in_pot_kg, _) in cuts.items()
        ],
        "runs": len(plans),
        "hold_min": plan.hold_min,
        "then_min": plan.later[0].hold_min if plan.later and plan.later[0].goes_on else None,
        "hold_low_min": low,
        "hold_high_min": high,
        "level": dish.request.level,
        "pot": dish.request.pot.name,
        "liquid_shown": shown_document(show_volume(plan.setup.filling.liquid_m3)),
        "rack": plan.setup.arrangement.rack,
        "release": plan.setup.release,
        "release_shown": release_shown(plan),
        "looks": say_cut(piece.cut.cut_id, TEXTURES[round(dish.request.tenderness_step)]),
        "cautions": careful(plan),
        "out_s": chain.out_s,
        "cold_chain_safe": chain.safe,
        "leftovers_to_21_s": chain.leftovers.to_first_s,
        "leftovers_to_5_s": chain.leftovers.to_last_s,
        "leftovers_safe": chain.leftovers.safe,
        "bought": [
            say("card-bought", {"cut": cut_id, "mass_kg": bought_kg})
            for cut_id, (_, bought_kg) in cuts.items()
        ],
        "plates_from": sum(item.serving.plates[0] for item in plans),
        "plates_to": sum(item.serving.plates[1] for item in plans),
    }


def day_document(
    table: datetime,
    delay_s: float,
    found: Schedule,
    titles: Mapping[str, str],
    states: Mapping[str, State],
) -> dict[str, Any]:
    """The blocks on the clock."""
    return {
        "table": table,
        "delay_s": delay_s,
        "start": table + timedelta(seconds=found.start_s),
        "safe": found.is_safe,
        "proved": found.proved,
        "blocks": [_block(table, item, titles, states) for item in found.placed],
        "clashes": [
            {"block_id": clash.block_id, "dish": dish_name(clash.dish), "over_s": clash.over_s,
             "why": say(f"conflict-{clash.why}", {"most_s": clash.most_s})}
            for clash in found.clashes
        ],
    }  # fmt: skip


def _block(
    table: datetime, item: ScheduledBlock, titles: Mapping[str, str], states: Mapping[str, State]
) -> dict[str, Any]:
    block = item.block
    dish_id = block.block_id.partition(":")[0]
    return {
        "block_id": block.block_id,
        "dish_id": dish_id,
        "dish": titles.get(dish_id) or dish_name(SHOP_DISH),
        "start": table + timedelta(seconds=item.start_s),
        "end": table + timedelta(seconds=item.end_s),
        "state": states.get(block.block_id, "free"),
        "gauge": [list(point) for point in block.gauge],
        "segments": [
            {
                "kind": part.kind,
                "title": say_work(part),
                "low_s": part.low_s,
                "likely_s": part.likely_s,
                "high_s": part.high_s,
                "lanes": list(part.lanes),
            }
            for part in block.segments
        ],
    }


TELL_STEPS, TELL_SOFTER_STEPS = 0.05, 0.2
"""Less is no difference; less than the second is hardly one. Judgement."""


def late_document(
    table: datetime, told: Sequence[tuple[Dish, Late]], late_s: float
) -> dict[str, Any]:
    """What waits when the guests are late, and when it is served."""
    return {
        "table": table,
        "dishes": [
            {
                "dish_id": dish.dish_id,
                "how": late.how,
                "words": say(
                    f"late-{late.how}",
                    {"dish": dish.title, "late_s": late_s, "oven_c": WARM_OVEN_C},
                ),
                "tenderness": _softer(late),
                "softer_steps": round(late.softer_steps, 2),
            }
            for dish, late in told
        ],
    }


def _softer(late: Late) -> str:
    if late.softer_steps < TELL_STEPS:
        return say("late-as_planned")
    if late.softer_steps < TELL_SOFTER_STEPS:
        return say("late-hardly")
    return say("late-softer", {"steps": round(late.softer_steps, 1)})

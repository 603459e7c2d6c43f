"""Answers to what a cook asks around a plan, as documents for the wire."""

from dataclasses import asdict
from typing import Any

from pneumachron.core.catalog.cuts import cut_by_id
from pneumachron.core.catalog.pots import Pot
from pneumachron.core.catalog.sides import side_advice, sides
from pneumachron.core.planning.finish import FinishKind, afterwards, carving, finish_for, rest_for
from pneumachron.core.planning.load import Load
from pneumachron.core.planning.plan import is_pulled
from pneumachron.core.planning.recovery import PutBack, Resumed, Translated, rescue, texture_near
from pneumachron.core.planning.request import CookRequest
from pneumachron.core.planning.sauce import MARINADE_BOIL_S, Body, reduce_sauce, slurry
from pneumachron.core.planning.season import Marinade, marinating, searing, seasoning
from pneumachron.core.planning.serving import mass_for_plates_kg, other_form, same_plates_kg
from pneumachron.core.planning.what_if import quick_summary
from pneumachron.core.safety.cooling import COOLERS, Cooler, cooling, thickest_safe_m
from pneumachron.core.units import show_length, show_mass, show_volume
from pneumachron.services.documents import shown_document, summary_document
from pneumachron.services.wording import say_message
from pneumachron.text.say import say, say_cut


def opened_document(request: CookRequest, found: PutBack) -> dict[str, Any]:
    """Done, put back or rescue."""
    cut = request.load.pieces[0].cut
    return {
        "step": found.step,
        "hold_min": found.hold_min,
        "more_s": round(found.more_s, 1),
        "tenderness_step": round(found.texture_now, 2),
        "texture_reached": texture_near(found.texture_now),
        "looks": say_cut(cut.cut_id, texture_near(found.texture_now)),
        "size_ratio": round(found.size_ratio, 3),
        "next_hold_min": found.next_hold_min,
        "advice": say(rescue(cut)) if found.step == "rescue" else None,
    }


def stopped_document(found: Resumed) -> dict[str, Any]:
    """What the minutes were worth and how to go on."""
    return {
        "step": found.step,
        "tenderness_step": round(found.texture_now, 2),
        "core_temp_c": round(found.core_c, 1),
        "zone_s": found.zone_s,
        "hold_min": found.hold_min,
        "more_s": round(found.more_s, 1),
        "advice": say(f"stopped-{found.step}"),
    }


def translated_document(found: Translated) -> dict[str, Any]:
    """Minutes of another pressure."""
    return {
        "hold_min": found.hold_min,
        "factor": round(found.factor, 3),
        "tenderness_step": round(found.tenderness_step, 2),
        "texture_reached": texture_near(found.tenderness_step),
    }


def runs_document(runs: tuple[CookRequest, ...]) -> list[dict[str, Any]]:
    """Every run with its pieces and what it comes to."""
    return [
        {
            "pieces": len(run.load.pieces),
            "mass_kg": round(run.load.mass_kg, 4),
            "mass_shown": shown_document(show_mass(run.load.mass_kg)),
            "answer": summary_document(quick_summary(run)),
        }
        for run in runs
    ]


def around_document(
    request: CookRequest, *, finish: FinishKind | None, marinade: Marinade | None, brined: bool
) -> dict[str, Any]:
    """Season, sear, finish, rest, carve and keep a load."""
    load, pulled = request.load, is_pulled(request)
    cut = load.pieces[0].cut
    found = finish_for(load, request.pot, finish)
    return {
        "seasoning": asdict(seasoning(load, pulled=pulled, brined=brined)),
        "marinating": None if marinade is None else asdict(marinating(load, marinade)),
        "marinade_boil_s": MARINADE_BOIL_S,
        "searing": asdict(searing(load, request.pot)) if cut.sears else None,
        "finish": {
            **asdict(found),
            "sauce": say(f"finish-{found.kind}.sauce"),
            "look_s": found.look_s,
            "total_s": found.total_s,
        },
        "rest_s": rest_for(load),
        "keep_warm_s": afterwards()[cut.family].keep_warm_s,
        "pulled": pulled,
        "carve_core_c": afterwards()[cut.family].carve_core_c,
        "carve_hot": say_message(carving(load, pulled=pulled, cold=False)),
        "carve_cold": say_message(carving(load, pulled=pulled, cold=True)),
        "cooling": [_cooling(load, cooler) for cooler in COOLERS],
    }


def _cooling(load: Load, cooler: Cooler) -> dict[str, Any]:
    """The thickest piece in a cooler."""
    piece = max(load.pieces, key=lambda piece: piece.thickness_m)
    cut = piece.cut
    found = cooling(cut, piece.thickness_m, cooler)
    return {
        "cooler": cooler,
        "to_21_c_s": found.to_first_s,
        "to_5_c_s": found.to_last_s,
        "safe": found.safe,
        "thickest_shown": shown_document(show_length(thickest_safe_m(cut, cooler))),
    }


def sauce_document(
    pot: Pot, altitude_m: float, volume_m3: float, left_ratio: float, body: Body
) -> dict[str, Any]:
    """Reduce and thicken."""
    reduced = reduce_sauce(pot, altitude_m, volume_m3, left_ratio)
    thickener = slurry(reduced.left_m3, body)
    return {
        "reduction": {
            **asdict(reduced),
            "left_shown": shown_document(show_volume(reduced.left_m3)),
        },
        "slurry": asdict(thickener),
    }


def plates_document(cut_id: str, plates: int) -> dict[str, Any]:
    """What to buy."""
    cut = cut_by_id(cut_id)
    sure, well = mass_for_plates_kg(cut, plates)
    other = other_form(cut)
    same = same_plates_kg(cut, sure)
    return {
        "cut": cut_id,
        "plates": plates,
        "enough_kg": round(sure, 3),
        "enough_shown": shown_document(show_mass(sure)),
        "least_kg": round(well, 3),
        "other_cut": None if other is None else other.cut_id,
        "other_kg": None if same is None else round(same, 3),
    }


def sides_document(hold_min: float) -> list[dict[str, Any]]:
    """Every side beside a hold."""
    return [
        {
            "side": side,
            "name": say(f"side-{side}"),
            "vessel": say(f"side-{side}.where"),
            **asdict(side_advice(side, hold_min)),
        }
        for side in sides()
    ]

"""Conversions as documents for the wire."""

from dataclasses import asdict
from typing import Any, Literal

from pneumachron.core.planning.other_methods import OtherWay
from pneumachron.core.units import Shown, parse_measure, show_length, show_mass, show_volume
from pneumachron.recipes.converting.convert import Converted
from pneumachron.recipes.converting.cross_check import CrossCheck
from pneumachron.recipes.converting.marks import Mark, OutLine
from pneumachron.recipes.converting.pot_work import has_rind
from pneumachron.recipes.model import Recipe
from pneumachron.recipes.understanding.understand import Understood
from pneumachron.recipes.writing.day import (
    extra_work,
    marinade_of,
    marinate_min,
    rub_min,
    sear_min,
)
from pneumachron.recipes.writing.sentences import run_on
from pneumachron.recipes.writing.shopping import shopping_list
from pneumachron.services.documents import shown_document
from pneumachron.services.release_shown import release_shown
from pneumachron.services.wording import careful, say_message
from pneumachron.text.say import say


def recipe_document(recipe: Recipe) -> dict[str, Any]:
    """A recipe as its writer left it."""
    return asdict(recipe) | {
        "ingredients": list(recipe.ingredients),
        "steps": list(recipe.steps),
        "notes": list(recipe.notes),
        "left_out": list(recipe.left_out),
        "sections": [asdict(section) for section in recipe.sections],
        "parts": [asdict(part) | {"lines": list(part.lines)} for part in recipe.parts],
    }


def understood_document(found: Understood) -> dict[str, Any]:
    """What was read, and what is asked."""
    cooking = found.cooking
    return {
        "cut": found.cut,
        "mass_kg": round(found.mass_kg, 4),
        "mass_shown": shown_document(show_mass(found.mass_kg)),
        "count": found.count,
        "thickness_shown": (
            None if found.thickness_m is None else shown_document(show_length(found.thickness_m))
        ),
        "bone": found.bone,
        "method": cooking.method,
        "method_low_min": None if cooking.low_s is None else round(cooking.low_s / 60),
        "method_high_min": None if cooking.high_s is None else round(cooking.high_s / 60),
        "method_temp_c": None if cooking.temp_c is None else round(cooking.temp_c),
        "texture": found.texture,
        "plates": found.plates,
        "questions": [
            {
                "asked": question.asked,
                "text": say_message(question.said),
                "guess": say_message(question.guess),
                "options": [
                    {"value": value, "name": say_message(name)} for value, name in question.options
                ],
            }
            for question in found.questions
        ],
        "unread": list(found.unread),
    }


def converted_document(done: Converted, pot: str) -> dict[str, Any]:
    """Everything a screen shows of a conversion, and the request that takes it to Plan."""
    plan = done.plan
    low, high = plan.hold_range_min
    return {
        "understood": understood_document(done.understood),
        "lines": [_line(line) for line in done.lines],
        "steps": [
            {
                "kind": step.kind,
                "text": run_on(map(say_message, step.said)),
                "low_min": None if step.minutes is None else round(step.minutes[0], 1),
                "high_min": None if step.minutes is None else round(step.minutes[1], 1),
            }
            for step in done.steps
        ],
        "marks": [_mark(mark) for mark in done.marks],
        "doubts": [
            {
                "index": doubt.index,
                "when": doubt.when,
                "instead": doubt.instead,
                "text": say_message(doubt.question),
            }
            for doubt in done.doubts
        ],
        "setting": {
            "hold_min": plan.hold_min,
            "hold_low_min": low,
            "hold_high_min": high,
            "lid_on_to_open_s": plan.lid_on_to_open_s,
            "own_minutes": plan.expectation is not None,
            "release": plan.setup.release,
            "release_shown": release_shown(plan),
            "rack": plan.setup.arrangement.rack,
            "liquid_style": plan.setup.request.liquid_style,
            "liquid_shown": shown_document(show_volume(plan.setup.filling.liquid_m3)),
            "runs": len(done.portioned.runs),
            "cuts": done.portioned.cuts,
            "finish": done.finish.kind,
        },
        "check": None if done.check is None else _check(done.check),
        "cautions": careful(plan),
        "allergens": [say(f"allergen-{name}") for name in done.allergens],
        "shopping": [
            {"section": section.name, "items": list(section.items)}
            for section in shopping_list(done)
        ],
        "request": plan_request(done, pot),
        "marinade": marinade_of(done),
        "marinate_min": marinate_min(done),
        "rubbed": rub_min(done) is not None,
        "rub_min": rub_min(done),
        "crackling": has_rind(done.understood),
        "pulled_first": done.understood.crust.pulled_first,
        "sear_min": sear_min(done),
        "extras": [asdict(extra) for extra in extra_work(done)],
    }


def _line(line: OutLine) -> dict[str, Any]:
    movable = line.origin is not None and line.food.kind != "meat" and line.when != "cure"
    return {
        "origin": line.origin,
        "when": line.when,
        "text": line.text(say_message),
        "movable": movable,
    }


def _mark(mark: Mark) -> dict[str, Any]:
    after = mark.after
    if not isinstance(after, str):
        after = "; ".join(line.text(say_message) for line in after)
    return {
        "mark_id": mark.mark_id,
        "rule": mark.rule,
        "does": mark.does,
        "where": mark.where,
        "index": mark.index,
        "before": mark.before,
        "after": after,
        "step": mark.step,
        "reason": say_message(mark.reason),
        "source_kind": mark.source_kind,
        "overruled": mark.overruled,
        "caution": "" if mark.caution is None else say_message(mark.caution),
    }


def _check(check: CrossCheck) -> dict[str, Any]:
    return {
        "hold_min": check.hold_min,
        "agrees": check.agrees,
        "words": say_message(check.said),
    }


EXACT = 0.0005
"""A measure is typed this exactly, so that Plan has the minutes of the conversion. Judgement."""


def _typed(value: float, shown: Shown, quantity: Literal["mass", "length", "volume"]) -> str:
    """A measure as it would be typed: 4 lb stay 4 lb, where 1.81 kg would be less."""
    for text in (shown.metric, shown.us):
        if abs(parse_measure(text, quantity, quantity) / value - 1.0) <= EXACT:
            return text
    if quantity == "volume":
        return f"{1e6 * value:.0f} ml"
    return f"{1000.0 * value:.0f} g" if quantity == "mass" else f"{1000.0 * value:.1f} mm"


def plan_request(done: Converted, pot: str) -> dict[str, Any]:
    """The fullest run as Plan takes it."""
    request = done.plan.setup.request
    piece = request.load.pieces[0]
    measured = done.understood.thickness_m is not None
    mass_kg, thick_m = request.load.mass_kg, piece.thickness_m
    # more than the usual: what the recipe pours in by the cup
    more_m3 = request.liquid_m3
    return {
        "pieces": [
            {
                "cut": piece.cut.cut_id,
                "count": len(request.load.pieces),
                "mass": _typed(mass_kg, show_mass(mass_kg), "mass"),
                "thickness": _typed(thick_m, show_length(thick_m), "length") if measured else None,
                "bone": done.understood.bone if piece.cut.bone_ratio > 0 else None,
            }
        ],
        "pot": pot,
        "texture": done.understood.texture,
        "liquid_style": request.liquid_style,
        "liquid": None if more_m3 is None else _typed(more_m3, show_volume(more_m3), "volume"),
        "release": request.release,
        "wait_min": None if request.wait_s is None else round(request.wait_s / 60),
        "level": request.level,
        "my_minutes": request.own_hold_min,
        "finish": done.finish.kind,
    }


def other_way_document(found: OtherWay) -> dict[str, Any]:
    """The same meal by another method."""
    return {
        "method": found.method,
        "duration_s": round(found.duration_s, 0),
        "core_end_c": round(found.core_end_c, 1),
        "liquid_shown": shown_document(show_volume(found.liquid_m3)),
        "advice": [say_message(advice) for advice in found.advice],
    }

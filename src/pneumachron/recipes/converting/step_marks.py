"""Marks on the recipe's steps: which heat is struck, and where the rest of the work stands now."""

import re
from dataclasses import replace

from pneumachron.core.message import Message
from pneumachron.core.planning.plan import Plan
from pneumachron.recipes.converting.cross_check import own_minutes_params
from pneumachron.recipes.converting.kitchen import Choices
from pneumachron.recipes.converting.load import NOT_OWN_MINUTES
from pneumachron.recipes.converting.marks import Mark, OutStep, OwnWords
from pneumachron.recipes.converting.rule_table import rules
from pneumachron.recipes.converting.themes import CURED, Theme, is_cured, mixes_a_glaze, theme_of
from pneumachron.recipes.understanding.understand import Understood

LEFT_OUT: dict[str, Message] = {
    "sear": Message("mark-left_out-sear"),
    "finish": Message("mark-left_out-finish"),
    "": Message("mark-left_out"),
}
"""Why a step has no place in ours."""
STEP_OF: dict[Theme, str] = {
    "season": "season",
    "marinate": "marinate",
    "sear": "sear",
    "soften": "deglaze",
    "deglaze": "deglaze",
    "sauce": "sauce",
    "finish": "finish",
    "rest": "rest",
    "carve": "carve",
    "serve": "carve",
}
"""Which of our steps does what a step of the recipe did."""


def step_marks(
    understood: Understood, plan: Plan, choices: Choices
) -> tuple[list[tuple[Mark, str]], tuple[OwnWords, ...], tuple[str, ...]]:
    """Marks on the recipe's steps, each with the kind of our step.

    Then the steps that keep their own words, and those of a cure or brine, which come first.
    """
    marks: list[tuple[Mark, str]] = []
    kept: list[OwnWords] = []
    themes = [theme_of(step) for step in understood.recipe.steps]
    cures: list[str] = []
    for index, step in enumerate(understood.recipe.steps):
        theme = themes[index]
        name, kind = _rule_of(understood, index, theme)
        rule, reason = rules()[name], _reason(name, understood, plan)
        own_minutes = name == "minutes_kept"
        mark_id = NOT_OWN_MINUTES if own_minutes else f"{rule.name}:s{index}"
        overruled = mark_id in choices.overruled
        if kind == "cure" and not overruled:
            cures.append(_cure_alone(understood, index, step))
        elif kind == "own_words" or (overruled and not own_minutes):
            kept.append(
                OwnWords(
                    step,
                    before_finish="finish" in themes[index + 1 :] or mixes_a_glaze(step),
                    before_heat=index < min(understood.cooking.steps, default=0),
                )
            )
        mark = Mark(
            mark_id=mark_id,
            rule=rule.name,
            does=rule.does,
            where="step",
            index=index,
            before=step,
            after="" if rule.does == "struck" and not overruled else step,
            reason=reason,
            source_kind=rule.source_kind,
            overruled=overruled,
        )
        own = overruled and not own_minutes
        marks.append((_also(mark, step, theme), "own_words" if own else kind))
    return marks, tuple(kept), tuple(cures)


def _cure_alone(understood: Understood, index: int, step: str) -> str:
    """Of a step that rinses and cooks, what it does with the cure; the heat is the plan's."""
    if index not in understood.cooking.steps:
        return step
    parts = [part for part in _CLAUSES.split(step) if CURED.search(part)]
    return ", ".join(parts) or step


def _also(mark: Mark, step: str, theme: Theme) -> Mark:
    """A step whose heat is struck, but which does something else besides, is only changed."""
    if mark.rule != "heat_struck" or mark.overruled or theme == "spray":
        return mark
    rest = " ".join(part for part in _SENTENCES.split(step) if theme_of(part) in STEP_OF)
    if not rest:
        rest = ", ".join(part for part in _CLAUSES.split(step) if theme_of(part) in STEP_OF)
    return replace(mark, does="changed", after=rest) if rest else mark


_SENTENCES = re.compile(r"(?<=[.;!])\s+")
_CLAUSES = re.compile(r",\s+(?:and |then )?")
"""“Rub the ribs, wrap them, and bake”: the first of them is still done."""


def _rule_of(understood: Understood, index: int, theme: Theme) -> tuple[str, str]:
    """The rule for a step, and the kind of our step that does its work."""
    if CURED.search(understood.recipe.steps[index]) and is_cured(understood):
        return "cure_in_order", "cure"
    if theme == "spray":
        return "spritz_struck", ""
    main = understood.cooking.main
    if understood.pressure is not None and main is not None and index == main[0]:
        return "minutes_kept", "set"
    if index in understood.cooking.steps and understood.cooking.method == "pressure":
        return "in_our_step", "set"
    if index in understood.cooking.steps or theme == "heat":
        return "heat_struck", ""
    browned_late = theme == "sear" and index > max(understood.cooking.steps, default=index)
    kind = "own_words" if browned_late else STEP_OF.get(theme, "own_words")
    return ("own_words" if kind == "own_words" else "in_our_step"), kind


def _reason(rule: str, understood: Understood, plan: Plan) -> Message:
    if rule == "heat_struck":
        device = understood.cooking.method or "other"
        return Message("mark-heat_struck", {"device": device, "total_s": plan.lid_on_to_open_s})
    if rule == "minutes_kept":
        if plan.expectation is None:
            return Message("mark-minutes_of_the_plan", {"hold_min": plan.hold_min})
        return Message("mark-minutes_kept", own_minutes_params(plan, plan.expectation))
    return Message(f"mark-{rule}")


def numbered(marks: list[tuple[Mark, str]], steps: tuple[OutStep, ...]) -> list[Mark]:
    """Marks that say in which step of ours theirs stands now."""
    numbers = {step.kind: number for number, step in enumerate(steps, start=1)}
    found = []
    for mark, kind in marks:
        number = numbers.get(kind)
        if mark.rule == "minutes_kept":
            found.append(replace(mark, step=number))
            continue
        if mark.rule != "in_our_step" or mark.overruled:
            found.append(mark)
            continue
        if number is None:
            found.append(
                replace(mark, does="struck", after="", reason=LEFT_OUT.get(kind, LEFT_OUT[""]))
            )
        else:
            reason = Message("mark-in_our_step", {"step": number})
            found.append(replace(mark, after="", step=number, reason=reason))
    return found

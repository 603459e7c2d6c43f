"""Marks on the recipe's steps: which heat is struck, and where the rest of the work stands now."""

import re
from dataclasses import replace

from pneumachron.core.plan import Plan
from pneumachron.recipes.converting.cross_check import spoken
from pneumachron.recipes.converting.kitchen import Choices
from pneumachron.recipes.converting.marks import Mark, OutStep
from pneumachron.recipes.converting.rule_table import Rule, rules
from pneumachron.recipes.converting.themes import CURED, Theme, is_cured, theme_of
from pneumachron.recipes.understanding.method import Method
from pneumachron.recipes.understanding.understand import Understood

DEVICE_WORDS: dict[Method, str] = {
    "smoker": "smoker",
    "oven_lid": "oven",
    "oven_open": "oven",
    "slow_low": "slow cooker",
    "slow_high": "slow cooker",
    "grill": "grill",
    "stovetop_pressure": "stovetop cooker",
    "pressure": "other cooker",
    "simmer": "simmering",
}
LEFT_OUT: dict[str, str] = {
    "sear": "This cut is not browned first; its crust comes with the finish.",
    "finish": "This way has no crust.",
    "": "The pot leaves this out.",
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
) -> tuple[list[tuple[Mark, str]], tuple[str, ...], tuple[str, ...]]:
    """Marks on the recipe's steps, each with the kind of our step.

    Then the steps that keep their own words, and those of a cure or brine, which come first.
    """
    marks: list[tuple[Mark, str]] = []
    kept: list[str] = []
    cures: list[str] = []
    for index, step in enumerate(understood.recipe.steps):
        theme = theme_of(step)
        rule, kind, reason = _rule_of(understood, plan, index, theme)
        mark_id = f"{rule.name}:s{index}"
        overruled = mark_id in choices.overruled
        if kind == "cure" and not overruled:
            cures.append(_cure_alone(understood, index, step))
        elif kind == "own_words" or overruled:
            kept.append(step)
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
        marks.append((_also(mark, step, theme), "own_words" if overruled else kind))
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


def _rule_of(understood: Understood, plan: Plan, index: int, theme: Theme) -> tuple[Rule, str, str]:
    """The rule for a step, the kind of our step that does its work, and the reason."""
    if CURED.search(understood.recipe.steps[index]) and is_cured(understood):
        rule = rules()["cure_in_order"]
        return rule, "cure", rule.reason
    if theme == "spray":
        rule = rules()["spritz_struck"]
        return rule, "", rule.reason
    if index in understood.cooking.steps and understood.cooking.method == "pressure":
        rule = rules()["in_our_step"]
        return rule, "set", rule.reason
    if index in understood.cooking.steps or theme == "heat":
        rule = rules()["heat_struck"]
        total = spoken(plan.lid_on_to_open_s / 60)
        return rule, "", rule.reason.format(device=_device(understood), total=total)
    browned_late = theme == "sear" and index > max(understood.cooking.steps, default=index)
    kind = "own_words" if browned_late else STEP_OF.get(theme, "own_words")
    rule = rules()["own_words" if kind == "own_words" else "in_our_step"]
    return rule, kind, rule.reason


def _device(understood: Understood) -> str:
    method = understood.cooking.method
    return DEVICE_WORDS[method] if method else "other heat"


def numbered(marks: list[tuple[Mark, str]], steps: tuple[OutStep, ...]) -> list[Mark]:
    """Marks that say in which step of ours theirs stands now."""
    numbers = {step.kind: str(number) for number, step in enumerate(steps, start=1)}
    found = []
    for mark, kind in marks:
        if mark.rule != "in_our_step" or mark.overruled:
            found.append(mark)
            continue
        number = numbers.get(kind)
        if number is None:
            found.append(
                replace(mark, does="struck", after="", reason=LEFT_OUT.get(kind, LEFT_OUT[""]))
            )
        else:
            found.append(
                replace(mark, after=f"step {number}", reason=mark.reason.format(step=number))
            )
    return found

"""Marks on the recipe's steps: which heat is struck, and where the rest of the work stands now."""

from collections.abc import Iterator, Sequence, Set
from dataclasses import replace

from pneumachron.core.message import Message
from pneumachron.core.planning.plan import Plan
from pneumachron.recipes.converting.caramel import makes_caramel
from pneumachron.recipes.converting.cross_check import own_minutes_params
from pneumachron.recipes.converting.cures import CURED
from pneumachron.recipes.converting.glazes import boiled_apart, cooks_a_glaze, only_makes_a_glaze
from pneumachron.recipes.converting.kitchen import Choices
from pneumachron.recipes.converting.load import NOT_OWN_MINUTES
from pneumachron.recipes.converting.marks import Mark, OutLine, OutStep, OwnWords
from pneumachron.recipes.converting.own_words import (
    CLAUSES,
    NOWHERE,
    baked_as_a_dish,
    beside_the_heat,
    kept_back,
    made_and_served,
    rest_of_the_rub,
    served_with_more,
    titled,
    whole_sentences,
    worded,
    worded_where,
)
from pneumachron.recipes.converting.pot_work import has_rind
from pneumachron.recipes.converting.rule_table import rules
from pneumachron.recipes.converting.step_kinds import SHORT, STEP_OF, rule_of
from pneumachron.recipes.converting.themes import (
    Theme,
    grinds,
    pierces,
    prepares_the_rind,
    theme_of,
    without_devices,
)
from pneumachron.recipes.understanding.sentences import sentences_in
from pneumachron.recipes.understanding.understand import Understood

LEFT_OUT: dict[str, Message] = {
    "sear": Message("mark-left_out-sear"),
    "finish": Message("mark-left_out-finish"),
    "": Message("mark-left_out"),
}
"""Why a step has no place in ours."""


def step_marks(
    understood: Understood, plan: Plan, choices: Choices, lines: Sequence[OutLine]
) -> tuple[list[tuple[Mark, str]], tuple[OwnWords, ...], tuple[str, ...]]:
    """Marks on the recipe's steps, each with the kind of our step.

    Then the steps that keep their own words, and those of a cure or brine, which come first.

    Parameters
    ----------
    lines : where each ingredient went
    """
    marks: list[tuple[Mark, str]] = []
    kept: list[OwnWords] = []
    last = max(understood.cooking.steps, default=len(understood.recipe.steps))
    themes = [
        theme_of(step, late=index > last) for index, step in enumerate(understood.recipe.steps)
    ]
    cures: list[str] = []
    brushed = frozenset(
        line.origin for line in lines if line.when == "finish" and line.origin is not None
    )
    rind = has_rind(understood)
    for index, step in enumerate(understood.recipe.steps):
        theme = themes[index]
        name, kind = rule_of(understood, index, theme, lines, brushed)
        rule, reason = rules()[name], _reason(name, understood, plan)
        own_minutes = name == "minutes_kept"
        mark_id = NOT_OWN_MINUTES if own_minutes else f"{rule.name}:s{index}"
        overruled = mark_id in choices.overruled
        if kind == "cure" and not overruled:
            cures.append(_cure_alone(understood, index, step))
        elif kind == "own_words" or (overruled and not own_minutes):
            text = titled(understood, index)
            told = text if overruled else without_devices(text)
            words = worded(understood, themes, index, told)
            if theme in SHORT and boiled_apart(understood, step, brushed):
                words = replace(words, before_finish=True)
            kept.append(words)
        elif rule.name in _STRUCK:
            kept += beside_the_heat(understood, themes, index, brushed)
        else:
            kept += _beside_our_step(understood, themes, index, kind, brushed)
        if kind != "own_words" and not overruled:
            kept += served_with_more(understood, themes, index)
            kept += rest_of_the_rub(understood, themes, index)
            kept += kept_back(understood, themes, index)
            kept += baked_as_a_dish(understood, themes, index)
            if kind != "cure" and index <= last:
                caramel = worded_where(makes_caramel, understood, themes, index)
                kept += [replace(text, before_heat=True, at_first=True) for text in caramel]
        if rind and index < last and kind not in {"cure", "own_words"}:
            scored = list(worded_where(prepares_the_rind, understood, themes, index))
            kept += [replace(text, before_rub=True) for text in scored]
            # "pour boiling water over the rind" serves nothing
            kind = "season" if scored and kind == "carve" else kind
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
    return marks, tuple(part for told in kept for part in made_and_served(told)), tuple(cures)


def _beside_our_step(
    understood: Understood, themes: list[Theme], index: int, kind: str, brushed: Set[int]
) -> Iterator[OwnWords]:
    """Of a step that one of ours does, what that one does not tell: how a glaze is made."""
    step = understood.recipe.steps[index]
    if kind in {"season", "marinate"}:  # a paste is ground before the meat is rubbed with it
        for words in worded_where(grinds, understood, themes, index):
            yield replace(words, before_rub=True)
        for words in worded_where(_only_pierces, understood, themes, index):
            yield replace(words, before_rub=True)
    elif kind == "finish" and only_makes_a_glaze(understood, step):
        yield replace(worded(understood, themes, index, step), before_finish=True)
    elif kind in {"finish", *SHORT} and (boiled := boiled_apart(understood, step, brushed)):
        last = max(understood.cooking.steps, default=len(understood.recipe.steps))
        words = worded(understood, themes, index, boiled, after=index >= last)
        yield replace(words, before_finish=True, before_heat=False)
    elif kind == "finish":  # our step brushes the glaze on, and the recipe tells how to make it
        for _, text in whole_sentences(step, NOWHERE):
            if cooks_a_glaze(understood, text):
                yield replace(worded(understood, themes, index, text), before_finish=True)


def _only_pierces(text: str) -> bool:
    return pierces(text) and not grinds(text)


_STRUCK = frozenset({"heat_struck", "minutes_kept"})


def _cure_alone(understood: Understood, index: int, step: str) -> str:
    """Of a step that rinses and cooks, what it does with the cure; the heat is the plan's."""
    if index not in understood.cooking.steps:
        return step
    parts = [
        part for text in sentences_in(step) for part in CLAUSES.split(text) if CURED.search(part)
    ]
    return ", ".join(parts) or step


def _also(mark: Mark, step: str, theme: Theme) -> Mark:
    """A step whose heat is struck, but which does something else besides, is only changed."""
    if mark.rule != "heat_struck" or mark.overruled or theme == "spray":
        return mark
    rest = " ".join(part for part in sentences_in(step) if theme_of(part) in STEP_OF)
    if not rest:
        rest = ", ".join(part for part in CLAUSES.split(step) if theme_of(part) in STEP_OF)
    return replace(mark, does="changed", after=rest) if rest else mark


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

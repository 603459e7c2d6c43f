"""Marks on the recipe's steps: which heat is struck, and where the rest of the work stands now."""

import re
from collections.abc import Iterator, Sequence, Set
from dataclasses import replace

from pneumachron.core.message import Message
from pneumachron.core.planning.plan import Plan
from pneumachron.recipes.converting.caramel import makes_caramel
from pneumachron.recipes.converting.cross_check import own_minutes_params
from pneumachron.recipes.converting.cures import CURED, is_step_of_a_cure
from pneumachron.recipes.converting.glazes import boiled_apart, cooks_a_glaze, only_makes_a_glaze
from pneumachron.recipes.converting.kitchen import Choices
from pneumachron.recipes.converting.load import NOT_OWN_MINUTES
from pneumachron.recipes.converting.marks import Mark, OutLine, OutStep, OwnWords
from pneumachron.recipes.converting.parts import BRUSHED, makes_a_side
from pneumachron.recipes.converting.pot_work import has_rind
from pneumachron.recipes.converting.rule_table import rules
from pneumachron.recipes.converting.themes import (
    Theme,
    grinds,
    is_own_work,
    mixes_a_glaze,
    prepares_the_rind,
    theme_of,
    without_devices,
)
from pneumachron.recipes.understanding.crust import glazes
from pneumachron.recipes.understanding.foods_of_a_line import foods_in
from pneumachron.recipes.understanding.ingredients import (
    Kind,
    foods_named,
)
from pneumachron.recipes.understanding.measured import measured_in
from pneumachron.recipes.understanding.naming import names_any, rows_named
from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.sentences import sentences_in
from pneumachron.recipes.understanding.side_work import OF_A_SAUCE
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
    brushed = {line.origin for line in lines if line.when == "finish" and line.origin is not None}
    rind = has_rind(understood)
    for index, step in enumerate(understood.recipe.steps):
        theme = themes[index]
        name, kind = _rule_of(understood, index, theme, lines)
        rule, reason = rules()[name], _reason(name, understood, plan)
        own_minutes = name == "minutes_kept"
        mark_id = NOT_OWN_MINUTES if own_minutes else f"{rule.name}:s{index}"
        overruled = mark_id in choices.overruled
        if kind == "cure" and not overruled:
            cures.append(_cure_alone(understood, index, step))
        elif kind == "own_words" or (overruled and not own_minutes):
            text = _titled(understood, index)
            told = text if overruled else without_devices(text)
            words = _own_words(understood, themes, index, told)
            if theme in _SHORT and boiled_apart(understood, step, brushed):
                words = replace(words, before_finish=True)
            kept.append(words)
        elif rule.name in _STRUCK:
            kept += _beside_the_heat(understood, themes, index, brushed)
        elif kind in {"season", "marinate"}:  # a paste is ground before the meat is rubbed with it
            kept += [
                replace(_own_words(understood, themes, index, text), before_rub=True)
                for text in sentences_in(step) if grinds(text)
            ]  # fmt: skip
        elif kind == "finish" and only_makes_a_glaze(understood, step):
            kept.append(replace(_own_words(understood, themes, index, step), before_finish=True))
        elif kind == "finish":  # our step brushes the glaze on, and the recipe tells how to make it
            kept += [
                replace(_own_words(understood, themes, index, text), before_finish=True)
                for _, text in _whole_sentences(step, NOWHERE) if cooks_a_glaze(understood, text)
            ]  # fmt: skip
        elif kind in _SHORT and (boiled := boiled_apart(understood, step, brushed)):
            told_apart = _own_words(understood, themes, index, boiled, after=index >= last)
            kept.append(replace(told_apart, before_finish=True, before_heat=False))
        if kind != "own_words" and not overruled:
            kept += _served_with_more(understood, themes, index)
        if kind not in {"cure", "own_words"} and not overruled and index <= last:
            kept += [
                replace(
                    _own_words(understood, themes, index, text), before_heat=True, at_first=True
                )
                for text in sentences_in(step) if makes_caramel(text)
            ]  # fmt: skip
        if rind and index < last and kind not in {"cure", "own_words"}:
            scored = [
                replace(_own_words(understood, themes, index, text), before_rub=True)
                for text in sentences_in(step) if prepares_the_rind(text)
            ]  # fmt: skip
            kept += scored
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
    return marks, tuple(kept), tuple(cures)


def _titled(understood: Understood, index: int) -> str:
    """A step; the first one under a heading behind the heat says what it makes."""
    step = understood.recipe.steps[index]
    late = index > max(understood.cooking.steps, default=index)
    name = next((each.name for each in understood.recipe.sections if each.first == index), "")
    return f"{name}: {step}" if late and name and name.lower() not in step.lower() else step


_KEEPS = re.compile(
    r"\W*(?:it )?(?:freezes|keeps|leftovers|store|freeze|refrigerate leftovers)\b", re.I
)
"""“Freezes beautifully”: said at last."""
_STRUCK = frozenset({"heat_struck", "minutes_kept"})


def _own_words(
    understood: Understood, themes: list[Theme], index: int, text: str, *, after: bool = False
) -> OwnWords:
    """What keeps its own words, and when it is done.

    Parameters
    ----------
    after : it stands behind the long heat of its own step
    """
    steps = understood.recipe.steps
    fried = next(
        (
            row for row, theme in enumerate(themes)
            if theme == "sear" or (theme == "soften" and not is_own_work(steps[row]))
        ),
        None,
    )  # fmt: skip
    rubbed = next(
        (row for row, theme in enumerate(themes) if theme in {"season", "marinate"}), None
    )
    early = index < min(understood.cooking.steps, default=0)
    before = early or (index in understood.cooking.steps and not after)
    return OwnWords(
        text,
        before_finish="finish" in themes[index + 1 :] or mixes_a_glaze(text),
        before_heat=before,
        before_rub=early and rubbed is not None and index < rubbed,
        serves=(themes[index] == "serve" or _KEEPS.match(text) is not None) and not early,
        at_first=before and (fried is None or index < fried),
    )


def _beside_the_heat(
    understood: Understood, themes: list[Theme], index: int, brushed: Set[int]
) -> Iterator[OwnWords]:
    """Of a paragraph whose heat is struck, what is neither heat nor done by a step of ours.

    Parameters
    ----------
    brushed : lines that are brushed on at the end
    """
    main = understood.cooking.main
    if main is None or main[0] != index:
        return
    for place, text in _whole_sentences(understood.recipe.steps[index], main[1]):
        done = theme_of(text, late=place > main[1]) in {"season", "marinate", "heat"}
        own = is_own_work(text) or thickens_with_more(understood, text)
        glaze = cooks_a_glaze(understood, text) or bool(boiled_apart(understood, text, brushed))
        side = makes_a_side(understood, text)
        # “Brush with 1 cup bbq sauce”: nothing else says what, and how much
        brushes = place > main[1] and BRUSHED.search(text) and measures_more(understood, text)
        if place != main[1] and ((own and not done) or glaze or side or brushes):
            told = _own_words(understood, themes, index, text, after=place > main[1])
            yield replace(told, before_finish=glaze or bool(brushes))


_THICKENER = any_of(r"\bcorn ?(?:starch|flour)\b", r"\barrowroot\b", r"\bslurry\b",
                    r"\bspeisestärke\b", r"\bbeurre mani")  # fmt: skip


def thickens_with_more(understood: Understood, text: str) -> bool:
    """Whether a text thickens with what the list of ingredients does not have."""
    listed = any(
        food.kind in {"starch", "flour"}
        for item in understood.ingredients
        for food in foods_in(item)
    )
    return not listed and _THICKENER.search(text) is not None


def measures_more(understood: Understood, text: str) -> bool:
    """Whether a text measures a food that the list does not have: only its words tell how much."""
    measured = [
        each for each in measured_in(text)
        if each.food.kind not in {"unknown", "thin", "meat", "salt"}
    ]  # fmt: skip
    listed = {food.food.words for item in understood.ingredients for food in foods_in(item)}
    if any(
        each.food.words not in listed and not rows_named(understood, each.name) for each in measured
    ):
        return True
    # the list has a spray's vinegar without an amount; that of the sauce is measured here
    bare = {item.index for item in understood.ingredients if item.line.amount is None}
    rows = [rows_named(understood, each.name) for each in measured]
    return sum(bool(named) and named <= bare for named in rows) >= _LEAST_MEASURED


_LEAST_MEASURED = 2
"""Foods that only a step measures, where the list names them without an amount. Judgement."""


def _unlisted_foods(understood: Understood, step: str) -> set[str]:
    """Foods that a step names and no line has: tortillas, cilantro and lime to serve."""
    listed = {food.food.words for item in understood.ingredients for food in foods_in(item)}
    named = {food.words for food in foods_named(step) if food.kind not in _COMMON}
    return {words for words in named - listed if not rows_named(understood, words)}


_COMMON: frozenset[Kind] = frozenset({"meat", "other_meat", "unknown", "tool", "salt", "thin"})


NOWHERE = -2
"""No sentence of a step: it has none of the long heat."""


def _whole_sentences(step: str, main: int) -> Iterator[tuple[int, str]]:
    """Sentences with all their clauses, and where they begin; that of the heat stands alone."""
    begun: tuple[int, str] | None = None
    for place, text in enumerate(sentences_in(step)):
        joins = begun is not None and begun[1].endswith(";") and main not in {place, place - 1}
        if begun is not None and joins:
            begun = (begun[0], f"{begun[1]} {text}")
            continue
        if begun is not None:
            yield begun
        begun = (place, text)
    if begun is not None:
        yield begun


def _cure_alone(understood: Understood, index: int, step: str) -> str:
    """Of a step that rinses and cooks, what it does with the cure; the heat is the plan's."""
    if index not in understood.cooking.steps:
        return step
    parts = [
        part for text in sentences_in(step) for part in _CLAUSES.split(text) if CURED.search(part)
    ]
    return ", ".join(parts) or step


def _also(mark: Mark, step: str, theme: Theme) -> Mark:
    """A step whose heat is struck, but which does something else besides, is only changed."""
    if mark.rule != "heat_struck" or mark.overruled or theme == "spray":
        return mark
    rest = " ".join(part for part in sentences_in(step) if theme_of(part) in STEP_OF)
    if not rest:
        rest = ", ".join(part for part in _CLAUSES.split(step) if theme_of(part) in STEP_OF)
    return replace(mark, does="changed", after=rest) if rest else mark


_CLAUSES = re.compile(r",\s+(?:and |then )?")
"""“Rub the ribs, wrap them, and bake”: the first of them is still done."""


_OF_THE_MEAT = frozenset({"juice", "juices", "gravy", "sauce", "drippings", "glaze", "broth"})
"""What the pot itself gives."""
_SERVES = any_of(r"\b(?:serve|eat)\b[^.;]{0,40}\b(?:with|on|over|in)\b")


def _served_with_more(
    understood: Understood, themes: list[Theme], index: int
) -> Iterator[OwnWords]:
    """“Slice, and serve with mash”, where no line has the mash: our own step would lose it."""
    main = understood.cooking.main
    if main is None or index < main[0]:
        return
    behind = main[1] if index == main[0] else NOWHERE
    for place, text in enumerate(sentences_in(understood.recipe.steps[index])):
        serves = _SERVES.search(text)
        more = _unlisted_foods(understood, text[serves.start() :]) if serves else set()
        if place > behind and more - _OF_THE_MEAT:
            told = _own_words(understood, themes, index, text, after=True)
            yield replace(told, before_finish=False, serves=True)


_ABSORBING: frozenset[Theme] = frozenset({"soften", "deglaze", "sauce", "rest", "carve", "serve"})
"""Steps of ours that only say it in short: what takes a machine or a soak would be lost in them."""


def _rule_of(
    understood: Understood, index: int, theme: Theme, lines: Sequence[OutLine]
) -> tuple[str, str]:
    """The rule for a step, and the kind of our step that does its work."""
    if is_step_of_a_cure(understood, understood.recipe.steps[index]):
        return "cure_in_order", "cure"
    if theme == "spray":
        return "spritz_struck", ""
    main = understood.cooking.main
    if understood.pressure is not None and main is not None and index == main[0]:
        return "minutes_kept", "set"
    if index in understood.cooking.steps and understood.cooking.method == "pressure":
        return "in_our_step", "set"
    elsewhere = not without_devices(understood.recipe.steps[index])
    heated = index in understood.cooking.steps or theme == "heat" or elsewhere
    if heated and not _is_of_a_side(understood, index):
        return "heat_struck", ""
    kind = _kind_of(understood, index, theme, lines)
    return ("own_words" if kind == "own_words" else "in_our_step"), kind


def _is_of_a_side(understood: Understood, index: int) -> bool:
    """Whether a step behind the long heat makes what is served beside the meat."""
    main = understood.cooking.main
    first = -1 if main is None else main[0]
    texts = (understood.said[index], understood.recipe.steps[index])
    return index > first and any(makes_a_side(understood, text) for text in texts)


_SHORT: frozenset[str] = frozenset({"sauce", "other", "rest", "serve", "soften", "deglaze"})
"""Steps of ours that say nothing of a glaze in a pan of its own."""
_LEAST_FRIED = 3
"""Foods that are fried with the cooked meat: none of our steps does that. Judgement."""


def _kind_of(understood: Understood, index: int, theme: Theme, lines: Sequence[OutLine]) -> str:
    """Which of our steps does a step's work; its own words where none does all of it."""
    step = understood.recipe.steps[index]
    more = measures_more(understood, step)
    own = is_own_work(step) or thickens_with_more(understood, step) or more
    # what is brushed on would be lost, if only the step tells how much of what
    lost = (theme in _ABSORBING and own) or (theme == "finish" and more)
    elsewhere = theme == "serve" and (
        not names_any(understood, step) or len(_unlisted_foods(understood, step)) > 1
    )
    late = index > max(understood.cooking.steps, default=index)
    main = understood.cooking.main
    apart = main is not None and index > main[0] and OF_A_SAUCE.match(step)
    beside = apart or _is_of_a_side(understood, index)
    browned_late = theme == "sear" and late
    brushed = {line.origin for line in lines if line.when == "finish" and line.origin is not None}
    glazes_apart = theme in _SHORT and boiled_apart(understood, step, brushed) == step
    late_foods = {line.origin for line in lines if line.when == "after"}
    fried = len(rows_named(understood, step) & late_foods) >= _LEAST_FRIED
    if browned_late and understood.crust.kind == "pan" and not fried:
        return "finish"
    rind = late and has_rind(understood) and _CRACKLES.search(step)
    if rind or (late and theme == "other" and _is_cooked_apart(understood, step, lines)):
        return "rest"  # meanwhile the rind is roasted alone, and vegetables have their own run
    early = index < min(understood.cooking.steps, default=0)
    rest_poured = early and not lost and _REST_POURED.search(step)
    if lost or (elsewhere and not rest_poured) or browned_late or beside or glazes_apart:
        return "own_words"
    if understood.crust.kind == "glaze" and glazes(step):
        return "release"  # the lid is off there, and the juice boiled down
    poured = theme == "sauce" or (theme == "other" and _PUT_IN.match(step))
    if (poured and early and _is_poured(understood, index, lines)) or rest_poured:
        return "pot"
    return STEP_OF.get(theme, "own_words")


_CRACKLES = any_of(r"\bcrackl\w*", r"\bblister\w*", r"\bcrisp\w*\b", r"\bknusprig\w*", r"\bkross\b")
_REST_POURED = any_of(
    r"\b(?:mix|combine|stir|whisk|add|heat)\b[^.;]{0,20}\b(?:remaining|rest of the|other) "
    r"ingredients\b.{0,80}\bpour\b"
)
"""“In the same skillet, combine the remaining ingredients. Pour over the ribs.”"""
_PUT_IN = re.compile(r"\W*(?:then )?(?:add|pour|put|return|place|tip|nestle)\b", re.I)


def _is_cooked_apart(understood: Understood, step: str, lines: Sequence[OutLine]) -> bool:
    """“Add the cabbage for the last hour”: it has a run of its own."""
    named = rows_named(understood, step) if _PUT_IN.match(step) else frozenset()
    return bool(named) and all(line.when == "own_run" for line in lines if line.origin in named)


def _is_poured(understood: Understood, index: int, lines: Sequence[OutLine]) -> bool:
    """Whether what a step stirs together is poured into the cooker."""
    named = rows_named(understood, understood.said[index])
    return any(line.origin in named and line.when == "pot" for line in lines)


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

"""Which rule holds for a step of the recipe, and which of our steps does its work."""

import re
from collections.abc import Sequence, Set

from pneumachron.recipes.converting.cures import is_step_of_a_cure
from pneumachron.recipes.converting.glazes import boiled_apart
from pneumachron.recipes.converting.marinade import MARINATED, in_marinade
from pneumachron.recipes.converting.marks import OutLine, When
from pneumachron.recipes.converting.own_words import (
    measures_more,
    thickens_with_more,
    unlisted_foods,
)
from pneumachron.recipes.converting.pot_work import has_rind
from pneumachron.recipes.converting.side_dishes import makes_a_side
from pneumachron.recipes.converting.themes import (
    WITH_THE_MEAT,
    Theme,
    grinds,
    is_own_work,
    parboils,
    without_devices,
)
from pneumachron.recipes.understanding.crust import MELTS_CHEESE, crisps, glazes
from pneumachron.recipes.understanding.naming import names_any, rows_named
from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.sentences import sentences_in
from pneumachron.recipes.understanding.side_work import OF_A_SAUCE
from pneumachron.recipes.understanding.understand import Understood

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


_ABSORBING: frozenset[Theme] = frozenset({"soften", "deglaze", "sauce", "rest", "carve", "serve"})
"""Steps of ours that only say it in short: what takes a machine or a soak would be lost in them."""


def rule_of(
    understood: Understood,
    index: int,
    theme: Theme,
    lines: Sequence[OutLine],
    brushed: Set[int],
) -> tuple[str, str]:
    """The rule for a step, and the kind of our step that does its work.

    Parameters
    ----------
    lines : where each ingredient went
    brushed : rows of those that are brushed on at the end
    """
    if is_step_of_a_cure(understood, understood.recipe.steps[index]):
        return "cure_in_order", "cure"
    if theme == "spray" and index not in understood.cooking.steps:
        return "spritz_struck", ""
    main = understood.cooking.main
    if understood.pressure is not None and main is not None and index == main[0]:
        return "minutes_kept", "set"
    if index in understood.cooking.steps and understood.cooking.method == "pressure":
        return "in_our_step", "set"
    elsewhere = not without_devices(understood.recipe.steps[index]) or not understood.said[index]
    heated = index in understood.cooking.steps or theme == "heat" or elsewhere
    if heated and not (
        _is_of_a_side(understood, index) or _is_of_a_salad(understood, index, lines)
    ):
        return "heat_struck", ""
    kind = _kind_of(understood, index, theme, lines, brushed)
    return ("own_words" if kind == "own_words" else "in_our_step"), kind


def _is_of_a_side(understood: Understood, index: int) -> bool:
    """Whether a step behind the long heat makes what is served beside the meat."""
    main = understood.cooking.main
    first = -1 if main is None else main[0]
    texts = (understood.said[index], understood.recipe.steps[index])
    return index > first and any(makes_a_side(understood, text) for text in texts)


SHORT: frozenset[str] = frozenset({"sauce", "other", "rest", "serve", "soften", "deglaze"})
"""Steps of ours that say nothing of a glaze in a pan of its own."""


def _is_of_a_salad(understood: Understood, index: int, lines: Sequence[OutLine]) -> bool:
    """“Char the corn, chop the onion and coriander, toss with the lime”, behind the long heat."""
    main = understood.cooking.main
    said = understood.said[index]
    if main is None or index <= main[0] or WITH_THE_MEAT.search(said):
        return False
    if not _PUT_TOGETHER.search(said):
        return False
    beside = {line.origin for line in lines if line.when == "beside"}
    return len(rows_named(understood, said) & beside) >= _LEAST_IN_A_SALAD


_PUT_TOGETHER = any_of(r"\b(?:toss|mix|combine|chop|whisk|dress|blend|stir together)\b")
_LEAST_IN_A_SALAD = 3
"""Foods for the table that a step puts together. Judgement."""
_LEAST_FRIED = 3
"""Foods that are fried with the cooked meat: none of our steps does that. Judgement."""


def _first(understood: Understood) -> int:
    """The first step with the long heat."""
    return min(understood.cooking.steps, default=0)


def _kind_of(
    understood: Understood,
    index: int,
    theme: Theme,
    lines: Sequence[OutLine],
    brushed: Set[int],
) -> str:
    """Which of our steps does a step's work; its own words where none does all of it."""
    step = understood.recipe.steps[index]
    # “Put the beef in a bowl with the wine. Cover and chill overnight.”
    told = theme != "marinate" and MARINATED.search(step) and index < _first(understood)
    soaks = bool(told and rows_named(understood, step) & in_marinade(understood))
    soaks = soaks and not grinds(_SOAKS_MEAT.sub("", step))
    more = measures_more(understood, step)
    boiled_first = index < _first(understood) and parboils(step)
    own = is_own_work(step) or thickens_with_more(understood, step) or more
    # what is brushed on would be lost, if only the step tells how much of what
    lost = (theme in _ABSORBING and own and not soaks) or (theme == "finish" and more)
    lost = lost or boiled_first
    elsewhere = theme == "serve" and (
        not names_any(understood, step) or len(unlisted_foods(understood, step)) > 1
    )
    late = index > max(understood.cooking.steps, default=index)
    main = understood.cooking.main
    apart = main is not None and index > main[0] and OF_A_SAUCE.match(step)
    beside = apart or _is_of_a_side(understood, index) or _is_of_a_salad(understood, index, lines)
    browned_late = theme == "sear" and late
    glazes_apart = theme in SHORT and boiled_apart(understood, step, brushed) == step
    late_foods = {line.origin for line in lines if line.when == "after"}
    fried = len(rows_named(understood, step) & late_foods) >= _LEAST_FRIED
    seasoned = late and _SEASONS.match(step) and _is_all_of(understood, step, lines, "finish")
    crusted = late and theme == "other" and not (own or fried) and understood.crust.kind is not None
    if (
        seasoned
        or (browned_late and understood.crust.kind == "pan" and not fried)
        or (crusted and crisps(step) and _BASTED.search(step))
        or (browned_late and understood.crust.kind == "broiler" and _OPENED.search(step))
    ):
        return "finish"
    rind = late and has_rind(understood) and _CRACKLES.search(step)
    apart_at = _cooked_apart(understood, step, lines) if late and theme == "other" else ""
    if rind or apart_at:
        return apart_at or "rest"  # meanwhile the rind is roasted alone
    early = index < _first(understood)
    rest_poured = early and not lost and _REST_POURED.search(step)
    second_pan = late and fried and _SECOND_PAN.search(step)
    at_table = {line.origin for line in lines if line.when == "beside"}
    melts = late and MELTS_CHEESE.search(step) and _UNDER_HEAT.search(step)
    toasts = melts and bool(rows_named(understood, step) & at_table)
    if (
        lost
        or second_pan
        or toasts
        or (elsewhere and not rest_poured)
        or browned_late
        or beside
        or glazes_apart
    ):
        return "own_words"
    if understood.crust.kind == "glaze" and glazes(step):
        return "release"  # the lid is off there, and the juice boiled down
    put_in = theme == "other" and _PUT_IN.match(step) is not None
    poured = (theme == "sauce" or put_in) and _is_poured(understood, index, lines)
    told = put_in and len(sentences_in(step)) == 1 and not _COOKS_ON.search(step)
    told = told and not own and bool(rows_named(understood, step))
    if ((poured or told) and early and not soaks) or rest_poured:
        return "pot"
    # “Place the ribs in a bag with the marinade”, which is shared: none of our steps marinates
    untold = theme == "marinate" and "marinade" in step and not in_marinade(understood)
    kind = "own_words" if untold else STEP_OF.get(theme, "own_words")
    return "marinate" if soaks else kind


_SOAKS_MEAT = re.compile(
    r"\bsoak (?:the |your |all )?(?:ribs?|meat|pork|beef|brisket|shoulder|pieces|racks?)\b", re.I
)
_BASTED = any_of(r"\bbast(?:e|ing)\b", r"\bbrush", r"\bglaz", r"\bsticky\b")
_OPENED = re.compile(r"\W*(?:then )?(?:uncover|unwrap|(?:lid|foil) off)\b", re.I)
"""“Uncover, 220 °C for 20 min to brown the top”: our own finish."""
_CRACKLES = any_of(r"\bcrackl\w*", r"\bblister\w*", r"\bcrisp\w*\b", r"\bknusprig\w*", r"\bkross\b")
_SECOND_PAN = any_of(
    r"\b(?:in|heat) (?:a|another|the same) (?:\w+ )?(?:skillet|frying pan|saut[eé] pan|wok)\b"
)
"""Shredded meat that goes on in a sauce of its own: our sauce step tells only what goes in."""
_UNDER_HEAT = any_of(
    r"\bmelt", r"\btoast", r"\bbroil", r"\bfr(?:y|ied) in butter\b", r"\bpress\b", r"\bgriddle\b"
)
_REST_POURED = any_of(
    r"\b(?:mix|combine|stir|whisk|add|heat)\b[^.;]{0,20}\b(?:remaining|rest of the|other) "
    r"ingredients\b.{0,80}\bpour\b"
)
"""“In the same skillet, combine the remaining ingredients. Pour over the ribs.”"""
_COOKS_ON = any_of(r"\b(?:cook|fry|brown\w*|until|minutes?|mins?|seconds|boiling|aside)\b")
_PUT_IN = re.compile(
    r"\W*(?:then )?(?:add|pour|put|return|place|tip|nestle|splash|slosh|push|tuck|drop|throw|chuck"
    r"|float|lay|arrange|bury|surround|wedge|empty|drench|slide|poke|pop|stir in|mix in|toss in)\b",
    re.I,
)


_TAKEN_OUT = re.compile(
    r"\W*(?:remove|take|lift|transfer)\b[^.;]*\b(?:meat|pork|beef|brisket|ribs?|shoulder|roast)\b",
    re.I,
)


_RUNS: frozenset[When] = frozenset({"own_run", "first_run"})
_FROM_THE_START: frozenset[When] = frozenset({"season", "sear", "pot", "top"})


def _cooked_apart(understood: Understood, step: str, lines: Sequence[OutLine]) -> str:
    """“Add the cabbage for the last hour”: it has a run of its own, or is simmered in the sauce."""
    told = [text for text in sentences_in(step) if not _TAKEN_OUT.match(text)]
    put_in = bool(told) and all(map(_PUT_IN.match, told))
    named = rows_named(understood, " ".join(told)) if put_in else frozenset()
    # “Drop the noodles into the broth”: the broth has been in the pot from the start
    places = {
        (line.when, line.when in _RUNS or line.food.kind == "tender_veg")
        for line in lines if line.origin in named and line.when not in _FROM_THE_START
    }  # fmt: skip
    if places == {("own_run", True)}:
        return "rest"
    return "sauce" if places in ({("after", True)}, {("first_run", True)}) else ""


_SEASONS = re.compile(r"\W*(?:then )?(?:season|rub|sprinkle|dust)\b[^.;]*[.;]?\W*$", re.I)


def _is_all_of(understood: Understood, step: str, lines: Sequence[OutLine], when: When) -> bool:
    """Whether all that a step names goes to one place."""
    named = rows_named(understood, step)
    found = [line.when for line in lines if line.origin in named and line.food.kind != "meat"]
    return bool(found) and set(found) == {when}


def _is_poured(understood: Understood, index: int, lines: Sequence[OutLine]) -> bool:
    """Whether what a step stirs together is poured into the cooker."""
    named = rows_named(understood, understood.said[index])
    return any(line.origin in named and line.when == "pot" for line in lines)

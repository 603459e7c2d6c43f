"""Meat that is cured or brined, and the lines of its cure."""

from itertools import pairwise

from pneumachron.core.message import Message
from pneumachron.recipes.understanding.ingredients import THIN_KINDS, Kind
from pneumachron.recipes.understanding.naming import rows_named
from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.sentences import sentences_in
from pneumachron.recipes.understanding.understand import Understood

CURED = any_of(
    r"\bcur(e|es|ed|ing)\b", r"\bbrin(e|es|ed|ing)\b", r"\brins(e|es|ed|ing)\b",
    r"\bsoak\b.{0,24}\bwater\b",
    r"\binject\w*\b(?! (?:you|we|i|left|and)\b)", r"\bsalt ?pet(?:re|er)\b",
    r"\bin (?:the )?salt\b[^.;]{0,40}\bdays?\b",
)  # fmt: skip
_CURES = any_of(r"(?<!pour )(?<!stir )(?<!tip )(?<!add )\bin (the|this) (brine|cure)\b",
                r"\bbrine (the|it|them)\b",
                r"\bcure (the|it|them)\b", r"\b(brine|cure) for\b",
                r"\b(cover|submerge)\w* .{0,60}\bbrine\b", r"\bleave to cure\b")  # fmt: skip
_CURED_MEAT = any_of(r"\bcorned\b", r"\bbacon (?:collar|joint)\b", r"\bcollar of bacon\b",
                     r"\bgammon\b", r"\bcured\b", r"\bsalt beef\b", r"\bpickled\b", r"\bbrined\b",
                      r"\bgep(ö|oe)kelt", r"\bkas+eler\b")  # fmt: skip


def is_cured(understood: Understood) -> bool:
    """Whether the meat is cured: as it was bought, or by what the recipe buys or does."""
    return _cures_it(understood) or bought_cured(understood)


def bought_cured(understood: Understood) -> bool:
    """Whether the meat came cured from the shop: corned beef."""
    row = understood.meat_index
    return row is not None and bool(_CURED_MEAT.search(understood.ingredients[row].line.raw))


def _cures_it(understood: Understood) -> bool:
    buys = any(item.kind == "cure" for item in understood.ingredients)
    return (
        buys
        or bool(_in_brine(understood))
        or any(_CURES.search(step) for step in understood.recipe.steps)
        or any(map(_is_a_brine, understood.recipe.steps))
    )


def _is_a_brine(step: str) -> bool:
    """“Dissolve the salt in the water. Submerge the pork for 12 hours”, and no word of a brine."""
    sentences = sentences_in(step)
    together = any(
        _DISSOLVED_IN_WATER.search(text) and _LIES_LONG.search(text) for text in sentences
    )
    return together or any(
        _DISSOLVED_IN_WATER.search(before) and _LIES_LONG.search(text)
        for before, text in pairwise(sentences)
    )


_DISSOLVED_IN_WATER = any_of(
    r"\b(?:dissolve|stir|mix|whisk|combine)\b(?![^.;]*\bpaste\b)[^.;]*\bsalt\b[^.;]*"
    r"\b(?:in|into|with|and)\b[^.;]*\bwater\b"
)
_LIES_LONG = any_of(
    r"^(?!.*\b(?:cook|simmer|brais|bak|roast|boil|smok|grill|oven|low|high|pressure|rub)\w*\b).*"
    r"\b(?:submerge|soak|immerse|sink|cover|put|leave)\b[^.;]*"
    r"\b(?:meat|pork|beef|brisket|ribs?|shoulder|it|them)\b[^.;]*\b(?:hours?|hrs?|overnight|days?)\b"
)


def cured_lines(understood: Understood) -> frozenset[int]:
    """Lines that belong to the cure or brine: they are no seasoning and go into no cooker."""
    if not _cures_it(understood):
        return _injected(understood)
    meat = {item.index for item in understood.ingredients if item.kind in {"meat", "other_meat"}}
    own = {item.index for item in understood.ingredients if item.kind == "cure"}
    rub = {row for part in understood.recipe.parts if part.role == "rub" for row in part.lines}
    told = " ".join(
        f"{before} {text}" if _DISSOLVED.search(before) else text
        for before, text in pairwise(
            ["", *(text for step in understood.said for text in sentences_in(step))]
        )
        if CURED.search(text) or (_DISSOLVED_IN_WATER.search(before) and _LIES_LONG.search(text))
    )
    return (
        (rows_named(understood, told) - rub) | own | _in_brine(understood) | _brining(understood)
    ) - meat


_LIES_IN_IT = any_of(r"\b(?:refrigerat\w*|fridge|chill|overnight|submerge|soak)\b")
_DISSOLVED = any_of(
    r"\b(?:dissolve|stir|mix|whisk|combine|boil|heat)\b[^.;]*\bsalt\b[^.;]*\b(?:water|cider|buttermilk)\b",
    r"\b(?:water|cider|buttermilk)\b[^.;]*\bsalt\b",
)
"""“Dissolve the salt and sugar in the water. Brine the ribs 4 hours.”"""


def _injected(understood: Understood) -> frozenset[int]:
    """“Inject the pork with the apple juice”: it goes into the meat, and not into the cooker."""
    told = " ; ".join(
        found["what"] for step in understood.said for found in _INJECTED.finditer(step)
    )
    return frozenset(
        row for row in rows_named(understood, told)
        if understood.ingredients[row].kind in _INJECTED_KINDS
    )  # fmt: skip


_INJECTED = any_of(r"\binject\w*(?:\b[^.;]{0,60}?\bwith |(?: with)?\s*: ?)(?P<what>[^.;]{3,120})")
_INJECTED_KINDS: frozenset[Kind] = THIN_KINDS | {"fat", "salty_thin", "acid"}


def is_step_of_a_cure(understood: Understood, step: str) -> bool:
    """Whether a step cures, brines or injects the meat: it stays in its own words and order."""
    if _INJECTED.search(step) and _injected(understood):
        return True
    brine = _in_brine(understood)
    if len(rows_named(understood, step) & brine) > 1 and _LIES_IN_IT.search(step):
        return True  # “Dissolve the salt in the tea. Pour over the ribs and refrigerate.”
    return _is_a_brine(step) or (CURED.search(step) is not None and is_cured(understood))


BRUSHED_OFF = Message("prepared-brushed_off")
MOST_SALT_KG_PER_KG = 0.06
"""Salt on meat that can still be eaten as it is; a rub has one to three in a hundred. Common
practice."""


def _brining(understood: Understood) -> frozenset[int]:
    """Salt of which there is more than any rub has: it is that of the brine, whatever names it."""
    return frozenset(
        item.index for item in understood.ingredients
        if item.kind == "salt"
        and (item.mass_kg or 0.0) > MOST_SALT_KG_PER_KG * understood.mass_kg
    )  # fmt: skip


def _in_brine(understood: Understood) -> frozenset[int]:
    """Lines under a heading of a brine or cure."""
    return frozenset(
        row for part in understood.recipe.parts if part.role == "brine" for row in part.lines
    )

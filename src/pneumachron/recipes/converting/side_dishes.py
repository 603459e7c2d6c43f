"""Which steps make what is served beside the meat."""

import re
from collections.abc import Set

from pneumachron.recipes.converting.glazes import ONLY_MIXED
from pneumachron.recipes.converting.parts import (
    HEADING_WORDS,
    MADE_RAW,
    has_own_pan_in,
    making,
    parts_apart,
)
from pneumachron.recipes.converting.themes import WITH_THE_MEAT
from pneumachron.recipes.understanding.main_heat import IN_PASTRY
from pneumachron.recipes.understanding.naming import rows_named
from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.sentences import sentences_in
from pneumachron.recipes.understanding.side_work import is_side_work
from pneumachron.recipes.understanding.understand import Understood


def makes_a_side(understood: Understood, step: str) -> bool:
    """Whether a step makes a part that is served beside the meat."""
    apart = parts_apart(understood)
    parts = {part for part in apart.values() if part.role == "beside"}
    rows = {row for row, part in apart.items() if part.role == "beside"}
    if any(
        _works_on_it_alone(understood, text, rows)
        or (
            is_side_work(text)
            and not _ONLY_SERVES.match(text)
            and len(rows_named(understood, text) & rows) > 1
        )
        for text in sentences_in(step)
    ):
        return True  # “Sauté the onions and mushrooms in the butter”, under “For the garnish”
    # “Layer chips, pork, beans and cheese on a sheet pan. Bake 8 minutes.”
    layered = _LAYERS.search(step) and len(rows_named(understood, step) & rows) >= _LEAST_LAYERED
    if layered or IN_PASTRY.search(step):
        return True  # none of our steps bakes a pie
    names = {HEADING_WORDS.sub("", part.name).lower() for part in parts}
    low = step.lower()
    if _DUMPLINGS.search(low) and any("dumpling" in name for name in names):
        return True
    if (MADE_RAW.search(step) or ONLY_MIXED.match(step)) and any(
        name.endswith("sauce") for name in names
    ):
        return True
    if any(has_own_pan_in(understood, part, sentences_in(step)) for part in parts):
        return True
    return any(_tells_how(name, low) for name in filter(None, names))


def _works_on_it_alone(understood: Understood, text: str, rows: Set[int]) -> bool:
    """“While the pork cooks, heat the vinegar, sugar and salt and pour over the onion.”"""
    told = _MEANWHILE.sub("", text)
    named = rows_named(understood, told) if _WORKS.search(told) else frozenset()
    kinds = {understood.ingredients[row].kind for row in named & rows}
    # “the sugar” of the pickle could be the brown one of the rub as well
    others = {understood.ingredients[row].kind for row in named - rows}
    alone = len(named & rows) >= _LEAST_WORKED_ON and others <= kinds
    return alone and not WITH_THE_MEAT.search(_POURED.sub("", told))


_MEANWHILE = re.compile(r"\W*(?:while|as) (?:the |your |it |that )?[^,;]{3,40}, ", re.I)
_WORKS = any_of(
    r"\b(?:heat|boil|whisk|blend|toss|dissolve|shake|mash|bring|simmer|mix|combine)\b",
    r"\b(?:put|place|add)\b[^.;]{3,80}\b(?:jar|bowl|jug|small pan|saucepan)\b",
)
_POURED = re.compile(
    r"\bpour(?:ed)? (?:it |this |them )?over\b(?! (?:the )?(?:meat|ribs|pork|beef))", re.I
)
_LEAST_WORKED_ON = 3
"""Foods of a side that one sentence puts together. Judgement."""
_ONLY_SERVES = re.compile(r"\W*serve\b[^.;]*\b(?:with|over|on)\b[^.;]*\W*$", re.I)


def _tells_how(name: str, text: str) -> bool:
    """“For the risotto, soften the onion …”; a name of one word alone says too little."""
    name = _IN_BRACKETS.sub("", name).strip()
    if len(name.split()) > 1:
        return making(name).search(text) is not None
    name = re.escape(name)
    told = rf"\W*(?:for|make) (?:the |your )?{name}\b|.*\b{_PUTS_TOGETHER} (?:the |your )?{name}\b"
    return re.match(told, text) is not None


_IN_BRACKETS = re.compile(r"\([^()]*\)?")
_PUTS_TOGETHER = "(?:bring|boil|simmer|warm|heat|whisk|mix|blend|stir)(?: up| together)?"


_LAYERS = any_of(
    r"\b(?:layer|arrange|spread|pile|fill|stuff|roll)\b[^;]*\b(?:bake|broil|grill|oven|melt\w*)\b"
)
_LEAST_LAYERED = 2
"""Foods of another dish that a step puts together. Judgement."""
_DUMPLINGS = any_of(
    r"\b(?:mix|make|shape|roll|form|sit|drop|place|lay|arrange|nestle)\b[^.;]{0,20}\bdumplings?\b"
)

"""How long the raw meat lies in its marinade."""

import re

from pneumachron.recipes.converting.cures import is_step_of_a_cure
from pneumachron.recipes.converting.marinade import MARINATED, SOAKS_IN_THE_COLD
from pneumachron.recipes.converting.marinade_used import USED
from pneumachron.recipes.understanding.device import SIMMER
from pneumachron.recipes.understanding.durations import durations_in
from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.sentences import sentences_in
from pneumachron.recipes.understanding.understand import Understood

OVERNIGHT_S = (8 * 3600.0, 12 * 3600.0)
_COLD = any_of(r"\brefrigerat", r"\bfridge\b", r"\bice ?box\b", r"\bchill\b", r"\bovernight\b",
               r"\bk(ü|ue)hlschrank\b", r"\bkalt stellen\b", SOAKS_IN_THE_COLD)  # fmt: skip
DAY_S = 86400.0
DAYS = re.compile(
    r"\b(?P<low>[1-9])(?:\s?(?:-|–|to|or|bis)\s?(?P<high>[1-9]))? (?:days?|tagen?)\b", re.I
)
NIGHT = re.compile(
    r"\bovernight\b|\b(?:one|a whole) night\b|\bnight before\b|\bday before\b"
    r"|\b(?:ü|ue)ber nacht\b|\bam vortag\b",
    re.I,
)


_BAKED_IN_IT = any_of(r"\b(?:bake|roast|braise)\b[^.;]*\d")
"""“Place the ribs in a dish with the marinade, cover and bake 1 hour.”"""
_MARINADE_TIME = re.compile(
    r"\b(?:marinade|marinating|marinate|chill(?:ing)?)(?: time)?:?\s+(?P<time>[^|·\n]{3,40})", re.I
)
"""“Marinade time: 4 hours or overnight”, above the recipe."""
_LEAST_SOAK_S = 600.0
"""In less time nothing soaks in. Judgement."""


def marinating_s(understood: Understood) -> tuple[float, float] | None:
    """How long the recipe marinates [s]; None when it does not say."""
    main = understood.cooking.main
    steps = understood.recipe.steps if main is None else understood.recipe.steps[: main[0] + 1]
    for step in steps:
        if is_step_of_a_cure(understood, step):
            continue
        # the rest before carving is no marinade, and what boils is none any more
        texts = [
            text for text in sentences_in(step)
            if (MARINATED.search(text) or _COLD.search(text))
            and not (USED.search(text) or SIMMER.search(text) or _BAKED_IN_IT.search(text))
        ]  # fmt: skip
        for sentence in texts:
            if night := NIGHT.search(sentence):
                return from_an_hour(sentence[: night.start()]) or OVERNIGHT_S
            if days := DAYS.search(sentence):
                return DAY_S * int(days["low"]), DAY_S * int(days["high"] or days["low"])
            spans = [span for span in durations_in(sentence) if span.high_s >= _LEAST_SOAK_S]
            if spans:
                return spans[0].low_s, spans[0].high_s
        # "The night before, put the ribs in the wine. Cover and chill."
        if texts and NIGHT.search(step):
            return OVERNIGHT_S
    return _told_above_s(understood.recipe.description)


def from_an_hour(before: str) -> tuple[float, float] | None:
    """“4 hours or overnight”: from the hours on."""
    spans = durations_in(before)
    if not spans or not _OR_TO.match(before, spans[-1].end):
        return None
    low_s = spans[-1].low_s
    return (low_s, OVERNIGHT_S[1]) if _LEAST_SOAK_S <= low_s < OVERNIGHT_S[0] else None


_OR_TO = re.compile(r",? (?:or|to|up to|and up to|or up to|[-–]) ?(?:up to )?$", re.I)


def _told_above_s(description: str) -> tuple[float, float] | None:
    above = _MARINADE_TIME.search(description)
    if above is None:
        return None
    if NIGHT.search(above["time"]):
        return OVERNIGHT_S
    spans = [span for span in durations_in(above["time"]) if span.high_s >= _LEAST_SOAK_S]
    return (spans[0].low_s, spans[0].high_s) if spans else None

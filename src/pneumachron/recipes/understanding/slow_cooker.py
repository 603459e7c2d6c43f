"""What a slow cooker is set to, and for how long: at one level, or at one after another."""

import re
from collections.abc import Sequence

from pneumachron.recipes.model import Recipe
from pneumachron.recipes.understanding.durations import durations_in
from pneumachron.recipes.understanding.main_heat import HeatSpan
from pneumachron.recipes.understanding.sentences import THEN, sentences_in

_LEVEL = re.compile(
    r"\b(?:low|high)\b(?!-| (?:heat|flame|sides?|quality|sodium|fat|salt|pressure|and dry))", re.I
)
_SET_ANEW = re.compile(
    r"\b(?:turn|lower|reduce|switch|change)\w*\b[^.;]*\b(?:low|high)\b"
    r"|\b(?:another|more|longer|further)\b",
    re.I,
)
"""“Turn to low and cook 6 hours more.”"""


def one_after_another(spans: Sequence[HeatSpan]) -> list[HeatSpan]:
    """The first time, and those that follow it: “8 hours on low or 4 on high” is one of both."""
    found = list(spans[:1])
    for item in spans[1:]:
        same = (item.step, item.place) == (found[-1].step, found[-1].place)
        follows = _has_a_second(item.sentence) if same else _SET_ANEW.search(item.sentence)
        if follows:
            found.append(item)
    return found


def _has_a_second(sentence: str) -> bool:
    """“1 hour on high, then 6 hours on low”."""
    first, *later = THEN.split(sentence)
    return bool(durations_in(first)) and any(map(durations_in, later))


def words_of_its_level(recipe: Recipe, main: HeatSpan) -> str:
    """The words that say at which level the longest time is cooked; the sentence when none do."""
    timed = [part for part in THEN.split(main.sentence) if durations_in(part)]
    longest = max(timed, key=_longest_s, default=main.sentence)
    before = [text for step in recipe.steps[: main.step] for text in sentences_in(step)]
    before += sentences_in(recipe.steps[main.step])[: main.place] if recipe.steps else []
    told = (longest, main.sentence, *reversed(before))
    return next((text for text in told if _LEVEL.search(text)), main.sentence)


def _longest_s(text: str) -> float:
    return max((span.high_s for span in durations_in(text)), default=0.0)

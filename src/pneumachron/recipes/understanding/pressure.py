"""A recipe that is made for an electric pressure cooker already: its minutes, level and release."""

import re
from dataclasses import dataclass

from pneumachron.core.catalog.cuts import ReleaseMethod
from pneumachron.core.planning.request import Level
from pneumachron.recipes.model import Recipe
from pneumachron.recipes.understanding.durations import durations_in
from pneumachron.recipes.understanding.method import Cooking
from pneumachron.recipes.understanding.patterns import any_of

_QUICK = any_of(
    r"\bquick[- ]?(pressure )?releas\w*", r"\bQP?R\b", r"\bmanual(ly)? releas\w*",
    r"\breleas\w* (it |the pressure )?(quickly|at once|immediately|right away|manually)\b",
    r"\bvent (it )?at once\b", r"\b(schnell|sofort) (abdampfen|ablassen)\b",
)  # fmt: skip
_NATURAL = any_of(
    r"\bnatural\w*\b", r"\bNP?R\b", r"\bnatürlich (abdampfen|abkühlen|entspannen)\b",
    r"\blangsam (abdampfen|ablassen)\b", r"\breleas\w* (on its own|slowly)\b", r"\bslow releas\w*",
    r"\b(let|leave)\b[^.;]{0,24}\d ?min\w*[^.;]{0,12}\bthen (vent|release|open|turn)\b",
    r"\b(come|go|drop|fall)s? down (on its own|alone)",
    r"\blet (it |the |all )?(pressure |steam )?(fall|drop|subside|come down|go down)\b",
    r"\bpressure (fall|drop|subside|come down|go down)s?\b", r"\b(sit|stand|rest) sealed\b",
)  # fmt: skip
_LOW = any_of(r"\blow pressure\b", r"\bpressure[- ]cook (on|at) low\b")
_SHORT = re.compile(r"\bmins?\.(?=(?-i:\s+[a-z(]|[,;]))", re.I)
"""“15 min., then”: the end of a word, and of no sentence."""
MOST_HOLD_S = 4.0 * 3600.0
"""No recipe holds pressure longer: so many hours are another device's. Judgement."""
MOST_WAIT_S = 3600.0
"""No recipe waits longer before the valve is opened. Judgement."""


@dataclass(frozen=True, slots=True)
class Pressure:
    """What such a recipe sets; `release` is None where it does not say."""

    hold_min: int
    level: Level
    release: ReleaseMethod | None
    wait_s: float | None
    """Before the valve is opened, of a timed release."""


def read_pressure(recipe: Recipe, cooking: Cooking) -> Pressure | None:
    """The settings of a recipe for an electric pressure cooker; None for any other recipe."""
    if cooking.method != "pressure" or cooking.low_s is None or cooking.high_s is None:
        return None
    if cooking.high_s > MOST_HOLD_S:
        return None
    minutes = round((cooking.low_s + cooking.high_s) / 120.0)
    first = cooking.main[0] if cooking.main else 0
    # the release is told in the sentence of the minutes, or in the next step
    text = _SHORT.sub("min", " ".join(recipe.steps[first : first + 2]))
    release, wait_s = _release(text)
    return Pressure(minutes, "low" if _LOW.search(text) else "high", release, wait_s)


def _release(text: str) -> tuple[ReleaseMethod | None, float | None]:
    natural, quick = _NATURAL.search(text), _QUICK.search(text)
    if natural is None:
        return ("quick", None) if quick else (None, None)
    # "natural release 15 minutes", "15 minutes natural"
    around = re.split(r"[.;]", text[natural.start() :])[0]
    before = re.split(r"[.,;]", text[max(0, natural.start() - 16) : natural.start()])[-1]
    # "NPR 15, then QR": whoever opens the valve after a number means minutes
    bare = _BARE_WAIT.match(text[natural.end() :])
    if bare and 60.0 * int(bare[1]) <= MOST_WAIT_S:
        return "timed", 60.0 * int(bare[1])
    spans = durations_in(around) or durations_in(before)
    if spans and spans[0].high_s <= MOST_WAIT_S:
        return "timed", spans[0].high_s
    if number := _NUMBER_BEFORE.search(before):
        return "timed", 60.0 * int(number[1])
    return "natural", None


_NUMBER_BEFORE = re.compile(r"\b(\d{1,2}) $")
"""“10 natural, then open the vent.”"""
_BARE_WAIT = re.compile(
    r"[ ,:(-]{0,3}(?:release|for)?[ ,:(-]{0,3}(\d{1,2})(?=\s*(?:[,.;)]|$|then\b|and\b|quick))", re.I
)

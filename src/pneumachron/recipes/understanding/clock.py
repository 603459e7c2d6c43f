"""Hours that a recipe tells by the clock: “ribs on at 9, off at 3”."""

import re
from collections.abc import Iterator
from dataclasses import dataclass

from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.sentences import sentences_in

_TIME = re.compile(
    r"(?<![\d:.,-])(?:(?P<hour>[01]?\d|2[0-4])(?:[:.](?P<minute>[0-5]\d))?\s?"
    r"(?P<half>[ap]\.?m\b\.?|at night|in the (?:morning|evening|afternoon)|o.clock|uhr\b)"
    r"|(?P<plain>[01]?\d|2[0-3]):(?P<past>[0-5]\d)(?![\d:])(?! ?h)"
    r"|(?:\b(?:at|by|till?|until)|(?:^|(?<=[.;] ))around) (?P<bare>1[0-2]|[1-9])"
    r"(?=[,.;]|:(?!\d)|$| (?:and|then|off|out|on|i|we|they|it|put)\b)"
    r"|\b(?P<word>noon|midday|midnight))",
    re.I,
)
_HALF = re.compile(
    r"(?:a\.?m|in the morning)|(?P<second>p\.?m|at night|in the (?:evening|afternoon))", re.I
)
_WORDS_H = {"noon": 12, "midday": 12, "midnight": 0}
_CLAUSES = re.compile(r"[,;]\s+|\s+(?:and|then|until|till?)\s+(?=\w+ )|(?<=\D)\. ", re.I)
_ON = any_of(r"\b(goes |go |went |put |get )?(it |them |\w+ )?(on|in|into|onto)\b", r"\bstart",
             r"\brein\b|\bauf den\b")  # fmt: skip
_FIRE = any_of(
    r"\b(light|fire|coals?|charcoal|preheat|heat up|chimney)\b",
    r"\b(smoker|grill|oven|pit|barbecue|kettle) (is )?(on|lit|going|up)\b",
)
_OFF = any_of(r"\binto the cooler\b", r"(?<!foil )(?<!lid )(?<!cover )\boff\b",
              r"\bout\b(?! of (?:the )?(?:foil|paper|wrap|fridge))",
              r"\b(?:19\d|20\d)(?: ?°?f)? (?:at|by|around|about) ",
              r"\bprobe[- ]tender\b", r"\binternal (?:temp\w* )?(?:of )?(?:19\d|20\d)\b",
              r"\btill? (?:1[0-2]|[1-9])\b(?! ?(?:min|h|°|º))",
              r"\bdone\b", r"\bready\b", r"\bpull(ed)?\b", r"\brest\b",
              r"\bfinished\b", r"\braus\b|\bherunter\b|\bfertig\b")  # fmt: skip
_LABEL = re.compile(
    r"\W*(?:[a-z]{3,9} )?(?:\d{1,2}(?:[:.]\d\d)? ?[ap]\.?m\.?\s*[:–-]\s|\d{1,2}[:.]\d\d ?[ap]m\b)",
    re.I,
)
"""“Sat 3:30 pm: 203 °F, out”: all of the line is done then."""
DAY_MIN = 24 * 60
NOON_MIN = 12 * 60
_NOTHING_BEFORE = re.compile(r"\W*(?:(?:at|by|around|about|then|and|from|um|gegen) +)*$", re.I)
_ONLY_A_TIME = 3
"""Words of “At 8 am”. Judgement."""


@dataclass(frozen=True, slots=True)
class ByTheClock:
    """From when the meat goes on until it comes off."""

    seconds: float
    step: int
    place: int
    """Sentence of the step in which it goes on."""
    start: int


@dataclass(frozen=True, slots=True)
class _Told:
    minute: float
    """Of the day, or of half a day where neither am nor pm is said."""
    sure: bool
    """Whether half of the day is known."""
    clause: str
    step: int
    place: int
    start: int


def by_the_clock(steps: tuple[str, ...]) -> ByTheClock | None:
    """The hours between two times of the day, None where they are not told.

    Of an hour without am or pm the nearest that makes sense is taken: from 9 to 3 are six hours.
    """
    told = list(_times(steps))
    on = next((at for at in told if _ON.search(at.clause) and not _FIRE.search(at.clause)), None)
    if on is None:
        on = next((at for at in told if _FIRE.search(at.clause) and _goes_on(steps, at)), None)
    if on is None:
        return None
    off = [at for at in told[told.index(on) + 1 :] if _OFF.search(at.clause)]
    if not off:
        return None
    # “12:30” and “5:45” are of the same afternoon, unless another line says “17:45”
    whole_day = any(at.minute > NOON_MIN + 59 for at in told)
    sure = (on.sure or whole_day) and (off[0].sure or whole_day)
    turn = DAY_MIN if sure else DAY_MIN // 2
    minutes = (off[0].minute - on.minute) % turn
    return ByTheClock(60.0 * minutes, on.step, on.place, on.start) if minutes else None


def _goes_on(steps: tuple[str, ...], at: _Told) -> bool:
    """“Smoker up to 250 at midnight. Brisket on.”: the sentence behind says what is done then."""
    behind = sentences_in(steps[at.step])[at.place + 1 :]
    behind += [text for step in steps[at.step + 1 : at.step + 2] for text in sentences_in(step)]
    return bool(behind) and _PUT_ON.search(behind[0]) is not None


_PUT_ON = re.compile(
    r"^\W*(?:\w+ ){0,4}(?:meat|brisket|pork|beef|ribs?|butt|shoulder|it) on\b", re.I
)


def _times(steps: tuple[str, ...]) -> Iterator[_Told]:
    for index, step in enumerate(steps):
        for place, sentence in enumerate(sentences_in(step)):
            clauses = [sentence] if _LABEL.match(sentence) else _CLAUSES.split(sentence)
            for number, clause in enumerate(clauses):
                if found := _TIME.search(clause):
                    at = sentence.index(clause) + found.start()
                    # "At 8 am, take off the foil": what is done then stands behind the comma
                    alone = len(clause.split()) <= _ONLY_A_TIME
                    alone = alone and _NOTHING_BEFORE.match(clause[: found.start()]) is not None
                    told = " ".join(clauses[number : number + 2]) if alone else clause
                    yield _told(found, told, (index, place, at))


def _told(found: re.Match[str], clause: str, where: tuple[int, int, int]) -> _Told:
    half = (found["half"] or "").lower()
    if found["word"]:
        hour, sure = _WORDS_H[found["word"].lower()], True
    else:
        hour = int(found["hour"] or found["plain"] or found["bare"])
        sure = half.startswith("u") or (found["plain"] or "").startswith("0")
    if named := _HALF.match(half):
        hour, sure = hour % 12 + (12 if named["second"] else 0), True
    minute = int(found["minute"] or found["past"] or 0)
    return _Told(60.0 * hour + minute, sure, clause, *where)

"""Durations and temperatures in running text."""

import re
from dataclasses import dataclass
from fractions import Fraction
from itertools import pairwise

from pneumachron.recipes.understanding.kept import kept
from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.spoken_times import in_figures

_NUM = r"(?:\d+\s+\d+\s*/\s*\d+|\d+\s*/\s*\d+|\d*\.\d+|\d+)"
_WORD = {"an": 1.0, "a": 1.0, "one": 1.0, "two": 2.0, "three": 3.0, "four": 4.0, "five": 5.0,
         "six": 6.0, "seven": 7.0, "eight": 8.0, "nine": 9.0, "ten": 10.0, "twelve": 12.0,
         "fifteen": 15.0, "eighteen": 18.0, "a couple of": 2.0, "couple of": 2.0,
         "half an": 0.5, "a quarter of an": 0.25}  # fmt: skip
_COUNT = rf"(?:{_NUM}|{'|'.join(sorted(_WORD, key=len, reverse=True))})"
_SPAN = re.compile(
    rf"(?<![\w/.])(?P<low>{_COUNT})(?:\s*(?:-|–|—|to|or|and|bis)\s*(?P<high>{_COUNT}))?\s*-?\s*"
    r"(?:more\s+|further\s+)?(?P<unit>hours?|hrs?|h|minutes?|mins?|min|m|stunden?|stdn?|minuten)(?![A-Za-z])\.?",
    re.I,
)
_DEGREES = re.compile(
    r"(?<![\d.,])(?P<value>\d{2,3})\s*(?:(?:-|–|to|and)\s*\d{2,3}\s*)?(?:-\s*(?=(?i:deg)))?"
    r"(?P<sign>°|º|\*|(?i:degrees?|deg\b\.?|Grad\b|(?:fan|convection|Umluft)\b))?\s*(?P<unit>[CF](?:elsius|ahrenheit)?|[cf](?=[\s,.;)]|$))?"
    r"(?![A-Za-z0-9%])"
)
_GAS = {
    0.25: 110.0,
    0.5: 130.0,
    1: 140.0,
    2: 150.0,
    3: 160.0,
    4: 180.0,
    5: 190.0,
    6: 200.0,
    7: 220.0,
    8: 230.0,
    9: 240.0,
}
"""Gas marks in °C. Common practice."""


LONG_HEAT_S = 45 * 60.0
"""Shorter is no braise, and no smoke. Judgement."""


@dataclass(frozen=True, slots=True)
class Span:
    """A duration in a text, and where it stands in it, with times said in words as figures."""

    low_s: float
    high_s: float
    start: int
    end: int


@kept
def durations_in(text: str) -> tuple[Span, ...]:
    """Every duration in a text; “1 hour 30 minutes” is one."""
    plain = in_figures(text)
    found: list[Span] = []
    for match in _SPAN.finditer(plain):
        scale = 3600.0 if match["unit"][0] in "hHsS" else 60.0
        low = _number(match["low"])
        high = _number(match["high"]) if match["high"] else low
        if low is not None and high is not None and low > high:
            low = high  # "350 – 1 hr" is one hour, at 350
        if low is None or high is None or not 0 < low <= high <= 2000:
            continue
        found.append(Span(low * scale, high * scale, match.start(), match.end()))
    return tuple(_ranged(_joined(found, plain), plain))


def _joined(spans: list[Span], text: str) -> list[Span]:
    """Hours and minutes next to each other belong together."""
    merged: list[Span] = spans[:1]
    for before, span in pairwise(spans):
        between = text[before.end : span.start].strip(" ,")
        last = merged[-1]
        if _TO.fullmatch(f" {between}") and last.high_s < 3600 <= span.low_s:
            # "45 minutes to 1 hour"
            merged[-1] = Span(last.low_s, span.high_s, last.start, span.end)
        elif between in {"", "and", "und"} and before.low_s >= 3600 > span.high_s:
            merged[-1] = Span(
                last.low_s + span.low_s, last.high_s + span.high_s, last.start, span.end
            )
        else:
            merged.append(span)
    return merged


def _ranged(spans: list[Span], text: str) -> list[Span]:
    """“1 hour 15 minutes to 1 hour 30 minutes” is from one to the other."""
    merged: list[Span] = spans[:1]
    for span in spans[1:]:
        last = merged[-1]
        between = text[last.end : span.start]
        if _UP_TO.fullmatch(between) and last.low_s == last.high_s < span.high_s:
            merged[-1] = Span(last.low_s, span.high_s, last.start, span.end)
        else:
            merged.append(span)
    return merged


_UP_TO = re.compile(r"\s*(?:to|up to|-|–|bis)\s*")


def _number(text: str) -> float | None:
    word = _WORD.get(" ".join(text.lower().split()))
    if word is not None:
        return word
    try:
        return float(sum(Fraction(re.sub(r"\s*/\s*", "/", part)) for part in _parts(text)))
    except (ValueError, ZeroDivisionError, OverflowError):
        return None


def _parts(text: str) -> list[str]:
    return re.sub(r"\s*/\s*", "/", text).split()


MOST_C = 290.0
"""No oven is hotter."""


@dataclass(frozen=True, slots=True)
class Degrees:
    """A temperature of an oven or a middle, and where it stands."""

    temp_c: float
    start: int
    end: int
    exact: bool = True
    """In degrees; a gas mark stands for about ten of them."""


_TO = re.compile(r"\s*(?:to|-|–|and)\s*")
_NAMED_C = {
    "very slow": 120.0, "cool": 120.0, "very low": 120.0, "low": 140.0, "slow": 150.0,
    "moderately slow": 160.0, "warm": 160.0, "moderate": 180.0, "medium": 180.0,
    "moderately hot": 190.0, "fairly hot": 200.0, "hot": 220.0, "very hot": 240.0,
}  # fmt: skip
"""Ovens by name. Common practice, from memory of cookery books."""
_NAMED_OVEN = re.compile(
    rf"\b(?P<how>{'|'.join(sorted(_NAMED_C, key=len, reverse=True)).replace(' ', chr(92) + 's+')})"
    r"\s+oven\b",
    re.I,
)
_BARE = re.compile(
    r"(?:\b(?:at|to|in|of|for|bake|roast|smoke|smoker|oven|pit|temp(?:erature)?|heat|cook|braise|grill|hold|running"
    r"|between|around|near|about|cover(?:ed)?|into|like|keep|then)[ ,:]*(?:a |the |it )?"
    r"(?:\w+,? )?|^|(?<=\w[.,;] ))"
    r"(?P<value>\d{3})(?:(?:-|–| to | and )\d{3})?(?:-?ish)?"
    r"(?= (?:for|till?|until|oven|smoker|pit|grill|all|or|and|with|w|over|using|on|at|these|now"
    r"|does|will|should|usually)\b"
    r"|[,.;]| \(| \d"
    r"| [–-] ?\d| /| ?$)"
    r"|\b(?P<before>\d{3}) (?=for \d|(?:till?|until) )"
    r"|@ ?(?P<sign>\d{3})\b"
    r"|\((?:about |around |i like |say |roughly )?(?P<aside>\d{3})\)",
    re.I,
)
"""“Bake at 325 for …”, “225 till it hits 165”: a heat by its place alone."""


_HOTTER_F = re.compile(r"\s?(?:-|–|to|and)\s?(?:2[5-9]\d|[34]\d\d)\b")
"""“240 to 260”: no oven is set to 260 °C for hours, so that both are °F."""
_FANNED = any_of(r"\bfan\b", r"\bconvection\b", r"\bUmluft\b")
_SMOKES = any_of(r"\bsmok", r"\bpit\b")
_IS_SMOKED = any_of(r"(?<!liquid )\bsmok(?:e|ing) (?:it |them |the \w+ |bare |for |at |[1-9])")
_SMOKERS = any_of(r"\bpellet\b", r"\boffset\b", r"\bkamado\b", r"\bdrum\b", r"\bsmoker\b")
_WRAPS = any_of(
    r"\bwrap\w*\b(?:(?!\b(?:bak|cook|roast|smok|oven|return|back))[^.;]){0,40}"
    r"\b(?:at|by|@|around|about)\W"
)
_AT_THE_STALL_F = (145, 185)
"""Inside, where meat is wrapped [°F]. Common practice: 150 to 180 °F."""
_HOURS_S = 3 * 3600.0
"""So long no oven is hotter than 210 °C. Judgement."""


def _bare_c(value: float, text: str) -> float | None:
    """A heat without a unit: quarters of a hundred from 225 on are °F, lower ones °C.

    What smokes is never as hot as 200 °C, and no oven is at 210 °C for three hours.
    """
    wrapped = _AT_THE_STALL_F[0] <= value <= _AT_THE_STALL_F[1] and _WRAPS.search(text)
    smokes = (
        wrapped
        or (value >= 200 and _SMOKES.search(text))
        or (value >= 170 and (_SMOKERS.search(text) or _IS_SMOKED.search(text)))
    )
    if smokes or (value >= 210 and any(each.high_s >= _HOURS_S for each in durations_in(text))):
        return (value - 32.0) / 1.8
    if value >= 250 or (value >= 225 and value % 25 == 0):
        return (value - 32.0) / 1.8
    return value if 100 <= value <= 240 else None


_MEASURED = any_of(r"\binternal", r"\binside", r"\b(until|till?)\b", r"\breach", r"\breads?\b",
                   r"\bmiddle\b", r"\bhits?\b", r"\bthermometer\b")  # fmt: skip


def _most_c(text: str, found: re.Match[str]) -> float:
    """The hottest that a number without a unit is in °C. No oven is set to 160 °F; meat is."""
    around = text[max(0, found.start() - 30) : found.end() + 25]
    return 140.0 if _MEASURED.search(around) else 185.0


@kept
def temperatures_in(text: str) -> tuple[Degrees, ...]:
    """Temperatures from 55 to 290 °C; the unit is told from the number where it is not named."""
    plain = in_figures(text)
    found = [*_with_a_sign(plain), *_gas_marks(plain)]
    if not found:
        # "a moderate oven (350)": the number is meant, the name is only about right
        found = _in_brackets(plain) or _named_ovens(plain)
    if all(_FANNED.search(plain[item.start : item.end + 6]) for item in found if item.exact):
        found += _by_place(plain, found)
    elif "@" in plain:  # "@ 225 until 165° inside"
        found += [item for item in _by_place(plain, found) if "@" in plain[: item.start][-2:]]
    else:  # "bake at 300 for about 4 hours, to 200 °F inside"
        found += [
            item for item in _by_place(plain, found)
            if _COOKED_AT.search(plain, 0, item.start) and _SO_LONG.match(plain, item.end)
        ]  # fmt: skip
    return tuple(sorted(found, key=lambda item: item.start))


_COOKED_AT = re.compile(
    r"\b(?:bak|roast|brais|cook|smok|grill)\w*\b[^.;,]{0,30}\bat (?:about |around )?$", re.I
)
_SO_LONG = re.compile(r" (?:[CF] )?for (?:about |around )?[\d½]", re.I)
"""Before and behind a number that is a heat, though it has no unit."""


def _with_a_sign(plain: str) -> list[Degrees]:
    """Those with a degree sign or a unit."""
    found: list[Degrees] = []
    for match in _DEGREES.finditer(plain):
        if found and _TO.fullmatch(plain, found[-1].end, match.start()):
            continue  # "250 °F to 275 °F" is one heat, told by its lower end
        unit, value = (match["unit"] or "")[:1].upper(), float(match["value"])
        if not unit and not match["sign"]:
            continue
        if not unit and match["sign"] == "Grad":
            unit = "C"
        fahrenheit = unit == "F" or (not unit and value > _most_c(plain, match))
        temp = (value - 32.0) / 1.8 if fahrenheit else value
        if 55.0 <= temp <= MOST_C:
            found.append(Degrees(temp, match.start(), match.end()))
    return found


def _gas_marks(plain: str) -> list[Degrees]:
    return [
        Degrees(_GAS[mark], match.start(), match.end(), exact=False)
        for match in _GAS_MARK.finditer(plain)
        if (mark := float(Fraction(match[1]))) in _GAS
    ]


_GAS_MARK = re.compile(
    r"\b(?:gas\s+mark|gas|mark|regulo|oven on(?=[ \d]{2,4}\(gas\)))\s+((?:1/[24])|\d)(?![\d/])",
    re.I,
)


def _in_brackets(plain: str) -> list[Degrees]:
    return [
        Degrees(temp_c, match.start("aside"), match.end("aside"))
        for match in _BARE.finditer(plain)
        if match["aside"] and (temp_c := _bare_c(float(match["aside"]), plain)) is not None
    ]


def _named_ovens(plain: str) -> list[Degrees]:
    return [
        Degrees(_NAMED_C[" ".join(found["how"].lower().split())], found.start(), found.end(), False)
        for found in _NAMED_OVEN.finditer(plain)
    ]


def _by_place(plain: str, known: list[Degrees]) -> list[Degrees]:
    """Numbers that only their place in the sentence makes a heat."""
    found: list[Degrees] = []
    for match in _BARE.finditer(plain):
        start, end = match.span(match.lastindex or 0)
        value = float(plain[start:end])
        temp_c = _bare_c(value, plain)
        if temp_c == value and _HOTTER_F.match(plain, end):
            temp_c = (value - 32.0) / 1.8
        last = [*known, *found][-1:]
        ranged = last and _TO.fullmatch(plain, last[0].end, start)
        taken = any(item.start <= start < item.end for item in known)
        if temp_c is not None and temp_c <= MOST_C and not ranged and not taken:
            found.append(Degrees(temp_c, start, end))
    return found

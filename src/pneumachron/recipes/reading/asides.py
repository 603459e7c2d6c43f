"""Lines among and below the steps that are no steps: tips, clutter, farewells, comments."""

import re

from pneumachron.recipes.model import Part, PartRole
from pneumachron.recipes.reading.looks import NUMBERED
from pneumachron.recipes.reading.row import Row
from pneumachron.recipes.reading.rows import is_meat
from pneumachron.recipes.understanding.durations import durations_in, temperatures_in
from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.remarks import is_beside_the_work

TIP = re.compile(
    r"^p\.?\s?s\.\s|^\(?(?:(?:cook|chef|recipe)[’']?s? )?"
    r"(?:(?:tips?|notes?)(?: (?:for|on|about) [^:.]{1,30})?"
    r"|nb|p\.?s\.?|(?:to )?(?:store|reheat|freeze)|storage|storing|reheating|leftovers"
    r"|make[- ]ahead|variations?|substitutions?|swaps?)\s*[:–-]\s"
    r"|^(?-i:TO (?:FREEZE|STORE|REHEAT|MAKE AHEAD)) ",
    re.I,
)
"""A line among the steps that is no step."""


SET_AT = re.compile(
    r"^\d{3} ?°? ?[FC]? (?:on|in) (?:the|my|a) (?:\w+ )?(?:drum|smoker|grill|pit|oven|kettle)\b"
    r"|^overnight(?:,? (?:un)?covered|,? in the fridge)?$",
    re.I,
)
"""“250 on the drum w/ cherry”, among the foods of a card."""
_APART_FROM_MEAT: frozenset[PartRole] = frozenset({"marinade", "rub", "brine", "glaze"})
_LEAST_OF_A_PART = 3
"""Foods of a part that stand before the meat. Judgement."""


def ends_a_part(row: Row, name: str, lines: list[int]) -> bool:
    """Whether the meat, and all below it, stands behind a marinade without a heading."""
    role = Part.of(name, ()).role
    apart = role in _APART_FROM_MEAT and len(lines) >= _LEAST_OF_A_PART
    return apart and row.look.has_amount and is_meat(row)


def is_aside(row: Row, *, cooked: bool) -> bool:
    """A tip, or what tells another way than the recipe's own; what is numbered is a step.

    Parameters
    ----------
    cooked : a long heat was told before
    """
    beside = not NUMBERED.match(row.raw) and is_beside_the_work(row.plain, cooked=cooked)
    return beside or TIP.match(row.plain) is not None or _of(row, _BESIDE_ALL)


def is_beside_the_list(row: Row) -> bool:
    """“*I used a picnic”, “see notes”: said of the foods, and none of them."""
    return _of(row, _BESIDE_ALL) or _of(row, _BESIDE_THE_LIST)


def _of(row: Row, words: re.Pattern[str]) -> bool:
    return words.match(row.plain if row.bulleted else row.raw.strip()) is not None


_BESIDE_ALL = any_of(
    r"\W*(?:see|siehe) (?:the )?(?:recipe )?(?:notes?|tips?|below|above|anmerkung\w*)\W*$",
    r"\W*\((?:us|imperial|metric)\b[^()]{0,30}\)$",
    r"\*+ ?(?:i|we|you|if|see|can) [^\d]{3,120}$",
    r"\W*you(?:['’]ll| will)? (?:also )?need an? [^.;,]{0,30}"
    r"\b(?:pot|pan|oven|cooker|dish|tray|tin|grill|smoker|thermometer|blender)\b",
    r"\W*(?:ingredients?|shopping|cook['’]?s?|recipe) (?:notes?|tips?)\s*[:–-]\s",
)
_BESIDE_THE_LIST = any_of(
    r"\((?-i:[A-Z])[^()]{8,120}\.\)$",
    r"\W*(?-i:[A-Z])[a-z ]{2,20}: (?:use|choose|look for|pick|buy|don['’]t|if)\b[^\d]{3,120}$",
)


def is_clutter(row: Row) -> bool:
    """What is numbered among the steps is one of them, whatever it says."""
    if row.under != "steps":
        return row.look.clutter
    of_a_reader = _OF_A_READER.match(row.plain) is not None
    return (row.look.clutter or of_a_reader) and not NUMBERED.match(row.raw)


_OF_A_READER = re.compile(
    r"^(?:update|edit)\s*:|^(?:i|we)(?:['’]ve| have)? (?:just |finally )?(?:made|tried|did|cooked"
    r"|doubled) (?:this|it|these|them)\b|^(?:super |sehr )?lecker\b|^habe? (?:ich |es )?\d",
    re.I,
)
"""“I made this last night with 2 kg of belly”, below the steps: a comment, and no step."""


_LEAST_TOLD = 30
"""Words of a paragraph that tells a whole recipe. Judgement."""


_OVERNIGHT = re.compile(r"\bovernight\b|\b(?:the )?(?:night|evening|day) before\b", re.I)


def tells_the_work(line: str) -> bool:
    """Whether a paragraph tells a whole recipe, and is no description of one."""
    timed = bool(durations_in(line)) or _OVERNIGHT.search(line) is not None
    return len(line.split()) >= _LEAST_TOLD and timed


def by_their_work(lines: list[str]) -> tuple[list[str], list[str]]:
    """Paragraphs that tell the work, and those that do not."""
    return [line for line in lines if tells_the_work(line)], [
        line for line in lines if not tells_the_work(line)
    ]


def has_time_or_heat(line: str) -> bool:
    """Whether a line says how long, or how hot."""
    return bool(durations_in(line) or temperatures_in(line))


def is_farewell(row: Row) -> bool:
    """A short last line that says nothing of work, or what a reader says below them."""
    if NUMBERED.match(row.raw):
        return False
    if _OF_A_READER.match(row.plain):
        return True
    # “Soft rolls, slaw.” is served with it
    several = _SEVERAL.search(row.plain) is not None and not row.look.clutter
    names_food = several and row.look.food >= _SOME_FOOD
    return row.look.work <= 0 and len(row.plain.split()) <= 6 and not names_food


_SEVERAL = re.compile(r"^\W*[a-z][^,]*(?:, | and | & )", re.I)
_SOME_FOOD = 1.0
"""How much a line looks like a food that names one. Judgement."""


def labelled_s(times: str, label: str) -> float | None:
    """The time that stands behind a label such as “cook”, or before it: “3 hr cook” [s]."""
    behind = re.search(rf"{label}(?: time)?\s*:?\s*(\d.{{0,30}})", times, re.I)
    before = re.search(rf"(\d[^,;|:]{{0,20}}) {label}\b", times, re.I)
    found = behind or before
    spans = durations_in(found[1]) if found else []
    return spans[0].high_s if spans else None

"""Lines as they were pasted, without what a film, a log or a letter puts around them."""

import re
from collections.abc import Iterable, Iterator

from pneumachron.recipes.reading.blocks import with_named_blocks
from pneumachron.recipes.reading.film_times import without_stamps
from pneumachron.recipes.reading.hours import with_colons
from pneumachron.recipes.reading.leaders import without_leaders
from pneumachron.recipes.reading.titles import MEAT_WORD
from pneumachron.recipes.understanding.patterns import WEIGHT_UNIT

_FOR_A_KILO = re.compile(
    r"^\W*(?:ok(?:ay)?,? |hi,? )?(?:so,? )?(?:for|take|get|use|you(?:['’]ll)? need) "
    rf"(?P<meat>(?:(?:about |around )?\d[^:]{{0,12}}?{WEIGHT_UNIT}\b"
    rf"[^:]{{0,40}}{MEAT_WORD}|[1-4] (?:racks?|slabs?)\b[^:]{{3,40}}?{WEIGHT_UNIT}\b)[^:]{{0,80}}?)"
    r"(?:,? (?:i|we|you) (?:use|need|take|add|mix))?:$",
    re.I,
)
"""“Ok so for 1 kilo of pork shoulder, in big cubes:” is the line of the meat."""


def tidied(text: str) -> Iterator[str]:
    """The lines of a pasted text, as they are sorted."""
    text = _BETWEEN_DASHES.sub(r"\g<name>:", text)
    lines = [
        _OF_IT_SO_MUCH.sub(r"\2 (makes \1):", _SO_MUCH_OF_IT.sub(r"\1 (makes \2):", part))
        for line in text.split("\n")
        for part in _with_mix_apart(line)
    ]
    return _with_meat(with_colons(without_stamps(with_named_blocks(list(without_leaders(lines))))))


def _with_meat(lines: Iterable[str]) -> Iterator[str]:
    for line in lines:
        found = _FOR_A_KILO.match(line.strip())
        yield found["meat"] if found else _SERVED.sub("To serve: ", _LABEL.sub(r"\1: ", line))


_BETWEEN_DASHES = re.compile(
    r"^[ \t]*(?P<sign>[-–—~=*])(?P=sign){0,4} ?(?P<name>(?:[^\W\d_]+ ){0,2}"
    r"(?:rub|sauce|glaze|marinade|mop|slaw|brine|cure|toppings?|garnish|dressing|gravy|paste"
    r"|filling)) ?(?P=sign){1,5}[ \t]*$",
    re.M | re.I,
)
"""“-- rub --”, alone on a line, above its foods."""


def _with_mix_apart(line: str) -> list[str]:
    """“8 lb butt. mustard. rub = 1/2 c paprika, …”: the mixture begins a line of its own."""
    found = _MIX_BEHIND.search(line)
    if found is None:
        return [line]
    before = line[: found.start()].split(". ")
    short = all(len(part.split()) <= MOST_IN_SHORT for part in before)
    return [*(before if short else [line[: found.start()]]), line[found.end() :]]


MOST_IN_SHORT = 5
"""Words of a food that is told between two dots. Judgement."""
_MIX_BEHIND = re.compile(
    r"(?<=[a-z])\. +(?=(?:dry )?(?:rub|sauce|mop|glaze|spritz|marinade) ?[=:] ?[\d½¼¾])", re.I
)
_SO_MUCH_OF_IT = re.compile(
    r"^\s*((?:[A-Za-z]+ )?(?:sauce|rub|mop|glaze|slaw|brine|marinade)),? "
    r"(\d{1,2} ?(?:gal|quarts?|qts?|pints?|cups?)\b)\.?:(?=\s)",
    re.I,
)
"""“SAUCE 1 gal.: 6 c. vinegar, …”."""
_OF_IT_SO_MUCH = re.compile(
    r"^\s*(\d{1,2} ?(?:gal|quarts?|qts?|pints?|cups?|c)\b\.?) (?:of )?"
    r"((?:[A-Za-z]+ ){0,2}(?:sauce|rub|mop|glaze|slaw|brine|marinade))\s*:\s*$",
    re.I,
)
"""“1 gal mop sauce:”, above its foods."""
_SERVED = re.compile(r"^\s*(?:[-*•]\s*)?serve(?: (?:it )?with)?\s*:\s+(?=\S)", re.I)
_LABEL = re.compile(r"^(\s*[A-Z]{3,12})\s+(?:--|—)\s+(?=\S[^,\d]{0,40}[,\d]|\d)")
"""“SAUCE -- 1/2 c soy, …” on a card."""

"""How many pieces a line of meat is."""

import re

from pneumachron.recipes.understanding.lines import Line
from pneumachron.recipes.understanding.measures import unit_of
from pneumachron.recipes.understanding.patterns import WEIGHT_UNIT

MOST_PIECES = 60

_INSIDE = re.compile(
    r"\b(\d{1,2}) (?:(?:large |big |small |meaty )?(?:pieces|portions|ribs|bones(?! each))"
    r"|(?:large|big|small|meaty|fat|thick|good) ones|of them)\b"
    r"|[(,] ?(?:about |in )?(\d{1,2}) (?:full |large |big |small )?(?:racks|slabs|steaks|joints)\b"
    r"|(?<=steaks )\((?:about )?(\d{1,2})\)",
    re.I,
)
_BONES_EACH = re.compile(r"\b([2-9]|1[0-3]) bones each\b", re.I)
"""“2 racks beef plate ribs (3 bones each)”."""

_IN_PIECES = re.compile(
    r"\bin(to)? (two|three|four|[2-9]|1[0-2]) ((?:large|big|even|equal|fist[- ]sized?) )?"
    r"(pieces|lumps|portions|chunks|halves|racks|slabs|strips|sections|st(?:ü|ue)cken?)\b",
    re.I,
)


def count_in(line: Line, text: str) -> int | None:
    """Into how many pieces the meat of a line is, or is cut; None where it does not say."""
    pieces = _IN_PIECES.search(text)
    if pieces:
        return {"two": 2, "three": 3, "four": 4}.get(pieces[2].lower()) or int(pieces[2])
    if into := _CUT_INTO.search(text):
        return int(into[1])
    if halved := re.search(r"\b(halved|quartered)\b", text, re.I):
        return (2 if halved[1].lower() == "halved" else 4) * round(countable(line) or 1)
    return _counted_inside(line, text)


def _counted_inside(line: Line, text: str) -> int | None:
    if (plates := _PLATES_OF.search(text)) and _BEEF.search(text):
        return int(plates[1]) * int(plates[2])
    return _counted_besides(line, text)


def _counted_besides(line: Line, text: str) -> int | None:
    inside = _INSIDE.search(text)
    # a plate of beef ribs is cut between its bones
    apart = unit_of(line.unit).kind == "mass" or _CUT_APART.search(text) is not None
    many = int(next(filter(None, inside.groups()))) if inside else 0
    if 1 < many <= MOST_PIECES and apart:
        return many
    told_many = countable(line)
    if (each := _BONES_EACH.search(text)) and _CUT_APART.search(text):
        return int(each[1]) * round(told_many or 1)
    times = TIMES.match(text) or _TIMES_LAST.search(text)
    if told := _ONE_SLAB.search(text) or _ABOUT_SO_MANY.search(text) or times:
        return int(next(filter(None, told.groups()), 1))
    if of_bones := _OF_BONES.search(text):
        bones = {"two": 2, "three": 3, "four": 4}.get(of_bones[1].lower()) or int(of_bones[1])
        return bones * round(told_many or 1)
    if told_many is not None and line.unit == "rack" and _BEEF_PLATE.search(text):
        return _BONES_OF_A_PLATE * round(told_many)
    return None if told_many is None else round(told_many)


_PLATES_OF = re.compile(
    r"\b([2-9]) (?:racks?|plates?|slabs?) (?:of|with) ([2-9]) (?:bones|ribs)\b", re.I
)
_BEEF = re.compile(r"\b(?:beef|short)\b", re.I)
"""“2 plates of 4 bones”, which are cut between them."""
_CUT_APART = re.compile(r"\bplate\b|\bjacob['’]?s ladder\b", re.I)


_BEEF_PLATE = re.compile(r"\b(?:beef|plate|dino(?:saur)?) (?:plate )?(?:short )?ribs?\b", re.I)
_BONES_OF_A_PLATE = 3
"""A rack of beef plate ribs, which is cut between its bones, has three. Common practice."""


_CUT_INTO = re.compile(r"\bcut (?:in|into) ([2-9]|1\d)(?= by\b|,|$)", re.I)
"""“Cut into 4 by the butcher”."""
_ONE_SLAB = re.compile(
    r"\b(?:(?P<many>[2-9]) leitern|(?:racks?|plates?|slabs?) of (?P<bones>[2-9])\b"
    r"|one (?:slab|plate|piece)|1 (?:slab|plate|piece|leiter))\b",
    re.I,
)
_OF_BONES = re.compile(
    r"\b(two|three|four|[234])[- ]bone\)?,? (?:(?:beef|plate|short|chuck|rib) )*"
    r"(?:plates?|racks?|slabs?)\b",
    re.I,
)
"""“A three-bone plate of beef ribs” is cut between its bones."""
_ABOUT_SO_MANY = re.compile(
    r"\((?:(?:about|approx\.?|ca\.?|around) (\d{1,2})"
    r"|(?:(?:about|approx\.?|ca\.?|around) )?(\d{1,2}) "
    r"(?:very |extra )?(?:large|big|small|meaty|fat|thick|good|medium))\)",
    re.I,
)
"""“2.4 kg (about 8)”, “1.8 kg (4 large)”."""
TIMES = re.compile(rf"\W*([1-9]\d?)\s?[x×]\s?\d[\d.,]*\s?-?{WEIGHT_UNIT}\b", re.I)
"""“2 x 2 kg joints”: their weight is one amount, and they are two."""
_TIMES_LAST = re.compile(
    rf"[a-z)] \(?([1-9]\d?)\s?[x×]\s?\d[\d.,]*\s?-?{WEIGHT_UNIT}\b\.?\)?\W*$", re.I
)
"""“Pork collar, skinless 3 x 1.1kg”."""


def no_unit(line: Line) -> bool:
    """“Brisket 4.3”: nobody counts in tenths; it is a weight in a unit that was left out."""
    tenths = 0.0 if line.low is None else 4.0 * line.low % 1.0
    return line.unit == "" and 0.01 < tenths < 0.99


def countable(line: Line) -> float | None:
    """Racks or pieces that a line counts."""
    counted = line.unit in {"", "rack", "piece"} and line.amount is not None and not no_unit(line)
    return line.amount if counted and 1 <= (line.amount or 0.0) <= MOST_PIECES else None

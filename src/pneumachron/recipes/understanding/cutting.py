"""How the steps of a recipe cut the raw meat: cubes of a size, halves, sections of a rack."""

import re
from dataclasses import dataclass

from pneumachron.recipes.understanding.meat import FIST_M, thickness_in
from pneumachron.recipes.understanding.sentences import sentences_in


@dataclass(frozen=True, slots=True)
class Cutting:
    """What becomes of each piece that was bought; None where nothing was said."""

    cube_m: float | None = None
    parts: int | None = None
    chunks: bool = False
    """Cut into chunks of a size that is not said."""
    off_bone: bool = False
    """Bought with its bone, and cut off it."""


BITE_M = 0.03
"""A piece of the size of a bite, raw. Common practice: 2.5 to 3 cm."""
CHUNK_M = 0.045
"""A chunk of a stew. Common practice: 4 to 5 cm."""
RACK_BONES = 12
"""Bones of a rack. Common practice: 11 to 13."""
_NUMBERS = {"two": 2, "three": 3, "four": 4, "five": 5, "six": 6, "half": 2, "halves": 2,
            "quarters": 4, "thirds": 3}  # fmt: skip
_NUMBER = rf"(?P<many>\d{{1,2}}|{'|'.join(_NUMBERS)})"
_MEAT = (
    r"(?:(?:the |your |each |both |all )*(?:raw |whole )?(?:pork |beef )?"
    r"(?:meat|pork|beef|shoulder|butt|brisket"
    r"|flat|point|roast|joint|racks?|slabs?|ribs?|picnic|collar|it|them|piece)(?: of \w+)?)"
)
_CUTS = (
    rf"\b(?:cut|chop|divide|split|saw|cube|dice)\b(?: up)?(?: {_MEAT})?"
    r"(?: up| off (?:the|its) bones?)? in(?:to)? "
)
_OFF_THE_BONE = re.compile(r"\boff (?:the|its) bones?\b", re.I)
_CUBES = re.compile(
    rf"{_CUTS}.{{0,16}}\b(?:cubes?|chunks?|pieces?|dice|blocks?)\b"
    r"(?:,? \(?(?:about|roughly|around|of|approx\.?) \d[\d.]{0,3} ?(?:cm|in(?:ch(?:es)?)?)\b\)?)?",
    re.I,
)
_DICED_TO = re.compile(
    rf"\b(?:cube|dice) {_MEAT}(?:,)? (?:in |into |to )?(?:about |roughly |around |ca\.? )?"
    r"\d[\d.,/½¼¾]{0,4} ?-?(?:cm|in(?:ch(?:es)?)?)\b",
    re.I,
)
"""“Dice the meat about 3 cm.”"""
_WUERFEL = re.compile(
    r"\b(?:fleisch|\w*schulter|\w*nacken|schwein\w*|rind\w*|\w*brust|\w*braten)\b[^.;,]{0,30}"
    r"\bin (?:(?:ca\.? |etwa |rund |circa )?(?P<size>\d[\d.,]{0,3}(?: ?[-–] ?\d[\d.,]{0,3})? ?cm)"
    r"[- ]?(?:(?:große?|grosse?|dicke|breite)\w? )?(?P<of>würfel|wuerfel|stücke?|stuecke?|scheiben"
    r"|streifen)|(?:(?:grobe|mundgerechte|große|kleine) )?(?:würfel|wuerfel)"
    r"|mundgerechte (?:stücke|stuecke))\b"
    r"|\bfleisch (?:grob )?(?:würfeln|wuerfeln)\b",
    re.I,
)
"""“Fleisch in 3 cm große Würfel schneiden”, “in mundgerechte Stücke”."""
_CHUNKS = re.compile(r"\b(?:cubes?|chunks?|dice|bite-?sized)\b", re.I)
_FISTS = re.compile(rf"{_CUTS}fist[- ]sized?\b", re.I)
_SECTIONS = re.compile(
    rf"{_CUTS}(?:sections|pieces|portions) of {_NUMBER} (?:bones|ribs)\b"
    rf"|{_CUTS}(?P<each>\d|two|three|four|five|six)[- ](?:bone|rib) (?:sections|pieces|portions)\b",
    re.I,
)
_SINGLES = re.compile(
    rf"{_CUTS}(?:(?:single|individual|separate) (?:ribs|bones)|singles|individuals)\b"
    r"|\bribs?\b.{0,12}\bseparated\b|\bcut individually\b|\bindividually cut\b"
    r"|\b(?:cut|separate|slice)\b.{0,20}\bbetween (?:the|each) bones?\b", re.I,
)  # fmt: skip
_PARTS = re.compile(
    rf"{_CUTS}{_NUMBER}(?: (?:large |big |equal |even )?(?:pieces|portions|chunks|parts|halves))?\b"
    rf"|\b(?P<verb>halve|quarter)\b {_MEAT}", re.I,
)  # fmt: skip
_VERBS = {"halve": 2, "quarter": 4}


def read_cutting(steps: tuple[str, ...], last: tuple[int, int] | None) -> Cutting:
    """How the meat is cut before it is cooked.

    Parameters
    ----------
    last : step and sentence of the long heat: what is cut behind it is done by then; None: only
        what comes before any heat is known to be raw, so nothing is read
    """
    if last is None:
        return Cutting()
    step, place = last
    told = [text for each in steps[:step] for text in sentences_in(each)]
    for sentence in (*told, *sentences_in(steps[step])[: place + 1]):
        found = _of_sentence(sentence)
        if found is not None:
            return found
    return Cutting()


def _of_sentence(sentence: str) -> Cutting | None:
    if found := _SECTIONS.search(sentence):
        return Cutting(parts=max(RACK_BONES // _number(found["many"] or found["each"]), 1))
    if _SINGLES.search(sentence):
        return Cutting(parts=RACK_BONES)
    if (cubed := _cubed(sentence)) is not None:
        return cubed
    parts = _PARTS.finditer(sentence)
    if found := next(
        (each for each in parts if not _OF_OTHERS.search(sentence[: each.start()])), None
    ):
        verb = found["verb"]
        return Cutting(parts=_VERBS[verb.lower()] if verb else _number(found["many"]))
    return None


_OF_OTHERS = re.compile(
    r"\b(?:carrots?|onions?|shallots?|leeks?|celery|potato(?:es)?|parsnips?|apples?|lemons?|limes?"
    r"|oranges?|tomato(?:es)?|mushrooms?|garlic|cabbage|fennel)[, ]{1,2}$",
    re.I,
)
"""“Three carrots cut in half.”"""


def _cubed(sentence: str) -> Cutting | None:
    """Cubes of a size, fists, or chunks of no size that is told."""
    if german := _WUERFEL.search(sentence):
        size = thickness_in(f"{german['size']} cubes") if german["size"] else None
        return Cutting(chunks=True) if size is None else Cutting(cube_m=size)
    if diced := _DICED_TO.search(sentence):
        return Cutting(cube_m=thickness_in(f"{diced[0]} cubes"))
    if found := _CUBES.search(sentence):
        size, off_bone = thickness_in(found[0]), _OFF_THE_BONE.search(found[0]) is not None
        if size is not None:
            return Cutting(cube_m=size, off_bone=off_bone)
        # “into 4 big chunks”: so many, and no stew
        if _CHUNKS.search(found[0]) and not _PARTS.search(found[0]):
            return Cutting(chunks=True, off_bone=off_bone)
    return Cutting(cube_m=FIST_M) if _FISTS.search(sentence) else None


def _number(text: str) -> int:
    return max(_NUMBERS.get(text.lower(), 0) or int(text), 1)

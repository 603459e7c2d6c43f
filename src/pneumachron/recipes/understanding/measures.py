"""Units of recipes: what they are called, and what they hold."""

import re
from dataclasses import dataclass
from functools import cache
from typing import Literal, TypeAlias

from pneumachron.core.units import unit_factor
from pneumachron.recipes.understanding.patterns import LENGTH

UnitKind: TypeAlias = Literal["mass", "volume", "count"]


@dataclass(frozen=True, slots=True)
class Unit:
    """`factor` is kg or m³ of one; 0 for what is counted."""

    name: str
    kind: UnitKind
    factor: float


_WORDS: dict[str, str] = {
    "cup": r"cups?|c\.?|tassen?",
    "tbsp": r"[Tt]ablespoons?|TABLESPOONS?|[Tt]bl?s?p?s?|TBSPS?|TB|E[Ll]|el|T|spoons?(?:fuls?)?",
    "tsp": r"[Tt]easpoons?|TEASPOONS?|[Tt]sps?|TSPS?|T[Ll]|tl|ts|t",
    "dsp": r"dessert ?sp(?:oon)?s?|dsps?",
    "floz": r"fl\.?\s?oz|fluid ounces?",
    "pint": r"pints?|pts?",
    "quart": r"quarts?|qts?",
    "gallon": r"gallons?|gal",
    "ml": r"millilit(?:re|er)s?|mls?|mL|cc",
    "cl": r"cl",
    "dl": r"dl",
    "l": r"lit(?:re|er)s?|l|L",
    "kg": r"kilogram(?:me)?s?|kilos?|kgs?|Kg|KG",
    "g": r"gram(?:me)?s?|gr|gms?|g",
    "lb": r"pounds?|lbs?|LBS?|Lbs?|\#",
    "oz": r"ounces?|oz|OZ",
    "clove": r"cloves?|clvs?|zehen?",
    "stick": r"sticks?|stalks?|ribs? of|stangen?",
    "head": r"heads?|bulbs?|knollen?",
    "bunch": r"bunch(?:es)?|[Bb]und",
    "handful": r"handfuls?|handvoll",
    "sprig": r"sprigs?|zweige?",
    "slice": r"slices?|scheiben?",
    "rasher": r"rashers?",
    "pinch": r"pinch(?:es)?|prisen?|msp|messerspitzen?",
    "dash": r"dash(?:es)?",
    "splash": r"splash(?:es)?|glugs?|slosh(?:es)?|schuss",
    "dollop": r"dollops?",
    "drop": r"drops?",
    "glass": r"(?:wine ?)?glass(?:es)?|glas|gläser",
    "mug": r"mugs?",
    "ladle": r"ladles?(?:fuls?)?",
    "knob": r"knobs?",
    "thumb": r"thumb(?:[- ]sized? (?:piece|knob|chunk|bit|lump)s?|s?)",
    "can": r"cans?|tins?|cn|dosen?",
    "jar": r"jars?",
    "bottle": r"bottles?|btls?|flaschen?",
    "packet": r"packets?|packages?|packs?|pkts?|pkgs?|sachets?|envelopes?|envs?|päckchen|pckg?",
    "rack": r"racks?|slabs?",
    "chunk": r"chunks?|lumps?",
    "piece": r"pieces?|pcs?|ea|stücke?|stk",
    "part": r"parts?",
    "strip": r"strips?",
}
"""Words a unit goes by. Case is told apart only for T and t."""
_PINT: dict[str, tuple[UnitKind, str]] = {
    "cup": ("volume", "cup"),
    "tbsp": ("volume", "tablespoon"),
    "tsp": ("volume", "teaspoon"),
    "floz": ("volume", "fluid_ounce"),
    "pint": ("volume", "pint"),
    "quart": ("volume", "quart"),
    "gallon": ("volume", "gallon"),
    "ml": ("volume", "milliliter"),
    "cl": ("volume", "centiliter"),
    "dl": ("volume", "deciliter"),
    "l": ("volume", "liter"),
    "kg": ("mass", "kilogram"),
    "g": ("mass", "gram"),
    "lb": ("mass", "pound"),
    "oz": ("mass", "ounce"),
}
_BASE: dict[UnitKind, str] = {"mass": "kilogram", "volume": "meter ** 3"}
_ROUGH: dict[str, tuple[UnitKind, float]] = {
    "dsp": ("volume", 10e-6),
    "pinch": ("volume", 0.3e-6),
    "dash": ("volume", 0.6e-6),
    "splash": ("volume", 10e-6),
    "dollop": ("volume", 15e-6),
    "drop": ("volume", 0.05e-6),
    "glass": ("volume", 150e-6),
    "mug": ("volume", 300e-6),
    "ladle": ("volume", 100e-6),
    "bottle": ("volume", 750e-6),
    "can": ("mass", 0.4),
    "jar": ("mass", 0.34),
    "knob": ("mass", 0.015),
}
"""What is only roughly a measure. Common practice: a dessertspoon of 10 ml, a wine bottle, a tin of
tomatoes, ½ tsp ÷ 8."""


def unit_pattern(name: str) -> str:
    """Regular expression of a unit's words."""
    return _WORDS[name]


def unit_names() -> tuple[str, ...]:
    """All units, the longer words first where one begins another."""
    return tuple(_WORDS)


_BEHIND_IN_BRACKETS = re.compile(
    r"(?P<name>[^\d()½¼¾⅓⅔,]{3,60}?) \((?P<amount>[\d½¼¾⅓⅔][\d½¼¾⅓⅔ /.–-]{0,9} ?(?:"
    + "|".join(words for name, words in _WORDS.items() if name not in {"piece", "part", "strip"})
    + r"))(?P<more>, [^()]{1,40})?\)"
)


_TIMES_BEHIND = re.compile(r"(?P<name>[^\d½¼¾⅓⅔]{3,60}?),? [x×] ?(?P<many>\d{1,2})")


_MINE = re.compile(
    r",?\s*(?:[-–] ?)?\b(?:mine|ours|this one) (?:was|is|weighed|came (?:in )?(?:at|to)) "
    r"(?:(?:just|a bit|about|around|under|over|roughly) ){0,3}(?=[\d½¼¾⅓⅔])",
    re.I,
)
"""“Pork shoulder, skin off - mine was just under 3 kilos”."""


def with_amount_first(text: str) -> str:
    """“Brown sugar (1/2 cup)” as “1/2 cup brown sugar”, “jujubes x 6” as “6 jujubes”."""
    text = _MINE.sub(", ", text, count=1)
    if counted := _TIMES_BEHIND.fullmatch(text):
        return f"{counted['many']} {counted['name']}"
    found = _BEHIND_IN_BRACKETS.fullmatch(text)
    return f"{found['amount']} {found['name']}{found['more'] or ''}" if found else text


_GRADE = re.compile(
    rf"(?<=[a-z.] )(?P<number>\d{{1,3}})-(?!{LENGTH}|pound|lbs?\b|ounce|oz\b|kg\b|g\b|ml\b)"
    r"(?P<word>[a-z]{3,})\b(?P<name>.*)",
    re.I,
)
"""“½ cup 16-mesh black pepper”, “2 tsp 5-spice”: a number that counts nothing."""
_MESH = re.compile(r"(?<=\d) (?=mesh\b)", re.I)
_SHARES_TOLD = re.compile(
    r"(?<=[a-z.] )(?P<shares>50/50|1:1)(?: (?:mix(?:ture)?|blend))?(?: of)? (?P<name>[a-z].*)", re.I
)
"""“¼ cup 50/50 salt and pepper”: so much of both together."""


def _behind_the_name(found: re.Match[str]) -> str:
    grade = f"{found['number']}-{found['word']}"
    if not found["name"].strip():
        return grade.replace("5-", "five-")
    return f"{found['name'].strip()} ({grade})"


def with_grade_behind(text: str) -> str:
    """“½ cup 16-mesh black pepper” as “½ cup black pepper (16-mesh)”, and shares likewise."""
    text = _MESH.sub("-", text)
    text = _SHARES_TOLD.sub(r"\g<name> (\g<shares>)", text)
    return _GRADE.sub(_behind_the_name, text)


@cache
def unit_of(name: str) -> Unit:
    """A unit by its short name; an empty name counts pieces."""
    if name in _PINT:
        kind, pint_name = _PINT[name]
        return Unit(name, kind, unit_factor(pint_name, _BASE[kind]))
    if name in _ROUGH:
        kind, factor = _ROUGH[name]
        return Unit(name, kind, factor)
    return Unit(name, "count", 0.0)

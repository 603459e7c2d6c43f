"""Amounts from one unit to another: “750 g to 1 kg”."""

import re
from fractions import Fraction
from unicodedata import numeric

from pneumachron.recipes.understanding.measures import unit_of, unit_pattern

_UNITS = ("tbsp", "tsp", "cup", "ml", "cl", "dl", "l", "kg", "g", "lb", "oz")
_SYSTEMS = ({"ml", "cl", "dl", "l", "kg", "g"}, {"lb", "oz"}, {"cup", "tbsp", "tsp"})
_VULGAR = "½⅓⅔¼¾⅛⅜⅝⅞"
_NUMBER = rf"\d/\d|\d{{0,4}} ?[{_VULGAR}]|\d{{1,4}}(?:[.,]\d{{1,3}})?(?:[ -]\d/\d)?"
_WORD = "|".join(f"(?:{unit_pattern(name)})" for name in _UNITS)
_FROM_TO = re.compile(
    rf"(?<![\d.,/])(?P<low>{_NUMBER})[ -]?(?P<one>{_WORD})\.? ?(?P<to>-|–|to|or) ?"
    rf"(?P<high>{_NUMBER})[ -]?(?P<other>{_WORD})(?![\w/])"
)
_WITH_HYPHENS = re.compile(r"(?<=\d)-(to|or)-(\d{1,3}(?:[./]\d{1,2})?)[- ]?", re.I)
"""“A 5-to-6-lb shoulder”."""


def with_one_unit(text: str) -> str:
    """“750 g to 1 kg” as “0.75 to 1 kg”, “6 oz - 8 oz” as “6 - 8 oz”; else as it was."""
    return _FROM_TO.sub(_in_the_second, _WITH_HYPHENS.sub(r" \1 \2 ", text))


def _in_the_second(found: re.Match[str]) -> str:
    names = {_named(found["one"]), _named(found["other"])}
    if not any(names <= system for system in _SYSTEMS):
        return found[0]  # “1 lb - 500 g” is the same amount twice
    one, other = (unit_of(_named(found[name])) for name in ("one", "other"))
    low, high = _value(found["low"]), _value(found["high"])
    low_too = low * one.factor / other.factor
    if not 0 < low_too < high:
        return found[0]
    return f"{low_too:g} {found['to']} {high:g} {found['other']}"


def _named(word: str) -> str:
    return next(name for name in _UNITS if re.fullmatch(unit_pattern(name), word))


def _value(number: str) -> float:
    plain = "".join(f" {numeric(sign)}" if sign in _VULGAR else sign for sign in number)
    parts = plain.replace(",", ".").replace("-", " ").split()
    try:
        return float(sum(map(Fraction, parts)))
    except ZeroDivisionError:
        return 0.0

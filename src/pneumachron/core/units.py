"""Measures as people type and read them: `3 lb 2 oz`, `2 1/4 in`, `1½ cups`, `5.5 cm`.

Conversion factors come from pint's registry (NIST values); this module reads the text and
writes both systems. The core itself is SI.
"""

import re
from dataclasses import dataclass
from fractions import Fraction
from functools import cache, lru_cache
from math import ceil, floor
from typing import TYPE_CHECKING, Literal, TypeAlias
from unicodedata import numeric

from pneumachron.core.errors import MeasureError

if TYPE_CHECKING:
    from pint import UnitRegistry

Quantity: TypeAlias = Literal["mass", "length", "volume", "temperature", "altitude", "pressure"]

MAX_TEXT = 60
"""Characters in a typed measure."""

_UNITS: dict[Quantity, tuple[str, dict[str, str]]] = {
    "mass": (
        "kilogram",
        {
            "kg": "kilogram", "kilo": "kilogram", "kilos": "kilogram", "kilogram": "kilogram",
            "kilograms": "kilogram", "g": "gram", "gram": "gram", "grams": "gram", "gr": "gram",
            "#": "pound", "lb": "pound", "lbs": "pound", "pound": "pound", "pounds": "pound",
            "oz": "ounce", "ounce": "ounce", "ounces": "ounce",
        },
    ),
    "length": (
        "meter",
        {
            "mm": "millimeter", "cm": "centimeter", "m": "meter", "in": "inch", "inch": "inch",
            "inches": "inch", '"': "inch", "″": "inch", "ft": "foot", "foot": "foot",
            "feet": "foot",
        },
    ),
    "volume": (
        "meter ** 3",
        {
            "ml": "milliliter", "cl": "centiliter", "dl": "deciliter", "l": "liter",
            "litre": "liter", "litres": "liter", "liter": "liter", "liters": "liter",
            "cup": "cup", "cups": "cup", "c": "cup", "tbsp": "tablespoon",
            "tablespoon": "tablespoon", "tablespoons": "tablespoon", "tsp": "teaspoon",
            "teaspoon": "teaspoon", "teaspoons": "teaspoon", "fl oz": "fluid_ounce",
            "floz": "fluid_ounce", "qt": "quart", "quart": "quart", "quarts": "quart",
            "pt": "pint", "pint": "pint", "pints": "pint",
        },
    ),
    "altitude": (
        "meter",
        {
            "m": "meter", "metre": "meter", "metres": "meter", "meter": "meter",
            "meters": "meter", "km": "kilometer", "ft": "foot", "foot": "foot", "feet": "foot",
        },
    ),
    "pressure": (
        "pascal",
        {
            "kpa": "kilopascal", "bar": "bar", "mbar": "millibar", "psi": "psi", "pa": "pascal",
        },
    ),
    "temperature": (
        "degC",
        {"c": "degC", "°c": "degC", "°": "degC", "f": "degF", "°f": "degF"},
    ),
}  # fmt: skip
_VULGAR = {
    "½": "1/2", "⅓": "1/3", "⅔": "2/3", "¼": "1/4", "¾": "3/4", "⅛": "1/8", "⅜": "3/8",
    "⅝": "5/8", "⅞": "7/8", "⅙": "1/6", "⅚": "5/6", "⅕": "1/5",
}  # fmt: skip
_NUMBER = r"(?:[0-9]+\s+[0-9]+\s*/\s*[0-9]+|[0-9]+\s*/\s*[0-9]+|[0-9]*[.,][0-9]+|[0-9]+)"
_PART = re.compile(rf"\s*(?P<number>-?{_NUMBER})\s*(?P<unit>fl\.?\s*oz|[a-z°]+|[\"″#])?\.?", re.I)
_SPOKEN = (
    (r"\bsea level\b", "0 m"),
    (r"\band a half\b", " 1/2"),
    (r"\bhalf( an?)?\b", "1/2"),
    (r"\b(a )?quarter( of)?( an?)?\b", "1/4"),
    (r"(?<=\d)-(?=[a-z])", " "),
    *(
        (rf"\b{word}\b", str(number))
        for word, number in {
            "an?": 1, "one": 1, "two": 2, "three": 3, "four": 4, "five": 5, "six": 6,
            "seven": 7, "eight": 8, "nine": 9, "ten": 10, "eleven": 11, "twelve": 12,
        }.items()
    ),
)  # fmt: skip
"""What cooks say for a number, and how it is written."""
_GROUPED = re.compile(r"(?<=\d),(?=\d{3}(?!\d))")


@cache
def _registry() -> "UnitRegistry[float]":
    """Pint and its registry take most of a second to load: only when first needed."""
    from pint import UnitRegistry

    return UnitRegistry(autoconvert_offset_to_baseunit=True)


@cache
def _factor(name: str, base: str) -> tuple[float, float]:
    """Slope and offset from a unit to the base unit, from pint."""
    registry = _registry()
    zero = float(registry.Quantity(0.0, name).to(base).magnitude)
    one = float(registry.Quantity(1.0, name).to(base).magnitude)
    return one - zero, zero


def unit_factor(name: str, base: str) -> float:
    """How much of a base unit one of a unit is, by pint's name for it."""
    return _factor(name, base)[0]


@lru_cache(maxsize=4096)
def parse_measure(text: str, quantity: Quantity, field: str) -> float:
    """Read a typed measure.

    Parameters
    ----------
    text : one or more numbers with units, largest first; fractions, mixed numbers, decimal
        comma or point
    quantity : what it should be
    field : the input it stands in, for the error

    Returns
    -------
    kg, m, m³ or °C

    Raises
    ------
    MeasureError : cannot be read, lacks a unit, or has a unit of something else.
    """
    if len(text) > MAX_TEXT:
        raise _unreadable(field, quantity, text[:MAX_TEXT] + "…")
    plain = _written(text)
    if quantity == "altitude":
        plain = _GROUPED.sub("", plain)
    base, names = _UNITS[quantity]
    total, position, previous = 0.0, 0, float("inf")
    after = None  # `3 lb 2` is three pounds and two ounces
    while position < len(plain):
        match = _PART.match(plain, position)
        if match is None:
            raise _unreadable(field, quantity, text)
        unit = _unit_name(match["unit"] or after, names, text, field, quantity)
        after = "oz" if unit == "pound" else None
        slope, offset = _factor(unit, base)
        if not slope < previous:
            raise _unreadable(field, quantity, text)
        total += _number(match["number"], text, field, quantity) * slope + offset
        previous = slope if quantity != "temperature" else 0.0
        position = match.end()
    if position == 0:
        raise MeasureError("empty", field, quantity=quantity)
    return total


def _written(text: str) -> str:
    """As it would be written with digits and plain fractions."""
    plain = text.strip().casefold()
    for sign, fraction in _VULGAR.items():
        plain = plain.replace(sign, f" {fraction}")
    for spoken, digits in _SPOKEN:
        plain = re.sub(spoken, digits, plain)
    return plain


_US_UNIT = re.compile(
    r"[\d\s](?:in|inch|inches|ft|foot|feet|lbs?|pounds?|oz|ounces?)\b|[\"″#]|°?f\b"
)
_METRIC_UNIT = re.compile(r"\d\s*(?:[kcm]?m|k?g|kilos?|kilograms?|grams?|°?c)\b")


def typed_system(text: str) -> Literal["metric", "us"] | None:
    """Which system a typed length, mass or temperature is in; None when it has no unit."""
    plain = _written(text)
    if _US_UNIT.search(plain):
        return "us"
    return "metric" if _METRIC_UNIT.search(plain) else None


def _unit_name(
    typed: str | None, names: dict[str, str], text: str, field: str, quantity: Quantity
) -> str:
    if typed is None:
        raise MeasureError("unit_missing", field, typed=text.strip(), quantity=quantity)
    key = re.sub(r"[.\s]+", " ", typed.lower()).strip()
    if key not in names:
        raise MeasureError("unit_unknown", field, typed=typed, quantity=quantity)
    return names[key]


def _number(text: str, whole: str, field: str, quantity: Quantity) -> float:
    negative, digits = text.startswith("-"), text.lstrip("-").replace(",", ".")
    digits = re.sub(r"\s*/\s*", "/", digits)
    try:
        value = float(sum(Fraction(part) for part in digits.split()))
    except ZeroDivisionError:
        raise _unreadable(field, quantity, whole) from None
    return -value if negative else value


def _unreadable(field: str, quantity: Quantity, text: str) -> MeasureError:
    return MeasureError("unreadable", field, typed=text.strip(), quantity=quantity)


@dataclass(frozen=True, slots=True)
class Shown:
    """A measure in both systems, as a cook reads it."""

    metric: str
    us: str


def show_mass(mass_kg: float) -> Shown:
    """`1.42 kg` and `3 lb 2 oz`."""
    grams = 1000.0 * mass_kg
    metric = f"{grams:.0f} g" if grams < 999.5 else f"{_trim(mass_kg, 2)} kg"
    ounces = round(mass_kg / _factor("ounce", "kilogram")[0])
    pounds, left = divmod(ounces, 16)
    parts = [f"{pounds} lb"] * (pounds > 0) + [f"{left} oz"] * (left > 0 or pounds == 0)
    return Shown(metric, " ".join(parts))


def show_length(length_m: float) -> Shown:
    """`4.5 cm` and `1¾ in`."""
    inches = length_m / _factor("inch", "meter")[0]
    return Shown(f"{_trim(100 * length_m, 1)} cm", f"{mixed_fraction(inches, 8)} in")


def show_volume(volume_m3: float, *, at_most: bool = False) -> Shown:
    """`355 ml` and `1½ cups`; small amounts in tablespoons.

    Millilitres are rounded up to 5, so that a minimum is never shown too small; an upper limit
    is rounded down.
    """
    fives = volume_m3 * 2e5
    millilitres = 5 * (floor(fives + 1e-6) if at_most else ceil(fives - 1e-6))
    to_whole = floor if at_most else round
    cups = volume_m3 / _factor("cup", "meter ** 3")[0]
    if cups < 0.24:
        return Shown(f"{1e6 * volume_m3:.0f} ml", f"{mixed_fraction(16 * cups, 2)} Tbsp")
    quarters = to_whole(4 * cups + 1e-6)
    unit = "cup" if quarters <= 4 else "cups"
    return Shown(f"{millilitres} ml", f"{mixed_fraction(quarters / 4, 4)} {unit}")


def show_temperature(temp_c: float) -> Shown:
    """`4 °C` and `39 °F`."""
    slope, offset = _factor("degF", "degC")
    return Shown(f"{round(temp_c)} °C", f"{round((temp_c - offset) / slope)} °F")


def show_altitude(altitude_m: float) -> Shown:
    """`1150 m` and `3773 ft`."""
    feet = altitude_m / _factor("foot", "meter")[0]
    return Shown(f"{altitude_m:.0f} m", f"{feet:.0f} ft")


def _trim(value: float, digits: int) -> str:
    text = f"{value:.{digits}f}"
    return text.rstrip("0").rstrip(".")


_GLYPHS = {Fraction(numeric(glyph)).limit_denominator(8): glyph for glyph in "½⅓⅔¼¾⅛⅜⅝⅞"}


def mixed_fraction(value: float, parts: int) -> str:
    """A number as a cook writes it, to the nearest part: `1¾`."""
    whole, rest = divmod(Fraction(round(value * parts), parts), 1)
    if rest == 0:
        return str(whole)
    glyph = _GLYPHS.get(rest)
    if glyph is None:
        return f"{whole} {rest}" if whole else str(rest)
    return f"{whole}{glyph}" if whole else glyph

"""Amounts as a recipe writes them: cups in fractions, grams in round numbers."""

from math import ceil

from pneumachron.core.units import mixed_fraction
from pneumachron.recipes.understanding.measures import unit_of

_PARTS: dict[str, int] = {"cup": 4, "tbsp": 2, "tsp": 4, "lb": 4, "pint": 4, "quart": 4}
"""Into how many parts a unit is divided on a kitchen's spoons and scales. Common practice."""
_SMALL_SPOON = 0.19
"""Less of a teaspoon than this is nearer to the spoon of an eighth. Common practice."""
_SPOKEN = frozenset({"splash", "dash", "pinch", "drop", "dollop", "glass", "mug", "ladle"})
"""Units that nobody counts in decimals."""
_BOXES = frozenset({"can", "jar", "bottle"})
"""What is left of them stands in the refrigerator: quarters are near enough."""
_SHOWN = {"tbsp": "Tbsp", "floz": "fl oz"}
_PLURAL = {"cup", "clove", "can", "bottle", "slice", "sprig", "stick", "rack", "piece", "handful",
           "jar", "packet", "rasher", "head", "chunk", "part", "splash", "strip", "drop", "dash",
           "pinch", "glass", "mug", "ladle", "knob", "dollop"}  # fmt: skip


def amount_text(low: float, high: float, unit: str) -> str:
    """`1½ cups`, `240 ml`, `3–4 cloves`."""
    low, high, unit = _handy(low, high, unit)
    texts = list(dict.fromkeys([number_text(low, unit), number_text(high, unit)]))
    shown = _SHOWN.get(unit, unit)
    if unit in _PLURAL and high > 1.05 and texts[-1] != "1":
        shown += "es" if shown.endswith(("sh", "ch", "ss")) else "s"
    return f"{'–'.join(texts)} {shown}".strip()


def _handy(low: float, high: float, unit: str) -> tuple[float, float, str]:
    """A spoon instead of a sliver of a cup."""
    if unit == "cup" and high < 0.22:
        low, high, unit = 16 * low, 16 * high, "tbsp"
    if unit == "tbsp" and high < 0.4:
        low, high, unit = 3 * low, 3 * high, "tsp"
    return low, high, unit


def enough(value: float, unit: str) -> float:
    """Rounded up to what a cup or spoon measures, so that a minimum is never missed."""
    parts = _PARTS.get(unit)
    return ceil(value * parts - 1e-6) / parts if parts else value


def _finer(value: float, parts: int) -> int:
    """Thirds where they are nearer: a set of cups has them too."""
    off = {count: abs(value - round(value * count) / count) for count in (parts, 3)}
    return min(off, key=lambda count: off[count])


def number_text(value: float, unit: str) -> str:
    """A number to the precision a kitchen has for its unit."""
    if unit in _PARTS:
        parts = _PARTS[unit] if value >= _SMALL_SPOON or unit != "tsp" else 8
        if unit == "tsp":  # three quarters of half a spoon are less than half a spoon
            value -= 1e-6
        return mixed_fraction(
            max(value, 1 / parts), _finer(value, parts) if unit == "cup" else parts
        )
    if unit in _SPOKEN:
        return mixed_fraction(max(value, 0.5), 2)
    if unit in _BOXES:
        return mixed_fraction(max(value, 0.25), 4)
    if unit in {"g", "ml"}:
        step = 1 if value < 20 else 5 if value < 250 else 10
        return f"{max(step * round(value / step), 1):g}"
    if unit_of(unit).kind == "count" and unit not in {"kg", "l"}:
        # a quarter of a celeriac is no half
        return mixed_fraction(max(value, 0.25), 4 if value < 1.0 else 2)
    return f"{value:.3g}"

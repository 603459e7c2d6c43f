"""What to buy, by the sections of a shop."""

import re
from dataclasses import dataclass, replace

from pneumachron.recipes.converting.amounts import amount_text
from pneumachron.recipes.converting.convert import Converted
from pneumachron.recipes.converting.marks import OutLine
from pneumachron.recipes.converting.work import told_whole

SECTIONS = (
    "meat", "fruit and vegetables", "dairy", "bread", "baking", "tins and jars", "drinks",
    "oil and spices", "frozen", "grill and smoke", "other",
)  # fmt: skip
"""In the order one walks through a shop. Judgement."""


@dataclass(frozen=True, slots=True)
class Section:
    """A section of the shop and what to take there."""

    name: str
    items: tuple[str, ...]


def shopping_list(converted: Converted) -> tuple[Section, ...]:
    """Every line once, with the amounts of its parts added up; water comes from the tap."""
    wanted: dict[tuple[str, str, str], list[OutLine]] = {}
    # the zest last: it comes off the fruit that is squeezed
    for line in sorted(converted.lines, key=_is_zest):
        if line.food.shop != "tap":
            # “Pico de gallo, sliced avocado” is bought whole
            whole = told_whole(line) if line.amount is None else line.name
            name = _ZEST.sub(r"\g<fruit>", line.name) if _is_zest(line) else whole
            key = (line.food.shop, name.lower().removesuffix("s"), line.unit)
            lines = wanted.setdefault(key, [])
            lines.append(replace(line, name=name, amount=_beyond(line, lines)))
    found: dict[str, list[str]] = {}
    for (shop, _, unit), lines in wanted.items():
        found.setdefault(shop, []).append(_item(unit, lines))
    return tuple(
        Section(name, tuple(sorted(found[name], key=str.lower)))
        for name in SECTIONS
        if name in found
    )


_ZEST = re.compile(r"^(?:finely )?(?:grated )?(?P<fruit>lemon|lime|orange) zest$", re.I)


def _is_zest(line: OutLine) -> bool:
    """“Zest of a lemon” is a lemon at the shop."""
    return line.unit == "" and _ZEST.match(line.name) is not None


def _beyond(line: OutLine, lines: list[OutLine]) -> tuple[float, float] | None:
    """The amount of a line; of zest what the fruits that are bought anyway do not give."""
    if line.amount is None or not _is_zest(line):
        return line.amount
    there = sum(each.amount[1] for each in lines if each.amount is not None)
    return max(line.amount[0] - there, 0.0), max(line.amount[1] - there, 0.0)


def _item(unit: str, lines: list[OutLine]) -> str:
    amounts = [line.amount for line in lines if line.amount is not None]
    if not amounts:
        return lines[0].name
    low, high = sum(pair[0] for pair in amounts), sum(pair[1] for pair in amounts)
    return f"{lines[0].name}: {amount_text(low, high, unit)}"

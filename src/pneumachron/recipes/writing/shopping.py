"""What to buy, by the sections of a shop."""

from dataclasses import dataclass

from pneumachron.recipes.converting.amounts import amount_text
from pneumachron.recipes.converting.convert import Converted
from pneumachron.recipes.converting.marks import OutLine

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
    for line in converted.lines:
        if line.food.shop != "tap":
            wanted.setdefault((line.food.shop, line.name.lower(), line.unit), []).append(line)
    found: dict[str, list[str]] = {}
    for (shop, _, unit), lines in wanted.items():
        found.setdefault(shop, []).append(_item(unit, lines))
    return tuple(
        Section(name, tuple(sorted(found[name], key=str.lower)))
        for name in SECTIONS
        if name in found
    )


def _item(unit: str, lines: list[OutLine]) -> str:
    amounts = [line.amount for line in lines if line.amount is not None]
    if not amounts:
        return lines[0].name
    low, high = sum(pair[0] for pair in amounts), sum(pair[1] for pair in amounts)
    return f"{lines[0].name}: {amount_text(low, high, unit)}"

"""Rows of tables, and lines in two columns, as plain lines."""

import re

from pneumachron.recipes.reading.looks import BULLET
from pneumachron.recipes.understanding.durations import durations_in
from pneumachron.recipes.understanding.ingredients import UNKNOWN, food_of
from pneumachron.recipes.understanding.lines import read_line

_HEAD = frozenset({
    "ingredient", "ingredients", "amount", "amounts", "quantity", "notes", "note",
    "preparation", "unit", "qty", "item", "step", "nr", "no", "#", "what", "what to do",
    "how long", "time", "when", "how much", "prep", "food",
})  # fmt: skip


_TWO_CELLS = re.compile(
    r"(?P<food>[^\d|\t½¼¾⅓⅔]{2,60}?)\s*(?:\s\|\s|\t|\.{4,})\s*(?P<amount>[\d½¼¾⅓⅔][^|\t]{0,60})"
)


_LEADERS = re.compile(r"\s*\.{5,}\s*")


def _food_first(line: str) -> str:
    """“Onion | 1 large, diced” as “1 large Onion, diced”: two cells without a frame."""
    bare = BULLET.sub("", line)
    line = bare if (found := _TWO_CELLS.fullmatch(bare)) else _LEADERS.sub(" ", line)
    if found is None or durations_in(found["amount"]) or read_line(found["amount"]).low is None:
        return line
    amount, comma, rest = found["amount"].partition(",")
    return f"{amount.strip()} {found['food'].strip()}{comma}{rest}"


def joined_cells(line: str) -> str:
    """A table row as a line, `| Paprika | 2 Tbsp |`; its head is a heading, its rule nothing."""
    if not (len(line) > 2 and line.startswith("|") and line.endswith("|")):
        return _food_first(line)
    cells = [cell.strip(" *_") for cell in line.strip("|").split("|")]
    if all(re.fullmatch(r":?-+:?", cell) for cell in cells if cell):
        return ""
    if {cell.lower() for cell in cells if cell} <= _HEAD:
        return "Ingredients"
    # "| 2 | Smoke at 110 °C | 3 h |": a step with its number
    if len(cells) > 2 and cells[0].isdecimal() and not cells[1][:1].isdigit():
        return f"{cells[0]}. {', '.join(filter(None, cells[1:]))}"
    told = [cell for cell in cells if cell]
    if len(told) > 2 and food_of(told[1]) is not UNKNOWN:  # how it is prepared, in a third column
        return f"{told[0]} {', '.join(told[1:])}"
    return " ".join(told)

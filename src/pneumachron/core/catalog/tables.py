"""The data tables of the trade: long CSV files with a unit, a range and a source in every row.

Columns: `subject, quantity, value, unit, valid_from, valid_to, source_kind, source`. A row with
unit `word` holds text; every other row holds a number inside its valid range.
"""

import csv
from dataclasses import dataclass
from functools import cache
from importlib.resources import files

from pneumachron.core.errors import OutOfRangeError

WORD_UNIT = "word"


@dataclass(frozen=True, slots=True)
class Row:
    """One line of a table."""

    subject: str
    quantity: str
    value: str
    unit: str
    valid_from: float
    valid_to: float
    source_kind: str
    source: str


@cache
def read_rows(name: str) -> tuple[Row, ...]:
    """All rows of a table in `core/catalog/data`.

    Raises
    ------
    OutOfRangeError : a number outside its own valid range.
    """
    text = (files("pneumachron.core.catalog") / "data" / name).read_text(encoding="utf-8")
    rows = []
    for line in csv.DictReader(text.splitlines()):
        low, high = float(line.pop("valid_from") or "-inf"), float(line.pop("valid_to") or "inf")
        row = Row(valid_from=low, valid_to=high, **line)
        if row.unit != WORD_UNIT and not low <= float(row.value) <= high:
            what = f"{row.subject} {row.quantity}"
            raise OutOfRangeError(what, float(row.value), low, high, row.unit)
        rows.append(row)
    return tuple(rows)


def read_numbers(name: str) -> dict[str, dict[str, float]]:
    """Numbers of a table by subject and quantity."""
    found: dict[str, dict[str, float]] = {}
    for row in read_rows(name):
        if row.unit != WORD_UNIT:
            found.setdefault(row.subject, {})[row.quantity] = float(row.value)
    return found


def read_words(name: str) -> dict[str, dict[str, str]]:
    """Words of a table by subject and quantity."""
    found: dict[str, dict[str, str]] = {}
    for row in read_rows(name):
        if row.unit == WORD_UNIT:
            found.setdefault(row.subject, {})[row.quantity] = row.value
    return found

"""Rows of a log file, whatever form it has: CSV or JSON-LD."""

import csv
import io
import json
from collections.abc import Iterator

from pneumachron.core.errors import RequestError
from pneumachron.services.log_files import COLUMNS, MAX_ROWS, plain_cell


def rows_of(text: str, most: int = MAX_ROWS) -> Iterator[tuple[int, dict[str, str]]]:
    """Rows with the line they end on, from CSV or from our JSON-LD.

    Raises
    ------
    RequestError : neither, or more rows than `most`.
    """
    for count, row in enumerate(_any_rows(text), start=1):
        if count > most:
            raise RequestError("too_many_rows", "text", most=most)
        yield row


def _any_rows(text: str) -> Iterator[tuple[int, dict[str, str]]]:
    if text.lstrip().startswith("{"):
        yield from _jsonld_rows(text)
        return
    try:
        yield from _csv_rows(text)
    except csv.Error as error:
        raise RequestError("csv", "text", detail=str(error)[:120]) from None


def _csv_rows(text: str) -> Iterator[tuple[int, dict[str, str]]]:
    reader = csv.DictReader(io.StringIO(text))
    missing = [name for name in COLUMNS[:8] if name not in (reader.fieldnames or ())]
    if missing:
        raise RequestError("columns", "text", columns=", ".join(missing))
    for row in reader:
        cells = {name: plain_cell(value or "") for name, value in row.items() if name in COLUMNS}
        yield reader.line_num, cells


def _jsonld_rows(text: str) -> Iterator[tuple[int, dict[str, str]]]:
    try:
        graph = json.loads(text)["@graph"]
        found = [
            {str(item["name"]): str(item["value"]) for item in action["additionalProperty"]}
            for action in graph
        ]
    except (ValueError, KeyError, TypeError, RecursionError):
        raise RequestError("jsonld", "text") from None
    yield from enumerate(found, start=1)

"""Pieces judged one by one, as a cell of the log's files."""

import json
from typing import Any, TypeVar

from pneumachron.core.physics.tenderness import TEXTURES
from pneumachron.core.session.pieces import MOST_PIECES
from pneumachron.services.errors import RowError

Number = TypeVar("Number", int, float)
ALONE = "pieces judged alone [JSON]"
MAX_ALONE = 8000
"""Signs of such a cell."""
MAX_MARK = 40
JUDGED = {"texture": str, "group": int, "number": int, "mark": str, "juicy": int, "taste": int}
"""What is said of a piece, and its type."""


def write_alone(pieces: list[dict[str, Any]]) -> str:
    """All pieces when more than one was judged; columns have room for one only."""
    if len(pieces) < 2:
        return ""
    known = [
        {name: piece[name] for name in JUDGED if piece.get(name) not in {None, ""}}
        for piece in pieces
    ]
    return json.dumps(known, ensure_ascii=False)


def read_alone(cell: str | None) -> tuple[dict[str, Any], ...]:
    """The pieces of such a cell.

    Raises
    ------
    RowError : it is not one.
    """
    if not cell:
        return ()
    try:
        found = json.loads(cell)
    except json.JSONDecodeError:
        raise RowError("row_pieces_count", most=MOST_PIECES) from None
    except RecursionError:
        raise RowError("row_pieces_nested") from None
    if not isinstance(found, list) or not 1 < len(found) <= MOST_PIECES:
        raise RowError("row_pieces_count", most=MOST_PIECES)
    return tuple(_read_piece(piece) for piece in found)


def _read_piece(piece: object) -> dict[str, Any]:
    if not isinstance(piece, dict) or any(
        name not in JUDGED or type(value) is not JUDGED[name] for name, value in piece.items()
    ):
        raise RowError("row_piece_says", known="\n".join(JUDGED))
    if piece.get("texture", "tender") not in TEXTURES:
        raise RowError("row_texture", given=piece["texture"][:40], known="\n".join(TEXTURES))
    for name, (low, high) in {"juicy": (1, 5), "taste": (1, 5), "group": (0, 11),
                              "number": (1, MOST_PIECES)}.items():  # fmt: skip
        if name in piece:
            within(piece[name], low, high, name)
    if len(piece.get("mark", "")) > MAX_MARK:
        raise RowError("row_mark_long", most=MAX_MARK)
    blank = {
        "texture": None,
        "group": None,
        "number": None,
        "mark": "",
        "juicy": None,
        "taste": None,
    }
    return blank | piece


def within(value: Number, low: float, high: float, what: str) -> Number:
    """A number of a cell, unless it cannot be.

    Raises
    ------
    RowError : it cannot; says between what.
    """
    if not low <= value <= high:
        raise RowError("row_between", column=what, low=low, high=high)
    return value

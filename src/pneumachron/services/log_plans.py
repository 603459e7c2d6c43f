"""The plan of a cook as a cell of the log's files: everything that was typed, units and all."""

import json
from collections.abc import Callable
from dataclasses import MISSING, fields
from typing import Any, TypeAlias

from pneumachron.core.units import parse_measure
from pneumachron.services.inputs import PieceInputs, PlanInputs
from pneumachron.store.records import CookContent

PLAN = "plan [JSON]"
MAX_PLAN = 20_000
"""Signs of such a cell; a dozen kinds with all their sizes take three thousand."""
PlanReader: TypeAlias = Callable[[str, str], PlanInputs]
"""Reads such a cell for a pot of this household (its id). Raises ValueError: it is no plan."""


def write_plan(inputs: dict[str, Any]) -> str:
    """What was typed, without what was left as it was; the pot has a column of its own."""
    kept = _changed(PlanInputs, {**inputs, "pot": None})
    kept["pieces"] = [_changed(PieceInputs, piece) for piece in inputs["pieces"]]
    return json.dumps(kept, ensure_ascii=False, separators=(",", ":"))


def _changed(kind: type, values: dict[str, Any]) -> dict[str, Any]:
    usual = {item.name: item.default for item in fields(kind) if item.default is not MISSING}
    return {
        name: value
        for name, value in values.items()
        if value is not None and value != usual.get(name, MISSING)
    }


def load_cells(content: CookContent) -> list[str]:
    """The columns that tell the load: cut, pieces, mass [kg], thickness [cm] of the first kind."""
    first = content.inputs["pieces"][0]
    pieces = sum(piece["count"] for piece in content.inputs["pieces"])
    typed = first.get("thickness")
    thick = f"{100 * parse_measure(typed, 'length', 'thickness'):.4g}" if typed else ""
    return [content.cut, str(pieces), f"{content.mass_kg:.4g}", thick]

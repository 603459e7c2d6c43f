"""The clock of the danger zone: raw meat until it is hot, and what is left once it is served."""

from typing import Literal, TypeAlias

from pneumachron.core.cook.sheet import Sheet
from pneumachron.core.safety import ZONE_LIMIT

OutOf: TypeAlias = Literal["raw", "leftovers"]
"""What lies out of the refrigerator."""


def out_since_s(sheet: Sheet) -> tuple[OutOf, float] | None:
    """What lies out now, and since when; None: nothing does."""
    if _hot_s(sheet) is None:
        return None if sheet.began_s is None else ("raw", sheet.began_s)
    carved_s = sheet.done_s.get("carve")
    if carved_s is None or "keep" in sheet.done_s:
        return None
    return "leftovers", carved_s


def was_out_too_long(sheet: Sheet) -> OutOf | None:
    """What lay out beyond the limit in the whole cook; None: nothing that is known of.

    Only what somebody confirmed counts: steps that nobody ticked may have been done in time.
    """
    if _too_long(sheet.began_s, _hot_s(sheet)):
        return "raw"
    if _too_long(sheet.done_s.get("carve"), sheet.done_s.get("keep")):
        return "leftovers"
    return None


def _hot_s(sheet: Sheet) -> float | None:
    ups = (step.step_id for step in sheet.steps if step.kind in {"come_up", "hold"})
    return min((sheet.done_s[key] for key in ups if key in sheet.done_s), default=None)


def _too_long(since_s: float | None, until_s: float | None) -> bool:
    return since_s is not None and until_s is not None and until_s - since_s >= ZONE_LIMIT.value

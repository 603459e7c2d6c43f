"""The clock of the danger zone: raw meat until it is hot, and what is left once it is served."""

from typing import Literal, TypeAlias

from pneumachron.core.safety.limits import ZONE_LIMIT
from pneumachron.core.session.sheet import Sheet

IN_THE_COLD = frozenset({"thaw", "rub", "marinate"})
"""Steps, by their ids, in which the raw meat lies in the refrigerator."""
OutOf: TypeAlias = Literal["raw", "leftovers"]
"""What lies out of the refrigerator."""


def out_since_s(sheet: Sheet) -> tuple[OutOf, float] | None:
    """What lies out now, and since when; None: nothing does."""
    if _hot_s(sheet) is None:
        if sheet.at_pot is not None and sheet.at_pot.step_id in IN_THE_COLD:
            return None
        since_s = _taken_out_s(sheet)
        return None if since_s is None else ("raw", since_s)
    carved_s = sheet.done_s.get("carve")
    if carved_s is None or "keep" in sheet.done_s:
        return None
    return "leftovers", carved_s


def was_out_too_long(sheet: Sheet) -> OutOf | None:
    """What lay out beyond the limit in the whole cook; None: nothing that is known of.

    Only what somebody confirmed counts: steps that nobody ticked may have been done in time.
    """
    if _too_long(_taken_out_s(sheet), _hot_s(sheet)):
        return "raw"
    if _too_long(sheet.done_s.get("carve"), sheet.done_s.get("keep")):
        return "leftovers"
    return None


def _taken_out_s(sheet: Sheet) -> float | None:
    """Since when the raw meat lies out, as if all the time it lay out had been in one stretch."""
    since_s = before_s = sheet.began_s
    if since_s is None:
        return None
    for step in sheet.steps:
        at_s = sheet.done_s.get(step.step_id)
        if at_s is None:
            continue
        if step.step_id in IN_THE_COLD:
            # it went in when the step before was done; what it lay out till then counts on
            since_s = at_s - ((before_s or since_s) - since_s)
        before_s = at_s
    return since_s


def _hot_s(sheet: Sheet) -> float | None:
    ups = (step.step_id for step in sheet.steps if step.kind in {"come_up", "hold"})
    return min((sheet.done_s[key] for key in ups if key in sheet.done_s), default=None)


def _too_long(since_s: float | None, until_s: float | None) -> bool:
    return since_s is not None and until_s is not None and until_s - since_s >= ZONE_LIMIT.value

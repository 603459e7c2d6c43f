"""The clock of the danger zone: raw meat until it is hot, and what is left once it is served."""

from typing import Literal, TypeAlias

from pneumachron.core.procedure.step import Step
from pneumachron.core.safety.limits import ZONE_LIMIT
from pneumachron.core.session.late import is_chilled_raw, is_kept_hot
from pneumachron.core.session.sheet import Sheet

IN_THE_COLD = frozenset({"thaw", "rub", "marinate"})
"""Steps, by their ids, in which the raw meat lies in the refrigerator."""
OutOf: TypeAlias = Literal["raw", "leftovers"]
"""What lies out of the refrigerator."""


def out_since_s(sheet: Sheet) -> tuple[OutOf, float] | None:
    """What lies out now, and since when; None: nothing does."""
    if _hot_s(sheet) is None:
        if sheet.at_pot is not None and _is_cold(sheet.at_pot):
            return None
        since_s = _taken_out_s(sheet)
        return None if since_s is None else ("raw", since_s)
    served_s = _served_s(sheet)
    if served_s is None or "keep" in sheet.done_s:
        return None
    return "leftovers", served_s


def was_out_too_long(sheet: Sheet) -> OutOf | None:
    """What lay out beyond the limit in the whole cook; None: nothing that is known of.

    Only what somebody confirmed counts: steps that nobody ticked may have been done in time.
    """
    if _too_long(_taken_out_s(sheet), _hot_s(sheet)):
        return "raw"
    if _too_long(_served_s(sheet), sheet.done_s.get("keep")):
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
        if _is_cold(step):
            # it went in when the step before was done; what it lay out till then counts on
            since_s = at_s - ((before_s or since_s) - since_s)
        before_s = at_s
    return since_s


def _is_cold(step: Step) -> bool:
    return step.step_id in IN_THE_COLD or is_chilled_raw(step)


def _served_s(sheet: Sheet) -> float | None:
    """When it was cut, or came out of the warm oven in which it waited for guests after that."""
    carved_s = sheet.done_s.get("carve")
    if carved_s is None:
        return None
    ids = [step.step_id for step in sheet.steps]
    waits = [step for step in sheet.steps[ids.index("carve") :] if is_kept_hot(step)]
    if any(step.step_id not in sheet.done_s for step in waits):
        return None
    return max([carved_s, *(sheet.done_s[step.step_id] for step in waits)])


def _hot_s(sheet: Sheet) -> float | None:
    ups = (step.step_id for step in sheet.steps if step.kind in {"come_up", "hold"})
    return min((sheet.done_s[key] for key in ups if key in sheet.done_s), default=None)


def _too_long(since_s: float | None, until_s: float | None) -> bool:
    return since_s is not None and until_s is not None and until_s - since_s >= ZONE_LIMIT.value

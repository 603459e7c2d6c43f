"""The guests come later while a dish is cooked: what waits becomes a step of its cook."""

from collections.abc import Mapping, Sequence
from typing import Any

from pneumachron.core.procedure.choices import KEPT_HOT, WARM_OVEN_C
from pneumachron.core.procedure.step import Step, StepKind, StepTimer
from pneumachron.core.session.events import SheetError

MOST_TIMES = 4
"""How often they may say so; each time is a step."""
LATE_ID = "late"
_BEFORE: dict[str, frozenset[StepKind]] = {
    "later": frozenset({"sear", "deglaze", "pour", "load", "lid", "set"}),
    "keep_warm": frozenset({"open"}),
    "cover": frozenset({"keep", "write_down"}),
}
_BEFORE_THE_KNIFE: frozenset[StepKind] = frozenset({"finish", "slice", "carve"})
_HEATED: frozenset[StepKind] = frozenset({"sear", "set", "come_up", "hold"})


def check_late(steps: Sequence[Step], done_s: Mapping[str, float], body: Mapping[str, Any]) -> None:
    """Refuse what cannot be.

    Raises
    ------
    SheetError : it was said too often, or nothing is left to wait.
    """
    if _times(steps) >= MOST_TIMES:
        raise SheetError("late_too_often", most=MOST_TIMES)
    how = str(body["how"])
    if how != "later" and _place(steps, done_s, how) is None:  # what lies chilled just waits
        raise SheetError("served")


def with_late(
    steps: Sequence[Step], done_s: Mapping[str, float], body: Mapping[str, Any]
) -> tuple[Step, ...]:
    """The steps with one in which the dish waits, where it does.

    Raw, it goes back into the refrigerator before it is heated; under the lid it waits before that
    is opened; in the oven or chilled, before crust and knife; what is cut, before the leftovers
    are put away.

    Parameters
    ----------
    body : `how` it waits and `late_s`, see `LateHow`
    """
    how = str(body["how"])
    place = _place(steps, done_s, how)
    if place is None:
        return tuple(steps)
    if how == "take_out" or (how == "keep_warm" and steps[place].kind != "open"):
        how = "rest_warm"  # in the oven, as what is out of the cooker by now
    late_s = float(body["late_s"])
    step = Step(
        f"{LATE_ID}{_times(steps) + 1}", "guests_late", late_s, hands=False,
        pot=how == "keep_warm", timers=(StepTimer("guests_late", late_s),),
        work=f"guests_late_{how}", params={"late_s": late_s, "oven_c": WARM_OVEN_C},
    )  # fmt: skip
    return (*steps[:place], step, *steps[place:])


def stayed_under_lid(steps: Sequence[Step], done_s: Mapping[str, float]) -> bool:
    """Whether it was kept hot in the cooker for longer than the plan counts on."""
    return any(step.step_id in done_s for step in steps if step.work == "guests_late_keep_warm")


def is_kept_hot(step: Step) -> bool:
    """Whether the dish is hot enough meanwhile that nothing grows in it."""
    return step.work.removeprefix("guests_late_") in KEPT_HOT


def is_heated(steps: Sequence[Step], done_s: Mapping[str, float]) -> bool:
    """Whether the meat is no longer raw all through: browned meat does not wait for its lid."""
    return any(step.step_id in done_s for step in steps if step.kind in _HEATED)


def is_chilled_raw(step: Step) -> bool:
    """Whether the raw meat lies in the refrigerator meanwhile."""
    return step.work == "guests_late_later"


def _times(steps: Sequence[Step]) -> int:
    return sum(step.kind == "guests_late" for step in steps)


def _place(steps: Sequence[Step], done_s: Mapping[str, float], how: str) -> int | None:
    """Before which step it waits; None: everything is over."""
    left = [number for number, step in enumerate(steps) if step.step_id not in done_s]
    kinds = _BEFORE.get(how, _BEFORE_THE_KNIFE)
    found = [number for number in left if steps[number].kind in kinds]
    if how == "keep_warm" and found:
        return found[-1]  # of the last batch
    if how == "later":
        return None if is_heated(steps, done_s) else next(iter(found), None)
    later = [number for number in left if steps[number].kind in _BEFORE_THE_KNIFE]
    return next(iter(found or later), None)

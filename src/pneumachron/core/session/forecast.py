"""What is still to come, from what has happened so far; and what needs a word now."""

from collections.abc import Mapping
from dataclasses import dataclass, field
from typing import Literal, TypeAlias

from pneumachron.core.errors import Param
from pneumachron.core.message import Message
from pneumachron.core.planning.releases import CALM_S, is_full
from pneumachron.core.procedure.before_lid import SIDE_ID
from pneumachron.core.procedure.cook_plan import CookPlan
from pneumachron.core.procedure.step import LOOK_TIMER, Step, StepKind
from pneumachron.core.safety.limits import ZONE_LIMIT
from pneumachron.core.session.danger_zone import OutOf, out_since_s
from pneumachron.core.session.sheet import PotMarks, Sheet
from pneumachron.core.session.simulated_pot import LiveState

AlarmKind: TypeAlias = Literal[
    "no_pressure", "stopped_hot", "stopped_early", "not_sealed", "no_vessel", "full_vent",
    "resting", "look_now", "raw_out", "raw_too_long", "leftovers_out", "leftovers_too_long",
]  # fmt: skip
AT_REST: frozenset[StepKind] = frozenset({"skim", "sauce", "extra"})
"""Done while the meat rests."""
LATE_SHARE, LATE_S = 0.35, 240.0
"""A come-up that takes a third longer, and four minutes, is asked about. Judgement: the model is
within 20 % of come-ups in practice."""


@dataclass(frozen=True, slots=True)
class Ahead:
    """A step that is still to be done: when it begins and ends, as far as can be seen."""

    step_id: str
    begin_s: float
    end_s: float


@dataclass(frozen=True, slots=True)
class Forecast:
    """What is left, and when it is on the table."""

    ahead: tuple[Ahead, ...]
    table_s: float
    """End of carving."""
    planned_s: float
    """When it would have been, had everything taken its likely time from the beginning."""

    @property
    def late_s(self) -> float:
        """Later than planned; negative is earlier."""
        return self.table_s - self.planned_s


def forecast(sheet: Sheet, now_s: float) -> Forecast:
    """The rest of the day, from now on.

    A step under way goes on from when it began; one that took its time already is about to end.
    Sauce and the rest of the meat go side by side.
    """
    clock = now_s
    found: list[Ahead] = []
    served = {"keep", "write_down"}
    table = now_s
    rest_begin: float | None = None
    skimmed: float | None = None
    side_end: float | None = None
    for step in sheet.steps:
        if step.step_id in sheet.done_s:
            continue
        if step.beside:
            # the pot does its own meanwhile
            found.append(Ahead(step.step_id, clock, clock + step.likely_s))
            continue
        begin = clock
        if step is sheet.at_pot:
            begin = _began(sheet, now_s)
        if step.kind in AT_REST and rest_begin is not None:
            begin = skimmed if step.kind == "sauce" and skimmed is not None else rest_begin
            if step.step_id.startswith(SIDE_ID):
                begin = side_end or begin
        end = max(begin + _length_s(sheet, step), now_s if step is sheet.at_pot else begin)
        if step.kind == "rest":
            rest_begin = begin
        if step.kind == "skim":
            skimmed = end
        if step.step_id.startswith(SIDE_ID):
            side_end = end
        found.append(Ahead(step.step_id, begin, end))
        clock = max(clock, end)
        if step.kind not in served:
            table = clock
    if not found or all(item.step_id in served for item in found):
        table = max((at for key, at in sheet.done_s.items() if key not in served), default=now_s)
    return Forecast(tuple(found), table, _planned_s(sheet, now_s))


def _began(sheet: Sheet, now_s: float) -> float:
    """When the step under way began: when the one before it was done."""
    begun = now_s if sheet.began_s is None else sheet.began_s
    aside = {step.step_id for step in sheet.steps if step.beside}
    times = [begun, *(at for key, at in sheet.done_s.items() if key not in aside)]
    return min(max(times), now_s)


def _length_s(sheet: Sheet, step: Step) -> float:
    """Likely length, corrected by a timer that runs for it and by how this pot heats today."""
    running = [timer.due_s for timer in sheet.timers if timer.step_id == step.step_id]
    if running and step is sheet.at_pot:
        return max(max(running) - _began(sheet, max(running)), 0.0)
    if step.kind == "come_up" and step.round > 1 and (ratio := heat_ratio(sheet)) is not None:
        return step.likely_s * ratio
    return step.likely_s


def heat_ratio(sheet: Sheet) -> float | None:
    """Time of the first come-up over the planned one; None before it is known."""
    marks = sheet.marks[0]
    if marks.started_s is None or marks.pressure_s is None:
        return None
    planned = next(step.likely_s for step in sheet.steps if step.kind == "come_up")
    return (marks.pressure_s - marks.started_s) / planned if planned > 0 else None


def _planned_s(sheet: Sheet, now_s: float) -> float:
    begin = sheet.began_s if sheet.began_s is not None else now_s
    first = [step for step in sheet.steps if step.round == 1 and not step.beside]
    resting = next((index for index, step in enumerate(first) if step.kind == "rest"), len(first))
    # what is done while it rests, and the rest itself, take as long as the longest of them
    side = [step for step in first[resting:] if step.kind in {"rest", *AT_REST}]
    alone = [step for step in first if step.kind not in {"keep", "write_down"} and step not in side]
    juice_s = sum(step.likely_s for step in side if step.kind in {"skim", "sauce"})
    longest = max((step.likely_s for step in side), default=0.0)
    side_s = sum(step.likely_s for step in side if step.step_id.startswith(SIDE_ID))
    longest = max(longest, juice_s, side_s)
    return begin + sum(step.likely_s for step in alone) + longest + _more_cold_s(sheet, now_s)


_COLD: frozenset[StepKind] = frozenset({"thaw", "rub", "marinate", "chill"})
"""In the refrigerator as long as the cook likes: that makes no dinner early or late."""


def _more_cold_s(sheet: Sheet, now_s: float) -> float:
    """How much longer it lay cold than is usual; less than none when somebody came back sooner."""
    more_s, before_s = 0.0, now_s if sheet.began_s is None else sheet.began_s
    for step in sheet.steps:
        done_s = sheet.done_s.get(step.step_id)
        if step.kind in _COLD and done_s is not None:
            more_s += done_s - before_s - step.likely_s
        elif step.kind in _COLD and step is sheet.at_pot:
            more_s += max(now_s - before_s - step.likely_s, 0.0)
        if done_s is not None and not step.beside:
            before_s = done_s
    return more_s


@dataclass(frozen=True, slots=True)
class Alarm:
    """Something that goes wrong now: the message `alarm-kind`.

    `.do-1`, `.do-2` ... say what to do, in order.
    """

    kind: AlarmKind
    params: Mapping[str, Param] = field(default_factory=dict)

    @property
    def said(self) -> Message:
        """What goes wrong."""
        return Message(f"alarm-{self.kind}", self.params)


def alarms(plan: CookPlan, sheet: Sheet, now_s: float) -> tuple[Alarm, ...]:
    """Everything that needs a word now, the worst first."""
    step = sheet.at_pot
    if step is None or sheet.ended_s is not None:
        return ()
    found = [_of_state(sheet)] if sheet.pot is not None else []
    found.append(_out(sheet, now_s))
    marks = sheet.marks[-1]
    if step.kind == "hold":
        found.append(_early(sheet, marks))
    if step.kind == "come_up":
        found.append(_late(step, marks, now_s))
    if step.kind == "release":
        found.append(_full(plan, marks, now_s))
    if step.kind in {"carve", "finish", "sauce"}:
        found.append(_resting(sheet, now_s))
    if step.kind == "finish":
        found.append(_look(sheet, step, now_s))
    return tuple(alarm for alarm in found if alarm is not None)


WARN_SHARE = 0.75
"""Of the two hours between 4 and 60 °C, when a word is still in time. Judgement."""


def _out(sheet: Sheet, now_s: float) -> Alarm | None:
    found = out_since_s(sheet)
    if found is None:
        return None
    what, since_s = found
    out_s = now_s - since_s
    if out_s < WARN_SHARE * ZONE_LIMIT.value:
        return None
    kinds: dict[OutOf, tuple[AlarmKind, AlarmKind]] = {
        "raw": ("raw_out", "raw_too_long"),
        "leftovers": ("leftovers_out", "leftovers_too_long"),
    }
    return Alarm(kinds[what][out_s >= ZONE_LIMIT.value], {"out_min": round(out_s / 60.0)})


_STATES: dict[LiveState, AlarmKind] = {
    "stopped_hot": "stopped_hot", "not_sealed": "not_sealed", "no_vessel": "no_vessel",
}  # fmt: skip


def _of_state(sheet: Sheet) -> Alarm | None:
    kind = None if sheet.pot is None else _STATES.get(sheet.pot)
    return None if kind is None else Alarm(kind)


def _early(sheet: Sheet, marks: PotMarks) -> Alarm | None:
    if marks.stopped_early_s is None or sheet.pot in {"heating", "under_pressure", "holding"}:
        return None
    return Alarm("stopped_early")


def _late(step: Step, marks: PotMarks, now_s: float) -> Alarm | None:
    if marks.started_s is None:
        return None
    took = now_s - marks.started_s
    if took < step.likely_s * (1.0 + LATE_SHARE) or took < step.likely_s + LATE_S:
        return None
    return Alarm("no_pressure")


def _full(plan: CookPlan, marks: PotMarks, now_s: float) -> Alarm | None:
    if (
        not is_full(plan.numbers.fill_ratio)
        or marks.over_s is None
        or now_s - marks.over_s >= CALM_S
    ):
        return None
    left = max(round((CALM_S - (now_s - marks.over_s)) / 60.0), 1)
    return Alarm("full_vent", {"left_min": left})


def _resting(sheet: Sheet, now_s: float) -> Alarm | None:
    left = [timer.left_s(now_s) for timer in sheet.timers if timer.step_id == "rest"]
    step = sheet.at_pot
    if not left or left[0] <= 0 or step is None or step.kind != "carve":
        return None
    return Alarm("resting", {"left_min": max(round(left[0] / 60.0), 1)})


def _look(sheet: Sheet, step: Step, now_s: float) -> Alarm | None:
    looks = [timer for timer in sheet.timers if timer.step_id == step.step_id]
    if not any(timer.code == LOOK_TIMER and timer.due_s <= now_s for timer in looks):
        return None
    return Alarm("look_now")

"""The sheet of a cook: what happened, folded into where it stands. Events are only ever added.

Times are seconds of any one clock. The fold is pure, so a sheet that is read again after the
power failed stands exactly where it stood.
"""

import re
from collections.abc import Callable, Iterable, Mapping
from dataclasses import dataclass, field, replace
from typing import Any

from pneumachron.core.errors import Param
from pneumachron.core.procedure.cook_plan import CookPlan
from pneumachron.core.procedure.step import Brought, Step, StepKind
from pneumachron.core.procedure.steps import cook_steps
from pneumachron.core.procedure.under_pressure import BATCH_SIGN, run_steps
from pneumachron.core.session.events import Event, EventKind, SheetError, Timer, tick_of
from pneumachron.core.session.late import check_late, with_late
from pneumachron.core.session.simulated_pot import LiveState

MAX_ROUNDS = 4
MAX_TIMERS = 50
"""Of one cook at a time; nobody listens to more."""


@dataclass(frozen=True, slots=True)
class PotMarks:
    """When the pot of one round did what. None: not yet."""

    lid_s: float | None = None
    started_s: float | None = None
    pressure_s: float | None = None
    over_s: float | None = None
    down_s: float | None = None
    stopped_hot_s: float | None = None
    stopped_early_s: float | None = None
    """Somebody or a power cut stopped it before its minutes were over."""

    @property
    def stopped_s(self) -> float | None:
        """When it stopped by itself or too early; None: it did not."""
        return self.stopped_hot_s if self.stopped_early_s is None else self.stopped_early_s


@dataclass(frozen=True, slots=True)
class Sheet:
    """Where a cook stands."""

    steps: tuple[Step, ...]
    began_s: float | None
    ended_s: float | None
    done_s: Mapping[str, float]
    """When a step was done, by its id."""
    ticked: Mapping[str, frozenset[str]]
    timers: tuple[Timer, ...]
    pot: LiveState | None
    marks: tuple[PotMarks, ...]
    """By round."""
    outcome: Mapping[str, Any] | None
    weighed: Mapping[str, float] = field(default_factory=dict)
    """`before_kg`, `after_kg`: as far as they were told."""
    abandoned: bool = False
    """Given up before it was done."""

    @property
    def current(self) -> Step | None:
        """What to do now; work beside the pot only while the pot wants no hands."""
        first = next((step for step in self.steps if step.step_id not in self.done_s), None)
        at_pot = self.at_pot
        if first is None or not first.beside or at_pot is None or not at_pot.hands:
            return first
        return at_pot

    @property
    def at_pot(self) -> Step | None:
        """The first step that is not done, leaving out work beside the pot."""
        left = (step for step in self.steps if step.step_id not in self.done_s)
        return next((step for step in left if not step.beside), None)

    @property
    def opened_s(self) -> float | None:
        """When the lid came off the first batch for good; None while it is still to be opened."""
        runs = [step for step in self.steps if step.kind == "open" and step.batch == 1]
        opened = [self.done_s.get(step.step_id) for step in runs]
        return None if None in opened else opened[-1]

    def current_is(self, *kinds: StepKind) -> bool:
        """Whether one of these is to be done now, whatever is done beside the pot."""
        return self.at_pot is not None and self.at_pot.kind in kinds

    def step_or_none(self, step_id: str) -> Step | None:
        """A step by its id."""
        return next((step for step in self.steps if step.step_id == step_id), None)

    def step(self, step_id: str) -> Step:
        """A step by its id.

        Raises
        ------
        SheetError : there is none.
        """
        found = self.step_or_none(step_id)
        if found is None:
            raise SheetError("unknown_step")
        return found

    def missing(self, step: Step) -> tuple[str, ...]:
        """What of a step is not confirmed."""
        return tuple(tick for tick in step.ticks if tick not in self.ticked.get(step.step_id, ()))


def blank(plan: CookPlan, brought: Brought | None = None) -> Sheet:
    """A sheet on which nothing stands."""
    return Sheet(cook_steps(plan, brought), None, None, {}, {}, (), None, (PotMarks(),), None)


def fold(plan: CookPlan, events: Iterable[Event], brought: Brought | None = None) -> Sheet:
    """Where a cook stands after all that happened."""
    sheet = blank(plan, brought)
    for event in events:
        sheet = after(plan, sheet, event)
    return sheet


def check(sheet: Sheet, event: Event) -> None:
    """Refuse what cannot be.

    Raises
    ------
    SheetError : says what to do.
    """
    if sheet.ended_s is not None and event.kind not in {"note", "outcome", "weighed"}:
        raise SheetError("ended")
    if event.kind == "began" and (sheet.done_s or sheet.ticked):
        raise SheetError("begun")
    if event.kind in {"done", "undone", "ticked", "timer_started"}:
        _check_step(sheet, event)
    if event.kind == "note" and event.body.get("step_id"):
        sheet.step(str(event.body["step_id"]))
    if event.kind == "timer_started" and len(sheet.timers) >= MAX_TIMERS:
        raise SheetError("too_many_timers", most=MAX_TIMERS)
    if event.kind in {"timer_moved", "timer_rang", "timer_stopped"} and not any(
        timer.timer_id == event.body["timer_id"] for timer in sheet.timers
    ):
        raise SheetError("unknown_timer")
    if event.kind == "put_back" and len(sheet.marks) >= MAX_ROUNDS:
        raise SheetError("too_many_rounds")
    if event.kind == "guests_late":
        check_late(sheet.steps, sheet.done_s, event.body)


def _check_step(sheet: Sheet, event: Event) -> None:
    step = sheet.step(str(event.body["step_id"]))
    if event.kind == "ticked" and tick_of(event) not in step.ticks:
        raise SheetError("unknown_tick")
    if event.kind != "done":
        return
    skips = bool(event.body.get("skipped"))
    if skips and not step.skippable:
        raise SheetError("cannot_skip")
    if not skips and (missing := sheet.missing(step)):
        raise SheetError("not_confirmed", missing=len(missing))
    if not event.body.get("anyway"):
        _check_not_too_soon(sheet, step, event.at_s)


TOO_SOON_S = 30.0
"""So much before its time a step that has to pass may be over: clocks and hands differ."""


def _check_not_too_soon(sheet: Sheet, step: Step, at_s: float) -> None:
    """A stretch that the cook time counts on is not cut short without a word."""
    if not step.counted or sheet.at_pot is not step:
        return
    left = [timer.left_s(at_s) for timer in sheet.timers if timer.step_id == step.step_id]
    if left and max(left) > TOO_SOON_S:
        raise SheetError("too_soon", left_min=max(round(max(left) / 60.0), 1))


ALWAYS_ROOM: frozenset[EventKind] = frozenset({"ended", "abandoned", "outcome", "weighed"})
"""What can be told however full a sheet is: a cook can always be ended."""


def changes_nothing(sheet: Sheet, event: Event) -> bool:
    """Whether this was told already in other words: a step that is done, a timer that was heard.

    Pressing a button ten times means the same as pressing it once.
    """
    body, kind = event.body, event.kind
    if kind in {"done", "undone"}:
        return (str(body["step_id"]) in sheet.done_s) is (kind == "done")
    if kind == "ticked":
        return body["tick"] in sheet.ticked.get(str(body["step_id"]), ())
    if kind in {"ended", "abandoned"}:
        return sheet.ended_s is not None
    if kind == "outcome":
        return sheet.outcome is not None and dict(sheet.outcome) == dict(body)
    if kind == "timer_rang":
        heard = [timer.timer_id for timer in sheet.timers if timer.rang_s is not None]
        return body["timer_id"] in heard
    return False


def after(plan: CookPlan, sheet: Sheet, event: Event) -> Sheet:
    """The sheet with one more thing on it."""
    step_id = str(event.body.get("step_id") or "")
    if (old := _OLD_BATCH.match(step_id)) and sheet.step_or_none(step_id) is None:
        return _old_batch(sheet, event, int(old[1]))
    if event.kind == "put_back":
        return _put_back(plan, sheet, int(event.body["hold_min"]))
    change = _CHANGES.get(event.kind)
    return sheet if change is None else change(sheet, event)


_OLD_BATCH = re.compile(r"batch(\d+)$")


def _old_batch(sheet: Sheet, event: Event, number: int) -> Sheet:
    """A batch was one step once: it was done as a whole, or not at all."""
    ids = [step.step_id for step in sheet.steps if step.batch == number or
           step.step_id == f"next{number}"]  # fmt: skip
    if event.kind == "done":
        for step_id in ids:
            sheet = _done(sheet, step_id, event.at_s)
    elif event.kind == "undone":
        left = {key: at for key, at in sheet.done_s.items() if key not in ids}
        sheet = replace(sheet, done_s=left)
    return sheet


def _ticked(sheet: Sheet, event: Event) -> Sheet:
    step_id = str(event.body["step_id"])
    ticks = sheet.ticked.get(step_id, frozenset()) | {tick_of(event)}
    return replace(sheet, ticked={**sheet.ticked, step_id: ticks})


def _undone(sheet: Sheet, event: Event) -> Sheet:
    step_id = str(event.body["step_id"])
    left = {key: at for key, at in sheet.done_s.items() if key != step_id}
    undone = sheet.step(step_id)
    timers = sheet.timers
    if undone.kind == "come_up":
        timers = tuple(item for item in timers if item.timer_id != _pressure_id(undone))
    # the timer of the step after it starts again once this one is done
    counted = sheet.at_pot
    if counted is not None and counted.self_timed:
        timers = tuple(item for item in timers if item.step_id != counted.step_id)
    return replace(sheet, done_s=left, timers=timers)


def _guests_late(sheet: Sheet, event: Event) -> Sheet:
    """What waits for them is one more step; it counts from now when it is next."""
    steps = with_late(sheet.steps, sheet.done_s, event.body)
    return _counting(replace(sheet, steps=steps), event.at_s)


def _weighed(sheet: Sheet, event: Event) -> Sheet:
    """What is told anew replaces what was told."""
    told = {name: float(value) for name, value in event.body.items() if value is not None}
    return replace(sheet, weighed={**sheet.weighed, **told})


def _timed(sheet: Sheet, event: Event) -> Sheet:
    return replace(sheet, timers=_timers(sheet, event))


def _new_timer(sheet: Sheet, event: Event) -> Timer:
    """One that its step offers, or one of the cook's own."""
    body = event.body
    due = event.at_s + float(body["seconds"])
    step_id, offered = str(body["step_id"]), body.get("offered")
    timers = sheet.step(step_id).timers
    if offered is not None and int(offered) < len(timers):
        offer = timers[int(offered)]
        return Timer(str(body["timer_id"]), step_id, offer.code, due, params=offer.params)
    own: dict[str, Param] = {"own": str(body.get("title") or "")}
    return Timer(str(body["timer_id"]), step_id, "own", due, params=own)


def _timers(sheet: Sheet, event: Event) -> tuple[Timer, ...]:
    body, timers = event.body, sheet.timers
    if event.kind == "timer_started":
        new = _new_timer(sheet, event)
        return (*(item for item in timers if item.timer_id != new.timer_id), new)
    if event.kind == "timer_stopped":
        return tuple(item for item in timers if item.timer_id != body["timer_id"])
    found = []
    for timer in timers:
        changed = timer
        if timer.timer_id == body["timer_id"]:
            if event.kind == "timer_rang":
                changed = replace(timer, rang_s=timer.rang_s or event.at_s)
            else:
                due = max(timer.due_s + float(body["by_s"]), event.at_s)
                changed = replace(timer, due_s=due, rang_s=None if due > event.at_s else event.at_s)
        found.append(changed)
    return tuple(found)


_MARKED = {"come_up": "pressure_s", "hold": "over_s", "release": "down_s", "set": "started_s",
           "lid": "lid_s"}  # fmt: skip


def _done(sheet: Sheet, step_id: str, at_s: float) -> Sheet:
    """A step is done once; what it says of the pot is marked; its timers are over."""
    if step_id in sheet.done_s:
        return sheet
    step = sheet.step(step_id)
    mark = _MARKED.get(step.kind)
    marks = list(sheet.marks)
    if mark is not None and step.batch == 1 and getattr(marks[step.round - 1], mark) is None:
        marks[step.round - 1] = replace(marks[step.round - 1], **{mark: at_s})
    timers = tuple(
        item for item in sheet.timers if item.step_id != step_id or step.kind in {"rest", "sauce"}
    )
    # a connected cooker is followed through the first batch; the others are told by hand
    if step.kind == "come_up" and (sheet.pot is None or step.batch > 1):
        timers = (*timers, _pressure_timer(sheet, step, at_s))
    done = {**sheet.done_s, step_id: at_s}
    return _counting(replace(sheet, done_s=done, marks=tuple(marks), timers=timers), at_s)


COUNTED_TIMER = "step-"


def _counting(sheet: Sheet, at_s: float) -> Sheet:
    """What has to pass is counted by itself, from when the step before it was done."""
    step = sheet.at_pot
    if step is None or not step.self_timed:
        return sheet
    timer_id = f"{COUNTED_TIMER}{step.step_id}"
    if any(timer.step_id == step.step_id for timer in sheet.timers):
        return sheet
    offer = step.timers[0]
    timer = Timer(timer_id, step.step_id, offer.code, at_s + offer.seconds, params=offer.params)
    return replace(sheet, timers=(*sheet.timers, timer))


PRESSURE_TIMER = "pressure"


def _pressure_timer(sheet: Sheet, come_up: Step, at_s: float) -> Timer:
    """The minutes under pressure of a cooker that tells nothing: counted from the cook itself."""
    run = (come_up.round, come_up.batch)
    holds = (step for step in sheet.steps if step.kind == "hold")
    hold = next(step for step in holds if (step.round, step.batch) == run)
    return Timer(_pressure_id(come_up), hold.step_id, PRESSURE_TIMER, at_s + hold.likely_s)


def _pressure_id(come_up: Step) -> str:
    batch = "" if come_up.batch == 1 else f"{BATCH_SIGN}{come_up.batch}"
    return f"{PRESSURE_TIMER}-{come_up.round}{batch}"


def _reached(before: LiveState | None, state: LiveState) -> tuple[str, ...]:
    """Waiting steps that are over. A fall from no hold is a stop, not the end of one."""
    if state == "holding" or (state == "falling" and before == "under_pressure"):
        return ("come_up",)
    return ("come_up", "hold") if state == "falling" and before == "holding" else ()


def _pot(sheet: Sheet, state: LiveState, at_s: float) -> Sheet:
    """What a connected pot tells: it does the waiting steps of its round."""
    before, number = sheet.pot, len(sheet.marks)
    sheet = replace(sheet, pot=state)
    suffix = "" if number == 1 else f"#{number}"
    if f"set{suffix}" not in sheet.done_s and state in {"heating", "holding", "under_pressure"}:
        sheet = _done(sheet, f"set{suffix}", at_s)
    for kind in _reached(before, state):
        if kind == "hold" and _too_early(sheet, f"hold{suffix}", at_s):
            marks = (*sheet.marks[:-1], replace(sheet.marks[-1], stopped_early_s=at_s))
            return replace(sheet, marks=marks)
        sheet = _done(sheet, f"{kind}{suffix}", at_s)
    if state in {"shut", "open"} and before == "falling" and f"hold{suffix}" in sheet.done_s:
        for kind in ("wait", "release"):
            if any(step.step_id == f"{kind}{suffix}" for step in sheet.steps):
                sheet = _done(sheet, f"{kind}{suffix}", at_s)
    if state == "stopped_hot":
        marks = (*sheet.marks[:-1], replace(sheet.marks[-1], stopped_hot_s=at_s))
        sheet = replace(sheet, marks=marks)
    return sheet


EARLY_S = 90.0
"""A pot counts in whole minutes and may begin at one; less than this short is not early."""


def _too_early(sheet: Sheet, step_id: str, at_s: float) -> bool:
    """Whether a hold ended well before its minutes; once set again, it ends when it ends."""
    marks = sheet.marks[-1]
    if marks.pressure_s is None or marks.stopped_s is not None or step_id in sheet.done_s:
        return False
    return at_s - marks.pressure_s < sheet.step(step_id).likely_s - EARLY_S


def _put_back(plan: CookPlan, sheet: Sheet, hold_min: int) -> Sheet:
    """Another run of the pot, after the look that sent it back."""
    number = len(sheet.marks) + 1
    judged = f"judge{'' if number == 2 else f'#{number - 1}'}"
    place = next(index for index, step in enumerate(sheet.steps) if step.step_id == judged) + 1
    again = run_steps(plan, hold_min, number)
    steps = (*sheet.steps[:place], *again, *sheet.steps[place:])
    done = {**sheet.done_s, judged: sheet.done_s.get(judged, 0.0)}
    return replace(sheet, steps=steps, marks=(*sheet.marks, PotMarks()), done_s=done)


_CHANGES: dict[EventKind, Callable[[Sheet, Event], Sheet]] = {
    "began": lambda sheet, event: replace(sheet, began_s=event.at_s),
    "ended": lambda sheet, event: replace(sheet, ended_s=event.at_s),
    "abandoned": lambda sheet, event: replace(sheet, ended_s=event.at_s, abandoned=True),
    "ticked": _ticked,
    "done": lambda sheet, event: _done(sheet, str(event.body["step_id"]), event.at_s),
    "undone": _undone,
    "pot": lambda sheet, event: _pot(sheet, event.body["state"], event.at_s),
    "outcome": lambda sheet, event: replace(sheet, outcome=dict(event.body)),
    "weighed": _weighed,
    "guests_late": _guests_late,
    "timer_started": _timed,
    "timer_moved": _timed,
    "timer_rang": _timed,
    "timer_stopped": _timed,
}
"""What is only written down (notes, judgements) changes nothing that is shown."""

"""What is told of a cook: events, timers, and what is wrong with one."""

from collections.abc import Mapping
from dataclasses import dataclass, field
from typing import Any, Literal, TypeAlias, get_args

from pneumachron.core.errors import CodedError, Param
from pneumachron.core.message import Message
from pneumachron.core.procedure.under_pressure import TICKS_OF_VERSION_1

EventKind: TypeAlias = Literal[
    "began", "ticked", "done", "undone", "timer_started", "timer_moved", "timer_rang",
    "timer_stopped", "pot", "put_back", "judged", "note", "weighed", "outcome", "ended",
    "abandoned", "guests_late",
]  # fmt: skip
EVENT_KINDS: tuple[EventKind, ...] = get_args(EventKind)


class SheetError(CodedError):
    """An event that cannot be."""


@dataclass(frozen=True, slots=True)
class Event:
    """Something that happened."""

    at_s: float
    kind: EventKind
    body: Mapping[str, Any] = field(default_factory=dict)


@dataclass(frozen=True, slots=True)
class Timer:
    """A timer of a step. `rang_s` is when it was heard, once."""

    timer_id: str
    step_id: str
    code: str
    """Of the message `timer-code`; `own` when the cook named it."""
    due_s: float
    rang_s: float | None = None
    params: Mapping[str, Param] = field(default_factory=dict)

    @property
    def said(self) -> Message:
        """What it is for."""
        return Message(f"timer-{self.code}", self.params)

    def left_s(self, now_s: float) -> float:
        """Until it rings."""
        return max(self.due_s - now_s, 0.0)


def tick_of(event: Event) -> str:
    """Code of what was ticked, also of an event that holds its text."""
    tick = str(event.body["tick"])
    return TICKS_OF_VERSION_1.get(tick, tick)

"""Several dishes at once: whose turn it is. What needs hands comes first."""

from dataclasses import dataclass
from typing import Literal, TypeAlias

from pneumachron.core.message import Message
from pneumachron.core.procedure.cook_plan import CookPlan
from pneumachron.core.session.forecast import alarms, forecast
from pneumachron.core.session.sheet import Sheet

Wants: TypeAlias = Literal["help", "ear", "hands", "time", "notes"]
"""Something goes wrong; a timer rang; hands now; only time; only to be written down."""
_ORDER: dict[Wants, int] = {"help": 0, "ear": 1, "hands": 2, "time": 3, "notes": 4}


@dataclass(frozen=True, slots=True)
class Turn:
    """What one dish wants, and by when its hands are wanted (again)."""

    wants: Wants
    said: Message
    due_s: float

    @property
    def rank(self) -> tuple[int, float]:
        """Small comes first."""
        return _ORDER[self.wants], self.due_s


def turn_of(plan: CookPlan, sheet: Sheet, now_s: float) -> Turn:
    """What a dish wants now.

    A step without hands, or one whose timer runs, wants time until the next that needs them.
    """
    worst = alarms(plan, sheet, now_s)
    if worst:
        return Turn("help", worst[0].said, now_s)
    rang = [timer for timer in sheet.timers if timer.due_s <= now_s and timer.rang_s is None]
    if rang:
        first = min(rang, key=lambda timer: timer.due_s)
        return Turn("ear", first.said, first.due_s)
    step = sheet.current
    if step is None or step.kind == "write_down":
        return Turn("notes", Message("do-write_down") if step is None else step.said, now_s)
    running = [timer.due_s for timer in sheet.timers if timer.due_s > now_s]
    if step.hands and not running:
        return Turn("hands", step.said, now_s)
    return Turn("time", step.said, min([_next_hands_s(sheet, now_s), *running]))


def _next_hands_s(sheet: Sheet, now_s: float) -> float:
    """When the next step with hands is likely to begin; heating, holding and falling need none."""
    hands = {step.step_id for step in sheet.steps if step.hands}
    ahead = [item for item in forecast(sheet, now_s).ahead if item.begin_s >= now_s]
    return next((item.begin_s for item in ahead if item.step_id in hands), now_s)

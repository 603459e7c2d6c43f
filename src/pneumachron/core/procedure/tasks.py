"""Tasks: stretches of work with a range, what they need, and how long they may wait.

Neutral to where they come from: a plan, a cut's table or a recipe hands them on, and a day
schedules them without knowing which.
"""

from dataclasses import dataclass
from typing import Literal, TypeAlias

from pneumachron.core.planning.course import Phase, PhaseKind
from pneumachron.core.planning.plan import Plan

LID_CHECK_S = 120.0
"""Gasket, pin, screen, valve, pot dry and in place. Common practice."""

Resource: TypeAlias = Literal["hands", "pot", "refrigerator", "pan", "broiler", "grill"]


@dataclass(frozen=True, slots=True)
class Duration:
    """Shortest, likely and longest [s]."""

    low_s: float
    likely_s: float
    high_s: float


@dataclass(frozen=True, slots=True)
class Task:
    """One stretch of work.

    `after` names the tasks that come before it; `may_wait_s` is how long the next may be put off
    once this one is done, before food suffers.
    """

    task_id: str
    duration: Duration
    needs: tuple[Resource, ...]
    after: tuple[str, ...]
    may_wait_s: float


_HANDS: frozenset[PhaseKind] = frozenset({"venting"})
_KEEPS_WARM_S: dict[PhaseKind, float] = {"natural_release": 1800.0, "standing": 600.0}
"""A shut pot stays hot for half an hour, an open one for ten minutes. Common practice."""


def plan_tasks(plan: Plan) -> tuple[Task, ...]:
    """The tasks of one run of the pot: the lid check, then its phases in a row."""
    hold_low_s, hold_high_s = (60.0 * minutes for minutes in plan.hold_range_min)
    check = Duration(LID_CHECK_S, LID_CHECK_S, 2 * LID_CHECK_S)
    tasks = [Task("lid_check", check, ("hands", "pot"), (), 0.0)]
    for phase in plan.phases:
        holds = phase.kind == "hold"
        tasks.append(
            Task(
                task_id=phase.kind,
                duration=Duration(
                    hold_low_s if holds else phase.duration_s,
                    phase.duration_s,
                    hold_high_s if holds else phase.duration_s,
                ),
                needs=_needs(phase),
                after=(tasks[-1].task_id,),
                may_wait_s=_KEEPS_WARM_S.get(phase.kind, 0.0),
            )
        )
    return tuple(tasks)


def _needs(phase: Phase) -> tuple[Resource, ...]:
    return ("hands", "pot") if phase.kind in _HANDS else ("pot",)

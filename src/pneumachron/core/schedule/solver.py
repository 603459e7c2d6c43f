"""The starts of a day's blocks, by constraint programming.

First what waits too long, and by how much dinner is later, are made least. Then the day begins as
late as it can, and then each block is as late as it can be, so that little waits. The same day
comes out twice the same.
"""

from collections.abc import Callable, Mapping
from dataclasses import dataclass
from math import ceil, floor
from typing import TypeAlias

from pneumachron.core.schedule.constraints import (
    MINUTE_S,
    Constraints,
    DayLimits,
    Way,
    loaded,
    searched,
)

WORK = 0.1
"""The most of a search, in the solver's own unit; here about half a second. A day without a
conflict takes a twentieth of it; with one, the least conflict may not be proved."""
Starts: TypeAlias = Mapping[str, float]
"""Of blocks by their id [s from the table that was wished]."""


def warm_up() -> None:
    """Load the solver."""
    loaded()


@dataclass(frozen=True, slots=True)
class Solution:
    """Starts, how much later dinner is [s], and whether no others leave less conflict."""

    starts: Starts
    delay_s: float
    proved: bool


def solve(
    day: Way, limits: DayLimits, first: Solution, go_on: Callable[[], bool], work: float = WORK
) -> Solution:
    """The best starts found.

    Parameters
    ----------
    day : its blocks of whole seconds, see `whole`
    first : a schedule that meets the constraints, to begin from
    go_on : asked between the searches; False ends them with the best so far
    work : the most of each search
    """
    model = _Model(day, limits, work)
    found = first
    for stage in (model.least_conflict, model.latest_start, model.least_waiting):
        if not go_on():
            break
        better = stage(found)
        if better is None:
            break
        found = better
    return found


class _Model:
    """The variables of a day, and the searches over them."""

    def __init__(self, day: Way, limits: DayLimits, work: float) -> None:
        self.day, self.work = day, work
        self.all = Constraints(limits, [day])
        self.sat, self.model = self.all.sat, self.all.model
        entries = self.all.add_way(day)
        self.all.add_lanes()
        self.free = {key: entry.start for key, entry in entries.items() if not entry.stands}
        self.standing = {key: entry.start for key, entry in entries.items() if entry.stands}
        self.first = self.model.new_int_var(self.all.horizon_s, self.all.latest_s, "first")
        for start in self.free.values():
            self.model.add(self.first <= start)
        self.proved: bool | None = None
        """Of the least conflict; None while it is looked for."""
        self.value = 0.0
        """What the last search came to."""

    def least_conflict(self, hint: Solution) -> Solution | None:
        """Nothing waits longer than it may and dinner is in time, or as little as can be."""
        cost = self.all.cost
        self.model.minimize(cost)
        found: Solution | None = None
        for linearization in (2, 1):  # neither is better on every crowded day
            better = self._search(hint, linearization)
            if better is not None:
                found = hint = better
                if better.proved:
                    break
        if found is not None:
            self.model.add(cost <= round(self.value))
            self.proved = found.proved
        return found

    def latest_start(self, hint: Solution) -> Solution | None:
        """The day begins as late as it can."""
        self.model.maximize(self.first)
        found = self._search(hint)
        if found is not None:
            self.model.add(self.first >= round(self.value))
        return found

    def least_waiting(self, hint: Solution) -> Solution | None:
        """Each block is as late as it can be."""
        self.model.maximize(sum(self.free.values()))
        return self._search(hint)

    def _search(self, hint: Solution, linearization: int = 1) -> Solution | None:
        self.model.clear_hints()
        for key, start in self.free.items():
            self.model.add_hint(start, floor(hint.starts[key]))
        self.model.add_hint(self.all.delay_min, ceil(hint.delay_s / MINUTE_S))
        solver, status = searched(self.model, self.work, linearization)
        if status not in {self.sat.OPTIMAL, self.sat.FEASIBLE}:
            return None
        self.value = solver.objective_value
        own = {key: float(solver.value(start)) for key, start in self.free.items()}
        standing = {key: float(solver.value(start)) for key, start in self.standing.items()}
        proved = status == self.sat.OPTIMAL if self.proved is None else self.proved
        starts = {**standing, **self.day.fixed, **own}
        return Solution(starts, float(solver.value(self.all.delay)), proved)

"""Which one change makes a day that does not fit work: found in one model, not day by day.

Every dish as it is wished and every other way to cook it stand in the same constraints; one change
at most is chosen, and what waits too long, and how much later dinner is, are made least. Then that
change is put aside, and the next best is looked for.
"""

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from math import floor

from pneumachron.core.schedule.constraints import (
    UNSAFE_WEIGHT,
    Constraints,
    DayLimits,
    Expression,
    Way,
    searched,
    whole,
)
from pneumachron.core.schedule.model import UNSAFE, Clash
from pneumachron.core.schedule.solver import WORK

WORTH_S = 60.0
"""A change that helps less is not offered. Judgement."""
MORE_HANDS_BOTHER_S = 60
"""See `Change`: another cook must be found first. Judgement."""
_LINEAR = 2
"""Ways that exclude each other are weak constraints; the linear program sees through them. On
seven crowded days it proved the best change of all, where level 1 proved that of one."""


@dataclass(frozen=True, slots=True)
class Change:
    """Another way to cook a dish.

    `key` : names it in the answer; `group` : one change of a group is offered, the best;
    `bother_s` : what it must help more than a change that is no bother
    """

    key: str
    dish: int
    way: Way
    group: str
    bother_s: int = 0


@dataclass(frozen=True, slots=True)
class Fix:
    """A change, and what waits too long and how late dinner is with it, in all [s].

    `key` : None for one more pair of hands; `costs_s` : see `cost_s`
    """

    key: str | None
    left_s: float
    costs_s: float


def cost_s(clashes: Sequence[Clash], delay_s: float) -> float:
    """What a day costs: delay and conflicts, those of what spoils first of all."""
    return delay_s + sum(
        UNSAFE_WEIGHT * item.over_s if item.why in UNSAFE else item.over_s for item in clashes
    )


def best_fixes(
    limits: DayLimits,
    shared: Way,
    dishes: Sequence[Way],
    changes: Sequence[Change],
    *,
    now_costs_s: float,
    most: int,
    more_hands: bool = False,
    work: float = WORK,
    go_on: Callable[[], bool] = lambda: True,
) -> list[Fix]:
    """Changes that help, best first, `most` of them at most.

    Parameters
    ----------
    shared : work that is done whatever is changed
    dishes : as they are wished
    now_costs_s : what the day costs as it is, see `cost_s`
    more_hands : one more cook may help
    work : the most of each search, in the solver's own unit
    go_on : asked before each search; False ends them
    """
    if now_costs_s < WORTH_S or not (changes or more_hands):
        return []
    model = _Model(limits, shared, dishes, changes, now_costs_s, more_hands=more_hands)
    found: list[Fix] = []
    while len(found) < most and go_on():
        best = model.next_best(work)
        if best is None:
            break
        found.append(best)
    return sorted(found, key=lambda item: item.costs_s)  # a search may end before the best


class _Model:
    """The day as it is wished and all its changes, of which one is taken."""

    def __init__(
        self,
        limits: DayLimits,
        shared: Way,
        dishes: Sequence[Way],
        changes: Sequence[Change],
        now_costs_s: float,
        *,
        more_hands: bool,
    ) -> None:
        ways = [shared, *dishes, *(change.way for change in changes)]
        # what costs more than the day as it is does not help
        most_s = floor(now_costs_s - WORTH_S)
        self.all = Constraints(limits, ways, most_s)
        self.model = self.all.model
        self.taken: dict[str | None, Expression] = {
            change.key: self.model.new_bool_var(change.key) for change in changes
        }
        self.groups: dict[str | None, str] = {change.key: change.group for change in changes}
        bothers = [change.bother_s * self.taken[change.key] for change in changes]
        if more_hands:
            self.taken[None] = self.model.new_bool_var("hands")
            self.groups[None] = "hands"
            bothers.append(MORE_HANDS_BOTHER_S * self.taken[None])
        self.model.add_exactly_one(self.taken.values())
        self._add_dishes(shared, dishes, changes)
        self.all.add_lanes(self.taken.get(None, 0))
        cost = self.all.cost + sum(bothers)
        self.over = self.all.over
        self.model.add(cost <= most_s)
        self.model.minimize(cost)

    def _add_dishes(self, shared: Way, dishes: Sequence[Way], changes: Sequence[Change]) -> None:
        common = self.all.add_way(_of_whole_seconds(shared))
        after_s = sum(block.duration_s for block in shared.blocks if block.after_table)
        for number, dish in enumerate(dishes):
            others = [item for item in changes if item.dish == number]
            as_wished = self._none_of([self.taken[item.key] for item in others])
            self.all.add_way(_of_whole_seconds(dish), as_wished, after_s, common)
            for item in others:
                way = _of_whole_seconds(item.way)
                self.all.add_way(way, self.taken[item.key], after_s, common)
            after_s += sum(block.duration_s for block in dish.blocks if block.after_table)

    def _none_of(self, literals: Sequence[Expression]) -> Expression | None:
        if not literals:
            return None
        none = self.model.new_bool_var("")
        self.model.add_exactly_one([none, *literals])
        return none

    def next_best(self, work: float) -> Fix | None:
        """The best change that was not found before; None when no other helps, or none was seen."""
        solver, status = searched(self.model, work, _LINEAR)
        if status not in {self.all.sat.OPTIMAL, self.all.sat.FEASIBLE}:
            return None
        key = next(key for key, taken in self.taken.items() if solver.boolean_value(taken))
        for other, taken in self.taken.items():
            if self.groups[other] == self.groups[key]:
                self.model.add(taken == 0)
        return Fix(key, float(solver.value(self.over)), float(solver.objective_value))


def _of_whole_seconds(way: Way) -> Way:
    return Way([whole(block) for block in way.blocks], way.fixed)

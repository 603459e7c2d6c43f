"""The starts of a day's blocks, by constraint programming (CP-SAT of OR-Tools).

What must hold are constraints: the order, the table, lanes that take so many at a time, starts
that stand. What should hold (nothing waits longer than it may) has a slack, and the sum of the
slacks is made least first. Then the day begins as late as it can, and then each block is as late
as it can be, so that little waits. One worker, one seed and a limit that counts work instead of
seconds: the same day comes out twice the same.

OR-Tools is large and takes a second to load, so it is loaded when a day is planned for the first
time, or when `warm_up` says that one soon will be.
"""

from collections.abc import Callable, Iterator, Mapping, Sequence
from dataclasses import dataclass, field, replace
from importlib import import_module
from itertools import pairwise
from math import ceil, floor
from types import ModuleType
from typing import Any, TypeAlias

from pneumachron.core.procedure.choices import Lane
from pneumachron.core.schedule.model import FREE_LANES, LONGEST_S, UNSAFE, Block, Closed, WaitWhy

WORK = 0.1
"""The most of a search, in the solver's own unit; here about half a second. A day without a
conflict takes a twentieth of it; with one, the least conflict may not be proved."""
UNSAFE_WEIGHT = 10_000
"""A second that raw or cooled meat waits too long, in seconds of other conflicts."""
LITTLE_WORK = 0.02
"""The same where many days are compared."""
Starts: TypeAlias = dict[str, float]
"""Of blocks by their id [s from the table]."""
Expression: TypeAlias = Any
"""A whole number, or a linear expression of the solver's variables."""


def warm_up() -> None:
    """Load the solver."""
    _sat()


def _sat() -> ModuleType:
    return import_module("ortools.sat.python.cp_model")


def whole(block: Block) -> Block:
    """A block whose segments begin and end at whole seconds after its start."""
    segments, at_s = [], 0.0
    for segment in block.segments:
        length_s = round(at_s + segment.likely_s) - round(at_s)
        segments.append(replace(segment, likely_s=float(length_s)))
        at_s += segment.likely_s
    return replace(block, segments=tuple(segments))


@dataclass
class Day:
    """What is to be placed.

    `blocks` : of whole seconds, see `whole`; `fixed` : starts that stand [s], by block; `closed` :
    lanes that nobody has for a while; `work` : the most of each search
    """

    blocks: Sequence[Block]
    capacity: Mapping[Lane, int]
    fixed: Mapping[str, float]
    closed: Sequence[Closed] = ()
    work: float = WORK


@dataclass(frozen=True, slots=True)
class Solution:
    """Starts, and whether no others leave less conflict."""

    starts: Starts
    proved: bool


def solve(day: Day, first: Starts, go_on: Callable[[], bool]) -> Solution:
    """The best starts found.

    Parameters
    ----------
    first : a schedule that meets the constraints, to begin from
    go_on : asked between the searches; False ends them with the best so far
    """
    model = _Model(day)
    found, proved = first, False
    for stage in (model.least_slack, model.latest_start, model.least_waiting):
        if not go_on():
            break
        better = stage(found)
        if better is None:
            break
        found, proved = better, model.proved
    return Solution(found, proved)


@dataclass
class _Model:
    """The variables of a day, and the searches over them."""

    day: Day
    slacks: list[Any] = field(default_factory=list)

    def __post_init__(self) -> None:
        self.proved = False
        self.sat = _sat()
        self.model = self.sat.CpModel()
        self.earliest = earliest = _earliest(self.day)
        self.starts: dict[str, Any] = {}
        for block in self.day.blocks:
            known = self.day.fixed.get(block.block_id)
            self.starts[block.block_id] = (
                self.model.new_int_var(earliest, 0, block.block_id)
                if known is None
                else floor(known)
            )
        self.free = [block for block in self.day.blocks if block.block_id not in self.day.fixed]
        self._order()
        self._table()
        self._lanes()
        self.over = sum(self.slacks)
        self.first = self.model.new_int_var(earliest, 0, "first")
        for block in self.free:
            self.model.add(self.first <= self.starts[block.block_id])

    def least_slack(self, hint: Starts) -> Starts | None:
        """Nothing waits longer than it may, or as little as can be."""
        if not self.slacks:
            self.proved = True
            return hint
        self.model.minimize(self.over)
        found = self._search(hint)
        if found is not None:
            self.proved = self.optimal
            self.model.add(self.over <= round(self.value))
        return found

    def latest_start(self, hint: Starts) -> Starts | None:
        """The day begins as late as it can."""
        self.model.maximize(self.first)
        found = self._search(hint)
        if found is not None:
            self.model.add(self.first >= round(self.value))
        return found

    def least_waiting(self, hint: Starts) -> Starts | None:
        """Each block is as late as it can be."""
        self.model.maximize(sum(self.starts[block.block_id] for block in self.free))
        return self._search(hint)

    def _search(self, hint: Starts) -> Starts | None:
        self.model.clear_hints()
        for block in self.free:
            self.model.add_hint(self.starts[block.block_id], floor(hint[block.block_id]))
        solver = self.sat.CpSolver()
        solver.parameters.num_workers = 1
        solver.parameters.random_seed = 1
        solver.parameters.linearization_level = 1
        solver.parameters.use_strong_propagation_in_disjunctive = True
        solver.parameters.max_deterministic_time = self.day.work
        status = solver.solve(self.model)
        if status not in {self.sat.OPTIMAL, self.sat.FEASIBLE}:
            return None
        self.value = solver.objective_value
        self.optimal = status == self.sat.OPTIMAL
        own = {b.block_id: float(solver.value(self.starts[b.block_id])) for b in self.free}
        return {**self.day.fixed, **own}

    def _slack(self, why: WaitWhy = "order") -> Expression:
        slack = self.model.new_int_var(0, 2 * -self.earliest, "")
        self.slacks.append(UNSAFE_WEIGHT * slack if why in UNSAFE else slack)
        return slack

    def _end(self, block: Block) -> Expression:
        known = self.day.fixed.get(block.block_id)
        if known is not None:
            return ceil(known + block.duration_s)
        return self.starts[block.block_id] + round(block.duration_s)

    def _order(self) -> None:
        """What comes before what, how long after at least, and at most."""
        known = {block.block_id: block for block in self.day.blocks}
        for block in self.day.blocks:
            for wait in block.after:
                before = known.get(wait.block_id)
                if before is None or self._stand(before, block):
                    continue
                gap = self.starts[block.block_id] - self._end(before)
                # what stands may stand too early; everything else waits for what it needs
                stands = before.block_id in self.day.fixed or block.after_table
                early = self._slack() if stands else 0
                self.model.add(gap >= ceil(wait.least_s) - early)
                if wait.most_s < LONGEST_S:
                    self.model.add(gap <= floor(wait.most_s) + self._slack(wait.why))

    def _stand(self, *blocks: Block) -> bool:
        return all(block.block_id in self.day.fixed for block in blocks)

    def _table(self) -> None:
        """What is served is done in time, and does not wait too long."""
        for block in self.free:
            self.model.add(self._end(block) <= -ceil(block.over_before_table_s))
            if block.to_table_s is not None:
                self.model.add(-self._end(block) <= floor(block.to_table_s) + self._slack())

    def _lanes(self) -> None:
        """A lane takes so many at a time; what stands is there already."""
        taken: dict[Lane, list[tuple[int, int]]] = {}
        for shut in self.day.closed:
            stretch = (floor(shut.begin_s), ceil(shut.end_s))
            count = self.day.capacity.get(shut.lane, 1)
            taken.setdefault(shut.lane, []).extend([stretch] * count)
        moving: dict[Lane, list[Any]] = {}
        for block in self.day.blocks:
            start = self.starts[block.block_id]
            for lane, begin, size in stretches(block):
                if block.block_id in self.day.fixed:
                    stands = self.day.fixed[block.block_id] + begin
                    taken.setdefault(lane, []).append((floor(stands), ceil(stands + size)))
                else:
                    interval = self.model.new_fixed_size_interval_var(start + begin, size, "")
                    moving.setdefault(lane, []).append(interval)
        for lane, intervals in moving.items():
            capacity = self.day.capacity.get(lane, 1)
            demands = [1] * len(intervals)
            for begin, end, count in profile(taken.get(lane, ()), capacity):
                there = self.model.new_fixed_size_interval_var(begin, end - begin, "")
                intervals.append(there)
                demands.append(count)
            self.model.add_cumulative(intervals, demands, capacity)


def _earliest(day: Day) -> int:
    """No block needs to begin before this [s from the table].

    Before all that stands, a day in which nobody works and nothing must wait could be closed up.
    The nearer this is, the less there is to search.
    """
    stands = [day.fixed[b.block_id] for b in day.blocks if b.block_id in day.fixed]
    stands += [shut.begin_s for shut in day.closed]
    work = sum(
        block.duration_s + block.over_before_table_s + sum(wait.least_s for wait in block.after)
        for block in day.blocks
        if block.block_id not in day.fixed
    )
    return floor(min(stands, default=0.0) - work) - len(day.blocks)


def stretches(block: Block) -> Iterator[tuple[Lane, int, int]]:
    """Lanes that a block occupies, from when after its start, and how long [s].

    Segments that follow each other on a lane are one stretch.
    """
    running: dict[Lane, tuple[int, int]] = {}
    at_s = 0.0
    for segment in block.segments:
        begin, end = round(at_s), round(at_s + segment.likely_s)
        at_s += segment.likely_s
        for lane in segment.lanes:
            if lane in FREE_LANES or end == begin:
                continue
            held = running.get(lane)
            if held is not None and held[1] == begin:
                running[lane] = (held[0], end)
                continue
            if held is not None:
                yield lane, held[0], held[1] - held[0]
            running[lane] = (begin, end)
    for lane, (begin, end) in running.items():
        yield lane, begin, end - begin


def profile(taken: Sequence[tuple[int, int]], capacity: int) -> Iterator[tuple[int, int, int]]:
    """Stretches with how much of a lane is taken, never more than there is.

    What stands may overlap where a cook pinned two things to one time.
    """
    edges = sorted({edge for stretch in taken for edge in stretch})
    for begin, end in pairwise(edges):
        count = sum(a <= begin and end <= b for a, b in taken)
        if count > 0:
            yield begin, end, min(count, capacity)

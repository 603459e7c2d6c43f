"""The work of a day as variables and constraints, for CP-SAT of OR-Tools.

What must hold are constraints: the order, the table, lanes that take so many at a time, starts
that stand. What should hold (nothing waits longer than it may) has a slack that costs something,
and so does a later dinner. A way of doing a dish may stand under a condition: with others of which
one is taken.

OR-Tools is large and takes a second to load, so it is loaded when a day is planned for the first
time, or when `warm_up` says that one soon will be.
"""

from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass, field, replace
from importlib import import_module
from itertools import pairwise
from math import ceil, floor
from types import ModuleType
from typing import Any, TypeAlias

from pneumachron.core.procedure.choices import Lane
from pneumachron.core.schedule.model import FREE_LANES, LONGEST_S, UNSAFE, Block, UnavailableWindow

UNSAFE_WEIGHT = 10_000
"""A second that raw or cooled meat waits too long, in seconds of other conflicts."""
MINUTE_S = 60
"""Dinner is moved by whole minutes."""
Expression: TypeAlias = Any
"""A whole number, a linear expression of the solver's variables, or another thing of its."""


def loaded() -> ModuleType:
    """The solver, loaded when it is needed for the first time."""
    return import_module("ortools.sat.python.cp_model")


def searched(
    model: Expression, work: float, linearization: int = 1
) -> tuple[Expression, Expression]:
    """A search that comes out twice the same: the solver, for the values, and its status.

    One worker, one seed, and a limit that counts work instead of seconds.

    Parameters
    ----------
    work : the most of the search, in the solver's own unit
    linearization : how much of the model bounds the search as a linear program, 0 to 2
    """
    solver = loaded().CpSolver()
    solver.parameters.num_workers = 1
    solver.parameters.random_seed = 1
    solver.parameters.linearization_level = linearization
    solver.parameters.use_strong_propagation_in_disjunctive = True
    solver.parameters.max_deterministic_time = work
    return solver, solver.solve(model)


@dataclass(frozen=True, slots=True)
class DayLimits:
    """What a day has to do with, in seconds from the table that was wished.

    `capacity` : how many a lane takes at a time; 1 when it is not named; `closed` : lanes that
    nobody has for a while; `now_s` : nothing begins before it; `table_moves` : dinner may be
    later; `begun` : blocks that were ready enough, since somebody began them
    """

    capacity: Mapping[Lane, int] = field(default_factory=dict)
    closed: Sequence[UnavailableWindow] = ()
    now_s: float | None = None
    table_moves: bool = False
    begun: frozenset[str] = frozenset()


@dataclass(frozen=True, slots=True)
class Way:
    """Work that is done in one way: of a dish, or of a day.

    `fixed` : starts [s from the table that was wished] that stand
    """

    blocks: Sequence[Block]
    fixed: Mapping[str, float] = field(default_factory=dict)


@dataclass(frozen=True, slots=True)
class Entry:
    """A block of one way. `on` : whether that way is taken; None where there is no other."""

    block: Block
    start: Expression
    on: Expression | None
    stands: bool

    @property
    def end(self) -> Expression:
        """Its end."""
        return self.start + ceil(self.block.duration_s)


def whole(block: Block) -> Block:
    """A block whose segments begin and end at whole seconds after its start."""
    segments, at_s = [], 0.0
    for segment in block.segments:
        length_s = round(at_s + segment.likely_s) - round(at_s)
        segments.append(replace(segment, likely_s=float(length_s)))
        at_s += segment.likely_s
    return replace(block, segments=tuple(segments))


class Constraints:
    """The variables of a day, and what holds between them.

    Attributes
    ----------
    delay : seconds that dinner is later
    cost : `delay`, and what waits too long, with what spoils first of all
    over : the same without that weight
    """

    def __init__(
        self, limits: DayLimits, ways: Sequence[Way], most_cost_s: int | None = None
    ) -> None:
        """For a day of some of `ways`; what costs more than `most_cost_s` is no answer."""
        self.limits = limits
        self.sat = loaded()
        self.model = self.sat.CpModel()
        self.horizon_s, self.latest_s = _spread(limits, ways)
        if most_cost_s is not None:
            self.latest_s = min(self.latest_s, most_cost_s)
        minutes = self.latest_s // MINUTE_S if limits.table_moves else 0
        self.delay_min: Expression = self.model.new_int_var(0, minutes, "delay")
        self.delay: Expression = MINUTE_S * self.delay_min
        self._most_cost_s = most_cost_s
        self.entries: list[Entry] = []
        self._costs: list[Expression] = [self.delay]
        self._over: list[Expression] = [self.delay]

    @property
    def cost(self) -> Expression:
        """See the attributes."""
        return sum(self._costs)

    @property
    def over(self) -> Expression:
        """See the attributes."""
        return sum(self._over)

    def add_way(
        self,
        way: Way,
        on: Expression | None = None,
        after_s: float = 0.0,
        shared: Mapping[str, Entry] | None = None,
    ) -> dict[str, Entry]:
        """The blocks of a way: when, after what, and before the table.

        Parameters
        ----------
        on : the condition that it is taken under
        after_s : how long after dinner the first of what is done then begins
        shared : blocks of another way that these may wait for
        """
        own: dict[str, Entry] = {}
        for block in way.blocks:
            start, stands = self._start(block, way, after_s)
            own[block.block_id] = Entry(block, start, on, stands)
            if block.after_table:
                after_s += block.duration_s
        self.entries += own.values()
        for entry in own.values():
            self._order(entry, {**(shared or {}), **own})
            self._table(entry)
        return own

    def _start(self, block: Block, way: Way, after_s: float) -> tuple[Expression, bool]:
        stands_s = way.fixed.get(block.block_id)
        if stands_s is not None:
            return floor(stands_s), True
        if block.after_table:
            return self.delay + round(after_s), True
        now_s = self.limits.now_s
        first_s = self.horizon_s if now_s is None else ceil(now_s)
        return self.model.new_int_var(first_s, self.latest_s, block.block_id), False

    def _must(self, entry: Entry, bound: Expression) -> None:
        """A constraint that holds if this way is taken."""
        kept = self.model.add(bound)
        if entry.on is not None:
            kept.only_enforce_if(entry.on)

    def _should(self, entry: Entry, over: Expression, *, unsafe: bool = False) -> None:
        """`over` is above zero as little as can be, if this way is taken."""
        weight = UNSAFE_WEIGHT if unsafe else 1
        if isinstance(over, int) and (over <= 0 or entry.on is None):
            slack: Expression = max(over, 0)
        else:
            most_s = 2 * (self.latest_s - self.horizon_s)
            if self._most_cost_s is not None:
                most_s = min(most_s, self._most_cost_s // weight)
            slack = self.model.new_int_var(0, most_s, "")
            self._must(entry, slack >= over)
        self._over.append(slack)
        self._costs.append(weight * slack)

    def _order(self, entry: Entry, known: Mapping[str, Entry]) -> None:
        """What comes before what, how long after at least, and at most."""
        for wait in entry.block.after:
            before = known.get(wait.block_id)
            if before is None:
                continue
            gap = entry.start - before.end
            # what stands may stand too early, and what it stands before too late; everything else
            # waits for what it needs, and dinner with it
            waits = not before.stands or (self.limits.table_moves and not entry.block.after_table)
            if waits and not entry.stands:
                self._must(entry, gap >= ceil(wait.least_s))
            elif entry.block.block_id not in self.limits.begun:
                self._should(entry, ceil(wait.least_s) - gap)
            if wait.most_s < LONGEST_S:
                self._should(entry, gap - floor(wait.most_s), unsafe=wait.why in UNSAFE)

    def _table(self, entry: Entry) -> None:
        """What is served is done in time, and does not wait too long."""
        block = entry.block
        if block.after_table:
            return
        until_table = self.delay - entry.end
        if not entry.stands:
            self._must(entry, until_table >= ceil(block.over_before_table_s))
        elif block.over_before_table_s > 0 and block.block_id not in self.limits.begun:
            self._should(entry, ceil(block.over_before_table_s) - until_table)
        if block.to_table_s is None:
            return
        self._should(entry, until_table - floor(block.to_table_s))
        if entry.stands and self.limits.table_moves:
            self._must(entry, until_table >= 0)
        elif entry.stands:
            self._should(entry, -until_table)

    def add_lanes(self, more_hands: Expression = 0) -> None:
        """A lane takes so many at a time; what stands is there already. Asked once, at the end.

        Parameters
        ----------
        more_hands : how many hands there are more than the kitchen has
        """
        taken: dict[Lane, list[tuple[int, int]]] = {}
        for shut in self.limits.closed:
            stretch = (floor(shut.begin_s), ceil(shut.end_s))
            count = self.limits.capacity.get(shut.lane, 1)
            taken.setdefault(shut.lane, []).extend([stretch] * count)
        moving: dict[Lane, list[Expression]] = {}
        for entry in self.entries:
            if entry.block.after_table and not isinstance(entry.start, int):
                continue  # nothing else is done then
            for lane, begin, size in stretches(entry.block):
                start = entry.start + begin
                if not entry.stands:
                    moving.setdefault(lane, []).append(self._interval(start, size, entry.on))
                elif entry.on is None:
                    taken.setdefault(lane, []).append((start, start + size))
                elif not any(a < start + size and start < b for a, b in taken.get(lane, ())):
                    # two things pinned to one time would leave no way at all
                    moving.setdefault(lane, []).append(self._interval(start, size, entry.on))
        for lane, intervals in moving.items():
            count = self.limits.capacity.get(lane, 1)
            capacity: Expression = count + more_hands if lane == "hands" else count
            demands: list[Expression] = [1] * len(intervals)
            for begin, end, full in profile(taken.get(lane, ()), count):
                intervals.append(self._interval(begin, end - begin, None))
                demands.append(capacity if full == count else full)
            self.model.add_cumulative(intervals, demands, capacity)

    def _interval(self, start: Expression, size: int, on: Expression | None) -> Expression:
        if on is None:
            return self.model.new_fixed_size_interval_var(start, size, "")
        return self.model.new_optional_fixed_size_interval_var(start, size, on, "")


def _spread(limits: DayLimits, ways: Sequence[Way]) -> tuple[int, int]:
    """No block needs to begin before the first [s], nor dinner to be later than the second.

    Outside all that stands, a day in which nobody works and nothing must wait could be closed up.
    The narrower this is, the less there is to search.
    """
    edges = [0.0, limits.now_s or 0.0]
    edges += [edge for shut in limits.closed for edge in (shut.begin_s, shut.end_s)]
    work, count = 0.0, 0
    for way in ways:
        for block in way.blocks:
            stands_s = way.fixed.get(block.block_id)
            if stands_s is not None:
                edges += [stands_s, stands_s + block.duration_s]
                continue
            count += 1
            work += block.duration_s + block.over_before_table_s
            work += sum(wait.least_s for wait in block.after)
    latest_s = max(edges) + work + MINUTE_S * count if limits.table_moves else 0.0
    return floor(min(edges) - work) - count, ceil(latest_s)


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

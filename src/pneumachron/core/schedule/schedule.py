"""Counting back: every block as late as it may be, before the time on the table.

The starts are found by `solver`; here is what it begins from (blocks of one order, last first, each
as late as its followers and its lanes allow) and what is said of what it finds: what waits longer
than it may, and what is late.
"""

from collections.abc import Callable, Iterator, Mapping, Sequence
from dataclasses import dataclass, field
from math import ceil

from pneumachron.core.errors import RequestError
from pneumachron.core.procedure.choices import Lane
from pneumachron.core.schedule.constraints import MINUTE_S, DayLimits, Way, whole
from pneumachron.core.schedule.model import (
    FREE_LANES,
    MAX_BLOCKS,
    Block,
    Clash,
    Schedule,
    ScheduledBlock,
    UnavailableWindow,
    Wait,
)
from pneumachron.core.schedule.solver import WORK, Solution, Starts, solve

_TOUCH_S = 1e-3
"""Stretches that touch do not overlap, whatever the last digit says."""


@dataclass
class _Lanes:
    """What is taken of each lane, as intervals."""

    capacity: Mapping[Lane, int]
    taken: dict[Lane, list[tuple[float, float]]] = field(default_factory=dict)

    def push_back_s(self, block: Block, start_s: float) -> float:
        """How much earlier a block must be to pass the last thing in its way; 0 when it fits."""
        begin = start_s
        worst = 0.0
        for segment in block.segments:
            end = begin + segment.likely_s
            for lane in segment.lanes:
                if end > begin and lane not in FREE_LANES:
                    worst = max(worst, self._in_the_way(lane, begin, end))
            begin = end
        return worst

    def _in_the_way(self, lane: Lane, begin: float, end: float) -> float:
        """How far before `end` the last full stretch of a lane begins."""
        hits = [
            item
            for item in self.taken.get(lane, ())
            if item[0] < end - _TOUCH_S and begin + _TOUCH_S < item[1]
        ]
        capacity = self.capacity.get(lane, 1)
        if len(hits) < capacity:
            return 0.0
        worst = 0.0
        for point, _ in hits:
            at = max(point, begin)
            together = [item for item in hits if item[0] <= at < item[1]]
            if len(together) >= capacity:
                starts = sorted((item[0] for item in together), reverse=True)
                worst = max(worst, end - starts[len(together) - capacity])
        return worst

    def close(self, shut: UnavailableWindow) -> None:
        """Nothing of a lane is to be had for a while."""
        stretch = (shut.begin_s, shut.end_s)
        self.taken.setdefault(shut.lane, []).extend([stretch] * self.capacity.get(shut.lane, 1))

    def take(self, block: Block, start_s: float) -> None:
        begin = start_s
        for segment in block.segments:
            for lane in segment.lanes:
                self.taken.setdefault(lane, []).append((begin, begin + segment.likely_s))
            begin += segment.likely_s


_TURNS = 12
"""Rounds of moving the table until nothing begins before now; each round mends most of it."""


def schedule(
    blocks: Sequence[Block],
    limits: DayLimits | None = None,
    *,
    fixed: Mapping[str, float] | None = None,
    go_on: Callable[[], bool] = lambda: True,
    work: float = WORK,
) -> Schedule:
    """The schedule with the least conflict and delay, and of those the one that starts latest.

    Parameters
    ----------
    blocks : with ids that differ
    fixed : starts [s from the table that was wished] that stand: done, under way, or locked
    go_on : asked between the searches; False ends them with the best so far
    work : the most of a search, in the solver's own unit

    Raises
    ------
    RequestError : too many blocks, twice the same id, or waits in a circle.
    """
    _check(blocks)
    if not blocks:
        return Schedule((), ())
    limits = limits or DayLimits()
    day = Way([whole(block) for block in blocks], fixed or {})
    solution = solve(day, limits, _in_time(day, limits), go_on, work)
    starts = {key: start - solution.delay_s for key, start in solution.starts.items()}
    placed = sorted(
        (ScheduledBlock(block, starts[block.block_id]) for block in day.blocks),
        key=lambda item: (item.start_s, item.end_s),
    )
    clashes = tuple(
        item
        for item in _clashes(day.blocks, starts)
        # what has begun was ready enough: nobody can make it later now
        if item.why != "not_ready" or item.block_id not in limits.begun
    )
    proved = solution.proved or (not clashes and solution.delay_s == 0)
    return Schedule(tuple(placed), clashes, solution.delay_s, proved=proved)


def _in_time(day: Way, limits: DayLimits) -> Solution:
    """Blocks one by one; the table moves until none of them begins before now."""
    delay_s = 0.0
    starts = _one_by_one(day, limits, delay_s)
    if limits.table_moves:
        for _ in range(_TURNS):
            missing_s = _missing_s(day, limits, starts, delay_s)
            if missing_s <= 0:
                break
            delay_s += MINUTE_S * ceil(missing_s / MINUTE_S)
            starts = _one_by_one(day, limits, delay_s)
    return Solution(starts, delay_s, proved=False)


def _missing_s(day: Way, limits: DayLimits, starts: Starts, delay_s: float) -> float:
    """By how much something begins before now, or what stands ends after the table."""
    free = [block for block in day.blocks if block.block_id not in day.fixed]
    begins = [starts[block.block_id] for block in free if not block.after_table]
    late = [
        day.fixed[block.block_id] + block.duration_s - delay_s
        for block in day.blocks
        if block.block_id in day.fixed and block.to_table_s is not None and not block.after_table
    ]
    now_s = limits.now_s
    early = now_s - min(begins, default=now_s) if now_s is not None else 0.0
    return max(early, *late, 0.0)


def _one_by_one(day: Way, limits: DayLimits, delay_s: float) -> Starts:
    """Blocks of one order, followers first, each as late as may be."""
    lanes = _Lanes(limits.capacity)
    for shut in limits.closed:
        lanes.close(shut)
    starts = dict(day.fixed)
    after_s = delay_s
    for block in day.blocks:
        if block.after_table and block.block_id not in starts:
            starts[block.block_id] = after_s
            after_s += block.duration_s
        elif block.block_id in starts:
            lanes.take(block, starts[block.block_id])
    followers = _followers(day.blocks)
    for block in _sorted_back(day.blocks):
        if block.block_id in starts:
            continue
        end = delay_s - block.over_before_table_s
        for later, wait in followers[block.block_id]:
            if not later.after_table:
                end = min(end, starts[later.block_id] - wait.least_s)
        start = end - block.duration_s
        while (back := lanes.push_back_s(block, start)) > 0:
            start -= back
        starts[block.block_id] = start
        lanes.take(block, start)
    return starts


def _check(blocks: Sequence[Block]) -> None:
    if len(blocks) > MAX_BLOCKS:
        raise RequestError("too_many_tasks", "dishes", count=len(blocks), most=MAX_BLOCKS)
    ids = {block.block_id for block in blocks}
    if len(ids) < len(blocks):
        raise RequestError("same_task", "dishes")
    if len(_sorted_back(blocks)) < len(blocks):
        raise RequestError("circle", "dishes")


def _followers(blocks: Sequence[Block]) -> dict[str, list[tuple[Block, Wait]]]:
    found: dict[str, list[tuple[Block, Wait]]] = {block.block_id: [] for block in blocks}
    for block in blocks:
        for wait in block.after:
            if wait.block_id in found:
                found[wait.block_id].append((block, wait))
    return found


def _sorted_back(blocks: Sequence[Block]) -> list[Block]:
    """Followers before what they follow, in the order given otherwise."""
    followers = _followers(blocks)
    left = {block.block_id: len(followers[block.block_id]) for block in blocks}
    ready = [block for block in blocks if left[block.block_id] == 0]
    found = []
    while ready:
        block = ready.pop(0)
        found.append(block)
        for wait in block.after:
            if wait.block_id in left:
                left[wait.block_id] -= 1
                if left[wait.block_id] == 0:
                    ready.append(next(item for item in blocks if item.block_id == wait.block_id))
    return found


_TOLERANCE_S = 1.0
"""Waits this much over are none."""


def _clashes(blocks: Sequence[Block], starts: Mapping[str, float]) -> Iterator[Clash]:
    """What waits longer than it may, or begins before what it needs is done."""
    ends = {block.block_id: starts[block.block_id] + block.duration_s for block in blocks}
    for block in blocks:
        begin = starts[block.block_id]
        for wait in block.after:
            if wait.block_id not in ends:
                continue
            gap = begin - ends[wait.block_id]
            if gap > wait.most_s + _TOLERANCE_S:
                yield Clash(wait.block_id, block.dish, gap - wait.most_s, wait.why, wait.most_s)
            if gap < wait.least_s - _TOLERANCE_S:
                yield Clash(block.block_id, block.dish, wait.least_s - gap, "not_ready")
        if block.to_table_s is not None and not block.after_table:
            gap = -ends[block.block_id]
            if gap > block.to_table_s + _TOLERANCE_S:
                over_s = gap - block.to_table_s
                yield Clash(block.block_id, block.dish, over_s, "waits_for_table", block.to_table_s)
            if gap < -_TOLERANCE_S:
                yield Clash(block.block_id, block.dish, -gap, "late")
        if (over := ends[block.block_id] + block.over_before_table_s) > _TOLERANCE_S and (
            block.over_before_table_s > 0
        ):
            yield Clash(block.block_id, block.dish, over, "not_ready")

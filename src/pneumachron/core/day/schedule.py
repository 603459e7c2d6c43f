"""Counting back: blocks of work placed as late as they may be, before the time on the table.

A block is work that is not interrupted: its segments follow each other without a gap. Blocks wait
for each other with a least and a most gap. Lanes (hands, a pot, the oven) take so many at a time.

Placing the blocks of one order, last first, each as late as its followers and its lanes allow,
gives the schedule of that order. With every order tried this finds the latest start there is
(serial generation over all orders holds an optimum of a regular aim: Kolisch, 1996; here from the
table backwards). Small days try every order, large ones a few good ones, and then move blocks
within the best. Times are seconds from the table, so before it they are negative.
"""

from collections.abc import Callable, Iterator, Mapping, Sequence
from dataclasses import dataclass, field, replace
from itertools import islice, permutations
from typing import Literal, TypeAlias

from pneumachron.core.errors import Param, WishError
from pneumachron.core.procedure.choices import Lane

FREE_LANES = frozenset({"fridge"})
"""Lanes that are never full here."""
MAX_BLOCKS = 120
MOST_ORDERS = 200
"""Orders tried on a large day. Twenty blocks take about half a millisecond an order."""
MOST_TURNS = 24
SMALL_BLOCKS = 7
"""Up to so many free blocks every order is tried: 5040 at the most, of a chain only one."""
LONGEST_S = 14 * 86_400.0


WaitWhy: TypeAlias = Literal[
    "order", "raw_beef", "raw_pork", "raw_poultry", "thawed", "trimmed", "rubbed", "marinade",
    "counter", "extra", "kept_warm", "juice_hot", "crust", "room_temperature", "cool_soon",
    "chilled", "thawed_cooked", "same_day", "frozen",
]  # fmt: skip
"""What would suffer if something waited longer."""
ClashWhy: TypeAlias = WaitWhy | Literal["not_ready", "waits_for_table", "late"]
LATE: frozenset[ClashWhy] = frozenset({"not_ready", "late"})
"""Conflicts that say that there is too little time."""


@dataclass(frozen=True, slots=True)
class Segment:
    """A stretch of a block, with the range of its duration and the lanes it occupies.

    `kind` names it in calendars, for good. The message `do-` and `work`, or else the kind, says
    what is done; it speaks of `params`.
    """

    kind: str
    low_s: float
    likely_s: float
    high_s: float
    lanes: tuple[Lane, ...] = ()
    work: str = ""
    params: Mapping[str, Param] = field(default_factory=dict)


@dataclass(frozen=True, slots=True)
class Wait:
    """A block that comes before, and how long what it made may and must wait."""

    block_id: str
    least_s: float = 0.0
    most_s: float = LONGEST_S
    why: WaitWhy = "order"
    """Why not longer."""


@dataclass(frozen=True, slots=True)
class Block:
    """Segments without a gap. `to_table_s` is how long its end may be before the table."""

    block_id: str
    dish: str
    segments: tuple[Segment, ...]
    after: tuple[Wait, ...] = ()
    to_table_s: float | None = None
    """None: nothing of it is served; it only has to be over in time."""
    over_before_table_s: float = 0.0
    """Its end is so long before the table at least: the evening before."""
    after_table: bool = False
    """It begins at the table time: what is done with the leftovers."""
    gauge: tuple[tuple[float, float], ...] = ()
    """Pressure [Pa] over time from its start [s], of a run of the pot; for drawing."""

    @property
    def duration_s(self) -> float:
        """All segments."""
        return sum(segment.likely_s for segment in self.segments)


def lasting(block: Block, duration_s: float) -> Block:
    """A block as it really was: all its segments longer or shorter in proportion."""
    share = max(duration_s, 1.0) / max(block.duration_s, 1.0)
    segments = tuple(
        replace(part, low_s=share * part.likely_s, likely_s=share * part.likely_s,
                high_s=share * part.likely_s)
        for part in block.segments
    )  # fmt: skip
    gauge = tuple((share * at_s, pressure_pa) for at_s, pressure_pa in block.gauge)
    return replace(block, segments=segments, gauge=gauge)


@dataclass(frozen=True, slots=True)
class Placed:
    """A block with its start [s from the table]."""

    block: Block
    start_s: float

    @property
    def end_s(self) -> float:
        """Its end."""
        return self.start_s + self.block.duration_s


@dataclass(frozen=True, slots=True)
class Closed:
    """A while [s from the table] in which nothing of a lane is to be had."""

    lane: Lane
    begin_s: float
    end_s: float


@dataclass(frozen=True, slots=True)
class Clash:
    """Something that waits longer than `most_s`, or is late."""

    block_id: str
    dish: str
    over_s: float
    why: ClashWhy
    most_s: float = 0.0


@dataclass(frozen=True, slots=True)
class Schedule:
    """Blocks in the order of their start, and what clashes."""

    placed: tuple[Placed, ...]
    clashes: tuple[Clash, ...]

    @property
    def start_s(self) -> float:
        """When the first hand is moved, of what is done today."""
        return min((item.start_s for item in self.placed), default=0.0)


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

    def close(self, shut: Closed) -> None:
        """Nothing of a lane is to be had for a while."""
        stretch = (shut.begin_s, shut.end_s)
        self.taken.setdefault(shut.lane, []).extend([stretch] * self.capacity.get(shut.lane, 1))

    def take(self, block: Block, start_s: float) -> None:
        begin = start_s
        for segment in block.segments:
            for lane in segment.lanes:
                self.taken.setdefault(lane, []).append((begin, begin + segment.likely_s))
            begin += segment.likely_s


def schedule(
    blocks: Sequence[Block],
    capacity: Mapping[Lane, int],
    *,
    fixed: Mapping[str, float] | None = None,
    closed: Sequence[Closed] = (),
    go_on: Callable[[], bool] = lambda: True,
) -> Schedule:
    """The schedule that starts latest among those with the least clash.

    Parameters
    ----------
    blocks : with ids that differ
    capacity : how many a lane takes at a time; 1 when it is not named
    fixed : starts that stand, by block: done, under way, or pinned by the cook
    closed : lanes that nobody has for a while: the hands at night
    go_on : asked between orders of a large day; False ends the search with the best so far

    Raises
    ------
    WishError : too many blocks, twice the same id, or waits in a circle.
    """
    _check(blocks)
    search = _Search(blocks, capacity, dict(fixed or {}), closed, go_on)
    return search.best()


def _check(blocks: Sequence[Block]) -> None:
    if len(blocks) > MAX_BLOCKS:
        raise WishError("too_many_tasks", "dishes", count=len(blocks), most=MAX_BLOCKS)
    ids = {block.block_id for block in blocks}
    if len(ids) < len(blocks):
        raise WishError("same_task", "dishes")
    if len(_sorted_back(blocks)) < len(blocks):
        raise WishError("circle", "dishes")


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


@dataclass
class _Search:
    """Orders tried, and the best schedule so far."""

    blocks: Sequence[Block]
    capacity: Mapping[Lane, int]
    fixed: Mapping[str, float]
    closed: Sequence[Closed]
    go_on: Callable[[], bool]
    followers: Mapping[str, list[tuple[Block, Wait]]] = field(init=False)
    tried: int = 0

    def __post_init__(self) -> None:
        self.followers = _followers(self.blocks)

    def best(self) -> Schedule:
        """Every order of a small day; of a large one by turns, then exchanges."""
        free = [
            block
            for block in _sorted_back(self.blocks)
            if block.block_id not in self.fixed and not block.after_table
        ]
        small = len(free) <= SMALL_BLOCKS
        starts = _linear(free) if small else _by_dish(free)
        found = min((self._try(order) for order in starts), key=lambda item: item[0], default=None)
        if found is None:
            return Schedule((), ())
        return found[2] if small else self._exchanged(found)

    def _try(self, order: list[Block]) -> "_Tried":
        self.tried += 1
        starts = self._starts(order)
        clashes = tuple(_clashes(self.blocks, starts))
        placed = sorted(
            (Placed(block, starts[block.block_id]) for block in self.blocks),
            key=lambda item: (item.start_s, item.end_s),
        )
        found = Schedule(tuple(placed), clashes)
        return _score(found), order, found

    def _starts(self, order: list[Block]) -> dict[str, float]:
        """Blocks of one order, each as late as may be."""
        lanes = _Lanes(self.capacity)
        for shut in self.closed:
            lanes.close(shut)
        starts: dict[str, float] = {}
        for block in self.blocks:
            if block.block_id in self.fixed:
                starts[block.block_id] = self.fixed[block.block_id]
                lanes.take(block, starts[block.block_id])
        after_s = 0.0
        for block in self.blocks:
            if block.after_table and block.block_id not in self.fixed:
                starts[block.block_id] = after_s
                after_s += block.duration_s
        for block in order:
            key = block.block_id
            end = -block.over_before_table_s
            for later, wait in self.followers[key]:
                if later.block_id in starts and not later.after_table:
                    end = min(end, starts[later.block_id] - wait.least_s)
            start = end - block.duration_s
            while (back := lanes.push_back_s(block, start)) > 0:
                start -= back
            starts[key] = start
            lanes.take(block, start)
        return starts

    def _exchanged(self, best: "_Tried") -> Schedule:
        """Blocks moved within the order as long as it helps."""
        helped = True
        while helped and self.tried < MOST_ORDERS and self.go_on():
            helped = False
            for order in _neighbours(best[1], self.followers):
                if self.tried >= MOST_ORDERS or not self.go_on():
                    break
                found = self._try(order)
                if found[0] < best[0]:
                    best, helped = found, True
                    break
        return best[2]


_Tried: TypeAlias = tuple[tuple[float, float, float], list[Block], Schedule]


def _neighbours(
    order: list[Block], followers: Mapping[str, list[tuple[Block, Wait]]]
) -> Iterator[list[Block]]:
    """Orders with one block placed sooner, as far as its followers allow."""
    for index in range(1, len(order)):
        block = order[index]
        later = {item.block_id for item, _ in followers[block.block_id]}
        for place in range(index - 1, -1, -1):
            if order[place].block_id in later:
                break
            rest = [*order[:index], *order[index + 1 :]]
            yield [*rest[:place], block, *rest[place:]]


def _linear(free: list[Block]) -> Iterator[list[Block]]:
    """Every order in which followers come before what they follow."""
    followers = _followers(free)
    needs = {
        block.block_id: frozenset(later.block_id for later, _ in followers[block.block_id])
        for block in free
    }

    def go_on(order: list[Block], placed: frozenset[str]) -> Iterator[list[Block]]:
        if len(order) == len(free):
            yield order
        for block in free:
            if block.block_id not in placed and needs[block.block_id] <= placed:
                yield from go_on([*order, block], placed | {block.block_id})

    return go_on([], frozenset())


def _by_dish(free: list[Block]) -> Iterator[list[Block]]:
    """By stages; by how long before the table; dish after dish in some turns."""
    yield free
    followers = _followers(free)
    tails: dict[str, float] = {}
    for block in free:
        behind = [tails[later.block_id] + wait.least_s for later, wait in followers[block.block_id]
                  if later.block_id in tails and not later.after_table]  # fmt: skip
        tails[block.block_id] = block.duration_s + max(behind, default=0.0)
    yield sorted(free, key=lambda block: tails[block.block_id])
    dishes = list(dict.fromkeys(block.dish for block in free))
    for turn in islice(permutations(dishes), MOST_TURNS):
        rank = {dish: index for index, dish in enumerate(turn)}
        yield sorted(free, key=lambda block: rank[block.dish])


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


def _score(found: Schedule) -> tuple[float, float, float]:
    """Least clash, latest start, least waiting."""
    over = sum(clash.over_s for clash in found.clashes)
    starts = sum(item.start_s for item in found.placed)
    return round(over, 3), round(-found.start_s, 3), round(-starts, 3)

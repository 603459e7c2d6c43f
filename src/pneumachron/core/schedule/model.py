"""What a day is made of: blocks of work, what waits for what, and the schedule they come to.

A block is work that is not interrupted: its segments follow each other without a gap. Blocks wait
for each other with a least and a most gap. Lanes (hands, a pot, the oven) take so many at a time.
Times are seconds from the table, so before it they are negative.
"""

from collections.abc import Mapping
from dataclasses import dataclass, field, replace
from typing import Literal, TypeAlias

from pneumachron.core.errors import Param
from pneumachron.core.procedure.choices import FRIDGE, IN_PASSING, Lane

FREE_LANES = frozenset({FRIDGE, IN_PASSING})
"""Lanes that are never full here."""
MAX_BLOCKS = 120
MAX_SEGMENTS = 32
"""Of a block: two runs of the cooker, with everything before them."""
LONGEST_S = 14 * 86_400.0


WaitWhy: TypeAlias = Literal[
    "order", "raw_beef", "raw_pork", "raw_poultry", "thawed", "trimmed", "rubbed", "marinade",
    "counter", "extra", "kept_warm", "juice_hot", "crust", "preheated", "room_temperature",
    "cool_soon", "chilled", "thawed_cooked", "same_day", "frozen",
]  # fmt: skip
"""What would suffer if something waited longer."""
ClashWhy: TypeAlias = WaitWhy | Literal["not_ready", "waits_for_table", "late"]
UNSAFE: frozenset[ClashWhy] = frozenset(
    {
        "raw_beef", "raw_pork", "raw_poultry", "thawed", "trimmed", "rubbed", "marinade", "counter",
        "room_temperature", "cool_soon", "chilled", "thawed_cooked", "same_day",
    }
)  # fmt: skip
"""Waits of what spoils: a day in which one of them is too long is not to be cooked."""


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
class ScheduledBlock:
    """A block with its start [s from the table]."""

    block: Block
    start_s: float

    @property
    def end_s(self) -> float:
        """Its end."""
        return self.start_s + self.block.duration_s


@dataclass(frozen=True, slots=True)
class UnavailableWindow:
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
    """Blocks in the order of their start, and what clashes.

    `delay_s` : how much later dinner is than was wished; starts are from that later table;
    `proved` : no other schedule has less conflict and delay; False where the search ended before
    """

    placed: tuple[ScheduledBlock, ...]
    clashes: tuple[Clash, ...]
    delay_s: float = 0.0
    proved: bool = True

    @property
    def is_safe(self) -> bool:
        """Nothing that spoils waits longer than it may."""
        return all(clash.why not in UNSAFE for clash in self.clashes)

    @property
    def start_s(self) -> float:
        """When the first hand is moved, of what is done today."""
        return min((item.start_s for item in self.placed), default=0.0)

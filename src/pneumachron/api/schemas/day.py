"""A day, counted back from the table."""

from datetime import datetime
from typing import Annotated, Literal

from pydantic import AwareDatetime, Field, StringConstraints

from pneumachron.api.schemas.base import Closed, Name, Shown
from pneumachron.api.schemas.plan import PlanIn
from pneumachron.core.cuts import ReleaseMethod
from pneumachron.core.dish import GAUGE_POINTS, Ahead
from pneumachron.core.racks import Rack
from pneumachron.core.schedule import MAX_BLOCKS
from pneumachron.core.season import Marinade
from pneumachron.core.wish import Level
from pneumachron.services.day import MAX_COOKS, MAX_DISHES, DayInputs, DishInputs

BlockId = Annotated[str, StringConstraints(min_length=3, max_length=60)]
DishId = Annotated[str, StringConstraints(min_length=1, max_length=40, pattern=r"^[A-Za-z0-9_-]+$")]


class DishIn(Closed):
    """A planned cook of the day. Its id is the client's own and stays, so that calendars update."""

    dish_id: DishId
    title: Name
    plan: PlanIn
    from_freezer: bool = False
    ahead: Ahead = "today"
    sauce: bool = True
    marinade: Marinade | None = None
    eaters: Annotated[
        int | None, Field(ge=0, le=200, description="plates eaten on the day; the rest is kept")
    ] = None

    def to_inputs(self) -> DishInputs:
        """As the use case takes it."""
        return DishInputs(
            self.dish_id, self.title, self.plan.to_inputs(), self.from_freezer, self.ahead,
            self.sauce, self.marinade, self.eaters,
        )  # fmt: skip


class StandsIn(Closed):
    """A stretch of work whose start stands."""

    block_id: BlockId
    start: AwareDatetime


class DayIn(Closed):
    """When it should be on the table, what is cooked, and what stands already."""

    table: AwareDatetime
    dishes: Annotated[list[DishIn], Field(min_length=1, max_length=MAX_DISHES)]
    cooks: Annotated[int, Field(ge=1, le=MAX_COOKS)] = 1
    pinned: Annotated[list[StandsIn], Field(max_length=MAX_BLOCKS)] = Field(default_factory=list)
    done: Annotated[list[StandsIn], Field(max_length=MAX_BLOCKS)] = Field(default_factory=list)
    now: Annotated[
        AwareDatetime | None, Field(description="nothing that is not done begins before this")
    ] = None

    def to_inputs(self) -> DayInputs:
        """As the use case takes it."""
        return DayInputs(
            table=self.table,
            dishes=tuple(dish.to_inputs() for dish in self.dishes),
            cooks=self.cooks,
            pinned=tuple((item.block_id, item.start) for item in self.pinned),
            done=tuple((item.block_id, item.start) for item in self.done),
            now=self.now,
        )


class SegmentOut(Closed):
    """A stretch of work with the range of its duration and what it occupies."""

    kind: str
    title: str
    low_s: float
    likely_s: float
    high_s: float
    lanes: Annotated[list[str], Field(max_length=4)]


class BlockOut(Closed):
    """Work that is not interrupted."""

    block_id: str
    dish_id: str
    dish: str
    start: datetime
    end: datetime
    state: Literal["free", "pinned", "done"]
    gauge: Annotated[
        list[Annotated[list[float], Field(min_length=2, max_length=2)]],
        Field(max_length=GAUGE_POINTS, description="[s from its start, Pa]"),
    ]
    segments: Annotated[list[SegmentOut], Field(max_length=16)]


class ClashOut(Closed):
    """Something that waits longer than it may, or is late."""

    block_id: str
    dish: str
    over_s: float
    why: str


class WayOutOut(Closed):
    """A change of one dish that helps, and how much trouble it leaves."""

    dish_id: str
    kind: Literal["ahead", "pot", "release", "halved"]
    value: str
    words: str
    left_s: float


class CardOut(Closed):
    """What stands on the card of a dish, by the pot."""

    dish_id: str
    title: str
    meat: str
    runs: int
    hold_min: int
    hold_low_min: int
    hold_high_min: int
    level: Level
    pot: str
    liquid_shown: Shown
    rack: Rack
    release: ReleaseMethod
    looks: str
    cautions: Annotated[list[str], Field(max_length=30)]
    out_s: Annotated[float, Field(description="raw, out of the refrigerator, until it is hot")]
    cold_chain_safe: bool
    bought: Annotated[list[str], Field(max_length=4)]
    plates_from: int
    plates_to: int


class DayOut(Closed):
    """A day on the clock; `delay_s` is how much later than wished it is on the table."""

    table: datetime
    delay_s: float
    start: datetime
    blocks: Annotated[list[BlockOut], Field(max_length=MAX_BLOCKS)]
    clashes: Annotated[list[ClashOut], Field(max_length=400)]
    cards: Annotated[list[CardOut], Field(max_length=MAX_DISHES)]


class WaysOutOut(Closed):
    """What would help, best first."""

    ways: Annotated[list[WayOutOut], Field(max_length=4)]


class CalendarOut(Closed):
    """The day as an iCalendar file."""

    text: str

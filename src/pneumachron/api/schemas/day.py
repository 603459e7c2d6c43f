"""A day, counted back from the table."""

from datetime import datetime
from typing import Annotated, Any, Literal, Self

from pydantic import Field, StringConstraints, model_validator
from pydantic_core import PydanticCustomError

from pneumachron.api.schemas.base import Id, Moment, Name, Shown, StrictModel
from pneumachron.api.schemas.cook_events import MAX_PIECE_KINDS
from pneumachron.api.schemas.cook_request import PlanIn
from pneumachron.api.schemas.recipe_card import (
    Eaters,
    ExtraIn,
    FatLeft,
    Leftovers,
    PulledFirst,
    RecipeCard,
    Sauce,
    SauceMl,
    SearBatches,
    SearMinutes,
    SpanMinutes,
)
from pneumachron.core.catalog.cuts import ReleaseMethod
from pneumachron.core.catalog.racks import Rack
from pneumachron.core.planning.request import Level
from pneumachron.core.planning.season import Marinade
from pneumachron.core.procedure.choices import MAX_EXTRAS, Ahead, Extra, LateHow
from pneumachron.core.schedule.guests_late import LATE_RANGE_S
from pneumachron.core.schedule.model import MAX_BLOCKS, MAX_SEGMENTS
from pneumachron.core.schedule.run import MOST_GAUGE_POINTS
from pneumachron.services.day import MAX_AWAY, MAX_COOKS, MAX_DISHES, DayInputs, DishInputs, Done
from pneumachron.services.day_calendar import Moved
from pneumachron.services.day_documents import State
from pneumachron.store.records import StoredDay
from pneumachron.store.repository import MAX_LISTED

BlockId = Annotated[str, StringConstraints(min_length=3, max_length=60)]
DishId = Annotated[str, StringConstraints(min_length=1, max_length=40, pattern=r"^[A-Za-z0-9_-]+$")]


class DishIn(StrictModel):
    """A planned cook of the day. Its id is the client's own and stays, so that calendars update."""

    dish_id: DishId
    title: Name
    plan: PlanIn
    from_freezer: bool = False
    ahead: Ahead = "today"
    sauce: Sauce = "half"
    sauce_ml: SauceMl = None
    rubbed: Annotated[bool, Field(description="the rub stays on, overnight or for `rub_min`")] = (
        False
    )
    rub_min: SpanMinutes = None
    crackling: Annotated[bool, Field(description="its rind is roasted crisp on its own")] = False
    pulled_first: PulledFirst = False
    marinade: Marinade | None = None
    marinate_min: SpanMinutes = None
    fat_mm: FatLeft = None
    sear_min: SearMinutes = None
    sear_batches: SearBatches = None
    eaters: Eaters = None
    leftovers: Leftovers = "chill"
    parted: Annotated[
        bool, Field(description="a whole brisket is parted into flat and point first")
    ] = False
    extras: Annotated[list[ExtraIn], Field(max_length=MAX_EXTRAS)] = Field(default_factory=list)

    def to_inputs(self) -> DishInputs:
        """As the use case takes it."""
        return DishInputs(
            dish_id=self.dish_id,
            title=self.title,
            plan=self.plan.to_inputs(),
            from_freezer=self.from_freezer,
            ahead=self.ahead,
            sauce=self.sauce,
            sauce_ml=self.sauce_ml,
            rubbed=self.rubbed,
            rub_min=self.rub_min,
            crackling=self.crackling,
            pulled_first=self.pulled_first,
            marinade=self.marinade,
            marinate_min=self.marinate_min,
            fat_mm=self.fat_mm,
            sear_min=self.sear_min,
            sear_batches=self.sear_batches,
            eaters=self.eaters,
            leftovers=self.leftovers,
            parted=self.parted,
            extras=tuple(Extra(**extra.model_dump()) for extra in self.extras),
        )


class ShopIn(StrictModel):
    """What a recipe wants bought in one section of a shop."""

    section: Annotated[str, Field(max_length=40)]
    items: Annotated[list[Annotated[str, Field(max_length=300)]], Field(max_length=100)]


class StandsIn(StrictModel):
    """A stretch of work whose start stands."""

    block_id: BlockId
    start: Moment


class DoneIn(StandsIn):
    """Work that has begun; its end when it is over."""

    end: Moment | None = None

    @model_validator(mode="after")
    def _in_order(self) -> Self:
        if self.end is not None and self.end < self.start:
            raise PydanticCustomError("ends_before_it_begins", "ends before it begins")
        return self


class AwayIn(StrictModel):
    """A while in which nobody has hands."""

    begin: Moment
    end: Moment


class DayIn(StrictModel):
    """When it should be on the table, what is cooked, and what stands already."""

    table: Moment
    dishes: Annotated[list[DishIn], Field(min_length=1, max_length=MAX_DISHES)]
    cooks: Annotated[int, Field(ge=1, le=MAX_COOKS)] = 1
    pinned: Annotated[list[StandsIn], Field(max_length=MAX_BLOCKS)] = Field(default_factory=list)
    done: Annotated[list[DoneIn], Field(max_length=MAX_BLOCKS)] = Field(default_factory=list)
    away: Annotated[
        list[AwayIn], Field(max_length=MAX_AWAY, description="the night, a rehearsal")
    ] = Field(default_factory=list)
    shop: Annotated[bool, Field(description="one trip to the shop is part of it")] = False
    now: Annotated[
        Moment | None, Field(description="nothing that is not done begins before this")
    ] = None
    beside: Annotated[
        dict[DishId, Id],
        Field(
            max_length=MAX_DISHES, description="cooks under way, by dish; what they tell is done"
        ),
    ] = Field(default_factory=dict)

    def to_inputs(self) -> DayInputs:
        """As the use case takes it."""
        return DayInputs(
            table=self.table,
            dishes=tuple(dish.to_inputs() for dish in self.dishes),
            cooks=self.cooks,
            pinned=tuple((item.block_id, item.start) for item in self.pinned),
            done=tuple(Done(item.block_id, item.start, item.end) for item in self.done),
            away=tuple((item.begin, item.end) for item in self.away),
            shop=self.shop,
            now=self.now,
        )


class SegmentOut(StrictModel):
    """A stretch of work with the range of its duration and what it occupies."""

    kind: str
    title: str
    low_s: float
    likely_s: float
    high_s: float
    lanes: Annotated[list[str], Field(max_length=4)]


class BlockOut(StrictModel):
    """Work that is not interrupted."""

    block_id: str
    dish_id: str
    dish: str
    start: datetime
    end: datetime
    state: State
    gauge: Annotated[
        list[Annotated[list[float], Field(min_length=2, max_length=2)]],
        Field(max_length=MOST_GAUGE_POINTS, description="[s from its start, Pa]"),
    ]
    segments: Annotated[list[SegmentOut], Field(max_length=MAX_SEGMENTS)]


class ClashOut(StrictModel):
    """Something that waits longer than it may, or is late."""

    block_id: str
    dish: str
    over_s: float
    why: str


class DayFixOut(StrictModel):
    """A change that helps, of one dish or of the hands, and how much trouble it leaves."""

    dish_id: Annotated[str, Field(description="empty when it is of no dish")]
    kind: Literal["ahead", "pot", "release", "halved", "parted", "unpinned", "hands"]
    value: str
    words: str
    left_s: float


class CardOut(StrictModel):
    """What stands on the card of a dish, by the pot."""

    dish_id: str
    title: str
    meats: Annotated[list[str], Field(max_length=MAX_PIECE_KINDS, description="each cut")]
    runs: int
    hold_min: int
    then_min: Annotated[
        int | None, Field(description="of a second run, with what is not done in the first")
    ] = None
    hold_low_min: int
    hold_high_min: int
    level: Level
    pot: str
    liquid_shown: Shown
    rack: Rack
    release: ReleaseMethod
    release_shown: str
    looks: str
    cautions: Annotated[list[str], Field(max_length=30)]
    out_s: Annotated[float, Field(description="raw, out of the refrigerator, until it is hot")]
    cold_chain_safe: bool
    leftovers_to_21_s: Annotated[float, Field(description="flat in bags, in the refrigerator")]
    leftovers_to_5_s: float
    leftovers_safe: bool
    bought: Annotated[list[str], Field(max_length=MAX_PIECE_KINDS)]
    plates_from: int
    plates_to: int


class DayOut(StrictModel):
    """A day on the clock; `delay_s` is how much later than wished it is on the table."""

    table: datetime
    delay_s: float
    start: datetime
    safe: bool
    """False: something that spoils waits too long; this day is not to be cooked."""
    proved: bool
    """False: conflicts are left, and not every order was tried."""
    blocks: Annotated[list[BlockOut], Field(max_length=MAX_BLOCKS)]
    clashes: Annotated[list[ClashOut], Field(max_length=400)]
    cards: Annotated[list[CardOut], Field(max_length=MAX_DISHES)]
    done: Annotated[list[DoneIn], Field(max_length=2 * MAX_BLOCKS)]
    """What has begun or is over: as ticked, or as its cook tells."""


MAX_FIXES = 4


class DayFixesOut(StrictModel):
    """What would help, best first."""

    fixes: Annotated[list[DayFixOut], Field(max_length=MAX_FIXES)]
    complete: bool = True
    """False: the time for the search ran out; there may be better ones."""


class GuestsLateIn(StrictModel):
    """A day, and by how much the guests are late."""

    day: DayIn
    late_min: Annotated[int, Field(ge=round(LATE_RANGE_S[0] / 60), le=round(LATE_RANGE_S[1] / 60))]


class LateDishOut(StrictModel):
    """What becomes of a dish."""

    dish_id: str
    how: LateHow
    words: str
    tenderness: str
    softer_steps: float


class GuestsLateOut(StrictModel):
    """When it is served, and what waits how."""

    table: datetime
    dishes: Annotated[list[LateDishOut], Field(max_length=MAX_DISHES)]


class CalendarOut(StrictModel):
    """The day as an iCalendar file."""

    text: str


class CalendarIn(StrictModel):
    """A calendar file of ours that comes back, and the day it is of."""

    day: DayIn
    text: Annotated[str, Field(max_length=2_000_000)]


class MovedOut(StrictModel):
    """Blocks that were moved in the calendar, as pins; and how many events are not of this day."""

    pinned: Annotated[list[StandsIn], Field(max_length=MAX_BLOCKS)]
    others: int

    @classmethod
    def of(cls, moved: Moved) -> "MovedOut":
        """The answer of the use case."""
        pinned = [StandsIn(block_id=block_id, start=start) for block_id, start in moved.pinned]
        return cls(pinned=pinned, others=moved.others)


class KeepDayIn(StrictModel):
    """A day to keep: what was asked, never what came out; it is counted anew when opened."""

    name: Name
    day: DayIn
    shopping: dict[DishId, list[ShopIn]] = Field(default_factory=dict, max_length=MAX_DISHES)
    recipes: dict[DishId, RecipeCard] = Field(default_factory=dict, max_length=MAX_DISHES)
    beside: dict[DishId, Id] = Field(
        default_factory=dict, max_length=MAX_DISHES, description="its cooks beside the pot"
    )

    def to_document(self) -> dict[str, Any]:
        """As it is stored."""
        return self.model_dump(mode="json", exclude={"name"})


class DayLine(StrictModel):
    """One line of the kept days."""

    id: str
    name: str
    updated_at: datetime
    table: datetime
    dishes: Annotated[list[str], Field(max_length=MAX_DISHES)]

    @classmethod
    def of(cls, stored: StoredDay) -> "DayLine":
        """The line of a stored day."""
        day = stored.content.document["day"]
        return cls(
            id=stored.day_id,
            name=stored.content.name,
            updated_at=stored.updated_at,
            table=day["table"],
            dishes=[dish["title"] for dish in day["dishes"]],
        )


class DaysOut(StrictModel):
    """Kept days, the newest first."""

    days: Annotated[list[DayLine], Field(max_length=MAX_LISTED)]
    total: int


class StoredDayOut(StrictModel):
    """A day as it was kept."""

    id: str
    name: str
    created_at: datetime
    updated_at: datetime
    version: int
    day: DayIn
    shopping: dict[str, list[ShopIn]]
    recipes: dict[str, RecipeCard]
    beside: dict[str, str]

    @classmethod
    def of(cls, stored: StoredDay) -> "StoredDayOut":
        """A stored day, whole."""
        asked = KeepDayIn.model_validate({"name": stored.content.name, **stored.content.document})
        return cls(
            id=stored.day_id,
            name=stored.content.name,
            created_at=stored.created_at,
            updated_at=stored.updated_at,
            version=stored.version,
            day=asked.day,
            shopping=dict(asked.shopping),
            recipes=dict(asked.recipes),
            beside=dict(asked.beside),
        )

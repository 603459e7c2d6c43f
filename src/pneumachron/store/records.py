"""What the store hands out: frozen values, never rows."""

from dataclasses import dataclass
from datetime import UTC, datetime
from typing import Any, Literal, TypeAlias
from uuid import uuid4

from pneumachron.core.catalog.pots import Pot

Units: TypeAlias = Literal["metric", "us"]
Locale: TypeAlias = Literal["en-US", "en-GB", "en-XA"]


@dataclass(frozen=True, slots=True)
class Household:
    """Where the cooking happens, and what is usual there."""

    household_id: str
    name: str
    altitude_m: float
    start_temp_c: float
    units: Units
    taste_step: float = 0.0
    """How many steps softer than usual this household likes its meat; negative is firmer."""
    simulated_teach: bool = False
    """Whether cooks beside the simulated pot teach too, for trying things out."""
    locale: Locale = "en-US"
    servings: int = 4
    """People at the table, usually."""
    introduced: bool = False
    """Whether somebody said what this kitchen is like, or chose to skip that."""
    demo: bool = False
    """Whether all that is here came with the app."""
    version: int = 1
    """Counts changes; a change of an older one is refused."""


@dataclass(frozen=True, slots=True)
class Person:
    """Somebody who cooks."""

    person_id: str
    name: str


@dataclass(frozen=True, slots=True)
class KeptPot:
    """A pot of the household; `pot.pot_id` is its row, `ready_id` where it came from."""

    pot: Pot
    ready_id: str | None


@dataclass(frozen=True, slots=True)
class PlanContent:
    """What a plan is made of: inputs and results, versioned apart."""

    name: str
    person_id: str | None
    inputs_version: int
    inputs: dict[str, Any]
    results_version: int
    results: dict[str, Any]
    engine_version: str


@dataclass(frozen=True, slots=True)
class StoredPlan:
    """A saved plan."""

    plan_id: str
    content: PlanContent
    created_at: datetime
    updated_at: datetime
    version: int = 1


@dataclass(frozen=True, slots=True)
class RecipeContent:
    """What a recipe in the library is made of. `original` is never changed."""

    title: str
    tags: tuple[str, ...]
    original: str
    format: str
    fingerprint: str
    """The same for recipes with the same lines, however they are written."""
    recipe: dict[str, Any]
    answers: dict[str, Any]
    choices: dict[str, Any]


@dataclass(frozen=True, slots=True)
class StoredRecipe:
    """A recipe in the library."""

    recipe_id: str
    content: RecipeContent
    created_at: datetime
    updated_at: datetime
    version: int = 1


@dataclass(frozen=True, slots=True)
class DayContent:
    """A day as it was asked for; worked out anew whenever it is opened."""

    name: str
    document: dict[str, Any]


@dataclass(frozen=True, slots=True)
class StoredDay:
    """A day that is kept."""

    day_id: str
    content: DayContent
    created_at: datetime
    updated_at: datetime
    version: int = 1


NoLesson: TypeAlias = Literal[
    "unsafe", "raw_out", "leftovers_out", "fast_clock", "two_cycles", "kept_warm"
]  # fmt: skip


@dataclass(frozen=True, slots=True)
class CookContent:
    """A cook: what was planned, in which kitchen (pot and habits as they were), what came of it."""

    name: str
    person_id: str | None
    cut: str
    pot_id: str
    pot_name: str
    mass_kg: float
    hold_min: int
    wished_step: float
    connected: bool
    inputs_version: int
    inputs: dict[str, Any]
    kitchen: dict[str, Any]
    started_at: datetime
    ended_at: datetime | None = None
    outcome_step: float | None = None
    model_step: float | None = None
    """The step that the fitted model gives for what was set, nothing learned; None: unlike meat."""
    planned_up_s: float | None = None
    """Time to pressure that the pot's own numbers give."""
    come_up_s: float | None = None
    yield_ratio: float | None = None
    note: str = ""
    recipe: dict[str, Any] | None = None
    """The recipe it was cooked from: title, ingredients, steps with their kind."""
    brought: dict[str, Any] | None = None
    """What recipe and day add to the steps: work, and whether there is a sauce."""
    numbers: dict[str, Any] | None = None
    """What the engine said when it began (`core.cook.cook_plan`). None: not worked out yet."""
    traces: dict[str, Any] | None = None
    """How each kind of piece softened, worked out once when it was over."""
    model_engine: str | None = None
    """The engine that `model_step` and `planned_up_s` are from. None: it was not asked yet."""
    clock: dict[str, Any] | None = None
    """Its own time, when that is not the kitchen's (`devices.clock.CookClock`)."""
    abandoned: bool = False
    """Given up before it was done; it teaches nothing."""
    no_lesson: NoLesson | None = None
    """Why it teaches nothing although it was finished."""


@dataclass(frozen=True, slots=True)
class StoredCook:
    """A cook in the log."""

    cook_id: str
    content: CookContent
    created_at: datetime
    updated_at: datetime
    version: int = 1


@dataclass(frozen=True, slots=True)
class LogLine:
    """What the log lists of a cook; its sheet is opened for the rest."""

    cook_id: str
    name: str
    person_id: str | None
    cut: str
    pot_name: str
    mass_kg: float
    hold_min: int
    wished_step: float
    outcome_step: float | None
    come_up_s: float | None
    yield_ratio: float | None
    started_at: datetime
    ended_at: datetime | None
    note: str


@dataclass(frozen=True, slots=True)
class StoredEvent:
    """Something that happened; `key` is the same when it is told twice."""

    key: str
    at: datetime
    kind: str
    body: dict[str, Any]


@dataclass(frozen=True, slots=True)
class StoredPhoto:
    """A picture of a cook; the file lies beside the database under its id."""

    photo_id: str
    cook_id: str
    at: datetime
    width_px: int
    height_px: int
    digest: str
    """SHA-256 of the kept file, so that the same one twice is there once."""


@dataclass(frozen=True, slots=True)
class StoredSample:
    """A point of a trace."""

    at: datetime
    temp_c: float
    gauge_pa: float


def new_id() -> str:
    """A fresh id."""
    return str(uuid4())


def now() -> datetime:
    """The present moment, with its zone."""
    return datetime.now(UTC)

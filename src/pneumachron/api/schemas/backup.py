"""A backup file, as it comes back."""

import json
from dataclasses import asdict
from typing import Annotated, Any, Literal, Self, TypeVar

from pydantic import (
    AfterValidator,
    BaseModel,
    Field,
    StringConstraints,
    TypeAdapter,
    model_validator,
)

from pneumachron.api.schemas.base import Moment, Name, ShortName, StrictModel
from pneumachron.api.schemas.cook_events import NewEventIn
from pneumachron.api.schemas.cook_request import PlanIn
from pneumachron.api.schemas.day import KeepDayIn
from pneumachron.api.schemas.plan import PlanOut
from pneumachron.api.schemas.recipe_card import (
    Eaters,
    ExtraIn,
    Leftovers,
    RecipeCard,
    Sauce,
    SearBatches,
    in_order,
)
from pneumachron.api.schemas.recipes import (
    MAX_ORIGINAL,
    AnswersIn,
    ChoicesIn,
    RecipeText,
    Tag,
    Title,
)
from pneumachron.core.catalog.cuts import cut_by_id
from pneumachron.core.catalog.pots import Pot
from pneumachron.core.physics.tenderness import Texture
from pneumachron.core.planning.season import LONGEST_S, Marinade
from pneumachron.core.procedure.choices import MAX_EXTRAS, Ahead
from pneumachron.core.procedure.step import STEPS_VERSION
from pneumachron.core.session.events import EventKind
from pneumachron.core.session.simulated_pot import LiveState
from pneumachron.recipes.model import Format
from pneumachron.services.connected_pots import LAST_EVENTS, MAX_EVENTS
from pneumachron.services.entries import MOST_WEIGHT_KG
from pneumachron.services.live_kitchen import check_kitchen
from pneumachron.services.old_documents import upgraded
from pneumachron.services.photos import MAX_PHOTOS
from pneumachron.services.restore import CookHistory, Envelope
from pneumachron.store.records import (
    CookContent,
    DayContent,
    Household,
    KeptPot,
    Locale,
    NoLesson,
    Person,
    PlanContent,
    RecipeContent,
    StoredCook,
    StoredDay,
    StoredEvent,
    StoredPlan,
    StoredRecipe,
    StoredSample,
    Units,
)

MAX_PLANS = 20_000
MAX_RECIPES = 5_000
MAX_DAYS = 5_000
MAX_COOKS = 100_000
MAX_SAMPLES = 20_000
Engine = Annotated[str, StringConstraints(min_length=1, max_length=20, pattern=r"^[0-9A-Za-z.]+$")]
Step = Annotated[float, Field(ge=-20, le=20)]
"""On the ladder of tenderness; the model may say more than the ladder has."""
Seconds = Annotated[float, Field(ge=0, le=14 * 86_400)]
DocumentT = TypeVar("DocumentT", bound=BaseModel)


def _strict(model: type[DocumentT], document: object) -> DocumentT:
    """Check a document that is kept as it is: nothing of it is of another kind than it says."""
    return model.model_validate_json(json.dumps(document, allow_nan=False), strict=True)


Key = Annotated[str, StringConstraints(min_length=1, max_length=36, pattern=r"^[A-Za-z0-9-]+$")]

PhotoKey = Annotated[str, StringConstraints(min_length=36, max_length=36, pattern=r"^[0-9a-f-]+$")]
"""It becomes the name of a file, so nothing but what the app itself makes."""


class EnvelopeIn(BaseModel):
    """What every version of the file says of itself."""

    envelope: Literal["pneumachron-backup"]
    envelope_version: int


class BackupHousehold(StrictModel):
    """The household."""

    household_id: Key
    name: ShortName
    altitude_m: Annotated[float, Field(ge=-430, le=5000)]
    start_temp_c: Annotated[float, Field(ge=-1, le=40)]
    units: Units
    taste_step: Annotated[float, Field(ge=-1, le=1)] = 0.0
    simulated_teach: bool = False
    locale: Locale = "en-US"
    servings: Annotated[int, Field(ge=1, le=200)] = 4
    introduced: bool = True
    demo: bool = False


class BackupPerson(StrictModel):
    """Somebody who cooks."""

    person_id: Key
    name: ShortName


class BackupPotNumbers(StrictModel):
    """A pot; what older files do not say has its usual value."""

    pot_id: Key
    name: ShortName
    usable_volume_m3: float
    inner_diameter_m: float
    inner_height_m: float
    heater_w: float
    min_liquid_m3: float
    max_fill_ratio: float
    gauge_high_pa: float
    gauge_low_pa: float
    longest_hold_min: float
    vessel_j_k: Annotated[float, Field(gt=0)]
    plate_j_k: Annotated[float, Field(gt=0)]
    plate_w_k: Annotated[float, Field(gt=0)]
    loss_closed_w_k: Annotated[float, Field(gt=0)]
    loss_open_w_k: Annotated[float, Field(gt=0)]
    orifice_m2: Annotated[float, Field(gt=0)]
    heat_ratio: float = 1.0
    panel_step_min: float = 1.0
    has_start_key: bool = False
    has_crisping_lid: bool = False
    is_stovetop: bool = False


class BackupPot(StrictModel):
    """A pot of the household."""

    pot: BackupPotNumbers
    ready_id: Annotated[str | None, Field(max_length=40)]


class BackupPlan(StrictModel):
    """A saved plan."""

    plan_id: Key
    created_at: Moment
    updated_at: Moment
    name: Name
    person_id: Key | None
    inputs_version: Annotated[int, Field(ge=1)]
    inputs: dict[str, Any]
    results_version: Annotated[int, Field(ge=1)]
    results: dict[str, Any]
    engine_version: Annotated[str, Field(max_length=20)]

    def to_stored(self) -> StoredPlan:
        """As it is stored; inputs and results must have the form they have there."""
        inputs = _strict(PlanIn, self.inputs).to_inputs()
        _strict(PlanOut, upgraded(self.results))
        values = self.model_dump(exclude={"plan_id", "created_at", "updated_at", "inputs"})
        content = PlanContent(**values, inputs=asdict(inputs))
        return StoredPlan(self.plan_id, content, self.created_at, self.updated_at)


class BackupRecipe(StrictModel):
    """A recipe of the library."""

    recipe_id: Key
    created_at: Moment
    updated_at: Moment
    title: Title
    tags: Annotated[list[Tag], Field(max_length=12)]
    original: Annotated[str, Field(max_length=MAX_ORIGINAL)]
    format: Format
    fingerprint: Annotated[str, Field(max_length=64)]
    recipe: RecipeText
    answers: AnswersIn
    choices: ChoicesIn

    def to_stored(self) -> StoredRecipe:
        """As the library keeps it."""
        values = self.model_dump(exclude={"recipe_id", "created_at", "updated_at"})
        content = RecipeContent(**{**values, "tags": tuple(self.tags)})
        return StoredRecipe(self.recipe_id, content, self.created_at, self.updated_at)


class BackupDay(StrictModel):
    """A day that was kept."""

    day_id: Key
    created_at: Moment
    updated_at: Moment
    name: Name
    document: dict[str, Any]

    def to_stored(self) -> StoredDay:
        """As it is stored; it must have the form it has there."""
        document = _strict(KeepDayIn, {"name": self.name, **self.document}).to_document()
        content = DayContent(self.name, document)
        return StoredDay(self.day_id, content, self.created_at, self.updated_at)


class _Weights(StrictModel):
    before_kg: Annotated[float | None, Field(gt=0, le=MOST_WEIGHT_KG)] = None
    after_kg: Annotated[float | None, Field(gt=0, le=MOST_WEIGHT_KG)] = None


class _PotState(StrictModel):
    state: LiveState


class _Judged(StrictModel):
    seen: Texture | None
    probe: Annotated[str | None, Field(max_length=40)]
    verdict: Annotated[str, Field(max_length=20)]
    hold_min: Annotated[int | None, Field(ge=0, le=1000)]


class _Began(StrictModel):
    pass


_NEW_EVENT: TypeAdapter[NewEventIn] = TypeAdapter(NewEventIn)


class BackupEvent(StrictModel):
    """Something that happened in a cook; its body as it would be told."""

    key: Annotated[str, Field(min_length=1, max_length=60)]
    at: Moment
    kind: EventKind
    body: Annotated[dict[str, Any], Field(max_length=12)]

    @model_validator(mode="after")
    def _readable(self) -> Self:
        match self.kind:
            case "began":
                _strict(_Began, self.body)
            case "judged":
                _strict(_Judged, self.body)
            case "weighed":
                _strict(_Weights, self.body)
            case "pot":
                _strict(_PotState, self.body)
            case _:
                told = {**self.body, "key": "kept", "kind": self.kind}
                _NEW_EVENT.validate_json(json.dumps(told, allow_nan=False), strict=True)
        return self


_Cold = Annotated[float, Field(ge=60, le=LONGEST_S["beef"])]
ColdSpan = Annotated[list[_Cold], Field(min_length=2, max_length=2), AfterValidator(in_order)]


class BroughtIn(StrictModel):
    """What recipe and day added to the steps of a cook."""

    work: Annotated[list[ExtraIn], Field(max_length=MAX_EXTRAS)]
    sauce: Sauce
    ahead: Ahead = "today"
    from_freezer: bool = False
    parted: bool = False
    rubbed: bool = False
    rub_s: ColdSpan | None = None
    crackling: bool = False
    pulled_first: bool = False
    marinade: Marinade | None = None
    marinate_s: ColdSpan | None = None
    fat_m: Annotated[float | None, Field(ge=0, le=0.03)] = None
    sauce_m3: Annotated[float | None, Field(ge=3e-5, le=3e-3)] = None
    sear_s: Annotated[float | None, Field(ge=0, le=3600)] = None
    sear_batches: SearBatches = None
    eaters: Eaters = None
    leftovers: Leftovers = "chill"
    version: Annotated[int, Field(ge=1, le=STEPS_VERSION, description="of the steps")] = 1


class BackupPhoto(StrictModel):
    """A photo of a cook."""

    photo_id: PhotoKey
    at: Moment
    jpeg: Annotated[str, Field(max_length=4_000_000, description="base 64")]


class BackupDefaults(StrictModel):
    """What the household said when a cook began."""

    altitude_m: Annotated[float, Field(ge=-430, le=5000)]
    start_temp_c: Annotated[float, Field(ge=-1, le=40)]
    taste_step: Annotated[float, Field(ge=-1, le=1)] = 0.0
    taste_ln: Annotated[
        list[tuple[Annotated[str, Field(max_length=40)], Annotated[float, Field(ge=-5, le=5)]]],
        Field(max_length=40),
    ] = Field(default_factory=list)
    taste_sd: Annotated[
        list[tuple[Annotated[str, Field(max_length=40)], Annotated[float, Field(ge=0, le=5)]]],
        Field(max_length=40),
    ] = Field(default_factory=list)
    heat_ln: Annotated[float, Field(ge=-2, le=2)] = 0.0


class BackupKitchen(StrictModel):
    """The kitchen as it was when a cook began."""

    pot: BackupPotNumbers
    defaults: BackupDefaults


class BackupCook(StrictModel):
    """A cook with its events and trace."""

    cook_id: Key
    created_at: Moment
    updated_at: Moment
    name: Name
    person_id: Key | None
    cut: Annotated[str, Field(max_length=40)]
    pot_id: Annotated[str, Field(max_length=36)]
    pot_name: ShortName
    mass_kg: Annotated[float, Field(gt=0, le=500)]
    hold_min: Annotated[int, Field(ge=0, le=1000)]
    wished_step: Annotated[float, Field(ge=-1, le=6)]
    connected: bool
    inputs_version: Annotated[int, Field(ge=1)]
    inputs: dict[str, Any]
    kitchen: BackupKitchen
    started_at: Moment
    ended_at: Moment | None
    outcome_step: Step | None
    model_step: Step | None
    planned_up_s: Seconds | None
    come_up_s: Seconds | None
    yield_ratio: Annotated[float, Field(gt=0, le=10)] | None
    note: Annotated[str, Field(max_length=4000)]
    events: Annotated[list[BackupEvent], Field(max_length=MAX_EVENTS + LAST_EVENTS)]
    recipe: RecipeCard | None = None
    brought: BroughtIn | None = None
    numbers: Annotated[dict[str, Any], Field(max_length=40)] | None = None
    traces: Annotated[dict[str, Any], Field(max_length=4)] | None = None
    model_engine: Engine | None = None
    clock: Annotated[dict[str, Any], Field(max_length=4)] | None = None
    abandoned: bool = False
    no_lesson: NoLesson | None = None
    samples: Annotated[
        list[
            tuple[
                Moment,
                Annotated[float, Field(ge=-60, le=400)],
                Annotated[float, Field(ge=-200_000, le=400_000)],
            ]
        ],
        Field(max_length=MAX_SAMPLES),
    ]
    photos: Annotated[list[BackupPhoto], Field(max_length=MAX_PHOTOS)] = Field(default_factory=list)

    def to_history(self) -> CookHistory:
        """As the log keeps it; it must be readable as a log entry."""
        inputs = _strict(PlanIn, self.inputs).to_inputs()
        kitchen = self.kitchen.model_dump(mode="json")
        check_kitchen(kitchen)
        cut_by_id(self.cut)
        left_out = {
            "cook_id", "created_at", "updated_at", "events", "samples", "photos", "inputs",
            "kitchen",
        }  # fmt: skip
        content = CookContent(
            **self.model_dump(exclude=left_out), inputs=asdict(inputs), kitchen=kitchen
        )
        return CookHistory(
            StoredCook(self.cook_id, content, self.created_at, self.updated_at),
            tuple(StoredEvent(**item.model_dump()) for item in self.events),
            tuple(StoredSample(*item) for item in self.samples),
            tuple((item.photo_id, item.at, item.jpeg) for item in self.photos),
        )


class BackupIn(StrictModel):
    """Everything in one file."""

    envelope: str
    envelope_version: int
    made_at: Moment
    household: BackupHousehold
    people: Annotated[list[BackupPerson], Field(max_length=200)]
    pots: Annotated[list[BackupPot], Field(max_length=50)]
    plans: Annotated[list[BackupPlan], Field(max_length=MAX_PLANS)]
    recipes: Annotated[list[BackupRecipe], Field(max_length=MAX_RECIPES)] = Field(
        default_factory=list
    )
    days: Annotated[list[BackupDay], Field(max_length=MAX_DAYS)] = Field(default_factory=list)
    cooks: Annotated[list[BackupCook], Field(max_length=MAX_COOKS)] = Field(default_factory=list)

    def to_envelope(self) -> Envelope:
        """As the use case takes it."""
        return Envelope(
            household=Household(**self.household.model_dump()),
            people=tuple(Person(**item.model_dump()) for item in self.people),
            pots=tuple(KeptPot(Pot(**item.pot.model_dump()), item.ready_id) for item in self.pots),
            plans=tuple(item.to_stored() for item in self.plans),
            recipes=tuple(item.to_stored() for item in self.recipes),
            days=tuple(item.to_stored() for item in self.days),
            cooks=tuple(item.to_history() for item in self.cooks),
        )

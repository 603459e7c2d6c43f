"""The catalogue, the household, its people and pots."""

from datetime import datetime
from typing import Annotated, Literal, get_args

from pydantic import Field

from pneumachron.api.schemas.base import Id, MeasureText, ShortName, Shown, StrictModel
from pneumachron.api.schemas.plan import PotOut
from pneumachron.core.catalog.cuts import LiquidStyle, ReleaseMethod
from pneumachron.core.physics.tenderness import Texture
from pneumachron.core.units import show_altitude, show_temperature
from pneumachron.services.documents import pot_document
from pneumachron.services.households import OwnPot
from pneumachron.services.restore import Kind
from pneumachron.store.copies import MAX_COPIES, Copy, Reason
from pneumachron.store.records import Household, KeptPot, Locale


class LookOut(StrictModel):
    """A step of tenderness, its word for this cut, and what one sees there."""

    texture: Texture
    word: str
    looks: str


class CutOut(StrictModel):
    """A cut that can be planned."""

    id: str
    name: str
    short_name: str
    family: str
    has_bone: bool
    takes_membrane: bool
    has_rind: bool
    has_fat_cap: bool
    usual_thickness_low_m: float
    usual_thickness_high_m: float
    default_texture: Texture
    default_liquid_style: LiquidStyle
    default_release: ReleaseMethod
    measure: str
    ladder: Annotated[list[LookOut], Field(max_length=5)]


class ReadyPotOut(StrictModel):
    """A pot that comes with the app."""

    id: str
    pot: PotOut


class WordOut(StrictModel):
    """A word of the vocabulary, and a line that explains it."""

    name: str
    says: str


class CatalogueOut(StrictModel):
    """Everything there is to choose from, what it is called, and between which thicknesses."""

    engine_version: str
    locale: Locale
    words: Annotated[
        dict[str, dict[str, WordOut]], Field(description="by group and code, as the kitchen reads")
    ]
    cuts: Annotated[list[CutOut], Field(max_length=40)]
    ready_pots: Annotated[list[ReadyPotOut], Field(max_length=20)]
    thinnest_m: float
    thickest_m: float


class GuideLineOut(StrictModel):
    """A line of the Guide, what it is about and who says so; empty where that is plain."""

    term: str
    text: str
    source: str


class GuidePartOut(StrictModel):
    """A part of the Guide."""

    part: str
    title: str
    lines: Annotated[list[GuideLineOut], Field(max_length=40)]


class GuideOut(StrictModel):
    """What a cook looks up, as the kitchen reads."""

    parts: Annotated[list[GuidePartOut], Field(max_length=20)]


class HouseholdIn(StrictModel):
    """What is usual here, typed with units."""

    name: ShortName
    altitude: MeasureText
    start: MeasureText
    units: Literal["metric", "us"]
    taste_step: Annotated[
        float,
        Field(ge=-1, le=1, description="steps of tenderness softer than usual; negative is firmer"),
    ] = 0.0
    simulated_teach: Annotated[
        bool, Field(description="cooks beside the simulated pot teach too")
    ] = False
    locale: Annotated[Locale | None, Field(description="as it is when left out")] = None
    servings: Annotated[
        int | None, Field(ge=1, le=200, description="people at the table; as it is when left out")
    ] = None


class HouseholdOut(StrictModel):
    """What is usual here."""

    name: str
    altitude_m: float
    start_temp_c: float
    units: Literal["metric", "us"]
    taste_step: float
    simulated_teach: bool
    locale: Locale
    servings: int
    introduced: Annotated[bool, Field(description="false until it is set, or skipped")]
    demo: Annotated[bool, Field(description="all that is here came with the app")]
    altitude_shown: Shown
    start_shown: Shown
    version: int

    @classmethod
    def of(cls, household: Household) -> "HouseholdOut":
        """The household as stored."""
        altitude = show_altitude(household.altitude_m)
        start = show_temperature(household.start_temp_c)
        return cls(
            name=household.name,
            altitude_m=household.altitude_m,
            start_temp_c=household.start_temp_c,
            units=household.units,
            taste_step=household.taste_step,
            simulated_teach=household.simulated_teach,
            locale=household.locale,
            servings=household.servings,
            introduced=household.introduced,
            demo=household.demo,
            altitude_shown=Shown(metric=altitude.metric, us=altitude.us),
            start_shown=Shown(metric=start.metric, us=start.us),
            version=household.version,
        )


class PersonIn(StrictModel):
    """Somebody who cooks."""

    name: ShortName


class PersonOut(StrictModel):
    """Somebody who cooks."""

    id: str
    name: str


class PeopleOut(StrictModel):
    """Everybody who cooks here."""

    people: Annotated[list[PersonOut], Field(max_length=200)]


class AddPotIn(StrictModel):
    """Take a ready pot into the kitchen."""

    ready_id: Id


class OwnPotIn(StrictModel):
    """A pot of the cook's own, with what a ruler and the plate on its back say."""

    name: ShortName
    volume: MeasureText
    diameter: Annotated[MeasureText, Field(description="inside, from wall to wall")]
    height: Annotated[MeasureText, Field(description="inside, from base to rim")]
    power_w: Annotated[float, Field(gt=0, le=10_000)]
    least_liquid: MeasureText | None = None
    high: Annotated[MeasureText | None, Field(description="pressure of the high level")] = None
    low: Annotated[MeasureText | None, Field(description="pressure of the low level")] = None
    longest_min: Annotated[float | None, Field(gt=0, le=2000)] = None
    panel_step_min: Annotated[float | None, Field(gt=0, le=60)] = None
    start_key: bool = False
    crisping_lid: bool = False
    stovetop: Annotated[bool, Field(description="it stands on the stove")] = False

    def to_own(self) -> OwnPot:
        """As the use case takes it."""
        return OwnPot(**self.model_dump())


class BoilTestIn(StrictModel):
    """Minutes a litre of cold water took to boil, lid off; 0 sets the pot back."""

    minutes: Annotated[float, Field(ge=0, le=120)]
    start: MeasureText | None = None


class ChangesOut(StrictModel):
    """What a restore adds, changes and leaves, of one kind of thing."""

    kind: Kind
    added: int
    changed: int
    same: int


class RestoreOut(StrictModel):
    """What a backup file would change, or has changed."""

    made_at: str
    done: bool
    changes: Annotated[list[ChangesOut], Field(max_length=len(get_args(Kind)))]


class KeptPotOut(StrictModel):
    """A pot of the household."""

    id: str
    ready_id: str | None
    pot: PotOut

    @classmethod
    def of(cls, kept: KeptPot) -> "KeptPotOut":
        """The pot as stored."""
        return cls(
            id=kept.pot.pot_id,
            ready_id=kept.ready_id,
            pot=PotOut.model_validate(pot_document(kept.pot)),
        )


class PotsOut(StrictModel):
    """The pots here, smallest first."""

    pots: Annotated[list[KeptPotOut], Field(max_length=50)]


class RelearningOut(StrictModel):
    """Lessons that are worked out again for a new engine; until all are, the old ones hold."""

    done: int
    of: int


class HealthOut(StrictModel):
    """The app's own state."""

    status: Literal["ok", "trouble"]
    troubles: Annotated[list[Literal["database", "watch", "disk"]], Field(max_length=3)]
    version: str
    engine_version: str
    watch_beat_age_s: float
    """Seconds since running cooks were last looked at."""
    free_bytes: int | None
    """Room on the disk of the data folder; None: not known."""
    relearning: RelearningOut | None
    """None: nothing is worked out again."""


class CopyOut(StrictModel):
    """A copy of the database that the app made by itself."""

    name: str
    made_at: datetime
    reason: Reason
    size_bytes: int

    @classmethod
    def of(cls, copy: Copy) -> "CopyOut":
        """As it is shown."""
        return cls(
            name=copy.name,
            made_at=copy.made_at,
            reason=copy.reason,
            size_bytes=copy.size_bytes,
        )


class CopiesOut(StrictModel):
    """All copies, the newest first, and the room left on the disk."""

    copies: Annotated[list[CopyOut], Field(max_length=MAX_COPIES)]
    free_bytes: int


class DeletedOut(StrictModel):
    """How many things of each kind are deleted."""

    plans: int
    recipes: int
    days: int
    cooks: int
    photos: int

"""The tables. Ids are UUIDs as text, times UTC, deletion is a date, never a loss."""

from datetime import datetime
from typing import Any

from sqlalchemy import JSON, ForeignKey, Index, MetaData, String, Text, false, true
from sqlalchemy.orm import DeclarativeBase, Mapped, mapped_column

from pneumachron.store.db import UtcDateTime
from pneumachron.store.records import NoLesson


class Base(DeclarativeBase):
    """Names of constraints are fixed, so that migrations can speak of them."""

    metadata = MetaData(
        naming_convention={
            "ix": "ix_%(table_name)s_%(column_0_name)s",
            "fk": "fk_%(table_name)s_%(column_0_name)s",
            "pk": "pk_%(table_name)s",
        }
    )


class SavedRow(Base):
    """What all saved things have alike."""

    __abstract__ = True

    id: Mapped[str] = mapped_column(String(36), primary_key=True)
    household_id: Mapped[str] = mapped_column(ForeignKey("household.id"), index=True)
    created_at: Mapped[datetime] = mapped_column(UtcDateTime)
    updated_at: Mapped[datetime] = mapped_column(UtcDateTime)
    deleted_at: Mapped[datetime | None] = mapped_column(UtcDateTime)
    version: Mapped[int] = mapped_column(server_default="1", default=1)
    """Counts changes, so that nobody writes over what they have not seen."""


class HouseholdRow(Base):
    """Where the cooking happens."""

    __tablename__ = "household"

    id: Mapped[str] = mapped_column(String(36), primary_key=True)
    name: Mapped[str] = mapped_column(String(80))
    altitude_m: Mapped[float]
    start_temp_c: Mapped[float]
    units: Mapped[str] = mapped_column(String(10))
    taste_step: Mapped[float]
    simulated_teach: Mapped[bool] = mapped_column(server_default=false(), default=False)
    locale: Mapped[str] = mapped_column(String(10), server_default="en-US", default="en-US")
    servings: Mapped[int] = mapped_column(server_default="4", default=4)
    introduced: Mapped[bool] = mapped_column(server_default=true(), default=True)
    demo: Mapped[bool] = mapped_column(server_default=false(), default=False)
    created_at: Mapped[datetime] = mapped_column(UtcDateTime)
    updated_at: Mapped[datetime] = mapped_column(UtcDateTime)
    version: Mapped[int] = mapped_column(server_default="1", default=1)


class PersonRow(Base):
    """Somebody who cooks."""

    __tablename__ = "person"

    id: Mapped[str] = mapped_column(String(36), primary_key=True)
    household_id: Mapped[str] = mapped_column(ForeignKey("household.id"), index=True)
    name: Mapped[str] = mapped_column(String(80))
    created_at: Mapped[datetime] = mapped_column(UtcDateTime)
    deleted_at: Mapped[datetime | None] = mapped_column(UtcDateTime)


class PotRow(Base):
    """A pot of the household, with every number the core takes."""

    __tablename__ = "pot"

    id: Mapped[str] = mapped_column(String(36), primary_key=True)
    household_id: Mapped[str] = mapped_column(ForeignKey("household.id"), index=True)
    ready_id: Mapped[str | None] = mapped_column(String(40))
    name: Mapped[str] = mapped_column(String(80))
    usable_volume_m3: Mapped[float]
    inner_diameter_m: Mapped[float]
    inner_height_m: Mapped[float]
    heater_w: Mapped[float]
    min_liquid_m3: Mapped[float]
    max_fill_ratio: Mapped[float]
    gauge_high_pa: Mapped[float]
    gauge_low_pa: Mapped[float]
    longest_hold_min: Mapped[float]
    vessel_j_k: Mapped[float]
    plate_j_k: Mapped[float]
    plate_w_k: Mapped[float]
    loss_closed_w_k: Mapped[float]
    loss_open_w_k: Mapped[float]
    orifice_m2: Mapped[float]
    heat_ratio: Mapped[float]
    panel_step_min: Mapped[float]
    has_start_key: Mapped[bool]
    has_crisping_lid: Mapped[bool]
    is_stovetop: Mapped[bool] = mapped_column(default=False)
    created_at: Mapped[datetime] = mapped_column(UtcDateTime)
    deleted_at: Mapped[datetime | None] = mapped_column(UtcDateTime)


class PlanRow(SavedRow):
    """A plan: what was typed, what came out, and which engine worked it out."""

    __tablename__ = "plan"

    person_id: Mapped[str | None] = mapped_column(ForeignKey("person.id"))
    name: Mapped[str] = mapped_column(String(120))
    inputs_version: Mapped[int]
    inputs: Mapped[dict[str, Any]] = mapped_column(JSON)
    results_version: Mapped[int]
    results: Mapped[dict[str, Any]] = mapped_column(JSON)
    engine_version: Mapped[str] = mapped_column(String(20))

    __table_args__ = (Index("ix_plan_shelf", "household_id", "deleted_at", "updated_at"),)


class RecipeRow(SavedRow):
    """A recipe: as it came, as it was read, and what the cook answered and chose."""

    __tablename__ = "recipe"
    __table_args__ = (
        Index("ix_recipe_shelf", "household_id", "deleted_at", "updated_at"),
        Index("ix_recipe_twin", "household_id", "fingerprint"),
    )

    title: Mapped[str] = mapped_column(String(200))
    tags: Mapped[list[str]] = mapped_column(JSON)
    original: Mapped[str] = mapped_column(Text)
    format: Mapped[str] = mapped_column(String(10))
    fingerprint: Mapped[str] = mapped_column(String(64))
    recipe: Mapped[dict[str, Any]] = mapped_column(JSON)
    answers: Mapped[dict[str, Any]] = mapped_column(JSON)
    choices: Mapped[dict[str, Any]] = mapped_column(JSON)


class DayRow(SavedRow):
    """A day as it was asked for: table, dishes, what stands."""

    __tablename__ = "day"
    __table_args__ = (Index("ix_day_shelf", "household_id", "deleted_at", "updated_at"),)

    name: Mapped[str] = mapped_column(String(120))
    document: Mapped[dict[str, Any]] = mapped_column(JSON)


class CookRow(SavedRow):
    """A cook: what was planned, in which kitchen, and what came of it."""

    __tablename__ = "cook"
    __table_args__ = (
        # every column that the log is searched by, so that a search reads no whole rows
        Index(
            "ix_cook_log",
            "household_id",
            "deleted_at",
            "started_at",
            "id",
            "ended_at",
            "cut",
            "pot_id",
            "name",
            "note",
        ),
        Index("ix_cook_cut", "household_id", "cut", "started_at"),
        Index("ix_cook_pot", "household_id", "pot_id", "started_at"),
        Index("ix_cook_number", "number", unique=True),
    )

    number: Mapped[int | None]
    """Where its words stand in the index `cook_words`; a trigger counts."""

    name: Mapped[str] = mapped_column(String(120))
    person_id: Mapped[str | None] = mapped_column(ForeignKey("person.id"))
    cut: Mapped[str] = mapped_column(String(40))
    pot_id: Mapped[str] = mapped_column(String(36))
    pot_name: Mapped[str] = mapped_column(String(80))
    mass_kg: Mapped[float]
    hold_min: Mapped[int]
    wished_step: Mapped[float]
    connected: Mapped[bool]
    inputs_version: Mapped[int]
    inputs: Mapped[dict[str, Any]] = mapped_column(JSON)
    kitchen: Mapped[dict[str, Any]] = mapped_column(JSON)
    started_at: Mapped[datetime] = mapped_column(UtcDateTime)
    ended_at: Mapped[datetime | None] = mapped_column(UtcDateTime)
    outcome_step: Mapped[float | None]
    model_step: Mapped[float | None]
    planned_up_s: Mapped[float | None]
    come_up_s: Mapped[float | None]
    yield_ratio: Mapped[float | None]
    note: Mapped[str] = mapped_column(Text)
    recipe: Mapped[dict[str, Any] | None] = mapped_column(JSON(none_as_null=True))
    brought: Mapped[dict[str, Any] | None] = mapped_column(JSON(none_as_null=True))
    numbers: Mapped[dict[str, Any] | None] = mapped_column(JSON(none_as_null=True))
    traces: Mapped[dict[str, Any] | None] = mapped_column(JSON(none_as_null=True))
    model_engine: Mapped[str | None] = mapped_column(String(20))
    clock: Mapped[dict[str, Any] | None] = mapped_column(JSON(none_as_null=True))
    abandoned: Mapped[bool] = mapped_column(server_default="0", default=False)
    no_lesson: Mapped[NoLesson | None] = mapped_column(String(20))


class CookPhotoRow(Base):
    """A picture of a cook; the file lies beside the database under its id."""

    __tablename__ = "cook_photo"
    __table_args__ = (Index("ix_cook_photo_once", "cook_id", "digest", unique=True),)

    id: Mapped[str] = mapped_column(String(36), primary_key=True)
    cook_id: Mapped[str] = mapped_column(ForeignKey("cook.id"))
    at: Mapped[datetime] = mapped_column(UtcDateTime)
    width_px: Mapped[int]
    height_px: Mapped[int]
    digest: Mapped[str] = mapped_column(String(64))
    deleted_at: Mapped[datetime | None] = mapped_column(UtcDateTime)


class ForgottenRow(Base):
    """Since when a cut or a pot is learned anew."""

    __tablename__ = "forgotten"

    household_id: Mapped[str] = mapped_column(ForeignKey("household.id"), primary_key=True)
    kind: Mapped[str] = mapped_column(String(10), primary_key=True)
    key: Mapped[str] = mapped_column(String(40), primary_key=True)
    at: Mapped[datetime] = mapped_column(UtcDateTime)


class CookEventRow(Base):
    """Something that happened in a cook. Rows are only added; `key` makes adding twice one."""

    __tablename__ = "cook_event"
    __table_args__ = (Index("ix_cook_event_once", "cook_id", "key", unique=True),)

    id: Mapped[int] = mapped_column(primary_key=True)
    cook_id: Mapped[str] = mapped_column(ForeignKey("cook.id"))
    key: Mapped[str] = mapped_column(String(60))
    at: Mapped[datetime] = mapped_column(UtcDateTime)
    kind: Mapped[str] = mapped_column(String(20))
    body: Mapped[dict[str, Any]] = mapped_column(JSON)


class CookSampleRow(Base):
    """A point of a trace."""

    __tablename__ = "cook_sample"

    cook_id: Mapped[str] = mapped_column(ForeignKey("cook.id"), primary_key=True)
    at: Mapped[datetime] = mapped_column(UtcDateTime, primary_key=True)
    temp_c: Mapped[float]
    gauge_pa: Mapped[float]


class DeviceRow(Base):
    """A browser on the network that was paired. Only a digest of its cookie is kept."""

    __tablename__ = "device"
    __table_args__ = (Index("ix_device_digest", "digest", unique=True),)

    id: Mapped[str] = mapped_column(String(36), primary_key=True)
    name: Mapped[str] = mapped_column(String(80))
    digest: Mapped[str] = mapped_column(String(64))
    created_at: Mapped[datetime] = mapped_column(UtcDateTime)
    last_used_at: Mapped[datetime] = mapped_column(UtcDateTime)
    forgotten_at: Mapped[datetime | None] = mapped_column(UtcDateTime)

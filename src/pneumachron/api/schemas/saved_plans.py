"""Saved plans."""

from datetime import datetime
from typing import Annotated

from pydantic import Field

from pneumachron.api.schemas.base import Id, Name, StrictModel
from pneumachron.api.schemas.cook_request import PlanIn
from pneumachron.api.schemas.plan import PlanOut
from pneumachron.core import ENGINE_VERSION
from pneumachron.services.log_words import total_s
from pneumachron.services.old_documents import upgraded
from pneumachron.services.planning import Recomputed
from pneumachron.store.records import StoredPlan
from pneumachron.store.repository import MAX_LISTED


class SavePlanIn(StrictModel):
    """A plan to keep; it is worked out as it is saved."""

    name: Name
    person_id: Id | None = None
    inputs: PlanIn


class RenameIn(StrictModel):
    """Another name."""

    name: Name


class PlanLine(StrictModel):
    """One saved plan in a list."""

    id: str
    name: str
    person_id: str | None
    updated_at: datetime
    cut: str
    count: int
    total_mass: str
    hold_min: int
    total_s: Annotated[
        float, Field(description="from lid on until the lid is off, later batches and steps too")
    ]
    pot_name: str

    @classmethod
    def of(cls, stored: StoredPlan) -> "PlanLine":
        """The line of a stored plan."""
        content = stored.content
        first = content.inputs["pieces"][0]
        return cls(
            id=stored.plan_id,
            name=content.name,
            person_id=content.person_id,
            updated_at=stored.updated_at,
            cut=first["cut"],
            count=first["count"],
            total_mass=first["mass"],
            hold_min=content.results["setting"]["hold_min"],
            total_s=total_s(content.results),
            pot_name=content.results["pot"]["name"],
        )


class SavedPlansOut(StrictModel):
    """Plans, the newest first, and how many there are in all."""

    plans: Annotated[list[PlanLine], Field(max_length=MAX_LISTED)]
    total: int


class StoredPlanOut(StrictModel):
    """A plan as it was stored. `current` is false when today's engine differs."""

    id: str
    name: str
    person_id: str | None
    created_at: datetime
    updated_at: datetime
    version: Annotated[int, Field(description="counts changes; a change names the one it saw")]
    engine_version: str
    current: bool
    inputs: PlanIn
    results: PlanOut

    @classmethod
    def of(cls, stored: StoredPlan) -> "StoredPlanOut":
        """A stored plan, whole."""
        content = stored.content
        return cls(
            id=stored.plan_id,
            name=content.name,
            person_id=content.person_id,
            created_at=stored.created_at,
            updated_at=stored.updated_at,
            version=stored.version,
            engine_version=content.engine_version,
            current=content.engine_version == ENGINE_VERSION,
            inputs=PlanIn.model_validate(content.inputs),
            results=PlanOut.model_validate(upgraded(content.results)),
        )


class DifferenceOut(StrictModel):
    """One number that changed."""

    what: str
    stored: str
    fresh: str


class RecomputedOut(StrictModel):
    """A stored plan worked out anew; nothing is saved by this."""

    engine_version: str
    differences: Annotated[list[DifferenceOut], Field(max_length=20)]
    results: PlanOut

    @classmethod
    def of(cls, fresh: Recomputed) -> "RecomputedOut":
        """The answer of the use case."""
        return cls(
            engine_version=fresh.engine_version,
            differences=[
                DifferenceOut(what=item.what, stored=item.stored, fresh=item.fresh)
                for item in fresh.differences
            ],
            results=PlanOut.model_validate(fresh.results),
        )

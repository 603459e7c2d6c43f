"""Working out plans, and saved plans."""

from typing import Annotated, Any

from fastapi import APIRouter, Path, Query, status

from pneumachron.api.dependencies import (
    CHANGING,
    INVALID,
    MISSING,
    STALE,
    TURN,
    Db,
    Seen,
    WriteDb,
)
from pneumachron.api.sane import SaneRoute
from pneumachron.api.schemas.base import Problem
from pneumachron.api.schemas.cook_request import PlanIn
from pneumachron.api.schemas.plan import PlanOut
from pneumachron.api.schemas.saved_plans import (
    PlanLine,
    RecomputedOut,
    RenameIn,
    SavedPlansOut,
    SavePlanIn,
    StoredPlanOut,
)
from pneumachron.api.schemas.what_if import (
    AnswerOut,
    MinutesIn,
    ReadyByIn,
    ReadyByOut,
    ReadyByWayOut,
    WhatIfOut,
)
from pneumachron.services import planning
from pneumachron.store.repository import MAX_LISTED

router = APIRouter(prefix="/api", route_class=SaneRoute, tags=["plans"])
PlanId = Annotated[str, Path(max_length=40, pattern=r"^[A-Za-z0-9-]+$")]
_PLAN = INVALID | MISSING | CHANGING


@router.post("/plan", response_model=PlanOut, responses=_PLAN, dependencies=[TURN])
def make_plan(request: PlanIn, db: Db) -> dict[str, Any]:
    """Work out a request. Nothing is kept."""
    return planning.plan_here(db, request.to_inputs())


@router.post("/plan/what-if", responses=_PLAN, dependencies=[TURN])
def what_if(request: PlanIn, db: Db) -> WhatIfOut:
    """The same request with one thing different at a time: cut, texture, liquid style, pot."""
    return WhatIfOut.model_validate(planning.what_if_here(db, request.to_inputs()))


@router.post("/plan/ready-by", responses=_PLAN, dependencies=[TURN])
def ready_by(asked: ReadyByIn, db: Db) -> ReadyByOut:
    """Which ways of cutting, releasing and finishing are at the table in the time there is."""
    request = asked.request.to_inputs()
    found = planning.ready_by_here(db, request, asked.available_min, asked.finish)
    return ReadyByOut(ways=[ReadyByWayOut.model_validate(way) for way in found])


@router.post("/plan/minutes", response_model=AnswerOut, responses=_PLAN, dependencies=[TURN])
def judge_minutes(asked: MinutesIn, db: Db) -> dict[str, Any]:
    """What a recipe's minutes would make of this load."""
    return planning.minutes_here(db, asked.request.to_inputs(), asked.hold_min)


@router.get("/plans", responses=INVALID)
def list_plans(
    db: Db,
    search: Annotated[str, Query(max_length=120)] = "",
    limit: Annotated[int, Query(ge=1, le=MAX_LISTED)] = 50,
    offset: Annotated[int, Query(ge=0, le=1_000_000)] = 0,
) -> SavedPlansOut:
    """Saved plans, the newest first."""
    found, total = planning.list_plans(db, search=search, limit=limit, offset=offset)
    return SavedPlansOut(plans=[PlanLine.of(stored) for stored in found], total=total)


@router.post("/plans", status_code=status.HTTP_201_CREATED, responses=_PLAN, dependencies=[TURN])
def save_plan(plan: SavePlanIn, db: Db) -> StoredPlanOut:
    """Work out a request and keep it."""
    stored = planning.save_plan(
        db, name=plan.name, person_id=plan.person_id, inputs=plan.inputs.to_inputs()
    )
    return StoredPlanOut.of(stored)


@router.get("/plans/{plan_id}", responses=INVALID | MISSING)
def get_plan(plan_id: PlanId, db: Db) -> StoredPlanOut:
    """A plan as it was stored; nothing is worked out anew."""
    return StoredPlanOut.of(planning.get_plan(db, plan_id))


@router.put("/plans/{plan_id}", responses=_PLAN | STALE, dependencies=[TURN])
def replace_plan(plan_id: PlanId, plan: SavePlanIn, db: Db, seen: Seen = None) -> StoredPlanOut:
    """Change a plan; it is worked out with today's engine."""
    stored = planning.save_plan(
        db,
        name=plan.name,
        person_id=plan.person_id,
        inputs=plan.inputs.to_inputs(),
        plan_id=plan_id,
        seen=seen,
    )
    return StoredPlanOut.of(stored)


@router.patch("/plans/{plan_id}", responses=_PLAN | STALE)
def rename_plan(plan_id: PlanId, change: RenameIn, db: WriteDb, seen: Seen = None) -> StoredPlanOut:
    """Another name; the numbers stay as stored."""
    return StoredPlanOut.of(planning.rename_plan(db, plan_id, change.name, seen))


@router.delete("/plans/{plan_id}", status_code=status.HTTP_204_NO_CONTENT, responses=_PLAN)
def delete_plan(plan_id: PlanId, db: WriteDb) -> None:
    """Delete a saved plan; it can be restored."""
    planning.set_plan_deleted(db, plan_id, deleted=True)


@router.post("/plans/{plan_id}/restore", status_code=status.HTTP_204_NO_CONTENT, responses=_PLAN)
def restore_plan(plan_id: PlanId, db: WriteDb) -> None:
    """Put a deleted plan back."""
    planning.set_plan_deleted(db, plan_id, deleted=False)


@router.post(
    "/plans/{plan_id}/recompute",
    dependencies=[TURN],
    responses=_PLAN | {409: {"model": Problem, "description": "Written by a newer version"}},
)
def recompute_plan(plan_id: PlanId, db: Db) -> RecomputedOut:
    """Work a stored plan out anew and say what differs. Nothing is kept."""
    return RecomputedOut.of(planning.recompute(db, plan_id))

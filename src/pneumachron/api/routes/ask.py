"""What a cook asks around a plan: nothing here is kept."""

from typing import Annotated, Any

from fastapi import APIRouter, Query

from pneumachron.api.dependencies import CHANGING, INVALID, MISSING, TURN, Db
from pneumachron.api.sane import SaneRoute
from pneumachron.api.schemas.ask import (
    AroundIn,
    AroundOut,
    BatchesOut,
    OpenedIn,
    OpenedOut,
    OtherPressureIn,
    OtherPressureOut,
    PlatesOut,
    SauceIn,
    SauceOut,
    SidesOut,
    StepsOut,
    StoppedIn,
    StoppedOut,
)
from pneumachron.api.schemas.cook_request import PlanIn
from pneumachron.services import planning
from pneumachron.services.answers import plates_document, sides_document

router = APIRouter(prefix="/api", route_class=SaneRoute, tags=["questions"], dependencies=[TURN])
_ASKED = INVALID | MISSING | CHANGING


@router.post("/plan/not-done", response_model=OpenedOut, responses=_ASKED)
def opened(asked: OpenedIn, db: Db) -> dict[str, Any]:
    """Opened after a hold: done, put back for so long, or too soft."""
    return planning.opened_here(
        db,
        asked.request.to_inputs(),
        asked.hold_min,
        seen=asked.seen,
        probe=asked.probe,
        open_min=asked.open_min,
    )


@router.post("/plan/interrupted", response_model=StoppedOut, responses=_ASKED)
def stopped(asked: StoppedIn, db: Db) -> dict[str, Any]:
    """A run that stopped: what it was worth, whether it is safe, how to go on."""
    return planning.stopped_here(db, asked.request.to_inputs(), asked.at_min, asked.since_min)


@router.post("/plan/other-pressure", response_model=OtherPressureOut, responses=_ASKED)
def other_pressure(asked: OtherPressureIn, db: Db) -> dict[str, Any]:
    """What minutes at another pressure are in this pot."""
    return planning.other_pressure_here(db, asked.request.to_inputs(), asked.hold_min, asked.gauge)


@router.post("/plan/batches", responses=_ASKED)
def batches(request: PlanIn, db: Db) -> BatchesOut:
    """How many runs of the pot a load takes, evenly loaded."""
    return BatchesOut.model_validate({"runs": planning.batches_here(db, request.to_inputs())})


@router.post("/plan/prep", response_model=AroundOut, responses=_ASKED)
def around(asked: AroundIn, db: Db) -> dict[str, Any]:
    """Season, sear, finish, rest, carve and keep."""
    return planning.around_here(
        db,
        asked.request.to_inputs(),
        finish=asked.finish,
        marinade=asked.marinade,
        brined=asked.brined,
    )


@router.post("/plan/steps", responses=_ASKED)
def steps(request: PlanIn, db: Db) -> StepsOut:
    """The steps of a plan, the same that Cook plays and Schedule lays on the clock."""
    return StepsOut.model_validate({"steps": planning.steps_here(db, request.to_inputs())})


@router.post("/sauce", response_model=SauceOut, responses=_ASKED)
def sauce(asked: SauceIn, db: Db) -> dict[str, Any]:
    """Reduce what is left in a pot, and thicken it."""
    return planning.sauce_here(db, asked.pot, asked.volume, asked.left_ratio, asked.body)


@router.get("/plates", response_model=PlatesOut, responses=INVALID)
def plates(
    cut: Annotated[str, Query(max_length=40)], plates: Annotated[int, Query(ge=1, le=200)]
) -> dict[str, Any]:
    """What to buy of a cut for a number of plates."""
    return plates_document(cut, plates)


@router.get("/sides", responses=INVALID)
def sides(hold_min: Annotated[float, Query(ge=0, le=720)]) -> SidesOut:
    """Which sides stand a hold, and which take a run of their own."""
    return SidesOut.model_validate({"sides": sides_document(hold_min)})

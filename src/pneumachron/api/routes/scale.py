"""The kitchen scale: what it shows, its tare, and what lies on the simulated one."""

from typing import Annotated

from fastapi import APIRouter, Depends, Request

from pneumachron.api.dependencies import CHANGING, INVALID
from pneumachron.api.sane import SaneRoute
from pneumachron.api.schemas.base import Problem, Shown
from pneumachron.api.schemas.connected import ScaleIn, ScaleOut
from pneumachron.core.units import parse_measure, show_mass
from pneumachron.devices.scale import LoadedScale

router = APIRouter(prefix="/api", route_class=SaneRoute, tags=["cook"])
_REFUSED: dict[int | str, dict[str, object]] = {
    409: {"model": Problem, "description": "It cannot be done as things stand, and what to do"}
}


def _scale(request: Request) -> LoadedScale:
    found: LoadedScale = request.app.state.kitchen.scale
    return found


Scale = Annotated[LoadedScale, Depends(_scale)]


@router.get("/scale")
def read_scale(scale: Scale) -> ScaleOut:
    """What it shows now; a screen that weighs asks several times a second."""
    found = scale.reading()
    shown = show_mass(max(found.mass_kg, 0.0))
    return ScaleOut(
        mass_kg=found.mass_kg,
        mass_shown=Shown(metric=shown.metric, us=shown.us),
        settled=found.settled,
    )


@router.post("/scale/tare", responses=CHANGING)
def tare_scale(scale: Scale) -> ScaleOut:
    """What lies on it counts as nothing."""
    scale.tare()
    return read_scale(scale)


@router.put("/scale", responses=INVALID | CHANGING | _REFUSED)
def load_scale(asked: ScaleIn, scale: Scale) -> ScaleOut:
    """Put something onto the simulated scale; it stands in for what lies there already."""
    scale.put(parse_measure(asked.on_it, "mass", "on_it"))
    return read_scale(scale)

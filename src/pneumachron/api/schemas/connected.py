"""Connected devices over the wire: cooker, scale, probe, clock."""

from datetime import datetime
from typing import Annotated, Literal

from pydantic import Field

from pneumachron.api.schemas.base import MeasureText, Shown, StrictModel
from pneumachron.devices.protocol import HandAction, PotCommand
from pneumachron.devices.simulated import Faults


class PressIn(StrictModel):
    """Press the panel."""

    do: PotCommand
    at_the_pot: Annotated[bool, Field(description="somebody stands there")] = False


class ConnectIn(StrictModel):
    """Whether the simulated pot stands beside a cook."""

    on: bool


class HandsIn(StrictModel):
    """Play the hands beside a simulated pot."""

    do: HandAction
    volume: Annotated[str | None, Field(max_length=40)] = None


class FaultsIn(StrictModel):
    """What of the simulated pot does not work."""

    weak_heater: bool = False
    leaking_gasket: bool = False
    stuck_base: bool = False
    away: bool = False

    def to_faults(self) -> Faults:
        """As the device takes it."""
        return Faults(**self.model_dump())


class ScaleIn(StrictModel):
    """What lies on the simulated scale, with its unit."""

    on_it: MeasureText


class ScaleOut(StrictModel):
    """What the scale shows."""

    mass_kg: float
    mass_shown: Shown
    settled: bool


class ProbeOut(StrictModel):
    """What a probe reads; with the lid on it reads the steam."""

    temp_c: float
    believable: bool


class ClockIn(StrictModel):
    """How fast the time of a cook runs, or that it comes back to the time of the kitchen."""

    speed: Literal[1, 10, 60, 240] | None = None
    back: bool = False


class ClockOut(StrictModel):
    """What time it is in the kitchen."""

    now: datetime

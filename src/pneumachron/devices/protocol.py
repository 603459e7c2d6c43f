"""What the app asks of a pot, and nothing more. A real one is added by writing one driver.

A driver answers from any thread. It raises `DeviceError` when the pot refuses, and `AwayError` when
it does not answer; the cook goes on without it and it is asked again.
"""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import Literal, Protocol, TypeAlias, runtime_checkable

from pneumachron.core.errors import CodedError
from pneumachron.core.session.simulated_pot import LiveState

PotCommand: TypeAlias = Literal["set", "start", "stop", "vent", "shut_valve"]
HandAction: TypeAlias = Literal["lid_on", "lid_off", "stir", "pour", "vessel_out", "vessel_in"]


class DeviceError(CodedError):
    """The device refuses."""


class AwayError(DeviceError):
    """The device does not answer."""

    def __init__(self, name: str) -> None:
        super().__init__("device_away", name=name)


@dataclass(frozen=True, slots=True)
class PotReading:
    """What a pot shows."""

    at: datetime
    state: LiveState
    temp_c: float
    """At its base; a sensor's reading, with its noise."""
    pin_up: bool
    left_s: float | None
    """What its panel counts down; None before it counts."""
    spitting: bool


@dataclass(frozen=True, slots=True)
class Change:
    """A state and since when."""

    at: datetime
    state: LiveState


@dataclass(frozen=True, slots=True)
class Sample:
    """A point of the trace."""

    at: datetime
    temp_c: float
    gauge_pa: float


@runtime_checkable
class PotDriver(Protocol):
    """A pot that is connected."""

    def reading(self) -> PotReading:
        """What it shows now."""
        ...

    def changes(self, after: datetime) -> Sequence[Change]:
        """States since a moment, in their order."""
        ...

    def samples(self, after: datetime) -> Sequence[Sample]:
        """Points of the trace since a moment, in their order."""
        ...

    def command(self, command: PotCommand, *, hold_s: float = 0.0, gauge_pa: float = 0.0) -> None:
        """Press its panel. `hold_s` and `gauge_pa` go with `set`."""
        ...


@runtime_checkable
class HandledPot(PotDriver, Protocol):
    """A pot that is played: somebody's hands are simulated too."""

    def hands(self, action: HandAction, *, volume_m3: float = 0.0) -> None:
        """What a person does. `volume_m3` goes with `pour`."""
        ...

    def probe_c(self) -> float:
        """A probe in the middle; with the lid on it reads the steam."""
        ...

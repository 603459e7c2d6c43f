"""The kitchen's clock, and a cook's own.

The kitchen's clock is the wall's, carried by a count that goes on while the machine sleeps and that
setting the wall clock does not move. When the wall clock was set, the kitchen follows it
(`set_right`), and each cook under way keeps its own time (`CookClock`), so that no timer jumps.
Simulated time, and any time that is not the wall's, belongs to one cook and ends with it.
"""

import time
from collections.abc import Callable, Mapping
from dataclasses import dataclass
from datetime import UTC, datetime, timedelta
from threading import Lock
from typing import Any, Protocol, TypeAlias

SPEEDS = (1, 10, 60, 240)
"""How many times as fast as the wall."""
EARLIEST, LATEST = datetime(1970, 1, 1, tzinfo=UTC), datetime(2200, 1, 1, tzinfo=UTC)


class Clock(Protocol):
    """What time it is for a cook."""

    @property
    def speed(self) -> int:
        """How many times as fast as the wall."""
        ...

    @property
    def ahead_s(self) -> float:
        """By how much it is ahead of the kitchen's clock; negative is behind [s]."""
        ...

    def now(self) -> datetime:
        """With its zone."""
        ...


def boot_s() -> float:
    """A count of seconds that goes on while the machine sleeps, where the system has one."""
    if hasattr(time, "CLOCK_BOOTTIME"):
        return time.clock_gettime(time.CLOCK_BOOTTIME)
    return time.monotonic()


class KitchenClock:
    """The time of the kitchen.

    Parameters
    ----------
    wall, steady : for tests
    """

    def __init__(
        self,
        wall: Callable[[], datetime] = lambda: datetime.now(UTC),
        steady: Callable[[], float] = boot_s,
    ) -> None:
        self._wall, self._steady = wall, steady
        self._lock = Lock()
        self._anchor, self._count = wall(), steady()
        self._before: tuple[datetime, float] | None = None
        self._carried: dict[Kept, CookClock] = {}

    def now(self) -> datetime:
        """The kitchen's time."""
        with self._lock:
            return self._now()

    def _now(self) -> datetime:
        return self._anchor + timedelta(seconds=self._steady() - self._count)

    def both(self, cook_id: str, own: "CookClock | None") -> "tuple[datetime, CookClock | None]":
        """The kitchen's time, and the clock of a cook that goes with it.

        Parameters
        ----------
        own : as it was read; it may have been read before the kitchen was set right
        """
        with self._lock:
            return self._now(), self._carried.get((cook_id, own), own)

    def difference_s(self) -> float:
        """By how much the wall clock is ahead of the kitchen's: it was set [s]."""
        return (self._wall() - self.now()).total_seconds()

    def set_right(self, running: "Mapping[str, CookClock | None]") -> "dict[str, CookClock]":
        """Follow the wall clock from now on; every cook under way goes on by its own time.

        Who has read a clock of before keeps the time of that cook too: both change in one moment.

        Parameters
        ----------
        running : the clocks of the cooks under way, by their id

        Returns
        -------
        Their clocks from now on, to be kept.
        """
        with self._lock:
            stood = self._now()
            self._before = (self._anchor, self._count)
            self._anchor, self._count = self._wall(), self._steady()
            kept = {
                cook_id: CookClock(self._anchor, stood)
                if own is None
                else CookClock(self._anchor, own.at(stood), own.speed)
                for cook_id, own in running.items()
            }
            self._carried = {(cook_id, running[cook_id]): clock for cook_id, clock in kept.items()}
        return kept

    def set_back(self) -> None:
        """Undo `set_right`: what it returned could not be kept."""
        with self._lock:
            if self._before is not None:
                self._anchor, self._count = self._before
            self._before, self._carried = None, {}

    def forget(self, cook_id: str) -> None:
        """The cook goes by the kitchen's clock again."""
        with self._lock:
            self._carried = {key: own for key, own in self._carried.items() if key[0] != cook_id}


@dataclass(frozen=True, slots=True)
class CookClock:
    """A cook's own time: at `base` of the kitchen it was `cook`, and it runs `speed` times as fast.

    It never goes back, also when the kitchen's clock does.
    """

    base: datetime
    cook: datetime
    speed: int = 1

    def at(self, kitchen: datetime) -> datetime:
        """The cook's time at a moment of the kitchen."""
        gone = max((kitchen - self.base).total_seconds(), 0.0)
        return self.cook + timedelta(seconds=gone * self.speed)

    def to_document(self) -> dict[str, Any]:
        """As it is kept with the cook."""
        return {"base": self.base.isoformat(), "cook": self.cook.isoformat(), "speed": self.speed}


Kept: TypeAlias = tuple[str, CookClock | None]
"""A cook, and its clock as it was read."""


def read_cook_clock(document: Mapping[str, Any]) -> CookClock:
    """Read what `CookClock.to_document` wrote.

    Raises
    ------
    ValueError : it is not whole, or no time that can be.
    """
    try:
        base, cook = (datetime.fromisoformat(document[name]) for name in ("base", "cook"))
        speed = document["speed"]
    except (KeyError, TypeError) as error:
        raise ValueError("the clock of this cook is not whole") from error
    if base.tzinfo is None or cook.tzinfo is None or speed not in SPEEDS:
        raise ValueError("the clock of this cook cannot be")
    if not all(EARLIEST <= moment <= LATEST for moment in (base, cook)):
        raise ValueError("the clock of this cook is out of all time")
    return CookClock(base, cook, speed)


class ClockOfCook:
    """The time of one cook, read from the kitchen's clock.

    Parameters
    ----------
    own : as it is kept with the cook; none when it goes by the kitchen's clock
    """

    def __init__(self, kitchen: KitchenClock, cook_id: str, own: CookClock | None) -> None:
        self._kitchen, self._cook_id, self._own = kitchen, cook_id, own

    @property
    def own(self) -> CookClock | None:
        """The clock as it was read."""
        return self._own

    @property
    def speed(self) -> int:
        """How many times as fast as the wall."""
        return 1 if self._own is None else self._own.speed

    @property
    def ahead_s(self) -> float:
        """By how much it is ahead of the kitchen's clock."""
        kitchen, own = self._kitchen.both(self._cook_id, self._own)
        return 0.0 if own is None else (own.at(kitchen) - kitchen).total_seconds()

    def now(self) -> datetime:
        """The cook's time."""
        kitchen, own = self._kitchen.both(self._cook_id, self._own)
        return kitchen if own is None else own.at(kitchen)

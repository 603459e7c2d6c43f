"""The kitchen's clock: the wall's, or a faster one for trying things out; it never goes back."""

import json
import os
import time
from collections.abc import Callable
from datetime import UTC, datetime, timedelta
from pathlib import Path
from threading import Lock
from typing import Protocol

SPEEDS = (1, 10, 60, 240)
"""How many times as fast as the wall."""


class Clock(Protocol):
    """What time it is in the kitchen."""

    @property
    def speed(self) -> int:
        """How many times as fast as the wall."""
        ...

    def now(self) -> datetime:
        """With its zone."""
        ...


def write_whole(file: Path, content: bytes) -> None:
    """Write a file so that it is there whole or not at all, also when the power fails."""
    file.parent.mkdir(parents=True, exist_ok=True)
    beside = file.with_suffix(".new")
    with beside.open("wb") as opened:
        opened.write(content)
        opened.flush()
        os.fsync(opened.fileno())
    beside.replace(file)


class KitchenClock:
    """A clock that setting the wall's does not move.

    It runs by the machine's own steady count while the app runs, and over a restart by the wall
    clock; never back.

    Parameters
    ----------
    file : where a speed other than the wall's is kept
    wall, steady : for tests
    """

    def __init__(
        self,
        file: Path,
        wall: Callable[[], datetime] = lambda: datetime.now(UTC),
        steady: Callable[[], float] = time.monotonic,
    ) -> None:
        self._file, self._wall, self._steady = file, wall, steady
        self._lock = Lock()
        self._speed = 1
        self._anchor = wall()
        self._count = steady()
        self._read()

    def _read(self) -> None:
        try:
            kept = json.loads(self._file.read_text(encoding="utf-8"))
            kitchen = datetime.fromisoformat(kept["kitchen"])
            wall = datetime.fromisoformat(kept["wall"])
            speed = int(kept["speed"])
        except (OSError, ValueError, KeyError, TypeError):
            return  # no file, or one that was cut short: the wall's time is never wrong
        gone = max((self._anchor - wall).total_seconds(), 0.0)
        self._speed = speed if speed in SPEEDS else 1
        self._anchor = max(kitchen + timedelta(seconds=gone * self._speed), kitchen)

    @property
    def speed(self) -> int:
        """How many times as fast as the wall."""
        return self._speed

    def now(self) -> datetime:
        """The kitchen's time."""
        gone = self._steady() - self._count
        return self._anchor + timedelta(seconds=gone * self._speed)

    def set_speed(self, speed: int) -> None:
        """Go on from now so many times as fast; what was ahead of the wall stays ahead.

        Raises
        ------
        ValueError : no such speed.
        """
        if speed not in SPEEDS:
            raise ValueError(f"{speed} is not one of {SPEEDS}")
        with self._lock:
            self._anchor, self._count = self.now(), self._steady()
            self._speed = speed
            self._keep()

    def keep(self) -> None:
        """Write down where it stands, so that a restart goes on from here."""
        with self._lock:
            self._anchor, self._count = self.now(), self._steady()
            self._keep()

    def not_before(self, moment: datetime) -> None:
        """Never earlier than what was already written down."""
        with self._lock:
            if self.now() < moment:
                self._anchor, self._count = moment, self._steady()

    def _keep(self) -> None:
        kept = {
            "kitchen": self._anchor.isoformat(),
            "wall": self._wall().isoformat(),
            "speed": self._speed,
        }
        write_whole(self._file, json.dumps(kept).encode())

"""A simulated pot.

It runs by the kitchen's clock whether or not anybody looks, as a real one does: what was done to it
is kept in a file, line by line, and what became of it follows from that. So the app may be killed
in mid-hold, and the pot goes on.
"""

import json
import os
from collections.abc import Callable, Sequence
from dataclasses import asdict, dataclass, replace
from datetime import datetime, timedelta
from pathlib import Path
from threading import RLock
from typing import Any

import numpy as np

from pneumachron.core.catalog.pots import Pot
from pneumachron.core.physics.steam import ambient_pressure_pa, saturation_pressure_pa
from pneumachron.core.planning.request import ResolvedRequest
from pneumachron.core.session.simulated_pot import (
    STEP_S,
    Inside,
    LiveError,
    LivePot,
    LiveState,
    Truth,
    inside_of,
)
from pneumachron.devices.clock import Clock
from pneumachron.devices.protocol import (
    AwayError,
    Change,
    DeviceError,
    HandAction,
    PotCommand,
    PotReading,
    Sample,
)
from pneumachron.files import PRIVATE_FILE, make_private_folder, write_whole

NOISE_K = 0.2
"""Of the sensor at the base. Judgement."""
PROBE_NOISE_K = 0.7
"""Of a kitchen probe. Common practice."""
SAMPLE_S = 15.0
LONGEST = timedelta(hours=24)
"""A pot that nobody touched for a day is taken as switched off."""


@dataclass(frozen=True, slots=True)
class Faults:
    """What can be switched on, to see what happens."""

    weak_heater: bool = False
    leaking_gasket: bool = False
    stuck_base: bool = False
    away: bool = False

    def of(self, truth: Truth) -> Truth:
        """The truth with these faults."""
        return replace(
            truth,
            heat_ratio=truth.heat_ratio * (0.7 if self.weak_heater else 1.0),
            leak_m2=8e-6 if self.leaking_gasket else truth.leak_m2,
        )


class SimulatedPot:
    """One pot of the household, simulated.

    Parameters
    ----------
    pot, altitude_m : what stands in the kitchen
    file : what was done to it, a line each
    clock : the kitchen's
    read : turns what was typed into what goes into the pot
    seed : of its noise and of what nobody knows of it
    """

    def __init__(
        self,
        pot: Pot,
        altitude_m: float,
        file: Path,
        clock: Clock,
        read: Callable[[dict[str, Any]], ResolvedRequest],
        *,
        seed: int = 1,
    ) -> None:
        self._pot, self._altitude_m, self._file = pot, altitude_m, file
        self._clock, self._read, self._seed = clock, read, seed
        self._truth = hidden_truth(seed)
        self._faults = Faults()
        self._lock = RLock()
        self._changes: list[Change] = []
        self._samples: list[Sample] = []
        self._made = clock.now()
        self._touched = self._made
        self._live = self._empty()
        self._replay()

    def follow(self, clock: Clock) -> None:
        """Go by the clock of the cook that is in it now."""
        with self._lock:
            self._clock = clock

    def shift(self, by: timedelta) -> None:
        """Move everything that was done to it and that became of it, with the cook's own times.

        Raises
        ------
        OSError : it cannot be written down; nothing moved.
        """
        with self._lock:
            lines = [json.loads(text) for text in self._file.read_text("utf-8").splitlines()]
            for line in lines:
                line["at"] = (datetime.fromisoformat(line["at"]) + by).isoformat()
            text = "".join(json.dumps(line) + "\n" for line in lines)
            write_whole(self._file, text.encode())
            self._made, self._touched = self._made + by, self._touched + by
            self._changes = [replace(item, at=item.at + by) for item in self._changes]
            self._samples = [replace(item, at=item.at + by) for item in self._samples]

    # what a driver does

    def reading(self) -> PotReading:
        """What it shows now."""
        with self._lock:
            self._present()
            self._run_to(self._clock.now())
            live = self._live
            return PotReading(
                at=self._clock.now(),
                state=live.state,
                temp_c=live.water_c + self._noise(NOISE_K),
                pin_up=live.pin_up,
                left_s=live.left_s if live.state == "holding" else None,
                spitting=live.spitting,
            )

    def changes(self, after: datetime) -> Sequence[Change]:
        """States since a moment."""
        with self._lock:
            self._present()
            self._run_to(self._clock.now())
            return [change for change in self._changes if change.at > after]

    def samples(self, after: datetime) -> Sequence[Sample]:
        """Points of the trace since a moment."""
        with self._lock:
            self._present()
            self._run_to(self._clock.now())
            return [sample for sample in self._samples if sample.at > after]

    def command(self, command: PotCommand, *, hold_s: float = 0.0, gauge_pa: float = 0.0) -> None:
        """Press its panel."""
        with self._lock:
            self._present()
            self._do({"do": command, "hold_s": hold_s, "gauge_pa": gauge_pa})

    # what hands do

    def hands(self, action: HandAction, *, volume_m3: float = 0.0) -> None:
        """What a person does."""
        with self._lock:
            self._do({"do": action, "volume_m3": volume_m3})

    def load(self, inputs: dict[str, Any]) -> None:
        """Empty it and fill it anew, lid off; forgets what was before."""
        with self._lock:
            self._file.unlink(missing_ok=True)
            self._made = self._clock.now()
            self._live, self._changes, self._samples = self._empty(), [], []
            self._faults = Faults()
            self._do({"do": "load", "inputs": inputs})

    def set_faults(self, faults: Faults) -> None:
        """Switch faults on or off."""
        with self._lock:
            self._do({"do": "faults", "faults": asdict(faults)})

    @property
    def faults(self) -> Faults:
        """What is switched on."""
        return self._faults

    def probe_c(self) -> float:
        """A probe in the middle. With the lid on it reads the steam: only an open pot tells."""
        with self._lock:
            self._run_to(self._clock.now())
            live = self._live
            seen = live.core_c if live.state == "open" else live.water_c
            return seen + self._noise(PROBE_NOISE_K)

    # inside

    def _present(self) -> None:
        if self._faults.away:
            raise AwayError(self._pot.name)

    def _empty(self) -> LivePot:
        return LivePot(self._pot, self._altitude_m, Inside((), 0.0, 0.0), self._truth)

    def _do(self, line: dict[str, Any]) -> None:
        """Do it, and only then write it down; what was refused leaves no line."""
        now = self._clock.now()
        self._run_to(now)
        try:
            self._apply(line)
        except LiveError as error:
            raise DeviceError.of(error) from None
        self._touched = now
        self._note_change(now)
        make_private_folder(self._file.parent)
        handle = os.open(self._file, os.O_WRONLY | os.O_CREAT | os.O_APPEND, PRIVATE_FILE)
        whole = os.fstat(handle).st_size
        try:
            os.write(handle, (json.dumps({"at": now.isoformat(), **line}) + "\n").encode())
            os.fsync(handle)
        except OSError:
            os.ftruncate(handle, whole)  # half a line would spoil the next one
            raise
        finally:
            os.close(handle)

    def _replay(self) -> None:
        """Do again what the file says; a last line that was cut short is none."""
        try:
            lines = self._file.read_text(encoding="utf-8", errors="replace").splitlines()
        except OSError:
            return
        for text in lines:
            try:
                line = json.loads(text)
                at = datetime.fromisoformat(line["at"])
                if line["do"] == "load":
                    self._made = at
                self._run_to(at)
                self._apply(line)
            except (ValueError, KeyError, TypeError, LiveError):
                continue
            self._touched = at
            self._note_change(at)

    def _apply(self, line: dict[str, Any]) -> None:
        live, what = self._live, line["do"]
        match what:
            case "load":
                setup = self._read(line["inputs"])
                truth = self._faults.of(self._truth)
                self._live = LivePot(self._pot, self._altitude_m, inside_of(setup, truth), truth)
            case "faults":
                self._faults = Faults(**line["faults"])
                live.truth = self._faults.of(self._truth)
                live.inside = replace(live.inside, stuck=self._faults.stuck_base)
            case "set":
                live.set_program(float(line["hold_s"]), float(line["gauge_pa"]))
            case "pour":
                live.pour(float(line["volume_m3"]))
            case _:
                _PLAIN[what](live)

    def _run_to(self, moment: datetime) -> None:
        """Let time pass, writing down states and the trace as they come."""
        moment = min(moment, self._touched + LONGEST)
        wanted = (moment - self._made).total_seconds()
        while self._live.clock_s + STEP_S <= wanted:
            self._live.advance(STEP_S)
            at = self._made + timedelta(seconds=self._live.clock_s)
            self._note_change(at)
            if self._live.clock_s % SAMPLE_S < STEP_S:
                self._samples.append(self._sample(at))

    def _note_change(self, at: datetime) -> None:
        state: LiveState = self._live.state
        if not self._changes or self._changes[-1].state != state:
            self._changes.append(Change(at, state))

    def _sample(self, at: datetime) -> Sample:
        temp = self._live.water_c + self._noise(NOISE_K)
        outside = float(ambient_pressure_pa(self._altitude_m))
        shut = self._live.state not in {"open", "no_vessel"}
        inside = float(saturation_pressure_pa(temp)) if shut else outside
        return Sample(at, temp, max(inside - outside, 0.0))

    def _noise(self, spread: float) -> float:
        """The same for the same moment, so that a replay tells the same."""
        step = round(self._live.clock_s / STEP_S)
        return float(np.random.default_rng((self._seed, step)).normal(0.0, spread))


_PLAIN: dict[str, Callable[[LivePot], None]] = {
    "start": LivePot.start,
    "stop": LivePot.stop,
    "vent": lambda live: live.vent(on=True),
    "shut_valve": lambda live: live.vent(on=False),
    "lid_on": LivePot.lid_on,
    "lid_off": LivePot.lid_off,
    "stir": LivePot.stir,
    "vessel_out": lambda live: live.vessel(present=False),
    "vessel_in": lambda live: live.vessel(present=True),
}


def hidden_truth(seed: int) -> Truth:
    """What nobody knows of a pot: as far off as pots are (heat ±8 %, pressure ±3 %). Judgement."""
    drawn = np.random.default_rng(seed).normal(1.0, (0.08, 0.05, 0.03))
    heat, loss, gauge = np.clip(drawn, 0.8, 1.2)
    return Truth(heat_ratio=float(heat), loss_ratio=float(loss), gauge_ratio=float(gauge))

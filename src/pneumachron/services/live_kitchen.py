"""The kitchen as it is now: its clock, and the pots that are connected."""

from collections.abc import Callable, Iterator
from contextlib import contextmanager
from hashlib import sha256
from pathlib import Path
from threading import Lock
from typing import Any

from cachetools import LRUCache

from pneumachron.core.catalog.pots import Pot, check_pot
from pneumachron.core.errors import RequestError
from pneumachron.core.planning.plan import Plan, make_plan
from pneumachron.core.planning.request import CookRequest, ResolvedRequest
from pneumachron.devices.clock import Clock, ClockOfCook, KitchenClock, read_cook_clock
from pneumachron.devices.scale import LoadedScale, SimulatedScale
from pneumachron.devices.simulated import SimulatedPot
from pneumachron.services.inputs import Defaults, PieceInputs, PlanInputs, read_request
from pneumachron.store.records import StoredCook

CLOCK_FILE = "clock.json"
DEVICES_FOLDER = "devices"


def stored_inputs(document: dict[str, Any]) -> PlanInputs:
    """What was typed, as it was stored."""
    pieces = tuple(PieceInputs(**piece) for piece in document["pieces"])
    return PlanInputs(**{**document, "pieces": pieces})


def check_kitchen(kitchen: dict[str, Any]) -> None:
    """Refuse a kitchen of a file that a cook cannot be read in.

    Raises
    ------
    RequestError : something is missing or of another kind.
    """
    try:
        check_pot(Pot(**kitchen["pot"]))
        _defaults(kitchen)
    except (TypeError, KeyError) as error:
        raise RequestError("kitchen", "cooks", detail=str(error)[:120]) from None


def _defaults(kitchen: dict[str, Any]) -> Defaults:
    kept = kitchen["defaults"]
    taste, known = (
        tuple((str(cut), float(moved)) for cut, moved in kept.get(name, ()))
        for name in ("taste_ln", "taste_sd")
    )
    return Defaults(**{**kept, "taste_ln": taste, "taste_sd": known})


def plan_of(inputs: dict[str, Any], kitchen: dict[str, Any]) -> Plan:
    """The plan of a cook, in the kitchen as it was when it began."""
    return make_plan(request_of(inputs, kitchen))


def request_of(inputs: dict[str, Any], kitchen: dict[str, Any]) -> CookRequest:
    """What was asked for, in the kitchen as it was when it began."""
    pot = Pot(**kitchen["pot"])
    return read_request(stored_inputs(inputs), pot, _defaults(kitchen))


def _setup_of(loaded: dict[str, Any]) -> ResolvedRequest:
    return plan_of(loaded["inputs"], loaded["kitchen"]).setup


MAX_REMEMBERED = 128
"""Folds and traces of cooks that are kept in memory."""


class CookMemory:
    """What was folded of cooks, kept so that only what is new is read and folded."""

    def __init__(self) -> None:
        self._kept: LRUCache[str, object] = LRUCache(MAX_REMEMBERED)
        self._lock = Lock()

    def get(self, key: str) -> object:
        """What was kept under a key; None: nothing."""
        with self._lock:
            return self._kept.get(key)

    def keep(self, key: str, value: object) -> None:
        """Keep it in place of what was kept under this key."""
        with self._lock:
            self._kept[key] = value

    def forget(self) -> None:
        """Read everything from the store again: its past was written anew."""
        with self._lock:
            self._kept.clear()


STRIPES = 64


class Turns:
    """Who tells something of a cook waits for the others that do, and sees what they wrote.

    Other cooks are hardly held up: a lock stands for one in `STRIPES` of them.
    """

    def __init__(self) -> None:
        self._locks = tuple(Lock() for _ in range(STRIPES))

    @contextmanager
    def of(self, cook_id: str, wait_s: float) -> Iterator[None]:
        """The turn of a cook.

        Raises
        ------
        TimeoutError : the others did not finish in time.
        """
        lock = self._locks[hash(cook_id) % STRIPES]
        if not lock.acquire(timeout=wait_s):
            raise TimeoutError("the turn of a cook")
        try:
            yield
        finally:
            lock.release()


class LiveKitchen:
    """One clock, one simulated scale, and a simulated pot for each one that is connected."""

    def __init__(self, folder: Path, make_clock: Callable[[], KitchenClock] = KitchenClock) -> None:
        self._folder = folder
        self.clock = make_clock()
        self.memory = CookMemory()
        self.turns = Turns()
        self.scale: LoadedScale = SimulatedScale()
        self._pots: dict[str, SimulatedPot] = {}
        self._lock = Lock()

    @property
    def old_clock_file(self) -> Path:
        """Where version 1 kept one time for the whole kitchen."""
        return self._folder / CLOCK_FILE

    def clock_of(self, stored: StoredCook) -> ClockOfCook:
        """The time of a cook."""
        own = stored.content.clock
        return ClockOfCook(
            self.clock, stored.cook_id, None if own is None else read_cook_clock(own)
        )

    def pot(self, kitchen: dict[str, Any], clock: Clock) -> SimulatedPot:
        """The simulated stand-in for a pot, made when it is first asked for.

        Parameters
        ----------
        clock : of the cook that asks
        """
        pot = Pot(**kitchen["pot"])
        with self._lock:
            if pot.pot_id not in self._pots:
                digest = sha256(pot.pot_id.encode()).hexdigest()
                self._pots[pot.pot_id] = SimulatedPot(
                    pot,
                    float(kitchen["defaults"]["altitude_m"]),
                    self._folder / DEVICES_FOLDER / f"{digest[:16]}.jsonl",
                    clock,
                    _setup_of,
                    seed=int(digest[:8], 16),
                )
            found = self._pots[pot.pot_id]
        found.follow(clock)
        return found

"""The kitchen as it is now: its clock, and the pots that are connected."""

from collections.abc import Callable
from hashlib import sha256
from pathlib import Path
from threading import Lock
from typing import Any

from pneumachron.core.errors import WishError
from pneumachron.core.plan import Plan, make_plan
from pneumachron.core.pots import Pot, check_pot
from pneumachron.core.wish import Setup
from pneumachron.devices.clock import KitchenClock
from pneumachron.devices.scale import LoadedScale, SimulatedScale
from pneumachron.devices.simulated import SimulatedPot
from pneumachron.services.inputs import Defaults, PieceInputs, PlanInputs, read_wish

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
    WishError : something is missing or of another kind.
    """
    try:
        check_pot(Pot(**kitchen["pot"]))
        _defaults(kitchen)
    except (TypeError, KeyError) as error:
        raise WishError(
            "kitchen",
            "cooks",
            f"The kitchen of a cook in this file is not whole: {str(error)[:120]}.",
            "Take a backup as the app wrote it.",
        ) from None


def _defaults(kitchen: dict[str, Any]) -> Defaults:
    kept = kitchen["defaults"]
    taste = tuple((str(cut), float(moved)) for cut, moved in kept["taste_ln"])
    return Defaults(**{**kept, "taste_ln": taste})


def plan_of(inputs: dict[str, Any], kitchen: dict[str, Any]) -> Plan:
    """The plan of a cook, in the kitchen as it was when it began."""
    pot = Pot(**kitchen["pot"])
    defaults = _defaults(kitchen)
    return make_plan(read_wish(stored_inputs(inputs), pot, defaults))


def _setup_of(loaded: dict[str, Any]) -> Setup:
    return plan_of(loaded["inputs"], loaded["kitchen"]).setup


class LiveKitchen:
    """One clock, one simulated scale, and a simulated pot for each one that is connected."""

    def __init__(
        self, folder: Path, make_clock: Callable[[Path], KitchenClock] = KitchenClock
    ) -> None:
        self._folder = folder
        self.clock = make_clock(folder / CLOCK_FILE)
        self.scale: LoadedScale = SimulatedScale()
        self._pots: dict[str, SimulatedPot] = {}
        self._lock = Lock()

    def pot(self, kitchen: dict[str, Any]) -> SimulatedPot:
        """The simulated stand-in for a pot, made when it is first asked for."""
        pot = Pot(**kitchen["pot"])
        with self._lock:
            if pot.pot_id not in self._pots:
                digest = sha256(pot.pot_id.encode()).hexdigest()
                self._pots[pot.pot_id] = SimulatedPot(
                    pot,
                    float(kitchen["defaults"]["altitude_m"]),
                    self._folder / DEVICES_FOLDER / f"{digest[:16]}.jsonl",
                    self.clock,
                    _setup_of,
                    seed=int(digest[:8], 16),
                )
            return self._pots[pot.pot_id]

"""Unlike pieces in one pot: open half way, take out what is soft, close again.

One time for all leaves the thin ones past what was wished, or the thick ones short of it. Here
both cycles are worked out: the pot keeps its heat and the thick pieces their warmth (again.py
puts pots on again in the same way).
"""

from dataclasses import dataclass, fields, replace
from math import ceil

import numpy as np

from pneumachron.core.cooker.cook_time import Run, Search
from pneumachron.core.cooker.meat_cases import MeatCases
from pneumachron.core.cooker.pot_heat import STEP_S, AfterHold, PotCases
from pneumachron.core.planning.load import Load
from pneumachron.core.planning.request import CookRequest, ResolvedRequest, resolve
from pneumachron.core.planning.scenarios import first_cases, frozen_extra_min, texture_reached

OPEN_S = 300.0
"""Lid off, thin pieces out, lid on again. Common practice."""
UNLIKE_STEPS = 0.75
"""Kinds nearer than this on the ladder are done together."""
NO_NEED_MIN = 1e-6
"""What is not waited for."""
_QUICK = AfterHold(wait_s=0.0, stand_s=OPEN_S + STEP_S)
"""What comes out goes on softening under foil for as long as the pot stands open."""


@dataclass(frozen=True, slots=True)
class EarlyOut:
    """Two cycles. `out` and `stays` are indices of kinds of pieces."""

    out: tuple[int, ...]
    stays: tuple[int, ...]
    first_min: int
    """Minutes under pressure with everything, then a quick release."""
    second_min: int
    """Minutes under pressure with what stays, released as planned."""
    done_s: float
    """From lid on until the lid is off for good."""
    tenderness_steps: tuple[float, ...]
    """Of each kind when it comes out."""


@dataclass(frozen=True, slots=True)
class TwoCycles:
    """Both cycles as they run. The second one's times count from the first lid on."""

    setup: ResolvedRequest
    early: EarlyOut
    first: Run
    last: Run

    @property
    def restart_s(self) -> float:
        """The lid is on again [s]."""
        return self.first.open_s + OPEN_S

    @property
    def stays(self) -> Load:
        """The meat of the second cycle, its kinds in the order of `early.stays`."""
        kinds = self.setup.request.load.kinds()
        chosen = (kinds[index] for index in self.early.stays)
        return Load(tuple(piece for piece, count in chosen for _ in range(count)))


def early_out(request: CookRequest) -> EarlyOut | None:
    """Both cycles for a load of unlike pieces; None when all are done together.

    Raises
    ------
    As `two_cycles`.
    """
    found = two_cycles(request)
    return None if found is None else found.early


def two_cycles(request: CookRequest) -> TwoCycles | None:
    """The same with both runs of the cooker.

    Nor with poultry: it takes one time, in which the thickest piece is safe (poultry.py).

    Raises
    ------
    RequestError : the request itself cannot be met.
    """
    kinds = request.load.kinds()
    if len(kinds) < 2 or any(piece.cut.kind == "poultry" for piece, _ in kinds):
        return None
    setup = resolve(request)
    cases, meat = first_cases(setup)
    together = Search(cases, meat, setup.after)
    steps = _steps(setup, together.run(float(together.holds_s()[0])).final_softening_min)
    firmest = min(steps)
    out = tuple(i for i, step in enumerate(steps) if step >= firmest + UNLIKE_STEPS)
    stays = tuple(i for i in range(len(kinds)) if i not in out)
    if not out:
        return None
    return _two_cycles(setup, cases, meat, out, stays)


def _two_cycles(
    setup: ResolvedRequest,
    cases: PotCases,
    meat: MeatCases,
    out: tuple[int, ...],
    stays: tuple[int, ...],
) -> TwoCycles | None:
    # what stays needs nothing in the first cycle: what comes out sets its time
    need = meat.softening_min.copy()
    need[:, list(stays)] = NO_NEED_MIN
    first = Search(cases, replace(meat, softening_min=need), _QUICK)
    extra_min = frozen_extra_min(setup.request.load)
    first_min = setup.request.pot.settable_min(float(first.holds_s()[0]) / 60.0 + extra_min)
    run = first.run(60.0 * first_min)
    rise_k = np.diff(run.pot_c)[np.newaxis]
    left = _kinds(meat, stays)
    solids_m3 = cases.solids_m3 - _volume_m3(setup.request.load, out)
    second = Search(replace(cases, solids_m3=solids_m3), left, setup.after, past_rise_k=rise_k)
    second_min = ceil(float(second.holds_s()[0]) / 60.0)
    if second_min < 1:
        return None
    last = second.run(60.0 * second_min)
    doses = np.array(run.final_softening_min)
    doses[list(stays)] = last.final_softening_min
    reached = tuple(_steps(setup, doses))
    early = EarlyOut(out, stays, first_min, second_min, last.open_s, reached)
    return TwoCycles(setup, early, run, last)


def _steps(setup: ResolvedRequest, doses_min: np.typing.NDArray[np.float64]) -> list[float]:
    pairs = zip(setup.request.load.kinds(), doses_min, strict=True)
    return [texture_reached(piece, float(dose)) for (piece, _), dose in pairs]


def _kinds(meat: MeatCases, which: tuple[int, ...]) -> MeatCases:
    return MeatCases(*(getattr(meat, field.name)[:, list(which)] for field in fields(meat)))


def _volume_m3(load: Load, which: tuple[int, ...]) -> float:
    kinds = load.kinds()
    return sum(kinds[i][0].volume_m3 * kinds[i][1] for i in which)

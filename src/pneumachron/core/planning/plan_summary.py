"""Short answers: hold and total of many requests at once, without range and reasons.

Requests for one pot are stepped side by side, whatever else they differ in; ways of releasing share
the come-up. So eight of them cost little more than one.
"""

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import groupby

import numpy as np

from pneumachron.core.cooker.cook_time import Openings, Search
from pneumachron.core.cooker.meat_cases import MeatCases
from pneumachron.core.cooker.pot_heat import PotCases
from pneumachron.core.errors import RequestError
from pneumachron.core.physics.steam import FloatArray
from pneumachron.core.planning.poultry import floor_min
from pneumachron.core.planning.request import ResolvedRequest
from pneumachron.core.planning.scenarios import first_cases, frozen_extra_min, texture_reached


@dataclass(frozen=True, slots=True)
class PlanSummary:
    """What a cook comes to; step of tenderness and core are those of the slowest piece."""

    hold_min: int
    lid_on_to_open_s: float
    done_s: float
    """From lid on until the meat comes out of the pot."""
    tenderness_step: float
    core_at_open_c: float
    then_min: int | None = None
    """Minutes under pressure of a second run, with what is not done in the first."""


def summaries_of(setups: Sequence[ResolvedRequest]) -> list[PlanSummary | RequestError]:
    """An answer for each of these, or why there is none."""
    found: dict[int, PlanSummary | RequestError] = {}
    alike = sorted(range(len(setups)), key=lambda i: _batch_key(setups[i]))
    for _, group in groupby(alike, key=lambda i: _batch_key(setups[i])):
        rows = list(group)
        together: list[PlanSummary | RequestError]
        try:
            together = [*_batch([setups[i] for i in rows])]
        except RequestError:
            # one of them cannot be: find out which
            together = [_alone(setups[i]) for i in rows]
        found.update(zip(rows, together, strict=True))
    return [found[i] for i in range(len(setups))]


def summary_of(setup: ResolvedRequest) -> PlanSummary:
    """The answer for one.

    Raises
    ------
    RequestError : it cannot be cooked.
    """
    return _batch([setup])[0]


def _alone(setup: ResolvedRequest) -> PlanSummary | RequestError:
    try:
        return summary_of(setup)
    except RequestError as error:
        return error


def _batch_key(setup: ResolvedRequest) -> tuple[str, str, int]:
    """What must be the same in one batch: the pot, and how many kinds of pieces there are."""
    pot = setup.request.pot
    return pot.pot_id, pot.name, len(setup.request.load.kinds())


def _batch(setups: list[ResolvedRequest]) -> list[PlanSummary]:
    cases, meats = zip(*(first_cases(setup) for setup in setups), strict=True)
    floors_min = np.array([float(floor_min(setup)) for setup in setups])
    search = Search(
        PotCases.stacked(cases),
        MeatCases.stacked(meats),
        [setup.after for setup in setups],
        at_least_s=60.0 * float(floors_min.max()),
    )
    found: dict[int, PlanSummary] = {}
    # what is kept warm or boiled is stepped for long: the others need not go along
    for tended in (False, True):
        rows = [i for i, setup in enumerate(setups) if _is_tended(setup) == tended]
        if rows:
            part = search.rows(np.array(rows))
            answers = _summaries([setups[i] for i in rows], part, floors_min[rows])
            found.update(zip(rows, answers, strict=True))
    return [found[i] for i in range(len(setups))]


def _is_tended(setup: ResolvedRequest) -> bool:
    return setup.after.keep_s > 0 or setup.after.boil_s > 0


def _summaries(
    setups: list[ResolvedRequest], search: Search, floor: FloatArray
) -> list[PlanSummary]:
    extra = np.array([frozen_extra_min(setup.request.load) for setup in setups])
    pot = setups[0].request.pot

    def settable(exact_min: FloatArray) -> FloatArray:
        wanted = np.maximum(exact_min + extra, floor)
        return np.array([float(pot.settable_min(minutes)) for minutes in wanted])

    holds_min, opened = search.holds_and_openings(settable)
    return _told(setups, search, holds_min, opened)


def cooked(
    setups: Sequence[ResolvedRequest], search: Search, holds_min: FloatArray
) -> list[PlanSummary]:
    """What whole minutes (V,) make of each case of a search."""
    return _told(setups, search, holds_min, search.openings(60.0 * holds_min))


def _told(
    setups: Sequence[ResolvedRequest], search: Search, holds_min: FloatArray, opened: Openings
) -> list[PlanSummary]:
    open_s, dose, core = opened
    slowest = np.argmin(dose / search.meat.softening_min, axis=-1)
    answers = []
    for v, setup in enumerate(setups):
        kind = int(slowest[v])
        piece = setup.request.load.kinds()[kind][0]
        answers.append(
            PlanSummary(
                hold_min=int(holds_min[v]),
                lid_on_to_open_s=float(open_s[v]),
                done_s=float(open_s[v]) + setup.after.boil_s + setup.soak_s,
                tenderness_step=texture_reached(piece, float(dose[v, kind])),
                core_at_open_c=float(core[v, kind]),
            )
        )
    return answers

"""Fitting what the softening of each cut takes to practice, and leaving each case out.

One model over all families with partial pooling: the log of the dose of a cut is that of its
family plus its own deviation, which a prior of stated width holds back. A case weighs by how much
its family scatters in practice, with a minute and a half for rounding; what is far off counts less
(Huber). Published: Gelman & Hill (2007), chapter 12; Huber (1964); both from memory.
"""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from functools import cache
from unittest.mock import patch

import numpy as np
from scipy.optimize import minimize

from pneumachron.core.constants import DOSE_Z, LADDER_STEP, MEMBRANE_STEPS, Constant
from pneumachron.core.cooker.cook_time import Search
from pneumachron.core.physics.tenderness import TENDER_STEP
from pneumachron.core.planning.request import resolve
from pneumachron.core.planning.scenarios import first_cases
from tests.reference.practice import Case

DEVIATION_SD = 0.2
"""How far a cut lies from its family, as ln dose. Judgement, before the fit."""
PRACTICE_SD = {
    "ribs": 0.09, "brisket": 0.17, "short ribs": 0.24, "flanken": 0.24, "shoulder": 0.21,
    "wings": 0.30,
}  # fmt: skip
"""How practice scatters, as ln minutes. By hand, from how wide its spans are."""
ROUNDING_MIN = 1.5
HUBER = 1.5
LN_DOSES = np.log(np.geomspace(4.0, 900.0, 40))
AT_ONCE = 8
LEAST_MIN = 0.5


@dataclass(frozen=True)
class Law:
    """What practice leaves open of the law of softening, and which words of recipes are meant."""

    z_k: float = DOSE_Z.value
    step_ratio: float = LADDER_STEP.value
    first_reading: bool = False


ENGINE = Law()


@dataclass(frozen=True)
class Fit:
    """Doses for "tender", as ln; `family` where a cut had no case of its own."""

    family: Mapping[str, float]
    cut: Mapping[str, float]

    def of(self, case: Case) -> float | None:
        """What a case is worked out with; None: its family had no other case."""
        return self.cut.get(case.cut, self.family.get(case.family))


@cache
def holds_min(case: Case, z_k: float) -> tuple[float, ...]:
    """The hold of a case for each of `LN_DOSES` [min]."""
    z = Constant(z_k, "K", DOSE_Z.source)
    with (
        patch("pneumachron.core.physics.tenderness.DOSE_Z", z),
        patch("pneumachron.core.cooker.cook_time.DOSE_Z", z),
    ):
        return _holds_min(case)


def _holds_min(case: Case) -> tuple[float, ...]:
    setup = resolve(case.cook_request())
    cases, meat = first_cases(setup)
    doses = np.exp(LN_DOSES)
    search = Search(
        cases, replace(meat, softening_min=np.full_like(meat.softening_min, doses[-1])), setup.after
    )
    found: list[float] = []
    for start in range(0, len(doses), AT_ONCE):
        need = np.broadcast_to(doses[start : start + AT_ONCE], (*meat.softening_min.shape, AT_ONCE))
        found += [float(hold) / 60.0 for hold in search.solve(need)[0]]
    return tuple(found)


def model_min(case: Case, ln_tender: float, law: Law = ENGINE) -> float:
    """The hold of a case when "tender" of its cut takes so much."""
    step = case.first_step if law.first_reading and case.first_step is not None else case.step
    membrane = MEMBRANE_STEPS.value if case.pieces.pieces[0].has_membrane else 0.0
    dose = ln_tender + (step - TENDER_STEP + membrane) * float(np.log(law.step_ratio))
    return max(float(np.interp(dose, LN_DOSES, holds_min(case, law.z_k))), LEAST_MIN)


def fit(cases: Sequence[Case], law: Law = ENGINE) -> Fit:
    """The doses of all cuts and families."""
    family: dict[str, float] = {}
    cut: dict[str, float] = {}
    for name in sorted({case.family for case in cases}):
        own = [case for case in cases if case.family == name]
        family[name], doses = _fit_family(own, law)
        cut |= doses
    return Fit(family, cut)


def _fit_family(cases: Sequence[Case], law: Law) -> tuple[float, dict[str, float]]:
    """ln dose of a family and of each of its cuts."""
    cuts = sorted({case.cut for case in cases})

    def cost(values: np.typing.NDArray[np.float64]) -> float:
        total = float(np.sum(0.5 * (values[1:] / DEVIATION_SD) ** 2))
        for case in cases:
            sd = float(np.hypot(PRACTICE_SD[case.family], ROUNDING_MIN / case.middle_min))
            dose = float(values[0] + values[1 + cuts.index(case.cut)])
            minutes = model_min(case, dose, law)
            away = abs(float(np.log(minutes / case.middle_min))) / sd
            total += 0.5 * away**2 if away < HUBER else HUBER * (away - HUBER / 2)
        return total

    start = np.concatenate([[np.log(80.0)], np.zeros(len(cuts))])
    found = minimize(cost, start, method="Powell", options={"xtol": 1e-4, "ftol": 1e-7}).x
    return float(found[0]), {cut: float(found[0] + found[1 + i]) for i, cut in enumerate(cuts)}


def off_span(case: Case, minutes: float) -> float:
    """ln(model / nearer end of the span), 0 inside it."""
    low, high = case.span
    return float(np.log(minutes / min(max(minutes, low), high)))


def left_out(cases: Sequence[Case], law: Law = ENGINE) -> list[tuple[Case, float]]:
    """Each case by the doses that the others give [min]; not those without any kin."""
    found = []
    for case in cases:
        kin = [other for other in cases if other.family == case.family and other is not case]
        dose = fit(kin, law).of(case)
        if dose is not None:
            found.append((case, model_min(case, dose, law)))
    return found


def rms(values: Sequence[float]) -> float:
    """Root mean square."""
    return float(np.sqrt(np.mean(np.square(values))))

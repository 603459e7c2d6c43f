"""Fitting one dose to the practice of a cut, and what leaving each case out does to it."""

from dataclasses import replace

import numpy as np
from scipy.optimize import brentq

from pneumachron.core.load import Load
from tests.core.kitchen import first_search
from tests.reference.practice import Case


def hold_min(case: Case, dose_min: float, thickness_factor: float) -> float:
    """The hold of a case with another dose and another share of the thickness."""
    wanted = case.wish()
    pieces = tuple(
        replace(
            piece,
            cut=replace(piece.cut, tender_dose_min=dose_min, thickness_factor=thickness_factor),
        )
        for piece in wanted.load.pieces
    )
    whole = replace(wanted, load=Load(pieces))
    return max(float(first_search(whole).holds_s()[0]) / 60.0, 0.5)


def log_error(case: Case, dose_min: float, thickness_factor: float) -> float:
    """ln(model / stated)."""
    return float(np.log(hold_min(case, dose_min, thickness_factor) / case.stated_min))


def fit_dose_min(cases: tuple[Case, ...], thickness_factor: float) -> float:
    """The dose with which the cases err by nothing on average (of the logarithm)."""

    def total(log_dose: float) -> float:
        return sum(log_error(case, float(np.exp(log_dose)), thickness_factor) for case in cases)

    return float(np.exp(brentq(total, np.log(4.0), np.log(600.0), xtol=5e-3)))


def leave_one_out(cases: tuple[Case, ...], thickness_factor: float) -> list[float]:
    """ln(model / stated) of each case with a dose fitted to the others."""
    return [
        log_error(
            case,
            fit_dose_min(tuple(other for other in cases if other is not case), thickness_factor),
            thickness_factor,
        )
        for case in cases
    ]


def rms(values: list[float]) -> float:
    """Root mean square."""
    return float(np.sqrt(np.mean(np.square(values))))

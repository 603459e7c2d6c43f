"""Poultry has a floor: the thickest it may be must be safe in the middle, whatever is wished."""

from dataclasses import replace
from math import ceil

import numpy as np

from pneumachron.core.cooker.cook_time import Search
from pneumachron.core.planning.request import ResolvedRequest
from pneumachron.core.planning.scenarios import THICKEST, cases_of

MARGIN_K = 0.5
"""Over the safe minimum when the lid comes off: a minute is a coarse step. Judgement."""
MOST_MIN = 60
"""No piece of poultry that was checked for needs so long to be safe."""


def floor_min(setup: ResolvedRequest) -> int:
    """Least hold with which all poultry of a load is safe [min]; 0 when there is none.

    Judged for the largest of 8 in 10 pieces of this weight, at the moment the pin drops: what is
    kept warm after that was hot enough before.
    Published: USDA FSIS, 165 °F for poultry (from memory).
    """
    kinds = [piece for piece, _ in setup.request.load.kinds()]
    safe = np.array([p.cut.safe_core_c if p.cut.kind == "poultry" else -np.inf for p in kinds])
    if not np.isfinite(safe).any():
        return 0
    cases, meat = cases_of(setup)
    row = slice(THICKEST, THICKEST + 1)
    pin_down = replace(setup.after, keep_s=0.0, boil_s=0.0)
    search = Search(cases.rows(row), meat.rows(row), pin_down, at_least_s=60.0 * MOST_MIN)

    def is_safe(minutes: int) -> bool:
        _, _, core = search.openings(np.array([60.0 * minutes]))
        return bool(np.all(core[0] >= safe + MARGIN_K))

    low, high = -1, MOST_MIN
    while high - low > 1:
        middle = ceil((low + high) / 2)
        low, high = (low, middle) if is_safe(middle) else (middle, high)
    return high

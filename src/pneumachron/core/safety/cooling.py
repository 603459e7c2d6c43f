"""Cooling of cooked meat: the same conduction, the other way."""

from dataclasses import dataclass
from typing import Literal, TypeAlias, get_args

import numpy as np

from pneumachron.core.catalog.cuts import Cut
from pneumachron.core.constants import Constant
from pneumachron.core.errors import OutOfRangeError
from pneumachron.core.physics.conduction import slab_step_response
from pneumachron.core.physics.steam import FloatArray
from pneumachron.core.safety.limits import COOL_FROM, COOL_TO_FIRST, COOL_TO_LAST, cooled_in_time

Cooler: TypeAlias = Literal["refrigerator", "ice_bath"]
COOLERS: tuple[Cooler, ...] = get_args(Cooler)
COOLER_C: dict[Cooler, float] = {"refrigerator": 3.0, "ice_bath": 1.0}
COOLER_W_M2K: dict[Cooler, float] = {"refrigerator": 9.0, "ice_bath": 500.0}
"""Still air with radiation; stirred ice water through a bag. From memory, ASHRAE."""
SLAB_RANGE_M = (0.005, 0.15)
_STEP_S = 60.0
_LONGEST_S = 48 * 3600.0


@dataclass(frozen=True, slots=True)
class Cooling:
    """How fast the middle of a slab cools, beside the published limits."""

    to_first_s: float
    to_last_s: float

    @property
    def safe(self) -> bool:
        """Whether both limits of the Food Code are met."""
        return cooled_in_time(self.to_first_s, self.to_last_s)


def cooling(cut: Cut, thickness_m: float, cooler: Cooler) -> Cooling:
    """Cooling of a slab of cooked meat from both faces, from 57 °C on.

    Raises
    ------
    OutOfRangeError : a thickness outside what was checked.
    """
    if not SLAB_RANGE_M[0] <= thickness_m <= SLAB_RANGE_M[1]:
        raise OutOfRangeError("thickness", thickness_m, *SLAB_RANGE_M, "m")
    half = thickness_m / 2
    times: FloatArray = _STEP_S * np.arange(1.0, int(_LONGEST_S / _STEP_S))
    biot = np.array(COOLER_W_M2K[cooler] * half / cut.meat.conductivity_w_mk)
    centre = slab_step_response(cut.meat.diffusivity_m2_s / half**2 * times, biot).core
    around = COOLER_C[cooler]
    core = around + (COOL_FROM.value - around) * centre
    return Cooling(_reaches_s(times, core, COOL_TO_FIRST), _reaches_s(times, core, COOL_TO_LAST))


def _reaches_s(times_s: FloatArray, core_c: FloatArray, to: Constant) -> float:
    if not core_c[-1] <= to.value:
        return float("inf")
    return float(np.interp(-to.value, -core_c, times_s))


def thickest_safe_m(cut: Cut, cooler: Cooler) -> float:
    """The thickest layer that cools within the limits, to the millimetre."""
    low, high = SLAB_RANGE_M
    while high - low > 1e-3:
        middle = (low + high) / 2
        if cooling(cut, middle, cooler).safe:
            low = middle
        else:
            high = middle
    return low

"""What the core went through, beside the published minimum. It is shown, and proves nothing."""

from dataclasses import dataclass
from functools import cache

import numpy as np

from pneumachron.core.constants import Constant, Source
from pneumachron.core.cuts import Cut
from pneumachron.core.errors import OutOfRangeError
from pneumachron.core.steam import FloatArray
from pneumachron.core.tables import read_numbers

ZONE_LOW = Constant(4.4, "°C", Source("from memory", "USDA: the danger zone begins at 40 °F"))
ZONE_HIGH = Constant(60.0, "°C", Source("from memory", "USDA: the danger zone ends at 140 °F"))
ZONE_LIMIT = Constant(7200.0, "s", Source("from memory", "USDA: two hours, one above 32 °C"))
INSTANT_C = 70.0
"""158 °F: the published table asks for no holding time from here on."""
COLDEST_PAIR_C = 54.4


@cache
def lethality_pairs() -> tuple[FloatArray, FloatArray]:
    """Published pairs: core temperatures [°C], rising, and the time each asks for [s]."""
    rows = sorted(
        (row["core_temp_c"], row["time_s"]) for row in read_numbers("lethality.csv").values()
    )
    temps, times = zip(*rows, strict=True)
    return np.array(temps), np.array(times)


def needed_time_s(core_c: FloatArray) -> FloatArray:
    """Time the published table asks for at a temperature; infinite below its first row.

    Between rows the logarithm of the time is straight, as the table nearly is itself.
    """
    temps, times = lethality_pairs()
    needed = np.exp(np.interp(core_c, temps, np.log(times)))
    needed = np.where(core_c >= INSTANT_C, 1.0, needed)
    return np.asarray(np.where(core_c < COLDEST_PAIR_C, np.inf, needed))


def lethality_ratio(core_c: FloatArray, step_s: float) -> float:
    """How often over a history meets the published table: 1 is just met.

    Parameters
    ----------
    core_c : (n,) history, evenly spaced [°C]
    step_s : spacing, > 0 [s]
    """
    if not step_s > 0:
        raise OutOfRangeError("step", step_s, 0.0, np.inf, "s")
    return float(np.sum(step_s / needed_time_s(core_c)))


@dataclass(frozen=True, slots=True)
class Safety:
    """The core beside the published minimum."""

    core_at_open_c: float
    safe_core_c: float
    safe_rest_s: float
    above_safe_s: float
    """Time the core was above the safe minimum, up to the end of what is counted."""
    lethality_ratio: float

    @property
    def met(self) -> bool:
        """Whether the published minimum was met."""
        return self.core_at_open_c >= self.safe_core_c and self.above_safe_s >= self.safe_rest_s


def safety_of(cut: Cut, core_c: FloatArray, core_at_open_c: float, step_s: float) -> Safety:
    """What a history means beside the minimum of a cut. `core_c` (n,) [°C]"""
    return Safety(
        core_at_open_c=core_at_open_c,
        safe_core_c=cut.safe_core_c,
        safe_rest_s=cut.safe_rest_s,
        above_safe_s=step_s * int(np.count_nonzero(core_c >= cut.safe_core_c)),
        lethality_ratio=lethality_ratio(core_c, step_s),
    )


def zone_time_s(core_c: FloatArray, step_s: float) -> float:
    """Time between 4 and 60 °C. `core_c` (n,) [°C]"""
    inside = (core_c > ZONE_LOW.value) & (core_c < ZONE_HIGH.value)
    return step_s * int(np.count_nonzero(inside))

"""Food safety: one module for every rule, with its source. It is shown, and proves nothing.

What the middle went through beside the published minimum; how long meat is in the danger zone, raw
before a delayed start, in a pot that stopped, in a slow cooker; how hot what waits is kept; how
fast what is cooked ahead must cool.
"""

from dataclasses import dataclass
from functools import cache

import numpy as np

from pneumachron.core.catalog.cuts import Cut
from pneumachron.core.catalog.tables import read_numbers
from pneumachron.core.constants import Constant, Source
from pneumachron.core.errors import OutOfRangeError
from pneumachron.core.physics.steam import FloatArray

ZONE_LOW = Constant(4.4, "°C", Source("from memory", "USDA: the danger zone begins at 40 °F"))
ZONE_HIGH = Constant(60.0, "°C", Source("from memory", "USDA: the danger zone ends at 140 °F"))
ZONE_LIMIT = Constant(7200.0, "s", Source("from memory", "USDA: two hours, one above 32 °C"))
COOL_FROM = Constant(57.2, "°C", Source("from memory", "FDA Food Code 3-501.14: 135 °F"))
COOL_TO_FIRST = Constant(21.1, "°C", Source("from memory", "FDA Food Code 3-501.14: 70 °F"))
COOL_TO_LAST = Constant(5.0, "°C", Source("from memory", "FDA Food Code 3-501.14: 41 °F"))
FIRST_LIMIT = Constant(7200.0, "s", Source("from memory", "FDA Food Code 3-501.14: 2 h to 70 °F"))
LAST_LIMIT = Constant(21_600.0, "s", Source("from memory", "FDA Food Code 3-501.14: 6 h in all"))
INSTANT_C = {"poultry": 73.9}
"""From here on the published table asks for no holding time: 165 °F; beef and pork 158 °F."""
INSTANT_MEAT_C = 70.0


@cache
def lethality_pairs(kind: str) -> tuple[FloatArray, FloatArray]:
    """Published pairs: core temperatures [°C], rising, and the time each asks for [s].

    `kind` : poultry has its own table; every other kind has that of whole cuts of beef and pork
    """
    table = "poultry" if kind == "poultry" else "pair"
    rows = sorted(
        (row["core_temp_c"], row["time_s"])
        for name, row in read_numbers("lethality.csv").items()
        if name.startswith(table)
    )
    temps, times = zip(*rows, strict=True)
    return np.array(temps), np.array(times)


def needed_time_s(core_c: FloatArray, kind: str) -> FloatArray:
    """Time the published table asks for at a temperature; infinite below its first row.

    Between rows the logarithm of the time is straight, as the table nearly is itself.
    """
    temps, times = lethality_pairs(kind)
    needed = np.exp(np.interp(core_c, temps, np.log(times)))
    needed = np.where(core_c >= INSTANT_C.get(kind, INSTANT_MEAT_C), 1.0, needed)
    return np.asarray(np.where(core_c < temps[0], np.inf, needed))


def lethality_ratio(core_c: FloatArray, step_s: float, kind: str) -> float:
    """How often over a history meets the published table: 1 is just met.

    Parameters
    ----------
    core_c : (n,) history, evenly spaced [°C]
    step_s : spacing, > 0 [s]
    kind : of the meat
    """
    if not step_s > 0:
        raise OutOfRangeError("step", step_s, 0.0, np.inf, "s")
    return float(np.sum(step_s / needed_time_s(core_c, kind)))


@dataclass(frozen=True, slots=True)
class Safety:
    """The core beside the published minimum."""

    core_at_open_c: float
    hottest_c: float
    """Of the core, up to that moment: what is kept warm is cooler when the lid comes off."""
    safe_core_c: float
    safe_rest_s: float
    above_safe_s: float
    """Time the core was above the safe minimum, up to the end of what is counted."""
    lethality_ratio: float
    longest_delay_s: float
    """How long it may wait raw in the pot before the start, its way through the zone counted."""

    @property
    def met(self) -> bool:
        """Whether the published minimum was met."""
        return self.hottest_c >= self.safe_core_c and self.above_safe_s >= self.safe_rest_s


def safety_of(
    cut: Cut, core_c: FloatArray, core_at_open_c: float, step_s: float, open_s: float = np.inf
) -> Safety:
    """What a history means beside the minimum of a cut. `core_c` (n,) [°C], opened at `open_s`."""
    shut = core_c[step_s * np.arange(len(core_c)) <= open_s]
    return Safety(
        core_at_open_c=core_at_open_c,
        hottest_c=max(float(shut.max()), core_at_open_c),
        safe_core_c=cut.safe_core_c,
        safe_rest_s=cut.safe_rest_s,
        above_safe_s=step_s * int(np.count_nonzero(core_c >= cut.safe_core_c)),
        lethality_ratio=lethality_ratio(core_c, step_s, cut.kind),
        longest_delay_s=longest_delay_s(core_c, step_s),
    )


def longest_delay_s(core_c: FloatArray, step_s: float) -> float:
    """How long raw meat may stand in a pot at room temperature before it starts. `core_c` (n,)

    Its surface is in the danger zone at once, and its middle leaves it last.
    """
    hot = core_c >= ZONE_HIGH.value
    until_s = step_s * float(np.argmax(hot) if hot.any() else len(core_c))
    return max(ZONE_LIMIT.value - until_s, 0.0)


def cooled_in_time(to_first_s: float, to_last_s: float) -> bool:
    """Whether both limits of the Food Code for what is cooked ahead are met."""
    return to_first_s <= FIRST_LIMIT.value and to_last_s <= LAST_LIMIT.value


def zone_time_s(core_c: FloatArray, step_s: float) -> float:
    """Time between 4 and 60 °C. `core_c` (n,) [°C]"""
    inside = (core_c > ZONE_LOW.value) & (core_c < ZONE_HIGH.value)
    return step_s * int(np.count_nonzero(inside))

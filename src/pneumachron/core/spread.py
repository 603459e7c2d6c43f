"""How far a hold may be off: what was measured, how practice scatters, what a rule says."""

from dataclasses import dataclass
from math import exp, hypot, log
from typing import Literal, TypeAlias

from pneumachron.core.constants import GUESSED_SPREAD, SIZE_SPREAD

RULE_FROM_M = 2000 * 0.3048
RULE_STEP_M = 1000 * 0.3048
RULE_SHARE = 0.05
"""Extension services: 5 % more time for every 1,000 ft above 2,000 ft. Published, from memory."""
LEAST_MIN = 1.0
"""Below a minute ratios mean nothing."""

MEASURED_SHARE = SIZE_SPREAD.value / GUESSED_SPREAD.value
"""How much less a measured size is off than a guessed one."""

PartKind: TypeAlias = Literal["thickness", "guessed_thickness", "practice", "altitude_rule"]


@dataclass(frozen=True, slots=True)
class Part:
    """One thing that widens the range, by itself."""

    kind: PartKind
    low_min: float
    high_min: float

    def width(self) -> float:
        """How much of the range it makes, in logarithms."""
        return log(max(self.high_min, LEAST_MIN) / max(self.low_min, LEAST_MIN))


@dataclass(frozen=True, slots=True)
class HoldRange:
    """From and to, and what makes the range, the largest first."""

    low_min: float
    high_min: float
    parts: tuple[Part, ...]
    measured_min: tuple[float, float]
    """The range once a guessed thickness is measured; the same when none is guessed."""

    @property
    def largest(self) -> Part:
        """What widens it most."""
        return self.parts[0]


def altitude_rule_min(sea_level_hold_min: float, altitude_m: float) -> float:
    """The hold by the rule of the extension services, for a cross-check."""
    over = max(altitude_m - RULE_FROM_M, 0.0) / RULE_STEP_M
    return sea_level_hold_min * (1.0 + RULE_SHARE * over)


def hold_range(
    hold_min: float,
    *,
    sizes_min: tuple[float, float],
    guessed: bool,
    scatter_ratio: float,
    rule_min: float,
) -> HoldRange:
    """Independent parts added as squares of their logarithms.

    Parameters
    ----------
    hold_min : the hold itself
    sizes_min : holds with all sizes smaller and larger by what they may be off
    guessed : whether a thickness was guessed
    scatter_ratio : how practice scatters around the model, rms of ln hold
    rule_min : hold by the altitude rule; widens its side only
    """
    parts = [
        Part("guessed_thickness" if guessed else "thickness", *sizes_min),
        Part("practice", hold_min * exp(-scatter_ratio), hold_min * exp(scatter_ratio)),
    ]
    if abs(rule_min - hold_min) >= LEAST_MIN:
        parts.append(Part("altitude_rule", min(rule_min, hold_min), max(rule_min, hold_min)))
    share = MEASURED_SHARE if guessed else 1.0
    low, high = _combined(hold_min, parts, 1.0)
    return HoldRange(
        low_min=low,
        high_min=high,
        parts=tuple(sorted(parts, key=lambda part: -part.width())),
        measured_min=_combined(hold_min, parts, share),
    )


def _combined(hold_min: float, parts: list[Part], size_share: float) -> tuple[float, float]:
    """From and to; what comes of the sizes, which is the first part, counts by a share."""
    shares = [size_share] + [1.0] * (len(parts) - 1)
    if not hold_min > 0:
        # what is done with no hold at all may want one when it is larger
        return 0.0, size_share * parts[0].high_min
    down = hypot(
        *(s * _log_ratio(hold_min, part.low_min) for s, part in zip(shares, parts, strict=True))
    )
    up = hypot(
        *(s * _log_ratio(part.high_min, hold_min) for s, part in zip(shares, parts, strict=True))
    )
    base = max(hold_min, LEAST_MIN)
    return min(base * exp(-down), hold_min), max(base * exp(up), hold_min)


def _log_ratio(above_min: float, below_min: float) -> float:
    return log(max(above_min, LEAST_MIN) / max(min(below_min, above_min), LEAST_MIN))

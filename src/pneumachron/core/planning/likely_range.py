"""How sure a hold is: the band in which the right time lies in 8 of 10 kitchens, and what makes it.

Three things move the right time and are not known: how thick the meat really is (its weight is),
what pressure the pot really keeps, and how kitchens and animals differ. The last is the scatter of
practice, until the log knows this kitchen. An altitude rule that disagrees widens its side.
"""

from dataclasses import dataclass
from math import exp, hypot, log
from typing import Literal, TypeAlias

from pneumachron.core.catalog.cuts import Cut
from pneumachron.core.constants import (
    BAND_SDS,
    COOK_SPREAD,
    GUESSED_SPREAD,
    LADDER_STEP,
    SIZE_SPREAD,
)
from pneumachron.core.physics.tenderness import TEXTURES

RULE_FROM_M = 2000 * 0.3048
RULE_STEP_M = 1000 * 0.3048
RULE_SHARE = 0.05
"""Extension services: 5 % more time for every 1,000 ft above 2,000 ft. Published, from memory."""
Z_SPAN_K = (22.0, 33.0)
STEP_SPAN = (1.2, 1.4)
"""z and the ratio of steps: the ends fit practice as well as the middle (docs/validation.md)."""
PRACTICE_C = 116.0
"""Temperature under pressure in the cases of practice: near sea level, 75 kPa."""
LEAST_MIN = 1.0
"""Below a minute ratios mean nothing."""
STEEPEST = 1.5
"""ln time over ln dose at most: a hold near nothing would make it endless. Judgement."""

MEASURED_SHARE = SIZE_SPREAD.value / GUESSED_SPREAD.value
"""How much less a measured size is off than a guessed one."""

PartKind: TypeAlias = Literal[
    "thickness", "guessed_thickness", "pressure", "practice", "log", "model", "altitude_rule"
]


@dataclass(frozen=True, slots=True)
class Part:
    """One thing that makes the band, by itself."""

    kind: PartKind
    low_min: float
    high_min: float

    def width(self) -> float:
        """How much of the band it makes, in logarithms."""
        return log(max(self.high_min, LEAST_MIN) / max(self.low_min, LEAST_MIN))


@dataclass(frozen=True, slots=True)
class HoldRange:
    """From and to in 8 of 10 kitchens, and what makes the band, the largest first."""

    low_min: float
    high_min: float
    parts: tuple[Part, ...]
    measured_min: tuple[float, float]
    """The band once a guessed thickness is measured; the same when none is guessed."""

    def at_least(self, floor_min: float) -> "HoldRange":
        """The same band without what is not safe."""
        low, high = (max(end, floor_min) for end in (self.low_min, self.high_min))
        measured = (max(self.measured_min[0], floor_min), max(self.measured_min[1], floor_min))
        return HoldRange(low, high, self.parts, measured)

    @property
    def largest(self) -> Part:
        """What widens it most."""
        return self.parts[0]


@dataclass(frozen=True, slots=True)
class Kitchens:
    """How far this kitchen may be from the model, 1 sd of ln time, and whether its log says so."""

    sd_ln: float
    from_log: bool


def kitchens_of(cut: Cut, hold_min: float, softer_min: float) -> Kitchens:
    """Scatter of practice, or what the log has left of it.

    Parameters
    ----------
    hold_min, softer_min : the hold, and that of one step more on the ladder
    """
    if cut.taste_sd_ln is None:
        return Kitchens(cut.practice_scatter_ratio, from_log=False)
    known = rise_ratio(hold_min, softer_min) * hypot(cut.taste_sd_ln, COOK_SPREAD.value)
    if known >= cut.practice_scatter_ratio:
        return Kitchens(cut.practice_scatter_ratio, from_log=False)
    return Kitchens(known, from_log=True)


def rise_ratio(hold_min: float, softer_min: float) -> float:
    """How much a hold grows with the softening it is for: ln time over ln dose."""
    rise = log(max(softer_min, LEAST_MIN) / max(hold_min, LEAST_MIN)) / log(LADDER_STEP.value)
    return min(max(rise, 0.0), STEEPEST)


def model_sd_ln(cut: Cut, tenderness_step: float, hold_c: float) -> float:
    """What practice leaves open of the model itself, 1 sd of ln dose.

    Any z of `Z_SPAN` and any ratio of steps of `STEP_SPAN` fit practice alike; they part where
    a cook is hotter or cooler than practice was, or further along the ladder. Both ends of a span
    are taken as 1.28 sd away.
    """
    (z_low, z_high), (step_low, step_high) = Z_SPAN_K, STEP_SPAN
    by_z = abs(hold_c - PRACTICE_C) * log(10.0) * (1.0 / z_low - 1.0 / z_high) / 2.0
    away = abs(tenderness_step - TEXTURES.index(cut.default_texture))
    by_step = away * log(step_high / step_low) / 2.0
    return hypot(by_z, by_step) / BAND_SDS.value


def altitude_rule_min(sea_level_hold_min: float, altitude_m: float) -> float:
    """The hold by the rule of the extension services, for a cross-check."""
    over = max(altitude_m - RULE_FROM_M, 0.0) / RULE_STEP_M
    return sea_level_hold_min * (1.0 + RULE_SHARE * over)


def hold_range(
    hold_min: float,
    *,
    sizes_min: tuple[float, float],
    weaker_min: float,
    guessed: bool,
    kitchens: Kitchens,
    model_ln: float,
    rule_min: float,
) -> HoldRange:
    """Independent parts added as squares of their logarithms.

    Parameters
    ----------
    hold_min : the hold itself
    sizes_min : holds of the thinnest and the thickest that 8 of 10 pieces of this weight are
    weaker_min : hold with the least pressure that 8 of 10 pots give; more pressure is as far off
    guessed : whether a thickness was guessed
    kitchens : how kitchens differ
    model_ln : what practice leaves open of the model, 1 sd of ln time
    rule_min : hold by the altitude rule; widens its side only
    """
    away = exp(BAND_SDS.value * kitchens.sd_ln)
    weaker = max(weaker_min, hold_min)
    parts = [
        Part(
            "guessed_thickness" if guessed else "thickness",
            min(sizes_min[0], hold_min),
            max(sizes_min[1], hold_min),
        ),
        Part("pressure", hold_min * hold_min / max(weaker, 1e-9), weaker),
        Part("log" if kitchens.from_log else "practice", hold_min / away, hold_min * away),
    ]
    unsure = exp(BAND_SDS.value * model_ln)
    parts.append(Part("model", hold_min / unsure, hold_min * unsure))
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

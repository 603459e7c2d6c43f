"""Sensible amounts of liquid for a pot that stands: what a cup or a jug measures, and how high."""

from dataclasses import dataclass
from math import ceil, floor
from typing import Literal, TypeAlias

import numpy as np

from pneumachron.core.physics.steam import FloatArray
from pneumachron.core.planning.liquid import MEASURE_M3, levels_m
from pneumachron.core.planning.request import ResolvedRequest

Measure: TypeAlias = Literal["cups", "ml"]
JUG_M3 = 5e-5
"""50 ml, a line on a measuring jug."""
MAX_MARKS = 120


@dataclass(frozen=True, slots=True)
class Mark:
    """An amount as typed, and how high it would stand."""

    typed: str
    volume_m3: float
    level_m: float


def pouring_marks(setup: ResolvedRequest, measure: Measure) -> tuple[Mark, ...]:
    """Amounts between the least and the most, in quarter cups or lines of a jug."""
    filling, request = setup.filling, setup.request
    step = MEASURE_M3 if measure == "cups" else JUG_M3
    first = ceil(filling.lowest_m3 / step - 1e-3)
    last = floor(filling.highest_m3 / step + 1e-3)
    counts = range(first, last + 1)[:MAX_MARKS]
    if not counts:
        return ()
    volumes: FloatArray = np.array([step * count for count in counts])
    heights = levels_m(volumes + filling.sauce_m3, request.load, request.pot, setup.arrangement)
    return tuple(
        Mark(_typed(count, measure), step * count, float(height))
        for count, height in zip(counts, heights, strict=True)
    )


def _typed(count: int, measure: Measure) -> str:
    if measure == "ml":
        return f"{50 * count} ml"
    whole, quarters = divmod(count, 4)
    part = {0: "", 1: "1/4", 2: "1/2", 3: "3/4"}[quarters]
    number = " ".join(text for text in (str(whole) if whole else "", part) if text)
    return f"{number} {'cup' if count <= 4 else 'cups'}"

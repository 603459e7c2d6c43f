"""What to expect of a time that the cook sets against the engine's: a habit, or a recipe's."""

from dataclasses import dataclass
from math import log
from statistics import NormalDist

import numpy as np

from pneumachron.core.constants import BAND_SDS
from pneumachron.core.cooker.cook_time import MAX_HOLD_S, Search
from pneumachron.core.errors import RequestError
from pneumachron.core.planning.likely_range import LEAST_MIN, HoldRange
from pneumachron.core.planning.load import Piece
from pneumachron.core.planning.scenarios import texture_reached

LEAST_SD_LN = 0.02
"""No time is known better than to the half minute. Judgement."""


ROOM_RATIO = 2.0
"""In the kitchen that needs least, an own time counts for at most so many times as much: no band
is wider on that side, and a search must have room for it. Judgement."""


@dataclass(frozen=True, slots=True)
class Expectation:
    """What comes of the cook's own time, for the slowest piece."""

    usual_min: int
    """What the engine would set."""
    tenderness_step: float
    low_step: float
    """Firmest and softest in 8 of 10 kitchens."""
    high_step: float
    sure_ratio: float
    """Chance, 0 to 1, that it gets as soft as wished, or softer."""


def check_own(hold_min: int, floor_min: int) -> None:
    """Whether a time of the cook's own can be set.

    Raises
    ------
    RequestError : longer than any cook, or not safe for poultry.
    """
    most = int(MAX_HOLD_S / 60.0)
    if not 0 <= hold_min <= most:
        raise RequestError("own_minutes", "my_minutes", own_min=hold_min, most_min=most)
    if hold_min < floor_min:
        raise RequestError("unsafe_minutes", "my_minutes", own_min=hold_min, least_min=floor_min)


def expectation(
    search: Search, hold_min: int, usual_min: int, band: HoldRange, *, kind: tuple[int, Piece]
) -> Expectation:
    """What the first case of a search comes to, with the band of the engine's own time.

    `kind` is the slowest kind of piece and its index. In a kitchen that wants more time, a given
    one does what a shorter one would do elsewhere. The search has room for `ROOM_RATIO` times it.
    """
    room_min = ROOM_RATIO * hold_min
    usual = max(float(usual_min), LEAST_MIN)
    own = max(float(hold_min), LEAST_MIN)
    low, high = max(band.low_min, LEAST_MIN), max(band.high_min, LEAST_MIN)
    away = log(own / usual)
    side = log(high / usual) if away > 0 else log(usual / low)
    sd = max(side / BAND_SDS.value, LEAST_SD_LN)
    return Expectation(
        usual_min,
        _step(search, hold_min, kind),
        _step(search, hold_min * usual / high, kind),
        _step(search, min(hold_min * usual / low, room_min), kind),
        NormalDist().cdf(away / sd),
    )


def _step(search: Search, hold_min: float, kind: tuple[int, Piece]) -> float:
    index, piece = kind
    _, dose, _ = search.rows(slice(0, 1)).openings(np.array([60.0 * hold_min]))
    return texture_reached(piece, float(dose[0, index]))

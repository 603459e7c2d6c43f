"""What an oven, a slow cooker, a smoker, a grill or an open pot does to a piece of meat.

Each method is a temperature around the meat over time; the core of the piece follows by the same
conduction as in the pressure pot, and softens by the same rule. So a braise and a hold compare by
dose. The temperatures are common practice, coarse on purpose, and good for a cross-check: cut and
wished texture decide a plan, not these.
"""

from collections.abc import Callable
from dataclasses import dataclass
from typing import Literal, TypeAlias, get_args

import numpy as np
from scipy.optimize import brentq

from pneumachron.core.constants import LADDER_STEP, SURFACE_COEFFICIENT
from pneumachron.core.cooker.cook_time import MAX_HOLD_S
from pneumachron.core.errors import OutOfRangeError, RequestError
from pneumachron.core.message import Message
from pneumachron.core.physics.conduction import block_response
from pneumachron.core.physics.steam import FloatArray, ambient_pressure_pa, saturation_temp_c
from pneumachron.core.physics.tenderness import cumulative_softening_min
from pneumachron.core.planning.load import Piece
from pneumachron.core.planning.request import CookRequest, resolve
from pneumachron.core.planning.scenarios import (
    first_cases,
    first_search,
    piece_softening_min,
    texture_reached,
)
from pneumachron.core.safety.limits import ZONE_LIMIT, zone_time_s

OtherMethod: TypeAlias = Literal[
    "oven_lid", "oven_open", "slow_low", "slow_high", "smoker", "grill", "simmer"
]
OTHER_METHODS: tuple[OtherMethod, ...] = get_args(OtherMethod)
BackMethod: TypeAlias = Literal["oven_lid", "slow_low", "slow_high"]
BACK_METHODS: tuple[BackMethod, ...] = get_args(BackMethod)
"""Ways a pressure plan can go on a day when the pot is in use."""

STEP_S = 60.0
DURATION_RANGE_S = (300.0, 24 * 3600.0)
LEAST_DOSE_MIN = 1e-3
"""Less softening than this is none."""
COLD_C = 15.0
"""Liquid and vessel when they go in. Common practice."""


@dataclass(frozen=True, slots=True)
class Surroundings:
    """Corners of the temperature around the meat.

    `hours` counts from the start; `shares` counts in parts of the whole time. `below_boil_k` is
    how far under the local boiling point it ends.
    """

    hours: tuple[float, ...]
    shares: tuple[float, ...]
    temps_c: tuple[float, ...]
    below_boil_k: float


SURROUNDINGS: dict[OtherMethod, Surroundings] = {
    # a covered pot in the oven is just short of a simmer after some forty minutes
    "oven_lid": Surroundings((0.0, 0.67), (), (COLD_C,), 4.0),
    "simmer": Surroundings((0.0, 0.33), (), (COLD_C,), 1.0),
    # a slow cooker takes hours: its first three to five carry no softening
    "slow_low": Surroundings((0.0, 3.5, 7.0), (), (COLD_C, 75.0), 3.0),
    "slow_high": Surroundings((0.0, 2.0, 4.0), (), (COLD_C, 75.0), 3.0),
    # in dry heat the wet surface stays near 70 °C (“the stall”) until it has dried
    "smoker": Surroundings((), (0.0, 0.25, 0.55, 1.0), (COLD_C, 70.0, 74.0), 4.0),
    "grill": Surroundings((), (0.0, 0.2, 0.4, 1.0), (COLD_C, 72.0, 78.0), 3.0),
    "oven_open": Surroundings((), (0.0, 0.2, 0.4, 1.0), (COLD_C, 72.0, 80.0), 3.0),
}
"""Common practice: liquid in a covered oven pot 95–97 °C; a slow cooker just short of the
boil after 7–8 h on low and 3–4 h on high; the stall of smoked meat at 65–75 °C for about half
of the time."""


@dataclass(frozen=True, slots=True)
class Cooked:
    """What a method did to a piece."""

    softening_min: float
    tenderness_step: float
    core_end_c: float
    zone_s: float
    """Time the middle was between 4 and 60 °C."""


def around_c(method: OtherMethod, duration_s: float, altitude_m: float) -> FloatArray:
    """Temperature around the meat every `STEP_S` from 0 to the end. (n,)"""
    rule = SURROUNDINGS[method]
    boil_c = float(saturation_temp_c(ambient_pressure_pa(altitude_m)))
    corners = [3600.0 * hour for hour in rule.hours] or [s * duration_s for s in rule.shares]
    temps = [*rule.temps_c, boil_c - rule.below_boil_k]
    time_s = np.arange(0.0, duration_s + STEP_S / 2, STEP_S)
    return np.asarray(np.interp(time_s, corners, np.minimum(temps, temps[-1])))


def inside_c(piece: Piece, around: FloatArray) -> tuple[FloatArray, FloatArray]:
    """Core of a piece in surroundings that change, and where softening is read. (n,) each

    Sampled every `STEP_S`; Duhamel's theorem over ramps, as in conduction.py.
    """
    response = block_response(
        np.array(piece.half_sizes_m),
        np.array(piece.cut.meat.diffusivity_m2_s),
        np.array(piece.cut.meat.conductivity_w_mk),
        SURFACE_COEFFICIENT.value,
        step_s=STEP_S,
        count=len(around),
    )

    def at(step: FloatArray, ramp: FloatArray) -> FloatArray:
        first = (around[0] - piece.heat_start_c) * step
        later = np.convolve(np.diff(around), ramp[1:])[: len(around) - 1]
        return np.asarray(piece.heat_start_c + first + np.concatenate([[0.0], later]))

    return (
        at(response.core_step, response.core_ramp),
        at(response.reading_step, response.reading_ramp),
    )


def cooked_by(piece: Piece, method: OtherMethod, duration_s: float, altitude_m: float) -> Cooked:
    """What so much time by a method makes of a piece.

    Raises
    ------
    OutOfRangeError : a time that cannot be.
    """
    low, high = DURATION_RANGE_S
    if not low <= duration_s <= high:
        raise OutOfRangeError("duration", duration_s, low, high, "s")
    core, read = inside_c(piece, around_c(method, duration_s, altitude_m))
    dose = float(cumulative_softening_min(read, step_s=STEP_S)[-1])
    return Cooked(dose, texture_reached(piece, dose), float(core[-1]), zone_time_s(core, STEP_S))


def duration_for(
    piece: Piece, method: OtherMethod, softening_min: float, altitude_m: float
) -> float:
    """Time by a method that softens a piece as much.

    Raises
    ------
    RequestError : not within a day.
    """
    low, high = DURATION_RANGE_S

    def short_by(duration_s: float) -> float:
        return cooked_by(piece, method, duration_s, altitude_m).softening_min - softening_min

    if short_by(low) >= 0:
        return low
    if short_by(high) < 0:
        raise RequestError("never_done_by_method", "method")
    return float(brentq(short_by, low, high, xtol=STEP_S / 2))


def hold_of_softening_min(request: CookRequest, softening_min: float) -> float:
    """The hold in the pressure pot that softens the slowest kind as much, not rounded."""
    if not softening_min > LEAST_DOSE_MIN:
        return 0.0
    setup = resolve(request)
    most_min = LADDER_STEP.value * float(first_cases(setup)[1].softening_min.max())
    # far beyond what the request asks for, a night in the oven, needs room for a longer hold
    search = first_search(setup, at_least_s=MAX_HOLD_S if softening_min > most_min else 0.0)
    need = np.full((*search.meat.softening_min.shape, 1), softening_min)
    return float(search.solve(need)[0, 0]) / 60.0


@dataclass(frozen=True, slots=True)
class OtherWay:
    """The same meal by another method; `liquid_m3` for a covered pot or a slow cooker."""

    method: BackMethod
    duration_s: float
    core_end_c: float
    liquid_m3: float
    advice: tuple[Message, ...]


def other_way(request: CookRequest, method: BackMethod) -> OtherWay:
    """A pressure plan as an oven braise or in a slow cooker, at equal softening.

    Raises
    ------
    RequestError : frozen meat, or a method that takes more than a day.
    """
    setup = resolve(request)
    pieces = [piece for piece, _ in request.load.kinds()]
    if any(piece.frozen for piece in pieces) and method != "oven_lid":
        raise RequestError("frozen_slow", "start")
    liquid = BRAISE_LIQUID[method](setup.filling.liquid_m3)
    times = [
        duration_for(
            piece, method, piece_softening_min(piece, request.tenderness_step), request.altitude_m
        )
        for piece in pieces
    ]
    slowest = int(np.argmax(times))
    cooked = cooked_by(pieces[slowest], method, times[slowest], request.altitude_m)
    thickest = max(pieces, key=lambda piece: piece.thickness_m)
    zone_s = cooked_by(thickest, method, times[slowest], request.altitude_m).zone_s
    advice = (*_too_long_warm(zone_s), ADVICE[method])
    return OtherWay(method, times[slowest], cooked.core_end_c, liquid, advice)


def _too_long_warm(zone_s: float) -> tuple[Message, ...]:
    """What is said when a middle is between 4 and 60 °C for longer than is advised."""
    if zone_s <= ZONE_LIMIT.value:
        return ()
    return (Message("other-too_long_warm", {"zone_s": zone_s, "limit_s": ZONE_LIMIT.value}),)


BRAISE_LIQUID: dict[BackMethod, Callable[[float], float]] = {
    "oven_lid": lambda liquid_m3: liquid_m3 / 0.5,
    "slow_low": lambda liquid_m3: liquid_m3 / 0.875,
    "slow_high": lambda liquid_m3: liquid_m3 / 0.875,
}
"""The pressure pot takes 40–60 % of a braise's liquid, the same or a quarter less than a slow
cooker's. Common practice."""

ADVICE: dict[BackMethod, Message] = {
    "oven_lid": Message("other-oven_lid"),
    "slow_low": Message("other-slow"),
    "slow_high": Message("other-slow"),
}
"""Common practice; oven at 163 °C or more and thawed meat in a slow cooker: USDA FSIS, from
memory."""

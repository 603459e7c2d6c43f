"""A litre of water on the boil: how much heat a pot really gives."""

from dataclasses import replace
from math import log

from scipy.optimize import brentq

from pneumachron.core.catalog.pots import LIMITS, Pot
from pneumachron.core.constants import (
    HEATER_EFFICIENCY,
    KITCHEN_TEMP,
    WATER_DENSITY,
    WATER_SPECIFIC_HEAT,
)
from pneumachron.core.errors import RequestError
from pneumachron.core.physics.steam import ambient_pressure_pa, saturation_temp_c

TEST_M3 = 1e-3
"""A litre: enough to time, little enough to wait for."""


def boil_time_s(pot: Pot, altitude_m: float, start_c: float) -> float:
    """How long a litre takes to boil with the lid off, on the strongest setting.

    Water, vessel and plate as one heat store that loses heat to the kitchen, in closed form; the
    plate runs hotter than the water, which delays all by its own time constant.
    """
    boil_c = float(saturation_temp_c(ambient_pressure_pa(altitude_m)))
    water_j_k = TEST_M3 * WATER_DENSITY.value * WATER_SPECIFIC_HEAT.value
    store_j_k = water_j_k + pot.vessel_j_k + pot.plate_j_k
    power_w, loss_w_k = HEATER_EFFICIENCY.value * pot.power_w, pot.loss_open_w_k
    first_w = power_w - loss_w_k * (start_c - KITCHEN_TEMP.value)
    last_w = power_w - loss_w_k * (boil_c - KITCHEN_TEMP.value)
    if not last_w > 0:
        return float("inf")
    lag_s = pot.plate_j_k / pot.plate_w_k
    return store_j_k / loss_w_k * log(first_w / last_w) + lag_s


def heat_ratio_of(pot: Pot, altitude_m: float, start_c: float, minutes: float) -> float:
    """The heat of a pot over what its plate says, from the minutes a litre took.

    Raises
    ------
    RequestError : minutes or a start that no pot with this plate can have.
    """
    if not 0.0 <= start_c <= 60.0:
        raise RequestError("boil_start", "start", start_c=start_c)
    low, high, _ = LIMITS["heat_ratio"]

    def gap(ratio: float) -> float:
        tried = boil_time_s(_with(pot, ratio), altitude_m, start_c)
        return min(tried, 1e5) - 60.0 * minutes

    if not gap(high) <= 0.0 <= gap(low):
        fastest, slowest = (
            boil_time_s(_with(pot, ratio), altitude_m, start_c) / 60 for ratio in (high, low)
        )
        raise RequestError(
            "boil_minutes",
            "minutes",
            given_min=minutes,
            power_w=pot.heater_w,
            fastest_min=fastest,
            slowest_min=min(slowest, 99),
        )
    return float(brentq(gap, low, high, xtol=1e-4))


def _with(pot: Pot, ratio: float) -> Pot:
    return replace(pot, heat_ratio=ratio)

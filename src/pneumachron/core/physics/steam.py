"""Water, steam and the air outside: saturation, latent heat, standard atmosphere, vent flow."""

from typing import TypeAlias

import numpy as np
from numpy.typing import ArrayLike, NDArray

from pneumachron.core.constants import (
    BAROMETRIC_EXPONENT,
    EARTH_RADIUS,
    KELVIN_OFFSET,
    LAPSE_RATE,
    STANDARD_PRESSURE,
    STANDARD_TEMP,
    STEAM_GAMMA,
    STEAM_GAS_CONSTANT,
)
from pneumachron.core.errors import OutOfRangeError

FloatArray: TypeAlias = NDArray[np.float64]

ALTITUDE_RANGE_M = (-430.0, 5000.0)
"""From the shore of the Dead Sea to the highest villages; the formula holds to 11 km."""

# IAPWS-IF97, table 34, coefficients of the saturation equation (region 4).
_N = (
    0.0,
    0.116_705_214_527_67e4,
    -0.724_213_167_032_06e6,
    -0.170_738_469_400_92e2,
    0.120_208_247_024_70e5,
    -0.323_255_503_223_33e7,
    0.149_151_086_135_30e2,
    -0.482_326_573_615_91e4,
    0.405_113_405_420_57e6,
    -0.238_555_575_678_49,
    0.650_175_348_447_98e3,
)
_SATURATION_RANGE_PA = (611.3, 22.064e6)

# Latent heat at 80, 100 and 120 °C: 2308.0, 2256.5, 2202.1 kJ/kg (steam tables after
# IAPWS-95, from memory; tests hold them to an independent library), and the parabola through
# them, which stays within 0.1 % from 60 to 130 °C.
_LATENT_C = np.array([80.0, 100.0, 120.0])
_LATENT_J_KG = np.array([2308.0e3, 2256.5e3, 2202.1e3])
_LATENT_FIT = np.polyfit(_LATENT_C, _LATENT_J_KG, 2)


def saturation_temp_c(pressure_pa: ArrayLike) -> FloatArray:
    """Boiling temperature of water at an absolute pressure.

    Parameters
    ----------
    pressure_pa : any shape, 611.3 Pa to 22.064 MPa [Pa]

    Returns
    -------
    same shape [°C]

    Raises
    ------
    OutOfRangeError : outside the two-phase region.

    Source
    ------
    IAPWS-IF97, equation 31 (backward equation of region 4).
    """
    pressure = np.asarray(pressure_pa, dtype=float)
    low, high = _SATURATION_RANGE_PA
    if not np.all((pressure >= low) & (pressure <= high)):
        raise OutOfRangeError("pressure", float(np.ravel(pressure)[0]), low, high, "Pa")
    beta = (pressure / 1e6) ** 0.25
    e = beta**2 + _N[3] * beta + _N[6]
    f = _N[1] * beta**2 + _N[4] * beta + _N[7]
    g = _N[2] * beta**2 + _N[5] * beta + _N[8]
    d = 2 * g / (-f - np.sqrt(f**2 - 4 * e * g))
    root = np.sqrt((_N[10] + d) ** 2 - 4 * (_N[9] + _N[10] * d))
    return np.asarray((_N[10] + d - root) / 2 - KELVIN_OFFSET.value)


def saturation_pressure_pa(temp_c: ArrayLike) -> FloatArray:
    """Absolute pressure at which water boils at a temperature (0 to 373 °C).

    Source
    ------
    IAPWS-IF97, equation 30 (region 4).
    """
    kelvin = np.asarray(temp_c, dtype=float) + KELVIN_OFFSET.value
    if not np.all((kelvin >= 273.15) & (kelvin <= 647.0)):
        raise OutOfRangeError("temperature", float(np.ravel(kelvin)[0]) - 273.15, 0, 373.8, "°C")
    theta = kelvin + _N[9] / (kelvin - _N[10])
    a = theta**2 + _N[1] * theta + _N[2]
    b = _N[3] * theta**2 + _N[4] * theta + _N[5]
    c = _N[6] * theta**2 + _N[7] * theta + _N[8]
    return np.asarray(1e6 * (2 * c / (-b + np.sqrt(b**2 - 4 * a * c))) ** 4)


def latent_heat_j_kg(temp_c: ArrayLike) -> FloatArray:
    """Heat that turns a kilo of boiling water into steam; within 0.1 % from 60 to 130 °C."""
    return np.asarray(np.polyval(_LATENT_FIT, np.asarray(temp_c, dtype=float)))


def ambient_pressure_pa(altitude_m: float) -> float:
    """Mean air pressure at an altitude.

    Raises
    ------
    OutOfRangeError : outside -430 to 5000 m.

    Source
    ------
    US Standard Atmosphere 1976, equations 18 and 33a, first layer.
    """
    low, high = ALTITUDE_RANGE_M
    if not low <= altitude_m <= high:
        raise OutOfRangeError("altitude", altitude_m, low, high, "m")
    geopotential_m = EARTH_RADIUS.value * altitude_m / (EARTH_RADIUS.value + altitude_m)
    ratio = 1.0 - LAPSE_RATE.value * geopotential_m / STANDARD_TEMP.value
    return float(STANDARD_PRESSURE.value * ratio**BAROMETRIC_EXPONENT.value)


def vent_flow_kg_s(
    pressure_pa: ArrayLike, temp_c: ArrayLike, outside_pa: ArrayLike, orifice_m2: ArrayLike
) -> FloatArray:
    """Mass of steam that leaves through a valve, per second.

    Parameters
    ----------
    pressure_pa, temp_c : absolute pressure [Pa] and temperature [°C] inside
    outside_pa : pressure outside [Pa]
    orifice_m2 : discharge coefficient times area [m²]

    Returns
    -------
    broadcast shape, 0 when there is no pressure to drive it [kg/s]

    Source
    ------
    Isentropic flow of an ideal gas through a nozzle, choked below the critical pressure ratio
    (0.546 for γ 1.3); any text on gas dynamics.
    """
    gamma = STEAM_GAMMA.value
    inside = np.asarray(pressure_pa, dtype=float)
    kelvin = np.asarray(temp_c, dtype=float) + KELVIN_OFFSET.value
    critical = (2 / (gamma + 1)) ** (gamma / (gamma - 1))
    ratio = np.clip(np.asarray(outside_pa, dtype=float) / inside, critical, 1.0)
    flux = np.sqrt(
        2
        * gamma
        / ((gamma - 1) * STEAM_GAS_CONSTANT.value * kelvin)
        * (ratio ** (2 / gamma) - ratio ** ((gamma + 1) / gamma))
    )
    return np.asarray(np.asarray(orifice_m2, dtype=float) * inside * flux)

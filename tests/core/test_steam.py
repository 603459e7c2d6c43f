"""Water, steam and air against independent libraries and published tables."""

import numpy as np
import pytest
from CoolProp.CoolProp import PropsSI
from fluids.atmosphere import ATMOSPHERE_1976

from pneumachron.core.errors import OutOfRangeError
from pneumachron.core.physics.steam import (
    ambient_pressure_pa,
    latent_heat_j_kg,
    saturation_pressure_pa,
    saturation_temp_c,
    vent_flow_kg_s,
)


# published: IAPWS-IF97 as tabulated in steam tables; 0.001 K is their last digit
@pytest.mark.parametrize(
    ("kpa", "celsius"),
    [
        (101.325, 99.974),
        (140.0, 109.292),
        (170.0, 115.149),
        (176.325, 116.274),
        (190.0, 118.597),
        (201.325, 120.420),
    ],
)
def test_saturation_table(kpa: float, celsius: float) -> None:
    assert float(saturation_temp_c(1000 * kpa)) == pytest.approx(celsius, abs=0.001)


# published: IAPWS-IF97 release, table 35 (region 4 check values)
@pytest.mark.parametrize(
    ("kelvin", "megapascal"),
    [(300.0, 0.353658941e-2), (500.0, 0.263889776e1), (600.0, 0.123443146e2)],
)
def test_saturation_check_values(kelvin: float, megapascal: float) -> None:
    assert float(saturation_pressure_pa(kelvin - 273.15)) / 1e6 == pytest.approx(
        megapascal, rel=1e-8
    )


def test_saturation_against_coolprop() -> None:
    # independent library: CoolProp (IAPWS-95), which differs from IF97 by up to 0.003 K here
    pressures = np.linspace(90e3, 210e3, 25)
    theirs = [PropsSI("T", "P", p, "Q", 0, "Water") - 273.15 for p in pressures]
    np.testing.assert_allclose(saturation_temp_c(pressures), theirs, atol=0.005)


def test_saturation_inverts() -> None:
    temps = np.linspace(20.0, 140.0, 50)
    np.testing.assert_allclose(saturation_temp_c(saturation_pressure_pa(temps)), temps, atol=1e-6)


def test_latent_heat_against_coolprop() -> None:
    # independent library: CoolProp; 0.1 % is what the docstring promises
    temps = np.linspace(60.0, 130.0, 15)
    theirs = [
        PropsSI("H", "T", t + 273.15, "Q", 1, "Water")
        - PropsSI("H", "T", t + 273.15, "Q", 0, "Water")
        for t in temps
    ]
    np.testing.assert_allclose(latent_heat_j_kg(temps), theirs, rtol=1e-3)


# published: US Standard Atmosphere 1976, tables by geopotential height H
@pytest.mark.parametrize(
    ("metres", "kpa"), [(0.0, 101.325), (1500.0, 84.556), (2500.0, 74.683), (3000.0, 70.109)]
)
def test_standard_atmosphere_table(metres: float, kpa: float) -> None:
    geometric_m = 6_356_766 * metres / (6_356_766 - metres)
    assert ambient_pressure_pa(geometric_m) / 1000 == pytest.approx(kpa, abs=0.001)


@pytest.mark.parametrize("metres", [0.0, 300.0, 1150.0, 2000.0, 3000.0, 4500.0])
def test_standard_atmosphere_against_fluids(metres: float) -> None:
    # independent library: fluids
    assert ambient_pressure_pa(metres) == pytest.approx(ATMOSPHERE_1976(metres).P, rel=1e-4)


# published: both of the above together
@pytest.mark.parametrize(
    ("metres", "boils_c", "at_75_kpa_c"),
    [(1500.0, 94.98, 113.21), (2500.0, 91.64, 111.29), (3000.0, 89.97, 110.36)],
)
def test_boiling_at_altitude(metres: float, boils_c: float, at_75_kpa_c: float) -> None:
    outside = ambient_pressure_pa(metres)
    assert float(saturation_temp_c(outside)) == pytest.approx(boils_c, abs=0.01)
    assert float(saturation_temp_c(outside + 75e3)) == pytest.approx(at_75_kpa_c, abs=0.01)


def test_choked_flow_closed_form() -> None:
    # closed form: choked mass flux of an ideal gas, sqrt(g/RT) (2/(g+1))^((g+1)/(2(g-1))) p
    g, kelvin, pressure = 1.3, 390.0, 250e3
    exponent = (g + 1) / (2 * (g - 1))
    flux = pressure * np.sqrt(g / (461.5 * kelvin)) * (2 / (g + 1)) ** exponent
    ours = float(vent_flow_kg_s(pressure, kelvin - 273.15, 101e3, 1e-6))
    assert ours == pytest.approx(flux * 1e-6, rel=1e-6)


def test_flow_stops_without_pressure() -> None:
    assert float(vent_flow_kg_s(101e3, 100.0, 101e3, 1e-6)) == 0.0


@pytest.mark.parametrize("bad", [float("nan"), 0.0, -5.0, 1e9])
def test_pressure_out_of_range(bad: float) -> None:
    with pytest.raises(OutOfRangeError, match="pressure"):
        saturation_temp_c(bad)


@pytest.mark.parametrize("bad", [float("nan"), -10.0, 400.0])
def test_temperature_out_of_range(bad: float) -> None:
    with pytest.raises(OutOfRangeError):
        saturation_pressure_pa(bad)


@pytest.mark.parametrize("bad", [float("nan"), -1000.0, 9000.0])
def test_altitude_out_of_range(bad: float) -> None:
    with pytest.raises(OutOfRangeError):
        ambient_pressure_pa(bad)

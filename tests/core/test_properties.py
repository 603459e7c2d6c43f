"""Heat properties from composition against the published worked values."""

import pytest

from pneumachron.core.catalog.cuts import Cut, cuts
from pneumachron.core.errors import OutOfRangeError
from pneumachron.core.physics.properties import Composition, heat_properties

LEAN_PORK = Composition(0.7255, 0.2105, 0.0536, 0.0104)


def test_lean_pork() -> None:
    # published: Choi & Okos (1986) evaluated for lean pork; rounding of the printed values
    cold = heat_properties(LEAN_PORK, 20.0)
    assert cold.density_kg_m3 == pytest.approx(1051.7, abs=0.1)
    assert cold.specific_heat_j_kgk == pytest.approx(3577, abs=1)
    assert cold.conductivity_w_mk == pytest.approx(0.509, abs=0.001)
    assert cold.diffusivity_m2_s == pytest.approx(1.352e-7, rel=1e-3)
    assert heat_properties(LEAN_PORK, 80.0).diffusivity_m2_s == pytest.approx(1.527e-7, rel=1e-3)


def test_pure_components() -> None:
    # published: ASHRAE Handbook—Refrigeration, properties of foods; water at 20 °C from
    # IAPWS: k 0.598 W/mK, c 4.18 kJ/kgK, density 998 kg/m³; Choi & Okos fit within 1.5 %
    water = heat_properties(Composition(1.0, 0.0, 0.0, 0.0), 20.0)
    assert water.conductivity_w_mk == pytest.approx(0.598, rel=0.015)
    assert water.specific_heat_j_kgk == pytest.approx(4182, rel=0.015)
    assert water.density_kg_m3 == pytest.approx(998, rel=0.005)
    # fat conducts a third as well as water at 80 °C, and does not turn negative
    fat = heat_properties(Composition(0.0, 0.0, 1.0, 0.0), 80.0)
    assert 0.1 < fat.conductivity_w_mk < 0.2


@pytest.mark.parametrize("cut", cuts().values(), ids=lambda cut: cut.cut_id)
def test_meat_is_plausible(cut: Cut) -> None:
    # published: measured meats, 0.40–0.55 W/mK, 1.2–1.6e-7 m²/s above 40 °C (ASHRAE, from memory)
    meat = cut.meat
    assert 0.40 < meat.conductivity_w_mk < 0.56
    assert 1.2e-7 < meat.diffusivity_m2_s < 1.6e-7


def test_shares_must_add_up() -> None:
    with pytest.raises(OutOfRangeError, match="shares"):
        Composition(0.7, 0.1, 0.1, 0.01)
    with pytest.raises(OutOfRangeError, match="temperature"):
        heat_properties(LEAN_PORK, -18.0)

"""Sauce from what is left in the pot: skim, reduce, thicken, season; and a raw marinade, boiled."""

from dataclasses import dataclass
from typing import Literal, TypeAlias, get_args

from pneumachron.core.catalog.pots import Pot
from pneumachron.core.constants import HEATER_EFFICIENCY, KITCHEN_TEMP, WATER_DENSITY
from pneumachron.core.errors import OutOfRangeError, RequestError
from pneumachron.core.physics.steam import ambient_pressure_pa, latent_heat_j_kg, saturation_temp_c

Body: TypeAlias = Literal["thin", "medium", "thick"]
BODIES: tuple[Body, ...] = get_args(Body)
STARCH_KG_M3: dict[Body, float] = {"thin": 15.0, "medium": 25.0, "thick": 40.0}
"""Starch in a litre of sauce. Common practice."""
FLOUR_SHARE = 2.0
"""Flour over starch for the same body. Common practice."""
STARCH_WATER_M3_PER_KG = 2.0e-3
"""Cold water to stir it into: 2 Tbsp for 1½–2 Tbsp of starch. Common practice."""
SPOON_KG = 0.008
"""A level tablespoon of starch. Common practice."""
POTATO_BODY_SHARE = 0.25
"""Mashed potato bed that thickens as starch does, a quarter of its weight for "medium" and
up: 100 g a litre for each 25 g of starch. Common practice."""
VOLUME_RANGE_M3 = (5e-5, 6e-3)
SHARE_RANGE = (0.1, 0.95)
MARINADE_BOIL_S = 300.0
"""A marinade that held raw meat boils for 5 min before it is a sauce. Common practice; USDA says
a full boil."""


@dataclass(frozen=True, slots=True)
class Reduction:
    """Boiling down with the lid off."""

    volume_m3: float
    left_m3: float
    heat_s: float
    """To bring it back to the boil."""
    boil_s: float
    salt_factor: float
    """How much saltier it becomes: salt only after."""


def reduce_sauce(
    pot: Pot, altitude_m: float, volume_m3: float, left_ratio: float, *, start_c: float = 90.0
) -> Reduction:
    """How long a sauce takes to boil down to a share of its volume on the sear setting.

    Power over latent heat. Only the dry loss of the wall comes off: the loss of an open pot off
    the boil already contains evaporation.

    Raises
    ------
    OutOfRangeError : a volume or share outside what was checked.
    """
    _check("volume", 1e3 * volume_m3, (1e3 * VOLUME_RANGE_M3[0], 1e3 * VOLUME_RANGE_M3[1]), "l")
    _check("share", left_ratio, SHARE_RANGE, "1")
    boil_c = float(saturation_temp_c(ambient_pressure_pa(altitude_m)))
    _check("start", start_c, (0.0, 100.0), "°C")
    power_w = HEATER_EFFICIENCY.value * pot.power_w
    net_w = power_w - pot.loss_closed_w_k * (boil_c - KITCHEN_TEMP.value)
    gone_kg = volume_m3 * (1.0 - left_ratio) * WATER_DENSITY.value
    warm_j = (volume_m3 * WATER_DENSITY.value * 4200.0 + pot.vessel_j_k) * max(boil_c - start_c, 0)
    return Reduction(
        volume_m3=volume_m3,
        left_m3=volume_m3 * left_ratio,
        heat_s=warm_j / power_w,
        boil_s=gone_kg * float(latent_heat_j_kg(boil_c)) / net_w,
        salt_factor=1.0 / left_ratio,
    )


@dataclass(frozen=True, slots=True)
class Slurry:
    """Starch in cold water, stirred into a simmering sauce."""

    starch_kg: float
    flour_kg: float
    """Instead of the starch."""
    water_m3: float
    spoons: float
    """Level tablespoons of starch."""
    potatoes_kg: float
    """Instead of both: mashed from the bed."""


def slurry(volume_m3: float, body: Body) -> Slurry:
    """What thickens a sauce to a body.

    Raises
    ------
    OutOfRangeError : a volume outside what was checked.
    RequestError : no such body.
    """
    _check("volume", 1e3 * volume_m3, (1e3 * VOLUME_RANGE_M3[0], 1e3 * VOLUME_RANGE_M3[1]), "l")
    if body not in STARCH_KG_M3:
        raise RequestError("body", "body")
    starch = STARCH_KG_M3[body] * volume_m3
    return Slurry(
        starch_kg=starch,
        flour_kg=FLOUR_SHARE * starch,
        water_m3=STARCH_WATER_M3_PER_KG * starch,
        spoons=starch / SPOON_KG,
        potatoes_kg=starch / POTATO_BODY_SHARE,
    )


def _check(name: str, value: float, span: tuple[float, float], unit: str) -> None:
    if not span[0] <= value <= span[1]:
        raise OutOfRangeError(name, value, *span, unit)

"""Heat properties of food from what it is made of."""

from dataclasses import dataclass

from pneumachron.core.errors import OutOfRangeError

# Choi & Okos (1986), as tabulated in the ASHRAE Handbook—Refrigeration, chapter "Thermal
# properties of foods", tables 1 and 2. Polynomials in °C, constant first, valid -40 to 150 °C.
# The fat conductivity slope is -2.7604e-4.
_CONDUCTIVITY = {
    "water": (5.7109e-1, 1.7625e-3, -6.7036e-6),
    "protein": (1.7881e-1, 1.1958e-3, -2.7178e-6),
    "fat": (1.8071e-1, -2.7604e-4, -1.7749e-7),
    "ash": (3.2962e-1, 1.4011e-3, -2.9069e-6),
}
_DENSITY = {
    "water": (9.9718e2, 3.1439e-3, -3.7574e-3),
    "protein": (1.3299e3, -5.1840e-1, 0.0),
    "fat": (9.2559e2, -4.1757e-1, 0.0),
    "ash": (2.4238e3, -2.8063e-1, 0.0),
}
_SPECIFIC_HEAT = {
    "water": (4.1762e3, -9.0864e-2, 5.4731e-3),
    "protein": (2.0082e3, 1.2089, -1.3129e-3),
    "fat": (1.9842e3, 1.4733, -4.8008e-3),
    "ash": (1.0926e3, 1.8896, -3.6817e-3),
}


@dataclass(frozen=True, slots=True)
class Composition:
    """Mass shares of a food; they add up to one within 2 %."""

    water_ratio: float
    protein_ratio: float
    fat_ratio: float
    ash_ratio: float

    def __post_init__(self) -> None:
        """Refuse shares that do not add up."""
        total = self.water_ratio + self.protein_ratio + self.fat_ratio + self.ash_ratio
        if not 0.98 <= total <= 1.02:
            raise OutOfRangeError("sum of the shares", total, 0.98, 1.02, "1")

    def shares(self) -> dict[str, float]:
        """Shares by component, scaled to add up to exactly one."""
        raw = {
            "water": self.water_ratio,
            "protein": self.protein_ratio,
            "fat": self.fat_ratio,
            "ash": self.ash_ratio,
        }
        total = sum(raw.values())
        return {name: share / total for name, share in raw.items()}


@dataclass(frozen=True, slots=True)
class HeatProperties:
    """What conduction and the heat balance need to know of a food."""

    conductivity_w_mk: float
    density_kg_m3: float
    specific_heat_j_kgk: float

    @property
    def diffusivity_m2_s(self) -> float:
        """How fast a temperature spreads: k / (ρ c)."""
        return self.conductivity_w_mk / (self.density_kg_m3 * self.specific_heat_j_kgk)


def _at(polynomial: tuple[float, float, float], temp_c: float) -> float:
    constant, slope, curve = polynomial
    return constant + slope * temp_c + curve * temp_c**2


def heat_properties(composition: Composition, temp_c: float) -> HeatProperties:
    """Conductivity (parallel model), density and specific heat at a temperature.

    Parameters
    ----------
    composition : shares of water, protein, fat and ash
    temp_c : -1 to 130 °C (unfrozen)

    Source
    ------
    Choi & Okos (1986); ASHRAE Handbook—Refrigeration.
    """
    if not -1.0 <= temp_c <= 130.0:
        raise OutOfRangeError("temperature", temp_c, -1.0, 130.0, "°C")
    shares = composition.shares()
    volumes = {name: share / _at(_DENSITY[name], temp_c) for name, share in shares.items()}
    volume = sum(volumes.values())
    return HeatProperties(
        conductivity_w_mk=sum(
            part / volume * _at(_CONDUCTIVITY[name], temp_c) for name, part in volumes.items()
        ),
        density_kg_m3=1.0 / volume,
        specific_heat_j_kgk=sum(
            share * _at(_SPECIFIC_HEAT[name], temp_c) for name, share in shares.items()
        ),
    )

"""Pots: what a maker prints on the plate and what a ruler finds."""

from dataclasses import dataclass, replace
from functools import cache
from math import pi

from pneumachron.core.catalog.tables import read_numbers
from pneumachron.core.errors import RequestError

FLAGS = ("has_start_key", "has_crisping_lid", "is_stovetop")
PANEL_HOUR_MIN = 60.0
"""Up to an hour every panel counts single minutes. Common practice."""
GAUGE_RANGE_PA = (15_000.0, 110_000.0)
"""From the gentlest low setting to a stovetop cooker; steam tables and fits hold there."""


@dataclass(frozen=True, slots=True)
class Pot:
    """An electric pressure cooker. Every number is an input: a boil test may move the last ones."""

    pot_id: str
    name: str
    usable_volume_m3: float
    inner_diameter_m: float
    inner_height_m: float
    heater_w: float
    min_liquid_m3: float
    max_fill_ratio: float
    gauge_high_pa: float
    gauge_low_pa: float
    longest_hold_min: float
    vessel_j_k: float
    plate_j_k: float
    plate_w_k: float
    loss_closed_w_k: float
    loss_open_w_k: float
    orifice_m2: float
    heat_ratio: float
    """Heat that a boil test found over that of a usual pot of this power; 1 untested."""
    panel_step_min: float
    """Steps of the panel above an hour."""
    has_start_key: bool
    """Whether a program starts only when a key is pressed."""
    has_crisping_lid: bool
    is_stovetop: bool = False
    """It stands on a flame or plate: a weight or ring tells its pressure, a hand holds it there."""

    @property
    def power_w(self) -> float:
        """What the heater is worth: the plate's power, as a boil test corrected it."""
        return self.heater_w * self.heat_ratio

    def settable_min(self, hold_min: float) -> int:
        """The nearest minutes its panel takes: whole ones, in its steps above an hour."""
        if hold_min <= PANEL_HOUR_MIN:
            return round(hold_min)
        return round(self.panel_step_min * round(hold_min / self.panel_step_min))

    @property
    def floor_m2(self) -> float:
        """Inner cross-section."""
        return pi / 4 * self.inner_diameter_m**2

    @property
    def max_volume_m3(self) -> float:
        """Solids and liquid up to the maximum line."""
        return self.max_fill_ratio * self.usable_volume_m3

    @property
    def max_level_m(self) -> float:
        """Height of the maximum line above the base."""
        return self.max_volume_m3 / self.floor_m2


@cache
def ready_pots() -> dict[str, Pot]:
    """The pots that come with the app, by id; what they are called is said in `text`."""
    numbers = read_numbers("pots.csv")
    found = {}
    for pot_id, row in numbers.items():
        values = {name: value for name, value in row.items() if name not in FLAGS}
        found[pot_id] = Pot(
            pot_id=pot_id,
            name=pot_id,
            has_start_key=row["has_start_key"] == 1,
            has_crisping_lid=row["has_crisping_lid"] == 1,
            is_stovetop=row.get("is_stovetop") == 1,
            **values,
        )
    return found


def ready_pot(pot_id: str) -> Pot:
    """A ready pot.

    Raises
    ------
    RequestError : no such pot.
    """
    try:
        return ready_pots()[pot_id]
    except KeyError:
        raise RequestError("unknown_pot", "pot") from None


LIMITS: dict[str, tuple[float, float, str]] = {
    "usable_volume_m3": (0.002, 0.012, "m³"),
    "inner_diameter_m": (0.14, 0.32, "m"),
    "inner_height_m": (0.08, 0.25, "m"),
    "heater_w": (400.0, 2500.0, "W"),
    "min_liquid_m3": (0.0001, 0.001, "m³"),
    "max_fill_ratio": (0.4, 0.7, "1"),
    "gauge_high_pa": (40_000.0, GAUGE_RANGE_PA[1], "Pa"),
    "gauge_low_pa": (*GAUGE_RANGE_PA, "Pa"),
    "heat_ratio": (0.4, 1.6, "1"),
    "longest_hold_min": (60.0, 720.0, "min"),
    "panel_step_min": (1.0, 15.0, "min"),
    "vessel_j_k": (500.0, 5_000.0, "J/K"),
    "plate_j_k": (100.0, 1_500.0, "J/K"),
    "plate_w_k": (5.0, 60.0, "W/K"),
    "loss_closed_w_k": (0.5, 3.0, "W/K"),
    "loss_open_w_k": (2.0, 10.0, "W/K"),
    "orifice_m2": (3e-7, 4e-6, "m²"),
}
"""What a household's pot may measure: from the smallest sold to a canner's little sister. What
nobody measures comes from a file: it is as in data/pots.csv."""
_QUANTITIES = {"m³": "volume", "m": "length", "Pa": "pressure", "min": "time", "W": "power"}
VOLUME_SPREAD = 0.25
"""How far the printed size may be off the cylinder of the measures: rims, curves, rounding."""


def check_pot(pot: Pot) -> None:
    """Whether a pot that a cook describes can be.

    Raises
    ------
    RequestError : a number out of range, or numbers that contradict each other; names the field.
    """
    for field, (low, high, unit) in LIMITS.items():
        value = getattr(pot, field)
        if not low <= value <= high:
            raise RequestError(
                "pot_out_of_range",
                field,
                quantity=_QUANTITIES.get(unit, "other"),
                given=value,
                least=low,
                most=high,
            )
    cylinder = pot.floor_m2 * pot.inner_height_m
    if not 1 - VOLUME_SPREAD <= cylinder / pot.usable_volume_m3 <= 1 + VOLUME_SPREAD:
        raise RequestError(
            "pot_does_not_hold",
            "usable_volume_m3",
            diameter_m=pot.inner_diameter_m,
            height_m=pot.inner_height_m,
            hold_m3=cylinder,
            volume_m3=pot.usable_volume_m3,
        )
    if not pot.gauge_low_pa < pot.gauge_high_pa:
        raise RequestError("pot_levels", "gauge_low_pa")
    if not pot.min_liquid_m3 < 0.5 * pot.max_volume_m3:
        raise RequestError("pot_minimum", "min_liquid_m3", liquid_m3=pot.min_liquid_m3)


def scaled_pot(base: Pot, pot_id: str, name: str, **numbers: float) -> Pot:
    """A pot from what a cook can measure; the rest follows the ready pot that is most like it.

    Heat stores and the plate go with the heater's power, losses and valve stay. Source: fitted at
    one size and scaled, see data/pots.csv.

    Raises
    ------
    RequestError : the pot makes no sense.
    """
    share = numbers.get("heater_w", base.heater_w) / base.heater_w
    scaled = {
        name: getattr(base, name) * share for name in ("vessel_j_k", "plate_j_k", "plate_w_k")
    }
    measured = {**scaled, **numbers}
    pot = replace(base, pot_id=pot_id, name=name)
    for field, value in measured.items():
        pot = replace(pot, **{field: value})
    check_pot(pot)
    return pot

"""Numbers that are not properties of one cut or one pot, each with its unit and source.

Kinds of source: `published`, `measured`, `common practice`, `from memory`, `fitted`,
`judgement`.
"""

from dataclasses import dataclass
from typing import Literal, TypeAlias

SourceKind: TypeAlias = Literal[
    "published", "measured", "common practice", "from memory", "fitted", "judgement"
]


@dataclass(frozen=True, slots=True)
class Source:
    """Where a number comes from."""

    kind: SourceKind
    work: str


@dataclass(frozen=True, slots=True)
class Constant:
    """A number with its unit and source."""

    value: float
    unit: str
    source: Source


KELVIN_OFFSET = Constant(273.15, "K", Source("published", "SI Brochure, 9th ed., 2.3.1"))

STANDARD_PRESSURE = Constant(101_325.0, "Pa", Source("published", "US Standard Atmosphere 1976"))
STANDARD_TEMP = Constant(288.15, "K", Source("published", "US Standard Atmosphere 1976, table 4"))
LAPSE_RATE = Constant(0.0065, "K/m", Source("published", "US Standard Atmosphere 1976, table 4"))
BAROMETRIC_EXPONENT = Constant(
    5.255_88, "1", Source("published", "US Standard Atmosphere 1976: g0 M / (R L), eq. 33a")
)
EARTH_RADIUS = Constant(6_356_766.0, "m", Source("published", "US Standard Atmosphere 1976"))

WATER_DENSITY = Constant(
    1000.0, "kg/m³", Source("published", "IAPWS-95 at 4 °C; a cup is measured cold")
)
WATER_SPECIFIC_HEAT = Constant(
    4200.0, "J/(kg K)", Source("published", "IAPWS-95, mean of 10–120 °C, within 1 %")
)
STEAM_GAS_CONSTANT = Constant(461.5, "J/(kg K)", Source("published", "IAPWS-95, R of water"))
STEAM_GAMMA = Constant(
    1.3, "1", Source("published", "ratio of specific heats of wet to saturated steam near 110 °C")
)

FROM_PROTOTYPE = "fitted on the prototype of this model, see docs/how-the-number-is-made.md"
PURGE_HEAT = Constant(20_000.0, "J", Source("fitted", f"air driven out; {FROM_PROTOTYPE}"))
HEATER_EFFICIENCY = Constant(0.90, "1", Source("fitted", FROM_PROTOTYPE))
SPRAY_FILL_RATIO = Constant(
    0.55, "1", Source("common practice", "above this a pot spits and is vented in pulses")
)
SPRAY_THROTTLE = Constant(
    10.0,
    "1",
    Source("fitted", "share of the vent lost per unit of fill above that: practice case P7"),
)
LEAST_VENT_SHARE = Constant(
    0.4,
    "1",
    Source("fitted", "a pot filled to the line, vented in pulses, takes about 9 min: case P11"),
)
PIN_DROP_RISE = Constant(2.0, "K", Source("judgement", "pin falls this far above local boiling"))
KITCHEN_TEMP = Constant(20.0, "°C", Source("common practice", "room and tap water"))
TAP_WATER_TEMP = Constant(15.0, "°C", Source("common practice", "liquid goes in cold"))

SURFACE_COEFFICIENT = Constant(
    500.0,
    "W/(m² K)",
    Source("judgement", "condensing steam or boiling liquid on meat; matters below 3 cm"),
)
CONTACT_COEFFICIENT = Constant(
    45.0,
    "W/(m² K)",
    Source(
        "judgement",
        "heat that juice carries between faces that touch, 30–60; dry gaps less, wet more",
    ),
)
FLOOR_SHARE = Constant(
    0.85,
    "1",
    Source("judgement", "share of a round floor that pieces cover before they lie on each other"),
)
PROPERTY_TEMP = Constant(
    65.0, "°C", Source("judgement", "mean temperature of the meat over the heating")
)
BONE_SPECIFIC_HEAT = Constant(
    2000.0, "J/(kg K)", Source("from memory", "fresh rib bone, 1.3–2.3 kJ/(kg K) reported")
)
BONE_DENSITY = Constant(
    1350.0, "kg/m³", Source("from memory", "fresh porous bone, 1.2–1.5 g/cm³ reported")
)

FROZEN_VIRTUAL_START = Constant(
    -88.0,
    "°C",
    Source(
        "fitted",
        "stands in for thawing: within 45 s of a 3-D enthalpy solution to cores of 50–100 °C on "
        "five shapes (tests/reference/test_frozen.py)",
    ),
)
FROZEN_EXTRA = Constant(
    120.0, "s", Source("judgement", "on top: pieces freeze together, freezers differ")
)
ICE_LATENT_HEAT = Constant(333_600.0, "J/kg", Source("published", "heat of fusion of ice, CRC"))
ICE_SHARE = Constant(
    0.90, "1", Source("from memory", "share of the water of lean meat that is ice at -18 °C")
)
FROZEN_SPECIFIC_HEAT = Constant(
    2000.0, "J/(kg K)", Source("from memory", "frozen lean meat, ASHRAE Refrigeration ch. 19")
)
SEAR_HEAT = Constant(
    1.2e6,
    "J/m²",
    Source("judgement", "3 min on hot metal at about 7 kW/m² net of what boils off"),
)

READING_SHARE = Constant(
    0.6,
    "1",
    Source(
        "fitted",
        "softening is read this far from the middle to the surface, on every axis: each case of "
        "practice left out, 0.20 as rms of ln time, 0.75 in the middle (docs/validation.md)",
    ),
)
DOSE_Z = Constant(
    28.0, "K", Source("fitted", "agrees with oven braises at 96 °C; poorly fixed by pressure cooks")
)
DOSE_REFERENCE_TEMP = Constant(100.0, "°C", Source("judgement", "a definition"))
DOSE_THRESHOLD_TEMP = Constant(
    70.0, "°C", Source("judgement", "collagen hardly melts below this in a few hours")
)
LADDER_STEP = Constant(
    1.3, "1", Source("fitted", "dose ratio between neighbouring textures; 1.2 to 1.4 fit alike")
)
MEMBRANE_STEPS = Constant(
    1.0, "1", Source("fitted", "a membrane left on asks for one texture more")
)
CARRY_OVER = Constant(
    300.0, "s", Source("judgement", "the core goes on softening after the lid is off")
)
GUESSED_SPREAD = Constant(
    0.16, "1", Source("judgement", "1 sd of a thickness guessed from weight and cut, ln")
)
SIZE_SPREAD = Constant(
    0.08, "1", Source("judgement", "1 sd of a thickness measured in a kitchen, ln")
)
GAUGE_SPREAD = Constant(
    4_000.0, "Pa", Source("judgement", "1 sd of what a pot regulates at about what it says")
)
COOK_SPREAD = Constant(
    0.13, "1", Source("judgement", "1 sd of ln dose from one piece to the next in one kitchen")
)
BAND_SDS = Constant(
    1.2816, "1", Source("published", "normal quantile: 80 % lie within so many sd on both sides")
)

US_CUP = Constant(2.365_882_365e-4, "m³", Source("published", "NIST Handbook 44, appendix C"))
LID_CLEARANCE = Constant(
    0.025, "m", Source("common practice", "what stands above the line keeps clear of the lid")
)
GIVE_RATIO = Constant(
    1.10, "1", Source("common practice", "pieces are rounded and give way by about a tenth")
)
KEEP_WARM_TEMP = Constant(
    70.0, "°C", Source("common practice", "the keep-warm setting holds 63 to 77 °C")
)

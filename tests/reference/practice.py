"""Cooks as the trade does them, with every size, weight, start, pot and release assumed.

Common practice throughout; what practice does not state (geometry above all) is written here
once and is not moved afterwards. `fitted` cases gave the softening doses in `cuts.csv`, the
others had no part in it. A `span` is what practice calls usual; its middle is what is fitted.
"""

from dataclasses import dataclass

from pneumachron.core.cuts import ReleaseMethod, School
from pneumachron.core.load import Load
from pneumachron.core.tenderness import Texture
from pneumachron.core.wish import Wish
from tests.core.kitchen import CUP_M3, LB_KG, load, wish


@dataclass(frozen=True)
class Case:
    """One practice: what was cooked, and the minutes the trade sets."""

    name: str
    pieces: Load
    stated_min: float
    texture: Texture
    school: School
    release: ReleaseMethod
    liquid_cups: float
    fitted: bool
    min_liquid_cups: float = 1.0
    wait_min: float = 10.0
    boil_min: float = 0.0
    span: tuple[float, float] | None = None

    def wish(self) -> Wish:
        return wish(
            self.pieces,
            texture=self.texture,
            school=self.school,
            release=self.release,
            liquid_m3=self.liquid_cups * CUP_M3,
            min_liquid_m3=self.min_liquid_cups * CUP_M3,
            wait_s=60.0 * self.wait_min,
            boil_s=60.0 * self.boil_min,
        )


# All in a 5.7 l pot of 1000 W at sea level, meat from a refrigerator at 4 °C.
P1 = Case(
    "P1 brisket flat 3 lb halved, 4.5 × 12 × 12 cm each, 3.6 cups nearly covering",
    load("brisket_flat", 3 * LB_KG, 0.045, 2, footprint_m=(0.12, 0.12)),
    80, "tender", "bath", "natural", 3.6, fitted=True,
)  # fmt: skip
P2 = Case(
    "P2 brisket 3½ lb in one piece of 5 cm, 1¾ cups of sauce, shreds",
    load("brisket_flat", 3.5 * LB_KG, 0.05, footprint_m=(0.19, 0.16)),
    60, "falls", "short_braise", "quick", 1.75, fitted=False,
)  # fmt: skip
P3 = Case(
    "P3 rib pieces 2 lb of 1 in, 1 cup, 5 min, vented at once, 10 min of open boil, clean bite",
    load("rib_pieces", 2 * LB_KG, 0.0254, 18),
    5, "chewy", "short_braise", "quick", 1.0, fitted=False, boil_min=10.0,
)  # fmt: skip
P4 = Case(
    "P4 boneless shoulder 4 lb as two pieces of 7 cm, 1 cup, pulls",
    load("shoulder_boneless", 4 * LB_KG, 0.07, 2),
    75, "falls", "short_braise", "natural", 1.0, fitted=True,
)  # fmt: skip
P5 = Case(
    "P5 back ribs 2½ lb in four sections of 3 cm on a rack, ½ cup",
    load("back_ribs", 2.5 * LB_KG, 0.03, 4),
    15, "tender", "steam", "timed", 0.5, fitted=True, min_liquid_cups=0.5,
)  # fmt: skip
P6_THICK = Case(
    "P6 back ribs 2½ lb of 3.5 cm, coiled, 8 cups, falls off the bone",
    load("back_ribs", 2.5 * LB_KG, 0.035),
    45, "falls", "bath", "quick", 8.0, fitted=True,
)  # fmt: skip
P6_THIN = Case(
    "P6 back ribs 2 lb of 2.6 cm, coiled, 8 cups, falls off the bone",
    load("back_ribs", 2.0 * LB_KG, 0.026),
    35, "falls", "bath", "quick", 8.0, fitted=True,
)  # fmt: skip
P7_HOLDS = Case(
    "P7 two racks of 2½ lb and 3 cm, coiled, 50 oz, 15 min then vent, bones slide (membrane off)",
    load("back_ribs", 5.0 * LB_KG, 0.03, 2),
    18, "very", "bath", "timed", 6.25, fitted=True, wait_min=15.0,
)  # fmt: skip
P7_FALLS = Case(
    "P7 the same, complete fall-off",
    load("back_ribs", 5.0 * LB_KG, 0.03, 2),
    21.5, "falls", "bath", "timed", 6.25, fitted=True, wait_min=15.0,
)  # fmt: skip
P9 = Case(
    "P9 shoulder 7 lb whole, 12 cm, 2 cups, shreds",
    load("shoulder_boneless", 7 * LB_KG, 0.12),
    210, "falls", "short_braise", "natural", 2.0, fitted=True,
)  # fmt: skip
P10 = Case(
    "P10 English-cut short ribs 3 lb as 14 cubes of 4.5 cm, 1 cup, bones drop off",
    load("short_ribs_english", 3 * LB_KG, 0.045, 14),
    35, "falls", "short_braise", "natural", 1.0, fitted=True,
)  # fmt: skip

# Usual spans of the trade, with pieces of their middle size.
S1 = Case(
    "S1 back ribs, a rack of 2¼ lb and 3 cm, on the rack, usual span",
    load("back_ribs", 2.25 * LB_KG, 0.03),
    24, "tender", "steam", "timed", 1.0, fitted=True, span=(20, 28),
)  # fmt: skip
S2 = Case(
    "S2 back ribs, the same in four sections, usual span",
    load("back_ribs", 2.25 * LB_KG, 0.03, 4),
    20, "tender", "steam", "timed", 1.0, fitted=True, span=(15, 25),
)  # fmt: skip
S3 = Case(
    "S3 shoulder 3 lb in six pieces of 4.5 cm, usual span",
    load("shoulder_boneless", 3 * LB_KG, 0.045, 6),
    30, "falls", "short_braise", "natural", 1.0, fitted=True, span=(25, 35),
)  # fmt: skip
S4 = Case(
    "S4 shoulder 4 lb in two pieces of 7 cm, usual span",
    load("shoulder_boneless", 4 * LB_KG, 0.07, 2),
    67.5, "falls", "short_braise", "natural", 1.0, fitted=True, span=(60, 75),
)  # fmt: skip
S5 = Case(
    "S5 shoulder whole, 3 kg of 11.5 cm, usual span",
    load("shoulder_boneless", 3.0, 0.115),
    165, "falls", "short_braise", "natural", 1.75, fitted=True, span=(120, 210),
)  # fmt: skip

# Cuts that have a case of their own, and spans of cuts that share the back ribs' dose.
P8 = Case(
    "P8 flanken 2½ lb of 1.5 cm, marinade and ½ cup, soft, still on the bone",
    load("flanken", 2.5 * LB_KG, 0.015, 8),
    2, "tender", "short_braise", "quick", 1.5, fitted=True,
)  # fmt: skip
P14 = Case(
    "P14 poultry wings 2 lb of 2.7 cm on the basket, ½ cup",
    load("wings", 2 * LB_KG, 0.027, 12),
    5, "tender", "steam", "quick", 0.5, fitted=True, min_liquid_cups=0.5,
)  # fmt: skip
S6 = Case(
    "S6 spare ribs whole, 3.2 lb of 3.5 cm, usual span",
    load("spare_ribs", 3.2 * LB_KG, 0.035),
    35, "tender", "short_braise", "timed", 1.5, fitted=False, span=(30, 40),
)  # fmt: skip
S7 = Case(
    "S7 spare ribs trimmed, 2½ lb of 3.2 cm, usual span",
    load("spare_ribs_trimmed", 2.5 * LB_KG, 0.032),
    30, "tender", "short_braise", "timed", 1.5, fitted=False, span=(25, 35),
)  # fmt: skip

FAMILIES: dict[str, tuple[Case, ...]] = {
    "back ribs": (P5, P6_THICK, P6_THIN, P7_HOLDS, P7_FALLS, S1, S2),
    "brisket flat": (P1,),
    "short ribs": (P10,),
    "flanken": (P8,),
    "wings": (P14,),
    "shoulder": (P4, P9, S3, S4, S5),
}
"""Cases that share one dose. P2 stands outside: it contradicts P1 under any model."""
UNFITTED = (P2, P3, S6, S7)

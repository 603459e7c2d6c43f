"""Cooks as the trade does them, with every size, weight, start, pot and release assumed.

Common practice throughout, from memory; what practice does not state (geometry above all) is
written here once and is not moved afterwards. A span is what practice calls usual. `step` is where
the words of the practice lie on the ladder: slices 1.5, fork-tender 3, shreds and bones that drop
4; of ribs tender 2, very tender 3, falls apart 4. Three words were read anew after residuals had
been seen (`first_step`); docs/validation.md has the fit with and without.
"""

from dataclasses import dataclass

from pneumachron.core.catalog.cuts import LiquidStyle, ReleaseMethod
from pneumachron.core.planning.load import Load
from pneumachron.core.planning.request import CookRequest
from tests.core.kitchen import CUP_M3, LB_KG, cook_request, load


@dataclass(frozen=True, eq=False)
class Case:
    """One practice: what was cooked, and the minutes the trade sets."""

    name: str
    pieces: Load
    span: tuple[float, float]
    step: float
    liquid_style: LiquidStyle
    release: ReleaseMethod
    liquid_cups: float
    fitted: bool = True
    min_liquid_cups: float = 1.0
    wait_min: float = 10.0
    boil_min: float = 0.0
    first_step: float | None = None
    """What its words were taken for at first, where they were read anew."""

    @property
    def middle_min(self) -> float:
        """Middle of the span."""
        return sum(self.span) / 2

    @property
    def cut(self) -> str:
        """Of all its pieces."""
        return self.pieces.pieces[0].cut.cut_id

    @property
    def family(self) -> str:
        """Cuts whose doses are pooled."""
        return "flanken" if self.cut == "flanken" else self.pieces.pieces[0].cut.family

    def cook_request(self) -> CookRequest:
        return cook_request(
            self.pieces,
            tenderness_step=self.step,
            liquid_style=self.liquid_style,
            release=self.release,
            liquid_m3=self.liquid_cups * CUP_M3,
            min_liquid_m3=self.min_liquid_cups * CUP_M3,
            wait_s=60.0 * self.wait_min,
            boil_s=60.0 * self.boil_min,
        )


# All in a 5.7 l pot of 1000 W at sea level, meat from a refrigerator at 4 °C.
P1 = Case(
    "P1 brisket flat 3 lb halved, 4.5 × 12 × 12 cm each, 3.6 cups nearly covering, soft slices",
    load("brisket_flat", 3 * LB_KG, 0.045, 2, footprint_m=(0.12, 0.12)),
    (80, 80), 3.0, "bath", "natural", 3.6, first_step=2.0,
)  # fmt: skip
P2 = Case(
    "P2 brisket 3½ lb in one piece of 5 cm, 1¾ cups of sauce, shreds",
    load("brisket_flat", 3.5 * LB_KG, 0.05, footprint_m=(0.19, 0.16)),
    (60, 60), 4.0, "short_braise", "quick", 1.75, fitted=False,
)  # fmt: skip
P3 = Case(
    "P3 rib pieces 2 lb of 1 in, 1 cup, 5 min, vented at once, 10 min of open boil, clean bite",
    load("rib_pieces", 2 * LB_KG, 0.0254, 18),
    (5, 5), 0.0, "short_braise", "quick", 1.0, fitted=False, boil_min=10.0,
)  # fmt: skip
P4 = Case(
    "P4 boneless shoulder 4 lb as two pieces of 7 cm, 1 cup, pulls",
    load("shoulder_boneless", 4 * LB_KG, 0.07, 2),
    (75, 75), 4.0, "short_braise", "natural", 1.0,
)  # fmt: skip
P5 = Case(
    "P5 back ribs 2½ lb in four sections of 3 cm on a rack, ½ cup, holds for the grill",
    load("back_ribs", 2.5 * LB_KG, 0.03, 4),
    (15, 15), 1.5, "steam", "timed", 0.5, min_liquid_cups=0.5, first_step=2.0,
)  # fmt: skip
P6_THICK = Case(
    "P6 back ribs 2½ lb of 3.5 cm, coiled, 8 cups, falls off the bone",
    load("back_ribs", 2.5 * LB_KG, 0.035),
    (45, 45), 4.0, "bath", "quick", 8.0,
)  # fmt: skip
P6_THIN = Case(
    "P6 back ribs 2 lb of 2.6 cm, coiled, 8 cups, falls off the bone",
    load("back_ribs", 2.0 * LB_KG, 0.026),
    (35, 35), 4.0, "bath", "quick", 8.0,
)  # fmt: skip
P7_HOLDS = Case(
    "P7 two racks of 2½ lb and 3 cm, coiled, 50 oz, 15 min then vent, bones slide (membrane off)",
    load("back_ribs", 5.0 * LB_KG, 0.03, 2),
    (18, 18), 3.0, "bath", "timed", 6.25, wait_min=15.0,
)  # fmt: skip
P7_FALLS = Case(
    "P7 the same, complete fall-off",
    load("back_ribs", 5.0 * LB_KG, 0.03, 2),
    (21, 22), 4.0, "bath", "timed", 6.25, wait_min=15.0,
)  # fmt: skip
P8 = Case(
    "P8 flanken 2½ lb of 1.5 cm, marinade and ½ cup, warmed through, then crisped",
    load("flanken", 2.5 * LB_KG, 0.015, 8),
    (2, 2), 0.0, "short_braise", "quick", 1.5, fitted=False,
)  # fmt: skip
P9 = Case(
    "P9 shoulder 7 lb whole, 12 cm, 2 cups, shreds: the slow end of practice",
    load("shoulder_boneless", 7 * LB_KG, 0.12),
    (210, 210), 4.0, "short_braise", "natural", 2.0, fitted=False,
)  # fmt: skip
P10 = Case(
    "P10 English-cut short ribs 3 lb as 14 cubes of 4.5 cm, 1 cup, bones drop off",
    load("short_ribs_english", 3 * LB_KG, 0.045, 14),
    (35, 35), 4.0, "short_braise", "natural", 1.0,
)  # fmt: skip
P14 = Case(
    "P14 poultry wings 2 lb of 2.7 cm on the basket, ½ cup, firm, to be crisped",
    load("wings", 2 * LB_KG, 0.027, 12),
    (5, 5), 1.0, "steam", "quick", 0.5, min_liquid_cups=0.5, first_step=2.0,
)  # fmt: skip

# Usual spans of the trade, with pieces of their middle size.
S1 = Case(
    "S1 back ribs, a rack of 2¼ lb and 3 cm, on the rack",
    load("back_ribs", 2.25 * LB_KG, 0.03),
    (20, 28), 2.0, "steam", "timed", 1.0,
)  # fmt: skip
S2 = Case(
    "S2 back ribs, the same in four sections",
    load("back_ribs", 2.25 * LB_KG, 0.03, 4),
    (15, 25), 2.0, "steam", "timed", 1.0,
)  # fmt: skip
S3 = Case(
    "S3 shoulder 3 lb in six pieces of 4.5 cm, pulls",
    load("shoulder_boneless", 3 * LB_KG, 0.045, 6),
    (25, 35), 4.0, "short_braise", "natural", 1.0,
)  # fmt: skip
S4 = Case(
    "S4 shoulder 4 lb in two pieces of 7 cm, pulls",
    load("shoulder_boneless", 4 * LB_KG, 0.07, 2),
    (60, 75), 4.0, "short_braise", "natural", 1.0,
)  # fmt: skip
S5 = Case(
    "S5 shoulder whole, 3 kg of 11.5 cm, pulls",
    load("shoulder_boneless", 3.0, 0.115),
    (120, 210), 4.0, "short_braise", "natural", 1.75,
)  # fmt: skip
S6 = Case(
    "S6 spare ribs whole, 3.2 lb of 3.5 cm",
    load("spare_ribs", 3.2 * LB_KG, 0.035),
    (30, 40), 2.0, "short_braise", "timed", 1.5,
)  # fmt: skip
S7 = Case(
    "S7 spare ribs trimmed, 2½ lb of 3.2 cm",
    load("spare_ribs_trimmed", 2.5 * LB_KG, 0.032),
    (25, 35), 2.0, "short_braise", "timed", 1.5,
)  # fmt: skip
S8 = Case(
    "S8 boneless shoulder 2.1 kg whole, 9 cm, shreds",
    load("shoulder_boneless", 2.1, 0.09),
    (85, 100), 4.0, "short_braise", "natural", 1.5,
)  # fmt: skip
S9 = Case(
    "S9 bone-in shoulder 3.3 kg whole, 12 cm, shreds",
    load("shoulder_bone_in", 3.3, 0.12),
    (120, 160), 4.0, "short_braise", "natural", 1.5,
)  # fmt: skip
S10 = Case(
    "S10 shoulder cubes of 2.5 cm, 1.1 kg, fork-tender",
    load("shoulder_boneless", 1.1, 0.025, 50, footprint_m=(0.025, 0.025)),
    (15, 20), 3.0, "short_braise", "natural", 1.5,
)  # fmt: skip
B1 = Case(
    "B1 brisket flat 1.5 kg in one piece, 4.5–5 cm, slices",
    load("brisket_flat", 1.5, 0.0475),
    (60, 75), 1.5, "short_braise", "natural", 1.5,
)  # fmt: skip
B2 = Case(
    "B2 brisket flat 1.8 kg in two pieces, 5 cm, fork-tender",
    load("brisket_flat", 1.8, 0.05, 2),
    (75, 90), 3.0, "short_braise", "natural", 1.5,
)  # fmt: skip
B3 = Case(
    "B3 brisket flat 2.3 kg in three pieces, 6 cm, shreds",
    load("brisket_flat", 2.3, 0.06, 3),
    (90, 105), 4.0, "short_braise", "natural", 1.5,
)  # fmt: skip
B4 = Case(
    "B4 brisket cubes of 4 cm, 1.2 kg, fork-tender",
    load("brisket_flat", 1.2, 0.04, 18, footprint_m=(0.04, 0.04)),
    (35, 45), 3.0, "short_braise", "natural", 1.5,
)  # fmt: skip
B5 = Case(
    "B5 brisket point 1.5 kg, 6 cm, fork-tender",
    load("brisket_point", 1.5, 0.06),
    (75, 100), 3.0, "short_braise", "natural", 1.5,
)  # fmt: skip
R1 = Case(
    "R1 English-cut short ribs 1.8 kg of 5 cm, fall off the bone",
    load("short_ribs_english", 1.8, 0.05, 10),
    (45, 50), 4.0, "short_braise", "natural", 1.5,
)  # fmt: skip
R2 = Case(
    "R2 the same, fork-tender",
    load("short_ribs_english", 1.8, 0.05, 10),
    (35, 40), 3.0, "short_braise", "natural", 1.5,
)  # fmt: skip
R3 = Case(
    "R3 boneless short ribs 1.2 kg, cubes of 4 cm, fork-tender",
    load("short_ribs_boneless", 1.2, 0.04, 18, footprint_m=(0.04, 0.04)),
    (30, 40), 3.0, "short_braise", "natural", 1.5,
)  # fmt: skip
F1 = Case(
    "F1 flanken of 1.3 cm, 1.1 kg, braised, fork-tender",
    load("flanken", 1.1, 0.013, 8),
    (12, 20), 3.0, "short_braise", "natural", 1.5,
)  # fmt: skip
W1 = Case(
    "W1 wings of 2.7 cm, steam, to be crisped, skin still whole",
    load("wings", 0.9, 0.027, 12),
    (5, 6), 1.0, "steam", "quick", 1.0,
)  # fmt: skip
W2 = Case(
    "W2 the same, eaten soft, meat draws back from the bone",
    load("wings", 0.9, 0.027, 12),
    (8, 10), 3.0, "steam", "timed", 1.0,
)  # fmt: skip

FITTED: tuple[Case, ...] = (
    P1, P4, P5, P6_THICK, P6_THIN, P7_HOLDS, P7_FALLS, P10, P14, S1, S2, S3, S4, S5, S6, S7, S8, S9,
    S10, B1, B2, B3, B4, B5, R1, R2, R3, F1, W1, W2,
)  # fmt: skip
LEFT_OUT: dict[str, Case] = {
    "five minutes, of which the open boil does the most": P3,
    "warmed through and crisped: below the ladder": P8,
    "60 min for shreds, where P1 takes 80 for slices": P2,
    "the slow end: S9 is the same roast in 120 to 160": P9,
}
"""Cases of practice that took no part in the fit, and why."""

"""What the numbers mean, in a cook's words: reasons for the hold, and cautions where they bite."""

from dataclasses import dataclass

from pneumachron.core.constants import (
    GUESSED_SPREAD,
    SIZE_SPREAD,
    SPRAY_FILL_RATIO,
    Source,
    SourceKind,
)
from pneumachron.core.cuts import ReleaseMethod, School
from pneumachron.core.liquid import Filling, Standing
from pneumachron.core.load import Load, Piece
from pneumachron.core.pots import Pot
from pneumachron.core.tenderness import TEXTURES
from pneumachron.core.units import show_length, show_temperature, show_volume

ALTITUDE_WORTH_SAYING_MIN = 1.0
UNEVEN_STEPS = 0.75
"""Kinds of pieces that end up further apart than this on the ladder are mentioned."""


@dataclass(frozen=True, slots=True)
class Reason:
    """One fact behind the hold: its value, what it does, and how well it is known.

    `effect_min` is in minutes of hold and signed; what it is the effect of stands in `text`.
    """

    fact: str
    value: float
    unit: str
    effect_min: float
    text: str
    source: SourceKind


@dataclass(frozen=True, slots=True)
class Caution:
    """A word of care. `severity`: `note` or `careful`; `field` is where it bites."""

    code: str
    severity: str
    field: str
    text: str
    source: Source


@dataclass(frozen=True, slots=True)
class Facts:
    """Everything a plan knows about itself that is worth saying."""

    load: Load
    pot: Pot
    standing: Standing
    filling: Filling
    school: School
    release: ReleaseMethod
    texture_step: float
    altitude_m: float
    hold_min: float
    thicker_hold_min: float
    sea_level_hold_min: float
    sizes_hold_min: tuple[float, float]
    warm_up_s: float
    pressure_s: float
    after_hold_share: float
    core_at_open_c: tuple[float, ...]
    above_safe_s: tuple[float, ...]
    vent_s: float
    texture_steps: tuple[float, ...]
    slowest: int


def reasons_for(facts: Facts) -> tuple[Reason, ...]:
    """Three or four facts that set the hold, the strongest first."""
    piece = facts.load.kinds()[facts.slowest][0]
    more_min = facts.thicker_hold_min - facts.hold_min
    after_min = facts.after_hold_share * facts.hold_min
    reasons = [
        Reason(
            "thickness",
            piece.thickness_m,
            "m",
            more_min,
            f"Thickness decides: half a centimetre more adds {more_min:.0f} min.",
            "published",
        ),
        Reason(
            "warming",
            facts.warm_up_s / 60.0,
            "min",
            facts.warm_up_s / 60.0,
            f"The first {facts.warm_up_s / 60:.0f} min at pressure only bring the middle to "
            "70 °C; softening starts after that.",
            "published",
        ),
        Reason(
            "release",
            facts.after_hold_share,
            "1",
            -after_min,
            f"{100 * facts.after_hold_share:.0f} % of the softening comes after the hold, "
            "while the pressure falls and the meat stands.",
            "fitted",
        ),
    ]
    higher_min = facts.hold_min - facts.sea_level_hold_min
    if abs(higher_min) >= ALTITUDE_WORTH_SAYING_MIN:
        reasons.append(
            Reason(
                "altitude",
                facts.altitude_m,
                "m",
                higher_min,
                f"At {facts.altitude_m:.0f} m the pot runs cooler: "
                f"{higher_min:+.0f} min against sea level.",
                "published",
            )
        )
    return tuple(reasons)


_MANUAL = Source("common practice", "the maker's manual and local food-safety advice come first")


OPEN_SAFELY = Caution(
    "open_safely",
    "note",
    "release",
    "Open only with the pin down, the lid away from your face. Never force it.",
    _MANUAL,
)


def cautions_for(facts: Facts) -> tuple[Caution, ...]:
    """The cautions that apply to this plan, the most pressing first."""
    found = [
        *_safety(facts),
        OPEN_SAFELY,
        *_standing(facts),
        *_filling(facts),
        *_release(facts),
        *_size(facts),
        *_evenness(facts),
    ]
    return tuple(sorted(found, key=lambda caution: caution.severity != "careful"))


def _safety(facts: Facts) -> list[Caution]:
    found = []
    kinds = zip(facts.load.kinds(), facts.core_at_open_c, facts.above_safe_s, strict=True)
    for (piece, _), core_c, above_s in kinds:
        cut = piece.cut
        if core_c >= cut.safe_core_c and above_s >= cut.safe_rest_s:
            continue
        safe = show_temperature(cut.safe_core_c)
        rest = f" and {cut.safe_rest_s / 60:.0f} min of rest" if cut.safe_rest_s else ""
        found.append(
            Caution(
                "below_safe_minimum",
                "careful",
                "thickness",
                f"The middle reaches only {core_c:.0f} °C: {cut.short_name} needs {safe.metric} "
                f"({safe.us}){rest}. Set more minutes.",
                Source("from memory", "USDA FSIS safe minimum internal temperatures"),
            )
        )
    return found


def _standing(facts: Facts) -> list[Caution]:
    standing, found = facts.standing, []
    if standing.layers > 1.0:
        runs = int(-(-standing.layers // 1))
        found.append(
            Caution(
                "not_one_layer",
                "careful",
                "count",
                f"This covers the floor {standing.layers:.1f} times; pieces on each other cook "
                f"like one thick piece. Cook {runs} runs, or take a wider pot.",
                Source("published", "conduction: touching pieces are one thicker body"),
            )
        )
    if standing.top_m > facts.pot.max_level_m:
        found.append(
            Caution(
                "stands_above_line",
                "note",
                "pot",
                "The meat stands above the maximum line: fine while the liquid stays under it.",
                _MANUAL,
            )
        )
    return found


def _filling(facts: Facts) -> list[Caution]:
    filling, found = facts.filling, []
    if filling.limited_by_line:
        found.append(
            Caution(
                "limited_by_line",
                "note",
                "liquid",
                "More liquid would cover the meat better, but the maximum line comes first.",
                _MANUAL,
            )
        )
    if filling.liquid_m3 < filling.lowest_m3 * 1.05:
        found.append(
            Caution(
                "thin_liquid",
                "note",
                "liquid",
                f"{show_volume(filling.lowest_m3).metric} is the least this pot takes, and it must "
                "be thin: thick or sweet sauce goes on top, or in after.",
                _MANUAL,
            )
        )
    return found


def _release(facts: Facts) -> list[Caution]:
    found = []
    if facts.release != "natural" and facts.filling.fill_ratio > SPRAY_FILL_RATIO.value:
        found.append(
            Caution(
                "full_pot_spits",
                "careful",
                "release",
                "A pot this full spits when vented. Vent in short pulses, a towel near the valve "
                "but never on it.",
                _MANUAL,
            )
        )
    default = facts.load.pieces[0].cut.default_release
    if facts.release == "quick" and default == "natural":
        found.append(
            Caution(
                "juice_loss",
                "note",
                "release",
                "Venting a roast at once boils juice out of it; let it fall by itself if there "
                "is time.",
                Source("common practice", "costs 2–5 % more weight"),
            )
        )
    return found


def _size(facts: Facts) -> list[Caution]:
    found = []
    for piece, _ in facts.load.kinds():
        low, high = piece.cut.usual_thickness_m
        if piece.thickness_guessed:
            found.append(_guessed(piece))
        elif not low <= piece.thickness_m <= high:
            found.append(
                Caution(
                    "unusual_thickness",
                    "careful",
                    "thickness",
                    f"{piece.cut.name} is usually {100 * low:.0f}–{100 * high:.0f} cm thick. "
                    f"Measure once more: {piece.cut.measure[0].lower()}{piece.cut.measure[1:]}",
                    Source("common practice", "usual sizes of the cut"),
                )
            )
    if facts.hold_min < 1.0:
        found.append(
            Caution(
                "done_at_zero",
                "careful",
                "thickness",
                "Heating up and release alone do it. Set the shortest hold the pot takes.",
                Source("fitted", "softening before and after the hold"),
            )
        )
    if facts.hold_min > facts.pot.longest_hold_min:
        found.append(
            Caution(
                "longer_than_program",
                "careful",
                "pot",
                f"This pot's longest program is {facts.pot.longest_hold_min / 60:.0f} h: set the "
                "rest as a second program straight after, or cut the meat smaller.",
                _MANUAL,
            )
        )
    low, high = facts.sizes_hold_min
    measured = not any(piece.thickness_guessed for piece in facts.load.pieces)
    if measured and facts.hold_min >= 1.0 and (high - low) > 0.5 * facts.hold_min:
        found.append(
            Caution(
                "measure_well",
                "note",
                "thickness",
                f"Sizes off by {100 * SIZE_SPREAD.value:.0f} % move this hold between "
                f"{low:.0f} and {high:.0f} min: measure to half a centimetre.",
                SIZE_SPREAD.source,
            )
        )
    return found


def _guessed(piece: Piece) -> Caution:
    shown = show_length(piece.thickness_m)
    return Caution(
        "thickness_guessed",
        "careful",
        "thickness",
        f"The thickness is guessed: {shown.metric} ({shown.us}) is usual. Measured to half a "
        "centimetre the range is half as wide.",
        GUESSED_SPREAD.source,
    )


def _evenness(facts: Facts) -> list[Caution]:
    steps = facts.texture_steps
    if max(steps) - min(steps) < UNEVEN_STEPS:
        return []
    softest = steps.index(max(steps))
    piece = facts.load.kinds()[softest][0]
    rung = TEXTURES[min(max(round(steps[softest]), 0), len(TEXTURES) - 1)]
    return [
        Caution(
            "unlike_pieces",
            "careful",
            "count",
            f"The thickest piece sets the hold; by then the {piece.cut.short_name} of "
            f"{100 * piece.thickness_m:.1f} cm is further on: {piece.cut.looks[rung]}.",
            Source("fitted", "softening of each piece"),
        )
    ]

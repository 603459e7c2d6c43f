"""Cautions where they bite, the most pressing first."""

from collections.abc import Callable, Iterable
from dataclasses import dataclass
from math import log

from pneumachron.core.constants import (
    GUESSED_SPREAD,
    SIZE_SPREAD,
    SPRAY_FILL_RATIO,
    Source,
)
from pneumachron.core.facts import Facts
from pneumachron.core.liquid import SCORCH_SUGAR_KG_M3
from pneumachron.core.load import Piece
from pneumachron.core.release import release_kinds
from pneumachron.core.safety import ZONE_HIGH
from pneumachron.core.spread import LEAST_MIN, HoldRange
from pneumachron.core.tenderness import TEXTURES
from pneumachron.core.units import show_length, show_temperature, show_volume

UNEVEN_STEPS = 0.75
"""Kinds of pieces that end up further apart than this on the ladder are mentioned."""
HARDLY_NARROWER = 0.9
"""A band that measuring leaves nine tenths of is hardly narrower. Judgement."""
HEAVY_KG = 1.5
"""A piece this heavy is lowered and lifted on a sling. Common practice."""


@dataclass(frozen=True, slots=True)
class Caution:
    """A word of care. `severity`: `note` or `careful`; `field` is where it bites."""

    code: str
    severity: str
    field: str
    text: str
    source: Source


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
    rules: tuple[Callable[[Facts], Iterable[Caution]], ...] = (
        _safety,
        lambda _: [OPEN_SAFELY],
        _frozen,
        _standing,
        _filling,
        _sauce,
        _release,
        _size,
        _hold,
        _evenness,
        _dryness,
    )
    found = [caution for rule in rules for caution in rule(facts)]
    return tuple(sorted(found, key=lambda caution: caution.severity != "careful"))


def _safety(facts: Facts) -> Iterable[Caution]:
    for (piece, _), safety in zip(facts.load.kinds(), facts.safeties, strict=True):
        if safety.met:
            continue
        cut = piece.cut
        safe = show_temperature(cut.safe_core_c)
        rest = f" and {cut.safe_rest_s / 60:.0f} min of rest" if cut.safe_rest_s else ""
        yield Caution(
            "below_safe_minimum",
            "careful",
            "thickness",
            f"The middle reaches only {safety.hottest_c:.0f} °C: {cut.short_name} needs "
            f"{safe.metric} ({safe.us}){rest}. Set more minutes.",
            Source("from memory", "USDA FSIS safe minimum internal temperatures"),
        )


def _frozen(facts: Facts) -> Iterable[Caution]:
    if facts.frozen_extra_min > 0:
        yield Caution(
            "frozen",
            "careful",
            "start",
            "Frozen pieces go in apart from each other: clumped, the middle stays raw. Check the "
            "middle with a probe.",
            Source("common practice", "separate pieces up to 5 cm only, no sear"),
        )


def _standing(facts: Facts) -> Iterable[Caution]:
    standing = facts.setup.standing
    if standing.arrangement == "stacked":
        yield Caution(
            "not_one_layer",
            "careful",
            "count",
            "They do not all go beside each other and lie partly on each other; covered faces "
            "take up less heat. Two runs, or a wider pot, are quicker and more even.",
            Source("published", "conduction: little heat gets between faces that touch"),
        )
    if standing.arrangement == "heap":
        yield Caution(
            "heap",
            "note",
            "count",
            "Put them in loosely, one by one: what sticks together stays raw in the middle.",
            Source("common practice", "clumped pieces cook like one thick piece"),
        )
    if standing.tight:
        yield Caution(
            "tight",
            "note",
            "pot",
            "It is tight: the pieces go in pressed against each other.",
            Source("common practice", "pieces give way by about a tenth"),
        )
    if max(piece.mass_kg for piece in facts.load.pieces) >= HEAVY_KG:
        yield Caution(
            "sling",
            "note",
            "rack",
            "Lower and lift a piece this heavy on a sling or the rack's handles.",
            Source("common practice", "soft heavy pieces break or slip"),
        )
    if standing.top_m > facts.pot.max_level_m:
        yield Caution(
            "stands_above_line",
            "note",
            "pot",
            "The meat stands above the maximum line: fine while the liquid stays under it.",
            _MANUAL,
        )


def _filling(facts: Facts) -> Iterable[Caution]:
    filling, pot = facts.setup.filling, facts.pot
    if filling.limited_by_line:
        yield Caution(
            "limited_by_line",
            "note",
            "liquid",
            "More liquid would cover the meat better, but the maximum line comes first.",
            _MANUAL,
        )
    if facts.setup.wish.school == "lean":
        yield Caution(
            "lean_liquid",
            "careful",
            "liquid",
            f"Less than the maker's {show_volume(pot.min_liquid_m3).metric}: the meat's juice "
            "comes only after the pot is at pressure, and until then it may run dry and stop. "
            "Your choice for this cook.",
            _MANUAL,
        )
    elif filling.liquid_m3 < filling.lowest_m3 * 1.05:
        yield Caution(
            "thin_liquid",
            "note",
            "liquid",
            f"{show_volume(filling.lowest_m3).metric} is the least this pot takes, and it must "
            "be thin: thick or sweet sauce goes on top, or in after.",
            _MANUAL,
        )
    if facts.ending.level_m > pot.max_level_m:
        yield Caution(
            "juice_over_line",
            "careful",
            "liquid",
            "With the juice of the meat the liquid ends above the maximum line: start with less.",
            _MANUAL,
        )
    if facts.setup.wish.foams:
        yield Caution(
            "foams",
            "careful",
            "liquid",
            "What foams fills the pot to half at most, and is never vented at once.",
            _MANUAL,
        )


def _sauce(facts: Facts) -> Iterable[Caution]:
    sauce = facts.setup.wish.sauce
    if sauce.scorches:
        sweet = sauce.sugar_kg_m3 > SCORCH_SUGAR_KG_M3.value
        yield Caution(
            "scorches",
            "careful",
            "liquid",
            f"{'Sweet' if sweet else 'Thick'} sauce on the base burns and stops the pot. Put it on "
            "top of the meat, or in after; deglaze until the base is bare.",
            Source("common practice", "tomato paste, or more than about 100 g of sugar a litre"),
        )


def _release(facts: Facts) -> Iterable[Caution]:
    setup = facts.setup
    kind = release_kinds()[setup.release]
    if kind.vents and setup.filling.fill_ratio > SPRAY_FILL_RATIO.value:
        yield Caution(
            "full_pot_spits",
            "careful",
            "release",
            "A pot this full spits when vented. Vent in short pulses, a towel near the valve "
            "but never on it.",
            _MANUAL,
        )
    default = facts.load.pieces[0].cut.default_release
    if setup.release in {"quick", "soak"} and default == "natural":
        yield Caution(
            "juice_loss",
            "note",
            "release",
            "Venting a roast at once boils juice out of it; let it fall by itself if there "
            "is time.",
            Source("common practice", "costs 2–5 % more weight"),
        )
    if setup.release == "keep_warm":
        yield Caution(
            "keeps_softening",
            "note",
            "release",
            "It goes on softening while it is kept warm: the hold is shorter for it. Come back "
            "in time.",
            Source("fitted", "softening after the hold"),
        )
        warm = show_temperature(ZONE_HIGH.value)
        yield Caution(
            "kept_hot",
            "note",
            "release",
            f"Kept warm must mean above {warm.metric} ({warm.us}): check yours once with a "
            "thermometer.",
            ZONE_HIGH.source,
        )


def _size(facts: Facts) -> Iterable[Caution]:
    for piece, _ in facts.load.kinds():
        low, high = piece.cut.usual_thickness_m
        if piece.thickness_guessed:
            yield _guessed(piece, facts.range)
        elif not low <= piece.thickness_m <= high:
            yield Caution(
                "unusual_thickness",
                "careful",
                "thickness",
                f"{piece.cut.name} is usually {100 * low:.0f}–{100 * high:.0f} cm thick. "
                f"Measure once more: {piece.cut.measure[0].lower()}{piece.cut.measure[1:]}",
                Source("common practice", "usual sizes of the cut"),
            )


def _hold(facts: Facts) -> Iterable[Caution]:
    if facts.hold_min < 1.0:
        yield Caution(
            "done_at_zero",
            "careful",
            "thickness",
            "Heating up and release alone do it. Set the shortest hold the pot takes.",
            Source("fitted", "softening before and after the hold"),
        )
    longest = facts.pot.longest_hold_min
    if facts.hold_min > longest:
        yield Caution(
            "longer_than_program",
            "careful",
            "pot",
            f"This pot's longest program is {longest / 60:.0f} h: set {longest:.0f} min, then "
            f"{facts.hold_min - longest:.0f} min as a second program straight after, or cut the "
            "meat smaller.",
            _MANUAL,
        )
    if facts.pot.has_start_key:
        yield Caution(
            "start_key",
            "note",
            "level",
            "This pot waits for its start key.",
            _MANUAL,
        )
    largest = facts.range.largest
    wide = facts.range.high_min - facts.range.low_min > 0.5 * facts.hold_min
    if largest.kind == "thickness" and facts.hold_min >= 1.0 and wide:
        yield Caution(
            "measure_well",
            "note",
            "thickness",
            f"Sizes off by {100 * SIZE_SPREAD.value:.0f} % move this hold between "
            f"{largest.low_min:.0f} and {largest.high_min:.0f} min: measure to half a centimetre.",
            SIZE_SPREAD.source,
        )


def _guessed(piece: Piece, spread: HoldRange) -> Caution:
    shown = show_length(piece.thickness_m)
    low, high = spread.measured_min
    measured = log(max(high, LEAST_MIN) / max(low, LEAST_MIN))
    guessed = log(max(spread.high_min, LEAST_MIN) / max(spread.low_min, LEAST_MIN))
    if measured > HARDLY_NARROWER * guessed:
        return Caution(
            "thickness_guessed",
            "note",
            "thickness",
            f"The thickness is guessed: {shown.metric} ({shown.us}) is usual. At this weight it "
            "hardly matters: what is thicker is narrower.",
            GUESSED_SPREAD.source,
        )
    return Caution(
        "thickness_guessed",
        "careful",
        "thickness",
        f"The thickness is guessed: {shown.metric} ({shown.us}) is usual. Measured to half a "
        f"centimetre the range narrows to {low:.0f}–{high:.0f} min. "
        f"{piece.cut.measure}",
        GUESSED_SPREAD.source,
    )


def _evenness(facts: Facts) -> Iterable[Caution]:
    steps = facts.texture_steps
    if max(steps) - min(steps) < UNEVEN_STEPS:
        return
    softest = steps.index(max(steps))
    piece = facts.load.kinds()[softest][0]
    rung = TEXTURES[min(max(round(steps[softest]), 0), len(TEXTURES) - 1)]
    yield Caution(
        "unlike_pieces",
        "careful",
        "count",
        f"The thickest piece sets the hold; by then the {piece.cut.short_name} of "
        f"{100 * piece.thickness_m:.1f} cm is further on: {piece.cut.looks[rung]}.",
        Source("fitted", "softening of each piece"),
    )


def _dryness(facts: Facts) -> Iterable[Caution]:
    if max(facts.dryness_ratios) > 1.0:
        dry = facts.dryness_ratios.index(max(facts.dryness_ratios))
        piece = facts.load.kinds()[dry][0]
        yield Caution(
            "goes_dry",
            "careful",
            "texture",
            f"Half of the meat, or more, is past what {piece.cut.short_name} forgives: soft, but "
            "it breaks into dry threads.",
            Source("judgement", "a lean flat goes dry at about 1.5 times falling apart"),
        )

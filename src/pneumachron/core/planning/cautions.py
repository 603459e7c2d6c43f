"""Cautions where they bite, the most pressing first; `text` has the words."""

from collections.abc import Callable, Iterable, Mapping
from dataclasses import dataclass
from dataclasses import field as made
from math import log

from pneumachron.core.constants import (
    GUESSED_SPREAD,
    SIZE_SPREAD,
    Source,
)
from pneumachron.core.errors import Param
from pneumachron.core.message import Message
from pneumachron.core.physics.tenderness import TEXTURES
from pneumachron.core.planning.findings import PlanFindings
from pneumachron.core.planning.likely_range import LEAST_MIN, HoldRange
from pneumachron.core.planning.liquid import SCORCH_SUGAR_KG_M3, covering_m3
from pneumachron.core.planning.load import Piece
from pneumachron.core.planning.releases import is_full, release_kinds
from pneumachron.core.safety.limits import ZONE_HIGH

UNEVEN_STEPS = 0.75
"""Kinds of pieces that end up further apart than this on the ladder are mentioned."""
HARDLY_NARROWER = 0.9
"""A band that measuring leaves nine tenths of is hardly narrower. Judgement."""
SHALLOW_RATIO = 0.6
"""A bath that reaches less of the height of the meat covers little of it. Judgement."""
HEAVY_KG = 1.5
"""A piece this heavy is lowered and lifted on a sling. Common practice."""


@dataclass(frozen=True, slots=True)
class Caution:
    """A word of care. `severity`: `note` or `careful`; `field` is where it bites.

    The message `caution-code` speaks of `params`.
    """

    code: str
    severity: str
    field: str
    source: Source
    params: Mapping[str, Param] = made(default_factory=dict)

    @property
    def said(self) -> Message:
        """The caution as a sentence."""
        return Message(f"caution-{self.code}", self.params)


_MANUAL = Source("common practice", "the maker's manual and local food-safety advice come first")


OPEN_SAFELY = Caution("open_safely", "note", "release", _MANUAL)


def cautions_for(facts: PlanFindings) -> tuple[Caution, ...]:
    """The cautions that apply to this plan, the most pressing first."""
    rules: tuple[Callable[[PlanFindings], Iterable[Caution]], ...] = (
        _safety,
        lambda _: [OPEN_SAFELY],
        _frozen,
        _arrangement,
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


def _safety(facts: PlanFindings) -> Iterable[Caution]:
    for (piece, _), safety in zip(facts.load.kinds(), facts.safeties, strict=True):
        if safety.met:
            continue
        cut = piece.cut
        yield Caution(
            "below_safe_minimum",
            "careful",
            "thickness",
            Source("from memory", "USDA FSIS safe minimum internal temperatures"),
            {
                "hottest_c": safety.hottest_c,
                "cut": cut.cut_id,
                "safe_c": cut.safe_core_c,
                "rest_s": cut.safe_rest_s,
            },
        )


def _frozen(facts: PlanFindings) -> Iterable[Caution]:
    if facts.frozen_extra_min > 0:
        yield Caution(
            "frozen",
            "careful",
            "start",
            Source("common practice", "separate pieces up to 5 cm only, no sear"),
        )


def _arrangement(facts: PlanFindings) -> Iterable[Caution]:
    arrangement = facts.setup.arrangement
    if arrangement.kind == "stacked":
        yield Caution(
            "not_one_layer",
            "careful",
            "count",
            Source("published", "conduction: little heat gets between faces that touch"),
        )
    if arrangement.kind == "heap":
        yield Caution(
            "heap",
            "note",
            "count",
            Source("common practice", "clumped pieces cook like one thick piece"),
        )
    if arrangement.tight:
        yield Caution(
            "tight", "note", "pot", Source("common practice", "pieces give way by about a tenth")
        )
    if max(piece.mass_kg for piece in facts.load.pieces) >= HEAVY_KG:
        yield Caution(
            "sling", "note", "rack", Source("common practice", "soft heavy pieces break or slip")
        )
    if arrangement.top_m > facts.pot.max_level_m:
        yield Caution("stands_above_line", "note", "pot", _MANUAL)


def _filling(facts: PlanFindings) -> Iterable[Caution]:
    filling, pot = facts.setup.filling, facts.pot
    if filling.limited_by_line:
        yield Caution("limited_by_line", "note", "liquid", _MANUAL)
    if facts.setup.request.liquid_style == "bath" and facts.setup.request.liquid_m3 is None:
        yield from _shallow_bath(facts)
    if facts.setup.request.liquid_style == "lean":
        yield Caution("lean_liquid", "careful", "liquid", _MANUAL, {"least_m3": pot.min_liquid_m3})
    elif filling.liquid_m3 < filling.lowest_m3 * 1.05:
        yield Caution("thin_liquid", "note", "liquid", _MANUAL, {"least_m3": filling.lowest_m3})
    if facts.ending.level_m > pot.max_level_m:
        yield Caution("juice_over_line", "careful", "liquid", _MANUAL)
    if facts.setup.request.foams:
        yield Caution("foams", "careful", "liquid", _MANUAL)


def _shallow_bath(facts: PlanFindings) -> Iterable[Caution]:
    """What covers most of the meat, where the usual amount disappears in the gaps."""
    setup = facts.setup
    arrangement, filling = setup.arrangement, setup.filling
    level_m = filling.level_m - arrangement.rack_height_m
    shallow = level_m < SHALLOW_RATIO * arrangement.meat_height_m
    if shallow and not filling.limited_by_line:
        yield Caution(
            "shallow_bath",
            "careful",
            "liquid",
            Source("common practice", "a bath nearly covers the meat"),
            {
                "level_m": max(level_m, 0.0),
                "height_m": arrangement.meat_height_m,
                "enough_m3": covering_m3(facts.load, facts.pot, arrangement, filling),
            },
        )


def _sauce(facts: PlanFindings) -> Iterable[Caution]:
    sauce = facts.setup.request.sauce
    if sauce.scorches:
        sweet = sauce.sugar_kg_m3 > SCORCH_SUGAR_KG_M3.value
        yield Caution(
            "scorches",
            "careful",
            "liquid",
            Source("common practice", "tomato paste, or more than about 100 g of sugar a litre"),
            {"is": "sweet" if sweet else "thick"},
        )


def _release(facts: PlanFindings) -> Iterable[Caution]:
    setup = facts.setup
    kind = release_kinds()[setup.release]
    if kind.vents and is_full(setup.filling.fill_ratio):
        yield Caution(
            "full_pot_spits", "careful", "release", _MANUAL,
            {"wait_min": setup.after.wait_s / 60.0},
        )  # fmt: skip
    default = facts.load.pieces[0].cut.default_release
    if setup.release in {"quick", "soak"} and default == "natural":
        yield Caution(
            "juice_loss", "note", "release", Source("common practice", "costs 2–5 % more weight")
        )
    if setup.release == "keep_warm":
        yield Caution(
            "keeps_softening", "note", "release", Source("fitted", "softening after the hold")
        )
        yield Caution("kept_hot", "note", "release", ZONE_HIGH.source, {"zone_c": ZONE_HIGH.value})


CUT_UP_KG = 0.35
"""A thin slice lighter than this was cut from a shoulder or brisket. Judgement."""
CUBE_RATIO = 2.0
"""A piece no longer than this many thicknesses is a cube, of whatever cut. Judgement."""


def _is_cut_up(piece: Piece, usual_m: float) -> bool:
    """Thin because it was cut, and not because it was measured wrong."""
    slice_of_a_joint = piece.cut.pulls and piece.mass_kg < CUT_UP_KG
    cube = piece.length_m <= CUBE_RATIO * piece.thickness_m
    return piece.thickness_m < usual_m and (slice_of_a_joint or cube)


def _size(facts: PlanFindings) -> Iterable[Caution]:
    for piece, _ in facts.load.kinds():
        low, high = piece.cut.usual_thickness_m
        if piece.thickness_guessed:
            yield _guessed(piece, facts.range)
        elif not low <= piece.thickness_m <= high and not _is_cut_up(piece, low):
            yield Caution(
                "unusual_thickness",
                "careful",
                "thickness",
                Source("common practice", "usual sizes of the cut"),
                {"cut": piece.cut.cut_id, "low_m": low, "high_m": high},
            )


def _hold(facts: PlanFindings) -> Iterable[Caution]:
    if facts.hold_min < 1.0:
        yield Caution(
            "done_at_zero",
            "careful",
            "thickness",
            Source("fitted", "softening before and after the hold"),
        )
    longest = facts.pot.longest_hold_min
    if facts.hold_min > longest:
        yield Caution(
            "longer_than_program",
            "careful",
            "pot",
            _MANUAL,
            {"longest_min": longest, "rest_min": facts.hold_min - longest},
        )
    if facts.pot.has_start_key:
        yield Caution("start_key", "note", "level", _MANUAL)
    largest = facts.range.largest
    wide = facts.range.high_min - facts.range.low_min > 0.5 * facts.hold_min
    if largest.kind == "thickness" and facts.hold_min >= 1.0 and wide:
        yield Caution(
            "measure_well",
            "note",
            "thickness",
            SIZE_SPREAD.source,
            {"spread": SIZE_SPREAD.value, "low_min": largest.low_min, "high_min": largest.high_min},
        )


def _guessed(piece: Piece, spread: HoldRange) -> Caution:
    low, high = spread.measured_min
    measured = log(max(high, LEAST_MIN) / max(low, LEAST_MIN))
    guessed = log(max(spread.high_min, LEAST_MIN) / max(spread.low_min, LEAST_MIN))
    helps = measured <= HARDLY_NARROWER * guessed
    return Caution(
        "thickness_guessed",
        "careful" if helps else "note",
        "thickness",
        GUESSED_SPREAD.source,
        {
            "thickness_m": piece.thickness_m,
            "low_min": low,
            "high_min": high,
            "cut": piece.cut.cut_id,
            "helps": "yes" if helps else "no",
        },
    )


def _evenness(facts: PlanFindings) -> Iterable[Caution]:
    steps = facts.tenderness_steps
    if max(steps) - min(steps) < UNEVEN_STEPS:
        return
    softest = steps.index(max(steps))
    piece = facts.load.kinds()[softest][0]
    step = TEXTURES[min(max(round(steps[softest]), 0), len(TEXTURES) - 1)]
    yield Caution(
        "unlike_pieces",
        "careful",
        "count",
        Source("fitted", "softening of each piece"),
        {"cut": piece.cut.cut_id, "thickness_m": piece.thickness_m, "texture": step},
    )


def _dryness(facts: PlanFindings) -> Iterable[Caution]:
    if max(facts.dryness_ratios) > 1.0:
        dry = facts.dryness_ratios.index(max(facts.dryness_ratios))
        piece = facts.load.kinds()[dry][0]
        yield Caution(
            "goes_dry",
            "careful",
            "texture",
            Source("judgement", "a lean flat goes dry at about 1.5 times falling apart"),
            {"cut": piece.cut.cut_id},
        )

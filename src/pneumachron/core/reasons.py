"""Why each number is what it is, as facts with an effect, in a cook's words."""

from collections.abc import Callable, Iterable
from dataclasses import dataclass
from math import log
from typing import Literal, TypeAlias

from pneumachron.core.constants import LADDER_STEP, MEMBRANE_STEPS, SourceKind
from pneumachron.core.cuts import School
from pneumachron.core.facts import Facts
from pneumachron.core.racks import Rack
from pneumachron.core.spread import LEAST_MIN, PartKind
from pneumachron.core.standing import Arrangement, as_thick_as_m
from pneumachron.core.units import show_volume

About: TypeAlias = Literal["hold", "liquid", "rack", "arrangement", "release", "range"]


LEAST_HEAT = 0.005
"""Less than half a percent of heat is not worth a word."""
LEAST_SHARE = 0.05
"""Less of a face that is covered is not worth a word."""


@dataclass(frozen=True, slots=True)
class Reason:
    """One fact behind a number.

    `about` is the number, `value` the fact in its unit, `effect` what it does to the number in
    `effect_unit`, signed; what it is the effect of stands in `text`.
    """

    about: About
    fact: str
    value: float
    unit: str
    effect: float
    effect_unit: str
    text: str
    source: SourceKind


def reasons_for(facts: Facts) -> tuple[Reason, ...]:
    """The facts behind hold, range, liquid, rack, arrangement and release, in this order."""
    makers: tuple[Callable[[Facts], Iterable[Reason]], ...] = (
        _thickness,
        _warming,
        _after_hold,
        _texture,
        _altitude,
        _frozen,
        _stacked,
        _poultry,
        _sources,
        _log,
        _boil_test,
        _range,
        _liquid,
        _juice,
        _rack,
        _arrangement,
        _release,
    )
    return tuple(reason for maker in makers for reason in maker(facts))


def _thickness(facts: Facts) -> Iterable[Reason]:
    piece = facts.load.kinds()[facts.slowest][0]
    more_min = facts.thicker_hold_min - facts.hold_min
    yield Reason(
        "hold",
        "thickness",
        piece.thickness_m,
        "m",
        more_min,
        "min",
        f"Thickness decides: half a centimetre more adds {more_min:.0f} min.",
        "published",
    )


def _warming(facts: Facts) -> Iterable[Reason]:
    warm_min = facts.warm_up_s / 60.0
    if warm_min < 0.5:
        return  # it softens before the pot is at pressure
    yield Reason(
        "hold",
        "warming",
        warm_min,
        "min",
        warm_min,
        "min",
        f"The first {warm_min:.0f} min at pressure only warm the meat; softening starts after "
        "that.",
        "published",
    )


def _after_hold(facts: Facts) -> Iterable[Reason]:
    yield Reason(
        "hold",
        "after_hold",
        facts.after_hold_share,
        "1",
        -facts.after_hold_share * facts.hold_min,
        "min",
        f"{100 * facts.after_hold_share:.0f} % of the softening comes after the hold, while the "
        "pressure falls and the meat stands.",
        "fitted",
    )


def _texture(facts: Facts) -> Iterable[Reason]:
    more_min = facts.softer_hold_min - facts.hold_min
    yield Reason(
        "hold",
        "texture",
        facts.setup.wish.texture_step,
        "rungs",
        more_min,
        "min",
        f"One rung softer would add {more_min:.0f} min.",
        "fitted",
    )
    if any(piece.has_membrane for piece in facts.load.pieces):
        yield Reason(
            "hold",
            "membrane",
            MEMBRANE_STEPS.value,
            "rungs",
            more_min,
            "min",
            "The membrane holds the bones: left on, it asks for one rung more.",
            MEMBRANE_STEPS.source.kind,
        )


def _altitude(facts: Facts) -> Iterable[Reason]:
    higher_min = facts.hold_min - facts.sea_level_hold_min
    if abs(higher_min) < LEAST_MIN:
        return
    metres = facts.setup.wish.altitude_m
    yield Reason(
        "hold",
        "altitude",
        metres,
        "m",
        higher_min,
        "min",
        f"At {metres:.0f} m the pot runs cooler: {higher_min:+.0f} min. The usual altitude rule "
        f"says {facts.rule_hold_min:.0f} min in all.",
        "published",
    )


def _frozen(facts: Facts) -> Iterable[Reason]:
    if facts.frozen_extra_min <= 0:
        return
    coldest = min(piece.start_temp_c for piece in facts.load.pieces)
    yield Reason(
        "hold",
        "frozen",
        coldest,
        "°C",
        facts.frozen_extra_min,
        "min",
        f"Frozen meat thaws under pressure first; {facts.frozen_extra_min:.0f} min are added to be "
        "sure.",
        "fitted",
    )


def _stacked(facts: Facts) -> Iterable[Reason]:
    covered = facts.setup.standing.covered
    share = 0.5 * (covered.first + covered.second)
    if share >= LEAST_SHARE:
        piece = facts.load.kinds()[facts.slowest][0]
        cooks_m = as_thick_as_m(piece, covered)
        yield Reason(
            "hold",
            "stacked",
            share,
            "1",
            cooks_m - piece.thickness_m,
            "m",
            f"They lie partly on each other, and little heat gets between them: they cook like "
            f"pieces of {100 * cooks_m:.1f} cm.",
            "published",
        )


def _poultry(facts: Facts) -> Iterable[Reason]:
    if facts.floor_min >= facts.hold_min > 0:
        yield Reason(
            "hold",
            "poultry_floor",
            float(facts.floor_min),
            "min",
            float(facts.floor_min),
            "min",
            f"Poultry takes at least {facts.floor_min} min here, so that the thickest piece is "
            "safe in the middle when the lid comes off.",
            "from memory",
        )


_FEW = {0: "No source of its own: ", 1: "One source: "}


def _sources(facts: Facts) -> Iterable[Reason]:
    cut = facts.load.kinds()[facts.slowest][0].cut
    if cut.practice_cases in _FEW:
        yield Reason(
            "hold",
            "few_sources",
            float(cut.practice_cases),
            "1",
            0.0,
            "min",
            f"{_FEW[cut.practice_cases]}the softening of {cut.short_name} rests mostly on cuts "
            "that are like it. Look before you trust it, and rate what comes out.",
            "judgement",
        )


def _log(facts: Facts) -> Iterable[Reason]:
    taught = facts.load.kinds()[facts.slowest][0].cut.taste_ln
    rise = max(facts.softer_hold_min, LEAST_MIN) / max(facts.hold_min, LEAST_MIN)
    # one step on the ladder is so many minutes; the log moved it by a share of one
    plain_min = facts.hold_min * rise ** (-taught / log(LADDER_STEP.value))
    moved_min = facts.hold_min - plain_min
    if abs(moved_min) >= 1.0:
        firmer = "firmer" if moved_min > 0 else "softer"
        yield Reason(
            "hold",
            "log",
            taught,
            "1",
            moved_min,
            "min",
            f"Your log: {moved_min:+.0f} min, since cooks of yours came out {firmer} than the "
            "model expects.",
            "measured",
        )


def _boil_test(facts: Facts) -> Iterable[Reason]:
    """What a boil test found of the pot, and what the log did: each only where it was."""
    log_ratio = facts.setup.wish.log_heat_ratio
    tested = facts.pot.heat_ratio / log_ratio
    if abs(tested - 1.0) >= LEAST_HEAT:
        more = "stronger" if tested > 1 else "weaker"
        yield Reason(
            "hold",
            "boil_test",
            tested,
            "1",
            facts.pot.heater_w * (tested - 1.0),
            "W",
            f"Your boil test found this pot {100 * abs(tested - 1):.0f} % {more} than its plate "
            "says; heating up is counted so.",
            "measured",
        )
    if abs(log_ratio - 1.0) >= LEAST_HEAT:
        sooner = "sooner" if log_ratio > 1 else "later"
        yield Reason(
            "hold",
            "log_heat",
            log_ratio,
            "1",
            facts.pot.heater_w * tested * (log_ratio - 1.0),
            "W",
            f"In your log this pot comes to pressure {100 * abs(log_ratio - 1):.0f} % {sooner} "
            "than its plate says; heating up is counted so.",
            "measured",
        )


_PARTS: dict[PartKind, str] = {
    "thickness": "In 8 of 10 kitchens the right time lies in this range. Most of it is how well "
    "the thickness was measured. Not sure of it? Set the short end and look; it can always cook "
    "longer, never shorter.",
    "guessed_thickness": "In 8 of 10 kitchens the right time lies in this range. Most of it is the "
    "guessed thickness.",
    "pressure": "In 8 of 10 kitchens the right time lies in this range. Most of it is the pressure "
    "that the pot really keeps.",
    "practice": "In 8 of 10 kitchens the right time lies in this range. Most of it is that animals "
    "and kitchens differ: rate what comes out, and your log narrows it.",
    "log": "In 8 of 10 cooks of yours the right time lies in this range, as your log knows them.",
    "model": "In 8 of 10 kitchens the right time lies in this range. Most of it is that practice "
    "says little about this tenderness at this temperature: rate what comes out.",
    "altitude_rule": "In 8 of 10 kitchens the right time lies in this range. Most of it is the "
    "altitude: the model and the rule of the extension services disagree.",
}


def _range(facts: Facts) -> Iterable[Reason]:
    largest = facts.range.largest
    text = _PARTS[largest.kind]
    if largest.kind == "guessed_thickness":
        low, high = facts.range.measured_min
        text += (
            f" Measure it to half a centimetre and the range narrows to {low:.0f}–{high:.0f} min."
        )
    yield Reason(
        "range",
        largest.kind,
        largest.low_min,
        "min",
        largest.high_min - largest.low_min,
        "min",
        text,
        "judgement",
    )


_SCHOOLS: dict[School, str] = {
    "steam": "Steaming takes the pot's minimum: it stays under the rack.",
    "lean": "The lean school pours half of the pot's minimum and counts on the meat's own juice.",
    "short_braise": "A short braise takes about 150 ml a kilo, which becomes the sauce.",
    "bath": "A bath nearly covers the meat.",
}


def _liquid(facts: Facts) -> Iterable[Reason]:
    filling = facts.setup.filling
    yield Reason(
        "liquid",
        "school",
        filling.school_m3,
        "m³",
        filling.liquid_m3 - filling.school_m3,
        "m³",
        _SCHOOLS[facts.setup.wish.school],
        "common practice",
    )
    yield Reason(
        "liquid",
        "minimum",
        filling.lowest_m3,
        "m³",
        filling.liquid_m3 - filling.lowest_m3,
        "m³",
        f"This pot needs at least {show_volume(filling.lowest_m3).metric} of thin liquid.",
        "common practice",
    )
    if filling.sauce_m3 > 0:
        counted = facts.setup.wish.sauce.counted_m3
        yield Reason(
            "liquid",
            "sauce",
            filling.sauce_m3,
            "m³",
            -counted,
            "m³",
            f"Of the sauce {show_volume(counted).metric} count as thin liquid."
            if counted > 0
            else "A sauce on top of the meat does not count as thin liquid.",
            "judgement",
        )


def _juice(facts: Facts) -> Iterable[Reason]:
    end = facts.ending
    yield Reason(
        "liquid",
        "juice",
        end.juice_m3,
        "m³",
        end.liquid_m3 - facts.setup.filling.wet_m3,
        "m³",
        f"The meat gives about {show_volume(end.juice_m3).metric}, "
        f"{show_volume(end.fat_m3).metric} of it fat: at the end there is "
        f"{show_volume(end.liquid_m3).metric}.",
        "common practice",
    )


_RACKS: dict[Rack, str] = {
    "none": "A braise lies in its liquid: no rack.",
    "trivet": "The low rack keeps the meat out of the liquid and the rub on it.",
    "tall": "The tall rack leaves room for more liquid, or a dish, below.",
    "basket": "The basket lifts small pieces out in one go, ready for the crisping lid.",
    "bed": "The bed keeps the meat off the base and later thickens the sauce.",
}


def _rack(facts: Facts) -> Iterable[Reason]:
    standing, level = facts.setup.standing, facts.setup.filling.level_m
    under = standing.rack_height_m - level
    text = _RACKS[standing.rack]
    if standing.rack_height_m > 0:
        where = "under" if under >= 0 else "over"
        text += f" The liquid stands {100 * abs(under):.1f} cm {where} its top."
    if standing.rack == "bed":
        text += f" About {1e3 * facts.setup.filling.bed_m3:.1f} kg of vegetables make it."
    yield Reason(
        "rack", standing.rack, standing.rack_height_m, "m", under, "m", text, "common practice"
    )


_WAYS: dict[Arrangement, str] = {
    "one": "One piece lies flat on its wide side.",
    "side_by_side": "Side by side, never on each other: steam and liquid reach both wide faces.",
    "on_edge": "Sections stand on edge, like books.",
    "on_end": "Sections stand on end, like books.",
    "coiled": "A rack too long for the pot is coiled along the wall, bone side in.",
    "nested": "Racks too long for the pot are coiled inside each other, bone side in.",
    "on_bed": "The meat lies on a bed of vegetables, which keeps it off the bottom of the pot.",
    "layered": "Layers with vegetables between them: liquid and steam reach every face.",
    "leaning": "Sections lean against the wall like books, with gaps for the steam.",
    "folded": "A thin flat folds over; what sticks out lies on top.",
    "criss_cross": "Layers, crosswise, with gaps for the steam.",
    "heap": "Small pieces lie in a loose heap; steam gets through. Pull apart what clumps.",
    "stacked": "They do not all go beside each other and lie partly on each other.",
}


def _arrangement(facts: Facts) -> Iterable[Reason]:
    standing = facts.setup.standing
    text = _WAYS[standing.arrangement]
    if standing.tight:
        text += " It is tight: press them in."
    if standing.rack_left_out:
        text += " On the rack it would be too high: leave the rack out."
    yield Reason(
        "arrangement",
        standing.arrangement,
        float(len(standing.placed)),
        "1",
        standing.meat_height_m,
        "m",
        text,
        "common practice",
    )


def _release(facts: Facts) -> Iterable[Reason]:
    setup = facts.setup
    chosen = setup.release == setup.choice.method
    text = setup.choice.reason if chosen else "You chose this way of releasing."
    yield Reason(
        "release",
        setup.release,
        setup.filling.fill_ratio,
        "1",
        setup.after.wait_s if setup.release == "timed" else 0.0,
        "s",
        text,
        "common practice",
    )
    yield Reason(
        "release",
        "softening_after",
        facts.after_hold_share,
        "1",
        facts.after_hold_share,
        "1",
        f"This release does {100 * facts.after_hold_share:.0f} % of the softening; a faster one "
        "needs a longer hold.",
        "fitted",
    )

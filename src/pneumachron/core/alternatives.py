"""What changes if: the same wish with one thing different, and what given minutes would do.

Each answer is a whole cook on paper, without the range and the reasons of a plan, so that eight of
them come in the time of a blink.
"""

from collections.abc import Iterable
from dataclasses import dataclass, replace
from typing import Literal, TypeAlias

import numpy as np

from pneumachron.core.cuts import RELEASE_METHODS, SCHOOLS
from pneumachron.core.errors import OutOfRangeError, WishError
from pneumachron.core.hold import MAX_HOLD_S, Search
from pneumachron.core.liquid import fill, stand
from pneumachron.core.load import Load, Piece, make_piece
from pneumachron.core.plan import Wish, cases_of, texture_reached
from pneumachron.core.pots import Pot
from pneumachron.core.tenderness import TEXTURES

AlternativeKind: TypeAlias = Literal[
    "halved", "quartered", "release", "texture", "school", "level", "pot"
]


@dataclass(frozen=True, slots=True)
class Answer:
    """What a cook comes to. `texture_step` and `core_at_open_c` are those of the slowest piece."""

    hold_min: int
    lid_on_to_open_s: float
    texture_step: float
    core_at_open_c: float


@dataclass(frozen=True, slots=True)
class Alternative:
    """One thing changed. Either `answer` or `trouble` is there. `value` says what it became."""

    kind: AlternativeKind
    value: str
    answer: Answer | None
    trouble: WishError | None


def quick_answer(wish: Wish) -> Answer:
    """The hold and the total of a wish.

    Raises
    ------
    WishError : the wish cannot be met.
    """
    search = _search(wish)
    return _cooked(wish, search, round(float(search.holds_s()[0]) / 60.0))


def answer_for_minutes(wish: Wish, hold_min: int) -> Answer:
    """What a given number of minutes would make of this load.

    Raises
    ------
    OutOfRangeError : below zero or above twelve hours.
    WishError : the wish cannot be met.
    """
    if not 0 <= hold_min <= MAX_HOLD_S / 60.0:
        raise OutOfRangeError("hold", hold_min, 0.0, MAX_HOLD_S / 60.0, "min")
    return _cooked(wish, _search(wish, at_least_s=60.0 * hold_min), hold_min)


def what_changes(wish: Wish, other_pots: Iterable[Pot] = ()) -> tuple[Alternative, ...]:
    """The same wish with one thing different at a time."""
    found = [_cut(wish, "halved", 2), _cut(wish, "quartered", 4)]
    found += [_alternative(wish, *variant) for variant in _variants(wish, tuple(other_pots))]
    return tuple(found)


def _cut(wish: Wish, kind: AlternativeKind, parts: int) -> Alternative:
    try:
        return Alternative(kind, str(parts), quick_answer(cut_into(wish, parts)), None)
    except WishError as error:
        return Alternative(kind, str(parts), None, error)


def cut_into(wish: Wish, parts: int) -> Wish:
    """The same meat, each piece cut into 2 or 4, with the school's own amount of liquid.

    Raises
    ------
    WishError : the parts are too small, or would lie on each other.
    """
    pieces = [part for piece in wish.load.pieces for part in [split(piece, parts)] * parts]
    changed = replace(wish, load=Load(tuple(pieces)), liquid_m3=None)
    _check_layers(wish, changed)
    return changed


def _alternative(wish: Wish, kind: AlternativeKind, value: str, changed: Wish) -> Alternative:
    try:
        _check_layers(wish, changed)
        return Alternative(kind, value, quick_answer(changed), None)
    except WishError as error:
        return Alternative(kind, value, None, error)


def _check_layers(wish: Wish, changed: Wish) -> None:
    if _layers(changed) > max(1.0, _layers(wish)):
        raise WishError(
            "not_one_layer",
            "count",
            "They would lie on each other and cook like one thick piece.",
            "Cook them in two runs, or take a wider pot.",
        )


def _layers(wish: Wish) -> float:
    return stand(wish.load, wish.pot, wish.school).layers


def _variants(
    wish: Wish, other_pots: tuple[Pot, ...]
) -> Iterable[tuple[AlternativeKind, str, Wish]]:
    # another school or pot takes its own amount of liquid, not the one chosen for this
    free = replace(wish, liquid_m3=None)
    for release in RELEASE_METHODS:
        if release != wish.release:
            yield "release", release, replace(wish, release=release)
    step = round(wish.texture_step)
    for other in (step - 1, step + 1):
        if 0 <= other < len(TEXTURES):
            yield "texture", TEXTURES[other], replace(wish, texture_step=float(other))
    for school in SCHOOLS:
        if school != wish.school:
            yield "school", school, replace(free, school=school)
    level: Literal["high", "low"] = "low" if wish.level == "high" else "high"
    yield "level", level, replace(wish, level=level)
    for pot in other_pots:
        yield "pot", pot.name, replace(free, pot=pot)


def split(piece: Piece, parts: int) -> Piece:
    """One of the parts (2 or 4) of a piece that is cut to cook faster.

    The first cut halves the thickness, which is what shortens a cook; each further one halves the
    longest side that is left.

    Raises
    ------
    WishError : the parts would be thinner or lighter than the model was checked for.
    """
    sizes = [piece.length_m, piece.width_m, piece.thickness_m]
    axis, left = 2, parts
    while left > 1:
        sizes[axis] /= 2
        left //= 2
        axis = int(np.argmax(sizes))
    length, width, thickness = sorted(sizes, reverse=True)
    return make_piece(
        piece.cut,
        mass_kg=piece.mass_kg / parts,
        thickness_m=thickness,
        length_m=length,
        width_m=width,
        has_bone=piece.has_bone,
        has_membrane=piece.has_membrane,
        start_temp_c=piece.start_temp_c,
    )


def _search(wish: Wish, at_least_s: float = 0.0) -> Search:
    standing = stand(wish.load, wish.pot, wish.school)
    filling = fill(wish.load, wish.pot, wish.school, standing, wish.liquid_m3)
    cases, meat = cases_of(wish, filling)
    return Search(cases.first(), meat.first(), wait_s=wish.vent_after_s, at_least_s=at_least_s)


def _cooked(wish: Wish, search: Search, hold_min: int) -> Answer:
    run = search.run(60.0 * hold_min)
    kinds = [piece for piece, _ in wish.load.kinds()]
    slowest = int(np.argmin(run.final_dose_min / search.meat.dose_min[0]))
    return Answer(
        hold_min=hold_min,
        lid_on_to_open_s=run.open_s,
        texture_step=texture_reached(kinds[slowest], float(run.final_dose_min[slowest])),
        core_at_open_c=float(np.interp(run.open_s, run.time_s, run.core_c[slowest])),
    )

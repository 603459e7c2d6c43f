"""What changes if: the same wish with one thing different, and what given minutes would do.

Each answer is a whole cook on paper, without the range and the reasons of a plan.
"""

from collections.abc import Callable, Iterable
from dataclasses import dataclass, replace
from functools import partial
from typing import Literal, TypeAlias

import numpy as np

from pneumachron.core.answers import Answer, answer_of, answers_of, cooked
from pneumachron.core.cases import first_search, texture_reached
from pneumachron.core.cuts import RELEASE_METHODS, SCHOOLS
from pneumachron.core.errors import OutOfRangeError, WishError
from pneumachron.core.hold import MAX_HOLD_S, Search
from pneumachron.core.load import FREEZER_C, Load, Piece, make_piece
from pneumachron.core.pots import Pot
from pneumachron.core.standing import ARRANGEMENTS, Lying, stand
from pneumachron.core.tenderness import TEXTURES
from pneumachron.core.wish import Setup, Wish, set_up

AlternativeKind: TypeAlias = Literal[
    "halved",
    "quartered",
    "sections",
    "frozen",
    "release",
    "texture",
    "school",
    "level",
    "pot",
    "lying",
]
BONES_A_SECTION = 3
"""Racks are cut into sections of three bones. Common practice."""


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
    return answer_of(set_up(wish))


def answer_for_minutes(wish: Wish, hold_min: int) -> Answer:
    """What a given number of minutes would make of this load.

    Raises
    ------
    OutOfRangeError : below zero or above twelve hours.
    WishError : the wish cannot be met.
    """
    setup, search = _for_minutes(wish, hold_min)
    return cooked([setup], search, np.array([float(hold_min)]))[0]


def rungs_for_minutes(wish: Wish, hold_min: int) -> tuple[float, ...]:
    """Where a given number of minutes takes each kind of a load on the ladder.

    Raises
    ------
    As `answer_for_minutes`.
    """
    setup, search = _for_minutes(wish, hold_min)
    _, dose, _ = search.openings(np.array([60.0 * hold_min]))
    pairs = zip(setup.wish.load.kinds(), dose[0], strict=True)
    return tuple(texture_reached(piece, float(kind)) for (piece, _), kind in pairs)


def _for_minutes(wish: Wish, hold_min: int) -> tuple[Setup, Search]:
    if not 0 <= hold_min <= MAX_HOLD_S / 60.0:
        raise OutOfRangeError("hold", hold_min, 0.0, MAX_HOLD_S / 60.0, "min")
    setup = set_up(wish)
    return setup, first_search(setup, at_least_s=60.0 * hold_min)


Change: TypeAlias = tuple[AlternativeKind, str, Callable[[], Wish]]
"""One thing changed: what, to what, and the wish it makes."""


def what_changes(wish: Wish, other_pots: Iterable[Pot] = ()) -> tuple[Alternative, ...]:
    """The same wish with one thing different at a time."""
    found: dict[int, Alternative] = {}
    setups: dict[int, Setup] = {}
    changes = [*_knife(wish), *_variants(wish, tuple(other_pots))]
    for index, (kind, value, change) in enumerate(changes):
        try:
            setups[index] = set_up(change())
        except WishError as error:
            found[index] = Alternative(kind, value, None, error)
    for index, answer in zip(setups, answers_of(list(setups.values())), strict=True):
        kind, value, _ = changes[index]
        if isinstance(answer, WishError):
            found[index] = Alternative(kind, value, None, answer)
        else:
            found[index] = Alternative(kind, value, answer, None)
    return tuple(found[index] for index in range(len(changes)))


def _knife(wish: Wish) -> Iterable[Change]:
    """Cut smaller, or from the freezer; only what is not so already."""
    yield "halved", "2", lambda: cut_into(wish, 2)
    yield "quartered", "4", lambda: cut_into(wish, 4)
    if any(bones_of(piece) >= 2 * BONES_A_SECTION for piece in wish.load.pieces):
        yield "sections", str(BONES_A_SECTION), lambda: _in_sections(wish)
    if not any(piece.frozen for piece in wish.load.pieces):
        yield "frozen", "frozen", lambda: _from_the_freezer(wish)


def _in_sections(wish: Wish) -> Wish:
    parts = [part for piece in wish.load.pieces for part in sections_of(piece, BONES_A_SECTION)]
    return replace(wish, load=Load(tuple(parts)), liquid_m3=None)


def _from_the_freezer(wish: Wish) -> Wish:
    pieces = tuple(remade(piece, start_temp_c=FREEZER_C) for piece in wish.load.pieces)
    return replace(wish, load=Load(pieces))


def bones_of(piece: Piece) -> int:
    """Bones along a rack of ribs; 0 of what is not one."""
    pitch = piece.cut.bone_pitch_m
    return round(piece.length_m / pitch) if pitch and piece.has_bone else 0


def sections_of(piece: Piece, bones: int) -> list[Piece]:
    """A rack cut between the bones into even sections of about so many; others stay whole.

    Raises
    ------
    WishError : the sections would be lighter than the model was checked for.
    """
    parts = max(round(bones_of(piece) / bones), 1)
    if parts == 1:
        return [piece]
    part = remade(piece, mass_kg=piece.mass_kg / parts, length_m=piece.length_m / parts)
    return [part] * parts


def remade(
    piece: Piece,
    *,
    mass_kg: float | None = None,
    length_m: float | None = None,
    start_temp_c: float | None = None,
) -> Piece:
    """The same piece with another mass, length or start, checked anew.

    Raises
    ------
    WishError : outside what the model was checked for.
    """
    again = make_piece(
        piece.cut,
        mass_kg=piece.mass_kg if mass_kg is None else mass_kg,
        thickness_m=piece.thickness_m,
        length_m=piece.length_m if length_m is None else length_m,
        width_m=piece.width_m,
        has_bone=piece.has_bone,
        has_membrane=piece.has_membrane,
        start_temp_c=piece.start_temp_c if start_temp_c is None else start_temp_c,
        shape=piece.shape,
    )
    return replace(again, thickness_guessed=piece.thickness_guessed)


def cut_into(wish: Wish, parts: int) -> Wish:
    """The same meat, each piece cut into 2 or 4, with the school's own amount of liquid.

    Raises
    ------
    WishError : the parts are too small.
    """
    pieces = [part for piece in wish.load.pieces for part in [split(piece, parts)] * parts]
    return replace(wish, load=Load(tuple(pieces)), liquid_m3=None)


def _variants(wish: Wish, other_pots: tuple[Pot, ...]) -> Iterable[Change]:
    # another school or pot takes its own amount of liquid, not the one chosen for this
    free = replace(wish, liquid_m3=None)
    setup = set_up(wish)
    current = setup.release
    for release in RELEASE_METHODS:
        if release != current:
            yield "release", release, partial(replace, wish, release=release)
    step = round(wish.texture_step)
    for other in (step - 1, step + 1):
        if 0 <= other < len(TEXTURES):
            yield "texture", TEXTURES[other], partial(replace, wish, texture_step=float(other))
    for school in SCHOOLS:
        # the lean school is the cook's own choice, never offered
        if school not in {wish.school, "lean"}:
            yield "school", school, partial(replace, free, school=school, rack=None)
    level: Literal["high", "low"] = "low" if wish.level == "high" else "high"
    yield "level", level, partial(replace, wish, level=level, gauge_pa=None)
    for way in ARRANGEMENTS:
        lying = Lying(way, wish.lying.touching)
        if way not in {setup.standing.arrangement, "one"} and _lies(replace(wish, lying=lying)):
            yield "lying", way, partial(replace, wish, lying=lying)
    for pot in other_pots:
        yield "pot", pot.name, partial(replace, free, pot=pot)


def _lies(wish: Wish) -> bool:
    try:
        stand(wish.load, wish.pot, wish.school, wish.rack, wish.lying)
    except WishError:
        return False
    return True


def split(piece: Piece, parts: int) -> Piece:
    """One of the parts (2 or 4) of a piece that is cut to cook faster.

    The first cut halves the thickness, which is what shortens a cook, unless there is bone in the
    way; each further one halves the longest side that is left.

    Raises
    ------
    WishError : the parts would be thinner or lighter than the model was checked for.
    """
    sizes = [piece.length_m, piece.width_m, piece.thickness_m]
    axis, left = 0 if piece.has_bone else 2, parts
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

"""The knife: from a whole piece, as it was bought, to the pieces that go into the cooker.

Pieces keep the sizes that the knife leaves them: half of a flat is as thick as the flat.
"""

from dataclasses import dataclass, replace
from typing import Literal, TypeAlias, get_args

from pneumachron.core.errors import RequestError
from pneumachron.core.planning.load import MAX_PIECES, THICKNESS_RANGE_M, Load, Piece, make_piece
from pneumachron.core.planning.parting import parts_of
from pneumachron.core.planning.request import CookRequest

CutWay: TypeAlias = Literal[
    "lengthwise", "across", "halved", "quartered", "sections", "cubes", "parted"
]  # fmt: skip
CUT_WAYS: tuple[CutWay, ...] = get_args(CutWay)
"""Lengthwise: the pieces are narrower. Across: they are shorter. Halved and quartered: split
through the thickness first, unless bone is in the way. Sections: between the bones of a rack.
Parted: a whole brisket into its flat and its point, both halved."""
MAX_PARTS = 12
MAX_BONES = 13
"""Bones of a long rack. Common practice."""
BONES_A_SECTION = 3
"""Racks are cut into sections of three bones. Common practice."""


@dataclass(frozen=True, slots=True)
class Knife:
    """How a whole piece is cut.

    `parts` : pieces made of one, lengthwise or across
    `bones` : in a section
    `cube_m` : edge of a cube
    """

    way: CutWay
    parts: int = 2
    bones: int = BONES_A_SECTION
    cube_m: float = 0.04

    def cut(self, piece: Piece) -> list[Piece]:
        """The pieces that it makes.

        Raises
        ------
        RequestError : it cannot be cut so, or they would be smaller than the model was checked for.
        """
        if self.way == "sections":
            return _sections(piece, self.bones)
        if self.way == "cubes":
            return _cubes(piece, self.cube_m)
        if self.way == "parted":
            return parts_of(piece)
        if self.way in {"lengthwise", "across"}:
            if not 2 <= self.parts <= MAX_PARTS:
                raise RequestError("parts", "parts", parts=self.parts, most=MAX_PARTS)
            return [_sliced(piece, self.parts, axis=int(self.way == "lengthwise"))] * self.parts
        parts = 2 if self.way == "halved" else 4
        return [split(piece, parts)] * parts


def _sliced(piece: Piece, parts: int, *, axis: int) -> Piece:
    """One of the parts of a piece cut evenly; `axis` 0 makes it shorter, 1 narrower."""
    if piece.shape == "rolled" and axis == 1:
        raise RequestError("rolled_lengthwise", "cutting")
    sizes = [piece.length_m, piece.width_m, piece.thickness_m]
    sizes[axis] /= parts
    if piece.shape == "rolled":
        return remade(piece, mass_kg=piece.mass_kg / parts, length_m=sizes[0])
    return _resized(piece, piece.mass_kg / parts, sizes)


def _resized(piece: Piece, mass_kg: float, sizes_m: list[float]) -> Piece:
    length, width, thickness = sorted(sizes_m, reverse=True)
    made = make_piece(
        piece.cut,
        mass_kg=mass_kg,
        thickness_m=thickness,
        length_m=length,
        width_m=width,
        has_bone=piece.has_bone,
        has_membrane=piece.has_membrane,
        start_temp_c=piece.start_temp_c,
        # what was tapered along its thickness is so no more when that is another side
        shape="block" if thickness != piece.thickness_m else piece.shape,
    )
    return replace(made, thickness_guessed=piece.thickness_guessed)


def _cubes(piece: Piece, cube_m: float) -> list[Piece]:
    """About even cubes; a piece thinner than the edge gives flat ones."""
    if piece.has_bone:
        raise RequestError("bony_cubes", "cutting")
    low, high = THICKNESS_RANGE_M
    if not low <= cube_m <= high:
        raise RequestError("cube_size", "cube", cube_m=cube_m, least_m=low, most_m=high)
    count = max(round(piece.volume_m3 / (cube_m**2 * min(cube_m, piece.thickness_m))), 1)
    if count > MAX_PIECES:
        raise RequestError("many_cubes", "cube", cube_m=cube_m, count=count, most=MAX_PIECES)
    edge = (piece.volume_m3 / count) ** (1 / 3)
    if piece.thickness_m < edge:
        side = (piece.volume_m3 / count / piece.thickness_m) ** 0.5
        sizes = [side, side, piece.thickness_m]
    else:
        sizes = [edge, edge, edge]
    part = replace(_resized(piece, piece.mass_kg / count, sizes), shape="block")
    return [replace(part, thickness_guessed=False)] * count


def bones_of(piece: Piece) -> int:
    """Bones along a rack of ribs; 0 of what is not one."""
    pitch = piece.cut.bone_pitch_m
    return round(piece.length_m / pitch) if pitch and piece.has_bone else 0


def _sections(piece: Piece, bones: int) -> list[Piece]:
    """A rack cut between the bones into even sections of about so many; others stay whole."""
    if not 1 <= bones <= MAX_BONES:
        raise RequestError("section_bones", "section_bones", bones=bones, most=MAX_BONES)
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
    """The same piece with another mass, length or start, checked again.

    Raises
    ------
    RequestError : outside what the model was checked for.
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


def split(piece: Piece, parts: int) -> Piece:
    """One of the parts (2 or 4) of a piece that is cut to cook faster.

    The first cut halves the thickness, which is what shortens a cook, unless there is bone in the
    way; each further one halves the longest side that is left.

    Raises
    ------
    RequestError : the parts would be thinner or lighter than the model was checked for.
    """
    sizes = [piece.length_m, piece.width_m, piece.thickness_m]
    axis, left = 0 if piece.has_bone else 2, parts
    while left > 1:
        sizes[axis] /= 2
        left //= 2
        axis = max(range(3), key=sizes.__getitem__)
    return replace(_resized(piece, piece.mass_kg / parts, sizes), thickness_guessed=False)


def cut_all(request: CookRequest, knife: Knife) -> CookRequest:
    """The same meat with every piece cut so, in the liquid style's own amount.

    Raises
    ------
    RequestError : as `Knife.cut`.
    """
    pieces = [part for piece in request.load.pieces for part in knife.cut(piece)]
    return replace(request, load=Load(tuple(pieces)), liquid_m3=None)


def cut_into(request: CookRequest, parts: int) -> CookRequest:
    """Each piece cut into 2 or 4; see `split`."""
    return cut_all(request, Knife("halved" if parts == 2 else "quartered"))

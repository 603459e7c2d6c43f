"""A whole brisket parted: a flat of about half its weight and the point, both halved."""

from dataclasses import replace

from pneumachron.core.catalog.cuts import Cut, cut_by_id
from pneumachron.core.errors import RequestError
from pneumachron.core.planning.load import Load, Piece, make_piece
from pneumachron.core.planning.request import CookRequest

WHOLE, PARTS = "brisket_whole", ("brisket_flat", "brisket_point")
FLAT_SHARE = 0.5
"""A flat is about half of a whole brisket. Common practice."""
HALVES = 2
"""Half a flat of such a brisket fills a six-quart pot. Common practice."""


def is_whole(request: CookRequest) -> bool:
    """Whether there is a whole brisket to part."""
    return any(piece.cut.cut_id == WHOLE for piece in request.load.pieces)


def parted(request: CookRequest) -> CookRequest:
    """The same meat with every whole brisket as two halves of its flat and two of its point.

    They are as thick as flat and point usually are beside the whole, and count as guessed: they
    are measured anew once they lie there.

    Raises
    ------
    RequestError : no whole brisket in it, or parts that the model was not checked for.
    """
    if not is_whole(request):
        raise RequestError("not_whole", "parted")
    parts = [
        part
        for piece in request.load.pieces
        for part in (parts_of(piece) if piece.cut.cut_id == WHOLE else [piece])
    ]
    return replace(request, load=Load(tuple(parts)), liquid_m3=None, parted=True)


def parts_of(piece: Piece) -> list[Piece]:
    """Two halves of the flat and two of the point.

    Raises
    ------
    RequestError : no whole brisket, or parts that the model was not checked for.
    """
    if piece.cut.cut_id != WHOLE:
        raise RequestError("not_whole", "cutting")
    found = []
    for cut_id, share in zip(PARTS, (FLAT_SHARE, 1.0 - FLAT_SHARE), strict=True):
        cut = cut_by_id(cut_id)
        ratio = _middle_m(cut) / _middle_m(piece.cut)
        part = make_piece(
            cut,
            mass_kg=share * piece.mass_kg / HALVES,
            thickness_m=ratio * piece.thickness_m,
            start_temp_c=piece.start_temp_c,
        )
        found += [replace(part, thickness_guessed=True)] * HALVES
    return found


def _middle_m(cut: Cut) -> float:
    return sum(cut.usual_thickness_m) / 2

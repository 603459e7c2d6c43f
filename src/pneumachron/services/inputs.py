"""What a cook types, and how it becomes a wish.

Every measure is the text as typed, with its unit (`3 lb 2 oz`), so that it can be shown again
exactly so. An empty one takes the cut's or the household's default.
"""

from dataclasses import dataclass

from pneumachron.core.cuts import Cut, ReleaseMethod, School, cut_by_id
from pneumachron.core.errors import WishError
from pneumachron.core.load import MAX_PIECES, Load, Piece, make_piece
from pneumachron.core.plan import USUAL_WAIT_S, Level, Wish
from pneumachron.core.pots import Pot
from pneumachron.core.tenderness import TEXTURES, Texture
from pneumachron.core.units import Quantity, parse_measure

INPUTS_VERSION = 1
PIECE_FIELDS = frozenset(
    {"cut", "count", "mass", "thickness", "length", "width", "bone", "membrane", "start"}
)


@dataclass(frozen=True, slots=True)
class PieceInputs:
    """Alike pieces. `mass` is that of all of them together."""

    cut: str
    count: int
    mass: str
    thickness: str | None = None
    length: str | None = None
    width: str | None = None
    bone: bool | None = None
    membrane: bool | None = None
    start: str | None = None


@dataclass(frozen=True, slots=True)
class PlanInputs:
    """A whole wish, as typed."""

    pieces: tuple[PieceInputs, ...]
    pot: str
    texture: Texture | None = None
    school: School | None = None
    release: ReleaseMethod | None = None
    level: Level = "high"
    wait_min: int | None = None
    liquid: str | None = None
    altitude: str | None = None


@dataclass(frozen=True, slots=True)
class Defaults:
    """What the household says when the cook says nothing."""

    altitude_m: float
    start_temp_c: float


def read_wish(inputs: PlanInputs, pot: Pot, defaults: Defaults) -> Wish:
    """Read every measure and make the pieces.

    Raises
    ------
    WishError : with the field it concerns; `entry` tells which pieces.
    """
    pieces: list[Piece] = []
    for index, entry in enumerate(inputs.pieces):
        try:
            pieces += _pieces(entry, defaults)
        except WishError as error:
            raise error.at_entry(index) from None
    first = pieces[0].cut
    texture = inputs.texture or first.default_texture
    return Wish(
        load=Load(tuple(pieces)),
        pot=pot,
        texture_step=float(TEXTURES.index(texture)),
        school=inputs.school or first.default_school,
        release=inputs.release or first.default_release,
        level=inputs.level,
        altitude_m=_optional(inputs.altitude, "altitude", "altitude", defaults.altitude_m),
        liquid_m3=_given(inputs.liquid, "volume", "liquid"),
        wait_s=USUAL_WAIT_S if inputs.wait_min is None else 60.0 * inputs.wait_min,
    )


def _pieces(entry: PieceInputs, defaults: Defaults) -> list[Piece]:
    if not 1 <= entry.count <= MAX_PIECES:
        raise WishError(
            "piece_count",
            "count",
            f"{entry.count} pieces cannot go in; a load has 1 to {MAX_PIECES}.",
            "Give the number of pieces that go into the pot together.",
        )
    cut: Cut = cut_by_id(entry.cut)
    piece = make_piece(
        cut,
        mass_kg=parse_measure(entry.mass, "mass", "mass") / entry.count,
        thickness_m=_given(entry.thickness, "length", "thickness"),
        length_m=_given(entry.length, "length", "length"),
        width_m=_given(entry.width, "length", "width"),
        has_bone=entry.bone,
        has_membrane=entry.membrane,
        start_temp_c=_optional(entry.start, "temperature", "start", defaults.start_temp_c),
    )
    return [piece] * entry.count


def _given(text: str | None, quantity: Quantity, field: str) -> float | None:
    return parse_measure(text, quantity, field) if text and text.strip() else None


def _optional(text: str | None, quantity: Quantity, field: str, default: float) -> float:
    value = _given(text, quantity, field)
    return default if value is None else value


def located(error: WishError) -> WishError:
    """The same error, its field as a path into the inputs: `pieces.0.thickness`, `liquid` ..."""
    if error.field not in PIECE_FIELDS:
        return error
    path = f"pieces.{error.entry or 0}.{error.field}"
    return WishError(error.code, path, error.message, error.hint, entry=error.entry)

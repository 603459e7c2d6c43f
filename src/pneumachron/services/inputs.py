"""What a cook types, and how it becomes a request.

Every measure is the text as typed, with its unit (`3 lb 2 oz`), so that it can be shown again
exactly so. An empty one takes the cut's or the household's default.
"""

from collections.abc import Sequence
from dataclasses import dataclass, replace
from math import exp

from pneumachron.core.catalog.cuts import Cut, LiquidStyle, ReleaseMethod, cut_by_id
from pneumachron.core.catalog.pots import Pot
from pneumachron.core.catalog.racks import Rack
from pneumachron.core.errors import OutOfRangeError, RequestError
from pneumachron.core.learning.learn import taught
from pneumachron.core.physics.tenderness import TEXTURES, Texture
from pneumachron.core.planning.batches import batches, in_batches
from pneumachron.core.planning.cutting import CutWay, Knife
from pneumachron.core.planning.finish import FinishKind, simmered_s
from pneumachron.core.planning.liquid import NO_SAUCE, Sauce, SaucePlace
from pneumachron.core.planning.load import FREEZER_C, MAX_PIECES, Load, Piece, Shape, make_piece
from pneumachron.core.planning.lying import ArrangementKind, Lying
from pneumachron.core.planning.request import CookRequest, Level
from pneumachron.core.planning.serving import trimmed_kg
from pneumachron.core.units import Quantity, parse_measure, typed_system

INPUTS_VERSION = 1
PIECE_FIELDS = frozenset(
    {
        "cut",
        "count",
        "mass",
        "thickness",
        "length",
        "width",
        "bone",
        "membrane",
        "start",
        "shape",
        "section_bones",
        "cutting",
        "parts",
        "cube",
    }
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
    """A temperature, or one of `START_WORDS`."""
    shape: Shape = "block"
    as_bought: bool = False
    """The weight is that from the shop: fat cap, membrane or skin still come off."""
    section_bones: int | None = None
    """Racks of ribs are cut into sections of so many bones."""
    cutting: CutWay | None = None
    """How each is cut before it goes in. Sizes, weight and count are those before the knife."""
    parts: int | None = None
    """Pieces made of one, lengthwise or across."""
    cube: str | None = None
    """Edge of a cube."""


@dataclass(frozen=True, slots=True)
class PlanInputs:
    """A whole request, as typed."""

    pieces: tuple[PieceInputs, ...]
    pot: str
    texture: Texture | None = None
    liquid_style: LiquidStyle | None = None
    release: ReleaseMethod | None = None
    level: Level = "high"
    wait_min: int | None = None
    liquid: str | None = None
    altitude: str | None = None
    rack: Rack | None = None
    stacked: bool = False
    lying: ArrangementKind | None = None
    touching: bool = True
    stay_min: int | None = None
    boil_min: int = 0
    gauge: str | None = None
    foams: bool = False
    sauce: str | None = None
    sauce_thick: bool = True
    sauce_sugar_g_l: float = 0.0
    sauce_place: SaucePlace = "base"
    batches: int = 1
    """How many times the pot is filled: the pieces are dealt evenly."""
    thin_first: bool = False
    """Of unlike pieces, those that are done first come out, and the rest is cooked on."""
    my_minutes: int | None = None
    """The cook's own minutes under pressure, instead of the engine's."""
    finish: FinishKind | None = None
    """The crust; it stands beside the plan and does not change its minutes."""


@dataclass(frozen=True, slots=True)
class Defaults:
    """What the household says when the cook says nothing."""

    altitude_m: float
    start_temp_c: float
    taste_step: float = 0.0
    taste_ln: tuple[tuple[str, float], ...] = ()
    """What the log taught: by cut, how much more softening this household needs, as ln dose."""
    taste_sd: tuple[tuple[str, float], ...] = ()
    """How well the log knows that: by cut, 1 sd of ln dose."""
    heat_ln: float = 0.0
    """What the log taught of the pot, as ln heat over its own numbers."""


def read_request(inputs: PlanInputs, pot: Pot, defaults: Defaults) -> CookRequest:
    """Read every measure and make the pieces.

    Raises
    ------
    RequestError : with the field it concerns; `entry` tells which pieces.
    """
    pieces: list[Piece] = []
    for index, entry in enumerate(inputs.pieces):
        try:
            pieces += _pieces(entry, defaults)
        except RequestError as error:
            raise _as_typed(error.at_entry(index), getattr(entry, error.field, None)) from None
    first = pieces[0].cut
    log_heat = exp(defaults.heat_ln)
    pot = replace(pot, heat_ratio=pot.heat_ratio * log_heat)
    request = CookRequest(
        load=Load(tuple(pieces)),
        pot=pot,
        tenderness_step=_tenderness_step(inputs, first, defaults),
        liquid_style=inputs.liquid_style or first.default_liquid_style,
        release=inputs.release,
        level=inputs.level,
        altitude_m=_optional(inputs.altitude, "altitude", "altitude", defaults.altitude_m),
        liquid_m3=_given(inputs.liquid, "volume", "liquid"),
        wait_s=None if inputs.wait_min is None else 60.0 * inputs.wait_min,
        stay_s=None if inputs.stay_min is None else 60.0 * inputs.stay_min,
        boil_s=simmered_s(inputs.finish, 60.0 * inputs.boil_min),
        rack=inputs.rack,
        lying=Lying("stacked" if inputs.stacked else inputs.lying, inputs.touching),
        sauce=_sauce(inputs),
        foams=inputs.foams,
        gauge_pa=_given(inputs.gauge, "pressure", "gauge"),
        own_hold_min=inputs.my_minutes,
        thin_first=inputs.thin_first,
        tempered=any(is_tempered(entry) for entry in inputs.pieces),
        log_heat_ratio=log_heat,
    )
    if any(entry.cutting == "parted" for entry in inputs.pieces):
        request = replace(request, parted=True)
        if inputs.batches == 1:  # flat and point are not done together, and seldom fit together
            one, *others = batches(request)
            later = tuple(run.load for run in others)
            return replace(one, later=later, liquid_m3=request.liquid_m3)
    return in_batches(request, inputs.batches)


def is_uncut(inputs: PlanInputs) -> bool:
    """Whether there is one kind of piece, and the knife has not touched it."""
    (first, *others) = inputs.pieces
    return not others and knife_of(first) is None


def whole_pieces(inputs: PlanInputs, defaults: Defaults) -> list[Piece]:
    """One whole piece of each kind, as it was bought.

    Raises
    ------
    RequestError : a measure cannot be.
    """
    return [_whole(entry, defaults) for entry in inputs.pieces]


def _tenderness_step(inputs: PlanInputs, cut: Cut, defaults: Defaults) -> float:
    """The texture that was chosen, or the cut's usual one moved by the household's taste."""
    if inputs.texture is not None:
        return float(TEXTURES.index(inputs.texture))
    usual = TEXTURES.index(cut.default_texture) + defaults.taste_step
    return min(max(usual, 0.0), len(TEXTURES) - 1.0)


def _pieces(entry: PieceInputs, defaults: Defaults) -> list[Piece]:
    piece, knife = _whole(entry, defaults), knife_of(entry)
    return ([piece] if knife is None else knife.cut(piece)) * entry.count


def _whole(entry: PieceInputs, defaults: Defaults) -> Piece:
    if not 1 <= entry.count <= MAX_PIECES:
        raise RequestError("piece_count", "count", count=entry.count, most=MAX_PIECES)
    cut: Cut = cut_by_id(entry.cut)
    mass_kg = parse_measure(entry.mass, "mass", "mass")
    word = (entry.start or "").strip().lower()
    start_c, seared = START_WORDS.get(word, (None, False))
    if word not in START_WORDS:
        start_c = _given(entry.start, "temperature", "start")
    cut = taught(cut, dict(defaults.taste_ln), dict(defaults.taste_sd))
    return make_piece(
        cut,
        mass_kg=(trimmed_kg(cut, mass_kg) if entry.as_bought else mass_kg) / entry.count,
        thickness_m=_given(entry.thickness, "length", "thickness"),
        length_m=_given(entry.length, "length", "length"),
        width_m=_given(entry.width, "length", "width"),
        has_bone=entry.bone,
        has_membrane=entry.membrane,
        start_temp_c=defaults.start_temp_c if start_c is None else start_c,
        shape=entry.shape,
        seared=seared,
    )


def knife_of(entry: PieceInputs) -> Knife | None:
    """How each piece is cut; None: it stays whole."""
    if entry.section_bones is not None:
        return Knife("sections", bones=entry.section_bones)
    if entry.cutting is None:
        return None
    knife = Knife(entry.cutting)
    cube_m = _given(entry.cube, "length", "cube")
    return replace(
        knife,
        parts=knife.parts if entry.parts is None else entry.parts,
        cube_m=knife.cube_m if cube_m is None else cube_m,
    )


START_WORDS: dict[str, tuple[float | None, bool]] = {
    "refrigerator": (None, False),
    "tempered": (8.0, False),
    "seared": (None, True),
    "frozen": (FREEZER_C, False),
}
"""Starts a cook names: the temperature, the household's when None, and whether it was seared.
An hour on the counter warms the middle of a roast by some 4 K; common practice."""


TEMPERED_FROM_C = 7.0
"""Warmer than a refrigerator makes it. Judgement."""


def is_tempered(entry: PieceInputs) -> bool:
    """Whether the cook lets these pieces stand out of the refrigerator first."""
    word = (entry.start or "").strip().lower()
    if word in START_WORDS:
        return word == "tempered"
    start_c = _given(entry.start, "temperature", "start")
    return start_c is not None and start_c >= TEMPERED_FROM_C


def _sauce(inputs: PlanInputs) -> Sauce:
    volume_m3 = _given(inputs.sauce, "volume", "sauce")
    if volume_m3 is None:
        return NO_SAUCE
    try:
        return Sauce(volume_m3, inputs.sauce_thick, inputs.sauce_sugar_g_l, inputs.sauce_place)
    except OutOfRangeError as error:
        code = "sauce_amount" if error.name == "sauce" else "sauce_sugar"
        raise RequestError(code, "sauce", given=error.value, most=error.high) from None


def _given(text: str | None, quantity: Quantity, field: str) -> float | None:
    return parse_measure(text, quantity, field) if text and text.strip() else None


def _optional(text: str | None, quantity: Quantity, field: str, default: float) -> float:
    value = _given(text, quantity, field)
    return default if value is None else value


def _as_typed(error: RequestError, text: object) -> RequestError:
    """The same error, to be told in the units of the text it is about."""
    system = typed_system(text) if isinstance(text, str) else None
    return error if system is None else error.told_in(system)


def located(error: RequestError) -> RequestError:
    """The same error, its field as a path into the inputs: `pieces.0.thickness`, `liquid` ..."""
    if error.field not in PIECE_FIELDS:
        return error
    return error.at_field(f"pieces.{error.entry or 0}.{error.field}")


def span_s(span_min: Sequence[float] | None) -> tuple[float, float] | None:
    """From and to [min] in seconds."""
    return None if span_min is None else (60.0 * span_min[0], 60.0 * span_min[1])

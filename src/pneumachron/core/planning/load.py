"""The load: every piece of meat in the pot, with its sizes, bone, membrane and start."""

from dataclasses import dataclass, field, replace
from itertools import groupby
from math import pi, sqrt
from typing import Literal, TypeAlias, get_args

from pneumachron.core.catalog.cuts import Cut
from pneumachron.core.constants import (
    FROZEN_SPECIFIC_HEAT,
    FROZEN_VIRTUAL_START,
    GIVE_RATIO,
    GUESSED_SPREAD,
    ICE_LATENT_HEAT,
    ICE_SHARE,
    SEAR_HEAT,
    SIZE_SPREAD,
)
from pneumachron.core.errors import RequestError

Shape: TypeAlias = Literal["block", "tapered", "rolled"]
SHAPES: tuple[Shape, ...] = get_args(Shape)
TAPER_RATIO = 0.8
"""Mean thickness of a tapered piece over that of its thick third. Judgement."""
ROLL_RATIO = pi / (sqrt(2.0) * 2.404_826)
"""Side of a square bar over the diameter of a roll that warms as fast: their slowest modes decay
alike, 2 (π / s)² = (2 j₀ / d)² with j₀ the first zero of the Bessel function. Closed form."""
FROZEN_C = -2.0
"""Meat colder than this is taken as frozen through."""
FREEZER_C = -18.0
HOT_C = 100.0

THICKNESS_RANGE_M = (0.012, 0.125)
"""What the model was checked for: flanken to a whole shoulder."""
PIECE_MASS_RANGE_KG = (0.01, 8.0)
FROZEN_RANGE_M = (THICKNESS_RANGE_M[0], 0.05)
"""Separate pieces up to 5 cm may go in frozen. Common practice."""
START_RANGE_C = (-1.0, 40.0)
FREEZER_RANGE_C = (-30.0, FROZEN_C)
MAX_PIECES = 150
"""Three kilos of cubes of an inch."""
MAX_KINDS = 60

SINGLE_RIB_KG = 0.25
"""A single pork rib weighs no more; a third of a rack weighs more. Judgement."""


@dataclass(frozen=True, slots=True)
class Piece:
    """One lump of meat as it goes into the pot; sizes with length >= width >= thickness."""

    cut: Cut
    mass_kg: float
    thickness_m: float
    width_m: float
    length_m: float
    has_bone: bool
    has_membrane: bool
    start_temp_c: float
    thickness_guessed: bool = False
    shape: Shape = "block"

    @property
    def frozen(self) -> bool:
        """Whether it goes in frozen through."""
        return self.start_temp_c <= FROZEN_C

    @property
    def heat_start_c(self) -> float:
        """Start of the heat conduction: that of the meat, or the stand-in for thawing it."""
        return FROZEN_VIRTUAL_START.value if self.frozen else self.start_temp_c

    @property
    def is_single_rib(self) -> bool:
        """Whether it is one rib cut from a rack: nothing of it bends, and nobody cuts it again."""
        return self.cut.bone_pitch_m > 0 and self.mass_kg <= SINGLE_RIB_KG

    @property
    def looks_as(self) -> str:
        """The cut whose signs of doneness it shows."""
        return "rib_pieces" if self.is_single_rib else self.cut.cut_id

    @property
    def size_spread_ratio(self) -> float:
        """How far the sizes may be off."""
        return GUESSED_SPREAD.value if self.thickness_guessed else SIZE_SPREAD.value

    @property
    def volume_m3(self) -> float:
        """Volume by mass and density."""
        return self.mass_kg / self.cut.density_kg_m3(has_bone=self.has_bone)

    @property
    def boneless_kg(self) -> float:
        """Mass without the bone."""
        return self.mass_kg * (1.0 - (self.cut.bone_ratio if self.has_bone else 0.0))

    @property
    def heat_capacity_j_k(self) -> float:
        """Heat for one kelvin from `heat_start_c` on, bone included.

        Frozen: such that all the way to the boil it takes what thawing and heating really take.
        """
        thawed = self.mass_kg * self.cut.specific_heat_j_kgk(has_bone=self.has_bone)
        if not self.frozen:
            return thawed
        ice_kg = ICE_SHARE.value * self.cut.composition.water_ratio * self.boneless_kg
        needed_j = (
            thawed * (HOT_C - FROZEN_C)
            + ice_kg * ICE_LATENT_HEAT.value
            + self.mass_kg * FROZEN_SPECIFIC_HEAT.value * (FROZEN_C - self.start_temp_c)
        )
        return needed_j / (HOT_C - self.heat_start_c)

    def with_thickness(self, ratio: float) -> "Piece":
        """The same weight in a piece that is so many times as thick, and less long and wide."""
        thick = ratio * self.thickness_m
        if self.shape == "rolled":
            length = self.length_m / ratio**2
            return replace(self, thickness_m=thick, width_m=thick, length_m=length)
        side = ratio**-0.5
        return replace(
            self,
            thickness_m=thick,
            width_m=side * self.width_m,
            length_m=side * self.length_m,
        )

    @property
    def half_sizes_m(self) -> tuple[float, float, float]:
        """Half length, width and thickness as the heat sees them."""
        if self.shape == "rolled":
            side = ROLL_RATIO * self.thickness_m
            return self.length_m / 2, side / 2, side / 2
        return (
            self.length_m / 2,
            self.width_m / 2,
            self.cut.thickness_factor * self.thickness_m / 2,
        )


@dataclass(frozen=True, slots=True)
class Load:
    """All pieces of one pot."""

    pieces: tuple[Piece, ...]
    _kinds: tuple[tuple[Piece, int], ...] = field(init=False, repr=False, compare=False)

    def __post_init__(self) -> None:
        """Refuse an empty or endless load."""
        alike = tuple((piece, len(list(same))) for piece, same in groupby(self.pieces))
        object.__setattr__(self, "_kinds", alike)
        if not 1 <= len(self.pieces) <= MAX_PIECES:
            raise RequestError("piece_count", "count", count=len(self.pieces), most=MAX_PIECES)
        if len(self.kinds()) > MAX_KINDS:
            raise RequestError("kind_count", "count", most=MAX_KINDS)

    @property
    def mass_kg(self) -> float:
        """All pieces together."""
        return sum(piece.mass_kg for piece in self.pieces)

    @property
    def volume_m3(self) -> float:
        """All pieces together."""
        return sum(piece.volume_m3 for piece in self.pieces)

    def shrunk(self, lost_m3: float) -> "Load":
        """The same pieces after they gave so much juice, each in proportion to its mass."""
        left = 1.0 - lost_m3 / self.volume_m3
        return Load(tuple(replace(piece, mass_kg=piece.mass_kg * left) for piece in self.pieces))

    def kinds(self) -> tuple[tuple[Piece, int], ...]:
        """Pieces that are alike, with their number."""
        return self._kinds


def make_piece(
    cut: Cut,
    *,
    mass_kg: float,
    thickness_m: float | None,
    length_m: float | None = None,
    width_m: float | None = None,
    has_bone: bool | None = None,
    has_membrane: bool | None = None,
    start_temp_c: float,
    shape: Shape = "block",
    seared: bool = False,
) -> Piece:
    """A piece with what was measured; the rest follows from the typical shape of the cut.

    A tapered piece is measured at its thick third, a rolled one across the roll. `seared` adds
    the warmth of a sear on two faces.

    Length and width, when not given, are those of a block of this mass and thickness with the
    cut's length over width; never narrower than thick. A thickness that was not measured is the
    usual one of the cut, or that of a cube when the piece is too light for it.

    Raises
    ------
    RequestError : a measure outside what the model was checked for, or measures that contradict
        each other by more than 40 %.
    """
    _check_mass(mass_kg)
    guessed = thickness_m is None
    if thickness_m is None:
        thickness_m = usual_thickness_m(cut, mass_kg)
    _check_thickness(thickness_m)
    _check_start(start_temp_c, thickness_m)
    bone = cut.bone_ratio > 0 if has_bone is None else has_bone
    if bone and cut.bone_ratio == 0:
        raise RequestError("no_bone", "bone", cut=cut.cut_id)
    if has_membrane and not cut.takes_membrane:
        raise RequestError("no_membrane", "membrane", cut=cut.cut_id)
    density = cut.density_kg_m3(has_bone=bone)
    area_m2 = mass_kg / density / (_FULLNESS[shape] * thickness_m)
    if shape == "rolled":
        width_m = thickness_m
    length, width = _footprint(cut, area_m2, thickness_m, length_m, width_m)
    _check_shape(area_m2, thickness_m, length, width, mass_kg, measured=length_m is not None)
    return Piece(
        cut=cut,
        mass_kg=mass_kg,
        thickness_m=thickness_m,
        width_m=width,
        length_m=length,
        has_bone=bone,
        has_membrane=bool(has_membrane),
        start_temp_c=_seared_c(cut, start_temp_c, thickness_m) if seared else start_temp_c,
        thickness_guessed=guessed,
        shape=shape,
    )


_FULLNESS: dict[Shape, float] = {"block": 1.0, "tapered": TAPER_RATIO, "rolled": pi / 4}
"""Volume over length × width × thickness."""


def _seared_c(cut: Cut, start_temp_c: float, thickness_m: float) -> float:
    """Mean temperature after a sear on two faces.

    Raises
    ------
    RequestError : frozen meat does not sear.
    """
    if start_temp_c <= FROZEN_C:
        raise RequestError("frozen_sear", "start")
    heat_j_m2k = thickness_m * cut.meat.density_kg_m3 * cut.meat.specific_heat_j_kgk
    return min(start_temp_c + 2 * SEAR_HEAT.value / heat_j_m2k, START_RANGE_C[1])


def usual_thickness_m(cut: Cut, mass_kg: float) -> float:
    """What a piece of this weight usually measures: the middle of the cut's span, or less."""
    middle = sum(cut.usual_thickness_m) / 2
    cube = float((mass_kg / cut.density_kg_m3(has_bone=cut.bone_ratio > 0)) ** (1 / 3))
    return max(min(middle, cube), THICKNESS_RANGE_M[0])


def _footprint(
    cut: Cut, area_m2: float, thickness_m: float, length_m: float | None, width_m: float | None
) -> tuple[float, float]:
    if length_m is not None and width_m is not None:
        return max(length_m, width_m), min(length_m, width_m)
    known = width_m if length_m is None else length_m
    if known is not None:
        return max(known, area_m2 / known), min(known, area_m2 / known)
    width = max(sqrt(area_m2 / cut.aspect_ratio), min(thickness_m, sqrt(area_m2)))
    return area_m2 / width, width


def _check_mass(mass_kg: float) -> None:
    low, high = PIECE_MASS_RANGE_KG
    if not mass_kg >= low:
        raise RequestError("too_light", "mass", mass_kg=mass_kg, least_kg=low)
    if not mass_kg <= high:
        raise RequestError("too_heavy", "mass", mass_kg=mass_kg, most_kg=high)


def _check_thickness(thickness_m: float) -> None:
    low, high = THICKNESS_RANGE_M
    if not thickness_m >= low:
        raise RequestError("too_thin", "thickness", thickness_m=thickness_m, least_m=low)
    if not thickness_m <= high:
        raise RequestError("too_thick", "thickness", thickness_m=thickness_m, most_m=high)


def _check_start(start_temp_c: float, thickness_m: float) -> None:
    low, high = START_RANGE_C
    coldest, _ = FREEZER_RANGE_C
    if start_temp_c <= FROZEN_C and thickness_m > FROZEN_RANGE_M[1]:
        raise RequestError(
            "frozen_too_thick",
            "start",
            thickness_m=thickness_m,
            most_m=FROZEN_RANGE_M[1],
            thaw_s=3600.0 * thaw_hours(thickness_m),
        )
    if not (coldest <= start_temp_c <= FROZEN_C or low <= start_temp_c <= high):
        if start_temp_c > high:
            raise RequestError("start_too_warm", "start", start_c=start_temp_c, most_c=high)
        raise RequestError("start_unclear", "start", start_c=start_temp_c, frozen_c=FROZEN_C)


def thaw_hours(thickness_m: float) -> float:
    """Hours in the refrigerator for a piece of this thickness, until its middle has thawed.

    Common practice has 24 h for 2–2.3 kg, a roast of about 9 cm (USDA, from memory). Thinner and
    thicker pieces follow a finite-volume solution in enthalpy, 4 °C and 15 W/(m² K), which puts
    them at the power 1.25 of the thickness; never below half a day.
    """
    return max(25.0 * float((thickness_m / 0.09) ** 1.25), 12.0)


def _check_shape(
    area_m2: float,
    thickness_m: float,
    length_m: float,
    width_m: float,
    mass_kg: float,
    *,
    measured: bool,
) -> None:
    """The sizes can hold the weight within 40 %, and the thickness is the shortest way."""
    if width_m * GIVE_RATIO.value**2 < thickness_m:
        raise RequestError(
            "thickness_is_not_shortest",
            "thickness",
            mass_kg=mass_kg,
            thickness_m=thickness_m,
            width_m=width_m,
        )
    ratio = length_m * width_m / area_m2
    if measured and not 1 / 1.4 <= ratio <= 1.4:
        raise RequestError(
            "sizes_do_not_hold_weight",
            "length",
            length_m=length_m,
            width_m=width_m,
            thickness_m=thickness_m,
            mass_kg=mass_kg,
            would_kg=mass_kg * ratio,
        )

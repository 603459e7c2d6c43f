"""Cuts: what they are made of, how they lie, how they soften. Numbers live in data/cuts.csv."""

from dataclasses import dataclass
from functools import cache, cached_property
from typing import Literal, TypeAlias, cast, get_args

from pneumachron.core.catalog.tables import read_numbers, read_words
from pneumachron.core.constants import (
    BONE_DENSITY,
    BONE_SPECIFIC_HEAT,
    PROPERTY_TEMP,
)
from pneumachron.core.errors import RequestError
from pneumachron.core.physics.properties import Composition, HeatProperties, heat_properties
from pneumachron.core.physics.tenderness import Texture

LiquidStyle: TypeAlias = Literal["steam", "lean", "short_braise", "bath"]
LIQUID_STYLES: tuple[LiquidStyle, ...] = get_args(LiquidStyle)
ReleaseMethod: TypeAlias = Literal["natural", "timed", "quick", "soak", "keep_warm"]
RELEASE_METHODS: tuple[ReleaseMethod, ...] = get_args(ReleaseMethod)


@dataclass(frozen=True)
class Cut:
    """A cut of meat; `text` has its names, what one sees at each tenderness, where to measure."""

    cut_id: str
    like: str | None
    """The cut that it shares with what it does not say itself."""
    kind: str
    family: str
    composition: Composition
    bone_ratio: float
    aspect_ratio: float
    usual_thickness_m: tuple[float, float]
    thickness_factor: float
    coils: bool
    blocks: bool
    """Blocks on one bone, which may lie criss-cross."""
    small: bool
    """Small enough to lie in a heap that steam gets through."""
    takes_membrane: bool
    has_rind: bool
    """It is sold with a rind too, which can crackle."""
    has_fat_cap: bool
    tender_softening_min: float
    dry_ceiling_ratio: float
    """Softening beyond which it is soft but dry, over that of the last step."""
    practice_scatter_ratio: float
    """1 sd of how practice scatters around the model, as ln minutes."""
    practice_cases: int
    """Cases of practice that its softening rests on."""
    crisped_hold_min: int | None
    """Minutes with which it is only warmed through, where the habit is to crisp it afterwards."""
    bone_pitch_m: float
    """From bone to bone along a rack; 0 when it is not one."""
    sears: bool
    pulls: bool
    """Whether it is pulled apart once it is soft enough."""
    safe_core_c: float
    safe_rest_s: float
    default_texture: Texture
    default_release: ReleaseMethod
    default_liquid_style: LiquidStyle
    taste_ln: float = 0.0
    """What the log taught of this cut: how much more softening this household needs, as ln dose. It
    is in `tender_softening_min` already."""
    taste_sd_ln: float | None = None
    """1 sd of what the log has taught of this cut, as ln dose; None: nothing yet."""

    @cached_property
    def meat(self) -> HeatProperties:
        """Heat properties of the boneless part at the mean temperature of a cook."""
        return heat_properties(self.composition, PROPERTY_TEMP.value)

    def specific_heat_j_kgk(self, *, has_bone: bool) -> float:
        """Specific heat of a piece, bone included."""
        bone = self.bone_ratio if has_bone else 0.0
        return (1.0 - bone) * self.meat.specific_heat_j_kgk + bone * BONE_SPECIFIC_HEAT.value

    def density_kg_m3(self, *, has_bone: bool) -> float:
        """Density of a piece, bone included."""
        bone = self.bone_ratio if has_bone else 0.0
        return 1.0 / ((1.0 - bone) / self.meat.density_kg_m3 + bone / BONE_DENSITY.value)


@cache
def cuts() -> dict[str, Cut]:
    """All cuts, by id, in the order of the table."""
    words, numbers = read_words("cuts.csv"), read_numbers("cuts.csv")
    found = {}
    for cut_id, own in words.items():
        like = own.get("like")
        found[cut_id] = _cut(
            cut_id,
            {**words[like], **own} if like else own,
            {**numbers[like], **numbers.get(cut_id, {})} if like else numbers[cut_id],
        )
    return found


def _cut(cut_id: str, words: dict[str, str], numbers: dict[str, float]) -> Cut:
    crisped = numbers.get("crisped_hold_min")
    return Cut(
        cut_id=cut_id,
        like=words.get("like"),
        kind=words["kind"],
        family=words["family"],
        composition=Composition(
            numbers["water_ratio"],
            numbers["protein_ratio"],
            numbers["fat_ratio"],
            numbers["ash_ratio"],
        ),
        bone_ratio=numbers["bone_ratio"],
        aspect_ratio=numbers["aspect_ratio"],
        usual_thickness_m=(numbers["usual_thickness_from_m"], numbers["usual_thickness_to_m"]),
        thickness_factor=numbers["thickness_factor"],
        coils=numbers["coils"] == 1,
        blocks=numbers["blocks"] == 1,
        small=numbers["small"] == 1,
        takes_membrane=numbers["takes_membrane"] == 1,
        has_rind=numbers["has_rind"] == 1,
        has_fat_cap=numbers["has_fat_cap"] == 1,
        tender_softening_min=numbers["tender_softening_min"],
        dry_ceiling_ratio=numbers["dry_ceiling_ratio"],
        practice_scatter_ratio=numbers["practice_scatter_ratio"],
        practice_cases=int(numbers["practice_cases"]),
        crisped_hold_min=None if crisped is None else int(crisped),
        bone_pitch_m=numbers["bone_pitch_m"],
        sears=numbers["sears"] == 1,
        pulls=numbers["pulls"] == 1,
        safe_core_c=numbers["safe_core_c"],
        safe_rest_s=numbers["safe_rest_s"],
        default_texture=cast(Texture, words["default_texture"]),
        default_release=cast(ReleaseMethod, words["default_release"]),
        default_liquid_style=cast(LiquidStyle, words["default_liquid_style"]),
    )


def cut_by_id(cut_id: str) -> Cut:
    """A cut.

    Raises
    ------
    RequestError : no such cut.
    """
    try:
        return cuts()[cut_id]
    except KeyError:
        raise RequestError("unknown_cut", "cut") from None

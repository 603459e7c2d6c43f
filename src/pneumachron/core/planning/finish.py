"""After the pot: crust, rest, and the knife. Numbers live in data/finishes.csv."""

from dataclasses import dataclass
from functools import cache
from math import ceil
from typing import Literal, TypeAlias, cast, get_args

from pneumachron.core.catalog.cuts import Cut
from pneumachron.core.catalog.pots import Pot
from pneumachron.core.catalog.tables import read_numbers, read_words
from pneumachron.core.errors import Param
from pneumachron.core.message import Message
from pneumachron.core.planning.load import Load

FinishKind: TypeAlias = Literal[
    "broiler", "grill", "air_fryer", "crisping", "pan", "glaze", "none"
]  # fmt: skip
FINISHES: tuple[FinishKind, ...] = get_args(FinishKind)
WHOLE_KG = 1.8
"""A piece this heavy rests twice as long: 20–40 min. Common practice."""
COLD_SLICE_M = 0.0055
"""5–6 mm when sliced cold. Common practice."""


@dataclass(frozen=True, slots=True)
class Finisher:
    """A way to give crust."""

    kind: FinishKind
    span_s: tuple[float, float]
    load_kg_m2: float
    area_m2: float
    heat_up_s: float
    """Before it is hot; 0 where that is part of the work."""


@dataclass(frozen=True, slots=True)
class Afterwards:
    """How a family of cuts goes on after the pot."""

    default_finish: FinishKind
    crisping_s: float
    rest_s: tuple[float, float]
    keep_warm_s: float
    carve_core_c: float
    slice_m: float


@cache
def finishers() -> dict[FinishKind, Finisher]:
    """All finishes by id."""
    numbers = read_numbers("finishes.csv")
    return {
        kind: Finisher(
            kind=kind,
            span_s=(numbers[kind]["from_s"], numbers[kind]["to_s"]),
            load_kg_m2=numbers[kind]["load_kg_m2"],
            area_m2=numbers[kind]["area_m2"],
            heat_up_s=numbers[kind]["heat_up_s"],
        )
        for kind in FINISHES
    }


@cache
def afterwards() -> dict[str, Afterwards]:
    """How each family goes on."""
    numbers, words = read_numbers("finishes.csv"), read_words("finishes.csv")
    return {
        family: Afterwards(
            default_finish=cast(FinishKind, words[family]["default"]),
            crisping_s=row["crisping_s"],
            rest_s=(row["rest_from_s"], row["rest_to_s"]),
            keep_warm_s=row["keep_warm_s"],
            carve_core_c=row["carve_core_c"],
            slice_m=row["slice_m"],
        )
        for family, row in numbers.items()
        if "crisping_s" in row
    }


@dataclass(frozen=True, slots=True)
class Finish:
    """What to do for a crust, and how long each batch takes."""

    kind: FinishKind
    batches: int
    each_s: tuple[float, float]
    """From and to; the time at which to look is half of the first."""
    heat_up_s: float = 0.0
    """How long before it the broiler, the grill or the air fryer is switched on."""

    @property
    def look_s(self) -> float:
        """When to look: a small load is often done by half time."""
        return self.each_s[0] / 2

    @property
    def total_s(self) -> tuple[float, float]:
        """All batches."""
        return self.batches * self.each_s[0], self.batches * self.each_s[1]


def finish_for(load: Load, pot: Pot, kind: FinishKind | None = None) -> Finish:
    """The finish of a load, the habit of its first cut when none is named.

    What wants an air-fryer lid goes under the broiler when the cooker has none.
    """
    family = load.pieces[0].cut.family
    habit = afterwards()[family].default_finish
    chosen = habit if kind is None else kind
    if chosen == "crisping" and not pot.has_crisping_lid:
        chosen = "broiler"
    how = finishers()[chosen]
    span = how.span_s
    if chosen in {"crisping", "air_fryer"}:
        usual = afterwards()[family].crisping_s
        span = (0.75 * usual, usual)
    if chosen == "none":
        return Finish(chosen, 0, (0.0, 0.0))
    runs = max(ceil(load.mass_kg / (how.load_kg_m2 * how.area_m2) - 0.05), 1)
    return Finish(chosen, runs, span, how.heat_up_s)


def simmered_s(kind: FinishKind | None, boil_s: float) -> float:
    """How long the meat simmers in the open cooker: as asked, or while its juice becomes a glaze.

    That softens it on, so the cook time counts on it.
    """
    if kind != "glaze" or boil_s > 0:
        return boil_s
    low, high = finishers()["glaze"].span_s
    return (low + high) / 2


PORTION_REST_S = (300.0, 600.0)
"""As for single ribs: little meat holds little heat. Common practice."""


def rest_for(load: Load) -> tuple[float, float]:
    """How long it rests [s], tented loosely with foil or in its juice."""
    if are_portions(load):
        return PORTION_REST_S
    low, high = afterwards()[load.pieces[0].cut.family].rest_s
    whole = max(piece.mass_kg for piece in load.pieces) >= WHOLE_KG and low >= 900.0
    return (low + 300.0, 2 * high) if whole else (low, high)


def slice_m(cut: Cut, *, pulled: bool, cold: bool) -> float:
    """How thick it is sliced across the grain; 0 where it is not."""
    how = afterwards()[cut.family]
    if pulled or how.slice_m == 0:
        return 0.0
    return COLD_SLICE_M if cold else how.slice_m


STEAK_M = 0.035
"""What is no thicker is a steak, and served whole whatever it weighs. Judgement."""
PORTION_KG = 0.35
"""Pieces of brisket or shoulder that weigh no more are served whole: cubes, steaks, country-style
ribs. Judgement."""

STEW_KG = 0.15
"""Pieces that weigh no more are left in their juice to rest. Judgement: a cube of 5 cm."""


def are_portions(load: Load) -> bool:
    """Whether brisket or shoulder is cooked in pieces that nobody cuts again: cubes, steaks."""
    return len(load.pieces) > 1 and all(
        piece.cut.family in {"brisket", "shoulder"}
        and (piece.mass_kg <= PORTION_KG or piece.thickness_m <= STEAK_M)
        for piece in load.pieces
    )


def rests_in_juice(load: Load) -> bool:
    """Whether it is a stew: nobody fishes the cubes out to rest them."""
    return are_portions(load) and all(piece.mass_kg <= STEW_KG for piece in load.pieces)


def carving(load: Load, *, pulled: bool, cold: bool) -> Message:
    """How it is cut."""
    return Message("carve", carving_params(load, pulled=pulled, cold=cold))


def carving_params(load: Load, *, pulled: bool, cold: bool) -> dict[str, Param]:
    """What the words for the knife go by. Wings, single ribs and small pieces are not cut."""
    cut = load.pieces[0].cut
    single = all(piece.is_single_rib for piece in load.pieces)
    family = "wings" if cut.small or single else cut.family.replace(" ", "_")
    if are_portions(load) and not pulled:
        family = "pieces"
    return {"family": family, "slice_m": slice_m(cut, pulled=pulled, cold=cold)}

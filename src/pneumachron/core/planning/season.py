"""Before the pot: salt, rub, marinade, and browning in batches."""

from dataclasses import dataclass
from math import ceil
from typing import Literal, TypeAlias, get_args

from pneumachron.core.catalog.cuts import Cut
from pneumachron.core.catalog.pots import Pot
from pneumachron.core.constants import US_CUP
from pneumachron.core.errors import RequestError
from pneumachron.core.planning.load import Load, Piece

SALT_RATIO = (0.008, 0.012)
"""Salt over boneless weight. Common practice."""
SALT_PULLED_RATIO = (0.012, 0.015)
"""The same for meat that is pulled. Common practice."""
BRINED_SHARE = 0.5
"""Meat sold with added brine takes half. Common practice."""
RUB_RATIO = (0.020, 0.035)
"""Rub over the weight of the meat. Common practice."""
RUB_SUGAR_RATIO = 0.010
"""Sugar in it, at most, when it may touch the base. Common practice."""
MARINADE_M3_PER_KG = (1.0e-4, 1.5e-4)
"""Common practice."""

Marinade: TypeAlias = Literal["mild", "strong_acid", "fruit_enzymes", "fruit"]
MARINADES: tuple[Marinade, ...] = get_args(Marinade)
RUB_REST_S = (600.0, 43_200.0)
"""Ten minutes to overnight, in the refrigerator. Common practice."""
LONGEST_S = {"beef": 5 * 86_400.0, "pork": 5 * 86_400.0, "poultry": 2 * 86_400.0}
"""How long raw meat may lie in a marinade. USDA, from memory."""
THIN_M, THICK_M = 0.022, 0.03

SEAR_LOAD_RATIO = 0.6
"""Share of the base that meat may cover when it is browned: more, and it steams. Judgement."""
SEAR_FACE_S = (120.0, 300.0)
"""Two to five minutes a face. Common practice."""
SEAR_EDGE_S = 30.0
"""Half a minute an edge. Common practice."""
HEAT_POT_S = 240.0
"""To heat the pot before the oil goes in. Common practice."""
EDGES = 4


@dataclass(frozen=True, slots=True)
class Seasoning:
    """Amounts for a load. Pairs are from and to."""

    salt_kg: tuple[float, float]
    rub_kg: tuple[float, float]
    rub_sugar_kg: float
    """Sugar in the rub at most."""
    rub_rest_s: tuple[float, float]


def seasoning(load: Load, *, pulled: bool, brined: bool = False) -> Seasoning:
    """Salt by the boneless weight, rub by the weight of the meat."""
    boneless = sum(piece.boneless_kg for piece in load.pieces)
    share = BRINED_SHARE if brined else 1.0
    salt = SALT_PULLED_RATIO if pulled else SALT_RATIO
    return Seasoning(
        salt_kg=(share * salt[0] * boneless, share * salt[1] * boneless),
        rub_kg=(RUB_RATIO[0] * load.mass_kg, RUB_RATIO[1] * load.mass_kg),
        rub_sugar_kg=RUB_SUGAR_RATIO * load.mass_kg,
        rub_rest_s=RUB_REST_S,
    )


@dataclass(frozen=True, slots=True)
class Marinating:
    """How much, and how long. `longest_s` is the limit of food safety."""

    volume_m3: tuple[float, float]
    time_s: tuple[float, float]
    longest_s: float


def marinating(
    load: Load, marinade: Marinade, own_s: tuple[float, float] | None = None
) -> Marinating:
    """Marinade for a load, by what is in it and how thick the meat is.

    `own_s` is the time that a recipe has instead, from and to [s]; it is never longer than meat
    keeps raw.

    Raises
    ------
    RequestError : no such marinade.
    """
    if marinade not in MARINADES:
        raise RequestError("marinade", "marinade")
    low, high = MARINADE_M3_PER_KG
    piece = max(load.pieces, key=lambda piece: piece.thickness_m)
    longest = min(LONGEST_S[item.cut.kind] for item in load.pieces)
    from_s, to_s = own_s or _marinade_time_s(piece, marinade)
    return Marinating(
        (low * load.mass_kg, high * load.mass_kg),
        (min(from_s, longest), min(to_s, longest)),
        longest,
    )


def _marinade_time_s(piece: Piece, marinade: Marinade) -> tuple[float, float]:
    if marinade == "fruit_enzymes":
        return 1800.0, 3600.0
    if piece.cut.small and piece.cut.family == "ribs":
        usual = (1200.0, 7200.0)
    elif piece.thickness_m <= THIN_M:
        usual = (10_800.0, 21_600.0)
    else:
        usual = (21_600.0, 43_200.0)
    if marinade == "strong_acid" and piece.thickness_m <= THICK_M:
        return min(usual[0], 3600.0), 7200.0
    return usual


@dataclass(frozen=True, slots=True)
class Searing:
    """Browning before the pot: batches, and hands-on time from and to."""

    batches: int
    batch_s: tuple[float, float]
    total_s: tuple[float, float]
    deglaze_m3: tuple[float, float]


def searing(load: Load, pot: Pot) -> Searing:
    """Browning in the pot itself, one layer with gaps at a time."""
    area = sum(piece.length_m * piece.width_m for piece in load.pieces)
    layers = max(ceil(area / (SEAR_LOAD_RATIO * pot.floor_m2) - 0.05), 1)
    batches = min(layers, len(load.pieces))  # one large roast is turned, and not parted
    edges_s = EDGES * SEAR_EDGE_S if _has_edges(load.pieces[0].cut) else 0.0
    batch = (2 * SEAR_FACE_S[0] + edges_s, 2 * SEAR_FACE_S[1] + edges_s)
    return Searing(
        batches=batches,
        batch_s=batch,
        total_s=(HEAT_POT_S + batches * batch[0], HEAT_POT_S + batches * batch[1]),
        deglaze_m3=(US_CUP.value / 4, US_CUP.value / 2),
    )


def _has_edges(cut: Cut) -> bool:
    """Roasts and blocks are turned onto their edges, thin pieces are not."""
    return cut.sears and not cut.small

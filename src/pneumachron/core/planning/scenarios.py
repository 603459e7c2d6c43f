"""From a request to the arrays that pot_heat.py and hold.py step: one row a case."""

from math import exp

import numpy as np

from pneumachron.core.constants import BAND_SDS, FROZEN_EXTRA, GAUGE_SPREAD, TAP_WATER_TEMP
from pneumachron.core.cooker.cook_time import Search
from pneumachron.core.cooker.meat_cases import MeatCases
from pneumachron.core.cooker.pot_heat import PotCases
from pneumachron.core.physics.contact import lying_half_m
from pneumachron.core.physics.steam import FloatArray, ambient_pressure_pa
from pneumachron.core.physics.tenderness import (
    TENDER_STEP,
    tenderness_step_of,
    texture_softening_min,
)
from pneumachron.core.planning.load import Load, Piece
from pneumachron.core.planning.lying import Covered
from pneumachron.core.planning.request import ResolvedRequest

NOMINAL, THINNEST, THICKEST, WEAKEST, THICKER, SEA_LEVEL = range(6)
"""The cases of a plan: as wished; as thin and as thick as it may really be, at the same weight;
with as little pressure as the pot may give; half a centimetre thicker; at sea level."""
CASES = 6
THICKER_M = 0.005
"""Half a centimetre: what one more reading of the ruler is worth."""
RAW_STEP = -4.0
"""As far below "chewy" as "falls" is above it: not softened at all."""


def cases_of(setup: ResolvedRequest) -> tuple[PotCases, MeatCases]:
    """The cases of a plan; liquid and pot start as cold as the tap, or as they were left."""
    request = setup.request
    kinds = request.load.kinds()
    ambient = np.full(CASES, ambient_pressure_pa(request.altitude_m))
    ambient[SEA_LEVEL] = ambient_pressure_pa(0.0)
    gauge = np.full(CASES, request.pressure_pa)
    gauge[WEAKEST] -= BAND_SDS.value * GAUGE_SPREAD.value
    sizes = np.tile(np.array([piece.half_sizes_m for piece, _ in kinds]), (CASES, 1, 1))
    for case, sign in ((THINNEST, -1.0), (THICKEST, 1.0)):
        sizes[case] = [
            piece.with_thickness(exp(sign * BAND_SDS.value * piece.size_spread_ratio)).half_sizes_m
            for piece, _ in kinds
        ]
    sizes[THICKER, :, 2] += THICKER_M / 2
    return _cases(setup, ambient, gauge, sizes)


def _cases(
    setup: ResolvedRequest, ambient_pa: FloatArray, gauge_pa: FloatArray, sizes_m: FloatArray
) -> tuple[PotCases, MeatCases]:
    """As many cases as there are pressures (V,) and sizes (V, G, 3)."""
    request, filling = setup.request, setup.filling
    kinds, count = request.load.kinds(), len(ambient_pa)

    def row(values: list[float]) -> FloatArray:
        return np.tile(np.array(values), (count, 1))

    conductivity = row([piece.cut.meat.conductivity_w_mk for piece, _ in kinds])
    meat = MeatCases(
        half_sizes_m=covered_sizes_m(sizes_m, conductivity, setup.arrangement.covered),
        diffusivity_m2_s=row([piece.cut.meat.diffusivity_m2_s for piece, _ in kinds]),
        conductivity_w_mk=conductivity,
        heat_capacity_j_k=row([count * piece.heat_capacity_j_k for piece, count in kinds]),
        start_c=row([piece.heat_start_c for piece, _ in kinds]),
        frozen_c=row([piece.start_temp_c if piece.frozen else np.nan for piece, _ in kinds]),
        softening_min=row(
            [piece_softening_min(piece, request.tenderness_step) for piece, _ in kinds]
        ),
    )
    start_c = TAP_WATER_TEMP.value if request.pot_start_c is None else request.pot_start_c
    cases = PotCases(
        pot=request.pot,
        ambient_pa=ambient_pa,
        gauge_pa=gauge_pa,
        liquid_m3=np.full(count, filling.wet_m3),
        solids_m3=np.full(count, filling.solids_m3),
        bed_m3=np.full(count, filling.bed_m3),
        start_c=np.full(count, start_c),
    )
    return cases, meat


def covered_sizes_m(
    half_sizes_m: FloatArray, conductivity_w_mk: FloatArray, covered: Covered
) -> FloatArray:
    """Half sizes (..., G, 3) as the heat sees them when faces are covered; see contact.py."""
    sizes = half_sizes_m.copy()
    conductivity = np.broadcast_to(conductivity_w_mk, sizes.shape[:-1])
    sizes[..., 2] = lying_half_m(2.0 * sizes[..., 2], conductivity, covered.wide)
    sizes[..., 1] = lying_half_m(2.0 * sizes[..., 1], conductivity, (covered.side, 0.0))
    return sizes


def first_cases(setup: ResolvedRequest) -> tuple[PotCases, MeatCases]:
    """The request alone, without the cases that give range and reasons."""
    request = setup.request
    sizes = np.array([[piece.half_sizes_m for piece, _ in request.load.kinds()]])
    ambient = np.array([ambient_pressure_pa(request.altitude_m)])
    return _cases(setup, ambient, np.array([request.pressure_pa]), sizes)


def first_search(setup: ResolvedRequest, *, at_least_s: float = 0.0) -> Search:
    """The search for the request alone."""
    return Search(*first_cases(setup), setup.after, at_least_s=at_least_s)


def frozen_extra_min(load: Load) -> float:
    """Minutes on top when something goes in frozen: the stand-in for thawing is a little fast."""
    return FROZEN_EXTRA.value / 60.0 if any(piece.frozen for piece in load.pieces) else 0.0


def piece_softening_min(piece: Piece, tenderness_step: float) -> float:
    """Softening that gives a texture of this piece, its membrane counted."""
    return texture_softening_min(
        piece.cut.tender_softening_min, tenderness_step, has_membrane=piece.has_membrane
    )


def texture_reached(piece: Piece, softening_min: float) -> float:
    """Where a dose takes a piece on its ladder, its membrane counted; `RAW_STEP` at the least."""
    step = tenderness_step_of(
        piece_softening_min(piece, float(TENDER_STEP)), np.array(softening_min)
    )
    return max(float(step), RAW_STEP)

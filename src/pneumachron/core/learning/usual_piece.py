"""A usual piece of a cut, on which what the log taught is told in minutes."""

from collections.abc import Sequence

import numpy as np

from pneumachron.core.catalog.cuts import cut_by_id
from pneumachron.core.catalog.pots import ready_pot
from pneumachron.core.physics.tenderness import TEXTURES
from pneumachron.core.planning.load import Load, make_piece
from pneumachron.core.planning.request import CookRequest, resolve
from pneumachron.core.planning.scenarios import first_search

USUAL_KG, USUAL_SMALL_KG, USUAL_SMALL = 1.2, 0.1, 10
"""A usual piece; small ones ten in a pot. Judgement."""
USUAL_POT = "tenor"
USUAL_START_C = 4.0
"""From the refrigerator."""


def more_minutes(cut_id: str, tastes_ln: Sequence[float], altitude_m: float) -> tuple[float, ...]:
    """Minutes more than the fitted model for beliefs in ln dose, on a usual piece.

    Raises
    ------
    RequestError : no such cut, or it cannot be worked out there.
    """
    cut = cut_by_id(cut_id)
    count = USUAL_SMALL if cut.small or cut.blocks else 1
    mass_kg = USUAL_SMALL_KG if count > 1 else USUAL_KG
    piece = make_piece(cut, mass_kg=mass_kg, thickness_m=None, start_temp_c=USUAL_START_C)
    request = CookRequest(
        load=Load((piece,) * count),
        pot=ready_pot(USUAL_POT),
        tenderness_step=float(TEXTURES.index(cut.default_texture)),
        liquid_style=cut.default_liquid_style,
        release=None,
        level="high",
        altitude_m=altitude_m,
    )
    search = first_search(resolve(request))

    found = []
    for taste_ln in (0.0, *tastes_ln):
        meat = search.meat.softening_min[..., np.newaxis] * np.exp(taste_ln)
        found.append(float(search.solve(meat)[0, 0]) / 60.0)
    return tuple(hold_min - found[0] for hold_min in found[1:])

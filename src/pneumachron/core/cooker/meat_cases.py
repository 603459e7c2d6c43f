"""The meat in each case of a cooker: sizes, heat properties, start, and what it needs."""

from collections.abc import Sequence
from dataclasses import dataclass, fields

import numpy as np

from pneumachron.core.constants import (
    SURFACE_COEFFICIENT,
)
from pneumachron.core.cooker.pot_heat import (
    MeatHeat,
    Rows,
)
from pneumachron.core.physics.conduction import BlockResponse, Blocks
from pneumachron.core.physics.steam import FloatArray

THAWED_C = -1.0
"""Meat has thawed above this. Published: initial freezing point of lean meat, ASHRAE."""


@dataclass(frozen=True, slots=True)
class MeatCases:
    """G kinds of pieces in V cases. Shapes (V, G), sizes (V, G, 3)."""

    half_sizes_m: FloatArray
    diffusivity_m2_s: FloatArray
    conductivity_w_mk: FloatArray
    heat_capacity_j_k: FloatArray
    start_c: FloatArray
    """Where conduction starts; that of the stand-in for what is frozen."""
    frozen_c: FloatArray
    """Temperature of what is frozen, NaN where it is not."""
    softening_min: FloatArray
    """What each kind needs."""

    def blocks(self) -> Blocks:
        """All pieces as heat conducting blocks."""
        return Blocks(
            self.half_sizes_m,
            self.diffusivity_m2_s,
            self.conductivity_w_mk,
            SURFACE_COEFFICIENT.value,
        )

    def heat(self, response: BlockResponse, pot_c: FloatArray) -> MeatHeat:
        """What all pieces together take up in a pot that starts at `pot_c` (V,)."""
        jump = (pot_c[:, np.newaxis] - self.start_c) * self.heat_capacity_j_k
        return MeatHeat(
            np.einsum("vg,vgn->vn", jump, response.mean_step),
            np.einsum("vg,vgn->vn", self.heat_capacity_j_k, response.mean_ramp),
        )

    def rows(self, which: Rows) -> "MeatCases":
        """Some of the cases."""
        return MeatCases(*(getattr(self, field.name)[which] for field in fields(self)))

    @staticmethod
    def stacked(parts: Sequence["MeatCases"]) -> "MeatCases":
        """Cases with as many kinds of pieces together."""
        columns = ([getattr(part, field.name) for part in parts] for field in fields(MeatCases))
        return MeatCases(*(np.concatenate(column) for column in columns))

    def shown_c(self, core_c: FloatArray) -> FloatArray:
        """Core of the first case as a probe would read it. (G, n)

        What thaws lies between its start and -1 °C for as long as the stand-in is below that.
        """
        frozen = self.frozen_c[0][:, np.newaxis]
        start = self.start_c[0][:, np.newaxis]
        gap = THAWED_C - start  # nothing for meat that starts just thawed
        share = np.clip((core_c - start) / np.where(gap > 0.0, gap, 1.0), 0.0, 1.0)
        thawing = frozen + share * (THAWED_C - frozen)
        return np.where(np.isnan(frozen) | (core_c >= THAWED_C), core_c, thawing)

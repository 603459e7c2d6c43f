"""Tenderness: time above 70 °C where softening is read, weighed by how hot it was.

The dose of a history is the number of minutes at 100 °C that would have done the same. Every
texture of a cut is a dose; neighbours on the ladder differ by `LADDER_STEP`.
"""

from typing import Literal, TypeAlias, get_args

import numpy as np

from pneumachron.core.constants import (
    DOSE_REFERENCE_TEMP,
    DOSE_THRESHOLD_TEMP,
    DOSE_Z,
    LADDER_STEP,
    MEMBRANE_STEPS,
)
from pneumachron.core.errors import OutOfRangeError, ShapeError
from pneumachron.core.physics.steam import FloatArray

Texture: TypeAlias = Literal["chewy", "holds", "tender", "very", "falls"]
TEXTURES: tuple[Texture, ...] = get_args(Texture)
TENDER_STEP = TEXTURES.index("tender")


def cumulative_softening_min(temp_c: FloatArray, *, step_s: float) -> FloatArray:
    """Minutes at 100 °C that did as much as the history up to each sample.

    Parameters
    ----------
    temp_c : (..., n), n >= 1, evenly spaced in time [°C]
    step_s : spacing, > 0 [s]

    Returns
    -------
    (..., n), 0 at the first sample [min]

    Raises
    ------
    OutOfRangeError : `step_s` is not positive.
    ShapeError : no samples.

    Source
    ------
    Bigelow (1921), thermal death time curves, applied to softening; z and threshold in
    constants.py. Trapezoids; a step that crosses the threshold counts from the crossing on.
    """
    if not step_s > 0:
        raise OutOfRangeError("step", step_s, 0.0, np.inf, "s")
    if temp_c.ndim == 0 or temp_c.shape[-1] == 0:
        raise ShapeError("a history has at least one sample")
    floor = DOSE_THRESHOLD_TEMP.value
    rate = 10.0 ** ((np.maximum(temp_c, floor) - DOSE_REFERENCE_TEMP.value) / DOSE_Z.value)
    before, after = temp_c[..., :-1], temp_c[..., 1:]
    hotter, colder = np.maximum(before, after), np.minimum(before, after)
    above = np.clip((hotter - floor) / np.maximum(hotter - colder, 1e-12), 0.0, 1.0)
    steps = 0.5 * (rate[..., :-1] + rate[..., 1:]) * above * (step_s / 60.0)
    dose = np.zeros_like(temp_c)
    np.cumsum(steps, axis=-1, out=dose[..., 1:])
    return dose


def texture_softening_min(
    tender_softening_min: float, tenderness_step: float, *, has_membrane: bool = False
) -> float:
    """Dose that gives a texture.

    Parameters
    ----------
    tender_softening_min : dose of the cut's "tender" [min at 100 °C]
    tenderness_step : 0 (chewy) to 4 (falls); in between is allowed
    has_membrane : left on a rack of ribs, it asks for one step more
    """
    if not 0.0 <= tenderness_step <= len(TEXTURES) - 1:
        raise OutOfRangeError("texture", tenderness_step, 0.0, len(TEXTURES) - 1.0, "steps")
    steps = tenderness_step - TENDER_STEP + (MEMBRANE_STEPS.value if has_membrane else 0.0)
    return float(tender_softening_min * LADDER_STEP.value**steps)


def tenderness_step_of(tender_softening_min: float, softening_min: FloatArray) -> FloatArray:
    """Where a dose stands on the ladder; below 0 is raw or tough, above 4 past falling apart."""
    ratio = np.maximum(softening_min, 1e-9) / tender_softening_min
    return np.asarray(TENDER_STEP + np.log(ratio) / np.log(LADDER_STEP.value))

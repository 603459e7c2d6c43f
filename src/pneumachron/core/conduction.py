"""How the inside of a block catches up with the pot around it.

A block with half sizes L is the product of three slabs (Newman, 1936). For a step of the
temperature around it, each slab has an exact answer: its eigenfunction series once the Fourier
number is above `FO_SWITCH`, and below it the short-time form with error functions. Both agree
to 1e-6 at the switch, so nothing jumps while a size is dragged.

A pot whose temperature moves is a sum of ramps. `BlockResponse` holds the answer to a unit ramp
over one time step; Duhamel's theorem adds them up. (Products of one-dimensional solutions are
right only for a single step, which is why the product is taken first and the sum second.)
"""

from dataclasses import dataclass
from functools import lru_cache

import numpy as np
from numpy.typing import NDArray
from scipy.special import erfc, erfcx

from pneumachron.core.constants import READING_SHARE
from pneumachron.core.errors import OutOfRangeError, ShapeError
from pneumachron.core.steam import FloatArray

MODES = 6
FO_SWITCH = 0.05
"""At this Fourier number mode 7 is below exp(-(6 π)² 0.05) = 2e-8 and the first image of the
far surface in the short-time form below erfc((3 - 0.6) / (2 √0.05)) = 3e-14."""

_FINE = 8
"""Sub-steps of the first time step, where uptake goes with the square root of time."""


def slab_roots(biot: FloatArray, modes: int = MODES) -> FloatArray:
    """First roots of β tan β = Bi.

    Parameters
    ----------
    biot : any shape (S...), > 0
    modes : how many

    Returns
    -------
    (S..., modes), ascending

    Notes
    -----
    Newton on β - nπ - atan(Bi/β), which is monotone; eight steps reach rounding for
    1e-6 <= Bi <= 1e6.
    """
    bi = np.asarray(biot, dtype=float)[..., np.newaxis]
    if not np.all(bi > 0):
        raise OutOfRangeError("Biot number", float(np.min(bi)), 0.0, np.inf, "1")
    base = np.pi * np.arange(modes)
    first = 1.0 / np.sqrt(1.0 / bi + 4.0 / np.pi**2)
    root = np.where(base == 0, first, base + np.arctan(bi / (base + np.pi / 4)))
    for _ in range(8):
        root = root - (root - base - np.arctan(bi / root)) / (1.0 + bi / (root**2 + bi**2))
    return np.asarray(root)


def slab_coefficients(roots: FloatArray) -> FloatArray:
    """Series coefficients A = 4 sin β / (2β + sin 2β) of the centre temperature."""
    return np.asarray(4.0 * np.sin(roots) / (2.0 * roots + np.sin(2.0 * roots)))


@dataclass(frozen=True, slots=True)
class SlabResponse:
    """Share of the initial difference left in a slab, from 1 down to 0. (S..., n) each.

    `core` : in the middle; `reading` : at `READING_SHARE` of the way from there to the surface,
    where softening is read; `mean` : over the volume.
    """

    core: FloatArray
    reading: FloatArray
    mean: FloatArray


def slab_step_response(fourier: FloatArray, biot: FloatArray) -> SlabResponse:
    """Share of the initial difference left in a slab after a step around it.

    Parameters
    ----------
    fourier : (S..., n), >= 0, each row ascending: α t / L²
    biot : (S...) h L / k

    Source
    ------
    Carslaw & Jaeger (1959), sections 3.11 (series) and 2.7 (half space with a surface film,
    here one from each side); from memory, held to independent references in the tests.
    """
    if np.shape(fourier)[:-1] != np.shape(biot):
        raise ShapeError("one row of Fourier numbers for each Biot number")
    found = np.empty((3, *np.shape(fourier)))
    bi = np.broadcast_to(np.asarray(biot)[..., np.newaxis], fourier.shape)
    early = fourier < FO_SWITCH
    found[:, early] = _short_time(fourier[early], bi[early])
    late = ~early
    if late.any():
        roots = slab_roots(biot)
        coefficients = slab_coefficients(roots)
        weights = (
            coefficients,
            coefficients * np.cos(READING_SHARE.value * roots),
            coefficients * np.sin(roots) / roots,
        )
        # rows start late at different columns: work on the block that holds all late entries
        start = int(np.argmax(late.reshape(-1, fourier.shape[-1]).any(axis=0)))
        decay = np.exp(-(roots[..., np.newaxis] ** 2) * fourier[..., np.newaxis, start:])
        chosen = late[..., start:]
        for row, weight in zip(found, weights, strict=True):
            row[..., start:][chosen] = (weight[..., np.newaxis, :] @ decay)[..., 0, :][chosen]
    return SlabResponse(*found)


def _short_time(fo: FloatArray, bi: FloatArray) -> FloatArray:
    """Half space with a film, from both sides; exact as long as the two have not met. (3, n)"""
    root = np.sqrt(np.maximum(fo, 1e-300))
    film = bi * root

    def warmed(distance: float) -> FloatArray:
        depth = 0.5 * distance / root
        return np.asarray(erfc(depth) - np.exp(-(depth**2)) * erfcx(depth + film))

    mean = 1.0 - (erfcx(film) - 1.0 + 2.0 * film / np.sqrt(np.pi)) / bi
    near, far = 1.0 - READING_SHARE.value, 1.0 + READING_SHARE.value
    return np.stack(
        [
            1.0 - 2.0 * warmed(1.0),
            1.0 - warmed(near) - warmed(far),
            np.where(fo > 0, mean, 1.0),
        ]
    )


@dataclass(frozen=True, slots=True)
class BlockResponse:
    """What blocks do, sampled every `step_s`, when the temperature around them rises by 1 K.

    `core_step`, `reading_step`, `mean_step` : (S..., n) rise of the core, of the point where
    softening is read, and of the volume mean at 0, 1, 2 ... steps after a sudden rise; 0 at
    index 0.
    `core_ramp`, `reading_ramp`, `mean_ramp` : (S..., n) the same after a rise spread evenly over
    the step that ended at index 1; 0 at index 0.
    """

    step_s: float
    core_step: FloatArray
    core_ramp: FloatArray
    reading_step: FloatArray
    reading_ramp: FloatArray
    mean_step: FloatArray
    mean_ramp: FloatArray

    def rows(self, which: slice | NDArray[np.int_]) -> "BlockResponse":
        """The responses of some cases."""
        return BlockResponse(
            self.step_s,
            self.core_step[which],
            self.core_ramp[which],
            self.reading_step[which],
            self.reading_ramp[which],
            self.mean_step[which],
            self.mean_ramp[which],
        )


@lru_cache(maxsize=8)
def _sample_times_s(step_s: float, count: int) -> FloatArray:
    fine = step_s * np.arange(1, _FINE) / _FINE
    return np.concatenate([fine, step_s * np.arange(count)])


def block_response(
    half_sizes_m: FloatArray,
    diffusivity_m2_s: FloatArray,
    conductivity_w_mk: FloatArray,
    surface_w_m2k: float,
    *,
    step_s: float,
    count: int,
) -> BlockResponse:
    """Responses of blocks to a unit step and to a unit ramp.

    Parameters
    ----------
    half_sizes_m : (S..., 3) half length, width and thickness [m]
    diffusivity_m2_s, conductivity_w_mk : (S...) of each block
    surface_w_m2k : film coefficient, > 0 [W/(m² K)]
    step_s, count : the time grid: 0, step, ..., (count - 1) step

    Source
    ------
    Newman (1936), product solutions; Duhamel's theorem, Carslaw & Jaeger (1959), section 1.14.
    """
    half = np.asarray(half_sizes_m, dtype=float)
    if half.shape[-1] != 3 or half.shape[:-1] != np.shape(diffusivity_m2_s):
        raise ShapeError("three half sizes and one diffusivity for each block")
    if not np.all(half > 0):
        raise OutOfRangeError("half size", float(np.min(half)), 0.0, np.inf, "m")
    times = _sample_times_s(step_s, count)
    rate = np.asarray(diffusivity_m2_s)[..., np.newaxis] / half**2
    biot = surface_w_m2k * half / np.asarray(conductivity_w_mk)[..., np.newaxis]
    slabs = slab_step_response(rate[..., np.newaxis] * times, biot)
    return BlockResponse(
        step_s,
        *_on_grid(1.0 - np.prod(slabs.core, axis=-2)),
        *_on_grid(1.0 - np.prod(slabs.reading, axis=-2)),
        *_on_grid(1.0 - np.prod(slabs.mean, axis=-2)),
    )


def _on_grid(rise: FloatArray) -> tuple[FloatArray, FloatArray]:
    """Split samples into the step response and its running mean over one step."""
    step = rise[..., _FINE - 1 :]
    ramp = np.zeros_like(step)
    ramp[..., 1:] = 0.5 * (step[..., 1:] + step[..., :-1])
    inside = np.concatenate(
        [np.zeros_like(rise[..., :1]), rise[..., : _FINE - 1], step[..., 1:2]], axis=-1
    )
    ramp[..., 1] = _simpson_mean(inside)
    return step, ramp


def _simpson_mean(samples: FloatArray) -> FloatArray:
    """Mean of evenly spaced samples (odd count) by Simpson's rule."""
    weights = np.ones(samples.shape[-1])
    weights[1:-1:2], weights[2:-1:2] = 4.0, 2.0
    return np.asarray(samples @ weights / weights.sum())

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
from pneumachron.core.physics.steam import FloatArray

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


def slab_step_response(
    fourier: FloatArray, biot: FloatArray, roots: FloatArray | None = None
) -> SlabResponse:
    """Share of the initial difference left in a slab after a step around it.

    Parameters
    ----------
    fourier : (S..., n), >= 0, each row ascending: α t / L²
    biot : (S...) h L / k
    roots : (S..., modes) of these Biot numbers, where they are known already

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
        roots = slab_roots(biot) if roots is None else roots
        weights = _weights(roots)
        # rows start late at different columns: work on the block that holds all late entries
        start = int(np.argmax(late.reshape(-1, fourier.shape[-1]).any(axis=0)))
        decay = np.exp(-(roots[..., np.newaxis] ** 2) * fourier[..., np.newaxis, start:])
        series = np.moveaxis(weights @ decay, -2, 0)
        found[..., start:] = np.where(late[..., start:], series, found[..., start:])
    return SlabResponse(*found)


def _weights(roots: FloatArray) -> FloatArray:
    """Weights of the modes in the core, where softening is read, and in the mean. (..., 3, m)"""
    coefficients = slab_coefficients(roots)
    return np.stack(
        [
            coefficients,
            coefficients * np.cos(READING_SHARE.value * roots),
            coefficients * np.sin(roots) / roots,
        ],
        axis=-2,
    )


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


class Blocks:
    """Blocks in a pot, each distinct slab and each distinct block worked out once.

    Of the cases of a plan many share sizes.
    """

    def __init__(
        self,
        half_sizes_m: FloatArray,
        diffusivity_m2_s: FloatArray,
        conductivity_w_mk: FloatArray,
        surface_w_m2k: float,
    ) -> None:
        """Half sizes (S..., 3) [m]; diffusivity and conductivity (S...); film, > 0 [W/(m² K)]."""
        half = np.asarray(half_sizes_m, dtype=float)
        if half.shape[-1] != 3 or half.shape[:-1] != np.shape(diffusivity_m2_s):
            raise ShapeError("three half sizes and one diffusivity for each block")
        if not np.all(half > 0):
            raise OutOfRangeError("half size", float(np.min(half)), 0.0, np.inf, "m")
        self.shape = half.shape[:-1]
        rate = np.asarray(diffusivity_m2_s)[..., np.newaxis] / half**2
        biot = surface_w_m2k * half / np.asarray(conductivity_w_mk)[..., np.newaxis]
        slabs = np.stack([rate.ravel(), biot.ravel()], axis=-1)
        first, slab_of = _distinct(slabs)
        self._rate, self._biot = slabs[first].T
        self._roots = slab_roots(self._biot)
        blocks = slab_of.reshape(-1, 3)
        first, self._block_of = _distinct(blocks)
        self._slabs_of = blocks[first]

    def _product(self, slabs: FloatArray) -> FloatArray:
        """Rise of each distinct block from what is left in its slabs (D, n)."""
        one, two, three = self._slabs_of.T
        return np.asarray(1.0 - slabs[one] * slabs[two] * slabs[three])

    def reading_later(self, times_s: FloatArray) -> FloatArray:
        """About how far it has warmed where softening is read. (S..., n), late times only."""
        decay = np.exp(-(self._roots**2 * self._rate[:, np.newaxis])[..., np.newaxis] * times_s)
        left = (_weights(self._roots)[:, 1:2] @ decay)[:, 0]
        rise = self._product(np.minimum(left, 1.0))[self._block_of]
        return np.asarray(rise.reshape(*self.shape, -1))

    def response(self, step_s: float, count: int) -> "BlockResponse":
        """Responses on the time grid 0, step, ..., (count - 1) step."""
        times = _sample_times_s(step_s, count)
        slabs = slab_step_response(self._rate[:, np.newaxis] * times, self._biot, self._roots)
        rows = [
            row[self._block_of].reshape(*self.shape, -1)
            for left in (slabs.core, slabs.reading, slabs.mean)
            for row in _on_grid(self._product(left))
        ]
        return BlockResponse(step_s, *rows)


def _distinct(rows: NDArray[np.generic]) -> tuple[list[int], NDArray[np.int_]]:
    """Indices of the first of each kind of row, and for each row which kind it is."""
    kinds: dict[bytes, int] = {}
    first: list[int] = []
    kind_of: list[int] = []
    for index, row in enumerate(rows):
        kind = kinds.setdefault(row.tobytes(), len(kinds))
        if kind == len(first):
            first.append(index)
        kind_of.append(kind)
    return first, np.array(kind_of)


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
    blocks = Blocks(half_sizes_m, diffusivity_m2_s, conductivity_w_mk, surface_w_m2k)
    return blocks.response(step_s, count)


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

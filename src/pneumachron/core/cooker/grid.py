"""Reading off rows of a time grid."""

import numpy as np
from numpy.typing import NDArray

from pneumachron.core.physics.steam import FloatArray


def entries_at(rows: FloatArray, column: NDArray[np.int_]) -> FloatArray:
    """Read (V, G, n) at whole columns (V, K): (V, G, K)."""
    cases, kinds = np.ogrid[: rows.shape[0], : rows.shape[1]]
    return np.asarray(rows[cases[..., np.newaxis], kinds[..., np.newaxis], column[:, np.newaxis]])


def interpolate_rows(rows: FloatArray, position: FloatArray) -> FloatArray:
    """Read (V, G, n) at (V, K) fractional columns: (V, G, K)."""
    low = np.minimum(position.astype(int), rows.shape[-1] - 2)
    left, right = entries_at(rows, low), entries_at(rows, low + 1)
    return np.asarray(left + (position - low)[:, np.newaxis] * (right - left))


def interpolate_last(rows: FloatArray, position: FloatArray) -> FloatArray:
    """Read (V, G, K, n) along the last axis at (V, K) fractional columns: (V, G, K)."""
    low = np.minimum(position.astype(int), rows.shape[-1] - 2)[:, np.newaxis]
    v, g, k = np.ogrid[: rows.shape[0], : rows.shape[1], : rows.shape[2]]
    left, right = rows[v, g, k, low], rows[v, g, k, low + 1]
    return np.asarray(left + (position[:, np.newaxis] - low) * (right - left))


def first_zeros(gap: FloatArray, at: FloatArray) -> FloatArray:
    """Where increasing gaps (V, T, n) cross zero on (V, n); the first place when never below."""
    index = np.argmax(gap >= 0.0, axis=-1)
    before = np.maximum(index - 1, 0)
    low = np.take_along_axis(gap, before[..., np.newaxis], axis=-1)[..., 0]
    high = np.take_along_axis(gap, index[..., np.newaxis], axis=-1)[..., 0]
    part = np.where(index > 0, -low / np.where(high > low, high - low, 1.0), 0.0)
    step = at[:, 1:2] - at[:, :1]
    return np.asarray(at[:, :1] + step * (before + part))

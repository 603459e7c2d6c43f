"""An independent solution of a whole cook: finite volumes in space, scipy's BDF in time.

It shares the equations and parameters with `pneumachron.core.cooker.pot_heat`, and nothing of the
method: no eigenfunctions, no Duhamel sum, no implicit step of our own, events by scipy.
"""

from collections.abc import Callable
from dataclasses import dataclass

import numpy as np
from scipy import sparse
from scipy.integrate import solve_ivp

from pneumachron.core import constants as c
from pneumachron.core.catalog.pots import Pot
from pneumachron.core.physics.steam import (
    latent_heat_j_kg,
    saturation_pressure_pa,
    saturation_temp_c,
    vent_flow_kg_s,
)

Array = np.ndarray
GRADING = 0.88
"""Each cell is this much thinner than its neighbour nearer the core."""


@dataclass(frozen=True)
class Setting:
    """One load of alike pieces in a pot."""

    pot: Pot
    half_sizes_m: tuple[float, float, float]
    diffusivity_m2_s: float
    conductivity_w_mk: float
    meat_j_k: float
    start_c: float
    liquid_m3: float
    solids_m3: float
    ambient_pa: float
    gauge_pa: float


@dataclass
class Result:
    """History of a cook; energies in joules from lid on."""

    time_s: Array
    pot_c: Array
    core_c: Array
    reading_c: Array
    """Where softening is read."""
    meat_gain_j: Array
    boil_s: float = 0.0
    pressure_s: float = 0.0
    open_s: float = 0.0


class Ending:
    """An event that ends a stretch; scipy reads `terminal`."""

    terminal = True

    def __init__(self, gap: Callable[[float, Array], float]) -> None:
        self.gap = gap

    def __call__(self, time_s: float, state: Array) -> float:
        return self.gap(time_s, state)


class Block:
    """An eighth of a block in cells that thin out towards the skin; a film on three faces."""

    def __init__(self, setting: Setting, cells: tuple[int, int, int]) -> None:
        self.cells = cells
        axes, films, shares, near, read = [], [], [], [], []
        for half, count in zip(setting.half_sizes_m, cells, strict=True):
            widths = half * GRADING ** np.arange(count) / np.sum(GRADING ** np.arange(count))
            bridge = setting.conductivity_w_mk / (0.5 * (widths[1:] + widths[:-1]))
            film = 1.0 / (
                1.0 / c.SURFACE_COEFFICIENT.value + widths[-1] / 2 / setting.conductivity_w_mk
            )
            per_cell = setting.diffusivity_m2_s / setting.conductivity_w_mk / widths
            main = -np.r_[bridge, film] - np.r_[0.0, bridge]
            axes.append(sparse.diags(per_cell) @ sparse.diags([bridge, main, bridge], [-1, 0, 1]))
            films.append(per_cell * film * np.eye(count)[-1])
            shares.append(widths / half)
            x1, x2 = widths[0] / 2, widths[0] + widths[1] / 2
            near.append(np.r_[x2**2, -(x1**2), np.zeros(count - 2)] / (x2**2 - x1**2))
            # between two middles of cells a profile is straight in the square of the place
            squares = (np.cumsum(widths) - widths / 2) ** 2
            wanted = (c.READING_SHARE.value * half) ** 2
            read.append(np.array([np.interp(wanted, squares, row) for row in np.eye(count)]))
        eye = [sparse.identity(count) for count in cells]
        self.laplacian = (
            sparse.kron(sparse.kron(axes[0], eye[1]), eye[2])
            + sparse.kron(sparse.kron(eye[0], axes[1]), eye[2])
            + sparse.kron(sparse.kron(eye[0], eye[1]), axes[2])
        ).tocsc()
        ones = [np.ones(count) for count in cells]
        self.film = (
            np.einsum("i,j,k->ijk", films[0], ones[1], ones[2])
            + np.einsum("i,j,k->ijk", ones[0], films[1], ones[2])
            + np.einsum("i,j,k->ijk", ones[0], ones[1], films[2])
        ).ravel()
        self.share = np.einsum("i,j,k->ijk", *shares).ravel()
        self.centre = np.einsum("i,j,k->ijk", *near).ravel()
        self.reading = np.einsum("i,j,k->ijk", *read).ravel()

    @property
    def size(self) -> int:
        return int(np.prod(self.cells))


def cook(
    setting: Setting,
    *,
    hold_s: float,
    wait_s: float,
    cells: tuple[int, int, int] = (10, 10, 12),
    rtol: float = 1e-5,
) -> Result:
    """Cook from cold: heat, purge, rise, hold, release, stand for the carry-over."""
    block, pot = Block(setting, cells), setting.pot
    n = block.size
    boil = float(saturation_temp_c(setting.ambient_pa))
    hold = float(saturation_temp_c(setting.ambient_pa + setting.gauge_pa))
    heater_w = c.HEATER_EFFICIENCY.value * pot.heater_w
    own = setting.liquid_m3 * c.WATER_DENSITY.value * c.WATER_SPECIFIC_HEAT.value + pot.vessel_j_k
    steam = _headspace_j_k(setting, hold)
    orifice = _orifice(setting)
    pin = min(boil + c.PIN_DROP_RISE.value, 0.5 * (boil + hold))

    def meat_w(cells_c: Array, pot_c: float) -> float:
        return setting.meat_j_k * float(block.share @ (block.film * (pot_c - cells_c)))

    def system(
        *, capacity: Callable[[float], float], heat_w: float, loss: float, fixed: bool, vent: bool
    ) -> Callable[[float, Array], Array]:
        def rate(_: float, y: Array) -> Array:
            cells_c, pot_c, plate_c = y[:n], y[n], y[n + 1]
            into = pot.plate_w_k * (plate_c - pot_c)
            out = loss * (pot_c - c.KITCHEN_TEMP.value) + meat_w(cells_c, pot_c)
            if vent:
                inside = max(float(saturation_pressure_pa(pot_c)), setting.ambient_pa)
                flow = float(vent_flow_kg_s(inside, pot_c, setting.ambient_pa, orifice))
                out += flow * float(latent_heat_j_kg(pot_c))
            net = into - out
            return np.concatenate(
                [
                    block.laplacian @ cells_c + block.film * pot_c,
                    [
                        0.0 if fixed else net / capacity(pot_c),
                        (heat_w - into) / pot.plate_j_k,
                        net,
                    ],
                ]
            )

        return rate

    pattern = sparse.lil_matrix((n + 3, n + 3))
    pattern[:n, :n] = block.laplacian != 0
    pattern[:n, n] = 1
    pattern[n:, :] = 1
    pattern = pattern.tocsc()
    history: list[tuple[Array, Array]] = []

    def go(
        rate: Callable[[float, Array], Array],
        start_s: float,
        y: Array,
        until: Callable[[float, Array], float] | float,
    ) -> tuple[float, Array]:
        events = None
        end_s = start_s + 4 * 3600.0
        if callable(until):
            events = Ending(until)
        else:
            end_s = until
        if end_s <= start_s:
            return start_s, y
        solution = solve_ivp(
            rate, (start_s, end_s), y, "BDF", events=events, rtol=rtol, atol=1e-3,
            jac_sparsity=pattern, max_step=60.0,
        )  # fmt: skip
        assert solution.success, solution.message
        history.append((solution.t, solution.y))
        return float(solution.t[-1]), solution.y[:, -1]

    tap = c.TAP_WATER_TEMP.value
    y = np.concatenate([np.full(n, setting.start_c), [tap, tap, 0.0]])
    closed, opened = pot.loss_closed_w_k, pot.loss_open_w_k
    warm = system(capacity=lambda _: own, heat_w=heater_w, loss=closed, fixed=False, vent=False)
    boil_s, y = go(warm, 0.0, y, lambda _, y: y[n] - boil)
    y[n], y[n + 2] = boil, 0.0
    purge = system(capacity=lambda _: own, heat_w=heater_w, loss=closed, fixed=True, vent=False)
    t, y = go(purge, boil_s, y, lambda _, y: y[n + 2] - c.PURGE_HEAT.value)
    rise = system(
        capacity=lambda _: own + steam, heat_w=heater_w, loss=closed, fixed=False, vent=False
    )
    pressure_s, y = go(rise, t, y, lambda _, y: y[n] - hold)
    y[n] = hold
    keep = system(capacity=lambda _: own, heat_w=0.0, loss=closed, fixed=True, vent=False)
    end_s, y = go(keep, pressure_s, y, pressure_s + hold_s)
    needed = closed * (hold - c.KITCHEN_TEMP.value) + meat_w(y[:n], hold)
    y[n + 1] = hold + max(needed, 0.0) / pot.plate_w_k

    fall = system(capacity=lambda _: own + steam, heat_w=0.0, loss=closed, fixed=False, vent=False)

    def drop(_: float, y: Array) -> float:
        return float(y[n]) - pin

    if np.isinf(wait_s):
        t, y = go(fall, end_s, y, drop)
    else:
        t, y = go(fall, end_s, y, end_s + wait_s)
    if y[n] > pin + 1e-6:
        blow = system(
            capacity=lambda _: own + steam, heat_w=0.0, loss=closed, fixed=False, vent=True
        )
        t, y = go(blow, t, y, drop)
    open_s = t
    cool = system(capacity=lambda _: own, heat_w=0.0, loss=opened, fixed=False, vent=False)
    go(cool, open_s, y, open_s + c.CARRY_OVER.value)

    time = np.concatenate([t for t, _ in history])
    states = np.concatenate([y for _, y in history], axis=1)
    keep_one = np.r_[True, np.diff(time) > 0]
    time, states = time[keep_one], states[:, keep_one]
    mean = block.share @ states[:n]
    return Result(
        time_s=time,
        pot_c=states[n],
        core_c=block.centre @ states[:n],
        reading_c=block.reading @ states[:n],
        meat_gain_j=setting.meat_j_k * (mean - setting.start_c),
        boil_s=boil_s,
        pressure_s=pressure_s,
        open_s=open_s,
    )


def _headspace_j_k(setting: Setting, hold_c: float) -> float:
    kelvin = hold_c + 273.15
    latent = float(latent_heat_j_kg(hold_c))
    density = (setting.ambient_pa + setting.gauge_pa) / (c.STEAM_GAS_CONSTANT.value * kelvin)
    slope = density * (latent / (c.STEAM_GAS_CONSTANT.value * kelvin**2) - 1 / kelvin)
    empty = max(setting.pot.usable_volume_m3 - setting.solids_m3 - setting.liquid_m3, 0.0)
    return empty * slope * latent


def _orifice(setting: Setting) -> float:
    fill = (setting.solids_m3 + setting.liquid_m3) / setting.pot.usable_volume_m3
    over = max(fill - c.SPRAY_FILL_RATIO.value, 0.0)
    return setting.pot.orifice_m2 * max(
        1.0 - c.SPRAY_THROTTLE.value * over, c.LEAST_VENT_SHARE.value
    )

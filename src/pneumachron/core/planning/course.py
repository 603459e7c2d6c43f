"""How a cook runs: its phases, what becomes of each kind of piece, and the trace that is drawn."""

from dataclasses import dataclass
from typing import Literal, TypeAlias

import numpy as np

from pneumachron.core.cooker.cook_time import Run
from pneumachron.core.cooker.pot_heat import STEP_S
from pneumachron.core.physics.steam import (
    FloatArray,
    ambient_pressure_pa,
    saturation_pressure_pa,
    saturation_temp_c,
)
from pneumachron.core.physics.tenderness import TENDER_STEP, TEXTURES, tenderness_step_of
from pneumachron.core.planning.load import Load, Piece
from pneumachron.core.planning.request import CookRequest, ResolvedRequest
from pneumachron.core.planning.scenarios import (
    RAW_STEP,
    piece_softening_min,
    texture_reached,
)
from pneumachron.core.safety.limits import Safety, safety_of

PhaseKind: TypeAlias = Literal[
    "come_up",
    "hold",
    "natural_release",
    "waiting",
    "venting",
    "keeping_warm",
    "boiling",
    "soaking",
    "standing",
]
MAX_TRACE = 240
"""Samples of a trace at most."""


@dataclass(frozen=True, slots=True)
class Phase:
    """A stretch of the cook; `core_c` is the core of the slowest piece at its end."""

    kind: PhaseKind
    start_s: float
    duration_s: float
    core_c: float


@dataclass(frozen=True, slots=True)
class PieceResult:
    """What becomes of one kind of piece. `tenderness_step` as on the ladder, may exceed it."""

    piece: Piece
    count: int
    tenderness_step: float
    dryness_ratio: float
    """Softening over the most this cut takes without going dry; read where softening is, so that
    half of the meat is past it when this is above 1."""
    safety: Safety

    @property
    def core_at_open_c(self) -> float:
        """Core when the lid comes off."""
        return self.safety.core_at_open_c

    @property
    def dry(self) -> bool:
        """Whether it went past what this cut forgives."""
        return self.dryness_ratio > 1.0


@dataclass(frozen=True, slots=True)
class Trace:
    """The cook over time: `core_c` and `tenderness_step` of the slowest piece. All (n,).

    `softens_from_s` is when it begins to soften; None: it does not.
    """

    time_s: FloatArray
    gauge_pa: FloatArray
    pot_c: FloatArray
    core_c: FloatArray
    tenderness_step: FloatArray
    softens_from_s: float | None


def value_at(run: Run, values: FloatArray, time_s: float) -> float:
    """What a row of values is at a moment of the run."""
    return float(np.interp(time_s, run.time_s, values))


def phases_of(run: Run, setup: ResolvedRequest, slowest: int) -> tuple[Phase, ...]:
    """The cook in stretches that follow on each other without a gap."""
    after = setup.after
    pin_s = run.open_s - after.keep_s
    marks: list[tuple[PhaseKind, float]] = [
        ("come_up", run.pressure_s),
        ("hold", run.hold_end_s),
    ]
    if np.isinf(after.wait_s) or run.vent_s >= pin_s:
        marks.append(("natural_release", pin_s))
    elif after.wait_s > 0:
        marks += [("waiting", run.vent_s), ("venting", pin_s)]
    else:
        marks.append(("venting", pin_s))
    if after.keep_s > 0:
        marks.append(("keeping_warm", run.open_s))
    if after.boil_s > 0:
        marks.append(("boiling", run.open_s + after.boil_s))
    marks.append(("soaking" if setup.release == "soak" else "standing", float(run.time_s[-1])))
    phases, start_s = [], 0.0
    for kind, end_s in marks:
        core = value_at(run, run.core_c[slowest], end_s)
        phases.append(Phase(kind, start_s, end_s - start_s, core))
        start_s = end_s
    return tuple(phases)


def outcomes_of(load: Load, run: Run) -> tuple[PieceResult, ...]:
    """What becomes of each kind of piece."""
    outcomes = []
    for index, (piece, count) in enumerate(load.kinds()):
        core, dose = run.core_c[index], float(run.final_softening_min[index])
        outcomes.append(
            PieceResult(
                piece=piece,
                count=count,
                tenderness_step=texture_reached(piece, dose),
                dryness_ratio=dose / dry_softening_min(piece),
                safety=safety_of(
                    piece.cut, core, value_at(run, core, run.open_s), STEP_S, run.open_s
                ),
            )
        )
    return tuple(outcomes)


def dry_softening_min(piece: Piece) -> float:
    """Softening beyond which this piece is soft but dry."""
    return piece.cut.dry_ceiling_ratio * piece_softening_min(piece, float(len(TEXTURES) - 1))


def warm_up_s(run: Run, slowest: int) -> float:
    """Minutes of the hold that pass before the meat begins to soften."""
    starts_s = softens_from_s(run, slowest)
    if starts_s is None:
        return run.hold_end_s - run.pressure_s
    return min(max(starts_s - run.pressure_s, 0.0), run.hold_end_s - run.pressure_s)


def softens_from_s(run: Run, slowest: int) -> float | None:
    """When the slowest piece begins to soften. [s]"""
    softening = run.softening_min[slowest] > 0.0
    return float(run.time_s[int(np.argmax(softening))]) if softening.any() else None


def after_hold_share(run: Run, slowest: int) -> float:
    """Share of the softening that comes after the hold."""
    total = float(run.final_softening_min[slowest])
    return (
        1.0 - value_at(run, run.softening_min[slowest], run.hold_end_s) / total
        if total > 0
        else 0.0
    )


def trace_of(
    run: Run,
    request: CookRequest,
    slowest: int,
    piece: Piece,
    stands_open_s: tuple[float, float] | None = None,
) -> Trace:
    """What is drawn: pot, core and softening over time, thinned.

    Parameters
    ----------
    stands_open_s : when the lid is off in between and on again, from the first lid on [s]
    """
    stride = -(-len(run.time_s) // MAX_TRACE)
    pick = np.unique(np.append(np.arange(0, len(run.time_s), stride), len(run.time_s) - 1))
    time_s, pot_c = run.time_s[pick], run.pot_c[pick]
    ambient = ambient_pressure_pa(request.altitude_m)
    sealed = (pot_c > float(saturation_temp_c(ambient))) & (time_s <= run.open_s)
    if stands_open_s is not None:
        off_s, on_s = stands_open_s
        sealed &= (time_s <= off_s) | (time_s >= on_s)
    gauge = np.where(sealed, saturation_pressure_pa(pot_c) - ambient, 0.0)
    step = tenderness_step_of(
        piece_softening_min(piece, float(TENDER_STEP)), run.softening_min[slowest, pick]
    )
    return Trace(
        time_s,
        gauge,
        pot_c,
        run.core_c[slowest, pick],
        np.maximum(step, RAW_STEP),
        softens_from_s(run, slowest),
    )

"""Pieces of one pot over what really happened to it: how each kind warmed and softened.

A pot has one pressure; its pieces are not alike. The trace of the pot drives the same conduction
and the same softening as the plan, kind by kind.
"""

from dataclasses import dataclass
from itertools import pairwise

import numpy as np

from pneumachron.core.cooker.pot_heat import duhamel
from pneumachron.core.errors import Param, ShapeError
from pneumachron.core.message import Message
from pneumachron.core.physics.steam import FloatArray
from pneumachron.core.physics.tenderness import (
    TENDER_STEP,
    cumulative_softening_min,
    tenderness_step_of,
)
from pneumachron.core.planning.load import Load, Piece
from pneumachron.core.planning.request import ResolvedRequest
from pneumachron.core.planning.scenarios import (
    RAW_STEP,
    first_cases,
    first_search,
    piece_softening_min,
)

GRID_S = 15.0
"""Spacing of the traces; as a pot is asked."""
LONGEST_S = 24 * 3600.0
NEAR_STEP = 0.05
"""Of a step of the ladder: closer than anybody can tell."""
HARDLY_STEP = -1.0
"""A step below "chewy": nobody would bite it."""
WARM_C = 90.0
"""Where softening becomes quick; what the words compare. Judgement: dose rate one third of that at
100 °C."""


@dataclass(frozen=True, slots=True)
class PieceTrace:
    """One kind of piece. Shapes (n,), on the grid `time_s`."""

    name: Message
    count: int
    time_s: FloatArray
    core_c: FloatArray
    tenderness_step: FloatArray
    """As on the ladder, its membrane counted; `RAW_STEP` before it softens."""


def pieces_along(
    setup: ResolvedRequest, time_s: FloatArray, pot_c: FloatArray
) -> tuple[PieceTrace, ...]:
    """How each kind of a load fares in a pot that was so hot.

    Parameters
    ----------
    setup : what lies in the pot, and how
    time_s, pot_c : (n,) moments from the start of heating, rising, n >= 2, and the temperature of
        liquid and steam then [°C]; what is after 24 h is left out

    Raises
    ------
    ShapeError : fewer than two moments, or they do not rise.

    Source
    ------
    As hold.py: product solutions and Duhamel's theorem; dose as tenderness.py.
    """
    if time_s.shape != pot_c.shape or len(time_s) < 2 or not np.all(np.diff(time_s) > 0):
        raise ShapeError("a trace has two moments or more, and they rise")
    span = min(float(time_s[-1] - time_s[0]), LONGEST_S)
    # what was over within a step (a cook abandoned at once) is told to the end of that step
    count = max(int(span // GRID_S), 1) + 1
    grid = np.asarray(float(time_s[0]) + GRID_S * np.arange(count), dtype=np.float64)
    pot = np.interp(grid, time_s, pot_c)
    _, meat = first_cases(setup)
    response = meat.blocks().response(GRID_S, count)
    jump = (pot[0] - meat.start_c)[..., np.newaxis]
    start = meat.start_c[..., np.newaxis]
    rise = np.diff(pot)[np.newaxis]
    core = (start + jump * response.core_step + duhamel(rise, response.core_ramp))[0]
    read = (start + jump * response.reading_step + duhamel(rise, response.reading_ramp))[0]
    dose = cumulative_softening_min(read, step_s=GRID_S)
    shown = meat.shown_c(core)
    kinds = setup.request.load.kinds()
    names = kind_names(setup.request.load)
    return tuple(
        PieceTrace(names[row], kinds[row][1], grid, shown[row], _steps(kinds[row][0], dose[row]))
        for row in range(len(kinds))
    )


def pieces_as_set(setup: ResolvedRequest, set_min: int) -> tuple[PieceTrace, ...]:
    """The same for a cook that nobody followed, by the minutes that were set.

    Softening after the lid is off is included.
    """
    run = first_search(setup, at_least_s=60.0 * set_min).run(60.0 * set_min)
    return pieces_along(setup, run.time_s, run.pot_c)


@dataclass(frozen=True, slots=True)
class Against:
    """Two kinds of one pot: which came out firmer, and what is said of them.

    The messages name the kinds as `$firm` and `$soft`, which are messages themselves.
    """

    firm: Message
    soft: Message
    said: tuple[Message, ...]


def kind_names(load: Load) -> tuple[Message, ...]:
    """`Back ribs, membrane on`: what tells the kinds of a load apart."""
    kinds = [piece for piece, _ in load.kinds()]
    params = [_name(piece, [other for other in kinds if other.cut == piece.cut]) for piece in kinds]
    return tuple(
        Message("log-kind", {**name, "number": number if params.count(name) > 1 else 0})
        for number, name in enumerate(params, start=1)
    )


def _name(piece: Piece, alike: list[Piece]) -> dict[str, Param]:
    membrane = "unsaid"
    if piece.has_membrane:
        membrane = "on"
    elif any(other.has_membrane for other in alike):
        membrane = "off"
    sized = len({other.thickness_m for other in alike}) > 1
    return {
        "cut": piece.cut.cut_id,
        "membrane": membrane,
        "sized": "yes" if sized else "no",
        # what reads the same is the same name
        "thickness_m": round(piece.thickness_m, 3) if sized else 0.0,
    }


def said_of(traces: tuple[PieceTrace, ...]) -> tuple[Against, ...]:
    """Each other kind against the one that is softer at the end."""
    if len(traces) < 2:
        return ()
    ranked = sorted(
        traces,
        key=lambda trace: (float(trace.tenderness_step[-1]), float(trace.core_c[-1])),
        reverse=True,
    )
    return tuple(
        Against(firm.name, soft.name, (_softness(soft, firm), _warmth(soft, firm)))
        for soft, firm in pairwise(ranked)
    )


def _softness(soft: PieceTrace, firm: PieceTrace) -> Message:
    gap = float(soft.tenderness_step[-1] - firm.tenderness_step[-1])
    if firm.tenderness_step[-1] < HARDLY_STEP:
        return Message("log-hardly")
    if gap < NEAR_STEP:
        return Message("log-as_soft")
    return Message("log-firmer", {"steps": 1.0 if abs(gap - 1.0) < NEAR_STEP else round(gap, 1)})


def _warmth(soft: PieceTrace, firm: PieceTrace) -> Message:
    warm = [_reaches_s(trace) for trace in (soft, firm)]
    if warm[0] is None or warm[1] is None:
        ends = {"firm_c": float(firm.core_c[-1]), "soft_c": float(soft.core_c[-1])}
        return Message("log-ends", ends)
    late = round((warm[1] - warm[0]) / 60.0)
    if late == 0:
        return Message("log-warm_together", {"warm_c": WARM_C})
    code = "log-warm_later" if late > 0 else "log-warm_sooner"
    return Message(code, {"warm_c": WARM_C, "late_min": abs(late)})


def _reaches_s(trace: PieceTrace) -> float | None:
    warm = trace.core_c >= WARM_C
    return float(trace.time_s[int(np.argmax(warm))]) if bool(warm.any()) else None


def _steps(piece: Piece, softening_min: FloatArray) -> FloatArray:
    need = piece_softening_min(piece, float(TENDER_STEP))
    return np.maximum(tenderness_step_of(need, softening_min), RAW_STEP)

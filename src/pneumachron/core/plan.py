"""A plan: what to set for a load in a pot, and why.

`make_plan` is the whole job of the core: stand the load in the pot, pour the liquid, find the
hold that gives the texture (with its range), cook it once on paper, and say in words what comes
of it.
"""

from dataclasses import dataclass
from typing import Literal, TypeAlias, get_args

import numpy as np

from pneumachron.core.advice import Caution, Facts, Reason, cautions_for, reasons_for
from pneumachron.core.cuts import ReleaseMethod, School
from pneumachron.core.errors import WishError
from pneumachron.core.hold import MeatCases, Run, Search
from pneumachron.core.liquid import Filling, Standing, fill, stand
from pneumachron.core.load import Load, Piece
from pneumachron.core.pot_heat import STEP_S, PotCases
from pneumachron.core.pots import Pot
from pneumachron.core.steam import (
    ALTITUDE_RANGE_M,
    FloatArray,
    ambient_pressure_pa,
    saturation_pressure_pa,
    saturation_temp_c,
)
from pneumachron.core.tenderness import TENDER_STEP, texture_dose_min, texture_step_of

Level: TypeAlias = Literal["high", "low"]
LEVELS: tuple[Level, ...] = get_args(Level)
PhaseKind: TypeAlias = Literal[
    "come_up", "hold", "natural_release", "waiting", "venting", "standing"
]
USUAL_WAIT_S = 600.0
"""How long a timed release waits unless the cook says otherwise. Common practice."""
WAIT_RANGE_S = (60.0, 3600.0)

THICKER_M = 0.005
"""Half a centimetre: what one more reading of the ruler is worth."""
RAW_STEP = -4.0
"""As far below "chewy" as "falls" is above it: not softened at all."""
MAX_TRACE = 240
"""Samples of a trace at most."""


@dataclass(frozen=True, slots=True)
class Wish:
    """What the cook wants. `liquid_m3` overrules the school's amount."""

    load: Load
    pot: Pot
    texture_step: float
    school: School
    release: ReleaseMethod
    level: Level
    altitude_m: float
    liquid_m3: float | None = None
    wait_s: float = USUAL_WAIT_S
    """Only of a timed release: how long it stands before it is vented."""

    @property
    def vent_after_s(self) -> float:
        """How long the pot stands after the hold before it is vented."""
        return {"natural": float("inf"), "timed": self.wait_s, "quick": 0.0}[self.release]


@dataclass(frozen=True, slots=True)
class Phase:
    """A stretch of the cook; `core_c` is the core of the slowest piece at its end."""

    kind: PhaseKind
    start_s: float
    duration_s: float
    core_c: float


@dataclass(frozen=True, slots=True)
class Outcome:
    """What becomes of one kind of piece. `texture_step` as on the ladder, may exceed it."""

    piece: Piece
    count: int
    texture_step: float
    core_at_open_c: float
    above_safe_s: float


@dataclass(frozen=True, slots=True)
class Trace:
    """The cook over time: `core_c` and `texture_step` of the slowest piece. All (n,)."""

    time_s: FloatArray
    gauge_pa: FloatArray
    pot_c: FloatArray
    core_c: FloatArray
    texture_step: FloatArray


@dataclass(frozen=True, slots=True)
class Plan:
    """What to set, what happens, and why."""

    hold_min: int
    hold_exact_min: float
    hold_range_min: tuple[int, int]
    gauge_pa: float
    hold_c: float
    boil_c: float
    standing: Standing
    filling: Filling
    phases: tuple[Phase, ...]
    lid_on_to_open_s: float
    outcomes: tuple[Outcome, ...]
    trace: Trace
    reasons: tuple[Reason, ...]
    cautions: tuple[Caution, ...]


def make_plan(wish: Wish) -> Plan:
    """Work out a plan.

    Raises
    ------
    WishError : the wish cannot be met; says at which field and what to do.
    """
    low, high = ALTITUDE_RANGE_M
    if not low <= wish.altitude_m <= high:
        raise WishError(
            "altitude",
            "altitude",
            f"{wish.altitude_m:.0f} m is outside what this was checked for.",
            f"Give the altitude of the kitchen, up to {high:.0f} m.",
        )
    shortest, longest = WAIT_RANGE_S
    if not shortest <= wish.wait_s <= longest:
        raise WishError(
            "wait",
            "wait",
            f"A wait of {wish.wait_s / 60:.0f} min before venting is outside what this was "
            "checked for.",
            f"Give {shortest / 60:.0f} to {longest / 60:.0f} min.",
        )
    standing = stand(wish.load, wish.pot, wish.school)
    filling = fill(wish.load, wish.pot, wish.school, standing, wish.liquid_m3)
    search = Search(*cases_of(wish, filling), wait_s=wish.vent_after_s)
    holds_min = search.holds_s() / 60.0
    hold_min = round(holds_min[0])
    run = search.run(60.0 * hold_min)
    slowest = int(np.argmin(run.final_dose_min / search.meat.dose_min[0]))
    phases = _phases(run, wish.release, slowest)
    outcomes = _outcomes(wish.load, run)
    facts = Facts(
        load=wish.load,
        pot=wish.pot,
        standing=standing,
        filling=filling,
        school=wish.school,
        release=wish.release,
        texture_step=wish.texture_step,
        altitude_m=wish.altitude_m,
        hold_min=float(holds_min[0]),
        thicker_hold_min=float(holds_min[3]),
        sea_level_hold_min=float(holds_min[4]),
        sizes_hold_min=(float(holds_min[1]), float(holds_min[2])),
        warm_up_s=_warm_up_s(run, slowest),
        pressure_s=run.pressure_s,
        after_hold_share=_after_hold_share(run, slowest),
        core_at_open_c=tuple(outcome.core_at_open_c for outcome in outcomes),
        above_safe_s=tuple(outcome.above_safe_s for outcome in outcomes),
        vent_s=run.open_s - run.vent_s if np.isfinite(run.vent_s) else 0.0,
        texture_steps=tuple(outcome.texture_step for outcome in outcomes),
        slowest=slowest,
    )
    return Plan(
        hold_min=hold_min,
        hold_exact_min=float(holds_min[0]),
        hold_range_min=(
            min(round(holds_min[1]), hold_min),
            max(round(holds_min[2]), hold_min),
        ),
        gauge_pa=float(search.cases.gauge_pa[0]),
        hold_c=float(search.cases.hold_c[0]),
        boil_c=float(search.cases.boil_c[0]),
        standing=standing,
        filling=filling,
        phases=phases,
        lid_on_to_open_s=run.open_s,
        outcomes=outcomes,
        trace=_trace(run, wish, slowest, outcomes[slowest].piece),
        reasons=reasons_for(facts),
        cautions=cautions_for(facts),
    )


def cases_of(wish: Wish, filling: Filling) -> tuple[PotCases, MeatCases]:
    """Five cases: the wish, smaller, larger, half a centimetre thicker, at sea level."""
    kinds = wish.load.kinds()
    half = np.array([piece.half_sizes_m for piece, _ in kinds])
    thicker = half + np.array(
        [[0.0, 0.0, piece.cut.thickness_factor * THICKER_M / 2] for piece, _ in kinds]
    )
    spread = np.array([[piece.size_spread_ratio] for piece, _ in kinds])
    sizes = np.stack([half, half * (1 - spread), half * (1 + spread), thicker, half])
    ambient = np.full(len(sizes), ambient_pressure_pa(wish.altitude_m))
    ambient[-1] = ambient_pressure_pa(0.0)
    one = np.ones(len(sizes))

    def row(values: list[float]) -> FloatArray:
        return np.tile(np.array(values), (len(sizes), 1))

    meat = MeatCases(
        half_sizes_m=sizes,
        diffusivity_m2_s=row([piece.cut.meat.diffusivity_m2_s for piece, _ in kinds]),
        conductivity_w_mk=row([piece.cut.meat.conductivity_w_mk for piece, _ in kinds]),
        heat_capacity_j_k=row([count * piece.heat_capacity_j_k for piece, count in kinds]),
        start_c=row([piece.start_temp_c for piece, _ in kinds]),
        dose_min=row([_dose_min(piece, wish.texture_step) for piece, _ in kinds]),
    )
    pot = wish.pot
    gauge = pot.gauge_high_pa if wish.level == "high" else pot.gauge_low_pa
    cases = PotCases(
        pot=pot,
        ambient_pa=ambient,
        gauge_pa=gauge * one,
        liquid_m3=filling.liquid_m3 * one,
        solids_m3=filling.solids_m3 * one,
    )
    return cases, meat


def _dose_min(piece: Piece, texture_step: float) -> float:
    return texture_dose_min(
        piece.cut.tender_dose_min, texture_step, has_membrane=piece.has_membrane
    )


def texture_reached(piece: Piece, dose_min: float) -> float:
    """Where a dose takes a piece on its ladder, its membrane counted; `RAW_STEP` at the least."""
    step = texture_step_of(_dose_min(piece, float(TENDER_STEP)), np.array(dose_min))
    return max(float(step), RAW_STEP)


def _at(run: Run, values: FloatArray, time_s: float) -> float:
    return float(np.interp(time_s, run.time_s, values))


def _phases(run: Run, release: ReleaseMethod, slowest: int) -> tuple[Phase, ...]:
    """The cook in stretches that follow on each other without a gap."""
    marks: list[tuple[PhaseKind, float]] = [
        ("come_up", run.pressure_s),
        ("hold", run.hold_end_s),
    ]
    if release == "natural" or run.vent_s >= run.open_s:
        marks.append(("natural_release", run.open_s))
    elif release == "timed":
        marks += [("waiting", run.vent_s), ("venting", run.open_s)]
    else:
        marks.append(("venting", run.open_s))
    marks.append(("standing", float(run.time_s[-1])))
    phases, start_s = [], 0.0
    for kind, end_s in marks:
        core = _at(run, run.core_c[slowest], end_s)
        phases.append(Phase(kind, start_s, end_s - start_s, core))
        start_s = end_s
    return tuple(phases)


def _outcomes(load: Load, run: Run) -> tuple[Outcome, ...]:
    outcomes = []
    for index, (piece, count) in enumerate(load.kinds()):
        core = run.core_c[index]
        outcomes.append(
            Outcome(
                piece=piece,
                count=count,
                texture_step=texture_reached(piece, float(run.final_dose_min[index])),
                core_at_open_c=_at(run, core, run.open_s),
                above_safe_s=STEP_S * int(np.count_nonzero(core >= piece.cut.safe_core_c)),
            )
        )
    return tuple(outcomes)


def _warm_up_s(run: Run, slowest: int) -> float:
    """Minutes of the hold that pass before the core begins to soften."""
    softening = run.dose_min[slowest] > 0.0
    if not softening.any():
        return run.hold_end_s - run.pressure_s
    starts_s = float(run.time_s[int(np.argmax(softening))])
    return min(max(starts_s - run.pressure_s, 0.0), run.hold_end_s - run.pressure_s)


def _after_hold_share(run: Run, slowest: int) -> float:
    """Share of the softening that comes after the hold."""
    total = float(run.final_dose_min[slowest])
    return 1.0 - _at(run, run.dose_min[slowest], run.hold_end_s) / total if total > 0 else 0.0


def _trace(run: Run, wish: Wish, slowest: int, piece: Piece) -> Trace:
    stride = -(-len(run.time_s) // MAX_TRACE)
    pick = np.unique(np.append(np.arange(0, len(run.time_s), stride), len(run.time_s) - 1))
    time_s, pot_c = run.time_s[pick], run.pot_c[pick]
    ambient = ambient_pressure_pa(wish.altitude_m)
    sealed = (pot_c > float(saturation_temp_c(ambient))) & (time_s <= run.open_s)
    gauge = np.where(sealed, saturation_pressure_pa(pot_c) - ambient, 0.0)
    step = texture_step_of(_dose_min(piece, float(TENDER_STEP)), run.dose_min[slowest, pick])
    return Trace(time_s, gauge, pot_c, run.core_c[slowest, pick], np.maximum(step, RAW_STEP))

"""A plan: what to set for a load in a pot, and why.

`make_plan` is the whole job of the core: stand the load in the pot, pour the liquid, find the
hold that gives the texture (with its range), cook it once on paper, and say in words what comes
of it.
"""

from dataclasses import dataclass, replace
from typing import Literal, TypeAlias

import numpy as np

from pneumachron.core.batches import SWAP, one_by_one, whole_load
from pneumachron.core.cases import (
    NOMINAL,
    RAW_STEP,
    SEA_LEVEL,
    THICKER,
    THICKEST,
    THINNEST,
    WEAKEST,
    cases_of,
    frozen_extra_min,
    piece_dose_min,
    texture_reached,
)
from pneumachron.core.cautions import Caution, cautions_for
from pneumachron.core.constants import LADDER_STEP, PURGE_HEAT
from pneumachron.core.early_out import NO_NEED_MIN, OPEN_S, TwoCycles, two_cycles
from pneumachron.core.expect import ROOM_RATIO, Expectation, check_own, expectation
from pneumachron.core.facts import Facts
from pneumachron.core.hold import MeatCases, Run, Search
from pneumachron.core.liquid import Ending, ending
from pneumachron.core.load import Load, Piece
from pneumachron.core.pot_heat import STEP_S
from pneumachron.core.poultry import floor_min
from pneumachron.core.racks import Rack
from pneumachron.core.reasons import Reason, reasons_for
from pneumachron.core.release import release_kinds
from pneumachron.core.safety import Safety, safety_of
from pneumachron.core.serving import Serving, serving
from pneumachron.core.spread import (
    HoldRange,
    Kitchens,
    altitude_rule_min,
    hold_range,
    kitchens_of,
    model_sd_ln,
    rise_ratio,
)
from pneumachron.core.standing import Arrangement
from pneumachron.core.steam import (
    FloatArray,
    ambient_pressure_pa,
    latent_heat_j_kg,
    saturation_pressure_pa,
    saturation_temp_c,
)
from pneumachron.core.tenderness import TENDER_STEP, TEXTURES, texture_step_of
from pneumachron.core.wish import Setup, Wish, set_up

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
PULLED_STEP = 3.5
"""From here on a shoulder or a point is pulled rather than sliced."""


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
    """The cook over time: `core_c` and `texture_step` of the slowest piece. All (n,).

    `softens_from_s` is when it begins to soften; None: it does not.
    """

    time_s: FloatArray
    gauge_pa: FloatArray
    pot_c: FloatArray
    core_c: FloatArray
    texture_step: FloatArray
    softens_from_s: float | None


@dataclass(frozen=True, slots=True)
class Batch:
    """What is cooked after the first load, in the same cooker. Times from lid on [s]."""

    load: Load
    hold_min: int
    lid_on_to_open_s: float
    done_s: float
    rack: Rack
    arrangement: Arrangement
    liquid_m3: float
    phases: tuple[Phase, ...]
    goes_on: bool = False
    """No new meat: what was not done with the first load is cooked on."""


@dataclass(frozen=True, slots=True)
class Plan:
    """What to set, what happens, and why."""

    setup: Setup
    hold_min: int
    hold_exact_min: float
    range: HoldRange
    gauge_pa: float
    hold_c: float
    boil_c: float
    phases: tuple[Phase, ...]
    lid_on_to_open_s: float
    done_s: float
    """From lid on until the meat comes out of the pot."""
    outcomes: tuple[Outcome, ...]
    ending: Ending
    serving: Serving
    trace: Trace
    reasons: tuple[Reason, ...]
    cautions: tuple[Caution, ...]
    expectation: Expectation | None = None
    """What comes of the cook's own minutes, when these are not the engine's."""
    later: tuple[Batch, ...] = ()

    @property
    def all_done_s(self) -> float:
        """From the first lid on until the meat of the last batch comes out of the pot."""
        return self.done_s + sum(
            (OPEN_S if batch.goes_on else SWAP.value) + batch.done_s for batch in self.later
        )

    @property
    def hold_range_min(self) -> tuple[int, int]:
        """From and to, as a panel counts; a time of the cook's own is set as it is."""
        if self.expectation is not None:
            return self.hold_min, self.hold_min
        low, high = round(self.range.low_min), round(self.range.high_min)
        return min(low, self.hold_min), max(high, self.hold_min)


def make_plan(wish: Wish) -> Plan:
    """Work out a plan.

    Raises
    ------
    WishError : the wish cannot be met; says at which field and what to do.
    """
    if wish.thin_first and wish.own_hold_min is None and not wish.later:
        found = two_cycles(wish)
        if found is not None:
            return _in_two_cycles(wish, found)
    return _plan(wish)


def _in_two_cycles(wish: Wish, cycles: TwoCycles) -> Plan:
    """The first cycle as a plan of what comes out then; what stays is its later batch."""
    early, last, restart_s = cycles.early, cycles.last, cycles.restart_s
    quick = replace(wish, thin_first=False, release="quick", wait_s=None, stay_s=None, boil_s=0.0)
    plan = _plan(quick, cycles)
    slowest = int(np.argmin([early.texture_steps[index] for index in early.stays]))
    after = cycles.setup.after
    phases = _phases(last, cycles.setup, slowest)
    later = Batch(
        load=cycles.stays,
        hold_min=early.second_min,
        lid_on_to_open_s=last.open_s - restart_s,
        done_s=last.open_s - restart_s + after.boil_s + cycles.setup.soak_s,
        rack=plan.setup.standing.rack,
        arrangement=plan.setup.standing.arrangement,
        liquid_m3=plan.setup.filling.liquid_m3,
        phases=(
            replace(phases[0], duration_s=phases[0].duration_s - restart_s),
            *(replace(phase, start_s=phase.start_s - restart_s) for phase in phases[1:]),
        ),
        goes_on=True,
    )
    return replace(plan, setup=replace(plan.setup, wish=wish), later=(later,))


def _plan(wish: Wish, cycles: TwoCycles | None = None) -> Plan:
    """A plan of one load; with `cycles`, of the first of two."""
    setup = set_up(wish)
    own = wish.own_hold_min
    floor = floor_min(setup)
    # room for what is set in any case: what is safe, and the cook's own time
    room_s = 60.0 * max(float(floor), ROOM_RATIO * (own or 0))
    cases, meat = cases_of(setup)
    if cycles is not None:
        meat = _needing(meat, cycles)
    search = Search(cases, meat, setup.after, at_least_s=room_s)
    need = search.meat.dose_min[..., np.newaxis] * np.array([1.0, LADDER_STEP.value])
    extra_min = frozen_extra_min(wish.load)
    holds_min = search.solve(need) / 60.0 + extra_min
    holds_min = np.maximum(holds_min, float(floor))
    hold_exact = float(holds_min[NOMINAL, 0])
    hold_min = usual_min = wish.pot.settable_min(hold_exact)
    if own is not None:
        check_own(own, floor)
        hold_min = own
    if cycles is not None:
        hold_min = cycles.early.first_min
    run = search.run(60.0 * hold_min)
    slowest = slowest_kind(search, run)
    outcomes = _outcomes(wish.load, run)
    if cycles is not None:
        outcomes = _with_later(outcomes, cycles)
    hold_c = float(search.cases.hold_c[0])
    spread = _spread(wish, holds_min, hold_c).at_least(floor)
    piece = wish.load.kinds()[slowest][0]
    end = ending(
        wish.load,
        wish.pot,
        setup.standing,
        setup.filling,
        steam_kg=steam_kg(search, run),
        extra_ratio=release_kinds()[setup.release].juice_extra_ratio,
    )
    facts = Facts(
        setup=setup,
        hold_min=hold_exact,
        thicker_hold_min=float(holds_min[THICKER, 0]),
        sea_level_hold_min=float(holds_min[SEA_LEVEL, 0]),
        softer_hold_min=float(holds_min[NOMINAL, 1]),
        rule_hold_min=altitude_rule_min(float(holds_min[SEA_LEVEL, 0]), wish.altitude_m),
        range=spread,
        ending=end,
        frozen_extra_min=extra_min,
        floor_min=floor,
        warm_up_s=_warm_up_s(run, slowest),
        after_hold_share=_after_hold_share(run, slowest),
        texture_steps=tuple(outcome.texture_step for outcome in outcomes),
        dryness_ratios=tuple(outcome.dryness_ratio for outcome in outcomes),
        safeties=tuple(outcome.safety for outcome in outcomes),
        slowest=slowest,
    )
    return Plan(
        setup=setup,
        hold_min=hold_min,
        hold_exact_min=hold_exact,
        range=spread,
        gauge_pa=wish.pressure_pa,
        hold_c=hold_c,
        boil_c=float(search.cases.boil_c[0]),
        phases=_phases(run, setup, slowest),
        lid_on_to_open_s=run.open_s,
        done_s=run.open_s + setup.after.boil_s + setup.soak_s,
        outcomes=outcomes,
        ending=end,
        serving=serving(whole_load(wish), pulled=is_pulled(wish)),
        trace=_trace(run, wish, slowest, piece),
        reasons=reasons_for(facts),
        cautions=cautions_for(facts),
        expectation=None
        if own is None
        else expectation(search, own, usual_min, spread, kind=(slowest, piece)),
        later=_later(wish),
    )


def _needing(meat: MeatCases, cycles: TwoCycles) -> MeatCases:
    """Only what comes out of the first cycle sets its time."""
    need = meat.dose_min.copy()
    need[:, list(cycles.early.stays)] = NO_NEED_MIN
    return replace(meat, dose_min=need)


def _with_later(outcomes: tuple[Outcome, ...], cycles: TwoCycles) -> tuple[Outcome, ...]:
    """What stays is as it comes out of the second cycle."""
    later = dict(zip(cycles.early.stays, _outcomes(cycles.stays, cycles.last), strict=True))
    return tuple(later.get(index, outcome) for index, outcome in enumerate(outcomes))


def _later(wish: Wish) -> tuple[Batch, ...]:
    """The batches after the first; alike ones are worked out once."""
    found: list[Batch] = []
    if not wish.later:
        return ()
    for batch in one_by_one(wish)[1:]:
        alike = next((item for item in found if item.load == batch.load), None)
        if alike is None:
            plan = make_plan(batch)
            standing = plan.setup.standing
            alike = Batch(
                load=batch.load,
                hold_min=plan.hold_min,
                lid_on_to_open_s=plan.lid_on_to_open_s,
                done_s=plan.done_s,
                rack=standing.rack,
                arrangement=standing.arrangement,
                liquid_m3=plan.setup.filling.liquid_m3,
                phases=plan.phases,
            )
        found.append(alike)
    return tuple(found)


def is_pulled(wish: Wish) -> bool:
    """Whether the meat is pulled apart rather than sliced or served on the bone."""
    pulls = wish.load.pieces[0].cut.pulls
    return pulls and wish.texture_step >= PULLED_STEP


def slowest_kind(search: Search, run: Run) -> int:
    """Index of the kind that gets least of what it needs."""
    return int(np.argmin(run.final_dose_min / search.meat.dose_min[0]))


def steam_kg(search: Search, run: Run) -> float:
    """Steam that left: with the air, and through the valve."""
    hold_c = float(search.cases.hold_c[0])
    return (PURGE_HEAT.value + run.vented_j) / float(latent_heat_j_kg(hold_c))


def _spread(wish: Wish, holds_min: FloatArray, hold_c: float) -> HoldRange:
    pieces = wish.load.pieces
    exact, softer = (float(hold) for hold in holds_min[NOMINAL])
    unsure = max(model_sd_ln(piece.cut, wish.texture_step, hold_c) for piece in pieces)
    return hold_range(
        exact,
        sizes_min=(float(holds_min[THINNEST, 0]), float(holds_min[THICKEST, 0])),
        weaker_min=float(holds_min[WEAKEST, 0]),
        guessed=any(piece.thickness_guessed for piece in pieces),
        model_ln=unsure * rise_ratio(exact, softer),
        kitchens=max((kitchens_of(piece.cut, exact, softer) for piece in pieces), key=_sd),
        rule_min=altitude_rule_min(float(holds_min[SEA_LEVEL, 0]), wish.altitude_m),
    )


def _sd(kitchens: Kitchens) -> float:
    return kitchens.sd_ln


def _at(run: Run, values: FloatArray, time_s: float) -> float:
    return float(np.interp(time_s, run.time_s, values))


def _phases(run: Run, setup: Setup, slowest: int) -> tuple[Phase, ...]:
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
        core = _at(run, run.core_c[slowest], end_s)
        phases.append(Phase(kind, start_s, end_s - start_s, core))
        start_s = end_s
    return tuple(phases)


def _outcomes(load: Load, run: Run) -> tuple[Outcome, ...]:
    outcomes = []
    for index, (piece, count) in enumerate(load.kinds()):
        core, dose = run.core_c[index], float(run.final_dose_min[index])
        outcomes.append(
            Outcome(
                piece=piece,
                count=count,
                texture_step=texture_reached(piece, dose),
                dryness_ratio=dose / dry_dose_min(piece),
                safety=safety_of(piece.cut, core, _at(run, core, run.open_s), STEP_S, run.open_s),
            )
        )
    return tuple(outcomes)


def dry_dose_min(piece: Piece) -> float:
    """Softening beyond which this piece is soft but dry."""
    return piece.cut.dry_ceiling_ratio * piece_dose_min(piece, float(len(TEXTURES) - 1))


def _warm_up_s(run: Run, slowest: int) -> float:
    """Minutes of the hold that pass before the meat begins to soften."""
    starts_s = _softens_from_s(run, slowest)
    if starts_s is None:
        return run.hold_end_s - run.pressure_s
    return min(max(starts_s - run.pressure_s, 0.0), run.hold_end_s - run.pressure_s)


def _softens_from_s(run: Run, slowest: int) -> float | None:
    softening = run.dose_min[slowest] > 0.0
    return float(run.time_s[int(np.argmax(softening))]) if softening.any() else None


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
    step = texture_step_of(piece_dose_min(piece, float(TENDER_STEP)), run.dose_min[slowest, pick])
    return Trace(
        time_s,
        gauge,
        pot_c,
        run.core_c[slowest, pick],
        np.maximum(step, RAW_STEP),
        _softens_from_s(run, slowest),
    )

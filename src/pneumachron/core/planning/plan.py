"""A plan: what to set for a load in a pot, and why.

`make_plan` is the whole job of the core: stand the load in the pot, pour the liquid, find the
hold that gives the texture (with its range), cook it once on paper, and say in words what comes
of it.
"""

from dataclasses import dataclass, replace

import numpy as np

from pneumachron.core.catalog.racks import Rack
from pneumachron.core.constants import LADDER_STEP, PURGE_HEAT
from pneumachron.core.cooker.cook_time import Run, Search
from pneumachron.core.cooker.meat_cases import MeatCases
from pneumachron.core.physics.steam import (
    FloatArray,
    latent_heat_j_kg,
)
from pneumachron.core.planning.batches import SWAP, one_by_one, whole_load
from pneumachron.core.planning.cautions import Caution, cautions_for
from pneumachron.core.planning.course import (
    Phase,
    PieceResult,
    Trace,
    after_hold_share,
    outcomes_of,
    phases_of,
    trace_of,
    warm_up_s,
)
from pneumachron.core.planning.findings import PlanFindings
from pneumachron.core.planning.likely_range import (
    HoldRange,
    Kitchens,
    altitude_rule_min,
    hold_range,
    kitchens_of,
    model_sd_ln,
    rise_ratio,
)
from pneumachron.core.planning.liquid import Ending, ending
from pneumachron.core.planning.load import Load
from pneumachron.core.planning.lying import ANYHOW, ArrangementKind
from pneumachron.core.planning.own_minutes import ROOM_RATIO, Expectation, check_own, expectation
from pneumachron.core.planning.poultry import floor_min
from pneumachron.core.planning.reasons import Reason, reasons_for
from pneumachron.core.planning.releases import release_kinds
from pneumachron.core.planning.request import CookRequest, ResolvedRequest, resolve
from pneumachron.core.planning.scenarios import (
    NOMINAL,
    SEA_LEVEL,
    THICKER,
    THICKEST,
    THINNEST,
    WEAKEST,
    cases_of,
    frozen_extra_min,
)
from pneumachron.core.planning.serving import Serving, serving
from pneumachron.core.planning.two_cycles import NO_NEED_MIN, OPEN_S, TwoCycles, two_cycles

PULLED_STEP = 3.5
"""From here on a shoulder or a point is pulled rather than sliced."""


@dataclass(frozen=True, slots=True)
class Batch:
    """What is cooked after the first load, in the same cooker. Times from lid on [s]."""

    load: Load
    hold_min: int
    lid_on_to_open_s: float
    done_s: float
    rack: Rack
    arrangement: ArrangementKind
    liquid_m3: float
    phases: tuple[Phase, ...]
    hold_range_min: tuple[int, int]
    """Shortest and longest likely."""
    goes_on: bool = False
    """No new meat: what was not done with the first load is cooked on."""


@dataclass(frozen=True, slots=True)
class Plan:
    """What to set, what happens, and why."""

    setup: ResolvedRequest
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
    outcomes: tuple[PieceResult, ...]
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
    def phases_through(self) -> tuple[Phase, ...]:
        """All phases of the trace: of both runs, where what is not done is cooked on."""
        on = self.later[0] if self.later and self.later[0].goes_on else None
        if on is None:
            return self.phases
        restart_s = self.lid_on_to_open_s + OPEN_S
        first = tuple(
            replace(phase, duration_s=restart_s - phase.start_s)
            if phase.kind == "standing"
            else phase
            for phase in self.phases
        )
        then = (replace(phase, start_s=phase.start_s + restart_s) for phase in on.phases)
        return (*first, *then)

    @property
    def hold_range_min(self) -> tuple[int, int]:
        """From and to, as a panel counts; a time of the cook's own is set as it is."""
        if self.expectation is not None:
            return self.hold_min, self.hold_min
        low, high = round(self.range.low_min), round(self.range.high_min)
        return min(low, self.hold_min), max(high, self.hold_min)


def make_plan(request: CookRequest) -> Plan:
    """Work out a plan.

    Raises
    ------
    RequestError : the request cannot be met; says at which field and what to do.
    """
    if request.thin_first and request.own_hold_min is None and not request.later:
        found = two_cycles(request)
        if found is not None:
            return _in_two_cycles(request, found)
    return _plan(request)


def _in_two_cycles(request: CookRequest, cycles: TwoCycles) -> Plan:
    """The first cycle as a plan of what comes out then; what stays is its later batch."""
    early, last, restart_s = cycles.early, cycles.last, cycles.restart_s
    quick = replace(
        request, thin_first=False, release="quick", wait_s=None, stay_s=None, boil_s=0.0
    )
    plan = _plan(quick, cycles)
    slowest = int(np.argmin([early.tenderness_steps[index] for index in early.stays]))
    after = cycles.setup.after
    phases = phases_of(last, cycles.setup, slowest)
    later = Batch(
        load=cycles.stays,
        hold_min=early.second_min,
        lid_on_to_open_s=last.open_s - restart_s,
        done_s=last.open_s - restart_s + after.boil_s + cycles.setup.soak_s,
        rack=plan.setup.arrangement.rack,
        arrangement=plan.setup.arrangement.kind,
        liquid_m3=plan.setup.filling.liquid_m3,
        phases=(
            replace(phases[0], duration_s=phases[0].duration_s - restart_s),
            *(replace(phase, start_s=phase.start_s - restart_s) for phase in phases[1:]),
        ),
        hold_range_min=_range_of_second(request, cycles),
        goes_on=True,
    )
    piece = cycles.stays.kinds()[slowest][0]
    whole = trace_of(last, request, slowest, piece, (cycles.first.open_s, restart_s))
    return replace(plan, setup=replace(plan.setup, request=request), later=(later,), trace=whole)


def _range_of_second(request: CookRequest, cycles: TwoCycles) -> tuple[int, int]:
    """What stays may need less or more than is likely: all of that comes in the second run.

    So it is as many minutes either way as if it was cooked alone.
    """
    second_min = cycles.early.second_min
    alone = _plan(
        replace(request, load=cycles.stays, thin_first=False, lying=ANYHOW, liquid_m3=None)
    )
    low_min, high_min = alone.hold_range_min
    return (
        max(second_min - (alone.hold_min - low_min), 0),
        second_min + high_min - alone.hold_min,
    )


def _plan(request: CookRequest, cycles: TwoCycles | None = None) -> Plan:
    """A plan of one load; with `cycles`, of the first of two."""
    setup = resolve(request)
    own = request.own_hold_min
    floor = floor_min(setup)
    # room for what is set in any case: what is safe, and the cook's own time
    room_s = 60.0 * max(float(floor), ROOM_RATIO * (own or 0))
    cases, meat = cases_of(setup)
    if cycles is not None:
        meat = _needing(meat, cycles)
    search = Search(cases, meat, setup.after, at_least_s=room_s)
    need = search.meat.softening_min[..., np.newaxis] * np.array([1.0, LADDER_STEP.value])
    extra_min = frozen_extra_min(request.load)
    holds_min = search.solve(need) / 60.0 + extra_min
    holds_min = np.maximum(holds_min, float(floor))
    hold_exact = float(holds_min[NOMINAL, 0])
    hold_min = usual_min = request.pot.settable_min(hold_exact)
    if own is not None:
        check_own(own, floor)
        hold_min = own
    if cycles is not None:
        hold_min = cycles.early.first_min
    run = search.run(60.0 * hold_min)
    slowest = slowest_kind(search, run)
    outcomes = outcomes_of(request.load, run)
    if cycles is not None:
        outcomes = _with_later(outcomes, cycles)
    hold_c = float(search.cases.hold_c[0])
    spread = _spread(request, holds_min, hold_c).at_least(floor)
    piece = request.load.kinds()[slowest][0]
    end = ending(
        request.load,
        request.pot,
        setup.arrangement,
        setup.filling,
        steam_kg=steam_kg(search, run),
        extra_ratio=release_kinds()[setup.release].juice_extra_ratio,
    )
    facts = PlanFindings(
        setup=setup,
        hold_min=hold_exact,
        thicker_hold_min=float(holds_min[THICKER, 0]),
        sea_level_hold_min=float(holds_min[SEA_LEVEL, 0]),
        softer_hold_min=float(holds_min[NOMINAL, 1]),
        rule_hold_min=altitude_rule_min(float(holds_min[SEA_LEVEL, 0]), request.altitude_m),
        range=spread,
        ending=end,
        frozen_extra_min=extra_min,
        floor_min=floor,
        warm_up_s=warm_up_s(run, slowest),
        after_hold_share=after_hold_share(run, slowest),
        tenderness_steps=tuple(outcome.tenderness_step for outcome in outcomes),
        dryness_ratios=tuple(outcome.dryness_ratio for outcome in outcomes),
        safeties=tuple(outcome.safety for outcome in outcomes),
        slowest=slowest,
    )
    return Plan(
        setup=setup,
        hold_min=hold_min,
        hold_exact_min=hold_exact,
        range=spread,
        gauge_pa=request.pressure_pa,
        hold_c=hold_c,
        boil_c=float(search.cases.boil_c[0]),
        phases=phases_of(run, setup, slowest),
        lid_on_to_open_s=run.open_s,
        done_s=run.open_s + setup.after.boil_s + setup.soak_s,
        outcomes=outcomes,
        ending=end,
        serving=serving(whole_load(request), pulled=is_pulled(request)),
        trace=trace_of(run, request, slowest, piece),
        reasons=reasons_for(facts),
        cautions=cautions_for(facts),
        expectation=None
        if own is None
        else expectation(search, own, usual_min, spread, kind=(slowest, piece)),
        later=_later(request),
    )


def _needing(meat: MeatCases, cycles: TwoCycles) -> MeatCases:
    """Only what comes out of the first cycle sets its time."""
    need = meat.softening_min.copy()
    need[:, list(cycles.early.stays)] = NO_NEED_MIN
    return replace(meat, softening_min=need)


def _with_later(outcomes: tuple[PieceResult, ...], cycles: TwoCycles) -> tuple[PieceResult, ...]:
    """What stays is as it comes out of the second cycle."""
    later = dict(zip(cycles.early.stays, outcomes_of(cycles.stays, cycles.last), strict=True))
    return tuple(later.get(index, outcome) for index, outcome in enumerate(outcomes))


def _later(request: CookRequest) -> tuple[Batch, ...]:
    """The batches after the first; alike ones are worked out once."""
    found: list[Batch] = []
    if not request.later:
        return ()
    for batch in one_by_one(request)[1:]:
        alike = next((item for item in found if item.load == batch.load), None)
        if alike is None:
            plan = make_plan(batch)
            arrangement = plan.setup.arrangement
            alike = Batch(
                load=batch.load,
                hold_min=plan.hold_min,
                lid_on_to_open_s=plan.lid_on_to_open_s,
                done_s=plan.done_s,
                rack=arrangement.rack,
                arrangement=arrangement.kind,
                liquid_m3=plan.setup.filling.liquid_m3,
                phases=plan.phases,
                hold_range_min=plan.hold_range_min,
            )
        found.append(alike)
    return tuple(found)


def is_pulled(request: CookRequest) -> bool:
    """Whether the meat is pulled apart rather than sliced or served on the bone."""
    pulls = request.load.pieces[0].cut.pulls
    return pulls and request.tenderness_step >= PULLED_STEP


def slowest_kind(search: Search, run: Run) -> int:
    """Index of the kind that gets least of what it needs."""
    return int(np.argmin(run.final_softening_min / search.meat.softening_min[0]))


def steam_kg(search: Search, run: Run) -> float:
    """Steam that left: with the air, and through the valve."""
    hold_c = float(search.cases.hold_c[0])
    return (PURGE_HEAT.value + run.vented_j) / float(latent_heat_j_kg(hold_c))


def _spread(request: CookRequest, holds_min: FloatArray, hold_c: float) -> HoldRange:
    pieces = request.load.pieces
    exact, softer = (float(hold) for hold in holds_min[NOMINAL])
    unsure = max(model_sd_ln(piece.cut, request.tenderness_step, hold_c) for piece in pieces)
    return hold_range(
        exact,
        sizes_min=(float(holds_min[THINNEST, 0]), float(holds_min[THICKEST, 0])),
        weaker_min=float(holds_min[WEAKEST, 0]),
        guessed=any(piece.thickness_guessed for piece in pieces),
        model_ln=unsure * rise_ratio(exact, softer),
        kitchens=max((kitchens_of(piece.cut, exact, softer) for piece in pieces), key=_sd),
        rule_min=altitude_rule_min(float(holds_min[SEA_LEVEL, 0]), request.altitude_m),
    )


def _sd(kitchens: Kitchens) -> float:
    return kitchens.sd_ln

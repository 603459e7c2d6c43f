"""When it did not go to plan: opened too firm, opened too soft, or stopped half way.

A pot that is put on again keeps its history: what the meat already took up and how hot the pot
still is are carried on in the same sums (conduction.py, pot_heat.py), so a second run is short.
"""

from dataclasses import dataclass, replace
from typing import Literal, TypeAlias

import numpy as np

from pneumachron.core.catalog.cuts import Cut
from pneumachron.core.constants import LADDER_STEP
from pneumachron.core.cooker.come_up import coast
from pneumachron.core.cooker.cook_time import MAX_HOLD_S, Search
from pneumachron.core.cooker.meat_cases import MeatCases
from pneumachron.core.cooker.pot_heat import STEP_S, PotCases
from pneumachron.core.errors import OutOfRangeError, RequestError
from pneumachron.core.physics.steam import FloatArray
from pneumachron.core.physics.tenderness import TEXTURES, Texture
from pneumachron.core.planning.plan import slowest_kind
from pneumachron.core.planning.poultry import floor_min
from pneumachron.core.planning.request import CookRequest, ResolvedRequest, resolve
from pneumachron.core.planning.scenarios import first_cases, frozen_extra_min, texture_reached
from pneumachron.core.safety.limits import ZONE_HIGH, ZONE_LIMIT, zone_time_s

NEAR_STEP = 0.25
"""A quarter of a step is nobody's to taste."""
OPEN_RANGE_MIN = (0.0, 60.0)
STOPPED_RANGE_MIN = (0.0, 360.0)
PROBE_RANGE_C = (20.0, 125.0)
SEEN_RANGE = (-2.0, 8.0)
"""From raw to mush, in steps."""
_SCALES = np.array([1.0, 1.05, 1.1, 1.2, 1.3, 1.4, 1.5])
"""Sizes over the measured ones among which a probe reading chooses. Only upwards: thinner meat
follows the pot down while the pressure falls, so a low reading could be either."""

NextStep: TypeAlias = Literal["done", "put_back", "rescue", "go_on", "throw_away"]


@dataclass(frozen=True, slots=True)
class PutBack:
    """What to do with a pot that was opened."""

    step: NextStep
    hold_min: int
    """Minutes to set again; 0 when it is done."""
    more_s: float
    """From lid on again until the lid is off."""
    texture_now: float
    size_ratio: float
    """How thick the meat behaved over how thick it was measured; 1 without a probe."""
    next_hold_min: int
    """What to set next time for the texture that was wished."""


def judge_opened(
    request: CookRequest,
    hold_min: int,
    *,
    seen_step: float | None = None,
    probe_c: float | None = None,
    open_min: float = 5.0,
) -> PutBack:
    """Opened after a hold: done, put back for so long, or too soft.

    Parameters
    ----------
    request : as it was cooked
    hold_min : what was set
    seen_step : where the looks are on the ladder
    probe_c : a reading in the middle right after opening; tells how thick the meat really was
    open_min : minutes since the lid came off

    Raises
    ------
    OutOfRangeError : a number that cannot be.
    RequestError : neither looks nor a reading, or the request itself cannot be met.
    """
    _check("hold", hold_min, (0.0, MAX_HOLD_S / 60.0), "min")
    _check("open", open_min, OPEN_RANGE_MIN, "min")
    if seen_step is None and probe_c is None:
        raise RequestError("nothing_seen", "seen")
    setup = resolve(request)
    setup = replace(setup, after=replace(setup.after, stand_s=60.0 * open_min + STEP_S))
    cases, meat = first_cases(setup)
    ratio = 1.0
    if probe_c is not None:
        _check("probe", probe_c, PROBE_RANGE_C, "°C")
        ratio = _size_ratio(setup, cases, meat, hold_min, probe_c)
        meat = replace(meat, half_sizes_m=ratio * meat.half_sizes_m)
    first = Search(cases, meat, setup.after, at_least_s=60.0 * hold_min)
    run = first.run(60.0 * hold_min)
    slowest = slowest_kind(first, run)
    kind = request.load.kinds()[slowest][0]
    model_step = texture_reached(kind, float(run.final_softening_min[slowest]))
    now = model_step if seen_step is None else seen_step
    _check("seen", now, (SEEN_RANGE[0] - 2.0, SEEN_RANGE[1]), "steps")
    # looks that differ from the model say that this meat softens slower or faster
    tough = LADDER_STEP.value ** (model_step - now)
    need = (meat.softening_min * tough)[..., np.newaxis]
    extra_min = frozen_extra_min(request.load)
    next_min = round(_first_run_s(setup, meat, need) / 60.0 + extra_min)
    next_min = max(next_min, floor_min(resolve(request)))
    gap = request.tenderness_step - now
    if gap <= NEAR_STEP:
        step: NextStep = "done" if gap >= -1.0 + NEAR_STEP else "rescue"
        return PutBack(step, 0, 0.0, now, ratio, next_min)
    rise = np.diff(run.pot_c)[np.newaxis]
    hold_s, more_s, _ = _second_run(setup, meat, rise, need)
    return PutBack("put_back", max(round(hold_s / 60.0), 1), more_s, now, ratio, next_min)


def _first_run_s(setup: ResolvedRequest, meat: MeatCases, need: FloatArray) -> float:
    """Hold of a first run that gives (1, G, 1) doses [s]."""
    cases, _ = first_cases(setup)
    after = resolve(setup.request).after
    return float(Search(cases, replace(meat, softening_min=need[..., 0]), after).holds_s()[0])


def _second_run(
    setup: ResolvedRequest, meat: MeatCases, rise_k: FloatArray, need: FloatArray
) -> tuple[float, float, float]:
    """Hold of a pot put on again [s], and what it takes.

    Time until its lid is off, and until no middle is below 60 °C [s].
    """
    cases, _ = first_cases(setup)
    after = resolve(setup.request).after
    wanted = replace(meat, softening_min=need[..., 0])
    search = Search(cases, wanted, after, past_rise_k=rise_k)
    hold_s = float(search.holds_s()[0])
    run, gone = search.run(hold_s), rise_k.shape[-1]
    cold = (run.core_c[:, gone:] < ZONE_HIGH.value).any(axis=0)
    return hold_s, run.open_s - STEP_S * gone, STEP_S * int(np.count_nonzero(cold))


def _size_ratio(
    setup: ResolvedRequest, cases: PotCases, meat: MeatCases, hold_min: int, probe_c: float
) -> float:
    """How much thicker the meat must be for its middle to read so when the lid comes off."""
    read = []
    for scale in _SCALES:
        scaled = replace(meat, half_sizes_m=scale * meat.half_sizes_m)
        run = Search(cases, scaled, setup.after, at_least_s=60.0 * hold_min).run(60.0 * hold_min)
        read.append(min(float(np.interp(run.open_s, run.time_s, row)) for row in run.core_c))
    falling = np.minimum.accumulate(read) - 1e-6 * np.arange(len(read))
    # np.interp wants rising places
    return float(np.interp(probe_c, falling[::-1], _SCALES[::-1]))


@dataclass(frozen=True, slots=True)
class Resumed:
    """What a run that stopped is worth, and how to go on."""

    step: NextStep
    texture_now: float
    core_c: float
    zone_s: float
    """Time between 4 and 60 °C, of the middle or of the surface, whichever is longer; with what the
    middle still needs to leave it when the pot goes on."""
    hold_min: int
    """Minutes to set again, 0 when it is done or thrown away."""
    more_s: float
    """From lid on again, or from the start key, until the lid is off."""


def judge_stopped(request: CookRequest, at_min: float, since_min: float) -> Resumed:
    """A run that stopped so many minutes after lid on, so many minutes ago.

    Raises
    ------
    OutOfRangeError : times that cannot be.
    RequestError : the request itself cannot be met.
    """
    _check("stopped at", at_min, (0.0, MAX_HOLD_S / 60.0), "min")
    _check("stopped since", since_min, STOPPED_RANGE_MIN, "min")
    setup = resolve(request)
    cases, meat = first_cases(setup)
    first = Search(cases, meat, setup.after, at_least_s=60.0 * (at_min + since_min))
    done, steps = round(60.0 * at_min / STEP_S), round(60.0 * since_min / STEP_S)
    past = np.zeros((1, done))
    shared = min(done, first.up.rise_k.shape[-1])
    past[:, :shared] = first.up.rise_k[:, :shared]
    rise = coast(cases, first.heat, past, steps)
    pot, core, dose = first.state(rise)
    slowest = int(np.argmin(dose[:, -1] / meat.softening_min[0]))
    kind = request.load.kinds()[slowest][0]
    now = texture_reached(kind, float(dose[slowest, -1]))
    core_c = float(core[:, -1].min())
    # the surface is as warm as what is around it
    zone_s = max(zone_time_s(row, STEP_S) for row in (*core, pot))
    if now >= request.tenderness_step - NEAR_STEP and core_c >= ZONE_HIGH.value:
        return Resumed("done", now, core_c, zone_s, 0, 0.0)
    hold_s, more_s, ahead_s = _second_run(setup, meat, rise, meat.softening_min[..., np.newaxis])
    zone_s += ahead_s
    if core_c < ZONE_HIGH.value and zone_s > ZONE_LIMIT.value:
        return Resumed("throw_away", now, core_c, zone_s, 0, 0.0)
    hold_s += 60.0 * frozen_extra_min(request.load)
    return Resumed("go_on", now, core_c, zone_s, round(hold_s / 60.0), more_s)


@dataclass(frozen=True, slots=True)
class Translated:
    """Minutes of another pressure, for this pot."""

    hold_min: int
    factor: float
    """Over the minutes that were given."""
    tenderness_step: float
    """What the given minutes made of this meat at their own pressure."""


def translate_minutes(request: CookRequest, hold_min: int, gauge_pa: float) -> Translated:
    """What minutes at another pressure (a stovetop cooker's 100 kPa) are here.

    Raises
    ------
    OutOfRangeError : minutes that cannot be.
    RequestError : the request cannot be met, or the pressure is none.
    """
    _check("hold", hold_min, (1.0, MAX_HOLD_S / 60.0), "min")
    there = resolve(replace(request, gauge_pa=gauge_pa))
    cases, meat = first_cases(there)
    search = Search(cases, meat, there.after, at_least_s=60.0 * hold_min)
    run = search.run(60.0 * hold_min)
    slowest = slowest_kind(search, run)
    kind = request.load.kinds()[slowest][0]
    need = np.maximum(run.final_softening_min, 1e-3)[np.newaxis, :, np.newaxis]
    here = resolve(request)
    minutes = _first_run_s(here, first_cases(here)[1], need) / 60.0
    return Translated(
        max(round(minutes), floor_min(here)),
        minutes / hold_min,
        texture_reached(kind, float(run.final_softening_min[slowest])),
    )


def rescue(cut: Cut) -> str:
    """Code of what to do with a piece that is softer than wished: by its family."""
    return f"rescue-{cut.family.replace(' ', '_')}"


def texture_near(step: float) -> Texture:
    """The step nearest to a step."""
    return TEXTURES[min(max(round(step), 0), len(TEXTURES) - 1)]


def _check(name: str, value: float, span: tuple[float, float], unit: str) -> None:
    if not span[0] <= value <= span[1]:
        raise OutOfRangeError(name, value, *span, unit)

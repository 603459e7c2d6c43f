"""What a log teaches: how this household's meat softens, and how strong this pot really is.

Two numbers, each a belief on a grid, moved by Bayes' rule. The softening offset of a cut is the
log of the dose this household needs over the fitted one; its prior is the scatter of practice about
the fit, or what is known of other cuts of the family. A cook of another step of tenderness than the
model says moves it, but a step is coarse, it is sometimes rated one too high or too low, and no two
pieces are alike: the likelihood holds all three. The top step means "at least", the lowest "at
most". What was learned long ago fades a little with every cook since: butchers and tastes change.
The heat of a pot is learned from times to pressure.
"""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from functools import lru_cache

import numpy as np
from scipy.special import ndtr

from pneumachron.core.catalog.cuts import Cut
from pneumachron.core.constants import COOK_SPREAD, LADDER_STEP
from pneumachron.core.physics.steam import FloatArray
from pneumachron.core.physics.tenderness import TEXTURES

TASTE_PRIOR_SD = 0.25
"""Of ln dose, from household to household and butcher to butcher. Judgement; the fitted doses
scatter by about as much over practice (docs/validation.md)."""
HEAT_PRIOR_SD = 0.15
"""Of ln heat, from pot to pot: mains, age, what is printed. Judgement."""
SIZE_SD = COOK_SPREAD.value
"""Of ln dose, from cook to cook. 8 % in thickness, the weight kept, move it by 0.01 (short ribs) to
0.14 (ribs), from the model; the rest is how one animal differs from the next."""
MISJUDGED_SHARE = 0.15
"""Steps that are named one too high or too low. Judgement."""
STRAY_SHARE = 0.03
"""Outcomes that say nothing: another piece, a mistake in typing. Judgement."""
UP_SD = 0.08
"""Of ln time to pressure, from cook to cook: how cold the liquid, when one looked. Judgement."""
UP_SLOPE = 1.24
"""Fall of ln time to pressure with ln heat. From the model: 1.21 (short ribs) to 1.27 (brisket)."""
UP_STRAY_SHARE = 0.05
UP_STRAY_SD = 0.7
GRID = 241
REACH_SD = 4.0
LN_STEP = float(np.log(LADDER_STEP.value))
STEPS = np.arange(float(len(TEXTURES)))
"""Steps that can be named."""
WALK_SD = 0.03
"""Of ln dose: how far a household may drift from one cook to the next. Judgement; so that a change
is half believed after eight cooks (tests/core/test_learn.py)."""
KIN_SD = 0.12
"""Of ln dose: how far a cut of a family may differ from another in one household. Judgement."""
COVER = 0.9
"""The interval that is shown."""
MOST_COOKS = 60
"""Older cooks teach no more: meat, butcher and teeth change."""


@dataclass(frozen=True, slots=True)
class Tasted:
    """One rated cook: the step the model gives for what was set, and the step that was seen."""

    model_step: float
    seen_step: float


@dataclass(frozen=True, slots=True)
class Belief:
    """A number on the log scale: mean, spread, the interval of `COVER`, from so many cooks."""

    mean: float
    sd: float
    low: float
    high: float
    cooks: int

    @property
    def ratio(self) -> float:
        """The mean as a factor."""
        return float(np.exp(self.mean))


def taste_belief(cooks: Sequence[Tasted], kin: Sequence[Tasted] = ()) -> Belief:
    """How much more softening this household needs for the same step, as ln dose.

    `cooks` of this cut, the oldest first; `kin` of other cuts of its family.
    """
    told = tuple(cooks[-MOST_COOKS:])
    return _belief(_grid(TASTE_PRIOR_SD), np.log(_tasted(told, tuple(kin))), len(told))


@lru_cache(maxsize=256)
def _tasted(cooks: tuple[Tasted, ...], kin: tuple[Tasted, ...]) -> FloatArray:
    """Shares of belief on the grid; every plan asks for the same ones again."""
    grid = _grid(TASTE_PRIOR_SD)
    share = np.exp(_prior(grid, TASTE_PRIOR_SD))
    if kin:
        share = _spread_out(grid, _after(grid, share, kin), KIN_SD)
    return _after(grid, share, cooks)


def _after(grid: FloatArray, share: FloatArray, cooks: Sequence[Tasted]) -> FloatArray:
    """What is believed after so many cooks, each of which fades the ones before."""
    for cook in cooks[-MOST_COOKS:]:
        share = _spread_out(grid, share, WALK_SD)
        share = share * _step_likelihood(cook.seen_step, cook.model_step - grid / LN_STEP)
        share = share / share.sum()
    return share


def _spread_out(grid: FloatArray, share: FloatArray, sd: float) -> FloatArray:
    """A belief that became less sure by so much."""
    step = float(grid[1] - grid[0])
    reach = int(REACH_SD * sd / step) + 1
    kernel = np.exp(-0.5 * (step * np.arange(-reach, reach + 1) / sd) ** 2)
    wide = np.convolve(share, kernel / kernel.sum(), mode="same")
    return np.asarray(np.maximum(wide, 1e-300))


def heat_belief(ln_up_ratios: Sequence[float]) -> Belief:
    """How strong a pot is over what its plate says, as ln heat; from ln(time seen / planned).

    Less heat takes longer than in proportion, since what is lost on the way is lost for longer.
    """
    grid = _grid(HEAT_PRIOR_SD)
    weight = _prior(grid, HEAT_PRIOR_SD)
    for ratio in ln_up_ratios[-MOST_COOKS:]:
        away = ratio + UP_SLOPE * grid
        usual = np.exp(-0.5 * (away / UP_SD) ** 2) / UP_SD
        stray = np.exp(-0.5 * (away / UP_STRAY_SD) ** 2) / UP_STRAY_SD
        weight = weight + np.log((1.0 - UP_STRAY_SHARE) * usual + UP_STRAY_SHARE * stray)
    return _belief(grid, weight, len(ln_up_ratios[-MOST_COOKS:]))


def _grid(prior_sd: float) -> FloatArray:
    return np.linspace(-REACH_SD * prior_sd, REACH_SD * prior_sd, GRID)


def _prior(grid: FloatArray, prior_sd: float) -> FloatArray:
    return np.asarray(-0.5 * (grid / prior_sd) ** 2)


def _step_likelihood(seen_step: float, expected_step: FloatArray) -> FloatArray:
    """How likely a step is named when the meat is at `expected_step`, size error included.

    Meat past the top step is named with it, meat short of the lowest with that. A step in between
    two, as the mean of several pieces, is taken as it stands.
    """
    spread = SIZE_SD / LN_STEP
    lowest, top = STEPS[0], STEPS[-1]

    def on(step: float) -> FloatArray:
        if not lowest <= step <= top:
            return np.zeros_like(expected_step)
        above = ndtr((step - 0.5 - expected_step) / spread) if step > lowest else 0.0
        below = ndtr((step + 0.5 - expected_step) / spread) if step < top else 1.0
        return np.asarray(below - above)

    # rated wrong at an end, half of the time there is no step beyond to name
    kept = 1.0 - MISJUDGED_SHARE * (0.5 if seen_step in {lowest, top} else 1.0)
    beside = 0.5 * MISJUDGED_SHARE * (on(seen_step - 1.0) + on(seen_step + 1.0))
    told = kept * on(seen_step) + beside
    return np.asarray((1.0 - STRAY_SHARE) * told + STRAY_SHARE / len(STEPS))


def _belief(grid: FloatArray, log_weight: FloatArray, cooks: int) -> Belief:
    weight = np.exp(log_weight - log_weight.max())
    weight /= weight.sum()
    mean = float(weight @ grid)
    sd = float(np.sqrt(weight @ (grid - mean) ** 2))
    edge = (1.0 - COVER) / 2
    low, high = np.interp((edge, 1.0 - edge), np.cumsum(weight), grid)
    return Belief(mean, sd, float(low), float(high), cooks)


def taught(
    cut: Cut, taste_ln: Mapping[str, float], taste_sd: Mapping[str, float] | None = None
) -> Cut:
    """A cut as this household likes it: another dose for the same step, known so well."""
    moved, known = taste_ln.get(cut.cut_id, 0.0), (taste_sd or {}).get(cut.cut_id)
    if not moved and known is None:
        return cut
    dose = cut.tender_softening_min * float(np.exp(moved))
    return replace(cut, tender_softening_min=dose, taste_ln=moved, taste_sd_ln=known)


@dataclass(frozen=True, slots=True)
class Experiment:
    """What to vary next time: so many steps of softening aside, and what that is expected to teach.

    `near_share` is how likely it still comes out within a step of what is wished.
    """

    aside_steps: float
    sd_now: float
    sd_then: float
    near_share: float


ASIDE_STEPS = (-0.5, 0.0, 0.5)
NEAR_SHARE = 0.8
"""An experiment is eaten: it comes out near, four times in five. Judgement."""


def next_experiment(cooks: Sequence[Tasted], wished_step: float) -> Experiment:
    """Which hold teaches most of this household's taste, among those that will still be eaten.

    Every step that could be seen is weighed by how likely it is (preposterior analysis; Raiffa &
    Schlaifer, 1961, from memory).
    """
    grid = _grid(TASTE_PRIOR_SD)
    share = _tasted(tuple(cooks), ())
    share = share / share.sum()
    now = _belief(grid, np.log(share), len(cooks))
    found = []
    for aside in ASIDE_STEPS:
        # the hold is the one that this belief gives, moved aside
        expected = wished_step + aside + (now.mean - grid) / LN_STEP
        then, near = 0.0, 0.0
        for step in STEPS:
            told = _step_likelihood(float(step), expected)
            seen = float(share @ told)
            after = share * told / seen
            middle = float(after @ grid)
            then += seen * float(np.sqrt(after @ (grid - middle) ** 2))
            near += seen if abs(step - wished_step) <= 1.0 else 0.0
        found.append(Experiment(aside, now.sd, then, near))
    eaten = [item for item in found if item.near_share >= NEAR_SHARE]
    plain = next(item for item in found if item.aside_steps == 0.0)
    best = min(eaten, key=lambda item: item.sd_then, default=plain)
    # not for a trifle: the cook's own request comes first
    return best if best.sd_then < plain.sd_then - 0.002 else plain

"""How fast a plan is, beside the independent solution doing the same work.

`python3 dev.py bench` runs this; it is no gate. The reference uses the coarsest grid that keeps
the core within 0.2 K from 10 min on, which `test_reference_grid` holds.
"""

from dataclasses import replace

import numpy as np
import pytest
from pytest_benchmark.fixture import BenchmarkFixture
from scipy.optimize import brentq

from pneumachron.core.constants import BAND_SDS, SIZE_SPREAD
from pneumachron.core.physics.tenderness import cumulative_softening_min
from pneumachron.core.planning.lying import Lying
from pneumachron.core.planning.plan import make_plan
from pneumachron.core.planning.plan_summary import summaries_of
from pneumachron.core.planning.ready_by import ways_in_time
from pneumachron.core.planning.recovery import judge_opened
from pneumachron.core.planning.request import resolve
from pneumachron.core.planning.what_if import what_changes
from pneumachron.core.schedule.blocks import day_blocks
from pneumachron.core.schedule.constraints import DayLimits
from pneumachron.core.schedule.dish import KITCHEN_LANES, Dish
from pneumachron.core.schedule.model import Schedule
from pneumachron.core.schedule.schedule import schedule
from pneumachron.demo.recipes import BRAISED_SHORT_RIBS
from pneumachron.recipes.converting.convert import Converted, convert
from pneumachron.recipes.converting.kitchen import Kitchen
from pneumachron.recipes.reading import read_recipe
from pneumachron.recipes.understanding.understand import understand
from tests.core.kitchen import cook_request, load, search
from tests.reference.finite_difference import Result, Setting, cook
from tests.reference.test_finite_difference import setting

WANTED = replace(
    cook_request(load("brisket_flat", 1.4, 0.045, 2), altitude_m=1150.0),
    lying=Lying(touching=False),
)
"""Apart from each other: what touches is held to a solution of its own (test_contact.py)."""
COARSEST = (8, 8, 10)
RTOL = 1e-3
WARM = {"rounds": 60, "warmup_rounds": 5}
"""Tables and units are loaded once in the life of the app, so the first rounds do not count."""


def reference_cook(case: Setting, hold_s: float) -> Result:
    return cook(case, hold_s=hold_s, wait_s=float("inf"), cells=COARSEST, rtol=RTOL)


def reference_plan() -> list[float]:
    """The hold of three sizes by bracketing, as a plan with its range needs it."""
    nominal = setting(WANTED)
    need = search(WANTED).meat.softening_min[0, 0]

    def gap(hold_min: float, case: Setting) -> float:
        run = reference_cook(case, 60.0 * hold_min)
        grid = np.arange(0.0, run.time_s[-1], 30.0)
        read = np.interp(grid, run.time_s, run.reading_c)
        return float(np.log(cumulative_softening_min(read, step_s=30.0)[-1] / need))

    found = []
    for sds in (0.0, -BAND_SDS.value, BAND_SDS.value):
        piece = WANTED.load.pieces[0].with_thickness(float(np.exp(sds * SIZE_SPREAD.value)))
        case = replace(nominal, half_sizes_m=piece.half_sizes_m)
        found.append(float(brentq(gap, 20.0, 160.0, args=(case,), xtol=0.25)))
    return found


def test_reference_grid() -> None:
    ours = search(WANTED).run(5700.0)
    theirs = reference_cook(setting(WANTED), 5700.0)
    core = np.interp(ours.time_s, theirs.time_s, theirs.core_c)
    assert np.max(np.abs(ours.core_c[0] - core)[ours.time_s >= 600.0]) < 0.2


@pytest.mark.benchmark(group="plan with range, reasons and trace")
def test_plan(benchmark: BenchmarkFixture) -> None:
    plan = benchmark.pedantic(make_plan, (WANTED,), **WARM)
    assert plan.hold_min > 0


@pytest.mark.benchmark(group="plan with range, reasons and trace")
def test_same_plan_by_finite_differences(benchmark: BenchmarkFixture) -> None:
    plan = make_plan(WANTED)
    nominal, low, high = benchmark.pedantic(reference_plan, rounds=1)
    assert nominal == pytest.approx(plan.hold_exact_min, abs=1.0)
    sizes = next(part for part in plan.range.parts if part.kind == "thickness")
    assert low == pytest.approx(sizes.low_min, abs=1.5)
    assert high == pytest.approx(sizes.high_min, abs=1.5)


@pytest.mark.benchmark(group="what changes if")
def test_what_changes(benchmark: BenchmarkFixture) -> None:
    found = benchmark.pedantic(what_changes, (WANTED,), **WARM)
    assert len(found) >= 8


@pytest.mark.benchmark(group="what changes if")
def test_plan_with_eight(benchmark: BenchmarkFixture) -> None:
    variants = (
        replace(WANTED, release="quick"),
        replace(WANTED, release="timed"),
        replace(WANTED, tenderness_step=1.0),
        replace(WANTED, tenderness_step=3.0),
        replace(WANTED, liquid_style="steam"),
        replace(WANTED, liquid_style="bath"),
        replace(WANTED, level="low"),
        replace(WANTED, altitude_m=0.0),
    )
    benchmark.pedantic(
        lambda: (make_plan(WANTED), summaries_of([resolve(wanted) for wanted in variants])), **WARM
    )


@pytest.mark.benchmark(group="opened")
def test_put_back(benchmark: BenchmarkFixture) -> None:
    found = benchmark.pedantic(judge_opened, (WANTED, 60), {"seen_step": 1.0}, **WARM)
    assert found.step == "put_back"


@pytest.mark.benchmark(group="ready by")
def test_ready_by(benchmark: BenchmarkFixture) -> None:
    assert benchmark.pedantic(ways_in_time, (WANTED, 7200.0), **WARM)


@pytest.mark.benchmark(group="one cook with a given hold")
def test_cook(benchmark: BenchmarkFixture) -> None:
    benchmark.pedantic(lambda: search(WANTED).run(5700.0), **WARM)


@pytest.mark.benchmark(group="one cook with a given hold")
def test_same_cook_by_finite_differences(benchmark: BenchmarkFixture) -> None:
    benchmark.pedantic(lambda: reference_cook(setting(WANTED), 5700.0), rounds=3)


@pytest.mark.benchmark(group="a recipe of 40 lines")
def test_convert_recipe(benchmark: BenchmarkFixture) -> None:
    kitchen = Kitchen(WANTED.pot, 1150.0, 4.0)
    lines = "\n".join(f"{number} g carrots and onions" for number in range(100, 126))
    text = BRAISED_SHORT_RIBS.replace("- 2 bay leaves", lines)
    assert len(text.split("\n")) >= 40

    def whole() -> Converted:
        # what was read of a line is kept, as in the life of the app
        return convert(understand(read_recipe(text).recipe), kitchen)

    assert benchmark.pedantic(whole, **WARM).plan.hold_min > 0


@pytest.mark.benchmark(group="a day")
def test_day(benchmark: BenchmarkFixture) -> None:
    names = ("a", "b", "c", "d", "e")
    pots = ("tenor", "bass", "treble", "tenor", "bass")
    dishes = [
        Dish(name, name, cook_request(load("brisket_flat", 0.6, 0.04), pot=pot))
        for name, pot in zip(names, pots, strict=True)
    ]

    def count_back() -> Schedule:
        return schedule(day_blocks(dishes, shop=True), DayLimits(KITCHEN_LANES | {"hands": 2}))

    found = benchmark.pedantic(count_back, rounds=10, warmup_rounds=1)
    assert sum(len(item.block.segments) for item in found.placed) >= 60

"""The steps of a cook in the order of work. What is done is common practice.

They are made from the numbers a cook goes by (`cook_plan`), so that Cook, Schedule, Plan and print
tell the same steps with the same durations: whatever the plan counted on (a wait, time kept warm,
an open boil, a rest in the liquid) is a step here.
"""

from collections.abc import Sequence

from pneumachron.core.procedure.before_lid import extra_steps, load_steps, raw_steps
from pneumachron.core.procedure.cook_plan import CookPlan
from pneumachron.core.procedure.step import Brought, Step, StepKind
from pneumachron.core.procedure.to_table import (
    carve_steps,
    cold_carve_steps,
    cool_steps,
    crackling_steps,
    crust_steps,
    is_lit_early,
    last_steps,
    preheat_oven_steps,
    preheat_steps,
    reheat_steps,
    rest_steps,
    rind_oven_steps,
    sauce_steps,
)
from pneumachron.core.procedure.under_pressure import batch_steps, run_steps


def cook_steps(plan: CookPlan, brought: Brought | None = None) -> tuple[Step, ...]:
    """From the board to the notes."""
    brought = brought or Brought()
    raw, to_the_pot = (
        raw_steps(plan.request, plan.numbers.thickness_m, brought),
        load_steps(plan, brought),
    )
    thawed = next(at for at, step in enumerate(raw) if step.kind not in _FROM_THE_FREEZER)
    raw = (*raw[:thawed], *extra_steps(brought, "before_rub"), *raw[thawed:])
    run = run_steps(plan, plan.hold_min)
    started = next(index for index, step in enumerate(run) if step.kind == "set") + 1
    sides, last = extra_steps(brought, "own_run"), extra_steps(brought, "at_end")
    served = extra_steps(brought, "at_table")
    early = brought.ahead == "today" and is_lit_early(plan)
    lit = () if early else preheat_steps(plan)
    # the rind is still crisp at the table: its oven is lit while the pressure falls
    hot, rind = rind_oven_steps(brought), crackling_steps(brought)
    after = (
        (*rind, *lit, *rest_steps(plan), *sides, *sauce_steps(plan, brought),
         *crust_steps(plan, brought), *last, *carve_steps(plan, brought), *served)
        if brought.ahead == "today"
        else (*cool_steps(plan, brought.ahead), *hot, *rind, *sides,
              *sauce_steps(plan, brought),
              *preheat_oven_steps(plan), *preheat_steps(plan, in_hot_oven=True),
              *reheat_steps(plan), *crust_steps(plan, brought), *last,
              *cold_carve_steps(plan, brought), *served)
    )  # fmt: skip
    cooked = (*run[started:], *batch_steps(plan, brought))
    lit_early = (
        *(hot if brought.ahead == "today" else ()),
        *(preheat_steps(plan) if early else ()),
    )
    if lit_early:
        at = _last_let_go(cooked)
        cooked = (*cooked[:at], *lit_early, *cooked[at:])
    return (
        *raw, *extra_steps(brought, "before_pot"), *extra_steps(brought, "first_run"), *to_the_pot,
        *run[:started], *extra_steps(brought, "beside"), *cooked,
        *after, *last_steps(plan, brought),
    )  # fmt: skip


_FROM_THE_FREEZER: frozenset[StepKind] = frozenset({"fetch", "thaw"})


def _last_let_go(steps: Sequence[Step]) -> int:
    """Where the pressure of the last run begins to fall."""
    return max(index for index, step in enumerate(steps) if step.kind == "hold") + 1

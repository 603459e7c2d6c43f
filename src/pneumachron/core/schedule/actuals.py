"""What a cook under way tells its day: work that is over, and the run that is on.

The same steps stand in both; here is which block of the day each of them ends. A run that is on
has the end that can be seen by now, so a late come-up moves everything after it.
"""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from pneumachron.core.procedure.step import Step
from pneumachron.core.procedure.under_pressure import BATCH_SIGN

OWN_BLOCKS = frozenset({
    "thaw", "rub", "marinate", "cool", "freeze", "thaw_cooked", "reheat", "preheat",
    "preheat_oven", "heat_rind", "crackling",
})  # fmt: skip
"""Steps that are a block of the day of their own, under the same name."""
AFTER_THE_RUN = ("rest", "sauce", "finish", "carve")
"""Blocks of one step each, after the cooker."""
GOES_ON = "out2"
"""The step after which a second run cooks on what was in the first: both are one block."""


@dataclass(frozen=True, slots=True)
class Actual:
    """When the work of a block began and ended, or will end as far as can be seen [s]."""

    block: str
    """Without its dish: `run0`, `rest`."""
    begin_s: float
    end_s: float
    is_seen: bool = False
    """It goes on, and is seen to end then."""


def actuals(
    steps: Sequence[Step],
    done_s: Mapping[str, float],
    began_s: float,
    seen_ends_s: Mapping[str, float],
) -> tuple[Actual, ...]:
    """What is known of the blocks of a dish.

    Parameters
    ----------
    done_s : when a step was done, by its id [s]
    began_s : when the cook began [s]
    seen_ends_s : when steps that are not done will be, by their id [s]
    """
    found = {item.block: item for item in _own_blocks(steps, done_s, began_s)}
    season_s = _done_of_kind(steps, done_s, "season")
    if season_s is not None:
        found["season"] = Actual("season", began_s, season_s)
    in_one = any(step.step_id == GOES_ON for step in steps)
    looks = [
        step.step_id for step in steps
        if step.kind == "judge" and (in_one or BATCH_SIGN not in step.step_id)
    ]  # fmt: skip
    # a run ends with the look at the meat, after what goes on in the open cooker
    open_s = done_s.get(looks[-1], seen_ends_s.get(looks[-1])) if looks else None
    if season_s is not None and open_s is not None:
        found["run0"] = Actual("run0", season_s, open_s, is_seen=looks[-1] not in done_s)
    for block in AFTER_THE_RUN:
        end_s = _done_of_kind(steps, done_s, block)
        if end_s is not None:
            begin_s = _before(steps, done_s, block, open_s)
            found[block] = Actual(block, min(end_s, begin_s or end_s), end_s)
    return tuple(found.values())


def _before(
    steps: Sequence[Step], done_s: Mapping[str, float], block: str, open_s: float | None
) -> float | None:
    """When the work before a block ended: the knife waits for crust and sauce."""
    if block != "carve":
        return open_s
    crust_s, sauce_s = (_done_of_kind(steps, done_s, kind) for kind in ("finish", "sauce"))
    return crust_s or sauce_s or open_s


def _done_of_kind(steps: Sequence[Step], done_s: Mapping[str, float], kind: str) -> float | None:
    first = next((step for step in steps if step.kind == kind), None)
    return None if first is None else done_s.get(first.step_id)


def _own_blocks(steps: Sequence[Step], done_s: Mapping[str, float], began_s: float) -> list[Actual]:
    """A recipe's own work, later batches, what is made ahead."""
    in_one = any(step.step_id == GOES_ON for step in steps)
    found = []
    for step in steps:
        block, end_s = _block_ended_by(step, in_one=in_one), done_s.get(step.step_id)
        if block is not None and end_s is not None:
            found.append(Actual(block, max(end_s - step.likely_s, began_s), end_s))
    return found


def _block_ended_by(step: Step, *, in_one: bool) -> str | None:
    if step.kind == "extra" and step.step_id not in OWN_BLOCKS:
        return step.step_id if step.step_id[-1].isdigit() else None  # a side ends with its last
    name, _, batch = step.step_id.partition(BATCH_SIGN)
    if batch:  # the look at a later batch ends its run of the cooker
        return f"run{int(batch) - 1}" if name == "judge" and not in_one else None
    return step.step_id if step.step_id in OWN_BLOCKS else None

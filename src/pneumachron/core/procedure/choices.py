"""What a cook may choose besides the plan, and what a recipe brings along."""

from dataclasses import dataclass
from typing import Literal, TypeAlias

Lane: TypeAlias = str
"""What work takes: `hands`, `fridge`, `pot:…`, `pan`, `oven`, `grill`."""
Ahead: TypeAlias = Literal["today", "day_before", "frozen"]
ExtraWhen: TypeAlias = Literal["before_pot", "beside", "own_run"]

PAN: Lane = "pan"
"""A pan on the stove; a kitchen has two burners to spare. Common practice."""
OVEN: Lane = "oven"
GRILL: Lane = "grill"
FRIDGE: Lane = "fridge"
MAX_EXTRAS = 12


@dataclass(frozen=True, slots=True)
class Extra:
    """Work that a recipe brings along: a side in a run of its own, a slaw, a paste."""

    title: str
    minutes: float
    """Under pressure for `own_run`, with hands otherwise."""
    when: ExtraWhen

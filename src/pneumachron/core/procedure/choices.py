"""What a cook may choose besides the plan, and what a recipe brings along."""

from dataclasses import dataclass
from typing import Literal, TypeAlias

Lane: TypeAlias = str
"""What work takes: `hands`, `in_passing`, `fridge`, `pot:…`, `pan`, `oven`, `grill` …"""
Ahead: TypeAlias = Literal["today", "day_before", "frozen"]
SauceTo: TypeAlias = Literal["none", "half", "glaze", "volume", "thick"]
"""What becomes of the juice: nothing; boiled down to half, to a glaze, or to a volume that is
said; thickened with starch."""
USUAL_SAUCE_M3 = 0.24e-3
"""To what it is boiled down when no volume is said."""
ExtraWhen: TypeAlias = Literal[
    "before_rub", "before_pot", "first_run", "beside", "own_run", "at_end", "at_table"
]
"""`before_rub`: before the meat is trimmed; `first_run`: pulses in a run of the cooker before it;
`own_run`: a side in one after it; `at_end`: before the meat is carved; `at_table`: with the carved
meat."""
Kept: TypeAlias = Literal["chill", "freeze"]
"""Where what is left goes."""
LateHow: TypeAlias = Literal["later", "keep_warm", "take_out", "rest_warm", "cover", "chill"]
"""How a dish waits for guests who are late."""
KEPT_HOT: frozenset[LateHow] = frozenset({"keep_warm", "take_out", "rest_warm", "cover"})
WARM_OVEN_C = 75.0
"""Holds meat above 60 °C and does not cook it on. Common practice."""

PAN: Lane = "pan"
"""A pan on the stove; a kitchen has two burners to spare. Common practice."""
OVEN: Lane = "oven"
GRILL: Lane = "grill"
AIR_FRYER: Lane = "air_fryer"
"""One that stands by itself; its lid on the cooker is the cooker."""
FRIDGE: Lane = "fridge"
IN_PASSING: Lane = "in_passing"
"""A moment beside other work: a switch is turned."""
MAX_EXTRAS = 12


@dataclass(frozen=True, slots=True)
class Extra:
    """Work that a recipe or the cook adds: a side in a run of its own, a slaw, honey at the end."""

    title: str
    minutes: float
    """Under pressure for a run, with hands otherwise."""
    when: ExtraWhen

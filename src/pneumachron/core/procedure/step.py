"""One step of a cook, and what a day or a recipe brings to the steps of a plan."""

from collections.abc import Mapping
from dataclasses import dataclass, field
from typing import Literal, TypeAlias

from pneumachron.core.errors import Param
from pneumachron.core.message import Message
from pneumachron.core.planning.finish import FinishKind
from pneumachron.core.planning.season import Marinade
from pneumachron.core.procedure.choices import (
    AIR_FRYER,
    GRILL,
    OVEN,
    PAN,
    Ahead,
    Extra,
    Kept,
    Lane,
    SauceTo,
)

StepKind: TypeAlias = Literal[
    "fetch", "temper", "part", "trim", "season", "rub", "marinate", "sear", "deglaze", "pour",
    "load", "lid", "set",
    "come_up", "hold", "wait", "release", "keep_warm", "open", "boil", "soak", "judge", "rest",
    "batch", "skim", "sauce", "thicken", "bag", "cool", "chill", "freeze", "thaw", "slice",
    "preheat", "reheat", "empty", "finish", "carve", "keep", "write_down", "extra", "guests_late",
]  # fmt: skip
FINISH_PLACE: dict[FinishKind, Lane | None] = {
    "broiler": OVEN, "grill": GRILL, "air_fryer": AIR_FRYER, "crisping": None, "pan": PAN,
    "glaze": None,
}  # fmt: skip
"""Where a crust is given; None: in the cooker itself."""
COUNTED: frozenset[StepKind] = frozenset({"wait", "keep_warm", "boil", "soak"})
"""Steps that softened the meat in the plan for as long as they last."""
SKIPPABLE: frozenset[StepKind] = frozenset(
    {
        "trim",
        "season",
        "rub",
        "marinate",
        "sear",
        "judge",
        "rest",
        "skim",
        "sauce",
        "thicken",
        "slice",
        "preheat",
        "finish",
        "carve",
        "extra",
        "guests_late",
    }
)
"""What may be left out without harm; lid, liquid, pressure, cooling and leftovers are not."""
Waits: TypeAlias = Literal["pressure", "hold_over", "pin_down"]
"""What the pot itself tells; a cook without a connected pot says it."""
MINUTE_S = 60.0
HANDS_SHARE = (0.6, 1.6)
"""Shortest and longest of work with hands, over what is likely. Judgement."""
LOOK_TIMER = "look"
"""Half time of a crust."""


@dataclass(frozen=True, slots=True)
class StepTimer:
    """A timer that a step offers: the message `timer-code`."""

    code: str
    seconds: float
    params: Mapping[str, Param] = field(default_factory=dict)


@dataclass(frozen=True, slots=True)
class Step:
    """One thing to do. `ticks` are confirmed one by one before it is done.

    The message `do-` and `work`, or else the kind, says what to do, `.look` what to look for and
    `.wrong` what to do if it is not so; all speak of `params`. A tick is the message `tick-code`.
    """

    step_id: str
    kind: StepKind
    likely_s: float
    hands: bool = True
    pot: bool = False
    """The cooker is taken meanwhile."""
    needs: tuple[Lane, ...] = ()
    """What else is taken: a pan, the oven, the grill, the refrigerator."""
    span_s: tuple[float, float] | None = None
    """Shortest and longest, where it is not that of hands."""
    ticks: tuple[str, ...] = ()
    timers: tuple[StepTimer, ...] = ()
    waits: Waits | None = None
    round: int = 1
    """The run of the pot it belongs to; 2 when it was put back once."""
    batch: int = 1
    """Which part of the meat it is about, where all does not go in together."""
    beside: bool = False
    """Work while the pot does its own: it holds nothing up."""
    work: str = ""
    params: Mapping[str, Param] = field(default_factory=dict)

    @property
    def range_s(self) -> tuple[float, float]:
        """Shortest and longest. What only has to pass takes as long as it takes."""
        if self.span_s is not None:
            return self.span_s
        low, high = HANDS_SHARE if self.hands else (1.0, 1.0)
        return low * self.likely_s, high * self.likely_s

    @property
    def counted(self) -> bool:
        """Time that has to pass: leaving early changes the meat."""
        return self.kind in COUNTED

    @property
    def self_timed(self) -> bool:
        """Its timer starts with it, without a press."""
        return self.counted or self.kind == "guests_late"

    @property
    def skippable(self) -> bool:
        """Whether it may be left out."""
        return self.kind in SKIPPABLE

    @property
    def said(self) -> Message:
        """What to do."""
        return Message(f"do-{self.work or self.kind}", self.params)


STEPS_VERSION = 2
"""1: without getting meat out, the counter, the emptied pot; a side in its own run was one step."""


@dataclass(frozen=True, slots=True)
class Brought:
    """What a recipe or a day adds to the steps of a plan, or leaves out."""

    work: tuple[Extra, ...] = ()
    sauce: SauceTo = "half"
    ahead: Ahead = "today"
    """Eaten on the day it is cooked, the day after, or weeks later."""
    from_freezer: bool = False
    """It lies in the freezer and is thawed first."""
    parted: bool = False
    """A whole brisket is parted into flat and point first."""
    rubbed: bool = False
    """The rub stays on overnight, or for `rub_s`."""
    rub_s: tuple[float, float] | None = None
    """As long as the recipe has it, from and to."""
    crackling: bool = False
    """The rind comes off before the cooker, and is roasted crisp."""
    pulled_first: bool = False
    """What is pulled is pulled before it is crisped, so that every shred has an edge."""
    marinade: Marinade | None = None
    marinate_s: tuple[float, float] | None = None
    """In it as long as the recipe has it, from and to; None: as is usual."""
    fat_m: float | None = None
    """The fat cap is trimmed to so much, and the meat weighed again."""
    sear_s: float | None = None
    """Searing of each batch, both sides, as the cook wants it; 0: not at all."""
    sear_batches: int | None = None
    eaters: int | None = None
    """Plates that are eaten; the rest is kept."""
    leftovers: Kept = "chill"
    sauce_m3: float | None = None
    """To what the juice is boiled down, when it is to a volume."""
    version: int = STEPS_VERSION
    """Of the steps: a cook keeps those that it began with."""

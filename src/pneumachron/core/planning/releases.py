"""Ways of letting the pressure go: what each does, and which one is the default and why.

How fast the pressure falls is worked out in pot_heat.py; numbers live in data/releases.csv.
"""

from collections.abc import Callable
from dataclasses import dataclass, replace
from functools import cache
from typing import Literal, TypeAlias, cast

from pneumachron.core.catalog.cuts import Cut, ReleaseMethod
from pneumachron.core.catalog.tables import read_numbers
from pneumachron.core.constants import SPRAY_FILL_RATIO
from pneumachron.core.cooker.pot_heat import AfterHold
from pneumachron.core.errors import RequestError

USUAL_WAIT_S = 600.0
"""How long a timed release waits unless the cook says otherwise. Common practice."""
FULL_WAIT_S = 900.0
"""The same for a pot that is full enough to spit. Common practice: 10–15 min."""
CALM_S = 720.0
"""A pot that full is never vented sooner, whatever was asked for. Common practice: 10–15 min."""
WAIT_RANGE_S = (60.0, 3600.0)
USUAL_SOAK_S = 1800.0
"""Half an hour in the open pot. Common practice."""
USUAL_KEEP_S = 2700.0
"""Three quarters of an hour out of the house. Judgement."""
STAY_RANGE_S = (60.0, 4 * 3600.0)
"""Soaking and keeping warm: beyond four hours nothing here was checked."""
BOIL_RANGE_S = (0.0, 3600.0)


@dataclass(frozen=True, slots=True)
class ReleaseKind:
    """What a way of releasing does besides taking its time."""

    method: ReleaseMethod
    juice_extra_ratio: float
    """Juice lost on top of the usual drip, as a share of the boneless raw weight."""

    @property
    def vents(self) -> bool:
        """Whether the valve is opened."""
        return self.method in {"timed", "quick", "soak"}


@cache
def release_kinds() -> dict[ReleaseMethod, ReleaseKind]:
    """All ways by id."""
    numbers = read_numbers("releases.csv")
    return {
        cast(ReleaseMethod, method): ReleaseKind(
            method=cast(ReleaseMethod, method),
            juice_extra_ratio=numbers[method]["juice_extra_ratio"],
        )
        for method in numbers
    }


_AFTER: dict[ReleaseMethod, Callable[[float, float, float], AfterHold]] = {
    "natural": lambda _wait, _stay, boil: AfterHold(boil_s=boil),
    "timed": lambda wait, _stay, boil: AfterHold(wait_s=wait, boil_s=boil),
    "quick": lambda _wait, _stay, boil: AfterHold(wait_s=0.0, boil_s=boil),
    "soak": lambda _wait, stay, boil: AfterHold(wait_s=0.0, boil_s=boil, stand_s=stay),
    "keep_warm": lambda _wait, stay, boil: AfterHold(keep_s=stay, boil_s=boil),
}


def after_hold(
    method: ReleaseMethod, *, wait_s: float, stay_s: float | None, boil_s: float, full: bool = False
) -> AfterHold:
    """What is done after the hold.

    Parameters
    ----------
    wait_s : of a timed release, before it is vented
    stay_s : how long it soaks or is kept warm; the usual time when None
    boil_s : boiling with the lid off afterwards
    full : the pot would spray; its valve stays shut for `CALM_S` at least

    Raises
    ------
    RequestError : a time outside what was checked.
    """
    usual_s = USUAL_KEEP_S if method == "keep_warm" else USUAL_SOAK_S
    stay = usual_s if stay_s is None else stay_s
    _check("wait", wait_s, WAIT_RANGE_S)
    _check("stay", stay, STAY_RANGE_S)
    _check("boil", boil_s, BOIL_RANGE_S)
    after = _AFTER[method](wait_s, stay, boil_s)
    if full and release_kinds()[method].vents:
        return replace(after, wait_s=max(after.wait_s, CALM_S))
    return after


def is_full(fill_ratio: float) -> bool:
    """Whether a pot would spray if its valve were opened at once."""
    return fill_ratio > SPRAY_FILL_RATIO.value


def _check(field: str, value_s: float, span_s: tuple[float, float]) -> None:
    low, high = span_s
    if not low <= value_s <= high:
        raise RequestError(field, field, given_s=value_s, least_s=low, most_s=high)


ReleaseWhy: TypeAlias = Literal[
    "foams", "full", "thick_sauce", "natural", "timed", "quick", "soak", "keep_warm"
]
"""What makes a way of releasing the usual one: the pot, or the habit of the cut."""


@dataclass(frozen=True, slots=True)
class ReleaseChoice:
    """A way of releasing, and why it is the default."""

    method: ReleaseMethod
    wait_s: float
    why: ReleaseWhy


def choose_release(cut: Cut, fill_ratio: float, *, foams: bool, thick_sauce: bool) -> ReleaseChoice:
    """The default: the habit of the cut, unless the pot would spit."""
    habit = cut.default_release
    full = is_full(fill_ratio)
    if foams and habit != "natural":
        return ReleaseChoice("natural", USUAL_WAIT_S, "foams")
    if habit == "quick" and (full or thick_sauce):
        return ReleaseChoice("timed", FULL_WAIT_S, "full" if full else "thick_sauce")
    if habit == "timed" and full:
        return ReleaseChoice("timed", FULL_WAIT_S, "full")
    return ReleaseChoice(habit, USUAL_WAIT_S, habit)

"""Sides in the same pot: what stands the hold, where, or a second run. Data in data/sides.csv."""

from dataclasses import dataclass
from functools import cache
from typing import Literal, TypeAlias

from pneumachron.core.catalog.tables import read_numbers
from pneumachron.core.errors import OutOfRangeError, RequestError

SideWay: TypeAlias = Literal["with_the_meat", "second_run"]


@dataclass(frozen=True, slots=True)
class Side:
    """Something to eat with the meat."""

    side_id: str
    alone_min: float
    stands_min: float
    foams: bool


@dataclass(frozen=True, slots=True)
class SideAdvice:
    """Whether it goes in with the meat. `hold_min` is that of its own run."""

    way: SideWay
    hold_min: int
    foams: bool


@cache
def sides() -> dict[str, Side]:
    """All sides by id."""
    return {
        side: Side(
            side_id=side,
            alone_min=row["alone_min"],
            stands_min=row["stands_min"],
            foams=row["foams"] == 1,
        )
        for side, row in read_numbers("sides.csv").items()
    }


def side_advice(side_id: str, hold_min: float) -> SideAdvice:
    """With the meat when it stands the hold; otherwise a run of its own while the meat rests.

    What foams goes into the meat's run only in a covered dish of its own.

    Raises
    ------
    RequestError : no such side.
    OutOfRangeError : a hold that cannot be.
    """
    if side_id not in sides():
        raise RequestError("unknown_side", "side")
    if not 0 <= hold_min <= 720:
        raise OutOfRangeError("hold", hold_min, 0, 720, "min")
    side = sides()[side_id]
    own = round(side.alone_min)
    if hold_min < side.alone_min:
        return SideAdvice("second_run", own, side.foams)
    if hold_min <= side.stands_min:
        return SideAdvice("with_the_meat", round(hold_min), side.foams)
    return SideAdvice("second_run", own, side.foams)

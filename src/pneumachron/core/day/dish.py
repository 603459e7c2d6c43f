"""A dish of the day: one planned cook, and what the cook wants of it."""

from dataclasses import dataclass
from typing import Literal, TypeAlias

from pneumachron.core.day.schedule import Lane, Segment
from pneumachron.core.errors import Param
from pneumachron.core.finish import FinishKind
from pneumachron.core.season import Marinade
from pneumachron.core.wish import Wish

Ahead: TypeAlias = Literal["today", "day_before", "frozen"]
ExtraWhen: TypeAlias = Literal["before_pot", "beside", "own_run"]

PAN: Lane = "pan"
"""A pan on the stove; a kitchen has two burners to spare. Common practice."""
KITCHEN_LANES: dict[Lane, int] = {PAN: 2}
"""How many of a lane there are besides hands."""
MAX_EXTRAS = 12
LOAD_S = (180.0, 300.0, 600.0)
"""Deglaze, liquid, rack, meat. Common practice."""
LID_S = (60.0, 120.0, 240.0)


@dataclass(frozen=True, slots=True)
class Extra:
    """Work that a recipe brings along: a side in a run of its own, a slaw, a paste."""

    title: str
    minutes: float
    """Under pressure for `own_run`, with hands otherwise."""
    when: ExtraWhen


@dataclass(frozen=True, slots=True)
class Dish:
    """A planned cook of the day."""

    dish_id: str
    title: str
    wish: Wish
    finish: FinishKind | None = None
    from_freezer: bool = False
    """It lies in the freezer and is thawed first."""
    ahead: Ahead = "today"
    sauce: bool = True
    marinade: Marinade | None = None
    eaters: int | None = None
    """Plates that are eaten on the day; the rest is kept. None: all of it."""
    tempered: bool = False
    """It stands out of the refrigerator before the pot."""
    parted: bool = False
    """A whole brisket was parted into flat and point; `wish` holds the parts."""
    extras: tuple[Extra, ...] = ()


def block_id(dish: Dish, kind: str) -> str:
    """The name of a block of a dish; stays the same whatever moves."""
    return f"{dish.dish_id}:{kind}"


def segment(
    kind: str, span_s: tuple[float, float, float], *lanes: Lane, work: str = "", **params: Param
) -> Segment:
    """A stretch with its range [s]: shortest, likely, longest."""
    return Segment(kind, *span_s, lanes, work, params)


def pot_lane(dish: Dish) -> Lane:
    """The pot of a dish as a lane."""
    return f"pot:{dish.wish.pot.pot_id}"

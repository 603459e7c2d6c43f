"""A dish of the day: one planned cook, and what the cook wants of it."""

from dataclasses import dataclass

from pneumachron.core.errors import Param
from pneumachron.core.planning.finish import FinishKind
from pneumachron.core.planning.request import CookRequest
from pneumachron.core.planning.season import Marinade
from pneumachron.core.procedure.choices import IN_PASSING, PAN, Ahead, Extra, Kept, Lane, SauceTo
from pneumachron.core.procedure.step import Brought, Step
from pneumachron.core.schedule.model import Segment

KITCHEN_LANES: dict[Lane, int] = {PAN: 2}
"""How many of a lane there are besides hands."""
LOAD_S = (180.0, 300.0, 600.0)
"""Filling the cooker for a side. Common practice."""
LID_S = (60.0, 120.0, 240.0)


EVENING_S = 21 * 3600.0
"""Served at 19:00, the work of the evening before is over at 22:00. Common practice."""


@dataclass(frozen=True, slots=True)
class Dish:
    """A planned cook of the day."""

    dish_id: str
    title: str
    request: CookRequest
    finish: FinishKind | None = None
    from_freezer: bool = False
    """It lies in the freezer and is thawed first."""
    ahead: Ahead = "today"
    sauce: SauceTo = "half"
    sauce_m3: float | None = None
    """To what the juice is boiled down, when it is to a volume."""
    rubbed: bool = False
    """The rub stays on overnight, or for `rub_s`."""
    rub_s: tuple[float, float] | None = None
    """As long as the recipe has it, from and to."""
    crackling: bool = False
    """The rind comes off before the cooker, and is roasted crisp."""
    pulled_first: bool = False
    """What is pulled is pulled before it is crisped."""
    marinade: Marinade | None = None
    marinate_s: tuple[float, float] | None = None
    """In it as long as the recipe has it, from and to; None: as is usual."""
    fat_m: float | None = None
    sear_s: float | None = None
    sear_batches: int | None = None
    leftovers: Kept = "chill"
    eaters: int | None = None
    """Plates that are eaten on the day; the rest is kept. None: all of it."""
    parted: bool = False
    """A whole brisket was parted into flat and point; `request` holds the parts."""
    extras: tuple[Extra, ...] = ()
    evening_s: float = EVENING_S
    """How long before serving the evening before ends, for what is cooked a day ahead."""


def brought(dish: Dish) -> Brought:
    """What the day adds to the steps of its plan."""
    return Brought(
        work=dish.extras,
        sauce=dish.sauce,
        sauce_m3=dish.sauce_m3,
        ahead=dish.ahead,
        from_freezer=dish.from_freezer,
        parted=dish.parted,
        rubbed=dish.rubbed,
        rub_s=dish.rub_s,
        crackling=dish.crackling,
        pulled_first=dish.pulled_first,
        marinade=dish.marinade,
        marinate_s=dish.marinate_s,
        fat_m=dish.fat_m,
        sear_s=dish.sear_s,
        sear_batches=dish.sear_batches,
        eaters=dish.eaters,
        leftovers=dish.leftovers,
    )


def block_id(dish: Dish, kind: str) -> str:
    """The name of a block of a dish; stays the same whatever moves."""
    return f"{dish.dish_id}:{kind}"


def segment(
    kind: str, span_s: tuple[float, float, float], *lanes: Lane, work: str = "", **params: Param
) -> Segment:
    """A stretch with its range [s]: shortest, likely, longest."""
    return Segment(kind, *span_s, lanes, work, params)


def stretch(dish: Dish, step: Step, kind: str = "") -> Segment:
    """A step of the procedure as a stretch of the day. `kind` names it in calendars, for good."""
    person = IN_PASSING if step.kind == "preheat" else "hands"
    hands = (person,) if step.hands else ()
    pot = (pot_lane(dish),) if step.pot else ()
    low_s, high_s = step.range_s
    said = step.work or step.kind
    return Segment(
        kind or step.kind, low_s, step.likely_s, high_s, (*hands, *pot, *step.needs), said,
        step.params,
    )  # fmt: skip


def pot_lane(dish: Dish) -> Lane:
    """The pot of a dish as a lane."""
    return f"pot:{dish.request.pot.pot_id}"

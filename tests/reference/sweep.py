"""A millimetre at a time through every cut: where the cook time jumps most."""

from collections.abc import Iterator
from dataclasses import dataclass
from functools import cache
from itertools import pairwise

from pneumachron.core.catalog.cuts import Cut, cuts
from pneumachron.core.errors import RequestError
from pneumachron.core.planning.request import resolve
from pneumachron.core.planning.scenarios import first_search
from tests.core.kitchen import cook_request, load

LEAST_MIN = 1.5
"""Shares of less say nothing."""
KILOS = (0.9, 1.6)
COUNTS, SMALL_COUNTS = (1, 2, 4), (8, 16)


@dataclass(frozen=True)
class Step:
    """A millimetre more of a load, and what it does to the minutes."""

    said: str
    way: str
    next_way: str
    thick_m: float
    before_min: float
    after_min: float

    @property
    def moved_min(self) -> float:
        """How far it jumps."""
        return abs(self.after_min - self.before_min)

    @property
    def share(self) -> float:
        """Of the smaller one."""
        return self.moved_min / max(min(self.before_min, self.after_min), LEAST_MIN)


def holds(cut: Cut, kilos: float, count: int) -> Iterator[tuple[float, str, float]]:
    """Thickness [m], way of lying and hold [min], a millimetre at a time."""
    low, high = cut.usual_thickness_m
    for millimetres in range(round(1000 * low), round(1000 * min(1.1 * high, 0.12)) + 1):
        thick = millimetres / 1000.0
        try:
            wanted = cook_request(
                load(cut.cut_id, kilos, thick, count),
                texture=cut.default_texture,
                liquid_style=cut.default_liquid_style,
                release=cut.default_release,
            )
            setup = resolve(wanted)
            hold_min = float(first_search(setup).holds_s()[0]) / 60.0
        except RequestError:
            continue  # no such piece, or it does not fit
        yield thick, f"{setup.arrangement.kind}, {setup.arrangement.rack}", hold_min


def steps(cut: Cut) -> list[Step]:
    """All millimetres of a cut in some loads."""
    found = []
    for kilos in KILOS:
        for count in SMALL_COUNTS if cut.small or cut.blocks else COUNTS:
            row = list(holds(cut, kilos, count))
            said = f"{count} of {kilos:g} kg in all"
            found += [
                Step(said, way, next_way, thick, before, after)
                for (thick, way, before), (_, next_way, after) in pairwise(row)
            ]
    return found


@cache
def largest() -> dict[str, tuple[Step | None, Step | None]]:
    """For each cut the largest step within one way of lying, and across two."""
    found: dict[str, tuple[Step | None, Step | None]] = {}
    for cut_id, cut in cuts().items():
        walked = steps(cut)
        within = [step for step in walked if step.way == step.next_way]
        across = [step for step in walked if step.way != step.next_way]
        found[cut_id] = (
            max(within, key=lambda step: step.moved_min, default=None),
            max(across, key=lambda step: step.moved_min, default=None),
        )
    return found

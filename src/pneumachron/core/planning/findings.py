"""What a plan knows about itself and is worth saying; reasons and cautions are written from it."""

from dataclasses import dataclass

from pneumachron.core.catalog.pots import Pot
from pneumachron.core.planning.likely_range import HoldRange
from pneumachron.core.planning.liquid import Ending
from pneumachron.core.planning.load import Load
from pneumachron.core.planning.request import ResolvedRequest
from pneumachron.core.safety.limits import Safety


@dataclass(frozen=True, slots=True)
class PlanFindings:
    """The figures of a plan. One entry a kind of piece in the tuples."""

    setup: ResolvedRequest
    hold_min: float
    thicker_hold_min: float
    sea_level_hold_min: float
    softer_hold_min: float
    rule_hold_min: float
    range: HoldRange
    ending: Ending
    frozen_extra_min: float
    floor_min: int
    """Least hold that is safe for poultry; 0 without any."""
    warm_up_s: float
    after_hold_share: float
    tenderness_steps: tuple[float, ...]
    dryness_ratios: tuple[float, ...]
    safeties: tuple[Safety, ...]
    slowest: int

    @property
    def load(self) -> Load:
        """The pieces."""
        return self.setup.request.load

    @property
    def pot(self) -> Pot:
        """The pot."""
        return self.setup.request.pot

"""What a conversion is made for: the pot, the household, and what the cook chose."""

from dataclasses import dataclass, field
from typing import Literal, TypeAlias

from pneumachron.core.catalog.cuts import LiquidStyle, ReleaseMethod
from pneumachron.core.catalog.pots import Pot
from pneumachron.core.planning.finish import FinishKind

PlacedWhen: TypeAlias = Literal[
    "season", "sear", "pot", "top", "own_run", "after", "finish", "beside"
]
"""Where a cook may put a food; a cure is never put together line by line."""


@dataclass(frozen=True, slots=True)
class Kitchen:
    """Where it is cooked."""

    pot: Pot
    altitude_m: float
    start_temp_c: float
    metric: bool = True
    taste_ln: tuple[tuple[str, float], ...] = ()
    taste_sd: tuple[tuple[str, float], ...] = ()
    """What the log taught of a cut, as ln dose."""
    log_heat_ratio: float = 1.0
    """The part of the pot's heat that the log found."""


@dataclass(frozen=True, slots=True)
class Choices:
    """What the cook chose besides the answers; None follows the cut."""

    plates: int | None = None
    """For how many instead of the recipe's; the meat follows."""
    liquid_style: LiquidStyle | None = None
    release: ReleaseMethod | None = None
    finish: FinishKind | None = None
    overruled: frozenset[str] = field(default=frozenset())
    """Marks that the cook crossed out."""
    placed: tuple[tuple[int, PlacedWhen], ...] = ()
    """Lines of ingredients that the cook put elsewhere, and where."""


NO_CHOICES = Choices()

"""What the cook wants: a load, a pot, a texture, and how to go about it."""

from dataclasses import dataclass
from typing import Literal, TypeAlias, get_args

from pneumachron.core.catalog.cuts import LiquidStyle, ReleaseMethod
from pneumachron.core.catalog.pots import GAUGE_RANGE_PA, Pot
from pneumachron.core.catalog.racks import Rack
from pneumachron.core.cooker.pot_heat import AfterHold
from pneumachron.core.errors import RequestError
from pneumachron.core.physics.steam import ALTITUDE_RANGE_M
from pneumachron.core.planning.arrangement import arrange
from pneumachron.core.planning.liquid import NO_SAUCE, Filling, Sauce, check_room, fill
from pneumachron.core.planning.load import FROZEN_RANGE_M, Load
from pneumachron.core.planning.lying import ANYHOW, Arrangement, Lying, as_thick_as_m
from pneumachron.core.planning.releases import (
    USUAL_WAIT_S,
    ReleaseChoice,
    after_hold,
    choose_release,
    is_full,
)

Level: TypeAlias = Literal["high", "low"]
LEVELS: tuple[Level, ...] = get_args(Level)


@dataclass(frozen=True, slots=True)
class CookRequest:
    """What the cook wants. What is None is chosen from the cut, the liquid style and the pot.

    `liquid_m3` overrules the usual amount, `gauge_pa` the level, `lying` the engine's way of
    laying it. `wait_s` is only of a timed release, `stay_s` of soaking and keeping warm.

    `later` are further batches, cooked in the same cooker after this load. `pot_start_c` is the
    pot and its liquid when the lid goes on, as cold as the tap when None. `own_hold_min` is a
    time that the cook sets against the engine's.
    """

    load: Load
    pot: Pot
    tenderness_step: float
    liquid_style: LiquidStyle
    release: ReleaseMethod | None
    level: Level
    altitude_m: float
    liquid_m3: float | None = None
    wait_s: float | None = None
    stay_s: float | None = None
    boil_s: float = 0.0
    rack: Rack | None = None
    lying: Lying = ANYHOW
    sauce: Sauce = NO_SAUCE
    foams: bool = False
    gauge_pa: float | None = None
    later: tuple[Load, ...] = ()
    pot_start_c: float | None = None
    own_hold_min: int | None = None
    thin_first: bool = False
    """Of unlike pieces, those that are done first come out, and the rest is cooked on."""
    tempered: bool = False
    """It stands out of the refrigerator before the cooker."""
    parted: bool = False
    """A whole brisket was parted into flat and point for it."""
    log_heat_ratio: float = 1.0
    """The part of the pot's heat that the log found, not a boil test."""

    @property
    def pressure_pa(self) -> float:
        """Gauge pressure of the hold."""
        if self.gauge_pa is not None:
            return self.gauge_pa
        return self.pot.gauge_high_pa if self.level == "high" else self.pot.gauge_low_pa


@dataclass(frozen=True, slots=True)
class ResolvedRequest:
    """A request with everything settled, and how it stands in the pot."""

    request: CookRequest
    arrangement: Arrangement
    filling: Filling
    choice: ReleaseChoice
    """The default release and its reason, taken or not."""
    release: ReleaseMethod
    after: AfterHold

    @property
    def soak_s(self) -> float:
        """How long the meat stays in the open pot before it comes out."""
        return self.after.stand_s if self.release == "soak" else 0.0


def check_frozen(load: Load, arrangement: Arrangement) -> None:
    """Frozen pieces that touch are as thick as what they make together.

    Raises
    ------
    RequestError : together they would stay raw inside for too long.
    """
    most = FROZEN_RANGE_M[1]
    for piece, _ in load.kinds():
        thick = as_thick_as_m(piece, arrangement.covered)
        if piece.frozen and thick > most:
            raise RequestError("frozen_together", "start", thickness_m=thick, most_m=most)


def _stands_alike(request: CookRequest, other: CookRequest) -> bool:
    """Whether the same load lies in the same way in the same pot, with the same liquid."""
    return (
        request.load is other.load
        and request.pot is other.pot
        and (request.liquid_style, request.rack, request.lying)
        == (other.liquid_style, other.rack, other.lying)
        and (request.liquid_m3, request.sauce, request.foams)
        == (other.liquid_m3, other.sauce, other.foams)
    )


def _arrange_and_fill(request: CookRequest) -> tuple[Arrangement, Filling]:
    check_room(request.load, request.pot, request.liquid_style)
    arrangement = arrange(
        request.load, request.pot, request.liquid_style, request.rack, request.lying
    )
    check_frozen(request.load, arrangement)
    filling = fill(
        request.load,
        request.pot,
        request.liquid_style,
        arrangement,
        request.liquid_m3,
        sauce=request.sauce,
        foams=request.foams,
    )
    return arrangement, filling


def resolve(request: CookRequest, like: ResolvedRequest | None = None) -> ResolvedRequest:
    """Check a request, stand its load in the pot and pour the liquid.

    `like` is the setup of a request that may differ in some things only: what the same load does in
    the same pot is taken from it.

    Raises
    ------
    RequestError : the request cannot be met; says at which field and what to do.
    """
    low, high = ALTITUDE_RANGE_M
    if not low <= request.altitude_m <= high:
        raise RequestError("altitude", "altitude", altitude_m=request.altitude_m, most_m=high)
    least, most = GAUGE_RANGE_PA
    if not least <= request.pressure_pa <= most:
        raise RequestError(
            "gauge", "gauge", pressure_pa=request.pressure_pa, least_pa=least, most_pa=most
        )
    if like is not None and _stands_alike(request, like.request):
        arrangement, filling = like.arrangement, like.filling
    else:
        arrangement, filling = _arrange_and_fill(request)
    choice = choose_release(
        request.load.pieces[0].cut,
        filling.fill_ratio,
        foams=request.foams,
        thick_sauce=request.sauce.scorches,
    )
    usual_s = choice.wait_s if request.release is None else USUAL_WAIT_S
    release = request.release or choice.method
    after = after_hold(
        release,
        wait_s=usual_s if request.wait_s is None else request.wait_s,
        stay_s=request.stay_s,
        boil_s=request.boil_s,
        full=is_full(filling.fill_ratio),
    )
    return ResolvedRequest(request, arrangement, filling, choice, release, after)

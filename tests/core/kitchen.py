"""Pots, pieces and cook_requests for the tests of the core."""

from dataclasses import replace

from pneumachron.core.catalog.cuts import LiquidStyle, ReleaseMethod, cut_by_id
from pneumachron.core.catalog.pots import ready_pot
from pneumachron.core.cooker.cook_time import Search
from pneumachron.core.physics.tenderness import TEXTURES, Texture
from pneumachron.core.planning import scenarios
from pneumachron.core.planning.load import Load, make_piece
from pneumachron.core.planning.plan import make_plan
from pneumachron.core.planning.request import CookRequest, resolve

LB_KG = 0.453_592_37
CUP_M3 = 2.365_882_365e-4
FRIDGE_C = 4.0


def load(
    cut: str,
    total_kg: float,
    thickness_m: float | None,
    count: int = 1,
    *,
    footprint_m: tuple[float, float] | None = None,
    membrane: bool | None = None,
    start_c: float = FRIDGE_C,
) -> Load:
    """Alike pieces."""
    piece = make_piece(
        cut_by_id(cut),
        mass_kg=total_kg / count,
        thickness_m=thickness_m,
        length_m=footprint_m and footprint_m[0],
        width_m=footprint_m and footprint_m[1],
        has_membrane=membrane,
        start_temp_c=start_c,
    )
    return Load((piece,) * count)


def cook_request(
    pieces: Load,
    *,
    pot: str = "tenor",
    texture: Texture = "tender",
    liquid_style: LiquidStyle = "short_braise",
    release: ReleaseMethod | None = "natural",
    altitude_m: float = 0.0,
    liquid_m3: float | None = None,
    min_liquid_m3: float | None = None,
    wait_s: float | None = None,
    boil_s: float = 0.0,
    tenderness_step: float | None = None,
) -> CookRequest:
    """A request at sea level unless said otherwise."""
    vessel = ready_pot(pot)
    if min_liquid_m3 is not None:
        vessel = replace(vessel, min_liquid_m3=min_liquid_m3)
    return CookRequest(
        load=pieces,
        pot=vessel,
        tenderness_step=float(TEXTURES.index(texture))
        if tenderness_step is None
        else tenderness_step,
        liquid_style=liquid_style,
        release=release,
        level="high",
        altitude_m=altitude_m,
        liquid_m3=liquid_m3,
        wait_s=wait_s,
        boil_s=boil_s,
    )


def search(wanted: CookRequest) -> Search:
    """The search behind a plan, for what a plan does not tell."""
    setup = resolve(wanted)
    return Search(*scenarios.cases_of(setup), setup.after)


def first_search(wanted: CookRequest) -> Search:
    """The same without the cases that only give range and reasons; five times less work."""
    return scenarios.first_search(resolve(wanted))


def vented_at_once_min(wanted: CookRequest) -> float:
    """How long venting takes when the valve is opened at once, also where no plan would do so."""
    setup = resolve(wanted)
    at_once = replace(setup, after=replace(setup.after, wait_s=0.0))
    hold_s = 60.0 * make_plan(wanted).hold_min
    run = scenarios.first_search(at_once, at_least_s=hold_s).run(hold_s)
    return (run.open_s - run.hold_end_s) / 60.0

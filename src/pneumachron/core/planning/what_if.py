"""What changes if: the same request with one thing different, and what given minutes would do.

Each answer is a whole cook on paper, without the range and the reasons of a plan.
"""

from collections.abc import Callable, Iterable
from dataclasses import dataclass, replace
from functools import partial
from typing import Literal, TypeAlias

import numpy as np

from pneumachron.core.catalog.cuts import LIQUID_STYLES, RELEASE_METHODS
from pneumachron.core.catalog.pots import Pot
from pneumachron.core.cooker.cook_time import MAX_HOLD_S, Search
from pneumachron.core.errors import OutOfRangeError, RequestError
from pneumachron.core.physics.tenderness import TEXTURES
from pneumachron.core.planning.arrangement import arrange
from pneumachron.core.planning.course import value_at
from pneumachron.core.planning.cutting import (
    BONES_A_SECTION,
    Knife,
    bones_of,
    cut_all,
    cut_into,
    remade,
)
from pneumachron.core.planning.load import FREEZER_C, Load
from pneumachron.core.planning.lying import ARRANGEMENT_KINDS, Lying
from pneumachron.core.planning.plan_summary import PlanSummary, cooked, summaries_of, summary_of
from pneumachron.core.planning.request import CookRequest, ResolvedRequest, resolve
from pneumachron.core.planning.scenarios import first_search, texture_reached
from pneumachron.core.planning.two_cycles import TwoCycles, two_cycles

AlternativeKind: TypeAlias = Literal[
    "halved",
    "quartered",
    "sections",
    "frozen",
    "release",
    "texture",
    "liquid_style",
    "level",
    "pot",
    "lying",
]


@dataclass(frozen=True, slots=True)
class Alternative:
    """One thing changed. Either `answer` or `trouble` is there. `value` says what it became."""

    kind: AlternativeKind
    value: str
    answer: PlanSummary | None
    trouble: RequestError | None


def quick_summary(request: CookRequest) -> PlanSummary:
    """The hold and the total of a request.

    Raises
    ------
    RequestError : the request cannot be met.
    """
    return summary_of(resolve(request))


def summary_for_minutes(request: CookRequest, hold_min: int) -> PlanSummary:
    """What a given number of minutes would make of this load.

    Raises
    ------
    OutOfRangeError : below zero or above twelve hours.
    RequestError : the request cannot be met.
    """
    setup, search = _for_minutes(request, hold_min)
    return cooked([setup], search, np.array([float(hold_min)]))[0]


def steps_for_minutes(request: CookRequest, hold_min: int) -> tuple[float, ...]:
    """Where a given number of minutes takes each kind of a load on the ladder.

    Raises
    ------
    As `summary_for_minutes`.
    """
    setup, search = _for_minutes(request, hold_min)
    _, dose, _ = search.openings(np.array([60.0 * hold_min]))
    pairs = zip(setup.request.load.kinds(), dose[0], strict=True)
    return tuple(texture_reached(piece, float(kind)) for (piece, _), kind in pairs)


def _for_minutes(request: CookRequest, hold_min: int) -> tuple[ResolvedRequest, Search]:
    if not 0 <= hold_min <= MAX_HOLD_S / 60.0:
        raise OutOfRangeError("hold", hold_min, 0.0, MAX_HOLD_S / 60.0, "min")
    setup = resolve(request)
    return setup, first_search(setup, at_least_s=60.0 * hold_min)


Change: TypeAlias = tuple[AlternativeKind, str, Callable[[], CookRequest]]
"""One thing changed: what, to what, and the request it makes."""


def what_changes(request: CookRequest, other_pots: Iterable[Pot] = ()) -> tuple[Alternative, ...]:
    """The same request with one thing different at a time."""
    found: dict[int, Alternative] = {}
    setups: dict[int, ResolvedRequest] = {}
    here = resolve(request)
    changes = [*_knife(request), *_variants(here, tuple(other_pots))]
    for index, (kind, value, change) in enumerate(changes):
        try:
            setups[index] = resolve(change(), here)
        except RequestError as error:
            found[index] = Alternative(kind, value, None, error)
    for index, answer in zip(setups, summaries_of(list(setups.values())), strict=True):
        kind, value, _ = changes[index]
        if isinstance(answer, RequestError):
            found[index] = Alternative(kind, value, None, answer)
        else:
            found[index] = Alternative(kind, value, answer, None)
    return tuple(found[index] for index in range(len(changes)))


def what_changes_in_two(
    request: CookRequest, other_pots: Iterable[Pot] = ()
) -> tuple[Alternative, ...]:
    """The same for unlike pieces in two runs; what is done together then takes one."""
    found: list[Alternative] = []
    here = resolve(request)
    for kind, value, change in [*_knife(request), *_variants(here, tuple(other_pots))]:
        try:
            changed = change()
            cycles = two_cycles(changed)
            answer = quick_summary(changed) if cycles is None else _in_two(cycles)
        except RequestError as error:
            found.append(Alternative(kind, value, None, error))
        else:
            found.append(Alternative(kind, value, answer, None))
    return tuple(found)


def _in_two(cycles: TwoCycles) -> PlanSummary:
    early, after = cycles.early, cycles.setup.after
    slowest = min(range(len(early.stays)), key=lambda i: early.tenderness_steps[early.stays[i]])
    core_c = value_at(cycles.last, cycles.last.core_c[slowest], cycles.last.open_s)
    return PlanSummary(
        hold_min=early.first_min,
        lid_on_to_open_s=early.done_s,
        done_s=early.done_s + after.boil_s + cycles.setup.soak_s,
        tenderness_step=min(early.tenderness_steps),
        core_at_open_c=core_c,
        then_min=early.second_min,
    )


def _knife(request: CookRequest) -> Iterable[Change]:
    """Cut smaller, or from the freezer; only what is not so already."""
    yield "halved", "2", lambda: cut_into(request, 2)
    yield "quartered", "4", lambda: cut_into(request, 4)
    if any(bones_of(piece) >= 2 * BONES_A_SECTION for piece in request.load.pieces):
        yield "sections", str(BONES_A_SECTION), lambda: cut_all(request, Knife("sections"))
    if not any(piece.frozen for piece in request.load.pieces):
        yield "frozen", "frozen", lambda: _from_the_freezer(request)


def _from_the_freezer(request: CookRequest) -> CookRequest:
    pieces = tuple(remade(piece, start_temp_c=FREEZER_C) for piece in request.load.pieces)
    return replace(request, load=Load(pieces))


def _variants(setup: ResolvedRequest, other_pots: tuple[Pot, ...]) -> Iterable[Change]:
    # another liquid style or pot takes its own amount of liquid, not the one chosen for this
    request = setup.request
    free = replace(request, liquid_m3=None)
    current = setup.release
    for release in RELEASE_METHODS:
        if release != current:
            yield "release", release, partial(replace, request, release=release)
    step = round(request.tenderness_step)
    for other in (step - 1, step + 1):
        if 0 <= other < len(TEXTURES):
            yield (
                "texture",
                TEXTURES[other],
                partial(replace, request, tenderness_step=float(other)),
            )
    for liquid_style in LIQUID_STYLES:
        # the lean liquid style is the cook's own choice, never offered
        if liquid_style not in {request.liquid_style, "lean"}:
            yield (
                "liquid_style",
                liquid_style,
                partial(replace, free, liquid_style=liquid_style, rack=None),
            )
    level: Literal["high", "low"] = "low" if request.level == "high" else "high"
    yield "level", level, partial(replace, request, level=level, gauge_pa=None)
    for way in ARRANGEMENT_KINDS:
        lying = Lying(way, request.lying.touching)
        if way not in {setup.arrangement.kind, "one"} and _lies(replace(request, lying=lying)):
            yield "lying", way, partial(replace, request, lying=lying)
    for pot in other_pots:
        yield "pot", pot.name, partial(replace, free, pot=pot)


def _lies(request: CookRequest) -> bool:
    try:
        arrange(request.load, request.pot, request.liquid_style, request.rack, request.lying)
    except RequestError:
        return False
    return True

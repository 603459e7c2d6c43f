"""Two cooks laid together: what is not the same about them."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import TypeAlias

from pneumachron.core.errors import Param
from pneumachron.core.message import Message
from pneumachron.core.physics.tenderness import TEXTURES, Texture
from pneumachron.core.procedure.cook_plan import CookPlan
from pneumachron.core.session.piece_traces import kind_names
from pneumachron.core.session.pieces import Rated, rated_pieces
from pneumachron.core.session.sheet import Sheet
from pneumachron.core.units import Shown, show_length, show_mass, show_volume

TOP_SHARE = 0.85
"""Of the highest pressure of a trace: from here on it counts as at pressure. Judgement: above the
ripple of a heater that switches, below the hold."""
LEAST_TOP_PA = 10_000.0
"""A trace that never rises above this was not under pressure; half of a low setting."""


@dataclass(frozen=True, slots=True)
class Cooked:
    """A cook that can be laid beside another one."""

    plan: CookPlan
    sheet: Sheet
    pot_name: str
    set_min: int
    up_s: float | None = None
    """From the start of heating to pressure; None: nobody knows."""
    yield_ratio: float | None = None


@dataclass(frozen=True, slots=True)
class KindsIn:
    """How many of each kind lay in the pot."""

    names: tuple[Message, ...]
    counts: tuple[int, ...]


@dataclass(frozen=True, slots=True)
class CameOut:
    """How the pieces were rated: of each its kind, number and mark, and its texture."""

    names: tuple[Message, ...]
    family: str
    rated: tuple[tuple[Rated, Texture | None], ...]


Finding: TypeAlias = Message | KindsIn | CameOut
"""A side of a difference."""


@dataclass(frozen=True, slots=True)
class Difference:
    """Something that is not the same about two cooks; `about` is a message `differs-…`."""

    about: str
    first: Finding
    then: Finding


def differences(one: Cooked, other: Cooked) -> tuple[Difference, ...]:
    """What is not the same, in the order of what matters most; what is not known of both is left.

    Two measures count as different when they read differently.
    """
    pairs = zip(_told(one), _told(other), strict=True)
    return tuple(
        Difference(f"differs-{about}", first[0], then[0])
        for (about, first), (_, then) in pairs
        if first is not None and then is not None and first[1] != then[1]
    )


def to_pressure_s(ink: Sequence[tuple[float, float]]) -> float | None:
    """From the start of heating until it was at pressure. None: it never was.

    Parameters
    ----------
    ink : what happened: s from the start of heating, gauge pressure [Pa]
    """
    top = max((gauge for _, gauge in ink), default=0.0)
    if top < LEAST_TOP_PA:
        return None
    return next(at for at, gauge in ink if gauge >= TOP_SHARE * top)


def _told(cook: Cooked) -> list[tuple[str, tuple[Finding, object] | None]]:
    """What is told of a cook, each with what has to be equal to read the same."""
    request, numbers = cook.plan.request, cook.plan.numbers
    kinds = request.load.kinds()
    counts = tuple(count for _, count in kinds)
    mass_kg = sum(count * piece.mass_kg for piece, count in kinds)
    thickest_m = max(piece.thickness_m for piece, _ in kinds)
    family = kinds[0][0].cut.family
    kilopascal = round(numbers.gauge_pa / 1000.0)
    texture = TEXTURES[round(request.tenderness_step)]
    return [
        ("set", _said("differs-minutes", time_min=cook.set_min)),
        ("came_out", _as_is(_came_out(cook, family))),
        ("wished", _said("differs-texture", family=family, texture=texture)),
        ("pieces", _as_is(KindsIn(kind_names(request.load), counts))),
        ("weight", _measured("differs-mass", show_mass(mass_kg), mass_kg=mass_kg)),
        ("thickest", _measured("differs-length", show_length(thickest_m), length_m=thickest_m)),
        ("pot", _said("differs-name", name=cook.pot_name)),
        ("pressure", _said("differs-gauge", gauge_pa=1000.0 * kilopascal)),
        ("liquid", _measured("differs-volume", show_volume(numbers.wet_m3),
                             volume_m3=numbers.wet_m3)),
        ("release", _said("differs-way_out", release=numbers.release)),
        ("runs", _said("differs-count", count=len(cook.sheet.marks))),
        ("to_pressure", None if cook.up_s is None
            else _said("differs-duration", time_s=60 * round(cook.up_s / 60.0))),
        ("yield", None if cook.yield_ratio is None
            else _said("differs-share", share=round(cook.yield_ratio, 2))),
    ]  # fmt: skip


def _came_out(cook: Cooked, family: str) -> CameOut:
    pieces = () if cook.sheet.outcome is None else cook.sheet.outcome["pieces"]
    textures = [piece.get("texture") or None for piece in pieces]
    rated = zip(rated_pieces(pieces), textures, strict=True)
    return CameOut(kind_names(cook.plan.request.load), family, tuple(rated))


def _as_is(told: KindsIn | CameOut) -> tuple[Finding, object]:
    return told, told


def _said(code: str, **params: Param) -> tuple[Finding, object]:
    return Message(code, params), params


def _measured(code: str, shown: Shown, **params: Param) -> tuple[Finding, object]:
    return Message(code, params), shown

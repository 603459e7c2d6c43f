"""Two cooks laid together: what is not the same about them, in words."""

from collections.abc import Sequence
from dataclasses import dataclass

from pneumachron.core.cook.along import kind_names
from pneumachron.core.cook.cook_plan import CookPlan
from pneumachron.core.cook.pieces import piece_names
from pneumachron.core.cook.sheet import Sheet
from pneumachron.core.tenderness import TEXTURE_WORDS, TEXTURES
from pneumachron.core.units import Shown, show_length, show_mass, show_volume

TOP_SHARE = 0.85
"""Of the highest pressure of a trace: from here on it counts as at pressure. Judgement: above the
ripple of a heater that switches, below the hold."""
LEAST_TOP_PA = 10_000.0
"""A trace that never rises above this was not under pressure; half of a low setting."""
RELEASE_NAMES = {
    "natural": "by itself",
    "timed": "vented after a wait",
    "quick": "vented at once",
    "soak": "vented and soaked",
    "keep_warm": "by itself, kept warm",
}


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
class Difference:
    """Something that is not the same about two cooks."""

    about: str
    first: Shown
    then: Shown


def differences(one: Cooked, other: Cooked) -> tuple[Difference, ...]:
    """What is not the same, in the order of what matters most; what is not known of both is left.

    Two measures count as different when they read differently.
    """
    pairs = zip(_told(one), _told(other), strict=True)
    return tuple(
        Difference(about, first, then)
        for (about, first), (_, then) in pairs
        if first is not None and then is not None and first != then
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


def _told(cook: Cooked) -> list[tuple[str, Shown | None]]:
    wish, numbers = cook.plan.wish, cook.plan.numbers
    kinds = wish.load.kinds()
    named = zip(kind_names(wish.load), (count for _, count in kinds), strict=True)
    thickest_m = max(piece.thickness_m for piece, _ in kinds)
    wished = TEXTURE_WORDS[TEXTURES[round(wish.texture_step)]]
    share = cook.yield_ratio
    return [
        ("set", _same(_panel(cook.set_min))),
        ("came out", _same(_came_out(cook))),
        ("wished", _same(wished)),
        ("pieces", _same("; ".join(f"{count} × {name}" for name, count in named))),
        ("weight", show_mass(sum(count * piece.mass_kg for piece, count in kinds))),
        ("thickest", show_length(thickest_m)),
        ("pot", _same(cook.pot_name)),
        ("pressure", _same(f"{numbers.gauge_pa / 1000:.0f} kPa")),
        ("liquid", show_volume(numbers.wet_m3)),
        ("release", _same(RELEASE_NAMES[numbers.release])),
        ("runs", _same(str(len(cook.sheet.marks)))),
        ("to pressure", None if cook.up_s is None else _same(_spoken(cook.up_s / 60.0))),
        ("yield", None if share is None else _same(f"{100 * share:.0f} %")),
    ]


def _came_out(cook: Cooked) -> str:
    pieces = () if cook.sheet.outcome is None else cook.sheet.outcome["pieces"]
    if not pieces:
        return "not judged"
    rungs = [
        TEXTURE_WORDS[piece["texture"]] if piece.get("texture") else "not judged"
        for piece in pieces
    ]
    if len(set(rungs)) == 1:
        return rungs[0]
    named = zip(piece_names(pieces, kind_names(cook.plan.wish.load)), rungs, strict=True)
    return "; ".join(f"{name}: {rung}" for name, rung in named)


def _same(text: str) -> Shown:
    return Shown(text, text)


def _panel(minutes: int) -> str:
    hours, rest = divmod(minutes, 60)
    return f"{hours}:{rest:02d}"


def _spoken(minutes: float) -> str:
    hours, rest = divmod(round(minutes), 60)
    words = [f"{hours} h"] * (hours > 0) + [f"{rest} min"] * (rest > 0 or hours == 0)
    return " ".join(words)

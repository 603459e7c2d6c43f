"""Cuts that are cooked in two ways; a cook who has not said which is asked."""

from dataclasses import dataclass
from typing import Literal, TypeAlias

from pneumachron.core.catalog.cuts import Cut
from pneumachron.core.physics.tenderness import Texture
from pneumachron.core.planning.finish import FinishKind

HabitCode: TypeAlias = Literal["braised", "crisped"]


@dataclass(frozen=True, slots=True)
class Habit:
    """One of the ways, and what is set for it; what is None is left to the engine."""

    code: HabitCode
    my_minutes: int | None = None
    texture: Texture | None = None
    finish: FinishKind | None = None


def habits_of(cut: Cut) -> tuple[Habit, ...]:
    """Both ways of a cut that has two: braised soft, or warmed through and then crisped."""
    if cut.crisped_hold_min is None:
        return ()
    crisped = Habit("crisped", my_minutes=cut.crisped_hold_min, finish="broiler")
    return Habit("braised", texture=cut.default_texture), crisped

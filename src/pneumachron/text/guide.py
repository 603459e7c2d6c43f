"""The Guide: what a cook looks up, part by part, for whoever reads."""

from dataclasses import dataclass

from pneumachron.text.reader import READING
from pneumachron.text.render import has_message
from pneumachron.text.say import say

PARTS: dict[str, tuple[str, ...]] = {
    "lid": ("liquid", "gasket", "valve", "force"),
    "release": ("jet", "full", "open"),
    "measure": ("thickness", "matters", "tapered"),
    "looks": ("early", "lean"),
    "cautions": ("center", "danger_zone", "cool", "fill", "minimum", "after", "raw", "frozen",
                 "leak"),
    "number": ("cooker", "meat", "tenderness", "fitted"),
    "convert": ("paste", "minutes", "moves"),
    "schedule": ("serve", "shared", "lock"),
    "cook": ("step", "timers", "dishes", "remote"),
    "trouble": ("no_pressure", "hot", "power", "not_done"),
    "log": ("entry", "compare", "correct", "adjust", "files"),
    "words": ("come_up", "cook_time", "pin", "thickness", "brisket", "short_ribs", "shoulder",
              "membrane", "deglaze", "slurry", "range"),
}  # fmt: skip
"""Parts in the order of the page, and the lines of each: messages `guide-part-line`."""


@dataclass(frozen=True, slots=True)
class GuideLine:
    """A line, what it is about and who says so; empty where that is plain."""

    term: str
    text: str
    source: str


@dataclass(frozen=True, slots=True)
class GuidePart:
    """A part of the Guide."""

    part: str
    title: str
    lines: tuple[GuideLine, ...]


def guide() -> tuple[GuidePart, ...]:
    """All of it, for whoever reads."""
    return tuple(
        GuidePart(part, say(f"guide-{part}"), tuple(_line(f"guide-{part}-{one}") for one in lines))
        for part, lines in PARTS.items()
    )


def _line(code: str) -> GuideLine:
    return GuideLine(_beside(code, "term"), say(code), _beside(code, "source"))


def _beside(code: str, part: str) -> str:
    name = f"{code}.{part}"
    return say(name) if has_message(name, READING.get()) else ""

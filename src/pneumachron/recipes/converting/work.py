"""What the steps are written from, and how a sentence is said."""

import re
from collections.abc import Iterable
from dataclasses import dataclass

from pneumachron.core.errors import Param
from pneumachron.core.message import Message
from pneumachron.core.planning.finish import Finish
from pneumachron.core.planning.plan import Plan
from pneumachron.recipes.converting.load import Portioned
from pneumachron.recipes.converting.marks import OutLine, OwnWords, When
from pneumachron.recipes.understanding.ingredients import foods_named
from pneumachron.recipes.understanding.naming import referring_lines
from pneumachron.recipes.understanding.understand import Understood


@dataclass(frozen=True, slots=True)
class Work:
    """All that the steps are written from."""

    understood: Understood
    plan: Plan
    portioned: Portioned
    lines: tuple[OutLine, ...]
    finish: Finish
    sears: bool
    marinades: bool
    in_marinade: frozenset[int]
    """Lines of the recipe that the raw meat lies in."""
    boils_marinade: bool
    """There is liquid of the marinade left that had raw meat in it."""
    throws_marinade: bool
    """The recipe throws away what is left of it."""
    kept: tuple[OwnWords, ...]
    """Steps that stay in their own words."""
    cures: tuple[str, ...]
    """Steps of a cure or brine, in their own words and their own order, before everything else."""

    def of(self, when: When) -> list[OutLine]:
        """The lines of a stage."""
        return [line for line in self.lines if line.when == when]

    def names(self, *whens: When) -> str:
        """Names of the lines of some stages, a line each; empty when there are none."""
        told = referring_lines(self.understood)
        lines = (
            line for line in self.lines
            if line.when in whens and line.food.kind != "meat" and line.origin not in told
        )  # fmt: skip
        return listed(told_whole(line) for line in lines)


def told_whole(line: OutLine) -> str:
    """What a step calls a line; what is served may be several things, and is told whole."""
    # “8 hoagie rolls, provolone, giardiniera”
    several = line.amount is None or bool(foods_named(line.aside))
    several = several and line.when == "beside" and line.prepared is None
    others = _TO_SERVE.sub("", line.aside).strip(" ,") if several else ""
    return f"{line.called}, {others}" if others else line.called


_TO_SERVE = re.compile(
    r"(?:^|,\s*)(?:to|for) (?:serv|garnish|finish|top|taco|sandwich|bun|roll)\w*(?=,|$)", re.I
)


def listed(names: Iterable[str]) -> str:
    """Names as one parameter: each once, a line each; `text` makes a list in words of it."""
    return "\n".join(dict.fromkeys(names))


def own_words(text: str) -> Message:
    """A step of the recipe as it was written."""
    return Message("convert-own_words", {"own": text})


def say(code: str, **params: Param) -> Message:
    """A sentence of a converted step."""
    return Message(f"convert-{code}", params)


def minutes_of(span_s: tuple[float, float]) -> tuple[float, float]:
    """A span [s] in minutes."""
    return span_s[0] / 60.0, span_s[1] / 60.0


_SIMMERED_OFF = frozenset({"prepared-simmered", "prepared-boiled_off"})


def is_simmered_off(line: OutLine) -> bool:
    """Wine, beer or spirits: they are poured in and simmered, not softened."""
    return line.prepared is not None and line.prepared.code in _SIMMERED_OFF

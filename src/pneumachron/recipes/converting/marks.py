"""What a conversion is made of: lines with their place in the work, and the pencil marks."""

import re
from collections.abc import Callable
from dataclasses import dataclass
from typing import Literal, TypeAlias, get_args

from pneumachron.core.constants import SourceKind
from pneumachron.core.message import Message
from pneumachron.recipes.converting.amounts import amount_text
from pneumachron.recipes.converting.rule_table import Does, rules
from pneumachron.recipes.understanding.ingredients import Food

When: TypeAlias = Literal[
    "cure", "season", "first_run", "sear", "pot", "top", "own_run", "after", "finish", "beside"
]
WHENS: tuple[When, ...] = get_args(When)
Say: TypeAlias = Callable[[Message], str]
"""Makes a sentence of a message."""


ONE = 1.05
"""Up to so much is one: “1 orange”."""


def singular(name: str, words: str) -> str:
    """A name that speaks of one of its food, where the recipe had several: “oranges”."""
    return re.sub(rf"\b({re.escape(words)})(?:es|s)\b", r"\1", name, flags=re.I) if words else name


_OF_FRUIT = re.compile(
    r"(?:finely |freshly )?(?:(?:grated )?(?:zest(?:ed)?|rind)(?:(?: and| &|,) juiced?)?(?: only)?"
    r"|juiced?(?: (?:and|&) zest(?:ed)?| only)?)|(?P<german>saft(?: und abrieb)?|abrieb)",
    re.I,
)
"""“Juice”, “zest and juice”, “juiced”: what is taken of a fruit."""
_DONE_TO_FRUIT = re.compile(r"\b(?:juiced|zested)\b", re.I)
_PART_OF_FRUIT = {"juiced": "juice", "zested": "zest"}


@dataclass(frozen=True, slots=True)
class OutLine:
    """An ingredient of the converted recipe. `origin` is its line in the original, or none."""

    origin: int | None
    when: When
    amount: tuple[float, float] | None
    unit: str
    name: str
    aside: str
    food: Food
    prepared: Message | None = None
    """What is done with it first, instead of what the recipe says."""

    @property
    def called(self) -> str:
        """What a step calls it: of a fruit, the juice or the zest that the recipe takes."""
        taken = _OF_FRUIT.fullmatch(self.aside) if self.food.kind == "acid" else None
        if taken is None:
            return self.name
        german = taken["german"] is not None
        part = _DONE_TO_FRUIT.sub(lambda done: _PART_OF_FRUIT[done[0].lower()], self.aside)
        return f"{part} {'von' if german else 'of'} {self.name}"

    def text(self, say: Say) -> str:
        """As it is written."""
        head = "" if self.amount is None else amount_text(*self.amount, self.unit) + " "
        aside = self.aside if self.prepared is None else say(self.prepared)
        one = self.amount is not None and not self.unit and self.amount[1] <= ONE
        name = singular(self.name, self.food.words) if one else self.name
        return f"{head}{name}".rstrip() + (f", {aside}" if aside else "")


@dataclass(frozen=True, slots=True)
class OutStep:
    """A step of the converted recipe, in the order of work."""

    kind: str
    said: tuple[Message, ...]
    """Its sentences, in order."""
    minutes: tuple[float, float] | None = None


@dataclass(frozen=True, slots=True)
class OwnWords:
    """A step that stays as it was written; a glaze is made before it is brushed on."""

    text: str
    before_finish: bool
    before_heat: bool
    """The recipe does it before the meat is on the heat, and so do we."""
    before_rub: bool = False
    """The meat is rubbed or soaked with it afterwards."""
    serves: bool = False
    """It serves the carved meat: only what is put away comes after it."""
    at_first: bool = False
    """It does it before anything is browned or softened."""


@dataclass(frozen=True, slots=True)
class Mark:
    """One pencil mark. `before` is empty for what is added."""

    mark_id: str
    rule: str
    does: Does
    where: Literal["ingredient", "step"]
    index: int | None
    before: str
    after: str | tuple[OutLine, ...]
    """What a step says now, or the lines that an ingredient has become; empty when struck."""
    reason: Message
    source_kind: SourceKind
    overruled: bool = False
    step: int | None = None
    """In which of our steps it is done, from 1."""

    @property
    def caution(self) -> Message | None:
        """What to mind, when it is overruled and something can go wrong."""
        cautious = self.overruled and rules()[self.rule].cautious
        return Message(f"mark-{self.rule}.caution") if cautious else None

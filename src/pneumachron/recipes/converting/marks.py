"""What a conversion is made of: lines with their place in the work, and the pencil marks."""

from dataclasses import dataclass
from typing import Literal, TypeAlias, get_args

from pneumachron.core.constants import SourceKind
from pneumachron.core.message import Message
from pneumachron.recipes.converting.amounts import amount_text
from pneumachron.recipes.converting.rule_table import Does
from pneumachron.recipes.understanding.ingredients import Food

When: TypeAlias = Literal[
    "cure", "season", "sear", "pot", "top", "own_run", "after", "finish", "beside"
]
WHENS: tuple[When, ...] = get_args(When)
WHEN_WORDS: dict[When, str] = {
    "cure": "for the cure or brine, in its own order",
    "season": "to season",
    "sear": "to brown and start with",
    "pot": "in the pot",
    "top": "on top of the meat, last",
    "own_run": "in a run of its own",
    "after": "after pressure",
    "finish": "with the finish",
    "beside": "beside it",
}


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

    @property
    def text(self) -> str:
        """As it is written."""
        head = "" if self.amount is None else amount_text(*self.amount, self.unit) + " "
        return f"{head}{self.name}" + (f", {self.aside}" if self.aside else "")


@dataclass(frozen=True, slots=True)
class OutStep:
    """A step of the converted recipe, in the order of work."""

    kind: str
    said: tuple[Message, ...]
    """Its sentences, in order."""
    minutes: tuple[float, float] | None = None


@dataclass(frozen=True, slots=True)
class Mark:
    """One pencil mark. `before` is empty for what is added, `after` for what is struck."""

    mark_id: str
    rule: str
    does: Does
    where: Literal["ingredient", "step"]
    index: int | None
    before: str
    after: str
    reason: str
    source_kind: SourceKind
    overruled: bool = False
    caution: str = ""
    """Only when it is overruled and something can go wrong."""

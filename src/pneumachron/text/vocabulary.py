"""The vocabulary: the app's words for the choices of the trade, by group and code."""

from dataclasses import dataclass, replace
from typing import get_args

from pneumachron.core.catalog.cuts import LIQUID_STYLES, RELEASE_METHODS
from pneumachron.core.catalog.pots import Pot, ready_pot, ready_pots
from pneumachron.core.catalog.racks import RACK_KINDS
from pneumachron.core.constants import SourceKind
from pneumachron.core.physics.tenderness import Texture
from pneumachron.core.planning.course import PhaseKind
from pneumachron.core.planning.finish import FINISHES
from pneumachron.core.planning.lying import ARRANGEMENT_KINDS
from pneumachron.core.planning.other_methods import OTHER_METHODS
from pneumachron.core.planning.season import MARINADES
from pneumachron.recipes.converting.marks import WHENS
from pneumachron.text.reader import LOCALES, READING, Reader
from pneumachron.text.render import has_message, render, tenderness_words
from pneumachron.text.say import say

GROUPS: dict[str, tuple[str, ...]] = {
    "style": LIQUID_STYLES,
    "release": RELEASE_METHODS,
    "cooker": tuple(ready_pots()),
    "rack": RACK_KINDS,
    "phase": get_args(PhaseKind),
    "source": get_args(SourceKind),
    "marinade": MARINADES,
    "method": (*OTHER_METHODS, "stovetop_pressure", "pressure"),
    "finish": FINISHES,
    "lying": ARRANGEMENT_KINDS,
    "when": WHENS,
}
"""What there are words for: messages `group-code`, `.says` for what explains it."""


@dataclass(frozen=True, slots=True)
class Word:
    """A word, and a line that explains it, where there is one."""

    name: str
    says: str


def vocabulary() -> dict[str, dict[str, Word]]:
    """All words for whoever reads, by group and code."""
    return {
        group: {code: _word(f"{group}-{code.replace(' ', '_')}") for code in codes}
        for group, codes in GROUPS.items()
    }


def by_its_size(pot: Pot) -> Pot:
    """A ready pot, called by its size in the reader's words."""
    return replace(pot, name=say(f"cooker-{pot.pot_id}"))


def ready_cooker(ready_id: str) -> Pot:
    """A ready pot by its id, called by its size.

    Raises
    ------
    RequestError : no such pot.
    """
    return by_its_size(ready_pot(ready_id))


def called_there(name: str, ready_id: str, reader: Reader) -> str:
    """What a cooker that bears its size is called by another reader; any other name stays."""
    if ready_id not in GROUPS["cooker"]:
        return name
    other = render(f"cooker-{ready_id}", {}, reader)
    for locale in LOCALES:
        size = render(f"cooker-{ready_id}", {}, replace(reader, locale=locale))
        if name == size or name.endswith(f", {size}"):  # behind a nickname
            return name.removesuffix(size) + other
    return name


def _word(code: str) -> Word:
    says = f"{code}.says"
    return Word(say(code), say(says) if has_message(says, READING.get()) else "")


def say_tenderness(texture: Texture, family: str) -> str:
    """The word for a step of tenderness of a family of cuts."""
    return tenderness_words(family, texture, READING.get())

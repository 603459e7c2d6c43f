"""Which animal a line of ingredients or a title speaks of, and whether it is one we cook.

Cut names are shared: lamb has a shoulder, veal a brisket, beef has back ribs. A cut is only
believed with its own animal or with none; any other animal, or two meats, is asked about.
"""

import re
from dataclasses import dataclass

from pneumachron.recipes.understanding.ingredients import Ingredient, Kind
from pneumachron.recipes.understanding.patterns import any_of

_ANIMALS: tuple[tuple[str, re.Pattern[str]], ...] = (
    ("beef", any_of(r"\bbeef\b", r"\bsteer\b", r"\bwagyu\b", r"\bchuck\b",
                    r"\bprime rib\b", r"\bstanding rib\b",
                    r"\boxtails?\b")),
    ("veal", any_of(r"\bveal\b")),
    ("pork", any_of(r"\bpork\b", r"\bpig\b", r"\bhog\b", r"\bgammon\b")),
    ("beef", any_of(r"(?<!collar )\bsteaks?\b(?! sauce| seasoning)")),
    ("wild boar", any_of(r"\bboar\b")),
    ("lamb", any_of(r"\blamb\b", r"\bmutton\b", r"\bhogget\b")),
    ("goat", any_of(r"\bgoat\b(?![- ]?cheese)", r"\bkid goat\b")),
    ("venison", any_of(r"\bvenison\b", r"\bdeer\b", r"\belk\b", r"\bmoose\b")),
    ("bison", any_of(r"\bbison\b", r"\bbuffalo meat\b")),
    ("rabbit", any_of(r"\brabbit\b", r"\bhare\b")),
    ("chicken", any_of(r"\bchickens?\b", r"\bhen\b", r"\bpoussin\b")),
    ("turkey", any_of(r"\bturkey\b")),
    ("duck", any_of(r"\bducks?\b", r"\bgoose\b", r"\bgeese\b")),
    ("fish", any_of(r"\bsalmon\b", r"\bcod\b", r"\btuna\b", r"\bmonkfish\b", r"\bfish (?!sauce)",
                    r"\bprawns?\b", r"\bshrimps?\b", r"\bmussels?\b")),
)  # fmt: skip
FAMILY_ANIMALS: dict[str, tuple[str, ...]] = {
    "ribs": ("pork",),
    "brisket": ("beef",),
    "short ribs": ("beef",),
    "shoulder": ("pork",),
    "wings": ("chicken",),
}
"""Whose meat the fitted numbers are for."""
_WHOLE_BIRD = any_of(r"\bwhole (chicken|bird|turkey|duck|hen)\b(?! wings?)",
                     r"\b(chicken|turkey|duck) (breasts?|thighs?|legs?|drumsticks?)\b")  # fmt: skip
_NO_MEAT: frozenset[Kind] = frozenset({
    "thin", "stock", "sweet_thin", "salty_thin", "acid", "wine", "beer", "spirit", "chilli",
    "sweet_sauce", "sugar", "sugar_thick", "thick", "foaming_thick", "flour", "starch", "dairy",
    "fat", "binder", "spice", "salt", "rub", "baking", "dried_herb", "woody_herb", "fresh_herb",
    "root", "aromatic", "tender_veg", "foaming", "smoke_wood", "smoke_liquid", "cure",
    "tool",
})  # fmt: skip
"""Chicken stock is no chicken, and a rib of celery no rib."""
_NO_RIB = any_of(r"\bcelery\b", r"\bchard\b", r"\bcabbage\b", r"\bcardoon\b", r"\brib[- ]?eye\b",
                 r"\bfor (the )?ribs?\b", r"\brib (rub|sauce|glaze|seasoning)\b")  # fmt: skip


def animal_in(text: str) -> str | None:
    """The animal that a text names; None when it names none."""
    told = _WITHOUT.sub("", text)
    return next((name for name, pattern in _ANIMALS if pattern.search(told)), None)


_WITHOUT = re.compile(r"\b\w+[- ]free\b|\b(?:no|not|instead of|without(?: the)?) \w+", re.I)
"""“Pork-free”, “instead of lamb”: an animal that is not in it."""


def is_meat_line(item: Ingredient) -> bool:
    """Whether a line may be the meat: not a stock of it, a rub for it, or a vegetable's rib."""
    return item.kind not in _NO_MEAT and not _NO_RIB.search(item.line.raw)


@dataclass(frozen=True, slots=True)
class OtherMeat:
    """A line with meat that the app does not plan, or a second one beside what it plans."""

    index: int
    text: str


def belongs(family: str, text: str) -> bool:
    """Whether a cut of a family may be what a text speaks of."""
    animal = animal_in(text)
    if _WHOLE_BIRD.search(text):
        return False
    return animal is None or animal in FAMILY_ANIMALS[family]


def is_other_meat(item: Ingredient) -> bool:
    """Whether a line is a main meat of another kind: a joint, a bird, a fish; not a rasher."""
    if item.kind in _NO_MEAT or item.kind == "other_meat" or _TRIMMINGS.search(item.line.raw):
        return False
    return animal_in(item.line.raw) is not None


_TRIMMINGS = any_of(
    r"\b(?:neck|soup|stock|marrow|pork|beef|ham|pig) bones\b",
    r"\b(rinds?|skins?|trotters?|fat|feet)\b(?!.*\b(on|cap)\b)",
)
"""“1 pork rind”, “1 lb neck bones” for the broth: no second joint."""

"""Which of several foods with one word in their names a text means: “sugar”, “brown sugar”."""

import re
from collections.abc import Iterable, Iterator, Sequence
from dataclasses import dataclass, replace
from functools import lru_cache

from pneumachron.recipes.understanding.ingredients import Ingredient
from pneumachron.recipes.understanding.understand import Understood

_BEHIND = re.compile(
    r"(?:edelsü(?:ß|ss)|rosenscharf|gemahlen|getrocknet|frisch|gehackt|gerebelt|geräuchert)\w*$"
)
"""What German says of a spice behind its name: “Paprika edelsüß”."""
_WORD = re.compile(r"[^\W\d_]{3,}")


def telling_words(name: str) -> list[str]:
    """The words of a name that say what it is."""
    return [word for word in _WORD.findall(name.lower()) if not _BEHIND.match(word)]


_NO_POWDERS = frozenset({"back", "knoblauch", "zwiebel"})
"""“Knoblauch” in a step is the cloves; “Paprika” is the powder."""
_ANY_SAUCE = frozenset(
    {"thin", "favorite", "favourite", "bottled", "jarred", "your", "homemade", "bought"}
)
"""“Thin sauce”, “your favorite sauce”: the steps call it the sauce."""
_GERMAN = re.compile(
    r"\w{3}(sellerie|brühe|fond|wein|essig|zwiebeln?|senf|sahne|kohl|kraut|honig|zucker|tomaten"
    r"|kartoffeln|schmalz|möhren|pilze|so(?:ß|ss)e|bier)$"
)
"""German puts into one word what English says in two: “Knollensellerie” is “der Sellerie”."""
_PASTES = frozenset({"tamarind", "miso", "harissa", "achiote", "annatto", "chipotle", "anchovy"})
"""“Add the tamarind”; but tomatoes are no tomato paste."""
GENERIC = frozenset(
    {"powder", "sauce", "flakes", "seeds", "seed", "leaves", "syrup", "bulb", "bulbs", "stick",
     "sticks", "pod", "pods", "quill", "quills", "stalk", "stalks"}
)  # fmt: skip
"""Words that come after what a thing is."""


def telling_word(words: Sequence[str]) -> str:
    """The word of a name by which steps call it, in the singular: “the mustard” is the powder."""
    last = words[-1]
    if last in GENERIC and len(words) > 1 and words[-2] not in {"garlic", "onion"}:
        last = words[-2]  # but garlic is not garlic powder
    if last == "paste" and not _PASTES.isdisjoint(words):
        last = next(word for word in words if word in _PASTES)
    if "dijon" in words:
        last = "mustard"
    if last.endswith("pulver") and last.removesuffix("pulver") not in _NO_POWDERS:
        last = last.removesuffix("pulver")
    if compound := _GERMAN.search(last):
        last = compound[1]
    if words[-1] == "sauce" and not _ANY_SAUCE.isdisjoint(words):
        last = "sauce"
    return last.rstrip("s")


_NEAR = 3
"""So many words before and behind belong to a name: “light brown sugar”, “red pepper flakes”."""
_BETWEEN = frozenset({"and", "or", "the", "und", "oder"})
"""“The brown and white sugar” is two foods."""


_NEAR_CHARS = 60
"""So far before a word stands what belongs to it: “light brown sugar”."""
_BETWEEN = frozenset({"and", "or", "und", "oder", ",", "&", "/"})
"""“The brown and white sugar” is two foods."""
_NO_NAME = frozenset({"and", "each", "plus", "for", "the", "with", "und", "more", "extra"})
_TOKEN = re.compile(r"[^\W\d_]+|[^\s\w]")
_NEXT = re.compile(r"\s([^\W\d_]+)")


@dataclass(frozen=True, slots=True)
class _Name:
    """Words of a food's name, in the singular, and the one by which it is called."""

    words: frozenset[str]
    head: str
    is_plural: bool


@lru_cache(maxsize=2048)
def _name_of(name: str) -> _Name | None:
    words = telling_words(name)
    if not words:
        return None
    head = telling_word(words)
    plural = any(word != head and word.rstrip("s") == head for word in words)
    return _Name(
        frozenset(word.rstrip("s") for word in words if word not in _NO_NAME), head, plural
    )


@dataclass(frozen=True, slots=True)
class _Company:
    """A food's name among others with its word in theirs."""

    own: _Name
    twins: frozenset[_Name]
    beside: frozenset[_Name]
    """Those of the same part: “sugar” of the rub may be the brown one, with white in the sauce."""
    whole: str
    """All steps, in small letters."""

    @property
    def all(self) -> frozenset[_Name]:
        return self.twins | {self.own}


def is_the_one(
    understood: Understood, item: Ingredient, text: str, called: str | None = None
) -> bool:
    """Whether a text that may name an ingredient means it, and no other of the recipe.

    `called` is the word by which it is called, where that is not its telling one.
    """
    own = _name_of(item.line.name)
    if own is None:
        return True
    own = own if called is None else replace(own, head=called.rstrip("s"))
    others = {
        each.index: name for each in understood.ingredients
        if each.index != item.index and each.kind != "meat"
        and (name := _name_of(each.line.name)) is not None
        and own.head in name.words and name.words != own.words
    }  # fmt: skip
    if not others:
        return True
    home = _part_of(understood, item.index)
    beside = (name for row, name in others.items() if _part_of(understood, row) == home)
    whole = " ".join(understood.said).lower()
    company = _Company(own, frozenset(others.values()), frozenset(beside), whole)
    told = list(_said(own.head, company.all, text))
    return not told or any(_is_meant(company, said) for said in told)


def _part_of(understood: Understood, row: int) -> str | None:
    return next((part.name for part in understood.recipe.parts if row in part.lines), None)


@dataclass(frozen=True, slots=True)
class _Said:
    """What a text says beside a word that could be a food: “brown”, for “the brown sugar”."""

    beside: frozenset[str]
    is_plural: bool


def _said(head: str, names: Iterable[_Name], text: str) -> Iterator[_Said]:
    """Each time a text says a word by which one of several foods is called."""
    known = frozenset().union(*(name.words for name in names)) - {head}
    for match in re.finditer(rf"\b{re.escape(head)}(s?)", text):
        tokens = _TOKEN.findall(text[max(0, match.start() - _NEAR_CHARS) : match.start()])
        groups: list[set[str]] = [set()]
        for token in reversed(tokens):
            word = token.rstrip("s")
            if word in known:
                groups[-1].add(word)
            elif groups[-1] and token in _BETWEEN:
                groups.append(set())
            else:
                break
        behind = _NEXT.match(text, match.end())
        groups[0] |= {behind[1].rstrip("s")} & known if behind else set()
        for group in (groups[0], *filter(None, groups[1:])):
            yield _Said(frozenset(group), bool(match[1]))


def _is_meant(company: _Company, said: _Said) -> bool:
    """Whether such words are about this food, and not rather about another."""
    own, bare = company.own, frozenset({company.own.head})
    if said.beside:
        full = said.beside | bare
        mine, most = len(own.words & full), max(len(name.words & full) for name in company.twins)
        exact = own.words != full and any(name.words == full for name in company.twins)
        return mine > most or (mine == most and not exact)
    called = {name for name in company.twins if name.head == own.head}
    if not called or own.words == bare:
        return True
    if said.is_plural and not any(name.is_plural for name in {own, *called}):
        return True  # “the sugars” are all of them
    if any(name.words == bare for name in called & company.beside):
        return False
    others_in_full = all(_is_said_in_full(company, name) for name in called)
    return others_in_full or not _is_said_in_full(company, own)


def _is_said_in_full(company: _Company, name: _Name) -> bool:
    """Whether some step says more of it than the word it shares."""
    told = _said(name.head, company.all, company.whole)
    return any(said.beside and said.beside <= name.words for said in told)

"""Which of several foods with one word in their names a text means: “sugar”, “brown sugar”."""

import re
from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass
from functools import lru_cache
from typing import TypeAlias

from pneumachron.recipes.model import Part
from pneumachron.recipes.understanding.foods_of_a_line import foods_in
from pneumachron.recipes.understanding.ingredients import (
    Ingredient,
)

_BEHIND = re.compile(
    r"(?:edelsü(?:ß|ss)|rosenscharf|gemahlen|getrocknet|frisch|gehackt|gerebelt|geräuchert)\w*$"
)
"""What German says of a spice behind its name: “Paprika edelsüß”."""
_WORD = re.compile(r"[^\W\d_]{3,}")


_MORE = re.compile(r" \+ \d.*")


def telling_words(name: str) -> list[str]:
    """The words of a name that say what it is."""
    # “2 chipotles + 1 tbsp of the sauce” is no sauce
    return [word for word in _WORD.findall(_MORE.sub("", name.lower())) if not _BEHIND.match(word)]


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
_KNOLLE = re.compile(r"^(sellerie|lauch|ingwer|fenchel|thymian|rosmarin|porree)"
                     r"(?:knollen?|stangen?|stauden?|zweige?|wurzeln?)$")  # fmt: skip
"""“Sellerieknolle” is “der Sellerie”."""
_PASTES = frozenset({"tamarind", "miso", "harissa", "achiote", "annatto", "chipotle", "anchovy"})
"""“Add the tamarind”; but tomatoes are no tomato paste."""
GENERIC = frozenset(
    {"powder", "sauce", "flakes", "seeds", "seed", "leaves", "syrup", "bulb", "bulbs", "stick",
     "sticks", "pod", "pods", "quill", "quills", "stalk", "stalks", "chunks", "slices", "pieces",
     "wedges", "rings", "halves", "florets", "strips", "ribs"}
)  # fmt: skip
"""Words that come after what a thing is."""


def telling_word(words: Sequence[str]) -> str:
    """The word of a name by which steps call it, in the singular: “the mustard” is the powder."""
    last = words[-1]
    if last in GENERIC and len(words) > 1 and words[-2] not in {"garlic", "onion"}:
        last = words[-2]  # but garlic is not garlic powder
    if last == "paste" and not _PASTES.isdisjoint(words):
        last = next(word for word in words if word in _PASTES)
    if last.startswith("knoblauchzehe"):
        last = "knoblauch"
    if "dijon" in words:
        last = "mustard"
    if last == "adobo" and words[0].startswith("chipotle"):
        last = "chipotle"
    if last.endswith("pulver") and last.removesuffix("pulver") not in _NO_POWDERS:
        last = last.removesuffix("pulver")
    if part := _KNOLLE.match(last):
        last = part[1]
    if compound := _GERMAN.search(last):
        last = compound[1]
    if words[-1] == "sauce" and not _ANY_SAUCE.isdisjoint(words):
        last = "sauce"
    return last.rstrip("s")


_NEAR_CHARS = 60
"""So far before a word stands what belongs to it: “light brown sugar”."""
_BETWEEN = frozenset({"and", "or", "und", "oder", ",", "&", "/"})
"""“The brown and white sugar” is two foods."""
_NO_NAME = frozenset({"and", "each", "plus", "for", "the", "with", "und", "more", "extra"})
_TOKEN = re.compile(r"[^\W\d_]+|[^\s\w]")
_NEXT = re.compile(r"\s([^\W\d_]+)")
MOST_TWINS = 12
"""More foods with one word in common are not told apart: it would take too long. Judgement."""


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
class Company:
    """A food among others with one of its words in their names."""

    head: str
    """The word, in the singular."""
    own: frozenset[str]
    twins: tuple[frozenset[str], ...]
    """The words of each name."""
    alone: bool
    """Whether the word means it when nothing stands beside: “the oil” is not the sesame oil."""
    several: bool
    """Whether the word in the plural does: “the sugars”."""


Companies: TypeAlias = Mapping[tuple[int, str, str], Company]
"""By row, name and word; a food that shares none of its words has none."""


def companies(
    ingredients: Sequence[Ingredient], parts: Sequence[Part], said: Sequence[str]
) -> Companies:
    """What each food shares its words with, worked out once for a recipe.

    Parameters
    ----------
    said : the steps
    """
    names = {
        item.index: name for item in ingredients
        if item.kind != "meat" and (name := _name_of(item.line.name)) is not None
    }  # fmt: skip
    rows_of: dict[str, list[int]] = {}
    for row, name in names.items():
        for word in name.words:
            rows_of.setdefault(word, []).append(row)
    home = {row: part.name for part in reversed(parts) for row in part.lines}
    whole = " ".join(said).lower()
    found: dict[tuple[int, str, str], Company] = {}
    for item in ingredients:
        for called in {item.line.name, *(food.line.name for food in foods_in(item))}:
            own = _name_of(called)
            for head in _heads(called):
                rows = [row for row in rows_of.get(head, ()) if row != item.index]
                twins = {row: names[row] for row in rows if own and names[row].words != own.words}
                if own is None or not 0 < len(twins) <= MOST_TWINS:
                    continue
                near = {row for row in twins if home.get(row) == home.get(item.index)}
                found[item.index, called, head] = _company(own, head, twins, near, whole)
    return found


def _heads(name: str) -> Iterator[str]:
    words = telling_words(name)
    if words:
        yield telling_word(words)
    if words[-1:] == ["juice"] and words[-2:-1]:
        yield words[-2].rstrip("s")  # “squeeze over the lime”


def _company(
    own: _Name, head: str, twins: Mapping[int, _Name], near: set[int], whole: str
) -> Company:
    """The company of a food; `near` are rows of its own part.

    “Sugar” of the rub may be the brown one, with white in the sauce.
    """
    others = tuple({name.words for name in twins.values()})
    company = Company(head, own.words, others, alone=True, several=True)
    called = {row: name for row, name in twins.items() if name.head == head}
    bare = frozenset({head})
    if not called or own.words == bare:
        return company
    if any(name.words == bare for row, name in called.items() if row in near):
        alone = False
    else:
        beside = {said.beside for said in _said(company, whole) if said.beside}
        alone = all(any(words <= name.words for words in beside) for name in called.values())
        alone = alone or not any(words <= own.words for words in beside)
    plural = any(name.is_plural for name in (own, *called.values()))
    return Company(head, own.words, others, alone, several=alone or not plural)


def is_the_one(company: Company | None, text: str) -> bool:
    """Whether a text in small letters that may name a food means it, and no other."""
    if company is None:
        return True
    told = list(_said(company, text))
    return not told or any(_is_meant(company, said) for said in told)


@dataclass(frozen=True, slots=True)
class _Said:
    """What a text says beside a word that could be a food: “brown”, for “the brown sugar”."""

    beside: frozenset[str]
    is_plural: bool


def _said(company: Company, text: str) -> Iterator[_Said]:
    """Each time a text says a word by which one of several foods is called."""
    known = frozenset().union(company.own, *company.twins) - {company.head}
    for match in re.finditer(rf"\b{re.escape(company.head)}(s?)", text):
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


def _is_meant(company: Company, said: _Said) -> bool:
    """Whether such words are about this food, and not rather about another."""
    if not said.beside:
        return company.several if said.is_plural else company.alone
    full = said.beside | {company.head}
    mine, most = len(company.own & full), max(len(words & full) for words in company.twins)
    exact = company.own != full and full in company.twins
    return mine > most or (mine == most and not exact)

"""The signs of where a food goes: what it is, where it stands, what is done where it is named."""

import re
from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass

from pneumachron.recipes.model import Part
from pneumachron.recipes.placing.work import clauses_in, work_in
from pneumachron.recipes.understanding.ingredients import Ingredient
from pneumachron.recipes.understanding.naming import is_named
from pneumachron.recipes.understanding.sentences import sentences_in
from pneumachron.recipes.understanding.twins import telling_words
from pneumachron.recipes.understanding.understand import Understood

MOST_NAMED = 4
"""So many sentences that name a food are looked at. Judgement: a fifth says nothing new."""
AFTERWARDS = 3
"""So many sentences behind one may tell what becomes of its mixture. Judgement."""
BESIDE = (-2, -1, 1, 2)
"""Neighbors in the list that are looked at: foods of a sauce stand together."""
STEM = 5
"""Letters of a word that find it in its clause: “tomato”, “tomatoes”."""
MOST_WORDS = 8
"""Words of a remark or heading that are looked at."""
_WORD = re.compile(r"[a-zäöüß]+")
_REFERS = re.compile(
    r"\b(?:it|them|mixture|mix|paste|rub|sauce|glaze|marinade|brine|slaw|salad|salsa|spices|this"
    r"|slurry|dressing|topping|cream)\b"
)
"""What a later sentence calls the mixture that a food is in."""
_ALL_SPICES = re.compile(r"\b(?:rub|spices|seasoning|dry ingredients)\b")
_ALL_OTHERS = re.compile(r"\b(?:sauce|glaze|marinade|remaining|rest|everything|all|other)\b")
"""What a food that is never named may be meant by."""


@dataclass(frozen=True, slots=True)
class _Sentence:
    text: str
    """In small letters."""
    time: str
    """Before, in or behind the sentence of the long heat: `b`, `=`, `a`; `?` if that is unknown."""


def signs_of(understood: Understood) -> dict[int, frozenset[str]]:
    """The signs of each food but the meat, by its line."""
    told = list(_told(understood))
    foods = [item for item in understood.ingredients if item.kind != "meat"]
    named = {
        item.index: [at for at, each in enumerate(told) if is_named(understood, item, each.text)]
        for item in foods
    }
    return {
        item.index: frozenset(
            (
                *_in_the_list(understood, item),
                *_in_the_steps(understood, item, told, named[item.index]),
                *_in_company(item, foods, named, told),
            )
        )
        for item in foods
    }


def _in_company(
    item: Ingredient,
    foods: Sequence[Ingredient],
    named: Mapping[int, Sequence[int]],
    told: Sequence[_Sentence],
) -> Iterator[str]:
    """Which kinds of food are named in the same sentence: a mixture goes one way."""
    for at in named[item.index][:MOST_NAMED]:
        for other in foods:
            if other.index != item.index and at in named[other.index]:
                yield f"with {other.kind} {told[at].time}"


def _told(understood: Understood) -> Iterator[_Sentence]:
    main = understood.cooking.main
    for step, text in enumerate(understood.said):
        for place, sentence in enumerate(sentences_in(text)):
            at = (step, place)
            time = "?" if main is None else "b" if at < main else "=" if at == main else "a"
            yield _Sentence(sentence.lower(), time)


def _in_the_list(understood: Understood, item: Ingredient) -> Iterator[str]:
    """What it is, how it is measured, under which heading and between which foods it stands."""
    method, rows, meat = understood.cooking.method, understood.ingredients, understood.meat_index
    yield f"kind {item.kind}"
    yield f"amount {'none' if item.line.low is None else item.line.unit or 'count'}"
    yield f"method {method}"
    yield f"kind {item.kind}, method {method}"
    yield f"behind the meat {'?' if meat is None else item.index > meat}"
    for word in _WORD.findall(item.line.aside.lower())[:MOST_WORDS]:
        yield f"remark {word}"
    for step in BESIDE:
        other = item.index + step
        kind = rows[other].kind if 0 <= other < len(rows) else "none"
        yield f"neighbor {step:+d} {kind}"
    for part in _parts_of(understood, item):
        yield f"part {part.role}"
        yield f"kind {item.kind}, part {part.role}"
        for word in _WORD.findall(part.name.lower())[:MOST_WORDS]:
            yield f"heading {word}"


def _parts_of(understood: Understood, item: Ingredient) -> list[Part]:
    return [part for part in understood.recipe.parts if item.index in part.lines]


def _in_the_steps(
    understood: Understood, item: Ingredient, told: Sequence[_Sentence], named: Sequence[int]
) -> Iterator[str]:
    """What is done where it is named, where its part is, and where all foods of its sort are."""
    times = "".join(sorted({told[at].time for at in named}))
    yield f"named {times}"
    yield f"kind {item.kind}, named {times}"
    for at in named[:MOST_NAMED]:
        yield from _where_named(item, told, at)
    for part in _parts_of(understood, item):
        words = [word for word in _WORD.findall(part.name.lower()) if len(word) > 2][-2:]
        for each in told:
            if any(word in each.text for word in words):
                for work in work_in(each.text):
                    yield f"of its part {each.time} {work}"
                    yield f"of a {part.role} {work}"
    if not named:
        for each in told:
            for work in work_in(each.text):
                if _ALL_SPICES.search(each.text):
                    yield f"of all spices {work}, kind {item.kind}"
                if _ALL_OTHERS.search(each.text):
                    yield f"of all others {each.time} {work}"


def _where_named(item: Ingredient, told: Sequence[_Sentence], at: int) -> Iterator[str]:
    """The work of its own clause, of the next clauses, and of sentences about the mixture."""
    words = telling_words(item.line.name)
    stem = (words[-1] if words else item.line.name.lower())[:STEM]
    sentence = told[at]
    clauses = clauses_in(sentence.text)
    own = next((place for place, clause in enumerate(clauses) if stem in clause), None)
    for work in work_in(sentence.text if own is None else clauses[own]):
        yield f"its clause {sentence.time} {work}"
        yield f"its clause {work}, kind {item.kind}"
    for clause in clauses[:2] if own is None else clauses[own + 1 : own + 3]:
        for work in work_in(clause):
            yield f"next clause {sentence.time} {work}"
    for behind, later in enumerate(told[at + 1 : at + 1 + AFTERWARDS], start=1):
        if behind == 1 or _REFERS.search(later.text):
            for work in work_in(later.text):
                yield f"sentence +{behind} {work}"

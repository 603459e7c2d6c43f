"""A card or a message in capitals throughout is read, and shown, in small letters."""

import re

from pneumachron.recipes.reading.titles import ABOUT_MEAT
from pneumachron.recipes.understanding.sentences import goes_on

LEAST_LETTERS = 80
"""Shorter texts may have only a heading and a list in capitals. Judgement."""
SHOUTED = 0.85
"""Share of capitals from which on the whole text is in capitals. Judgement."""
_STAYS = re.compile(
    r"(?<=\d\d)\s?°?\s?[CF]\b|(?<=DEGREES )[CF]\b|(?<=\d)\s?T\b|\bI\b|\bBBQ\b"
    r"|\b[A-Z](?:\.[A-Z]){1,3}\b"
)
"""°C and °F, the T of a tablespoon, I, initials."""
_BEGINS = re.compile(r"(?:^|[.!?:]\s+|^\W+|\d[.)]\s+)([a-zà-ÿ])")


def without_capitals(text: str) -> str:
    """The text in sentence case where it was in capitals; any other as it is."""
    letters = [letter for letter in text if letter.isalpha()]
    capitals = sum(letter.isupper() for letter in letters)
    if len(letters) < LEAST_LETTERS or capitals < SHOUTED * len(letters):
        return text
    lines = text.split("\n")
    title = next((at for at, line in enumerate(lines) if _may_be_title(line)), None)
    return "\n".join(
        _in_title_case(line) if at == title else _in_sentence_case(line)
        for at, line in enumerate(lines)
    )


_SMALL = frozenset({"a", "an", "and", "for", "from", "in", "of", "on", "or", "the", "to", "with"})
_WORD = re.compile(r"[^\W\d_]+(?:['’][^\W\d_]+)*")
_MOST_WORDS = 9


def _may_be_title(line: str) -> bool:
    """The first line that names a meat and no amount: whose ribs they are stays a name."""
    bare = ABOUT_MEAT.search(line) is not None and re.search(r"[\d.:!?]", line) is None
    return bare and len(line.split()) <= _MOST_WORDS


def _in_title_case(line: str) -> str:
    small = _WORD.sub(
        lambda word: word[0] if word[0] in _SMALL else word[0].capitalize(), line.lower()
    )
    return f"{small[:1].upper()}{small[1:]}"


def _in_sentence_case(line: str) -> str:
    small = list(line.lower())
    if len(small) != len(line):
        return line.lower()  # a letter of another alphabet, whose small form is longer
    for kept in _STAYS.finditer(line):
        small[kept.start() : kept.end()] = kept[0]
    found = "".join(small)
    for start in _BEGINS.finditer(found):
        at = start.start(1)
        if not goes_on(found[:at].rstrip(), found[at:]):
            small[at] = start[1].upper()
    return "".join(small)

"""A card or a message in capitals throughout is read, and shown, in small letters."""

import re

LEAST_LETTERS = 80
"""Shorter texts may have only a heading and a list in capitals. Judgement."""
SHOUTED = 0.85
"""Share of capitals from which on the whole text is in capitals. Judgement."""
_STAYS = re.compile(
    r"(?<=\d\d)\s?°?\s?[CF]\b|(?<=\d)\s?T\b|\bI\b|\b[A-Z](?:\.[A-Z]){1,3}\b|\bBBQ\b"
)
"""°C and °F, the T of a tablespoon, I, initials."""
_BEGINS = re.compile(
    r"(?:^|(?<!\bstd)(?<!\bmin)(?<!\bhrs)(?<!\bhr)(?<!\bapprox)(?<!\bca)[.!?:]\s+|^\W+|\d[.)]\s+)"
    r"([a-zà-ÿ])"
)


def without_capitals(text: str) -> str:
    """The text in sentence case where it was in capitals; any other as it is."""
    letters = [letter for letter in text if letter.isalpha()]
    capitals = sum(letter.isupper() for letter in letters)
    if len(letters) < LEAST_LETTERS or capitals < SHOUTED * len(letters):
        return text
    return "\n".join(_in_sentence_case(line) for line in text.split("\n"))


def _in_sentence_case(line: str) -> str:
    small = list(line.lower())
    if len(small) != len(line):
        return line.lower()  # a letter of another alphabet, whose small form is longer
    for kept in _STAYS.finditer(line):
        small[kept.start() : kept.end()] = kept[0]
    found = "".join(small)
    return _BEGINS.sub(lambda start: start[0][:-1] + start[1].upper(), found)

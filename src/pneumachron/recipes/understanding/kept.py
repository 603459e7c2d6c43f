"""What was found in a text, kept for the next rule that asks the same of it."""

from collections.abc import Callable
from functools import lru_cache, wraps
from typing import TypeVar

Found = TypeVar("Found")
MOST_CHARS = 2_000
"""Longer texts are read again each time, so that what is kept stays small. Judgement."""
MOST_TEXTS = 2_048
"""Texts of some recipes: the first half of these texts takes a few MB. Judgement."""


def kept(read: Callable[[str], Found]) -> Callable[[str], Found]:
    """As `read`, with what it found in short texts kept; it must not be something that changes."""
    again = lru_cache(maxsize=MOST_TEXTS)(read)

    @wraps(read)
    def reading(text: str) -> Found:
        return (again if len(text) <= MOST_CHARS else read)(text)

    return reading

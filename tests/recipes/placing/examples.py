"""Where each food of the open texts goes, told by hand: what the second reading learns from.

`labels.csv` began as what the conversion made of texts whose conversions had been looked at one by
one; what was still wrong in it was put right by hand. It does not follow the code.
"""

from collections.abc import Iterator
from csv import DictReader
from dataclasses import dataclass
from functools import cache
from itertools import islice
from pathlib import Path

from pneumachron.recipes.errors import RecipeError, UnreadableError
from pneumachron.recipes.placing.signs import signs_of
from pneumachron.recipes.reading import read_recipe
from pneumachron.recipes.understanding.understand import Understood, understand
from tests.recipes.measure import corpus_bytes
from tests.recipes.strangers.measure import corpus

FOLDER = Path(__file__).parent
VOICES = FOLDER.parent / "voices"


@dataclass(frozen=True, slots=True)
class Example:
    """A food of a text, its signs and its place."""

    text: str
    line: str
    place: str
    signs: frozenset[str]


def open_texts() -> Iterator[tuple[str, bytes]]:
    """All texts that may be looked at, by the names that the labels have for them."""
    for path in sorted(VOICES.iterdir()):
        yield f"voices/{path.name}", path.read_bytes()
    for name, content in corpus_bytes():
        yield f"corpus/{name}", content
    for half in ("development", "later"):
        for labeled in corpus(half):
            yield f"{half}/{labeled.name}", labeled.pasted().encode()


@cache
def labels() -> dict[str, dict[tuple[int, str], str]]:
    """The place of each line of each text, by row and words: two parts may have the same salt."""
    found: dict[str, dict[tuple[int, str], str]] = {}
    with (FOLDER / "labels.csv").open(encoding="utf-8") as lines:
        for row in DictReader(lines):
            found.setdefault(row["text"], {})[int(row["row"]), row["line"]] = row["place"]
    return found


def understood(content: bytes) -> Understood | None:
    """A text as it is understood; None where it is refused."""
    try:
        return understand(read_recipe(content).recipe)
    except (RecipeError, UnreadableError):
        return None


def examples(every: int = 1) -> Iterator[Example]:
    """All labeled foods with their signs, or those of every so many-th text."""
    for name, content in islice(open_texts(), 0, None, every):
        places = labels().get(name)
        found = understood(content) if places else None
        if places is None or found is None:
            continue
        for index, signs in signs_of(found).items():
            line = found.ingredients[index].line.raw
            if (index, line) in places:
                yield Example(name, line, places[index, line], signs)

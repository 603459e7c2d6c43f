"""A line of a pasted text, as it looks."""

import re
from dataclasses import dataclass

from pneumachron.recipes.reading.headings import Heading, heading_of
from pneumachron.recipes.reading.looks import BULLET, Look, look_at

COUNTS = re.compile(r"\W*(?:\d|[½¼¾⅓⅔]|an?\b|one\b|two\b|three\b|four\b|half\b)", re.I)
"""How a line with an amount begins."""


@dataclass(slots=True)
class Row:
    """A line of the text: as it stands, without its bullet, what it opens, how it looks."""

    raw: str
    plain: str
    heading: Heading | None
    look: Look
    under: Heading | None = None
    """The heading it stands under."""
    bulleted: bool = False
    opens_food: bool = False
    """Food stands under it, and something that may be the title before it."""
    line: int = 0
    """Which line of the text it comes from."""
    names_it: bool = False
    """The first line names the meat that is listed further down: a title."""
    after_gap: bool = False
    """An empty line stands above it."""
    boxed: bool = False
    """It stands in notes, or in what a page adds, above or among the recipe."""
    above: bool = False
    """It stands above the heading of the ingredients, or is the first line and has no amount."""

    @classmethod
    def of(cls, line: str) -> "Row":
        """A line as it looks when it stands alone."""
        plain = BULLET.sub("", line).strip().lstrip("# ")
        bulleted = bool(BULLET.match(line))
        return cls(line, plain, heading_of(line), look_at(line), bulleted=bulleted)

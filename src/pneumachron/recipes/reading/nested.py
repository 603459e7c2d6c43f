"""Lists in lists: the foods below a bullet are those of a part."""

import re
from collections.abc import Iterable, Iterator

from pneumachron.recipes.understanding.lines import read_line
from pneumachron.recipes.understanding.patterns import BULLET_SIGNS

END_OF_PART = "\u2063:"
"""A heading without a name: what stands on the next line belongs to no part."""
_INDENTED = re.compile(rf"^(?P<indent>\s*)(?:[-{BULLET_SIGNS}]|\[[ xX]?\])\s+(?P<text>\S.*)$")


def with_nested_parts(lines: Iterable[str]) -> Iterator[str]:
    """“* Vinegar sauce”, with foods further in below it: a part and its foods."""
    held = list(lines)
    inside: int | None = None
    for at, line in enumerate(held):
        found = _INDENTED.match(line)
        depth = len(found["indent"]) if found else 0
        if inside is not None and (found is None or depth <= inside):
            inside = None
            yield END_OF_PART
        following = _INDENTED.match(held[at + 1]) if at + 1 < len(held) else None
        opens = found and following and len(following["indent"]) > depth and inside is None
        if found and opens and read_line(found["text"]).low is None:
            inside = depth
            yield f"{found['text'].rstrip(':')}:"
        else:
            yield line

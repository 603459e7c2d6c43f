"""Blocks of foods whose name no mark sets off: below an empty line, or before the first food."""

import re
from collections.abc import Iterator

from pneumachron.recipes.reading.headings import heading_of

LEAST_NAMED = 2
"""So many blocks with a name make names of them: one alone may be a food or a title, unless it is
called a sauce, a rub, a slaw. Judgement."""
LEAST_COUNTED = 2
"""Foods with an amount right below a name. Judgement."""
_NAME = re.compile(r"[A-Z][^\W\d_]*(?:[ '’-][^\W\d_]+){0,3}")
_MIXTURE = re.compile(
    r"(?:[^\W\d_]+[ '’-]){0,3}(?:sauce|glaze|rub|marinade|gravy|slaw|mop|brine|dressing|topping"
    r"|salsa|relish|chutney|crema|aioli|mayo|mayonnaise|pesto|chimichurri|gremolata|vinaigrette"
    r"|filling|paste|seasoning)",
    re.I,
)
"""“Gold sauce” below an empty line and above its foods is made, and not bought."""
_COUNTED = re.compile(r"\s*(?:[-*•]\s*)?(?!\d{1,2}[.)]\s)[\d½¼¾⅓⅔]")

_CAPITAL_PART = re.compile(
    r"\s*(?P<part>SAUCE|GLAZE|RUB|MARINADE|GRAVY|SLAW|MOP|BRINE|DRESSING|TOPPING)\s+"
    r"(?P<rest>[\d½¼¾⅓⅔].*)"
)
"""“SAUCE 1 btl catsup (14oz)”, and its other foods below."""


def with_named_blocks(lines: list[str]) -> Iterator[str]:
    """“Soup” and “Red chile”, each below an empty line and above its foods, become headings."""
    told = [at for at, line in enumerate(lines) if line.strip()]
    names = {
        at for at in told[1:]
        if not lines[at - 1].strip() and _may_be_name(lines[at].strip())
        and heading_of(lines[at]) is None
        and all(map(_COUNTED.match, lines[at + 1 : at + 1 + LEAST_COUNTED]))
        and at + LEAST_COUNTED < len(lines)
    }  # fmt: skip
    headed = sum(heading_of(lines[at]) == "part" for at in told)
    several = len(names) + headed >= LEAST_NAMED
    for at, line in enumerate(lines):
        if capital := _CAPITAL_PART.fullmatch(line):
            yield f"{capital['part']}:"
            yield capital["rest"]
            continue
        named = at in names and (
            several or _MIXTURE.fullmatch(line.strip()) or _is_told_again(line, lines[at + 1 :])
        )
        yield f"{line.rstrip()}:" if named else line


def _is_told_again(name: str, below: list[str]) -> bool:
    """“Brush with the salmuera”: what stands as a name above its foods is made by a step."""
    told = re.compile(rf"\b(?:the|your|of|for|this) {re.escape(name.strip())}\b", re.I)
    return any(map(told.search, below))


def _may_be_name(line: str) -> bool:
    return _NAME.fullmatch(line) is not None or _MIXTURE.fullmatch(line) is not None

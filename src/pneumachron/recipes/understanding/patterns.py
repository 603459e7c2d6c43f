"""Words and phrases looked for in running text."""

import re
from collections.abc import Iterable


def any_of(*phrases: str) -> re.Pattern[str]:
    """A pattern that finds any of these phrases, whatever their case."""
    return re.compile("|".join(phrases), re.I)


def one_of(phrases: Iterable[str]) -> str:
    """An expression for the longest of many phrases that fits; no phrase may be empty.

    Those that begin alike share their beginning, so that a text is not compared with each phrase.
    """
    by_first: dict[str, set[str]] = {}
    for phrase in phrases:
        by_first.setdefault(phrase[0], set()).add(phrase[1:])
    return "(?:" + "|".join(_begun(first, rest) for first, rest in sorted(by_first.items())) + ")"


def _begun(first: str, rest: set[str]) -> str:
    longer = rest - {""}
    if not longer:
        return re.escape(first)
    return re.escape(first) + one_of(longer) + ("?" if "" in rest else "")


LENGTH = r"(?:c(?:m|entimet(?:re|er)s?)\b|m(?:m|illimet(?:re|er)s?)\b|in(?:ch(?:es)?)?\b)"
"""A unit of how long or thick something is, in full or in short."""
HEAVY_UNIT = r"(?:lbs?|pounds?|kgs?|kilos?|kilogram(?:me)?s?)"
"""A unit of what a joint weighs, in full or in short."""
WEIGHT_UNIT = rf"(?:{HEAVY_UNIT}|g|gr|gms?|gram(?:me)?s?|oz|ounces?)"
BULLET_SIGNS = "*•·▢☐◦‣▪▫▸►∙\u2043✓✔➤"
"""Signs in front of the lines of a list, for a class of characters."""
PICTURE = (
    r"[\u2190-\u21ff\u2300-\u23ff\u2600-\u2704\u2708-\u2712\u2714\u2716\u271d-\u2775"
    r"\u2794-\u27bf\u2b00-\u2b4f\ufe0f\u200d\U0001f000-\U0001faff]"
)
"""Small pictures that stand in front of a line."""

"""Words and phrases looked for in running text."""

import re


def any_of(*phrases: str) -> re.Pattern[str]:
    """A pattern that finds any of these phrases, whatever their case."""
    return re.compile("|".join(phrases), re.I)


PICTURE = (
    r"[\u2190-\u21ff\u2300-\u23ff\u2600-\u2704\u2708-\u2712\u2714\u2716\u271d-\u2775"
    r"\u2794-\u27bf\u2b00-\u2b4f\ufe0f\u200d\U0001f000-\U0001faff]"
)
"""Small pictures that stand in front of a line."""

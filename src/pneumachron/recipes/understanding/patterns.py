"""Words and phrases looked for in running text."""

import re


def any_of(*phrases: str) -> re.Pattern[str]:
    """A pattern that finds any of these phrases, whatever their case."""
    return re.compile("|".join(phrases), re.I)

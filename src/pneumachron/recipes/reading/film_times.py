"""What is said in a film, with the time of each line in front, is read without the times."""

import re
from collections.abc import Iterable, Iterator

LEAST_STAMPED = 4
"""Lines with a time from which on they are those of a film. Judgement."""
STAMPED = 0.6
"""Share of the lines that have one. Judgement."""
_STAMP = re.compile(r"^\s*[\[(]?(?P<minutes>\d{1,2}):(?P<seconds>[0-5]\d)[\])]?\s+(?=[^\W\d_])")
_TITLE = re.compile(r"^\s*[^\W\d_]{3,12} \d{1,2}:\d{2}\s*$")
"""“Video 00:14”, above all lines."""


def without_stamps(lines: Iterable[str]) -> Iterator[str]:
    """The lines, without times where they are those of a film: the first within a minute.

    A day by the clock (“6:00 light the smoker”) begins later, and keeps its times.
    """
    held = list(lines)
    words = [line for line in held if line.strip() and not _TITLE.match(line)]
    stamps = [stamp for line in words if (stamp := _STAMP.match(line))]
    enough = len(stamps) >= max(LEAST_STAMPED, STAMPED * len(words))
    if not (enough and int(stamps[0]["minutes"]) == 0):
        yield from held
        return
    for line in held:
        if not _TITLE.match(line):
            said = _STAMP.sub("", line).rstrip()
            yield said if said == line.rstrip() or said.endswith((".", "!", "?")) else f"{said}."

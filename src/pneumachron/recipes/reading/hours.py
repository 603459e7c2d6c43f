"""The log of a day, with each hour as four figures: “0900 trimmed”, “1430-1530 rested”."""

import re
from collections.abc import Iterable, Iterator

LEAST_TOLD = 3
"""Lines with an hour from which on they are those of a day. Judgement."""
_HOUR = r"(?:[01]\d|2[0-3])[0-5]\d"
_TOLD = re.compile(
    rf"^\s*(?:[-*•]\s*)?(?P<on>{_HOUR})\s?(?:hrs?\b|h\b)?"
    rf"(?:\s?[-–]\s?(?P<off>{_HOUR})\s?(?:hrs?\b|h\b)?)?\s*[-–:]?\s+(?=[^\W\d_])(?!(?:g|ml|kg)\b)"
)


def with_colons(lines: Iterable[str]) -> Iterator[str]:
    """The lines, with “0900” as “9:00” where several begin so and the hours follow each other."""
    held = list(lines)
    hours = [told["on"] for line in held if (told := _TOLD.match(line))]
    if len(hours) < LEAST_TOLD or hours != sorted(hours):
        yield from held
        return
    for line in held:
        told = _TOLD.match(line)
        if told is None:
            yield line
            continue
        until = f"–{_clock(told['off'])}" if told["off"] else ""
        said = line[told.end() :].rstrip()
        end = "" if said.endswith((".", "!", "?")) else "."
        yield f"{_clock(told['on'])}{until} {said}{end}"


def _clock(hour: str) -> str:
    return f"{hour[:2]}:{hour[2:]}"

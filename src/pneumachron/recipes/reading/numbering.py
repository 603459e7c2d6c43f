"""Numbers in front of the lines of a list: they count the lines, and nothing in them."""

import re

_NUMBER = re.compile(r"^\s*(\d{1,3})(?:[.)]\s+|-)(?=\S)")


BARE_NUMBER = re.compile(r"^\s*(\d{1,2})\s+(?=[A-Z])")


def without_numbers(lines: list[str], number: re.Pattern[str] = _NUMBER) -> list[str]:
    """A list that is numbered from 1 on: “1. 4 lb pork” is no fourteen pounds of anything."""
    numbers = [found and int(found[1]) for found in map(number.match, lines)]
    if len(lines) > 1 and numbers == list(range(1, len(lines) + 1)):
        return [number.sub("", line) for line in lines]
    return lines


_ROMAN = re.compile(r"^\s*(i{1,3}|iv|vi{0,3}|ix|xi{0,3})[.)]\s+(?=\S)", re.I)
_LEAST_ROMANS = 3
"""Steps with Roman numbers that are numbered so. Judgement."""


def without_romans(steps: list[str]) -> list[str]:
    """“i. Blanch. ii. Melt.”: all steps are numbered so, or none."""
    if len(steps) >= _LEAST_ROMANS and all(map(_ROMAN.match, steps)):
        return [_ROMAN.sub("", step) for step in steps]
    return steps

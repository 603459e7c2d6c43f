"""Numbers in front of the lines of a list: they count the lines, and nothing in them."""

import re

from pneumachron.recipes.reading.looks import VERBS

_NUMBER = re.compile(r"^\s*(\d{1,3})(?:[.)]\s+|\s?>\s+|-)(?=\S)")


def number_of(line: str) -> int:
    """The number in front of a line; 0 without one."""
    found = re.match(r"\s*(?:step )?(\d{1,2})[.)]\s+\S", line, re.I)
    return int(found[1]) if found else 0


BARE_NUMBER = re.compile(r"^\s*(\d{1,2})\s+(?=[A-Z])")
SMALL_NUMBER = re.compile(r"^\s*(\d{1,2})\s+(?=[a-z])")
LEAST_SMALL = 3
"""Steps such as “1 sear the ribs”: two of them may be “1 hour” and “2 hours”. Judgement."""


def without_numbers(lines: list[str], number: re.Pattern[str] = _NUMBER) -> list[str]:
    """A list that is numbered from 1 on: “1. 4 lb pork” is no fourteen pounds of anything."""
    numbers = [found and int(found[1]) for found in map(number.match, lines)]
    if len(lines) > 1 and numbers == list(range(1, len(lines) + 1)):
        return [number.sub("", line) for line in lines]
    return lines


_NEXT_NUMBER = re.compile(r"(?<=[.!?;)])\s+(?=([2-9]|1\d)[.)]?\s+[A-Z])")
_FIRST_NUMBER = re.compile(r"^\s*1(?:[.)]|(?= [A-Z]))\s+(?P<word>\S+)")
_ITS_NUMBER = re.compile(r"^\s*\d{1,2}[.)]?\s+")
MOST_NUMBERED = 20
"""Steps on one line. Judgement."""


def numbered_apart(line: str) -> list[str]:
    """“1) Brown the ribs. 2) Soften the shallots.”, on one line: a line for each."""
    first = _FIRST_NUMBER.match(line)
    if first is None or first["word"].lower() not in VERBS:
        return [line]
    parts = [line]
    for number in range(2, MOST_NUMBERED):
        found = _NEXT_NUMBER.search(parts[-1])
        if found is None or int(found[1]) != number:
            break
        parts[-1:] = [parts[-1][: found.start()], parts[-1][found.end() :]]
    if len(parts) > 1:
        parts = [_ITS_NUMBER.sub("", part) for part in parts]
    return parts


_ROMAN = re.compile(r"^\s*(i{1,3}|iv|vi{0,3}|ix|xi{0,3})[.)]\s+(?=\S)", re.I)
_LEAST_ROMANS = 3
"""Steps with Roman numbers that are numbered so. Judgement."""


def without_romans(steps: list[str]) -> list[str]:
    """“i. Blanch. ii. Melt.”: all steps are numbered so, or none."""
    if len(steps) >= _LEAST_ROMANS and all(map(_ROMAN.match, steps)):
        return [_ROMAN.sub("", step) for step in steps]
    return steps


_THREAD_NUMBER = re.compile(r"^[ \t]*(\d{1,2})/(\d{1,2})?[ \t]+(?=\D)", re.M)
_LEAST_IN_A_THREAD = 3
"""Messages that are counted, and make a thread. Judgement."""


def without_thread_numbers(text: str) -> str:
    """“1/ Thread: …”, “2/ You need …”: a recipe told message by message."""
    found = list(_THREAD_NUMBER.finditer(text))
    counted = [int(each[1]) for each in found] == list(range(1, len(found) + 1))
    # “1/2 cup”, “2/3 cup”, “3/4 cup” are amounts: a thread is of one length
    if len(found) < _LEAST_IN_A_THREAD or not counted or len({each[2] for each in found}) > 1:
        return text
    return _THREAD_NUMBER.sub("", text)


_LETTER = re.compile(r"^[ \t]*([a-h])[).][ \t]+(?=\S)", re.M)


def without_letters(text: str) -> str:
    """“a) Rub the ribs. b) Bake.”: steps that are lettered from a on."""
    letters = "".join(found[1] for found in _LETTER.finditer(text))
    counted = len(letters) >= _LEAST_IN_A_THREAD and "abcdefgh".startswith(letters)
    return _LETTER.sub("", text) if counted else text

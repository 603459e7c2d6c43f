"""A mail breaks its lines where they are full, amid a sentence; they are joined again."""

import re
from itertools import pairwise

LEAST_WIDTH, MOST_WIDTH = 50, 110
"""Characters of a full line. Common practice: mails are wrapped at 72 to 80."""
LEAST_GOING_ON = 3
"""Full lines after which a sentence goes on in small letters: fewer are chance. Judgement."""
_STARTS_ANEW = re.compile(r"\s*(?:[-*•‣▢□☐>#|=_~]|\d{1,2}[.)]\s|step \d|$)", re.I)
_ENDED = re.compile(r"[.!?:;)\"”]\s*$")
_AMOUNT = re.compile(r"\s*(?:[-*•]\s*)?[\d½¼¾⅓⅔]")


_DIVIDED = re.compile(r"(?<=[a-z]{2})-[ \t]{0,20}\n[ \t]{0,20}(?=[a-z]{2})")
_COMPOUND = re.compile(
    r"(?:in|on|off|style|cut|cooker|cooked|cured|roasted|smoked|fried|side|proof|dry|sized?)\b"
)
_RUNNING_HEAD = re.compile(r"[^a-z\d]{4,60}\s{2,}\d{1,4}|\d{1,4}\s{2,}[^a-z\d]{4,60}")
"""“THE WINTER TABLE    117”: a book and its page."""
LEAST_DIVIDED = 2
"""Words divided at the end of a line that make a printed column. Judgement."""


def without_divided_words(text: str) -> str:
    """A printed column: “pork shoul-” and “der” are one word, and what is small goes on."""
    if len(_DIVIDED.findall(text)) < LEAST_DIVIDED:
        return text
    whole = _DIVIDED.sub(
        lambda found: "-" if _COMPOUND.match(text, found.end()) else "", text
    )  # fmt: skip
    found: list[str] = []
    heads: list[str] = []
    for line in whole.split("\n"):
        if _RUNNING_HEAD.fullmatch(line.strip()):
            heads.append(line)  # no title; it is kept behind the recipe
        elif found and found[-1].strip() and line.lstrip()[:1].islower():
            found[-1] = f"{found[-1].rstrip()} {line.strip()}"
        else:
            found.append(line)
    return "\n".join([*found, "", *heads])


def without_wraps(text: str) -> str:
    """The text with wrapped lines joined; as it is where no lines are wrapped."""
    text = without_divided_words(text)
    lines = text.split("\n")
    width = max((len(line.rstrip()) for line in lines), default=0)
    if not LEAST_WIDTH <= width <= MOST_WIDTH:
        return _without_broken_sentences(text)
    going_on = sum(
        after.lstrip()[:1].islower() and _is_full(line, after, width)
        for line, after in pairwise(lines)
    )
    if going_on < LEAST_GOING_ON:
        return _without_broken_sentences(text)
    found = lines[:1]
    for line, after in pairwise(lines):
        if _is_full(line, after, width) and _goes_on(line, after):
            found[-1] = f"{found[-1].rstrip()} {after.strip()}"
        else:
            found.append(after)
    return "\n".join(found)


_RUNS_ON = re.compile(r"[a-z]{2}[.;!?]\)? {1,4}[A-Z][a-z]+ [^.;!?]*[a-z,]\s*$")
"""Behind the end of a sentence another one begins, and is not at its end."""


def _without_broken_sentences(text: str) -> str:
    """A typed card: “Put half in the roaster, lay ribs on” and “top, cover it” are one."""
    found: list[str] = []
    for line in text.split("\n"):
        going_on = line.lstrip()[:1].islower() and not _STARTS_ANEW.match(line)
        if found and going_on and len(found[-1]) >= LEAST_WIDTH and _RUNS_ON.search(found[-1]):
            found[-1] = f"{found[-1].rstrip()} {line.strip()}"
        else:
            found.append(line)
    return "\n".join(found)


def _is_full(line: str, after: str, width: int) -> bool:
    """Whether the first word of the next line did not fit any more."""
    word = after.split(maxsplit=1)[:1]
    return bool(word) and len(line.rstrip()) + 1 + len(word[0]) > width


def _goes_on(line: str, after: str) -> bool:
    first = after.lstrip()[:1]
    if _STARTS_ANEW.match(after) or (_AMOUNT.match(line) and _AMOUNT.match(after)):
        return False
    return first.islower() or not (_ENDED.search(line) and (first.isupper() or first.isdigit()))

"""Amounts that are said in words, in figures: “two and a half pounds”, “a dozen and a half”."""

import re
from collections.abc import Callable

_WORDS = {"one": 1, "two": 2, "three": 3, "four": 4, "five": 5, "six": 6, "seven": 7, "eight": 8,
          "nine": 9, "ten": 10, "eleven": 11, "twelve": 12}  # fmt: skip
_WORD = "|".join(_WORDS)
_UNIT = (
    r"(?:lbs?|pounds?|kilos?|kilograms?|pints?|quarts?|cups?|lit(?:er|re)s?|ounces?|oz"
    r"|tablespoons?|teaspoons?|tbsps?|tsps?)\b"
)
_VESSEL = r"(?:glass|mug|bottle|tin|can|handful|bunch)\b"
_SHARES = {"half": "1/2", "quarter": "1/4", "third": "1/3", "three quarters": "3/4",
           "three-quarters": "3/4", "two thirds": "2/3", "two-thirds": "2/3"}  # fmt: skip
_SHARE = "|".join(sorted(_SHARES, key=len, reverse=True))


def _one_of(word: str) -> int:
    return int(word) if word.isdigit() else _WORDS.get(word.lower(), 1)


def _dozens(found: re.Match[str]) -> str:
    count = 0.5 if found["half"] else _one_of(found["count"] or "one")
    return f"{12 * (count + (0.5 if found['more'] else 0)):g}"


def _with_its_share(found: re.Match[str]) -> str:
    return f"{_one_of(found['count'])} {_SHARES[found['share'].lower()]}"


_SAID: tuple[tuple[re.Pattern[str], Callable[[re.Match[str]], str]], ...] = (
    # half a dozen, two dozen, a dozen and a half
    (re.compile(rf"\b(?:(?P<half>half a)|(?P<count>an?|{_WORD})) dozen(?P<more> and a half)?"
                r"(?: of(?= ))?\b", re.I), _dozens),
    # a pound and a half, a glass and a half
    (re.compile(rf"\b(?P<count>an?|{_WORD}) (?P<unit>{_UNIT}|{_VESSEL}) and an? "
                r"(?P<share>half|quarter)\b", re.I),
     lambda found: f"{_with_its_share(found)} {found['unit']}"),
    # four to five pounds, three and a half pounds, 1 and a quarter cups
    (re.compile(rf"\b(?P<count>{_WORD}|\d)(?P<more> and an? (?P<share>half|quarter))?"
                rf"(?=(?: (?:to|or) (?:{_WORD}|\d)(?: and a half)?)?[ -]{_UNIT})", re.I),
     lambda found: _with_its_share(found) if found["more"] else f"{_one_of(found['count'])}"),
    # three quarters of a pound, a quarter pound
    (re.compile(rf"(?<!and )(?<!and a )(?<!\d )\b(?:an? |one[ -])?(?P<share>{_SHARE}) "
                rf"(?:of )?(?:an? )?(?={_UNIT})", re.I),
     lambda found: f"{_SHARES[found['share'].lower()]} "),
    # a couple of pounds
    (re.compile(rf"\ba couple (?:of )?(?={_UNIT})", re.I), lambda _: "2 "),
)  # fmt: skip


_ISH = re.compile(r"(?<=[\d½¼¾⅓⅔])[- ]?ish\b(?= (?:lbs?|pounds?|kg|g|kilos?|oz|ounces?)\b)", re.I)
"""“5ish lb pork butt” is five pounds."""


_ONE_POWDER = re.compile(
    r"\b(?P<one>garlic|onion) ?(?:&|and|\+|/) ?(?P<other>onion|garlic) (?P<how>powder|granules)\b",
    re.I,
)


def of_one_powder(text: str) -> str:
    """“Garlic & onion powder” are two powders."""
    return _ONE_POWDER.sub(r"\g<one> \g<how> and \g<other> \g<how>", text)


def in_figures(text: str) -> str:
    """The text with its amounts in figures, where a unit or a dozen says that they are some."""
    text = _ISH.sub("", text)
    for pattern, said in _SAID:
        text = pattern.sub(said, text)
    return text

"""Times and heats that are said in words, in figures: “an hour and a half”, “two seventy-five”."""

import re
from collections.abc import Callable

from pneumachron.recipes.understanding.kept import kept

_VULGAR = {"½": " 1/2", "¼": " 1/4", "¾": " 3/4", "⅓": " 1/3", "⅔": " 2/3"}
_NUMBER_WORDS = {"an": 1, "a": 1, "one": 1, "two": 2, "three": 3, "four": 4, "five": 5, "six": 6,
                 "seven": 7, "eight": 8, "nine": 9, "ten": 10}  # fmt: skip
_SHARES = {"half": 0.5, "quarter": 0.25, "three quarters": 0.75, "three-quarters": 0.75}
_COUNTED = rf"(?P<count>\d+|{'|'.join(sorted(_NUMBER_WORDS, key=len, reverse=True))})"
_TENS = {"twenty": 20, "thirty": 30, "forty": 40, "fifty": 50, "sixty": 60, "seventy": 70,
         "eighty": 80, "ninety": 90}  # fmt: skip
_TEN = "|".join(_TENS)
_ONE = "|".join(word for word in _NUMBER_WORDS if word not in {"a", "an", "ten"})


def _tens(found: re.Match[str]) -> str:
    """“ninety”, “twenty-five”, “two hundred and fifty” in figures."""
    hundreds = 100 * _NUMBER_WORDS.get((found["hundreds"] or "").lower(), 0)
    ones = _NUMBER_WORDS.get((found["ones"] or "").lower(), 0)
    return f"{hundreds + _TENS[found['tens'].lower()] + ones}"


def _between(found: re.Match[str]) -> str:
    """From one time of the day to another, in hours."""
    begun, done = (
        int(found[hour]) % 12 + (12 if found[half].lower() == "p" else 0)
        + int(found[minute] or 0) / 60.0
        for hour, minute, half in (("from", "past", "half"), ("to", "later", "end"))
    )  # fmt: skip
    return f"{(done - begun) % 24.0:g} hours"


_GERMAN = {"ein": 1, "eine": 1, "einer": 1, "zwei": 2, "drei": 3, "vier": 4, "fünf": 5, "sechs": 6,
           "sieben": 7, "acht": 8, "neun": 9, "zehn": 10, "zwölf": 12, "zwanzig": 20,
           "dreißig": 30}  # fmt: skip
_GERMAN_ONE = "|".join(sorted(_GERMAN, key=len, reverse=True))
_GERMAN_UNIT = r"(?:Stunden?|Stdn?|Minuten?|Min)\b"
_HALVES = {"andert": 1, "einein": 1, "zweiein": 2, "dreiein": 3, "vierein": 4, "fünfein": 5,
           "sechsein": 6}  # fmt: skip
_SPOKEN: tuple[tuple[re.Pattern[str], Callable[[re.Match[str]], str]], ...] = (
    # anderthalb Stunden, dreieinhalb Stunden
    (re.compile(rf"\b(?P<count>{'|'.join(_HALVES)})halb(?= Stunden?\b)", re.I),
     lambda found: f"{_HALVES[found['count'].lower()] + 0.5}"),
    (re.compile(r"\b(?:einer? )?(?:halben?|½) Stunde\b", re.I), lambda _: "30 Minuten"),
    (re.compile(r"\b(?:einer? )?(?P<three>drei)?viertelstunde\b", re.I),
     lambda found: "45 Minuten" if found["three"] else "15 Minuten"),
    # zwei Stunden, drei bis vier Stunden
    (re.compile(rf"\b(?P<count>{_GERMAN_ONE})"
                rf"(?= (?:(?:bis|oder) (?:{_GERMAN_ONE}|\d{{1,2}}) )?{_GERMAN_UNIT})", re.I),
     lambda found: f"{_GERMAN[found['count'].lower()]}"),
    # 2 Std 20
    (re.compile(r"\b(\d{1,2}) ?(?:Std\.?|Stunden?) ([0-5]\d)\b(?! ?(?:[MS°g]|Grad))", re.I),
     lambda found: f"{found[1]} h {found[2]} min"),
    # 6+ hours
    (re.compile(r"(?<=\d) ?\+(?= ?(?:h|hours?|hrs?|m|min(?:ute)?s?)\b)", re.I), lambda _: ""),
    # one-and-a-half hours
    (re.compile(r"\b(one|two|three|four|five|six|\d)-and-a-half\b", re.I),
     lambda found: f"{found[1]} and a half"),
    # 2 full hours, 10 additional minutes, an extra hour
    (re.compile(rf"\b(?P<count>\d{{1,3}}|{'|'.join(_NUMBER_WORDS)})"
                r" (?:full|solid|additional|extra|whole|long) (?=(?:h(?:ou)?rs?|min(?:ute)?s?)\b)",
                re.I),
     lambda found: f"{found['count']} "),
    # 1hr45min
    (re.compile(r"\b(\d{1,2}) ?(h|hrs?)(\d{1,2}) ?(?=m(?:in(?:ute)?s?)?\b)", re.I),
     lambda found: f"{found[1]} {found[2]} {found[3]} "),
    # a half hour, the first half hour
    (re.compile(r"(?<!and a )(?<!one )(?<!\d )\b(?:a )?half[- ]hour\b", re.I),
     lambda _: "30 minutes"),
    # 7 or so hours
    (re.compile(r"(?<=\d) or so (?=(?:h(?:ou)?rs?|min(?:ute)?s?)\b)", re.I), lambda _: " "),
    # another hr
    (re.compile(r"\bhr(?=s?\b)", re.I), lambda _: "hour"),
    (re.compile(rf"\b(?:(?P<hundreds>a|{_ONE}) hundred (?:and )?)?(?P<tens>{_TEN})"
                rf"(?:[- ](?P<ones>{_ONE}))?\b", re.I), _tens),
    (re.compile(rf"\b(?P<hundreds>a|{_ONE}) hundred(?= degrees?\b)", re.I),
     lambda found: f"{100 * _NUMBER_WORDS[found['hundreds'].lower()]}"),
    # overnight, 10 pm to 7 am
    (re.compile(r"\b(?P<from>\d{1,2})(?::(?P<past>[0-5]\d))? ?(?P<half>[ap])\.?m\.? ?"
                r"(?:-|–|to|till?|until) ?"
                r"(?P<to>\d{1,2})(?::(?P<later>[0-5]\d))? ?(?P<end>[ap])\.?m\b",
                re.I),
     _between),
    # an hour and a half, without its first word
    (re.compile(r"(?<!an )(?<!one )(?<!\d )\bhour and a (?=half\b|quarter\b)", re.I),
     lambda _: "one hour and a "),
    # 1h15, 2hrs30
    (re.compile(r"\b(\d{1,2}) ?(?:h|hrs?) ?([0-5]\d)\b(?! ?(?:m|h))", re.I),
     lambda found: f"{found[1]} h {found[2]} min"),
    # two and a half hours
    (re.compile(rf"\b{_COUNTED} and (?:an? )?(?P<share>half|quarter) (?=h(?:ou)?rs?\b)", re.I),
     lambda found: f"{_whole(found) + _SHARES[found['share'].lower()]:g} "),
    # an hour and a half to two
    (re.compile(r"\b(?:an |one |1 )?hour and a half to (two|three|2|3)\b(?: hours?)?", re.I),
     lambda found: f"1.5 to {_NUMBER_WORDS.get(found[1].lower(), found[1])} hours"),
    # three and a half to four hours
    (re.compile(rf"\b{_COUNTED} and a half (?=(?:to|and|or|-) [\w. ]{{1,12}}h(?:ou)?rs?\b)",
                re.I),
     lambda found: f"{_whole(found) + 0.5:g} "),
    # 2 hours bare, then 3 wrapped
    (re.compile(r"(?<=hours )((?:\w+ )?(?:un)?wrapped|bare|naked|smok\w+|on)(,? (?:and |then )*)"
                r"(\d) (?=(?:un)?wrapped|in (?:foil|paper)|bare|naked|sauced|glazed)", re.I),
     lambda found: f"{found[1]}{found[2]}{found[3]} hours "),
    # an hour and a quarter
    (re.compile(rf"\b{_COUNTED} hours? and (?:an? )?(?P<share>half|three[ -]quarters|quarter)"
                r"\b(?! of)", re.I),
     lambda found: f"{_whole(found) + _SHARES[found['share'].lower()]:g} hours"),
    # three quarters of an hour
    (re.compile(r"\b(?P<share>three[ -]quarters|(?:a )?quarter|half) of an hour\b", re.I),
     lambda found: f"{60 * _SHARES[re.sub(r'^a ', '', found['share'].lower())]:g} minutes"),
    (re.compile(r"\ban hour or two\b", re.I), lambda _: "1 to 2 hours"),
    # another hour, the last hour
    (re.compile(r"\banother (?=(?:half )?hour\b|minute\b)", re.I), lambda _: "one "),
    (re.compile(r"\bone half hour\b", re.I), lambda _: "30 minutes"),
    (re.compile(r"\b(?:one|a|the) (?:last|final|full|whole) (?=hour\b)", re.I), lambda _: "one "),
    # 90-ish minutes
    (re.compile(r"(?<=\d)-?ish(?= (?:min|h))", re.I), lambda _: ""),
    # 325F, 2:30
    (re.compile(r"(?<=[FC], )(\d):([0-5]\d)\b(?! ?(?:h|[ap]\.?m))"),
     lambda found: f"{found[1]} h {found[2]} min"),
    # 1:30 h, 2,5 hours, 1 hr 45
    (re.compile(r"\b(\d{1,2}):([0-5]\d) ?h(?:ours?|rs?)?\b", re.I),
     lambda found: f"{found[1]} h {found[2]} min"),
    (re.compile(r"\b(\d{1,2}),(\d) ?(?=(?:h(?:ours?|rs?)?|stunden?|std)\b)", re.I),
     lambda found: f"{found[1]}.{found[2]} "),
    (re.compile(r"\b(\d{1,2}) ?(?:hours?|hrs?|h)\.? (\d{2})"
                r"(?= (?:a|per) | ?(?:to|-|–) ?\d|[.,;)]|$)", re.I),
     lambda found: f"{found[1]} h {found[2]} min"),
    # 1 hr 15 wrapped
    (re.compile(r"\b(\d{1,2}) ?(?:hours?|hrs?|h)\.? ([0-5][05])(?= (?:(?:un)?(?:wrapped|covered)"
                r"|naked|in (?:the|foil|paper)|at (?:\d|high|low|full)|or so|on (?:low|high)|until"
                r"|till|then|total|with"
                r" (?:the|a) lid|more)\b)", re.I),
     lambda found: f"{found[1]} h {found[2]} min"),
)  # fmt: skip
"""How times are said, and the same in figures."""


def _whole(found: re.Match[str]) -> float:
    count = found["count"].lower()
    return float(_NUMBER_WORDS.get(count, 0) or count)


def _plain(text: str) -> str:
    text = text.replace("\u2109", "°F").replace("\u2103", "°C")
    for sign, words in _VULGAR.items():
        text = text.replace(sign, words)
    # "2-1/2 hours", "2 & 1/2 hours" are two and a half
    return _MIXED.sub(r"\1 \2", text)


_MIXED = re.compile(r"(?<![\d/])(\d{1,2})(?:\s?[-–]\s{0,2}| (?:&|and) {1,2})(\d\s?/\s?\d)(?!\d)")


@kept
def in_figures(text: str) -> str:
    """Times and heats said in words, as figures.

    The places of a `Span` or of `Degrees` are places in this text.
    """
    text = _SPOKEN_HEAT.sub(_heat_in_figures, _plain(text))
    for pattern, said in _SPOKEN:
        text = pattern.sub(said, text)
    return text


_SPOKEN_HEAT = re.compile(
    r"\b(?:(?P<hundreds>two|three|four) ?-?"
    r"(?P<tens>twenty[ -]five|twenty|fifty|seventy[ -]five|hundred)"
    r"|(?<=\b(?:at|to) )one[ -](?P<celsius>twenty|thirty|forty|fifty|sixty|seventy|eighty))\b"
    r"(?! (?:grams?|g|ml|minutes?|hours?|and)\b)",
    re.I,
)
"""“Two seventy-five”, “at one-fifty”: nobody says a heat otherwise."""
_TENS_OF_A_HEAT = {
    "twenty": 20, "twenty-five": 25, "thirty": 30, "forty": 40, "fifty": 50, "sixty": 60,
    "seventy": 70, "seventy-five": 75, "eighty": 80, "hundred": 0,
}  # fmt: skip


def _heat_in_figures(found: re.Match[str]) -> str:
    hundreds = _NUMBER_WORDS[(found["hundreds"] or "one").lower()]
    tens = found["tens"] or found["celsius"]
    return f"{100 * hundreds + _TENS_OF_A_HEAT[tens.lower().replace(' ', '-')]}"

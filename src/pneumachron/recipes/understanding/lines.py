"""One line of ingredients: how much, of what unit, of what, and how it is prepared.

A small LALR grammar reads the amount in front; what follows is words. The grammar is written
for how people write: fractions, ranges, two systems at once, sizes in brackets, words for
numbers.
"""

import re
from dataclasses import dataclass, replace
from fractions import Fraction
from functools import cache

from lark import Lark, Token, Transformer, v_args
from lark.exceptions import LarkError

from pneumachron.recipes.understanding.kept import kept
from pneumachron.recipes.understanding.line_names import name_of
from pneumachron.recipes.understanding.measures import (
    unit_names,
    unit_of,
    unit_pattern,
    with_amount_first,
    with_grade_behind,
)
from pneumachron.recipes.understanding.number_words import in_figures
from pneumachron.recipes.understanding.patterns import BULLET_SIGNS, LENGTH, PICTURE, WEIGHT_UNIT
from pneumachron.recipes.understanding.two_units import with_one_unit

MAX_NUMBER = 24
"""Characters of a number."""
MOST = 1e6
"""An amount in any unit; a feast has some thousand grams."""
MAX_LINE = 400
"""Characters looked at; the words after that are kept, not read."""


@dataclass(frozen=True, slots=True)
class Line:
    """A line of ingredients. `low` is None when there is no amount; `aside` is the other words."""

    raw: str
    low: float | None
    high: float | None
    unit: str
    name: str
    aside: str

    @property
    def amount(self) -> float | None:
        """Middle of the amount."""
        return None if self.low is None or self.high is None else (self.low + self.high) / 2


_VULGAR = {
    "½": "1/2", "⅓": "1/3", "⅔": "2/3", "¼": "1/4", "¾": "3/4", "⅛": "1/8", "⅜": "3/8",
    "⅝": "5/8", "⅞": "7/8", "⅙": "1/6", "⅚": "5/6", "⅕": "1/5", "⅖": "2/5", "⅗": "3/5",
    "⅘": "4/5",
}  # fmt: skip
_SLASH = "\u2044"
"""The slash of typeset fractions."""
_LEADS = (
    r"about|around|approximately|approx\.?|abt\.?|roughly|up to|scant|generous|heaped|heaping|good|"
    r"ca\.?|some"
)
_NUMBER_WORDS = {
    "a few": 3, "few": 3, "a couple of": 2, "a couple": 2, "several": 3,
    "half a": 0.5, "half an": 0.5,
    "half": 0.5, "an": 1, "a": 1, "one": 1, "two": 2, "three": 3, "four": 4, "five": 5, "six": 6,
    "seven": 7, "eight": 8, "nine": 9, "ten": 10, "twelve": 12,
}  # fmt: skip
_GRAMMAR = r"""
start: ABOUT? quantity REST?
quantity: BETWEEN? range ADJ? (PAREN | SIZE)? (PIECES? unit (box | more)?)?
        | amount TIMES amount unit unit?  -> times
        | ADJ? unit                       -> one
more: PLUS amount unit | SLASH amount unit (amount unit)? | amount unit
range: amount (TO amount)?
amount: INT VULGAR | INT FRACTION | FRACTION | VULGAR | DECIMAL | INT DOZEN? | WORDS ADJ?
unit: %(units)s
box: %(units)s
ABOUT.9: /(?:%(leads)s)\s+(?=[\d½⅓⅔¼¾⅛]|an?\b|half\b)/i
BETWEEN.9: /between\b/i
WORDS.8: /(?:%(words)s)(?=\s)(?!\s+(?:spice|little|bit|touch|drop)\b)/i
DOZEN.8: /dozen/i
FRACTION.8: /\d+\s*[\/%(slash)s]\s*\d+/
VULGAR.8: /[%(vulgar)s]/
DECIMAL.7: /\d+[.,]\d+|\.\d+/
INT.6: /\d+/
TO.7: /[-–—]|to\b|or\b|and\b/i
TIMES.8: /[x×]/
PLUS.8: /(?:plus|and|\+)(?=\s+\d)/i
SLASH.8: /\/(?=\s*[\d%(vulgar)s])/
PAREN.8: /\([^)]{1,60}\)/
SIZE.9: /\d+(?:[.,]\d+)?-(?:inch|cm|in|pound|lb|ounce|oz|kg|g)\b/i
ADJ.7: /(?:heaped|heaping|level|rounded|scant|generous|good)(?=\s)/i
PIECES.1: /of(?=\s)/i
REST.-5: /\S.*/s
%%ignore /\s+/
"""


def _grammar() -> str:
    terminals = []
    for name in unit_names():
        boundary = r"\.?(?![A-Za-z])"
        # a capital T is a tablespoon and a small one a teaspoon; no other unit minds
        flag = "" if name in {"tbsp", "tsp"} else "i"
        terminals.append(f"U_{name.upper()}.5: /(?:{unit_pattern(name)}){boundary}/{flag}")
    names = " | ".join(f"U_{name.upper()}" for name in unit_names())
    words = "|".join(sorted(_NUMBER_WORDS, key=len, reverse=True))
    head = _GRAMMAR % {
        "units": names,
        "words": words,
        "vulgar": "".join(_VULGAR),
        "slash": _SLASH,
        "leads": _LEADS,
    }
    return head + "\n".join(terminals) + "\n"


@dataclass(frozen=True, slots=True)
class _Amount:
    low: float
    high: float
    unit: str = ""
    aside: str = ""
    box: str = ""
    """“A 900 g piece of brisket”: what it is a piece of, the name tells."""


@dataclass(frozen=True, slots=True)
class _Box:
    word: str


@v_args(inline=True)
class _Reader(Transformer[Token, "tuple[_Amount, str]"]):
    """From the tree to numbers."""

    def amount(self, *tokens: Token) -> float:
        value = 0.0
        for token in tokens:
            value = value * 12 if token.type == "DOZEN" else value + _number(token)
        return value

    def unit(self, token: Token) -> str:
        return str(token.type).removeprefix("U_").lower()

    def box(self, token: Token) -> _Box:
        return _Box(str(token))

    def range(self, *parts: Token | float) -> tuple[float, float]:
        values = [part for part in parts if isinstance(part, float)]
        # “2-1 cups” is written by somebody who meant the same from the other end
        return min(values), max(values)

    def times(self, count: float, _: Token, size: float, unit: str, box: str = "") -> _Amount:
        if box:
            return _Amount(count, count, box, f"{size:g} {unit}")
        return _Amount(count * size, count * size, unit)

    def one(self, *parts: Token | str) -> _Amount:
        unit = next(part for part in parts if not isinstance(part, Token))
        return _Amount(1.0, 1.0, unit)

    def more(self, *parts: "Token | float | str") -> "tuple[str, float, str]":
        kind = "slash" if isinstance(parts[0], Token) and parts[0].type == "SLASH" else "plus"
        amount = next(part for part in parts if isinstance(part, float))
        unit = next(part for part in parts if isinstance(part, str) and not isinstance(part, Token))
        return kind, amount, unit

    def quantity(
        self, *parts: "Token | str | _Box | tuple[float, float] | tuple[str, float, str]"
    ) -> _Amount:
        pairs = [part for part in parts if isinstance(part, tuple)]
        low, high = next(pair for pair in pairs if len(pair) == 2)
        more = next((pair for pair in pairs if len(pair) == 3), None)
        units = [part for part in parts if isinstance(part, str) and not isinstance(part, Token)]
        asides = [
            str(part).strip("()")
            for part in parts
            if isinstance(part, Token) and part.type in {"PAREN", "SIZE", "ADJ"}
        ]
        unit = units[0] if units else ""
        box = next((part.word for part in parts if isinstance(part, _Box)), "")
        if more is not None and more[0] == "slash":
            asides.append(f"{more[1]:g} {more[2]}")
        elif more is not None:
            extra = _in_unit(more[1], more[2], unit)
            low, high = low + extra, high + extra
        return _Amount(low, high, unit, ", ".join(asides), box)

    def start(self, *parts: "Token | _Amount") -> "tuple[_Amount, str]":
        about = [str(part).strip() for part in parts
                 if isinstance(part, Token) and part.type == "ABOUT"]  # fmt: skip
        rest = "".join(str(part) for part in parts
                       if isinstance(part, Token) and part.type == "REST")  # fmt: skip
        found = next(part for part in parts if isinstance(part, _Amount))
        aside = ", ".join(filter(None, [*about, found.aside]))
        return _Amount(found.low, found.high, found.unit, aside), f"{found.box} {rest}".strip()


def _number(token: Token) -> float:
    text = str(token).strip()
    if token.type == "WORDS":
        return float(_NUMBER_WORDS[" ".join(text.lower().split())])
    if token.type == "ADJ":
        return 0.0
    text = _VULGAR.get(text, text).replace(_SLASH, "/").replace(",", ".").replace(" ", "")
    try:
        found = float(Fraction(text[:MAX_NUMBER]))
    except (ZeroDivisionError, OverflowError, ValueError):
        raise LarkError("no number that can be") from None
    if found > MOST:
        raise LarkError("no amount of a recipe")
    return found


def _in_unit(amount: float, unit: str, wanted: str) -> float:
    """An amount in another unit of its kind; 0 when it is none."""
    one, other = unit_of(unit), unit_of(wanted)
    if one.kind != other.kind or not other.factor:
        return 0.0
    return amount * one.factor / other.factor


@cache
def _parser() -> Lark:
    return Lark(_grammar(), parser="lalr", lexer="contextual")


_EACH_SO_HEAVY = re.compile(
    r"^(\d{1,2}) (\d[\d.½]{0,4}(?:-\d[\d.½]{0,4})? ?(?:#|lbs?\b|pounds?\b|kg\b)\.?) (?=[a-z])", re.I
)
"""“1 5-6# brisket”, “2 3 lb. racks”: how many, and how heavy each is."""


@kept
def read_line(text: str) -> Line:
    """Read one line; what cannot be read is all name."""
    raw = text.strip()
    plain = in_figures(_BULLETS.sub("", raw)[:MAX_LINE])
    plain = with_amount_first(_SOME.sub("", plain.removeprefix("~").lstrip()))
    plain = _ONE_OF.sub("1 ", plain)
    # "a 900 g piece" is so much of it
    plain = _A_SIZED.sub("", plain)
    plain = _SMALL_ONE.sub(r"1 \1 ", _ONE_OF_A_LENGTH.sub("", plain))
    plain = _TIMES.sub("", plain)
    # of garlic that is no hundredth of a liter
    plain = _CL.sub("cloves", plain) if "garlic" in plain.lower() else plain
    plain = _SIZE_WORD.sub(lambda found: _SIZES[found[1].lower()], plain)
    plain = with_one_unit(with_grade_behind(plain))
    # "ginger . . . . 5 cm": the leaders of a card; "pepper from the mill"
    plain = _LEADERS.sub(": ", _FROM_THE_MILL.sub("", plain))
    # 3-1/2 is three and a half, no range from half to three
    plain = _MIXED.sub(r"\1 \2", plain)
    plain = _EACH_SO_HEAVY.sub(r"\1 (\2) ", _SPACED_RANGE.sub("-", plain))
    # 1.500 g and 1,000 ml are thousands
    plain = _THOUSANDS.sub(r"\1\2", plain)
    # "375 ml bottle stout" is so much stout; "To glaze: 1 tbsp honey" says what the honey is for
    plain = _IN_A_BOTTLE.sub(r"\1 \2 ", plain)
    # "a sprig or two of thyme" is one to two
    plain = _ONE_OR_TWO.sub(r"1-2 \1 ", plain)
    plain = _LABEL.sub("", plain)
    purpose = _PURPOSE.match(plain)
    if purpose:
        plain = plain[purpose.end() :]
    lead = re.match(
        r"^(juice|zest|rind|grated zest|saft|abrieb)( (?:and|und) (juice|zest|saft|abrieb))?"
        r" (?:of\s+|von\s+|(?=[\d½]))",
        plain,
        re.I,
    )
    length = None if lead else _LENGTH.match(plain)
    if length:
        plain = f"1 piece {plain[length.end() :]}"
    found = _amount_of(plain[lead.end() :] if lead else plain)
    if found is None and not lead:
        return _for(_trailing(raw, plain), purpose)
    if found is None:
        name, aside = name_of(plain)
        return Line(raw, None, None, "", name, aside)
    amount, rest = found
    name, aside = name_of(rest)
    told = length["long"] if length else ""
    what_for = (purpose[1] or purpose[2]).strip().lower() if purpose else ""
    sized = amount.low > 1.0 and amount.unit in {"", "rack", "piece"}
    size = f"{amount.aside} each" if sized and _SIZE_OF_ONE.match(amount.aside) else amount.aside
    taken = re.sub(r"\s+(?:of|von)\s*$", "", lead[0], flags=re.I).strip().lower() if lead else ""
    asides = [what_for, taken, told, size, aside]
    unit = amount.unit
    if unit == "clove" and not name:
        if not re.search(r"\d|\b(?:an?|one|two|three|four|five|six)\b", plain, re.I):
            return Line(raw, None, None, "", "cloves", aside)
        name, unit = "cloves", ""  # the spice
    if not unit and (cloves := re.match(r"^(garlic) cloves?$", name, re.I)):
        name, unit = cloves[1], "clove"
    return Line(raw, amount.low, amount.high, unit, name, ", ".join(filter(None, asides)))


def _for(line: Line, purpose: re.Match[str] | None) -> Line:
    """A line whose purpose stands in front: “For serving: warm tortillas”."""
    if purpose is None:
        return line
    what_for = (purpose[1] or purpose[2]).strip().lower()
    return replace(line, aside=", ".join(filter(None, [line.aside, what_for])))


_BULLETS = re.compile(rf"^(?:[-{BULLET_SIGNS}–★☆●○◎◆◇■□\s]+|\+\s+|\[[ xX]?\]\s*|{PICTURE})+(?=\S)")
"""What stands in front of a line: bullets, boxes to tick, small pictures."""
_IN_A_BOTTLE = re.compile(
    r"^(?:1 (?:x )?)?(\d+(?:\.\d+)?)[ -]?(ml|cl|l|dl|g|oz|ounce|fl\.? ?oz)\b\.?[ -]"
    r"(?:bottles?|cans?|tins?|jars?|packs?|packets?|cartons?)\s+(?:of\s+)?(?=[a-z])",
    re.I,
)
_LABEL = re.compile(
    r"^(?:the )?(?:meat|cut|ribs|brisket|pork|beef|what|binder|slather|wood|fuel|protein|liquid|fat"
    r"|spritz|mop)\s*:\s+(?=\S)",
    re.I,
)
"""“Binder: hot sauce” on a card."""
_SOME = re.compile(r"^a (?:little(?: bit)?|bit|touch|drop)\s+(?:of\s+)?", re.I)
_A_SIZED = re.compile(r"^an?\s+(?=\d)", re.I)
_ONE_OF_A_LENGTH = re.compile(
    rf"^(?:1|one|an?)\s+(?=\d[\d./½¼¾]{{0,4}}[\s-]?(?:{LENGTH}|\")[\s-]*(?:piece|knob|thumb|chunk))",
    re.I,
)
"""“1 2" piece ginger” is a piece so long."""
_CL = re.compile(r"(?<=\d )cl\b")
_TIMES = re.compile(r"(?<=^\d) ?[x×] (?=[a-z])", re.I)
"""“2 x butts”: two of them."""
_SIZES = {"lg": "large", "lge": "large", "med": "medium", "sm": "small"}
_SIZE_WORD = re.compile(r"(?<=\d )(lge?|med|sm)\.?(?= [a-z])", re.I)
_SMALL_ONE = re.compile(
    r"^(?:an? |1 |one )?(?:small|large|big|good) "
    r"(bunch|handful|pinch|knob|sprig|jar|tin|can|splash)\s+(?:of\s+)?",
    re.I,
)
_ONE_OR_TWO = re.compile(r"^(?:an?|one|1) ([a-z]{3,12}) or (?:two|so|2)\s+(?:of\s+)?", re.I)
_ONE_OF = re.compile(r"^1 [-–] (?=(?:[3-9]|1\d)(?:\.\d+)?[ -]?(?:lbs?|pounds?)\b)", re.I)
"""“1 - 7 lb Boston butt” is one of 7 lb: nobody weighs from 1 to 7."""
_PURPOSE = re.compile(
    r"^((?:to|for(?: the)?) [a-z]{3,12})\s*:\s+(?=[\d½¼¾⅓⅔])"
    r"|^((?:to|for(?: the)?) (?:serv(?:e|ing)|garnish(?:ing)?|top(?:ping)?|finish(?:ing)?|tacos?"
    r"|sandwich(?:es)?|buns|rolls|(?:the )?table))\s*:\s+",
    re.I,
)
_LENGTH = re.compile(
    rf"^(?P<long>\d+(?:[.,/]\d+| \d/\d)?[\s-]?(?:{LENGTH}|\"))[\s-]*"
    r"(?:(?:pieces?|knobs?|thumbs?|chunks?|lengths?|sticks?|nubs?)\s+(?:of\s+)?"
    r"|(?=(?:fresh |root )?(?:ginger|galangal|turmeric|cinnamon|horseradish|lemongrass"
    r"|ingwer|galgant|zimt|meerrettich|zitronengras)))",
    re.I,
)
"""“3 cm piece of ginger”: one piece, so long."""
_SIZE_OF_ONE = re.compile(rf"(?:about |ca\.? )?\d[\d.,/½¼¾ ]*[ -]?{WEIGHT_UNIT}$", re.I)
"""“2 (3 pound) racks”: what stands between the number and the thing is said of each."""
_LEADERS = re.compile(r"\s*(?:\.\s?){3,40}\s*(?=[\d½¼¾⅓⅔])")
_FROM_THE_MILL = re.compile(r"\s(?:aus der mühle|from the mill)\b", re.I)
_THOUSANDS = re.compile(
    r"(?<![\d.,])(\d{1,3})[.,](\d{3})(?=\s*(?:g|gr|grams?|ml|millilit(?:re|er)s?)\b)", re.I
)
_SPACED_RANGE = re.compile(
    rf"(?<=[a-z,(] \d)\s+[-–—]\s+(?=\d[\d./½⅓⅔¼¾]{{0,5}}\s?{WEIGHT_UNIT}\b)", re.I
)
"""“1 brisket 3 – 4 lbs”, and no aside behind a dash."""
_MIXED = re.compile(
    r"(?<![\d/.])(\d{1,3})\s?[-–]\s?(\d{1,2}\s?[/\u2044]\s?\d{1,2}|[½⅓⅔¼¾⅛⅜⅝⅞⅙⅚⅕⅖⅗⅘])(?!\d)"
)


def _amount_of(text: str) -> tuple[_Amount, str] | None:
    try:
        tree = _parser().parse(text)
        return _Reader().transform(tree)
    except LarkError:
        return None


_TAIL = re.compile(
    r"^(?P<name>[^\d½⅓⅔¼¾⅛]{2,80}?)\s*[-–:,]?\s+(?P<amount>(?:about |approx\.? )?[\d½⅓⅔¼¾⅛].*)$"
)


_LAST = re.compile(
    r"^(?P<name>[^()]{3,80}?)(?<!about)(?<!approx)(?<! or)(?<! to)[\s,:-]+"
    r"(?P<amount>[\d½⅓⅔¼¾⅛][\d./½⅓⅔¼¾⅛]* ?(?:lbs?|kg|g|oz|ea|pcs?)\.?)$"
)
"""“Pork shoulder, bnls, 2" dice 5 lb”: the amount stands last, whatever numbers stand before."""


def _trailing(raw: str, plain: str) -> Line:
    """“salt 20 g”, “onions - 3”: the amount behind."""
    for match in filter(None, (_TAIL.match(plain), _LAST.match(plain))):
        first, plus, more = match["amount"].partition("+")
        another = plus and _amount_of(more.strip())
        if another and _A_WORD.search(another[1]):  # “cornstarch - 2 tbsp + 2 tbsp water”
            line = _trailing(raw, f"{match['name']} {first}".strip())
            return replace(line, aside=f"+ {more.strip()}")
        found = _amount_of(match["amount"])
        opened = match["name"].count("(") > match["name"].count(")")
        if found and not opened and (found[0].unit or _NO_NAME.match(found[1].strip())):
            amount, rest = found
            name, aside = name_of(match["name"].strip(" -–:,"))
            told = _ABOUT.sub("", amount.aside)
            asides = ", ".join(filter(None, [aside, told, rest.strip(" ,;")]))
            return Line(raw, amount.low, amount.high, amount.unit, name, asides)
    if worded := _IN_WORDS.match(plain):
        found = _amount_of(f"{worded['many'] or 'a '}{worded['of']} {worded['name']}")
        if found is not None:
            amount, rest = found
            name, aside = name_of(rest)
            return Line(raw, amount.low, amount.high, amount.unit, name, aside)
    name, aside = name_of(_GALORE.sub(r", \1", plain))
    return Line(raw, None, None, "", name, aside)


_A_WORD = re.compile(r"[^\W\d_]{3}")
_IN_WORDS = re.compile(
    r"^(?P<name>[a-z][a-z '-]{2,40}?)(?:,|:)? (?P<many>half an? |an? |few |a few )?"
    r"(?:good |big |small |large )?"
    r"(?P<of>(?:handful|pinch|bunch|knob|splash|glug|bottle|sprig|dash|glass|thumb|tin|can|jar)s?)$",
    re.I,
)
"""“Red wine half a bottle”, “prunes handful”."""
_ABOUT = re.compile(r"^(?:about|approx\.?|approximately|ca\.?|roughly|around)\b,? ?", re.I)
"""“Boneless, about 2.7 kg”: in front of an amount it is a word, behind it none."""
_GALORE = re.compile(r"(?<=[a-z]) (loads|lots|plenty|galore)$", re.I)
_NO_NAME = re.compile(r"(?:[,(].*|(?:small|large|medium|big)\b.{0,20})?$", re.I)
"""Behind a number that stands last: “Orange 1, halved”, “Cinnamon 1 small stick”."""

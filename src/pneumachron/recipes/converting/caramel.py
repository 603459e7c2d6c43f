"""Sugar that is melted to a caramel in the pot, before the meat goes in."""

import re
from itertools import pairwise

from pneumachron.core.message import Message
from pneumachron.recipes.converting.glazes import OWN_PAN
from pneumachron.recipes.converting.marks import OutLine
from pneumachron.recipes.understanding.naming import before_the_heat, rows_named
from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.sentences import sentences_in
from pneumachron.recipes.understanding.understand import Understood

_CARAMEL = any_of(
    r"\b(?:melt|heat|cook|boil|swirl|stir)s?\b[^.;]{0,60}\bsugar\b[^.;]{0,160}"
    r"\b(?:amber|caramel\w*|golden|mahogany|melts and"
    r"|colou?r of (?:strong |black |dark )?(?:tea|cola|copper|chestnuts?|mahogany)"
    r"|(?:deep|dark|strong|reddish)[ -](?:(?:like |as )?tea|brown))",
    r"\bsugar\b[^.;]{0,100}\b(?:until|till?)\b[^.;]{0,40}\b(?:amber|caramel\w*)",
    r"\bcarameli[sz]e the sugar\b|\bzucker\b[^.;]{0,40}\bkaramell?isieren\b",
)
_WITH_ONIONS = any_of(r"\b(?:onions?|shallots?|leeks?|apples?|pears?|zwiebeln?)\b")
"""“Cook the onions with the sugar until golden” makes no caramel."""


_ADDED_TO_ONIONS = any_of(
    r"^\W*(?:then )?add (?:the )?(?:\w+ )?sugar\b[^.;]*\bcook\b[^.;]*\bmore\b"
)
"""“Cook the onions. Add the sugar and cook 5 minutes more until caramelized.”"""


_MEAT_INTO_IT = re.compile(
    r"\W*(?:then |carefully |now )*(?:add|put|turn|toss|tip|return) (?:in )?(?:the |all the )?"
    r"(?:drained |marinated )?(?:ribs?|meat|pork|beef|pieces|chunks)\b",
    re.I,
)


def makes_caramel(text: str) -> bool:
    """Whether a sentence melts sugar to a caramel in the pot itself."""
    return _is_of_sugar(text) and OWN_PAN.search(text) is None


def _is_of_sugar(text: str) -> bool:
    found = _CARAMEL.search(text)
    if found is None or _ADDED_TO_ONIONS.match(text):
        return False
    # “till dark like tea, then the shallots”: they go into the caramel
    then = _THEN.match(text, found.end()) is not None
    return _WITH_ONIONS.search(text[: found.end()] if then else text) is None


_THEN = re.compile(r",? (?:and )?then\b")


def caramel_lines(understood: Understood) -> frozenset[int]:
    """Lines of sugar that such a sentence names before the long heat."""
    sentences = [text for step in before_the_heat(understood) for text in sentences_in(step)]
    told = " ".join(
        text for text, after in pairwise([*sentences, ""])
        # “in a heavy pan … to a dark amber. Add the ribs”: that pan is the pot
        if makes_caramel(text) or (_is_of_sugar(text) and _MEAT_INTO_IT.match(after))
    )  # fmt: skip
    named = rows_named(understood, told) if told else frozenset()
    return frozenset(row for row in named if understood.ingredients[row].kind == "sugar")


CARAMEL = Message("prepared-caramel")


def is_caramel(line: OutLine) -> bool:
    """Whether a line is melted first, and dissolved before the lid goes on."""
    return line.prepared == CARAMEL

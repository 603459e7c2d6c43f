"""What a copied page scatters, put together again: two columns, and foods in three lines each."""

import itertools
import re
from collections.abc import Iterator

from pneumachron.recipes.understanding.measures import unit_names, unit_pattern

_FOODS = r"ingredients|you(?:'ll| will)? need|what you need|zutaten"
_WORK = r"method|directions|instructions|steps|preparation|what to do|zubereitung"
_GAP = r"(?: {3,}|\t)[ \t]{0,200}"
_HEADS = re.compile(
    rf"^[ \t]{{0,20}}(?P<left>{_FOODS}|{_WORK})\s?:?{_GAP}(?P<right>{_FOODS}|{_WORK})\s?:?[ \t]*$",
    re.I | re.M,
)
_CELLS = re.compile(r"^(?P<left>\S.{0,200}?)?(?: {2}|\t)[ \t]{0,200}(?P<right>\S.*)$")
_LEAST_IN_COLUMNS = 2
"""Lines with a gap, below the two heads, that make columns. Judgement."""


def with_columns_apart(text: str) -> str:
    """“Ingredients    Method” and below them foods and steps side by side: one after the other."""
    heads = _HEADS.search(text)
    if heads is None:
        return text
    lines = [(line, _CELLS.match(line)) for line in text[heads.end() :].split("\n")]
    if sum(cells is not None for _, cells in lines) < _LEAST_IN_COLUMNS:
        return text
    left, right = [heads["left"]], [heads["right"]]
    for line, cells in lines:
        for column, words in (
            (left, line if cells is None else cells["left"] or ""),
            (right, "" if cells is None else cells["right"]),
        ):
            if words[:1].islower():  # its line went on below
                column[-1] += f" {words.strip()}"
            elif words.strip():
                column.append(words.strip())
    return "\n".join([text[: heads.start()].rstrip(), *left, *right])


_FOR_SOME = r"(?:for|serves) \d{1,2}(?: people| persons)?|\d{1,2} (?:servings|people|persons)"
_BETWEEN = r"(?:[ \t]{2,200}|[ \t]*\|[ \t]*)"
_FOR_TWO_NUMBERS = re.compile(
    rf"^[ \t|]{{0,60}}(?:ingredients?{_BETWEEN})?(?:{_FOR_SOME}){_BETWEEN}(?P<last>{_FOR_SOME})"
    r"[ \t|]{0,20}$",
    re.I | re.M,
)
_AMOUNT_IN_A_CELL = r"[\d½⅓⅔¼¾⅛][\w ½⅓⅔¼¾⅛./-]{0,20}?"
_TWO_AMOUNTS = re.compile(
    rf"^[ \t|]{{0,20}}(?P<food>[^\d\n|]{{2,80}}?){_BETWEEN}{_AMOUNT_IN_A_CELL}{_BETWEEN}"
    rf"(?P<last>{_AMOUNT_IN_A_CELL})[ \t|]{{0,20}}$",
    re.M,
)


def with_one_amount(text: str) -> str:
    """“For 2   For 4” above two amounts of each food: the last column, and for how many it is."""
    heads = _FOR_TWO_NUMBERS.search(text)
    if heads is None:
        return text
    above, below = text[: heads.start()], text[heads.end() :]
    many = re.search(r"\d+", heads["last"])
    served = f"Serves {many[0]}\n" if many else ""
    return f"{above}{served}{_TWO_AMOUNTS.sub(_with_the_last, below)}"


def _with_the_last(found: re.Match[str]) -> str:
    return f"{found['last'].strip()} {found['food'].strip()}"


_TWO_FOODS = re.compile(
    r"^(?P<left>[ \t]*[\d½⅓⅔¼¾⅛]\S{0,30}[^\n]{3,80}?)(?: {3,}|\t+)(?=[\d½⅓⅔¼¾⅛])", re.M
)
_LEAST_OF_TWO = 2
"""Lines of two foods that make two columns of them. Judgement."""


def with_foods_apart(text: str) -> str:
    """“1½ lb pork      1 lb apples”, in two columns of a list: a line for each."""
    if len(_TWO_FOODS.findall(text)) < _LEAST_OF_TWO:
        return text
    # the title beside “Serves 8”, the last food beside one without an amount
    return _WIDE_GAP.sub(r"\g<left>\n\n", _TWO_FOODS.sub(r"\g<left>\n", text))


_WIDE_GAP = re.compile(r"^(?P<left>[ \t]*\S[^\n]{1,80}?)(?: {4,}|\t{2,})(?=\S)", re.M)


_TEMPLATE = re.compile(r"^\{\{[^\n}]{1,60}\n|^\{\{[^\n}]{1,60}\}\}\s*$", re.M)
_FIELD = re.compile(r"^\|[ \t]*(?P<name>[a-z][a-z ]{1,20}?)[ \t]*=[ \t]*", re.M | re.I)
_NUMBERED = re.compile(r"^#+[ \t]*(?=\w)", re.M)
_BRACES = re.compile(r"^\{\{.*$|^\}\}[ \t]*$", re.M)


def with_fields_named(text: str) -> str:
    """“|serves = 4”, “# Brown it.”: the template of a wiki as headings, labels and steps."""
    if _TEMPLATE.match(text.lstrip()) is None or not _FIELD.search(text):
        return text
    plain = _BRACES.sub("", _NUMBERED.sub("- ", text))
    return re.sub(r"^title: ", "", _FIELD.sub(r"\g<name>: ", plain), flags=re.M)


_BOX = re.compile(r"[▢□☐]")
_BARE_AMOUNT = re.compile(r"(?:\d{1,4}(?:[.,]\d{1,2}|\s?[½⅓⅔¼¾⅛]|[ /-]\d{1,2}(?:/\d)?)?|[½⅓⅔¼¾⅛])")
_BARE_UNIT = re.compile("|".join(unit_pattern(name) for name in unit_names()), re.I)
_LEAST_SCATTERED = 2
"""Foods in pieces that make such a list. Judgement."""
_MOST_OF_A_FOOD, _MOST_OF_AN_ASIDE = 80, 60
"""Characters of a food, and of what is said of it on the next line. Judgement."""


def with_foods_whole(text: str) -> str:
    """“2”, “racks”, “pork ribs” on three lines, as some pages are copied: one line."""
    lines = [line.strip() for line in text.split("\n")]
    starts = list(_scattered(lines))
    if len(starts) < _LEAST_SCATTERED:
        return text
    return "\n".join(_put_together(lines, starts[0], starts[-1]))


def _scattered(lines: list[str]) -> Iterator[int]:
    """Where an amount stands alone above its unit, or below the box that is ticked."""
    told = [at for at, line in enumerate(lines) if line]
    for at, following in itertools.pairwise(told):
        amount, unit = _BARE_AMOUNT.fullmatch(lines[at]), _BARE_UNIT.fullmatch(lines[following])
        if (amount and unit) or (
            _BOX.fullmatch(lines[at]) and _BARE_AMOUNT.fullmatch(lines[following])
        ):
            yield at


def _put_together(lines: list[str], first: int, last: int) -> Iterator[str]:
    at = 0
    while at < len(lines):
        line = lines[at]
        box = bool(_BOX.fullmatch(line))
        if first <= at and (box or (at <= last and _BARE_AMOUNT.fullmatch(line))):
            at, food = _food(lines, at + box)
            yield food
        else:
            yield line
            at += 1


def _food(lines: list[str], at: int) -> tuple[int, str]:
    """The food that begins on a line, and where the next begins."""
    pieces: list[str] = []
    at = _next_told(lines, at)
    for part in (_BARE_AMOUNT, _BARE_UNIT):
        if at < len(lines) and part.fullmatch(lines[at]):
            pieces.append(lines[at])
            at = _next_told(lines, at + 1)
    if at < len(lines) and len(lines[at]) <= _MOST_OF_A_FOOD and not _BOX.fullmatch(lines[at]):
        pieces.append(lines[at])
        at += 1
    food = " ".join(pieces)
    while pieces and at < len(lines) and _is_aside(lines[at]):
        food = f"{food}, {lines[at].strip('()')}"
        at += 1
    return at, food


def _next_told(lines: list[str], at: int) -> int:
    """The next line that says something."""
    while at < len(lines) and not lines[at]:
        at += 1
    return at


def _is_aside(line: str) -> bool:
    """“homemade or bottled”, below its food."""
    goes_on = line[:1].islower() or (line.startswith("(") and line.endswith(")"))
    return goes_on and len(line) <= _MOST_OF_AN_ASIDE and not line.endswith((".", ":"))

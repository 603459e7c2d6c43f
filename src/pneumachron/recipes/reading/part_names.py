"""Which lines of a pasted text name a part, though nothing marks them as headings."""

import re
from itertools import pairwise

from pneumachron.recipes.reading.row import COUNTS, Row
from pneumachron.recipes.understanding.ingredients import UNKNOWN, Kind, food_of
from pneumachron.recipes.understanding.lines import read_line

_COUNTED_STEP = re.compile(r"\s*\d{1,2}[.)]\s+\S")
_MOST_CAPITALS = 0.34
"""In a text with more lines in capitals than this share they are no headings. Judgement."""
_MOST_IN_A_HEADING = 4
"""Words of a heading in capitals. Judgement."""


def capitals_are_headings(rows: list[Row]) -> None:
    """“STICKY STUFF” among lines in small letters is the name of a part."""
    capital = [row for row in rows if row.plain.isupper()]
    if len(capital) > _MOST_CAPITALS * len(rows):
        return
    for at, (before, row) in enumerate(pairwise(rows), start=1):
        short = len(row.plain.split()) <= _MOST_IN_A_HEADING and not COUNTS.match(row.plain)
        plain = row.heading is None and not row.look.has_amount and not row.plain.endswith(".")
        known = (
            food_of(row.plain) is not UNKNOWN and before.look.food > 0
            and not (_NAMES_A_PART.search(row.plain) or _made_below(row, rows[at + 1 : at + 3]))
        )  # fmt: skip
        # “LEMONS” above “3 lemons”, where “SALSA VERDE” has its own foods above it
        parted = len(capital) > 1 and _stands_apart(row, rows[at + 1 : at + 2])
        known = known and not parted
        named = _A_WORD.search(row.plain) is not None  # "S & P" is no heading
        if row.plain.isupper() and named and short and plain and not known and not row.bulleted:
            row.heading = "part"


def _stands_apart(row: Row, below: list[Row]) -> bool:
    """Behind an empty line, with a counted food right below it."""
    return row.after_gap and any(each.look.has_amount and not each.after_gap for each in below)


def _opens_a_list(row: Row, below: Row, above: list[Row]) -> bool:
    """“Bowls” above “- rice, beans, avocado”, where other foods have their bullets as well."""
    few = len(row.plain.split()) <= MOST_IN_A_NAME and row.plain[:1].isupper()
    bare = few and row.after_gap and not (row.bulleted or row.look.has_amount)
    idle = below.bulleted and not below.after_gap and below.look.food > below.look.work
    listed = sum(each.bulleted and each.look.food > each.look.work for each in above)
    return bare and idle and listed >= LEAST_MIXED and not row.plain.endswith(".")


MOST_IN_A_NAME = 3
"""Words of a part's name that nothing marks. Judgement."""


def _made_below(row: Row, below: list[Row]) -> bool:
    """“PICKLED ONIONS” above what they are made of."""
    counted = len(below) > 1 and all(each.look.has_amount for each in below)
    return counted and _ALSO_A_FOOD.match(row.plain) is not None


_A_WORD = re.compile(r"[^\W\d_]{3}")
_NAMES_A_PART = re.compile(
    r"\b(?:SAUCE|GLAZE|RUB|MARINADE|DRESSING|SALSA|SLAW|GRAVY|BRINE|TOPPING|CRUST|MOP|PASTE"
    r"|PICKLES?|(?<!SOUR )(?<!DOUBLE )(?<!HEAVY )(?<!SINGLE )CREAM|RELISH|CHUTNEY|SALAD"
    r"|GREMOLATA|DUMPLINGS|ASSEMBLY)$"
)
"""“PLUM SAUCE” among foods in small letters is made below, and not bought."""
_OF_A_DISH = re.compile(
    r"^(?:the )?(?:(?:dry |wet |spice |dipping |finishing |mop )?"
    r"(?:rub|marinade|glaze|sauce|brine|braise|slaw|salsa|gravy|toppings?|dressing|pickles?|crust"
    r"|mop|spritz)|(?:short |spare )?ribs|brisket|pork|beef|meat|wings|to (?:serve|garnish|finish)"
    r"|stew|rag(?:u|ù|out)|filling|(?:spice )?paste|aromatics|(?:braising|cooking) liquid|mash"
    r"|stir[- ]?fry|(?:herbs (?:and|&) )?spices|produce|pantry|vegetables|meat (?:and|&) \w+|dairy"
    r"|(?:dry|wet|liquid|sauce|rub|marinade|glaze|other|main|remaining) ingredients"
    r"|gew(?:ü|ue)rze|gem(?:ü|ue)se|fleisch)$",
    re.I,
)
_OF_A_SAUCE = re.compile(r"^(?:the )?(?:sauce|glaze|gravy|dressing|slaw|salsa|topping)$", re.I)
_OPTIONAL = re.compile(r"\s*\(optional\)$", re.I)
_OF_A_MIX = re.compile(
    r"^(?:the )?(?:[a-z'’-]+ ){1,2}(?P<mix>rub|paste|marinade|spice mix|seasoning mix"
    r"|glaze|mop|brine|dressing|vinaigrette|slaw|gravy|topping):?$",
    re.I,
)
_IN_A_RUB: frozenset[Kind] = frozenset({"spice", "salt", "sugar", "rub", "dried_herb", "chilli"})
LEAST_MIXED = 3
"""So many foods with amounts stand below the name of a mixture. Judgement."""
_ALSO_A_FOOD = re.compile(
    r"^(?:the )?(?:curry|salad|dumplings|gremolata|relish|chutney|chimichurri|broth"
    r"|(?:quick[- ])?(?:pickles|pickled (?:red )?\w+)"
    r"|(?:mashed )?potatoes|mash|polenta|grits)$",
    re.I,
)
"""The name of a part only where others have theirs: “Marinade” above, “Curry” below."""


def single_words_are_headings(rows: list[Row]) -> None:
    """“Slaw” above an amount, in a list where foods have theirs, is the name of a part."""
    # other parts of the list have their names, above this one or below
    parted = any(row.heading == "part" and below.look.work <= 0.0 for row, below in pairwise(rows))
    for at, row in enumerate(rows):
        first, *others = [*rows[at + 1 : at + 3], None, None][:2]
        if row.heading is not None or first is None:
            continue
        plain = _OPTIONAL.sub("", row.plain)
        counted = first.look.has_amount and not _COUNTED_STEP.match(first.raw)
        goes_on = any(each is not None and each.look.has_amount for each in others)
        opens = counted and _OF_A_DISH.match(plain)
        if parted and goes_on:
            # “Pickled onions” above two foods; “Sauce” above “leftover marinade” and water
            opens = opens or (counted and _ALSO_A_FOOD.match(plain))
            idle = first.heading is None and first.look.work <= 0.0
            opens = opens or (idle and _OF_A_SAUCE.match(plain))
        again = counted and goes_on and _is_told_again(row, rows[at + 1 :], rows[:at])
        again = again or (parted and _opens_a_list(row, first, rows[:at]))
        if opens or again or _opens_a_mix(row, rows[at + 1 :]):
            row.heading = "part"
            parted = True
    _named_again(rows)


def _named_again(rows: list[Row]) -> None:
    """“Slaw and assembly” above its steps, where “SLAW AND ASSEMBLY” stands above its foods."""
    names = {row.plain.lower().strip(":") for row in rows if row.heading == "part"}
    for row, below in pairwise(rows):
        works = below.look.work > max(below.look.food, 0.0)
        if row.heading is None and works and row.plain.lower().strip(":") in names:
            row.heading = "part"


_MOST_TOLD_WORDS = 4
"""Words of a name that a step says again. Judgement."""


def _is_told_again(row: Row, below: list[Row], above: list[Row]) -> bool:
    """“Salmuera” in a list, and “brush with the salmuera” in a step: what means no food is made."""
    name = row.plain.strip(": ")
    bare = row.plain[:1].isupper() and len(name.split()) <= _MOST_TOLD_WORDS and not row.bulleted
    if not bare or food_of(name) is not UNKNOWN or not any(each.look.has_amount for each in above):
        return False
    told = re.compile(rf"\b(?:the|your|of|for|this) {re.escape(name)}\b", re.I)
    return any(each.look.work > 0.0 and told.search(each.plain) for each in below)


_ON_A_DAY = re.compile(r"^(?:on the day|the next day|next day|day (?:two|2)|to finish)\b", re.I)


def least_in_a_part(row: Row) -> int:
    """How many foods with an amount below a heading behind the steps make it a part.

    “On the day: 7 Tbsp brown sugar” may be followed by work at once. Judgement.
    """
    return 1 if _ON_A_DAY.match(row.plain) else 2


def _opens_a_mix(row: Row, below: list[Row]) -> bool:
    """“BBQ rub” above its spices, “Jerk paste” above what is ground: no foods of their own."""
    found = _OF_A_MIX.match(row.plain)
    first = below[:LEAST_MIXED]
    if found is None or len(first) < LEAST_MIXED or row.look.has_amount:
        return False
    if not all(each.look.has_amount and each.heading is None for each in first):
        return False
    foods = [food_of(read_line(each.plain).name) for each in first]
    if found["mix"].lower() in {"rub", "spice mix", "seasoning mix"}:
        return all(food.kind in _IN_A_RUB for food in foods)
    return all(food.kind not in {"meat", "other_meat"} for food in foods)

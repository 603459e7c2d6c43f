"""For how many a recipe is."""

import re

from pneumachron.recipes.model import Recipe

_WORDS = {
    "two": 2, "three": 3, "four": 4, "five": 5, "six": 6, "seven": 7, "eight": 8, "nine": 9,
    "ten": 10, "twelve": 12, "half a dozen": 6, "a dozen": 12, "fifteen": 15, "twenty": 20,
}  # fmt: skip
_WORD = re.compile(rf"\b(?:{'|'.join(sorted(_WORDS, key=len, reverse=True))})\b", re.I)
_SPAN = r"(?P<low>\d{1,3})(?:\s*(?:-|–|to|or|bis)\s*(?P<high>\d{1,3}))?"
_NUMBERS = re.compile(
    _SPAN
    + r"(?! ?(?:racks?|slabs?|lbs?|pounds?|kg|kilos?|g\b|cups?|quarts?|lit(?:er|re)s?|ml)\b)(?!\d)"
)
_EATERS = (
    r"(?:people|ppl|persons?|pers\b\.?|portions?|portionen|servings?|serv\b\.?|svgs?|personen|eaters|guests|plates|adults"
    r"|folks?|pax|covers?|bowls?|of us|serves(?! \d)|leute|esser|gäste)"
)
_SAID = re.compile(
    r"\b(?:serves|servings|to serve|serving|feeds|fed|does|yields?|for|für|enough for|ergibt"
    r"|family of|crowd of|party of|table of)"
    rf"(?: about|:| a family of| a (?:party|crowd|table) of| the)*\s*{_SPAN}"
    r"(?:\b|(?=ish))(?![.,]\d)"
    r"(?! ?(?:min|hour|hr|h\b|°|cm|mm|lb|kg|g\b|oz|degrees|days?|weeks?|months?|cups?|sandwich"
    r"|(?:to|or|-|–) \d|(?:to|or|-|–)\d))",
    re.I,
)
_COUNTED = re.compile(
    rf"\b{_SPAN} (?:hungry |good |greedy |big |normal |generous |hungrige )?{_EATERS}\b", re.I
)
_AT_THE_END = re.compile(
    r"\b(?:serves?|servings(?: per \w+)?|feeds?|fed|does|makes|yields?|ergibt|enough for|für"
    r"|(?:a )?(?:family|crowd|party|table) of"
    r"|we(?:['’]re| are)|plenty for|(?:will|would|should|could) do|get"
    r"|served? (?:it )?(?:to|for)|served|for)"
    rf"(?: about|:| the)*\s+{_SPAN}(?!\.\d)"
    r"(?=\s*(?:-?ish\b|of (?:us|you)\b|you (?:want|need|will)\b|(?:portions )?out of (?:it|this)\b"
    r"|\.|!|:|\)| \(|$|eas(?:il)?y|generously|and (?!an? (?:half|quarter))|with "
    r"|(?:at|around) (?:the|our|my|your) (?:\w+ )?table\b"
    r"|in (?:buns|rolls)|"
    rf"(?:hungry |good |greedy |big )?{_EATERS}))",
    re.I,
)
"""“Serves 6.” within a step: a number of people and nothing that is measured."""
_MEALS = re.compile(
    r"\b(?P<old>\d{1,2}) (?:meals?|dinners?|suppers?) for (?P<young>\d{1,2})\b", re.I
)
"""“2 meals for 4” are eight plates."""
_WITH_THE_YOUNG = re.compile(
    r"\b(?P<old>\d{1,2}) adults?,? (?:and|&|plus|\+) (?P<young>\d{1,2})"
    r" (?:kids|children|little ones)\b",
    re.I,
)
"""“4 adults and 2 kids” are six plates."""
_FEEDS = re.compile(
    rf"\b(?:serves|feeds|fed)(?: about| around)? {_SPAN}\b(?! ?[.,]\d)"
    r"(?! ?(?:min|hour|hr|h\b|°|cm|mm|lb|kg|g\b|oz|degrees|days?|weeks?|cups?|times))",
    re.I,
)
"""“Feeds six if your brother comes.”"""
_WE_WERE = re.compile(
    r"\bwe(?: were|['’]re| are) (?P<low>\d{1,2})(?:(?:-| or )(?P<high>\d{1,2}))?\b", re.I
)
_BARE_AT_THE_END = re.compile(r"[.!]\s*(?P<low>\d{1,2})(?:\s*[-–]\s*(?P<high>\d{1,2}))?\s*\.?$")
"""“… cheddar, scallions. 6-8”, as the last words of a card."""
_FOR = re.compile(r"(?<!enough )(?<!plenty )\bfor (?=\d)", re.I)
_THINGS = re.compile(r"(?:makes|yields?)(?: about)? \d+\W*$", re.I)
_STORY = re.compile(
    r"\b(?:i|we) (?:first |once |last |often |usually )?"
    r"(?:tried|made|cooked|served|did|brought)\b|\bpeople (?:have )?asked\b"
    r"|\bon (?:high|low) for \d",
    re.I,
)
_SENTENCE = re.compile(r"[^.!?]+[.!?]*")
MOST_MADE = 16
"""“Makes about 24” counts wings and no people. Judgement."""
MOST = 200


def _without_stories(text: str) -> str:
    """“I first made it for a party of 20” says nothing of this recipe."""
    return "".join(told for told in _SENTENCE.findall(text) if not _STORY.search(told))


def _all_of_them(found: re.Match[str]) -> str:
    return f"{int(found['old']) + int(found['young'])} people"


def _so_often(found: re.Match[str]) -> str:
    return f"{int(found['old']) * int(found['young'])} people"


def read_plates(recipe: Recipe) -> float | None:
    """Plates by its yield, or by “serves 6” anywhere; the middle of a range."""
    places = [
        # “makes about 16 tacos; serves 5-6”
        (recipe.yields, (_FEEDS, _COUNTED, _NUMBERS)),
        (recipe.title, (_COUNTED, _SAID)),
        *((text, (_AT_THE_END, _COUNTED, _FEEDS)) for text in reversed(recipe.steps)),
        # “I first made it for a party of 20” is a story
        (_without_stories(recipe.description), (_COUNTED, _SAID, _AT_THE_END)),
        *((text, (_AT_THE_END, _COUNTED, _FEEDS)) for text in recipe.notes),
        # “A 1.5 kg piece of brisket serves 6.”, “500 g per 2 people (we were 6)”
        *((text, (_FEEDS, _WE_WERE)) for text in recipe.ingredients),
        # “I'm doing mash for 24” is said of another dish
        *((_FOR.sub("", text), (_AT_THE_END, _COUNTED, _FEEDS)) for text in recipe.left_out),
        *((text, (_BARE_AT_THE_END, _BARE_AT_THE_END)) for text in recipe.steps[-1:]),
    ]
    for text, patterns in places:
        plain = _WORD.sub(lambda found: str(_WORDS[found[0].lower()]), text)
        plain = _WITH_THE_YOUNG.sub(_all_of_them, _MEALS.sub(_so_often, plain))
        for pattern in patterns:
            found = pattern.search(plain)
            if found is None:
                continue
            low, high = float(found["low"]), float(found["high"] or found["low"])
            if _THINGS.match(plain) and high > MOST_MADE:
                continue
            if 1 <= low <= high <= MOST:
                return (low + high) / 2
    return None

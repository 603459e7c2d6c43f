"""The foods of one line: “4 shallots, 2 chillies” is two, “onion, finely chopped” is one."""

import re
from dataclasses import replace
from functools import lru_cache

from pneumachron.recipes.understanding.ingredients import (
    SOAKED,
    UNKNOWN,
    Food,
    Ingredient,
    Kind,
    by_the_spoon,
    food_of,
    foods,
    foods_named,
)
from pneumachron.recipes.understanding.kept import MOST_TEXTS
from pneumachron.recipes.understanding.lines import Line, read_line

_MEASURE = re.compile(r"\d[\d.,/½¼¾]* ?(?:ml|l|g|kg|oz|lb|cups?)$", re.I)
_EACH = re.compile(r"^(?:each|ea)\b\.?\s*(?:of\b)?\s*:?\s*", re.I)
_APART = re.compile(r"\s*(?:,|;|\s\+|\s&|\s/)\s+(?:and\s+)?|\s+and\s+")
_PLAIN_LIST = re.compile(
    r"\s*(?:,|;|\s\+)\s+(?:and\s+|plus\s+(?=\d))?(?![^(]*\))|\s+(?:&|and)\s+(?=\d)(?![^(]*\))"
    r"|(?<=[a-z])/(?=\d+ ?(?:[Tt]bsp|tsp|T|t|cups?)\b)"
)
_NOT_UNDER_PRESSURE: frozenset[Kind] = frozenset(
    {"flour", "starch", "dairy", "sugar", "sugar_thick", "sweet_sauce"}
)


_MORE_OF_IT = re.compile(
    r",\s*plus\b[^,]*\bof (?:the|its|their)\b|,\s*plus [^,]{0,20}\b(?:to|for) \w+$"
    r"|\b(?:stuck|studded|spiked) with\b|(?:\+|\bplus) \d[^,;]{0,14}\b(?:extra|more)\b",
    re.I,
)
"""“4 chipotles, plus 1 Tbsp of the adobo”, “1 onion, stuck with 4 cloves”: one thing to put in."""
_ALL_SERVED = re.compile(
    r"\b(?:(?:to|for) (?:serve|serving|garnish(?:ing)?|top(?:ping)?|finish(?:ing)?))[ .]*$", re.I
)
"""“Sour cream, cheddar and scallions for topping” are all for that."""
_SEASONINGS: frozenset[Kind] = frozenset({"salt", "spice"})
_STREWN: frozenset[Kind] = frozenset({"salt", "spice", "chilli", "dried_herb", "rub"})
_WOODS = re.compile(r"\b(?:chunks?|chips|wood|logs?|pellets)\b", re.I)
"""“Apple and hickory chunks” are two woods, and no apple."""
_ONE_PASTE = re.compile(r"beurre mani|\broux\b|\bslurry\b", re.I)
"""Two things that are one before they go in."""


@lru_cache(maxsize=MOST_TEXTS)
def foods_in(item: Ingredient) -> tuple[Ingredient, ...]:
    """The foods of one line, each as a line of its own with the same place in the recipe.

    “1 Tbsp each: paprika, brown sugar” is so much of each. “Salt + pepper, flour for dredging”
    is three things, one of which must not go under pressure, and “4 shallots, 2 chillies” is two.
    Any other line is one food.
    """
    line = item.line
    whole = ", ".join(filter(None, (line.name, line.aside)))
    if _EACH.match(line.name):
        parts = _APART.split(_SLASHES.sub(", ", _EACH.sub("", whole)))
        parts = _of_one_powder([part for part in parts if part and not _MEASURE.match(part)])
        names = _with_their_work(parts)
        told = _beside_salt([by_the_spoon(food_of(name), line) for name in names])
        parted = [name.partition(", ") for name in names]
        return tuple(
            replace(item, line=replace(line, name=name, aside=work), food=food)
            for (name, _, work), food in zip(parted, told, strict=True)
        )
    if _ONE_PASTE.search(line.raw) or _ALL_SERVED.search(line.raw):
        return (item,)
    one = item.food.words == "herb sachet" or _MORE_OF_IT.search(line.raw)
    soaked = SOAKED.search(line.aside) is not None
    if one or soaked or (item.kind == "smoke_wood" and _WOODS.search(line.raw)):
        return (item,)
    alone = _bare_foods(line)
    names = alone or _apart(line.raw)
    lines = [read_line(name) for name in names]
    each = [by_the_spoon(food_of(line.raw), line) for line in lines]
    kinds = {food.kind for food in each}
    counted = len(lines) > 1 and all(line.amount is not None for line in lines)
    several = line.amount is None and len(kinds) > 1 and kinds & _NOT_UNDER_PRESSURE
    bare = bool(alone) or _opens_bare(names, lines)
    seasonings = line.amount is None and len(each) > 1 and kinds <= _STREWN | {"fat"}
    if "starch" in kinds and kinds <= {"starch", "thin"}:
        # starch and the water it is stirred with go in together, at the end
        at = next(at for at, food in enumerate(each) if food.kind == "starch")
        own = replace(lines[at], raw=line.raw) if at else line  # “1/4 c. water + 2 T cornstarch”
        return (replace(item, line=own, food=each[at]),)
    # "salt, pepper, 1 tsp chilli flakes": the spoon is that of the flakes alone,
    # "rosemary, sage, 2 cloves" are three things
    late = lines[0].amount is None and any(told.amount for told in lines[1:])
    seasonings = seasonings or (late and kinds <= _STREWN | {"woody_herb"})
    if kinds & {"unknown", "meat", "beside"} or not (counted or several or bare or seasonings):
        return (item,)
    return tuple(
        replace(item, line=told, food=food)
        for told, food in zip(lines, _beside_salt(each), strict=True)
    )


def _beside_salt(each: list[Food]) -> list[Food]:
    """Pepper on a line with salt is for the meat as the salt is."""
    salted = any(food.kind == "salt" for food in each)
    both = foods()["salt and pepper"]
    return [
        both if salted and food.kind == "spice" and food.words.endswith("pepper") else food
        for food in each
    ]


_ALL_DONE = re.compile(r"(?:\s*\(|,\s*)(?:all|each|both) ([a-z][a-z ]{2,40})\)?\s*$", re.I)
"""“1 onion, 1 carrot (all diced)”."""


_EACH_OF = re.compile(
    r"(?P<much>(?:^|(?<=\s))(?:\d[\d/.½¼¾⅓⅔ ]{0,6}|[½¼¾⅓⅔]|an? |half (?:an? )?)\s?[a-z]{1,12}\.?) "
    r"each(?: of)?:? (?=[a-z])",
    re.I,
)
_COMMAS = re.compile(r"\s*[,;]\s+(?:and\s+|plus\s+)?|\s+(?:and|&)\s+(?=[\w½¼¾])")


_SLASHES = re.compile(r"(?<=[a-z])(?<!\band)/(?=[a-z])(?!or\b)")
"""“2 T each black pepper/garlic powder/onion powder”."""
_POWDERS = re.compile(r" (?:powders?|granules|salt|flakes)$", re.I)
_OF_A_POWDER = re.compile(r"(?P<food>.*\b(?:garlic|onion|celery|chil[il]i?|mustard|ginger))$", re.I)


def _of_one_powder(names: list[str]) -> list[str]:
    """“Garlic + onion powder” is garlic powder and onion powder."""
    found = list(names)
    for at in reversed(range(len(names) - 1)):
        powder = _POWDERS.search(found[at + 1])
        if powder and _OF_A_POWDER.match(found[at]):
            found[at] += powder[0]
    return found


def _by_each(names: list[str]) -> list[str]:
    """“2 tbsp sugar, 1 tbsp each paprika, salt, 2 tsp each cumin, pepper”: as much of each."""
    found, much = [], ""
    for name in names:
        told = _EACH_OF.match(name)
        if told is not None:
            much = told["much"]
            found.append(f"{much} {name[told.end() :]}")
        elif much and read_line(name).low is None:
            found.append(f"{much} {name}")
        else:
            much = ""
            found.append(name)
    return found


def _apart(raw: str) -> list[str]:
    """The foods of a line, each with what is done to all of them."""
    done = _ALL_DONE.search(raw)
    if _EACH_OF.search(raw) and "(" not in raw:
        raw = _SLASHES.sub(", ", raw)
        return _by_each(_of_one_powder(_COMMAS.split(raw)))
    if _SALT_SLASHED.match(raw):  # “salt/pepper/garlic”
        raw = _SLASHES.sub(", ", raw)
    halves = raw.split("; ")
    if len(halves) > 1 and all(_is_measured(half) for half in halves):
        return halves  # “dried oregano, 1 tsp; cumin, 1 tsp”
    if done is None:
        return _with_their_work(_PLAIN_LIST.split(_MASHED_WITH.sub(", ", raw)))
    names = _with_their_work(_PLAIN_LIST.split(raw[: done.start()]))
    return [f"{name}, {done[1]}" for name in names]


def _is_measured(text: str) -> bool:
    line = read_line(text)
    return line.low is not None and food_of(line.name) is not UNKNOWN


_SALT_SLASHED = re.compile(r"\W*(?:salt|s)\s?/\s?(?:pepper|p)\b", re.I)
_MASHED_WITH = re.compile(
    r", (?:mashed|mixed|kneaded|creamed|blended|worked|stirred|combined)(?: together)? with (?=\d)",
    re.I,
)
"""“2 T butter, softened, mashed with 2 T flour” are two foods."""


def _with_their_work(names: list[str]) -> list[str]:
    """“1 onion, 1 carrot, all diced” are two foods: what is no food belongs to the one before."""
    found: list[str] = []
    for name in names:
        told = read_line(name).low is None and food_of(name) is UNKNOWN
        told = told or bool(found and _GARLIC.search(found[-1]) and _CLOVES.match(name))
        if found and (told or _BESIDE_ITS_NAME.match(name) or _PREPARED.match(name)):
            found[-1] += f", {name}"
        else:
            found.append(name)
    return found


_GARLIC = re.compile(r"\bgarlic\W*$", re.I)
_CLOVES = re.compile(r"\d+ (?:\w+ )?cloves?\b", re.I)
"""“Garlic, 6 cloves” is no garlic and a spice."""
_BESIDE_ITS_NAME = re.compile(
    r"in a |tied |(?:blended|mixed|soaked|pur[eé]ed) (?:w/?|with|in) "
    r"|cloves (?:peeled|separated|crushed|smashed|unpeeled|left)\b",
    re.I,
)
"""“1 head garlic, cloves peeled” is one food."""
_PREPARED = re.compile(
    r"(?:finely |roughly |thinly )?(?:minced|chopped|grated|sliced|diced|crushed|peeled|soaked"
    r"|julienned|halved|quartered|toasted)\s+\d[\w ./]*$",
    re.I,
)
"""“Garlic, minced 6 cloves”, in the cells of a table: how it is prepared, and how much."""


def _opens_bare(names: list[str], lines: list[Line]) -> bool:
    """“Oil, 1 tbsp sea salt”: the amount is that of the second food."""
    first, *others = lines
    counted = bool(others) and all(line.amount is not None for line in others)
    return counted and first.amount is None and len(names[0].split()) <= _BARE_WORDS


_BARE_LIST = re.compile(r"\s*,\s+(?:(?:and|und)\s+)?|\s+(?:&|and|und)\s+", re.I)
_BARE_WORDS = 2
_OPTIONAL = re.compile(
    r"[ ,(]*\b(?:optional|if (?:you )?(?:want|like|wanted|desired|using))\)?$", re.I
)
"""“Carrots, potatoes if you want” are two foods."""
_WORDS_ALONE = re.compile(r"(?:[^\W\d]|[ '’-]){8,}")


def _bare_foods(line: Line) -> list[str]:
    """The foods of “onions, carrots and celery”: a list of nothing else, without amounts."""
    bare = line.raw.strip(" .")
    names = [_OPTIONAL.sub("", name) for name in _BARE_LIST.split(bare)]
    if _WORDS_ALONE.fullmatch(bare):
        told = [food.words for food in foods_named(bare)]
        if len(told) > 2 and " ".join(told) == bare.lower():  # “salt pepper smoked paprika”
            return told
    short = all(len(name.split()) <= _BARE_WORDS for name in names)
    if line.amount is not None or len(names) == 1 or not short:
        return []
    each = [food_of(name) for name in names]
    seasons = any(food.kind in _SEASONINGS for food in each)
    return [] if seasons or UNKNOWN in each else names

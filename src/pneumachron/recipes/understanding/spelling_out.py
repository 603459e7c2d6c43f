"""Steps that count their ingredients instead of naming them: “mix the next 5 ingredients”."""

import re
from functools import partial
from itertools import takewhile

from pneumachron.recipes.model import Part, Section
from pneumachron.recipes.understanding.ingredients import CHEESES, Ingredient, Kind
from pneumachron.recipes.understanding.number_words import of_one_powder
from pneumachron.recipes.understanding.sentences import sentences_in

_NUMBERS = {"two": 2, "three": 3, "four": 4, "five": 5, "six": 6, "seven": 7, "eight": 8,
            "nine": 9, "ten": 10}  # fmt: skip
_NEXT = re.compile(
    rf"\b(?P<which>next|following|first) (?P<many>\d{{1,2}}|{'|'.join(_NUMBERS)}) "
    r"(?:dry |spice |wet )?(?:ingredients|things|items)\b",
    re.I,
)
_BEFORE_NEXT = re.compile(r",? (?:and|plus|with|&) (?:the )?$", re.I)
_REST = re.compile(
    r"\b(?:the )?(?:remaining|other|rest of the) (?:ingredients|things|stuff)\b"
    r"|\beverything else\b|\ball (?:of )?the rest\b"
    r"|(?P<served>(?<=with )(?:all )?the (?:rest|trimmings|toppings)(?=[.,;]|$))"
    r"|(?<=mix )(?:the )?rest(?= (?:&|and)\b|[.,;]|$)"
    r"|(?P<mixed>(?<=and )(?:all )?the rest(?=[.;]| together|,? and (?:spoon|pour|spread|brush)))"
    r"|(?<=add )(?:the )?(?:remaining|rest)(?=,? (?:except|but|apart from)\b|[.,;]|$)",
    re.I,
)
_ALL = re.compile(
    r"\ball (?:of )?(?:the )?ingredients\b"
    r"|(?<!til )(?<!till )(?<!until )(?<!take )(?<!lift )(?<!remove )(?<!scoop )(?<!fish )"
    r"\beverything\b(?!['’]s\b| (?:is|else|for|from"
    r"|in the(?! (?:pot|cooker|crock|crockpot|slow cooker|dutch oven)\b))\b)",
    re.I,
)
_PARTS = re.compile(
    r"\b(?:the )?(?P<part>[a-z]{3,16}) (?:ingredients|stuff|things)\b"
    r"|\b(?:everything|all|all (?:the )?(?:ingredients|things)) (?:for|in|of) the "
    r"(?P<of>[a-z]{3,16})\b",
    re.I,
)
"""“The sauce ingredients”, “everything for the braise”."""
_EXCEPT = re.compile(r",? (?:except|but|apart from|save|minus)\b", re.I)
MOST_EXCEPTED = 80
"""Characters that may name what is left out. Judgement."""
MOST_NAMES = 30
"""Names written into one step. Judgement."""


def spelled_out(
    steps: tuple[str, ...],
    ingredients: tuple[Ingredient, ...],
    parts: tuple[Part, ...] = (),
    sections: tuple[Section, ...] = (),
) -> tuple[str, ...]:
    """The steps with the names in place of the count, as many steps as before.

    “Next” goes on behind what was counted before; “the rest” is what no step names.
    """
    foods = [item for item in ingredients if item.kind != "meat"]
    found: list[str] = []
    at = 0
    powders = _only_powders(foods)
    for row, step in enumerate(steps):
        text = _PARTS.sub(lambda found: _of_part(found, parts, ingredients), of_one_powder(step))
        for word, name in powders.items():
            text = re.sub(rf"\b(?<!granulated ){word}\b(?! (?:powder|salt|granules))", name, text)
        text = _with_named_parts(_with_ranges(text, foods), parts, ingredients)
        for counted in _NEXT.finditer(step):
            begin = 0 if counted["which"].lower() == "first" else at
            # “Stir together honey and next 5 ingredients”: those below the honey
            if leads := _BEFORE_NEXT.search(step[: counted.start()]):
                begin = _behind(foods, step[: leads.start()].lower(), begin)
            at = begin + _number(counted["many"])
            text = text.replace(counted[0], f"{counted[0]} ({_names(foods[begin:at])})", 1)
        rest = _REST.search(text)
        if rest and not (rest["mixed"] and not _MIXES.search(text[: rest.start()])):
            named = _left(foods, steps, row, rest.start())
            if rest["served"]:
                told = " ".join(steps).lower()
                named = [item for item in named if _may_be_served(item, told)]
            left = _names(_but(named, rest))
            text = f"{text[: rest.end()]} ({left}){text[rest.end() :]}"
        own = _mixture_of(row, parts, sections)
        text = _ALL.sub(partial(_everything, foods, parts, own), text, count=1)
        found.append(text)
    return tuple(found)


_MIXES = re.compile(r"\b(?:mix|combine|stir|whisk|blend|heat)\b[^.;]*$", re.I)
"""“Mix the jam and the rest; spoon over the ribs.”"""


def _only_powders(foods: list[Ingredient]) -> dict[str, str]:
    """“Mix the paprika, salt, garlic and cumin”, where the list has garlic powder and no cloves."""
    found: dict[str, str] = {}
    for word in ("garlic", "onion"):
        names = [name for item in foods if word in (name := item.line.name.lower())]
        powders = [name for name in names if _POWDER_OF.fullmatch(name)]
        if powders and len(powders) == len(names):
            found[word] = powders[0]
    return found


_POWDER_OF = re.compile(
    r"(?:garlic|onion) (?:powder|granules)|(?:dried |granulated )(?:garlic|onion)"
)


def _mixture_of(
    row: int, parts: tuple[Part, ...], sections: tuple[Section, ...]
) -> tuple[int, ...]:
    """The foods of the rub or the sauce under whose heading a step stands."""
    above = [section.name for section in sections if section.first <= row]
    own = (part for part in parts if above and part.name == above[-1] and part.role != "main")
    return next((part.lines for part in own), ())


def _everything(
    foods: list[Ingredient], parts: tuple[Part, ...], own: tuple[int, ...], found: re.Match[str]
) -> str:
    """All foods; of “for the cream, mix everything” only those under that heading."""
    sentence = _ENDS_A_SENTENCE.split(found.string[: found.start()])[-1].lower()
    rows = set(own) or {
        row for part in parts
        if _is_told_of(sentence, _HEADING.sub("", part.name).strip(" :").lower())
        for row in part.lines
    }  # fmt: skip
    beside = {row for part in parts if part.role == "beside" for row in part.lines}
    named = [item for item in foods if item.index in rows]
    # “blend everything” is not about the pickled onions, nor what stands on the table
    beside |= _toppings(foods)
    named = named or [item for item in foods if item.index not in beside] or foods
    return f"{found[0]} ({_names(_but(named, found))})"


def _toppings(foods: list[Ingredient]) -> set[int]:
    """“Warm tortillas, white onion, coriander, lime”, without amounts, at the end of a list."""
    bare = list(takewhile(lambda item: item.line.low is None, reversed(foods)))
    return {item.index for item in bare if any(each.kind == "beside" for each in bare)}


def _is_told_of(sentence: str, name: str) -> bool:
    """“For the pickle, toss everything together” is about what stands under “Pickled cucumber”."""
    begun = _FOR_THE.match(sentence)
    stems = [word[:_STEM] for word in name.split() if len(word) >= _STEM]
    return bool(name) and (name in sentence or (begun is not None and begun[1][:_STEM] in stems))


_FOR_THE = re.compile(r"\W*(?:meanwhile,? )?(?:for|to make) (?:the|a|my|your) ([a-z]{5,})\b")
_STEM = 5
"""Letters that two words have in common when they are of one stem. Judgement."""
_ENDS_A_SENTENCE = re.compile(r"[.!?] ")


def _may_be_served(item: Ingredient, told: str) -> bool:
    """“Serve with the rest”: what may stand on the table, and no step names by any word."""
    words = re.findall(r"[^\W\d]{4,}", item.line.name.lower())
    return item.kind in _SERVED and not any(word in told for word in words)


_SERVED: frozenset[Kind] = frozenset(
    {"beside", "dairy", "fresh_herb", "foaming", "acid", "tender_veg", "thick", "unknown"}
)
_THROUGH = re.compile(r"\s+(?:through|thru)\s+(?:the )?", re.I)
_FROM = re.compile(r"\bfrom (?:the )?(?=[a-z ]{3,30} to (?:the )?[a-z])", re.I)
_UP_TO = re.compile(r"\s+to\s+(?:the )?", re.I)


def _with_ranges(text: str, foods: list[Ingredient]) -> str:
    """“Combine brown sugar through onion powder”: with all that stand between on the list."""
    begun = _FROM.search(text)
    up_to = [found for found in _UP_TO.finditer(text) if begun and found.start() > begun.end()]
    for through in (*_THROUGH.finditer(text), *up_to[:1]):
        before, behind = text[: through.start()].lower(), text[through.end() :].lower()
        first = next((at for at, item in enumerate(foods) if _ends_with(before, item)), None)
        last = next((at for at, item in enumerate(foods) if _begins_with(behind, item)), None)
        if first is not None and last is not None and first < last:
            names = _names(foods[first : last + 1])
            return f"{text[: through.start()]} ({names}) and {text[through.end() :]}"
    return text


def _behind(foods: list[Ingredient], text: str, otherwise: int) -> int:
    """The place behind the food that a text ends with."""
    places = (row + 1 for row, item in enumerate(foods) if _ends_with(text, item))
    return next(places, otherwise)


def _ends_with(text: str, item: Ingredient) -> bool:
    return text.endswith((item.line.name.lower(), f" {_last_word(item)}"))


def _begins_with(text: str, item: Ingredient) -> bool:
    name = item.line.name.lower()
    return text.startswith((name, _last_word(item)))


_ADDED = re.compile(
    r"\b(?:add|stir|pour|whisk|mix|fold|beat|brush|toss|sprinkle|scatter|garnish|finish|top|strew"
    r"|spoon|drizzle|thicken|squeeze|season)\w*\b",
    re.I,
)


def _left(foods: list[Ingredient], steps: tuple[str, ...], row: int, at: int) -> list[Ingredient]:
    """What “everything else” is: named nowhere before, and added nowhere later."""
    before = " ".join((*steps[:row], steps[row][:at])).lower()
    later = [text for step in (steps[row][at:], *steps[row + 1 :]) for text in sentences_in(step)]
    added = " ".join(text for text in later if _ADDED.search(text)).lower()
    # “Ribs in a tin, season em”, before “everything else”
    seasoned = _SEASONED.search(before) is not None
    return [
        item for item in foods
        if _last_word(item) not in f"{before} {added}" and not (seasoned and item.kind == "salt")
    ]  # fmt: skip


_SEASONED = re.compile(
    r"\bseason(?:ed)? (?:it|them|the|em|['’]em|both|all|well|generously)\b", re.I
)


def _but(foods: list[Ingredient], found: re.Match[str]) -> list[Ingredient]:
    """“Everything but the lime”."""
    behind = found.string[found.end() : found.end() + MOST_EXCEPTED]
    excepted = _ENDS.split(behind.lower())[0] if _EXCEPT.match(behind) else ""
    cheese = "cheese" in excepted
    leaves = [word for word in _LEAVES if f" {word}" in excepted]  # “… and the leaves”
    return [
        item for item in foods
        if not (_last_word(item) in excepted or item.line.name.lower().endswith(tuple(leaves)))
        and not (cheese and item.food.words in CHEESES)
    ]  # fmt: skip


_ENDS = re.compile(
    r"[.;]| (?:in|into|to) "
    r"|(?:,| and|, and|, then) (?=(?:leave|mix|put|pour|add|toss|stir|let|set|bring|cook|rub"
    r"|marinate|chill|cover|blend|whisk|blitz|simmer|boil|bake|seal|lock|then|until|over|with)\b)"
)


def names_all_of(part: Part, text: str) -> bool:
    """“Put all the glaze ingredients in a small pan”, “everything for the sauce”."""
    name = part.name.lower()
    return any((found["part"] or found["of"]).lower() in name for found in _PARTS.finditer(text))


def _of_part(
    found: re.Match[str], parts: tuple[Part, ...], ingredients: tuple[Ingredient, ...]
) -> str:
    """“The sauce ingredients”: those under that heading."""
    word = (found["part"] or found["of"]).lower()
    rows = {row for part in parts if word in part.name.lower() for row in part.lines}
    behind = found.string[found.end() : found.end() + MOST_EXCEPTED]
    excepted = behind.lower() if _EXCEPT.match(behind) else ""
    named = [
        item for item in ingredients
        if item.index in rows and item.kind != "meat" and _last_word(item) not in excepted
    ]  # fmt: skip
    return f"{found[0]} ({_names(named)})" if named else found[0]


def _with_named_parts(
    text: str, parts: tuple[Part, ...], ingredients: tuple[Ingredient, ...]
) -> str:
    """“Blitz the adobo and push it into slits”: with what is under that heading, said once."""
    for part in parts:
        name = _HEADING.sub("", part.name).strip(" :").lower()
        items = [item for item in ingredients if item.index in part.lines]
        plain = part.role == "main" and 0 < len(name.split()) < 3
        if not plain or len(items) < 2 or any(item.kind == "meat" for item in items):
            continue
        article = "(?:the )?" if name in _KNOWN_BY_NAME else "the "
        said = re.search(rf"\b{article}{re.escape(name)}\b(?! (?:ingredients|\())", text, re.I)
        if said:
            return f"{text[: said.end()]} ({_names(items)}){text[said.end() :]}"
    return text


_KNOWN_BY_NAME = frozenset({"soffritto", "mirepoix", "battuto", "rempah", "sofrito", "adobo"})
"""Mixtures that need no article: “Pancetta, soffritto, slow 15 min.”"""
_HEADING = re.compile(r"^(?:for )?(?:the )?", re.I)


def _number(text: str) -> int:
    return _NUMBERS.get(text.lower()) or int(text)


def _last_word(item: Ingredient) -> str:
    words = re.findall(r"[^\W\d]{3,}", item.line.name.lower())
    if len(words) > 1 and words[-1] in _LEAVES:
        words.pop()
    return words[-1] if words else item.line.name.lower()


_LEAVES = frozenset({"leaf", "leaves"})
"""Steps add “the bay”."""


def _names(items: list[Ingredient]) -> str:
    """Names without anything that ends a sentence, or means something to a pattern."""
    names = [re.sub(r"[.;:!?()\\]", " ", item.line.name) for item in items[:MOST_NAMES]]
    return " and ".join(names)

"""What an ingredient is, for the rules: its kind, its weight, its shop section, its allergens.

Numbers and words live in data/ingredients.csv; densities and piece weights are common practice.
"""

import re
from csv import DictReader
from dataclasses import dataclass, replace
from functools import cache, lru_cache
from importlib.resources import files
from typing import Literal, TypeAlias, cast, get_args

from pneumachron.recipes.understanding.kept import MOST_TEXTS, kept
from pneumachron.recipes.understanding.lines import Line, read_line
from pneumachron.recipes.understanding.measures import unit_of
from pneumachron.recipes.understanding.misspelled import spelled_right
from pneumachron.recipes.understanding.patterns import one_of

Kind: TypeAlias = Literal[
    "meat", "other_meat", "thin", "stock", "sweet_thin", "salty_thin", "acid", "wine", "beer",
    "spirit", "chilli", "sweet_sauce", "sugar", "sugar_thick", "thick", "foaming_thick", "flour",
    "starch", "dairy", "fat", "binder", "spice", "salt", "rub", "baking", "dried_herb",
    "woody_herb", "fresh_herb", "root", "aromatic", "tender_veg", "foaming", "smoke_wood",
    "smoke_liquid", "beside", "cure", "tool", "seafood", "unknown",
]  # fmt: skip
KINDS: tuple[Kind, ...] = get_args(Kind)
THIN_KINDS: frozenset[Kind] = frozenset({"thin", "stock", "sweet_thin", "wine", "beer"})
"""Liquids that make steam and are poured by volume."""
UNKNOWN_DENSITY_KG_L = 1.0
SUGAR_G_PER_G: dict[Kind, float] = {
    "sugar": 1.0,
    "sugar_thick": 0.75,
    "sweet_sauce": 0.3,
    "sweet_thin": 0.1,
}
"""Sugar in a gram. Common practice: honey three quarters, a sauce a third, juice a tenth."""


@dataclass(frozen=True, slots=True)
class Food:
    """An entry of the table."""

    words: str
    kind: Kind
    density_kg_l: float
    piece_g: float
    shop: str
    allergens: tuple[str, ...]


UNKNOWN = Food("", "unknown", UNKNOWN_DENSITY_KG_L, 0.0, "other", ())


@cache
def foods() -> dict[str, Food]:
    """All entries by their words."""
    table = files("pneumachron.recipes") / "data" / "ingredients.csv"
    with table.open(encoding="utf-8") as lines:
        return {
            row["words"]: Food(
                words=row["words"],
                kind=cast(Kind, row["kind"]),
                density_kg_l=float(row["density_kg_l"]),
                piece_g=float(row["piece_g"]),
                shop=row["shop"],
                allergens=tuple(
                    filter(None, (part.strip() for part in row["allergens"].split(",")))
                ),
            )
            for row in DictReader(lines)
        }


def _words(text: str) -> tuple[str, ...]:
    return tuple(part.strip() for part in text.split(",") if part.strip())


@cache
def _pattern() -> re.Pattern[str]:
    return re.compile(rf"\b{one_of(foods())}s?\b", re.I)


_TIED = re.compile(
    r"\b(?:cheesecloth|muslin|bouquets? garnis?|(?:herb|spice)s?[ -](?:sachet|bag|bundle|ball)s?"
    r"|(?:sachet|bundle|bunch tied|bag) of (?:\w+ ){0,2}"
    r"(?:herbs|whole spices|thyme|bay|peppercorns))\b",
    re.I,
)
"""Herbs and spices tied up, that give their taste to the liquid and are taken out again."""


_A_RUB = re.compile(r"rub (?:aus|of|made)\b", re.I)
"""“Rub of salt and pepper”."""
_A_CLOVE = re.compile(r"^(\W*(?:\d+ |an? |one )?)cloves?$", re.I)
"""“3 clove” is the spice, and “3 cloves garlic” is none."""
JOINT = re.compile(r"\s(?:in|with|w/?|into|made (?:with|from)|mixed|dissolved|stirred)(?=\s)", re.I)
"""What follows says what it comes in, or is stirred into."""


@kept
def food_of(name: str) -> Food:
    """The food a name speaks of: the longest entry, the last of equally long ones.

    “Beef stock” is stock and “onion powder” a spice: what is named last in English is the thing.
    """
    known = foods()
    name = _A_CLOVE.sub(r"\1cloves", spelled_right(name))
    if _TIED.search(name):
        return known["herb sachet"]
    if _A_RUB.match(name):
        return known["rub"]
    matches = list(_pattern().finditer(name))
    joint = JOINT.search(name)
    # "potato starch mixed with cold water" is starch, "pineapple in juice" a fruit
    head = [match for match in matches if joint and match.end() <= joint.start()]
    found = [match[0].lower() for match in head or matches]
    if not found:
        return UNKNOWN
    entries = [known.get(words) or known.get(words.removesuffix("s")) for words in found]
    named = [entry for entry in entries if entry]
    return named[-1] if named else UNKNOWN


@kept
def foods_named(text: str) -> tuple[Food, ...]:
    """All foods that a text names, in its order."""
    known = foods()
    found = [match[0].lower() for match in _pattern().finditer(text)]
    entries = [known.get(words) or known.get(words.removesuffix("s")) for words in found]
    return tuple(entry for entry in entries if entry)


@dataclass(frozen=True, slots=True)
class Ingredient:
    """A line with what it is. `index` is its place in the recipe."""

    index: int
    line: Line
    food: Food

    @property
    def kind(self) -> Kind:
        """For the rules."""
        return self.food.kind

    @property
    def volume_m3(self) -> float | None:
        """By volume, through the density when it is weighed; None without an amount."""
        return self._volume(self.line.amount)

    def _volume(self, amount: float | None) -> float | None:
        if amount is None:
            return None
        unit = unit_of(self.line.unit)
        if unit.kind == "volume":
            return amount * unit.factor
        mass = self._mass(amount)
        return mass / (1000.0 * (self.food.density_kg_l or 1.0)) if mass else None

    @property
    def mass_kg(self) -> float | None:
        """By weight, through the density or the weight of a piece; None when it is not known."""
        return self._mass(self.line.amount)

    def _mass(self, amount: float | None) -> float | None:
        if amount is None:
            return None
        unit = unit_of(self.line.unit)
        if unit.kind == "mass":
            return amount * unit.factor
        if unit.kind == "volume":
            return amount * unit.factor * 1000.0 * self.food.density_kg_l
        return amount * self.food.piece_g / 1000.0 if self.food.piece_g else None

    @property
    def sugar_g(self) -> float:
        """Sugar it brings in."""
        return 1000.0 * (self.mass_kg or 0.0) * SUGAR_G_PER_G.get(self.kind, 0.0)


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
    r"|\b(?:stuck|studded|spiked) with\b",
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
        told = _beside_salt([_by_the_spoon(food_of(name), line) for name in names])
        parted = [name.partition(", ") for name in names]
        return tuple(
            replace(item, line=replace(line, name=name, aside=work), food=food)
            for (name, _, work), food in zip(parted, told, strict=True)
        )
    if _ONE_PASTE.search(line.raw) or _ALL_SERVED.search(line.raw):
        return (item,)
    one = item.food.words == "herb sachet" or _MORE_OF_IT.search(line.raw)
    soaked = _SOAKED.search(line.aside) is not None
    if one or soaked or (item.kind == "smoke_wood" and _WOODS.search(line.raw)):
        return (item,)
    alone = _bare_foods(line)
    names = alone or _apart(line.raw)
    lines = [read_line(name) for name in names]
    each = [_by_the_spoon(food_of(line.raw), line) for line in lines]
    kinds = {food.kind for food in each}
    counted = len(lines) > 1 and all(line.amount is not None for line in lines)
    several = line.amount is None and len(kinds) > 1 and kinds & _NOT_UNDER_PRESSURE
    bare = bool(alone) or _opens_bare(names, lines)
    seasonings = line.amount is None and len(each) > 1 and kinds <= _SEASONINGS | {"fat"}
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
_POWDERS = re.compile(r" (?:powder|granules|salt|flakes)$", re.I)
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
    if done is None:
        return _with_their_work(_PLAIN_LIST.split(_MASHED_WITH.sub(", ", raw)))
    names = _with_their_work(_PLAIN_LIST.split(raw[: done.start()]))
    return [f"{name}, {done[1]}" for name in names]


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
        if found and (told or _BESIDE_ITS_NAME.match(name) or _PREPARED.match(name)):
            found[-1] += f", {name}"
        else:
            found.append(name)
    return found


_BESIDE_ITS_NAME = re.compile(
    r"in a |tied |cloves (?:peeled|separated|crushed|smashed|unpeeled|left)\b", re.I
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
CHEESES = frozenset(
    {"cheddar", "queso fresco", "queso", "cotija", "feta", "mozzarella", "parmesan", "gouda",
     "monterey jack", "pepper jack", "provolone", "gruyere", "swiss cheese", "blue cheese", "jack"}
)  # fmt: skip
"""What the steps call cheese."""
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


COVERING_L = 2.0
"""“Water to cover”: what it takes to cover a joint in a pot. Common practice."""
_WATER = re.compile(
    r"^(?:enough |cold |hot |boiling |warm )*water(?:,? (?:(?:as|if) (?:needed|required|necessary)"
    r"|(?:enough )?to (?:just )?cover.{0,30}))?[ .]*$",
    re.I,
)


_LEAVES = re.compile(
    r"\b(?:fresh(?:ly)?|chopped|minced|leaves|leaf|bunch|stalks|picked|sprigs?)\b", re.I
)


def _by_the_spoon(food: Food, line: Line) -> Food:
    """“2 tsp each cumin, coriander and thyme”: by the spoon it is the ground seed, or dried."""
    if line.unit not in {"tsp", "tbsp"} or _LEAVES.search(line.raw):
        return food
    if food.words == "coriander":
        return foods()["ground coriander"]
    # nobody measures sprigs by the teaspoon
    dried = food.kind == "woody_herb" and line.unit == "tsp"
    return foods().get(f"dried {food.words}", food) if dried else food


_TIED_UP = re.compile(r"\btied(?: together| up| with string)?\W*$", re.I)
_SOAKED = re.compile(r"\b(?:soaked|rehydrated|covered|steeped) (?:in|with) .*$", re.I)
"""“Soaked in hot water” makes no water of a chilli."""


_ZESTED = frozenset({"lemon", "lime", "orange"})
_ZEST = re.compile(r"\bzest(?:ed)?\b", re.I)
_SQUEEZED = re.compile(r"\bjuic\w*|\bsqueez\w*|\bwedges?\b|\bsliced?\b", re.I)
"""“2 lemons, zested” is the zest of two, and brings no juice."""
_CANNED = re.compile(r"\b(?:cans?|canned|tins?|tinned|dose)\b", re.I)
"""“400g tin cherry tomatoes” are as thick as other tomatoes of a tin."""


def read_ingredients(lines: tuple[str, ...]) -> tuple[Ingredient, ...]:
    """Every line with what it is."""
    found = []
    for index, text in enumerate(lines):
        line = read_line(text)
        food = food_of(line.name)
        if food is UNKNOWN:
            food = food_of(_SOAKED.sub("", line.aside)) if line.aside else UNKNOWN
        food = _by_the_spoon(food, line)
        if food.words == "cherry tomatoes" and _CANNED.search(line.raw):
            food = foods()["tomatoes"]
        if food.words in _ZESTED and _ZEST.search(line.raw) and not _SQUEEZED.search(line.raw):
            food = foods()[f"{food.words} zest"]
        if food.kind in {"woody_herb", "fresh_herb"} and _TIED_UP.search(line.raw):
            food = foods()["herb sachet"]
        if line.low is None and _WATER.match(line.raw):
            line = replace(line, low=COVERING_L, high=COVERING_L, unit="l", name="water", aside="")
        found.append(Ingredient(index, line, food))
    return tuple(found)

"""What an ingredient is, for the rules: its kind, its weight, its shop section, its allergens.

Numbers and words live in data/ingredients.csv; densities and piece weights are common practice.
"""

import re
from csv import DictReader
from dataclasses import dataclass, replace
from functools import cache
from importlib.resources import files
from typing import Literal, TypeAlias, cast, get_args

from pneumachron.recipes.understanding.kept import kept
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
    r"\b(?:cheesecloth|muslin|tea ?(?:bag|ball)|bouquets? garnis?"
    r"|(?:herb|spice)s?[ -](?:sachet|bag|bundle|ball)s?"
    r"|(?:sachet|bundle|bunch tied|bag) of (?:\w+ ){0,2}"
    r"(?:herbs|whole spices|thyme|bay|peppercorns))\b",
    re.I,
)
"""Herbs and spices tied up, that give their taste to the liquid and are taken out again."""


_A_RUB = re.compile(r"rub (?:aus|of|made)\b", re.I)
"""“Rub of salt and pepper”."""
_MIX_OF_THREE = re.compile(r"salt[ /]pepper[ /]garlic\W*$", re.I)
"""“1 tbsp salt/pepper/garlic” is one seasoning, and no garlic to fry."""
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
    if _MIX_OF_THREE.match(name):
        return known["spg"]
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


CHEESES = frozenset(
    {"cheddar", "queso fresco", "queso", "cotija", "feta", "mozzarella", "parmesan", "gouda",
     "parmigiano", "monterey jack", "pepper jack", "provolone", "gruyere", "swiss cheese",
     "blue cheese", "jack"}
)  # fmt: skip
"""What the steps call cheese."""
COVERING_L = 2.0
"""“Water to cover”: what it takes to cover a joint in a pot. Common practice."""
_WATER = re.compile(
    r"^(?:enough |cold |hot |boiling |warm )*water(?:,? (?:(?:as|if) (?:needed|required|necessary)"
    r"|(?:enough )?to (?:just )?cover.{0,30}))?[ .]*$",
    re.I,
)


_TO_COVER = re.compile(r"to (?:just )?(?:cover|come|reach)\b", re.I)
_LEAVES = re.compile(
    r"\b(?:fresh(?:ly)?|chopped|minced|leaves|leaf|bunch|stalks|picked|sprigs?)\b", re.I
)


def by_the_spoon(food: Food, line: Line) -> Food:
    """“2 tsp each cumin, coriander and thyme”: by the spoon it is the ground seed, or dried."""
    if line.unit not in {"tsp", "tbsp"} or _LEAVES.search(line.raw):
        return food
    if food.words == "coriander":
        return foods()["ground coriander"]
    if food.words == "red pepper" and "paste" not in line.name.lower():
        return foods()["crushed red pepper"]
    # nobody measures sprigs by the teaspoon
    dried = food.kind == "woody_herb" and line.unit == "tsp"
    return foods().get(f"dried {food.words}", food) if dried else food


_TIED_UP = re.compile(
    r"\b(?:tied(?: together| up| with string)?|in an? (?:tea|spice|muslin) ?(?:bag|ball))\W*$", re.I
)
SOAKED = re.compile(r"\b(?:soaked|rehydrated|covered|steeped) (?:in|with) .*$", re.I)
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
            food = food_of(SOAKED.sub("", line.aside)) if line.aside else UNKNOWN
        food = by_the_spoon(food, line)
        if food.words == "cherry tomatoes" and _CANNED.search(line.raw):
            food = foods()["tomatoes"]
        if food.words in _ZESTED and _ZEST.search(line.raw) and not _SQUEEZED.search(line.raw):
            food = foods()[f"{food.words} zest"]
            if not _ZEST.search(line.name):  # “zest of 2 oranges” is told as that, not as oranges
                line = replace(line, name=food.words, aside="")
        if food.kind in {"woody_herb", "fresh_herb"} and (tied := _TIED_UP.search(line.raw)):
            food = foods()["herb sachet"]
            if len(foods_named(line.raw)) > 1:  # “4 sprigs thyme, 2 sprigs rosemary, tied”
                name = line.raw[: tied.start()].strip(" ,(")
                line = replace(line, low=None, high=None, unit="", name=name, aside="tied")
        if line.low is None and _WATER.match(line.raw):
            line = replace(line, low=COVERING_L, high=COVERING_L, unit="l", name="water", aside="")
        if line.low is None and food.kind == "stock" and _TO_COVER.match(line.aside):
            line = replace(line, low=COVERING_L, high=COVERING_L, unit="l", aside="")
        found.append(Ingredient(index, line, food))
    return tuple(found)

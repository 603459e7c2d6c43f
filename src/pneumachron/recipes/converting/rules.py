"""What becomes of each ingredient. One function a rule; which kind it is for stands below."""

import re
from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass, field, replace

from pneumachron.core.catalog.sides import side_advice
from pneumachron.core.errors import Param
from pneumachron.core.message import Message
from pneumachron.core.units import show_mass
from pneumachron.recipes.converting.amounts import enough
from pneumachron.recipes.converting.liquids import SPIRIT_M3, Pouring
from pneumachron.recipes.converting.marks import OutLine, When
from pneumachron.recipes.model import Part, PartRole
from pneumachron.recipes.understanding.ingredients import THIN_KINDS, Ingredient, Kind, foods
from pneumachron.recipes.understanding.measures import unit_of
from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.understand import Understood

SUGAR_KG_M3 = 50.0
"""Sugar in the pot's liquid at most. Common practice."""
RUB_SUGAR_KG_PER_KG = 0.010
DRIED_SHARE, CHILLI_SHARE = 2.0 / 3.0, 0.75
PAPRIKA_KG_PER_KG = 0.004
"""Smoked paprika instead of smoke, 3–5 g a kilo. Common practice."""
LIQUID_SMOKE_M3_PER_M3 = 3e-3
"""2–4 ml in a litre. Common practice."""
ACID_AFTER_SHARE = 0.5


@dataclass(frozen=True, slots=True)
class Facts:
    """What the rules look at."""

    understood: Understood
    mass_kg: float
    scale: float
    hold_min: int
    pouring: Pouring
    rubbed: frozenset[int]
    """Lines that are rubbed onto the meat."""
    sprayed: frozenset[int]
    stirred_in: frozenset[int]
    """Binders that belong to the liquid."""
    is_soup: bool
    """Its liquid is eaten: what the pot does not need is heated and poured in at the end."""
    brushes_sauce: bool
    """What the recipe calls its sauce is a glaze."""
    poured_in: frozenset[int]
    """Sweet sauces that the steps pour in with the meat, before the long heat."""
    fries: bool
    """Whether anything is fried in the pot before the lid goes on."""
    softened: frozenset[int]
    """Vegetables that are fried first and melt into the sauce."""
    cured: frozenset[int]
    """Lines of a cure or brine."""
    marinated: frozenset[int]
    """Liquids of a marinade."""
    shared: frozenset[int]
    """Of a mixture that goes partly onto the raw meat and partly on at the end."""
    soaked: frozenset[int]
    """Thick and sharp things of a marinade."""
    bought_cured: bool
    parts: Mapping[int, Part]
    """The part of the recipe that a line belongs to, where it is one that is not cooked along."""
    late: Mapping[int, When]
    """Lines that the steps name only after the main heat, and where they go then."""
    sweet_left_kg: float
    """Sugar that the rub may carry, over what it does carry: 1 when it may carry all."""
    metric: bool


@dataclass(frozen=True, slots=True)
class Outcome:
    """Lines that come of one ingredient, and the rule that made them so; None: as it was."""

    lines: tuple[OutLine, ...]
    rule: str | None = None
    params: dict[str, Param] = field(default_factory=dict)
    """What its reason speaks of, in SI units."""


def together(outcomes: Sequence[Outcome]) -> Outcome:
    """What becomes of a line with several foods; its mark is that of the first one with a rule."""
    marked = next((found for found in outcomes if found.rule is not None), outcomes[0])
    return replace(marked, lines=tuple(line for found in outcomes for line in found.lines))


RuleFn = Callable[[Facts, Ingredient], Outcome]


def plain_line(facts: Facts, item: Ingredient, when: When, factor: float = 1.0) -> OutLine:
    """A line as it was, by the new weight of the meat."""
    line = item.line
    scale = factor * facts.scale
    amount = None
    if line.low is not None and line.high is not None:
        amount = (scale * line.low, scale * line.high)
    return OutLine(item.index, when, amount, line.unit, line.name, line.aside, item.food)


def volume_line(facts: Facts, item: Ingredient, when: When, volume_m3: float) -> OutLine:
    """A line with a new volume, in the unit it was written in where that makes sense."""
    unit = item.line.unit if unit_of(item.line.unit).kind == "volume" else "ml"
    amount = volume_m3 / unit_of(unit).factor
    if unit not in {"ml", "tbsp", "tsp"} and amount < 0.2:
        unit = "ml" if facts.metric else "tbsp"
        amount = volume_m3 / unit_of(unit).factor
    if unit in {"l", "dl", "cl", "bottle"}:
        unit, amount = "ml", volume_m3 * 1e6
    line, amount = item.line, enough(amount, unit)
    return OutLine(item.index, when, (amount, amount), unit, line.name, line.aside, item.food)


def _kept(when: When) -> RuleFn:
    def apply(facts: Facts, item: Ingredient) -> Outcome:
        line = plain_line(facts, item, "season" if item.index in facts.rubbed else when)
        return Outcome((line,), "kept_amount" if _scaled(facts, item) else None)

    return apply


def _scaled(facts: Facts, item: Ingredient) -> bool:
    return abs(facts.scale - 1.0) > 0.02 and item.line.low is not None


def _liquid(facts: Facts, item: Ingredient) -> Outcome:
    volume = facts.pouring.by_index.get(item.index)
    return _kept("pot")(facts, item) if volume is None else _poured(facts, item, volume)


_OR_STOCK = re.compile(r"^(water or )?", re.I)
"""“Water or stock”: what is unsalted is the stock."""


def _poured(facts: Facts, item: Ingredient, volume: float) -> Outcome:
    asked = facts.scale * (item.volume_m3 or 0.0)
    line = volume_line(facts, item, "sear" if item.kind in {"wine", "beer"} else "pot", volume)
    need: dict[str, Param] = {"need_m3": facts.pouring.need_m3}
    if item.kind in {"wine", "beer"}:
        return Outcome((replace(line, prepared=Message("prepared-simmered")),), "wine_first", need)
    if item.kind == "stock" and "unsalted" not in item.line.raw.lower():
        plain = line.name.removeprefix("low-sodium ")
        line = replace(line, name=_OR_STOCK.sub(r"\1unsalted ", plain, count=1))
    if item.index in facts.marinated:
        return Outcome((line,), "marinade_boiled")
    if volume < 0.97 * asked and facts.is_soup:
        return Outcome(
            (line, volume_line(facts, item, "after", asked - volume)), "thin_to_need", need
        )
    if volume < 0.97 * asked or item.index in facts.pouring.kept:
        return Outcome((line,), "thin_to_need", need)
    unsalted = "stock_unsalted" if line.name != item.line.name else None
    return Outcome((line,), unsalted or ("kept_amount" if _scaled(facts, item) else None))


def _follows(when: When) -> RuleFn:
    """What salts the liquid goes down with it; on the meat it goes by the meat."""

    def apply(facts: Facts, item: Ingredient) -> Outcome:
        ratio = facts.pouring.ratio
        if item.index in facts.rubbed or item.line.low is None or ratio > 0.97:
            return _kept(when)(facts, item)
        return Outcome((plain_line(facts, item, when, ratio),), "follows_liquid")

    return apply


def _spirit(facts: Facts, item: Ingredient) -> Outcome:
    volume = min(facts.scale * (item.volume_m3 or SPIRIT_M3), SPIRIT_M3)
    line = volume_line(facts, item, "sear", volume)
    return Outcome((replace(line, prepared=Message("prepared-boiled_off")),), "spirit_first")


def _acid(facts: Facts, item: Ingredient) -> Outcome:
    if item.index in facts.rubbed or item.line.low is None:
        return _kept("pot")(facts, item)
    factor = (1.0 - ACID_AFTER_SHARE) * facts.pouring.ratio
    before = plain_line(facts, item, "pot", factor)
    after = replace(before, when="after")
    return Outcome((before, after), "acid_halved")


def _sweet_sauce(facts: Facts, item: Ingredient) -> Outcome:
    """Brushed on; what the recipe pours in with the meat belongs to the sauce."""
    when: When = "after" if item.index in facts.poured_in else "finish"
    return Outcome((plain_line(facts, item, when),), "sweet_sauce_after")


def _sugar(facts: Facts, item: Ingredient) -> Outcome:
    """A little dissolves and stays; more than that goes in after pressure, in one amount."""
    if item.index in facts.rubbed:
        return _rub_sugar(facts, item)
    budget = SUGAR_KG_M3 * facts.pouring.need_m3
    if facts.scale * item.sugar_g <= 1000.0 * budget:
        return _kept("pot")(facts, item)
    return Outcome((plain_line(facts, item, "after"),), "sugar_after")


def _sugar_thick(facts: Facts, item: Ingredient) -> Outcome:
    """Honey and syrup sink and scorch before they dissolve: after pressure, whatever the amount."""
    if item.index in facts.rubbed:
        return _rub_sugar(facts, item)
    return Outcome((plain_line(facts, item, "after"),), "sugar_after")


def _rub_sugar(facts: Facts, item: Ingredient) -> Outcome:
    if facts.sweet_left_kg >= 0.97:
        return _kept("season")(facts, item)
    share = facts.sweet_left_kg
    return Outcome(
        (plain_line(facts, item, "season", share), plain_line(facts, item, "finish", 1.0 - share)),
        "sugar_in_rub",
    )


def _moved(rule: str, when: When) -> RuleFn:
    def apply(facts: Facts, item: Ingredient) -> Outcome:
        return Outcome((plain_line(facts, item, when),), rule)

    return apply


def _less(rule: str, share: float, when: When) -> RuleFn:
    def apply(facts: Facts, item: Ingredient) -> Outcome:
        if item.line.low is None:
            return _kept(when)(facts, item)
        if item.index in facts.rubbed:
            return Outcome((plain_line(facts, item, "season", share),), rule)
        factor = share * (facts.pouring.ratio if item.kind == "chilli" else 1.0)
        return Outcome((plain_line(facts, item, when, factor),), rule)

    return apply


def _roots(facts: Facts, item: Ingredient) -> Outcome:
    if item.index in facts.softened:
        return _kept("sear")(facts, item)
    side = "carrots" if "carrot" in item.food.words else "potatoes_cut"
    advice = side_advice(side, facts.hold_min)
    if advice.way == "with_the_meat":
        return Outcome((plain_line(facts, item, "pot"),), "roots_with_meat")
    run = Message("prepared-own_run", {"hold_min": advice.hold_min})
    line = replace(plain_line(facts, item, "own_run"), prepared=run)
    return Outcome((line,), "roots_own_run", {"hold_min": facts.hold_min})


def _smoke(facts: Facts, item: Ingredient) -> Outcome:
    kilos = PAPRIKA_KG_PER_KG * facts.mass_kg
    line = OutLine(
        item.index, "season", (1000 * kilos, 1000 * kilos), "g", "smoked paprika", "",
        foods()["smoked paprika"], Message("prepared-for_the_smoke"),
    )  # fmt: skip
    return Outcome((line,), "smoke_replaced")


def _liquid_smoke(facts: Facts, item: Ingredient) -> Outcome:
    volume = LIQUID_SMOKE_M3_PER_M3 * facts.pouring.need_m3
    line = OutLine(
        item.index, "pot", (1e6 * volume, 1e6 * volume), "ml", item.line.name, "", item.food
    )
    return Outcome((line,), "liquid_smoke_measured")


def _aromatic(facts: Facts, item: Ingredient) -> Outcome:
    """Fried first, where anything is; a recipe that only mixes and pours does not begin to fry."""
    return _kept("sear" if facts.fries else "pot")(facts, item)


_IN_WEDGES = any_of(r"\b(?:cabbage|fennel)s?\b.*\b(?:wedges?|quarter(?:s|ed)|eighths|halves)\b")
"""Too thick to be tender from the heat of a sauce."""


def _tender_vegetable(facts: Facts, item: Ingredient) -> Outcome:
    if item.index in facts.softened:
        return _kept("sear")(facts, item)
    if _IN_WEDGES.search(item.line.raw):
        return _roots(facts, item)
    return _moved("tender_after", "after")(facts, item)


_COOKED = any_of(r"\b(cans?|tins?|tinned|canned|jars?|cooked|rinsed|drained|leftover)\b")


def _foaming(facts: Facts, item: Ingredient) -> Outcome:
    """Dried beans and rice are cooked on their own; what is cooked is only warmed in the sauce."""
    when: When = "after" if _COOKED.search(item.line.raw) else "own_run"
    return _moved("foaming_apart", when)(facts, item)


def _binder(facts: Facts, item: Ingredient) -> Outcome:
    if item.index in facts.stirred_in:
        return _kept("pot")(facts, item)
    return Outcome((plain_line(facts, item, "season"),), "binder_named")


def _meat(facts: Facts, item: Ingredient) -> Outcome:
    line = plain_line(facts, item, "season")
    if _scaled(facts, item) and item.index == facts.understood.meat_index:
        shown = show_mass(facts.mass_kg)
        name = f"{shown.metric if facts.metric else shown.us} {item.line.name}"
        return Outcome((replace(line, amount=None, name=name, aside=""),), "kept_amount")
    if facts.bought_cured and item.index == facts.understood.meat_index:
        return Outcome((line,), "cured_meat")
    return Outcome((line,), None)


_THICK_WORDS = any_of(
    r"\bsauce\b", r"\bjams?\b", r"\bpaste\b", r"\bmarinade\b", r"\bsyrup\b", r"\bglaze\b",
    r"\bpur[eé]e\b", r"\bjelly\b", r"\bpreserves?\b", r"\bchutney\b", r"\brelish\b",
    r"\bdressing\b", r"\bgravy\b", r"\bsoup\b", r"\bspread\b", r"\bcustard\b",
)  # fmt: skip


def _unknown(facts: Facts, item: Ingredient) -> Outcome:
    """What is not known may be thick or sweet: it never goes to the bottom by itself."""
    if item.index in facts.rubbed:
        return Outcome((plain_line(facts, item, "season"),), "unknown_kept")
    when: When = "after" if _THICK_WORDS.search(item.line.raw) else "top"
    return Outcome((plain_line(facts, item, when),), "unknown_kept")


def _cure(facts: Facts, item: Ingredient) -> Outcome:
    return Outcome((plain_line(facts, item, "cure"),), "cure_in_order")


BY_KIND: dict[Kind, RuleFn] = {
    "meat": _meat,
    "other_meat": _kept("sear"),
    "thin": _liquid,
    "stock": _liquid,
    "sweet_thin": _liquid,
    "wine": _liquid,
    "beer": _liquid,
    "salty_thin": _follows("pot"),
    "acid": _acid,
    "spirit": _spirit,
    "chilli": _less("chilli_less", CHILLI_SHARE, "pot"),
    "sweet_sauce": _sweet_sauce,
    "sugar": _sugar,
    "sugar_thick": _sugar_thick,
    "thick": _moved("thick_on_top", "top"),
    "foaming_thick": _moved("foaming_apart", "after"),
    "flour": _moved("flour_left_off", "after"),
    "starch": _moved("starch_after", "after"),
    "dairy": _moved("dairy_after", "after"),
    "fat": _kept("sear"),
    "binder": _binder,
    "spice": _kept("pot"),
    "salt": _kept("season"),
    "rub": _kept("season"),
    "baking": _kept("season"),
    "dried_herb": _less("dried_herb_less", DRIED_SHARE, "pot"),
    "woody_herb": _kept("pot"),
    "fresh_herb": _moved("fresh_herb_last", "after"),
    "root": _roots,
    "aromatic": _aromatic,
    "tender_veg": _tender_vegetable,
    "foaming": _foaming,
    "smoke_wood": _smoke,
    "smoke_liquid": _liquid_smoke,
    "beside": _kept("beside"),
    "cure": _cure,
    "unknown": _unknown,
}
"""One rule for each kind of ingredient."""

_SERVED = any_of(
    "to serve", "to garnish", "to finish", "for (the )?garnish(ing)?", "for serving",
    "for topping", "to top", "for sprinkling", "at the table", "for the table", "on the side",
)  # fmt: skip
_MORE = any_of(r"(?:\bplus|\+|\band) (?:some )?(?:more|extra)\b")
"""“½ cup sauce, plus more to serve”: some of it is cooked."""
_GLAZES = any_of(r"^to (glaze|brush|baste)\b", r"^for (the )?(glaze|glazing|brushing)\b")
_SPRAYED: frozenset[Kind] = THIN_KINDS | {"acid", "spirit"}


def apply_rule(facts: Facts, item: Ingredient) -> Outcome:
    """What becomes of an ingredient."""
    if item.index in facts.cured:
        # by its own measure: more meat does not make more of a cure harmless
        unscaled = 1.0 / facts.scale if facts.scale > 0 else 1.0
        return Outcome((plain_line(facts, item, "cure", unscaled),), "cure_in_order")
    if item.kind == "meat" and item.index != facts.understood.meat_index:
        return _kept("season")(facts, item)
    if item.index in facts.sprayed - facts.parts.keys() and item.kind in _SPRAYED:
        return Outcome((), "spritz_struck")
    if _GLAZES.search(item.line.aside) and item.kind not in {"meat", "smoke_wood"}:
        return _kept("finish")(facts, item)
    served = _SERVED.search(item.line.aside) and not _MORE.search(item.line.aside)
    if served and item.kind != "smoke_wood":
        return _kept("beside")(facts, item)
    return _by_kind(facts, item)


def _kind_of(facts: Facts, item: Ingredient) -> Kind:
    """Leaves that are rubbed on are a spice."""
    leaves = item.index in facts.rubbed and item.kind in {"fresh_herb", "woody_herb"}
    return "spice" if leaves else item.kind


SHARED = 0.5
"""What of a shared mixture goes onto the raw meat. Common practice."""


def _marinade(facts: Facts, item: Ingredient) -> Outcome:
    """On the raw meat and wiped off; what is brushed on at the end as well is parted first."""
    if item.index not in facts.shared:
        return Outcome((plain_line(facts, item, "season"),), "marinade_wiped")
    on_the_meat = plain_line(facts, item, "season", SHARED)
    late = plain_line(facts, item, "finish", 1.0 - SHARED)
    return Outcome((on_the_meat, late), "marinade_shared")


_SLURRY = any_of(r"\bslurry\b", r"\bthicken")


def _by_kind(facts: Facts, item: Ingredient) -> Outcome:
    """By what it is, unless its part or the steps keep it out of the pot."""
    if (part := facts.parts.get(item.index)) is not None:
        thickens = _SLURRY.search(part.name) is not None
        brushed = part.role == "sauce" and facts.brushes_sauce and not thickens
        line = plain_line(facts, item, "finish" if brushed else WHEN_OF_ROLE[part.role])
        return Outcome((line,), "other_part", {"part": part.name[:60]})
    if item.index in facts.shared | facts.soaked:
        return _marinade(facts, item)
    found = BY_KIND[_kind_of(facts, item)](facts, item)
    when = facts.late.get(item.index)
    if when == "finish" and found.rule == "sugar_after":
        # the recipe sprinkles it on late: under the broiler is after pressure too
        return Outcome((plain_line(facts, item, when),), "named_late")
    if when == "beside" and any(line.when == "after" for line in found.lines):
        return Outcome((plain_line(facts, item, when),), "named_late")
    if when is not None and any(line.when in _UNDER_THE_LID for line in found.lines):
        return Outcome((plain_line(facts, item, when),), "named_late")
    return found


WHEN_OF_ROLE: dict[PartRole, When] = {"glaze": "finish", "sauce": "after", "beside": "beside"}
"""Where the lines of a part go that is not cooked along."""
_UNDER_THE_LID: frozenset[When] = frozenset({"season", "sear", "pot", "top", "own_run"})

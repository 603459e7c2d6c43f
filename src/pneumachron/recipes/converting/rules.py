"""What becomes of each ingredient. One function a rule; which kind it is for stands below."""

from dataclasses import replace

from pneumachron.core.catalog.sides import side_advice
from pneumachron.core.message import Message
from pneumachron.core.units import show_mass
from pneumachron.recipes.converting.context import (
    ConversionContext,
    ConvertedLines,
    plain_line,
    volume_line,
)
from pneumachron.recipes.converting.cures import BRUSHED_OFF, MOST_SALT_KG_PER_KG
from pneumachron.recipes.converting.liquid_rules import (
    CHILLI_SHARE,
    DRIED_SHARE,
    RuleFn,
    acid,
    follows,
    kept,
    less,
    liquid,
    moved,
    scaled,
    spirit,
    sugar,
    sugar_thick,
    sweet_sauce,
)
from pneumachron.recipes.converting.marks import OutLine, When
from pneumachron.recipes.converting.parts import SWEET
from pneumachron.recipes.converting.rubs import LEAVES
from pneumachron.recipes.converting.sides import boils_some, is_boiled, takes_long
from pneumachron.recipes.converting.sprays import SPRAYED_KINDS, is_of_a_spray
from pneumachron.recipes.model import PartRole
from pneumachron.recipes.understanding.counting import no_unit
from pneumachron.recipes.understanding.ingredients import Ingredient, Kind, foods
from pneumachron.recipes.understanding.naming import before_the_heat, is_named, is_some_sauce
from pneumachron.recipes.understanding.patterns import any_of

PAPRIKA_KG_PER_KG = 0.004
"""Smoked paprika instead of smoke, 3–5 g a kilo. Common practice."""
LIQUID_SMOKE_M3_PER_M3 = 3e-3
"""2–4 ml in a litre. Common practice."""
MOST_FAT_M3, FAT_M3 = 150e-6, 30e-6
"""More fat than the first would be deep under pressure; the second browns any load. Judgement; that
nothing is fried under pressure is what makers' manuals say, from memory."""


def _roots(context: ConversionContext, item: Ingredient) -> ConvertedLines:
    if item.index in context.softened:
        return kept("sear" if context.fries else "pot")(context, item)
    side = "carrots" if "carrot" in item.food.words else "potatoes_cut"
    advice = side_advice(side, context.hold_min)
    if advice.way == "with_the_meat":
        return ConvertedLines((plain_line(context, item, "pot"),), "roots_with_meat")
    run = Message("prepared-own_run", {"hold_min": advice.hold_min})
    line = replace(plain_line(context, item, "own_run"), prepared=run)
    return ConvertedLines((line,), "roots_own_run", {"hold_min": context.hold_min})


def _smoke(context: ConversionContext, item: Ingredient) -> ConvertedLines:
    kilos = PAPRIKA_KG_PER_KG * context.mass_kg
    line = OutLine(
        item.index, "season", (1000 * kilos, 1000 * kilos), "g", "smoked paprika", "",
        foods()["smoked paprika"], Message("prepared-for_the_smoke"),
    )  # fmt: skip
    return ConvertedLines((line,), "smoke_replaced")


def _liquid_smoke(context: ConversionContext, item: Ingredient) -> ConvertedLines:
    volume = LIQUID_SMOKE_M3_PER_M3 * context.pouring.need_m3
    line = OutLine(
        item.index, "pot", (1e6 * volume, 1e6 * volume), "ml", item.line.name, "", item.food
    )
    return ConvertedLines((line,), "liquid_smoke_measured")


def _aromatic(context: ConversionContext, item: Ingredient) -> ConvertedLines:
    """Fried first, where anything is; a recipe that only mixes and pours does not begin to fry."""
    fried = context.fries and item.index not in context.blended | context.stirred
    # what is only grilled or smoked fries nothing: its onions stay in the marinade
    wiped = not context.cooks_marinade or item.index in context.rubbed
    if item.index in context.in_marinade and wiped and not (fried and context.is_wet):
        return _marinade(context, item)
    # garlic that lay with the meat stays in what it is cooked in, unless a step fries it
    stays = item.index in context.in_marinade - context.softened and context.cooks_marinade
    return kept("sear" if fried and not stays else "pot")(context, item)


_IN_WEDGES = any_of(r"\b(?:cabbage|fennel)s?\b.*\b(?:wedges?|quarter(?:s|ed)|eighths|halves)\b")
"""Too thick to be tender from the heat of a sauce."""


def _tender_vegetable(context: ConversionContext, item: Ingredient) -> ConvertedLines:
    if item.index in context.softened:
        return kept("sear")(context, item)
    if _IN_WEDGES.search(item.line.raw):
        return _roots(context, item)
    if context.understood.pressure is not None and item.index not in context.late:
        return kept("pot")(context, item)  # the recipe is made for such a cooker
    return moved("tender_after", "after")(context, item)


_APPLES = any_of(r"\bapples?\b", r"\bäpfel\b")
_COOKED = any_of(r"\b(cans?|tins?|tinned|canned|jars?|cooked|rinsed|drained|leftover)\b")


def _foaming(context: ConversionContext, item: Ingredient) -> ConvertedLines:
    """Dried beans and rice are cooked on their own; what is cooked is only warmed in the sauce."""
    if item.index in context.softened:  # apples with the onions, or with the kraut
        return kept("sear" if context.fries else "top")(context, item)
    if context.is_wet and _APPLES.search(item.food.words) and item.index not in context.late:
        return kept("top")(context, item)  # they melt into the sauce, and foam less above the meat
    late_apples = _APPLES.search(item.food.words) and context.late.get(item.index) == "after"
    if late_apples or _COOKED.search(item.line.raw):
        return moved("foaming_apart", "after")(context, item)
    line = plain_line(context, item, "own_run")
    when: When = "first_run" if takes_long(line) else "own_run"
    return ConvertedLines((replace(line, when=when),), "foaming_apart")


MILK_M3 = 250e-6
"""What a sauce takes of milk. Judgement."""
_BRAISED_IN_M3 = 400e-6
"""So much milk is what the meat braises in. Judgement."""


def _dairy(context: ConversionContext, item: Ingredient) -> ConvertedLines:
    """Stirred in at the end; of milk that the meat would braise in, what a sauce takes."""
    braises = item.food.words in {"milk", "milch"} and (item.volume_m3 or 0.0) > _BRAISED_IN_M3
    if not braises:
        return moved("dairy_after", "after")(context, item)
    line = volume_line(context, item, "after", MILK_M3)
    return ConvertedLines((line,), "milk_limited", {"most_m3": MILK_M3})


def _binder(context: ConversionContext, item: Ingredient) -> ConvertedLines:
    if item.index in context.stirred_in:
        return kept("pot")(context, item)
    return ConvertedLines((plain_line(context, item, "season"),), "binder_named")


_TWO_UNITS = any_of(r"\W*\d+ ?(?:lbs?\.?|pounds?) \d+ ?(?:oz|ounces?)\b")


def _meat(context: ConversionContext, item: Ingredient) -> ConvertedLines:
    line = plain_line(context, item, "season")
    if scaled(context, item) and item.index == context.understood.meat_index:
        shown = show_mass(context.mass_kg)
        name = f"{shown.metric if context.metric else shown.us} {item.line.name}"
        return ConvertedLines((replace(line, amount=None, name=name, aside=""),), "kept_amount")
    # “one 5-6 pound flat”, “3 lb 2 oz back ribs”: as it was written
    if no_unit(item.line) or item.line.name[:1].isdigit() or _TWO_UNITS.match(item.line.raw):
        return ConvertedLines((replace(line, amount=None, name=item.line.raw, aside=""),))
    if context.bought_cured and item.index == context.understood.meat_index:
        return ConvertedLines((line,), "cured_meat")
    return ConvertedLines((line,), None)


_THICK_WORDS = any_of(
    r"\bsauce\b", r"\bjams?\b", r"\bpaste\b", r"\bmarinade\b", r"\bsyrup\b", r"\bglaze\b",
    r"\bpur[eé]e\b", r"\bjelly\b", r"\bpreserves?\b", r"\bchutney\b", r"\brelish\b",
    r"\bdressing\b", r"\bgravy\b", r"\bsoup\b", r"\bspread\b", r"\bcustard\b",
)  # fmt: skip


def _unknown(context: ConversionContext, item: Ingredient) -> ConvertedLines:
    """What is not known may be thick or sweet: it never goes to the bottom by itself."""
    late: When = "after" if _THICK_WORDS.search(item.line.raw) else "top"
    when: When = "season" if item.index in context.rubbed else late
    return ConvertedLines((plain_line(context, item, when),), "unknown_kept")


def _beside(context: ConversionContext, item: Ingredient) -> ConvertedLines:
    """On the table; kimchi that the recipe lays in with the raw meat is braised with it."""
    if item.food.words == "kimchi" and item.index not in context.late and context.is_wet:
        early = " ".join(before_the_heat(context.understood)).lower()
        if is_named(context.understood, item, early):
            return kept("pot")(context, item)
    return kept("beside")(context, item)


def _cure(context: ConversionContext, item: Ingredient) -> ConvertedLines:
    return ConvertedLines((plain_line(context, item, "cure"),), "cure_in_order")


def _fat(context: ConversionContext, item: Ingredient) -> ConvertedLines:
    """Enough to brown the meat; what would be deep fat stays out."""
    asked_m3 = context.scale * (item.volume_m3 or 0.0)
    if asked_m3 <= MOST_FAT_M3:
        cold = context.blended | context.stirred
        return kept("pot" if item.index in cold else "sear")(context, item)
    return ConvertedLines((volume_line(context, item, "sear", FAT_M3),), "fat_limited")


MOST_FLOUR_M3 = 59e-6
"""A quarter of a cup, which thickens the juice of a cooker, about half a litre: of a cup to dredge
meat in, most stays on the plate. Common practice."""
_DREDGED = any_of(
    r"\b(?:dredge|dust|coat|toss|roll|dip)\b[^.;]{0,60}\bflour\b", r"\bflour (?:the|them|it)\b"
)
_IN_THE_BAG = any_of(r"\bflour\b[^.;]{0,30}\b(?:oven|roasting|baking|cooking) bag\b")


def _flour(context: ConversionContext, item: Ingredient) -> ConvertedLines:
    """Left off until after pressure; what only keeps an oven bag from bursting goes with it."""
    if any(map(_IN_THE_BAG.search, context.understood.said)):
        return ConvertedLines((), "tool_struck")
    if (item.volume_m3 or 0.0) * context.scale > MOST_FLOUR_M3 and any(
        _DREDGED.search(text) for text in context.understood.said
    ):
        line = volume_line(context, item, "after", MOST_FLOUR_M3)
        return ConvertedLines((line,), "flour_left_off")
    return moved("flour_left_off", "after")(context, item)


def _tool(_context: ConversionContext, _item: Ingredient) -> ConvertedLines:
    """Bags, foil and string of another device: nothing of it goes under pressure."""
    return ConvertedLines((), "tool_struck")


def _salt(context: ConversionContext, item: Ingredient) -> ConvertedLines:
    """For the meat; what nobody could eat cures it overnight, and is brushed off."""
    found = kept("season")(context, item)
    kilos = context.scale * (item.mass_kg or 0.0)
    if kilos <= MOST_SALT_KG_PER_KG * context.mass_kg:
        return found
    lines = tuple(replace(line, prepared=BRUSHED_OFF) for line in found.lines)
    return ConvertedLines(lines, "salt_brushed_off")


BY_KIND: dict[Kind, RuleFn] = {
    "meat": _meat,
    "other_meat": kept("sear"),
    "thin": liquid,
    "stock": liquid,
    "sweet_thin": liquid,
    "wine": liquid,
    "beer": liquid,
    "salty_thin": follows("pot"),
    "acid": acid,
    "spirit": spirit,
    "chilli": less("chilli_less", CHILLI_SHARE, "pot"),
    "sweet_sauce": sweet_sauce,
    "sugar": sugar,
    "sugar_thick": sugar_thick,
    "thick": moved("thick_on_top", "top"),
    "foaming_thick": moved("foaming_apart", "after"),
    "flour": _flour,
    "starch": moved("starch_after", "after"),
    "dairy": _dairy,
    "fat": _fat,
    "binder": _binder,
    "spice": kept("pot"),
    "salt": _salt,
    "rub": kept("season"),
    "baking": kept("season"),
    "dried_herb": less("dried_herb_less", DRIED_SHARE, "pot"),
    "woody_herb": kept("pot"),
    "fresh_herb": moved("fresh_herb_last", "after"),
    "root": _roots,
    "aromatic": _aromatic,
    "tender_veg": _tender_vegetable,
    "foaming": _foaming,
    "smoke_wood": _smoke,
    "smoke_liquid": _liquid_smoke,
    "beside": _beside,
    "cure": _cure,
    "tool": _tool,
    "seafood": moved("seafood_last", "after"),
    "unknown": _unknown,
}
"""One rule for each kind of ingredient."""

_SERVED = any_of(
    "to serve", "to garnish", "to finish", "for (the )?garnish(ing)?", "for serving",
    "for topping", "to top", "for sprinkling", "at the table", "for the table", "on the side",
    "alongside",
)  # fmt: skip
_BUNS_AND = any_of(
    r"\bpastry\b|\b(buns|rolls|bread|tortillas|noodles|rice)( and|,| \+| &) \w+$",
    r"^[a-z' ]{2,25}, (?:[a-z' ]{2,25}, ){0,4}(?:and )?(?:\w+ )?"
    r"(?:buns|rolls|bread|tortillas|rice)$",
)
"""“Hoagie rolls and provolone”, “puff pastry + 1 egg”: nothing of it goes into the pot."""
_MORE = any_of(r"(?:\bplus|\+|\band) (?:some )?(?:more|extra)\b")
"""“½ cup sauce, plus more to serve”: some of it is cooked."""
_GLAZES = any_of(r"^to (glaze|brush|baste)\b", r"^for (the )?(glaze|glazing|brushing)\b")


def apply_rule(context: ConversionContext, item: Ingredient) -> ConvertedLines:
    """What becomes of an ingredient."""
    if item.index in context.cured:
        # by its own measure: more meat does not make more of a cure harmless
        unscaled = 1.0 / context.scale if context.scale > 0 else 1.0
        return ConvertedLines((plain_line(context, item, "cure", unscaled),), "cure_in_order")
    if item.kind == "meat" and item.index != context.understood.meat_index:
        return kept("season")(context, item)
    sprayed = item.index in context.sprayed - context.parts.keys()
    spray = is_of_a_spray(context.understood, item, context.sprayed)
    bottle = sprayed and item.kind == "unknown"  # “AJ + ACV, in a spray bottle”
    if spray or bottle or (sprayed and item.kind in SPRAYED_KINDS):
        return ConvertedLines((), "spritz_struck")
    if _GLAZES.search(item.line.aside) and item.kind not in {"meat", "smoke_wood", "beside"}:
        return kept("finish")(context, item)
    served = _SERVED.search(item.line.aside) and not _MORE.search(item.line.aside)
    with_buns = item.line.low is None and (
        _BUNS_AND.search(item.line.name) or _BUNS_AND.search(item.line.raw)
    )
    if (served or with_buns) and item.kind != "smoke_wood":
        return kept("beside")(context, item)
    return _by_kind(context, item)


def _kind_of(context: ConversionContext, item: Ingredient) -> Kind:
    """What is rubbed on is a spice, vegetables that are blended a thick sauce."""
    blended = item.index in context.blended and item.kind in {"tender_veg", "fresh_herb"}
    rubbed = item.index in context.rubbed and item.kind in LEAVES | {"acid", "thick"}
    return "spice" if rubbed else "thick" if blended else item.kind


SHARED = 0.5
"""What of a shared mixture goes onto the raw meat. Common practice."""


def _marinade(context: ConversionContext, item: Ingredient) -> ConvertedLines:
    """On the raw meat and wiped off; what is brushed on at the end as well is parted first."""
    if item.index not in context.shared:
        return ConvertedLines((plain_line(context, item, "season"),), "marinade_wiped")
    if context.poured_in_two:
        rest = 1.0 if item.kind in SWEET else 1.0 - SHARED
        first = [] if item.kind in SWEET else [plain_line(context, item, "pot", SHARED)]
        lines = (*first, plain_line(context, item, "after", rest))
        return ConvertedLines(lines, "marinade_shared")
    on_the_meat = plain_line(context, item, "season", SHARED)
    late = plain_line(context, item, "finish", 1.0 - SHARED)
    return ConvertedLines((on_the_meat, late), "marinade_shared")


_SLURRY = any_of(r"\bslurry\b", r"\bthicken")


def _by_kind(context: ConversionContext, item: Ingredient) -> ConvertedLines:
    """By what it is, unless its part or the steps keep it out of the pot."""
    if item.kind != "tool" and (part := context.parts.get(item.index)) is not None:
        thickens = _SLURRY.search(part.name) is not None
        brushed = part.role == "sauce" and context.brushes_sauce and not thickens
        role: PartRole = "glaze" if brushed else part.role
        # buns may stand last in the list of the sauce
        line = plain_line(context, item, WHEN_OF_ROLE["beside" if item.kind == "beside" else role])
        if line.when == "beside" and is_boiled(line) and boils_some(context.understood):
            line = replace(line, when="own_run")
        return ConvertedLines((line,), "other_part", {"part": part.name[:60]})
    if item.index in context.shared | context.soaked:
        return _marinade(context, item)
    found = BY_KIND[_kind_of(context, item)](context, item)
    when = context.late.get(item.index)
    if when == "finish" and item.kind in {"tender_veg", "root", "aromatic"}:
        when = "after"  # leeks that are fried with the meat at the end are not brushed on
    # what the marinade had to leave out is basted on with it
    after = [line.when for line in found.lines] == ["after"]
    sweet = context.bastes and after and item.kind in SWEET
    when = "finish" if sweet else when
    dry = sweet or found.rule in {
        "starch_after",
        "flour_left_off",
    }  # crumbs strewn on, a dredge to fry
    if when == "finish" and (found.rule == "sugar_after" or dry or is_some_sauce(item)):
        # the recipe sprinkles it on late: under the broiler is after pressure too
        return ConvertedLines((plain_line(context, item, when),), "named_late")
    # “Boil the rigatoni, toss with some of the sauce”
    boiled = boils_some(context.understood) and any(map(is_boiled, found.lines))
    when = None if when == "beside" and boiled else when
    if when == "beside" and any(line.when == "after" for line in found.lines):
        return ConvertedLines((plain_line(context, item, when),), "named_late")
    # raw roots that go in late still have to be cooked
    moves = _UNDER_THE_LID - (_RUNS if when == "after" else set())
    if when is not None and any(line.when in moves for line in found.lines):
        return ConvertedLines((plain_line(context, item, when),), "named_late")
    return found


WHEN_OF_ROLE: dict[PartRole, When] = {"glaze": "finish", "sauce": "after", "beside": "beside"}
"""Where the lines of a part go that is not cooked along."""
_RUNS: frozenset[When] = frozenset({"first_run", "own_run"})
_UNDER_THE_LID: frozenset[When] = frozenset({"season", "sear", "pot", "top", *_RUNS})

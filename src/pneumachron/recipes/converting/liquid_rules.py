"""Rules for what is poured in, and for what is sharp or sweet."""

import re
from collections.abc import Callable
from dataclasses import replace

from pneumachron.core.errors import Param
from pneumachron.core.message import Message
from pneumachron.recipes.converting.caramel import CARAMEL
from pneumachron.recipes.converting.context import (
    SAME,
    ConversionContext,
    ConvertedLines,
    plain_line,
    volume_line,
)
from pneumachron.recipes.converting.cures import BRUSHED_OFF, MOST_SALT_KG_PER_KG
from pneumachron.recipes.converting.liquids import SPIRIT_M3
from pneumachron.recipes.converting.marinade import marinates_raw, told_of_the_marinade
from pneumachron.recipes.converting.marks import OutLine, When
from pneumachron.recipes.converting.parts import BRUSHED
from pneumachron.recipes.understanding.ingredients import Ingredient
from pneumachron.recipes.understanding.patterns import any_of

SUGAR_KG_M3 = 50.0
"""Sugar in the pot's liquid at most. Common practice."""
RUB_SUGAR_KG_PER_KG = 0.010
_CARAMEL_SHARE = 4.0
"""So many times as much may be in the liquid when it was dissolved before. Common practice: three
or four spoons in a braise for six."""
NEARLY_ALL = 0.9
"""So much of a rub's sugar is all of it: nobody keeps a pinch of it back. Judgement."""
DRIED_SHARE, CHILLI_SHARE = 2.0 / 3.0, 0.75
ACID_AFTER_SHARE, FEW_PODS = 0.5, 3


RuleFn = Callable[[ConversionContext, Ingredient], ConvertedLines]


def kept(when: When) -> RuleFn:
    """As it was; what is rubbed on goes onto the meat."""

    def apply(context: ConversionContext, item: Ingredient) -> ConvertedLines:
        line = plain_line(context, item, "season" if item.index in context.rubbed else when)
        return ConvertedLines((line,), "kept_amount" if scaled(context, item) else None)

    return apply


def scaled(context: ConversionContext, item: Ingredient) -> bool:
    """Whether its amount changes with the weight of the meat."""
    return abs(context.scale - 1.0) > SAME and item.line.low is not None


def liquid(context: ConversionContext, item: Ingredient) -> ConvertedLines:
    """Its share of what the pot needs."""
    volume = context.pouring.by_index.get(item.index)
    return kept("pot")(context, item) if volume is None else _poured(context, item, volume)


_OR_STOCK = re.compile(r"^((?:\w+ ){0,3}(?:water|wine|beer|cider) or )?", re.I)
"""“Water or stock”, “white wine or broth”: what is unsalted is the stock."""


_UNSALTED = any_of(r"\bunsalted\b", r"\b(?:salt|sodium)[- ]free\b", r"\bno[- ]salt\b",
                   r"\bungesalzen")  # fmt: skip
_LOW_SALT = re.compile(r"\b(?:low|lower|less|reduced)[- ](?:salt|sodium) ", re.I)
"""Unsalted takes the place of it."""


def _poured(context: ConversionContext, item: Ingredient, volume: float) -> ConvertedLines:
    asked = context.scale * (item.volume_m3 or 0.0)
    # a splash that is blended with the rest is not simmered off alone
    alone = item.kind in {"wine", "beer"} and item.index not in context.blended
    line = volume_line(context, item, "sear" if alone else "pot", volume)
    need: dict[str, Param] = {"need_m3": context.pouring.need_m3}
    rest = _only_for_the_marinade(context, item, asked - volume)
    if alone:
        off = replace(line, prepared=Message("prepared-simmered"))
        return ConvertedLines((off, *rest), "wine_first", need)
    if item.kind == "stock" and not _UNSALTED.search(item.line.raw):
        plain = _LOW_SALT.sub("", line.name)
        line = replace(line, name=_OR_STOCK.sub(r"\1unsalted ", plain, count=1))
    if item.index in context.marinated:
        same = tuple(replace(each, name=line.name) for each in rest)
        return ConvertedLines((line, *same), "marinade_boiled")
    if volume < 0.97 * asked and context.is_soup:
        return ConvertedLines(
            (line, volume_line(context, item, "after", asked - volume)), "thin_to_need", need
        )
    if volume < 0.97 * asked or item.index in context.pouring.kept:
        return ConvertedLines((line,), "thin_to_need", need)
    unsalted = "stock_unsalted" if line.name != item.line.name else None
    return ConvertedLines((line,), unsalted or ("kept_amount" if scaled(context, item) else None))


def _only_for_the_marinade(
    context: ConversionContext, item: Ingredient, left_m3: float
) -> tuple[OutLine, ...]:
    """What the meat lies in beforehand, and the cooker does not need: a bottle of wine."""
    if left_m3 < _LEFT_M3 or not marinates_raw(context.understood):
        return ()
    if item.index not in context.in_marinade & told_of_the_marinade(context.understood):
        return ()
    line = volume_line(context, item, "season", left_m3)
    return (replace(line, prepared=Message("prepared-marinade_only")),)


_LEFT_M3 = 60e-6
"""Less than a quarter of a cup is not worth a line. Judgement."""
_BY_THE_PINT_M3 = 300e-6
"""So much wine, beer or water stands in a marinade that the meat is covered. Judgement."""


def _soaks_by_the_pint(context: ConversionContext) -> bool:
    items = context.understood.ingredients
    thin = sum(item.volume_m3 or 0.0 for item in items if item.index in context.marinated)
    return context.scale * thin > _BY_THE_PINT_M3


def follows(when: When) -> RuleFn:
    """What salts the liquid goes down with it; on the meat it goes by the meat."""

    def apply(context: ConversionContext, item: Ingredient) -> ConvertedLines:
        ratio = context.pouring.ratio
        if item.index in context.rubbed or item.line.low is None or ratio > 0.97:
            return kept(when)(context, item)
        return ConvertedLines((plain_line(context, item, when, ratio),), "follows_liquid")

    return apply


def spirit(context: ConversionContext, item: Ingredient) -> ConvertedLines:
    """A little, boiled off first."""
    volume = min(context.scale * (item.volume_m3 or SPIRIT_M3), SPIRIT_M3)
    line = volume_line(context, item, "sear", volume)
    return ConvertedLines((replace(line, prepared=Message("prepared-boiled_off")),), "spirit_first")


_IN_SLICES = re.compile(
    r"\b(?:lemons?|limes?|oranges?|zitronen?|limetten?)\b.*\b(?:slice[sd]?|scheiben?)\b"
    r"|\bslice[sd]?\b.{0,20}\b(?:lemons?|limes?|oranges?)\b|\bpreserved\b",
    re.I,
)
"""A lemon in slices is laid in, and is not squeezed."""


_FRUIT = any_of(r"\b(?:lemon|lime|orange)s?\b")
_TAKEN_OUT = any_of(
    r"\b(?:discard|remove|(?:fish|take|pick|lift) out)\b[^.;]{0,40}\b(?:lemon|lime|orange)s?\b",
    r"\b(?:drop|tuck|throw|put)\b[^.;]{0,20}\b(?:halves|squeezed|quarters|rinds?|peels?)\b",
)
"""“Squeeze the orange over and drop the halves in”: it is fished out later, whole."""


_ZESTED = any_of(r"\bzest(?:ed)?\b", r"\bgrated (?:rind|peel)\b", r"\b(?:abrieb|schale)\b")
"""“Zest and juice of an orange”: nobody halves what is grated, and the juice goes with it."""


def _goes_in_whole(context: ConversionContext, item: Ingredient) -> bool:
    if item.line.unit or not _FRUIT.search(item.line.name):
        return False
    word = item.food.words.rstrip("s")
    return any(
        any(each in found[0].lower() for each in (word, "halves", "peel", "rind"))
        for step in context.understood.said for found in _TAKEN_OUT.finditer(step)
    ) and "juic" not in item.line.raw.lower()  # fmt: skip


def acid(context: ConversionContext, item: Ingredient) -> ConvertedLines:
    """Half under pressure, half at the end; a splash stays whole."""
    few = item.line.unit in {"splash", "dash", "drop"} or _goes_in_whole(context, item)
    few = few or any(look.search(item.line.raw) for look in (_IN_SLICES, _ZESTED))
    ratio = context.pouring.ratio
    asked_m3 = context.scale * (item.volume_m3 or 0.0)
    left = _only_for_the_marinade(context, item, (1.0 - ratio) * asked_m3)
    if left and item.line.unit and context.cooks_marinade and _soaks_by_the_pint(context):
        # “250 ml of vinegar in a liter of wine and water”: as sour as that, and no more
        return ConvertedLines((plain_line(context, item, "pot", ratio), *left), "marinade_boiled")
    whole = context.rubbed | context.blended | context.in_marinade  # raw meat lay in it
    if few or item.index in whole or item.line.low is None:
        return kept("pot")(context, item)
    ratio = context.pouring.ratio if item.line.unit else 1.0  # a lemon is only halved
    factor = (1.0 - ACID_AFTER_SHARE) * ratio
    before = plain_line(context, item, "pot", factor)
    after = replace(before, when="after")
    return ConvertedLines((before, after), "acid_halved")


def sweet_sauce(context: ConversionContext, item: Ingredient) -> ConvertedLines:
    """Brushed on; what the recipe pours in with the meat belongs to the sauce."""
    late = context.late.get(item.index) == "after" and "ketchup" in item.food.words
    understood = context.understood
    # a braise whose steps brush nothing on
    braised = context.is_wet and understood.crust.kind is None
    braised = braised and not any(map(BRUSHED.search, understood.said))
    braised = braised and not _ON_THE_MEAT.search(item.food.words)
    stirred_in = item.index in context.poured_in or late or braised
    when: When = "after" if stirred_in else "finish"
    return ConvertedLines((plain_line(context, item, when),), "sweet_sauce_after")


_ON_THE_MEAT = any_of(r"\b(?:bbq|barbecue)\b")
"""Stirred into pulled meat or brushed on, whatever the steps say of it."""


def sugar(context: ConversionContext, item: Ingredient) -> ConvertedLines:
    """A little dissolves and stays; more than that goes in after pressure, in one amount."""
    if item.index in context.rubbed:
        return _rub_sugar(context, item)
    budget = SUGAR_KG_M3 * context.pouring.need_m3
    if item.index in context.caramel and context.scale * item.sugar_g <= _CARAMEL_SHARE * (
        1000.0 * budget
    ):
        line = replace(plain_line(context, item, "sear"), prepared=CARAMEL)
        return ConvertedLines((line,), "sugar_caramel")
    told = item.line.amount is not None  # how much “brown sugar, for the wrap” is, nobody knows
    if told and context.scale * item.sugar_g <= 1000.0 * budget:
        return kept("pot")(context, item)
    return ConvertedLines((plain_line(context, item, "after"),), "sugar_after")


def salts_to_cure(context: ConversionContext) -> bool:
    """Whether what is rubbed on has so much salt that nobody could eat it: it is brushed off."""
    kilos = context.scale * sum(
        item.mass_kg or 0.0 for item in context.understood.ingredients
        if item.kind == "salt" and item.index in context.rubbed
    )  # fmt: skip
    return kilos > MOST_SALT_KG_PER_KG * context.mass_kg


def sugar_thick(context: ConversionContext, item: Ingredient) -> ConvertedLines:
    """Honey and syrup sink and scorch before they dissolve: after pressure, whatever the amount."""
    if item.index in context.rubbed:
        return _rub_sugar(context, item)
    return ConvertedLines((plain_line(context, item, "after"),), "sugar_after")


def _rub_sugar(context: ConversionContext, item: Ingredient) -> ConvertedLines:
    if salts_to_cure(context):
        line = replace(plain_line(context, item, "season"), prepared=BRUSHED_OFF)
        return ConvertedLines((line,), "salt_brushed_off")
    if context.sweet_left_kg >= NEARLY_ALL:
        return kept("season")(context, item)
    share = context.sweet_left_kg
    return ConvertedLines(
        (
            plain_line(context, item, "season", share),
            plain_line(context, item, "finish", 1.0 - share),
        ),
        "sugar_in_rub",
    )


def moved(rule: str, when: When) -> RuleFn:
    """Out of the pot, and in at another time."""

    def apply(context: ConversionContext, item: Ingredient) -> ConvertedLines:
        return ConvertedLines((plain_line(context, item, when),), rule)

    return apply


def less(rule: str, share: float, when: When) -> RuleFn:
    """Less of what grows stronger under pressure."""

    def apply(context: ConversionContext, item: Ingredient) -> ConvertedLines:
        whole = item.kind == "chilli" and not item.line.unit  # nobody cuts a quarter off a pod
        if item.line.low is None or (whole and item.line.low * context.scale <= FEW_PODS):
            return kept(when)(context, item)
        if item.index in context.rubbed:
            return ConvertedLines((plain_line(context, item, "season", share),), rule)
        # a blend by the spoon seasons the meat; pods and flakes season the liquid
        mild = "powder" in item.food.words and item.line.unit in {"tbsp", "cup", "g", "oz"}
        by_liquid = item.kind == "chilli" and not mild
        factor = share * (context.pouring.ratio if by_liquid else 1.0)
        return ConvertedLines((plain_line(context, item, when, factor),), rule)

    return apply

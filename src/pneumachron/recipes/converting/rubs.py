"""What is rubbed onto the raw meat."""

import re
from collections.abc import Sequence, Set
from itertools import pairwise

from pneumachron.recipes.converting.marinade import in_marinade
from pneumachron.recipes.converting.parts import HEADING_WORDS
from pneumachron.recipes.converting.pot_work import WET
from pneumachron.recipes.converting.put_on import put_on
from pneumachron.recipes.converting.seasoning import (
    SEASONED,
    SEASONED_TOO,
    binders_in_the_pot,
)
from pneumachron.recipes.converting.themes import MIXED, WITH_THE_MEAT
from pneumachron.recipes.model import Part
from pneumachron.recipes.understanding.ingredients import THIN_KINDS, Ingredient, Kind
from pneumachron.recipes.understanding.naming import before_the_heat, is_named, named_in, rows_named
from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.sentences import sentences_in
from pneumachron.recipes.understanding.understand import Understood

_RUB_KINDS = {"salt", "spice", "sugar", "dried_herb", "chilli", "rub", "baking", "binder"}
LEAVES: frozenset[Kind] = frozenset({"fresh_herb", "woody_herb", "aromatic"})
"""“Coriander” in a rub is no bunch of leaves, nor “garlic” cloves to fry."""
MOST_VINEGAR_M3 = 60e-6
"""So much makes a paste of a rub; more is poured. Judgement."""
FEW_FRUITS = 2
"""Limes or lemons: the juice of more is poured. Judgement."""
_LIME_JUICE = any_of(r"\b(?:lemon|lime|orange|citrus|the) juice\b")
_PEPPER = any_of(r"\bpepper(?:corns?)?$", r"pfeffer$")
_POWDER = any_of(r"\b(?:garlic|onion) powder$", r"\bgranulated (?:garlic|onion)$")
_SPICES_ADDED = any_of(r"\b(?:add|stir in)\b[^.;]*, (?:the )?spices(?=,| and\b| &)")
"""“Season the ribs … Add the tomatoes, spices, broth and vinegar.”"""
_RUBBED = any_of(r"\brub\b", r"\bmassage\b", r"\beinreiben\b", r"\bseasonings\b")
_SPICE_KINDS = {"spice", "dried_herb", "chilli", "rub"}
_RUB_THE_MEAT = any_of(
    r"\b(rub|season) (up )?(the |both |each |your )?"
    r"(ribs?|racks?|slabs?|meat|pork|beef|brisket|shoulder|butt|wings?|roast|joint|steaks|pieces"
    r"|cubes|chunks|sides|em|them|it)\b",
    r"\b(?:coat|cover)\w* (?:\w+ )?with [^.;]{0,40}\brub\b",
    r"\brub (?:goes )?on\b(?! (?:the )?(?:hands|board))",
    r"(^|[.;:] )(season|rub)(,| and (put|lay|brown|sear|place)|[.;])",
    r"\b(?:fleisch|braten|schulter|rippen|rippchen)\b(?: \w+){0,2} würzen\b",
    r"\btrim,? (and|&) season\b|\bseason (and|&) (put|lay|brown|sear|place)\b",
    r"\b(rub|season) (generously|heav(?:il)?y|hard|well|liberally|all over)\b",
)


_WITH_SALT_ALONE = any_of(
    r"\bseason\b[^.;,]{0,50}\bwith (?:plenty of |some |a little )?(?:(?:kosher|sea|fine|coarse) )?"
    r"salt(?: (?:and|&) (?:(?:freshly|ground|cracked|black) )*pepper)?"
    r"(?=\W*$|[.;]|,? (?:and|then) (?:then )?(?:brown|sear|put|place|lay|set|let))"
)
"""“Season the ribs with salt and pepper.”: and not with the cumin of the sauce."""
_PASTE = any_of(r"\bpaste\b", r"\brempah\b")
_PASTE_RUBBED = any_of(r"\b(?:rub|massage|smear|spread|coat)\b[^.;]*\b(?:paste|rempah)\b")
"""“Rub half of the paste over the ribs”: what stands under “For the paste” goes on the meat."""
_LEFT_WHOLE = any_of(
    r"\b(left|keep|kept|leave) whole\b",
    r"\(whole!?\)",
    r"\b(?:bonnet|habanero|chill?ie?|pepper), whole\b",
)
"""A whole chilli swims in the pot, and is no rub."""
_BINDS = re.compile(
    r"^\W*(?:binder|slather)\s*:|\b(?:as|for) (?:an? |the )?(?:binder|slather|glue)\b", re.I
)
"""“Binder: mustard”, “hot sauce, as a binder”: what the rub holds on by."""


def rubbed_lines(understood: Understood) -> frozenset[int]:
    """Lines that go onto the meat dry.

    Those that a step names which seasons, or all spices when it says “the spices”.
    """
    named = named_in(understood, SEASONED, apart=True)
    text = " ".join(understood.said).lower()
    spices = {
        item.index for item in understood.ingredients
        if item.kind in _SPICE_KINDS and not _LEFT_WHOLE.search(item.line.raw)
    }  # fmt: skip
    said = (
        r"\b(?:rub|season|sprinkle|dust|mix|combine|coat|massage|pat)\b[^.;]*\b(?:dry )?spices\b"
        r"|\bspices\b[^.;]*\b(?:on|over|into) (?:the |both )?"
        r"(?:meat|ribs|pork|beef|brisket|sides)\b"
        r"|\b(?:mix|combine|stir) (?:together )?(?:the |all the )?rub\b"
        r"|\brub over\b|\bdry rub\b|(?<!add the )(?<!add the ★ )(?<!off the )\bseasonings\b"
        r"|\bdry (ingredients|stuff|things|mix|seasonings?|spices)\b"
        r"|\bgewürze\b[^.;]*\b(?:einreiben|einmassieren)\b"
        r"|\bmit (?:der|dieser) (?:gewürz)?mischung\b[^.;]{0,30}\b(?:einreiben|einmassieren)\b"
    )
    # “rub the ribs”, and no word of what with: with the spices there are
    early = before_the_heat(understood)
    rubs = any(_RUB_THE_MEAT.search(step) for step in early)  # "season", at the end, is to taste
    # what is only smoked or grilled has no liquid for its spices
    dry = understood.cooking.method in {"smoker", "grill"}
    poured = _poured(understood, early)
    bound = {row for row in spices if _BINDS.search(understood.ingredients[row].line.raw)}
    plain = (rubs or dry) and not (spices - bound) & named
    plain = plain and not any(map(_SPICES_ADDED.search, early))
    plain = plain and not any(map(_WITH_SALT_ALONE.search, early))
    salts = {item.index for item in understood.ingredients if item.kind == "salt"}
    wet_heat = understood.cooking.method in WET
    # “season the pork with salt” says what with
    salted = wet_heat and bool(salts & named)
    if plain and (salted or (wet_heat and not any(map(_RUBBED.search, early)))):
        # “season the ribs” of a braise is with salt and pepper; its spices go into the pot
        tasted = {row for row in spices if _PEPPER.search(understood.ingredients[row].line.name)}
        powders = {row for row in spices if _POWDER.search(understood.ingredients[row].line.name)}
        plain, named = not (tasted or salted), named | tasted | (powders - poured)
    named -= _stirred_in(understood)
    wet = binders_in_the_pot(understood)
    paste = any(_PASTE_RUBBED.search(text) for step in early for text in sentences_in(step))
    meat = {item.index for item in understood.ingredients if item.kind == "meat"}
    rub = {
        row for part in understood.recipe.parts for row in part.lines
        if part.role == "rub" or (paste and _PASTE.search(part.name))
        or (not meat.intersection(part.lines) and _is_rubbed_in(part, early))
    }  # fmt: skip
    other_parts = {
        row for part in understood.recipe.parts if part.role in {"sauce", "glaze", "beside"}
        for row in part.lines
    }  # fmt: skip
    mixed = _mixed_to_rub(understood, early) | _herbs_rubbed_on(understood, early)
    rub |= mixed
    dry_on = put_on(understood, early)
    stirred = _stirred_spices(understood, early, named | rub) - mixed - dry_on
    slathered = _slathered(understood, early)
    named |= (
        rub
        | slathered
        | dry_on
        | {item.index for item in understood.ingredients if _BINDS.search(item.line.raw)}
    )
    all_spices = plain or bool(re.search(said, text))
    others = " ".join(
        text for step in understood.said for text in sentences_in(step)
        if not (SEASONED.search(text) or _OF_A_PART.search(text))
    ).lower()  # fmt: skip
    # "season the meat", and the mustard is whisked into the sauce by another step
    elsewhere = {
        item.index for item in understood.ingredients
        if (item.kind in {"binder", "sugar"} or (item.kind == "chilli" and _WET_CHILI.search(
            item.line.raw
        )))
        and ("adobo" in item.line.raw.lower() or is_named(understood, item, others))
    } | (spices & poured)  # fmt: skip
    pushed = pushed_on(understood)
    rub |= pushed
    named |= pushed
    if any(map(_SEASONS.search, early)):
        rub |= _beside_the_meat(understood)
        named |= rub
    return frozenset(
        item.index
        for item in understood.ingredients
        if not (_LEFT_WHOLE.search(item.line.raw) or "bouillon" in item.food.words)
        and (
            item.kind in _RUB_KINDS
            or _BINDS.search(item.line.raw)
            or (item.kind == "salty_thin" and item.index in slathered)
            or (item.index in rub and (item.kind in LEAVES or _makes_a_paste(understood, item)))
            or (item.index in mixed | pushed and _is_some_paste(item))
        )
        and item.index not in (wet - mixed) | stirred
        and item.index not in other_parts - pushed - dry_on
        and (item.index in named or (all_spices and item.index not in elsewhere))
    )


def _poured(understood: Understood, early: Sequence[str]) -> frozenset[int]:
    """What a step pours in with a liquid: “season the ribs” does not mean it."""
    rows: set[int] = set()
    for step in early:
        for text in sentences_in(step):
            named = frozenset() if SEASONED.search(text) else rows_named(understood, text)
            if any(understood.ingredients[row].kind in _LIQUIDS for row in named):
                rows |= named
    return frozenset(rows) - in_marinade(understood)


_LIQUIDS: frozenset[Kind] = THIN_KINDS | {"salty_thin", "spirit"}
"""What is poured: a spice in its sentence goes in with it."""


def pushed_on(understood: Understood) -> frozenset[int]:
    """Garlic and herbs that a step pushes into the raw meat, or rubs on it."""
    early = before_the_heat(understood)
    return _pushed_in(understood, early) | _rubbed_with(understood, early)


def _stirred_in(understood: Understood) -> frozenset[int]:
    """“Stir in the mustard and sage, season, cover and cook”: the sauce is seasoned, to taste."""
    sentences = [text for step in understood.said for text in sentences_in(step)]
    stirred = rows_named(understood, " ; ".join(filter(SEASONED_TOO.match, sentences)))
    others = [text for text in sentences if SEASONED.search(text) and not SEASONED_TOO.match(text)]
    return stirred - rows_named(understood, " ; ".join(others))


_WET_CHILI = any_of(r"\badobo\b", r"\b(?:cans?|tins?|jars?|fresh|chopped|minced|roasted)\b")
"""No powder: “mix all the spices” does not mean it, where another step names it."""
_SEASONS = any_of(r"\b(?:season|rub)\b")


def _beside_the_meat(understood: Understood) -> frozenset[int]:
    """“For the ribs: ribs, salt, pepper, garlic granules”: all of it goes onto the meat."""
    for part in understood.recipe.parts:
        items = [understood.ingredients[row] for row in part.lines]
        others = [item for item in items if item.kind != "meat"]
        dry = all(item.kind in _RUB_KINDS - {"binder"} for item in others)
        if dry and len(others) > 1 and len(others) < len(items):
            return frozenset(item.index for item in others)
    return frozenset()


_INTO_SLITS = any_of(
    r"\bstud (?:the |your |it |all )?(?:over )?(?:the )?(?:(?:meat|pork|beef|brisket|ribs?|shoulder"
    r"|roast|joint|fat|rind|skin) )?(?:all over )?with (?:the )?(?:garlic|rosemary|sage)\b[^.;]*",
    r"\b(?:slits|holes)\b[^.;]*\b(?:push|press|poke|stuff|insert|tuck)\b[^.;]*",
    r"\b(?:push|press|poke|stuff|insert|tuck)\b[^.;]{0,60}\b(?:into|in) (?:the |each )?slits?\b",
)


def _pushed_in(understood: Understood, early: Sequence[str]) -> frozenset[int]:
    """“Make slits all over the roast and push in the garlic.”"""
    told = " ; ".join(found[0] for step in early for found in _INTO_SLITS.finditer(step))
    return frozenset(
        row for row in rows_named(understood, told)
        if understood.ingredients[row].kind in LEAVES
    )  # fmt: skip


def _rubbed_with(understood: Understood, early: Sequence[str]) -> frozenset[int]:
    """“Rub the pork with salt, pepper and crushed garlic”: no garlic to fry."""
    told = [found for step in early for found in _RUBBED_WITH.finditer(step)]
    what = " ; ".join(
        _AND_THEN.split(found["what"] or found["womit"] or found["pressed"] or "")[0]
        for found in told
    )
    return frozenset(
        row for row in rows_named(understood, what)
        if understood.ingredients[row].kind in LEAVES | {"thick"}
        and not _ONIONS.search(understood.ingredients[row].food.words)
    )  # fmt: skip


_ONIONS = any_of(r"\b(?:onions?|shallots?|leeks?|zwiebeln?)\b")
"""Nobody rubs meat with them: the clause has gone on to the bed it lies on."""
_RUBBED_WITH = re.compile(
    r"\b(?:rub|massage|smear)\b[^.;,]{0,40}?\b(?:with|in)\b(?P<what>[^.;]*)"
    r"|\bmit\b(?P<womit>[^.;]*)\b(?:einreiben|einmassieren)\b"
    r"|\b(?:press|pat|rub|massage|smear)\b(?P<pressed>[^.;]{3,60}?)\b(?:on ?to|all over|over"
    r"|into|on)\b[^.;]{0,24}\b(?:meat|pork|beef|brisket|ribs?|shoulder|roast|joint|racks?|both"
    r" sides)\b",
    re.I,
)
_AND_THEN = re.compile(
    r",? (?:and|then) (?:then )?(?:brown|sear|put|place|add|cook|fry|lay|set|roast|leave|chill)\b",
    re.I,
)


def _is_rubbed_in(part: Part, early: Sequence[str]) -> bool:
    """“Stuff the slits with the adobo; rub the rest over the meat”, below a heading “Adobo”."""
    name = HEADING_WORDS.sub("", part.name)
    if part.role not in {"main", "marinade"} or len(name.split()) > MOST_IN_A_NAME:
        return False
    rubbed = re.compile(
        r"\b(?:rub|stuff|massage|smear|slather|push|work|press|dust|coat(?:ing)?|season"
        rf"|pat|dredge)\b[^.;]{{0,60}}\b(?:the|this|all|with|that) {re.escape(name)}\b",
        re.I,
    )
    return any(rubbed.search(text) for step in early for text in sentences_in(step))


MOST_IN_A_NAME = 2
"""Words of a mixture's name. Judgement."""


def _makes_a_paste(understood: Understood, item: Ingredient) -> bool:
    if item.kind == "acid" and not item.line.unit:  # “juice of 2 limes”
        juiced = [
            text for step in understood.said for text in sentences_in(step)
            if _LIME_JUICE.search(text)
        ]  # fmt: skip
        few = (item.line.amount or 0.0) <= FEW_FRUITS
        return few and bool(juiced) and all(map(_GROUND_UP.match, juiced))
    return item.kind == "acid" and 0.0 < (item.volume_m3 or 0.0) <= MOST_VINEGAR_M3


def _is_some_paste(item: Ingredient) -> bool:
    """“Blend the adobo sauce with the garlic and rub it all over the pork.”"""
    few = 0.0 < (item.volume_m3 or 0.0) <= MOST_PASTE_M3
    return item.kind == "thick" and few and "tomato" not in item.food.words  # that one scorches


MOST_PASTE_M3 = 90e-6
"""More of a thick sauce is spread on to be cooked in, and is no rub. Judgement."""
_OF_A_PART = any_of(r"\b(?:sauce|glaze|marinade|dressing|slaw) ingredients\b")
"""“Shake the sauce ingredients until the sugar dissolves” is not about the rub's sugar."""


_SLATHERED = any_of(
    r"\b(?:rub|slather|coat|smear|paint|brush)\b(?: (?:it|them|all over|both sides|"
    r"(?:the |each |your )?(?:meat|ribs?|rack|racks|pork|beef|brisket|roast|shoulder)))?"
    r" (?:with|in) (?P<what>[^.,;]{3,40})"
)
"""“Rub with Worcestershire, then the dry seasonings”: what makes the rub hold."""


def _slathered(understood: Understood, early: Sequence[str]) -> frozenset[int]:
    found = (
        match["what"] for step in early for text in sentences_in(step)
        if (match := _SLATHERED.search(text)) and not MIXED.search(text)
    )  # fmt: skip
    return rows_named(understood, " ; ".join(found))


def _stirred_spices(
    understood: Understood, early: Sequence[str], rubbed: Set[int]
) -> frozenset[int]:
    """Spices that the steps cook with the onions: “season the pork” does not mean them."""
    stirred = " ".join(
        text for step in early for text in sentences_in(step)
        if _COOKED_IN.search(text) and not (SEASONED.search(text) or MIXED.search(text))
    )  # fmt: skip
    named = rows_named(understood, stirred)
    if any("bell pepper" in item.food.words for item in understood.ingredients):
        # “cook the onions and pepper” is not about the black one
        named -= {item.index for item in understood.ingredients if item.food.words == "pepper"}
    if _ALL_SPICES.search(stirred):  # "stir in the garlic and spices"
        named |= {
            item.index for item in understood.ingredients
            if not _PEPPER.search(item.line.name)
        } - rubbed  # fmt: skip
    melted = rows_named(understood, " ".join(
        text for step in understood.said for text in sentences_in(step) if _MELTED.search(text)
    ))  # fmt: skip
    return frozenset(
        item.index for item in understood.ingredients
        if (item.index in named and item.kind in _SPICE_KINDS)
        or (item.index in melted and item.kind == "sugar")
    )  # fmt: skip


_ALL_SPICES = any_of(r"\b(?:stir in|add|and|with) (?:all )?(?:the )?(?:ground |dry )?spices\b")
_MELTED = any_of(
    r"\bmelt (?:the |your )?(?:\w+ )?sugar\b",
    r"\bsugar\b[^.;]{0,30}\b(?:caramel|amber)",
    r"\bzucker\b[^.;]{0,20}\bkaramellisieren\b",
    r"\bcarameli[sz]e the (?:\w+ )?sugar\b",
)
"""A caramel, and nothing that is rubbed on."""
_COOKED_IN = any_of(
    r"\b(?:add|stir in|combine|mix) (?:the |all (?:the )?)?(?:remaining|other|rest of the) "
    r"ingredients \(",
    r"\b(?:cook|fry|saut[eé]|soften|sweat|sizzle|wilt)\b",
    r"\b(?:stir in|add)\b[^.;]*\b(?:garlic|onions?|ginger|tomato(?:es)?|paste|pur[eé]e|kraut)\b",
)


def _mixed_to_rub(understood: Understood, early: Sequence[str]) -> frozenset[int]:
    """“Mix the garlic, the fennel seeds and the oil. Rub over the flesh.”"""
    sentences = [text for step in early for text in sentences_in(step)]
    rows: set[int] = set()
    for before, text in pairwise(["", *sentences]):
        if _CRUSHED_AND_RUBBED.search(text):  # "crush the seeds, salt and garlic, rub in all over"
            # “Chop the garlic, rosemary and salt. Mix with oil and rub over the ribs.”
            chopped = _MIXED_WITH.match(text) and _GROUND_UP.match(before)
            rows |= rows_named(understood, f"{before} {text}" if chopped else text)
    for place, text in enumerate(sentences):
        pounded = _THEN_RUBBED.match(text) and _TO_A_PASTE.search(sentences[place - 1])
        if _PASTE_ON.match(text) or (place and pounded):
            # "Toast the seeds; grind with the salt. … Rub the paste all over"
            for before in sentences[max(0, place - MOST_BEFORE) : place]:
                if _GROUND_UP.match(before) and not WITH_THE_MEAT.search(before):
                    rows |= rows_named(understood, before)
    for before, text, following in zip(["", *sentences], sentences, sentences[1:], strict=False):
        # “In a mortar mash the garlic with the salt. Stir in oil and vinegar. Rub everywhere.”
        if (
            _STIRRED_TO_IT.match(text)
            and _GROUND_UP.match(before)
            and _THEN_RUBBED.match(following)
        ):
            rows |= rows_named(understood, f"{before} {text}")
    for place, (text, following) in enumerate(pairwise(sentences)):
        mashed = _MASHED.search(text) is not None and "," in text
        if not (MIXED.search(text) or mashed) or WITH_THE_MEAT.search(text):
            continue
        if _THEN_RUBBED.match(following):
            # "Chop the garlic with the salt. Mix with the oil. Rub in."
            before = sentences[place - 1] if place else ""
            more = before if _MIXED_WITH.match(text) and _GROUND_UP.match(before) else ""
            rows |= rows_named(understood, f"{more} {text}")
    return frozenset(rows)


def _herbs_rubbed_on(understood: Understood, early: Sequence[str]) -> frozenset[int]:
    """“Mix the salt, herbs and pepper; rub all over”: the chopped herbs of the list."""
    sentences = [text for step in early for text in sentences_in(step)]
    rubbed = any(
        _HERBS_MIXED.search(text) and (SEASONED.search(text) or _THEN_RUBBED.match(following))
        for text, following in pairwise([*sentences, ""])
    )
    return frozenset(
        item.index for item in understood.ingredients
        if rubbed and item.kind in {"woody_herb", "fresh_herb"} and _CHOPPED.search(item.line.raw)
    )  # fmt: skip


_STIRRED_TO_IT = re.compile(r"\W*(?:then )?(?:stir|mix|add|work|beat) in\b", re.I)
_HERBS_MIXED = any_of(
    r"\b(?:mix|combine|stir|rub|season|pound|blend)\b[^.;]*\b(?:the |all (?:the )?)?herbs\b"
)
_CHOPPED = any_of(r"\bchopped\b", r"\bminced\b", r"\bleaves\b", r"\bfinely\b")
MOST_BEFORE = 5
"""Sentences in which a paste is made, before it is rubbed on. Judgement."""
_TO_A_PASTE = any_of(r"\b(?:to|into|for) (?:form )?an? (?:\w+ )?paste\b")
"""“Add the garlic and the oil and pound to a paste. Rub this all over.”"""
_PASTE_ON = re.compile(
    r"\W*(?:(?:stab|prick|score|poke|pierce)\b[^.;]{0,40}\b(?:and|then) )?"
    r"(?:rub|smear|massage|spread|work|push) (?:(?:the|this|that) )?(?:\w+ )?paste\b",
    re.I,
)
_GROUND_UP = re.compile(
    r"\W*(?:then )?(?:(?:in|using|with) an? [^,.;]{3,40},? )?"
    r"(?:toast|grind|mash|pound|crush|blend|blitz|chop|mix|stir|work|pulse|whiz+)\b"
    r"|[^.;]{0,200}\b(?:to|into|for|until you have) (?:form )?an? (?:\w+ )?paste\b",
    re.I,
)
_CRUSHED_AND_RUBBED = any_of(
    r"\b(?:crush|pound|grind|mash|mix|combine|bash)\b[^.;]*"
    r"(?:[,;] ?(?:and |then )?| and (?:then )?)"
    r"(?:rub|massage|smear|press|work (?:it |this )?(?:in|all over)(?:to)?)\b",
    r"\b(?:zerdrücken|zerstoßen|zermahlen|mörsern|mischen|verrühren|vermengen)\b[^.;]{0,60}"
    r"\b(?:einreiben|bestreichen|einmassieren)\b",
)
_MIXED_WITH = any_of(r"^\W*(?:then )?(?:mix|stir|blend|combine|work)(?: in)? ?(?:with\b|w/)?")


_MASHED = any_of(r"^\W*(?:\w+: )?(?:mash|crush|pound|bash) ")
_THEN_RUBBED = any_of(
    r"^\W*(?:stuff|push|press|work)\b[^.;]{0,40}\b(?:slits|holes|cuts)\b[^.;]*"
    r"\b(?:rub|smear|massage)\b",
    r"^[^.;]{0,60}\b(?:push|work|stuff|rub) in the (?:adobo|paste|mixture|mix|marinade)\b",
    r"^\W*(?:then )?(?:turn [^.;]{0,20} over,? and )?(?:rub|massage|smear|pat|press"
    r"|spread(?! (?:it |them |out )?(?:on|over) (?:an?|the) (?:\w+ )?(?:plate|tray|sheet|pan)))\b",
)

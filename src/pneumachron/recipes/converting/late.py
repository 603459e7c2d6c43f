"""What the steps name only after the long heat, and where it goes then."""

import re
from collections.abc import Iterator, Mapping
from itertools import pairwise, takewhile

from pneumachron.recipes.converting.marks import When
from pneumachron.recipes.converting.parts import BRUSHED, SWEET, parts_apart
from pneumachron.recipes.converting.themes import MIXED, WITH_THE_MEAT
from pneumachron.recipes.understanding.durations import durations_in
from pneumachron.recipes.understanding.foods_of_a_line import foods_in
from pneumachron.recipes.understanding.ingredients import (
    CHEESES,
    THIN_KINDS,
    UNKNOWN,
    Ingredient,
    Kind,
    food_of,
)
from pneumachron.recipes.understanding.main_heat import IN_PASTRY
from pneumachron.recipes.understanding.naming import (
    EXCEPT,
    around,
    around_long_heat,
    around_the_heat,
    is_named,
    is_some_sauce,
    rows_named,
)
from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.sentences import sentences_in
from pneumachron.recipes.understanding.understand import Understood

_SERVED = any_of(r"\bserved?\b", r"\bscatter", r"\bsprinkle", r"\bgarnish",
                 r"\b(?:eat(?:en)?|have|had) (it |them )?with\b",
                 r"\bon the side\b(?! burner)",
                r"\b(?:pile|stuff|load|heap|fill|divide|tuck)\w*\b[^.;]*"
                r"\b(?:buns?|rolls|baps?|sandwich\w*|tortillas?|tacos?|wraps?|pitt?as?|bread)\b",
                 r"\b(?:put|divide|place|lay|arrange)\b[^.;]*\b(?:in|into|among|between|on)"
                 r" (?:\w+ ){0,2}(?:bowls?|plates?)\b",
                 r"\btop(ped)? (it |them |off |each |every |(?:bowl|plate|portion) )*with\b",
                 r"\bon top\W*$", r"\b(?:hand round|set out)\b",
                 r"\bpass(?: around)? (?![^.;]*\b(?:sieve|strainer|through)\b)",
                 r"\bfor the (?:\w+ )?(?:slaw|salad|coleslaw)\b",
                 r"\bpour over the (?:cucumbers?|onions?|cabbage|radish\w*|slaw)\b")  # fmt: skip
_NEVER_LATE: frozenset[Kind] = frozenset({"meat", "other_meat", "cure", "smoke_wood", *THIN_KINDS})


def named_late(understood: Understood) -> dict[int, When]:
    """Lines that the steps name only after the main heat, and where they go then."""
    cooking = understood.cooking
    if not cooking.steps:
        return {}
    last = max(cooking.steps)
    # all in one paragraph: "LOW 9 h. Shred, back in the juice with the lime, 15 min."
    alone = cooking.main is not None and cooking.steps == {cooking.main[0]}
    whole = (
        around_long_heat(understood.said, *cooking.main) if alone and cooking.main is not None
        else around_the_heat(understood.said, last)
    )  # fmt: skip
    # what is sweet and goes on between two long heats goes on late: it scorches
    longest = whole if cooking.main is None else around(understood.said, *cooking.main)
    found: dict[int, When] = {}
    salad = _salad(understood, whole[1])
    rub = {row for part in understood.recipe.parts if part.role == "rub" for row in part.lines}
    # the meat has lain among them, wherever a word of theirs is said again
    rub |= {
        row for part in understood.recipe.parts if part.role == "marinade" for row in part.lines
        if understood.ingredients[row].kind in {"aromatic", "root", "salty_thin"}
    }  # fmt: skip
    apart = parts_apart(understood)
    # the limes of the pickled onions are named late, and not those of the marinade
    again = {food.food.words for row in apart for food in foods_in(understood.ingredients[row])}
    for item in understood.ingredients:
        parted = foods_in(item)
        foods = {each.food.words for each in parted}
        if _stands_on_the_table(item) or _is_among_toppings(understood, item):
            found[item.index] = "beside"
            continue
        if item.index in rub or (foods & again and item.index not in apart):
            continue
        brushed = item.kind in SWEET or is_some_sauce(item) or item.food.words == "butter"
        before, after = longest if brushed else whole
        low = EXCEPT.sub("", " ".join(before).lower())
        late = _TAKEN_OUT.sub("", " ".join(after).lower())
        if _cooks_on(understood, item, after):
            continue
        salts = item.kind == "salt" and (item.volume_m3 or 0.0) > MOST_SALT_M3
        if salts or _FOR_THE_POT.search(item.line.raw):
            continue
        told = parted if item.line.amount is None else (item,)
        early = any(is_named(understood, each, low) for each in told)
        early = early or (_VEGETABLES.search(low) is not None and _is_of_the_base(item))
        named = next((each for each in told if is_named(understood, each, late)), None)
        some_wine = item.kind == "wine" and 0.0 < (item.volume_m3 or 0.0) <= MOST_LATE_WINE_M3
        ready = some_wine or _READY_MEAT.search(item.food.words) is not None
        if (ready or item.kind not in _NEVER_LATE) and named and not early:
            found[item.index] = (
                "beside" if item.index in salad else _late_when(understood, named, after)
            )
    with_them = _with_their_mixture(understood, found, longest)
    return found | {row: when for row, when in with_them.items() if row not in rub}


_FOR_THE_POT = any_of(r"(?:-|–|—|,|\() ?for the (?:broth|braise|pot|stock)\W*$")
"""“½ onion, 3 garlic, 2 bay leaves – for the broth.”"""
_VEGETABLES = any_of(
    r"\b(?:soften|fry|sweat|cook|brown|saut[eé]|add|in with)\b[^.;]{0,20}"
    r"\b(?:the |all the )?veg(?:etables|gies)?\b"
)
_LEAST_OF_THE_BASE = 2
"""Vegetables on one line. Judgement."""


def _is_of_the_base(item: Ingredient) -> bool:
    """“2 onions, 3 carrots, 2 celery, chopped”: the vegetables that the steps soften first."""
    foods = foods_in(item)
    base = all(food.food.kind in {"aromatic", "root", "tender_veg"} for food in foods)
    return base and len(foods) >= _LEAST_OF_THE_BASE


def _with_their_mixture(
    understood: Understood, late: Mapping[int, When], longest: tuple[list[str], list[str]]
) -> dict[int, When]:
    """“Stir the barbecue sauce and the mustard together”, late: the mustard goes with the sauce."""
    low = " ".join(longest[0]).lower()
    found: dict[int, When] = {}
    has_sauce = any(item.kind == "sweet_sauce" for item in understood.ingredients)
    for text in (part for step in longest[1] for part in sentences_in(step)):
        named = rows_named(understood, text) if _TOGETHER.search(text) else frozenset()
        if has_sauce and _MELTED_INTO.search(text):
            found |= {row: "finish" for row in named if late.get(row) == "after"}
        if not any(late.get(row) == "finish" for row in named):
            continue
        for item in (understood.ingredients[row] for row in named - late.keys()):
            if item.kind in _STIRRED_ALONG and not is_named(understood, item, low):
                found[item.index] = "finish"
    return found


_TOGETHER = any_of(
    r"\bmelt\b[^.;]{3,40}\binto (?:the )?(?:\w+ )?sauce\b",
    r"\b(?:stir|mix|whisk|combine|beat|shake|blend)\b(?! (?:it |them )?in(?:to)?\b)",
)
_MELTED_INTO = any_of(
    r"\bmelt\b[^.;]{3,40}\binto (?:the )?(?:\w+ )?sauce\b[^.]*\b(?:over|brush|on)\b"
)
"""“Melt the jelly into the sauce, dump over the tips.”"""
_STIRRED_ALONG: frozenset[Kind] = frozenset(
    {"binder", "spice", "dried_herb", "chilli", "acid", "salty_thin", "sugar", "sugar_thick",
     "sweet_sauce", "thick", "aromatic", "unknown", "rub"}
)  # fmt: skip
"""What a sauce to brush on is seasoned with."""


_SPRIG = (
    r"(?:\w+ )?(?:rosemary|thyme|sage|bay|herbs?|cinnamon|star anise|spices?|sachet|bouquet"
    r"|lemongrass|ginger|stems|stalks|sprigs|leaves|peel|bones?)\b"
)
_TAKEN_OUT = re.compile(
    r"\b(?:discard|remove|(?:fish|take|pick|lift|pull) out)\w* (?:the |any |all )*"
    rf"{_SPRIG}(?:(?:,? (?:and|&)|,) (?:the )?{_SPRIG}){{0,4}}"
)
"""“Discard the rosemary, bay and cinnamon”: nothing of it goes in."""
MOST_SALT_M3 = 20e-6
"""More salt than a heaped tablespoon is that of the meat, wherever salt is named. Judgement."""
MOST_LATE_WINE_M3 = 60e-6
"""So little mirin or sherry seasons a broth, and needs no boiling down. Judgement."""
_LISTED = re.compile(r",\s*|\s+(?:&|and|\+)\s+")
_LEAST_LISTED = 2
"""Foods without an amount that make a line of toppings. Judgement."""


def _stands_on_the_table(item: Ingredient) -> bool:
    """“Coriander, soured cream, avocado & tortilla chips”: toppings, whatever the steps say."""
    names = _LISTED.split(item.line.raw) if item.line.amount is None else []
    if len(names) < _LEAST_LISTED:
        return False
    foods = [food_of(name) for name in names]
    known = all(food is not UNKNOWN for food in foods)
    return known and any(food.kind == "beside" for food in foods)


def _is_among_toppings(understood: Understood, item: Ingredient) -> bool:
    """“Tortillas / cheese / sour cream”, without amounts, and no step names the cheese."""
    if item.line.amount is not None or item.kind not in _TOPS:
        return False
    beside = any(
        each.kind == "beside" for each in _without_amounts(understood.ingredients, item.index)
    )
    steps = understood.recipe.steps
    beside = beside or any(_TOPPINGS.match(text) for step in steps for text in sentences_in(step))
    return beside and not is_named(understood, item, " ".join(steps).lower())


_TOPPINGS = re.compile(
    r"\W*(?:serve with |add |then )?(?:the |all the |your )?(?:toppings|fixings|trimmings)"
    r"(?: on top| of choice)?\W*$",
    re.I,
)
"""“Toppings.”, as the last word of a card."""


def _without_amounts(ingredients: tuple[Ingredient, ...], row: int) -> Iterator[Ingredient]:
    """Lines around one that have no amount either, up to the next that has."""
    for way in (ingredients[row + 1 :], ingredients[:row][::-1]):
        yield from takewhile(
            lambda each: each.line.amount is None and each.kind in _TOPS | {"beside"}, way
        )


_TOPS: frozenset[Kind] = frozenset({"dairy", "tender_veg", "fresh_herb", "thick", "chilli"})
_WHOLE_HEAT_S = 900.0
"""What a root is given, and no warming through. Judgement."""


_KRAUT = any_of(r"\b(?:sauer)?kraut\b")
"""“Sauerkraut unterheben und weitere 30 Minuten garen.”"""
_COVERED = any_of(
    r"\bcover\w*\b[^.;]*\b(?:cook|simmer|braise|bake)\b", r"\b(?:cook|simmer|braise|bake) covered\b"
)
"""“Add the potatoes and onion, cover and cook for an hour.”"""


def _cooks_on(understood: Understood, item: Ingredient, sentences: list[str]) -> bool:
    """“Add the potatoes. Cook for a further 40 min”: a root that is cooked, and not stirred in."""
    if item.kind not in {"root", "aromatic"} and not _KRAUT.search(item.food.words):
        return False
    told = [part for text in sentences for part in sentences_in(text)]
    at = next(
        (place for place, text in enumerate(told) if is_named(understood, item, text.lower())), None
    )
    if at is not None and item.kind == "aromatic" and not _COVERED.search(told[at]):
        return False
    return at is not None and any(
        span.high_s >= _WHOLE_HEAT_S for text in told[at : at + 2] for span in durations_in(text)
    )


def _salad(understood: Understood, late: list[str]) -> frozenset[int]:
    """Lines that the steps mix raw, away from the meat, for a slaw or a salad."""
    sentences = [text for step in late for text in sentences_in(step)]
    if not any(_SALAD.search(text) for text in (understood.recipe.title, *sentences)):
        return frozenset()
    rows = [
        named for text in sentences
        if _TOSSED_RAW.search(text) and not WITH_THE_MEAT.search(text)
        and len(named := rows_named(understood, text)) > 1
        and any(understood.ingredients[row].kind in _RAW for row in named)
    ]  # fmt: skip
    return frozenset().union(*rows)


_SALAD = any_of(
    r"\bslaw\b", r"\bsalad\b", r"\bsalsa\b", r"\brelish\b", r"\bpickles?\b", r"\bgremolata\b",
    r"\bpersillade\b", r"\bchimichurri\b",
)  # fmt: skip
_TOSSED_RAW = any_of(
    r"\b(combine|mix|toss|stir|dress)\b(?![^.;]*\b(pan|pot|heat|simmer|boil|sauce)\b)"
)
_RAW: frozenset[Kind] = frozenset({"root", "tender_veg", "fresh_herb", "unknown"})


def _late_when(understood: Understood, item: Ingredient, sentences: list[str]) -> When:
    steps = " ".join(text for text in sentences if is_named(understood, item, text.lower()))
    told = [part for text in sentences for part in sentences_in(text)]
    naming = [text for text in told if is_named(understood, item, text.lower())]
    # “Stir in the lime juice”, and limes beside it on the table
    juice = _JUICE.search(item.line.name) or _JUICE_OF.match(item.line.raw)
    juiced = juice and any(map(_JUICE_IN.search, naming))
    # “Lay out two sheets of foil. Top each with butter”; the meat that rests in foil is none
    nearby = " ".join(
        f"{before} {text}" for before, text in pairwise(["", *told]) if text in naming
    )
    clauses = (part for text in naming for part in _CLAUSES.split(text))
    own = " ".join(part for part in clauses if is_named(understood, item, part.lower()))
    is_butter = item.food.words == "butter"
    sticky = item.kind in SWEET or is_butter
    foiled = _IN_FOIL.search(nearby) or _FOILED_WITH.search(nearby)
    dredged = item.kind in {"starch", "flour"} and any(map(_DREDGED.search, naming))
    # “Heat the oil in a skillet, brown the pork”
    fries = item.kind == "fat" and understood.crust.kind == "pan"
    fries = fries and any(map(_IN_A_PAN.search, naming))
    fries_others = item.kind == "fat" and any(map(_FRIES_OTHERS.search, naming))
    # “Season the ribs with garlic powder and pepper. Lay them on a sheet and bake”
    crusted = understood.crust.kind is not None or any(map(BRUSHED.search, told))
    crusted = crusted and understood.crust.kind != "glaze" and item.kind in _DRY
    seasoned = crusted and any(map(_SEASONED_LATE.match, naming))
    if dredged or fries or seasoned or (sticky and foiled):
        return "finish"
    # "brush over the ribs, broil 5 min. Serve with rice": what is served is not brushed on
    dressed = is_butter and any(_DRESSES_A_SIDE.search(text) for text in naming)
    # “Layer the potatoes over the meat. Brush with butter.”
    dressed = dressed or IN_PASTRY.search(steps) is not None
    cooked = item.kind in _RAW_OR_FIRM and any(map(_FOR_THE_LAST.search, naming))
    if not cooked and (
        any(_WHIPPED.search(text) for text in naming)
        or (_SERVED_WITH.match(own) and not juiced)
        or any(map(_COOKED_AND_SERVED.match, naming))
        or dressed
    ):
        return "beside"
    cooked = cooked or fries_others
    if (item.kind == "starch" and "crumb" not in item.food.words) or juiced or cooked:
        return "after"
    # “finish the sauce with the sesame oil. Glaze the ribs.”
    is_oil = item.kind == "fat" and item.food.words.endswith("oil")
    stirred = item.kind == "dairy" and item.food.words not in CHEESES
    stirred = stirred or (is_butter and _WHISKED_IN.search(own) is not None)
    if BRUSHED.search(own if is_oil or stirred else steps):
        butter = "butter" in item.food.words
        return "beside" if item.kind in _NO_GLAZE and not butter else "finish"
    following = [after for text, after in pairwise([*told, ""]) if text in naming]
    rubbed = any(MIXED.search(text) for text in naming) and any(map(_RUBBED_ON.match, following))
    rubbed = rubbed or any(map(_RUBBED_ON_COOKED.search, naming))
    if item.kind in SWEET and (rubbed or _STREWN_ON.search(own)):
        return "finish"
    return "beside" if _SERVED.search(own) else "after"


_DRY: frozenset[Kind] = frozenset({"salt", "spice", "rub", "dried_herb", "chilli"})
_SEASONED_LATE = re.compile(
    r"\W*(?:then )?(?:season|rub|sprinkle|dust)\b (?:the |both sides of the |cooked |drained )*"
    r"(?:ribs?|racks?|meat|pork|beef|brisket|wings)\b[^.;]*\bwith\b",
    re.I,
)
_READY_MEAT = any_of(
    r"\bkielbasa\b", r"\bsmoked sausages?\b", r"\bfrankfurters?\b", r"\bwieners?\b", r"\bmettwurst",
    r"\bmettenden\b", r"\bcabanossi\b",
)  # fmt: skip
"""Smoked and cooked already: it is only warmed through."""
_RAW_OR_FIRM: frozenset[Kind] = frozenset({"root", "tender_veg", "foaming", "foaming_thick"})
_FOR_THE_LAST = any_of(
    r"\b(?:add|put|tuck|nestle|throw|pop|tip)\b[^.;]*\b(?:for|in) the (?:last|final)\b"
)
"""“Add the apples for the last 45 minutes. … Serve with the apples.”"""
_FRIES_OTHERS = any_of(
    r"\b(?:brown|fry|saut[eé]|soften|sweat)\b[^.;]*"
    r"\b(?:onions?|shallots?|mushrooms?|apples?|pears?|leeks?|carrots?)\b"
)
"""“Brown the pearl onions in the butter until glazed”: the meat is not brushed with that."""
_IN_A_PAN = any_of(r"\b(?:skillet|pan|griddle|wok)\b", r"\bfry\b", r"\bcrisp")
_JUICE = any_of(r"\bjuice$")
_JUICE_OF = re.compile(r"\W*(?:the )?juice of\b", re.I)
_JUICE_IN = any_of(r"\b(?:stir|add|squeeze|mix)\b[^.;]{0,40}\bjuice\b")
_WHISKED_IN = any_of(r"\b(?:whisk|stir|beat|swirl|mount)\w* (?:it |that )?(?:in|with)\b")
_IN_FOIL = any_of(r"\b(?:sheets?|pieces?|lengths?) of foil\b", r"\bwrap", r"\bon (?:the )?foil\b")
"""“Lay out two sheets of foil. Top each with butter and brown sugar, then the ribs.”"""
_FOILED_WITH = any_of(r"\bfoil (?:it |them |the ribs )?with\b")
_DREDGED = any_of(
    r"\b(?:toss|coat|dust|roll|dredge|dip|turn)\w*\b[^.;]{0,40}\b(?:in|with)\b[^.;]*\bfry\b"
)
"""“Toss them in the cornflour and fry”: a crust, and no thick sauce."""
_SERVED_WITH = re.compile(r"\W*serve[ds]?\b[^.;]{0,20}\b(?:with|on|over)\b", re.I)
_COOKED_AND_SERVED = re.compile(
    r"\W*(?:meanwhile,? |then )?"
    r"(?:fry|saut[eé]|char|grill|toast|roast|caramelize|griddle|wilt|steam)"
    r"\b[^.;]{3,60}\b(?:(?:and|then|to) (?:serve|put|lay|pile|arrange|scatter)\b"
    r"|while (?:the \w+|it|they) rests?\b)",
    re.I,
)
"""“Fry the apples in the butter and serve with the pork”, “grill the corn while the pork rests”."""
_RUBBED_ON = re.compile(
    r"\W*(?:then )?(?:rub|pat|press|smear|spread|scatter|sprinkle)\b[^.;]{0,12}"
    r"\b(?:over|on|onto)\b",
    re.I,
)
"""“Mix the sugar with the salt. Rub over the cooked pork.”"""
_RUBBED_ON_COOKED = any_of(
    r"\b(?:rub|pat|press)\b[^.;]{0,20}\b(?:over|on|onto|into)\b[^.;]{0,12}\bcooked\b"
)
"""“Mix the brown sugar with the salt and rub over the cooked pork.”"""
_STREWN_ON = any_of(
    r"\bsprinkle", r"\bscatter", r"\bdrizzle", r"\bdust\b", r"\bstrew", r"\brub on top\b"
)
"""“Sprinkle the sugar, drizzle the honey”, when the ribs are wrapped: a sticky finish."""
_NO_GLAZE: frozenset[Kind] = frozenset({"dairy", "foaming"})
"""What no meat is brushed with: cream, noodles."""
_DRESSES_A_SIDE = any_of(
    r"\bbutter (?:the |your |both )?(?:\w+ )?(?:rolls?|buns?|bread|baguettes?|toast)\b",
    r"\b(?:toss|dress|stir|finish)\w*\b[^.;]{0,30}"
    r"\b(?:noodles|pasta|rice|potatoes|mash|polenta)\b",
    r"\b(?:noodles|pasta|rice|potatoes|polenta)\b[^.;]{0,30}\b(?:toss|stir|dress|beat)\w*\b[^.;]{0,12}"
    r"\bbutter\b",
)
"""“Boil the noodles, toss with butter”: nothing the meat is brushed with."""
_WHIPPED = any_of(r"\bwhip(ped|s)?\b")
_CLAUSES = re.compile(
    r"(?:[,;]|\band\b|\bthen\b)[\s,;]*(?:then |and )?"
    r"(?=(?:stir|scatter|sprinkle|serve|top|fold|add|mix|whisk|garnish|finish|spoon|pour|melt|drizzle"
    r"|strew|season|beat|eat)\b)",
    re.I,
)
"""“Stir in the cream and scatter with parsley”: each food has its own verb."""


def strewn_late(understood: Understood) -> frozenset[int]:
    """Lines that are strewn on after the long heat, and not mixed into a glaze."""
    cooking = understood.cooking
    if cooking.main is None:
        return frozenset()
    _, late = around(understood.said, *cooking.main)
    told = " ".join(
        text for step in late for text in sentences_in(step)
        if _STREWN.search(text) and not MIXED.search(text)
    )  # fmt: skip
    return rows_named(understood, told)


_STREWN = any_of(r"\b(season|sprinkle|toss|dust|rub|salt|shake)\b")

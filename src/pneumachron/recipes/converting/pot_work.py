"""What a recipe does in the pot: what it fries and browns, pours in, and whether it is a soup."""

import re
from collections.abc import Iterator
from itertools import pairwise

from pneumachron.core.catalog.cuts import cut_by_id
from pneumachron.recipes.converting.parts import BRUSHED
from pneumachron.recipes.converting.themes import WITH_THE_MEAT
from pneumachron.recipes.understanding.foods_of_a_line import foods_in
from pneumachron.recipes.understanding.ingredients import (
    Food,
    Kind,
)
from pneumachron.recipes.understanding.method import Method
from pneumachron.recipes.understanding.naming import around, is_named, rows_named
from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.sentences import sentences_in
from pneumachron.recipes.understanding.understand import Understood

_SHREDS = any_of(r"\bshred(s|ded|ding)?\b",
                 r"\bpull (the |all the )?(meat|beef|it) (off|from|apart)\b",
                 r"\bdiscard (the )?bones\b")  # fmt: skip


def shreds(understood: Understood) -> bool:
    """Whether the recipe takes its meat off the bones."""
    return any(_SHREDS.search(step) for step in understood.recipe.steps)


BROWNED = any_of(
    r"\b(?:ribs?|meat|pork|beef|brisket|pieces)\b[^.;]{0,60}\bfry (?:them |it )?(?:until|till) "
    r"(?:dark|brown|golden)\b",
    r"\bfry\b[^.;]{0,40}\d ?min\w* (?:a|per|each|on each) side\b",
    r"\bfry (?:it |them |the (?:meat|pork|beef|ribs) )?in (?:the |hot )?(?:lard|oil|fat|dripping)"
    r",? in batches\b",
    r"\bbrown(ed|ing|s)?\b(?! sugar| rice| ale| gravy)", r"\bsear(ed|ing|s)?\b",
    r"\ban(braten|br(ä|ae)t|gebraten)\b",
    r"\bcolou?r (?:it |them |(?:the |your )?(?:meat|joint|beef|pork|ribs?|brisket|pieces) )"
    r"(?:well\b|deeply\b|all over\b|on (?:all|every|each|both)\b)",
)  # fmt: skip
"""The meat is browned in the pot, whatever else the step does."""
_FINE = any_of(r"\bfine(ly)?\b", r"\bminced\b", r"\bgrated\b", r"\bblitz", r"\bsoffritto\b",
               r"\bmirepoix\b", r"\bdiced?\b")  # fmt: skip
_WITH_ONIONS = any_of(r"\bonions?\b.*\bcarrots?\b", r"\bcarrots?\b.*\bonions?\b")
"""“3 onions, 4 carrots, 5 stalks celery”: what is strained out of the sauce."""
_SOFTENED = any_of(r"\bsoften", r"\b(soff?ritto|mirepoix)\b",
                   r"\bonions? in (?:the |hot |some )?(?:lard|oil|butter|fat|dripping)\b",
                   r"\bsweat\b", r"\bsaut[eé]", r"\bfry\b.{0,40}\bonions?\b",
                   r"\b(an(r(ö|oe)sten|schwitzen)|(an)?d(ü|ue)nsten)\b",
                   r"\bglasig\b|\bmit(?:braten|r(?:ö|oe)sten|d(?:ü|ue)nsten)\b")  # fmt: skip


def softened_lines(understood: Understood) -> frozenset[int]:
    """Roots that are cut small and softened with the onions: they become part of the sauce."""
    fries = fries_first(understood)
    with_onions = _fried_with_onions(understood)
    strained = _strained_out(understood) | _of_a_strained_marinade(understood)
    return with_onions | strained | frozenset(
        item.index for item in understood.ingredients
        if fries and (_FINE.search(item.line.raw) or _WITH_ONIONS.search(item.line.raw))
        and not _EATEN.search(item.line.name)
    )  # fmt: skip


def _strained_out(understood: Understood) -> frozenset[int]:
    """Roots that give their taste and are strained out of the sauce: no step serves them."""
    cooking = understood.cooking
    if cooking.main is None:
        return frozenset()
    early, late = (" ".join(texts) for texts in around(understood.said, *cooking.main))
    if not _STRAINED.search(late) or _SERVED_WITH_IT.search(late):
        return frozenset()
    all_in = _ALL_OF_THEM.search(early) is not None
    late += " ".join(found[0] for found in _FOR_THE_LAST.finditer(early))
    return frozenset(
        item.index for item in understood.ingredients
        if any(food.kind == "root" for food in foods_in(item)) and not _EATEN.search(item.line.name)
        and not is_named(understood, item, late.lower())
        and (all_in or is_named(understood, item, early.lower()))
    )  # fmt: skip


_FOR_THE_LAST = any_of(r"\badd(?:ing)?\b[^.;]{3,40}\b(?:for|in) the (?:last|final)\b")
"""“8 hours on low, adding the daikon for the last 2”: it is eaten."""


def _of_a_strained_marinade(understood: Understood) -> frozenset[int]:
    """Roots that the meat lay in: they gave their taste, and nobody cooks them to eat."""
    if not any(map(_MARINADE_STRAINED.search, understood.said)):
        return frozenset()
    return frozenset(
        row for part in understood.recipe.parts if part.role == "marinade" for row in part.lines
        if understood.ingredients[row].kind == "root"
    )  # fmt: skip


_MARINADE_STRAINED = any_of(
    r"\bstrain\w* (?:off )?(?:the |its |your )?(?:\w+ )?marinade\b",
    r"\bmarinade\b[^.;]{0,30}\b(?:strain\w*|sieve\w*|durch ein\w* sieb)\b",
    r"\bmarinat\w*\b[^.]{0,120}\b(?:throw away|discard) the veg(?:etables)?\b",
)
_SERVED_WITH_IT = any_of(
    r"(?<!discard )(?<!discard the )(?<!discarding the )(?<!with the )\b(?:vegetables|veg)\b"
    r"(?![^.;]{0,30}\b(?:smooth|blend\w*|sieve|discard\w*)\b)",
)
"""“Lift out the meat and vegetables, strain the juices”: they are eaten."""
_STRAINED = any_of(
    r"\b(?:strain|sieve)(?:ed|d)?\b",
    r"\bdiscard(?:ing)? the (?:vegetables|veg|solids)\b",
    r"\bdurch ein\w* (?:\w+ )?sieb\b",
    r"\bpassieren\b",
)
_EATEN = any_of(r"\b(potato(es)?|spuds?|kartoffeln?)\b")
"""Diced or not, they are no part of the sauce."""


def _fried_with_onions(understood: Understood) -> frozenset[int]:
    """“Soften the carrots, fennel and onions”: they give themselves to the sauce."""
    cooking = understood.cooking
    if cooking.main is None:
        return frozenset()
    early, late = around(understood.said, *cooking.main)
    told = [
        text.lower() for step in early for text in sentences_in(step)
        if (_ONIONS.search(text) or _ALL_OF_THEM.search(text))
        and (_SOFTENED.search(text) or _FRIED.search(text))
    ]  # fmt: skip
    for before, text in pairwise([text for step in early for text in sentences_in(step)]):
        onions = _ONIONS.search(before) is not None
        if onions and _FRIED.search(before) and _ADDED_TO_THEM.match(text):
            told.append(text.lower())
        if onions and _ADDED.search(before) and _COOKED_SO_LONG.match(text):
            told.append(before.lower())
    told += [
        text.lower() for step in early for text in sentences_in(step)
        if _KRAUT.search(text) and _APPLE.search(text)
    ]  # fmt: skip
    behind = " ".join(late).lower()
    return frozenset(
        item.index for item in understood.ingredients
        if (item.kind in _VEGETABLES or _APPLE.search(item.line.name)) and (
            any(is_named(understood, item, text) for text in told)
            or (any(map(_ALL_OF_THEM.search, told)) and not is_named(understood, item, behind))
        )
    )  # fmt: skip


_ONIONS = any_of(
    r"\b(onions?|shallots?|leeks?|zwiebeln?|schalotten?|lauch)\b",
    r"\b(gem(ü|ue)se|vegetables|veg)\b",
)
_ADDED_TO_THEM = re.compile(
    r"\W*(?:then )?add (?:the )?[^.;]{3,60}(?:,| and| for)[^.;]{0,30}\d+ ?min", re.I
)
"""“Fry the shallots. Add the carrots and garlic for 2 minutes.”"""
_ADDED = any_of(r"\b(?:add|tip in|stir in)\b")
_COOKED_SO_LONG = re.compile(
    r"\W*(?:then )?(?:cook|fry|saut[eé]|stir|soften)\b[^.;]{0,30}\d+(?:\s?(?:-|–|to)\s?\d+)? ?min",
    re.I,
)
"""“Add the onions and the bell pepper; cook 8 min.”"""
_KRAUT = any_of(r"(?:sauer)?kraut\b", r"\bcabbage\b", r"kohl\b")
"""“Mix the kraut, apple and onion”: the apple melts under the meat."""
_APPLE = any_of(r"\b(apples?|pears?|apfel|(ä|ae)pfel|birnen?)\b(?! (juice|cider|saft))")
_ALL_OF_THEM = any_of(r"\b(gem(ü|ue)se|vegetables|veg)\b")
_VEGETABLES: frozenset[Kind] = frozenset({"root", "tender_veg", "aromatic"})


def fries_first(understood: Understood) -> bool:
    """Whether anything is fried in the pot before the long heat; the recipe may only mix and pour.

    What is smoked or roasted open has no pot to fry in: our pot has.
    """
    cooking = understood.cooking
    if cooking.main is None or cooking.method not in WET:
        return True
    early, _ = around(understood.said, *cooking.main)
    return any(_SOFTENED.search(step) or _FRIED.search(step) for step in early)


WET: frozenset[Method] = frozenset(
    {"simmer", "slow_low", "slow_high", "oven_lid", "stovetop_pressure", "pressure"}
)
"""The meat lies in liquid under a lid: no crust comes of it, so none is lost."""
_FRIED = any_of(r"\bbrown(ed|ing|s)?\b(?! sugar| rice| ale| gravy| sauce)", r"\bsear(ed|ing|s)?\b",
                r"\bfr(y|ied|ying)\b", r"\bcook\b.{0,30}\b(onions?|vegetables|veg|garlic)\b",
                r"\b(?:add|tip in)\b[^.;]{0,40}\b(?:onions?|shallots?|leeks?|lardons|bacon)\b"
                r"[^.;]{0,60}\bcook(ing)?\b[^.;]{0,12}\d",
                r"\badd\b[^.;]{0,20}\bonions?\b[^.;]{0,40},? \d+ ?min",
                r"\bcolou?r (?:the |your )?(?:\w+ )?(?:onions?|shallots?|vegetables|veg|leeks?)\b",
                r"\broast\b[^.;]{0,20}\bin (?:the|its) (?:\w+ )?fat\b",
                r"\bin with the (onions?|veg)", r"\bsizzl", r"\brender\b",
                r"\ban(braten|gebraten|r(ö|oe)sten|schwitzen)\b",
                r"\b(?:brate|röste|schwitze|dünste)\b[^.;]{0,120}\b(?:an|mit)\b"
                r"|\bmitge(?:braten|röstet)\b")  # fmt: skip
_PUT_IN = any_of(r"\b(pour|add|put|stir|mix|tip|top|combine|whisk)(s|ed)?\b")


def poured_in(understood: Understood) -> frozenset[int]:
    """Sweet sauces that go into a covered pot with the meat."""
    cooking = understood.cooking
    if cooking.main is None or cooking.method not in WET:
        return frozenset()
    early, late = around(understood.said, *cooking.main)
    if any(_REST_BRUSHED.search(text) for text in late):
        return frozenset()  # half of it goes in, half onto the meat: it is a glaze
    texts = [
        text.lower() for step in early for text in sentences_in(step)
        if _PUT_IN.search(text) and not BRUSHED.search(text)
    ]  # fmt: skip
    sweet = [item for item in understood.ingredients if item.kind == "sweet_sauce"]
    # "Blend all sauce. Pour sauce over.": what no step names is in it
    all_in = any(map(_ALL_POURED.search, texts)) or any(map(_WHISKED_ON.match, texts))
    whole = " ".join(understood.said).lower()
    return frozenset(
        item.index
        for item in sweet
        if any(is_named(understood, item, text) for text in texts)
        or (all_in and not is_named(understood, item, whole))
    )


_REST_BRUSHED = any_of(
    r"\b(?:brush|baste|glaze|slather|coat|paint|spread)\w*\b[^.;]{0,30}"
    r"\b(?:rest|remaining|remainder|other half|more|reserved)\b[^.;]{0,20}\bsauce\b"
)
_WHISKED_ON = re.compile(
    r"\W*(?:then )?(?:whisk|mix|stir) (?:it|this|them)\b[^.;]{0,20}"
    r"\bpour (?:it |this )?(?:over|on|in)\b",
    re.I,
)
"""“In a bowl: 1 can cranberry sauce, 1 cup chili sauce. Whisk it and pour it on.”"""
_ALL_POURED = any_of(
    r"\b(?:pour|tip|dump)\b[^.;]{0,20}\b(?:sauce|mixture|everything|it all)\b[^.;]{0,20}"
    r"\b(?:over|on|in|into)\b",
    r"\b(?:mix|stir|whisk|combine)\b[^.;]{0,20}\b(?:sauce|sauce ingredients)\b[^.;]{0,12}"
    r"\b(?:pour|tip) (?:it )?(?:over|on|in)\b",
)


def is_browned(understood: Understood) -> bool:
    """Whether the recipe browns the meat before the long heat."""
    cooking = understood.cooking
    if cooking.main is None:
        return any(BROWNED.search(step) for step in understood.recipe.steps)
    early, _ = around(understood.said, *cooking.main)
    wet = cooking.method in WET
    return any(
        (BROWNED.search(text) or (wet and _CHARRED_FIRST.search(text)))
        and not (_BROWNS_OTHERS.search(text) and not _MEAT.search(text))
        for step in early for text in sentences_in(step)
    )  # fmt: skip


_CHARRED_FIRST = any_of(r"\bgrill\b[^.;]{0,60}\b(?:charred|marked|(?:a|per|each|on each) side)\b")
"""“Grill until charred, 6 minutes per side”, before a braise."""
_BROWNS_OTHERS = any_of(
    r"\b(?:onions?|shallots?|leeks?|garlic|mushrooms|butter|flour)\b[^.;]{0,60}"
    r"\b(?:until|till?)\b[^.;]{0,24}\bbrown",
    r"\bbrown (?:the |some )?(?:\w+ )?(?:onions?|shallots?|leeks?|garlic|mushrooms|butter|flour)\b",
)
"""“Cook the onions with butter till brown.”"""
_MEAT = any_of(
    r"\b(?:meat|pork|beef|ribs?|brisket|shoulder|roast|cubes|chunks|pieces|it|them|sides?)\b"
)


def has_rind(understood: Understood) -> bool:
    """Whether the recipe wants crackling, and the meat has a rind that can crackle."""
    row = understood.meat_index
    meat = "" if row is None else understood.ingredients[row].line.raw
    rind = cut_by_id(understood.cut).has_rind and not _NO_RIND.search(meat)
    return rind and "crackling" in understood.crust.characters


_NO_RIND = any_of(r"\b(skin|rind)[ -]?(less|off|removed)\b", r"\bno (skin|rind)\b")
_SOUP = any_of(
    r"\b(soup|pozole|posole|pho|ramen|broth|menudo|caldo|sinigang|nilaga|goulash soup|borscht"
    r"|gumbo|ladle (it |the )?.{0,20}into bowls|eintopf|suppe)\b"
)


def is_soup(understood: Understood) -> bool:
    """Whether the liquid is the dish."""
    steps = understood.recipe.steps
    return bool(_SOUP.search(understood.recipe.title)) or any(
        "into bowls" in text for text in steps
    )


MOST_IN_A_SLURRY = 3
"""Foods of a sentence that slakes starch; “everything in the crock” does not. Judgement."""


def slurry_water(understood: Understood) -> frozenset[int]:
    """“3 Tbsp cold water” under the starch that a step stirs with it: both go in at the end."""
    items = understood.ingredients
    kinds = {item.index: item.kind for item in items}
    sentences = [text.lower() for step in understood.said for text in sentences_in(step)]
    found = set()
    waters = [item for item in items if item.food.words == "water"]
    for item in items:
        beside = kinds.keys() & {item.index - 1, item.index + 1}
        starches = [items[row] for row in beside if thickens(items[row].food)]
        if item.food.words == "water" and any(
            is_named(understood, starch, text)
            and "water" in text
            and len(rows_named(understood, text)) <= MOST_IN_A_SLURRY
            for starch in starches
            for text in sentences
        ):
            found.add(item.index)
    named = [text for text in sentences if _WATER.search(text)]
    if len(waters) == len(named) == 1 and _SLAKED.search(named[0]):
        found.add(waters[0].index)
    return frozenset(found)


_WATER = re.compile(r"\bwater\b")
_SLAKED = re.compile(
    r"\b(?:mix|stir|blend|whisk|dissolve|slake|combine)\b[^.;]{0,30}"
    r"(?:starch|flour|arrowroot)\b[^.;\d]{0,20}\bwater\b"
)
"""“Mix cornstarch with water and stir in”, wherever both stand on the list."""


_BLENDED = any_of(
    r"\bblend(?:er|ed)?\b", r"\bwhi(?:z|zz)\b", r"\bblitz\w*", r"\bliquidi[sz]e\w*",
    r"\bpur[eé]e (?:it|this|them|the|all|everything|until|till|in|with|to)\b",
    r"^\W*(?:then )?pur[eé]e\b", r"\bfood processor\b",
)  # fmt: skip


def blended_lines(understood: Understood) -> frozenset[int]:
    """Lines that are blended smooth before the long heat: one sauce, which nothing can leave."""
    cooking = understood.cooking
    if cooking.main is None:
        return frozenset()
    early, _ = around(understood.said, *cooking.main)
    if any(map(_PASTE_FRIED.search, early)):
        return frozenset()
    told = [text for step in early for text in sentences_in(step)]
    blended = [text for step in early for text in _blended_sentences(step)]
    blended += [
        " ".join(told[max(0, place - _CHARRED_BEFORE) : place + 1])
        for place, text in enumerate(told)
        if _ALL_BLENDED.search(text) and not WITH_THE_MEAT.search(text)
    ]
    rows = [
        named for text in blended if len(named := rows_named(understood, text)) > 1
    ]  # fmt: skip
    return frozenset().union(*rows)


_ALL_BLENDED = any_of(
    r"\b(?:everything|all of it|it all|the lot)\b[^.;]{0,40}\b(?:blender|food processor)\b",
    r"\b(?:blend|blitz|pur[eé]e)\b[^.;]{0,12}\b(?:everything|all of it|it all)\b"
    r"[^.;]{0,20}\b(?:pan|tray|sheet)\b",
    r"\b(?:blend|blitz|pur[eé]e)\b (?:all of it|it all|the lot) (?:with|until|in)\b",
)
_CHARRED_BEFORE = 2
"""Sentences before in which it was charred: “Broil the tomatillos and onion. Peel the garlic. Put
everything from the pan into a blender.” Judgement."""
_PASTE_FRIED = any_of(
    r"\bfry\b[^.;]{0,40}\b(?<!tomato )(?:paste|rempah)\b",
    r"\b(?<!tomato )(?:paste|rempah)\b(?:[^;]{0,60}|; )\b(?:fry|saut[eé]|sizzle)\b",
)
"""“Fry the paste until the oil splits”: it was blended for the pan, and not for the liquid."""


def _blended_sentences(step: str) -> Iterator[str]:
    """What is blended, with what was charred for it: “Broil the peppers. Blend with the herbs.”"""
    sentences = sentences_in(step)
    for place, text in enumerate(sentences):
        if _BLENDED.search(text):
            with_it = _BLENDED_WITH.match(text) and not WITH_THE_MEAT.search(step)
            yield " ".join(sentences[: place + 1]) if with_it else text


_BLENDED_WITH = re.compile(
    r"\W*(?:then )?(?:blend|blitz|whizz?|pur[eé]e) (?:it |them |all )?with\b", re.I
)


def stirred_lines(understood: Understood) -> frozenset[int]:
    """Lines of a sauce that is stirred together cold and poured over the meat."""
    cooking = understood.cooking
    if cooking.main is None:
        return frozenset()
    early, _ = around(understood.said, *cooking.main)
    told = [text for step in early for text in sentences_in(step)]
    fried = rows_named(
        understood, " ".join(text for text in told if _SOFTENED.search(text) or _FRIED.search(text))
    )
    poured = [
        rows_named(understood, text) for text, following in pairwise(told)
        if _COMBINED.match(text) and _POURED_OVER.match(following)
        and not WITH_THE_MEAT.search(text)
    ]  # fmt: skip
    rows = frozenset[int]().union(*poured)
    if any(_SAUCE_STIRRED.search(text) for text in told):
        rows |= {
            row for part in understood.recipe.parts if _A_SAUCE.search(part.name)
            for row in part.lines
        }  # fmt: skip
    return rows - fried


_POURED_OVER = re.compile(
    r"\W*(?:then )?pour (?:it |this |the (?:sauce|mixture) )?(?:over|around|on top)\b", re.I
)
_COMBINED = re.compile(
    r"\W*(?:meanwhile,? )?(?:in an? [a-z ]{3,20},? )?"
    r"(?:combine|mix|whisk|stir together|blend|shake)\b(?![^.;]*\d ?min)",
    re.I,
)
"""“Combine the soy, garlic and ginger. Pour over”: nothing of it is fried."""
_SAUCE_STIRRED = any_of(
    r"\b(?:mix|stir|whisk|combine|shake|beat)\b[^.;]{0,20}"
    r"\b(?:sauce|braising liquid|liquid|marinade)\b(?! (?:over|into|in)\b)"
)
_A_SAUCE = any_of(r"\b(?:sauce|braising|liquid)\b")


_THICKENERS = re.compile(
    r"starch|corn ?flour|stärke|arrowroot|tapioca|roux|beurre mani|flour|gum|\bmasa"
    r"|gravy (?:mix|gran|pow)",
    re.I,
)


def thickens(food: Food) -> bool:
    """Whether it goes in as a slurry; a soup mix or crumbs are only stirred in."""
    return food.kind == "flour" or (
        food.kind == "starch" and _THICKENERS.search(food.words) is not None
    )

"""What the raw meat lies in before it is cooked."""

import re
from itertools import pairwise, takewhile

from pneumachron.recipes.converting.marinade_used import USED, is_cooked_in
from pneumachron.recipes.converting.themes import WITH_THE_MEAT
from pneumachron.recipes.understanding.ingredients import THIN_KINDS, Kind
from pneumachron.recipes.understanding.naming import (
    EXCEPT,
    FEW_SENTENCES,
    around,
    before_the_heat,
    named_in,
    rows_named,
)
from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.sentences import sentences_in
from pneumachron.recipes.understanding.understand import Understood

SOAKS_IN_THE_COLD = (
    r"(?:^|(?<=[.!;]\s)(?<!\bca\.\s))(?!(?:[^.!;]|\bca\.)*\b(?:hitze|wasser|deckel|topf|herd|köcheln\w*|simmern)\b)"
    r"(?:[^.!;]|\bca\.){0,200}\bziehen lassen\b"
)
"""“Im Kühlschrank ziehen lassen”; “bei kleiner Hitze ziehen lassen” cooks."""
_RAW = r"(?:ribs?|meat|pork|beef|brisket|shoulder|pieces|cubes|racks?)"
_SOAKING = (
    r"(?:soy(?: sauce)?|yogh?urt|buttermilk|kefir|gochujang|miso|cola|beer|ale|stout|wine|cider"
    r"|juice|vinegar|fish sauce|sherry|sak[eé]|rum|bourbon|whiske?y|coconut milk|harissa|adobo"
    r"|lager|milk|tea|brandy|tequila|mojo)"
)
"""What raw meat is left in."""
_FLEISCH = (
    r"(?:fleisch|\w*schulter|rippchen|rippen|spareribs|braten|\w*brust|nacken|stücke|würfel|darin)"
)
MARINATED = any_of(
    rf"\b{_FLEISCH}\b[^.;]{{0,200}}\b(?:nacht|stunden?|tage?|kühlschrank)\b[^.;]{{0,40}}"
    r"\b(?:einlegen|eingelegt|durchziehen)\b",
    rf"\b{_FLEISCH}\b[^.;]{{0,200}}\b(?:gefrier|plastik|zip)[\w-]{{0,6}}beutel\b",
    r"\bdarin (?:wenden|wälzen|einlegen)\b[^.;]{0,60}"
    r"\b(?:nacht|stunden?|kühlschrank|kalt stellen)\b",
    rf"\b(?:gib|leg|lege|dazugeben|hineinlegen|dazu)\b[^.;]{{0,24}}\b{_FLEISCH}\b[^.;]{{0,60}}"
    r"\b(?:kühlschrank|kühl stellen|kalt stellen|kalt|ziehen)\b"
    rf"|\b{_FLEISCH}\b[^.;]{{0,16}}\bdazugeben\b[^.;]{{0,60}}"
    r"\b(?:kühlschrank|kühl stellen|kalt stellen)\b",
    r"\b(?:übergie(?:ß|ss)en|dar(?:ü|ue)ber ?gie(?:ß|ss)en"
    rf"|über (?:das |die |den ){{0,1}}{_FLEISCH} gie(?:ß|ss)en)\b.{{0,80}}"
    r"\b(?:kühlschrank|kalt stellen|kühl stellen|über nacht)\b",
    r"\bmarinat", r"\bmarinade", r"\bmarinier", SOAKS_IN_THE_COLD,
    r"\bmassage (?:it )?(?:in)?to (?:the )?(?:pork|meat|beef|ribs)\b[^.;]{0,24}\bbag\b",
    r"\bmix\w* (?:it |them )?with\b[^.;]*\b(?:fridge|refrigerat\w*)\b",
    r"\b(?:pour|tip)\b[^.;]{0,30}\bover (?:the |your )?"
    r"(?:ribs?|meat|pork|beef|brisket|shoulder|pieces)\b"
    r".{0,60}\b(?:fridge|refrigerat\w*|chill|ice ?box|larder|cellar|cool place)\b",
    # “Put in a dish, pour the mojo over, and work it into the slits. Cover and refrigerate …”
    r"\b(?:pour|tip|spoon)\b[^.;]{0,300}\bover\b[^.;]{0,60}[.;] (?:then )?(?:cover|seal|wrap)?"
    r"[^.;]{0,12}\b(?:fridge|refrigerat\w*|chill)\b[^.;]{0,30}\b(?:hours?|hrs?|h|overnight)\b",
    # “Mix the soy, the honey and the vinegar. Turn the ribs in it. Cover and chill for 2 hours.”
    r"\b(?:turn|toss|stir|mix|roll)\b[^.;]{0,24}\b(?:to coat|in it|well|through)\b[^.;]{0,20}[.;,] "
    r"(?:then |and )?(?:cover|seal|chill|refrigerate)\b[^.;]{0,40}\b(?:hours?|hrs?|overnight)\b",
    # “Smear the yogurt over the pork and leave overnight”, “soak the ribs in cider for 2 hours”
    r"\b(?:smear|spread|toss|turn|steep|soak|coat|bathe|cover|douse|submerge|slather|mix|dunk)\b"
    r"(?![^.;]{0,300}\b(?:roast|bake|simmer|boil|oven|smoke|cook|braise|grill|heat)\b)"
    rf"(?=[^.;]{{0,300}}\b{_RAW}\b)(?=[^.;]{{0,300}}\b{_SOAKING}\b)"
    r"[^.;]{0,300}\b(?:leave|let|stand|chill|refrigerate"
    r"|overnight|for (?:\d|an hour|half an hour|a few hours|a couple of hours|several hours))\b",
    rf"\b(?:put|place|lay|leave|set|keep|sit)\b[^.;]{{0,16}}\b{_RAW}\b[^.;]{{0,12}}"
    rf"\bin (?:the |some )?(?:\w+ )?{_SOAKING}\b[^.;]*\b(?:overnight|fridge|refrigerat\w*)\b",
    r"\b(ribs?|meat|pork|beef|brisket|shoulder)\b[^.;]{0,24}\bin (a|an|the) (\w+ )?"
    r"(bowl|bag|dish|tub|container) with\b",
    # “Combine the soy and the honey in a bag. Add the ribs, seal, and refrigerate for 4 hours.”
    rf"\b(?:combine|mix|whisk|stir|blend)\b[^.;]{{0,160}}\b{_SOAKING}\b[^.;]{{0,160}}[.;] "
    r"(?:[^.;]{0,60}[.;] )?"
    rf"(?:(?:then )?(?:add|put|place|submerge|immerse|lay|dunk|turn)\b[^.;]{{0,16}}\b{_RAW}\b"
    r"|[^.;]{0,12}\bpour\b[^.;]{0,12}\b(?:over|on)\b)[^;]{0,60}"
    r"\b(?:fridge|refrigerat\w*|chill\w*|overnight)\b",
    rf"\b(?:combine|mix|whisk|stir|blend)\b[^.;]{{0,160}}\b{_SOAKING}\b[^.;]{{0,160}}"
    r"\bpour (?:it )?(?:all )?over\b"
    r"[^.;]{0,20}[.;] [^.;]{0,30}\b(?:fridge|refrigerat\w*|chill\w*|overnight)\b",
    rf"\b(?:soak|steep|submerge|immerse|dunk)\b[^.;]{{0,16}}\b{_RAW}\b"
    r"(?! in (?:\w+ )?(?:water|brine))"
    r"[^.;]{0,24}\b(?:overnight|\d+ ?(?:hours?|hrs?|h)|fridge|refrigerat\w*|chill\w*)\b",
)  # fmt: skip


_SOAKS: frozenset[Kind] = frozenset(
    {"dairy", "acid", "thick", "binder", "unknown", "fresh_herb", "tender_veg"}
)
"""What is sweet as well is left out of the marinade and comes on fresh with the finish."""


def in_marinade(understood: Understood) -> frozenset[int]:
    """Lines in a marinade with the raw meat: named by such a step, or under its heading."""
    meat = {item.index for item in understood.ingredients if item.kind in {"meat", "other_meat"}}
    fried = any(_PASTE_FRIED.search(step) for step in understood.said)
    rows = {
        row for part in understood.recipe.parts for row in part.lines
        if part.role == "marinade" and not (fried and "paste" in part.name.lower())
    }  # fmt: skip
    # under a heading of its own it is complete: what stands under another goes in later
    others = {
        row for part in understood.recipe.parts if rows and part.role != "marinade"
        for row in part.lines
    }  # fmt: skip
    in_that = _rows_in_that(understood)
    blended = rows_named(understood, _told_of_the_marinade(understood))
    soaked = _rows_soaked_apart(understood)
    apart = (_rows_of_used(understood) - in_that) | (soaked - blended) | others
    apart |= _rows_marinated_late(understood)
    # “Soak the chillies in the vinegar. Blend with the garlic and the ground spices. Marinate.”
    ground = _rows_ground(understood) if soaked & blended else frozenset()
    named = named_in(understood, MARINATED) | in_that | (soaked & blended) | ground
    if _POURS_IT_OVER.search(_told_of_the_marinade(understood)):
        named |= blended
    named |= rows_named(understood, _told_in_two(understood))
    if any(_IN_EVERYTHING.search(step) for step in understood.said):
        left = rows_named(understood, " ".join(
            found[0] for step in understood.said for found in EXCEPT.finditer(step)
        ))  # fmt: skip
        named = frozenset(
            item.index for item in understood.ingredients
            if item.kind not in {"beside", "fat"} and item.index not in left
        )  # fmt: skip
    return ((named - apart) | frozenset(rows)) - meat


def marinates_raw(understood: Understood) -> bool:
    """Whether the meat lies in its marinade before the long heat, and not only behind it."""
    main = understood.cooking.main
    early = understood.said if main is None else around(understood.said, *main)[0]
    return MARINATED.search(" ".join(early)) is not None


def _rows_marinated_late(understood: Understood) -> frozenset[int]:
    """“Strain the liquid. Marinate the eggs in half of it”: no raw meat lies with them."""
    main = understood.cooking.main
    if main is None:
        return frozenset()
    early, late = around(understood.said, *main)
    told = [
        " ".join(text for step in steps for text in sentences_in(step) if MARINATED.search(text))
        for steps in (early, late)
    ]
    return rows_named(understood, told[1]) - rows_named(understood, told[0])


_STIRRED = any_of(
    r"\b(?:mix|stir|whisk|blend|combine|beat|shake|blitz|grind|pound|make|pur[eé]e|whizz?|process)\b",
    r"\b(?:ver|unter)r(?:ü|ue)hr\w*|\bvermeng\w*|\b(?:ver)?misch\w*|\bverquirl\w*",
)
_STIRRED_BEFORE = 2
"""Sentences before the one that marinates which may say what is stirred together. Judgement."""


def told_of_the_marinade(understood: Understood) -> frozenset[int]:
    """Of `in_marinade` what its heading has, or the sentences themselves name.

    A short step counts as one text there; what it pours in a sentence later is told apart here.
    """
    headed = {
        row for part in understood.recipe.parts if part.role == "marinade" for row in part.lines
    }
    told = rows_named(understood, _told_of_the_marinade(understood))
    told |= rows_named(understood, _told_in_two(understood))
    if any(map(_IN_EVERYTHING.search, understood.said)):
        return in_marinade(understood)
    return (told | headed | _rows_ground(understood)) & in_marinade(understood)


def _told_of_the_marinade(understood: Understood) -> str:
    """The sentences that marinate, with those before them that stir the marinade together."""
    sentences = [text for step in understood.said for text in sentences_in(step)]
    told: list[str] = []
    for place, text in enumerate(sentences):
        if not MARINATED.search(text) or USED.search(text):
            continue
        told.append(text)
        before = [
            each for each in sentences[:place]
            if not (_KEPT_BACK.match(each) or _LAID_IN.match(each))
        ]  # fmt: skip
        for stirred in reversed(before[-_STIRRED_BEFORE:]):
            boiled = _POURED_OVER.match(text) and _HEATED.match(stirred)
            put = _MARINATES.match(text) and _PUT_TOGETHER.match(stirred)
            if not (boiled or put or _STIRRED.search(stirred)):
                break
            told.append(stirred)
    return " ".join(told)


def _told_in_two(understood: Understood) -> str:
    """“Mix the soy and the honey. Turn the ribs in it. Cover and chill overnight.”"""
    sentences = [
        text for step in understood.said for text in sentences_in(step)
        if not _ONLY_COVERS.match(text)
    ]  # fmt: skip
    told: list[str] = []
    for at, (before, text) in enumerate(pairwise(sentences)):
        alone = MARINATED.search(before) or MARINATED.search(text)
        third = " ".join(sentences[at + 2 : at + 3])
        in_three = third and not MARINATED.search(third) and MARINATED.search(
            f"{before} {text} {third}"
        )  # fmt: skip
        if not alone and (in_three or MARINATED.search(f"{before} {text}")):
            stirred = sentences[max(0, at - _STIRRED_BEFORE) : at]
            mixed = takewhile(
                lambda each: _STIRRED.search(each) or _HEATED.match(each), stirred[::-1]
            )
            told += [*mixed, before]
    return EXCEPT.sub("", " ".join(told))


_MARINATES = re.compile(r"\W*(?:let )?(?:it )?marinat", re.I)
_PUT_TOGETHER = re.compile(r"\W*(?:put|place|add)\b[^.;]*\b(?:pot|bowl|bag|dish|casserole)\b", re.I)
"""“Put everything into a heavy pot. Marinate 30 min.”"""
_POURED_OVER = re.compile(r"\W*(?:then )?(?:pour|tip)\b", re.I)
_LAID_IN = re.compile(
    rf"\W*(?:then )?(?:add|place|put|lay|submerge|immerse|set)\b[^.;]{{0,16}}\b{_RAW}\b"
    r"(?: (?:in|into) (?:it|the|a|an|your) (?:[\w-]+ ){0,3}"
    r"(?:bowl|dish|bag|tray|marinade|tub|pan))?"
    r"(?:,? (?:and )?(?:turn|toss|stir|mix|seal)\b[^.;]{0,24})?\W*$",
    re.I,
)
"""“Add the ribs and turn to coat.”"""
_ONLY_COVERS = re.compile(r"\W*(?:then )?(?:cover|seal)\W*$", re.I)
_HEATED = re.compile(r"\W*(?:heat|boil|simmer|bring|cool)\b", re.I)
"""“Heat the vinegar with the spices and the sugar; cool. Pour over the meat.”"""
_POURS_IT_OVER = any_of(
    r"\bpour (?:it|this|(?:the )?rest|(?:the )?mojo|(?:the )?marinade|(?:the )?mixture) over\b"
)
_KEPT_BACK = re.compile(r"\W*(?:reserve|set aside|keep back|hold back)\b", re.I)
"""“Reserve ½ cup mojo for serving.”"""


def _rows_ground(understood: Understood) -> frozenset[int]:
    """What is toasted and ground first, where the marinade has “the ground spices”."""
    if not _GROUND_SPICES.search(_told_of_the_marinade(understood)):
        return frozenset()
    return rows_named(understood, " ".join(
        text for step in understood.said for text in sentences_in(step)
        if _TOASTED.search(text) and not WITH_THE_MEAT.search(text)
    ))  # fmt: skip


_GROUND_SPICES = any_of(
    r"\b(?:ground|toasted|crushed) spices\b", r"\bspice (?:mix|mixture|powder)\b"
)
_TOASTED = any_of(r"\btoast\b[^.;]*", r"\bgrind\b")


_PASTE_FRIED = any_of(
    r"\b(?:paste|rempah)\b(?:[^;]{0,40}|; )\bfry\b",
    r"\bfry\b[^.;]{0,20}\b(?:the )?(?:spice )?paste\b",
    r"\bpaste\b[^;]{0,80}\buntil (?:it is |very )?(?:fragrant|aromatic)\b",
)
"""“Blitz the paste. Fry in oil until fragrant”: no marinade."""
_IN_EVERYTHING = any_of(
    r"\bmarinat\w*\b[^.;]{0,20}\b(?:with|in) (?:everything|all (?:the )?(?:rest|others?|"
    r"(?:other )?ingredients))\b",
    r"\b(?:combine|mix|put|place)\b[^.;]{0,12}\b(?:all|everything)\b[^.;]{0,40}[.;] marinat",
    r"\bmix (?:all|everything)\b[^.;]{0,80}\b(?:massage|rub|pour|work)\b[^.;]{0,16}"
    r"\b(?:pork|meat|beef|ribs)\b[^.;]{0,16}\bbag\b",
    r"(?:^|[.;] )(?:whisk|mix|combine|stir)(?: together)? (?:the |all |your )?marinade"
    r"(?: ingredients)?[.;,]",
)


def _rows_in_that(understood: Understood) -> frozenset[int]:
    """“Blend everything but the lard. Marinate the pork in that”: what was blended before."""
    sentences = [text for step in understood.said for text in sentences_in(step)]
    beside = {
        row for part in understood.recipe.parts for row in part.lines
        if part.role in {"beside", "sauce", "glaze"}
    }  # fmt: skip
    told = " ".join(
        EXCEPT.sub("", before)
        for before, text in pairwise(sentences)
        if (_IN_THAT.search(text) and _STIRRED.search(before)) or mixed_and_left(before, text)
    )
    return rows_named(understood, told) - beside if told else frozenset()


def mixed_and_left(before: str, text: str) -> bool:
    """“Mix with everything but the chilli. Leave 1 hour in the fridge.”"""
    return _MIXED_WITH.match(before) is not None and _LEFT_COLD.match(text) is not None


_MIXED_WITH = re.compile(
    r"\W*(?:mix|combine|toss) (?:it |them |the (?:ribs|meat|pork|beef|pieces) )?with\b"
    r"[^.;]*\b(?:soy|wine|vinegar|juice|beer|yogh?urt|sherry|sauce)\b",
    re.I,
)
_LEFT_COLD = re.compile(
    r"\W*(?:cover and )?(?:leave|rest|chill|refrigerate)\b[^.;]{0,30}"
    r"\b(?:hours?|overnight|fridge|refrigerator)\b",
    re.I,
)


_IN_THAT = any_of(
    r"\bmarinat\w*\b[^.;]{0,40}\b(?:in|with) (?:that|this|it|the (?:mix|mixture|blend|paste))\b"
)


def _rows_soaked_apart(understood: Understood) -> frozenset[int]:
    """“Soak the prunes in the brandy”, beside a marinade: that is for later."""
    told = " ".join(
        text for step in understood.said for text in sentences_in(step)
        if _SOAKED_APART.search(text) and not WITH_THE_MEAT.search(text)
    )  # fmt: skip
    return rows_named(understood, told)


_SOAKED_APART = any_of(r"\bsoak\b", r"\bplump\b", r"\bsteep\b")


def _rows_of_used(understood: Understood) -> frozenset[int]:
    """Lines that only stand beside a marinade which is cooked.

    “Stir in the purée, then pour in the marinade and let it boil.”
    """
    used = [
        text for step in understood.said if USED.search(step)
        # of a whole recipe in one paragraph only the sentence that pours it in
        for text in _sentences_of_a_long(step) or [step]
    ]  # fmt: skip
    soaks = " ".join(
        step for step in understood.said if MARINATED.search(step) and not USED.search(step)
    )
    return frozenset().union(*(rows_named(understood, step) for step in used)) - rows_named(
        understood, soaks
    )


def _sentences_of_a_long(step: str) -> list[str]:
    sentences = sentences_in(step)
    soaks = any(MARINATED.search(text) and not USED.search(text) for text in sentences)
    whole = len(sentences) <= FEW_SENTENCES and not soaks
    return [] if whole else list(filter(USED.search, sentences))


def discarded_lines(understood: Understood) -> frozenset[int]:
    """Lines of a marinade that the recipe throws away, and names for nothing else.

    “Marinate in the cola and the soy. Drain, and discard the marinade”: none of it is cooked.
    """
    sentences = [text for step in understood.said for text in sentences_in(step)]
    # bay leaves that are thrown away at the end have been cooked
    early = [text for step in before_the_heat(understood) for text in sentences_in(step)]
    soaking = told_of_the_marinade(understood)
    thrown = [text for text in early if _THROWN_AWAY.search(text)]
    told_of = " ".join(
        found["what"] or found["other"] for text in early for found in _THROWS.finditer(text)
    )
    named = frozenset(
        row for row in rows_named(understood, told_of)
        if understood.ingredients[row].kind in _POURED_OFF
    )  # fmt: skip
    if is_cooked_in(understood) or not (thrown or named & soaking):
        return frozenset()
    told = _told_of_the_marinade(understood) + _told_in_two(understood)
    others = " ".join(text for text in sentences if text not in told and text not in thrown)
    gone = soaking if thrown else named & soaking
    return gone - rows_named(understood, _THROWS.sub("", others))


_SOME_LIQUID = r"(?:marinade|mariniermischung|soaking (?:liquid|mixture))"
_THROWN_AWAY = any_of(
    r"\b(?:discard|throw (?:away|out)|pour (?:off|away)|drain (?:off|away)|tip (?:away|out)|bin"
    r"|dump|toss(?: out)?|get rid of|rinse off)(?:ing)? (?:(?:the|your|all|any|its|of|remaining"
    rf"|used|leftover|excess|rest|spent) )*(?:\w+ )?{_SOME_LIQUID}\b(?! bag)",
    rf"\b{_SOME_LIQUID}[^.;,]{{0,12}} (?:is |gets )?(?:discarded|thrown (?:away|out)|binned)\b",
    rf"\b{_SOME_LIQUID}\b[^.;]{{0,20}}[,;:]? (?:and |then )?(?:discard|throw (?:it )?(?:away|out)"
    r"|bin|dump)(?: it| this)?(?=\W*$|[.,;]| and\b)",
    r"\bmarinade (?:weg(?:gie(?:ß|ss)en|sch(?:ü|ue)tten|werfen)|entsorgen|abgie(?:ß|ss)en)\b",
    r"\bdrain (?:well )?(?:and|,) discard (?:the )?(?:liquid|rest)\b",
    r"\b(?:shake|wipe|scrape|brush) off (?:(?:the|any|all|most of the) )*(?:excess )?marinade\b",
    r"\blet (?:the )?(?:excess )?marinade drip off\b",
)
"""“Remove the ribs from the marinade, discard the marinade, and pat them dry.”"""
_THROWS = re.compile(
    r"\b(?:discard|throw away|pour (?:off|away))(?:ing)? (?P<what>(?:the |any |all )?[^.;,]{3,40})"
    r"|\bthrow (?P<other>(?:the |any |all )?[^.;,]{3,30}?) (?:away|out)\b",
    re.I,
)
_POURED_OFF: frozenset[Kind] = THIN_KINDS | {"salty_thin", "acid", "dairy", "spirit"}


def soaked_lines(understood: Understood) -> frozenset[int]:
    """Those of a marinade that are thick or sharp, and wiped off with it."""
    found = in_marinade(understood)
    paste = any(_TO_A_PASTE.search(text) for step in understood.said for text in sentences_in(step))
    kinds = _SOAKS | _GROUND if paste else _SOAKS
    if is_cooked_in(understood):
        kinds -= {"acid"}  # it is boiled with the meat
    return frozenset(
        item.index for item in understood.ingredients if item.index in found and item.kind in kinds
    )


_TO_A_PASTE = any_of(
    r"(?<!the )(?<!tomato )\b(grind|blend|blitz|process|pound|pur[eé]e|whizz?)\b[^.;]*"
    r"\b(marinade|(in)?to a paste|the paste)\b"
)
_GROUND: frozenset[Kind] = frozenset({"aromatic", "woody_herb", "spice", "dried_herb", "chilli"})
"""Garlic, ginger and spices of a paste are not fried out of it."""

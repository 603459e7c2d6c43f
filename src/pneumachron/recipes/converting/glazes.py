"""What is stirred or boiled together apart from the meat, and brushed on late: a glaze."""

import re
from collections.abc import Iterator, Set
from itertools import pairwise, takewhile

from pneumachron.recipes.converting.themes import MIXED, WITH_THE_MEAT
from pneumachron.recipes.model import Part
from pneumachron.recipes.understanding.foods_of_a_line import foods_in
from pneumachron.recipes.understanding.naming import around, is_named, rows_named
from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.sentences import sentences_in
from pneumachron.recipes.understanding.understand import Understood

OWN_PAN = any_of(
    r"\b(small|little|separate|another|sauce) ?(sauce)?pan\b", r"\bsaucepan\b",
    r"\b(?:small|little|separate|another) pot\b",
)  # fmt: skip
_BOILED_UP = any_of(r"\b(simmer|boil|bubble|reduce|cook|warm|heat|melt)(?:e?d)?\b")
_SLURRY = any_of(r"\bslurry\b")
_THICKENS = re.compile(r"\bwater\b|starch|\bflour\b|corn ?flour|\barrowroot\b", re.I)
_PUT_ON = re.compile(
    r"\b(?:brush|paint|glaz|bast|slather|smear|mop|coat)\w*\b[^.;]*?"
    r"\b(?P<name>(?:[a-z]+ )?(?:mix|mixture|glaze|sauce|baste|syrup))\b"
    r"|\btoss (?:the |your )?(?:\w+ )?(?:wings|them) (?:well )?(?:in|with) (?:the |this )?"
    r"(?P<tossed>(?:[a-z]+ )?(?:mix|mixture|glaze|sauce|butter))\b"
    r"|\bmit (?:der|dem) (?P<german>\w{0,20}(?:glasur|mischung|marinade|so(?:ß|ss)e))\b"
    r"[^.;]{0,20}\b(?:be|ein)(?:streich|pinsel)"
    r"|\bturn (?:the ribs|the meat|the pieces|them) (?:well )?in (?:it|this)\b"
    r"|^\W*(?:glazed?|sauced)\b(?! ingredients)"
    r"|^\W*brush (?:the )?(?:ribs?|racks?|meat|pork|both sides|all over)(?=[,.;]|$| and\b)"
    r"|^\W*toss(?: to coat| well| (?:the )?wings| them)*\W*$",
    re.I,
)
"""“Paint with the ketchup mix”: what was stirred together before goes on at the end."""


def _late_sentences(understood: Understood) -> frozenset[str]:
    """All that is told behind the long heat."""
    main = understood.cooking.main
    if main is None:
        return frozenset()
    return frozenset(
        text for step in around(understood.said, *main)[1] for text in sentences_in(step)
    )


_ONTO_RAW = any_of(
    r"\b(rub|pat|sprinkle|massage|press|season|apply|coat|dust|smear|slather)\b[^.;]*"
    r"\b(ribs?|meat|pork|beef|brisket|shoulder|roast|racks?|wings?|it|them|both sides)\b",
    r"\b(?:cover|coat|season|dust|sprinkle)\b[^.;]{0,40}\bwith (?:the |this |your )?(?:\w+ )?"
    r"(?:rub|spices|spice mix|seasoning)\b",
)
"""What is mixed there is a rub."""


_MARINADE = any_of(r"\bmarinade\b")
_RESERVED = re.compile(r"\W*(?:reserve|set aside|keep back|hold back)\b", re.I)
ALL_POURED = any_of(
    r"^\W*(?:then )?(?:pour|tip|add)\b(?![^.;]*\b(?:half|some|third|slow cooker)\b)[^.;]*"
    r"\b(?:over|on|onto|to|with)\b[^.;]*\b(?:ribs?|meat|pork|beef|brisket|shoulder|pot|pan)\b",
    r"^\W*(?:then )?pour (?:it |this )?(?:over|on top|around)\W*$",
    r"\b(?:ribs?|meat|pork|beef|brisket|pieces)\b[^.;]{0,40}\bpour (?:in|over) (?:all )?(?:the )?"
    r"sauce\b",
    r"^\W*(?:then )?pour (?:the |all (?:of )?the )?sauce (?:over|on top|around)\b",
    r"\b(?:put|place|lay|return|arrange)\b[^.;]{0,30}\b(?:ribs?|meat|pork|beef|brisket|pieces)\b"
    r"[^.;]{0,30}\b(?:pot|pan|cooker|casserole|oven)\b[^.;]{0,20}\bwith (?:all )?(?:the )?"
    r"(?:sauce|marinade|mixture|liquid)\b",
)
"""“Pour over the ribs with the water in a heavy pot.”"""


_MEAT_PUT_IN = re.compile(
    r"^\W*(?:then )?(?:add|put in|lay in|turn|submerge|drop in) (?:all )?(?:the )?"
    r"(?:ribs?|racks?|meat|pork|beef|brisket|shoulder|pieces)\b[^.;]*"
    r"\b(?:chill|fridge|refrigerat\w*|overnight|marinat\w*|hours?)\b"
    r"|^\W*(?:then )?marinate\b(?![^.;]*\b(?:half|some)\b)",
    re.I,
)
"""“Mix the cola and the soy in a dish. Add the ribs, cover and chill overnight.”"""


def parts_of_mixes(understood: Understood) -> Iterator[Part]:
    """What the steps stir together apart from the meat, and brush on later: a glaze.

    “Stir together the ketchup, treacle and mustard … paint with the ketchup mix.”
    """
    sentences = [part for step in understood.said for part in sentences_in(step)]
    meat = {item.index for item in understood.ingredients if item.kind in {"meat", "other_meat"}}
    # what stands under “For the rub” is no glaze, wherever it is mixed
    meat |= {row for part in understood.recipe.parts if part.role == "rub" for row in part.lines}
    late = _late_sentences(understood)
    bakes = pours_and_bakes(understood)
    for place, sentence in enumerate(sentences):
        cooked = _BOILED_UP.search(sentence) and (
            OWN_PAN.search(sentence) or sentence in late
        )  # fmt: skip
        if not (MIXED.search(sentence) or cooked) or WITH_THE_MEAT.search(sentence):
            continue
        if _INTO_OTHERS.search(sentence):
            continue
        if _MARINADE.search(sentence) and sentence not in late:
            continue  # “Whisk the marinade ingredients. Place the ribs in a pan …”
        # “Mix the maple and the mustard. Reserve a third. Smear the rest over the pork.”
        upto = place + (3 if _RESERVED.match(" ".join(sentences[place + 1 : place + 2])) else 2)
        onto_raw = any(_ONTO_RAW.search(text) for text in sentences[place:upto])
        if onto_raw and sentence not in late:
            continue
        poured = any(ALL_POURED.search(text) for text in sentences[place + 1 : place + 3])
        poured = poured or any(map(_MEAT_PUT_IN.search, sentences[place + 1 : place + 2]))
        if poured and sentence not in late:
            continue  # the meat lies or cooks in it
        put_on = next(
            (
                found for text in sentences[place + 1 :]
                if (found := _PUT_ON.search(text) or (bakes and _POURED_ON.search(text)))
            ),
            cooked and _BRUSHED_ON.match(" ".join(sentences[place + 1 : place + 2])),
        )  # fmt: skip
        here = sentence.lower()
        elsewhere = " ".join((*sentences[:place], *sentences[place + 1 :])).lower()
        rows = [item.index for item in understood.ingredients if is_named(understood, item, here)]
        thick = cooked and any(map(_SLURRY.search, sentences[place : place + 2]))
        alone = [
            row for row in rows if not is_named(understood, understood.ingredients[row], elsewhere)
        ]
        # a glaze takes its name from one of its own: "the ketchup mix"
        own = {
            row
            for row in rows
            if put_on and is_named(understood, understood.ingredients[row], put_on[0].lower())
        }
        if thick and alone:
            own |= {
                item.index for item in understood.ingredients
                if any(each.food.kind == "starch" for each in foods_in(item))
            }  # fmt: skip
        if all(_THICKENS.search(understood.ingredients[row].line.name) for row in rows):
            continue  # “Mix the cornstarch with the water” thickens what is brushed on
        lines = tuple(sorted({*alone, *own} - meat))
        if put_on and len(lines) >= 2:
            name = next(filter(None, put_on.groupdict().values()), "glaze")
            yield Part(name, "glaze", lines)


_BRUSHED_ON = re.compile(
    r"\W*(?:then )?(?:brush|paint|slather|mop) (?:it |that |this |some )?on(?=[,.;]|$)", re.I
)
"""“… boil it till it coats a spoon. Brush on, broil 3 min.”"""

_POURED_ON = any_of(
    r"^\W*(?:then )?(?:pour|spoon|ladle|spread)\b[^.;]{0,40}\b(?:over|on|onto) (?:all )?(?:the )?"
    r"(?:hot |cooked |drained )?(?:ribs?|meat|pork|beef|brisket|pieces|them)\b",
    r"^\W*(?:then )?(?:pour|spoon|ladle)\b[^.;]{0,12}\b(?:sauce|glaze)\b[^.;]{0,12}\b(?:over|on)\b",
    r"\b(?:pour|spoon|ladle) (?:on|over) (?:the |your |all the )?(?:sauce|glaze)\b",
)
_BAKED_ON = any_of(
    r"\b(?:bake|roast|broil|grill|cook|oven)\b[^.;]*"
    r"\b(?:uncovered|sticky|caramel\w*|brown\w*|glazed|bast(?:e|ing))\b",
    r"\buncovered\b[^.;]*\b(?:bake|roast|oven)\b",
    r"\b(?:sauce|glaze) (?:and|then) (?:broil|bake|grill)\b",
)


def pours_and_bakes(understood: Understood) -> bool:
    """“Pour over the ribs. Bake uncovered 30 minutes”, late: the sauce is baked on as a glaze."""
    main = understood.cooking.main
    if main is None or understood.crust.kind != "broiler":
        return False
    late = [
        text for step in around(understood.said, *main)[1] for text in sentences_in(step)
    ]  # fmt: skip
    return any(
        _POURED_ON.search(text) and (_BAKED_ON.search(text) or _BAKED_ON.search(following))
        for text, following in pairwise([*late, ""])
    )


_INTO_OTHERS = any_of(r"\b(?:stir|whisk|mix) (?:half|some|a third|part|most)\b[^.;]{0,20}\binto\b")
"""“Stir half into the onions with the broth”: the broth makes no glaze."""


def cooks_a_glaze(understood: Understood, text: str) -> bool:
    """Whether a sentence boils up, in a pan of its own, what is brushed on later."""
    named = rows_named(understood, text)
    if _BOILED_UP.search(text) and _ALL_OF_A_GLAZE.search(text):
        return True
    whole = _BOILED_UP.search(text) and _ALL_OF_A_SAUCE.search(text)
    if whole and any(is_boiled_late(understood, part) for part in understood.recipe.parts):
        return True
    return _BOILED_UP.search(text) is not None and any(
        len(named.intersection(part.lines)) > 1 for part in parts_of_mixes(understood)
    )


def boiled_apart(understood: Understood, step: str, rows: Set[int]) -> str:
    """The sentences of a step that boil two or more of these lines in a pan of their own.

    “Simmer the honey and the soy in a small saucepan. Stir in the slurry.” Empty when none do.
    """
    sentences = sentences_in(step)
    for place, text in enumerate(sentences):
        told = _MEANWHILE.sub("", text)
        everything = rows and _ALL_IN_A_PAN.search(told)
        most = len(rows_named(understood, told) & rows) >= max(2, len(rows) / 2)
        most = most and _TO_A_SIMMER.search(told) is not None
        if not (everything or most or OWN_PAN.search(told)) or WITH_THE_MEAT.search(told):
            continue
        later = list(takewhile(lambda each: not _ON_THE_MEAT.search(each), sentences[place + 1 :]))
        if not any(map(_BOILED_UP.search, (told, *later))):
            continue
        all_of_it = rows and any(each.search(told) for each in _ALL_OF_IT)
        # “Melt butter in a saucepan. Add the shallot. Add the preserves and the vinegar.”
        begun = rows_named(understood, told) & rows
        if all_of_it or (
            begun and len(rows_named(understood, " ".join((told, *later))) & rows) > 1
        ):
            return " ".join((text, *later))
    return ""


_ALL_IN_A_PAN = any_of(
    r"\b(?:everything|all|ingredients) for the (?:\w+ )?(?:sauce|glaze) in an? pan\b"
)
_TO_A_SIMMER = re.compile(
    r"\b(?:bring|heat|simmer|boil|cook)\b"
    r"(?![^.;]*\b(?:the|cooking|pan|braising) (?:\w+ )?"
    r"(?:juices?|liquid|liquor|drippings|gravy|broth)\b)"
    r"[^.;]*\b(?:simmer|boil|thick|syrupy|bubbl\w*|dissolve[sd]?)\b",
    re.I,
)
"""“Bring the honey, soy and garlic to a simmer”, with nothing of the juice."""
_ON_THE_MEAT = any_of(
    r"\b(?:brush|paint|glaze|baste|slather|pour|spoon|broil|grill|serve|toss|coat|drain|ribs?|meat"
    r"|pork|beef|brisket)\b"
)
_MEANWHILE = re.compile(
    r"^\W*(?:[\w–-]+ ){0,4}(?:before|while|when|as) (?:the |your )?"
    r"(?:ribs?|meat|pork|beef|brisket)\b[^,.;]{0,30},\s*",
    re.I,
)
"""“About 20 minutes before the ribs are done, make the sauce: …”."""
_THE_SAUCE = any_of(
    r"\b(?:whisk|stir|simmer|heat|boil|warm|cook|bring) (?:up )?(?:the |your )?(?:\w+ )?"
    r"(?:sauce|glaze)(?! ?pan)\b"
)
SLAKED = any_of(r"\bslurry\b", r"(?:starch|corn ?flour|arrowroot)\b")


def only_makes_a_glaze(understood: Understood, step: str) -> bool:
    """“Put all glaze ingredients in a saucepan. Simmer 15 minutes. Blend until smooth.”"""
    onto_meat = WITH_THE_MEAT.search(step) or _PUT_ON.search(step)
    return not onto_meat and cooks_a_glaze(understood, step)


_ALL_OF_A_GLAZE = any_of(
    r"\bglaze (?:ingredients|stuff|things)\b", r"\b(?:everything|all|ingredients) for the glaze\b"
)


_ALL_OF_A_SAUCE = any_of(
    r"\b(?:simmer|boil|heat|cook) (?:the |your )?(?:sauce|glaze) (?:for )?\d+ ?min",
    r"\bsauce (?:ingredients|stuff|things)\b",
    r"\b(?:everything|all|ingredients) for the sauce\b",
)


_EVERYTHING = any_of(
    r"\bfor the (?:\w+ )?(?:sauce|glaze),? (?:put|tip|place|combine|mix) (?:everything|all)\b"
)
_ALL_OF_IT = (_ALL_OF_A_SAUCE, _ALL_OF_A_GLAZE, _THE_SAUCE, _EVERYTHING)
"""“Whisk sauce in small pan, simmer 10 min.”"""


def is_boiled_late(understood: Understood, part: Part) -> bool:
    """“Meanwhile simmer the sauce ingredients in a wide pan”, behind the long heat."""
    return any(
        _BOILED_UP.search(text)
        and (_IN_A_PAN.search(text) or OWN_PAN.search(text) or _ALL_OF_A_SAUCE.search(text))
        and len(rows_named(understood, text).intersection(part.lines)) > 1
        for text in _late_sentences(understood)
    )


_IN_A_PAN = any_of(r"\bin an? (?:\w+ )?(?:pan|skillet|wok|pot)\b")


def pours_it_all(understood: Understood, part: Part, step: str) -> bool:
    """“Blend the chipotles with the broth and the vinegar until smooth. Pour over the beef.”"""
    sentences = sentences_in(step)
    at = next((at for at, text in enumerate(sentences) if ALL_POURED.match(text)), 0)
    named = rows_named(understood, " ".join(sentences[:at])).intersection(part.lines)
    return len(named) >= max(2, len(part.lines) / 2)


def mixes_it_to_serve(understood: Understood) -> bool:
    """“Mix the sauce. … Serve with the leaves, the sauce and kimchi.”"""
    told = [text for step in understood.recipe.steps for text in sentences_in(step)]
    return any(map(_SERVED_SAUCE.search, told)) and any(map(ONLY_MIXED.match, told))


ONLY_MIXED = re.compile(
    r"\W*(?:mix|stir|whisk|shake)(?: up| together)? the (?:\w+ )?sauce\W*$", re.I
)
_SERVED_SAUCE = any_of(r"\bserve\b[^.;]*,(?: the)? (?:\w+ )?sauce\b", r"\bserve\b[^.;]*\bsauce,")

"""Parts that are not cooked with the meat, and what is named only after the long heat."""

import re
from collections.abc import Iterator, Sequence

from pneumachron.recipes.converting.glazes import (
    ALL_POURED,
    OWN_PAN,
    SLAKED,
    boiled_apart,
    is_boiled_late,
    mixes_it_to_serve,
    parts_of_mixes,
    pours_and_bakes,
    pours_it_all,
)
from pneumachron.recipes.converting.sprays import IN_FOIL, SPRAYED, dresses_the_meat
from pneumachron.recipes.converting.themes import WITH_THE_MEAT
from pneumachron.recipes.model import Part, PartRole, Section
from pneumachron.recipes.understanding.ingredients import (
    THIN_KINDS,
    UNKNOWN,
    Ingredient,
    Kind,
    food_of,
)
from pneumachron.recipes.understanding.naming import (
    around,
    is_named,
    is_some_sauce,
    names_any,
    rows_named,
)
from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.sentences import sentences_in
from pneumachron.recipes.understanding.side_work import is_side_work
from pneumachron.recipes.understanding.understand import Understood

SWEET: frozenset[Kind] = frozenset({"sugar", "sugar_thick", "sweet_sauce"})
_APART: frozenset[PartRole] = frozenset({"glaze", "sauce", "beside"})
LIQUID_OF_A_BRAISE_M3 = 150e-6
"""A sauce with more stock, wine or water than this is what the meat cooks in. Judgement."""


def parts_apart(understood: Understood) -> dict[int, Part]:
    """Lines of parts that are not cooked with the meat: a glaze, a cream to serve with it."""
    found: dict[int, Part] = {}
    own = (
        set() if brushes_the_sauce(understood)
        else {section.name for section in _sections_after(understood)}
    )  # fmt: skip
    told = (
        *parts_of_mixes(understood), *_parts_of_sections(understood), *understood.recipe.parts,
        *_parts_by_their_use(understood),
    )  # fmt: skip
    served = any(map(_SERVED_SAUCES.search, understood.recipe.steps))
    sentences = [text for step in understood.said for text in sentences_in(step)]
    for part in (_as_it_is_used(understood, part) for part in told):
        items = [understood.ingredients[row] for row in part.lines if _is_row(understood, row)]
        meat = any(item.kind == "meat" for item in items)
        thin_m3 = sum(item.volume_m3 or 0.0 for item in items if item.kind in THIN_KINDS)
        braise = (
            part.role == "sauce"
            and not SPRAYED.search(part.name)
            and (
                (
                    thin_m3 > LIQUID_OF_A_BRAISE_M3
                    and not is_boiled_late(understood, part)
                    and not has_own_pan_in(understood, part, sentences)
                )
                or _is_poured_in(understood, part)
            )
        )
        mop = SPRAYED.search(part.name) and not dresses_the_meat(understood)
        if part.role in _APART and not (meat or braise or mop):
            # (a mop keeps meat moist in a smoker; under the lid nothing dries)
            # what is made behind all the rest, under a heading of its own, stays a sauce of its own
            alone = part.role == "sauce" and (
                part.name in own
                or _is_made_late(understood, part.name)
                or (served and not is_boiled_late(understood, part))
                or _has_own_pan(understood, part, sentences)
            )
            told_part = Part(part.name, "beside", part.lines) if alone else part
            if _TO_FINISH.search(part.name):
                items = [item for item in items if not _is_brushed(understood, item)]
            if IN_FOIL.search(part.name):
                items = [item for item in items if item.kind not in THIN_KINDS]
            # starch thickens a sauce at the end; polenta is a side of its own
            brushed = part.role == "glaze" or (
                part.role == "sauce" and brushes_the_sauce(understood)
            )
            own_pan = (brushed or alone) and _is_slaked_apart(understood, part)
            found |= {
                item.index: told_part for item in items
                if item.kind != "starch" or "polenta" in item.food.words or own_pan
            }  # fmt: skip
    return found


_SERVED_SAUCES = any_of(
    r"\bserve\b[^.;]*\b(?:both|two|the|all|their) sauces\b",
    r"\bsauces\b[^.;]{0,20}\b(?:on the side|alongside|at the table)\b",
)
"""“Serve with rice, lettuce and both sauces”: none of them is stirred in."""


def _is_slaked_apart(understood: Understood, part: Part) -> bool:
    """“Simmer honey and soy in a saucepan; stir in the slurry”: that starch is the glaze's."""
    rows = frozenset(part.lines)
    return any(
        SLAKED.search(boiled_apart(understood, step, rows)) for step in understood.said
    )  # fmt: skip


def _as_it_is_used(understood: Understood, part: Part) -> Part:
    """“Mix the marinade. Drain the ribs and turn them in it”: after the heat, it is a glaze.

    A mop that pulled meat is mixed with is a sauce.
    """
    if SPRAYED.search(part.name) and dresses_the_meat(understood):
        return Part(part.name, "sauce", part.lines)
    if _A_FINISH.match(part.name) and any(map(_FINISH_BRUSHED.search, understood.recipe.steps)):
        return Part(part.name, "glaze", part.lines)
    if _A_FINISH.match(part.name) and any(map(_FINISH_STIRRED.search, understood.recipe.steps)):
        return Part(part.name, "sauce", part.lines)
    main = understood.cooking.main
    if part.role != "marinade" or main is None:
        return part
    early, late = (" ".join(some).lower() for some in around(understood.said, *main))
    name = HEADING_WORDS.sub("", part.name).lower()
    used_late = name in late and name not in early and "marina" not in early
    return Part(part.name, "glaze", part.lines) if used_late else part


_A_FINISH = re.compile(r"finish\W*$", re.I)
_FINISH_BRUSHED = any_of(
    r"\bthe finish\b[^.;]{0,60}\b(?:brush|paint|glaze|baste|slather)",
    r"\b(?:brush|paint|glaze|baste|slather)\b[^.;]{0,40}\bthe finish\b",
)
"""“Warm the finish in a small pan, brush over”, below a heading “Finish”."""
_FINISH_STIRRED = any_of(r"\b(?:stir|whisk|mix) in (?:all of )?the finish\b")
_TO_FINISH = any_of(r"\bto finish\b", r"\bfinishing\b", r"^finish\W*$")


def _is_brushed(understood: Understood, item: Ingredient) -> bool:
    """“Brush with BBQ sauce and broil”: what stands “To finish” is not served beside then."""
    sweet = item.kind in SWEET or is_some_sauce(item)
    return sweet and any(
        BRUSHED.search(text) and is_named(understood, item, text.lower())
        for step in understood.said for text in sentences_in(step)
    )  # fmt: skip


def _has_own_pan(understood: Understood, part: Part, sentences: Sequence[str]) -> bool:
    """“Put the apples in a small pan with the butter”: cooked apart, and served beside."""
    return not brushes_the_sauce(understood) and has_own_pan_in(understood, part, sentences)


def has_own_pan_in(understood: Understood, part: Part, sentences: Sequence[str]) -> bool:
    """Whether sentences cook a part in a pan of its own, away from the meat and its juice."""
    for place, text in enumerate(sentences):
        own, roux = OWN_PAN.search(text), _ROUX.match(text)
        if not (own or roux):
            continue
        # “drippings from the pan” in the list of a sauce is no juice that is boiled down
        made = _SPELLED_OUT.sub("", " ".join(sentences[place : place + 2]))
        # “Slice the meat, top with the pan juices”, behind it, is about the meat
        if _CUTS_THE_MEAT.match(" ".join(sentences[place + 1 : place + 2])):
            made = _SPELLED_OUT.sub("", text)
        if any(map(ALL_POURED.search, sentences[place + 1 : place + 3])):
            return False  # the meat cooks in it
        # “Boil the root beer in a saucepan. Whisk in everything else”
        more = " ".join(sentences[place + 1 : place + 2])
        told = f"{text} {more}" if own and _WHISKED_IN.match(more) else text
        rows = rows_named(understood, told).intersection(part.lines)
        if own and len(rows) >= max(2, len(part.lines) / 2):
            bare = _SPELLED_OUT.sub("", text)
            return not (_OF_THE_JUICE_ITSELF.search(made) or WITH_THE_MEAT.search(bare))
        if roux and _MILK.search(made) and len(rows) > 1:
            return True  # a white sauce, with a little of the liquid or without
    return False


_WHISKED_IN = re.compile(r"\W*(?:then )?(?:whisk|stir|mix|add)\b", re.I)
_CUTS_THE_MEAT = re.compile(r"\W*(?:slice|trim|carve|cut|shred|pull|chop)\b", re.I)
_SPELLED_OUT = re.compile(r"\([^()]{0,600}\)")
_ROUX = re.compile(
    r"\W*(?:for the (?:\w+ )?sauce,? )?melt (?:the |some )?butter\b[^.;]*\bflour\b"
    r"|\W*(?:f(?:ü|ue)r die (?:\w*so(?:ß|ss)e|sauce),? )?(?:die )?butter\b[^.;]*"
    r"\b(?:zerlassen|schmelzen|erhitzen)\b[^.;]*\bmehl\b",
    re.I,
)
_MILK = any_of(r"\bmilk\b", r"milch\b", r"\bcream\b", r"sahne\b")
_OF_THE_JUICE_ITSELF = any_of(
    r"\b(?:pan |cooking |meat )?(?:juices|drippings)\b", r"\bliquor\b",
    r"\b(?:cooking|braising) liquid\b",
)  # fmt: skip


def _is_made_late(understood: Understood, name: str) -> bool:
    """“For the apple sauce, put everything in a pan”, behind the long heat: it is served apart."""
    bare = HEADING_WORDS.sub("", name).lower()
    main = understood.cooking.main
    if "sauce" in bare and mixes_it_to_serve(understood) and not brushes_the_sauce(understood):
        return True
    if main is None or len(bare.split()) < 2:
        return False
    made = making(bare)
    late = around(understood.said, *main)[1]
    told = understood.recipe.steps[main[0] :]  # as it is written, with the sauce's name
    if any(map(made.search, told)) and any(map(_REST_AT_TABLE.search, late)):
        return True
    if brushes_the_sauce(understood):
        return False
    # “VINEGAR SAUCE: shake everything …”; “Sauce: …”, where there is only one
    last = bare.split()[-1]
    alone = sum(last in part.name.lower() for part in understood.recipe.parts) == 1
    called = f"{re.escape(bare)}|{re.escape(last)}" if alone else re.escape(bare)
    headed = re.compile(rf"\W*(?:{called})\s*:", re.I)
    if any(map(headed.match, understood.recipe.steps[main[0] + 1 :])):
        return True
    raw = any(MADE_RAW.search(text) and not _OF_THE_JUICE.search(text) for text in late)
    return raw or any(made.search(text) for text in late)


def making(name: str) -> re.Pattern[str]:
    """How a step makes a sauce of that name: “whisk the vinegar sauce ingredients together”."""
    short = re.escape(" ".join(name.split()[-2:]))  # “the vinegar sauce”, below a longer name
    called = "|sauce" if _A_SAUCE.search(name) else ""
    return re.compile(
        rf"\b(?:for|make|prepare|cook) (?:the |your )?{re.escape(name)}\b"
        rf"|\b(?:stir|whisk|shake|mix) together (?:the |your )?(?:{re.escape(name)}|{short})\b"
        rf"|\b(?:stir|whisk|shake|mix) (?:the |your )?(?:{re.escape(name)}|{short}{called})"
        r"(?: ingredients)?"
        r" (?:in an? (?:\w+ )?(?:jar|bowl|bottle|jug)\b|together|until|till)",
        re.I,
    )


_A_SAUCE = any_of(r"\b(?:sauce|cream|dressing|dip|salsa|aioli|mayo)\W*$")
_REST_AT_TABLE = any_of(
    r"\b(?:serve|pass|put|offer)\b[^.;]{0,20}\b(?:rest|remaining|remainder|more|extra|leftover)\b"
    r"[^.;]{0,30}\b(?:table|side|alongside)\b",
    r"\b(?:rest|remaining|remainder|more|extra)\b[^.;]{0,30}\b(?:at the table|on the side"
    r"|alongside)\b",
    r"\bpass (?:the )?(?:rest|remaining|remainder)\b",
    r"\bserve\b[^.;]*\b(?:rest of the|remaining|remainder of the) sauce\b",
)
"""“Toss the pork with a cup of the sauce and serve the rest at the table.”"""
MADE_RAW = any_of(
    r"\bmake (?:the|your) sauce\W+(?:combine|mix|stir|whisk|blend|blitz|shake|put|place)\b"
)
_OF_THE_JUICE = any_of(
    r"\b(?:juices?|drippings|liquid|strain\w*|skim\w*|gravy|simmer|reduce|boil|pan|pot)\b"
)


def bastes_with_the_marinade(understood: Understood) -> bool:
    """“Remove the foil. Baste the ribs and cook, basting often, until dark and sticky.”"""
    main = understood.cooking.main
    if main is None or understood.crust.kind not in {"broiler", "grill"}:
        return False
    return any(
        (_BASTED.search(text) and not names_any(understood, text.lower()))
        or _REST_BRUSHED_ON.search(text)
        for step in around(understood.said, *main)[1] for text in sentences_in(step)
    )  # fmt: skip


_REST_BRUSHED_ON = any_of(
    r"\b(?:remaining|rest of the|left-?over|reserved) marinade\b[^.;]*\b(?:brush|baste|glaze)",
    r"\b(?:restliche\w*|übrige\w*|aufgefangene\w*) marinade\b[^.;]*\b(?:bestreichen|bepinseln"
    r"|einpinseln)\b",
)
_BASTED = any_of(
    r"\bbast(?:e|ing)\b",
    r"\b(?:uncover\w*|bake|roast)\b[^.;]*\b(?:turning|sauce)\b[^.;]*\b(?:sticky|glazed|glossy)\b",
)


def _sections_after(understood: Understood) -> Iterator[Section]:
    """Headings over steps that stand behind the long heat."""
    last = max(understood.cooking.steps, default=None)
    if last is not None:
        yield from (each for each in understood.recipe.sections if each.first > last)


def brushes_the_sauce(understood: Understood) -> bool:
    """Whether what the recipe calls its sauce goes onto the meat after the long heat."""
    cooking = understood.cooking
    if cooking.main is None:
        return False
    if pours_and_bakes(understood):
        return True
    _, late = around(understood.said, *cooking.main)
    if cooking.method in {"grill", "smoker"}:  # brushed while it is on the grill
        late = [*late, understood.said[cooking.main[0]]]
    return any(
        _TOSSED_IN.search(text)
        or (_ON_THE_MEAT.search(text) and not names_any(understood, text.lower()))
        for step in late for text in sentences_in(step)
    )  # fmt: skip


_ON_THE_MEAT = any_of(
    r"\bmop(?:ping)?\b[^.;]{0,16}\b(?:sauce|glaze)\b"
    r"|\b(?:be|ein)(?:streich|pinsel|pinsl)\w*|\b(?:glasier|lackier)\w*"
    r"|\b(brush|paint|slather|lacquer)(es|ed|ing)?\b|\b(bast|glaz)(e|es|ed|ing)\b",
    r"(?:^|[.;,] |\band )sauce (?:the|them|both|all)\b",
    r"\b(?:pour|spoon|ladle)\b[^.;]{0,20}\b(?:sauce|glaze)\b[^.;]{0,40}"
    r"\b(?:bake|roast|broil|grill)\b[^.;]{0,30}\b(?:uncovered|sticky|caramel\w*|brown\w*)\b",
)
_TOSSED_IN = any_of(
    r"\b(?:sauce|glaze)\b[^.;]{0,40}\b(?:and|then) toss\b"
    r"(?! (?:the )?(?:rice|salad|noodles|pasta))",
    r"\btoss\w*\b[^.;]{0,30}\b(in|with) (the |all the |half the |warm )?(\w+ )?(sauce|glaze)\b",
    r"\b(?:tip|add|put|return|slide) (?:in |back )?(?:all )?"
    r"the (?:ribs|riblets|wings|pieces|pork|meat)\b[^.;]{0,20}\b(?:toss|coat)",
)
_POURED_IN = any_of(
    r"\b(?:pour|tip|dump) (?:all )?(?:sauce|marinade|mixture) (?:over|in|on)\b",
    r"\b(with|in|add|pour\w*|tip\w*|over) (in |on |over )?(all )?(of )?the (\w+ )?"
    r"(sauce|marinade|mixture|mix|liquid)\b(?! (and serve|to serve|on the side))",
    r"\b(dump|put|place|add|tip|throw)\b[^.;]*(?:\+|&|,|\band\b|\bwith\b|\bw/) ?(?:the )?sauce\b",
)


_THICKENS = any_of(r"\bslurry\b", r"\bthicken")
_IN_THE_POT_WITH = any_of(
    r"\bin(?:to)? (?:the |a |your )?(?:\w+ )?(?:pot|pan|dutch oven|casserole|cooker)"
    r" (?:with|w/) ?(?:(?:all|half|most|\d/\d|two[- ]thirds) (?:of )?)?(?:the )?"
    r"(?:sauce|marinade|liquid)\b"
)
"""“Rinse. Put in pot w/ sauce and 2 c water.”"""
_MADE_AND_POURED = re.compile(
    r"\b(?:blend|whisk|mix|stir|combine)\b[^.;]*\bsauce ingredients\b[^.]{0,400}"
    r"[,;] (?:and |then )?pour (?:it |this )?(?:over|around|on top)\b"
    r"|\b(?:blend|whisk|mix|stir|combine|shake)\b[^.;]{0,30}\bsauce\b[^.;]{0,30}(?:\band|,) "
    r"(?:then )?(?:pour|tip) (?:it |this )?(?:over|around|on top)\b",
    re.I,
)


def _is_poured_in(understood: Understood, part: Part) -> bool:
    """Whether the steps pour a sauce in with the meat before the long heat."""
    cooking = understood.cooking
    if cooking.main is None or part.role != "sauce" or _THICKENS.search(part.name):
        return False
    early, _ = around(understood.said, *cooking.main)
    if any(_MADE_AND_POURED.search(step) or pours_it_all(understood, part, step) for step in early):
        return True
    return any(
        (_POURED_IN.search(text) and WITH_THE_MEAT.search(text)) or _IN_THE_POT_WITH.search(text)
        for step in early for text in sentences_in(step)
    )  # fmt: skip


def _parts_of_sections(understood: Understood) -> Iterator[Part]:
    """Lines that only the steps under one heading name: “For the sauce”."""
    steps = understood.said
    sections = understood.recipe.sections
    ends = [*(section.first for section in sections[1:]), len(steps)]
    for section, end in zip(sections, ends, strict=False):
        here = " ".join(steps[section.first : end]).lower()
        others = " ".join((*steps[: section.first], *steps[end:])).lower()
        lines = tuple(
            item.index for item in understood.ingredients
            if is_named(understood, item, here) and not is_named(understood, item, others)
        )  # fmt: skip
        yield Part.of(section.name, lines)


HEADING_WORDS = re.compile(r"^(?:for )?(?:the )?|\W+$", re.I)


def _parts_by_their_use(understood: Understood) -> Iterator[Part]:
    """“Sticky stuff” that the steps warm in a pan of its own and paint on is a glaze."""
    sentences = [text for step in understood.recipe.steps for text in sentences_in(step)]
    for part in understood.recipe.parts:
        name = HEADING_WORDS.sub("", part.name).lower()
        one_word = len(name.split()) < 2 and food_of(name) is not UNKNOWN
        if part.role != "main" or len(name) < _LEAST_NAME or _has_meat(understood, part):
            continue
        rows = frozenset(part.lines)
        if any(
            is_side_work(text) and len(rows_named(understood, text) & rows) > 1
            for text in sentences
            if re.search(rf"\b{re.escape(name)}\b", text.lower())
        ):
            yield Part(part.name, "beside", part.lines)  # “Warm the beans in a pan with the garlic”
            continue
        if _is_made_and_served(understood, name):
            yield Part(part.name, "beside", part.lines)  # “Stir together the nuoc cham. Serve with”
            continue
        naming = [text for text in sentences if name in text.lower()]
        if not one_word and any(
            OWN_PAN.search(text) or _ON_THE_MEAT.search(text) for text in naming
        ):
            brushed = any(_ON_THE_MEAT.search(text) for text in sentences)
            yield Part(part.name, "glaze" if brushed else "sauce", part.lines)


def _is_made_and_served(understood: Understood, name: str) -> bool:
    """Whether a part is named behind the long heat alone, and served beside."""
    main = understood.cooking.main
    if main is None:
        return False
    early, late = (" ".join(some).lower() for some in around(understood.recipe.steps, *main))
    served = re.search(rf"\bserve\b[^.;]*\b{re.escape(name)}\b", late)
    mixed = rf"\b(?:stir|whisk|mix|chop) (?:the |your )?{re.escape(name)} ingredients\b"
    made = making(name).search(late) or re.search(mixed, late)
    return name not in early and served is not None and made is not None


def _has_meat(understood: Understood, part: Part) -> bool:
    return any(
        understood.ingredients[row].kind == "meat" for row in part.lines if _is_row(understood, row)
    )


_LEAST_NAME = 4
"""Letters of a name that means no food: “salmuera”. Judgement."""


def _is_row(understood: Understood, row: int) -> bool:
    return 0 <= row < len(understood.ingredients)


BRUSHED = any_of(
    r"\b(?:be|ein)(?:streich|pinsel)\w*", r"\b(?:glasier|lackier)",
    r"\bbrush", r"\bslather", r"\btoss", r"\bglaz", r"\bbroil", r"\bpaint", r"\bbaste", r"\bspread",
    r"\bcoat(?!s)(?! (?:a|the) (?:back of )?(?:a |the )?spoon)",
    r"\bin(to)? an? (foil )?(pan|tray) with\b",
    r"\bsauced\b[^.;]{0,12}\bthe last\b",
    r"(?:^|[.;,] |\band )sauce (?:['’]?em|them|it|both sides|the (?:ribs?|racks?|meat))\b",
)  # fmt: skip

"""Parts that are not cooked with the meat, and what is named only after the long heat."""

import re
from collections.abc import Iterator

from pneumachron.recipes.converting.glazes import OWN_PAN, is_boiled_late, parts_of_mixes
from pneumachron.recipes.converting.marks import When
from pneumachron.recipes.converting.naming import (
    EXCEPT,
    around,
    around_long_heat,
    around_the_heat,
    is_named,
    is_some_sauce,
    names_any,
    rows_named,
)
from pneumachron.recipes.converting.seasoning import SPRAYED
from pneumachron.recipes.converting.themes import MIXED, WITH_THE_MEAT
from pneumachron.recipes.model import Part, PartRole, Section
from pneumachron.recipes.understanding.durations import durations_in
from pneumachron.recipes.understanding.ingredients import (
    THIN_KINDS,
    UNKNOWN,
    Ingredient,
    Kind,
    food_of,
    foods_in,
)
from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.sentences import sentences_in
from pneumachron.recipes.understanding.understand import Understood

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
    for part in told:
        items = [understood.ingredients[row] for row in part.lines if _is_row(understood, row)]
        meat = any(item.kind == "meat" for item in items)
        thin_m3 = sum(item.volume_m3 or 0.0 for item in items if item.kind in THIN_KINDS)
        braise = part.role == "sauce" and (
            (thin_m3 > LIQUID_OF_A_BRAISE_M3 and not is_boiled_late(understood, part))
            or _is_poured_in(understood, part)
        )
        if part.role in _APART and not (meat or braise or SPRAYED.search(part.name)):
            # (a mop keeps meat moist in a smoker; under the lid nothing dries)
            # what is made behind all the rest, under a heading of its own, stays a sauce of its own
            alone = part.role == "sauce" and (
                part.name in own or _is_made_late(understood, part.name)
            )
            told_part = Part(part.name, "beside", part.lines) if alone else part
            if _TO_FINISH.search(part.name):
                items = [item for item in items if not _is_brushed(understood, item)]
            found |= {item.index: told_part for item in items if item.kind != "starch"}
    return found


_TO_FINISH = any_of(r"\bto finish\b", r"\bfinishing\b")


def _is_brushed(understood: Understood, item: Ingredient) -> bool:
    """“Brush with BBQ sauce and broil”: what stands “To finish” is not served beside then."""
    sweet = item.kind in _SWEET or is_some_sauce(item)
    return sweet and any(
        BRUSHED.search(text) and is_named(understood, item, text.lower())
        for step in understood.said for text in sentences_in(step)
    )  # fmt: skip


def _is_made_late(understood: Understood, name: str) -> bool:
    """“For the apple sauce, put everything in a pan”, behind the long heat: it is served apart."""
    bare = _HEADING_WORDS.sub("", name).lower()
    main = understood.cooking.main
    if main is None or len(bare.split()) < 2 or brushes_the_sauce(understood):
        return False
    made = re.compile(
        rf"\b(?:for|make|prepare|cook) (?:the |your )?{re.escape(bare)}\b"
        rf"|\b(?:stir|whisk|shake|mix) (?:the |your )?(?:{re.escape(bare)}|sauce)(?: ingredients)?"
        r" (?:in an? (?:\w+ )?(?:jar|bowl|bottle|jug)\b|together|until|till)",
        re.I,
    )
    late = around(understood.said, *main)[1]
    raw = any(_MADE_RAW.search(text) and not _OF_THE_JUICE.search(text) for text in late)
    return raw or any(made.search(text) for text in late)


_MADE_RAW = any_of(
    r"\bmake (?:the|your) sauce\W+(?:combine|mix|stir|whisk|blend|blitz|shake|put|place)\b"
)
_OF_THE_JUICE = any_of(
    r"\b(?:juices?|drippings|liquid|strain\w*|skim\w*|gravy|simmer|reduce|boil|pan|pot)\b"
)


_DUMPLINGS = any_of(r"\b(?:mix|make|shape|roll|form)\b[^.;]{0,20}\bdumplings?\b")


def makes_a_side(understood: Understood, step: str) -> bool:
    """Whether a step makes a part that is served beside the meat."""
    names = {
        _HEADING_WORDS.sub("", part.name).lower()
        for part in parts_apart(understood).values() if part.role == "beside"
    }  # fmt: skip
    low = step.lower()
    if _DUMPLINGS.search(low) and any("dumpling" in name for name in names):
        return True
    if _MADE_RAW.search(step) and any(name.endswith("sauce") for name in names):
        return True
    return any(
        len(name.split()) > 1
        and re.search(rf"\b(?:for|make|prepare) (?:the |your )?{re.escape(name)}", low)
        for name in names
    )


def _sections_after(understood: Understood) -> Iterator[Section]:
    """Headings over steps that stand behind the long heat."""
    last = max(understood.cooking.steps, default=None)
    if last is not None:
        yield from (each for each in understood.recipe.sections if each.first > last)


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


def brushes_the_sauce(understood: Understood) -> bool:
    """Whether what the recipe calls its sauce goes onto the meat after the long heat."""
    cooking = understood.cooking
    if cooking.main is None:
        return False
    _, late = around(understood.said, *cooking.main)
    if cooking.method in {"grill", "smoker"}:  # brushed while it is on the grill
        late = [*late, understood.said[cooking.main[0]]]
    return any(
        _TOSSED_IN.search(text)
        or (_ON_THE_MEAT.search(text) and not names_any(understood, text.lower()))
        for step in late for text in sentences_in(step)
    )  # fmt: skip


_ON_THE_MEAT = any_of(
    r"\b(brush|baste|paint|glaze|slather|lacquer)(es|ed|ing)?\b",
    r"(?:^|[.;,] |\band )sauce (?:the|them|both|all)\b",
)
_TOSSED_IN = any_of(
    r"\btoss\w*\b[^.;]{0,30}\b(in|with) (the |all the |half the |warm )?(\w+ )?(sauce|glaze)\b",
    r"\b(?:tip|add|put|return|slide) (?:in |back )?(?:all )?"
    r"the (?:ribs|riblets|wings|pieces|pork|meat)\b[^.;]{0,20}\b(?:toss|coat)",
)
_POURED_IN = any_of(
    r"\b(with|in|add|pour\w*|tip\w*|over) (in |on |over )?(all )?(of )?the (\w+ )?"
    r"(sauce|marinade|mixture|mix|liquid)\b(?! (and serve|to serve|on the side))",
    r"\b(dump|put|place|add|tip|throw)\b[^.;]*(?:\+|&|\band\b|\bwith\b|\bw/) ?(?:the )?sauce\b",
)


_IN_THE_POT_WITH = any_of(
    r"\bin(?:to)? (?:the |a |your )?(?:\w+ )?(?:pot|pan|dutch oven|casserole|cooker)"
    r" (?:with|w/) ?(?:the |all (?:of )?the )?(?:sauce|marinade|liquid)\b"
)
"""“Rinse. Put in pot w/ sauce and 2 c water.”"""
_MADE_AND_POURED = re.compile(
    r"\b(?:blend|whisk|mix|stir|combine)\b[^.;]*\bsauce ingredients\b[^.]{0,400}"
    r"[,;] (?:and |then )?pour (?:it |this )?(?:over|around|on top)\b",
    re.I,
)


def _is_poured_in(understood: Understood, part: Part) -> bool:
    """Whether the steps pour a sauce in with the meat before the long heat."""
    cooking = understood.cooking
    if cooking.main is None or part.role != "sauce":
        return False
    early, _ = around(understood.said, *cooking.main)
    return any(_MADE_AND_POURED.search(step) for step in early) or any(
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


_HEADING_WORDS = re.compile(r"^(?:for )?(?:the )?|\W+$", re.I)


def _parts_by_their_use(understood: Understood) -> Iterator[Part]:
    """“Sticky stuff” that the steps warm in a pan of its own and paint on is a glaze."""
    sentences = [text for step in understood.said for text in sentences_in(step)]
    for part in understood.recipe.parts:
        name = _HEADING_WORDS.sub("", part.name).lower()
        if part.role != "main" or len(name.split()) < 2:
            continue
        naming = [text for text in sentences if name in text.lower()]
        if any(OWN_PAN.search(text) or _ON_THE_MEAT.search(text) for text in naming):
            brushed = any(_ON_THE_MEAT.search(text) for text in sentences)
            yield Part(part.name, "glaze" if brushed else "sauce", part.lines)


def _is_row(understood: Understood, row: int) -> bool:
    return 0 <= row < len(understood.ingredients)


BRUSHED = any_of(
    r"\b(?:be|ein)(?:streich|pinsel)\w*", r"\bglasier",
    r"\bbrush", r"\btoss", r"\bglaz", r"\bbroil", r"\bpaint", r"\bbaste", r"\bspread",
    r"\bcoat(?!s)(?! (?:a|the) (?:back of )?(?:a |the )?spoon)",
    r"\bin(to)? an? (foil )?(pan|tray) with\b",
)  # fmt: skip
_SERVED = any_of(r"\bserved?\b", r"\bscatter", r"\bsprinkle", r"\bgarnish",
                 r"\beat(en)? (it |them )?with\b", r"\bon the side\b(?! burner)",
                r"\b(?:pile|stuff|load|heap|fill|divide|tuck)\w*\b[^.;]*"
                r"\b(?:buns?|rolls|baps?|sandwich\w*|tortillas?|tacos?|wraps?|pitt?as?|bread)\b",
                 r"\btop(ped)? (it |them |each |off )*with\b")  # fmt: skip
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
        brushed = item.kind in _SWEET or is_some_sauce(item) or item.food.words == "butter"
        before, after = longest if brushed else whole
        low, late = EXCEPT.sub("", " ".join(before).lower()), " ".join(after).lower()
        if _cooks_on(understood, item, after):
            continue
        if item.kind == "salt" and (item.volume_m3 or 0.0) > MOST_SALT_M3:
            continue
        told = parted if item.line.amount is None else (item,)
        early = any(is_named(understood, each, low) for each in told)
        named = next((each for each in told if is_named(understood, each, late)), None)
        if item.kind not in _NEVER_LATE and named and not early:
            found[item.index] = (
                "beside" if item.index in salad else _late_when(understood, named, after)
            )
    return found


MOST_SALT_M3 = 20e-6
"""More salt than a heaped tablespoon is that of the meat, wherever salt is named. Judgement."""
_LISTED = re.compile(r",\s*|\s+(?:&|and)\s+")
_LEAST_LISTED = 3
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
    beside = [
        each for each in understood.ingredients
        if abs(each.index - item.index) == 1 and each.line.amount is None and each.kind == "beside"
    ]  # fmt: skip
    return bool(beside) and not is_named(
        understood, item, " ".join(understood.recipe.steps).lower()
    )


_TOPS: frozenset[Kind] = frozenset({"dairy", "tender_veg", "fresh_herb", "thick", "chilli"})
_WHOLE_HEAT_S = 900.0
"""What a root is given, and no warming through. Judgement."""


def _cooks_on(understood: Understood, item: Ingredient, sentences: list[str]) -> bool:
    """“Add the potatoes. Cook for a further 40 min”: a root that is cooked, and not stirred in."""
    if item.kind != "root":
        return False
    told = [part for text in sentences for part in sentences_in(text)]
    at = next(
        (place for place, text in enumerate(told) if is_named(understood, item, text.lower())), None
    )
    return at is not None and any(
        span.high_s >= _WHOLE_HEAT_S for text in told[at : at + 2] for span in durations_in(text)
    )


def _salad(understood: Understood, late: list[str]) -> frozenset[int]:
    """Lines that the steps mix raw, away from the meat, for a slaw or a salad."""
    sentences = [text for step in late for text in sentences_in(step)]
    if not any(_SALAD.search(text) for text in sentences):
        return frozenset()
    rows = [
        named for text in sentences
        if _TOSSED_RAW.search(text) and not WITH_THE_MEAT.search(text)
        and len(named := rows_named(understood, text)) > 1
        and any(understood.ingredients[row].kind in _RAW for row in named)
    ]  # fmt: skip
    return frozenset().union(*rows)


_SALAD = any_of(r"\bslaw\b", r"\bsalad\b", r"\bsalsa\b", r"\brelish\b", r"\bpickles?\b")
_TOSSED_RAW = any_of(
    r"\b(combine|mix|toss|stir|dress)\b(?![^.;]*\b(pan|pot|heat|simmer|boil|sauce)\b)"
)
_RAW: frozenset[Kind] = frozenset({"root", "tender_veg", "fresh_herb", "unknown"})


_SWEET: frozenset[Kind] = frozenset({"sugar", "sugar_thick", "sweet_sauce"})


def _late_when(understood: Understood, item: Ingredient, sentences: list[str]) -> When:
    steps = " ".join(text for text in sentences if is_named(understood, item, text.lower()))
    told = (part for text in sentences for part in sentences_in(text))
    naming = [text for text in told if is_named(understood, item, text.lower())]
    clauses = (part for text in naming for part in _CLAUSES.split(text))
    own = " ".join(part for part in clauses if is_named(understood, item, part.lower()))
    sticky = item.kind in _SWEET or item.food.words == "butter"
    foiled = _IN_FOIL.search(steps) or _FOILED_WITH.search(steps)
    dredged = item.kind in {"starch", "flour"} and any(map(_DREDGED.search, naming))
    if dredged or (sticky and foiled):
        return "finish"
    # "brush over the ribs, broil 5 min. Serve with rice": what is served is not brushed on
    if any(_WHIPPED.search(text) for text in naming) or _SERVED_WITH.match(own):
        return "beside"
    if item.kind == "starch" and "crumb" not in item.food.words:
        return "after"
    if BRUSHED.search(steps):
        butter = "butter" in item.food.words
        return "beside" if item.kind in _NO_GLAZE and not butter else "finish"
    if item.kind in _SWEET and _STREWN_ON.search(own):
        return "finish"
    return "beside" if _SERVED.search(own) else "after"


_IN_FOIL = any_of(r"\b(?:sheets?|pieces?|lengths?) of foil\b", r"\bwrap", r"\bon (?:the )?foil\b")
"""“Lay out two sheets of foil. Top each with butter and brown sugar, then the ribs.”"""
_FOILED_WITH = any_of(r"\bfoil (?:it |them |the ribs )?with\b")
_DREDGED = any_of(
    r"\b(?:toss|coat|dust|roll|dredge|dip|turn)\w*\b[^.;]{0,40}\b(?:in|with)\b[^.;]*\bfry\b"
)
"""“Toss them in the cornflour and fry”: a crust, and no thick sauce."""
_SERVED_WITH = re.compile(r"\W*serve[ds]?\b[^.;]{0,20}\b(?:with|on|over)\b", re.I)
_STREWN_ON = any_of(r"\bsprinkle", r"\bscatter", r"\bdrizzle", r"\bdust\b", r"\bstrew")
"""“Sprinkle the sugar, drizzle the honey”, when the ribs are wrapped: a sticky finish."""
_NO_GLAZE: frozenset[Kind] = frozenset({"dairy", "foaming"})
"""What no meat is brushed with: cream, noodles."""
_WHIPPED = any_of(r"\bwhip(ped|s)?\b")
_CLAUSES = re.compile(
    r"(?:[,;]|\band\b|\bthen\b)[\s,;]*(?:then |and )?"
    r"(?=(?:stir|scatter|sprinkle|serve|top|fold|add|mix|whisk|garnish|finish|spoon|pour|melt|drizzle"
    r"|strew|season|beat|eat)\b)",
    re.I,
)
"""“Stir in the cream and scatter with parsley”: each food has its own verb."""

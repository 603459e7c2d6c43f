"""What the steps of a recipe are about, and which ingredients they rub, spray or marinate."""

import re
from collections.abc import Iterator
from typing import Literal, TypeAlias

from pneumachron.recipes.converting.marks import When
from pneumachron.recipes.model import Part, PartRole
from pneumachron.recipes.understanding.durations import durations_in
from pneumachron.recipes.understanding.ingredients import THIN_KINDS, Ingredient, Kind
from pneumachron.recipes.understanding.method import Method
from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.understand import Understood

Theme: TypeAlias = Literal[
    "heat", "spray", "marinate", "season", "sear", "soften", "deglaze", "sauce", "finish",
    "rest", "carve", "serve", "other",
]  # fmt: skip

_PUSHED = (
    r"\b(?:push|press|poke|massage|work|pat|sprinkle|scatter)\b[^.;]{0,50}?"
    r"\b(?:into|over|onto|on|with)\b[^.;]{0,20}\b(?:slits|meat|pork|beef|brisket|ribs|skin)\b"
    r"|\bsprinkle (?:the )?(?:meat|pork|beef|brisket|ribs?|roast) with\b"
)
"""Rubbed in by another word."""
_TOSSED = (
    r"\btoss (?:the |your |all )?(?:meat|pork|beef|ribs?|chunks|cubes|pieces|brisket|shoulder)"
    r" (?:in|with|through)\b"
)
"""Raw meat tossed with its seasoning."""
_THEMES: tuple[tuple[Theme, re.Pattern[str]], ...] = (
    ("heat", any_of(r"^(cook(ing)? )?temp(erature)?\s*:", r"^(wood|fuel)\s*:")),
    ("spray", any_of(r"\bsprit?z", r"\bmop(s|ped|ping)?\b")),
    (
        "heat",
        any_of(
            r"\bpreheat",
            r"\bin the slow cooker",
            r"\bheat the (oven|grill|smoker)",
            r"\boven at\b",
            r"\bget the oven",
            r"\bbring the smoker",
            r"\bset (up )?the grill",
            r"\bset the smoker",
            r"\bclose, bring\b",
            r"\block the lid",
            r"\bturn down to",
            r"\bwrap\b",
        ),
    ),
    (
        "marinate",
        any_of(r"\bmarinat", r"\boverlay in\b", r"\bfor \d+ hours? in the (fridge|refrigerator)"),
    ),
    (
        "season",
        any_of(
            r"\brub\b",
            r"\bseason\b",
            r"\bsalt the",
            r"(?<!to )\bcoat\b(?! (a|the) (back of )?(a |the )?spoon)",
            r"\bslather",
            r"\bdust\b",
            r"\btoss the",
            _TOSSED,
            _PUSHED,
            r"\bstab\b",
            r"\bpat\b",
            r"\btrim\b",
            r"\bmembrane",
            r"\bmix (the )?(salt|sugar|spices)",
            r"\bmixed dry spices",
        ),
    ),
    ("sear", any_of(r"\bbrown (the|in|on|it|them)", r"\bsear\b", r"\bfry the\b", r"\bbrown\b")),
    ("soften", any_of(r"\bsoften", r"\bonions?\b", r"\bgarlic\b")),
    ("deglaze", any_of(r"\bwine\b", r"\bdeglaz", r"\bscrape")),
    (
        "finish",
        any_of(
            r"\bbroil",
            r"\bglaze",
            r"\bbrush",
            r"\bpaint\b",
            r"\bcrisp",
            r"\bdirect heat",
            r"\bunder the grill",
        ),
    ),
    (
        "rest",
        any_of(
            "^(let )?(it )?rest",
            r"\brest \d",
            r"\brest for",
            r"\bhold in",
            r"\brest wrapped",
            r"\bchill overnight",
        ),
    ),
    (
        "carve",
        any_of(r"\bslice", r"\bcarve", r"\bpull\b", r"\bshred", r"\bcut between", r"\blift out"),
    ),
    (
        "sauce",
        any_of(
            r"\bthicken",
            r"\bskim",
            r"\breduc",
            r"\bgravy",
            r"\bsauce\b",
            r"\bstir in\b",
            r"\bstir the\b",
            r"\bboil it down",
            r"\bwhisk\b",
            r"\bmelt\b",
            r"\bwarm the",
        ),
    ),
    ("serve", any_of(r"\bscatter", r"\bsprinkle", r"\bserve\b", r"\bover\b")),
)


def theme_of(step: str) -> Theme:
    """What a step is mostly about."""
    for theme, pattern in _THEMES:
        if pattern.search(step):
            return theme
    return "other"


def named_in(understood: Understood, pattern: re.Pattern[str]) -> frozenset[int]:
    """Lines whose ingredient a step of some theme names, by its last word."""
    steps = [step for step in understood.said if pattern.search(step)]
    text = " ".join(steps).lower()
    return frozenset(item.index for item in understood.ingredients if _named(item, text))


def _named(item: Ingredient, text: str) -> bool:
    name = item.line.name.lower()
    words = re.findall(r"[a-z]{3,}", name)
    if not words:
        return False
    last = words[-1]
    # "the mustard" is mustard powder; but garlic is not garlic powder
    if last in _GENERIC and len(words) > 1 and words[-2] not in {"garlic", "onion"}:
        last = words[-2]
    return name in text or bool(re.search(rf"\b{re.escape(last.rstrip('s'))}", text))


_SHREDS = any_of(r"\bshred(s|ded|ding)?\b",
                 r"\bpull (the |all the )?(meat|beef|it) (off|from|apart)\b",
                 r"\bdiscard (the )?bones\b")  # fmt: skip


def shreds(understood: Understood) -> bool:
    """Whether the recipe takes its meat off the bones."""
    return any(_SHREDS.search(step) for step in understood.recipe.steps)


def names_any(understood: Understood, text: str) -> bool:
    """Whether a text names any ingredient but the meat."""
    low = text.lower()
    return any(item.kind != "meat" and _named(item, low) for item in understood.ingredients)


_OWN_WORK = any_of(
    r"\bblend(er|ed)?\b", r"\bpur[eé]e\b(?! and)", r"\bblitz\w*", r"\bliquidi[sz]e\w*",
    r"\bwhi(z|zz)\b", r"\bprocess(or)?\b", r"\btoast\b", r"\bsoak\b", r"\bgrind\b",
    r"\bpound\b", r"\bpar-?boil\w*", r"\bblanch\w*", r"\bchar (the )?(tomato|onion|pepper|chil)",
    r"\bpickle\b", r"\bnext day\b", r"\breheat\b", r"\b(refrigerate|chill)\b.*\bovernight\b",
    r"\bovernight\b.*\b(fridge|refrigerator)\b", r"\bbash\b", r"\bpeel\b", r"\bdry-?fry\b",
)  # fmt: skip


def is_own_work(text: str) -> bool:
    """Whether a text tells work that no step of ours does."""
    return _OWN_WORK.search(text) is not None


_GENERIC = frozenset({"powder", "sauce", "flakes", "seeds", "seed", "leaves", "syrup"})
"""Words that come after what a thing is."""


SEASONED = any_of(
    r"\brub\b",
    r"\bseason\b",
    r"\bsalt the",
    r"(?<!to )\bcoat\b",
    r"\bslather",
    r"\bmix (the )?(salt|sugar|spices)",
    r"\bmixed dry spices",
    _TOSSED,
    _PUSHED,
)
BROWNED = any_of(r"\bbrown(ed|ing|s)?\b(?! sugar| rice| ale| gravy)", r"\bsear(ed|ing|s)?\b")
"""The meat is browned in the pot, whatever else the step does."""
CURED = any_of(r"\bcur(e|es|ed|ing)\b", r"\bbrin(e|es|ed|ing)\b", r"\brins(e|es|ed|ing)\b")
_CURES = any_of(r"\bin (the|this) (brine|cure)\b", r"\bbrine (the|it|them)\b",
                r"\bcure (the|it|them)\b", r"\b(brine|cure) for\b",
                r"\b(cover|submerge)\w* .{0,60}\bbrine\b", r"\bleave to cure\b")  # fmt: skip


_CURED_MEAT = any_of(r"\bcorned\b", r"\bcured\b", r"\bsalt beef\b", r"\bpickled\b", r"\bbrined\b")


def is_cured(understood: Understood) -> bool:
    """Whether the meat is cured: as it was bought, or by what the recipe buys or does."""
    return _cures_it(understood) or bought_cured(understood)


def bought_cured(understood: Understood) -> bool:
    """Whether the meat came cured from the shop: corned beef."""
    row = understood.meat_index
    return row is not None and bool(_CURED_MEAT.search(understood.ingredients[row].line.raw))


def _cures_it(understood: Understood) -> bool:
    buys = any(item.kind == "cure" for item in understood.ingredients)
    return buys or any(_CURES.search(step) for step in understood.recipe.steps)


def cured_lines(understood: Understood) -> frozenset[int]:
    """Lines that belong to the cure or brine: they are no seasoning and go into no cooker."""
    if not _cures_it(understood):
        return frozenset()
    meat = {item.index for item in understood.ingredients if item.kind in {"meat", "other_meat"}}
    own = {item.index for item in understood.ingredients if item.kind == "cure"}
    return (named_in(understood, CURED) | own) - meat


SPRAYED = any_of(r"\bsprit?z", r"\bmop(s|ped|ping)?\b")
MARINATED = any_of(r"\bmarinat", r"\bmarinade")


def sprayed_lines(understood: Understood) -> frozenset[int]:
    """Lines that are sprayed on while it smokes: named by such a step, or by their own words."""
    own = {item.index for item in understood.ingredients if SPRAYED.search(item.line.raw)}
    return named_in(understood, SPRAYED) | own


_FINE = any_of(r"\bfine(ly)?\b", r"\bminced\b", r"\bgrated\b", r"\bblitz", r"\bsoffritto\b",
               r"\bmirepoix\b", r"\bdiced?\b")  # fmt: skip
_WITH_ONIONS = any_of(r"\bonions?\b.*\bcarrots?\b", r"\bcarrots?\b.*\bonions?\b")
"""“3 onions, 4 carrots, 5 stalks celery”: what is strained out of the sauce."""
_SOFTENED = any_of(r"\bsoften", r"\bsweat\b", r"\bsaut[eé]", r"\bfry\b.{0,40}\bonions?\b")


def softened_lines(understood: Understood) -> frozenset[int]:
    """Roots that are cut small and softened with the onions: they become part of the sauce."""
    fries = fries_first(understood)
    return frozenset(
        item.index for item in understood.ingredients
        if fries and (_FINE.search(item.line.raw) or _WITH_ONIONS.search(item.line.raw))
    )  # fmt: skip


def fries_first(understood: Understood) -> bool:
    """Whether anything is fried in the pot before the long heat; the recipe may only mix and pour.

    What is smoked or roasted open has no pot to fry in: our pot has.
    """
    cooking = understood.cooking
    if cooking.main is None or cooking.method not in WET:
        return True
    early, _ = _around(understood.said, *cooking.main)
    return any(_SOFTENED.search(step) or _FRIED.search(step) for step in early)


WET: frozenset[Method] = frozenset(
    {"simmer", "slow_low", "slow_high", "oven_lid", "stovetop_pressure", "pressure"}
)
"""The meat lies in liquid under a lid: no crust comes of it, so none is lost."""
_FRIED = any_of(r"\bbrown(ed|ing|s)?\b(?! sugar| rice| ale| gravy| sauce)", r"\bsear(ed|ing|s)?\b",
                r"\bfr(y|ied|ying)\b", r"\bcook\b.{0,30}\b(onions?|vegetables|veg|garlic)\b",
                r"\bin with the (onions?|veg)", r"\bsizzl", r"\brender\b")  # fmt: skip


_PUT_IN = any_of(r"\b(pour|add|put|stir|mix|tip|top|combine|whisk)(s|ed)?\b")


def poured_in(understood: Understood) -> frozenset[int]:
    """Sweet sauces that go into a covered pot with the meat."""
    cooking = understood.cooking
    if cooking.main is None or cooking.method not in WET:
        return frozenset()
    early, _ = _around(understood.said, *cooking.main)
    texts = [
        text.lower() for step in early for text in sentences_in(step)
        if _PUT_IN.search(text) and not _BRUSHED.search(text)
    ]  # fmt: skip
    return frozenset(
        item.index for item in understood.ingredients
        if item.kind == "sweet_sauce" and any(_named(item, text) for text in texts)
    )  # fmt: skip


def is_browned(understood: Understood) -> bool:
    """Whether the recipe browns the meat before the long heat."""
    cooking = understood.cooking
    if cooking.main is None:
        return any(BROWNED.search(step) for step in understood.recipe.steps)
    early, _ = _around(understood.said, *cooking.main)
    return any(BROWNED.search(step) for step in early)


def binders_in_the_pot(understood: Understood) -> frozenset[int]:
    """Mustard and the like that the steps stir into the liquid, and do not put on the meat."""
    sentences = [text for step in understood.said for text in sentences_in(step)]
    return frozenset(
        item.index for item in understood.ingredients
        if item.kind == "binder" and any(
            _named(item, text.lower()) and _STIRRED_IN.search(text) and not SEASONED.search(text)
            for text in sentences
        )
    )  # fmt: skip


_STIRRED_IN = any_of(
    r"\b(pour|add|stir|whisk|tip)\b.*\b(stock|broth|wine|beer|ale|stout|cider|juice|water)\b"
)


_SOAKS: frozenset[Kind] = frozenset(
    {"dairy", "acid", "thick", "binder", "unknown", "fresh_herb", "tender_veg"}
)
"""What is sweet as well is left out of the marinade and comes on fresh with the finish."""


def in_marinade(understood: Understood) -> frozenset[int]:
    """Lines in a marinade with the raw meat: named by such a step, or under its heading."""
    meat = {item.index for item in understood.ingredients if item.kind in {"meat", "other_meat"}}
    rows = {
        row for part in understood.recipe.parts if part.role == "marinade" for row in part.lines
    }
    return (named_in(understood, MARINATED) | frozenset(rows)) - meat


def soaked_lines(understood: Understood) -> frozenset[int]:
    """Those of a marinade that are thick or sharp, and wiped off with it."""
    found = in_marinade(understood)
    return frozenset(
        item.index for item in understood.ingredients if item.index in found and item.kind in _SOAKS
    )


_RUB_KINDS = {"salt", "spice", "sugar", "dried_herb", "chilli", "rub", "baking", "binder"}


_SPICE_KINDS = {"spice", "dried_herb", "chilli", "rub"}
_RUB_THE_MEAT = any_of(
    r"\b(rub|season) (up )?(the |both |each |your )?"
    r"(ribs?|racks?|slabs?|meat|pork|beef|brisket|shoulder|butt|wings?|roast|joint|em|them|it)\b",
    r"\bcoat\w* with [^.;]{0,40}\brub\b",
    r"\b(rub|season) (generously|heavily|well|liberally|all over)\b",
)


def rubbed_lines(understood: Understood) -> frozenset[int]:
    """Lines that go onto the meat dry.

    Those that a step names which seasons, or all spices when it says “the spices”.
    """
    named = named_in(understood, SEASONED)
    text = " ".join(understood.said).lower()
    spices = {item.index for item in understood.ingredients if item.kind in _SPICE_KINDS}
    said = (
        r"\b(?:rub|season|sprinkle|dust|mix|combine|coat|massage|pat)\b[^.;]*\b(?:dry )?spices\b"
        r"|\bspices\b[^.;]*\b(?:on|over|into) (?:the |both )?"
        r"(?:meat|ribs|pork|beef|brisket|sides)\b"
        r"|\brub over\b|\bdry rub\b|\bseasonings\b"
        r"|\bdry (ingredients|stuff|things|mix)\b"
    )
    # “rub the ribs”, and no word of what with: with the spices there are
    plain = _RUB_THE_MEAT.search(text) is not None and not spices & named
    wet = binders_in_the_pot(understood)
    named |= {row for part in understood.recipe.parts if part.role == "rub" for row in part.lines}
    all_spices = plain or bool(re.search(said, text))
    return frozenset(
        item.index
        for item in understood.ingredients
        if item.kind in _RUB_KINDS and (item.index in named or all_spices) and item.index not in wet
    )


OVERNIGHT_S = (8 * 3600.0, 12 * 3600.0)
_RESTS = any_of(r"\bleave\b", r"\bstand\b", r"\brest\b", r"\brefrigerat", r"\bfridge\b",
                r"\bchill\b", r"\bset aside\b")  # fmt: skip
_NIGHT = re.compile(r"\bovernight\b|\bnight before\b|\bday before\b", re.I)


def marinating_s(understood: Understood) -> tuple[float, float] | None:
    """How long the recipe marinates [s]; None when it does not say."""
    for sentence in (text for step in understood.recipe.steps for text in sentences_in(step)):
        if not (MARINATED.search(sentence) or _RESTS.search(sentence)):
            continue
        if _NIGHT.search(sentence):
            return OVERNIGHT_S
        if spans := durations_in(sentence):
            return spans[0].low_s, spans[0].high_s
        if MARINATED.search(sentence):
            continue
    return None


def rub_rest_s(understood: Understood) -> tuple[float, float] | None:
    """How long the rubbed meat waits before it is cooked [s], when the recipe says so."""
    for index, step in enumerate(understood.recipe.steps):
        late = index > max(understood.cooking.steps, default=index)
        if late or index in understood.cooking.steps or theme_of(step) != "season":
            continue
        if _NIGHT.search(step):
            return OVERNIGHT_S
        for sentence in sentences_in(step):
            spans = durations_in(sentence) if _RESTS.search(sentence) else []
            if spans:
                return spans[0].low_s, spans[0].high_s
    return None


_APART: frozenset[PartRole] = frozenset({"glaze", "sauce", "beside"})
LIQUID_OF_A_BRAISE_M3 = 150e-6
"""A sauce with more stock, wine or water than this is what the meat cooks in. Judgement."""


def parts_apart(understood: Understood) -> dict[int, Part]:
    """Lines of parts that are not cooked with the meat: a glaze, a cream to serve with it."""
    found: dict[int, Part] = {}
    told = (*_parts_of_mixes(understood), *_parts_of_sections(understood), *understood.recipe.parts)
    for part in told:
        items = [understood.ingredients[row] for row in part.lines if _is_row(understood, row)]
        meat = any(item.kind == "meat" for item in items)
        thin_m3 = sum(item.volume_m3 or 0.0 for item in items if item.kind in THIN_KINDS)
        braise = part.role == "sauce" and (
            thin_m3 > LIQUID_OF_A_BRAISE_M3 or _is_poured_in(understood, part)
        )
        if part.role in _APART and not meat and not braise:
            found |= {item.index: part for item in items}
    return found


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


def brushes_the_sauce(understood: Understood) -> bool:
    """Whether what the recipe calls its sauce goes onto the meat after the long heat."""
    cooking = understood.cooking
    if cooking.main is None:
        return False
    _, late = _around(understood.said, *cooking.main)
    return any(
        _ON_THE_MEAT.search(text) and not names_any(understood, text.lower())
        for step in late for text in sentences_in(step)
    )  # fmt: skip


_ON_THE_MEAT = any_of(r"\b(brush|baste|paint|glaze|slather|lacquer)(es|ed|ing)?\b")
_POURED_IN = any_of(
    r"\b(with|in|add|pour\w*|tip\w*|over) (in |on |over )?(all )?(of )?the (\w+ )?"
    r"(sauce|marinade|mixture|mix|liquid)\b(?! (and serve|to serve|on the side))",
)


def _is_poured_in(understood: Understood, part: Part) -> bool:
    """Whether the steps pour a sauce in with the meat before the long heat."""
    cooking = understood.cooking
    if cooking.main is None or part.role != "sauce":
        return False
    early, _ = _around(understood.said, *cooking.main)
    return any(
        _POURED_IN.search(text) and _WITH_THE_MEAT.search(text)
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
            if _named(item, here) and not _named(item, others)
        )  # fmt: skip
        yield Part.of(section.name, lines)


_MIXED = any_of(
    r"\b(stir|mix|whisk|blend|combine|beat|shake)\b(?! (it |them |everything )?(in|into)\b)"
)
_WITH_THE_MEAT = any_of(
    r"\b(ribs?|meat|pork|beef|brisket|shoulder|roast|joint|wings?|cooker|crock|dutch oven)\b",
    r"\bpour(ed)? (it |this |them )?(over|around|in)\b", r"\bmarinat",
)  # fmt: skip
_PUT_ON = re.compile(
    r"\b(?:brush|paint|glaze|baste|slather|smear|mop|coat)\w*\b[^.;]*?"
    r"\b(?P<name>(?:[a-z]+ )?(?:mix|mixture|glaze|sauce|baste|syrup))\b",
    re.I,
)
"""“Paint with the ketchup mix”: what was stirred together before goes on at the end."""


def _parts_of_mixes(understood: Understood) -> Iterator[Part]:
    """What the steps stir together apart from the meat, and brush on later: a glaze.

    “Stir together the ketchup, treacle and mustard … paint with the ketchup mix.”
    """
    sentences = [part for step in understood.said for part in sentences_in(step)]
    meat = {item.index for item in understood.ingredients if item.kind in {"meat", "other_meat"}}
    for place, sentence in enumerate(sentences):
        if not _MIXED.search(sentence) or _WITH_THE_MEAT.search(sentence):
            continue
        put_on = next(
            (found for text in sentences[place + 1 :] if (found := _PUT_ON.search(text))), None
        )
        here = sentence.lower()
        elsewhere = " ".join((*sentences[:place], *sentences[place + 1 :])).lower()
        rows = [item.index for item in understood.ingredients if _named(item, here)]
        alone = [row for row in rows if not _named(understood.ingredients[row], elsewhere)]
        # a glaze takes its name from one of its own: "the ketchup mix"
        own = {
            row for row in rows if put_on and _named(understood.ingredients[row], put_on[0].lower())
        }
        lines = tuple(sorted({*alone, *own} - meat))
        if put_on and len(lines) >= 2:
            yield Part(put_on["name"], "glaze", lines)


def mixes_a_glaze(step: str) -> bool:
    """Whether a step stirs something together that is no work on the meat."""
    return any(
        _MIXED.search(text) and not _WITH_THE_MEAT.search(text) for text in sentences_in(step)
    )


def _is_row(understood: Understood, row: int) -> bool:
    return 0 <= row < len(understood.ingredients)


_BRUSHED = any_of(r"\bbrush", r"\btoss", r"\bglaz", r"\bbroil", r"\bcoat", r"\bpaint", r"\bbaste",
                  r"\bspread")  # fmt: skip
_SERVED = any_of(r"\bserve\b", r"\bscatter", r"\bsprinkle", r"\bgarnish")
_NEVER_LATE: frozenset[Kind] = frozenset({"meat", "other_meat", "cure", "smoke_wood", *THIN_KINDS})


def named_late(understood: Understood) -> dict[int, When]:
    """Lines that the steps name only after the main heat, and where they go then."""
    cooking = understood.cooking
    if not cooking.steps:
        return {}
    whole = _around_the_heat(understood.said, max(cooking.steps))
    # what is sweet and goes on between two long heats goes on late: it scorches
    longest = whole if cooking.main is None else _around(understood.said, *cooking.main)
    found: dict[int, When] = {}
    rub = {row for part in understood.recipe.parts if part.role == "rub" for row in part.lines}
    for item in understood.ingredients:
        if item.index in rub:
            continue
        before, after = longest if item.kind in _SWEET else whole
        low, late = _EXCEPT.sub("", " ".join(before).lower()), " ".join(after).lower()
        if item.kind not in _NEVER_LATE and _named(item, late) and not _named(item, low):
            found[item.index] = _late_when(item, after)
    return found


_EXCEPT = re.compile(
    r"\b(?:except(?: for)?|all but|apart from|but not|excluding|reserving|leaving out)\b[^.;]*"
)
"""“All of it except the sesame oil” does not put the sesame oil in."""
_SWEET: frozenset[Kind] = frozenset({"sugar", "sugar_thick", "sweet_sauce"})


def _around_the_heat(steps: tuple[str, ...], last: int) -> tuple[list[str], list[str]]:
    """Sentences up to the end of the heat, and those after it."""
    sentences = sentences_in(steps[last])
    timed = [index for index, text in enumerate(sentences) if durations_in(text)]
    return _around(steps, last, timed[-1] if timed else len(sentences) - 1)


def _around(steps: tuple[str, ...], step: int, place: int) -> tuple[list[str], list[str]]:
    """Sentences up to this one of a step, and those after it."""
    sentences = sentences_in(steps[step])
    early, late = sentences[: place + 1], sentences[place + 1 :]
    return [*steps[:step], *early], [*late, *steps[step + 1 :]]


def sentences_in(step: str) -> list[str]:
    """Sentences, and clauses behind a semicolon."""
    return re.split(r"(?<=[.;!])\s+", step)


def _late_when(item: Ingredient, sentences: list[str]) -> When:
    steps = " ".join(text for text in sentences if _named(item, text.lower()))
    if _BRUSHED.search(steps):
        return "finish"
    told = (part for text in sentences for part in sentences_in(text))
    naming = " ".join(text for text in told if _named(item, text.lower()))
    return "beside" if _SERVED.search(naming) else "after"

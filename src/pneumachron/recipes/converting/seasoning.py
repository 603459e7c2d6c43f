"""What is rubbed on, sprayed on, cured or marinated, and for how long."""

import re

from pneumachron.recipes.converting.naming import (
    before_the_heat,
    is_named,
    named_in,
    rows_named,
)
from pneumachron.recipes.converting.themes import MIXED, PUSHED, TOSSED, WITH_THE_MEAT, theme_of
from pneumachron.recipes.understanding.device import SIMMER
from pneumachron.recipes.understanding.durations import durations_in
from pneumachron.recipes.understanding.ingredients import Kind, foods_in
from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.sentences import sentences_in
from pneumachron.recipes.understanding.understand import Understood

SEASONED = any_of(
    r"\brub\b|\brubbed (?:\w+ )?(?:with|in)\b",
    r"\bseason\b(?! ?(?:[.;]|$|to taste))|\bseasoned with\b",
    r"\bsalt the",
    r"\bsalt (?:and|&|n) pepper (?:the |both |all )*"
    r"(?:ribs?|meat|pork|beef|brisket|shoulder|roast)\b",
    r"(?<!to )\bcoat\b",
    r"\bsprinkle with\b[^.;]{0,30}\b(?:salt|pepper|rub|spices?|seasoning|paprika)\b",
    r"\bslather",
    r"\bdust(?:ed)?\b(?! (?:with|in) (?:flour|parsley|cocoa|icing))",
    r"\btoss(?:ed)? (?:well |lightly |them |it )?with\b",
    r"(?:[;,.]|\band) ?salt (?:&|and) pepper[ .]*(?:$|[;.])",
    r"\bmix (the )?(salt|sugar|spices)",
    r"\bmixed dry spices",
    r"\b(salzen|pfeffern|w(ü|ue)rzen|einreiben)\b",
    TOSSED,
    PUSHED,
)
CURED = any_of(
    r"\bcur(e|es|ed|ing)\b", r"\bbrin(e|es|ed|ing)\b", r"\brins(e|es|ed|ing)\b",
    r"\bsoak\b.{0,24}\bwater\b", r"\binject\w*",
)  # fmt: skip
_CURES = any_of(r"\bin (the|this) (brine|cure)\b", r"\bbrine (the|it|them)\b",
                r"\bcure (the|it|them)\b", r"\b(brine|cure) for\b",
                r"\b(cover|submerge)\w* .{0,60}\bbrine\b", r"\bleave to cure\b")  # fmt: skip
_CURED_MEAT = any_of(r"\bcorned\b", r"\bcured\b", r"\bsalt beef\b", r"\bpickled\b", r"\bbrined\b",
                      r"\bgep(ö|oe)kelt", r"\bkas+eler\b")  # fmt: skip


def is_cured(understood: Understood) -> bool:
    """Whether the meat is cured: as it was bought, or by what the recipe buys or does."""
    return _cures_it(understood) or bought_cured(understood)


def bought_cured(understood: Understood) -> bool:
    """Whether the meat came cured from the shop: corned beef."""
    row = understood.meat_index
    return row is not None and bool(_CURED_MEAT.search(understood.ingredients[row].line.raw))


def _cures_it(understood: Understood) -> bool:
    buys = any(item.kind == "cure" for item in understood.ingredients)
    return (
        buys
        or bool(_in_brine(understood))
        or any(_CURES.search(step) for step in understood.recipe.steps)
    )


def cured_lines(understood: Understood) -> frozenset[int]:
    """Lines that belong to the cure or brine: they are no seasoning and go into no cooker."""
    if not _cures_it(understood):
        return frozenset()
    meat = {item.index for item in understood.ingredients if item.kind in {"meat", "other_meat"}}
    own = {item.index for item in understood.ingredients if item.kind == "cure"}
    told = " ".join(
        text for step in understood.said for text in sentences_in(step) if CURED.search(text)
    )
    return (rows_named(understood, told) | own | _in_brine(understood)) - meat


def _in_brine(understood: Understood) -> frozenset[int]:
    """Lines under a heading of a brine or cure."""
    return frozenset(
        row for part in understood.recipe.parts if part.role == "brine" for row in part.lines
    )


SPRAYED = any_of(r"\bsprit?z", r"\bbespr(ü|ue)h\w*", r"\bmop(s|ped|ping)?\b", r"\bspray bottle\b")
MARINATED = any_of(
    r"\bmarinat", r"\bmarinade",
    r"\b(ribs?|meat|pork|beef|brisket|shoulder)\b[^.;]{0,24}\bin (a|an|the) (\w+ )?"
    r"(bowl|bag|dish|tub|container) with\b",
)  # fmt: skip


def sprayed_lines(understood: Understood) -> frozenset[int]:
    """Lines that are sprayed on while it smokes: named by such a step, or by their own words."""
    own = {item.index for item in understood.ingredients if SPRAYED.search(item.line.raw)}
    told = {
        row for part in understood.recipe.parts if SPRAYED.search(part.name) for row in part.lines
    }
    poured = " ".join(
        text for step in understood.said for text in sentences_in(step)
        if _UNDER_A_LID.search(text) and not SPRAYED.search(text)
    )  # fmt: skip
    # "spritz with the stock hourly", and then braise it in the stock
    return (named_in(understood, SPRAYED) - rows_named(understood, poured)) | own | told


_UNDER_A_LID = any_of(
    r"\b(pan|pot|tray|tin|casserole|dutch oven)\b[^.;]*\b(with|and)\b", r"\bbrais(e|ing)\b"
)


def binders_in_the_pot(understood: Understood) -> frozenset[int]:
    """Mustard and the like that the steps stir into the liquid, and do not put on the meat."""
    sentences = [text for step in understood.said for text in sentences_in(step)]
    return frozenset(
        item.index for item in understood.ingredients
        if any(food.kind == "binder" for food in foods_in(item)) and any(
            is_named(item, text.lower()) and _STIRRED_IN.search(text) and not SEASONED.search(text)
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
    # under a heading of its own it is complete: what stands under another goes in later
    others = {
        row for part in understood.recipe.parts if rows and part.role != "marinade"
        for row in part.lines
    }  # fmt: skip
    apart = _rows_of_used(understood) | _rows_soaked_apart(understood) | others
    named = named_in(understood, MARINATED)
    if any(_IN_EVERYTHING.search(step) for step in understood.said):
        named = frozenset(
            item.index for item in understood.ingredients if item.kind not in {"beside", "fat"}
        )
    return ((named - apart) | frozenset(rows)) - meat


_IN_EVERYTHING = any_of(
    r"\bmarinat\w*\b[^.;]{0,20}\b(?:with|in) (?:everything|all (?:the )?(?:rest|others?|"
    r"(?:other )?ingredients))\b"
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
    used = [step for step in understood.said if _USED.search(step)]
    soaks = " ".join(
        step for step in understood.said if MARINATED.search(step) and not _USED.search(step)
    )
    return frozenset().union(*(rows_named(understood, step) for step in used)) - rows_named(
        understood, soaks
    )


_USED = any_of(
    r"\b(pour|tip|strain|add|return)\w* (in |over |back )?(the |any |all )?(\w+ )?marinade\b"
    r"[^.;]*\b(boil|simmer|bubble|reduce)",
    r"\b(boil|simmer|reduce)\w* (down )?(the |any )?(\w+ )?marinade\b",
)


_SOME_OF_IT = any_of(
    r"\b(rub|pour|coat|spread|brush|toss|marinate|add|smear|cover)\w*\b[^.;]*"
    r"\b(half|some|most|a third|two[- ]thirds|three[- ]quarters|1/2|2/3|3/4)\b",
    r"\b(reserve|set aside|keep|hold) (?:back )?(half|some|a third|a quarter|the rest|[\d½¼⅓])",
)
_THE_REST = any_of(
    r"\b(brush|baste|glaze|paint|slather|coat|spoon|toss|mop)\w*\b[^.;]*"
    r"\b(remaining|remainder|rest of|reserved|other half|left-?over|set[- ]aside)\b"
)


def shared_lines(understood: Understood) -> frozenset[int]:
    """Lines mixed once, of which a part goes onto the raw meat and the rest is brushed on late."""
    sentences = [text for step in understood.said for text in sentences_in(step)]
    early = before_the_heat(understood)
    before = sum(len(sentences_in(text)) for text in early)
    meat = {item.index for item in understood.ingredients if item.kind in {"meat", "other_meat"}}
    for place, sentence in enumerate(sentences):
        if not MIXED.search(sentence) or WITH_THE_MEAT.search(sentence):
            continue
        rows = rows_named(understood, sentence.lower()) - meat
        some = next(
            (at for at, text in enumerate(sentences) if at > place and _SOME_OF_IT.search(text)),
            len(sentences),
        )
        if some >= before:
            continue  # half of it is poured over cooked meat
        rest = any(_THE_REST.search(text) for text in sentences[some + 1 :])
        if rest and len(rows) > 1:
            return rows
    return frozenset()


def soaked_lines(understood: Understood) -> frozenset[int]:
    """Those of a marinade that are thick or sharp, and wiped off with it."""
    found = in_marinade(understood)
    paste = any(_TO_A_PASTE.search(text) for step in understood.said for text in sentences_in(step))
    kinds = _SOAKS | _GROUND if paste else _SOAKS
    return frozenset(
        item.index for item in understood.ingredients if item.index in found and item.kind in kinds
    )


_TO_A_PASTE = any_of(
    r"(?<!the )(?<!tomato )\b(grind|blend|blitz|process|pound|pur[eé]e|whizz?)\b[^.;]*"
    r"\b(marinade|(in)?to a paste|the paste)\b"
)
_GROUND: frozenset[Kind] = frozenset({"aromatic", "woody_herb", "spice", "dried_herb", "chilli"})
"""Garlic, ginger and spices of a paste are not fried out of it."""


_RUB_KINDS = {"salt", "spice", "sugar", "dried_herb", "chilli", "rub", "baking", "binder"}
_LEAVES = {"fresh_herb", "woody_herb", "aromatic"}
"""“Coriander” in a rub is no bunch of leaves, nor “garlic” cloves to fry."""
_SPICE_KINDS = {"spice", "dried_herb", "chilli", "rub"}
_RUB_THE_MEAT = any_of(
    r"\b(rub|season) (up )?(the |both |each |your )?"
    r"(ribs?|racks?|slabs?|meat|pork|beef|brisket|shoulder|butt|wings?|roast|joint|em|them|it)\b",
    r"\bcoat\w* with [^.;]{0,40}\brub\b",
    r"(^|[.;:] )(season|rub)(,| and (put|lay|brown|sear|place)|[.;])",
    r"\btrim,? (and|&) season\b|\bseason (and|&) (put|lay|brown|sear|place)\b",
    r"\b(rub|season) (generously|heavily|well|liberally|all over)\b",
)


_LEFT_WHOLE = any_of(r"\b(left|keep|kept|leave) whole\b", r"\(whole!?\)")
"""A whole chilli swims in the pot, and is no rub."""
_BINDS = re.compile(r"^\W*(?:binder|slather)\s*:", re.I)


def rubbed_lines(understood: Understood) -> frozenset[int]:
    """Lines that go onto the meat dry.

    Those that a step names which seasons, or all spices when it says “the spices”.
    """
    named = named_in(understood, SEASONED)
    text = " ".join(understood.said).lower()
    spices = {
        item.index for item in understood.ingredients
        if item.kind in _SPICE_KINDS and not _LEFT_WHOLE.search(item.line.raw)
    }  # fmt: skip
    said = (
        r"\b(?:rub|season|sprinkle|dust|mix|combine|coat|massage|pat)\b[^.;]*\b(?:dry )?spices\b"
        r"|\bspices\b[^.;]*\b(?:on|over|into) (?:the |both )?"
        r"(?:meat|ribs|pork|beef|brisket|sides)\b"
        r"|\brub over\b|\bdry rub\b|(?<!add the )(?<!add the ★ )(?<!off the )\bseasonings\b"
        r"|\bdry (ingredients|stuff|things|mix)\b"
    )
    # “rub the ribs”, and no word of what with: with the spices there are
    early = before_the_heat(understood)
    rubs = any(_RUB_THE_MEAT.search(step) for step in early)  # "season", at the end, is to taste
    plain = rubs and not spices & named
    wet = binders_in_the_pot(understood)
    rub = {row for part in understood.recipe.parts if part.role == "rub" for row in part.lines}
    named |= rub | {item.index for item in understood.ingredients if _BINDS.match(item.line.raw)}
    all_spices = plain or bool(re.search(said, text))
    others = " ".join(
        text for step in understood.said for text in sentences_in(step)
        if not SEASONED.search(text)
    ).lower()  # fmt: skip
    # "season the meat", and the mustard is whisked into the sauce by another step
    elsewhere = {
        item.index for item in understood.ingredients
        if item.kind in {"binder", "sugar"} and is_named(item, others)
    }  # fmt: skip
    return frozenset(
        item.index
        for item in understood.ingredients
        if not _LEFT_WHOLE.search(item.line.raw)
        and (item.kind in _RUB_KINDS or (item.index in rub and item.kind in _LEAVES))
        and item.index not in wet
        and (item.index in named or (all_spices and item.index not in elsewhere))
    )


_ON_RAW_MEAT = any_of(
    r"\b(season|rub|sprinkle|massage|pat|dust|coat|dredge|toss)\w*\b",
    r"(^|[.;,:] ?|\band )(salt|pepper)( (and|&|n) pepper)?\b(?! (it |them )?to taste)",
    r"\b(salzen|pfeffern|würzen|einreiben|gesalzen|gepfeffert)\b",
)
_NO_RAW_MEAT = any_of(
    r"\b(sauce|gravy|stock|broth|juices?|liquid|onions?|vegetables|veg|water|potatoes|taste|so(ß|ss)e"
    r"|gem(ü|ue)se|abschmecken|crumbs|batter|slaw|salad|dressing|butter|cream)\b"
)
_PLAIN_SEASONINGS: tuple[tuple[re.Pattern[str], re.Pattern[str]], ...] = (
    (
        any_of(r"\bsalt\b", r"salz\b", r"\bs ?& ?p\b"),
        any_of(
            r"\b(?:(?:kosher|sea|coarse|fine|flaky|rock) )*salt\b(?! (?:pork|beef))",
            r"\b\w*salz(?:en)?\b",
        ),
    ),
    (
        any_of(r"\bpepper(corns?)?\b", r"pfeffer\b", r"\bs ?& ?p\b"),
        any_of(
            r"\b(?:(?:freshly|fresh|cracked|coarse|ground|black|white) )*pepper\b"
            r"(?! (?:flakes|jack))",
            r"\b\w*pfeffer[ns]?\b",
        ),
    ),
)
"""Salt, then pepper: how a line of ingredients has it, and how a step names it."""
_GERMAN_VERBS = {"salzen": "Salz", "pfeffern": "Pfeffer"}


def unlisted_seasonings(understood: Understood) -> tuple[str, ...]:
    """Salt and pepper that a step puts on the raw meat and no line of ingredients has."""
    early = before_the_heat(understood)
    told = " ".join(
        text for step in early for text in sentences_in(step)
        if _ON_RAW_MEAT.search(text) and not _NO_RAW_MEAT.search(text)
    )  # fmt: skip
    listed = " | ".join(item.line.raw.lower() for item in understood.ingredients)
    found = [
        _GERMAN_VERBS.get(named[0].lower(), named[0]) for has, names in _PLAIN_SEASONINGS
        if not has.search(listed) and (named := names.search(told))
    ]  # fmt: skip
    return () if is_cured(understood) else tuple(found)


_JUST_SEASONED = any_of(
    r"\bseason (?:(?:the|your|all|both|each) )*"
    r"(?:ribs?|racks?|meat|pork|beef|brisket|shoulder|joint|roast|pieces|cubes|it|them)"
    r"(?: well| generously| lightly| all over| on all sides)*(?=[.,;]|$| and (?!pepper))",
    r"\bfleisch (?:kräftig |gut |rundum )?würzen\b",
)


def is_just_seasoned(understood: Understood) -> bool:
    """“Season the ribs well”: salt and pepper, which no recipe needs to list."""
    early = before_the_heat(understood)
    told = any(_JUST_SEASONED.search(text) for step in early for text in sentences_in(step))
    return told and not is_cured(understood)


def slurry_water(understood: Understood) -> frozenset[int]:
    """“3 Tbsp cold water” under the starch that a step stirs with it: both go in at the end."""
    items = understood.ingredients
    kinds = {item.index: item.kind for item in items}
    sentences = [text.lower() for step in understood.said for text in sentences_in(step)]
    found = set()
    for item in items:
        beside = kinds.keys() & {item.index - 1, item.index + 1}
        starches = [items[row] for row in beside if kinds[row] in {"starch", "flour"}]
        if item.food.words == "water" and any(
            is_named(starch, text) and "water" in text for starch in starches for text in sentences
        ):
            found.add(item.index)
    return frozenset(found)


OVERNIGHT_S = (8 * 3600.0, 12 * 3600.0)
_RESTS = any_of(r"\bleave\b", r"\bstand\b", r"\brest\b", r"\brefrigerat", r"\bfridge\b",
                r"\bchill\b", r"\bset aside\b")  # fmt: skip
_COLD = any_of(r"\brefrigerat", r"\bfridge\b", r"\bchill\b", r"\bovernight\b")
DAY_S = 86400.0
_DAYS = re.compile(r"\b(?P<low>[1-9])(?:\s?(?:-|–|to|or)\s?(?P<high>[1-9]))? days?\b", re.I)
_NIGHT = re.compile(r"\bovernight\b|\bnight before\b|\bday before\b", re.I)


def marinating_s(understood: Understood) -> tuple[float, float] | None:
    """How long the recipe marinates [s]; None when it does not say."""
    main = understood.cooking.main
    steps = understood.recipe.steps if main is None else understood.recipe.steps[: main[0] + 1]
    for step in steps:
        # the rest before carving is no marinade, and what boils is none any more
        texts = [
            text for text in sentences_in(step)
            if (MARINATED.search(text) or _COLD.search(text))
            and not (_USED.search(text) or SIMMER.search(text))
        ]  # fmt: skip
        for sentence in texts:
            if _NIGHT.search(sentence):
                return OVERNIGHT_S
            if days := _DAYS.search(sentence):
                return DAY_S * int(days["low"]), DAY_S * int(days["high"] or days["low"])
            if spans := durations_in(sentence):
                return spans[0].low_s, spans[0].high_s
        # "The night before, put the ribs in the wine. Cover and chill."
        if texts and _NIGHT.search(step):
            return OVERNIGHT_S
    return None


def rub_rest_s(understood: Understood) -> tuple[float, float] | None:
    """How long the rubbed meat waits before it is cooked [s], when the recipe says so."""
    cured = is_cured(understood)
    for index, step in enumerate(understood.recipe.steps):
        if cured and CURED.search(step):
            continue  # that rest is the cure's own
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

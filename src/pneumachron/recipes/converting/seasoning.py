"""What is rubbed on, sprayed on or cured, and for how long."""

import re
from collections.abc import Sequence
from itertools import pairwise

from pneumachron.recipes.converting.marinade import DAY_S, DAYS, NIGHT, OVERNIGHT_S
from pneumachron.recipes.converting.naming import (
    before_the_heat,
    is_named,
    named_in,
    rows_named,
)
from pneumachron.recipes.converting.themes import MIXED, PUSHED, TOSSED, WITH_THE_MEAT, theme_of
from pneumachron.recipes.understanding.durations import durations_in
from pneumachron.recipes.understanding.ingredients import THIN_KINDS, Ingredient, Kind, foods_in
from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.sentences import sentences_in
from pneumachron.recipes.understanding.understand import Understood

SEASONED = any_of(
    r"\brub\b|\brubbed (?:\w+ )?(?:with|in|w/)(?!\w)",
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
    r"\b(salzen|pfeffern|w(ü|ue)rzen|einreiben|einmassieren)\b",
    TOSSED,
    PUSHED,
)
CURED = any_of(
    r"\bcur(e|es|ed|ing)\b", r"\bbrin(e|es|ed|ing)\b", r"\brins(e|es|ed|ing)\b",
    r"\bsoak\b.{0,24}\bwater\b", r"\binject\w*", r"\bsalt ?pet(?:re|er)\b",
    r"\bin (?:the )?salt\b[^.;]{0,40}\bdays?\b",
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


SPRAYED = any_of(r"\bsprit?z", r"\bbespr(ü|ue)h\w*", r"\bmop(s|ped|ping)?\b", r"\bspray bottle\b",
                 r"\b(?:to|for(?: the)?) spray(?:ing)?\b", r"\bspray (?:hourly|every|once)\b",
                 r"\bwater pan\b")  # fmt: skip


def sprayed_lines(understood: Understood) -> frozenset[int]:
    """Lines that are sprayed on while it smokes: named by such a step, or by their own words."""
    own = {item.index for item in understood.ingredients if SPRAYED.search(item.line.raw)}
    told = {
        row for part in understood.recipe.parts if SPRAYED.search(part.name) for row in part.lines
    }
    sentences = [text for step in understood.said for text in sentences_in(step)]
    poured = " ".join(
        text for text in sentences if _UNDER_A_LID.search(text) and not SPRAYED.search(text)
    )
    if any(_MOP_POURED.search(text) for text in sentences):
        told = set()  # the meat is braised in it
    # "spritz with the stock hourly", and then braise it in the stock
    return (named_in(understood, SPRAYED) - rows_named(understood, poured)) | own | told


_SPRITZ = re.compile(r"\W*(?:sprit?z|mop)\b[^:]{0,12}:", re.I)
"""“Spritz: ½ cup broth, 1 Tbsp hot sauce”: all of it is sprayed on."""
SPRAYED_KINDS: frozenset[Kind] = THIN_KINDS | {"acid", "spirit"}


def is_of_a_spray(understood: Understood, item: Ingredient, sprayed: frozenset[int]) -> bool:
    """Whether a line stands under “Mop” or “Spritz”: the salt in it is none for the meat."""
    recipe = understood.recipe
    under = any(item.index in part.lines and SPRAYED.search(part.name) for part in recipe.parts)
    # a sweet mop is brushed on at the end as well
    thin = item.kind in SPRAYED_KINDS | _IN_A_SPRAY and item.index in sprayed
    return (under and thin) or _SPRITZ.match(recipe.ingredients[item.index]) is not None


_IN_A_SPRAY: frozenset[Kind] = frozenset({"salt", "spice", "chilli", "dried_herb"})


_MOP_POURED = any_of(r"\bmop\b[^.;]{0,20}\bpour\b", r"\bpour\b[^.;]{0,30}\bmop\b")


_UNDER_A_LID = any_of(
    r"\b(pan|pot|tray|tin|casserole|dutch oven)\b[^.;]*\b(with|and)\b", r"\bbrais(e|ing)\b"
)


def binders_in_the_pot(understood: Understood) -> frozenset[int]:
    """Mustard and the like that the steps stir into the liquid, and do not put on the meat."""
    sentences = [text for step in understood.said for text in sentences_in(step)]
    sauces = [part for part in understood.recipe.parts if part.role == "sauce"]
    own = {row for part in sauces for row in part.lines}
    return frozenset(
        item.index for item in understood.ingredients
        if any(food.kind == "binder" for food in foods_in(item)) and (item.index in own or any(
            is_named(understood, item, text.lower())
            and _STIRRED_IN.search(text) and not SEASONED.search(text)
            for text in sentences
        ))
    )  # fmt: skip


_STIRRED_IN = any_of(
    r"\b(pour|add|stir|whisk|tip)\b.*\b(stock|broth|wine|beer|ale|stout|cider|juice|water)\b"
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


_RUB_KINDS = {"salt", "spice", "sugar", "dried_herb", "chilli", "rub", "baking", "binder"}
LEAVES: frozenset[Kind] = frozenset({"fresh_herb", "woody_herb", "aromatic"})
"""“Coriander” in a rub is no bunch of leaves, nor “garlic” cloves to fry."""
_SPICE_KINDS = {"spice", "dried_herb", "chilli", "rub"}
_RUB_THE_MEAT = any_of(
    r"\b(rub|season) (up )?(the |both |each |your )?"
    r"(ribs?|racks?|slabs?|meat|pork|beef|brisket|shoulder|butt|wings?|roast|joint|steaks|pieces"
    r"|cubes|chunks|em|them|it)\b",
    r"\b(?:coat|cover)\w* (?:\w+ )?with [^.;]{0,40}\brub\b",
    r"\brub (?:goes )?on\b(?! (?:the )?(?:hands|board))",
    r"(^|[.;:] )(season|rub)(,| and (put|lay|brown|sear|place)|[.;])",
    r"\btrim,? (and|&) season\b|\bseason (and|&) (put|lay|brown|sear|place)\b",
    r"\b(rub|season) (generously|heav(?:il)?y|hard|well|liberally|all over)\b",
)


_PASTE = any_of(r"\bpaste\b", r"\brempah\b")
_PASTE_RUBBED = any_of(r"\b(?:rub|massage|smear|spread|coat)\b[^.;]*\b(?:paste|rempah)\b")
"""“Rub half of the paste over the ribs”: what stands under “For the paste” goes on the meat."""
_LEFT_WHOLE = any_of(r"\b(left|keep|kept|leave) whole\b", r"\(whole!?\)")
"""A whole chilli swims in the pot, and is no rub."""
_BINDS = re.compile(
    r"^\W*(?:binder|slather)\s*:|\b(?:as|for) (?:an? |the )?(?:binder|slather|glue)\b", re.I
)
"""“Binder: mustard”, “hot sauce, as a binder”: what the rub holds on by."""


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
        r"|\bdry (ingredients|stuff|things|mix)\b|\bgewürze\b[^.;]*\b(?:einreiben|einmassieren)\b"
    )
    # “rub the ribs”, and no word of what with: with the spices there are
    early = before_the_heat(understood)
    rubs = any(_RUB_THE_MEAT.search(step) for step in early)  # "season", at the end, is to taste
    # what is only smoked or grilled has no liquid for its spices
    dry = understood.cooking.method in {"smoker", "grill"}
    plain = (rubs or dry) and not spices & named
    wet = binders_in_the_pot(understood)
    paste = any(_PASTE_RUBBED.search(text) for step in early for text in sentences_in(step))
    rub = {
        row for part in understood.recipe.parts for row in part.lines
        if part.role == "rub" or (paste and _PASTE.search(part.name))
    }  # fmt: skip
    other_parts = {
        row for part in understood.recipe.parts if part.role in {"sauce", "glaze", "beside"}
        for row in part.lines
    }  # fmt: skip
    rub |= _mixed_to_rub(understood, early)
    stirred = _stirred_spices(understood, early)
    named |= rub | {item.index for item in understood.ingredients if _BINDS.search(item.line.raw)}
    all_spices = plain or bool(re.search(said, text))
    others = " ".join(
        text for step in understood.said for text in sentences_in(step)
        if not (SEASONED.search(text) or _OF_A_PART.search(text))
    ).lower()  # fmt: skip
    # "season the meat", and the mustard is whisked into the sauce by another step
    elsewhere = {
        item.index for item in understood.ingredients
        if item.kind in {"binder", "sugar"} and is_named(understood, item, others)
    }  # fmt: skip
    return frozenset(
        item.index
        for item in understood.ingredients
        if not _LEFT_WHOLE.search(item.line.raw)
        and (
            item.kind in _RUB_KINDS
            or _BINDS.search(item.line.raw)
            or (item.index in rub and item.kind in LEAVES)
        )
        and item.index not in wet | stirred
        and (item.index in named or (all_spices and item.index not in elsewhere | other_parts))
    )


_OF_A_PART = any_of(r"\b(?:sauce|glaze|marinade|dressing|slaw) ingredients\b")
"""“Shake the sauce ingredients until the sugar dissolves” is not about the rub's sugar."""


def _stirred_spices(understood: Understood, early: Sequence[str]) -> frozenset[int]:
    """Spices that the steps cook with the onions: “season the pork” does not mean them."""
    stirred = " ".join(
        text for step in early for text in sentences_in(step)
        if _COOKED_IN.search(text) and not (SEASONED.search(text) or MIXED.search(text))
    )  # fmt: skip
    named = rows_named(understood, stirred)
    melted = rows_named(understood, " ".join(
        text for step in understood.said for text in sentences_in(step) if _MELTED.search(text)
    ))  # fmt: skip
    return frozenset(
        item.index for item in understood.ingredients
        if (item.index in named and item.kind in _SPICE_KINDS)
        or (item.index in melted and item.kind == "sugar")
    )  # fmt: skip


_MELTED = any_of(
    r"\bmelt (?:the |your )?(?:\w+ )?sugar\b",
    r"\bsugar\b[^.;]{0,30}\b(?:caramel|amber)",
    r"\bzucker\b[^.;]{0,20}\bkaramellisieren\b",
    r"\bcarameli[sz]e the (?:\w+ )?sugar\b",
)
"""A caramel, and nothing that is rubbed on."""
_COOKED_IN = any_of(
    r"\b(?:cook|fry|saut[eé]|soften|sweat|sizzle)\b",
    r"\b(?:stir in|add)\b[^.;]*\b(?:garlic|onions?|ginger|tomato(?:es)?|paste|pur[eé]e)\b",
)


def _mixed_to_rub(understood: Understood, early: Sequence[str]) -> frozenset[int]:
    """“Mix the garlic, the fennel seeds and the oil. Rub over the flesh.”"""
    sentences = [text for step in early for text in sentences_in(step)]
    rows: set[int] = set()
    for text in sentences:
        if _CRUSHED_AND_RUBBED.search(text):  # "crush the seeds, salt and garlic, rub in all over"
            rows |= rows_named(understood, text)
    for place, text in enumerate(sentences):
        if _PASTE_ON.match(text):
            # "Toast the seeds; grind with the salt. … Rub the paste all over"
            for before in sentences[max(0, place - MOST_BEFORE) : place]:
                if _GROUND_UP.match(before) and not WITH_THE_MEAT.search(before):
                    rows |= rows_named(understood, before)
    for place, (text, following) in enumerate(pairwise(sentences)):
        mashed = _MASHED.search(text) is not None and "," in text
        if not (MIXED.search(text) or mashed) or WITH_THE_MEAT.search(text):
            continue
        if _THEN_RUBBED.match(following):
            # "Chop the garlic with the salt. Mix with the oil. Rub in."
            more = sentences[place - 1] if place and _MIXED_WITH.match(text) else ""
            rows |= rows_named(understood, f"{more} {text}")
    return frozenset(rows)


MOST_BEFORE = 5
"""Sentences in which a paste is made, before it is rubbed on. Judgement."""
_PASTE_ON = re.compile(r"\W*(?:rub|smear|massage|spread|work) (?:the|this) (?:\w+ )?paste\b", re.I)
_GROUND_UP = re.compile(
    r"\W*(?:then )?(?:toast|grind|mash|pound|crush|blend|blitz|chop|mix|stir|work)\b", re.I
)
_CRUSHED_AND_RUBBED = any_of(
    r"\b(?:crush|pound|grind|mash|mix|combine|bash)\b[^.;]*[,;] ?(?:and |then )?"
    r"(?:rub|massage|smear|press)\b"
)
_MIXED_WITH = any_of(r"^\W*(?:then )?(?:mix|stir|blend|combine|work)(?: in)? ?(?:with\b|w/)?")


_MASHED = any_of(r"^\W*(?:mash|crush|pound|bash) ")
_THEN_RUBBED = any_of(
    r"^[^.;]{0,60}\b(?:push|work|stuff|rub) in the (?:adobo|paste|mixture|mix|marinade)\b",
    r"^\W*(?:then )?(?:turn [^.;]{0,20} over,? and )?(?:rub|massage|smear|pat|press"
    r"|spread(?! (?:it |them |out )?(?:on|over) (?:an?|the) (?:\w+ )?(?:plate|tray|sheet|pan)))\b",
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
        any_of(
            r"(?<!bell )(?<!green )(?<!red )(?<!yellow )(?<!sweet )\bpepper(corns?)?\b",
            r"pfeffer\b",
            r"\bs ?& ?p\b",
        ),
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
    # "2 racks of ribs, salt + pepper": they stand in the line of the meat
    with_meat = [item.line for item in understood.ingredients if item.kind == "meat"]
    told = f"{told}. {'. '.join(line.aside for line in with_meat)}"
    listed = " | ".join(
        item.line.raw.lower() for item in understood.ingredients if item.kind != "meat"
    )
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


_RESTS = any_of(r"\bleave\b", r"\bstand\b", r"\brest\b", r"\brefrigerat", r"\bfridge\b",
                r"\bchill\b", r"\bset aside\b")  # fmt: skip


def rub_rest_s(understood: Understood) -> tuple[float, float] | None:
    """How long the rubbed meat waits before it is cooked [s], when the recipe says so."""
    cured = is_cured(understood)
    for index, step in enumerate(understood.recipe.steps):
        if cured and CURED.search(step):
            continue  # that rest is the cure's own
        late = index > max(understood.cooking.steps, default=index)
        if late or index in understood.cooking.steps or theme_of(step) != "season":
            continue
        if NIGHT.search(step):
            return OVERNIGHT_S
        for sentence in sentences_in(step):
            if (days := DAYS.search(sentence)) and _RESTS.search(sentence):
                return DAY_S * int(days["low"]), DAY_S * int(days["high"] or days["low"])
            spans = durations_in(sentence) if _RESTS.search(sentence) else []
            if spans:
                return spans[0].low_s, spans[0].high_s
    return None

"""What is rubbed on, sprayed on or cured, and for how long."""

import re

from pneumachron.recipes.converting.cures import CURED, is_cured
from pneumachron.recipes.converting.marinade import in_marinade
from pneumachron.recipes.converting.marinade_times import (
    DAY_S,
    DAYS,
    NIGHT,
    OVERNIGHT_S,
    from_an_hour,
)
from pneumachron.recipes.converting.marinade_used import is_brushed_back
from pneumachron.recipes.converting.themes import MIXED, PUSHED, TOSSED, WITH_THE_MEAT, theme_of
from pneumachron.recipes.understanding.durations import durations_in
from pneumachron.recipes.understanding.foods_of_a_line import foods_in
from pneumachron.recipes.understanding.naming import (
    EXCEPT,
    before_the_heat,
    is_named,
    rows_named,
)
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
    r"\bshake (?:well )?to coat\b",
    r"\bdust(?:ed)?\b(?! (?:with|in) (?:flour|parsley|cocoa|icing))",
    r"\btoss(?:ed)? (?:well |lightly |them |it )?with\b",
    r"(?:[;,.]|\band) ?salt (?:&|and) pepper[ .]*(?:$|[;.])",
    r"\bmix (the )?(salt|sugar|spices)",
    r"\bmixed dry spices",
    r"\b(salzen|pfeffern|w(ü|ue)rzen|einreiben|einmassieren)\b",
    r"\b(?:eingerieben|gesalzen|gepfeffert)\b|\breibe?n?\b[^.;]{3,120}\bein(?=[.,;]|$| und)",
    TOSSED,
    PUSHED,
)


SEASONED_TOO = re.compile(
    r"\W*(?:then )?(?:stir in|add|pour in|pour over)\b[^.;]*,? (?:and )?season(?:ing)?"
    r"(?=,| and\b|\W*$)",
    re.I,
)
"""“Stir in the mustard, season, cover and cook”: the sauce is seasoned."""


def binders_in_the_pot(understood: Understood) -> frozenset[int]:
    """Mustard and the like that the steps stir into the liquid, and do not put on the meat."""
    sentences = [text for step in understood.said for text in sentences_in(step)]
    sauces = [part for part in understood.recipe.parts if part.role == "sauce"]
    own = {row for part in sauces for row in part.lines}
    return frozenset(
        item.index for item in understood.ingredients
        if any(food.kind == "binder" for food in foods_in(item)) and (item.index in own or any(
            is_named(understood, item, text.lower())
            and _STIRRED_IN.search(text)
            and (SEASONED_TOO.match(text) or not SEASONED.search(text))
            for text in sentences
        ))
    )  # fmt: skip


_STIRRED_IN = any_of(
    r"\b(?:whisk|stir|mix|combine)\b[^.;]*\b(?:ketchup|preserves|jam)\b[^.;]*\bmustard\b",
    r"\b(?:whisk|stir) in (?:the |a )?[^.;]{0,30}\bmustard\b",
    r"\bsenf\b[^.;]{0,30}\b(?:ein|unter)r(?:ü|ue)hren\b",
    r"\b(?:brühe|fond|bier|\w*wein|wasser)\b[^.;]{0,40}\bsenf\b"
    r"|\bsenf\b[^.;]{0,40}\b(?:brühe|fond|bier|\w*wein|wasser)\b",
    r"\b(?:add|stir in|mix in|spoon in)\b(?![^.;]*\b(?:to|over|onto) (?:the |your )?"
    r"(?:ribs?|meat|pork|beef|brisket|steaks?)\b)[^.;]*\bmustard\b",
    r"\b(pour|add|stir|whisk|tip|mix|combine)\b.*"
    r"\b(stock|broth|wine|beer|ale|stout|cider|juice|water|cola|soda|root beer|ginger ale)\b",
)
_REST_POURED_ON = (
    r"\b(?:pour|drizzle|stir|mix|toss|moisten)\w*\b[^.;]*\b(?:remaining|reserved|rest of)\b[^.;]*"
    r"\b(?:mixture|sauce|mix|dressing|mop)\b(?! for\b)"
)
_SOME_OF_IT = any_of(
    r"\b(rub|pour|coat|spread|brush|toss|marinate|add|smear|cover|drizzle)\w*\b[^.;]*"
    r"\b(half|some|most|a third|two[- ]thirds|three[- ]quarters|1/2|2/3|3/4)\b",
    r"\bmit (?:der|einer) hälfte\b[^.;]{0,30}\b(?:bestreichen|einpinseln|einreiben|begießen)\b",
    r"\b(reserve|set aside|keep|hold) (?:back )?(half|some|a third|a quarter|the rest|[\d½¼⅓])",
)
_THE_REST = any_of(
    r"\b(brush|baste|glaze|paint|slather|coat|spoon|toss|mop)\w*\b[^.;]*"
    r"\b(remaining|remainder|rest of|reserved|other half|left-?over|set[- ]aside)\b",
    _REST_POURED_ON,
    r"\b(?:restliche|übrige|verbliebene)\w* (?:marinade|mischung|so(?:ß|ss)e|sauce|glasur)\b",
    r"\breserved (?:marinade|sauce|mixture|glaze)\b[^.;]*\b(?:brush|baste|glaze|paint|slather)\b",
)


_SOME_POURED = any_of(
    r"\b(?:pour|drizzle|add|ladle)\w*\b[^.;]*\b(?:half|some|most|a third|two[- ]thirds)\b"
)
_POURED_ON_LATE = any_of(_REST_POURED_ON)


def is_poured_in_two(understood: Understood) -> bool:
    """“Drizzle a third over the pork”, and the rest over the shredded meat: nothing is brushed."""
    sentences = [text for step in understood.said for text in sentences_in(step)]
    some = next((at for at, text in enumerate(sentences) if _SOME_POURED.search(text)), None)
    return some is not None and any(map(_POURED_ON_LATE.search, sentences[some + 1 :]))


def shared_lines(understood: Understood) -> frozenset[int]:
    """Lines mixed once, of which a part goes onto the raw meat and the rest is brushed on late."""
    sentences = [text for step in understood.said for text in sentences_in(step)]
    early = before_the_heat(understood)
    before = sum(len(sentences_in(text)) for text in early)
    meat = {item.index for item in understood.ingredients if item.kind in {"meat", "other_meat"}}
    if is_brushed_back(understood) or any(map(_BRUSHED_BACK.search, sentences[before:])):
        starch = {
            item.index for item in understood.ingredients if item.kind in {"starch", "beside"}
        }
        return in_marinade(understood) - meat - starch
    some = next((at for at, text in enumerate(sentences) if _SOME_OF_IT.search(text)), before)
    if some >= before:
        return frozenset()  # half of it is poured over cooked meat
    if not any(_THE_REST.search(text) for text in sentences[some + 1 :]):
        return frozenset()
    for sentence in reversed(sentences[:some]):
        told = EXCEPT.sub("", sentence)
        if not MIXED.search(sentence) or WITH_THE_MEAT.search(told):
            continue
        rows = rows_named(understood, told.lower()) - meat
        if len(rows) > 1:
            return rows
    return frozenset()


_BRUSHED_BACK = any_of(
    r"\b(?:brush|baste|glaze)\b[^.;]{0,20}\b(?:thickened|reduced|boiled|cooked) marinade\b"
)
"""“Boil the marinade for 3 minutes. Brush on the thickened marinade.”"""
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
            r"(?<!\bred )(?<!bell )(?<!banana )(?<!sweet )(?<!cayenne )(?<!green )(?<!chil[ie] )"
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


_RESTS = any_of(r"\bleave\b", r"\bstand\b", r"\brest\b(?! of\b)", r"\brefrigerat", r"\bfridge\b",
                r"\bchill\b", r"\bset aside\b", r"\bsit\b")  # fmt: skip


_TAKEN_OUT = any_of(
    r"\b(?:out of|(?:remove|take) (?:\w+ ){0,3}from) the (?:fridge|refrigerator)\b",
    r"\bbefore (?:you )?(?:cook|roast|smok|grill)\w*",
)
"""“Take the ribs out of the fridge 45 minutes before cooking”: no rest under a rub."""
_AT_MOST = any_of(r"\bup to\b", r"\bor (?:for )?(?:as long as|even)\b")
_FRIES = any_of(r"\bbrown\w*\b(?! sugar)", r"\bsear\b", r"\bfry\b", r"\banbraten\b", r"\bsoften\b")


def rub_rest_s(understood: Understood) -> tuple[float, float] | None:
    """How long the rubbed meat waits before it is cooked [s], when the recipe says so."""
    cured = is_cured(understood)
    for index, step in enumerate(understood.recipe.steps):
        if cured and CURED.search(step):
            continue  # that rest is the cure's own
        main = understood.cooking.main
        late = index > (index if main is None else main[0])
        texts = sentences_in(step)
        if index in understood.cooking.steps:  # all in one paragraph: what stands before the heat
            texts = texts[: main[1]] if main is not None and main[0] == index else []
            seasons = any(SEASONED.search(text) for text in texts)
            texts = [text for text in texts if not _FRIES.search(text)]
        else:
            # “Rub it in. Leave for 2 hours in the fridge”
            theme = theme_of(step)
            seasons = theme == "season" or (theme == "marinate" and bool(SEASONED.search(step)))
        if late or not seasons:
            continue
        told = " ".join(texts)
        if night := NIGHT.search(told):
            return from_an_hour(told[: night.start()]) or OVERNIGHT_S
        for sentence in texts:
            rests = _RESTS.search(sentence) and not _TAKEN_OUT.search(sentence)
            spans = durations_in(sentence) if rests else []
            if (days := DAYS.search(sentence)) and _RESTS.search(sentence):
                low_s, high_s = DAY_S * int(days["low"]), DAY_S * int(days["high"] or days["low"])
                # “24 hours, up to 3 days”
                hours = [span.low_s for span in spans if span.low_s < low_s]
                least_s = min(hours, default=min(low_s, OVERNIGHT_S[0]))
                return least_s if _AT_MOST.search(sentence) else low_s, high_s
            if spans:
                return spans[0].low_s, spans[0].high_s
    return None

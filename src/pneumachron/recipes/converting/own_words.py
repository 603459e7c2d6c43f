"""What of a recipe's steps keeps its own words, and when it is told."""

import re
from collections.abc import Callable, Iterator, Set
from dataclasses import replace
from itertools import takewhile

from pneumachron.recipes.converting.glazes import boiled_apart, cooks_a_glaze
from pneumachron.recipes.converting.marks import OwnWords
from pneumachron.recipes.converting.parts import BRUSHED
from pneumachron.recipes.converting.seasoning import rub_rest_s, shared_lines
from pneumachron.recipes.converting.side_dishes import makes_a_side
from pneumachron.recipes.converting.themes import (
    Theme,
    is_own_work,
    mixes_a_glaze,
    theme_of,
)
from pneumachron.recipes.understanding.foods_of_a_line import foods_in
from pneumachron.recipes.understanding.ingredients import (
    Kind,
    foods_named,
)
from pneumachron.recipes.understanding.measured import measured_in
from pneumachron.recipes.understanding.naming import is_some_sauce, rows_named
from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.sentences import sentences_in
from pneumachron.recipes.understanding.understand import Understood


def titled(understood: Understood, index: int) -> str:
    """A step; the first one under a heading behind the heat says what it makes."""
    step = understood.recipe.steps[index]
    late = index > max(understood.cooking.steps, default=index)
    name = next((each.name for each in understood.recipe.sections if each.first == index), "")
    return f"{name}: {step}" if late and name and name.lower() not in step.lower() else step


def is_of_leftovers(text: str) -> bool:
    """“Freezes beautifully”: said at last."""
    return _KEEPS.match(text) is not None


_KEEPS = re.compile(
    r"\W*(?:it )?(?:freezes|keeps|leftovers|store|freeze|refrigerate leftovers)\b", re.I
)


def worded(
    understood: Understood, themes: list[Theme], index: int, text: str, *, after: bool = False
) -> OwnWords:
    """What keeps its own words, and when it is done.

    Parameters
    ----------
    after : it stands behind the long heat of its own step
    """
    steps = understood.recipe.steps
    fried = next(
        (
            row for row, theme in enumerate(themes)
            if theme == "sear" or (theme == "soften" and not is_own_work(steps[row]))
        ),
        None,
    )  # fmt: skip
    rubbed = next(
        (row for row, theme in enumerate(themes) if theme in {"season", "marinate"}), None
    )
    rub = _mixes_a_rub(understood, index)
    early = rub or index < min(understood.cooking.steps, default=0)
    before = early or (index in understood.cooking.steps and not after)
    return OwnWords(
        text.rstrip(" ;,"),
        before_finish="finish" in themes[index + 1 :]
        or mixes_a_glaze(text)
        or _SAUCE_FIRST.match(text) is not None,
        before_heat=before,
        before_rub=early
        and (
            rub or (rubbed is not None and index < rubbed) or _NIGHT_BEFORE.match(text) is not None
        ),
        serves=(themes[index] == "serve" or is_of_leftovers(text))
        and not (early or _MEANWHILE.match(text)),
        at_first=before and (fried is None or index < fried),
    )


def _mixes_a_rub(understood: Understood, index: int) -> bool:
    """A step under the heading of a rub that stands behind the recipe for the meat."""
    recipe, heat = understood.recipe, max(understood.cooking.steps, default=index)
    above = [section for section in recipe.sections if heat < section.first <= index]
    return any(part.role == "rub" and part.name == above[-1].name for part in recipe.parts if above)


_NIGHT_BEFORE = re.compile(r"\W*the (?:night|evening|day) before\b", re.I)


def made_and_served(told: OwnWords) -> tuple[OwnWords, ...]:
    """“Boil the pasta. Serve with the ragù”: made before the meat is carved, then served."""
    texts = sentences_in(told.text) if told.serves else []
    made = list(takewhile(_only_makes, texts))
    if not made or len(made) == len(texts):
        return (told,)
    return (
        replace(told, text=" ".join(made).rstrip(" ;,"), serves=False),
        replace(told, text=_capital(" ".join(texts[len(made) :]))),
    )


def _only_makes(text: str) -> bool:
    """Whether it makes something without the meat, and serves nothing."""
    apart = _SERVING.search(text) is None and _WITH_IT.search(text) is None
    return apart and MAKES.search(text) is not None


_WITH_IT = any_of(r"\b(?:meat|pork|beef|brisket|ribs?|shreds|it|them)\b")
"""“Mix it with the sauce. Pile on buns”: once the meat is pulled."""


MAKES = any_of(
    r"\b(?:boil|simmer|cook|bake|broil|fry|crisp|toast|mash|griddle|make|mix|stir|whisk|reheat"
    r"|combine|chop|char|dissolve|thicken)\b"
)
"""What is more than to serve."""
_SERVING = any_of(r"\b(?:serves?|pass|pile|plate)\b", r"\bservieren\b")


_MEANWHILE = re.compile(
    r"\W*(?:meanwhile|in the meantime|inzwischen|währenddessen"
    r"|while (?:the|it|they|that|this|everything)\b)",
    re.I,
)
_SAUCE_FIRST = re.compile(r"\W*(?:[a-z]+ ){0,2}(?:sauce|glaze):", re.I)


def worded_where(
    told: Callable[[str], bool], understood: Understood, themes: list[Theme], index: int
) -> Iterator[OwnWords]:
    """The sentences of a step of which something is true, in their own words."""
    for text in filter(told, sentences_in(understood.recipe.steps[index])):
        yield worded(understood, themes, index, text)


def beside_the_heat(
    understood: Understood, themes: list[Theme], index: int, brushed: Set[int]
) -> Iterator[OwnWords]:
    """Of a paragraph whose heat is struck, what is neither heat nor done by a step of ours.

    Parameters
    ----------
    brushed : lines that are brushed on at the end
    """
    main = understood.cooking.main
    if main is None or index < main[0]:
        return
    at = main[1] if index == main[0] else NOWHERE
    # “Heat the oven. Peel off the rind, score the fat and stud it with cloves. …”, behind the heat
    crust = at == NOWHERE and understood.crust.kind is not None
    for place, text in whole_sentences(understood.recipe.steps[index], at):
        done = theme_of(text, late=place > at) in {"season", "marinate", "heat"}
        own = is_own_work(text) or thickens_with_more(understood, text)
        # the rest under the rub is told with the rub
        own = own and not (_CHILLED.match(text) and rub_rest_s(understood))
        glaze = cooks_a_glaze(understood, text) or bool(boiled_apart(understood, text, brushed))
        side = makes_a_side(understood, text)
        # “Brush with 1 cup bbq sauce”: nothing else says what, and how much
        more = measures_more(understood, text) or _is_of_no_line(understood, text)
        brushes = place > at and BRUSHED.search(text) and more
        # “let it cool and put it in the fridge overnight. Next day take off the fat, slice …”
        dries = place > at and (_DRIES.search(text) or _AHEAD.search(text))
        if place != at and ((own and not done) or glaze or side or brushes or dries):
            told = worded(understood, themes, index, text, after=place > at)
            yield replace(told, before_finish=glaze or bool(brushes) or crust)


_CHILLED = re.compile(
    r"\W*(?:cover|wrap)?[^.;]{0,30}\b(?:refrigerate|chill|fridge)\b[^.;]{0,12}"
    r"\bovernight\W*$",
    re.I,
)
_AHEAD = any_of(
    r"\b(?:fridge|refrigerat\w*|chill\w*|cool|cold)\b[^.;]{0,120}\bovernight\b",
    r"\bovernight\b[^.;]{0,120}\b(?:fridge|refrigerator|cold)\b",
    r"^\W*(?:on )?(?:the )?(?:next|following) day,? (?!it\b|is\b|they\b)",
)
"""Cooked a day ahead: the fat is lifted off cold, and the meat is sliced cold."""
_DRIES = any_of(r"\buntil\b[^.;]*\b(?:dry|oil (?:separates|splits|comes out))\b")
"""“Cook 20 minutes more until dark and dry”: further than any sauce is boiled down."""
_THICKENER = any_of(r"\bcorn ?(?:starch|flour)\b", r"\barrowroot\b", r"\bslurry\b",
                    r"\bspeisestärke\b", r"\bbeurre mani")  # fmt: skip


def thickens_with_more(understood: Understood, text: str) -> bool:
    """Whether a text thickens with what the list of ingredients does not have."""
    listed = any(
        food.kind in {"starch", "flour"}
        for item in understood.ingredients
        for food in foods_in(item)
    )
    return not listed and _THICKENER.search(text) is not None


def measures_more(understood: Understood, text: str) -> bool:
    """Whether a text measures a food that the list does not have: only its words tell how much."""
    measured = [
        each for each in measured_in(text)
        if each.food.kind not in {"unknown", "thin", "meat", "salt"}
    ]  # fmt: skip
    listed = {food.food.words for item in understood.ingredients for food in foods_in(item)}
    if any(
        each.food.words not in listed and not rows_named(understood, each.name) for each in measured
    ):
        return True
    # the list has a spray's vinegar without an amount; that of the sauce is measured here
    bare = {item.index for item in understood.ingredients if item.line.amount is None}
    rows = [rows_named(understood, each.name) for each in measured]
    return sum(bool(named) and named <= bare for named in rows) >= _LEAST_MEASURED


def _is_of_no_line(understood: Understood, text: str) -> bool:
    """“Slather with your sauce”, where neither a line nor a part is a sauce."""
    parts = any(part.role in {"sauce", "glaze"} for part in understood.recipe.parts)
    lines = any(
        item.kind == "sweet_sauce" or is_some_sauce(item) for item in understood.ingredients
    )
    return _SOME_SAUCE.search(text) is not None and not (parts or lines)


_SOME_SAUCE = any_of(r"\b(?:with|on) (?:some |the |your |more |a )?(?:bbq |barbecue )?sauce\b")
_LEAST_MEASURED = 2
"""Foods that only a step measures, where the list names them without an amount. Judgement."""


def unlisted_foods(understood: Understood, step: str) -> set[str]:
    """Foods that a step names and no line is: tortillas, cilantro and lime to serve."""
    listed = {food.food.words for item in understood.ingredients for food in foods_in(item)}
    named = {food.words for food in foods_named(step) if food.kind not in _COMMON}
    return {words for words in named - listed if not rows_named(understood, words)}


def _unsaid_at_table(understood: Understood, step: str) -> set[str]:
    """Of these, what no line for the table has: “Serve with the beans”, which are green ones."""
    at_table = " ".join(
        item.line.raw.lower() for item in understood.ingredients
        if item.kind == "beside" or _TO_SERVE.search(item.line.raw)
    )  # fmt: skip
    return {
        words for words in unlisted_foods(understood, step)
        if re.search(rf"\b{re.escape(words)}\b", at_table) is None
    }  # fmt: skip


_TO_SERVE = any_of(r"\bto serve\b", r"\bfor serving\b", r"\bzum servieren\b")
_COMMON: frozenset[Kind] = frozenset({"meat", "other_meat", "unknown", "tool", "salt", "thin"})


NOWHERE = -2
"""No sentence of a step: it has none of the long heat."""


def whole_sentences(step: str, main: int) -> Iterator[tuple[int, str]]:
    """Sentences with all their clauses, and where they begin; that of the heat stands alone."""
    begun: tuple[int, str] | None = None
    for place, text in enumerate(sentences_in(step)):
        joins = begun is not None and begun[1].endswith(";") and main not in {place, place - 1}
        if begun is not None and joins:
            begun = (begun[0], f"{begun[1]} {text}")
            continue
        if begun is not None:
            yield begun
        begun = (place, text)
    if begun is not None:
        yield begun


CLAUSES = re.compile(r",\s+(?:and |then )?")
"""“Rub the ribs, wrap them, and bake”: the first of them is still done."""
_OF_THE_MEAT = frozenset({"juice", "juices", "gravy", "sauce", "drippings", "glaze", "broth"})
"""What the pot itself gives."""
_SERVES = any_of(
    r"\b(?:serve|eat|pile|heap|plate|dish up|assemble|build)\b[^.;]{0,40}"
    r"(?:\b(?:with|on|onto|over|in|into)\b|\bw/)",
    r"\bfill (?:the |your |some |warm |split )*(?:\w+ )?"
    r"(?:tortillas?|buns?|rolls?|pittas?|wraps?)\b",
    r"\bdip\b[^.;]{0,40}\b(?:in|into)\b",
    r"\bserved (?:\d{1,2} )?(?:\w+ )?with\b",
    r"\bmit (?:[a-zäöüß]+ ){0,6}(?:servieren|reichen|anrichten)\b",
    r"^\W*dazu (?:passen|passt|schmecken|schmeckt|gibt es|reichen)?\b",
    r"^\W*mit [a-zäöüß]+(?: und [a-zäöüß]+)?\W*$",
)
_BESIDE = re.compile(
    r"(?!.*\b(?:no|not|don['’]?t|without|again|until|till?)\b)"
    r"(?!\W*(?:add|garnish|scatter|sprinkle|top|finish|spoon|lift|rub|dust|cool|boil|it|stir|season"
    r"|strew|decorate|pour|drizzle|squeeze|pass|keep|let|warm|skim|shred|slice|brush|turn|toss"
    r"|return|remove|drain|lay|mix|mash (?:the|it|them|in|with)|whisk|serves)\b)"
    r"[^.;:\d]{3,60}[.!]*$"
    r"|\W*(?:toss|finish|boil|cook)\b[^.;:\d]*"
    r"\b(?:pasta|noodles|rice|rigatoni|tagliatelle|pappardelle)\b",
    re.I,
)
"""“Rice, black beans, raw onion.” “Mash & greens.” “Horseradish on the side.”"""


def _behind_the_heat(understood: Understood, index: int) -> list[str]:
    """The sentences of a step that stand behind the long heat."""
    main = understood.cooking.main
    if main is None or index < main[0]:
        return []
    behind = main[1] if index == main[0] else NOWHERE
    sentences = sentences_in(understood.recipe.steps[index])
    return [text for place, text in enumerate(sentences) if place > behind]


def served_with_more(understood: Understood, themes: list[Theme], index: int) -> Iterator[OwnWords]:
    """“Slice, and serve with mash”, where no line has the mash: our own step would lose it."""
    for text in _behind_the_heat(understood, index):
        serves = _SERVES.search(text)
        told = _from_the_clause(text, serves.start()) if serves else text
        short = _BESIDE.match(text) and theme_of(text, late=True) in {"other", "serve"}
        more = _unsaid_at_table(understood, told) if serves or short else set()
        if more - _OF_THE_MEAT or _AT_TABLE.search(text):
            words = worded(understood, themes, index, told, after=True)
            yield replace(words, before_finish=False, serves=True)


_AT_TABLE = any_of(
    r"\b(?:serve|pass|offer|hand round)\b[^.;]*"
    r"\b(?:remaining|reserved|rest of the|extra|leftover)\b[^.;]*"
    r"\b(?:sauce|glaze|marinade|juices?|gravy)\b",
    r"\bdip (?:the |your |each )?(?:tortillas?|rolls?|buns?|bread|sandwich\w*|tacos)\b",
    r"\bfor (?:dipping|dunking)\b|\bdip the whole\b",
    r"\bchop (?:up )?the (?:skin|crackling|rind)\b",
)
"""What no step of ours does, whatever it names."""


def _from_the_clause(text: str, start: int) -> str:
    """“Shred, toss with the sauce, pile on buns with slaw”: from “pile” on."""
    if CLAUSES.search(text[:start][-6:]) is None:
        return text
    return _capital(text[start:])


def _capital(text: str) -> str:
    return text[:1].upper() + text[1:]


def rest_of_the_rub(understood: Understood, themes: list[Theme], index: int) -> Iterator[OwnWords]:
    """“… sprinkle heavily with the reserved rub”, behind the long heat: no other step tells it."""
    for text in _behind_the_heat(understood, index):
        for part in filter(_RESERVED_RUB.search, CLAUSES.split(text)):
            told = worded(understood, themes, index, _capital(part), after=True)
            yield replace(told, before_finish=False)


def baked_as_a_dish(understood: Understood, themes: list[Theme], index: int) -> Iterator[OwnWords]:
    """“Spoon into a baking dish, top with the mash. Bake for 25 minutes”: no step of ours does."""
    late = _behind_the_heat(understood, index)
    first = next((at for at, text in enumerate(late) if _INTO_A_DISH.search(text)), len(late))
    told = " ".join(late[first:])
    if _BAKES.search(told):
        words = worded(understood, themes, index, told, after=True)
        yield replace(words, before_finish=False, serves=True)


_INTO_A_DISH = any_of(
    r"\b(?:spoon|spread|tip|transfer|pour|layer|put|scrape)\b[^.;]{0,40}"
    r"\b(?:(?:baking|pie|gratin|casserole|ovenproof) dish|into (?:a|the) dish)\b"
)
_BAKES = any_of(r"\b(?:bake|broil|brown|grill)\b[^.;]*(?:\d|\b(?:golden|bubbl|melt|crisp))")


def kept_back(understood: Understood, themes: list[Theme], index: int) -> Iterator[OwnWords]:
    """“Reserve ½ cup of the mojo for serving”, and “drizzle with the reserved mojo” at the end."""
    if shared_lines(understood):
        return  # parted by the rule
    main = understood.cooking.main
    steps = [sentences_in(step) for step in understood.recipe.steps]
    kept = any(_RESERVES.match(text) for step in steps for text in step)
    used = any(_USES_THE_RESERVED.search(text) for step in steps for text in step)
    if not (kept and used) or main is None:
        return
    for text in steps[index]:
        if index < main[0] and _RESERVES.match(text):
            told = worded(understood, themes, index, text.rstrip(" ;,"))
            yield replace(told, before_rub=True)
        elif index > main[0] and _USES_THE_RESERVED.search(text):
            yield replace(worded(understood, themes, index, text, after=True), before_finish=False)


_SOME_MIXTURE = r"(?:mojo|marinade|sauce|dressing|mixture|mix|liquid|vinegar|mop|paste|chimichurri)"
_RESERVES = re.compile(
    r"\W*(?:keep|hold) back \d[^.;]*$"
    r"|\W*(?:reserve|set aside|keep back|hold back|save)\b[^.;]*\d[^.;]*"
    rf"\b(?:{_SOME_MIXTURE}\b|for (?:serving|later|the end|the table))",
    re.I,
)
_USES_THE_RESERVED = any_of(
    rf"\b(?:drizzle|pour|moisten|dress|toss|spoon|mix|stir|simmer|boil|heat|warm"
    rf"|thicken)\b[^.;]*\breserved {_SOME_MIXTURE}\b"
)
SIMMERS_THE_RESERVED = any_of(
    rf"\b(?:simmer|boil|heat|thicken)\b[^.;]*\breserved {_SOME_MIXTURE}\b"
)
_RESERVED_RUB = any_of(
    r"\b(?:sprinkle|dust|shake|strew|coat|season)\b[^.;]*"
    r"\b(?:reserved|saved|remaining|rest of (?:the|your)|set-?aside) (?:dry )?"
    r"(?:rub|seasoning|spice\w*)\b"
)

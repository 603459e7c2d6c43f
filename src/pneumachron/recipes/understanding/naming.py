"""Which ingredients a text names, and which sentences stand before and after the long heat."""

import re
from collections.abc import Iterator, Sequence
from functools import lru_cache

from pneumachron.recipes.understanding.durations import durations_in
from pneumachron.recipes.understanding.ingredients import CHEESES, Ingredient
from pneumachron.recipes.understanding.kept import MOST_CHARS, MOST_TEXTS
from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.sentences import sentences_in
from pneumachron.recipes.understanding.twins import (
    GENERIC,
    Company,
    is_the_one,
    telling_word,
    telling_words,
)
from pneumachron.recipes.understanding.understand import Understood


def named_in(
    understood: Understood, pattern: re.Pattern[str], *, apart: bool = False
) -> frozenset[int]:
    """Lines whose ingredient a step of some theme names.

    Parameters
    ----------
    apart : what the step then puts into the pot is another thing: “Season the ribs and set on top.
        Add the apple and the sugar.”
    """
    told = [text for step in understood.said for text in _about(understood, step, pattern, apart)]
    text = EXCEPT.sub("", " ".join(told).lower())
    return frozenset(
        item.index for item in understood.ingredients if is_named(understood, item, text)
    )


EXCEPT = re.compile(
    r"\b(?:except(?: for)?|(?:all|everything) (?:but|bar|except)|apart from|but not|excluding"
    r"|reserving|leaving out)\b[^.;]*"
    r"|(?<=\) )but\b[^.;]*",
    re.I,
)
"""“All of it except the sesame oil” does not put the sesame oil in."""
FEW_SENTENCES = 4
"""A step with more is a whole recipe in one paragraph. Judgement."""
MIXED_BEFORE = 3
"""So many sentences may tell what a mixture is made of. Judgement."""
_MAKES = any_of(
    r"\b(mix|stir|whisk|blend|combine|beat|shake|pound|crush|grind|add|process|mash|blitz)\b",
    r"\b(?:put|place)\b[^.;]{0,80}\bin an? (?:[\w-]+ ){0,2}bag\b",
)
_PUT_IN = re.compile(
    r"\W*(?:then )?(?:add|pour|layer|place|put|arrange|scatter)\b"
    r"|\W*everything\b[^.;]{0,300}\bgoes in",
    re.I,
)
_THE_MIX = any_of(r"\b(mixture|mix|paste|rub|spices|marinade|brine|glaze|sauce)\b")


def _about(
    understood: Understood, step: str, pattern: re.Pattern[str], apart: bool
) -> Iterator[str]:
    """What of a step is about a theme: all of a short one, a sentence of a long paragraph.

    “Mix the salt and the cumin. Rub it in.” is told in two sentences.
    """
    sentences = sentences_in(step)
    apart = apart and any(_PUT_IN.match(text) and not pattern.search(text) for text in sentences)
    if len(sentences) <= FEW_SENTENCES and not apart:
        yield from [step] if pattern.search(step) else []
        return
    for place, sentence in enumerate(sentences):
        if not pattern.search(sentence):
            continue
        yield sentence
        if names_any(understood, sentence) and not _THE_MIX.search(sentence):
            continue
        for before in reversed(sentences[max(0, place - MIXED_BEFORE) : place]):
            if not _MAKES.search(before):
                break
            yield before


def rows_named(understood: Understood, text: str) -> frozenset[int]:
    """Lines whose ingredient a text names."""
    low = text.lower()
    return frozenset(
        item.index for item in understood.ingredients if is_named(understood, item, low)
    )


def is_named(understood: Understood, item: Ingredient, text: str) -> bool:
    """Whether a text in small letters names this ingredient, and not another one of its kind.

    “Brown sugar” is not the white sugar, “garlic powder” no garlic; “the oil” is not the sesame
    oil, where that is called so elsewhere.
    """
    other = understood.other_names.get((item.index, item.line.name))
    if other is not None and other.search(text):
        return True
    if not may_name(item, text):
        return False
    words = telling_words(item.line.name)
    if words[-1:] == ["juice"] and _ALL_JUICES.search(text) is None and words[-2:-1]:
        squeezed = _OWN_WORDS[0][1].search(text) is not None
        return squeezed or is_the_one(_company_of(understood, item, words[-2].rstrip("s")), text)
    if _in_own_words(words, text) is not None or _by_another_name(item, words, text):
        return True
    return not words or is_the_one(_company_of(understood, item, telling_word(words)), text)


def _company_of(understood: Understood, item: Ingredient, head: str) -> Company | None:
    return understood.companies.get((item.index, item.line.name, head))


_MOST_ASKED = 4 * MOST_TEXTS
"""Each text is asked for each food of its recipe. Judgement."""


def may_name(item: Ingredient, text: str) -> bool:
    """Whether a text in small letters could name an ingredient, whole or by its telling word."""
    return (_may_name if len(text) <= MOST_CHARS else _may_name.__wrapped__)(item, text)


@lru_cache(maxsize=_MOST_ASKED)
def _may_name(item: Ingredient, text: str) -> bool:
    name = item.line.name.lower()
    options = {name, *name.split(" or ")}
    if (called := _CALLED.search(item.line.raw)) and called[1].lower() not in _KINDS_OF:
        options.add(called[1].lower())  # “desiccated coconut, toasted (kerisik)”
    if _SALT_AND.match(name):  # “Salz und Pfeffer”
        options.update(_AND.split(name))
    return any(_may_call(item, each, text) for each in options)


_CALLED = re.compile(r"(?<=[a-z] )\((?!optional|divided|\w+ed\))([^\W\d_]{4,20})\)\W*$", re.I)
_KINDS_OF = frozenset(
    {"fresh", "large", "small", "medium", "whole", "ground", "sweet", "mild", "plain", "boneless",
     "skinless", "warm", "cold", "brown", "white", "black", "green", "yellow", "light", "dark",
     "coarse", "frozen", "homemade", "extra", "juice", "zest", "leaves", "halves", "each", "about",
     "total", "grams", "pounds", "cups", "heaping", "ripe", "lean", "strong", "thick", "thin",
     "fine", "hard", "soft", "good", "best", "real", "regular", "optional", "below", "above",
     "water", "stock", "broth", "sauce", "seeds", "powder", "meat", "pork", "beef"}
)  # fmt: skip
"""What in brackets says of which kind a food is, and is no name of it."""
_SALT_AND = re.compile(r"(?:salt|salz)\b.{1,5}\b(?:pepper|pfeffer)$")
_AND = re.compile(r"\s*(?:&|\+|,|\b(?:and|und)\b)\s*")


def _may_call(item: Ingredient, name: str, text: str) -> bool:
    """As `may_name`, for one of “lard or vegetable oil”."""
    words = telling_words(name)
    called, own = _by_another_name(item, words, text), _in_own_words(words, text)
    if called or own is not None or not words:
        return called or bool(own)
    whole = re.search(rf"(?<![^\W\d_]){re.escape(name)}", text)  # “oil” is in no “foil”
    return (whole is not None and words[-1] != "butter") or _may_call_in_short(item, words, text)


def _may_call_in_short(item: Ingredient, words: list[str], text: str) -> bool:
    """As `may_name`, by the telling word alone."""
    last = words[-1]
    if last in GENERIC and len(words) > 1 and words[-2] in _ANYTHING:
        return f"{words[-2]} {last}" in text  # a hot grill is no hot sauce
    if item.kind == "chilli" and words[-2:] == ["red", "pepper"]:
        return "red pepper" in text  # “crushed red pepper”
    crushed = last.startswith("peppercorn") and not _CRUSHED.isdisjoint(words)
    if crushed or (last == "pepper" and _PODS.isdisjoint(words)):
        return _GROUND_PEPPER.search(text) is not None
    if last == "butter":  # and no “Butterschmalz”
        return re.search(r"\bbutter\b", text) is not None
    if last in {"pepper", "peppers"}:
        return _BESIDE_ONIONS.search(text) is not None
    return bool(re.search(rf"\b{re.escape(telling_word(words))}", text))


def _by_another_name(item: Ingredient, words: list[str], text: str) -> bool:
    """“The bouquet”, “cheese” for cheddar, “add the paste” for a curry paste."""
    if item.food.words == "herb sachet":
        return _BUNDLE.search(text) is not None
    if item.food.words in CHEESES or "cayenne" in words:
        return ("cheese" if item.food.words in CHEESES else "cayenne") in text
    if item.food.words.endswith(" zest"):
        return "zest" in text  # “zest of 2 oranges”
    paste = words[-1:] == ["paste"] and "tomato" not in words
    return paste and _THE_PASTE.search(text) is not None


_REFERS = any_of(
    r"\b(?:see|recipe|from|listed|as) (?:below|above)\b|\((?:below|above)\)|\brecipe follows\b",
    r"\ball of (?:it|the (?:rub|sauce|glaze|marinade))\b",
)


def referring_lines(understood: Understood) -> frozenset[int]:
    """“Rub (below), all of it”: a line that stands for a part, whose foods have their own."""
    names = [(part.name.lower(), part.lines) for part in understood.recipe.parts]
    return frozenset(
        item.index for item in understood.ingredients
        if _REFERS.search(item.line.raw) and any(
            item.index not in rows and set(name.split()).intersection(item.food.words.split())
            for name, rows in names
        )
    )  # fmt: skip


def is_some_sauce(item: Ingredient) -> bool:
    """“Thin sauce”: nothing is known of it but that it is one."""
    return item.kind == "unknown" and item.line.name.lower().endswith("sauce")


def names_any(understood: Understood, text: str) -> bool:
    """Whether a text names any ingredient but the meat."""
    low = text.lower()
    return any(
        item.kind != "meat" and is_named(understood, item, low) for item in understood.ingredients
    )


_ANYTHING = frozenset({"hot", "sweet", "brown", "thick", "dark", "light", "white", "red"})
_CRUSHED = frozenset({"crushed", "cracked", "ground"})
"""“Crushed peppercorns” are what the steps call pepper."""
_BUNDLE = re.compile(r"\b(?:bouquet|sachet|bundle)\b")
"""“4 thyme, 2 bay (tied)” is the bouquet of the steps."""
_GROUND_PEPPER = re.compile(r"\bpepper(?!s\b)\w*(?! (?:flakes|jack|sauce|jelly|paste|strips)\b)")
"""“Pepper flakes” are a chilli."""
_BESIDE_ONIONS = re.compile(
    r"\b(?:bell|sweet|the) peppers?\b|\bpeppers\b|\bonions?,? (?:and|&) pepper\b"
    r"|\bpepper (?:and|&) onions?\b"
)
_PODS = frozenset({"bell", "sweet", "red", "green", "yellow", "orange", "pointed", "romano"})
"""“Red bell pepper” is not the pepper beside the salt."""
_THE_PASTE = re.compile(r"\b(?:add|stir in|fry|in|with) (?:the )?paste\b")


def _in_own_words(words: list[str], text: str) -> bool | None:
    """Whether a text means a juice or a ground seed; None where that is told as of other foods."""
    own = next((told for of, told in _OWN_WORDS if of.search(" ".join(words))), None)
    if own is None:
        return None
    fruit = words[-1] == "juice" and (words[-2] in text or _ALL_JUICES.search(text) is not None)
    return fruit or own.search(text) is not None


_ALL_JUICES = re.compile(r"\b(?:both|all(?: the)?|citrus|fruit|the two) juices\b")


_SPICE = (
    r"(?:cumin|paprika|turmeric|cinnamon|pepper|mustard|cayenne|oregano|thyme|powder|allspice"
    r"|cloves|fennel|nutmeg)\b"
)
_OWN_WORDS = (
    (re.compile(r" juice$"), re.compile(r"\bjuice\b(?! from| of the| in the)")),
    (re.compile(r"^ground coriander$"), re.compile(
        r"\b(?:ground coriander|spices)\b"
        r"|\b(?:rub|massage|toast|grind|crush)\b[^.;]{0,40}\bcoriander\b"
        rf"|\b{_SPICE}(?:,? and|,|,? or| with| &)? (?:the )?coriander\b(?! leaves)"
        rf"|\bcoriander(?:,? and|,| &)? (?:the )?(?:(?:ground|black|smoked) )?{_SPICE}"
    )),
)  # fmt: skip
"""“Spoon over the juices” is about no lime, and the leaves at the end are not the ground seed."""


def around_the_heat(steps: tuple[str, ...], last: int) -> tuple[list[str], list[str]]:
    """Sentences up to the end of the heat, and those after it."""
    sentences = sentences_in(steps[last])
    timed = [index for index, text in enumerate(sentences) if durations_in(text)]
    return around(steps, last, timed[-1] if timed else len(sentences) - 1)


def around(steps: tuple[str, ...], step: int, place: int) -> tuple[list[str], list[str]]:
    """Sentences up to this one of a step, and those after it."""
    sentences = sentences_in(steps[step])
    early, late = sentences[: place + 1], sentences[place + 1 :]
    return [*steps[:step], *early], [*late, *steps[step + 1 :]]


def before_the_heat(understood: Understood) -> Sequence[str]:
    """What is told up to the end of the long heat; all of it, where that is not known."""
    main = understood.cooking.main
    return understood.said if main is None else around(understood.said, *main)[0]


_NO_HEAT = any_of(
    r"\b(rest|stand|hold|cooler|fridge|refrigerat\w*|chill|marinat\w*|cool|soak|freez\w*)\b"
)
LONG_S = 3600.0
"""A later heat of the same paragraph that lasts so long is one more heat. Judgement."""


def around_long_heat(steps: tuple[str, ...], step: int, place: int) -> tuple[list[str], list[str]]:
    """As `around`, behind the last long heat of a paragraph: smoked first, and braised then."""
    sentences = sentences_in(steps[step])
    long = [
        at for at, text in enumerate(sentences)
        if at > place and not _NO_HEAT.search(text)
        and any(span.high_s >= LONG_S for span in durations_in(text))
    ]  # fmt: skip
    return around(steps, step, long[-1] if long else place)

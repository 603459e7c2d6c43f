"""What a scanner read wrong of a printed page: letters for figures, and the other way round."""

import re

from pneumachron.recipes.understanding.measures import unit_names, unit_pattern

_UNITS = "|".join(
    [*(unit_pattern(name) for name in unit_names()), "[lI]bs?", "[lI]arge", "small", "medium"]
)
_AS_A_VERB = r"(?![ \t]+(?:can|tin|stick|pound|bunch|slice|strip)\b(?! (?:of\b|\()))"
"""“I can never wait”, “I pound the garlic”: the writer, and no figure."""
_ONE = re.compile(
    rf"^(?P<bullet>[ \t]*(?:[-•*][ \t]+)?)(?:l|I{_AS_A_VERB})(?=[ \t]+(?i:{_UNITS})(?![a-z]))", re.M
)
_ONE_OF = re.compile(r"(?<![\w/])[lI]/(?=[2348]\b)")
_APART = re.compile(r"(?<![\w/])([123]) /[ \t]?(?=[2348]\b)|(?<![\w/])([123])/[ \t](?=[2348]\b)")
_POUNDS = re.compile(r"(?<=\d )I(?=bs?\b)|(?<=\d)I(?=bs?\b)")
_ZERO = re.compile(
    r"(?<=\d)[Oo](?=\d|[ \t]?°|\s?(?:minutes?|mins?|hours?|hrs?|degrees|grams?|g|ml)\b)"
)
_FIVE = re.compile(r"(?<=\d\d)S(?=[ \t]?(?:°|degrees))|(?<=\d)S(?=[05][ \t]?(?:°|degrees))")
_SMALL_L = re.compile(
    r"\bI(?=(?:arge|emons?|eeks?|imes?|iters?|itres?|eaf|eaves|iquid|amb|ard|ong|ean)\b)"
)


def with_letters_right(text: str) -> str:
    """“3 Ib. brisket”, “l Tbsp. salt”, “32S°F”, “1O minutes” as they were printed."""
    text = _ONE.sub(r"\g<bullet>1", text)
    text = _APART.sub(lambda found: f"{found[1] or found[2]}/", _ONE_OF.sub("1/", text))
    text = _FIVE.sub("5", _ZERO.sub("0", _POUNDS.sub("l", text)))
    return _SMALL_L.sub("l", text)

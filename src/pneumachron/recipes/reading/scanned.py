"""What a scanner read wrong of a printed page: letters for figures, and the other way round."""

import re

_UNITS = (
    r"(?:tbsps?|tbs|tablespoons?|tsps?|teaspoons?|cups?|c\.|cans?|tins?|lbs?|ibs?|pounds?|oz|ounces?"
    r"|pints?|quarts?|cloves?|sprigs?|sticks?|packets?|packages?|bunch(?:es)?|racks?|slabs?"
    r"|[lI]arge|small|medium|dozen)\b"
)
_ONE = re.compile(rf"^(?P<bullet>[ \t]*(?:[-•*][ \t]+)?)[lI](?=[ \t]+(?i:{_UNITS}))", re.M)
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

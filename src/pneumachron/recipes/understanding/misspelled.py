"""Names of foods and cuts as they are often misspelled on cards and in messages."""

import re

_RIGHT = {
    "spair": "spare", "brisquet": "brisket", "briskit": "brisket", "sholder": "shoulder",
    "shouder": "shoulder", "vinager": "vinegar", "vineger": "vinegar", "vinigar": "vinegar",
    "shuger": "sugar", "suger": "sugar", "worchestershire": "worcestershire",
    "worcestshire": "worcestershire", "ketsup": "ketchup",
    "barbaque": "barbecue", "barbeque": "barbecue", "tumeric": "turmeric", "cummin": "cumin",
    "cinamon": "cinnamon", "cinnamin": "cinnamon", "cayanne": "cayenne", "cayene": "cayenne",
    "paprica": "paprika", "oregeno": "oregano", "parsly": "parsley", "tomatoe": "tomato",
    "tomatos": "tomatoes", "potatoe": "potato", "potatos": "potatoes", "brocolli": "broccoli",
    "mayonaise": "mayonnaise", "galic": "garlic", "garlick": "garlic", "onoin": "onion",
    "onoins": "onions", "bottel": "bottle", "bottels": "bottles", "brocoli": "broccoli",
    "molases": "molasses", "mollases": "molasses", "sause": "sauce", "buter": "butter",
    "chilly": "chilli", "jalepeno": "jalapeno", "jalepenos": "jalapenos", "carots": "carrots",
    "pwdr": "powder", "pwd": "powder", "blk": "black", "brn": "brown", "sug": "sugar",
    "vin": "vinegar", "grnd": "ground",
    "celary": "celery", "corriander": "coriander", "shallotts": "shallots",
}  # fmt: skip
"""Common practice: what hurried writers type."""
_WRONG = re.compile(rf"\b(?:{'|'.join(_RIGHT)})\b", re.I)


def spelled_right(text: str) -> str:
    """The text with such words as dictionaries have them; for reading only, never for showing."""
    return _WRONG.sub(lambda found: _RIGHT[found[0].lower()], text)

"""What kinds of work a clause of a recipe tells: rubbing on, frying, serving, and the like."""

import re
from functools import lru_cache

_WORDS = {
    "meat": "meat|pork|beef|ribs?|brisket|shoulder|butt|racks?|slabs?|roast|joint|chunks|cubes"
    "|fleisch|pieces|steaks|chuck|shanks?|plate|them|it|all over|both sides",
    "rub": "rub|rubbed|massage|pat|coat|season|seasoned|sprinkle|dust|press|reiben|einreiben"
    "|würzen|slather|smear|apply|cover",
    "bowl": "bowl|jug|cup|jar|schüssel|blender|processor|mortar|bag",
    "pan": "saucepan|small pan|pan|skillet|frying",
    "pot": "pot|casserole|dutch|cooker|crock|braiser|tin|dish|roaster|topf|bräter|pressure",
    "glaze": "brush|brushed|glaze|baste|mop|paint|lacquer|broil|broiler|grill|wrap|foil"
    "|bestreichen",
    "serve": "serve|served|serving|table|garnish|scatter|top|topped|pile|plate|alongside|buns?"
    "|rolls?|tortillas?|tacos?|rice|servieren|dazu|reichen",
    "stir": "stir|fold|whisk|thicken|slurry|reduce|season to taste|adjust|finish|unterrühren"
    "|abschmecken",
    "fry": "fry|brown|sear|sweat|soften|sauté|saute|cook|anbraten|anrösten|heat|hot|oil",
    "out": "discard|remove|strain|lift|take out|skim|herausnehmen",
    "liquid": "pour|deglaze|cover|bubble|liquid|stock|broth|simmer|boil|braise|ablöschen|aufgießen",
    "marinate": "marinate|marinade|overnight|fridge|soak|brine|cure|marinieren",
    "spray": "spray|spritz|mist|spritzing",
    "salad": "slaw|salad|toss|dress|pickle|salsa|cream|dip",
}
_WORK = tuple((name, re.compile(rf"\b(?:{words})\b")) for name, words in _WORDS.items())
_VERBS = (
    "stir|pour|add|serve|scatter|sprinkle|brush|rub|place|put|cook|mix|whisk|top|fold|drizzle"
    "|season|spoon|toss|return|simmer|fry|bring|let|sear|brown|garnish|spread|coat|cover|massage"
    "|pat"
)
_CLAUSES = re.compile(rf"[;:]|, then |, and (?=\w+ )|\band (?=(?:{_VERBS})\b)|, (?=(?:{_VERBS})\b)")


@lru_cache(maxsize=4096)
def work_in(text: str) -> tuple[str, ...]:
    """Kinds of work that a text in small letters tells, each at most once."""
    return tuple(name for name, words in _WORK if words.search(text))


def clauses_in(sentence: str) -> list[str]:
    """“Stir in the cream and scatter with parsley”: the two things that are done."""
    return [clause for clause in _CLAUSES.split(sentence) if clause.strip()]

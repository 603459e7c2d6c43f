"""Behind the amount of a line: the name of the food, and what else is said of it."""

import re

_PARENS = re.compile(r"\(([^()]*)\)")
_DONE = (
    r"(?:grated|crushed|chopped|sliced|minced|diced|peeled|halved|quartered|julienned|shredded"
    r"|drained|rinsed|pitted|cored|deseeded|seeded|bashed|bruised|smashed|softened|melted|trimmed|cubed|torn)"
)
"""“Ginger grated”: how it is prepared, behind the name."""
_BREAKS = re.compile(
    r",(?!\d{1,2}\s?(?:kg|g|cm|l|EL|TL)\b)|;| - | -- | – | — "
    r"|\s(?=(?:per (?:rack|slab|person|head)|(?:mashed|kneaded|mixed|rubbed) together"
    r"|if (?:you|the|your|they|it)|from an? (?:can|tin|jar|bottle)"
    r"|(?:with|w/|in) (?:(?:their|its|the|own|added) ){0,2}juices?"
    r"|mixed with|(?:plus|\+) (?:extra|more)"
    r"|in (?:one|two|three|four) pieces?|on top|on the side|alongside"
    r"|for (?:the |frying|brushing|smoking|serving|spritz"
    r"|garnish|sprinkling|topping|dusting|greasing)"
    r"|cut in|as an? |to (?:taste|serve|garnish|finish|(?:just )?cover|come|reach))\b)"
    rf"|(?<!ly)\s(?=(?:(?:finely|roughly|coarsely|thinly|thickly|freshly) )?{_DONE}"
    rf"(?: and {_DONE})*\s*(?:$|[,;(]))",
    re.I,
)


_SLAKED = re.compile(
    r"^((?:\w+ ){0,2}(?:\w*starch|corn ?flour|arrowroot|flour))\s*(\+\s*(?:\d|[½¼¾⅓⅔]|an? ).*)$",
    re.I,
)
"""“Cornflour + 1 tbsp water”: what it is stirred with is no part of its name."""
_SOME_MORE = re.compile(
    r"^([^,;(]{2,40}?)\s+((?:\+|plus)\s+"
    r"(?:an? (?:extra|additional) )?(?:\d[\d/.]{0,4}|[½¼¾⅓⅔]|one|two)"
    r" ?(?:tbsp|tbs|tablespoons?|tsp|teaspoons?|cups?|g|ml|oz)\b\.?"
    r"(?:\s+(?:extra|more|for|to)\b.*)?)$",
    re.I,
)
"""“Honey + 2 tbsp extra to glaze”, “sugar plus 1 tbsp”: more of the same."""
_CLOSES = re.compile(r"\s*\)\s*")
_OPENS = re.compile(r"\s*\(\s*")


def _with_whole_brackets(text: str) -> str:
    """“Carrots )”, of a card that holds three lines together: a bracket alone is a comma."""
    if text.count(")") > text.count("("):
        return text if "(" in text else _CLOSES.sub(", ", text)
    return text if ")" in text else _OPENS.sub(", ", text)


_HOW = (
    r"(?:(?:very )?(?:large|small|medium|big|fresh|ripe|firm|whole|good|thick|thin|lean|meaty|fatty"
    r"|untrimmed|trimmed|dried|hot|mild|sweet|sour|boneless|skinless|rindless)"
    r"|bone(?:-| )in|(?:skin|rind)(?:-| )(?:on|off))"
)
_ONLY_HOW = re.compile(rf"{_HOW}(?:, {_HOW}){{0,2}}", re.I)
"""What comes before the name of a food, and is none."""
_ENOUGH = re.compile(
    r"^(?:just )?enough (?=[^,.;]{3,40}\bto (?:just )?(?:cover|come|reach)\b)", re.I
)
"""“Enough stock to come a third of the way up” is stock."""
_LEAVES_OF = re.compile(r"^(?:leaves|leaf) (?:of )?(?=sage|basil|mint|bay|curry)([a-z]+)", re.I)
_AND = re.compile(r"(?<=\w)\s+(?:and|&)\s*$")
"""“Cored and”, where what follows was broken off."""


_SEE_BELOW = re.compile(
    r"\W*(?:see|recipe|instructions?|as|from) (?:the )?(?:below|above|notes?|recipe|follows)\W*$",
    re.I,
)
"""“Lime crema (see below)” says nothing of the food."""


def name_of(rest: str) -> tuple[str, str]:
    """The name, and what stands after a comma, in brackets, or behind “to serve”."""
    rest = _SLAKED.sub(r"\1, \2", _with_whole_brackets(rest))
    rest = _SOME_MORE.sub(r"\1, \2", rest)
    asides = [found.strip() for found in _PARENS.findall(rest) if not _SEE_BELOW.match(found)]
    bare = " ".join(_PARENS.sub(" ", rest).split()).replace(" ,", ",")
    bare = re.sub(r"^(of|the)\s+", "", bare, flags=re.I)
    bare = _ENOUGH.sub("", bare)
    bare = _LEAVES_OF.sub(r"\1 leaves", bare)
    parts = [_AND.sub("", part).strip() for part in _BREAKS.split(bare) if part and part.strip()]
    if not parts:
        return bare.strip(" ,.;!"), ", ".join(asides)
    while len(parts) > 1 and _ONLY_HOW.fullmatch(parts[0]):  # “bone-in, skin-on pork shoulder”
        parts[:2] = [f"{parts[0]}, {parts[1]}"]
    others = [part.strip(" .—") for part in [*parts[1:], *asides]]
    return re.sub(r"(?<=\w) of$", "", parts[0].strip(" ,.;!—")), ", ".join(others)

"""What a recipe eats with its meat and cooks apart: in a run of its own, or in boiling water."""

import re
from collections.abc import Iterable

from pneumachron.core.catalog.sides import side_advice
from pneumachron.recipes.converting.marks import OutLine
from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.sentences import sentences_in
from pneumachron.recipes.understanding.understand import Understood

_PASTA = any_of(
    r"\b(pasta|noodles?|nudeln|macaroni|spaghetti|gnocchi|pappardelle|tagliatelle|fettuccine"
    r"|linguine|penne|rigatoni|fusilli|orzo|udon|ramen|vermicelli|ravioli|sp(ä|ae)tzle|couscous"
    r"|bulgur|quinoa|freekeh)\b"
)
_BOILS = re.compile(
    rf"\W*(?:meanwhile,? |while [^,]{{3,40}}, )?(?:boil|cook) (?:the |your )?(?:\w+ ){{0,2}}?"
    rf"{_PASTA.pattern}",
    re.I,
)
_ONLY_BOILS = re.compile(
    rf"{_BOILS.pattern}(?: (?:in|as|according|per|until|till?|for)\b(?![^.;]*\breserv)[^.;]*)?\W*$",
    re.I,
)
_PULSES = any_of(
    r"\b(beans?|bohnen|chickpeas|lentils|linsen|peas|erbsen|hominy|barley|farro|cannellini"
    r"|borlotti|flageolets?|haricots?)\b"
)
_RICE = any_of(r"\b(rice|reis)\b")
_CABBAGE = any_of(r"\b(cabbage|kraut|fennel)\b")
_CARROTS = any_of(r"\b(carrots?|m(ö|oe)hren|karotten)\b")


def is_boiled(line: OutLine) -> bool:
    """Pasta and the like: it goes into a pot of boiling water, as its pack says."""
    return _PASTA.search(line.name) is not None


def boils_some(understood: Understood) -> bool:
    """“Boil the rigatoni; reserve a cup of the water.”"""
    return any(_BOILS.match(text) for step in understood.said for text in sentences_in(step))


def only_boils(text: str) -> bool:
    """“Cook the pasta in salted water until al dente”, and nothing besides."""
    return _ONLY_BOILS.match(text) is not None


def takes_long(line: OutLine) -> bool:
    """Pulses and grains that take longer than the meat rests: they are cooked before it.

    They go into its sauce.
    """
    return _PULSES.search(line.name) is not None and not is_boiled(line)


def longest_run_min(lines: Iterable[OutLine], meat_hold_min: float) -> float:
    """Minutes under pressure of what goes together: as long as the slowest [min]."""
    return max(run_minutes(line, meat_hold_min) for line in lines)


def run_minutes(line: OutLine, meat_hold_min: float) -> float:
    """Minutes under pressure of what has a run of its own [min]."""
    name = line.name
    side = next(
        (side for side, words in _SIDES if words.search(name)),
        "potatoes_cut",
    )
    if _DRY_BEANS.search(name) and "soak" not in f"{name} {line.aside}":
        return UNSOAKED_MIN
    return float(side_advice(side, meat_hold_min).hold_min)


UNSOAKED_MIN = 35.0
"""Dry beans and chickpeas that were not soaked. Common practice: 25 to 40 min."""
_DRY_BEANS = any_of(
    r"\b(?<!green )(beans?|bohnen|chickpeas|cannellini|borlotti|flageolets?|haricots?)\b"
)


_SIDES = (
    ("beans_soaked", _PULSES), ("rice", _RICE), ("cabbage", _CABBAGE), ("carrots", _CARROTS),
)  # fmt: skip

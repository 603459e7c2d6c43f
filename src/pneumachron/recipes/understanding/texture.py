"""How soft a recipe wants its meat, by the words it uses."""

import re

from pneumachron.core.tenderness import Texture
from pneumachron.recipes.understanding.patterns import any_of

_WORDS: tuple[tuple[Texture, re.Pattern[str]], ...] = (
    (
        "falls",
        any_of(
            "fall(s|ing)?[- ](apart|off|from)",
            r"\bfell (apart|off)",
            r"\b(bones?|blade) (pulls?|slips?|comes?|twists?) (right |clean |straight )?out",
            r"\b(until|till|til) (it|they) pulls?\b",
            r"\bshred",
            r"\bpulls? (easily )?apart",
            r"\bpulled\b",
            r"\bpull (it|them|with|(the |your )?(meat|pork|beef|brisket|shoulder|butt))\b",
            r"\bpulls (easily|clean)",
            r"\bslid(e|es|ing) (straight )?(off|out)",
            r"\bcollapse",
            r"\bpull\.",
            "pulls clean",
        ),
    ),
    (
        "very",
        any_of(
            "very tender",
            r"\b(until|till|til) they bend",
            r"\b20[0-8] ?°? ?F\b.{0,12}(inside|internal|in the (middle|center|thickest))",
            r"\b9[3-7] ?°? ?C\b.{0,12}(inside|internal|in the (middle|center|thickest))",
            r"\bspoon",
            "meltingly",
            r"\bmelting",
            "silky",
        ),
    ),
    (
        "tender",
        any_of(
            "fork[- ]tender",
            r"\btender\b",
            r"\bfork slides",
            r"\bwiggle",
            r"\bwobble",
            r"\bprobe",
            r"\blike butter",
        ),
    ),
    ("holds", any_of("holds? (its|their) (shape|together)", "bites? clean", r"\bfirm\b")),
    ("tender", any_of(r"\bslic(e|es|ed|ing)\b", r"\bcarve")),
)
"""Looked for in this order: the softer wish is the one that was meant."""


def read_texture(texts: tuple[str, ...]) -> Texture | None:
    """The texture that the words ask for, None when they say nothing."""
    words = " ".join(texts)
    for texture, pattern in _WORDS:
        if pattern.search(words):
            return texture
    return None

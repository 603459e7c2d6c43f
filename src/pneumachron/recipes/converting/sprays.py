"""What is sprayed or mopped on while meat smokes."""

import re

from pneumachron.recipes.understanding.ingredients import THIN_KINDS, Ingredient, Kind
from pneumachron.recipes.understanding.naming import around, named_in, rows_named
from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.sentences import sentences_in
from pneumachron.recipes.understanding.understand import Understood

SPRAYED = any_of(r"\bsprit?z(?!er (?:zitron|limett|essig|tabasco|wein))",
                 r"\bbespr(ü|ue)h\w*", r"\bmop(s|ped|ping)?\b", r"\bspray bottle\b",
                 r"\b(?:to|for(?: the)?) spray(?:ing)?\b", r"\bspray (?:hourly|every|once)\b",
                 r"\bspraying (?:it |them |the \w+ )?(?:with|every|each)\b"
                 r"(?![^.;]{0,20}\b(?:oil|non-?stick|cooking spray)\b)",
                 r"\bwater pan\b")  # fmt: skip


def sprayed_lines(understood: Understood) -> frozenset[int]:
    """Lines that are sprayed on while it smokes: named by such a step, or by their own words."""
    own = {item.index for item in understood.ingredients if SPRAYED.search(item.line.raw)}
    told = {
        row for part in understood.recipe.parts if SPRAYED.search(part.name) for row in part.lines
    }
    sentences = [text for step in understood.said for text in sentences_in(step)]
    poured = " ".join(
        text for text in sentences if _UNDER_A_LID.search(text) and not SPRAYED.search(text)
    )
    if any(_MOP_POURED.search(text) for text in sentences) or dresses_the_meat(understood):
        told = set()  # the meat is braised in it, or eaten with it
    # "spritz with the stock hourly", and then braise it in the stock
    named = named_in(understood, SPRAYED) - rows_named(understood, poured)
    # “in a pan w 2 c cider, cover, 3 hrs. grill hot, mopping w sauce”: the cider is poured in
    named -= rows_named(understood, " ".join(filter(_POURED_UNDER_A_LID.search, sentences)))
    # “spritz with apple juice”, of which the list measures what goes into the foil
    foiled = {
        row for part in understood.recipe.parts if IN_FOIL.search(part.name) for row in part.lines
    }  # fmt: skip
    return (named - foiled) | own | told


IN_FOIL = any_of(r"\bwrap(?:ping)?\b", r"\bfoil\b", r"\bboats?\b")
"""What the juice in a foil packet does, the liquid in the pot does."""
_SPRITZ = re.compile(r"\W*(?:sprit?z|mop)\b[^:]{0,12}:", re.I)
"""“Spritz: ½ cup broth, 1 Tbsp hot sauce”: all of it is sprayed on."""
_TO_SPRITZ = re.compile(r"\b(?:for|to) (?:the )?(?:sprit?z|spray)\w*\W*$", re.I)
"""“1 cup broth + 2 Tbsp Worcestershire, for spritzing”."""
SPRAYED_KINDS: frozenset[Kind] = THIN_KINDS | {"acid", "spirit"}


def is_of_a_spray(understood: Understood, item: Ingredient, sprayed: frozenset[int]) -> bool:
    """Whether a line stands under “Mop” or “Spritz”: the salt in it is none for the meat."""
    recipe = understood.recipe
    under = any(item.index in part.lines and SPRAYED.search(part.name) for part in recipe.parts)
    under = under and not dresses_the_meat(understood)
    # a sweet mop is brushed on at the end as well
    thin = item.kind in SPRAYED_KINDS | _IN_A_SPRAY and item.index in sprayed
    raw = recipe.ingredients[item.index]
    return (under and thin) or _SPRITZ.match(raw) is not None or _TO_SPRITZ.search(raw) is not None


_IN_A_SPRAY: frozenset[Kind] = frozenset(
    {"salt", "spice", "chilli", "dried_herb", "woody_herb", "rub", "fat", "aromatic"}
)


def dresses_the_meat(understood: Understood) -> bool:
    """“Pull, and mix with a cup of the mop”: what is left of a mop dresses the cooked meat."""
    main = understood.cooking.main
    late = [] if main is None else around(understood.said, *main)[1]
    return any(_MIXED_WITH_MOP.search(text) for step in late for text in sentences_in(step))


_MIXED_WITH_MOP = any_of(
    r"\b(?:mix|toss|stir|dress|moisten|sauce|splash|season|wet)\w*\b[^.;]{0,60}\b(?:with|in) "
    r"[^.;]{0,40}\bmop\b(?! sauce brush)",
    r"\b(?:rest|remainder|some|cup|ladle|half) of (?:the |your )?mop\b[^.;]{0,20}"
    r"\b(?:into|over|through|onto) (?:the |your )?(?:\w+ )?(?:meat|pork|beef|shreds)\b",
)
_MOP_POURED = any_of(r"\bmop\b[^.;]{0,20}\bpour\b", r"\bpour\b[^.;]{0,30}\bmop\b")


_POURED_UNDER_A_LID = any_of(
    r"\bpan\b[^.;]*\b(?:with|w/?) [^.;]*\b(?:cover|foil|tight)\w*\b(?![^.;]*\b(?:mop|sprit)\w*)",
)
_UNDER_A_LID = any_of(
    r"\b(pan|pot|tray|tin|casserole|dutch oven)\b[^.;]*\b(with|and)\b", r"\bbrais(e|ing)\b"
)

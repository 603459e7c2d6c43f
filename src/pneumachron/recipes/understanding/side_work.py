"""Sentences that heat something else than the meat, or nothing: a side, a thaw, what is served.

Their times and devices are none of the meat's: “Roast the carrots for 40 minutes at 200 °C”.
"""

import re
from dataclasses import replace

from pneumachron.recipes.model import Recipe
from pneumachron.recipes.understanding.durations import durations_in
from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.sentences import sentences_in

_ASIDE = "Aside."
"""Stands for such a sentence, so that the others keep their places."""
_MEAT = any_of(
    r"\b(meat|bones|ribs?|racks?|slabs?|pork|beef|brisket|shoulder|butt|collar|joint|flank\w*)\b",
    r"\b(wings?|flat|point|picnic|it|them|everything|all|pot|casserole|stew)\b",
)
_IN_THE_COLD = any_of(
    r"\broom temp\w*", r"\bdry[- ]?brin\w*", r"\bfreez\w*", r"\bthaw\w*", r"\bdefrost\w*",
    r"\b(leave|let|set aside)\b[^.;]{0,30}\b(to )?cool\b", r"\bcool (down )?for\b",
    r"\bout of the (fridge|refrigerator)\b", r"\bfrom the (fridge|refrigerator)\b",
    r"\b(zimmertemperatur|raumtemperatur|einfrieren|auftauen)\b",
)  # fmt: skip
_HEATS = any_of(
    r"\b(oven|smoke|smoker|simmer|braise|roast|bake|grill|slow cooker|crock\w*|cook)\b",
    r"\d{3} ?(°|º|degrees|[CF]\b)", r"\b(schmoren|garen|braten|backen)\b",
)  # fmt: skip
"""“Out of the fridge for an hour, then 3 hours at 150 °C” is heat too."""
_KEPT = re.compile(
    r"^\W*(?:to serve,? |then |next day,? )?(?:re-?heat|re-?warm|(?:the )?left-?overs?"
    r"|(?:hold|keep)\b[^.;]{0,40}\b(?:warm|low oven|\d{2} ?°?C\b))",
    re.I,
)
_SERVES = re.compile(r"^\W*(?:then |to )?serve\b", re.I)
_SIDE = (
    r"(?:potato(?:es)?|carrots?|parsnips?|corn(?:bread)?|pasta|noodles?|rice|buns?|rolls|tortillas?"
    r"|bread|baguette|garlic|beans|vegetables?|veg|beets?|beetroots?|onions?|shallots?|peppers?"
    r"|tomatoes|chill?i?e?s|spices|seeds|nuts|bacon|pancetta|polenta|grits|dumplings|cabbage|slaw"
    r"|mushrooms|apples|eggs|lentils|quinoa|couscous|greens|kale|squash|pumpkin|macaroni)"
)
_COOKS_A_SIDE = re.compile(
    r"^\W*(?:meanwhile,? |then,? |in the meantime,? |while [^,]{3,40}, )?"
    r"(?:roast|bake|cook|grill|steam|toast|boil|fry|warm|heat|simmer|char|cari?amel\w*|sweat|saut\S*"
    r"|soak|blanch|brown|soften|pickle) (?:the |some |your |a |an |\d+ )*"
    rf"(?:(?!with |in |and )[a-z-]+ ){{0,2}}?{_SIDE}\b",
    re.I,
)
_RISES = re.compile(
    r"^\W*(?:meanwhile,? )?(?:proof|prove|raise|let) (?:the |your )?"
    r"(?:rolls|buns|dough|bread|loaf|loaves)\b", re.I,
)  # fmt: skip
"""“Proof the rolls 45 minutes and bake them”."""
_OVEN_OFF = re.compile(
    r"^\W*(?:then )?(?:turn|switch) (?:off the (?:oven|heat)|the (?:oven|heat) off)\b", re.I
)
"""“Turn off the oven and leave the meat in it for 2 hours”: it only keeps warm."""
_MAKES_A_SIDE = re.compile(
    r"^\W*(?:meanwhile,? |then,? )?(?:make|prepare) (?:the |a |your |some )?(?:[a-z-]+ ){0,2}?"
    r"(?:gravy|sauce|slaw|salsa|rice|mash|pur[eé]e|polenta|salad|pickles?|dressing|glaze)\b",
    re.I,
)
_ROUX = re.compile(
    r"^\W*(?:melt (?:the )?butter|(?:die )?butter (?:schmelzen|zerlassen|erhitzen))\b", re.I
)
"""The beginning of a sauce of its own."""
_MIXES_A_SIDE = re.compile(
    r"^\W*(?:meanwhile|in the meantime|while [^,]{3,40}),? (?:mix|stir|toss|combine|whisk|dress)\b"
    rf"[^.;]*\b(?:for the (?:[a-z-]+ )?)?(?:{_SIDE}|dressing|salsa|pickles?|salad)\b",
    re.I,
)
"""“Meanwhile mix everything for the onions and leave 2 hours.”"""
_FOR_A_SAUCE = re.compile(
    r"^\W*(?:meanwhile,? |then,? )?for the (?:[a-z]+ ){0,2}"
    r"(?:sauce|gravy|glaze|slaw|salsa|dip|relish|mash|dressing|salad)\b"
    r"|^\W*f(?:ü|ue)r (?:die|den|das) (?:[a-zäöüß]{3,20} )?"
    r"[a-zäöüß]{0,16}(?:so(?:ß|ss)e|sauce|glasur|dip|salat|püree|dressing)\b"
    r"(?![^.;]*\b(?:fleisch|rippchen|braten|rippen)\b)",
    re.I,
)
"""“For the gravy, simmer the juices 10 minutes.”"""
_LONG_S = 2700.0
"""What a sauce may take; longer, and it is what the meat cooks in. Judgement."""
_GOES_ON = any_of(r"\b(more|longer|another|further|additional|cover\w*|add(ed)?|together)\b")
"""“Cook the vegetables 30 min more”: with the meat that is there."""


def is_side_work(sentence: str) -> bool:
    """Whether a sentence heats no meat."""
    cold = _IN_THE_COLD.search(sentence) and not _HEATS.search(sentence)
    if cold or any(words.match(sentence) for words in (_SERVES, _KEPT, _RISES, _OVEN_OFF)):
        return True
    if _MIXES_A_SIDE.match(sentence) and not _HEATS.search(sentence):
        return True
    if _FOR_A_SAUCE.match(sentence) and not _MEAT.search(sentence):
        return all(span.high_s < _LONG_S for span in durations_in(sentence))
    side = _ROUX.match(sentence) or _COOKS_A_SIDE.match(sentence) or _MAKES_A_SIDE.match(sentence)
    return side is not None and not (_MEAT.search(sentence) or _GOES_ON.search(sentence))


def without_side_work(recipe: Recipe) -> Recipe:
    """The recipe with such sentences blotted out; steps and sentences keep their places."""
    return replace(recipe, steps=tuple(map(_blotted, recipe.steps)))


OF_A_SAUCE = re.compile(
    r"\W*(?:for the |make the )?(?:\w+ )?"
    r"(?:sauce|glaze|gravy|slaw|relish|polenta|mash|pur[eé]e|rice|risotto|grits|couscous|salsa"
    r"|salad|noodles|potatoes|pickles?|dressing)\s*:\s",
    re.I,
)
"""“Sauce: melt the butter … and simmer 15 minutes”: all of the step is about it."""


_IN_ITS_OWN_PAN = re.compile(
    r"^\W*(?:meanwhile|in the meantime|while (?:the |your )?[^,.;]{3,40}),? "
    r"(?![^.;]*\b(?:meat|ribs|pork|beef|brisket|shoulder|racks?)\b)[^.;]{3,200}"
    r"\bin an? (?:\w+ ){0,2}(?:sauce ?pan|small pan|small pot|pan|skillet)\b",
    re.I,
)
"""“While the ribs cook, combine the peaches and the honey in a saucepan.”"""
_GOES_ON_THERE = re.compile(
    r"^\W*(?:then )?(?:bring|simmer|cook|boil|reduce|stir|let it|lower the heat)\b"
    r"(?![^.;]*\b(?:meat|ribs|pork|beef|brisket|shoulder|racks?)\b)",
    re.I,
)
"""“Simmer until they break down, 20 minutes”, behind it."""


def _blotted(step: str) -> str:
    sentences = sentences_in(step)
    apart = OF_A_SAUCE.match(step) is not None
    kept, own_pan = [], False
    for text in sentences:
        own_pan = _IN_ITS_OWN_PAN.match(text) is not None or (
            own_pan and _GOES_ON_THERE.match(text) is not None
        )
        kept.append(_ASIDE if apart or own_pan or is_side_work(text) else text)
    if kept == sentences:
        return step
    joined = " ".join(kept)
    return joined if len(sentences_in(joined)) == len(sentences) else step

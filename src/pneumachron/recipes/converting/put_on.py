"""What the steps sprinkle, strew or press onto the raw meat, in other words than “rub”."""

import re
from collections.abc import Iterator, Sequence
from itertools import filterfalse, pairwise

from pneumachron.recipes.understanding.naming import rows_named
from pneumachron.recipes.understanding.sentences import sentences_in
from pneumachron.recipes.understanding.understand import Understood

_MEAT = (
    r"(?:meat|pork|beef|brisket|ribs?|racks?|slabs?|shoulder|butt|roast|joint|steaks|flat"
    r"|(?:both|all|every|each|the other|the fat|the meaty|the bone) sides?|top and bottom"
    r"|(?:pork |beef |meat )?(?:pieces|cubes|chunks)|them|it)\b"
)
_NO_SEASONING = (
    r"(?! (?:just |enough |cold |hot |boiling |some |a |the |an |tin ?|aluminium |aluminum ){0,4}"
    r"(?:water|stock|broth|foil|lid|paper|film|plastic|brine|marinade|wine|beer|cider|cola|milk"
    r"|sauce|liquid|oil|onions?|vegetables|bacon|cloth|towel)\b)"
)
"""“Cover the ribs with water, salt and bay leaves.”"""
_WITH = re.compile(
    rf"\b(?:sprinkl|cover|coat|roll|dredg|smear|shower|mix|toss|season|dust)(?:e|ed|ing|s)?\b"
    rf"[^.;]{{0,30}}?\b{_MEAT}[^.;,]{{0,24}}?\b(?:with|in)\b{_NO_SEASONING}(?P<what>[^.;]*)"
    rf"|\b{_MEAT}[^.;]{{0,60}}\b(?:sprinkle|dust|shower|strew)(?:d|n)? (?:\w+ )?"
    rf"(?:with|on)\b(?P<then>[^.;]*)"
    rf"|\bgive (?:the |your )?{_MEAT} an? [^.;]{{0,24}}\b(?:coat(?:ing)?|dusting|layer|shower) of\b"
    rf"(?P<coat>[^.;]*)"
    rf"|\b(?:put|place|shake)\b[^.;,]{{0,20}}\b{_MEAT} in an? (?:[\w-]+ ){{0,4}}bag with\b"
    rf"(?P<bag>[^.;]*)"
    rf"|\b(?:seasoning|rubbing|coating|sprinkling|dusting) (?:the |your |both )?{_MEAT}"
    rf"[^.;,]{{0,24}}\bwith\b(?P<begin>[^.;]*)",
    re.I,
)
"""“Sprinkle both sides of the brisket with …”; “trim the meat, then sprinkle with …”."""
_ONTO = re.compile(
    r"\b(?:sprinkle|shake|strew|scatter|spread|apply|pat|press|sift|grind|dust|massage|smear|rub"
    r"|add|crumble)\b(?P<onto>[^.;]{3,90}?)\b(?:over|on(?: ?to)?|to|into|across)"
    rf"(?: (?:the |each |your |every |all |of |top |bottom |surface ){{0,5}})"
    rf"(?:raw |whole )?{_MEAT}"
    r"(?! (?:in|into) the (?:pot|slow|oven|casserole|dutch|pan))",
    re.I,
)
"""“Shake the paprika over the ribs”; “add the salt to the pork and mix”."""
_USED = re.compile(
    rf"\b(?:use|using)\b[^.;]{{3,60}}\bto (?:coat|season|cover) (?:the |all |your ){{0,3}}{_MEAT}"
    r"|\badd\b[^.;]{3,80}\b(?:and|then) (?:toss|turn|shake) (?:\w+ )?to coat\b",
    re.I,
)
"""“Stir the cumin and salt together. Use it to coat the ribs.”"""
_FLEISCH = (
    r"(?:fleisch|schulter|rippchen|rippen|spareribs|braten|(?:rinder)?brust|nacken|stücke|würfel"
    r"|es|sie|seiten|rundum|rundherum)"
)
_MIT = re.compile(
    rf"\b{_FLEISCH}\b[^.;,]{{0,40}}?\b(?:mit|in) (?P<womit>[^.;]{{3,160}}?)"
    r"\b(?:bestreu(?:en|t)|(?:ge)?wälz(?:en|t)|bestäub(?:en|t)|(?:ge)?würz(?:en|t)|einreiben"
    r"|eingerieben|ein(?=[.,;]|$| und))\b"
    rf"|\bwürze (?:das |die |den )?{_FLEISCH} (?:\w+ ){{0,3}}mit (?P<danach>[^.;]{{3,160}})",
    re.I,
)
"""“Das Fleisch mit Paprikapulver und Salz bestreuen”; “reibe es mit … ein”."""
_STREUT = re.compile(
    rf"\b(?:über|auf) (?:das |die |den |beide ){{0,2}}{_FLEISCH}\b"
    r"[^.;]{0,24}\b(?:streuen|verteilen|reiben|geben und einmassieren)\b",
    re.I,
)
"""“Salz und Zucker auf das Fleisch streuen”: what stands before it."""
_DAMIT = re.compile(
    r"\bdamit\b[^.;]{0,40}\b(?:bestreu|bestäub|einreib|eingerieben|einmassier|(?:ge)?würz)\w*"
    r"|\bdie (?:gewürz)?mischung (?:auf|über) (?:das |die |den ){0,2}\w+ "
    r"(?:geben|streuen|verteilen)",
    re.I,
)
_MISCHT = re.compile(r"\b(?:(?:ver)?misch|verr(?:ü|ue)hr|vermeng|zersto|mörser)\w*", re.I)
_MIXES = re.compile(
    r"\W*(?:then )?(?:(?:in|using) [^,.;]{3,30},? )?(?:stir|mix|combine|blend)\b", re.I
)
_NEXT = re.compile(
    r"(?:,|;| and| then)+ (?:then )?(?:add|put|place|pour|set|lay|arrange|brown|sear|cook|leave"
    r"|chill|cover|wrap|let|tuck|top|transfer|roast|bake|scatter the onions?|nestle)\b.*",
    re.I,
)
"""What is done afterwards, in the same sentence."""
_WET = re.compile(
    r"\b(?:stock|broth|wine|water|beer|cider|juice|cola|vinegar|tomato(?:es)?|sauce)\b"
    r"|(?:brühe|fond|wein|wasser|bier|saft|essig|tomaten|so(?:ß|ss)e|senf|öl|honig)\b",
    re.I,
)
"""What is poured with the spices is no rub: “mix the meat with the paprika and the wine”."""


def put_on(understood: Understood, early: Sequence[str]) -> frozenset[int]:
    """Lines that a step puts on the raw meat dry.

    Parameters
    ----------
    early : what is told before the long heat, a text each
    """
    sentences = [text for step in early for text in sentences_in(step)]
    return rows_named(understood, " ; ".join(_told(sentences)))


def _told(sentences: Sequence[str]) -> Iterator[str]:
    """The words that say with what."""
    for before, text in pairwise(["", *sentences]):
        yield from filterfalse(_WET.search, _told_in_german(before, text))
        for pattern in (_WITH, _ONTO):
            for found in pattern.finditer(text):
                what = next(filter(None, found.groups()), "")
                told = _NEXT.sub("", what)
                if not _WET.search(told):
                    yield told
        if used := _USED.search(text):
            what = before if _MIXES.match(before) else used[0]
            if not _WET.search(what):
                yield what


def _told_in_german(before: str, text: str) -> Iterator[str]:
    """As `_told`, of one sentence and the one before it."""
    for found in _MIT.finditer(text):
        yield found["womit"] or found["danach"]
    if strewn := _STREUT.search(text):
        yield text[: strewn.start()]
    if with_that := _DAMIT.search(text):
        # “Salz und Zucker mischen, das Fleisch damit …”, or mixed in the sentence before
        yield from list(filter(_MISCHT.search, (text[: with_that.start()], before)))[:1]

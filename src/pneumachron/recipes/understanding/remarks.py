"""Sentences beside the work: another way to do it, another piece, what a reader or a box adds.

“Slow cooker: 8 hours on low”, below three hours in an oven, is neither a step nor a time of it.
"""

import re
from collections.abc import Sequence

from pneumachron.recipes.understanding.device import ASIDE
from pneumachron.recipes.understanding.durations import LONG_HEAT_S, durations_in, temperatures_in
from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.sentences import sentences_in

_WAY = (
    r"(?:slow[- ]?cooker|crock[- ]?pot|(?:electric |stove ?top )?pressure[- ]cooker"
    r"|multi[- ]?cooker|oven|smoker|grill|bbq|barbecue|stove(?: ?top)?|hob|dutch oven"
    r"|air[- ]?fryer|schongarer|schnellkochtopf|backofen|ofen)"
)
_ANIMAL = r"(?:pork|beef|lamb|veal|chicken|turkey|venison|goat|mutton|duck|short ribs|brisket|ribs)"
_PIECE = r"(?:piece|joint|roast|shoulder|butt|brisket|rack|slab|cut)"
_SIZE = (
    r"(?:bigger|larger|smaller|thicker|thinner|heavier|whole|half|boneless|bone[- ]in|full|frozen)"
)
_ANOTHER_WAY = any_of(
    r"^\W*alternativ(?:ely|e?)\b(?! (?:layers?|between))",
    rf"^\W*\(?or (?:you can |else )?(?:do|make|try|cook) (?:it|this|them) (?:in|on) an? {_WAY}\b",
    rf"^\W*(?:you|one) (?:can|could|may) (?:also|instead|equally|just as well) [^.;]*"
    rf"\b(?:in|on|use) (?:an?|the|your) {_WAY}\b",
    rf"^\W*(?:(?:it|this|recipe) )*(?:also )?works? (?:also |just as |equally )?"
    rf"(?:well |great |fine |too )?(?:in|on) (?:an?|the|your) {_WAY}\b",
    rf"^\W*(?:can|could|may) (?:also )?(?:use|do it in|be (?:done|made|cooked) in)"
    rf" (?:an? |the |your )?{_WAY}\b",
)  # fmt: skip
"""To be done on another device, wherever it is told."""
_REMARK = any_of(
    # another piece, another texture, another place
    rf"^\W*(?:for )?an? {_SIZE} {_PIECE}\b[^.;]*\b(?:takes?|needs?|wants?|allow|will take|give)\b",
    rf"^\W*if (?:your|the|you have an?) {_PIECE}?\s?(?:is|are)?\s?{_SIZE}\b[^.;]*"
    r"\b(?:add|allow|give|take)\b",
    r"^\W*if (?:bone[- ]in|boneless|frozen|doubling|halving)\b",
    r"^\W*(?:for|if you (?:want|like|prefer)) [^.;,]{0,30}\b(?:pulled|shred\w*|slic\w*|softer"
    r"|firmer|chewier|bigger|larger|smaller|boneless|bone[- ]in)\b[^.;,]{0,20},[^.;]*"
    r"\b(?:longer|less|more|sooner)\W*$",
    r"^\W*(?:in a (?:hurry|rush)|short (?:on|of) time|pressed for time|no [^?.!,]{3,30}"
    r"|(?:want|prefer|like) (?:it|them|more|a)\b[^?.!]{2,30})\?\s+\S",
    r"^\W*(?:(?:at )?high(?:er)? altitudes?|(?:for )?(?:convection|fan)(?: ovens?)?)\s*[:,–-]\s",
    r"^\W*(?:convection|fan) ovens?\b[^.;]*\b(?:reduce|lower|less)\b",
    r"^\W*(?:to cook |cooking )?(?:straight )?from frozen\b",
    # another animal
    rf"^\W*(?:(?:it|this) )?(?:also )?works? (?:well |great |also |just as well )*with (?:an? )?"
    rf"{_ANIMAL}\b",
    rf"^\W*try (?:it|this) (?:with|on) (?:an? )?{_ANIMAL}\b",
    rf"^\W*with {_ANIMAL}\s*:",
    r"^\W*(?:[\w-]+ ){1,4}works? (?:as well|too|just as well|fine)\s*[:;,(]",
    r"^\W*(?:also )?tested (?:with|on)\b",
    # another taste
    r"^\W*for an? (?:\w+er|(?:more|less) \w+) (?:version|taste|flavou?r|kick)\b",
    r"^\W*if you (?:have no|don['’]?t have|can['’]?t (?:find|get)|are out of)\b[^.;]*\buse\b",
    r"^\W*next time\b|\b(?:would|will|i['’]d|i['’]ll) [^.;]{3,40} next time\W*$",
    # what is left, and for how long it keeps
    r"^\W*(?:use (?:up )?)?(?:the |any )?"
    r"left-?over(?:s\b| (?:meat|pork|beef|ribs?|brisket|stew)\b)",
    r"^\W*(?:(?:it|they|this|these|meat) (?:will )?keeps?|keeps) (?:\w+ ){0,2}(?:for|up to|\d)",
    r"^\W*(?:(?:it|they|this|these|meat) )?(?:keeps?|freezes?|reheats?) (?:\w+ )?"
    r"(?:well|beautifully|nicely|fine)\b",
    r"^\W*(?:it |this )?(?:can|may) be (?:made|cooked|prepared) [^.;]*\bahead\b",
    r"^\W*resteverwertung\b|^\W*tipp\s*:",
    r"^\W*tips? (?:from|by) [^:]{2,30}:|^\W*tip ?#?\d\s*:|^\W*the last (?:lot|ones?|people)\b",
    r"^\W*edit(?: ?\d)?\s*:|^\W*(?:rating|verdict)\s*:|^\W*q\s*:\s.{1,200}\ba\s*:",
    r"^\s*(?:--|—) ?(?-i:[A-Z])\w{1,20}\W*$",
    r"^\W*let (?:me|us) know\b|^\W*wine (?:pairing|match)\w*\s*:|^\W*sig\s*:",
)  # fmt: skip
"""Beside the work, wherever it stands."""
_LABEL = re.compile(
    rf"^\W*(?:in (?:an? |the )?|for the |on (?:the |an? )?)?{_WAY}"
    r"(?: (?:method|version|directions?|instructions?|variation|option|way))?\s*[:–—]",
    re.I,
)
"""“Slow cooker method: brown the pork. Cook on low …”: all of the step is about it."""
_OF_A_WAY = any_of(
    _LABEL.pattern,
    rf"^\W*{_WAY}[- ](?:method|version|variation|option)\b",
    rf"^\W*to (?:make|cook|do|prepare)(?: (?:this|it|them))? (?:in|on) (?:an?|the|your) {_WAY}\b",
    rf"^\W*\(?(?:if )?(?:you['’]re |you are )?(?:using|you (?:use|have)) (?:an?|the|your) {_WAY}\b",
    rf"^\W*for (?:the|an?) {_WAY},",
    rf"^\W*(?:in|on) (?:the|an?) {_WAY},? (?:it |this |they )?(?:takes?|allow|reckon|needs?)\b",
    r"^\W*im (?:slow ?cooker|schongarer|schnellkochtopf|dampfkochtopf)\b[^.;]*\d",
)  # fmt: skip
"""Names a device: a crust on the grill may begin so too, and is over in minutes."""
_SLOW = re.compile(r"\b(?:slow[- ]?cooker|crock[- ]?pot|schongarer|\w*kochtopf)\b", re.I)
_GOES_ON = re.compile(r"\b(?:more|another|finish|return|back|transfer)\b", re.I)
"""“Oven: wrapped, 2 hours more” is the next stage, and no other way."""
_HOURS = r"\d[\d ./½¼¾–-]{0,8}(?:hours?|hrs?|h|min\w*)\b"
_ONCE_COOKED = any_of(
    rf"^\W*\(?i (?:do|did|make|made) (?:it|this|mine|them|that)\b[^.;]*\d"
    rf"|^\W*\(?i (?:once|sometimes)\b[^.;]*{_HOURS}",
    rf"^\W*(?:i|we) (?:usually|normally|often|used to)\b[^.;]*\b(?:{_HOURS}|{_WAY})",
    r"^\W*for (?:many )?years,? (?:i|we)\b",
    rf"^\W*(?:it|you) needs? (?:about |around |some )?{_HOURS}",
    r"^\W*(?:mine|ours|my (?:last |own )?\w+) (?:took|needed|was done)\b",
    rf"^\W*we (?:had|ate|served) (?:it|them) with\b[^.;]*{_HOURS}",
    rf"\btime\s*:\s*{_HOURS}|^\W*(?:ready in|active time|hands[- ]on)\b",
    # what a reader says
    r"^\W*(?-i:[A-ZÄÖÜ])[\w.]{1,20}(?: (?-i:[A-Z])\w*\.?)?(?:, [^:]{3,16})? "
    r"(?:says|said|writes|wrote|schreibt)\s*:",
    r"^\W*[\w.]{2,24}(?:, [^:]{3,16})?\s*:\s+(?:(?:i|we) )?"
    r"(?:made|tried|smoked|cooked|did|used|habe) (?:it|this|mine|ours|es|das|\d|the)\b",
    r"^\W*[\w.]{2,24}, [^:]{3,16}\s*:\s+(?:(?:i|we) )?(?:made|tried|smoked|cooked|did|used|habe)\b",
)  # fmt: skip
"""Beside the work, where a long heat was told before: a recipe may also begin so."""
_THE_REST = re.compile(r"\bthe rest of\b", re.I)
"""“Pour over the rest of the stock” rests nothing."""


def is_remark(sentence: str, *, cooked: bool) -> bool:
    """Whether a sentence is no work of the recipe.

    Parameters
    ----------
    cooked : a long heat was told before
    """
    text = sentence[:_MOST_LOOKED_AT]
    if _REMARK.search(text) or (cooked and _ONCE_COOKED.search(text)):
        return True
    other = _ANOTHER_WAY.search(text) or (cooked and _is_of_a_way(text))
    return bool(other) and not _tells_pressure(text)


_MOST_LOOKED_AT = 400
"""Characters of a sentence that are looked at."""


def _is_of_a_way(sentence: str) -> bool:
    whole = _SLOW.search(sentence) or tells_long_heat(sentence)
    return bool(_OF_A_WAY.search(sentence) and whole) and not _GOES_ON.search(sentence)


def _tells_pressure(sentence: str) -> bool:
    """The minutes of a cooker like ours are worth more than the recipe's first way."""
    return _PRESSURE.search(sentence) is not None and bool(durations_in(sentence))


_PRESSURE = re.compile(r"(?<!stovetop )(?<!stove top )\bpressure[- ]cook|\bhigh pressure\b", re.I)


def tells_long_heat(text: str) -> bool:
    """Whether a sentence of a text says how long the meat is in the heat."""
    return any(
        span.high_s >= LONG_HEAT_S
        for sentence in sentences_in(text) if _heats(_THE_REST.sub("", sentence))
        for span in durations_in(sentence)
    )  # fmt: skip


def _heats(sentence: str) -> bool:
    """“Soften the onions, cover and braise for 3 hours” is a heat, though its onions are none."""
    if temperatures_in(sentence) or not ASIDE.search(sentence):
        return True
    return _HEAT.search(sentence) is not None and not _COLD.search(sentence)


_HEAT = re.compile(r"\b(?:brais|simmer|roast|bak|stew|oven|slow[- ]cook|schmor)", re.I)
_COLD = re.compile(
    r"\b(?:marinat|marinier|fridge|refrigerat|chill|overnight|brin|soak|stand|rest|room temp)", re.I
)


def _beside(step: str, *, cooked: bool) -> list[bool]:
    """Of each sentence of a step, whether it is a remark."""
    labelled = cooked and _LABEL.match(step) is not None and _is_of_a_way(step)
    labelled = labelled and not _tells_pressure(step)
    found: list[bool] = []
    before = ""
    for text in sentences_in(step):
        goes_on = before.endswith(";") and found[-1]
        found.append(labelled or goes_on or is_remark(text, cooked=cooked))
        before = text
    return found


def is_beside_the_work(step: str, *, cooked: bool) -> bool:
    """Whether a step is nothing but remarks."""
    return all(_beside(step, cooked=cooked))


_BLOT = "Aside."
"""Stands for such a sentence, so that the others keep their places."""


def without_remarks(steps: Sequence[str]) -> tuple[str, ...]:
    """The steps without what stands beside the work; a step of nothing else is empty."""
    found: list[str] = []
    cooked = False
    for step in steps:
        beside = _beside(step, cooked=cooked)
        if not any(beside):
            found.append(step)
            cooked = cooked or tells_long_heat(step)
            continue
        kept = [_BLOT if aside else text
                for text, aside in zip(sentences_in(step), beside, strict=True)]  # fmt: skip
        said = "" if all(beside) else " ".join(kept)
        cooked = cooked or tells_long_heat(said)
        found.append(said if not said or len(sentences_in(said)) == len(kept) else step)
    return tuple(found)

"""What becomes of a marinade: the meat is cooked in it, or it is brushed back on."""

from itertools import pairwise

from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.sentences import sentences_in
from pneumachron.recipes.understanding.understand import Understood

USED = any_of(
    r"\bin (?:the |a |your )?(?:big |large )?pot\b[^.;]*[.;] marinat\w*[^.;]*[.;] bring\b",
    r"\b(pour|tip|strain|add|return)\w* (in |over |back )?(the |any |all )?(\w+ )?marinade\b"
    r"[^.;]*\b(boil|simmer|bubble|reduce)",
    r"\b(boil|simmer|reduce)\w* (down )?(the |any )?(\w+ )?marinade\b",
    r"\b(?:pour|tip|add)\b[^.;]{0,20}\bmarinade (?:and|with|plus) (?:the |enough )?"
    r"(?:water|stock|broth|beer|wine)\b"
    r"|\b(?:pour|tip|add)\b[^.;]{0,24}\b(?:water|stock|broth|beer|wine) (?:and|with|plus) "
    r"(?:the )?(?:reserved )?marinade\b",
    r"\b(?:vegetables|veg|wine|liquid|beer) (?:of|from) the marinade\b",
    r"\b(?:meat|pork|beef|ribs?|it|them) (?:with|and) (?:all )?(?:its|their|the) marinade\b",
    r"\b(?:put|return|place|add|cook)\b[^.;]{0,20}\b(?:meat|pork|beef|ribs?) (?:with|and) "
    r"marinade\b",
    r"\b(?:return|put|add)\b[^.;]{0,40}\b(?:pot|pan|casserole|cooker)\b[^.;]{0,12}"
    r"\bwith (?:the |its |all (?:of )?the )?(?:\w+ )?marinade\b",
    r"\badd (?:the |any |all )?(?:\w+ )?marinade\b[^.;]*[.;]\s+(?:bring\b|simmer|boil)",
    # “Mit der Hälfte der Beize ablöschen”, “die Marinade angießen”, “in der Beize schmoren”
    r"\b(?:beize|marinade|sud)\b[^.;]{0,40}"
    r"\b(?:abl(?:ö|oe)sch\w*|(?:an|auf|zu|dazu|hinein|dar(?:ü|ue)ber)gie(?:ß|ss)\w*|zugeben"
    r"|dazugeben|hinzuf(?:ü|ue)gen|aufkochen|schmoren)",
)


def is_cooked_in(understood: Understood) -> bool:
    """Whether the meat is cooked in what it was marinated in."""
    used = (
        any(map(USED.search, understood.said))
        or _STAYS_IN_THE_POT.search(" ".join(understood.said))
        or _ALL_GOES_IN.search(" ".join(understood.recipe.steps))
    )
    return bool(used) and not is_brushed_back(understood)


_STAYS_IN_THE_POT = any_of(
    r"\b(?:pot|casserole|dutch oven|cooker)\b[^.;]{0,30}[.;] (?:let )?(?:it )?marinat\w*[^.;]*[.;] "
    r"(?:then )?(?:bring|boil|simmer|cover and (?:cook|simmer))\b"
)
"""“Put everything into a pot. Marinate 30 min. Bring to the boil.”"""


_ALL_GOES_IN = any_of(
    r"\b(?:overnight|hours?|hrs?|h|fridge|next day)\b[^.;]{0,80}[.;] (?:[^.;]{0,80}[.;] ){0,2}"
    r"[^.;]{0,24}\b(?:put|place|tip|scrape|dump|transfer|turn) "
    r"(?:everything|it all|all of it|the lot|the whole lot)\b[^.;]{0,30}"
    r"\b(?:pot|casserole|dutch oven|slow cooker|cooker|pan|dish|roaster|tin)\b"
)
"""“Refrigerate overnight. Put everything in a heavy pot with the rest of the broth.”"""


def is_brushed_back(understood: Understood) -> bool:
    """“Drain, reserving the marinade. … Boil the marinade 5 minutes. Brush over the ribs.”"""
    sentences = [text for step in understood.said for text in sentences_in(step)]
    kept = next((at for at, text in enumerate(sentences) if _RESERVED.search(text)), None)
    if kept is None:
        return False
    after = [_RESERVED.sub("", sentences[kept]), *sentences[kept + 1 :]]
    return any(map(_BOILED_TO_BRUSH.search, map(" ".join, pairwise(after)))) and not any(
        map(_POURED_BACK.search, after)
    )


_RESERVED = any_of(
    r"\b(?:reserv|sav|keep|set(?:ting)? aside)(?:e|ing)? (?:all )?(?:the |its |your )?marinade\b",
    r"\b(?:remove|take|lift|drain)\b[^.;]{0,30}\bfrom (?:the |its )?marinade\b(?![^.;]*\bdiscard)",
)
_BOILED_TO_BRUSH = any_of(
    r"\b(?:boil|simmer|reduc|bring)(?:e|ing)?\b[^.;]{0,24}\bmarinade\b[^.;]{0,120}[.;,]"
    r" ?(?:then |and )?[^.;]{0,20}\b(?:brush|bast|glaz|paint|mop)",
    r"\b(?:boil|simmer|reduc|bring)(?:e|ing)?\b[^.;]{0,24}\bmarinade\b[^.;]{0,80}"
    r"\b(?:use|as)\b[^.;]{0,16}\b(?:glaz|bast|brush)",
)
_POURED_BACK = any_of(
    r"\b(?:pour|tip|add|return|put|strain)\w*\b[^.;]{0,40}\bmarinade\b",
    r"\b(?:in|with) (?:the |its )?(?:reserved )?marinade\b",
)

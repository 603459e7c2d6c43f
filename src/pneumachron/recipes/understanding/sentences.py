"""Where one sentence of a step ends and the next begins."""

import re

from pneumachron.recipes.understanding.kept import kept

NO_END = r"(?<!\bSt\.)(?<!\bMr\.)(?<!\bDr\.)(?<!\bMrs\.)"
"""“St. Louis ribs”: the dot ends a short word."""
_ENDS = re.compile(
    rf"(?<=[a-zà-öø-ÿßCF)”\"’'…][.;!]){NO_END}\s+|(?<=\d\.)\s+(?=[A-ZÄÖÜ])|(?<=[A-Z]{{2}}\.)\s+(?=[A-Z])|(?<=[;!])\s+"
)
_SHORT = re.compile(
    r"\b(?:approx|ca|deg|std|ingreds?|mins?|hrs?|lbs?|oz|tbsps?|tsps?|pkgs?|temp|no|vs|incl|ea|sec|st)\.$",
    re.I,
)
_GOES_ON = re.compile(
    r"[\d½¼¾(]|[CF]\b|(?:covered|or|and|until|till?|per|total|longer|more|at|on|in|a|each"
    r"|garen|br(?:ä|ae)unen|braten|schmoren|backen|kochen|ziehen|ruhen|k(?:ö|oe)cheln"
    r"|glasieren|grillen|r(?:ö|oe)sten|(?:ü|ue)berbacken|(?:ein|weiter)\w{3,12}en|offen|zugedeckt)\b"
)


_ARROW = re.compile(r"\s*(?:→|⇒|=>|->|➔|➡)\s*")
"""“oven 300 → foil, 2 hr → slice”."""
THEN = re.compile(r",? (?:and )?then ")
"""“Simmer 90 min, then onto the grill”: where another work begins in a sentence."""
_UNIT = re.compile(r"[\d½¼¾⅓⅔]\s?(?:c|t|tsps?|tbsps?|tbs|oz|lbs?|pkgs?|qts?|pts?|g|ml)\.$", re.I)
"""“½ c. apple juice”: the dot ends a unit."""


def sentences_in(step: str) -> list[str]:
    """Sentences, and clauses behind a semicolon, each with what ends it.

    “150°C. Cover” are two; “approx. 3 hrs. covered” is one.
    """
    return list(_sentences(step))


@kept
def _sentences(step: str) -> tuple[str, ...]:
    found: list[str] = []
    for part in _ENDS.split(_ARROW.sub(". ", step)):
        if not part.strip():
            continue
        if (found and goes_on(found[-1], part)) or (
            found and _UNIT.search(found[-1]) and part[0].islower()
        ):
            found[-1] += f" {part}"
        else:
            found.append(part)
    return tuple(found)


def goes_on(told: str, behind: str) -> bool:
    """Whether the dot that ends this is that of a short word, as in “approx. 3 hrs. covered”."""
    return bool(_SHORT.search(told) and _GOES_ON.match(behind))

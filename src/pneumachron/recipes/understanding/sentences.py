"""Where one sentence of a step ends and the next begins."""

import re

NO_END = r"(?<!\bSt\.)(?<!\bMr\.)(?<!\bDr\.)(?<!\bMrs\.)"
"""“St. Louis ribs”: the dot ends a short word."""
_ENDS = re.compile(
    rf"(?<=[a-zäöüßCF)”\"’'…][.;!]){NO_END}\s+|(?<=\d\.)\s+(?=[A-ZÄÖÜ])|(?<=[;!])\s+"
)
_SHORT = re.compile(
    r"\b(?:approx|ca|mins?|hrs?|lbs?|oz|tbsps?|tsps?|pkgs?|temp|no|vs|incl|ea|sec|st)\.$", re.I
)
_GOES_ON = re.compile(r"[\d½¼¾(]|(?:covered|or|and|until|till?|per|total|longer|more|at|on|in)\b")


def sentences_in(step: str) -> list[str]:
    """Sentences, and clauses behind a semicolon, each with what ends it.

    “150°C. Cover” are two; “approx. 3 hrs. covered” is one.
    """
    found: list[str] = []
    for part in _ENDS.split(step):
        if not part.strip():
            continue
        if found and _SHORT.search(found[-1]) and _GOES_ON.match(part):
            found[-1] += f" {part}"
        else:
            found.append(part)
    return found

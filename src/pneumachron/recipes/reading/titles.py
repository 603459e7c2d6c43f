"""What a recipe is called: without its site, its yield and the question it answers."""

import re

_SITE = re.compile(r"(?<=\w) \| [^|]{2,60}$")
"""“Pot roast | Weeknight Suppers”: the name of a page's site."""
SERVED = re.compile(
    r"\s*\((?:serves|for|makes|feeds) \d[^()]{0,30}\)$"
    r"|(?:[,;.]| [–-])\s+(?:serves|feeds|makes|for)(?: \w+ for)? \d.{0,40}$",
    re.I,
)
"""“Plum ribs (serves 4)”, “Short ribs, serves 4 – 3 hours”."""


ASKS = re.compile(
    r"^(?:q\s*:\s*)?(?:does|has|do|can) (?:any(?:one|body)|you|someone) (?:have|got|share|give me)"
    r" (?:an?|your|the) (?P<about>.{4,60}?)\?*$",
    re.I,
)
"""“Does anyone have a brisket recipe with coffee?”"""
ABOUT_MEAT = re.compile(r"\b(pork|beef|ribs?|brisket|wings?|shoulder|butt)\b", re.I)
SUBJECT = re.compile(r"^(?:(?:re|fwd?|aw|wg|subject|betreff)\s*:\s*)+(?P<about>\S.{2,120})$", re.I)
"""Of a mail or a thread."""


def title_of(line: str) -> str:
    """Without emphasis, the name of the site, and the word before it."""
    bare = re.sub(
        r"^(?:recipe|title)\s*:\s+(?=\S)", "", _SITE.sub("", line.strip("*_ ")), flags=re.I
    )
    bare = SERVED.sub("", bare)
    if asked := ASKS.match(bare):
        return asked["about"]
    quoted = re.fullmatch(r"[\"“'](.{3,})[\"”']", bare)
    return quoted[1] if quoted else bare

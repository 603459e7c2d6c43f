"""What a recipe is called: without its site, its yield and the question it answers."""

import re

from pneumachron.recipes.model import Recipe
from pneumachron.recipes.understanding.ingredients import food_of
from pneumachron.recipes.understanding.lines import read_line

_SITE = re.compile(r"(?<=\w) \| [^|]{2,60}$")
"""“Pot roast | Weeknight Suppers”: the name of a page's site."""
_PRINTED = re.compile(
    r"(?:\s+recipe)?\s*[-–|:]\s*print(?:able|er)?(?: (?:version|page|view))?$", re.I
)
"""“Pork ragu recipe - Print”: the page to print."""
_LABEL = re.compile(r"^(?:recipe(?: name| for)?|name|dish|title|q|question)\s*:\s+(?=\S)", re.I)
SERVED = re.compile(
    r"\s*\((?:serves|for|makes|feeds) \d[^()]{0,30}\)$"
    r"|(?:[,;.]| [–-]|\s{3})\s+(?:serves|feeds|makes|for)(?: \w+ for)? \d.{0,40}$",
    re.I,
)
"""“Plum ribs (serves 4)”, “Short ribs, serves 4 – 3 hours”."""


_ASKS = re.compile(
    r"^(?:q\s*:\s*)?(?:(?:does|has|do|can) )?(?:any(?:one|body)|you|someone)"
    r" (?:have|got|share|give me) (?:an?|your|the) (?:good |great |decent |nice )?"
    r"(?P<about>.{4,60}?)\?*$",
    re.I,
)
"""“Does anyone have a brisket recipe with coffee?”"""
_BEST_WAY = re.compile(
    r"^(?:q\s*:\s*)?(?:what(?:['’]s| is) (?:the best|your|a good) (?:way|method) to"
    r"|how (?:do|would|should) (?:you|i|we)) (?:do|cook|make|smoke|prepare|roast|braise)"
    r" (?:an? |my |some )?(?:\d+ ?(?:lbs?|kg|pounds?) )?(?P<about>[^?]{6,70}?)\?+$",
    re.I,
)
"""“What's the best way to do a 9 lb pork butt on a pellet grill?”"""
_TOLD_FIRST = re.compile(
    r"\b(?:here['’]s|here is)(?: \w+['’]?\w*){0,4} recipe for (?:an? |some |my )?"
    r"(?P<about>[^.:!?]{4,60}?)"
    r"(?= (?:you|that|which|to|with (?:clear|step))\b|\W*$|[.:!?])",
    re.I,
)
"""“Certainly! Here's a simple recipe for smoked pork shoulder you can make …”."""
MEAT_WORD = (
    r"\b(?:pork|beef|ribs?|spareribs|brisket|wings?|shoulder|butt"
    r"|\w{0,12}ripp(?:e|chen|en)|schwein\w{0,12}|rinder\w{3,12}|rind)\b"
)
ABOUT_MEAT = re.compile(MEAT_WORD, re.I)
A_DISH = re.compile(
    r"\b(?:carnitas|burnt ends|barbacoa|rendang|goulash|gulasch|rag[uù]|birria|adobo|chil[il]i"
    r"|tacos?|sandwich\w*|sliders|stew|pot roast|braten|hotpot|char siu|bulgogi)\b",
    re.I,
)
"""A dish of such meat, by its name: “Carnitas!!”"""
SUBJECT = re.compile(r"^(?:(?:re|fwd?|aw|wg|subject|betreff)\s*:\s*)+(?P<about>\S.{2,120})$", re.I)
"""Of a mail or a thread."""


def question(line: str) -> re.Match[str] | None:
    """A line that asks for a recipe; its group `about` is what it asks for."""
    return _ASKS.match(line) or _BEST_WAY.match(line)


def title_of(line: str) -> str:
    """Without emphasis, the name of the site, and the word before it."""
    bare = _LABEL.sub("", _SITE.sub("", _PRINTED.sub("", line.strip("*_=~ "))))
    bare = SERVED.sub("", bare)
    if asked := question(bare):
        return asked["about"]
    quoted = re.fullmatch(r"[\"“'](.{3,})[\"”']", bare)
    return quoted[1] if quoted else bare


_CALLED = re.compile(
    r"\b(?:we(?:['’]re| are)|i(?:['’]m| am)|today) (?:\w+ )?(?:doing|making|cooking|having)"
    r" (?P<about>[^.,;!?]{4,60})",
    re.I,
)
"""“Today we are doing my uncle's short ribs.”"""
MOST_WORDS = 9
"""Of a title taken from the first line. Judgement."""


def title_by_its_meat(recipe: Recipe) -> str:
    """What a recipe without a title may be called, in its own words: what is made, or its meat."""
    told = _TOLD_FIRST.search(recipe.description)
    if told and ABOUT_MEAT.search(told["about"]):
        return _capital(told["about"].strip("*_ "))
    for text in (recipe.description, *recipe.steps[:2]):
        called = _CALLED.search(text)
        if called and ABOUT_MEAT.search(called["about"]):
            return _capital(called["about"].strip())
    names = [(read_line(line).name, food_of(line).kind) for line in recipe.ingredients]
    meat = next((name for name, kind in names if kind == "meat" and name), "")
    first = next((name for name, _ in names if name), "")
    steps = " ".join(recipe.steps).split()
    return _capital(meat or first or " ".join(steps[:MOST_WORDS]))


def _capital(text: str) -> str:
    return f"{text[:1].upper()}{text[1:]}"

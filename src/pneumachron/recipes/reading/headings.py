"""Headings of a pasted recipe, and the lines that say for how many and how long."""

import re
from typing import Literal, TypeAlias

from pneumachron.recipes.reading.looks import BULLET
from pneumachron.recipes.understanding.lines import read_line
from pneumachron.recipes.understanding.patterns import PICTURE, any_of

Heading: TypeAlias = Literal["ingredients", "steps", "notes", "end", "part"]

_ASKS = (
    r"((you|u)(['’]ll| will)? need|what goes in( it)?|shopping( list)?|(what to )?buy"
    r"|was (?:ihr|du|man|sie|wir) (?:daf(?:ü|ue)r )?(?:braucht|brauchst|brauchen|ben(?:ö|oe)tigt?))"
)
_INGREDIENTS = re.compile(
    r"^(the )?(ingredients?"
    r"( list| needed| (?:that )?(?:you(?:['’]ll| will)?|i) (?:need|use))?"
    rf"|(what )?{_ASKS}|zutaten|(you )?get|grab|gather|stuff"
    r"|bits(?: (?:and|&) (?:bobs|pieces))?)"
    r"(\s+(\d+\s?x\s*)+|\s+(us|metric|imperial|us customary)(\s*[|/]\s*\w+)*"
    r"|\s*\([^()]{1,50}\)|\s+(?:for|serves) \d{1,3}(?: [^\W\d_]+)?)?\s*:?$",
    re.I,
)
_STEPS = re.compile(
    r"^(the )?(do|(?:\d-\d-\d )?method!?|directions?|instructions?|steps?|preparation|procedure|"
    r"what (to|you|u|we|i|you['’]ll) do|do this|plan|so geht['’]s(?: schritt f(?:ü|ue)r schritt)?|"
    r"here['’]s how|how|step[- ]by[- ]step(?: (?:guide|instructions|photos|pictures))?|"
    r"(?:the )?(?:doings?|making|process|work)|making it|"
    r"(what|how) (i|we) did( it)?|"
    r"how (it goes|to( (make|cook|do)( it)?)?|i do it)|to (make|cook)( it)?|zubereitung)\s*:?$",
    re.I,
)
_NOTES = re.compile(
    r"^((?:my |some |more |top |expert |pro |helpful )?"
    r"(?:(?:cook|chef|recipe|cooking|kitchen|ingredient)['’]?s? )?"
    r"(?:(?:foot)?notes?|tips?|remarks?|hints?)"
    r"(?: (?:and|&) (?:notes?|tips?|tricks|variations?|substitutions?))?"
    r"|(?:how to )?(?:storage|storing|store|freezing|reheating|reheat|make[- ]ahead|making ahead"
    r"|leftovers?)(?: (?:and|&) (?:\w+))?(?: (?:tips?|instructions?|leftovers?|it))*"
    r"|(?:easy |recipe |possible )?(?:variations?|substitutions?|swaps?|alternatives)"
    r"(?: (?:and|&|to) (?:\w+))*"
    r"|serving (?:suggestions?|ideas)|tipps?|hinweise?|anmerkung(?:en)?|notizen|varianten?"
    r"|aufbewahrung"
    r"|what to serve with \w+(?: \w+){0,3})\s*:?$",
    re.I,
)
_END = re.compile(
    r"^(?:(?:nutrition\w*( facts)?|comments?|reviews?|related( recipes)?|more recipes"
    r"|(?:special |kitchen )?equipment|(?:kitchen )?tools|you may also like"
    r"|leave a (?:reply|comment)"
    r"|(?:reader |common )?(?:questions|faqs?|q\s?&\s?a)|frequently asked( questions)?)"
    r"\b[^:]{0,20}:?"
    r"|(?:you['’]ll (?:also )?love|you might also|tried this|did you (?:make|try)|share this"
    r"|das k(?:ö|oe)nnte (?:dir|euch) auch|n(?:ä|ae)hrwerte|kommentare?|bewertungen"
    r"|about the author|post navigation|why (?:you|this)|in this post)\b.{0,40}"
    r"|\d+ (?:comments?|replies|thoughts)\b.{0,60}|(?:table of )?contents:?|newsletter:?)$",
    re.I,
)
_PART = re.compile(
    r"^(?:(for|to make) (the |a |your )?|f(?:ü|ue)r (?:die|den|das) )[^\W\d][\w'’ -]{2,40}:?$", re.I
)
_TO = re.compile(
    r"^(?:(?:to|for) (?:serve|serving|garnish(?:ing)?|finish(?:ing)?|top(?:ping)?|glaze|glazing"
    r"|assemble)|served? with|au(?:ß|ss)erdem|sonstiges|zum (?:servieren|garnieren|anrichten))$",
    re.I,
)
_THE = re.compile(
    r"^the (pork|beef|meat|ribs?|short ribs|brisket|wings|rub|dry rub|braise|sauce|marinade|glaze"
    r"|gravy|filling|topping|toppings|slaw|paste|garnish|rest)$",
    re.I,
)
_WHEN = re.compile(
    r"^(?:plus|also|(?:and )?everything else|(?:and )?the rest(?: of it)?"
    r"|other (?:things|ingredients|stuff)"
    r"|(?:the )?(?:night|evening|day) before|(?:the )?next (?:day|morning)|on the day"
    r"|day (?:\d|one|two|three)|am vortag|am n(?:ä|ae)chsten tag)$",
    re.I,
)
"""“The night before”, “Everything else”, alone on a line above what is done or needed then."""
_CAPITALS = re.compile(
    r"^(?:(?:DRY|WET|THE|SPICE) )?(?:MARINADE|RUB|GLAZE|SAUCE|BRINE|BRAISE|GARNISH|TOPPINGS?"
    r"|DRESSING|GRAVY|SLAW|PASTE|SALSA|PICKLES?|GREMOLATA|CRUST|SIDES?)$"
)
_OF_SO_MUCH = re.compile(
    r"^(?:[a-z'’-]+ ){0,4}(?:sauce|glaze|rub|mop|slaw|salsa|gravy|dressing|marinade|paste|relish"
    r"|pickles?|chutney|topping),?"
    r"(?: \((?:makes|yields|enough for) [^()]{1,40}\)"
    r"|(?: [–—-])? (?:makes|yields) [^.,;]{1,30}):?$",
    re.I,
)
"""“Mustard sauce (makes 2 cups)”: nobody buys it so."""
_DISH = re.compile(
    r"^(?:Roast|Braise|Stew"
    r"|(?:Brais|Smok|Roast|Sear|Brown|Grill|Bak|Cook|Finish|Assembl|Serv|Marinat|Glaz|Wrapp|Rest)ing)$"
)
"""One word alone on a line, above what is cooked."""
_STAGE = re.compile(
    r"^step \d{1,2}\s*[:.–-]\s*(?:make )?(?:the )?(?:\w+ )?"
    r"(?:rub|marinade|brine|sauce|glaze|paste|braise|slaw|meat|ribs|pork|beef|brisket|finish)$",
    re.I,
)
"""“Step 1: the rub”."""
_BRACKETED = re.compile(
    r"^\[(?!(?:image|photo|picture|video|jump|pin|print|save|share|rate|edit|quote|x)\b)"
    r"[^\W\d][^\[\]\d]{2,40}\]:?$",
    re.I,
)
_MIXED = re.compile(
    r"^(?:the )?(?:\w+ )?(?:rub|marinade|sauce|glaze|brine|paste|dressing|slaw|mop|spritz)"
    r" [–—-] (?:mix|combine|stir|whisk|blend|shake)\b[^\d]{0,40}$",
    re.I,
)
"""“Rub - mix together”."""
_EMPHASIZED = re.compile(r"^(\*\*|\*|__|_)[^*_]{2,50}\1:?$")
YIELD = any_of(
    r"^(serves|servings?(?: per \w+)?|makes|yields?|feeds|portions?|enough for)\b.{0,40}$",
    r"^(serves?|feeds) (about )?\d{1,2}\b(?! ?(?:oz|g|lb|kg)\b).{0,60}$",
    r"^(?:about )?\d{1,2} (?:small |large |big |hearty )?"
    r"(?:tacos|sandwiches|sliders|burritos|servings|portions|helpings)$",
    r"^for \d{1,3}(?:\s*(?:-|–|to|or)\s*\d{1,3})?( (people|persons|plates|of us))?[.:]?$",
    r"^(?:portionen|pax|covers|people)\s*:\s*\d{1,3}(?:\s?(?:-|–|to)\s?\d{1,3})?$",
    r"^\d{1,2}(?:\s?(?:-|–|to)\s?\d{1,2})? (?:pers\.?|pax|to serve)$",
    r"^f(?:ü|ue)r \d{1,2}(?:\s?(?:-|–|bis)\s?\d{1,2})? (?:personen|portionen|pers\.?)\s*:$",
    r"^\d{1,2} (?:\w+['’]? )?portions or \d{1,2}\b.{0,20}$",
    r"^\d{1,2}(?:\s?[-–]\s?\d{1,2})? (?:people|persons|servings|portions)"
    r"(?:,| \+| plus| and) .{0,40}$",
    r"^\d{1,2}(?:\s?[-–]\s?\d{1,2})? (?:people|persons|servings|portions) [/|·] .{0,80}$",
    r"^(?:(?:rezept |zutaten )?f(?:ü|ue)r )?(?:ca\. )?\d{1,3} (?:personen|portionen|leute)\s*:?$",
    r"^\d{1,3}\s*([-–]|to)?\s*\d{0,3} (servings|svgs?|portions|plates|people|persons)\.?$",
)
TIMES = re.compile(
    r"\b(prep|cook|total|serves)( time)?\s*:|\b(prep|cook|total) time \d|\b(prep|total) \d"
    r"|^start\s*:\s*\d{1,2}(?:[:.]\d\d)? ?[ap]m$"
    r"|^(?:from )?start to finish\s*:|\bhands[- ]on(?: time)?:?\s*\d|\bin the oven\s*:\s*\d"
    r"|^(?:total |active |cooking |overall )?time\s*:\s*\d"
    r"|^\d[\d ./½¼¾–-]{0,8}(?:min\w*|hrs?|hours?|h)\.? (?:prep|active|hands[- ]on)\b"
    r"(?!.{0,60}\b(?:low|high)\b)"
    r"|\b(?:zubereitungs|gar|koch|brat|schmor|vorbereitungs|arbeits|gesamt)zeit\s*:",
    re.I,
)
"""“Cook 4 hours” alone is a step."""
_ON = re.compile(
    r"\b(serves|servings?(?: per \w+)?|feeds|yields?|makes|portionen|personen)\s*:?"
    r"\s*\d{1,3}(\s*([–-]|to)\s*\d{1,3})?"
    r"|\b\d{1,3}(\s*([–-]|to)\s*\d{1,3})? (servings|portions|people|persons)\b"
    r"|\bfor \d{1,2}(\s*([–-]|to)\s*\d{1,2})?(?=\W*$)",
    re.I,
)
STEP_LABEL = re.compile(r"^step \d{1,2}\s*[:.]?$", re.I)
_KINDS: tuple[tuple[re.Pattern[str], Heading], ...] = (
    (_INGREDIENTS, "ingredients"), (_STEPS, "steps"), (_NOTES, "notes"), (_END, "end"),
)  # fmt: skip


_PICTURES = re.compile(
    rf"^\s*(?:{PICTURE}|[\u200d\ufe0f])+\s*|\s*(?:{PICTURE}|[\u200d\ufe0f])+\s*$"
)
"""“🛒 Ingredients”, “How to 👇”."""


_OF_A_WAY = re.compile(
    r"(?:(?:for|in) (?:the |an? )?|to (?:make|cook|do) (?:this|it) (?:in|on) (?:an? |the )?)?"
    r"(?:slow[- ]?cooker|crock[- ]?pot|oven|smoker|grill|stove ?top|air[- ]?fryer)"
    r"(?: (?:version|method|directions?|instructions?|variation|option|way))?\s*:?$",
    re.I,
)


def names_another_way(words: str) -> bool:
    """“Slow cooker version”, alone on a line: behind a whole recipe it is another way to it."""
    return _OF_A_WAY.match(words) is not None


def heading_of(line: str) -> Heading | None:
    """What a line opens; None when it is no heading."""
    bare = _PICTURES.sub("", BULLET.sub("", line).strip("#*_[]=> ")).strip("*_ ")
    if len(bare) > 60:
        return None
    for pattern, kind in _KINDS:
        if pattern.match(bare):
            return kind
    return "part" if _is_part(line, bare) else None


def _is_part(line: str, bare: str) -> bool:
    """`For the glaze`, `Glaze:`, a heading of Markdown that names none of the others."""
    if _WHEN.match(bare) or _CAPITALS.match(_IN_BRACKETS.sub("", bare)) or _DISH.match(bare):
        return True
    if _OF_SO_MUCH.match(bare) or _STAGE.match(bare) or _MIXED.match(bare):
        return True
    if YIELD.match(bare) or TIMES.search(bare) or read_line(bare).low is not None:
        return False
    said = _IN_BRACKETS.sub("", bare)  # “For the rub (can be made ahead)”
    few = len(said.split()) <= 6
    emphasized = _EMPHASIZED.match(line.strip()) or _BRACKETED.match(line.strip())
    marked = line.lstrip().startswith("#") or bare.endswith(":") or emphasized
    return few and (any(known.match(said) for known in (_PART, _THE, _TO, _WHEN)) or bool(marked))


_IN_BRACKETS = re.compile(r"\s*\([^()]{1,50}\)\s*:?$")
"""“THE RUB (makes extra)”."""
_BEHIND_A_HEADING = re.compile(
    r"^(?:ingredients?|zutaten|you(?:['’]ll| will)? need)\s*(?:\(|(?=for |serves ))"
    r"(?P<many>(?:for |serves |makes )?"
    r"(?:\d{1,3}|two|three|four|five|six|seven|eight|nine|ten|twelve)(?:\s*(?:[–-]|to)\s*\d{1,3})?"
    r"(?: (?:servings|portions|people|persons|pers\.?|personen|portionen|sandwiches))?)\)?\s*:?$",
    re.I,
)
"""“Ingredients (2–3 servings)”."""


MOST_MARKED_WORDS = 5
"""Of a line that is a heading only because it is bold or emphasized. Judgement."""


def may_be_marked(words: str) -> bool:
    """Whether bold or emphasized words alone on a line may be a heading: few, and no sentence."""
    few = 0 < len(words.split()) <= MOST_MARKED_WORDS
    return few and re.search(r"[.!?,|\d]", words) is None


def yield_in(line: str) -> str:
    """For how many, when a line says nothing else; empty when it does not."""
    plain = BULLET.sub("", line).strip("#*_ ").strip()
    if behind := _BEHIND_A_HEADING.match(plain):
        return behind["many"]
    if plain.startswith("(") and plain.endswith(")"):
        plain = plain[1:-1]
    if people := _PEOPLE.search(line):
        return f"Serves {people['many']}"
    if YIELD.match(plain) and not re.match(r"^portions? of\b", plain, re.I):
        return plain
    if TIMES.search(plain) or _LABELS.search(plain):
        found = _ON.search(plain)
        return found[0] if found else ""
    return ""


_PEOPLE = re.compile(
    "(?:\U0001f465|\U0001f464|\U0001f37d)\ufe0f?\\s*(?P<many>\\d{1,2})\\b(?! ?min)"
)
"""“👥 4”, beside a clock with its hours."""
_LABELS = re.compile(r"^[^.]{1,50}\s[|·•]\s[^.]{1,50}$")
"""“2 h 15 m | Serves 4 | Easy”."""


_AUTHOR = re.compile(
    r"^(?:(?:recipe |submitted |posted )?by:?|author:?|(?:a )?recipe (?:from|of|courtesy of)"
    r"|(?:from the )?kitchen of:?)\s+"
    r"(?P<name>[^\d\s:,.][^\d:]{1,60}?)(?=\s{3,}|\s*[|·]|\s*$| in [A-Z])",
    re.I,
)
_SOURCE = re.compile(
    r"^(?:source|from|adapted from|original(?: recipe)?)\s*(?::|at)?\s*(?P<where>https?://\S{4,300})"
    r"|^source\s*:\s+(?P<book>\S.{2,100})$",
    re.I,
)


def author_in(line: str) -> str:
    """Who wrote it, when a line says so: `By Ida Marsh`, `Author: the alto`."""
    found = _AUTHOR.match(BULLET.sub("", line).strip("#*_ ").strip())
    name = found["name"].strip() if found else ""
    # “by all means” is no name; “by the hungry alto” may be one
    named = name[:1].isupper() or name.startswith("the ")
    return name if named and len(name.split()) <= MOST_NAMES else ""


MOST_NAMES = 6
"""Words of a name; more is a sentence. Judgement."""


def source_in(line: str) -> str:
    """The address that a line names as where the recipe stands."""
    found = _SOURCE.match(BULLET.sub("", line).strip("#*_<> ").strip())
    return (found["where"] or found["book"]).rstrip(").,>") if found else ""

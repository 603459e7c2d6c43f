"""What a line of a pasted text looks like: food, work, or what a page says besides its recipe."""

import re
from dataclasses import dataclass

from pneumachron.recipes.understanding.durations import durations_in, temperatures_in
from pneumachron.recipes.understanding.ingredients import UNKNOWN, food_of
from pneumachron.recipes.understanding.lines import read_line
from pneumachron.recipes.understanding.patterns import any_of

BULLET = re.compile(
    r"^\s*(?:[-*•·▢☐+\u2013]\s+)?\[[ xX]?\]\s+|^\s*[-*•·▢☐+\u2013]\s+"
    r"|^\s*[●○◎◆◇■□\u2460-\u2473\u2776-\u277f]\s*"
)
NUMBERED = re.compile(
    r"^\s*(?:step\s*)?\d{1,2}\s*(?:[.):]\s+(?=[A-Za-z])|\)\s+(?=\d))|^\s*step\s+\d{1,2}\s+", re.I
)
_LABEL = re.compile(r"^(?:rub|spritz|mop|glaze|sauce|slather|binder)\s*:\s+(?=[\d½⅓⅔¼¾⅛])", re.I)
"""“Spritz: 1 cup cider vinegar”: what a food is for, and no work."""
MOST_LOOKED_AT = 400
"""Characters of a line that are looked at."""
CLUTTER = any_of(
    r"^(home|menu|search|log ?in|sign (up|in)|subscribe|print|pin( it)?|rate|share|save|skip to|"
    r"jump to|close ad|follow|tag (me|us|@)|cookbook|shop|videos?|about|contact)\b"
    r"(?![- ]?(made|bought|grown|style|cured))(?!.*\b\d+ ?(lb|kg|g)\b)(?=[^.]*$)",
    r"^(leave (a|your) |reply\b|like\b|liked by|post(ed)? (by|on|in)|filed under|last edited|"
    r"quote from|sent from|re: |fwd: |from: |to: |subject: |date: |edited\b|author\b|"
    r"by [A-Z][a-z]+ [A-Z]|reviewed by)",
    r"\b(affiliate|(?<!from the )(?<!['’]s )newsletter|sponsored|copyright|all rights reserved"
    r"|advertis\w+|cookies?:)\b",
    r"^(nutrition|calories|equipment|course|cuisine|keyword|category|difficulty|scale \d)",
    r"^(level|active|difficulty|skill)\s*:",
    r"^(?:de)?select all$",
    r"^(tags?|keywords?|categories|slug|layout|permalink|draft|lang)\s*:",
    r"^[aq](?:nswer|uestion)?\s*\([^()]{3,40}\)\s*:",
    r"^\[(jump to|pin|save|print|share|rate)\b",
    r"^\W*(image|photo|picture|video|advertisement)\b\s*:|^\[(image|photo|picture|video)\b",
    r"^(us( customary)?|imperial|metric)\W{1,4}(us( customary)?|imperial|metric)$",
    r"^[A-Z][^.!?:]{1,40} [»\u203a] [A-Z][^.!?:]{1,40}$",
    r"^\W*\d+(\.\d+)? (comments?|reviews?|votes?|shares?|likes?|ratings?|stars?|from \d+)\b",
    r"^\W*\d+(\.\d+)? from \d+ (reviews?|votes?|ratings?)",
    r"^(you may also|you might|more (from|recipes)|related\b|did you (make|try)|tried it|"
    r"rate this|contents:|table of contents|why you|what is the difference)",
    r"^(hi|hello|hey|dear|see you|love|cheers|thanks|thank you|enjoy|xo+\w*|good luck|"
    r"bon app\w+|yours|regards|best (requests|regards))\b[^.]{0,40}[,:.!]*$",
    r"^[★☆⭐*\s]+\d?", r"^>", r" [»\u203a|·] .* [»\u203a|·] ", r"^\w+ » ", r"\bwrote:$",
    r"^https?://", r"^(\d+x[\s|/]*){2,}$",
    r"^edited \d", r"\bthis post may\b",
)  # fmt: skip
"""What stands around a recipe on a page, in a forum or in a mail."""
_ASKED = re.compile(
    r"^(?:can|could|do|does|how|what|should|is|are|why|which|when|where|will) [^.!?]{3,100}\?"
    r"(?:\s|$)",
    re.I,
)
"""“Can I use frozen ribs? No.”: what readers asked."""
STARTS_COUNTED = re.compile(
    r"^(about |approx\.? |ca\.? )?(\d|[½⅓⅔¼¾⅛⅜⅝⅞]|(an?|one|two|three|four|five|six|eight|ten|half|"
    r"few|several|bottle|can|tin|jar|pinch|dash|handful|packet|juice|zest|dozen)\b)",
    re.I,
)
_CHAT = re.compile(r"\b(i|i'm|i’m|i've|i’ve|me|my|mum|mom|we|our|everyone|grandmother)\b", re.I)
VERBS = frozenset({
    "add", "arrange", "bake", "baste", "bbq", "beat", "blanch", "blend", "boil", "braise",
    "brine", "bring", "broil", "brown", "brush", "bubble", "build", "carve", "char", "check",
    "chill", "chop", "clean", "close", "coat", "coil", "combine", "cook", "cool", "cover",
    "crisp", "crush", "cube", "cut", "dab", "deglaze", "dice", "dip", "discard", "divide", "dot",
    "drain", "drape", "dredge", "dress", "drizzle", "drop", "dry", "dust", "fill", "finish",
    "flip", "fold", "fork", "freeze", "fry", "garnish", "get", "give", "glaze", "go", "grate",
    "grill", "halve", "hang", "heap", "heat", "hit", "hoist", "hold", "keep", "lay", "leave",
    "let", "lift", "light", "line", "load", "lock", "lower", "make", "marinate", "mash", "melt",
    "mince", "mix", "mop", "nestle", "open", "paint", "part", "pat", "peel", "place", "plate",
    "poach", "poke", "pop", "pour", "preheat", "press", "prick", "pull", "puree", "put",
    "quarter", "ready", "reduce", "refrigerate", "remove", "render", "rest", "return", "rinse",
    "roast", "roll", "rub", "salt", "sauce", "scald", "scatter", "scoop", "score", "scrape",
    "seal", "sear", "season", "separate", "serve", "set", "shake", "shred", "simmer", "sit",
    "skewer", "skim", "slake", "slash", "slather", "slice", "smear", "smoke", "smother", "soak",
    "soften", "spatchcock", "spoon", "spray", "spread", "sprinkle", "spritz", "squeeze", "stab",
    "stand", "start", "steam", "steep", "stir", "strain", "stuff", "take", "tear", "tent",
    "thicken", "thin", "throw", "tie", "tip", "toss", "transfer", "trim", "try", "turn",
    "uncover", "unwrap", "use", "vent", "wait", "warm", "wash", "weigh", "whisk", "whiz", "work",
    "wrap",
})  # fmt: skip
"""Words that begin a step."""
_NOT_VERBS = ("salt", "brown sugar", "brown rice", "brown onion", "brown mustard",
              "season salt", "roast beef", "dry rub", "dry red", "dry white", "dry sherry",
              "dice of", "sauce", "fork", "line", "light", "tip", "bbq sauce", "glaze:",
              "ready")  # fmt: skip


_WHAT_FOR = re.compile(
    r",? (?:to|for) (?:finish|serv(?:e|ing)|garnish(?:ing)?|top(?:ping)?|scatter|dust(?:ing)?)"
    r"[ .]*$",
    re.I,
)
"""“Sesame seeds to finish” is no work."""
_SHORT = re.compile(r"\b(?:lbs?|oz|tsps?|tbsps?|pkgs?|pkts?|ea|approx|c|qts?|pts?|gal|in)\.$", re.I)
"""“4 to 5 lbs.”: the end of a word, and of no sentence."""
ALSO_ADJECTIVES = frozenset({"warm", "cool", "dry", "thin", "clean", "open", "crisp", "ready"})
_AFTER_A_VERB = frozenset({
    "a", "all", "an", "any", "both", "carefully", "completely", "down", "each", "for", "gently",
    "in", "it", "off", "on", "out", "over", "some", "the", "them", "these", "this", "through",
    "to", "until", "up", "well", "with", "your",
})  # fmt: skip
"""“Warm the tortillas” is work, “warm tortillas” is food."""


@dataclass(frozen=True, slots=True)
class Look:
    """How much a line looks like an ingredient and like a step; below 0: not at all."""

    food: float
    work: float
    clutter: bool
    has_amount: bool


def look_at(line: str) -> Look:
    """How a line looks.

    The weights are judgement, set on the half of the strangers' recipes that may be looked at.
    """
    text = line[:MOST_LOOKED_AT]
    plain = _LABEL.sub("", BULLET.sub("", text).strip().lstrip("# "))
    words = re.findall(r"[a-zäöüß]+", _WHAT_FOR.sub("", plain).lower())
    found = read_line(plain)
    timed = bool(durations_in(plain))
    hot = bool(temperatures_in(plain))
    starts = _starts_with_verb(plain, words)
    told = plain.endswith((".", "!")) and len(words) >= 5
    sentence = told and not (_SHORT.search(plain) or _WHAT_FOR.search(plain))
    known = food_of(found.name) is not UNKNOWN
    # “20 years” at the end of a sentence is no amount of food
    counted = bool(STARTS_COUNTED.match(plain)) or bool(re.search(r"[\d½⅓⅔¼¾⅛]", plain))
    # nor is the “rack” of a title one rack
    amount = found.low is not None and counted and (known or bool(STARTS_COUNTED.match(plain)))
    # so much of a food is an ingredient, whatever word it begins with
    clutter = bool(_ASKED.match(plain)) or (
        not (amount and known) and (bool(CLUTTER.search(plain)) or not words or plain.endswith("?"))
    )
    food = sum((
        (1.5 if found.unit else 0.8) if amount else 0.0,
        0.8 if known else 0.0,
        0.3 if len(words) <= 7 else 0.0,
        -1.0 if len(words) > 14 else 0.0,
        -2.2 if sentence else 0.0,
        -1.5 if starts and not amount else 0.0,
        -1.5 if timed else 0.0,
        -1.0 if hot else 0.0,
        0.0 if amount or known else -0.8,
        -0.8 if _CHAT.search(plain) else 0.0,
        -2.0 if clutter else 0.0,
    ))  # fmt: skip
    work = sum((
        -0.4,
        1.2 if NUMBERED.match(text) and len(words) > 3 else 0.0,
        1.6 if starts else 0.0,
        0.6 if VERBS.intersection(words) else 0.0,
        1.2 if timed else 0.0,
        0.8 if hot else 0.0,
        0.6 if sentence else 0.0,
        0.4 if len(words) >= 10 else 0.0,
        -0.8 if len(words) < 3 and not starts else 0.0,
        -1.2 if amount and found.unit and not timed else 0.0,
        -0.8 if _CHAT.search(plain) else 0.0,
        -2.0 if clutter else 0.0,
    ))  # fmt: skip
    return Look(food, work, clutter, amount)


def _starts_with_verb(plain: str, words: list[str]) -> bool:
    if not words or plain.lower().startswith(_NOT_VERBS):
        return False
    if words[0] in ALSO_ADJECTIVES:
        return len(words) > 1 and words[1] in _AFTER_A_VERB
    return words[0] in VERBS

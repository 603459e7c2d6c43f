"""What a line of a pasted text looks like: food, work, or what a page says besides its recipe."""

import re
from dataclasses import dataclass

from pneumachron.recipes.understanding.durations import durations_in, temperatures_in
from pneumachron.recipes.understanding.ingredients import UNKNOWN, food_of
from pneumachron.recipes.understanding.kept import kept
from pneumachron.recipes.understanding.lines import read_line
from pneumachron.recipes.understanding.patterns import BULLET_SIGNS, PICTURE, any_of

BULLET = re.compile(
    rf"^\s*(?:[-{BULLET_SIGNS}+\u2013]\s+)?\[[ xX]?\]\s+"
    rf"|^\s*[-{BULLET_SIGNS}+\u2013\u2014]\s+"
    r"|^\s*[●○◎◆◇■□\u2460-\u2473\u2776-\u277f]\s*"
    r"|^\s*[-•](?=[\dA-Za-z½⅓⅔¼¾⅛])"
    rf"|^\s*(?:(?![☆★▢☐]){PICTURE})+\s*(?=[\w½⅓⅔¼¾⅛])"
)
_SIZES = (
    r"(?:inch|in\b|cm|mm|lb|pound|kg|kilo|oz|ounce|g\b|ml|bone|rib|rack|quart|lit|hour|h\b|min|day"
    r"|to\b)"
)
NUMBERED = re.compile(
    r"^\s*(?:step\s*)?\d{1,2}\s*(?:[.):]\s+(?=[A-Za-z])|\)\s+(?=\d))|^\s*step\s+\d{1,2}\s+"
    rf"|^\s*\d{{1,2}}-(?=[A-Za-z])(?!{_SIZES})",
    re.I,
)
_LABEL = re.compile(
    r"^(?:rub|spritz|mop|glaze|sauce|slather|binder|ribs?)\s*:\s+(?=[\d½⅓⅔¼¾⅛])", re.I
)
"""“Spritz: 1 cup cider vinegar”: what a food is for, and no work."""
MOST_LOOKED_AT = 400
"""Characters of a line that are looked at."""
GEAR = (
    r"^\W*(?:(?:special |cooking )?equipment|gear|tools|hardware|setup"
    r"|(?:what )?you(?:['’]ll| will)? (?:also )?need)\W{1,4}"
    r"(?!.{0,200}\b(?:ribs?|racks? of|pork|beef|brisket|salt|sugar)\b)"
    r"[^.!?]{0,60}\b(?:grill|smoker|thermometer|(?:drip|roasting|sheet) pan|skewers|tongs|foil"
    r"|butcher paper|coals?|charcoal|blender|kettle)\b"
)
"""“You need: kettle grill, charcoal, drip pan”: what it is cooked with, and no food."""
CLUTTER = any_of(
    r"^(home|menu|search|log ?in|sign (up|in)|subscribe|print|pin( it)?|rate|share"
    r"|save(?! (?:the|some|an?|any|all|half|your|\d))|skip to|"
    r"jump to|close ad|follow|tag (me|us|@)|cookbook|shop|videos?|about|contact)\b"
    r"(?![- ]?(made|bought|grown|style|cured))(?!.*\b\d+ ?(lb|kg|g)\b)(?=[^.]*\.{0,3}$)",
    r"^saved? [\d.]+k? times\b.{0,60}$",
    r"^(leave (a|your) |reply\b|like\b|liked by|post(ed)? (by|on|in)|filed under|last edited|"
    r"quote from|sent from|re: |fwd: |from: |to: |subject: |date: |edited\b|author\b|"
    r"by [A-Z][a-z]+ [A-Z]|reviewed by)",
    r"\b(affiliate|(?<!from the )(?<!['’]s )newsletter|sponsored|copyright|all rights reserved"
    r"|advertis\w+|cookies?:)\b",
    r"^(nutrition|calories|equipment|course|cuisine|keyword|category|difficulty|scale \d"
    r"|per (?:serving|portion)\b.*(?:cal|kj|fat))",
    r"^(level|active|difficulty|skill|recipe type|meal type|diet)\s*:", r"^recipe card$",
    r"^[0-5](?:\.\d)?\s?/\s?5\b(?! ?(?:cups?|tsp|tbsp|lbs?|kg|g)\b)",
    r"^(?:oven|stove ?top|slow cooker|grill|smoker|pressure cooker)$",
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
    r"hallo|moin|servus|liebe[rs]?|guten (morgen|tag|abend)|lg|vg|(viele|liebe) gr(ü|ue)(ß|ss)e|"
    r"bon app\w+|yours|regards|best (requests|regards))\b[^.]{0,40}[,:.!]*$",
    r"^[★☆⭐*\s]+(?:\d|$)|^[★☆⭐]", r"^>",
    r" [»\u203a|·] .* [»\u203a|·] ", r"^\w+ » ", r"\bwrote:$",
    r"^https?://", r"^@\w+\b", r"^([\d½¼]+x[\s|/]*){2,}$",
    r"^\((?:all )?(?:spoon|cup|measure)\w* .{0,30}\blevel\)$|^scroll (?:down|up)\b",
    r"^(?:e-?mail|copy link|glossary)$", r"\bphotos? (?:below|above)\W*$",
    r"^(?:allerg(?:ens?|ene)|costs?|kosten|(?:kitchen |koch)?utensil(?:s|ien)|glossary)\s*:",
    r"^seasons?\s*:\s+(?:spring|summer|autumn|fall|winter|all year)\b", r"^continue below\W*$",
    r"^page \d+ of \d+$", r"^\W*(?:photos?|pictures?|images?|figure|fig\.) ?\d+\W*$",
    r"^(?:next|previous|disclaimer|sponsored)\s*:|^n(?:ä|ae)hrwerte\b|^servings?:? [–-] ?\d+ ?\+$",
    r"^(?:de)?select all\b|^add all\b.{0,20}$|^show photos?$|^follow (?:us|me|along)\b",
    r"^(?:get|see|find|click|read|recipe|here)\b.*\bhttps?://",
    r"^[\d.,]+\s?[km]? (?:views|subscribers|followers)\b",
    r"^get the (?:free )?app\b|^start free\b",
    r"^update\s*:", r"^(?:got|have) (?:a |any )?questions?\b",
    r"^cook(?:ing)? times? (?:by|per) (?:weight|size|pound|kilo)\b",
    r"\b\d+ ?(?:kcals?|calories)\b",
    r"\b(?:carbs?|protein|sodium|cholesterol)\b[^.;]{0,12}\d+ ?m?g\b.{0,40}"
    r"\b(?:carbs?|protein|fat|fib(?:er|re)|sodium|sugars?|cholesterol)\b[^.;]{0,12}\d+ ?m?g\b",

    GEAR,
    r"^cook mode\b|\bscreen from going dark\b|^keep (?:your )?screen (?:awake|on)\b",
    r"^(?:copy to clipboard|get ingredients|watch (?:the |this )?(?:video|how)"
    r"|(?:hide|show) images?|read more|continue reading|see (?:more|also|nutrition\w*)"
    r"|show (?:more|less|all)|yes,? it(?:[’']s|s) "
    r"|let us know|tried this"
    r"|mark (?:as )?complete|add to (?:list|cart|favou?rites|shopping list)|loading)\b.{0,60}$",
    r"^edited \d", r"\bthis post may\b",
    r"^(?:one|each|an?|per) (?:rack|slab|butt|brisket) (?:feeds|serves)\b",
    r"^[\"\u201c\u201e][^\"\u201c\u201d]{3,160}[\"\u201c\u201d]\s?(?:—|–|-+)\s?(?:my\b|our\b|[A-Z])",
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
    "add", "allow", "apply", "arrange", "assemble", "bake", "baste", "bbq", "beat", "begin",
    "blanch", "blend", "blitz", "boil", "braise", "brine", "bring", "broil", "brown", "brush",
    "bubble", "build", "bury", "butterfly", "caramelise", "caramelize", "carve", "char", "check",
    "chill", "chop", "clean", "close", "coat", "coil", "combine", "continue", "cook", "cool",
    "cover", "crisp", "crush", "cube", "cut", "dab", "defat", "deglaze", "degrease", "dice", "dip",
    "discard", "divide", "dot", "double", "drain", "drape", "dredge", "dress", "drizzle", "drop",
    "dry", "dust", "eat", "enjoy", "ensure", "fill", "finish", "flip", "fold", "fork", "freeze",
    "fry", "inject",
    "garnish", "get", "give", "glaze", "go", "grate", "grill", "halve", "hang", "heap", "heat",
    "hit", "hoist", "hold", "immerse", "insert", "keep", "knead", "lay", "layer", "lean", "leave",
    "let", "lift", "light", "line", "load", "lock", "lower", "make", "marinate", "mash", "massage",
    "melt", "microwave", "mince", "mix", "mop", "move", "nestle", "open", "pack", "paint",
    "parboil", "part",
    "pass", "pat", "peel", "pierce", "pile", "place", "plate", "plonk", "plunge", "poach", "poke",
    "pop", "portion", "position", "pour", "preheat", "press", "prick", "prop", "pull", "pulse",
    "puree", "put", "quarter", "raise", "ready", "reduce", "refrigerate", "remove", "render",
    "repeat", "reserve", "rest", "return", "rinse", "roast", "roll", "rub", "salt", "sauce", "saut",
    "scald", "scatter", "scoop", "score", "scrape", "seal", "sear", "season", "secure", "separate",
    "serve", "set", "shake", "shove", "shred", "sieve", "simmer", "sit", "skewer", "skim", "skin",
    "slake", "slash", "slather", "slice", "slide", "sling", "smear", "smoke", "smother", "soak",
    "soften", "spatchcock", "spoon", "spray", "spread", "sprinkle", "spritz", "squeeze", "stab",
    "stack", "stand", "start", "steam", "steep", "stir", "strain", "stuff", "submerge", "sweat",
    "swirl", "switch", "take", "taste", "tear", "tenderize", "tent", "thicken", "thin", "thread",
    "throw", "tie", "tip", "toast", "toss", "transfer", "trim", "truss", "try", "tuck", "turn",
    "uncover", "unroll", "untie", "unwrap", "use", "vent", "wait", "warm", "wash", "weigh", "whip",
    "whisk", "whiz", "whizz", "work", "wrap",
})  # fmt: skip
"""Words that begin a step."""
_NOT_VERBS = ("salt", "squeeze butter",
              "brown sugar", "brown rice", "brown onion", "brown mustard",
              "season salt", "roast beef", "dry rub", "dry red", "dry white", "dry sherry",
              "dice of", "sauce", "fork", "line", "light", "tip", "bbq sauce", "glaze:",
              "ready", "rub of", "squeeze of", "drizzle of", "sprinkle of", "scoop of")  # fmt: skip


_WHAT_FOR = re.compile(
    r",? (?:to|for) (?:finish|serv(?:e|ing)|garnish(?:ing)?|top(?:ping)?|scatter|dust(?:ing)?)"
    r"[ .]*$",
    re.I,
)
"""“Sesame seeds to finish” is no work."""
_SHORT = re.compile(
    r"\b(?:lbs?|oz|tsps?|tbsps?|pkgs?|pkts?|ea|approx|c|qts?|pts?|gal|in|pcs?|chpd|chopd|lge?|med|sm"
    r"|gr|drd|frz|opt)\.$",
    re.I,
)
"""“4 to 5 lbs.”: the end of a word, and of no sentence."""
ALSO_ADJECTIVES = frozenset({"warm", "cool", "dry", "thin", "clean", "open", "crisp", "ready"})
_ALSO_FOODS = frozenset({"oil", "butter", "flour", "mustard", "salt", "pepper", "sauce", "glaze"})
_WHAT_IS_THERE = frozenset({"the", "it", "them", "both", "your", "all", "each"})
"""“Oil the ribs” is work."""
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


@kept
def look_at(line: str) -> Look:
    """How a line looks.

    The weights are judgement, set on the half of the strangers' recipes that may be looked at.
    """
    text = line[:MOST_LOOKED_AT]
    plain = _LABEL.sub("", BULLET.sub("", text).strip().lstrip("# "))
    words = re.findall(r"[a-zäöüß]+", _WHAT_FOR.sub("", plain).lower())
    found = read_line(plain)
    at_a_time = _AT_A_TIME.match(plain) is not None
    of_food = _FOR_THE_LAST.match(plain) is not None and food_of(found.name) is not UNKNOWN
    timed = at_a_time or (bool(durations_in(plain)) and not of_food)
    hot = bool(temperatures_in(plain)) or _HEAT_LABEL.match(plain) is not None
    told = plain.endswith((".", "!")) and len(words) >= 5
    sentence = told and not (_SHORT.search(plain) or _WHAT_FOR.search(plain))
    known = food_of(found.name) is not UNKNOWN
    known = known or (found.low is not None and _is_meat_in_brackets(plain))
    # “20 years” at the end of a sentence is no amount of food
    counted = bool(STARTS_COUNTED.match(plain)) or bool(re.search(r"[\d½⅓⅔¼¾⅛]", plain))
    # nor is the “rack” of a title one rack
    amount = found.low is not None and counted and (known or bool(STARTS_COUNTED.match(plain)))
    amount = (amount or _MEASURED_LAST.search(plain) is not None) and not at_a_time
    amount = amount and not (not known and not found.unit and _TAGLINE.match(plain))
    placed = not amount and _PLACED.search(plain) is not None
    starts = placed or _starts_with_verb(plain, words)
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
        -1.2 if amount and found.unit and not (timed or sentence) else 0.0,
        -0.8 if _CHAT.search(plain) else 0.0,
        -2.0 if clutter else 0.0,
    ))  # fmt: skip
    return Look(food, work, clutter, amount)


_TAGLINE = re.compile(
    r"(?:an?|one|two|three|half an?) (?:[^\W\d_][\w'’-]*,? ){2,}[^\W\d_][^\d]*"
    r"(?:\b(?:serves|feeds|for) \d[^.]*)?\.?$",
    re.I,
)
"""“A cosy weekend braise. Serves 4–6”, below the title: no food is meant."""
_IN_BRACKETS = re.compile(r"\(([^()\d]{3,30})\)")


def _is_meat_in_brackets(text: str) -> bool:
    """“1.8 kg plat de côtes (short ribs)”."""
    return any(food_of(found[1]).kind == "meat" for found in _IN_BRACKETS.finditer(text))


_PLACES = (
    r"(?:grate|grill|smoker|pit|oven|crock ?pot|slow cooker|kettle|roaster|roasting (?:pan|tin)"
    r"|foil pan|casserole|dutch oven|cooker)"
)
_PLACED = any_of(
    rf"^(?:everything|all of it|(?:all )?the rest)\b.{{0,60}}\bin(?:to)? (?:the |a ){_PLACES}\b",
    rf"^[^,]{{3,40}} (?:on|in|into|onto|over) (?:the |a ){_PLACES}, ",
    r"\b(?:ribs|meat|pork|beef|brisket) (?:go(?:es)? )?back in(?:to)?\b",
    r"^[^,]{3,40} (?:round|around) the edges?, |, (?:lid|vents?) (?:on|shut|closed)\b",
    r"^(?:salt|pepper|rub|season\w*)\b.{0,20} the (?:night|day|evening|morning) before\b",
)
"""“Shoulder on the grate, lid on”: work told without a verb."""
_MEASURED_LAST = re.compile(
    r"^(?:[^\W\d][\w'’/-]*,? ){1,4}\d{1,4}(?:[.,]\d{1,2})? ?(?:g|kg|ml|l|oz|lbs?)"
    r"(?: (?:pp|each|ea))?$",
    re.I,
)
"""“Tom paste 60g”: so much of it, whatever it is."""
_AT_A_TIME = re.compile(r"\d{1,2}(?::[0-5]\d(?![\d:])|(?::[0-5]\d)? ?[ap]m\b)", re.I)
"""“2:45 wrap”, in a table of what is done when."""
_FOR_THE_LAST = re.compile(
    r"[^,;.\d]{3,40}?,? for (?:the )?(?:last|final) [\w½ -]{2,20}(?:hours?|min(?:ute)?s?)$", re.I
)
"""“BBQ sauce for the last half hour”, in a list."""
_HEAT_LABEL = re.compile(r"(?:temp(?:erature)?|heat|pit|fire|smoker|grill|oven)\s*:\s*\d{3}", re.I)
_BESIDE_IT = re.compile(r"^[^.;]{3,50} (?:on the side|alongside)[ .]*$", re.I)
"""“Mash + buttered greens on the side”."""
_TWO_NOUNS = re.compile(r"\W*[a-zäöüß]+ (?:and|&|\+) (?P<second>[a-zäöüß]+)")
_MOST_NOUNS = 4
"""Words of two foods on a line. Judgement."""


def _starts_with_verb(plain: str, words: list[str]) -> bool:
    served = len(words) == 1 and _WHAT_FOR.search(plain) is not None  # “mash, to serve”
    if words and words[0] in _ALSO_FOODS and words[1:2] and words[1] in _WHAT_IS_THERE:
        return True
    if not words or served or plain.lower().startswith(_NOT_VERBS):
        return False
    if words[0] in ALSO_ADJECTIVES:
        return len(words) > 1 and words[1] in _AFTER_A_VERB
    if plain.startswith("(") and plain.endswith(")"):
        return False  # “(double for the whole band)” is a remark
    if _BESIDE_IT.search(plain) and words[0] not in {"serve", "put", "pass", "set"}:
        return False
    # "mash and greens" is food, "mash and season" is work
    both = _TWO_NOUNS.match(plain.lower()) if len(words) <= _MOST_NOUNS else None
    return words[0] in VERBS and not (both and both["second"] not in VERBS)

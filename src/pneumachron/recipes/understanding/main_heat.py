"""Which times of a recipe cook its meat: those of the main heat, sentence by sentence."""

import re
from dataclasses import dataclass

from pneumachron.recipes.understanding.device import (
    ASIDE,
    BROIL,
    IN_THE_OVEN,
    LID,
    OVEN,
    SIDES,
    SIMMER,
    Device,
)
from pneumachron.recipes.understanding.durations import durations_in, temperatures_in
from pneumachron.recipes.understanding.patterns import HEAVY_UNIT, any_of
from pneumachron.recipes.understanding.sentences import THEN, sentences_in
from pneumachron.recipes.understanding.spoken_times import in_figures

_LETS_GO = any_of(r"\breleas\w*", r"\bcome down\b", r"\bnatural(ly)?\b", r"\breduce pressure\b",
                  r"\bvent\b", r"\bNP?R\b", r"\bQP?R\b", r"\bpressure (drop|fall)",
                  r"\babdampf\w*", r"\bablassen\b", r"\bnatürlich\b")  # fmt: skip
OPEN = re.compile(r"\buncover(ed)?\b|\bwithout (a )?lid\b|\bopen\b", re.I)
_MEAT_IN = any_of(
    r"\bribs?\b",
    r"\bmeat\b",
    r"\bbrisket\b",
    r"\bshoulder\b",
    r"\bbutt\b",
    r"\bwings?\b",
    r"\bpork\b",
    r"\brack\b",
    r"\bpoint\b",
    r"\bcubes?\b",
    r"\b(mit)?(garen|braten|schmoren)\b|\bfleisch\b",
    r"\bpicnic\b",
    r"\bcook\b",
    r"\bcovered\b",
    r"\blid\b",
)


@dataclass(frozen=True, slots=True)
class HeatSpan:
    """A time that cooks the meat, and where it stands in the steps."""

    step: int
    place: int
    """Which sentence of the step."""
    low_s: float
    high_s: float
    sentence: str
    start: int
    """Where in the sentence it stands."""
    in_all: bool = False
    """“6 to 8 hours total”."""
    per_kg: float | None = None
    """“An hour a pound”: the weight for which it is told [kg]."""
    after: bool = False
    """“After two hours add the prunes”."""


_UNTIL_DONE = re.compile(
    r"\b(?:simmer|braise|cook|bake|roast)\b.{0,60}\b(?:until|till?) (?:the |your )?"
    r"(?:ribs?|meat|pork|beef|brisket|shoulder)(?: is| are|['’]s| falls?| pulls?)\b",
    re.I,
)
"""“Simmer 30 min till the ribs are tender and the sauce is reduced”: the meat still cooks."""


def _is_main_heat(sentence: str, device: Device | None) -> bool:
    """Whether the times of a sentence may be those of the main heat."""
    both_sides = device == "grill" and SIDES.search(sentence)
    heated = device == "slow" and _AT_A_LEVEL.search(sentence) is not None
    heated = heated or _OVER_A_FLAME.search(sentence) is not None
    simmers = SIMMER.search(sentence) is not None and any(
        span.high_s >= _LONG_SIMMER_S for span in durations_in(sentence)
    )
    added = _ADDED.search(sentence) is not None and any(
        span.high_s >= _LONG_SIMMER_S for span in durations_in(sentence)
    )
    told = heated or simmers or added or _cooks_long(sentence) or _UNTIL_DONE.search(sentence)
    told = told or _TOTAL.search(sentence)
    aside = ASIDE.search(sentence) and not told
    if not both_sides and aside:
        return False
    if device == "grill":
        return not re.search(r"\bmarinat|\bdirect heat\b", sentence, re.I)
    if BROIL.search(sentence):
        return False
    if device in {"pressure", "stovetop"}:
        return not _not_under_pressure(sentence)
    said = any(
        words.search(sentence) for words in (OVEN, LID, OPEN, _MEAT_IN, _ONLY_A_TIME, _GOES_ON)
    )
    if simmers:
        return True
    # "In for three hours.", "Give it 2 hours.": what is long and no waiting is the oven's
    return device != "oven" or said or bool(temperatures_in(sentence)) or _cooks_long(sentence)


_TOTAL = re.compile(r"\btotal (?:of |time )?(?:about |around )?\d+(?:\.\d+)?\s?h", re.I)
"""“Took it to 203, total 12 hrs, rested 2 hrs.”"""
_ADDED = re.compile(r"\badd\b[^.;]*\bcover\w*\b[^.;]*\b(?:cook|bake|simmer|braise|roast)\b", re.I)
"""“Add the potatoes and onion, cover and cook for an hour until tender”: the meat cooks on."""
_GOES_ON = re.compile(
    r"\b(?:continue|carry on|keep going)\b[^.;]*\b(?:until|till)\b"
    r"|\b(?:tender|soft|done)\b[^.;]{0,25}\b(?:more|longer)\b",
    re.I,
)
"""“Add the prunes and continue until tender, about 30 minutes more.”"""
_OVER_A_FLAME = re.compile(
    r"\bbei (?:schwacher|kleiner|niedriger|milder|mittlerer) hitze\b|\bsteam (?:over|for)\b", re.I
)
"""“Bei kleiner Hitze 2 Stunden ziehen lassen” is no marinade, and what is steamed is cooked."""
_AT_A_LEVEL = re.compile(r"\b(?:on|to|at) (?:low|high)\b(?! heat)", re.I)
"""“Set to low and leave it for 10 hours.”"""
_LONG_SIMMER_S = 2700.0
"""What simmers so long before an oven is the meat. Judgement."""
_ONLY_A_TIME = re.compile(
    r"^\W*((cook(ing)?|oven|roast(ing)?|bak(e|ing)|brais(e|ing))[- ]time\W+)?"
    r"(about |for |approx\w*\.? |around )?[\d½¼¾/.,\s–-]+(to [\d½¼¾/.,\s]+)?"
    r"(hours?|hrs?|h|min\w*)( or so| total| in all| more| longer)?(,? (until|till?) .*)?\W*$",
    re.I,
)
"""A card that says "Oven 160 C. Cover. 3 hours."."""


def _by_device(sentence: str) -> list[str]:
    """“Simmer for 1 hour, then bake 20 minutes with the glaze” is the work of two."""
    first, *later = THEN.split(sentence)
    timed = durations_in(first) and all(map(durations_in, later))
    moved = any(OVEN.search(part) or _GRILLS.search(part) for part in later)
    return [first, *later] if later and timed and moved and SIMMER.search(first) else [sentence]


_GRILLS = re.compile(r"\bgrill\w*|\bbarbecu\w*", re.I)


def main_spans(
    index: int, step: str, device: Device | None, *, raw: bool = False
) -> list[HeatSpan]:
    """Times of a step that cook the meat with the main heat.

    Parameters
    ----------
    raw : no other step cooks it: under potatoes or pastry it is cooked too
    """
    found: list[HeatSpan] = []
    told_at = [
        (place, part) for place, told in enumerate(sentences_in(step)) for part in _by_device(told)
    ]  # fmt: skip
    pie = next((at for at, told in told_at if IN_PASTRY.search(told)), len(told_at))
    for place, told in told_at:
        if place >= pie and not raw:
            break  # what is baked from there on is a pie of meat that is done
        if device == "simmer" and _GRILLS.search(told) and not SIMMER.search(told):
            continue  # what was simmered is charred
        said = _in_hours(told) if device == "slow" else told
        if device in {"smoker", "oven", "grill"}:
            said = _BARE_CLOCK.sub(r"\1 h \2 min", said)
        if device == "pressure":
            said = _BARE_MINUTES.sub(r"\g<0> min", _HOURS_AND_MINUTES.sub(r"\1 h \2 min", said))
        sentence = _with_its_unit(said, hours=bool(found) and found[-1].low_s >= 3600)
        heat = _heat_in(sentence, device)
        if heat is None and place and _LEFT_ALONE.match(sentence):
            before = told_at[place - 1][1]
            # “Roast for 3 hours. Leave for 20 minutes”: there the time was told before
            put_in = _IN_HOT_OVEN.search(before) and not durations_in(before)
            heat = sentence if put_in else None
        if heat is None:
            continue
        sides = 2.0 if device == "grill" and SIDES.search(sentence) else 1.0
        timed = in_figures(_ASIDES.sub("", _before_letting_go(heat, device)))
        if _WHILE_IT_COOKS.match(timed):
            continue
        least_s = _LEAST_S.get(device, 900.0)
        found += [
            HeatSpan(
                index,
                place,
                sides * span.low_s,
                sides * span.high_s,
                sentence,
                span.start,
                in_all=_IN_ALL.match(timed[span.end :]) is not None
                or (
                    _ALL_OF_IT.search(timed[: span.start]) is not None
                    and not _MORE.search(timed[span.start : span.end + _NEAR])
                ),
                per_kg=_per_weight(timed[span.end : span.end + _NEAR]),
                after=_AFTER.search(timed[: span.start]) is not None,
            )
            for span in durations_in(timed)
            if span.high_s >= least_s
        ]
    return found


_LEFT_ALONE = re.compile(
    r"\W*(?:and )?(?:then )?leave (?:it |them )?(?:alone |there |be )?for\b", re.I
)
_LEFT_IN = re.compile(r"\bleave (?:it |them )?(?:alone |there )?for\b", re.I)
_IN_HOT_OVEN = re.compile(
    r"\b(?:in|into)\b[^.;]{0,20}\b(?:oven|smoker)\b(?![^.;]*\boff\b)[^.;]*\d{3}"
    r"|\d{3}[^.;]{0,8}\boven\b(?![^.;]*\boff\b)",
    re.I,
)
"""“Into a 130° oven. Leave it for seven hours.”"""
_WHILE_IT_COOKS = re.compile(
    r"\W*(?:while|as) (?:the |your |they |it )?(?:ribs?|meat|pork|beef|brisket|roast|shoulder)?\s?"
    r"(?:is |are )?(?:bak|cook|roast|smok|simmer|brais)\w*,? (?:make|simmer|combine|mix|whisk|stir"
    r"|heat|bring|cook|boil|prepare|put)\b[^.;]*\b(?:sauce|glaze|saucepan|small pan)\b",
    re.I,
)
"""“While the ribs bake, simmer the sauce for 25 minutes.”"""
IN_PASTRY = any_of(
    r"\b(?:roll out|unroll|lay|drape)\b[^.;]{0,20}\bpastry\b",
    r"\bpastry lid\b",
    r"\b(?:layer|arrange|overlap)\b[^.;]{0,20}\bpotato(?:es)?\b[^.;]{0,30}\b(?:over|on top)\b",
)
"""“Spoon the filling into a pie dish. Roll out the pastry …”"""
_HOURS_AND_MINUTES = re.compile(r"\b([0-3]):([0-5]\d)\b(?! ?[ap]\.?m)", re.I)
"""As a cooker shows it."""
_BARE_CLOCK = re.compile(
    r"\b([1-9]):([0-5]\d)"
    r"(?= (?:hours? |hrs? )?(?:(?:un)?(?:wrapped|covered|foiled)|bare|naked|open)\b)",
    re.I,
)
"""“2:15 unwrapped, 1:15 wrapped”: hours and minutes."""
_BARE_MINUTES = re.compile(
    r"\b(?:manual(?:[ /]high)?|high(?: pressure)?|HP|pressure[ -]cook(?: on)?(?:[ /]high)?)"
    r"[ ,:/]{1,2}(?:for )?\d{2,3}"
    r"(?=\s*(?:[,.;]|$|(?:and|then|with|NP?R|QP?R|natural\w*|quick\w*)\b))",
    re.I,
)
"""“Manual high 75, then quick”: minutes, which nobody writes there."""
_PER_WEIGHT = re.compile(
    rf"(?:\b(?:an?|per|each|every|the) |(?:^|(?<=[a-z]))/ ?)"
    rf"(?:(?P<many>\d{{1,3}}) ?(?P<small>g|gram(?:me)?s?)\b|(?P<unit>{HEAVY_UNIT})\b)",
    re.I,
)
_NEAR = 24
"""Characters behind a time in which it is said that it is for a pound. Judgement."""
_OF_ANOTHER = re.compile(r"\(|\bhours?\b|\d ?(?:min|h\b|-|–|to\b)")
"""“4 to 5 hours (about an hour a pound)”: the pound is that of another time."""
POUND_KG = 0.45359237
"""Published: international yard and pound agreement of 1959."""


def _per_weight(told: str) -> float | None:
    """The weight for which a time is told [kg]: “30 minutes per 500 g”."""
    found = _PER_WEIGHT.search(_OF_ANOTHER.split(told)[0])
    if found is None:
        return None
    if found["small"]:
        return float(found["many"]) / 1000.0 or None
    return 1.0 if found["unit"].lower().startswith("k") else POUND_KG


_MORE = re.compile(r"\b(?:more|longer)\b", re.I)
_AFTER = re.compile(r"\b(?:after|at|nach) (?:about |around |the first )?$", re.I)


def without_moments(spans: list[HeatSpan]) -> list[HeatSpan]:
    """“Three hours. After two add the prunes”: a moment in a time that was told before."""
    return [
        item for at, item in enumerate(spans)
        if not (item.after and any(told.high_s >= item.high_s for told in spans[:at]))
    ]  # fmt: skip


_IN_ALL = re.compile(r"\W{0,2}(?:in )?(?:total|all|altogether)\b", re.I)
_ALL_OF_IT = re.compile(
    r"\btotal(?: (?:cook|smoke|oven|cooking|smoking|roasting))?(?: time)?\W{0,2}"
    r"(?:is |was |will be |about |of |around )*$"
    r"|\b(?:figure|reckon(?: on)?|plan on|count on) (?:about |around |on )*$",
    re.I,
)
"""“Total cook 4.5 hrs.” “Figure 6 to 7 hours.”"""
_ANOTHER = re.compile(
    r"\b(?:another (?:[1-9]\d?(?: or | to |-|–)(?=\d))?([1-9]\d?)"
    r"|(?:for |(?<=, ))([1-9]\d?) more"
    r"|then (?:another |for )?([1-9]|one|two|three|four|five)"
    r"(?= (?:in|wrapped|covered|bare|naked)))"
    r"(?=[.,;)]|$| (?:till?|until|in|wrapped|covered|bare|naked|or so)\b)",
    re.I,
)
"""“4 hours. Then foil it up, back in, another 3”, “5 hours bare, then covered, 3 more”, “three
hours bare, then two in paper”."""
_FEW = {"one": 1, "two": 2, "three": 3, "four": 4, "five": 5}


def _so_many(found: re.Match[str]) -> int:
    told = (found[1] or found[2] or found[3]).lower()
    return _FEW.get(told) or int(told)


_ON_A_LEVEL = re.compile(
    r"\b(\d{1,2}(?:\s?(?:-|–|to)\s?\d{1,2})?)(?= (?:on|at) (?:low|high)\b)", re.I
)
_LEVEL_FIRST = re.compile(
    r"\b((?:low|high)(?: for)?[ :]+\d{1,2}(?:\s?(?:-|–|to)\s?\d{1,2})?)(?=[,.;)]|$| or\b)", re.I
)


def _in_hours(sentence: str) -> str:
    """“8 on low or 5 on high”: a slow cooker knows no minutes."""
    return _LEVEL_FIRST.sub(r"\1 hours", _ON_A_LEVEL.sub(r"\1 hours", sentence))


def _with_its_unit(sentence: str, *, hours: bool) -> str:
    """“Another 4” is so many hours, where hours were told before; “another 20” minutes likewise."""
    found = _ANOTHER.search(sentence)
    if found is None:
        return sentence
    told = durations_in(sentence[: found.start()])
    hours = told[-1].low_s >= 3600 if told else hours
    many = _so_many(found)
    if hours != (many < _MOST_HOURS) or not (hours or told):
        return sentence
    unit = "hours" if hours else "minutes"
    return _ANOTHER.sub(lambda found: f"{_so_many(found)} {unit}", sentence)


_MOST_HOURS = 10
"""“Another 20” is never hours, and “another 4” no minutes. Judgement."""


_COMMAS = re.compile(r",\s+(?:then |and )?")


_REHEATS = any_of(r"\bfor burnt ends\b", r"\bburnt ends\b[^.;]*\bback (?:on|in)\b",
                  r"\bre-?(heat|warm)\w*",
                  r"\bwarm (it |them )?through\b", r"\bwarm at\b",
                  r"\b(next day|to serve)\b.{0,80}\bwarm\b",
                  r"\bwarm\b.{0,80}\bthe next day\b")  # fmt: skip


def _heat_in(sentence: str, device: Device | None) -> str | None:
    """What of a sentence is the main heat: all of it, or what stands beside a rest.

    "Smoke at 225 for 9 hours, wrap, rest in a cooler 2 hours": the rest is no heat.
    """
    if _REHEATS.search(sentence):
        return None
    if _is_main_heat(sentence, device):
        return sentence
    # "simmer covered 25 min, then uncover and reduce"
    first = THEN.split(sentence)[0]
    if first != sentence and durations_in(first) and _is_main_heat(first, device):
        return first
    beside = ", ".join(part for part in _COMMAS.split(sentence) if not ASIDE.search(part))
    told = temperatures_in(beside) and durations_in(beside)
    return beside if told and _is_main_heat(beside, device) else None


def _before_letting_go(sentence: str, device: Device | None) -> str:
    """“40 minutes, then natural release for 15”: the time of the release is none of cooking."""
    found = _LETS_GO.search(sentence) if device in {"pressure", "stovetop"} else None
    return _OF_THE_RELEASE.sub("", sentence[: found.start()]) if found else sentence


_OF_THE_RELEASE = re.compile(r"\d+[\s-]*min(?:ute)?[ns]?\.?\s*(?:of\s+)?(?:full\s+)?$", re.I)
"""“10 min NPR”: minutes right before the release are its own."""


_LEAST_S: dict[Device | None, float] = {
    "grill": 120.0, "simmer": 300.0, "stovetop": 60.0, "pressure": 60.0,
}  # fmt: skip
"""A shorter time is not the main heat. Judgement."""
_ASIDES = re.compile(
    r"\(or [^)]*\)"
    r"|\b(?:takes?|allow)\b[^.;]{0,16}\d(?! ?(?:h|hrs?|hours?)\b)[^.;]{0,20}"
    r"\bto (?:come|get|build|reach|pressuri[sz]e)\b"
    r"|\b(?:bring|come|get)s?(?: it)?(?: up)? to (?:full |high )?pressure \([^()]{0,40}\)"
    r"|\bto (?:full |high )?pressure(?:,? about|,)? \d[^.;,]{0,12}min\w*"
    r"|\([^()]*\d[^()]*\bfor (?:a )?(?:firmer|softer|more|less|fall\w*|shred\w*)\b[^()]*\)"
    r"|\b(?:for |in |during )?(?:the )?(?<!one )(?<!a )(?:last|final) (?=\d|half|quarter|few|hour"
    r"|(?:ten|five|fifteen|twenty|thirty|forty|couple)\b)"
    r"[^,;.]*"
    r"|\b(?:for|in|during) the (?:last|final) [^,;.]*"
    r"|\b(?:an?|half an|\d+|two|three) (?:hours?|hrs?|min\w*) (?:before|ahead|in advance)\b"
    r"|\bevery (?:[\w/]+ )?(?:\d+ )?(?:min\w*|hours?|hrs?)\b"
    r"|\b(?:sprit?z|mop|bast|turn|flip|rotat)\w*[^,;.]*\bafter [^,;.]*"
    r"|\b(?:after [^,;.]{3,30}?|at (?:about )?\d[\d./½]{0,4} ?(?:hours?|hrs?|h)),?"
    r" (?:start|begin|spray|sprit?z|mop|baste|turn|flip|rotate)\b[^;.]*"
    r"|\bif (?:not|needed|necessary|(?:it|they)(?:['’]s| is|['’]re| are) (?:not|still))\b"
    r"[^;.]{0,40}\b(?:another|more|extra|longer)\b[^;.]*",
    re.I,
)
"""Another way in brackets; what is done every half hour, at the end of the time, or only if need
be."""


def _not_under_pressure(sentence: str) -> bool:
    """Letting go, and what goes on in the open pot afterwards."""
    found = _LETS_GO.search(sentence)
    if found and not durations_in(_OF_THE_RELEASE.sub("", sentence[: found.start()])):
        return True
    if _SAUTES.search(sentence) and not re.search(r"\bpressure\b|\bmanual\b", sentence, re.I):
        return True
    told = re.search(
        r"\bpressure\b|\b(on )?high\b|\bmanual\b|\bweight\b|\bwhistles?\b"
        r"|\b(?:clos|lock|shut|seal)\w* (?:the |with the )?(?:lid|cooker)\b",
        sentence,
        re.I,
    )
    return bool(SIMMER.search(sentence)) and not told


_SAUTES = re.compile(r"\bsaut[eé](?: (?:function|mode|setting))?,? (?:on |at )?high\b", re.I)
"""“Sauté on high till it is a glaze, 15 min”: the lid is off."""


def _cooks_long(sentence: str) -> bool:
    """A sentence that also browns or rests, but whose heat lasts for hours."""
    spans = durations_in(sentence)
    long = any(span.high_s >= 5400 for span in spans)
    put_in = _IN_HOT_OVEN.search(sentence) if long and len(spans) == 1 else None
    if put_in is not None and _LEFT_IN.search(sentence, put_in.start()):
        return True  # “Put it in the oven at 140 °C and leave it for 6 hours”
    aside = re.search(
        rf"\bovernight in\b(?!{IN_THE_OVEN})|"
        r"\bmarinat|\bfridge|\brefrigerat|\bchill|\bhold (?:\w+ )?in|\bcooler\b"
        r"|\brest|\bziehen\b|\bmarinier|\bruhen\b|\b(?:in den|im) k(?:ü|ue)hlschrank\b"
        r"|\bsat\b|\bon the counter\b|\bset aside\b"
        r"|\b(?:let|leave)\b[^.;]{0,20}\b(?:stand|sit)\b(?![^.;]*\boven\b)"
        r"|\bleave (?:it |them )?(?:to (?:stand|infuse|steep) )?for (?:at least )?[^.;]{1,20}\.?$"
        r"|\bboiling water|\bsoak|\bbrin(e|ed|ing)\b|\bcure[ds]?\b|\bcuring\b|\bthaw|\bdefrost"
        r"|\bdry[- ]|\bbeforehand\b|\bahead\b|\b(the )?(day|night) before\b|\bin the cellar\b",
        sentence,
        re.I,
    )
    return long and not aside

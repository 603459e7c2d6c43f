"""How a recipe cooks its meat: with what heat, how hot, how long; and what is done besides."""

import re
from dataclasses import dataclass
from typing import Literal, TypeAlias, get_args

from pneumachron.recipes.model import Recipe
from pneumachron.recipes.understanding.clock import by_the_clock
from pneumachron.recipes.understanding.device import (
    ASIDE,
    BROIL,
    LID,
    OVEN,
    SIDES,
    SIMMER,
    Device,
    device_of,
)
from pneumachron.recipes.understanding.durations import durations_in, temperatures_in
from pneumachron.recipes.understanding.ingredients import read_ingredients
from pneumachron.recipes.understanding.meat import read_meat
from pneumachron.recipes.understanding.other_ways import without_other_ways
from pneumachron.recipes.understanding.oven_heat import oven_heat_c
from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.sentences import THEN, sentences_in

Method: TypeAlias = Literal[
    "smoker", "oven_lid", "oven_open", "slow_low", "slow_high", "grill", "stovetop_pressure",
    "pressure", "simmer",
]  # fmt: skip
METHODS: tuple[Method, ...] = get_args(Method)


@dataclass(frozen=True, slots=True)
class Cooking:
    """The main heat of a recipe. None where nothing was read."""

    method: Method | None
    low_s: float | None
    high_s: float | None
    temp_c: float | None
    gauge_pa: float | None = None
    """Of a pressure cooker on the stove."""
    steps: frozenset[int] = frozenset()
    """Which steps are that heat."""
    main: tuple[int, int] | None = None
    """Step and sentence of the longest of it."""


_LETS_GO = any_of(r"\breleas\w*", r"\bcome down\b", r"\bnatural(ly)?\b", r"\breduce pressure\b",
                  r"\bvent\b", r"\bNP?R\b", r"\bQP?R\b", r"\bpressure (drop|fall)")  # fmt: skip
_OPEN = re.compile(r"\buncover(ed)?\b|\bwithout (a )?lid\b|\bopen\b", re.I)
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
_NO_HEAT = any_of(
    r"\bmarinat", r"\bfridge", r"\brefrigerat", r"\bovernight in", r"\bhold in", r"\brest"
)
_SHUT = any_of(r"(?<!un)cover(ed)?\b", r"\bfoil\b")
_GAUGE_PA = {"second ring": 100e3, "full pressure": 100e3, "first ring": 55e3}
PSI_PA = 6894.757
"""Published: NIST SP 811."""


def read_method(recipe: Recipe) -> Cooking:
    """The main heat: the kind that most of the long times belong to."""
    recipe = without_other_ways(recipe)
    if _IN_A_BAG.search(" ".join((recipe.title, *recipe.steps))):
        return Cooking(None, None, None, None)
    device = device_of(recipe)
    spans = [
        span for index, step in enumerate(recipe.steps) for span in _main_spans(index, step, device)
    ]
    if not spans:
        if told := _in_stages(recipe, device) or _by_the_clock(recipe, device):
            return told
        guess = _labelled(recipe, device)
        return (
            guess if guess.method else Cooking(device and _of_device(device, ""), None, None, None)
        )
    if device == "slow":
        spans = spans[:1]
    if device == "pressure":
        spans = [item for item in spans if _UNDER_PRESSURE.search(item.sentence)] or spans
    spans = next(([item] for item in spans if item.in_all), spans)
    first = max(spans, key=lambda item: item.high_s)
    if device == "oven" and _on_the_hob(recipe, first):
        device = "simmer"
        spans = [item for item in spans if not OVEN.search(_BRAISE.sub("", item.sentence))]
    spans = [item for item in spans if not _is_finish(item, first)]
    method = _of_device(device, _told_before(recipe, first)) if device else None
    more = _by_weight(recipe, first) - 1.0
    return Cooking(
        method=method,
        low_s=more * first.low_s + sum(item.low_s for item in spans),
        high_s=more * first.high_s + sum(item.high_s for item in spans),
        temp_c=oven_heat_c(recipe.steps, first.step, first.place, first.start)
        if method not in {"slow_low", "slow_high", "simmer"}
        else None,
        gauge_pa=_gauge(recipe) if method == "stovetop_pressure" else None,
        steps=frozenset(item.step for item in spans),
        main=(first.step, first.place),
    )


_IN_A_BAG = any_of(r"\bsous[- ]?vide\b", r"\bimmersion circulator\b")
"""A bath far below boiling is none of the heats that are compared here."""
_UNDER_PRESSURE = any_of(r"\bpressure\b", r"\bhigh\b", r"\blow\b", r"\bmanual\b", r"\blid\b",
                         r"\block\b", r"\bseal", r"\bNP?R\b", r"\bQP?R\b")  # fmt: skip
"""What belongs to the minutes under the lid; onions are fried in the same pot before."""


_BRAISE = re.compile(r"\bbrais\w*", re.I)
"""Done in an oven or on the stove: beside a simmer it names no oven."""


def _on_the_hob(recipe: Recipe, main: "_Found") -> bool:
    """An oven that comes after the long simmering is for the crust."""
    before = " ".join([*recipe.steps[: main.step], main.sentence])
    simmers = SIMMER.search(main.sentence)
    in_it = OVEN.search(_BRAISE.sub("", before))
    return bool(simmers) and not in_it and not temperatures_in(before)


FINISH_SHARE = 1.0 / 6.0
"""A later heat no longer than this part of the main one is a finish, no cooking. Judgement."""
_CRUST = any_of(r"\bcrackl", r"\bcrisp", r"\bglaz", r"\bsticky\b", r"\bbrowned\b", r"\bbubbl",
                r"\bgolden\b", r"\bturn (the )?(oven|heat) (up )?to\b", r"\buncover", r"\bunwrap",
                r"\b(foil|lid) off\b", r"\bskin (pop|puff|blister)",
                r"\bbrush", r"\bbast", r"\bcaramel", r"\bpaint", r"\bcolou?r\b", r"\bchar\b",
                r"\bknusprig", r"\bkross", r"\bkruste", r"\b(über)?bräun",
                r"\bglasier", r"\bohne (folie|deckel)\b", r"\bfertig (backen|garen)\b")  # fmt: skip


def _is_finish(item: "_Found", main: "_Found") -> bool:
    """A crust at the end, or the hot blast that a roast begins with."""
    if item.high_s > FINISH_SHARE * main.high_s:
        return False
    if (item.step, item.place, item.start) < (main.step, main.place, main.start):
        return bool(temperatures_in(item.sentence))
    return bool(_CRUST.search(item.sentence))


def _told_before(recipe: Recipe, main: "_Found") -> str:
    """The sentence of the main heat; with the one before, where it does not say lid or open."""
    if LID.search(main.sentence) or _OPEN.search(main.sentence):
        return main.sentence
    steps = [sentences_in(step) for step in recipe.steps[: main.step + 1]]
    before = steps[-1][: main.place] or (steps[-2][-1:] if len(steps) > 1 else [])
    # "Cover; transfer to the oven; bake 2 hours": what stands last says it
    for told in reversed(before):
        if _FINISHES.search(told):
            break
        if LID.search(told):
            return f"{told} {main.sentence}"
    return main.sentence


_FINISHES = any_of(r"\bunwrap", r"\buncover", r"\bopen\b")
_PER_WEIGHT = re.compile(
    r"(?:\b(?:an?|per|each|every|the) |(?<=[a-z])/ ?)(?P<unit>pounds?|lbs?|kilos?|kg)\b", re.I
)
_POUND_KG = 0.45359237
"""Published: international yard and pound agreement of 1959."""


MOST_ROASTS = 4
"""More pieces than these are no roasts, of which each is weighed. Judgement."""


def _by_weight(recipe: Recipe, main: "_Found") -> float:
    """How often a time counts that is given for a pound or a kilogram."""
    each = _PER_WEIGHT.search(main.sentence)
    if not each:
        return 1.0
    meat = read_meat(read_ingredients(recipe.ingredients), recipe.title, recipe.steps)
    if meat.mass_kg is None:
        return 1.0
    # two roasts side by side take as long as one of them
    several = meat.count is not None and 1 < meat.count <= MOST_ROASTS
    mass_kg = meat.mass_kg / meat.count if several and meat.count else meat.mass_kg
    return mass_kg if each["unit"].lower().startswith("k") else mass_kg / _POUND_KG


@dataclass(frozen=True, slots=True)
class _Found:
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


_UNTIL_DONE = re.compile(
    r"\b(?:simmer|braise|cook|bake|roast)\b.{0,40}\b(?:until|till?) (?:the |your )?"
    r"(?:ribs?|meat|pork|beef|brisket|shoulder) (?:is|are|falls?|pulls?)\b",
    re.I,
)
"""“Simmer 30 min till the ribs are tender and the sauce is reduced”: the meat still cooks."""


def _is_main_heat(sentence: str, device: Device | None) -> bool:
    """Whether the times of a sentence may be those of the main heat."""
    both_sides = device == "grill" and SIDES.search(sentence)
    aside = ASIDE.search(sentence) and not (_cooks_long(sentence) or _UNTIL_DONE.search(sentence))
    if not both_sides and aside:
        return False
    if device == "grill":
        return not re.search(r"\bmarinat|\bdirect heat\b", sentence, re.I)
    if BROIL.search(sentence):
        return False
    if device in {"pressure", "stovetop"}:
        return not _not_under_pressure(sentence)
    said = any(words.search(sentence) for words in (OVEN, LID, _OPEN, _MEAT_IN, _ONLY_A_TIME))
    if SIMMER.search(sentence) and any(
        span.high_s >= _LONG_SIMMER_S for span in durations_in(sentence)
    ):
        return True
    # "In for three hours.", "Give it 2 hours.": what is long and no waiting is the oven's
    return device != "oven" or said or bool(temperatures_in(sentence)) or _cooks_long(sentence)


_LONG_SIMMER_S = 2700.0
"""What simmers so long before an oven is the meat. Judgement."""
_ONLY_A_TIME = re.compile(
    r"^\W*((cook(ing)?|oven|roast(ing)?|bak(e|ing)|brais(e|ing))[- ]time\W+)?"
    r"(about |for |approx\w*\.? |around )?[\d½¼¾/.,\s–-]+(to [\d½¼¾/.,\s]+)?"
    r"(hours?|hrs?|h|min\w*)( or so| total| in all| more| longer)?(,? (until|till?) .*)?\W*$",
    re.I,
)
"""A card that says "Oven 160 C. Cover. 3 hours."."""


def _main_spans(index: int, step: str, device: Device | None) -> list[_Found]:
    """Times of a step that cook the meat with the main heat."""
    found: list[_Found] = []
    for place, told in enumerate(sentences_in(step)):
        sentence = _ANOTHER.sub(r"\1 hours", told) if found and found[-1].low_s >= 3600 else told
        heat = _heat_in(sentence, device)
        if heat is None:
            continue
        sides = 2.0 if device == "grill" and SIDES.search(sentence) else 1.0
        spans = durations_in(_ASIDES.sub("", _before_letting_go(heat, device)))
        least_s = _LEAST_S.get(device, 900.0)
        found += [
            _Found(
                index,
                place,
                sides * span.low_s,
                sides * span.high_s,
                sentence,
                span.start,
                in_all=_IN_ALL.match(heat[span.end :]) is not None,
            )
            for span in spans
            if span.high_s >= least_s
        ]
    return found


_IN_ALL = re.compile(r"\W{0,2}(?:in )?(?:total|all|altogether)\b", re.I)
_ANOTHER = re.compile(r"\banother ([1-9])(?=[.,;]|$)", re.I)
"""“4 hours. Then foil it up, back in, another 3.”"""
_COMMAS = re.compile(r",\s+(?:then |and )?")


_REHEATS = any_of(r"\breheat\w*", r"\bwarm (it |them )?through\b", r"\bwarm at\b",
                  r"\b(next day|to serve)\b.{0,80}\bwarm\b")  # fmt: skip


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


_OF_THE_RELEASE = re.compile(r"\d+[\s-]*min(?:ute)?s?\.?\s*(?:of\s+)?(?:full\s+)?$", re.I)
"""“10 min NPR”: minutes right before the release are its own."""


_LEAST_S: dict[Device | None, float] = {
    "grill": 120.0, "simmer": 300.0, "stovetop": 60.0, "pressure": 60.0,
}  # fmt: skip
"""A shorter time is not the main heat. Judgement."""
_ASIDES = re.compile(
    r"\(or [^)]*\)"
    r"|\([^()]*\d[^()]*\bfor (?:a )?(?:firmer|softer|more|less|fall\w*|shred\w*)\b[^()]*\)"
    r"|\b(?:for|in|during) the (?:last|final) [^,;.]*"
    r"|\bevery (?:[\w/]+ )?(?:\d+ )?(?:min\w*|hours?|hrs?)\b"
    r"|\b(?:sprit?z|mop|bast|turn|flip|rotat)\w*[^,;.]*\bafter [^,;.]*",
    re.I,
)
"""Another way in brackets; what is done every half hour, or at the end of the time."""


def _not_under_pressure(sentence: str) -> bool:
    """Letting go, and what goes on in the open pot afterwards."""
    found = _LETS_GO.search(sentence)
    if found and not durations_in(_OF_THE_RELEASE.sub("", sentence[: found.start()])):
        return True
    told = re.search(r"\bpressure\b|\b(on )?high\b|\bmanual\b|\bweight\b", sentence, re.I)
    return bool(SIMMER.search(sentence)) and not told


def _cooks_long(sentence: str) -> bool:
    """A sentence that also browns or rests, but whose heat lasts for hours."""
    long = any(span.high_s >= 5400 for span in durations_in(sentence))
    aside = re.search(
        r"\bmarinat|\bfridge|\brefrigerat|\bchill|\bovernight in|\bhold in|\brest"
        r"|\bboiling water|\bsoak|\bbrin(e|ed|ing)\b|\bcure[ds]?\b|\bcuring\b|\bthaw|\bdefrost"
        r"|\bdry[- ]|\bbeforehand\b|\bahead\b|\b(the )?(day|night) before\b|\bin the cellar\b",
        sentence,
        re.I,
    )
    return long and not aside


def _of_device(device: Device | None, sentence: str) -> Method | None:
    if device == "slow":
        # "low 8 hours, or high 4": the first is the recipe's own
        level = re.search(r"\b(high|low)\b", sentence, re.I)
        return "slow_high" if level and level[1].lower() == "high" else "slow_low"
    if device == "oven":
        shut = LID.search(re.sub(r"\buncover\w*", "", sentence, flags=re.I))
        braised = re.search(r"\bbrais|\bsimmer|\blid\b", sentence, re.I)
        return "oven_lid" if (shut or braised) and not _only_open(sentence) else "oven_open"
    plain: dict[str, Method] = {
        "smoker": "smoker", "grill": "grill", "stovetop": "stovetop_pressure",
        "pressure": "pressure", "simmer": "simmer",
    }  # fmt: skip
    return plain.get(device or "")


def _only_open(sentence: str) -> bool:
    return bool(_OPEN.search(sentence)) and not re.search(
        r"(?<!un)cover(ed)?\b|\bfoil\b", sentence, re.I
    )


def _gauge(recipe: Recipe) -> float:
    text = " ".join([recipe.title, *recipe.steps]).lower()
    if psi := re.search(r"(\d{1,2})\s*psi", text):
        return float(psi[1]) * PSI_PA
    return next((gauge for words, gauge in _GAUGE_PA.items() if words in text), 100e3)


_STAGES = re.compile(r"(?<![\d-])([2-4])-([12])-(1|½|1/2|0\.5)(?![\d-])")
"""“3-2-1”: hours bare, wrapped, and bare again with the glaze. Common practice."""


def _in_stages(recipe: Recipe, device: Device | None) -> Cooking | None:
    """Ribs whose hours are told by three numbers alone."""
    if device not in {None, "smoker", "grill", "oven"}:
        return None
    for index, step in enumerate(recipe.steps):
        for place, sentence in enumerate(sentences_in(step)):
            if found := _STAGES.search(sentence):
                hours = float(found[1]) + float(found[2]) + (1.0 if found[3] == "1" else 0.5)
                return Cooking(
                    method=_of_device(device or "smoker", sentence),
                    low_s=3600.0 * hours,
                    high_s=3600.0 * hours,
                    temp_c=oven_heat_c(recipe.steps, index, place, found.start()),
                    steps=frozenset({index}),
                    main=(index, place),
                )
    return None


def _by_the_clock(recipe: Recipe, device: Device | None) -> Cooking | None:
    """The meat goes on at one time of the day and comes off at another."""
    if device in {"pressure", "stovetop"} or (told := by_the_clock(recipe.steps)) is None:
        return None
    words = " ".join(recipe.steps)
    method = _of_device(device, words) if device else None
    return Cooking(
        method=method,
        low_s=told.seconds,
        high_s=told.seconds,
        temp_c=oven_heat_c(recipe.steps, told.step, told.place, told.start)
        if method not in {"slow_low", "slow_high", "simmer"}
        else None,
        steps=frozenset({told.step}),
        main=(told.step, told.place),
    )


_AT_A_LEVEL = re.compile(
    r"(?P<long>\d[\d./½–-]*\s?(?:h|hrs?|hours?)\b) (?:on )?(?P<level>low|high)\b", re.I
)
"""“10 min prep | 8 h low / 5 h high”, above the recipe."""


def _labelled(recipe: Recipe, device: Device | None) -> Cooking:
    """Only the label of the page tells how long."""
    level = _AT_A_LEVEL.search(recipe.description) if device == "slow" else None
    if level and (spans := durations_in(level["long"])):
        method: Method = "slow_low" if level["level"].lower() == "low" else "slow_high"
        return Cooking(method, spans[0].low_s, spans[0].high_s, None)
    if device is None or not recipe.cook_s:
        return Cooking(None, None, None, None)
    words = " ".join(recipe.steps)
    return Cooking(_of_device(device, words), recipe.cook_s, recipe.cook_s, None)

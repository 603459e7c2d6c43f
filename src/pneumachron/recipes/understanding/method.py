"""How a recipe cooks its meat: with what heat, how hot, how long; and what is done besides."""

import re
from dataclasses import dataclass, replace
from typing import Literal, TypeAlias, get_args

from pneumachron.recipes.model import Recipe
from pneumachron.recipes.understanding.clock import by_the_clock
from pneumachron.recipes.understanding.device import (
    LID,
    OVEN,
    SIMMER,
    Device,
    device_of,
)
from pneumachron.recipes.understanding.durations import durations_in, temperatures_in
from pneumachron.recipes.understanding.ingredients import read_ingredients
from pneumachron.recipes.understanding.main_heat import (
    OPEN,
    HeatSpan,
    main_spans,
    without_moments,
)
from pneumachron.recipes.understanding.meat import read_meat
from pneumachron.recipes.understanding.meat_out import before_shredding, with_the_meat_in
from pneumachron.recipes.understanding.other_ways import without_other_ways
from pneumachron.recipes.understanding.oven_heat import heat_named_c, oven_heat_c
from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.sentences import sentences_in
from pneumachron.recipes.understanding.side_work import without_side_work
from pneumachron.recipes.understanding.slow_cooker import one_after_another, words_of_its_level

Method: TypeAlias = Literal[
    "smoker", "oven_lid", "oven_open", "slow_low", "slow_high", "grill", "stovetop_pressure",
    "pressure", "simmer",
]  # fmt: skip
METHODS: tuple[Method, ...] = get_args(Method)


_NO_HEAT: frozenset[Method | None] = frozenset({"slow_low", "slow_high", "simmer"})
"""Nothing is set in degrees there."""


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


_GAUGE_PA = {"second ring": 100e3, "full pressure": 100e3, "first ring": 55e3}
PSI_PA = 6894.757
"""Published: NIST SP 811."""


def read_method(recipe: Recipe) -> Cooking:
    """The main heat: the kind that most of the long times belong to."""
    recipe = without_side_work(without_other_ways(recipe))
    if _IN_A_BAG.search(" ".join((recipe.title, *recipe.steps))):
        return Cooking(None, None, None, None)
    device = device_of(recipe)
    spans = [
        span for index, step in enumerate(recipe.steps) for span in main_spans(index, step, device)
    ]
    if not spans:  # “Arrange the potatoes over the top. Cover and bake for 1 hour 15 minutes.”
        spans = [
            span for index, step in enumerate(recipe.steps)
            for span in main_spans(index, step, device, raw=True)
        ]  # fmt: skip
    if not spans:
        return _without_times(recipe, device)
    if (overnight := _by_the_clock(recipe, device)) and _is_far_longer(overnight, spans):
        return overnight
    if device == "slow":
        spans = one_after_another(spans)
    if device == "pressure":
        sealed = [item for item in spans if _UNDER_PRESSURE.search(item.sentence)]
        if not sealed and _UNDER_PRESSURE.search(recipe.description):
            return _told_above(recipe)
        spans = with_the_meat_in(sealed or spans, recipe.steps)
    spans = before_shredding(spans, recipe.steps)
    told = spans
    spans = next(([item] for item in spans if item.in_all), without_moments(spans))
    spans = _with_told_totals(spans)
    first = max(spans, key=lambda item: item.high_s)
    if device == "oven" and _on_the_hob(recipe, first):
        device = "simmer"
        spans = [item for item in spans if not OVEN.search(_BRAISE.sub("", item.sentence))]
    spans = [item for item in spans if not _is_finish(item, first, device)]
    told_by = words_of_its_level if device == "slow" else _told_before
    main = _where_it_is_done(recipe, first)
    if main != (first.step, first.place):
        told_by = _all_told
    method = _of_device(device, told_by(recipe, first)) if device else None
    more = _by_weight(recipe, first) - 1.0
    low_s = more * first.low_s + sum(item.low_s for item in spans)
    heat_c = oven_heat_c(recipe.steps, first.step, first.place, first.start, recipe.description)
    if heat_c is not None and heat_c >= CRISP_C and low_s >= LONG_S:
        heat_c = (heat_c - 32.0) / 1.8  # “oven at 200”, for twelve hours
    return Cooking(
        method=method,
        low_s=low_s,
        high_s=more * first.high_s + sum(item.high_s for item in spans),
        temp_c=None if method in _NO_HEAT else heat_c,
        gauge_pa=_gauge(recipe) if method == "stovetop_pressure" else None,
        # "4 hours with no peeking. … 6 to 8 hours total": both are the heat
        steps=frozenset({main[0], *(item.step for item in (told if first.in_all else spans))}),
        main=main,
    )


_SET_FIRST = re.compile(r"\W*(?:gas|oven|\d{2,3} ?°|mark)\b", re.I)
"""“Gas 2, 3 hrs.”, above all work of a card."""
_BROWNS_MEAT = re.compile(
    r"\b(?:brown|sear)\b[^.;]{0,30}\b(?:meat|beef|pork|brisket|ribs?|it|joint)\b"
    r"|\b(?:meat|beef|pork|brisket|ribs?|joint) (?:browned|seared)\b",
    re.I,
)
_INTO_THE_OVEN = re.compile(r"\b(?:oven|lid|cover)\b", re.I)


def _where_it_is_done(recipe: Recipe, first: HeatSpan) -> tuple[int, int]:
    """Step and sentence of the main heat; where the oven is set above all, where it goes in."""
    here = (first.step, first.place)
    if here != (0, 0) or not _SET_FIRST.match(first.sentence):
        return here
    later = [
        ((step, place), text) for step, told in enumerate(recipe.steps)
        for place, text in enumerate(sentences_in(told)) if (step, place) > here
    ]  # fmt: skip
    browned = [at for at, text in later if _BROWNS_MEAT.search(text)]
    if not browned:
        return here
    shut = [at for at, text in later if at > browned[0] and _INTO_THE_OVEN.search(text)]
    return shut[-1] if shut else browned[-1]


def _all_told(recipe: Recipe, main: HeatSpan) -> str:
    return " ".join((main.sentence, *recipe.steps))


FAR_LONGER = 3.0
"""Hours by the clock over the minutes that are told besides. Judgement."""


def _is_far_longer(by_clock: Cooking, spans: list[HeatSpan]) -> bool:
    """“In at 10 pm. At 8 am uncover, 20–30 min for the bark”: the night is the heat."""
    return (by_clock.low_s or 0.0) > FAR_LONGER * sum(span.high_s for span in spans)


def _without_times(recipe: Recipe, device: Device | None) -> Cooking:
    """The heat of a recipe whose steps tell no time of it."""
    if told := _in_stages(recipe, device) or _by_the_clock(recipe, device):
        return told
    if (guess := _labelled(recipe, device)).method:
        return guess
    if device is not None and durations_in(recipe.description):
        return _told_above(recipe)
    return Cooking(device and _of_device(device, ""), None, None, None)


def _told_above(recipe: Recipe) -> Cooking:
    """What only the words above the recipe tell: “18 min at high pressure, in my cooker”."""
    whole = replace(recipe, steps=(recipe.description, *recipe.steps), description="")
    found = read_method(whole)
    steps = frozenset(step - 1 for step in found.steps if step > 0)
    main = found.main and (found.main[0] - 1, found.main[1])
    return replace(found, steps=steps, main=main if main and main[0] >= 0 else None)


_IN_A_BAG = any_of(r"\bsous[- ]?vide\b", r"\bimmersion circulator\b")
"""A bath far below boiling is none of the heats that are compared here."""
_UNDER_PRESSURE = any_of(r"\bpressure\b", r"\bHP\b", r"\bhigh\b", r"\blow\b", r"\bmanual\b",
                         r"\blid\b",
                         r"\block\b", r"\bseal", r"\bNP?R\b", r"\bQP?R\b")  # fmt: skip
"""What belongs to the minutes under the lid; onions are fried in the same pot before."""


_BRAISE = re.compile(r"\bbrais\w*", re.I)
"""Done in an oven or on the stove: beside a simmer it names no oven."""


def _on_the_hob(recipe: Recipe, main: HeatSpan) -> bool:
    """An oven that comes after the long simmering is for the crust."""
    same = sentences_in(recipe.steps[main.step])[: main.place]
    before = " ".join([*recipe.steps[: main.step], *same, main.sentence])
    simmers = SIMMER.search(main.sentence)
    in_it = OVEN.search(_BRAISE.sub("", before))
    return bool(simmers) and not in_it and not temperatures_in(before)


FINISH_SHARE = 1.0 / 6.0
"""A later heat no longer than this part of the main one is a finish, no cooking. Judgement."""
_CRUST = any_of(r"\bcrackl", r"\bcrisp|\bcrusty?\b", r"\bglaz", r"\bsticky\b",
                r"\bbrowned\b", r"\bbubbl",
                r"\bgolden\b", r"\bturn (the )?(oven|heat) (up )?to\b", r"\buncover", r"\bunwrap",
                r"\b(foil|lid) off\b", r"\bskin (pop|puff|blister)",
                r"\b(?:brush|slather|bast|caramel|paint)", r"\bcolou?r\b", r"\bchar\b",
                r"\bknusprig", r"\büberback", r"\bkross", r"\bkruste", r"\b(über)?bräun",
                r"\bglasier", r"\bohne (folie|deckel)\b", r"\bfertig (backen|garen)\b")  # fmt: skip


def _is_finish(item: HeatSpan, main: HeatSpan, device: Device | None) -> bool:
    """A crust at the end, or the hot blast that a roast begins with."""
    after = (item.step, item.place, item.start) > (main.step, main.place, main.start)
    hot = any(heat.temp_c >= CRISP_C for heat in temperatures_in(item.sentence))
    if after and hot and SIMMER.search(main.sentence) and item.high_s <= main.high_s / 2:
        return True  # what was boiled before is tender: a hot oven behind it is a crust
    if after and hot and _CRUST.search(item.sentence) and item.high_s <= main.high_s / 3:
        return True  # "bei 200 Grad 20–25 Min. glasieren"
    if item.high_s > FINISH_SHARE * main.high_s:
        return False
    if (item.step, item.place, item.start) < (main.step, main.place, main.start):
        # onions are fried before "Cover and cook for 1 hr 15", steaks charred before a covered pan
        simmers = device == "simmer" or SIMMER.search(main.sentence) is not None
        simmers = simmers or (device == "grill" and _FOR_COLOR.search(item.sentence) is not None)
        return simmers or bool(temperatures_in(item.sentence))
    same = (item.step, item.place) == (main.step, main.place)
    later = item.sentence[main.start : item.start] if same else item.sentence
    thickens = not same and _THICKENS.search(item.sentence)
    return bool(_CRUST.search(item.sentence) or _HOTTER.search(later) or thickens)


_FOR_COLOR = any_of(r"\b(?:some|for|good|a little) colou?r\b", r"\bto (?:char|mark|brown)\b")
_THICKENS = any_of(
    r"\b(?:strain|skim)\b[^.;]*\b(?:liquid|juices?|broth|sauce)\b",
    r"\b(?:further|another|more)\b[^.;]*\buntil (?:it (?:has |is )?)?thick",
    r"\b(?:kartoffel|stärke|mehl|sahne)\b[^.;]*\brühren\b",
    r"\bmasa\b",
    r"\bsour cream\b[^.;]*\bstir",
    r"\b(?:sauce|gravy|liquid|juices?)\b[^.;]*\buntil (?:it (?:is )?)?(?:slightly )?"
    r"(?:thick|reduced)",
)
"""“Strain the liquid, return it with the gingersnaps and simmer 5 minutes”: the sauce."""


CRISP_C = 195.0
"""An oven so hot browns. Common practice."""
LONG_S = 6 * 3600.0
"""So long no oven is as hot as that: the number is in °F. Judgement."""
_HOTTER = re.compile(
    r"\b(?:turn|crank|raise|increase)\b[^.;]{0,24}\b(?:up|to)\b|\boven up to\b", re.I
)


def _told_before(recipe: Recipe, main: HeatSpan) -> str:
    """The sentence of the main heat; with the one before, where it does not say lid or open."""
    if LID.search(main.sentence) or OPEN.search(main.sentence):
        return main.sentence
    steps = [sentences_in(step) for step in recipe.steps[: main.step + 1]]
    before = steps[-1][: main.place] or (steps[-2][-1:] if len(steps) > 1 else [])
    # "Cover; transfer to the oven; bake 2 hours": what stands last says it
    for told in reversed(before):
        if _FINISHES.search(told):
            break
        if LID.search(told):
            return f"{told} {main.sentence}"
    if not steps[-1][: main.place] and len(steps) > 1:
        # “Fold up the edges and crimp closed. Set on a baking sheet.”, a step before
        closed = next((told for told in reversed(steps[-2]) if _SHUTS.search(told)), None)
        if closed is not None:
            return f"{closed} {main.sentence}"
    # a pot that was named at the start has its lid on, unless the recipe takes it off
    potted = next((text for step in steps for text in step if _POT.search(text)), "")
    opened = any(OPEN.search(text) for text in before)
    return f"{potted} {main.sentence}" if potted and not opened else main.sentence


_SHUTS = any_of(
    r"\b(?:packets?|parcels?|pouch(?:es)?)\b", r"\bcrimp",
    r"\bwrap(?:ped)? (?:it |them |each |tight)",
    r"\bcover\w* [^.;]{0,20}\b(?:tightly|with foil)\b",
)  # fmt: skip
_POT = any_of(r"\bdutch oven\b", r"\bcocotte\b", r"\bcasserole\b")
_FINISHES = any_of(r"\bunwrap", r"\buncover", r"\bopen\b")


def _with_told_totals(spans: list[HeatSpan]) -> list[HeatSpan]:
    """“1½ hrs per pound (10–11 hrs)”: the time of all of it is told beside."""
    whole = {(item.step, item.place) for item in spans if item.per_kg is None}
    return [
        item
        for item in spans
        if item.per_kg is None
        or (item.step, item.place) not in whole
        or _PLUS.search(item.sentence)
    ]


_PLUS = re.compile(r"\bplus\b|\+ ?\d|\band (?:an? )?(?:extra|additional)\b", re.I)
"""“45 minutes per kilo plus 30 minutes”: both count."""


MOST_ROASTS = 4
"""More pieces than these are no roasts, of which each is weighed. Judgement."""


def _by_weight(recipe: Recipe, main: HeatSpan) -> float:
    """How often a time counts that is given for a pound or a kilogram."""
    if main.per_kg is None:
        return 1.0
    meat = read_meat(read_ingredients(recipe.ingredients), recipe.title, recipe.steps)
    if meat.mass_kg is None:
        return 1.0
    # two roasts side by side take as long as one of them
    several = meat.count is not None and 1 < meat.count <= MOST_ROASTS
    mass_kg = meat.mass_kg / meat.count if several and meat.count else meat.mass_kg
    return mass_kg / main.per_kg


_HIGH = frozenset({"high", "hoher", "hoch"})


def _of_device(device: Device | None, sentence: str) -> Method | None:
    if device == "slow":
        # "low 8 hours, or high 4": the first is the recipe's own
        level = re.search(r"\b(high|low|niedrig\w*|hoher|hoch)\b", sentence, re.I)
        return "slow_high" if level and level[1].lower() in _HIGH else "slow_low"
    if device == "oven":
        shut = LID.search(_NOT_SHUT.sub("", sentence))
        braised = re.search(r"\bbrais|\bsimmer|\blid\b", sentence, re.I)
        return "oven_lid" if (shut or braised) and not _only_open(sentence) else "oven_open"
    plain: dict[str, Method] = {
        "smoker": "smoker", "grill": "grill", "stovetop": "stovetop_pressure",
        "pressure": "pressure", "simmer": "simmer",
    }  # fmt: skip
    return plain.get(device or "")


_NOT_SHUT = re.compile(
    r"\buncover\w*|\b(?:no|not|without|skip the|don['’]t)(?: a| any)? (?:foil|lid|cover(?:ed)?)\b",
    re.I,
)


def _only_open(sentence: str) -> bool:
    return bool(OPEN.search(sentence)) and not re.search(
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
    if device == "oven" and OVEN.search(" ".join((recipe.title, *recipe.steps))) is None:
        device = None  # “Cook 3-2-1 at 225”: in three stages meat is smoked
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
        if method not in _NO_HEAT
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
    by = _of_device(device, words)
    heat_c = None if by in _NO_HEAT else heat_named_c(f"{recipe.description}. {words}")
    return Cooking(by, recipe.cook_s, recipe.cook_s, heat_c)

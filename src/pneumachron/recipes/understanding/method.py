"""How a recipe cooks its meat: with what heat, how hot, how long; and what is done besides."""

import re
from dataclasses import dataclass
from typing import Literal, TypeAlias, get_args

from pneumachron.recipes.model import Recipe
from pneumachron.recipes.understanding.durations import durations_in, temperatures_in
from pneumachron.recipes.understanding.patterns import any_of

Method: TypeAlias = Literal[
    "smoker", "oven_lid", "oven_open", "slow_low", "slow_high", "grill", "stovetop_pressure",
    "simmer",
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
    """Of a stovetop pressure cooker."""
    steps: frozenset[int] = frozenset()
    """Which steps are that heat."""


_SLOW = re.compile(r"\bslow[- ]cook(er|ed|ing)?\b", re.I)
_SMOKER = re.compile(r"\bsmok(e|er|ed|ing)\b(?! paprika| salt)", re.I)
_STOVETOP = re.compile(
    r"\bpressure[- ]cook(er|ing)?\b|\bpsi\b|\bfull pressure\b|\b(first|second) ring\b", re.I
)
_GRILL = re.compile(r"\bgrill(ed|ing|s)?\b|\bbarbecue(d)? over\b|\bindirect\b|\bover coals\b", re.I)
_BROIL = re.compile(r"\bbroil(er|ed|ing)?\b|\bunder the (hot )?grill\b|\bgrill \(broil\)", re.I)
_OVEN = re.compile(r"\boven\b|\broast(ed|ing)?\b|\bbak(e|ed|ing)\b|\bbrais(e|ed|ing)\b", re.I)
_LID = any_of(
    r"\bcover(ed)?\b",
    r"\blid\b",
    r"\bfoil\b",
    r"\bwrap(ped)?\b",
    r"\bdutch oven\b",
    r"\bcasserole\b",
    r"\btightly\b",
)
_OPEN = re.compile(r"\buncover(ed)?\b|\bwithout (a )?lid\b|\bopen\b", re.I)
_SIMMER = re.compile(r"\bsimmer(ed|ing)?\b|\bstew(ed)?\b|\bboil(ed)?\b", re.I)
_ASIDE = any_of(
    r"\brest(s|ed|ing)?\b",
    r"\bstand\b",
    r"\bleave\b",
    r"\bmarinat\w*",
    r"\bovernight in\b",
    r"\bfridge\b",
    r"\brefrigerat\w*",
    r"\bchill(ed)?\b",
    r"\bsoak\b",
    r"\bhold in\b",
    r"\bcool(ed)?\b",
    r"\breheat\w*",
    r"\bwarm (it |them )?through\b",
    r"\bsear(ed)?\b",
    r"\bbrown(ed)?\b",
    r"\bfry\b",
    r"\bsoften(ed)?\b",
    r"\bonions?\b.*\b(until|till)\b",
    r"\bper side\b",
    r"\ba side\b",
    r"\bper batch\b",
    r"\ba batch\b",
    r"\bevery\b",
    r"\bfor the last\b",
    r"\bthicken\w*",
    r"\breduc\w+",
    r"\bwith the wine\b",
)
_SIDES = re.compile(r"\b(per|a|each) side\b", re.I)
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
    r"\bpicnic\b",
    r"\bcook\b",
    r"\bcovered\b",
    r"\blid\b",
)
_NO_HEAT = any_of(
    r"\bmarinat", r"\bfridge", r"\brefrigerat", r"\bovernight in", r"\bhold in", r"\brest"
)
_SHUT = any_of(r"(?<!un)cover(ed)?\b", r"\bfoil\b")
_ENDS = re.compile(r"(?<=[a-z)])[.;!]\s+|(?<=\d)\.\s+(?=[A-Z])|;\s+")
_GAUGE_PA = {"second ring": 100e3, "full pressure": 100e3, "first ring": 55e3}
PSI_PA = 6894.757
"""Published: NIST SP 811."""


def read_method(recipe: Recipe) -> Cooking:
    """The main heat: the kind that most of the long times belong to."""
    device = _device(recipe)
    spans = [
        span for index, step in enumerate(recipe.steps) for span in _main_spans(index, step, device)
    ]
    if not spans:
        guess = _labelled(recipe, device)
        return (
            guess if guess.method else Cooking(device and _of_device(device, ""), None, None, None)
        )
    if device == "slow":
        spans = spans[:1]
    first = max(spans, key=lambda item: item.high_s)
    method = _of_device(device, first.sentence) if device else None
    return Cooking(
        method=method,
        low_s=sum(item.low_s for item in spans),
        high_s=sum(item.high_s for item in spans),
        temp_c=_temperature(recipe, first) if method not in {"slow_low", "slow_high"} else None,
        gauge_pa=_gauge(recipe) if method == "stovetop_pressure" else None,
        steps=frozenset(item.step for item in spans),
    )


@dataclass(frozen=True, slots=True)
class _Found:
    step: int
    low_s: float
    high_s: float
    sentence: str


Device: TypeAlias = Literal["smoker", "oven", "slow", "grill", "stovetop", "simmer"]


def _device(recipe: Recipe) -> Device | None:
    """What the recipe is made for: the most special thing it names."""
    text = " ".join([recipe.title, *recipe.steps])
    if _STOVETOP.search(text):
        return "stovetop"
    if _SLOW.search(text):
        return "slow"
    if _SMOKER.search(" ".join(recipe.steps)) or _SMOKER.search(recipe.title):
        return "smoker"
    grilled = [step for step in recipe.steps if _GRILL.search(step) and not _BROIL.search(step)]
    if _OVEN.search(" ".join(recipe.steps)):
        return "oven"
    if grilled:
        return "grill"
    return "simmer" if _SIMMER.search(text) else None


def _main_spans(index: int, step: str, device: Device | None) -> list[_Found]:
    """Times of a step that cook the meat with the main heat."""
    found = []
    for sentence in _sentences(step):
        sides = 2.0 if device == "grill" and _SIDES.search(sentence) else 1.0
        if sides == 1.0 and _ASIDE.search(sentence) and not _cooks_long(sentence):
            continue
        if _BROIL.search(sentence) and device != "grill":
            continue
        if device == "oven" and not any(
            words.search(sentence) for words in (_OVEN, _LID, _OPEN, _MEAT_IN)
        ):
            continue
        if device == "grill" and re.search(r"\bmarinat|\bdirect heat\b", sentence, re.I):
            continue
        spans = durations_in(re.sub(r"\(or [^)]*\)", "", sentence))
        least_s = {"grill": 120.0, "simmer": 300.0, "stovetop": 60.0}.get(device or "", 900.0)
        found += [
            _Found(index, sides * span.low_s, sides * span.high_s, sentence)
            for span in spans
            if span.high_s >= least_s
        ]
    return found


def _cooks_long(sentence: str) -> bool:
    """A sentence that also browns or rests, but whose heat lasts for hours."""
    long = any(span.high_s >= 5400 for span in durations_in(sentence))
    aside = re.search(
        r"\bmarinat|\bfridge|\brefrigerat|\bovernight in|\bhold in|\brest", sentence, re.I
    )
    return long and not aside


def _sentences(step: str) -> list[str]:
    """Sentences, and clauses that stand for one; “12 mins or so.” is no end."""
    return [
        part
        for part in re.split(r"(?<=[a-z)])[.;!]\s+|(?<=\d)\.\s+(?=[A-Z])|;\s+", step)
        if part.strip()
    ]


def _of_device(device: Device | None, sentence: str) -> Method | None:
    if device == "slow":
        return (
            "slow_high"
            if re.search(r"\bhigh\b", re.sub(r"\(or [^)]*\)", "", sentence), re.I)
            else "slow_low"
        )
    if device == "oven":
        shut = _LID.search(re.sub(r"\buncover\w*", "", sentence, flags=re.I))
        braised = re.search(r"\bbrais|\bsimmer|\blid\b", sentence, re.I)
        return "oven_lid" if (shut or braised) and not _only_open(sentence) else "oven_open"
    plain: dict[str, Method] = {
        "smoker": "smoker", "grill": "grill", "stovetop": "stovetop_pressure", "simmer": "simmer",
    }  # fmt: skip
    return plain.get(device or "")


def _only_open(sentence: str) -> bool:
    return bool(_OPEN.search(sentence)) and not re.search(
        r"(?<!un)cover(ed)?\b|\bfoil\b", sentence, re.I
    )


def _temperature(recipe: Recipe, main: _Found) -> float | None:
    """Heat of the main time: in its sentence, or the last one named before."""
    for text in (main.sentence, *reversed(recipe.steps[: main.step + 1])):
        for degrees in temperatures_in(text):
            after = text[degrees.end : degrees.end + 25].lower()
            before = text[max(0, degrees.start - 25) : degrees.start].lower()
            if not re.search(r"internal|inside|middle", after) and not re.search(
                r"until|reaches|reads|about$", before
            ):
                return degrees.temp_c
    return None


def _gauge(recipe: Recipe) -> float:
    text = " ".join([recipe.title, *recipe.steps]).lower()
    if psi := re.search(r"(\d{1,2})\s*psi", text):
        return float(psi[1]) * PSI_PA
    return next((gauge for words, gauge in _GAUGE_PA.items() if words in text), 100e3)


def _labelled(recipe: Recipe, device: Device | None) -> Cooking:
    """Only the label of the page tells how long."""
    if device is None or not recipe.cook_s:
        return Cooking(None, None, None, None)
    words = " ".join(recipe.steps)
    return Cooking(_of_device(device, words), recipe.cook_s, recipe.cook_s, None)

"""A conversion handed to the day: what else a recipe wants done, as tasks of the core."""

import re

from pneumachron.core.planning.season import Marinade, searing
from pneumachron.core.procedure.choices import MAX_EXTRAS, Extra, ExtraWhen
from pneumachron.core.procedure.cook_plan import sear_numbers
from pneumachron.recipes.converting.convert import Converted
from pneumachron.recipes.converting.marks import OutLine
from pneumachron.recipes.converting.own_words import MAKES
from pneumachron.recipes.converting.seasoning import rub_rest_s
from pneumachron.recipes.converting.sides import is_boiled, longest_run_min
from pneumachron.recipes.understanding.durations import durations_in

MIXING_MIN = 10.0
"""A step of a recipe that names no time. Common practice."""
SERVING_MIN = 3.0
"""A step that only puts it on the plates. Judgement."""
BOILED_MIN = 15.0
"""Pasta, with its water coming to the boil beside other work. Common practice."""
MAX_TITLE = 120


def extra_work(done: Converted) -> tuple[Extra, ...]:
    """Sides in a run of their own, and the steps that none of ours does."""
    own = [
        (place, str(step.said[0].params["own"])) for place, step in enumerate(done.steps)
        if step.kind == "own_words"
    ]  # fmt: skip
    kinds = [step.kind for step in done.steps]
    eaten = kinds.index("keep")
    poured, carved = kinds.index("pot"), kinds.index("carve")
    rubbed = kinds.index("marinate" if "marinate" in kinds else "season")
    found = [
        *_own_run(done),
        *(
            _own_words(text, "before_rub") if place < rubbed
            else _own_words(text, _when(text, early=place < poured, last=place > carved))
            for place, text in own if place < eaten and not _ONLY_SAYS.match(text)
        ),
    ]  # fmt: skip
    return tuple(found[:MAX_EXTRAS])


def _when(text: str, *, early: bool, last: bool) -> ExtraWhen:
    """Before the cooker, beside it, or with the cooked meat; a glaze is made meanwhile."""
    if early:
        return "before_pot"
    if last:
        return "at_table"
    return "at_end" if _WITH_THE_COOKED.search(text) else "beside"


_WITH_THE_COOKED = re.compile(
    r"\b(?:shred|slice|pull|pile|carve|reheat|return|serve|scatter|chop the meat)\b"
    r"|\b(?:baking|pie|gratin|casserole) dish\b|\bdumplings on top\b|\breserved\b",
    re.I,
)
"""What needs the meat or its juice: it cannot be done while that is under pressure."""


_ONLY_SAYS = re.compile(
    r"\W*(?:it['’]?s |this is |these are )?"
    r"(?:great|good|lovely|nice|delicious|perfect|excellent|best|goes (?:well|great))\b"
    r"[^.;]{0,40}\bwith\b",
    re.I,
)
"""“Great with corn bread”: nothing that takes its time."""
LEAST_REST_MIN = 30.0
"""A shorter rest under the rub is over before the cooker is ready. Judgement."""


def rub_min(done: Converted) -> tuple[float, float] | None:
    """How long the rubbed meat waits in the cold, from and to [min]; None: it does not."""
    rest_s = rub_rest_s(done.understood)
    if rest_s is None or marinade_of(done) is not None or rest_s[1] < 60.0 * LEAST_REST_MIN:
        return None
    return rest_s[0] / 60.0, rest_s[1] / 60.0


def marinade_of(done: Converted) -> Marinade | None:
    """The marinade, when the recipe has one. How sour it is, the cook says on the day."""
    return "mild" if any(step.kind == "marinate" for step in done.steps) else None


def marinate_min(done: Converted) -> tuple[float, float] | None:
    """How long it lies in its marinade, from and to [min]; None: no marinade."""
    minutes = [step.minutes for step in done.steps if step.kind == "marinate"]
    return minutes[0] if minutes else None


def sear_min(done: Converted) -> float | None:
    """Searing of each batch, both sides, as the recipe has it [min]; None: as the cut is usually.

    What a recipe does not brown is not browned beside the cooker either.
    """
    request = done.plan.setup.request
    seared = any(step.kind == "sear" for step in done.steps)
    if seared == (sear_numbers(request) is not None):
        return None
    low_s, high_s = searing(request.load, request.pot).batch_s
    return (low_s + high_s) / 2 / 60.0 if seared else 0.0


def _own_run(done: Converted) -> list[Extra]:
    """All that goes together: one run, as long as the slowest; pasta is boiled beside it."""
    apart = [line for line in done.lines if line.when == "own_run"]
    first = [line for line in done.lines if line.when == "first_run"]
    boiled = [line for line in apart if is_boiled(line)]
    runs = [line for line in apart if line not in boiled]
    found: list[Extra] = []
    kinds: tuple[tuple[list[OutLine], ExtraWhen], ...] = ((first, "first_run"), (runs, "own_run"))
    for lines, when in kinds:
        if lines:
            minutes = longest_run_min(lines, done.plan.hold_min)
            found.append(Extra(_names(lines), minutes, when))
    if boiled:
        found.append(Extra(_names(boiled), BOILED_MIN, "beside"))
    return found


def _names(lines: list[OutLine]) -> str:
    return _short(", ".join(dict.fromkeys(line.name for line in lines)))


def _own_words(text: str, when: ExtraWhen) -> Extra:
    spans = durations_in(text)
    served = when == "at_table" and not MAKES.search(text)
    usual_s = 60.0 * (SERVING_MIN if served else MIXING_MIN)
    minutes = max((span.high_s for span in spans), default=usual_s) / 60.0
    return Extra(_short(text.rstrip(" .;")), min(max(minutes, 1.0), 600.0), when)


def _short(text: str) -> str:
    return text if len(text) <= MAX_TITLE else f"{text[: MAX_TITLE - 1].rstrip()}…"

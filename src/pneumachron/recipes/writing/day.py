"""A conversion handed to the day: what else a recipe wants done, as tasks of the core."""

from pneumachron.core.catalog.sides import side_advice
from pneumachron.core.planning.season import Marinade
from pneumachron.core.procedure.choices import MAX_EXTRAS, Extra
from pneumachron.recipes.converting.convert import Converted
from pneumachron.recipes.converting.seasoning import rub_rest_s
from pneumachron.recipes.understanding.durations import durations_in

MIXING_MIN = 10.0
"""A step of a recipe that names no time. Common practice."""
MAX_TITLE = 120


def extra_work(done: Converted) -> tuple[Extra, ...]:
    """Sides in a run of their own, and the steps that none of ours does."""
    own = [str(step.said[0].params["own"]) for step in done.steps if step.kind == "own_words"]
    found = [*_own_run(done), *(_own_words(text) for text in own)]
    return tuple(found[:MAX_EXTRAS])


NIGHT_S = 6 * 3600.0
"""A rub that rests so long rests overnight."""


def is_rubbed_overnight(done: Converted) -> bool:
    """Whether the recipe leaves its rub on over the night."""
    rest_s = rub_rest_s(done.understood)
    return rest_s is not None and rest_s[1] >= NIGHT_S


def marinade_of(done: Converted) -> Marinade | None:
    """The marinade, when the recipe has one. How sour it is, the cook says on the day."""
    return "mild" if any(step.kind == "marinate" for step in done.steps) else None


def _own_run(done: Converted) -> list[Extra]:
    """All sides that go together: one run, as long as the slowest."""
    lines = [line for line in done.lines if line.when == "own_run"]
    if not lines:
        return []
    held = (
        side_advice("carrots" if "carrot" in line.name else "potatoes_cut", done.plan.hold_min)
        for line in lines
    )
    names = ", ".join(dict.fromkeys(line.name for line in lines))
    return [Extra(_short(names), float(max(advice.hold_min for advice in held)), "own_run")]


def _own_words(text: str) -> Extra:
    spans = durations_in(text)
    minutes = max((span.high_s for span in spans), default=60.0 * MIXING_MIN) / 60.0
    return Extra(_short(text), min(max(minutes, 1.0), 600.0), "beside")


def _short(text: str) -> str:
    return text if len(text) <= MAX_TITLE else f"{text[: MAX_TITLE - 1].rstrip()}…"

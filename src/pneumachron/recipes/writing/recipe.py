"""A converted recipe as a recipe again, with our plan in its named extension."""

import re
from collections.abc import Iterator
from math import ceil, floor

from pneumachron.core.message import Message
from pneumachron.recipes.converting.convert import Converted
from pneumachron.recipes.converting.marks import WHENS, OutLine, Say
from pneumachron.recipes.model import Recipe, Section
from pneumachron.recipes.writing.sentences import run_on

_OTHER_COOKER = re.compile(
    r"\s*\((?:in (?:the|an?) )?(?:electric )?(?:(?:slow|pressure|multi)[- ]?cooker|crock ?pot|oven"
    r"|smoker|grill|stovetop|dutch oven)(?: (?:recipe|version|method))?\)\s*$",
    re.I,
)
"""“Pulled pork (slow cooker)”: what it is made in now stands there."""


def to_recipe(converted: Converted, say: Say) -> Recipe:
    """Title, lines in the order of their use, steps, times and the plan.

    `say` makes a sentence of a message.
    """
    plan, original = converted.plan, converted.understood.recipe
    hands_s = 60.0 * sum(
        sum(step.minutes) / 2
        for step in converted.steps
        if step.minutes is not None and step.kind in {"sear", "deglaze", "sauce", "finish"}
    )
    plates = converted.plates
    return Recipe(
        title=say(Message("recipe-title", {"title": _OTHER_COOKER.sub("", original.title)})),
        ingredients=tuple(
            _with_its_place(line, say)
            for when in WHENS
            for line in converted.lines
            if line.when == when
        ),
        steps=tuple(run_on(map(say, step.said)) for step in converted.steps),
        sections=tuple(_sections(converted, say)),
        yields=say(_servings(plates)) if plates else original.yields,
        prep_s=60.0 * round(hands_s / 60.0),
        cook_s=60.0 * round(plan.done_s / 60.0),
        total_s=60.0 * round(hands_s / 60.0) + 60.0 * round(plan.done_s / 60.0),
        notes=notes_of(converted, say),
        plan=plan_extension(converted),
        description=original.description,
        author=original.author,
        source=original.source,
        image=original.image,
    )


def _servings(plates: float) -> Message:
    """“3–4 servings”, of which the middle is reckoned with."""
    if plates == round(plates):  # the cook types whole numbers, a recipe says “3–4”
        return Message("recipe-servings", {"plates": plates})
    return Message("recipe-servings_between", {"low": floor(plates), "high": ceil(plates)})


def _with_its_place(line: OutLine, say: Say) -> str:
    """A line, and where it goes unless it is simply cooked along or says so itself."""
    text, place = line.text(say), say(Message(f"when-{line.when}"))
    return text if line.when in {"season", "pot"} or text.endswith(place) else f"{text} ({place})"


_STAGES: dict[str, frozenset[str]] = {
    "cooker": frozenset({"pot", "lid", "set", "release"}),
    "after": frozenset({"judge"}),
}
"""Which step begins a stage of the work; what comes before the cooker has the first."""


def _sections(converted: Converted, say: Say) -> Iterator[Section]:
    """Headings over the steps: before the cooker, in it, afterwards."""
    kinds = [step.kind for step in converted.steps]
    begins = {"before": 0} | {
        stage: next((row for row, kind in enumerate(kinds) if kind in of), -1)
        for stage, of in _STAGES.items()
    }
    for stage, row in begins.items():
        if row >= 0 and (stage == "before") == (row == 0):
            yield Section(say(Message(f"recipe-stage-{stage}")), row)


_ADVICE = frozenset({"grill_instead"})
"""Rules whose reason a cook should read before beginning, and not only beside the step."""


def notes_of(converted: Converted, say: Say) -> tuple[str, ...]:
    """Cautions, the cross-check, allergens; the manual first."""
    notes = [say(Message("recipe-manual_first"))]
    notes += [say(item.said) for item in converted.plan.cautions if item.severity == "careful"]
    notes += [say(mark.caution) for mark in converted.marks if mark.caution is not None]
    notes += [say(mark.reason) for mark in converted.marks if mark.rule in _ADVICE]
    if converted.check is not None:
        notes.append(say(converted.check.said))
    if converted.allergens:
        allergens = "\n".join(converted.allergens)
        notes.append(say(Message("recipe-contains", {"allergens": allergens})))
    return tuple(dict.fromkeys(notes))


def plan_extension(converted: Converted) -> dict[str, str | int | float]:
    """What a program needs to set the pot, in SI units with the unit in the name."""
    plan = converted.plan
    setup = plan.setup
    piece = setup.request.load.pieces[0]
    low, high = plan.hold_range_min
    return {
        "cut": piece.cut.cut_id,
        "mass_kg": round(setup.request.load.mass_kg, 3),
        "pieces": len(setup.request.load.pieces),
        "runs": len(converted.portioned.runs),
        "thickness_m": round(piece.thickness_m, 4),
        "tenderness_step": setup.request.tenderness_step,
        "hold_min": plan.hold_min,
        "hold_low_min": low,
        "hold_high_min": high,
        "gauge_pa": round(plan.gauge_pa),
        "altitude_m": round(setup.request.altitude_m),
        "liquid_m3": round(setup.filling.liquid_m3, 6),
        "liquid_style": setup.request.liquid_style,
        "rack": setup.arrangement.rack,
        "release": setup.release,
        "lid_on_to_open_s": round(plan.lid_on_to_open_s),
        "finish": converted.finish.kind,
    }

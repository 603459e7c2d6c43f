"""A converted recipe as a recipe again, with our plan in its named extension."""

from collections.abc import Callable

from pneumachron.core.message import Message
from pneumachron.recipes.converting.convert import Converted
from pneumachron.recipes.converting.marks import WHEN_WORDS, WHENS
from pneumachron.recipes.model import Recipe
from pneumachron.recipes.writing.sentences import run_on


def to_recipe(converted: Converted, say: Callable[[Message], str]) -> Recipe:
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
        title=f"{original.title} (pressure cooker)",
        ingredients=tuple(
            line.text
            if line.when in {"season", "pot"}
            else f"{line.text} ({WHEN_WORDS[line.when]})"
            for when in WHENS
            for line in converted.lines
            if line.when == when
        ),
        steps=tuple(run_on(map(say, step.said)) for step in converted.steps),
        yields=f"{plates:g} servings" if plates else original.yields,
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


def notes_of(converted: Converted, say: Callable[[Message], str]) -> tuple[str, ...]:
    """Cautions, the cross-check, allergens; the manual first."""
    notes = ["The maker's manual and local food-safety advice come first."]
    notes += [say(item.said) for item in converted.plan.cautions if item.severity == "careful"]
    notes += [mark.caution for mark in converted.marks if mark.overruled and mark.caution]
    if converted.check is not None:
        notes.append(converted.check.words)
    if converted.allergens:
        notes.append(f"Contains, as far as it is known here: {', '.join(converted.allergens)}.")
    return tuple(dict.fromkeys(notes))


def plan_extension(converted: Converted) -> dict[str, str | int | float]:
    """What a program needs to set the pot, in SI units with the unit in the name."""
    plan = converted.plan
    setup = plan.setup
    piece = setup.wish.load.pieces[0]
    low, high = plan.hold_range_min
    return {
        "cut": piece.cut.cut_id,
        "mass_kg": round(setup.wish.load.mass_kg, 3),
        "pieces": len(setup.wish.load.pieces),
        "runs": len(converted.portioned.runs),
        "thickness_m": round(piece.thickness_m, 4),
        "texture_step": setup.wish.texture_step,
        "hold_min": plan.hold_min,
        "hold_low_min": low,
        "hold_high_min": high,
        "gauge_pa": round(plan.gauge_pa),
        "altitude_m": round(setup.wish.altitude_m),
        "liquid_m3": round(setup.filling.liquid_m3, 6),
        "school": setup.wish.school,
        "rack": setup.standing.rack,
        "release": setup.release,
        "lid_on_to_open_s": round(plan.lid_on_to_open_s),
        "finish": converted.finish.kind,
    }

"""What a recipe says of another device or another way is left out; the first way is its own."""

import re
from collections.abc import Sequence
from dataclasses import replace

from pneumachron.recipes.model import Recipe
from pneumachron.recipes.understanding.durations import durations_in
from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.remarks import without_remarks
from pneumachron.recipes.understanding.sentences import sentences_in

_OTHER_WAY = re.compile(
    r",?\s*\bor (?:you can |else |just )?(?:cook |do |make |braise |leave |put |bake )?"
    r"(?:it |them |the lot |everything )?(?:in |with |using |on )?(?:a |an |the |your )?"
    r"(?:slow[- ]cooker|crock[- ]?pot|(?:electric |stovetop )?pressure[- ]cooker)\b[^.;]*?"
    r"(?=,? until\b|,? till\b|[.;]|$)",
    re.I,
)
"""“Simmer 3 hours, or cook in a slow cooker on low for 8”: the first way is the recipe's own."""


_WORKS_TOO = re.compile(
    r",?\s*\b(?:but |and )?(?:an? |the |my |your )?(?:slow[- ]cooker|crock(?:[- ]?pot)?|oven|smoker"
    r"|pressure[- ]cooker) (?:works|does|is fine|will do)\b[^.;]*",
    re.I,
)
"""“I use my Dutch oven but the crock works too (8 hr low).”"""
_OR_ELSE = re.compile(
    r"(?<=[.;!] )Or (?:you can |else )?(?:roast|bake|braise|cook|smoke|grill|simmer|do)\b"
    r"[^.;!]*[.;!]?"
)
"""“Smoke for 10 hours. Or roast covered for 8.”"""
_LINING = re.compile(
    r"\bline[ds]?\b[^.;,]{0,40}\b(?:with|in) (?:heavy[- ]duty )?(?:foil|paper)\b|\bfoil-lined\b",
    re.I,
)
"""Foil under the meat covers nothing."""


_LABEL = re.compile(
    r"^\W*(?:in (?:an? |the )?)?(?P<way>slow(?:[- ]cooker)?|crock[- ]?pot|oven|smoker|grill"
    r"|stove(?: ?top)?|hob|(?:electric )?pressure(?:[- ]cooker)?|electric)\s*:\s",
    re.I,
)
"""“PRESSURE: high 60 min.” above “SLOW: low 8–10 h.”"""


def _first_labelled(steps: Sequence[str]) -> tuple[str, ...]:
    """Of what is told for one device each, that of the first; the others as empty lines.

    An electric pressure cooker, where there is one, is the first: its minutes are the likeliest.
    """
    ways = [found["way"].lower() if (found := _LABEL.match(step)) else "" for step in steps]
    timed = [way for way, step in zip(ways, steps, strict=True) if way and durations_in(step)]
    if len(set(timed)) < 2:
        return tuple(steps)
    electric = (
        way for way, step in zip(ways, steps, strict=True)
        if way.startswith("electric") or (way.startswith("pressure") and _IS_ELECTRIC.search(step))
    )  # fmt: skip
    first = next(electric, timed[0])
    return tuple(
        "" if way not in {"", first} else step for way, step in zip(ways, steps, strict=True)
    )


_NAMES_A_WAY = re.compile(
    r"\b(?P<way>slow[- ]?cooker|crock[- ]?pot|oven|smoker|grill|barbecue|stove ?top|hob"
    r"|air[- ]?fryer|(?:electric )?pressure[- ]cooker|multi[- ]?cooker|schongarer|backofen)\b",
    re.I,
)
_OF_A_METHOD = re.compile(r"\b(?:method|version|instructions?|directions?|option|way)\b", re.I)
_EACH_ALONE = re.compile(r"^(?:slow|crock|schon|electric|pressure|multi|air)", re.I)
"""Nobody cooks in one of these what then cooks on for hours elsewhere."""
_A_STAGE = re.compile(
    r"\b(?:off|from|out of) (?:the |your )?(?:smoker|grill|oven|pit)\b"
    r"|\bsmoked (?:meat|pork|beef|ribs?|brisket|shoulder|butt)\b",
    re.I,
)
"""“Take the ribs off the smoker”, below “Slow cooker”: the next stage."""
_MOST_WORDS = 6
"""Of the name of a way. Judgement."""
_LEAST_S = 20 * 60.0
"""So long meat is cooked in the quickest way. Judgement."""


def _first_section(recipe: Recipe) -> tuple[str, ...]:
    """Of sections for one device each, the steps of the first; those of the others are empty.

    “Oven method”, and below its steps “Slow cooker method” with its own.
    """
    if len(recipe.sections) < 2:
        return recipe.steps
    ends = [section.first for section in recipe.sections[1:]] + [len(recipe.steps)]
    told: list[tuple[str, range]] = []
    named = ""
    for section, end in zip(recipe.sections, ends, strict=True):
        rows = range(section.first, end)
        found = _NAMES_A_WAY.search(section.name)
        short = len(section.name.split()) <= _MOST_WORDS
        timed = any(
            span.high_s >= _LEAST_S for at in rows for span in durations_in(recipe.steps[at])
        )
        if found and short and timed and found["way"].lower() not in {way for way, _ in told}:
            told.append((found["way"].lower(), rows))
            named += f" {section.name}"
    either = _OF_A_METHOD.search(named) or any(_EACH_ALONE.match(way) for way, _ in told)
    staged = any(_A_STAGE.search(recipe.steps[rows.start]) for _, rows in told[1:])
    if len(told) < 2 or staged or not either:
        return recipe.steps
    electric = (
        (way, rows) for way, rows in told
        if way.endswith("cooker") and not way.startswith("slow")
        and any(_IS_ELECTRIC.search(recipe.steps[at]) for at in rows)
    )  # fmt: skip
    _, kept = next(electric, told[0])
    others = {at for _, rows in told for at in rows if rows != kept}
    return tuple("" if at in others else step for at, step in enumerate(recipe.steps))


_IS_ELECTRIC = any_of(
    r"\bsaut[eé]\b", r"\b(?:high|low) pressure\b", r"\bnatural(?:ly)?\b", r"\b(?:NPR|QPR|QR)\b",
    r"\bquick releas",
)  # fmt: skip
"""A pressure cooker with a display, whatever it is called."""


def in_one_way(recipe: Recipe) -> Recipe:
    """The recipe with the steps for its other devices empty: “Slow cooker: low 8 hours.”"""
    return replace(recipe, steps=without_remarks(_first_labelled(_first_section(recipe))))


def _sentences_of_one_way(step: str) -> str:
    """“Electric: 25 min. Stovetop: 20 min.”, within a step."""
    sentences = sentences_in(step)
    kept = _first_labelled(sentences)
    return step if kept == tuple(sentences) else " ".join(filter(None, kept))


def without_other_ways(recipe: Recipe) -> Recipe:
    """The recipe without what it says of another device, where the first way has its time."""
    steps = []
    for line in in_one_way(recipe).steps:
        step = _WORKS_TOO.sub("", _LINING.sub("", _sentences_of_one_way(line)))
        found = _OTHER_WAY.search(step)
        told = found is not None and durations_in(step[: found.start()])
        step = _OTHER_WAY.sub("", step) if told else step
        either = _OR_ELSE.search(step)
        first = either is not None and durations_in(step[: either.start()])
        steps.append(_OR_ELSE.sub("", step) if first else step)
    return replace(recipe, steps=tuple(steps))

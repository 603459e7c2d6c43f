"""How hot the oven, grill or smoker is during the long time of a recipe."""

import re
from collections.abc import Sequence

from pneumachron.recipes.understanding.durations import Degrees, temperatures_in
from pneumachron.recipes.understanding.sentences import sentences_in
from pneumachron.recipes.understanding.spoken_times import in_figures


def oven_heat_c(
    steps: tuple[str, ...], step: int, place: int, start: int, above: str = ""
) -> float | None:
    """Heat of the long time [°C]: the nearest in its sentence, or the last one named before.

    Parameters
    ----------
    step, place, start : the step, the sentence in it, and where the time stands in the sentence
    above : what stands above the recipe: “Oven: 300 °F”
    """
    same = sentences_in(steps[step])
    begin, end = _clause(same[place], start)
    near = sorted(
        of_the_oven(same[place]),
        key=lambda item: (
            not item.exact,
            not begin <= item.start < end,
            item.start > start,
            abs(item.start - start),
        ),
    )
    now = [item for item in near if not _HOTTER_LATER.search(same[place][start : item.start])]
    if now:
        return now[0].temp_c
    before = [*steps[:step], *same[:place]]
    behind = same[place + 1 :]
    # "Uncover, turn oven to 425": what it is turned up to is none of the long time's
    hotter = next((at for at, text in enumerate(behind) if _HOTTER_LATER.search(text)), len(behind))
    earlier = _last_named([*reversed(before), *behind[:hotter]]) or heat_named_c(above)
    if earlier is not None:
        return earlier
    if near:
        return near[0].temp_c
    return _last_named(behind[hotter:]) or _labelled(steps[step + 1 :])


def _labelled(steps: Sequence[str]) -> float | None:
    """What a card says below its work: “Oven temperature: 150 °C”."""
    return _last_named([text for text in steps if _LABEL.match(text)])


_LABEL = re.compile(r"\W*(?:oven|pit|smoker|grill)(?: temp(?:erature)?s?)?(?:\s*:|\W*\d)", re.I)


def _last_named(texts: Sequence[str]) -> float | None:
    """The heat of the first text that names one; “180 °C; reduce to 150 °C” cooks at the last."""
    for text in texts:
        if found := of_the_oven(text):
            return ([item for item in found if item.exact] or found)[-1].temp_c
    return None


_HOTTER_LATER = re.compile(
    r"\b(?:turn|turned|raise|increase|crank)\b[^.;]{0,30}$|\b(?:uncover|unwrap|foil off|lid off)\b"
    r"|\b(?:turn|raise|increase|crank)\b[^.;]{0,30}\b(?:oven|heat|up)\b",
    re.I,
)
"""“Bake 2½ hours, then turn up to 220”: the heat of the long time was told before."""


def heat_named_c(text: str) -> float | None:
    """Heat of an oven or a pit that a text names once, as above a recipe: “Pit: 275 °F”. [°C]"""
    told = (sentence for sentence in sentences_in(text) if not _OF_OTHER_DAYS.search(sentence))
    found = [item for sentence in told for item in of_the_oven(sentence)]
    found = [item for item in found if item.exact] or found
    heats = [item.temp_c for item in found]
    # "150 °C (300 °F)" is one heat in two units
    return heats[0] if heats and max(heats) - min(heats) <= _SAME_K else None


_SAME_K = 5.0
"""Between an oven's heat in °C and in °F, both rounded to ten or 25 of them."""


_OF_OTHER_DAYS = re.compile(
    r"\b(?:would|used to|did|was|were|made|tried|cooked|smoked|by weight|needs?)\b", re.I
)
"""“My father would smoke them all day at 225”: a story, and no heat of this recipe."""


def _clause(sentence: str, at: int) -> tuple[int, int]:
    """Where the clause begins and ends that has something at this place."""
    begins = [found.end() for found in _CLAUSE.finditer(sentence, 0, at)]
    after = _CLAUSE.search(sentence, at)
    return (begins[-1] if begins else 0), (after.start() if after else len(sentence))


_CLAUSE = re.compile(r"[,;]\s|\bthen\b")


def of_the_oven(text: str) -> list[Degrees]:
    """Temperatures that are not those of the meat; of two for one oven, the one without a fan."""
    found = []
    text = in_figures(text)
    for degrees in temperatures_in(text):
        after = _ENDS.split(text[degrees.end : degrees.end + 25].lower())[0]
        before = text[max(0, degrees.start - _NEAR) : degrees.start].lower()
        behind = re.split(r"\d", before)[-1]
        wrapped = degrees.temp_c < _COOL_C and _WRAPPED_AT.search(behind)
        of_meat = (
            wrapped or _OF_FAT.search(behind) or _INSIDE.search(after) or _UNTIL.search(behind)
            or _AT_THAT_TIME.match(text, degrees.end)
        )  # fmt: skip
        # "when the bark is set (~175 °F)": so cool is no oven, if none is named right there
        cool = degrees.temp_c < _COOL_C and not (_PLACED.search(behind) or "oven" in after)
        if not of_meat and not cool:
            found.append(degrees)
    still = [
        item for item in found
        if not _FAN.match(text[item.start : item.end + _NEAR])
        and not _FAN_BEFORE.search(text[max(0, item.start - 16) : item.start])
    ]  # fmt: skip
    return still or found


_COOL_C = 98.0
"""Ovens are seldom set lower than boiling; meat is seldom hotter. Judgement."""
_PLACED = re.compile(
    r"(?:\b(?:oven|ofen|smoker|pit|grill|barbecue|at|on|auf|bei|running"
    r"|(?:set|turn(?:ed)?|down|pre-?heat(?:ed)?|heat(?:ed)?|reduced?|lower(?:ed)?|oven|ofen|smoker"
    r"|pit|grill|bring|up|drop)\b[^,;.]{0,30}\bto)|@)\W*(?:about|around|steady)?\W*$"
)
_ENDS = re.compile(r"\d|,|\buntil\b|\btill?\b|\band\b")
"""Behind them something else is spoken of."""
_NEAR = 45
"""Characters before a temperature that say whose it is. Judgement."""
_INSIDE = re.compile(
    r"internal|inside|\bcore\b|kerntemperatur|middle|cent(?:er|re)|thickest|in the meat|probe"
    r"|^\W*f?\W*i\.?t\b"
)
_UNTIL = re.compile(
    r"until|\bstalls?\b|\bor to\s*$|\btill?\b"
    r"|\b(?:mine|meat|ribs|butt|brisket|shoulder) (?:was|were|is|are) (?:at )?$"
    r"|\bit(?:['’]ll| will| should) be (?:about |around |at )?$"
    r"|\b(?:unwrapped|naked|bare|smoke|cook|back on) to (?:about )?$"
    r"|reach|reads|\bhits?\b|\bonce\b|\bpulled\b|\b(?:pull|take|comes?) (?:it |them )?off (?:at )?$"
    r"|\bprob(?:e|es|ing)\b|\bbutter\W+$|internal|\binside\b|\bcore\b(?! in an?\b)|about$"
)
_OF_FAT = re.compile(r"\b(?:oil|fat|lard|dripping|shortening|fryer)(?: \w+)? (?:to|reaches)\s*$")
"""“Heat oil to 375 °F” on the way to an oven at 275 °F; and not “fat side up at 250 °F”."""
_WRAPPED_AT = re.compile(r"\bwrap(?:ped)?\b[^,;.]*\bat\s*$")
"""“Wrap at 165 °F”, and not “wrap in foil and bake at 300 °F”."""
_AT_THAT_TIME = re.compile(r"[ °fF]{0,3}(?:at|by) \d{1,2}(?:[:.]\d\d)?\s?[ap]\.?m", re.I)
"""“Wrapped 6 am, 203 at 1 pm”."""
_FAN = re.compile(
    r"\D{0,12}\d+\s*(?:°|degrees?|deg\.?)?\s?C?\s*(?:fan|umluft|hei(?:ß|ss)luft)\b", re.I
)
_FAN_BEFORE = re.compile(r"(?:\bfan|umluft|hei(?:ß|ss)luft)\s*:?\s*$", re.I)

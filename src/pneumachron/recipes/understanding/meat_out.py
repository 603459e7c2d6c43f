"""Which times of a recipe are told when its meat is out of the pot already, or in shreds."""

from pneumachron.recipes.understanding.main_heat import HeatSpan
from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.sentences import sentences_in

_MEAT_OUT = any_of(
    r"\b(take|lift|pull|fish|bring)\w* (it |them |the \w+ )?out\b(?! of)",
    r"\bout with the\b",
    r"\bremove (the )?(meat|brisket|ribs?|pork|beef|roast|shoulder)\b",
    r"\b(meat|brisket|ribs|pork|beef|roast) out\b",
    r"\b(transfer|move|set) (the )?(meat|brisket|ribs?|pork|beef|roast|shoulder) (to|on|aside)\b",
)
_MEAT_BACK = any_of(r"\b(return|back in)\b")


def with_the_meat_in(spans: list[HeatSpan], steps: tuple[str, ...]) -> list[HeatSpan]:
    """“Out with the meat. Carrots in, high 3 min”: that pressure is for the carrots alone."""
    if len(spans) < 2:
        return spans
    first = spans[0]
    told = [
        (step, place, text)
        for step, words in enumerate(steps) for place, text in enumerate(sentences_in(words))
        if (step, place) > (first.step, first.place)
    ]  # fmt: skip
    out = next((at for *at, text in told if _MEAT_OUT.search(text)), None)
    if out is None or any(_MEAT_BACK.search(text) for *at, text in told if at > out):
        return spans
    return [item for item in spans if [item.step, item.place] < out]


def before_shredding(spans: list[HeatSpan], steps: tuple[str, ...]) -> list[HeatSpan]:
    """“Shred the meat. In a skillet cook the peppers … add the meat and simmer 20 min.”

    What is shredded or taken out is done: a short heat behind it is none of the main one.
    """
    longest = max((item for item in spans), key=lambda item: item.high_s)
    behind = [
        ((step, place), text)
        for step, words in enumerate(steps) for place, text in enumerate(sentences_in(words))
        if (step, place) >= (longest.step, longest.place)
    ]  # fmt: skip
    stays_out = not any(_MEAT_BACK.search(text) or _MEAT_ADDED.search(text) for _, text in behind)
    shredded = next(
        (
            at for at, text in behind
            if _SHREDDED.search(text) or (stays_out and _MEAT_OUT.search(text))
        ),
        None,
    )  # fmt: skip
    return [
        item for item in spans
        if shredded is None
        or (item.step, item.place) <= shredded
        or item.high_s > LEAST_OF_A_HEAT * longest.high_s
    ]  # fmt: skip


_MEAT_ADDED = any_of(r"\badd (?:the |all the )?(?:meat|ribs?|pork|beef|brisket)\b", r"\bnestle\b")
LEAST_OF_A_HEAT = 1.0 / 3.0
"""Of the main heat: what is longer cooks shredded meat on. Judgement."""
_SHREDDED = any_of(
    r"\bshred (?:the )?(?:meat|pork|beef|brisket|it)\b",
    r"(?:^|\band|,|\bthen) shred\W*$",
    r"\bpull (?:the meat|it) (?:apart|into)\b",
)

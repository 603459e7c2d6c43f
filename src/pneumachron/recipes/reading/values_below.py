"""Labels of a page whose value stands on the next line."""

import re
from collections.abc import Iterable, Iterator

_BARE_LABEL = re.compile(
    r"^\W*(?P<label>(?:cook(?:ing)?|prep(?:aration)?|total|active)[- ]time|yields?|serves|servings"
    r"|makes)\W*$",
    re.I,
)
MOST_OF_A_VALUE = 30
"""Characters of what stands below a label. Judgement."""


def with_their_values(lines: Iterable[str]) -> Iterator[str]:
    """“Yield”, and “8 bowls” on the next line, as one line."""
    label = ""
    for line in lines:
        text = line.strip()
        if label and text:
            short = len(text) <= MOST_OF_A_VALUE and text[:1].isdigit()
            yield from [f"{label}: {text}"] if short else [label, line]
            label = ""
        elif found := _BARE_LABEL.match(text):
            label = found["label"]
        elif text or not label:
            yield line
    if label:
        yield label

"""Cards whose columns are held together by rows of dots."""

import re
from collections.abc import Iterable, Iterator

_DOTS = r"\s*(?:\.\s?){4,40}\s*"
_LABELED = re.compile(
    rf"^\s*(?P<label>name|title|recipe|dish|from|by|serves|servings|yield|makes){_DOTS}"
    r"(?P<value>\S.{0,80})$",
    re.I,
)
"""“Serves ....... 5”."""
_TWO_FOODS = re.compile(
    r"^\s*(?P<left>[\d½¼¾⅓⅔][^\n]{2,70}?[a-z)])" + _DOTS + r"(?P<right>[\d½¼¾⅓⅔].{2,70})$"
)
"""“3 lbs. short ribs ....... 1 c. soy sauce”: two columns of foods, each with its amount."""
_AS_A_LINE = {
    "name": "Title: ", "title": "Title: ", "recipe": "Title: ", "dish": "Title: ",
    "from": "From the kitchen of: ", "by": "By ",
    "serves": "Serves ", "servings": "Serves ", "yield": "Yield: ", "makes": "Makes ",
}  # fmt: skip


def without_leaders(lines: Iterable[str]) -> Iterator[str]:
    """The lines of such a card, one below the other."""
    for line in lines:
        if labeled := _LABELED.match(line):
            yield f"{_AS_A_LINE[labeled['label'].lower()]}{labeled['value']}"
        elif two := _TWO_FOODS.match(line):
            yield from (two["left"], two["right"])
        else:
            yield line

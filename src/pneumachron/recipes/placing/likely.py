"""How likely each place is for a food: the weights of its signs, added up.

The weights are those of a multinomial logistic regression over recipes whose foods were placed by
hand (`tests/recipes/placing`, which also tells how they are made).
"""

from collections.abc import Iterable
from csv import DictReader
from functools import cache
from importlib.resources import files
from math import exp
from typing import Literal, TypeAlias, get_args

from pneumachron.recipes.placing.signs import signs_of
from pneumachron.recipes.understanding.understand import Understood

Place: TypeAlias = Literal["season", "pot", "run", "after", "finish", "beside"]
PLACES: tuple[Place, ...] = get_args(Place)
ALWAYS = "always"
"""The sign that every food has."""


@cache
def weights() -> dict[str, tuple[float, ...]]:
    """The weight of each sign for each of `PLACES`, in natural logarithms of odds."""
    table = files("pneumachron.recipes") / "data" / "place_weights.csv"
    with table.open(encoding="utf-8") as lines:
        return {
            row["sign"]: tuple(float(row[place]) for place in PLACES) for row in DictReader(lines)
        }


def likely(signs: Iterable[str]) -> dict[Place, float]:
    """How likely each place is, from 0 to 1; together they make 1."""
    known = [found for sign in (ALWAYS, *signs) if (found := weights().get(sign)) is not None]
    sums = [sum(column) for column in zip(*known, strict=True)]
    parts = [exp(total - max(sums)) for total in sums]
    return {place: part / sum(parts) for place, part in zip(PLACES, parts, strict=True)}


def likely_places(understood: Understood) -> dict[int, dict[Place, float]]:
    """How likely each place is for each food but the meat, by its line."""
    return {index: likely(signs) for index, signs in signs_of(understood).items()}

"""Several recipes in one text: where each begins, and which is for a cooker.

A sauce or a slaw with a list and steps of its own belongs to the recipe before or behind it; mashed
potatoes are a recipe for themselves.
"""

import re
from dataclasses import dataclass, replace
from itertools import combinations

from pneumachron.recipes.reading.food_lists import (
    head_above,
    is_among,
    is_the_meat,
    is_whole,
    is_work,
    lists_in,
    names_in,
)
from pneumachron.recipes.reading.headings import yield_in
from pneumachron.recipes.reading.row import Row
from pneumachron.recipes.reading.rows import is_meat, may_be_title

_MIXTURE = re.compile(
    r"\b(?:sauce|rub|glaze|marinade|(?:cole)?slaw|salsa|gravy|dressing|relish|pickles?|pickled|chutney"
    r"|paste|mop|topping|dip|aioli|mayo(?:nnaise)?|gremolata|chimichurri|crema|brine|seasoning"
    r"|spice mix|dumplings|so(?:ß|ss)e|krautsalat)\b",
    re.I,
)
"""What is made for another dish, by its name."""
_SERVED_WITH = re.compile(r"\b(?:with|in|and|on|for)\b|[&+]", re.I)
"""“Ribs with peach glaze” is no glaze."""
_FOR_THE = re.compile(r"^for (?:the|your)\b", re.I)
_STAGE = re.compile(
    r"^(?:day|stage|part|phase|step|tag|teil)\b"
    r"|^(?:on )?(?:the )?(?:night|evening|day|next|following)\b"
    r"|^am (?:vor|n(?:ä|ae)chsten )?tag\b",
    re.I,
)
"""“Day two: the braise” goes on with what was begun."""


@dataclass(frozen=True, slots=True)
class _Listed:
    """A list of foods with a name above it and work below."""

    head: int
    begins: int
    ends: int
    until: int
    """The row behind its work."""
    name: str


def recipes_in(rows: list[Row]) -> list[tuple[int, int]]:
    """From which row to which each recipe reaches, the one for a cooker first.

    Nothing, when there is only one.
    """
    listed = _listed_in(rows)
    apart = [each for each in listed if not _is_mixture(rows, each)]
    if any(_STAGE.match(each.name) for each in listed):
        return []
    names = [names_in(rows[each.begins : each.ends]) for each in apart]
    told_twice = any(is_among(*pair) for pair in combinations(names, 2))
    if len(apart) < _LEAST or told_twice:
        return []
    starts = [each.head for each in apart]
    # the foods of a rub that is told first are those of the recipe below it
    starts[0] = min(each.head for each in listed)
    reach = list(zip(starts, [*starts[1:], len(rows)], strict=True))
    found = list(zip(apart, reach, strict=True))
    return [reach for _, reach in sorted(found, key=lambda item: _rank(rows, item[0]))]


_LEAST = 2
"""Of several recipes."""


def _rank(rows: list[Row], each: _Listed) -> int:
    """Which recipe is read: one that cooks a cut for long, one that has a cut, the first."""
    foods, below = rows[each.begins : each.ends], rows[each.ends : each.until]
    return 0 if is_whole(foods, below) else 1 if any(map(is_meat, foods)) else 2


def _listed_in(rows: list[Row]) -> list[_Listed]:
    """The lists that may be recipes: with a name, a heading or a yield, and work below."""
    lists = lists_in(rows)
    heads = [head_above(rows, begins) for begins, _ in lists]
    found: list[_Listed] = []
    for at, (begins, ends) in enumerate(lists):
        until = heads[at + 1] if at + 1 < len(lists) else len(rows)
        named = [k for k in range(heads[at], begins) if _may_name(rows[k])]
        if not named or not any(map(is_work, rows[ends:until])):
            continue
        # “# Sunday”, and “## Smoky rub” below it
        name = next((k for k in reversed(named) if rows[k].raw.startswith("#")), named[0])
        top = rows[name : begins + 1]
        opened = any(row.heading == "ingredients" or yield_in(row.plain) for row in top)
        if opened or _stands_alone(rows[name]):
            found.append(_Listed(name, begins, ends, until, rows[name].plain))
    return found


def _is_mixture(rows: list[Row], each: _Listed) -> bool:
    """A list without a meat, named for what it is or for what it is made."""
    first = _SERVED_WITH.split(each.name)[0]
    named = _MIXTURE.search(first) or _FOR_THE.match(each.name)
    return named is not None and not any(map(is_the_meat, rows[each.begins : each.ends]))


def _may_name(row: Row) -> bool:
    return may_be_title(row) and not yield_in(row.plain)


def _stands_alone(row: Row) -> bool:
    """A name of some words below an empty line: “Mashed potatoes”, and no “Rub”."""
    few = len(row.plain.split()) >= _LEAST_NAMED
    return few and row.heading is None and (row.after_gap or row.line == 0)


_LEAST_NAMED = 2
"""Words of a dish on a page without headings. Judgement."""


def with_mixtures_as_parts(rows: list[Row]) -> list[Row]:
    """A sauce with its own “Ingredients” and “Method” as a part behind the steps."""
    listed = _listed_in(rows)
    mixtures = [each for each in listed if _is_mixture(rows, each)]
    if not mixtures or len(mixtures) == len(listed):
        return rows
    main = next(each for each in listed if each not in mixtures)
    taken: list[Row] = []
    kept = list(rows)
    for each in reversed(mixtures):
        until = next((at for at in range(each.ends, each.until) if _leaves(rows[at])), each.until)
        part = [row for row in rows[each.head : until] if _stays(row)]
        part[0].heading = "part"
        for row in rows[each.ends : until]:
            # “1. Stir everything together” is no food
            row.look = replace(row.look, food=min(row.look.food, 0.0))
        taken[:0] = part
        del kept[each.head : until]
    last = kept.index(rows[main.ends - 1]) + 1
    behind = next((at for at in range(last, len(kept)) if _leaves(kept[at])), len(kept))
    return [*kept[:behind], *taken, *kept[behind:]]


def _leaves(row: Row) -> bool:
    return row.heading in {"notes", "end"}


def _stays(row: Row) -> bool:
    return row.heading not in {"ingredients", "steps"} and not yield_in(row.plain)

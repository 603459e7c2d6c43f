"""Lists of measured foods in a text, and the work below each of them."""

from itertools import islice

from pneumachron.recipes.reading.row import Row
from pneumachron.recipes.reading.rows import WEIGHED, may_be_title, speaks_of_meat
from pneumachron.recipes.understanding.ingredients import food_of
from pneumachron.recipes.understanding.lines import read_line
from pneumachron.recipes.understanding.remarks import tells_long_heat

_SURE_FOOD = 1.5
"""How much a line with an amount looks like food that stands on a list. Judgement."""
_SURE_WORK = 1.0
"""How much a line looks like work. Judgement."""
LEAST_FOODS, LEAST_STEPS = 3, 2
"""Foods with an amount, and steps, of a whole recipe. Judgement."""
_ALIKE = 0.6
"""Part of the foods of the longer list that its copy names too. Judgement."""
_MOST_COMPARED = 60
"""Foods of a list that are compared with those of another. Judgement."""
_MOST_LISTS = 40
"""Lists of a text that are looked at; a page of many recipes has some ten. Judgement."""
_MOST_OF_A_HEAD = 8
"""Lines between the name on a card and its list: who wrote it, for how many. Judgement."""


def lists_in(rows: list[Row]) -> list[tuple[int, int]]:
    """From which row to which the lists with measured foods reach, with their headings."""
    found: list[tuple[int, int]] = []
    names: set[str] = set()
    top = {
        row.plain: at for at, row in reversed(list(enumerate(rows[:_MOST_OF_A_HEAD])))
        if speaks_of_meat(row)
    }  # fmt: skip
    at = 0
    while at < len(rows) and len(found) < _MOST_LISTS:
        reach = at
        # the name of the dish, told again, stands on the card
        while reach < len(rows) and _may_be_listed(rows[reach]):
            told_again = top.get(rows[reach].plain, reach) < reach
            if reach > at and (told_again or rows[reach].heading == "ingredients"):
                break
            reach += 1
        first = next((k for k in range(at, reach) if is_counted(rows[k])), reach)
        first = _heading_above(rows, first, top, found[-1][1] if found else 0)
        if sum(map(is_counted, rows[first:reach])) >= LEAST_FOODS:
            between = rows[found[-1][1] : first] if found else []
            apart = any(is_work(row) or row.heading in {"notes", "end"} for row in between)
            own = names_in(rows[first:reach])
            if found and not apart and not are_alike(names, own):
                found[-1], names = (found[-1][0], reach), names | own
            else:
                found.append((first, reach))
                names = own
        at = max(reach, at + 1)
    return found


def _heading_above(rows: list[Row], first: int, top: dict[str, int], least: int) -> int:
    """The heading of a list, which a food that looks like none may part from the others.

    “Plate short ribs, one rack”, first below “You need”.
    """
    for at in range(first - 1, max(first - _MOST_OF_A_HEAD, least) - 1, -1):
        row = rows[at]
        if row.heading == "ingredients":
            return at
        if row.heading not in {None, "part"} or top.get(row.plain, at) < at:
            break
    return first


def is_counted(row: Row) -> bool:
    """Whether a line is a measured food of a list."""
    look = row.look
    sure = look.has_amount and look.food > max(_SURE_FOOD, look.work)
    return sure and row.heading is None and not look.clutter


def is_work(row: Row) -> bool:
    """Whether a line tells what is done."""
    return row.heading is None and row.look.work >= _SURE_WORK


def _may_be_listed(row: Row) -> bool:
    if row.heading is not None:
        return row.heading in {"part", "ingredients"}
    return row.look.clutter or row.look.food > max(row.look.work, 0.0)


def is_whole(foods: list[Row], below: list[Row]) -> bool:
    """Whether a list has a meat, and the work below it how long that cooks."""
    work = [row for row in below if is_work(row)]
    cooked = any(tells_long_heat(row.plain) for row in work)
    return any(map(is_the_meat, foods)) and cooked and len(work) >= LEAST_STEPS


def is_the_meat(row: Row) -> bool:
    """A cut, or what is called by its animal and is no other food: beef broth is none."""
    kind = food_of(read_line(row.plain).name).kind
    return kind == "meat" or (kind == "unknown" and speaks_of_meat(row))


def head_above(rows: list[Row], begins: int) -> int:
    """Where a recipe begins: with the name of the dish, some lines above its first food."""
    labels = begins
    for at in range(begins - 1, max(begins - _MOST_OF_A_HEAD, 0) - 1, -1):
        row = rows[at]
        # “Rub” alone is a name, and no work
        works = row.look.work >= _SURE_WORK and len(row.plain.split()) > 1
        if row.heading in {"notes", "end"} or works:
            break
        listed = WEIGHED.search(row.plain) is not None
        if may_be_title(row) and speaks_of_meat(row) and not listed:
            return at
        if labels == at + 1 and (row.heading or row.look.clutter or may_be_title(row)):
            labels = at
    return labels


def names_in(rows: list[Row]) -> set[str]:
    """The foods that a list measures, by their names in the table where they stand in it."""
    counted = islice((row for row in rows if is_counted(row)), _MOST_COMPARED)
    names = [read_line(row.plain).name for row in counted]
    return {food_of(name).words or name for name in names}


def are_alike(one: set[str], other: set[str]) -> bool:
    """Whether two lists name the same foods."""
    return len(one & other) >= _ALIKE * max(len(one), len(other))


def is_among(one: set[str], other: set[str]) -> bool:
    """Whether most foods of the shorter list stand on the other too: it is told twice."""
    return len(one & other) >= _ALIKE * min(len(one), len(other))

"""A page that tells its recipe twice, in a post and on a card: the card is the recipe.

The post tells the work in passing, with foods that are not measured; the card below it has the list
and the steps. Read together, they are one recipe with everything done twice.
"""

import re
from collections.abc import Iterator
from dataclasses import dataclass, replace
from itertools import pairwise, takewhile

from pneumachron.recipes.reading.food_lists import (
    LEAST_FOODS,
    LEAST_STEPS,
    are_alike,
    head_above,
    is_among,
    is_counted,
    is_whole,
    is_work,
    lists_in,
    names_in,
)
from pneumachron.recipes.reading.row import Row
from pneumachron.recipes.reading.rows import called, is_meat, may_be_title, speaks_of_meat
from pneumachron.recipes.understanding.durations import LONG_HEAT_S, durations_in
from pneumachron.recipes.understanding.remarks import tells_long_heat

_LEAST_SAID = 6
"""Words of a sentence about the dish: “Feb 2, 2026” is none. Judgement."""
_MOST_SAID = 3
"""Paragraphs below the title of a post that describe the dish. Judgement."""
_HOW_TO = re.compile(r"(?:how (?:to|do (?:you|i)) (?:make|cook|prepare)|so wird)\b.{0,50}$", re.I)
"""“How to make red wine short ribs”, below the recipe for them."""
_ONLY_OPENS = re.compile(r"(?:(?:the|full|print(?:able)?) )*recipe(?: card)?\W*$", re.I)
"""“The recipe”, above a card without a name."""


@dataclass(frozen=True, slots=True)
class Post:
    """What stands around a card: the words on the dish, and all that is told again on the card."""

    description: tuple[str, ...] = ()
    told_again: tuple[str, ...] = ()


def card_of(rows: list[Row]) -> tuple[list[Row], Post]:
    """The rows of the card, with the title first, and the post around it.

    All rows, and no post, when the text tells its recipe only once.
    """
    lists = lists_in(rows)
    for at, (begins, ends) in reversed(list(enumerate(lists))):
        following = lists[at + 1][0] if at + 1 < len(lists) else len(rows)
        if not is_whole(rows[begins:ends], rows[ends:following]):
            continue
        below, again = _told_below(rows, ends, following)
        head = head_above(rows, begins)
        post = Post()
        card = rows[:ends]
        if _tells_it_too(rows[:head], rows[head:begins], rows[begins:ends]):
            card, post = _cut(card, head, begins)
        return [*card, *below, *rows[following:]], replace(
            post, told_again=(*post.told_again, *(row.plain for row in again))
        )
    return rows, Post()


def _told_below(rows: list[Row], begins: int, ends: int) -> tuple[list[Row], list[Row]]:
    """The rows below a list that stay, and those that tell the same work, or foods, once more."""
    stays: list[Row] = []
    again: list[Row] = []
    for section in _sections(rows[begins:ends]):
        foods = section[0].heading == "ingredients" and not any(map(is_counted, section))
        opens = section[0].heading == "steps" or _HOW_TO.match(section[0].plain)
        # the first heading of the steps opens those of the card
        done = _heats_in(stays)
        told = opens and done and _heats_in(section) and _heats_in(section) <= done
        (again if done and (foods or told) else stays).extend(section)
    return stays, again


def _sections(rows: list[Row]) -> Iterator[list[Row]]:
    """Rows up to the next heading that opens the foods, the work, notes or the end of a page."""
    section: list[Row] = []
    for row in rows:
        opens = row.heading not in {None, "part"} or _HOW_TO.match(row.plain)
        if opens and section:
            yield section
            section = []
        section.append(row)
    if section:
        yield section


def _heats_in(rows: list[Row]) -> set[float]:
    """How long the meat is in the heat, in seconds, as the work in the rows tells."""
    work = (row.plain for row in rows if row.look.work > 0.0 and tells_long_heat(row.plain))
    return {
        span.high_s for line in work for span in durations_in(line) if span.high_s >= LONG_HEAT_S
    }


def _tells_it_too(above: list[Row], head: list[Row], foods: list[Row]) -> bool:
    """Whether what stands above a card tells the same work, or lists the same foods."""
    counted = [row for row in above if is_counted(row)]
    names, own = names_in(counted), names_in(foods)
    if len(counted) >= LEAST_FOODS:
        return is_among(names, own) if any(map(is_meat, counted)) else are_alike(names, own)
    strays = [is_counted(row) and not names_in([row]) <= own for row in above]
    if any(map(all, pairwise(strays))):
        return False  # a rub of two foods, which no card lists
    opened = any(row.heading in {"ingredients", "steps"} for row in above)
    work = [row for row in above if is_work(row)]
    # “Ready in 3 hours” is no work
    cooked = len(work) >= LEAST_STEPS and any(tells_long_heat(row.plain) for row in work)
    named = {row.plain for row in above if speaks_of_meat(row)}
    return opened or cooked or any(row.plain in named for row in head)


def _cut(rows: list[Row], head: int, begins: int) -> tuple[list[Row], Post]:
    """The card with its title, and the post above it."""
    above = rows[:head]
    title = _title_of(above, rows[head:begins])
    called_so = title.plain if title else ""
    names = [at for at, row in enumerate(above) if row.plain == called_so]
    below = above[names[0] + 1 if names else 0 :]
    prose = takewhile(lambda row: row.heading is None and not row.look.has_amount, below)
    said = [row.plain for row in prose if not row.look.clutter and _is_sentence(row)][:_MOST_SAID]
    named = [row for row in rows[head:begins] if may_be_title(row) and row.heading is None]
    card = [row for row in rows[head:] if row is not title and row not in named]
    told_again = tuple(
        row.plain for row in above
        if row.plain not in {called_so, *said}
    )  # fmt: skip
    return ([title, *card] if title else card), Post(tuple(said), told_again)


def _is_sentence(row: Row) -> bool:
    return len(row.plain.split()) >= _LEAST_SAID


def _title_of(above: list[Row], head: list[Row]) -> Row | None:
    """The name of the page where it names the dish; else the name on the card."""
    opening = takewhile(lambda row: row.heading not in {"ingredients", "steps"}, above)
    early = [row for row in list(opening)[:_MOST_SAID] if may_be_title(row)]
    marked = [row for row in above if row.raw.startswith("#") and may_be_title(row)]
    named = [row for row in head if may_be_title(row) and not _ONLY_OPENS.match(row.plain)]
    first = [row] if (row := called(early)) else []
    both = [row for row in named if any(row.plain == each.plain for each in above)]
    told = [row for row in (*both, *first, *marked[:1], *named) if speaks_of_meat(row)]
    # nothing may name the dish: the meat does then
    return next(iter([*told, *marked, *first, *named]), None)

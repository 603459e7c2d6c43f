"""The cheapest way through the lines of a text: where ingredients and steps begin and end."""

from typing import Literal, TypeAlias

from pneumachron.recipes.reading.asides import is_clutter
from pneumachron.recipes.reading.row import Row

State: TypeAlias = Literal["before", "ingredients", "steps", "after"]
_ORDERS: tuple[tuple[State, ...], ...] = (
    ("before", "ingredients", "steps", "after"),
    ("before", "steps", "ingredients", "after"),
)
SURELY_FOOD = 0.8
"""How much a line looks like food that is one without a doubt."""
_OPENED = 60.0
"""What a heading is worth against the look of lines."""
_UNDER_HEADING = 0.6
"""A line under a heading counts as what it says at least so much."""
_OUTSIDE_CLUTTER, _OUTSIDE = 0.3, 0.0
_BETWEEN_THE_HEADINGS = 0.5
"""What a line under the heading of the ingredients is worth as a step at most, where the steps have
their heading too."""
_CLUTTER_AMONG, _BOXED = 0.5, 0.3
"""What counts against a button, and a line of notes, among the recipe at most. Judgement."""
_ABOVE = 2.0
"""What counts against a line above the heading of the ingredients."""
_OUT_OF_A_LIST = 1.0
"""What counts against a list with bullets that is half ingredients and half steps."""


def states_of(rows: list[Row]) -> list[State]:
    """In which part of the recipe each line stands."""
    sure_steps = any(row.heading == "steps" for row in rows)
    found = [_cheapest(rows, order, sure_steps=sure_steps) for order in _ORDERS]
    return max(found, key=lambda item: item[0])[1]


def _cheapest(
    rows: list[Row], order: tuple[State, ...], *, sure_steps: bool
) -> tuple[float, list[State]]:
    """The best way through the rows, state after state; cost grows with their number only."""
    worth = [0.0] + [float("-inf")] * (len(order) - 1)
    came: list[list[int]] = []
    before: Row | None = None
    for row in rows:
        step: list[int] = []
        new: list[float] = []
        in_list = before is not None and before.bulleted and row.bulleted
        leave = _OUT_OF_A_LIST if in_list else 0.0
        before = row
        for place, state in enumerate(order):
            came_from = [worth[at] - (leave if at != place else 0.0) for at in range(place + 1)]
            best = max(range(place + 1), key=lambda at: (came_from[at], at))
            step.append(best)
            unread = _left_unread(row) if state == "after" and order[1] == "steps" else 0.0
            new.append(came_from[best] + _emission(row, state, sure_steps=sure_steps) - unread)
        worth = new
        came.append(step)
    place = max(range(len(order)), key=lambda at: worth[at])
    total = worth[place]
    states: list[State] = []
    for step in reversed(came):
        states.append(order[place])
        place = step[place]
    return total, states[::-1]


def _left_unread(row: Row) -> float:
    """What counts against work that is left out behind the ingredients.

    Who tells the work first, and the ingredients below it, has told all of it.
    """
    idle = row.heading is not None or row.under in {"notes", "end"} or row.look.clutter
    return 0.0 if idle else max(row.look.work, 0.0)


def _emission(row: Row, state: State, *, sure_steps: bool) -> float:
    """What a row is worth in a state."""
    if state in {"before", "after"}:
        if row.under in {"notes", "end"}:
            early = state == "before" and (row.above or row.boxed)
            return _UNDER_HEADING if state == "after" else _OUTSIDE if early else -1.0
        if state == "before" and _is_counted_food(row):
            return -_LEFT_BEFORE
        return _OUTSIDE_CLUTTER if row.look.clutter else _OUTSIDE
    if row.heading is not None:
        # a heading before anything was opened is the title
        early = row.heading == "part" and row.under is None and not row.opens_food
        return _OPENED if row.heading == state else -_UNDER_HEADING if early else 0.0
    return _worth(row, state, sure_steps=sure_steps)


_LEFT_BEFORE = 1.5
"""What counts against a food with its amount that stands above the recipe. Judgement."""


def _is_counted_food(row: Row) -> bool:
    counted = row.look.has_amount and row.look.food > 2.0 * SURELY_FOOD
    return counted and row.heading is None and not (row.above or row.names_it or row.look.clutter)


def _worth(row: Row, state: State, *, sure_steps: bool) -> float:
    """What a row that is no heading is worth among the ingredients or the steps."""
    if row.under in {"notes", "end"}:
        return -_BOXED if row.boxed else -1.0
    if row.names_it:
        return -_ABOVE
    worth = row.look.food if state == "ingredients" else row.look.work
    if state == "steps" and row.under == "ingredients" and sure_steps:
        # “Roast potatoes, to serve”, between both headings
        worth = min(worth, _BETWEEN_THE_HEADINGS)
    if row.above:
        worth -= _ABOVE
    # without a heading for the steps, lines below the ingredients may be steps
    unsure = state == "ingredients" and not sure_steps
    if row.look.clutter and row.heading is None:
        worth = max(worth, -_CLUTTER_AMONG)
    if row.under != state or is_clutter(row) or unsure:
        return worth
    return max(worth, _UNDER_HEADING)

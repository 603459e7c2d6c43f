"""When the load is too much for the pot: how many runs, evenly loaded."""

from dataclasses import replace

from pneumachron.core.errors import WishError
from pneumachron.core.load import Load, Piece
from pneumachron.core.standing import MAX_LAYERS
from pneumachron.core.wish import Wish, set_up

MAX_RUNS = 12


def batches(wish: Wish) -> tuple[Wish, ...]:
    """The fewest runs in which everything lies in one layer and under the line.

    Pieces are dealt by weight, the heaviest to the lightest run, so runs weigh nearly the same.

    Raises
    ------
    WishError : some piece does not go into this pot by itself, or it takes a whole day of runs.
    """
    pieces = wish.load.pieces
    refusal: WishError | None = None
    for runs in range(1, min(MAX_RUNS, len(pieces)) + 1):
        # each run takes the school's own amount of liquid
        dealt = tuple(replace(wish, load=load, liquid_m3=None) for load in deal(pieces, runs))
        try:
            if all(set_up(part).standing.layers <= wish_layers(wish) for part in dealt):
                return dealt
        except WishError as error:
            refusal = error
    if refusal is not None and len(pieces) <= MAX_RUNS:
        raise refusal
    raise WishError(
        "too_many_runs",
        "count",
        f"This would take more than {MAX_RUNS} runs of the pot.",
        "Take a bigger pot, or cook less.",
    )


def wish_layers(wish: Wish) -> int:
    """Layers the cook asked for: one, unless a stack is wished."""
    return MAX_LAYERS if wish.stacked else 1


def deal(pieces: tuple[Piece, ...], runs: int) -> tuple[Load, ...]:
    """Pieces dealt into runs of nearly the same weight.

    Longest-processing-time rule: at most a third above the best (Graham, 1969).
    """
    parts: list[list[Piece]] = [[] for _ in range(runs)]
    weights = [0.0] * runs
    for piece in sorted(pieces, key=lambda piece: -piece.mass_kg):
        lightest = min(range(runs), key=lambda i: (weights[i], len(parts[i])))
        parts[lightest].append(piece)
        weights[lightest] += piece.mass_kg
    return tuple(Load(tuple(part)) for part in parts if part)

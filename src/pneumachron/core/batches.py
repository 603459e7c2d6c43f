"""When the load is too much for the pot: how many runs, evenly loaded."""

from dataclasses import replace

from pneumachron.core.errors import WishError
from pneumachron.core.load import Load, Piece
from pneumachron.core.wish import Wish, set_up

MAX_RUNS = 12


def batches(wish: Wish) -> tuple[Wish, ...]:
    """The fewest runs in which everything lies in one layer and under the line.

    As few runs as will do; of unlike pieces each kind has its own run, when that takes no more.
    Pieces are dealt by weight, the heaviest to the lightest run, so runs weigh nearly the same.

    Raises
    ------
    WishError : some piece does not go into this pot by itself, or it takes a whole day of runs.
    """
    pieces = wish.load.pieces
    refusal: WishError | None = None
    for runs in range(1, min(MAX_RUNS, len(pieces)) + 1):
        # each run takes the school's own amount of liquid
        for loads in filter(None, (deal_alike(pieces, runs), deal(pieces, runs))):
            dealt = tuple(replace(wish, load=load, liquid_m3=None) for load in loads)
            try:
                if all(_lies_well(part) for part in dealt):
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


def _lies_well(wish: Wish) -> bool:
    """One layer that touches, unless the cook asked for a way of lying."""
    standing = set_up(wish).standing
    return wish.lying.arrangement is not None or standing.layers == 1


def deal_alike(pieces: tuple[Piece, ...], runs: int) -> tuple[Load, ...]:
    """Pieces dealt so that every run holds one kind: each kind its run, the heaviest kinds more.

    Nothing when all are alike or there are fewer runs than kinds. Alike pieces are done together;
    of unlike ones the slowest sets the hold.
    """
    kinds: dict[tuple[str, float], list[Piece]] = {}
    for piece in pieces:
        kinds.setdefault((piece.cut.cut_id, piece.thickness_m), []).append(piece)
    if not 2 <= len(kinds) <= runs:
        return ()
    groups = list(kinds.values())
    shares = [1] * len(groups)
    weights = [sum(piece.mass_kg for piece in group) for group in groups]
    for _ in range(runs - len(groups)):
        most = max(range(len(groups)), key=lambda index: weights[index] / shares[index])
        shares[most] += 1
    dealt = zip(groups, shares, strict=True)
    return tuple(load for group, share in dealt for load in deal(tuple(group), share))


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

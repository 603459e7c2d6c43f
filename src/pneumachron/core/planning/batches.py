"""When the load is too much for the pot: how many runs, evenly loaded.

What is cooked second goes into a hot pot: it comes up sooner, and needs some minutes more.
"""

from collections.abc import Sequence
from dataclasses import replace
from math import ceil

from pneumachron.core.constants import Constant, Source
from pneumachron.core.errors import RequestError
from pneumachron.core.planning.cutting import Knife
from pneumachron.core.planning.load import Load, Piece
from pneumachron.core.planning.request import CookRequest, resolve

MAX_RUNS = 12
HOT_START = Constant(
    80.0,
    "°C",
    Source("judgement", "liquid off the boil, ten minutes with the lid off while meat is changed"),
)
SWAP = Constant(
    600.0, "s", Source("judgement", "lift out and cover one batch, lay in and close the next")
)


def in_batches(request: CookRequest, count: int) -> CookRequest:
    """The same meat dealt into so many batches; the heaviest is this request's load.

    Where there are fewer pieces than batches, each is cut across first.

    Raises
    ------
    RequestError : more batches than a day has, or pieces that cannot be cut so.
    """
    if count == 1:
        return request
    if not 1 <= count <= MAX_RUNS:
        raise RequestError("batch_count", "batches", batches=count, most=MAX_RUNS)
    pieces = request.load.pieces
    if len(pieces) < count:
        knife = Knife("across", parts=ceil(count / len(pieces)))
        pieces = tuple(part for piece in pieces for part in knife.cut(piece))
    loads = sorted(deal_alike(pieces, count) or deal(pieces, count), key=lambda load: -load.mass_kg)
    return replace(request, load=loads[0], later=tuple(loads[1:]))


def whole_load(request: CookRequest) -> Load:
    """The meat of all batches."""
    if not request.later:
        return request.load
    return Load(tuple(piece for load in (request.load, *request.later) for piece in load.pieces))


def one_by_one(request: CookRequest) -> tuple[CookRequest, ...]:
    """The batches of a request, each on its own; all but the first go into a hot pot."""
    return _hot_after_first([request.load, *request.later], replace(request, later=()))


def _hot_after_first(loads: Sequence[Load], request: CookRequest) -> tuple[CookRequest, ...]:
    first, *later = loads
    hot = replace(request, pot_start_c=HOT_START.value)
    return (replace(request, load=first), *(replace(hot, load=load) for load in later))


def planned_batches(request: CookRequest) -> tuple[CookRequest, ...]:
    """The batches of a plan as it stands: what the cook asked for, also pieces on each other.

    Only what does not go into the cooker at once is dealt out.

    Raises
    ------
    RequestError : as `batches`.
    """
    if request.later:
        return one_by_one(request)
    try:
        resolve(request)
    except RequestError:
        return batches(request)
    return (request,)


def batches(request: CookRequest) -> tuple[CookRequest, ...]:
    """The batches that were asked for, or the fewest in which everything lies in one layer.

    As few runs as will do; of unlike pieces each kind has its own run, when that takes no more, or
    when a whole brisket was parted: flat and point are not done together.
    Pieces are dealt by weight, the heaviest to the lightest run, so runs weigh nearly the same.

    Raises
    ------
    RequestError : some piece does not go into this pot by itself, or it takes a whole day of runs.
    """
    if request.later:
        return one_by_one(request)
    pieces = request.load.pieces
    refusal: RequestError | None = None
    for runs in range(1, min(MAX_RUNS, len(pieces)) + 1):
        # each run takes its own usual amount of liquid
        mixed = () if request.parted else deal(pieces, runs)
        for loads in filter(None, (deal_alike(pieces, runs), mixed)):
            dealt = _hot_after_first(loads, replace(request, liquid_m3=None))
            try:
                if all(_lies_well(part) for part in dealt):
                    return dealt
            except RequestError as error:
                refusal = error
    if refusal is not None and len(pieces) <= MAX_RUNS:
        raise refusal
    raise RequestError("too_many_runs", "count", most=MAX_RUNS)


def _lies_well(request: CookRequest) -> bool:
    """One layer that touches, unless the cook asked for a way of lying."""
    arrangement = resolve(request).arrangement
    return request.lying.kind is not None or arrangement.layers == 1


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

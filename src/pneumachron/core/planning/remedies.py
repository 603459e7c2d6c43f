"""When a load does not fit: the one change that makes it fit."""

from collections.abc import Callable, Iterator
from dataclasses import replace
from functools import partial

from pneumachron.core.catalog.racks import USUAL_RACKS
from pneumachron.core.errors import Fix, RequestError
from pneumachron.core.planning.batches import in_batches, one_by_one, whole_load
from pneumachron.core.planning.cutting import Knife, bones_of, cut_all
from pneumachron.core.planning.lying import ANYHOW
from pneumachron.core.planning.request import CookRequest, resolve

DOES_NOT_FIT = frozenset({"too_long", "too_tall", "does_not_lie", "too_full", "frozen_together"})
"""Codes of what a change of place, knife or batches can mend."""
MOST_BATCHES = 4


def with_fix(request: CookRequest, error: RequestError, *, uncut: bool = True) -> RequestError:
    """The same error with the one change that mends it in place of its hint, where there is one.

    `uncut` : one kind of piece, which the knife has not touched; only that can be told to be cut
    """
    if error.code not in DOES_NOT_FIT:
        return error
    knife = _cuts(request) if uncut and not request.later else iter(())
    for fix, change in (*_places(request), *knife, *_more_batches(request)):
        if _goes(change):
            return error.with_fix(fix)
    return error


_Change = tuple[Fix, Callable[[], CookRequest]]


def _places(request: CookRequest) -> Iterator[_Change]:
    """Where and how it lies, and how much liquid."""
    if (request.rack or USUAL_RACKS[request.liquid_style]) != "none":
        yield Fix("rack", "none"), lambda: replace(request, rack="none", liquid_m3=None)
    if request.lying != ANYHOW:
        yield Fix("lying", ""), lambda: replace(request, lying=ANYHOW)
    if request.liquid_m3 is not None:
        yield Fix("liquid", ""), lambda: replace(request, liquid_m3=None)


def _cuts(request: CookRequest) -> Iterator[_Change]:
    """Each piece cut smaller."""
    if any(bones_of(piece) >= 4 for piece in request.load.pieces):
        for bones in (6, 3):
            change = partial(cut_all, request, Knife("sections", bones=bones))
            yield Fix("sections", str(bones)), change
    elif len(request.load.pieces) <= 2:
        for parts in (2, 3, 4):
            yield Fix("across", str(parts)), partial(cut_all, request, Knife("across", parts=parts))


def _more_batches(request: CookRequest) -> Iterator[_Change]:
    """All the meat in more batches than now."""
    whole = replace(request, load=whole_load(request), later=(), liquid_m3=None)
    now = 1 + len(request.later)
    for count in range(now + 1, max(MOST_BATCHES, now + 2) + 1):
        yield Fix("batches", str(count)), partial(in_batches, whole, count)


def _goes(change: Callable[[], CookRequest]) -> bool:
    try:
        for batch in one_by_one(change()):
            resolve(batch)
    except RequestError:
        return False
    return True

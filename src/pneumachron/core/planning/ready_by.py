"""Ready by: which ways of cutting, releasing and finishing make it to the table in time."""

from dataclasses import dataclass, replace

from pneumachron.core.catalog.cuts import ReleaseMethod
from pneumachron.core.errors import OutOfRangeError, RequestError
from pneumachron.core.planning.cutting import cut_into
from pneumachron.core.planning.finish import FinishKind, finish_for, rest_for
from pneumachron.core.planning.plan_summary import PlanSummary, summaries_of
from pneumachron.core.planning.request import CookRequest, ResolvedRequest, resolve

PARTS = (1, 2, 4)
FASTER: tuple[ReleaseMethod, ...] = ("natural", "timed", "quick")
"""Ways of releasing that may save time; soaking and keeping warm only add to it."""
MAX_AVAILABLE_S = 24 * 3600.0


@dataclass(frozen=True, slots=True)
class Way:
    """One way to do it.

    `parts` : how many each piece is cut into. `table_s` : from lid on until it is on the table,
    rested and finished. `spare_s` < 0 : so late.
    """

    parts: int
    release: ReleaseMethod
    finish: FinishKind
    answer: PlanSummary
    rest_s: float
    finish_s: float
    table_s: float
    spare_s: float


def ways_in_time(
    request: CookRequest, available_s: float, finish: FinishKind | None = None
) -> tuple[Way, ...]:
    """All ways that go, best first.

    Ways that make it come first, the one that changes least at the top: nothing, then the finish,
    the release, the knife. Ways that are late follow, the least late first.

    Parameters
    ----------
    available_s : from lid on to the table
    finish : the wished crust; the habit of the cut when None

    Raises
    ------
    OutOfRangeError : no time, or more than a day.
    RequestError : not even the request as it is can be cooked.
    """
    if not 0.0 < available_s <= MAX_AVAILABLE_S:
        raise OutOfRangeError("time", available_s / 60.0, 1.0, MAX_AVAILABLE_S / 60.0, "min")
    wished = resolve(request).release
    wanted = finish_for(request.load, request.pot, finish).kind
    setups = {(1, wished): resolve(replace(request, release=wished))}
    for parts in PARTS:
        for release in FASTER:
            try:
                cut = request if parts == 1 else cut_into(request, parts)
                setups.setdefault((parts, release), resolve(replace(cut, release=release)))
            except RequestError:
                continue  # parts that do not fit are no way
    ways: list[Way] = []
    for (key, setup), answer in zip(
        setups.items(), summaries_of(list(setups.values())), strict=True
    ):
        if not isinstance(answer, RequestError):
            ways += _ways(setup, key[0], answer, wanted, available_s)
        elif key == (1, wished):
            raise answer
    return tuple(sorted(ways, key=lambda way: _rank(way, wished, wanted)))


def _ways(
    setup: ResolvedRequest, parts: int, answer: PlanSummary, wanted: FinishKind, available_s: float
) -> list[Way]:
    """With the wished finish, and without one."""
    load = setup.request.load
    rest_s = rest_for(load)[0]
    ways = []
    kinds: tuple[FinishKind, ...] = (wanted,) if wanted == "none" else (wanted, "none")
    for kind in kinds:
        finish_s = finish_for(load, setup.request.pot, kind).total_s[1]
        table_s = answer.done_s + rest_s + finish_s
        spare_s = available_s - table_s
        ways.append(Way(parts, setup.release, kind, answer, rest_s, finish_s, table_s, spare_s))
    return ways


def _rank(way: Way, wished: ReleaseMethod, wanted: FinishKind) -> tuple[bool, float, bool, bool]:
    late = way.spare_s < 0.0
    first = -way.spare_s if late else float(way.parts)
    return late, first, way.release != wished, way.finish != wanted

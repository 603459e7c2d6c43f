"""Ready by: which ways of cutting and releasing have the lid off in the time there is."""

from dataclasses import dataclass, replace

from pneumachron.core.alternatives import Answer, cut_into, quick_answer
from pneumachron.core.cuts import RELEASE_METHODS, ReleaseMethod
from pneumachron.core.errors import OutOfRangeError, WishError
from pneumachron.core.plan import Wish

PARTS = (1, 2, 4)
MAX_AVAILABLE_S = 24 * 3600.0


@dataclass(frozen=True, slots=True)
class Way:
    """One way to do it. `parts` : how many each piece is cut into. `spare_s` < 0 : so late."""

    parts: int
    release: ReleaseMethod
    answer: Answer
    spare_s: float


def ways_in_time(wish: Wish, available_s: float) -> tuple[Way, ...]:
    """All ways that go, best first.

    Ways that make it come first, the one that changes least at the top: nothing, then the release,
    then the knife. Ways that are late follow, the least late first.

    Raises
    ------
    OutOfRangeError : no time, or more than a day.
    WishError : not even the wish as it is can be cooked.
    """
    if not 0.0 < available_s <= MAX_AVAILABLE_S:
        raise OutOfRangeError("time", available_s / 60.0, 1.0, MAX_AVAILABLE_S / 60.0, "min")
    ways = [_way(wish, 1, wish.release, available_s)]
    for parts in PARTS:
        for release in RELEASE_METHODS:
            if (parts, release) != (1, wish.release):
                try:
                    ways.append(_way(wish, parts, release, available_s))
                except WishError:
                    continue  # parts that do not fit are no way
    return tuple(sorted(ways, key=lambda way: _rank(way, wish.release)))


def _way(wish: Wish, parts: int, release: ReleaseMethod, available_s: float) -> Way:
    changed = replace(wish, release=release)
    if parts > 1:
        changed = cut_into(changed, parts)
    answer = quick_answer(changed)
    return Way(parts, release, answer, available_s - answer.lid_on_to_open_s)


def _rank(way: Way, wished: ReleaseMethod) -> tuple[bool, float, bool]:
    late = way.spare_s < 0.0
    return late, -way.spare_s if late else float(way.parts), way.release != wished

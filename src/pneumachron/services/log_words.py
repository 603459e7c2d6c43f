"""What the Log says of pieces and of two cooks, for whoever reads."""

from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass
from typing import Any

from pneumachron.core.errors import Param
from pneumachron.core.message import Message
from pneumachron.core.physics.tenderness import Texture
from pneumachron.core.session.compare import CameOut, Difference, Finding, KindsIn
from pneumachron.core.session.piece_traces import Against
from pneumachron.core.session.pieces import Beside, Rated
from pneumachron.core.units import Shown
from pneumachron.services.wording import say_message
from pneumachron.text.measures import shown_to
from pneumachron.text.reader import READING
from pneumachron.text.say import say
from pneumachron.text.vocabulary import say_tenderness


def say_against(items: Iterable[Against]) -> list[str]:
    """How the kinds of a pot fared beside each other, a line each."""
    return [
        say(
            line.code,
            {**line.params, "firm": say_message(item.firm), "soft": say_message(item.soft)},
        )
        for item in items
        for line in item.said
    ]


def say_beside(items: Iterable[Beside], kinds: Sequence[Message]) -> list[str]:
    """What sets the rated pieces apart from the first one, a line each."""
    return [_beside(item, kinds) for item in items]


def _beside(item: Beside, kinds: Sequence[Message]) -> str:
    names = {"first": _piece(item.first, kinds), "other": _piece(item.other, kinds)}
    if not item.said:
        return say("log-unlike", names)
    return say("log-apart", {**names, "told": "\n".join(map(say_message, item.said))})


def _piece(rated: Rated, kinds: Sequence[Message]) -> str:
    # an entry from elsewhere may have rated more kinds than its load has
    kind = kinds[min(rated.kind, len(kinds) - 1)]
    params: dict[str, Param] = {
        "kind": say_message(kind),
        "number": rated.number,
        "mark": rated.mark or "none",
    }
    return say("log-piece", params)


def difference_document(item: Difference) -> dict[str, str]:
    """Something that is not the same about two cooks."""
    return {"about": say(item.about), "first": _told(item.first), "then": _told(item.then)}


def _told(told: Finding) -> str:
    if isinstance(told, Message):
        return say_message(told)
    if isinstance(told, KindsIn):
        pairs = zip(told.names, told.counts, strict=True)
        return "; ".join(
            say("differs-kinds", {"kind": say_message(name), "count": count})
            for name, count in pairs
        )
    return _came_out(told)


def _came_out(told: CameOut) -> str:
    rated = [_texture(texture, told.family) for _, texture in told.rated]
    if len(set(rated)) <= 1:
        return rated[0] if rated else say("differs-not_rated")
    return "; ".join(
        say("differs-rated", {"piece": _piece(piece, told.names), "texture": words})
        for (piece, _), words in zip(told.rated, rated, strict=True)
    )


def _texture(texture: Texture | None, family: str) -> str:
    return say("differs-not_rated") if texture is None else say_tenderness(texture, family)


@dataclass(frozen=True, slots=True)
class Changed:
    """A number of a stored plan that is another one today."""

    what: str
    stored: str
    fresh: str


def total_s(results: Mapping[str, Any]) -> float:
    """Of a stored plan: from lid on until the lid is off, later batches and steps too [s]."""
    whole = results.get("all_done_s") if results.get("later") else None
    return float(results["lid_on_to_open_s"] if whole is None else whole)


def plan_differences(stored: Mapping[str, Any], fresh: Mapping[str, Any]) -> tuple[Changed, ...]:
    """What changed between the numbers of a stored plan and those of today."""
    found = []
    for name, code, param, (part, key) in _COMPARED:
        one, two = stored[part][key], fresh[part][key]
        if one != two:
            found.append((name, say(code, {param: one}), say(code, {param: two})))
    reader = READING.get()
    old, new = (shown_to(Shown(**one["liquid"]["shown"]), reader) for one in (stored, fresh))
    if old != new:
        found.append(("liquid", old, new))
    whole = [60 * round(total_s(one) / 60) for one in (stored, fresh)]
    if whole[0] != whole[1]:
        said = [say("differs-duration", {"time_s": time_s}) for time_s in whole]
        found.append(("total", said[0], said[1]))
    return tuple(Changed(say(f"differs-{name}"), one, two) for name, one, two in found)


_COMPARED = (
    ("set", "differs-minutes", "time_min", ("setting", "hold_min")),
    ("low", "differs-minutes", "time_min", ("setting", "hold_low_min")),
    ("high", "differs-minutes", "time_min", ("setting", "hold_high_min")),
    ("altitude", "differs-height", "altitude_m", ("setting", "altitude_m")),
    ("pot", "differs-name", "name", ("pot", "name")),
)
"""Numbers of a plan: message of what it is, message and parameter of a side, and where it stands
in the document."""

"""What is new of a cook since a screen was told last: a following screen gets only that."""

from collections.abc import Mapping
from dataclasses import dataclass, field
from typing import Any

_ALWAYS = frozenset({"now", "ahead_s"})
"""Every answer has them; they are no news by themselves."""
_DRIFTS = frozenset({"forecast"})
"""Moves on with the time of day; told along with other news, and every `DRIFT_EVERY` looks."""
DRIFT_EVERY = 10
_INK = "ink"


@dataclass(slots=True)
class Follower:
    """One screen, and what it was told."""

    told: dict[str, Any] = field(default_factory=dict)
    looks: int = 0

    def news(self, fresh: Mapping[str, Any]) -> dict[str, Any] | None:
        """The parts that changed; None: nothing did.

        The curve of what happened only grows: its new end is told, with the place it goes to
        (`ink_from`). Timers are counted down by the screen itself.
        """
        self.looks += 1
        changed = {
            key: value
            for key, value in fresh.items()
            if key not in _ALWAYS and self._is_new(key, value)
        }
        if not changed or (changed.keys() <= _DRIFTS and self.looks % DRIFT_EVERY):
            return None
        whole = not self.told
        told: dict[str, Any] = {key: fresh[key] for key in _ALWAYS if key in fresh} | changed
        if _INK in changed and not whole:
            start = _common(self.told[_INK], fresh[_INK])
            told |= {"ink_from": start, _INK: fresh[_INK][start:]}
        self.told = {**self.told, **{key: fresh[key] for key in changed}}
        return told

    def _is_new(self, key: str, value: object) -> bool:
        if key not in self.told:
            return True
        if key == "timers":
            return _without_left(self.told[key]) != _without_left(value)
        return bool(self.told[key] != value)


def _without_left(timers: Any) -> list[dict[str, Any]]:  # noqa: ANN401 - a list of the document
    return [{key: item[key] for key in item if key != "left_s"} for item in timers]


def _common(old: list[Any], new: list[Any]) -> int:
    """How many points at the start are the same."""
    for number, (one, other) in enumerate(zip(old, new, strict=False)):
        if one != other:
            return number
    return min(len(old), len(new))

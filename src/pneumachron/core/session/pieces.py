"""Pieces of one pot, rated one by one: their mean step of tenderness, and what sets them apart."""

from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass
from typing import Any

from pneumachron.core.message import Message
from pneumachron.core.physics.tenderness import TEXTURES

MOST_PIECES = 48
"""Pieces that are judged one by one on a sheet; a large pot holds some forty short ribs."""


def kind_of(judged: Mapping[str, Any], index: int) -> int:
    """Which kind of piece was judged; older sheets name none and go by their order."""
    kind = judged.get("group")
    return index if kind is None else int(kind)


def mean_step(pieces: Sequence[Mapping[str, Any]], counts: Sequence[int]) -> float | None:
    """Mean step over all pieces that were rated; a kind that was rated as one counts in full.

    Parameters
    ----------
    pieces : judgements, each of one piece (`number`) or of all of a kind
    counts : pieces of each kind in the pot
    """
    return _mean(
        [(TEXTURES.index(piece["texture"]), weight) for _, piece, weight in _judged(pieces, counts)]
    )


def mean_model_step(
    pieces: Sequence[Mapping[str, Any]], counts: Sequence[int], steps: Sequence[float]
) -> float | None:
    """Mean of the model's steps over the same pieces, weighed alike.

    What the judged mean is told against: unlike kinds in one pot (membrane on and off, thick and
    thin) do not soften alike.

    Parameters
    ----------
    steps : where the model has each kind on the ladder
    """
    found = [(kind, weight) for kind, _, weight in _judged(pieces, counts)]
    if any(kind >= len(steps) for kind, _ in found):
        return None
    return _mean([(steps[kind], weight) for kind, weight in found])


def _judged(
    pieces: Sequence[Mapping[str, Any]], counts: Sequence[int]
) -> list[tuple[int, Mapping[str, Any], int]]:
    """Kind, judgement and weight of what was judged."""
    found = []
    for index, piece in enumerate(pieces):
        kind = kind_of(piece, index)
        whole = counts[kind] if kind < len(counts) else 1
        if piece.get("texture"):
            found.append((kind, piece, 1 if piece.get("number") else whole))
    return found


def _mean(weighed: Sequence[tuple[float, int]]) -> float | None:
    total = sum(weight for _, weight in weighed)
    return sum(step * weight for step, weight in weighed) / total if total else None


@dataclass(frozen=True, slots=True)
class Rated:
    """Which piece was rated: of a kind, by number or mark where it has one."""

    kind: int
    number: int = 0
    mark: str = ""


@dataclass(frozen=True, slots=True)
class Beside:
    """A rated piece beside the first one; empty `said`: they were not rated alike."""

    first: Rated
    other: Rated
    said: tuple[Message, ...]


def rated_pieces(pieces: Sequence[Mapping[str, Any]]) -> tuple[Rated, ...]:
    """Who the judgements are of, in their order."""
    return tuple(
        Rated(kind_of(piece, index), int(piece.get("number") or 0), str(piece.get("mark") or ""))
        for index, piece in enumerate(pieces)
    )


def side_by_side(pieces: Sequence[Mapping[str, Any]]) -> tuple[Beside, ...]:
    """What sets the other pieces of a pot apart from the first one."""
    named = rated_pieces(pieces)
    return tuple(
        Beside(named[0], name, tuple(_apart(pieces[0], piece)))
        for name, piece in zip(named[1:], pieces[1:], strict=True)
    )


def _apart(first: Mapping[str, Any], other: Mapping[str, Any]) -> Iterator[Message]:
    if first.get("texture") and other.get("texture"):
        gap = TEXTURES.index(other["texture"]) - TEXTURES.index(first["texture"])
        yield _gap("texture", gap)
    for scale in ("juicy", "taste"):
        one, two = first.get(scale), other.get(scale)
        if one and two:
            yield _gap(scale, two - one)


def _gap(scale: str, gap: int) -> Message:
    way = "same" if gap == 0 else "more" if gap > 0 else "less"
    return Message(f"apart-{scale}", {"way": way, "steps": abs(gap)})

"""Pieces of one pot, judged one by one: their mean rung, and their differences in words."""

from collections.abc import Mapping, Sequence
from typing import Any

from pneumachron.core.tenderness import TEXTURES

RUNG_WORDS = {"juicy": ("juicier", "drier"), "taste": ("better liked", "less liked")}
MOST_PIECES = 48
"""Pieces that are judged one by one on a sheet; a large pot holds some forty short ribs."""


def kind_of(judged: Mapping[str, Any], index: int) -> int:
    """Which kind of piece was judged; older sheets name none and go by their order."""
    kind = judged.get("group")
    return index if kind is None else int(kind)


def mean_step(pieces: Sequence[Mapping[str, Any]], counts: Sequence[int]) -> float | None:
    """Mean rung over all pieces that were judged; a kind that was judged as one counts in full.

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
    """Mean of the model's rungs over the same pieces, weighed alike.

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


def piece_names(pieces: Sequence[Mapping[str, Any]], kinds: Sequence[str]) -> tuple[str, ...]:
    """`back ribs 2 (membrane off)`."""
    names = []
    for index, piece in enumerate(pieces):
        kind = kind_of(piece, index)
        name = kinds[kind] if kind < len(kinds) else "piece"
        number, mark = piece.get("number"), piece.get("mark")
        names.append(f"{name}{f' {number}' if number else ''}{f' ({mark})' if mark else ''}")
    return tuple(names)


def side_by_side(pieces: Sequence[Mapping[str, Any]], kinds: Sequence[str]) -> tuple[str, ...]:
    """What sets the other pieces of a pot apart from the first one, a sentence each."""
    names = piece_names(pieces, kinds)
    return tuple(
        f"{name} against {names[0]}: {_difference(pieces[0], piece)}."
        for name, piece in zip(names[1:], pieces[1:], strict=True)
    )


def _difference(first: Mapping[str, Any], other: Mapping[str, Any]) -> str:
    found = [_texture(first.get("texture"), other.get("texture"))]
    for name, (more, less) in RUNG_WORDS.items():
        one, two = first.get(name), other.get(name)
        if one and two:
            gap = two - one
            same = f"{name} the same" if name == "taste" else "as juicy"
            found.append(same if gap == 0 else f"{more if gap > 0 else less} by {abs(gap)}")
    told = [item for item in found if item]
    return ", ".join(told) if told else "not judged alike, so nothing can be said"


def _texture(first: str | None, other: str | None) -> str:
    if not first or not other:
        return ""
    gap = TEXTURES.index(other) - TEXTURES.index(first)
    if gap == 0:
        return "as tender"
    steps = "one step" if abs(gap) == 1 else f"{abs(gap)} steps"
    return f"{steps} {'softer' if gap > 0 else 'firmer'}"

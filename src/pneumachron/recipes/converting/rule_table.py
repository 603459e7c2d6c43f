"""The rules by name: what each does, and what its source is. Its words are `mark-` and the name."""

from csv import DictReader
from dataclasses import dataclass
from functools import cache
from importlib.resources import files
from typing import Literal, TypeAlias, cast

from pneumachron.core.constants import SourceKind

Does: TypeAlias = Literal["struck", "moved", "changed", "added", "kept"]


@dataclass(frozen=True, slots=True)
class Rule:
    """A named rule."""

    name: str
    does: Does
    cautious: bool
    """Whether something can go wrong when the cook overrules it."""
    source_kind: SourceKind


@cache
def rules() -> dict[str, Rule]:
    """All rules, in the order of the table."""
    table = files("pneumachron.recipes") / "data" / "rules.csv"
    with table.open(encoding="utf-8") as lines:
        return {
            row["name"]: Rule(
                name=row["name"],
                does=cast(Does, row["does"]),
                cautious=row["caution"] == "yes",
                source_kind=cast(SourceKind, row["source_kind"]),
            )
            for row in DictReader(lines)
        }

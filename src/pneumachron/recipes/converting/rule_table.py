"""The rules by name: what each does, its reason, what to mind when it is overruled, its source."""

from csv import DictReader
from dataclasses import dataclass
from functools import cache
from importlib.resources import files
from typing import Literal, TypeAlias, cast

from pneumachron.core.constants import SourceKind

Does: TypeAlias = Literal["struck", "moved", "changed", "added", "kept"]


@dataclass(frozen=True, slots=True)
class Rule:
    """A named rule. `reason` may hold fields that the conversion fills."""

    name: str
    does: Does
    reason: str
    caution: str
    """What to mind when the cook overrules it; empty when nothing can go wrong."""
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
                reason=row["reason"],
                caution=row["caution"],
                source_kind=cast(SourceKind, row["source_kind"]),
            )
            for row in DictReader(lines)
        }

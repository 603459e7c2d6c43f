"""The errors of the core.

    CoreError
    ├── OutOfRangeError   a number outside what a formula holds for
    ├── ShapeError        arrays that do not line up
    └── WishError         what the cook asked for cannot be met, and what to do about it
        └── MeasureError  a typed measure cannot be read

Handlers read the attributes, never the text.
"""

from dataclasses import dataclass
from typing import Literal, TypeAlias

FixKind: TypeAlias = Literal["rack", "lying", "liquid", "sections", "across", "batches"]


@dataclass(frozen=True, slots=True)
class Fix:
    """The one change that meets a wish: what is set, and to what; empty: as the engine would."""

    kind: FixKind
    value: str


class CoreError(Exception):
    """Anything the core refuses to do."""


class OutOfRangeError(CoreError, ValueError):
    """A number outside the range a formula was checked for."""

    def __init__(self, name: str, value: float, low: float, high: float, unit: str) -> None:
        self.name, self.value, self.low, self.high, self.unit = name, value, low, high, unit
        super().__init__(f"{name} is {value:g} {unit}; it must be {low:g} to {high:g} {unit}")


class ShapeError(CoreError, ValueError):
    """Arrays whose shapes do not line up."""


class WishError(CoreError, ValueError):
    """A wish that cannot be met.

    `code` is for programs, `field` is the input it concerns (`thickness`, `liquid` ...),
    `message` says what is wrong and `hint` what to do, both in a cook's words. `entry` is the
    index of the pieces it concerns, where a load has several kinds. `fix` is the one change that
    meets it, where there is one.
    """

    def __init__(
        self,
        code: str,
        field: str,
        message: str,
        hint: str,
        *,
        entry: int | None = None,
        fix: Fix | None = None,
    ) -> None:
        self.code, self.field, self.message, self.hint = code, field, message, hint
        self.entry, self.fix = entry, fix
        super().__init__(f"{message} {hint}")

    def at_entry(self, entry: int) -> "WishError":
        """The same error, told about the pieces at index `entry`."""
        return type(self)(self.code, self.field, self.message, self.hint, entry=entry, fix=self.fix)


class MeasureError(WishError):
    """A typed measure (`3 lb 2 oz`) that cannot be read."""

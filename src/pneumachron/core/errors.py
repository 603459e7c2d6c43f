"""The errors of the core.

    CoreError
    ├── OutOfRangeError   a number outside what a formula holds for
    ├── ShapeError        arrays that do not line up
    └── WishError         what the cook asked for cannot be met, and what to do about it
        └── MeasureError  a typed measure cannot be read

Handlers read the attributes, never the text.
"""


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
    index of the pieces it concerns, where a load has several kinds.
    """

    def __init__(
        self, code: str, field: str, message: str, hint: str, *, entry: int | None = None
    ) -> None:
        self.code, self.field, self.message, self.hint = code, field, message, hint
        self.entry = entry
        super().__init__(f"{message} {hint}")

    def at_entry(self, entry: int) -> "WishError":
        """The same error, told about the pieces at index `entry`."""
        return type(self)(self.code, self.field, self.message, self.hint, entry=entry)


class MeasureError(WishError):
    """A typed measure (`3 lb 2 oz`) that cannot be read."""

"""The errors of the core.

    CoreError
    ├── OutOfRangeError   a number outside what a formula holds for
    ├── ShapeError        arrays that do not line up
    └── CodedError        what a person can do something about: a code with parameters in SI
        └── RequestError         what the cook asked for cannot be met
            └── MeasureError  a typed measure cannot be read

An error has no words: `text` has a message for each code. Handlers read the attributes.
"""

from dataclasses import dataclass
from typing import Literal, Self, TypeAlias

FixKind: TypeAlias = Literal["rack", "lying", "liquid", "sections", "across", "batches"]
Param: TypeAlias = str | int | float
"""A number in SI with its unit in the name of the parameter, or a code of the vocabulary."""


@dataclass(frozen=True, slots=True)
class Fix:
    """The one change that meets a request: what is set, and to what; empty: as the engine would."""

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


class CodedError(CoreError, ValueError):
    """Something a person can put right.

    `code` names the message in `text`, `params` are what it speaks of; `field` is the input it
    concerns (`thickness`, `liquid` ...), empty when there is none.
    """

    def __init__(self, code: str, field: str = "", **params: Param) -> None:
        self.code, self.field, self.params = code, field, params
        super().__init__(f"{code} {field} {params}")

    def __reduce__(self) -> tuple[object, ...]:
        """So that it can come from another process."""
        return _remade, (type(self), self.code, self.field, self.params)

    @classmethod
    def of(cls, error: "CodedError", field: str | None = None) -> Self:
        """The same trouble as an error of this kind, perhaps at another field."""
        return cls(error.code, error.field if field is None else field, **error.params)


def _remade(kind: type[CodedError], code: str, field: str, params: dict[str, Param]) -> CodedError:
    return kind(code, field, **params)


class RequestError(CodedError):
    """A request that cannot be met.

    `entry` is the index of the pieces it concerns, where a load has several kinds. `fix` is the
    one change that meets it, where there is one.
    """

    def __init__(
        self,
        code: str,
        field: str = "",
        *,
        entry: int | None = None,
        fix: Fix | None = None,
        **params: Param,
    ) -> None:
        super().__init__(code, field, **params)
        self.entry, self.fix = entry, fix

    def at_entry(self, entry: int) -> "RequestError":
        """The same error, told about the pieces at index `entry`."""
        return type(self)(self.code, self.field, entry=entry, fix=self.fix, **self.params)

    def at_field(self, field: str) -> "RequestError":
        """The same error, told about another field."""
        return type(self)(self.code, field, entry=self.entry, fix=self.fix, **self.params)

    def told_in(self, system: str) -> "RequestError":
        """The same error about something typed in the units of `system`: metric or us."""
        params = {**self.params, "typed": system}
        return type(self)(self.code, self.field, entry=self.entry, fix=self.fix, **params)

    def with_fix(self, fix: Fix) -> "RequestError":
        """The same error, with the change that meets the request."""
        return type(self)(self.code, self.field, entry=self.entry, fix=fix, **self.params)


class MeasureError(RequestError):
    """A typed measure (`3 lb 2 oz`) that cannot be read."""

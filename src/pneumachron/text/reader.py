"""Who reads: the two settings of a household that decide how everything is written."""

from contextvars import ContextVar
from dataclasses import dataclass
from typing import Literal, TypeAlias, get_args

Locale: TypeAlias = Literal["en-US", "en-GB"]
Units: TypeAlias = Literal["metric", "us"]
LOCALES: tuple[Locale, ...] = get_args(Locale)
UNIT_SYSTEMS: tuple[Units, ...] = get_args(Units)


@dataclass(frozen=True, slots=True)
class Reader:
    """A locale, and the units that lead."""

    locale: Locale = "en-US"
    units: Units = "metric"

    @property
    def babel(self) -> str:
        """The locale as Babel calls it."""
        return self.locale.replace("-", "_")


ANYBODY = Reader()
"""Before a household is known."""
EVERYBODY = tuple(Reader(locale, units) for locale in LOCALES for units in UNIT_SYSTEMS)
"""All readers there are."""

READING: ContextVar[Reader] = ContextVar("reading", default=ANYBODY)
"""Who reads what is being answered. Set once for a request, or for a run of the command line."""

"""Who reads: the two settings of a household that decide how everything is written."""

from contextvars import ContextVar
from dataclasses import dataclass
from typing import Final, Literal, TypeAlias, get_args

Locale: TypeAlias = Literal["en-US", "en-GB", "en-XA"]
Units: TypeAlias = Literal["metric", "us"]
LOCALES: tuple[Locale, ...] = ("en-US", "en-GB")
MARKED: Final = "en-XA"
"""For developers: en-US with a ring on every letter, so that words in no catalog stand out."""
UNIT_SYSTEMS: tuple[Units, ...] = get_args(Units)


@dataclass(frozen=True, slots=True)
class Reader:
    """A locale, and the units that lead."""

    locale: Locale = "en-US"
    units: Units = "metric"

    @property
    def babel(self) -> str:
        """The locale as Babel calls it."""
        return "en_US" if self.locale == MARKED else self.locale.replace("-", "_")


ANYBODY = Reader()
"""Before a household is known."""
EVERYBODY = tuple(Reader(locale, units) for locale in LOCALES for units in UNIT_SYSTEMS)
"""All readers there are."""

READING: ContextVar[Reader] = ContextVar("reading", default=ANYBODY)
"""Who reads what is being answered. Set once for a request, or for a run of the command line."""

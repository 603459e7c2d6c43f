"""The errors of the use cases.

ServiceError
└── VersionError   written by a newer version of the app

RowError           a row of a file that cannot be read: a coded error, like those of the core
"""

from pneumachron.core.errors import CodedError


class ServiceError(Exception):
    """Anything a use case refuses to do."""


class VersionError(ServiceError):
    """Something was written in a format this version does not know yet."""

    def __init__(self, kind: str, found: int, known: int) -> None:
        self.kind, self.found, self.known = kind, found, known
        super().__init__(f"{kind} has format {found}; this version knows {known}")


class RowError(CodedError):
    """A row of a log file that cannot be read."""

"""The errors of the use cases.

ServiceError
└── VersionError   written by a newer version of the app
"""


class ServiceError(Exception):
    """Anything a use case refuses to do."""


class VersionError(ServiceError):
    """Something was written in a format this version does not know yet."""

    def __init__(self, kind: str, found: int, known: int) -> None:
        self.kind, self.found, self.known = kind, found, known
        super().__init__(f"{kind} has format {found}; this version knows {known}")

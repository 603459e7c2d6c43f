"""The errors of the store.

StoreError
└── NotFoundError   no row with this id (or it is deleted)
"""


class StoreError(Exception):
    """Anything the store refuses to do."""


class NotFoundError(StoreError, LookupError):
    """There is no such thing, or it was deleted."""

    def __init__(self, kind: str, row_id: str) -> None:
        self.kind, self.row_id = kind, row_id
        super().__init__(f"no {kind} {row_id}")

"""The errors of the store.

StoreError
├── NotFoundError      no row with this id (or it is deleted)
├── StaleError         it was changed elsewhere since it was read
├── BusyError          somebody else writes, and did not finish in time
├── DiskError          it cannot be written: the disk is full, or may only be read
├── DamagedError       the database file is not whole
├── NewerFolderError   the folder was written by a newer version of the app
└── FolderInUseError   another process serves this folder
"""

from datetime import datetime


class StoreError(Exception):
    """Anything the store refuses to do."""


class NotFoundError(StoreError, LookupError):
    """There is no such thing, or it was deleted."""

    def __init__(self, kind: str, row_id: str) -> None:
        self.kind, self.row_id = kind, row_id
        super().__init__(f"no {kind} {row_id}")


class StaleError(StoreError):
    """What is to be replaced was changed elsewhere since it was read."""

    def __init__(self, kind: str, row_id: str, changed_at: datetime) -> None:
        self.kind, self.row_id, self.changed_at = kind, row_id, changed_at
        super().__init__(f"{kind} {row_id} was changed at {changed_at.isoformat()}")


class BusyError(StoreError):
    """The database stayed locked for longer than anybody should wait."""


class DiskError(StoreError):
    """Nothing can be written: no room, or no permission. What is kept can still be read."""

    def __init__(self, *, full: bool) -> None:
        self.full = full
        super().__init__("the disk is full" if full else "the data folder cannot be written")


class DamagedError(StoreError):
    """The database file is not whole.

    Parameters
    ----------
    copy : name of the newest good copy, if there is one
    """

    def __init__(self, copy: str | None = None) -> None:
        self.copy = copy
        super().__init__("the database file is damaged")


class NewerFolderError(StoreError):
    """The folder has tables that this version does not know."""

    def __init__(self, revision: str) -> None:
        self.revision = revision
        super().__init__(f"the data folder has tables of revision {revision}")


class FolderInUseError(StoreError):
    """Another process serves this folder."""

    def __init__(self, process: int | None, port: int | None) -> None:
        self.process, self.port = process, port
        super().__init__(f"the data folder is in use by process {process} on port {port}")

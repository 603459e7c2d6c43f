"""One map from errors to words: HTTP answers and the command line say the same."""

import errno
import json
from dataclasses import dataclass
from functools import singledispatch

from fastapi.exceptions import RequestValidationError
from pydantic import ValidationError

from pneumachron.core.cook.sheet import SheetError
from pneumachron.core.errors import Fix, OutOfRangeError, ShapeError, WishError
from pneumachron.devices.protocol import DeviceError
from pneumachron.recipes.errors import RecipeError
from pneumachron.services.errors import VersionError
from pneumachron.store.errors import (
    BusyError,
    DamagedError,
    DiskError,
    FolderInUseError,
    NewerFolderError,
    NotFoundError,
    StaleError,
)

_FULL = frozenset({errno.ENOSPC, errno.EDQUOT, errno.EFBIG})
_UNWRITABLE = _FULL | {errno.EROFS, errno.EACCES, errno.EPERM, errno.EIO}
MAX_WORDS = 300
"""Of a message that holds somebody else's text."""


@dataclass(frozen=True, slots=True)
class Words:
    """An error as a person reads it, and as HTTP numbers it."""

    status: int
    code: str
    message: str
    field: str | None = None
    hint: str | None = None
    fix: Fix | None = None
    """The one change that would do."""
    retry_s: int | None = None
    """Seconds after which the same may work."""


@singledispatch
def problem_of(_error: BaseException) -> Words | None:
    """What to say of an error; None: it is a mistake of ours.

    The parts of a refused schema are read from its attributes, never from its text.
    """
    return None


@problem_of.register
def _asked(error: WishError | RecipeError) -> Words:
    fix = error.fix if isinstance(error, WishError) else None
    return Words(422, error.code, error.message, error.field, error.hint, fix)


@problem_of.register
def _range(error: OutOfRangeError) -> Words:
    return Words(
        422,
        "out_of_range",
        f"{error.name} is {error.value:g} {error.unit}.",
        error.name,
        f"It must be {error.low:g} to {error.high:g} {error.unit}.",
    )


@problem_of.register
def _shape(error: ShapeError) -> Words:
    return Words(
        422, "not_whole", f"{str(error)[:MAX_WORDS]}.", None, "Restore it from an older copy."
    )


@problem_of.register
def _missing(error: NotFoundError) -> Words:
    return Words(
        404,
        "not_found",
        f"There is no such {error.kind} here.",
        None,
        "It may have been deleted. Go back to the list.",
    )


@problem_of.register
def _stale(error: StaleError) -> Words:
    return Words(
        409,
        "changed_elsewhere",
        f"This {error.kind} was changed elsewhere since you opened it.",
        "version",
        "Look at the other version, then choose which one to keep.",
    )


@problem_of.register
def _refused(error: SheetError | DeviceError) -> Words:
    return Words(409, error.code, error.message, None, error.hint)


@problem_of.register
def _version(error: VersionError) -> Words:
    return Words(
        409,
        "newer_version",
        f"This {error.kind} was written by a newer version of the app.",
        None,
        "Update the app, then open it again.",
    )


@problem_of.register
def _busy(_: BusyError) -> Words:
    return Words(
        503,
        "busy",
        "Others are writing at this moment.",
        None,
        "Try again in a second; nothing was lost.",
        retry_s=1,
    )


@problem_of.register
def _disk(error: DiskError) -> Words:
    return _unwritten(full=error.full)


def _unwritten(*, full: bool) -> Words:
    if full:
        return Words(
            507,
            "disk_full",
            "The disk is full, so this was not saved.",
            None,
            "Make room, then try again. Everything saved before is still there.",
        )
    return Words(
        507,
        "not_writable",
        "The data folder cannot be written, so this was not saved.",
        None,
        "Check the disk and the permissions of the folder. Everything can still be read.",
    )


@problem_of.register
def _system(error: OSError) -> Words | None:
    return _unwritten(full=error.errno in _FULL) if error.errno in _UNWRITABLE else None


@problem_of.register
def _damaged(error: DamagedError) -> Words:
    hint = "There is no copy to go back to: restore a backup file into an empty folder."
    if error.copy is not None:
        hint = f"Go back to the newest good copy: pneumachron use-copy {error.copy}"
    return Words(503, "damaged", "The database file is damaged.", None, hint)


@problem_of.register
def _newer(_: NewerFolderError) -> Words:
    return Words(
        409,
        "newer_folder",
        "This data folder was written by a newer version of the app.",
        None,
        "Update the app, or choose another folder with --data.",
    )


@problem_of.register
def _in_use(error: FolderInUseError) -> Words:
    where = "" if error.port is None else f", on port {error.port}"
    who = "another process" if error.process is None else f"process {error.process}"
    return Words(
        409,
        "folder_in_use",
        f"This data folder is in use by {who}{where}.",
        None,
        "Use the app that is running, or stop it first.",
    )


@problem_of.register
def _invalid(error: RequestValidationError | ValidationError) -> Words:
    first = error.errors()[0]
    where = [str(part)[:60] for part in first["loc"] if part not in {"body", "query", "path"}]
    return Words(
        422,
        "invalid_input",
        f"This cannot be read: {str(first['msg'])[:MAX_WORDS]}.",
        ".".join(where[:12]) or None,
        "Correct it and try again; nothing was changed.",
    )


@problem_of.register
def _json(error: json.JSONDecodeError) -> Words:
    return Words(422, "not_json", f"This is not JSON: {error.msg}.", None, "Choose another file.")


HANDLED: tuple[type[Exception], ...] = tuple(
    kind for kind in problem_of.registry if kind is not object and issubclass(kind, Exception)
)
"""What there are words for."""

"""One map from errors to codes: HTTP answers and the command line say the same.

The words of a code stand in `text/catalogs`: `error-` and the code, `.hint` for what to do.
"""

import errno
import json
from collections.abc import Mapping
from dataclasses import dataclass, field, replace
from functools import singledispatch

from fastapi.exceptions import RequestValidationError
from pydantic import ValidationError

from pneumachron.core.errors import (
    CodedError,
    Fix,
    OutOfRangeError,
    Param,
    RequestError,
    ShapeError,
)
from pneumachron.core.session.events import SheetError
from pneumachron.devices.protocol import DeviceError
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
from pneumachron.text.reader import UNIT_SYSTEMS, Reader
from pneumachron.text.render import has_message, render

_FULL = frozenset({errno.ENOSPC, errno.EDQUOT, errno.EFBIG})
_UNWRITABLE = _FULL | {errno.EROFS, errno.EACCES, errno.EPERM, errno.EIO}
MAX_WORDS = 300
"""Of a message that holds somebody else's text."""


@dataclass(frozen=True, slots=True)
class Trouble:
    """An error as HTTP numbers it; its words follow from the code."""

    status: int
    code: str
    params: Mapping[str, Param] = field(default_factory=dict)
    field: str | None = None
    fix: Fix | None = None
    """The one change that would do."""
    retry_s: int | None = None
    """Seconds after which the same may work."""

    def message(self, reader: Reader) -> str:
        """What happened."""
        return render(f"error-{self.code}", self.params, self._reader(reader))

    def hint(self, reader: Reader) -> str | None:
        """What to do, where something can be done."""
        if self.fix is not None:
            return render(f"fix-{self.fix.kind}", {"value": self.fix.value}, reader)
        code = f"error-{self.code}.hint"
        return (
            render(code, self.params, self._reader(reader)) if has_message(code, reader) else None
        )

    def _reader(self, reader: Reader) -> Reader:
        """What was typed is answered in the units it was typed in."""
        typed = self.params.get("typed")
        return next(
            (replace(reader, units=system) for system in UNIT_SYSTEMS if system == typed), reader
        )


@singledispatch
def problem_of(_error: BaseException) -> Trouble | None:
    """What an error comes to; None: it is a mistake of ours."""
    return None


@problem_of.register
def _coded(error: CodedError) -> Trouble:
    fix = error.fix if isinstance(error, RequestError) else None
    status = 409 if isinstance(error, SheetError | DeviceError) else 422
    return Trouble(status, error.code, error.params, error.field or None, fix)


@problem_of.register
def _range(error: OutOfRangeError) -> Trouble:
    params: dict[str, Param] = {
        "name": error.name, "given": error.value, "least": error.low, "most": error.high,
        "unit": error.unit,
    }  # fmt: skip
    return Trouble(422, "out_of_range", params, error.name)


@problem_of.register
def _shape(error: ShapeError) -> Trouble:
    return Trouble(422, "not_whole_file", {"detail": str(error)[:MAX_WORDS]})


@problem_of.register
def _missing(error: NotFoundError) -> Trouble:
    return Trouble(404, "not_found", {"kind": error.kind})


@problem_of.register
def _stale(error: StaleError) -> Trouble:
    return Trouble(409, "changed_elsewhere", {"kind": error.kind}, "version")


@problem_of.register
def _version(error: VersionError) -> Trouble:
    return Trouble(409, "newer_version", {"kind": error.kind})


@problem_of.register
def _busy(_: BusyError) -> Trouble:
    return Trouble(503, "busy", retry_s=1)


@problem_of.register
def _disk(error: DiskError) -> Trouble:
    return _unwritten(full=error.full)


def _unwritten(*, full: bool) -> Trouble:
    return Trouble(507, "disk_full" if full else "not_writable")


@problem_of.register
def _system(error: OSError) -> Trouble | None:
    return _unwritten(full=error.errno in _FULL) if error.errno in _UNWRITABLE else None


@problem_of.register
def _damaged(error: DamagedError) -> Trouble:
    return Trouble(503, "damaged", {"copy": error.copy or "none"})


@problem_of.register
def _newer(_: NewerFolderError) -> Trouble:
    return Trouble(409, "newer_folder")


@problem_of.register
def _in_use(error: FolderInUseError) -> Trouble:
    # numbers of a process and a port are names: nothing is to group their digits
    params: dict[str, Param] = {
        "process": "none" if error.process is None else str(error.process),
        "port": "none" if error.port is None else str(error.port),
    }
    return Trouble(409, "folder_in_use", params)


_KINDS = frozenset({
    "missing", "extra_forbidden", "string_too_long", "too_long", "string_too_short", "too_short",
    "less_than_equal", "greater_than_equal", "less_than", "greater_than", "literal_error",
    "int_parsing", "int_type", "int_from_float", "float_parsing", "float_type", "bool_parsing",
    "bool_type", "string_type", "list_type", "dict_type", "model_attributes_type",
    "string_pattern_mismatch", "json_invalid", "ends_before_it_begins", "out_of_all_time",
})  # fmt: skip
"""What a schema finds that there are words for; anything else is "cannot be read"."""
_LIMITS = ("max_length", "min_length", "le", "ge", "lt", "gt")


@problem_of.register
def _invalid(error: RequestValidationError | ValidationError) -> Trouble:
    first = error.errors()[0]
    where = [str(part)[:60] for part in first["loc"] if part not in {"body", "query", "path"}]
    limits = [first["ctx"][name] for name in _LIMITS if name in first.get("ctx", {})]
    params: dict[str, Param] = {
        "kind": first["type"] if first["type"] in _KINDS else "other",
        "field": where[-1] if where else "",
        "limit": str(limits[0]) if limits else "",
    }
    return Trouble(422, "invalid_input", params, ".".join(where[:12]) or None)


@problem_of.register
def _json(_: json.JSONDecodeError) -> Trouble:
    return Trouble(422, "not_json")


HANDLED: tuple[type[Exception], ...] = tuple(
    kind for kind in problem_of.registry if kind is not object and issubclass(kind, Exception)
)
"""What there are words for."""

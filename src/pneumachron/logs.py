"""The app's own log: one JSON object a line in the data folder, rotated, with no personal text.

Records say which thing happened (a code) with numbers and ids beside it. Of an error only its type
and where it arose are written, never its words: those may hold what somebody typed.
"""

import json
import logging
import traceback
from collections.abc import Iterator
from contextlib import contextmanager
from datetime import UTC, datetime
from logging.handlers import RotatingFileHandler
from pathlib import Path

from pneumachron.files import make_private, make_private_folder

FOLDER = "logs"
FILE_NAME = "pneumachron.log"
MAX_BYTES, KEPT = 1_000_000, 3
MAX_FRAMES = 12
LOGGER = logging.getLogger("pneumachron")


def note(code: str, *, level: int = logging.INFO, **numbers: str | float | None) -> None:
    """Write down that something happened. `numbers` are counts, codes and ids, no texts."""
    LOGGER.log(level, code, extra={"numbers": numbers})


def note_error(code: str, error: BaseException, **numbers: str | float | None) -> None:
    """Write down an error: its type and where it arose."""
    LOGGER.error(code, extra={"numbers": numbers, "error": error})


class _Lines(logging.Formatter):
    """A record as one line of JSON."""

    def format(self, record: logging.LogRecord) -> str:
        """What is known of it, nothing else."""
        line: dict[str, object] = {
            "at": datetime.fromtimestamp(record.created, UTC).isoformat(timespec="milliseconds"),
            "level": record.levelname.lower(),
            "code": record.msg,
            **getattr(record, "numbers", {}),
        }
        error = getattr(record, "error", None)
        if isinstance(error, BaseException):
            frames = traceback.extract_tb(error.__traceback__)[-MAX_FRAMES:]
            line["error"] = type(error).__name__
            line["where"] = [f"{Path(item.filename).name}:{item.lineno}" for item in frames]
        return json.dumps(line)


class _Quiet(RotatingFileHandler):
    """A line that cannot be written is lost, without a word on the terminal."""

    def handleError(self, record: logging.LogRecord) -> None:  # noqa: N802
        """Nothing can be done about it here."""


@contextmanager
def writing_to(folder: Path) -> Iterator[None]:
    """Log into this data folder as long as the block lasts.

    A folder that cannot be written has no log, and a full disk loses lines and nothing else.
    """
    handler: logging.Handler
    try:
        make_private_folder(folder / FOLDER)
        file = folder / FOLDER / FILE_NAME
        handler = _Quiet(file, maxBytes=MAX_BYTES, backupCount=KEPT, delay=False)
        make_private(file)
    except OSError:
        handler = logging.NullHandler()
    handler.setFormatter(_Lines())
    LOGGER.setLevel(logging.INFO)
    LOGGER.propagate = False
    LOGGER.addHandler(handler)
    try:
        yield
    finally:
        LOGGER.removeHandler(handler)
        handler.close()

"""Copies of the database that the app makes by itself, and the way back to one.

A copy is a folder of its own under `copies/`: the database, and the photos as hard links, which
take no room. There are as many as `KEPT` says of each reason, and never more than `MAX_BYTES`.
"""

import os
import re
import shutil
import sqlite3
import threading
from collections.abc import Iterator
from contextlib import closing, contextmanager, suppress
from dataclasses import dataclass
from datetime import UTC, datetime
from pathlib import Path
from typing import Literal, TypeAlias

from pneumachron.files import make_private, make_private_folder, sync_folder

Reason: TypeAlias = Literal["daily", "before-upgrade", "before-restore"]
FOLDER = "copies"
PHOTOS = "photos"
KEPT: dict[Reason, int] = {"daily": 7, "before-upgrade": 3, "before-restore": 3}
"""A week, and the last few times that everything might have gone wrong. Judgement."""
MAX_COPIES = sum(KEPT.values())
MAX_BYTES = 1024 * 1024 * 1024
"""Of all copies together; the newest one is kept whatever its size."""
_NAME = re.compile(r"(\d{8}T\d{6}Z)-(daily|before-upgrade|before-restore)")
_STAMP = "%Y%m%dT%H%M%SZ"
_DATABASE = "pneumachron.sqlite3"


CopyError = sqlite3.Error
"""What SQLite says when a copy cannot be made or read."""


@dataclass(frozen=True, slots=True)
class Copy:
    """A copy in the data folder."""

    name: str
    made_at: datetime
    reason: Reason
    size_bytes: int
    """Of its database; photos are links."""


@contextmanager
def connected(file: Path) -> Iterator[sqlite3.Connection]:
    """The file through SQLite alone, for checks and copies."""
    with closing(sqlite3.connect(file, timeout=5.0, isolation_level=None)) as opened:
        yield opened


_ONE_AT_A_TIME = threading.Lock()
"""A copy sweeps away what is half made; the daily one must not take that of a restore."""


def make(database: Path, reason: Reason) -> Copy:
    """Copy the database as it is now, while others go on with it; one copy at a time.

    Parameters
    ----------
    database : the file, in its data folder

    Raises
    ------
    OSError, sqlite3.Error : it cannot be made; nothing is left of it.
    """
    with _ONE_AT_A_TIME:
        return _make(database, reason)


def _make(database: Path, reason: Reason) -> Copy:
    folder = database.parent / FOLDER
    make_private_folder(folder)
    _sweep(folder)
    made_at = datetime.now(UTC).replace(microsecond=0)
    name = f"{made_at.strftime(_STAMP)}-{reason}"
    place = folder / name
    if place.exists():  # two within a second are one
        return _copy(place)
    unfinished = folder / f".{name}.new"
    try:
        make_private_folder(unfinished)
        with connected(database) as here, connected(unfinished / _DATABASE) as there:
            here.backup(there)
            there.execute("PRAGMA journal_mode=DELETE")
        make_private(unfinished / _DATABASE)
        _link_all(database.parent / PHOTOS, unfinished / PHOTOS)
        unfinished.rename(place)
    except BaseException:
        shutil.rmtree(unfinished, ignore_errors=True)
        raise
    sync_folder(folder)
    _rotate(folder)
    return _copy(place)


def listed(data: Path) -> list[Copy]:
    """The copies in a data folder, the newest first."""
    folder = data / FOLDER
    found = []
    with suppress(OSError):
        for place in folder.iterdir():
            if _NAME.fullmatch(place.name) and (place / _DATABASE).is_file():
                found.append(_copy(place))
    return sorted(found, key=lambda copy: (copy.made_at, copy.name), reverse=True)


def newest_good(data: Path) -> Copy | None:
    """The newest copy that SQLite finds whole."""
    return next((copy for copy in listed(data) if is_whole(file_of(data, copy.name))), None)


def file_of(data: Path, name: str) -> Path:
    """The database of a copy.

    Raises
    ------
    LookupError : there is no such copy.
    """
    file = data / FOLDER / name / _DATABASE
    if not _NAME.fullmatch(name) or not file.is_file():
        raise LookupError(name)
    return file


def is_whole(file: Path) -> bool:
    """Whether SQLite finds nothing wrong with a file."""
    try:
        with connected(file) as opened:
            return bool(opened.execute("PRAGMA quick_check(1)").fetchone() == ("ok",))
    except sqlite3.DatabaseError:
        return False


def bring_back(database: Path, name: str) -> None:
    """Put a copy in place of what is in the database now, in one transaction of SQLite.

    Photos that are gone are linked back. The caller makes a copy of the present state before, and
    brings the tables up to date afterwards.

    Raises
    ------
    LookupError : there is no such copy.
    """
    file = file_of(database.parent, name)
    with connected(file) as there, connected(database) as here:
        there.backup(here)
    _link_all(file.parent / PHOTOS, database.parent / PHOTOS)


def replace_damaged(database: Path, name: str) -> Path:
    """Put a copy in place of a file that is damaged; the damaged one is kept beside it.

    Raises
    ------
    LookupError : there is no such copy.
    """
    file = file_of(database.parent, name)
    aside = database.with_name(f"damaged-{datetime.now(UTC).strftime(_STAMP)}.sqlite3")
    for suffix in ("-wal", "-shm"):
        database.with_name(database.name + suffix).unlink(missing_ok=True)
    database.replace(aside)
    with connected(file) as there, connected(database) as here:
        there.backup(here)
    make_private(database)
    _link_all(file.parent / PHOTOS, database.parent / PHOTOS)
    return aside


def _copy(place: Path) -> Copy:
    matched = _NAME.fullmatch(place.name)
    if matched is None:
        raise LookupError(place.name)
    made_at = datetime.strptime(matched[1], _STAMP).replace(tzinfo=UTC)
    reasons: dict[str, Reason] = {reason: reason for reason in KEPT}
    return Copy(place.name, made_at, reasons[matched[2]], (place / _DATABASE).stat().st_size)


def _link_all(source: Path, target: Path) -> None:
    """Photos never change, so a second name of the same file is a copy of it."""
    if not source.is_dir():
        return
    make_private_folder(target)
    for photo in source.glob("*.jpg"):
        goal = target / photo.name
        if goal.exists():
            continue
        try:
            os.link(photo, goal)
        except OSError:  # a disk without hard links
            shutil.copy2(photo, goal)


def _rotate(folder: Path) -> None:
    """Remove what is more than is kept, the oldest first."""
    found = listed(folder.parent)
    for reason, most in KEPT.items():
        for copy in [item for item in found if item.reason == reason][most:]:
            shutil.rmtree(folder / copy.name, ignore_errors=True)
    total = 0
    for number, copy in enumerate(listed(folder.parent)):
        total += copy.size_bytes
        if number > 0 and total > MAX_BYTES:
            shutil.rmtree(folder / copy.name, ignore_errors=True)


def _sweep(folder: Path) -> None:
    """What a killed process left half made."""
    for left in folder.glob(".*.new"):
        shutil.rmtree(left, ignore_errors=True)

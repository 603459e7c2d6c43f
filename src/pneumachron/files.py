"""Files of the data folder: written whole or not at all, and for the user of the app alone."""

import os
from contextlib import suppress
from pathlib import Path

PRIVATE_FOLDER, PRIVATE_FILE = 0o700, 0o600


def make_private_folder(folder: Path) -> None:
    """A folder that nobody else on the machine can look into; one that is there is closed too."""
    folder.mkdir(parents=True, exist_ok=True, mode=PRIVATE_FOLDER)
    # a folder of somebody else, or on a disk without modes, stays as it is
    with suppress(OSError):
        folder.chmod(PRIVATE_FOLDER)


def make_private(file: Path) -> None:
    """Close a file to everybody else; one that is not there, or not ours, stays as it is."""
    with suppress(OSError):
        file.chmod(PRIVATE_FILE)


def write_whole(file: Path, content: bytes) -> None:
    """Write a file so that it is there whole or not at all, also when the power fails.

    Raises
    ------
    OSError : it cannot be written; what was there before is still there, and nothing else.
    """
    make_private_folder(file.parent)
    beside = file.with_name(f".{file.name}.{os.getpid()}.new")
    try:
        handle = os.open(beside, os.O_WRONLY | os.O_CREAT | os.O_TRUNC, PRIVATE_FILE)
        with os.fdopen(handle, "wb") as opened:
            opened.write(content)
            opened.flush()
            os.fsync(opened.fileno())
        beside.replace(file)
    except BaseException:
        with suppress(OSError):
            beside.unlink(missing_ok=True)
        raise
    sync_folder(file.parent)


def sync_folder(folder: Path) -> None:
    """Make a new name of a file last through a power cut."""
    handle = os.open(folder, os.O_RDONLY)
    try:
        os.fsync(handle)
    finally:
        os.close(handle)


def sweep_unfinished(folder: Path) -> int:
    """Remove what a killed write left behind; gives how many files."""
    count = 0
    with suppress(OSError):
        for left in (*folder.glob(".*.new"), *folder.glob("*.new")):
            with suppress(OSError):
                left.unlink()
                count += 1
    return count

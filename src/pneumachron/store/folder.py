"""The data folder: one process at a time, and how much room there is."""

import fcntl
import json
import os
import shutil
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path

from pneumachron.files import PRIVATE_FILE, make_private_folder
from pneumachron.store.errors import FolderInUseError

LOCK_NAME = "in-use.json"


@contextmanager
def held(folder: Path, port: int | None = None) -> Iterator[None]:
    """Keep every other process from serving this folder, as long as the block lasts.

    The lock goes with the process, also when that is killed. A folder that cannot be written needs
    none: nobody can change it.

    Parameters
    ----------
    port : where this process answers, for the words of the other one

    Raises
    ------
    FolderInUseError : another process has it.
    """
    make_private_folder(folder)
    try:
        handle = os.open(folder / LOCK_NAME, os.O_RDWR | os.O_CREAT, PRIVATE_FILE)
    except OSError:
        yield
        return
    try:
        try:
            fcntl.flock(handle, fcntl.LOCK_EX | fcntl.LOCK_NB)
        except OSError:
            raise _in_use(handle) from None
        told = json.dumps({"process": os.getpid(), "port": port}).encode()
        try:
            os.ftruncate(handle, 0)
            os.pwrite(handle, told, 0)
        except OSError:
            pass  # a full disk: the lock itself holds all the same
        yield
    finally:
        os.close(handle)


def _in_use(handle: int) -> FolderInUseError:
    try:
        told = json.loads(os.pread(handle, 1000, 0))
        return FolderInUseError(told["process"], told["port"])
    except (OSError, ValueError, KeyError, TypeError):
        return FolderInUseError(None, None)


def free_bytes(folder: Path) -> int:
    """Room left on the disk of the folder [byte]."""
    return shutil.disk_usage(folder).free

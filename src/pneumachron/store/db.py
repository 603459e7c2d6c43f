"""The database file: opening it, sessions that read, and the one short transaction that writes.

A session reads until `writing` is asked for. Reading takes no lock. Only one thread writes at a
time: the lock is taken before SQLite is asked, so nobody waits in SQLite's own unfair queue.
"""

import os
import sqlite3
from collections.abc import Iterator
from contextlib import contextmanager, suppress
from datetime import UTC, datetime
from pathlib import Path
from threading import Lock

from sqlalchemy import Connection, DateTime, Dialect, Engine, QueuePool, create_engine, event
from sqlalchemy.engine.interfaces import DBAPIConnection
from sqlalchemy.exc import DBAPIError, SQLAlchemyError
from sqlalchemy.orm import Session, sessionmaker
from sqlalchemy.types import TypeDecorator

from pneumachron.files import make_private, make_private_folder
from pneumachron.store.errors import BusyError, DamagedError, DiskError, StoreError

FILE_NAME = "pneumachron.sqlite3"
POOL_SIZE = 48
"""Forty threads answer at most (`api.app.THREADS`), and a few work in the background: nobody waits
for a connection that somebody else keeps."""
WAIT_TO_WRITE_S = 10.0
_BEGIN = "sqlite_begin"
_READ_ONLY = "read only"
_FULL = {"SQLITE_FULL"}
_UNWRITABLE = ("SQLITE_READONLY", "SQLITE_IOERR", "SQLITE_CANTOPEN", "SQLITE_PERM")
_BUSY = ("SQLITE_BUSY", "SQLITE_LOCKED")
_DAMAGED = ("SQLITE_CORRUPT", "SQLITE_NOTADB")


class UtcDateTime(TypeDecorator[datetime]):
    """Times with a zone, kept as UTC; SQLite itself forgets the zone."""

    impl = DateTime
    cache_ok = True

    def process_bind_param(self, value: datetime | None, dialect: Dialect) -> datetime | None:
        """To the database: naive UTC. A time without a zone is a mistake of ours."""
        if value is None:
            return None
        if value.tzinfo is None:
            raise ValueError("a stored time needs a zone")
        return value.astimezone(UTC).replace(tzinfo=None)

    def process_result_value(self, value: datetime | None, dialect: Dialect) -> datetime | None:
        """From the database: UTC with its zone."""
        return None if value is None else value.replace(tzinfo=UTC)


def can_write(folder: Path) -> bool:
    """Whether this process may write into the folder."""
    return os.access(folder, os.W_OK)


def _pragmas(connection: DBAPIConnection, _record: object) -> None:
    # transactions begin when we say so: the driver would begin them late and commit before DDL
    connection.isolation_level = None
    cursor = connection.cursor()
    # FULL: a plan that was answered with "saved" survives a power cut
    for pragma in ("synchronous=FULL", "foreign_keys=ON", "busy_timeout=5000"):
        cursor.execute(f"PRAGMA {pragma}")
    # a folder that may only be read keeps the mode it has
    with suppress(sqlite3.OperationalError):
        cursor.execute("PRAGMA journal_mode=WAL")
    cursor.close()


def _begin(connection: Connection) -> None:
    """Begin for real. Outside of `writing` nothing can be written, whoever tries."""
    mode = connection.get_execution_options().get(_BEGIN, "DEFERRED")
    read_only = mode != "IMMEDIATE"
    if connection.info.get(_READ_ONLY) is not read_only:
        connection.exec_driver_sql(f"PRAGMA query_only={'ON' if read_only else 'OFF'}")
        connection.info[_READ_ONLY] = read_only
    connection.exec_driver_sql(f"BEGIN {mode}")


class Database:
    """One SQLite file. Opening it migrates it to the newest tables.

    Raises
    ------
    NewerFolderError : a newer version of the app wrote it.
    DamagedError : the file is not whole.
    DiskError : it is not there and cannot be made.
    """

    def __init__(self, folder: Path) -> None:
        # alembic and the copies are only needed here
        from pneumachron.store.upgrade import prepare

        make_private_folder(folder)
        self.path = folder / FILE_NAME
        self._turn = Lock()
        self.engine = self._connectable()
        self._sessions = sessionmaker(self.engine, expire_on_commit=False, info={"database": self})
        with translated():
            prepare(self)
        for suffix in ("", "-wal", "-shm"):
            make_private(self.path.with_name(FILE_NAME + suffix))

    def _connectable(self) -> Engine:
        writable = can_write(self.path.parent)
        address = f"sqlite:///{self.path}"
        if not writable:
            # without its side files SQLite can only read a file that nobody changes
            whole = f"file:{self.path}".replace("?", "%3f").replace("#", "%23")
            side = self.path.with_name(f"{FILE_NAME}-wal").exists()
            address = f"sqlite:///{whole}?{'mode=ro' if side else 'immutable=1'}&uri=true"
        engine = create_engine(
            address, poolclass=QueuePool, pool_size=POOL_SIZE, max_overflow=0, pool_timeout=30
        )
        event.listen(engine, "connect", _pragmas)
        event.listen(engine, "begin", _begin)
        return engine

    @contextmanager
    def turn_to_write(self) -> Iterator[None]:
        """Wait for the others that write.

        Raises
        ------
        BusyError : it took too long.
        """
        if not self._turn.acquire(timeout=WAIT_TO_WRITE_S):
            raise BusyError("other writers did not finish")
        try:
            yield
        finally:
            self._turn.release()

    @contextmanager
    def session(self) -> Iterator[Session]:
        """A session that reads; what changes something does so inside `writing`."""
        with translated(), self._sessions() as session:
            yield session

    @contextmanager
    def writing(self) -> Iterator[Session]:
        """A session with one transaction that writes: committed at the end, or nothing of it."""
        with self.session() as session, writing(session):
            yield session

    def close(self) -> None:
        """Let go of the file."""
        self.engine.dispose()


def give_back(session: Session) -> None:
    """Give the connection back before something takes its time; what was read stays as it was."""
    if not session.info.get("writing"):
        session.rollback()


@contextmanager
def writing(session: Session) -> Iterator[None]:
    """The one short transaction of a change: what is checked in it still holds when it is written.

    Inside of another one it is part of that. Nothing slow belongs in here.

    Raises
    ------
    BusyError : others write for too long.
    DiskError : it cannot be written; nothing was.
    """
    if session.info.get("writing"):
        yield
        return
    database: Database = session.info["database"]
    # a transaction that has read cannot be turned into one that writes
    session.rollback()
    with translated(), database.turn_to_write():
        session.info["writing"] = True
        try:
            session.connection(execution_options={_BEGIN: "IMMEDIATE"})
            yield
            session.commit()
        except BaseException:
            with suppress(SQLAlchemyError):
                session.rollback()
            raise
        finally:
            session.info["writing"] = False


@contextmanager
def translated() -> Iterator[None]:
    """Turn what SQLite says of the disk and of other writers into errors of the store."""
    try:
        yield
    except (DBAPIError, sqlite3.Error) as error:
        told = _told(error)
        if told is None:
            raise
        raise told from error


def _told(error: DBAPIError | sqlite3.Error) -> StoreError | None:
    origin = error.orig if isinstance(error, DBAPIError) else error
    name = str(getattr(origin, "sqlite_errorname", ""))
    if name in _FULL:
        return DiskError(full=True)
    if name.startswith(_UNWRITABLE):
        return DiskError(full=False)
    if name.startswith(_BUSY):
        return BusyError(name)
    return DamagedError() if name.startswith(_DAMAGED) else None

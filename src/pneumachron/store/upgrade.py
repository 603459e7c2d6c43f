"""Bringing the tables of a data folder up to date, so that a kill at any moment loses nothing.

Each migration is one real transaction. Before the first one a copy of the file is made.
"""

import sqlite3
from pathlib import Path
from typing import TYPE_CHECKING

from sqlalchemy import text

from pneumachron.store import copies
from pneumachron.store.errors import DamagedError, NewerFolderError

if TYPE_CHECKING:
    from pneumachron.store.db import Database

MIGRATIONS = Path(__file__).parent / "migrations"


def revisions() -> list[str]:
    """All migrations, the oldest first; their files are numbered."""
    return sorted(path.name[:4] for path in (MIGRATIONS / "versions").glob("[0-9]*.py"))


def newest_revision() -> str:
    """The last migration."""
    return revisions()[-1]


def prepare(database: "Database") -> None:
    """Check the file, and bring its tables up to date.

    Raises
    ------
    NewerFolderError : a newer version of the app wrote it; nothing was touched.
    DamagedError : it is not whole; names the newest good copy.
    """
    _check(database.path)
    found = _revision(database)
    if found == newest_revision():
        return
    if found is not None and found not in revisions():
        raise NewerFolderError(found)
    if found is not None:
        copies.make(database.path, "before-upgrade")
    upgrade(database, "head")


def _check(file: Path) -> None:
    """SQLite's own quick look at the file. A missing or empty one is a new one."""
    if not file.exists() or file.stat().st_size == 0:
        return
    try:
        with copies.connected(file) as opened:
            whole = opened.execute("PRAGMA quick_check(1)").fetchone() == ("ok",)
    except sqlite3.DatabaseError as error:
        if not str(getattr(error, "sqlite_errorname", "")).startswith(
            ("SQLITE_CORRUPT", "SQLITE_NOTADB")
        ):
            raise
        whole = False
    if not whole:
        newest = copies.newest_good(file.parent)
        raise DamagedError(None if newest is None else newest.name)


def _revision(database: "Database") -> str | None:
    """Which migration was the last one; None before the first."""
    with database.engine.connect() as connection:
        known = text("SELECT 1 FROM sqlite_master WHERE name = 'alembic_version'")
        if connection.scalar(known) is None:
            return None
        found: str | None = connection.scalar(text("SELECT version_num FROM alembic_version"))
        return found


def upgrade(database: "Database", to: str) -> None:
    """Run the migrations that are missing, each in a transaction of its own."""
    # alembic takes a third of a second to load, and is needed once
    from alembic import command
    from alembic.config import Config

    config = Config()
    config.set_main_option("script_location", str(MIGRATIONS).replace("%", "%%"))
    with database.engine.connect() as connection:
        writer = connection.execution_options(sqlite_begin="IMMEDIATE")
        config.attributes["connection"] = writer
        command.upgrade(config, to)

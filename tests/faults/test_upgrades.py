"""A process killed at any statement of any migration: the folder opens afterwards, with its data.

The process is forked and kills itself (SIGKILL) just before its n-th statement, so that every
statement of every migration is met. The whole path is walked from an empty folder, from every
earlier revision, and from what version 1 left.
"""

import os
import signal
import sqlite3
from collections.abc import Callable
from pathlib import Path

import pytest
from sqlalchemy import Engine, event, inspect, text

from pneumachron.core.catalog.pots import ready_pots
from pneumachron.store.db import FILE_NAME, Database
from pneumachron.store.upgrade import newest_revision, revisions, upgrade
from tests import DEEP, by_depth
from tests.version1.test_version1 import unpack

EARLIER = revisions()[:-1]
EVERY = by_depth(12, 6, 1)
"""Every statement is met; in the usual run the way from an empty folder and those from every
earlier revision share them, each beginning at another."""


def at_revision(folder: Path, revision: str) -> None:
    """A folder as an older version left it, with a household, a person, a pot and a plan."""
    bare = Database.__new__(Database)
    bare.path = folder / FILE_NAME
    folder.mkdir(parents=True, exist_ok=True)
    bare.engine = bare._connectable()
    upgrade(bare, revision)
    when = "2026-01-01 12:00:00.000000"
    with bare.engine.connect() as reader:
        columns = {
            table: {column["name"] for column in inspect(reader).get_columns(table)}
            for table in ("household", "person", "pot", "plan")
        }
    bare.engine.dispose()
    pot = ready_pots()["tenor"]
    numbers = {
        name: getattr(pot, name) for name in columns["pot"] if hasattr(pot, name) and name != "name"
    }
    rows: dict[str, dict[str, object]] = {
        "household": {"id": "home", "name": "Old kitchen", "altitude_m": 1150.0,
                      "start_temp_c": 4.0, "units": "metric", "taste_step": 0.5,
                      "created_at": when, "updated_at": when},
        "person": {"id": "ada", "household_id": "home", "name": "Ada", "created_at": when},
        "pot": {"id": "pot", "household_id": "home", "name": "Old pot", "created_at": when,
                **numbers},
        "plan": {"id": "plan", "household_id": "home", "name": "Old plan", "inputs_version": 1,
                 "inputs": '{"school": "bath"}', "results_version": 1, "results": "{}",
                 "engine_version": "1",
                 "created_at": when, "updated_at": when},
    }  # fmt: skip
    with sqlite3.connect(folder / FILE_NAME) as plain:
        for table, row in rows.items():
            known = {name: value for name, value in row.items() if name in columns[table]}
            places = ", ".join(f":{name}" for name in known)
            plain.execute(f"INSERT INTO {table} ({', '.join(known)}) VALUES ({places})", known)
    plain.close()


def opened_and_killed(folder: Path, at: int) -> bool:
    """Open a folder in a process that kills itself before its `at`-th statement; True: it was."""
    child = os.fork()
    if child == 0:
        count = 0

        def die(*_: object) -> None:
            nonlocal count
            if count == at:
                os.kill(os.getpid(), signal.SIGKILL)
            count += 1

        event.listen(Engine, "before_cursor_execute", die)
        event.listen(Engine, "commit", die)
        try:
            Database(folder).close()
        finally:
            os._exit(0)
    _, status = os.waitpid(child, 0)
    return os.WIFSIGNALED(status)


def check(folder: Path, holds: Callable[[Database], None]) -> None:
    database = Database(folder)
    try:
        with database.engine.connect() as connection:
            found = connection.scalar(text("SELECT version_num FROM alembic_version"))
            assert found == newest_revision()
            assert connection.scalar(text("PRAGMA integrity_check")) == "ok"
        holds(database)
    finally:
        database.close()


def old_data(database: Database) -> None:
    with database.engine.connect() as connection:
        for table, name in (("household", "Old kitchen"), ("person", "Ada"), ("pot", "Old pot"),
                            ("plan", "Old plan")):  # fmt: skip
            assert connection.scalar(text(f"SELECT name FROM {table}")) == name
        assert connection.scalar(text("SELECT inputs FROM plan")) == '{"liquid_style": "bath"}'


def stands_at(folder: Path) -> str:
    """The last migration that is whole."""
    with sqlite3.connect(folder / FILE_NAME) as plain:
        try:
            found = plain.execute("SELECT version_num FROM alembic_version").fetchone()
        except sqlite3.OperationalError:
            found = None
    plain.close()
    return "" if found is None else str(found[0])


def killed_everywhere(
    make: Callable[[], Path],
    holds: Callable[[Database], None],
    last: str = "",
    first: int = 0,
) -> int:
    """Kill at one statement after another until one run comes to its end.

    Parameters
    ----------
    last : end as soon as this migration was whole when the kill came; empty: go on to the end
    first : statement of the first kill
    """
    at = first
    while True:
        folder = make()
        if not opened_and_killed(folder, at) or (last and stands_at(folder) >= last):
            check(folder, holds)
            return at
        check(folder, holds)
        at += EVERY


def test_a_first_start(tmp_path: Path) -> None:
    numbers = iter(range(10_000))

    def empty() -> Path:
        return tmp_path / str(next(numbers))

    # every migration has a statement at least, its stamp and its end
    assert killed_everywhere(empty, lambda _: None) > 3 * len(revisions())


@pytest.mark.parametrize("revision", EARLIER)
def test_from_every_earlier_revision(tmp_path: Path, revision: str) -> None:
    """The next migration; what lies further on is met from the later revisions."""
    at_revision(tmp_path / "old", revision)
    old = (tmp_path / "old" / FILE_NAME).read_bytes()
    numbers = iter(range(10_000))

    def made() -> Path:
        folder = tmp_path / str(next(numbers))
        folder.mkdir()
        (folder / FILE_NAME).write_bytes(old)
        return folder

    following = "" if DEEP else revisions()[revisions().index(revision) + 1]
    first = EARLIER.index(revision) % EVERY
    assert killed_everywhere(made, old_data, following, first) > 3


def test_from_version_1_with_its_unwritten_log(tmp_path: Path) -> None:
    numbers = iter(range(10_000))

    def made() -> Path:
        folder = tmp_path / str(next(numbers))
        unpack(folder)
        return folder

    def all_cooks(database: Database) -> None:
        with database.engine.connect() as connection:
            assert connection.scalar(text("SELECT count(*) FROM cook")) == 10
            assert connection.scalar(text("SELECT count(*) FROM cook_event")) > 50

    assert killed_everywhere(made, all_cooks) > 3


def test_a_copy_is_made_before_tables_change(tmp_path: Path) -> None:
    at_revision(tmp_path, EARLIER[-1])
    Database(tmp_path).close()
    (kept,) = (tmp_path / "copies").iterdir()
    assert kept.name.endswith("before-upgrade")
    with sqlite3.connect(kept / FILE_NAME) as copy:
        assert copy.execute("SELECT version_num FROM alembic_version").fetchone() == (EARLIER[-1],)
        assert copy.execute("SELECT name FROM plan").fetchone() == ("Old plan",)
    copy.close()

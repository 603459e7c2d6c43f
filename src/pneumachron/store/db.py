"""The database file: opening it, bringing it up to date, sessions."""

from collections.abc import Iterator
from contextlib import contextmanager
from datetime import UTC, datetime
from pathlib import Path

from sqlalchemy import DateTime, Dialect, Engine, create_engine, event, inspect, text
from sqlalchemy.engine.interfaces import DBAPIConnection
from sqlalchemy.orm import Session, sessionmaker
from sqlalchemy.types import TypeDecorator

FILE_NAME = "pneumachron.sqlite3"
_MIGRATIONS = Path(__file__).parent / "migrations"


def newest_revision() -> str:
    """The last migration; their files are numbered."""
    return max(path.name[:4] for path in (_MIGRATIONS / "versions").glob("[0-9]*.py"))


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


def _pragmas(connection: DBAPIConnection, _record: object) -> None:
    cursor = connection.cursor()
    # FULL: a plan that was answered with "saved" survives a power cut
    for pragma in (
        "journal_mode=WAL",
        "synchronous=FULL",
        "foreign_keys=ON",
        "busy_timeout=5000",
    ):
        cursor.execute(f"PRAGMA {pragma}")
    cursor.close()


class Database:
    """One SQLite file. Opening it migrates it to the newest tables."""

    def __init__(self, folder: Path) -> None:
        folder.mkdir(parents=True, exist_ok=True)
        self.path = folder / FILE_NAME
        self.engine: Engine = create_engine(f"sqlite:///{self.path}")
        event.listen(self.engine, "connect", _pragmas)
        self._sessions = sessionmaker(self.engine, expire_on_commit=False)
        self._migrate()

    def _migrate(self) -> None:
        if self._revision() == newest_revision():
            return  # alembic takes a third of a second to load
        from alembic import command
        from alembic.config import Config

        config = Config()
        config.set_main_option("script_location", str(_MIGRATIONS).replace("%", "%%"))
        with self.engine.begin() as connection:
            config.attributes["connection"] = connection
            command.upgrade(config, "head")

    def _revision(self) -> str | None:
        with self.engine.connect() as connection:
            if not inspect(connection).has_table("alembic_version"):
                return None
            found: str | None = connection.scalar(text("SELECT version_num FROM alembic_version"))
            return found

    @contextmanager
    def session(self) -> Iterator[Session]:
        """One unit of work: committed at the end, rolled back on an error."""
        with self._sessions.begin() as session:
            yield session

    def close(self) -> None:
        """Let go of the file."""
        self.engine.dispose()

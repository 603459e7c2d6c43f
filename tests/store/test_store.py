"""The database file: migrations, safety settings, time zones."""

from datetime import UTC, datetime, timedelta, timezone
from pathlib import Path

import pytest
from alembic.autogenerate import compare_metadata
from alembic.migration import MigrationContext
from sqlalchemy import text
from sqlalchemy.exc import IntegrityError, StatementError

from pneumachron.services.households import current_household
from pneumachron.store import pots
from pneumachron.store.db import Database
from pneumachron.store.errors import NotFoundError
from pneumachron.store.plans import PLANS
from pneumachron.store.records import PlanContent, new_id
from pneumachron.store.tables import Base, PersonRow
from pneumachron.store.upgrade import newest_revision


@pytest.fixture
def database(tmp_path: Path) -> Database:
    return Database(tmp_path / "a folder with spaces and 100 %")


def of_the_code(name: str | None, kind: str, _parents: object) -> bool:
    """SQLite keeps an index of words in tables of its own; no class stands for them."""
    return kind != "table" or not str(name).startswith("cook_words")


def test_migrations_make_the_tables_of_the_code(database: Database) -> None:
    with database.engine.connect() as connection:
        context = MigrationContext.configure(
            connection, opts={"compare_type": True, "include_name": of_the_code}
        )
        assert compare_metadata(context, Base.metadata) == []


def test_file_names_and_migrations_agree(database: Database) -> None:
    # the quick check at the start compares the stamp in the file with the name of a module
    with database.writing() as session:
        stamped = session.execute(text("SELECT version_num FROM alembic_version")).scalar()
    assert stamped == newest_revision()


def test_opening_twice_changes_nothing(database: Database) -> None:
    with database.writing() as session:
        first = current_household(session)
    again = Database(database.path.parent)
    with again.session() as session:
        assert current_household(session) == first


def test_settings_that_keep_data(database: Database) -> None:
    with database.writing() as session:
        found = [
            session.execute(text(f"PRAGMA {name}")).scalar()
            for name in ("journal_mode", "synchronous", "foreign_keys")
        ]
    assert found == ["wal", 2, 1]


def test_foreign_keys_hold(database: Database) -> None:
    with pytest.raises(IntegrityError), database.writing() as session:
        session.add(
            PersonRow(id=new_id(), household_id="nobody", name="x", created_at=datetime.now(UTC))
        )


def test_an_error_leaves_nothing_behind(database: Database) -> None:
    with database.writing() as session:
        home = current_household(session).household_id
        kept = pots.list_pots(session, home)[0]

    def fail_half_way() -> None:
        with database.writing() as session:
            pots.set_pot_deleted(session, home, kept.pot.pot_id, deleted=True)
            raise ZeroDivisionError

    with pytest.raises(ZeroDivisionError):
        fail_half_way()
    with database.writing() as session:
        assert pots.get_pot(session, home, kept.pot.pot_id) == kept


def test_times_keep_their_zone(database: Database) -> None:
    east = timezone(timedelta(hours=5))
    moment = datetime(2026, 3, 29, 3, 30, tzinfo=east)
    with database.writing() as session:
        home = current_household(session).household_id
        row = PersonRow(id=new_id(), household_id=home, name="x", created_at=moment)
        session.add(row)
    with database.writing() as session:
        stored = session.get_one(PersonRow, row.id)
        assert stored.created_at == moment
        assert stored.created_at.tzinfo is UTC
    naive = PersonRow(
        id=new_id(), household_id=home, name="y", created_at=moment.replace(tzinfo=None)
    )
    with pytest.raises(StatementError, match="zone"), database.writing() as session:
        session.add(naive)


def test_plans_of_another_household_are_not_seen(database: Database) -> None:
    content = PlanContent("x", None, 1, {}, 1, {}, "1")
    with database.writing() as session:
        home = current_household(session).household_id
        stored = PLANS.add(session, home, content)
        assert PLANS.get(session, home, stored.plan_id).content == content
        with pytest.raises(NotFoundError, match="plan"):
            PLANS.get(session, new_id(), stored.plan_id)

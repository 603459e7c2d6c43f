"""The index of the log's words: it finds what reading every line finds."""

from dataclasses import replace
from datetime import UTC, datetime, timedelta
from pathlib import Path

import pytest
from alembic import command
from alembic.config import Config
from sqlalchemy import text
from sqlalchemy.orm import Session

from pneumachron.services.households import current_household
from pneumachron.store import cooks
from pneumachron.store.cooks import COOKS, Filter, log_page
from pneumachron.store.db import Database
from pneumachron.store.records import CookContent, StoredCook, new_id

NOON = datetime(2026, 11, 28, 12, 0, tzinfo=UTC)
PLAIN = CookContent(
    name="", person_id=None, cut="brisket_flat", pot_id="pot", pot_name="Tenor", mass_kg=1.4,
    hold_min=90, wished_step=2.0, connected=False, inputs_version=1, inputs={}, kitchen={},
    started_at=NOON,
)  # fmt: skip
NAMES = (
    ("Alto supper", "Firmer than wished; ten minutes more"),
    ("Crème brûlée night", "half a %, one_word, a/b"),
    ("Soprano supper", 'said "never again" (twice)'),
    ("BASS brisket", "AND OR NOT NEAR * ^ : - {}"),
    ("ab cd", "x"),
)


@pytest.fixture
def database(tmp_path: Path) -> Database:
    found = Database(tmp_path)
    with found.writing() as session:
        home = current_household(session).household_id
        for number, (name, note) in enumerate(NAMES):
            at = NOON + timedelta(hours=number)
            COOKS.add(session, home, replace(PLAIN, name=name, note=note, started_at=at))
    return found


def found_by(session: Session, search: str, limit: int = 50, offset: int = 0) -> list[str]:
    home = current_household(session).household_id
    lines, total = log_page(session, home, Filter(search=search), limit=limit, offset=offset)
    if len(lines) < limit and offset == 0:
        assert total == len(lines)
    return [line.name for line in lines]


@pytest.mark.parametrize(
    ("search", "names"),
    [
        ("supper", ["Soprano supper", "Alto supper"]),
        ("SUPPER alto", ["Alto supper"]),
        ("brûlée", ["Crème brûlée night"]),
        ("minutes wished", ["Alto supper"]),
        ('"never', ["Soprano supper"]),
        ("(twice)", ["Soprano supper"]),
        ("one_word", ["Crème brûlée night"]),
        ("oneXword", []),
        ("AND OR", ["BASS brisket"]),
        ("near", ["BASS brisket"]),
        ("sup*", []),
        ("ab", ["ab cd"]),
        ("cd x", ["ab cd"]),
        ("%", ["Crème brûlée night"]),
        ("a/b half", ["Crème brûlée night"]),
        ("alto\0supper", ["Alto supper"]),
        ("\0", [name for name, _ in reversed(NAMES)]),
        ("   ", [name for name, _ in reversed(NAMES)]),
        ("nothing like it", []),
    ],
)
def test_words_are_found_as_they_stand(database: Database, search: str, names: list[str]) -> None:
    # expected by reading the five lines above
    with database.writing() as session:
        assert found_by(session, search) == names


def test_the_index_follows_what_changes(database: Database) -> None:
    with database.writing() as session:
        home = current_household(session).household_id
        lines, _ = log_page(session, home, Filter(search="alto"), limit=1, offset=0)
        cook_id = lines[0].cook_id
        stored = COOKS.get(session, home, cook_id)
        COOKS.replace(session, home, cook_id, replace(stored.content, name="Tenor tea", note=""))
        assert found_by(session, "alto") == []
        assert found_by(session, "tenor tea") == ["Tenor tea"]
        # another column leaves the index as it was
        again = COOKS.get(session, home, cook_id).content
        COOKS.replace(session, home, cook_id, replace(again, hold_min=12))
        assert found_by(session, "tenor") == ["Tenor tea"]
        COOKS.set_deleted(session, home, cook_id, deleted=True)
        assert found_by(session, "tenor") == []
        COOKS.set_deleted(session, home, cook_id, deleted=False)
        assert found_by(session, "tenor") == ["Tenor tea"]
        session.execute(text("DELETE FROM cook WHERE id = :id"), {"id": cook_id})
        assert found_by(session, "tenor") == []
        # SQLite's own check of an index against its table
        session.execute(text("INSERT INTO cook_words (cook_words) VALUES ('integrity-check')"))


def test_common_words_are_counted_no_further(
    database: Database, monkeypatch: pytest.MonkeyPatch
) -> None:
    monkeypatch.setattr(cooks, "MOST_FOUND", 10)
    with database.writing() as session:
        home = current_household(session).household_id
        new = [
            (StoredCook(new_id(), replace(PLAIN, name=f"common {number}"), NOON, NOON), ())
            for number in range(30)
        ]
        cooks.put_new(session, home, new)
        lines, total = log_page(session, home, Filter(search="common"), limit=50, offset=0)
        assert (len(lines), total) == (30, 11)
        # all of them can be reached, page by page
        pages = [found_by(session, "common", 7, offset) for offset in range(0, 35, 7)]
        assert sorted(name for page in pages for name in page) == sorted(
            item[0].content.name for item in new
        )
        assert len(found_by(session, "common 29")) == 1


def test_an_older_log_is_indexed_when_it_is_opened(database: Database) -> None:
    config = Config()
    place = Path(cooks.__file__).parent / "migrations"
    config.set_main_option("script_location", str(place))
    with database.engine.connect() as connection:
        writer = connection.execution_options(sqlite_begin="IMMEDIATE")
        config.attributes["connection"] = writer
        command.downgrade(config, "0007")
    database.close()
    again = Database(database.path.parent)
    with again.session() as session:
        assert found_by(session, "soprano") == ["Soprano supper"]
        assert found_by(session, "ab") == ["ab cd"]
    again.close()

"""Cooks: an index of their words, photos, the recipe they came from and what a day adds."""

import sqlalchemy as sa
from alembic import op

from pneumachron.store.db import UtcDateTime

revision = "0008"
down_revision = "0007"

_NUMBER = "(SELECT coalesce(max(number), 0) + 1 FROM cook)"
_TRIGGERS = (
    # `number` is a column of its own: rowids of a table with a text key are not kept by VACUUM
    f"""CREATE TRIGGER cook_words_new AFTER INSERT ON cook BEGIN
        UPDATE cook SET number = {_NUMBER} WHERE id = new.id AND number IS NULL;
        INSERT INTO cook_words (rowid, name, note)
            SELECT number, name, note FROM cook WHERE id = new.id;
    END""",
    """CREATE TRIGGER cook_words_changed AFTER UPDATE OF name, note ON cook
        WHEN old.name <> new.name OR old.note <> new.note BEGIN
        INSERT INTO cook_words (cook_words, rowid, name, note)
            VALUES ('delete', old.number, old.name, old.note);
        INSERT INTO cook_words (rowid, name, note) VALUES (new.number, new.name, new.note);
    END""",
    """CREATE TRIGGER cook_words_gone AFTER DELETE ON cook BEGIN
        INSERT INTO cook_words (cook_words, rowid, name, note)
            VALUES ('delete', old.number, old.name, old.note);
    END""",
)


def upgrade() -> None:
    """Number the cooks, index three letters at a time, keep it so by triggers."""
    op.add_column("cook", sa.Column("number", sa.Integer))
    op.add_column("cook", sa.Column("recipe", sa.JSON))
    op.add_column("cook", sa.Column("brought", sa.JSON))
    op.execute("UPDATE cook SET number = rowid")
    op.create_index("ix_cook_number", "cook", ["number"], unique=True)
    op.execute(
        "CREATE VIRTUAL TABLE cook_words USING fts5("
        "name, note, content='cook', content_rowid='number', tokenize='trigram')"
    )
    op.execute("INSERT INTO cook_words (cook_words) VALUES ('rebuild')")
    for trigger in _TRIGGERS:
        op.execute(trigger)
    op.create_table(
        "cook_photo",
        sa.Column("id", sa.String(36), primary_key=True),
        sa.Column("cook_id", sa.String(36), sa.ForeignKey("cook.id"), nullable=False),
        sa.Column("at", UtcDateTime, nullable=False),
        sa.Column("width_px", sa.Integer, nullable=False),
        sa.Column("height_px", sa.Integer, nullable=False),
        sa.Column("digest", sa.String(64), nullable=False),
        sa.Column("deleted_at", UtcDateTime),
    )
    op.create_index("ix_cook_photo_once", "cook_photo", ["cook_id", "digest"], unique=True)


def downgrade() -> None:
    """Drop them again."""
    op.drop_table("cook_photo")
    for name in ("cook_words_new", "cook_words_changed", "cook_words_gone"):
        op.execute(f"DROP TRIGGER {name}")
    op.execute("DROP TABLE cook_words")
    op.drop_index("ix_cook_number", "cook")
    op.drop_column("cook", "brought")
    op.drop_column("cook", "recipe")
    op.drop_column("cook", "number")

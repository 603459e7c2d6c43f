"""Versions against silent overwriting; a cook's own numbers and clock; paired devices."""

import sqlalchemy as sa
from alembic import op

from pneumachron.store.db import UtcDateTime

revision = "0009"
down_revision = "0008"

_VERSIONED = ("household", "plan", "recipe", "day", "cook")


def upgrade() -> None:
    """Add the columns, and the table of devices."""
    for table in _VERSIONED:
        op.add_column(table, sa.Column("version", sa.Integer, nullable=False, server_default="1"))
    op.add_column("cook", sa.Column("numbers", sa.JSON))
    op.add_column("cook", sa.Column("traces", sa.JSON))
    op.add_column("cook", sa.Column("model_engine", sa.String(20)))
    op.add_column("cook", sa.Column("clock", sa.JSON))
    op.add_column(
        "cook", sa.Column("abandoned", sa.Boolean, nullable=False, server_default=sa.false())
    )
    # what was told by the model so far was told by the only engine that kept it
    op.execute("UPDATE cook SET model_engine = '3' WHERE planned_up_s IS NOT NULL")
    op.create_table(
        "device",
        sa.Column("id", sa.String(36), primary_key=True),
        sa.Column("name", sa.String(80), nullable=False),
        sa.Column("digest", sa.String(64), nullable=False),
        sa.Column("created_at", UtcDateTime, nullable=False),
        sa.Column("last_used_at", UtcDateTime, nullable=False),
        sa.Column("forgotten_at", UtcDateTime),
    )
    op.create_index("ix_device_digest", "device", ["digest"], unique=True)


def downgrade() -> None:
    """Take them away again."""
    op.drop_table("device")
    for column in ("abandoned", "clock", "model_engine", "traces", "numbers"):
        op.drop_column("cook", column)
    for table in _VERSIONED:
        op.drop_column(table, "version")

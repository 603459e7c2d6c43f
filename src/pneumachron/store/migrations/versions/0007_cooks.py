"""Cooks: their sheets, what happened, and the trace."""

import sqlalchemy as sa
from alembic import op

from pneumachron.store.db import UtcDateTime

revision = "0007"
down_revision = "0006"


def upgrade() -> None:
    """Sheets, events that are only added, traces, and what was set back of what they taught."""
    op.create_table(
        "cook",
        sa.Column("id", sa.String(36), primary_key=True),
        sa.Column(
            "household_id", sa.String(36), sa.ForeignKey("household.id"), nullable=False, index=True
        ),
        sa.Column("name", sa.String(120), nullable=False),
        sa.Column("person_id", sa.String(36), sa.ForeignKey("person.id")),
        sa.Column("cut", sa.String(40), nullable=False),
        sa.Column("pot_id", sa.String(36), nullable=False),
        sa.Column("pot_name", sa.String(80), nullable=False),
        sa.Column("mass_kg", sa.Double, nullable=False),
        sa.Column("hold_min", sa.Integer, nullable=False),
        sa.Column("wished_step", sa.Double, nullable=False),
        sa.Column("connected", sa.Boolean, nullable=False),
        sa.Column("inputs_version", sa.Integer, nullable=False),
        sa.Column("inputs", sa.JSON, nullable=False),
        sa.Column("kitchen", sa.JSON, nullable=False),
        sa.Column("started_at", UtcDateTime, nullable=False),
        sa.Column("ended_at", UtcDateTime),
        sa.Column("outcome_step", sa.Double),
        sa.Column("model_step", sa.Double),
        sa.Column("planned_up_s", sa.Double),
        sa.Column("come_up_s", sa.Double),
        sa.Column("yield_ratio", sa.Double),
        sa.Column("note", sa.Text, nullable=False),
        sa.Column("created_at", UtcDateTime, nullable=False),
        sa.Column("updated_at", UtcDateTime, nullable=False),
        sa.Column("deleted_at", UtcDateTime),
    )
    op.create_index(
        "ix_cook_log",
        "cook",
        [
            "household_id",
            "deleted_at",
            "started_at",
            "id",
            "ended_at",
            "cut",
            "pot_id",
            "name",
            "note",
        ],
    )
    op.create_index("ix_cook_cut", "cook", ["household_id", "cut", "started_at"])
    op.create_index("ix_cook_pot", "cook", ["household_id", "pot_id", "started_at"])
    op.create_table(
        "forgotten",
        sa.Column("household_id", sa.String(36), sa.ForeignKey("household.id"), primary_key=True),
        sa.Column("kind", sa.String(10), primary_key=True),
        sa.Column("key", sa.String(40), primary_key=True),
        sa.Column("at", UtcDateTime, nullable=False),
    )
    op.create_table(
        "cook_event",
        sa.Column("id", sa.Integer, primary_key=True),
        sa.Column("cook_id", sa.String(36), sa.ForeignKey("cook.id"), nullable=False),
        sa.Column("key", sa.String(60), nullable=False),
        sa.Column("at", UtcDateTime, nullable=False),
        sa.Column("kind", sa.String(20), nullable=False),
        sa.Column("body", sa.JSON, nullable=False),
    )
    op.create_index("ix_cook_event_once", "cook_event", ["cook_id", "key"], unique=True)
    op.create_table(
        "cook_sample",
        sa.Column("cook_id", sa.String(36), sa.ForeignKey("cook.id"), primary_key=True),
        sa.Column("at", UtcDateTime, primary_key=True),
        sa.Column("temp_c", sa.Double, nullable=False),
        sa.Column("gauge_pa", sa.Double, nullable=False),
    )


def downgrade() -> None:
    """Drop them again."""
    for name in ("cook_sample", "cook_event", "forgotten", "cook"):
        op.drop_table(name)

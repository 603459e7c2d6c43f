"""Days that are kept."""

import sqlalchemy as sa
from alembic import op

from pneumachron.store.db import UtcDateTime

revision = "0006"
down_revision = "0005"


def upgrade() -> None:
    """A table of its own."""
    op.create_table(
        "day",
        sa.Column("id", sa.String(36), primary_key=True),
        sa.Column(
            "household_id", sa.String(36), sa.ForeignKey("household.id"), nullable=False, index=True
        ),
        sa.Column("name", sa.String(120), nullable=False),
        sa.Column("document", sa.JSON, nullable=False),
        sa.Column("created_at", UtcDateTime, nullable=False),
        sa.Column("updated_at", UtcDateTime, nullable=False),
        sa.Column("deleted_at", UtcDateTime),
    )
    op.create_index("ix_day_shelf", "day", ["household_id", "deleted_at", "updated_at"])


def downgrade() -> None:
    """Drop it again."""
    op.drop_table("day")

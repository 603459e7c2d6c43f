"""Recipes: as they came, as they were read, and what the cook answered and chose."""

import sqlalchemy as sa
from alembic import op

from pneumachron.store.db import UtcDateTime

revision = "0005"
down_revision = "0004"


def upgrade() -> None:
    """A table of its own."""
    op.create_table(
        "recipe",
        sa.Column("id", sa.String(36), primary_key=True),
        sa.Column(
            "household_id", sa.String(36), sa.ForeignKey("household.id"), nullable=False, index=True
        ),
        sa.Column("title", sa.String(200), nullable=False),
        sa.Column("tags", sa.JSON, nullable=False),
        sa.Column("original", sa.Text, nullable=False),
        sa.Column("format", sa.String(10), nullable=False),
        sa.Column("fingerprint", sa.String(64), nullable=False),
        sa.Column("recipe", sa.JSON, nullable=False),
        sa.Column("answers", sa.JSON, nullable=False),
        sa.Column("choices", sa.JSON, nullable=False),
        sa.Column("created_at", UtcDateTime, nullable=False),
        sa.Column("updated_at", UtcDateTime, nullable=False),
        sa.Column("deleted_at", UtcDateTime),
    )
    op.create_index("ix_recipe_shelf", "recipe", ["household_id", "deleted_at", "updated_at"])
    op.create_index("ix_recipe_twin", "recipe", ["household_id", "fingerprint"])


def downgrade() -> None:
    """Drop it again."""
    op.drop_table("recipe")

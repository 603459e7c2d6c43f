"""Household: how soft it likes its meat."""

import sqlalchemy as sa
from alembic import op

revision = "0004"
down_revision = "0003"


def upgrade() -> None:
    """As usual, until somebody says otherwise."""
    column = sa.Column("taste_step", sa.Double, nullable=False, server_default="0")
    op.add_column("household", column)


def downgrade() -> None:
    """As before."""
    with op.batch_alter_table("household") as household:
        household.drop_column("taste_step")

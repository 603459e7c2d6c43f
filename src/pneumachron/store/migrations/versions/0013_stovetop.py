"""Pots: whether one stands on the stove."""

import sqlalchemy as sa
from alembic import op

revision = "0013"
down_revision = "0012"


def upgrade() -> None:
    """Pots that are there are electric."""
    column = sa.Column("is_stovetop", sa.Boolean, nullable=False, server_default=sa.false())
    op.add_column("pot", column)


def downgrade() -> None:
    """As before."""
    with op.batch_alter_table("pot") as pot:
        pot.drop_column("is_stovetop")

"""Pots: what a boil test found."""

import sqlalchemy as sa
from alembic import op

revision = "0003"
down_revision = "0002"


def upgrade() -> None:
    """Pots that are there were not tested."""
    op.add_column("pot", sa.Column("heat_ratio", sa.Double, nullable=False, server_default="1"))


def downgrade() -> None:
    """As before."""
    with op.batch_alter_table("pot") as pot:
        pot.drop_column("heat_ratio")

"""Pots: steps of the panel, start key, crisping lid."""

import sqlalchemy as sa
from alembic import op

revision = "0002"
down_revision = "0001"


def _added() -> list[sa.Column[object]]:
    return [
        sa.Column("panel_step_min", sa.Double, nullable=False, server_default="1"),
        sa.Column("has_start_key", sa.Boolean, nullable=False, server_default=sa.false()),
        sa.Column("has_crisping_lid", sa.Boolean, nullable=False, server_default=sa.false()),
    ]


def upgrade() -> None:
    """Pots that are there count in minutes and have neither."""
    for column in _added():
        op.add_column("pot", column)


def downgrade() -> None:
    """As before."""
    with op.batch_alter_table("pot") as pot:
        for column in _added():
            pot.drop_column(column.name)

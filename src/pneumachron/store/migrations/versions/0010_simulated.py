"""Whether simulated cooks teach this household; they do not, unless somebody switches it on."""

import sqlalchemy as sa
from alembic import op

revision = "0010"
down_revision = "0009"


def upgrade() -> None:
    """Add the column."""
    column = sa.Column("simulated_teach", sa.Boolean, nullable=False, server_default=sa.false())
    op.add_column("household", column)


def downgrade() -> None:
    """Take it away again."""
    op.drop_column("household", "simulated_teach")

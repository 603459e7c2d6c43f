"""Why a cook teaches nothing: it was not safe, or it ran on a clock that was not the kitchen's."""

import sqlalchemy as sa
from alembic import op

revision = "0011"
down_revision = "0010"


def upgrade() -> None:
    """Add the column."""
    op.add_column("cook", sa.Column("no_lesson", sa.String(20), nullable=True))


def downgrade() -> None:
    """Take it away again."""
    op.drop_column("cook", "no_lesson")

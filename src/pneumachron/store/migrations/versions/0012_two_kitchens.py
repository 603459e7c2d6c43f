"""Locale, people at the table, whether the kitchen was introduced, and whether it is the demo."""

import sqlalchemy as sa
from alembic import op

revision = "0012"
down_revision = "0011"
NAMES = ("locale", "servings", "introduced", "demo")


def upgrade() -> None:
    """Add the columns."""
    locale = sa.Column("locale", sa.String(10), nullable=False, server_default="en-US")
    servings = sa.Column("servings", sa.Integer, nullable=False, server_default="4")
    # whoever cooked with an earlier version has set the kitchen up already
    introduced = sa.Column("introduced", sa.Boolean, nullable=False, server_default=sa.true())
    demo = sa.Column("demo", sa.Boolean, nullable=False, server_default=sa.false())
    for column in (locale, servings, introduced, demo):
        op.add_column("household", column)


def downgrade() -> None:
    """Take them away again."""
    for name in NAMES:
        op.drop_column("household", name)

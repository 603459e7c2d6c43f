"""What was stored as `school` is named `liquid_style`, in plans, cooks, recipes and days."""

import json
from typing import Any

import sqlalchemy as sa
from alembic import op

revision = "0014"
down_revision = "0013"
_DOCUMENTS = (("plan", "inputs"), ("cook", "inputs"), ("recipe", "choices"), ("day", "document"))


def upgrade() -> None:
    """Rename the key wherever it stands; numbers and moments stay as they are."""
    _rename("school", "liquid_style")


def downgrade() -> None:
    """As before."""
    _rename("liquid_style", "school")


def _rename(old: str, new: str) -> None:
    connection = op.get_bind()
    for table, column in _DOCUMENTS:
        rows = sa.table(table, sa.column("id"), sa.column(column))
        document = rows.c[column]
        found = sa.select(rows.c.id, document).where(document.contains(f'"{old}"'))
        for row_id, text in connection.execute(found).all():
            named = json.dumps(_renamed(json.loads(text), old, new), ensure_ascii=False)
            connection.execute(sa.update(rows).where(rows.c.id == row_id).values({column: named}))


def _renamed(value: Any, old: str, new: str) -> Any:  # noqa: ANN401 - whatever a document holds
    if isinstance(value, dict):
        return {new if key == old else key: _renamed(item, old, new) for key, item in value.items()}
    if isinstance(value, list):
        return [_renamed(item, old, new) for item in value]
    return value

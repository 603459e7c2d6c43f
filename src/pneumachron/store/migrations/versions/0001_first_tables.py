"""Household, person, pot, plan."""

import sqlalchemy as sa
from alembic import op

from pneumachron.store.db import UtcDateTime

revision = "0001"
down_revision = None

_POT_NUMBERS = (
    "usable_volume_m3",
    "inner_diameter_m",
    "inner_height_m",
    "heater_w",
    "min_liquid_m3",
    "max_fill_ratio",
    "gauge_high_pa",
    "gauge_low_pa",
    "longest_hold_min",
    "vessel_j_k",
    "plate_j_k",
    "plate_w_k",
    "loss_closed_w_k",
    "loss_open_w_k",
    "orifice_m2",
)


def upgrade() -> None:
    """Create the first tables."""
    op.create_table(
        "household",
        sa.Column("id", sa.String(36), primary_key=True),
        sa.Column("name", sa.String(80), nullable=False),
        sa.Column("altitude_m", sa.Double, nullable=False),
        sa.Column("start_temp_c", sa.Double, nullable=False),
        sa.Column("units", sa.String(10), nullable=False),
        sa.Column("created_at", UtcDateTime, nullable=False),
        sa.Column("updated_at", UtcDateTime, nullable=False),
    )
    op.create_table(
        "person",
        sa.Column("id", sa.String(36), primary_key=True),
        sa.Column(
            "household_id", sa.String(36), sa.ForeignKey("household.id"), nullable=False, index=True
        ),
        sa.Column("name", sa.String(80), nullable=False),
        sa.Column("created_at", UtcDateTime, nullable=False),
        sa.Column("deleted_at", UtcDateTime),
    )
    op.create_table(
        "pot",
        sa.Column("id", sa.String(36), primary_key=True),
        sa.Column(
            "household_id", sa.String(36), sa.ForeignKey("household.id"), nullable=False, index=True
        ),
        sa.Column("ready_id", sa.String(40)),
        sa.Column("name", sa.String(80), nullable=False),
        *(sa.Column(name, sa.Double, nullable=False) for name in _POT_NUMBERS),
        sa.Column("created_at", UtcDateTime, nullable=False),
        sa.Column("deleted_at", UtcDateTime),
    )
    op.create_table(
        "plan",
        sa.Column("id", sa.String(36), primary_key=True),
        sa.Column(
            "household_id", sa.String(36), sa.ForeignKey("household.id"), nullable=False, index=True
        ),
        sa.Column("person_id", sa.String(36), sa.ForeignKey("person.id")),
        sa.Column("name", sa.String(120), nullable=False),
        sa.Column("inputs_version", sa.Integer, nullable=False),
        sa.Column("inputs", sa.JSON, nullable=False),
        sa.Column("results_version", sa.Integer, nullable=False),
        sa.Column("results", sa.JSON, nullable=False),
        sa.Column("engine_version", sa.String(20), nullable=False),
        sa.Column("created_at", UtcDateTime, nullable=False),
        sa.Column("updated_at", UtcDateTime, nullable=False),
        sa.Column("deleted_at", UtcDateTime),
    )
    op.create_index("ix_plan_shelf", "plan", ["household_id", "deleted_at", "updated_at"])


def downgrade() -> None:
    """Drop them again."""
    for table in ("plan", "pot", "person", "household"):
        op.drop_table(table)

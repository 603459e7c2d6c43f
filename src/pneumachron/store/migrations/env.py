"""Alembic's entry point; the connection is handed over by `store.upgrade`.

It begins a real `BEGIN IMMEDIATE` for every migration: SQLite can undo DDL like anything else, and
a process that is killed in the middle leaves the tables of the migration before.
"""

from alembic import context

from pneumachron.store.tables import Base

context.configure(
    connection=context.config.attributes["connection"],
    target_metadata=Base.metadata,
    render_as_batch=True,  # SQLite alters a table by copying it
    transactional_ddl=True,
    transaction_per_migration=True,
)
with context.begin_transaction():
    context.run_migrations()

"""Alembic's entry point; the connection is handed over by `store.db`."""

from alembic import context

from pneumachron.store.tables import Base

context.configure(
    connection=context.config.attributes["connection"],
    target_metadata=Base.metadata,
    render_as_batch=True,  # SQLite alters a table by copying it
)
with context.begin_transaction():
    context.run_migrations()

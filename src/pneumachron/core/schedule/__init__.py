"""The day: dishes as blocks of work, counted back from the table."""

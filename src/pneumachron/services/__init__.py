"""Use cases: read what was typed, call the core, keep the result. No HTTP, no SQL."""

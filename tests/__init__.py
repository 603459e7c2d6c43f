"""The tests."""

import os

DEEP = os.environ.get("PNEUMACHRON_TESTS") == "deep"
"""All of it (`dev.py faults`, `dev.py test --deep`) instead of a fixed part."""

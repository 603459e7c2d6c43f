"""What breaks: killed, cut short, full, twice at once."""

import os

DEEP = os.environ.get("PNEUMACHRON_FAULTS") == "deep"
"""All of it (`dev.py faults`) instead of a fixed part."""

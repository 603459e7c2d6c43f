"""The tests."""

import os
from collections.abc import Iterable
from typing import TypeVar

import pytest

Case = TypeVar("Case")

DEEP = os.environ.get("PNEUMACHRON_TESTS") == "deep"
"""All of it (`dev.py faults`, `dev.py test --deep`) instead of a fixed part."""
only_deep = pytest.mark.deep
"""For a test, or a case of one, that the usual run leaves out; CONTRIBUTING lists them."""


def some(cases: Iterable[Case], every: int, first: int = 0) -> list[Case]:
    """All cases in the deep run; usually every second, third … of them, always the same ones."""
    return list(cases)[0 if DEEP else first :: 1 if DEEP else every]

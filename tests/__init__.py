"""The tests."""

import os
from collections.abc import Iterable
from typing import TypeVar

import pytest

Case = TypeVar("Case")

DEPTH = os.environ.get("PNEUMACHRON_TESTS", "whole")
"""`usual` (`dev.py test` alone), `whole` (CI, and whatever is asked for by name) or `deep`."""
DEEP = DEPTH == "deep"
"""All of it (`dev.py faults`, `dev.py test --deep`) instead of a fixed part."""
USUAL = DEPTH == "usual"
"""What a change is tried with; the long sweeps are left to the whole run."""
only_deep = pytest.mark.deep
"""For a test, or a case of one, that the usual run leaves out; CONTRIBUTING lists them."""


def by_depth(usual: int, whole: int, deep: int) -> int:
    """How many, in this run."""
    return deep if DEEP else usual if USUAL else whole


def some(cases: Iterable[Case], every: int, first: int = 0, usual: int | None = None) -> list[Case]:
    """All cases in the deep run, else every second, third … of them, always the same ones.

    Parameters
    ----------
    usual : every how many-th in the usual run; as in the whole one when None
    """
    step = by_depth(usual or every, every, 1)
    return list(cases)[first if step > 1 else 0 :: step]

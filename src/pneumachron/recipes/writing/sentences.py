"""Sentences of a step, one after the other."""

from collections.abc import Iterable


def run_on(texts: Iterable[str]) -> str:
    """Sentences one after the other; a line that stands without a full stop elsewhere gets one."""
    ended = (text if text.endswith((".", "?", "!", ":")) else f"{text}." for text in texts)
    return " ".join(ended)

"""Sentences for whoever reads what is being answered."""

from pneumachron.text.reader import READING
from pneumachron.text.render import Params, cut_words, render


def say(code: str, params: Params | None = None) -> str:
    """The sentence of a code."""
    return render(code, params or {}, READING.get())


def say_cut(cut_id: str, part: str) -> str:
    """A cut's `name`, its `short` name, where to `measure` it, or what a step looks like."""
    return cut_words(cut_id, part, READING.get())

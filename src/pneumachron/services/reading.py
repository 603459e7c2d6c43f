"""Reading a recipe in a process of its own, which can be ended: no text holds the kitchen up.

What strangers paste is bounded before it is parsed. Whatever gets past the bounds and still takes
too long is stopped here, and timers go on meanwhile.
"""

import multiprocessing
from collections.abc import Callable
from concurrent.futures import TimeoutError as TooLongError
from threading import Lock
from typing import TypeAlias

from pebble import ProcessExpired, ProcessPool

from pneumachron.recipes.errors import UnreadableError
from pneumachron.recipes.model import ReadRecipe
from pneumachron.recipes.reading import read_recipe

READ_S = 2.0
"""A long page takes some tenths."""
START_S = 20.0
"""For the first text: the process starts and loads its grammar."""
Reader: TypeAlias = Callable[[bytes, str], ReadRecipe]


def read_in_place(content: bytes, name: str) -> ReadRecipe:
    """Read in this process: for the command line and for the demo."""
    return read_recipe(content, name=name)


_FIRST = b"Ribs\n\n1 rack of back ribs\n\nCook the ribs for an hour."
"""What a new process reads first: it loads all that reading takes."""


class ReadingRoom:
    """One process that reads; it is made when it is first needed, and made anew when it was ended.

    Parameters
    ----------
    limit_s : how long one text may take
    """

    def __init__(self, limit_s: float = READ_S) -> None:
        self.limit_s = limit_s
        self._pool: ProcessPool | None = None
        self._lock = Lock()
        self._warm = False

    def warm_up(self) -> None:
        """Start the process that reads, and wait for nothing: someone is about to paste."""
        if self._pool is None:
            self._ready().schedule(read_in_place, args=[_FIRST, ""], timeout=START_S)

    def read(self, content: bytes, name: str) -> ReadRecipe:
        """Read a recipe.

        Raises
        ------
        UnreadableError : it cannot be read, or takes too long.
        """
        if not self._warm:
            # what the process loads at first does not count against the text
            self._ask(_FIRST, "", START_S)
            self._warm = True
        return self._ask(content, name, self.limit_s)

    def _ask(self, content: bytes, name: str, limit_s: float) -> ReadRecipe:
        task = self._ready().schedule(read_in_place, args=[content, name], timeout=limit_s)
        try:
            found: ReadRecipe = task.result()
        except (TooLongError, ProcessExpired) as error:
            self._warm = False  # the next text meets a fresh process
            raise UnreadableError("reading_too_slow") from error
        return found

    def _ready(self) -> ProcessPool:
        with self._lock:
            if self._pool is None or not self._pool.active:
                # a fresh interpreter: nothing of the server (locks, sockets) is copied into it
                context = multiprocessing.get_context("spawn")
                self._pool = ProcessPool(max_workers=1, context=context)
            return self._pool

    def close(self) -> None:
        """End the process."""
        with self._lock:
            if self._pool is not None:
                self._pool.stop()
                self._pool.join(timeout=5)
                self._pool = None

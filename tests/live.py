"""The real program as a process of its own, on a free port.

It is forked from a server that has imported the program once (`multiprocessing`'s fork server, one
for each worker of the suite): sixty programs of a run would otherwise each import for three
seconds what they all share. `tests/faults/test_data_folder.py` also starts the command itself.
"""

import asyncio
import atexit
import multiprocessing
import os
import socket
import time
from collections.abc import Callable, Coroutine, Iterator
from concurrent.futures import ThreadPoolExecutor
from contextlib import contextmanager
from functools import cache
from multiprocessing.context import ForkServerProcess
from pathlib import Path
from shutil import copytree
from tempfile import TemporaryDirectory
from typing import Any, TypeVar
from urllib.error import URLError
from urllib.request import urlopen

from typer.main import get_command

from dev import BROWSERS
from pneumachron.cli import app
from pneumachron.demo import scenario
from pneumachron.store.db import Database

Found = TypeVar("Found")
PATIENCE_S = 60.0
"""How long a test waits for an answer: no measure of speed, on a machine that does much else."""
START_S = 240.0
"""How long the program may take to start. Two seconds do; half a minute was seen where the machine
had to read all of Python's packages from a slow disk again."""


def run_apart(work: Callable[[], Coroutine[Any, Any, Found]]) -> Found:
    """Run it in a thread of its own: the browser's driver keeps a loop in this one."""
    with ThreadPoolExecutor(1) as thread:
        return thread.submit(lambda: asyncio.run(work())).result()


def chromium() -> Path:
    """The browser that set-up has seen to."""
    return next(path for path in BROWSERS if path.exists())


WORKER = int(os.environ.get("PYTEST_XDIST_WORKER", "gw0").removeprefix("gw"))
_PORTS = iter(range(16_000 + 1_000 * WORKER, 17_000 + 1_000 * WORKER))
"""Each worker has ports of its own, below those that the system gives to connections (32768 on):
nothing takes one between the moment it is found free and the start of the program."""


def free_port() -> int:
    """A port that nobody listens on, and that no other test is given."""
    for port in _PORTS:
        with socket.socket() as probe:
            if probe.connect_ex(("127.0.0.1", port)) != 0:
                return port
    raise AssertionError("every port of this worker was used")


FORKS = multiprocessing.get_context("forkserver")
FORKS.set_forkserver_preload(["pneumachron.api.app", "pneumachron.cli", "tests.live", "uvicorn"])


def _run(arguments: list[str]) -> None:
    """The command `pneumachron`, in the forked process."""
    get_command(app)(arguments)


def start(folder: Path, port: int, *more: str) -> ForkServerProcess:
    """The program, starting to serve a data folder."""
    arguments = ["serve", "--port", str(port), "--data", str(folder), *more]
    process = FORKS.Process(target=_run, args=(arguments,))
    process.start()
    return process


@cache
def filled() -> Path:
    """A data folder with the demo in it, made once for all servers of this process."""
    place = TemporaryDirectory()
    atexit.register(place.cleanup)
    database = Database(Path(place.name))
    with database.writing() as session:
        scenario.fill(session, Path(place.name))
    database.close()
    return Path(place.name)


@contextmanager
def serving(
    folder: Path, *, demo: bool, port: int | None = None, fresh: bool = False
) -> Iterator[str]:
    """Serve a data folder; gives the address.

    Parameters
    ----------
    fresh : the program itself fills an empty folder with the demo, which takes it a while
    """
    port = free_port() if port is None else port
    if demo and not fresh and not any(folder.iterdir()):
        copytree(filled(), folder, dirs_exist_ok=True)
    process = start(folder, port, *(["--demo"] if demo else []))
    address = f"http://127.0.0.1:{port}"
    try:
        wait_for(f"{address}/api/health", process)
        yield address
    finally:
        process.terminate()
        process.join()


def wait_for(url: str, process: ForkServerProcess) -> None:
    """Until it answers."""
    deadline = time.monotonic() + START_S
    while time.monotonic() < deadline:
        try:
            with urlopen(url, timeout=START_S):
                return
        except (URLError, ConnectionError):
            assert process.is_alive(), "the app stopped while starting"
            time.sleep(0.05)
    raise TimeoutError(url)

"""The real program as a process of its own, on a free port."""

import asyncio
import atexit
import os
import socket
import subprocess
import sys
import time
from collections.abc import Callable, Coroutine, Iterator
from concurrent.futures import ThreadPoolExecutor
from contextlib import contextmanager
from functools import cache
from pathlib import Path
from shutil import copytree
from tempfile import TemporaryDirectory
from typing import Any, TypeVar
from urllib.error import URLError
from urllib.request import urlopen

from dev import BROWSERS
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


def start(folder: Path, port: int, *more: str) -> subprocess.Popen[bytes]:
    """The program, starting to serve a data folder."""
    program = str(Path(sys.executable).with_name("pneumachron"))
    command = [program, "serve", "--port", str(port), "--data", str(folder), *more]
    return subprocess.Popen(command)


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
    with start(folder, port, *(["--demo"] if demo else [])) as process:
        address = f"http://127.0.0.1:{port}"
        try:
            wait_for(f"{address}/api/health", process)
            yield address
        finally:
            process.terminate()


def wait_for(url: str, process: subprocess.Popen[bytes]) -> None:
    """Until it answers."""
    deadline = time.monotonic() + START_S
    while time.monotonic() < deadline:
        try:
            with urlopen(url, timeout=START_S):
                return
        except (URLError, ConnectionError):
            assert process.poll() is None, "the app stopped while starting"
            time.sleep(0.05)
    raise TimeoutError(url)

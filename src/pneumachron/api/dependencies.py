"""What routes ask for."""

import asyncio
import time
from collections.abc import AsyncIterator, Callable, Iterator
from contextlib import suppress
from pathlib import Path
from threading import Event
from typing import Annotated

from anyio import Semaphore
from fastapi import Depends, HTTPException, Query, Request
from sqlalchemy.orm import Session

from pneumachron.api.schemas.base import Problem
from pneumachron.services.live_kitchen import LiveKitchen
from pneumachron.store.db import Database, writing

COMPUTING = 3
"""Requests that work out numbers at the same time. Python works on one of them at a time anyway;
more would only take the interpreter away from timers and presses."""
EFFORT_S = 4.0
"""How long a search for something better may take."""
_LOOK_S = 0.2


def _session(request: Request) -> Iterator[Session]:
    database: Database = request.app.state.database
    with database.session() as session:
        yield session


Db = Annotated[Session, Depends(_session, scope="function")]
"""A session that reads, and writes inside `store.db.writing`."""


def _kitchen(request: Request) -> LiveKitchen:
    found: LiveKitchen = request.app.state.kitchen
    return found


Kitchen = Annotated[LiveKitchen, Depends(_kitchen)]
"""The kitchen of this process: its clock, its devices, the cooks it remembers."""


def _writing_session(request: Request) -> Iterator[Session]:
    database: Database = request.app.state.database
    with database.session() as session, writing(session):
        yield session


# "function": the work is committed before the answer goes out, so "saved" means saved
WriteDb = Annotated[Session, Depends(_writing_session, scope="function")]
"""A session whose whole request is one short transaction that writes."""


async def _turn(request: Request) -> AsyncIterator[None]:
    gate: Semaphore = request.app.state.computing
    async with gate:
        if await request.is_disconnected():
            raise HTTPException(499)  # nobody reads it
        yield


TURN = Depends(_turn, scope="function")
"""Wait, without a thread and without a connection, until there is room to work out numbers."""


async def _effort(request: Request) -> AsyncIterator[Callable[[], bool]]:
    gone = Event()

    async def watch() -> None:
        while not await request.is_disconnected():
            await asyncio.sleep(_LOOK_S)
        gone.set()

    watching = asyncio.create_task(watch())
    until = time.monotonic() + EFFORT_S
    try:
        yield lambda: not gone.is_set() and time.monotonic() < until
    finally:
        watching.cancel()
        with suppress(asyncio.CancelledError):
            await watching


Effort = Annotated[Callable[[], bool], Depends(_effort, scope="function")]
"""Asked again and again by a search: whether to go on. Not when the time is over, nor when the
client has left."""


def _data(request: Request) -> Path:
    database: Database = request.app.state.database
    return database.path.parent


Data = Annotated[Path, Depends(_data)]
"""The folder that everything of this household lies in."""

Seen = Annotated[
    int | None,
    Query(
        ge=1,
        le=1_000_000_000,
        description="the version that the change was made from; an older one is refused",
    ),
]
STALE: dict[int | str, dict[str, object]] = {
    409: {"model": Problem, "description": "Changed elsewhere since it was read"},
}
INVALID: dict[int | str, dict[str, object]] = {
    400: {"model": Problem, "description": "Unknown host or unreadable body"},
    413: {"model": Problem, "description": "Too large"},
    422: {"model": Problem, "description": "A request that cannot be met, and what to do"},
}
MISSING: dict[int | str, dict[str, object]] = {
    404: {"model": Problem, "description": "No such thing here"},
}
CHANGING: dict[int | str, dict[str, object]] = {
    403: {"model": Problem, "description": "Asked for by another site"},
    503: {"model": Problem, "description": "Others write; try again in a second"},
    507: {"model": Problem, "description": "The disk is full or may only be read"},
}

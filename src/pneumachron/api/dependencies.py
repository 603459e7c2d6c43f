"""What routes ask for."""

from collections.abc import Iterator
from pathlib import Path
from typing import Annotated

from fastapi import Depends, Request
from sqlalchemy.orm import Session

from pneumachron.api.schemas.base import Problem
from pneumachron.store.db import Database


def _session(request: Request) -> Iterator[Session]:
    database: Database = request.app.state.database
    with database.session() as session:
        yield session


# "function": the work is committed before the answer goes out, so "saved" means saved
Db = Annotated[Session, Depends(_session, scope="function")]


def _data(request: Request) -> Path:
    database: Database = request.app.state.database
    return database.path.parent


Data = Annotated[Path, Depends(_data)]
"""The folder that everything of this household lies in."""

INVALID: dict[int | str, dict[str, object]] = {
    400: {"model": Problem, "description": "Unknown host or unreadable body"},
    413: {"model": Problem, "description": "Too large"},
    422: {"model": Problem, "description": "A wish that cannot be met, and what to do"},
}
MISSING: dict[int | str, dict[str, object]] = {
    404: {"model": Problem, "description": "No such thing here"},
}
CHANGING: dict[int | str, dict[str, object]] = {
    403: {"model": Problem, "description": "Asked for by another site"},
}

"""What a JSON body may be, before any schema looks at it.

Bodies are measured by what they become: how deep, how many values, how long a number. Nothing that
JSON itself does not know (NaN, infinity, half a pair of code units) gets in.
"""

import json
import re
from collections.abc import Callable, Coroutine
from typing import Any

from anyio.to_thread import run_sync
from fastapi import Request, Response
from fastapi.routing import APIRoute
from starlette.exceptions import HTTPException

from pneumachron.core.errors import CodedError, Param

MAX_DEPTH = 40
"""A plan of a day in a backup is ten deep."""
MAX_VALUES = 200_000
"""A day of eight dishes with their recipes has some thousand."""
MAX_RESTORE_VALUES = 3_000_000
"""A backup of a thousand followed cooks. Larger ones go by the command line."""
MAX_DIGITS = 40
"""Of a whole number."""
IN_THREAD_BYTES = 64 * 1024
"""Longer bodies are parsed beside the event loop."""
RESTORE_PATH = "/api/restore"
_HALF = re.compile(rb"\\u[dD][89a-fA-F]")
_STRING = re.compile(rb'"(?:[^"\\]|\\.)*+"', re.DOTALL)
_OTHER = re.compile(rb"[^\[\]{}]+")


class InsaneError(CodedError):
    """A body that no schema should see."""


class CodedHTTPException(HTTPException):
    """An HTTP error that there are words for; FastAPI passes it on from inside a body."""

    def __init__(self, status: int, code: str, **params: Param) -> None:
        super().__init__(status, code)
        self.code, self.params = code, params


def sane_json(body: bytes, most: int = MAX_VALUES) -> Any:  # noqa: ANN401 - any JSON
    """Parse JSON within bounds.

    Parameters
    ----------
    most : values (numbers, texts, lists, objects) at most

    Raises
    ------
    InsaneError : too deep, too many values, or something that JSON does not know.
    json.JSONDecodeError : it is no JSON.
    """
    if body.count(b",") + body.count(b"[") + body.count(b"{") > most:
        raise InsaneError("body_values", most=most)
    try:
        text = body.decode("utf-8")
    except UnicodeDecodeError:
        raise InsaneError("body_not_utf8") from None
    if body.count(b"[") + body.count(b"{") > MAX_DEPTH and _depth(body) > MAX_DEPTH:
        raise InsaneError("body_depth", most=MAX_DEPTH)
    try:
        found = json.loads(text, parse_constant=_no_constant, parse_int=_whole, parse_float=_finite)
    except RecursionError:
        raise InsaneError("body_depth", most=MAX_DEPTH) from None
    if _HALF.search(body):
        try:
            json.dumps(found, ensure_ascii=False).encode("utf-8")
        except UnicodeEncodeError:
            raise InsaneError("body_half_character") from None
    return found


def _depth(body: bytes) -> int:
    """How deep lists and objects stand in each other; cheap, and it never recurses."""
    brackets = _OTHER.sub(b"", _STRING.sub(b"", body))
    deepest = depth = 0
    for sign in brackets:
        depth += 1 if sign in b"[{" else -1
        deepest = max(deepest, depth)
        if deepest > MAX_DEPTH:
            break
    return deepest


def _no_constant(_name: str) -> float:
    raise InsaneError("body_number")


def _whole(text: str) -> int:
    if len(text) > MAX_DIGITS:
        raise InsaneError("body_digits", most=MAX_DIGITS)
    return int(text)


def _finite(text: str) -> float:
    found = float(text)
    if found in {float("inf"), float("-inf")}:
        raise InsaneError("body_number")
    return found


class SaneRequest(Request):
    """A request whose JSON is parsed within bounds, and a long one beside the event loop."""

    async def json(self) -> Any:  # noqa: ANN401 - any JSON
        """The body as plain values."""
        if not hasattr(self, "_json"):
            body = await self.body()
            most = MAX_RESTORE_VALUES if self.url.path == RESTORE_PATH else MAX_VALUES
            try:
                if len(body) > IN_THREAD_BYTES:
                    self._json = await run_sync(sane_json, body, most)
                else:
                    self._json = sane_json(body, most)
            except InsaneError as error:
                raise CodedHTTPException(400, error.code, **error.params) from None
        return self._json


class SaneRoute(APIRoute):
    """A route that reads its JSON so."""

    def get_route_handler(self) -> Callable[[Request], Coroutine[Any, Any, Response]]:
        """The handler, with a request of our own."""
        handler = super().get_route_handler()

        async def handle(request: Request) -> Response:
            return await handler(SaneRequest(request.scope, request.receive))

        return handle

"""What is checked before any route runs: where a request comes from, and how big it is."""

import asyncio
import re
import secrets
from logging import WARNING
from urllib.parse import urlsplit

from anyio.to_thread import run_sync
from starlette.datastructures import Headers, MutableHeaders
from starlette.requests import HTTPConnection, Request
from starlette.responses import HTMLResponse, RedirectResponse, Response
from starlette.types import ASGIApp, Message, Receive, Scope, Send

from pneumachron.api.errors import answer, problem, unexpected
from pneumachron.api.lan import (
    COOKIE,
    COOKIE_BYTES,
    COOKIE_S,
    LOOPBACK,
    PAIR_PATH,
    WRONG_WAIT_S,
    Lan,
    Pairing,
    digest_of,
)
from pneumachron.api.problems import problem_of
from pneumachron.api.sane import CodedHTTPException
from pneumachron.logs import note
from pneumachron.recipes.model import MAX_BYTES
from pneumachron.services.photos import MAX_PHOTO_BYTES
from pneumachron.store import devices
from pneumachron.store.db import Database
from pneumachron.store.errors import StoreError
from pneumachron.text.reader import ANYBODY, READING

MAX_BODY_BYTES = 256 * 1024
"""A plan is under 10 kB."""
MAX_RESTORE_BYTES = 64 * 1024 * 1024
"""A backup holds some thousands of plans with their traces."""
MAX_RECIPE_BYTES = 3 * MAX_BYTES
"""A kept recipe carries its whole original, which JSON writes longer."""
MAX_LOG_BYTES = 5_000_000
RECIPES_PATH = "/api/recipes"
PHOTOS_PATH = re.compile(r"/api/cooks/[A-Za-z0-9_-]+/photos")
DAY_PATH = "/api/schedule"
MAX_DAY_BYTES = 2 * 1024 * 1024
"""Eight dishes, each with its recipe."""
LOG_PATH = "/api/cooks/import"
RESTORE_PATH = "/api/restore"
_SAFE_METHODS = frozenset({"GET", "HEAD", "OPTIONS"})
SECURITY_HEADERS = {
    "Content-Security-Policy": (
        "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' data:; "
        "font-src 'self'; connect-src 'self'; manifest-src 'self'; base-uri 'none'; "
        "form-action 'none'; frame-ancestors 'none'"
    ),
    "X-Content-Type-Options": "nosniff",
    "Referrer-Policy": "no-referrer",
    "Cross-Origin-Opener-Policy": "same-origin",
    "Cross-Origin-Resource-Policy": "same-origin",
}


class Guard:
    """Host and origin checks, a size limit, and security headers on every answer."""

    def __init__(self, app: ASGIApp, hosts: frozenset[str], lan: Lan | None = None) -> None:
        self.app, self.hosts, self.lan = app, hosts, lan

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        """Pass a request on, or answer it here."""
        READING.set(getattr(scope["app"].state, "reader", ANYBODY) if "app" in scope else ANYBODY)
        if scope["type"] != "http":
            await self.app(scope, receive, send)
            return

        started = False

        async def send_with_headers(message: Message) -> None:
            nonlocal started
            if message["type"] == "http.response.start":
                started = True
                MutableHeaders(scope=message).update(SECURITY_HEADERS)
            await send(message)

        limit = _limit_of(scope["path"])
        refusal = self._refusal(scope["method"], Headers(scope=scope), limit)
        if refusal is None:
            refusal = await self._unpaired(scope)
        if refusal is not None:
            await refusal(scope, receive, send_with_headers)
            return
        seen = 0

        async def receive_limited() -> Message:
            nonlocal seen
            message = await receive()
            seen += len(message.get("body", b""))
            if seen > limit:
                # FastAPI passes this one on; any other error becomes "cannot parse"
                raise CodedHTTPException(413, "too_large", limit_kb=limit // 1024)
            return message

        try:
            await self.app(scope, receive_limited, send_with_headers)
        except Exception as error:
            # here and not further out, so that this answer has the headers of every other one
            if not started:
                await unexpected(Request(scope), error)(scope, receive, send_with_headers)
            raise

    async def _unpaired(self, scope: Scope) -> ASGIApp | None:
        """From the network: an answer here until the browser is paired."""
        client = scope.get("client")
        if self.lan is None or (client is not None and client[0] in LOOPBACK):
            return None
        request = HTTPConnection(scope)
        pairing = self.lan.pairing
        if pairing.is_paired(request.cookies.get(COOKIE, "")):
            return None
        if scope["path"] == PAIR_PATH:
            if pairing.take(request.query_params.get("code", "")):
                return await _paired(request, pairing)
            note("wrong_pairing_code", level=WARNING)
            await asyncio.sleep(WRONG_WAIT_S)
        return _not_paired(scope["path"])

    def _refusal(self, method: str, headers: Headers, limit: int) -> ASGIApp | None:
        if _host_name(headers.get("host", "")) not in self.hosts:
            return problem(400, "unknown_host")
        origin = headers.get("origin")
        foreign = origin is not None and urlsplit(origin).netloc != headers.get("host")
        if method not in _SAFE_METHODS and foreign:
            return problem(403, "foreign_origin")
        length = headers.get("content-length", "0")
        if not length.isdigit() or int(length) > limit:
            return problem(413, "too_large", limit_kb=limit // 1024)
        return None


async def _paired(request: HTTPConnection, pairing: Pairing) -> Response:
    """The browser is known from now on, by a cookie of its own; the code is void."""
    cookie = secrets.token_urlsafe(COOKIE_BYTES)
    digest = digest_of(cookie)
    database: Database = request.app.state.database
    name = _kind_of_device(request.headers.get("user-agent", ""))
    try:
        await run_sync(_keep_device, database, name, digest)
    except StoreError as error:
        trouble = problem_of(error)
        return unexpected_pairing() if trouble is None else answer(trouble)
    pairing.let_in(digest)
    note("paired")
    response = RedirectResponse("/cook", status_code=303)
    response.set_cookie(
        COOKIE, cookie, max_age=COOKIE_S, secure=True, httponly=True, samesite="strict"
    )
    return response


def unexpected_pairing() -> Response:
    """A pairing that could not be written down."""
    return problem(500, "pairing_not_kept")


def _keep_device(database: Database, name: str, digest: str) -> None:
    with database.writing() as session:
        devices.add_device(session, name, digest)


def _kind_of_device(agent: str) -> str:
    """What to call a browser in the list, from what it says of itself."""
    if "tablet" in agent.lower() or "ipad" in agent.lower():
        return "Tablet"
    return "Phone" if "mobi" in agent.lower() else "Computer"


NOT_PAIRED = """<!doctype html>
<html lang="en"><head><meta charset="utf-8">
<meta name="viewport" content="width=device-width">
<title>Pneumachron: not paired yet</title></head>
<body><main><h1>This device is not paired yet</h1>
<p>On the computer that runs Pneumachron, open My kitchen, A phone in the kitchen.</p>
<p>Scan the code there with this device. Each code works once and for ten minutes.</p>
</main></body></html>
"""


def _not_paired(path: str) -> Response:
    """What a browser that is not paired gets: what to do, and nothing else."""
    if path.startswith("/api/"):
        return problem(403, "not_paired")
    return HTMLResponse(NOT_PAIRED, status_code=403)


def _limit_of(path: str) -> int:
    if path == RESTORE_PATH:
        return MAX_RESTORE_BYTES
    if path == LOG_PATH:
        return MAX_LOG_BYTES
    if PHOTOS_PATH.fullmatch(path):
        return MAX_PHOTO_BYTES
    if path.startswith(DAY_PATH):
        return MAX_DAY_BYTES
    return MAX_RECIPE_BYTES if path.startswith(RECIPES_PATH) else MAX_BODY_BYTES


def _host_name(host: str) -> str:
    """`[::1]:8000` to `::1`, `localhost:8000` to `localhost`; empty when it cannot be."""
    try:
        return urlsplit(f"//{host}").hostname or ""
    except ValueError:
        return ""

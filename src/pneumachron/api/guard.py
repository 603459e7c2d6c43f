"""What is checked before any route runs: where a request comes from, and how big it is."""

import re
from urllib.parse import urlsplit

from starlette.datastructures import Headers, MutableHeaders
from starlette.exceptions import HTTPException
from starlette.requests import HTTPConnection
from starlette.responses import RedirectResponse, Response
from starlette.types import ASGIApp, Message, Receive, Scope, Send

from pneumachron.api.errors import problem
from pneumachron.api.lan import COOKIE, COOKIE_S, LOOPBACK, PAIR_PATH, Lan
from pneumachron.recipes.model import MAX_BYTES
from pneumachron.services.photos import MAX_PHOTO_BYTES

MAX_BODY_BYTES = 256 * 1024
"""A plan is under 10 kB."""
MAX_RESTORE_BYTES = 64 * 1024 * 1024
"""A backup holds some thousands of plans with their traces."""
MAX_RECIPE_BYTES = 3 * MAX_BYTES
"""A kept recipe carries its whole original, which JSON writes longer."""
MAX_LOG_BYTES = 5_000_000
RECIPES_PATH = "/api/recipes"
PHOTOS_PATH = re.compile(r"/api/cooks/[A-Za-z0-9_-]+/photos")
DAY_PATH = "/api/day"
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
        if scope["type"] != "http":
            await self.app(scope, receive, send)
            return

        async def send_with_headers(message: Message) -> None:
            if message["type"] == "http.response.start":
                MutableHeaders(scope=message).update(SECURITY_HEADERS)
            await send(message)

        limit = _limit_of(scope["path"])
        refusal = self._unpaired(scope) or self._refusal(
            scope["method"], Headers(scope=scope), limit
        )
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
                raise HTTPException(413, _too_large(limit))
            return message

        await self.app(scope, receive_limited, send_with_headers)

    def _unpaired(self, scope: Scope) -> ASGIApp | None:
        """From the network: an answer here until the browser is paired."""
        client = scope.get("client")
        if self.lan is None or (client is not None and client[0] in LOOPBACK):
            return None
        request = HTTPConnection(scope)
        if self.lan.is_cookie(request.cookies.get(COOKIE, "")):
            return None
        token = request.query_params.get("token", "")
        if scope["path"] == PAIR_PATH and self.lan.is_token(token):
            return _paired(self.lan)
        return Response(status_code=403)

    def _refusal(self, method: str, headers: Headers, limit: int) -> ASGIApp | None:
        if _host_name(headers.get("host", "")) not in self.hosts:
            return problem(
                400,
                "unknown_host",
                "This address is not served here.",
                hint="Open the address that the start of the app printed.",
            )
        origin = headers.get("origin")
        foreign = origin is not None and urlsplit(origin).netloc != headers.get("host")
        if method not in _SAFE_METHODS and foreign:
            return problem(
                403,
                "foreign_origin",
                "Another site may not change anything here.",
                hint="Use the app's own pages.",
            )
        length = headers.get("content-length", "0")
        if not length.isdigit() or int(length) > limit:
            return problem(413, "too_large", _too_large(limit), hint="Send less at a time.")
        return None


def _paired(lan: Lan) -> Response:
    """The browser is known from now on; the token is out of the address again."""
    response = RedirectResponse("/cook", status_code=303)
    response.set_cookie(
        COOKIE, lan.cookie, max_age=COOKIE_S, secure=True, httponly=True, samesite="strict"
    )
    return response


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


def _too_large(limit: int) -> str:
    return f"This is more than {limit // 1024} kB."


def _host_name(host: str) -> str:
    """`[::1]:8000` to `::1`, `localhost:8000` to `localhost`; empty when it cannot be."""
    try:
        return urlsplit(f"//{host}").hostname or ""
    except ValueError:
        return ""

"""How errors are answered: one shape for all of them, `Problem`, in the words of `problems`."""

from fastapi import FastAPI, Request
from fastapi.responses import JSONResponse
from starlette.exceptions import HTTPException

from pneumachron.api.problems import HANDLED, Words, problem_of
from pneumachron.api.schemas.base import FixOut, Problem
from pneumachron.logs import note_error

HTTP_CODES = {400: "unreadable", 404: "not_found", 405: "not_allowed", 413: "too_large"}


def problem(
    status: int, code: str, message: str, *, field: str | None = None, hint: str | None = None
) -> JSONResponse:
    """An error as the client gets it."""
    return answer(Words(status, code, message, field, hint))


def answer(words: Words) -> JSONResponse:
    """Words as an answer; half a pair of code units, which is no text, is replaced."""
    body = Problem(
        code=words.code,
        message=_whole(words.message),
        field=None if words.field is None else _whole(words.field),
        hint=None if words.hint is None else _whole(words.hint),
        fix=None if words.fix is None else FixOut(kind=words.fix.kind, value=words.fix.value),
    )
    # the one shape has four keys; the fifth is there when there is something in it
    without = {"fix"} if body.fix is None else None
    reply = JSONResponse(body.model_dump(exclude=without), words.status)
    if words.retry_s is not None:
        reply.headers["Retry-After"] = str(words.retry_s)
    return reply


def _whole(text: str) -> str:
    return text.encode("utf-8", "replace").decode("utf-8")


def install(app: FastAPI) -> None:
    """Teach the app to speak of errors."""

    def told(request: Request, error: Exception) -> JSONResponse:
        words = problem_of(error)
        if words is None:
            return unexpected(request, error)
        if words.status >= 500:
            note_error(words.code, error)
        return answer(words)

    def http(_: Request, error: Exception) -> JSONResponse:
        if not isinstance(error, HTTPException):
            raise TypeError("only HTTP errors are handled here")
        code = HTTP_CODES.get(error.status_code, f"http_{error.status_code}")
        response = problem(error.status_code, code, f"{error.detail.rstrip('.')}.")
        response.headers.update(error.headers or {})
        return response

    for kind in HANDLED:
        app.add_exception_handler(kind, told)
    app.add_exception_handler(HTTPException, http)
    app.add_exception_handler(Exception, unexpected)


def unexpected(request: Request, error: Exception) -> JSONResponse:
    """A mistake of ours; the log says where."""
    route = request.scope.get("route")
    note_error("unexpected", error, route=getattr(route, "path", None))
    return problem(
        500,
        "unexpected",
        "Something went wrong here, not at your end.",
        hint="Try again. What you typed is still on the screen.",
    )

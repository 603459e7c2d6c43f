"""How errors are answered: one shape for all of them, `Problem`, in the words of the household."""

from fastapi import FastAPI, Request
from fastapi.responses import JSONResponse
from starlette.exceptions import HTTPException

from pneumachron.api.problems import HANDLED, Trouble, problem_of
from pneumachron.api.sane import CodedHTTPException
from pneumachron.api.schemas.base import FixOut, Problem
from pneumachron.core.errors import Param
from pneumachron.logs import note_error
from pneumachron.text.reader import READING

HTTP_CODES = {
    400: "bad_request", 404: "no_address", 405: "not_allowed", 413: "too_large", 499: "gone",
}  # fmt: skip


def problem(status: int, code: str, **params: Param) -> JSONResponse:
    """An error as the client gets it."""
    return answer(Trouble(status, code, params))


def answer(trouble: Trouble) -> JSONResponse:
    """An error as an answer; half a pair of code units, which is no text, is replaced."""
    reader = READING.get()
    hint = trouble.hint(reader)
    body = Problem(
        code=trouble.code,
        message=_whole(trouble.message(reader)),
        field=None if trouble.field is None else _whole(trouble.field),
        hint=None if hint is None else _whole(hint),
        fix=None if trouble.fix is None else FixOut(kind=trouble.fix.kind, value=trouble.fix.value),
    )
    # the one shape has four keys; the fifth is there when there is something in it
    without = {"fix"} if body.fix is None else None
    reply = JSONResponse(body.model_dump(exclude=without), trouble.status)
    if trouble.retry_s is not None:
        reply.headers["Retry-After"] = str(trouble.retry_s)
    return reply


def _whole(text: str) -> str:
    return text.encode("utf-8", "replace").decode("utf-8")


def install(app: FastAPI) -> None:
    """Teach the app to speak of errors."""

    def told(request: Request, error: Exception) -> JSONResponse:
        trouble = problem_of(error)
        if trouble is None:
            return unexpected(request, error)
        if trouble.status >= 500:
            note_error(trouble.code, error)
        return answer(trouble)

    def http(_: Request, error: Exception) -> JSONResponse:
        if not isinstance(error, HTTPException):
            raise TypeError("only HTTP errors are handled here")
        if isinstance(error, CodedHTTPException):
            trouble = Trouble(error.status_code, error.code, error.params)
        else:
            trouble = Trouble(error.status_code, HTTP_CODES.get(error.status_code, "bad_request"))
        response = answer(trouble)
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
    return problem(500, "unexpected")

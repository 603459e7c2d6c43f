"""One handler for each family of errors, one shape for all of them: `Problem`."""

from fastapi import FastAPI, Request
from fastapi.exceptions import RequestValidationError
from fastapi.responses import JSONResponse
from starlette.exceptions import HTTPException

from pneumachron.api.schemas.base import Problem
from pneumachron.core.cook.sheet import SheetError
from pneumachron.core.errors import OutOfRangeError, WishError
from pneumachron.devices.protocol import DeviceError
from pneumachron.recipes.errors import RecipeError
from pneumachron.services.errors import VersionError
from pneumachron.store.errors import NotFoundError

HTTP_CODES = {400: "unreadable", 404: "not_found", 405: "not_allowed", 413: "too_large"}


def problem(
    status: int, code: str, message: str, *, field: str | None = None, hint: str | None = None
) -> JSONResponse:
    """An error as the client gets it."""
    body = Problem(code=code, message=message, field=field, hint=hint)
    return JSONResponse(body.model_dump(), status)


def install(app: FastAPI) -> None:
    """Teach the app to speak of errors."""

    @app.exception_handler(WishError)
    def wish(_: Request, error: WishError) -> JSONResponse:
        return problem(422, error.code, error.message, field=error.field, hint=error.hint)

    @app.exception_handler(RecipeError)
    def recipe(_: Request, error: RecipeError) -> JSONResponse:
        return problem(422, error.code, error.message, field=error.field, hint=error.hint)

    @app.exception_handler(OutOfRangeError)
    def out_of_range(_: Request, error: OutOfRangeError) -> JSONResponse:
        return problem(
            422,
            "out_of_range",
            f"{error.name} is {error.value:g} {error.unit}.",
            field=error.name,
            hint=f"It must be {error.low:g} to {error.high:g} {error.unit}.",
        )

    @app.exception_handler(NotFoundError)
    def not_found(_: Request, error: NotFoundError) -> JSONResponse:
        return problem(
            404,
            "not_found",
            f"There is no such {error.kind} here.",
            hint="It may have been deleted. Go back to the list.",
        )

    @app.exception_handler(SheetError)
    def sheet(_: Request, error: SheetError) -> JSONResponse:
        return problem(409, error.code, error.message, hint=error.hint)

    @app.exception_handler(DeviceError)
    def device(_: Request, error: DeviceError) -> JSONResponse:
        return problem(409, error.code, error.message, hint=error.hint)

    @app.exception_handler(VersionError)
    def version(_: Request, error: VersionError) -> JSONResponse:
        return problem(
            409,
            "newer_version",
            f"This {error.kind} was written by a newer version of the app.",
            hint="Update the app, then open it again.",
        )

    @app.exception_handler(RequestValidationError)
    def invalid(_: Request, error: RequestValidationError) -> JSONResponse:
        first = error.errors()[0]
        where = [str(part) for part in first["loc"] if part not in {"body", "query", "path"}]
        return problem(
            422,
            "invalid_input",
            f"This cannot be read: {first['msg']}.",
            field=".".join(where) or None,
            hint="Correct it and try again; nothing was changed.",
        )

    @app.exception_handler(HTTPException)
    def http(_: Request, error: HTTPException) -> JSONResponse:
        code = HTTP_CODES.get(error.status_code, f"http_{error.status_code}")
        response = problem(error.status_code, code, f"{error.detail.rstrip('.')}.")
        response.headers.update(error.headers or {})
        return response

    @app.exception_handler(Exception)
    def unexpected(_: Request, __: Exception) -> JSONResponse:
        return problem(
            500,
            "unexpected",
            "Something went wrong here, not at your end.",
            hint="Try again. What you typed is still on the screen.",
        )

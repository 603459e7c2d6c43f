"""The app: routes, errors, guard, and the built front end."""

import os
from collections.abc import AsyncIterator, Callable
from contextlib import asynccontextmanager
from pathlib import Path
from threading import Thread

from anyio import Semaphore
from anyio.to_thread import current_default_thread_limiter
from fastapi import FastAPI
from fastapi.routing import APIRoute
from starlette.middleware.gzip import GZipMiddleware
from starlette.responses import Response
from starlette.staticfiles import StaticFiles
from starlette.types import Receive, Scope, Send

from pneumachron import __version__
from pneumachron.api import errors
from pneumachron.api.dependencies import COMPUTING
from pneumachron.api.guard import Guard
from pneumachron.api.lan import LOOPBACK, Lan, open_doors
from pneumachron.api.routes import ask, cooks, day, kitchen, photos, plans, recipes, scale
from pneumachron.api.watch import Watch
from pneumachron.files import sweep_unfinished
from pneumachron.logs import note, writing_to
from pneumachron.services.households import reader_here
from pneumachron.services.live_kitchen import LiveKitchen
from pneumachron.services.photos import sweep_photos
from pneumachron.services.planning import warm_up
from pneumachron.services.reading import ReadingRoom
from pneumachron.store.db import Database, can_write
from pneumachron.store.folder import held

THREADS = 40
"""Requests that are answered at a time; the pool of connections is larger."""
LOCAL_HOSTS = frozenset({"127.0.0.1", "localhost", "::1"})
WEB = Path(__file__).parents[1] / "web"


class FrontEnd(StaticFiles):
    """The built pages: unknown paths without an extension are the app's own addresses."""

    def lookup_path(self, path: str) -> tuple[str, os.stat_result | None]:
        """Where a path lies on disk."""
        found, stat = super().lookup_path(path)
        page = stat is None and "." not in path and not path.startswith(("api", "assets"))
        return super().lookup_path("index.html") if page else (found, stat)

    async def get_response(self, path: str, scope: Scope) -> Response:
        """Built assets carry their content in the name, so they never change."""
        response = await super().get_response(path, scope)
        fixed = path.startswith("assets")
        response.headers["Cache-Control"] = (
            "public, max-age=31536000, immutable" if fixed else "no-cache"
        )
        return response


class SmallForPhones(GZipMiddleware):
    """Answers are packed for the way to a phone; here packing takes longer than it saves."""

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        """Pass a request on, its answer packed or as it is."""
        client = scope.get("client")
        here = client is not None and client[0] in LOOPBACK
        await (self.app if here else super().__call__)(scope, receive, send)


def create_app(
    folder: Path,
    hosts: frozenset[str] = LOCAL_HOSTS,
    make_kitchen: Callable[[Path], LiveKitchen] = LiveKitchen,
    lan: Lan | None = None,
    port: int | None = None,
) -> FastAPI:
    """The whole app on a data folder, answering to these host names.

    With `lan`, the network is answered too, once a browser is paired. `port` is where it answers,
    for the words of a second start on the same folder.
    """

    @asynccontextmanager
    async def lifespan(app: FastAPI) -> AsyncIterator[None]:
        folder: Path = app.state.folder
        current_default_thread_limiter().total_tokens = THREADS
        app.state.computing = Semaphore(COMPUTING)
        with held(folder, port), writing_to(folder):
            sweep_unfinished(folder)
            app.state.database = Database(folder)
            with app.state.database.session() as session:
                app.state.reader = reader_here(session)
                if can_write(folder):
                    sweep_photos(session, folder)
            # the first cook should not wait for tables, units and solvers; nor should the start
            Thread(target=warm_up, daemon=True).start()
            app.state.kitchen = make_kitchen(folder)
            app.state.lan = lan
            if lan is not None:
                open_doors(app.state.database, lan)
            app.state.reading = app.state.make_reading_room()
            app.state.watch = Watch(app.state.database, app.state.kitchen, lan)
            app.state.watch.start()
            note("started", version=__version__)
            yield
            app.state.watch.stop()
            app.state.reading.close()
            app.state.database.close()
            note("stopped")

    def operation_name(route: APIRoute) -> str:
        return route.name

    app = FastAPI(
        title="Pneumachron",
        version=__version__,
        description="Pressure-cooker plans for tough cuts. The maker's manual comes first.",
        docs_url=None,  # the usual page loads its scripts from outside
        redoc_url=None,
        openapi_url="/api/openapi.json",
        generate_unique_id_function=operation_name,
        lifespan=lifespan,
    )
    app.state.folder = folder
    app.state.make_reading_room = ReadingRoom
    errors.install(app)
    app.include_router(plans.router)
    app.include_router(ask.router)
    app.include_router(kitchen.router)
    app.include_router(recipes.router)
    app.include_router(day.router)
    app.include_router(cooks.router)
    app.include_router(photos.router)
    app.include_router(scale.router)
    if WEB.is_dir():
        app.mount("/", FrontEnd(directory=WEB, html=True), name="web")
    app.add_middleware(SmallForPhones, minimum_size=1024)
    app.add_middleware(Guard, hosts=hosts, lan=lan)
    return app

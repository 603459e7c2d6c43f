"""The command line: serve the app, work out a plan from a file, back up, print the API."""

import json
import os
import sys
from collections.abc import Iterator
from contextlib import contextmanager, nullcontext, suppress
from dataclasses import dataclass
from pathlib import Path
from typing import TYPE_CHECKING, Annotated, Any, Literal, NoReturn, TypeAlias

import typer
from platformdirs import user_data_path

from pneumachron.text.reader import Locale, Units

if TYPE_CHECKING:
    from fastapi import FastAPI
    from sqlalchemy.orm import Session

    from pneumachron.api.problems import Trouble
    from pneumachron.core.errors import Param
    from pneumachron.store.db import Database


@dataclass(slots=True)
class _Chosen:
    """Locale and units that were asked for, over those of the household."""

    locale: Locale | None = None
    units: Units | None = None


CHOSEN = _Chosen()
app = typer.Typer(no_args_is_help=True, add_completion=False, pretty_exceptions_enable=False)
DataFolder = Annotated[
    Path,
    typer.Option("--data", help="Folder with the database.", envvar="PNEUMACHRON_DATA"),
]
DEFAULT_DATA = user_data_path("pneumachron")
SERVING: dict[str, Any] = {
    "log_level": "warning",
    "access_log": False,
    "timeout_graceful_shutdown": 2,  # screens that follow a cook never hang up first
    "timeout_keep_alive": 75,  # a question sent just as its connection is closed would be lost
}
Form: TypeAlias = Literal["text", "markdown", "jsonld"]
MAX_FILE_BYTES = 256 * 1024
MAX_BYTES = 2_000_000
"""Of a recipe; as `recipes.model` has it, which is not loaded before it is needed."""
MAX_LOG_BYTES = 128 * 1024 * 1024
"""A hundred thousand cooks with long notes."""
MAX_BACKUP_BYTES = 1024 * 1024 * 1024
"""Some thousands of photos."""


@app.callback()
def main(
    locale: Annotated[Locale | None, typer.Option(help="The household's when left out.")] = None,
    units: Annotated[Units | None, typer.Option(help="The household's when left out.")] = None,
) -> None:
    """Pressure-cooker plans for ribs, brisket, short ribs and pork shoulder."""
    CHOSEN.locale, CHOSEN.units = locale, units
    _read_by()


def _read_by(session: "Session | None" = None) -> None:
    """Answer in the words of the household, or in those that were asked for."""
    from pneumachron.services.households import reader_here
    from pneumachron.text.reader import ANYBODY, READING, Reader

    here = ANYBODY if session is None else reader_here(session)
    READING.set(Reader(CHOSEN.locale or here.locale, CHOSEN.units or here.units))


@app.command()
def serve(
    host: Annotated[str, typer.Option(help="Address to listen on.")] = "127.0.0.1",
    port: Annotated[int, typer.Option(min=1, max=65535, help="Port to listen on.")] = 8137,
    data: DataFolder = DEFAULT_DATA,
    demo: Annotated[bool, typer.Option(help="Fill an empty folder with the demo.")] = False,
    lan: Annotated[
        bool, typer.Option("--lan", help="Also answer paired phones on this network, over https.")
    ] = False,
) -> None:
    """Serve the app; by default only to this machine."""
    import uvicorn

    from pneumachron.api.app import LOCAL_HOSTS, create_app
    from pneumachron.demo import scenario

    _check_host(host)
    _check_port("0.0.0.0" if lan else host, port)
    if demo:
        with _told(), _opened(data, exclusive=True) as database, database.writing() as session:
            scenario.fill(session, data)
    if lan:
        _serve_lan(data, port)
        return
    _check_folder(data, port)
    typer.echo(f"Pneumachron: http://{host}:{port} (data in {data}); Ctrl+C stops it.")
    served = create_app(data, LOCAL_HOSTS, port=port)
    uvicorn.run(served, host=host, port=port, **SERVING)


def watched_app() -> "FastAPI":
    """The demo as `dev.py watch` serves it, made again when a file changes."""
    from pneumachron.api.app import LOCAL_HOSTS, create_app
    from pneumachron.demo import scenario

    folder = Path(os.environ["PNEUMACHRON_DATA"])
    with _opened(folder) as database, database.writing() as session:
        scenario.fill(session, folder)
    return create_app(folder, LOCAL_HOSTS)


def _check_host(host: str) -> None:
    """Only this machine is answered without pairing; the network is answered by `--lan` alone."""
    from pneumachron.api.app import LOCAL_HOSTS

    if host not in LOCAL_HOSTS:
        typer.echo(
            f"{host} is not this machine alone, and nothing would keep strangers out. "
            "Use --lan: it answers the network over https, to paired browsers only.",
            err=True,
        )
        raise typer.Exit(2)


def _check_port(host: str, port: int) -> None:
    """A port that is taken is found before anything is written or said to be served."""
    import socket

    try:
        family = socket.AF_INET6 if ":" in host else socket.AF_INET
        with socket.create_server((host, port), family=family):
            return
    except PermissionError:
        said = f"This account may not use port {port}."
    except OSError:
        said = f"Another program already uses port {port} of this machine."
    another = port + 1 if 1024 <= port < 65535 else 8137
    typer.echo(f"{said} Take another port: --port {another}.", err=True)
    raise typer.Exit(2)


def _check_folder(data: Path, port: int) -> None:
    """Open the folder once before serving it, and say in one sentence what is wrong with it."""
    from pneumachron.api.problems import problem_of
    from pneumachron.store.db import Database
    from pneumachron.store.errors import StoreError
    from pneumachron.store.folder import held
    from pneumachron.text.reader import READING

    try:
        with held(data, port):
            Database(data).close()
    except (StoreError, OSError) as error:
        found = problem_of(error)
        if found is None:
            raise
        reader = READING.get()
        typer.echo(f"{found.message(reader)} {found.hint(reader)}", err=True)
        raise typer.Exit(2) from None


def _serve_lan(data: Path, port: int) -> None:
    """Answer the network: paired browsers only, over https."""
    import segno
    import uvicorn

    from pneumachron.api.app import LOCAL_HOSTS, create_app
    from pneumachron.api.lan import PAIR_PATH, own_address, prepare

    _check_folder(data, port)
    found = prepare(data, own_address())
    address = f"https://{found.address}:{port}"
    pairing = f"{address}{PAIR_PATH}?code={found.pairing.code()}"
    typer.echo(f"Pneumachron for this network: {address} (data in {data}); Ctrl+C stops it.")
    typer.echo("Scan this with the phone within ten minutes, or open the address below it:")
    segno.make(pairing, error="m").terminal(compact=True)
    typer.echo(pairing)
    typer.echo(
        "The browser will say that it does not know who made the certificate: this app did, just "
        "now, for itself.\nCompare the fingerprint it shows, then go on; it asks once.\n"
        f"SHA-256 {found.fingerprint}"
    )
    served = create_app(data, LOCAL_HOSTS | {found.address}, lan=found, port=port)
    uvicorn.run(
        served,
        host="0.0.0.0",
        port=port,
        **SERVING,
        ssl_certfile=found.certificate,
        ssl_keyfile=found.key,
    )


@app.command()
def plan(
    file: Annotated[str, typer.Argument(help="A request as JSON, or - for standard input.")],
) -> None:
    """Work out a plan: the same JSON in and out as POST /api/plan.

    The pot is a ready one; without an altitude it is sea level, without a start 4 °C.
    """
    from pneumachron.api.schemas.cook_request import PlanIn
    from pneumachron.api.schemas.plan import PlanOut
    from pneumachron.services.planning import work_out
    from pneumachron.text.vocabulary import ready_cooker

    text = _read(file)
    with _told():
        request = PlanIn.model_validate_json(text)
        document = work_out(request.to_inputs(), ready_cooker(request.pot))
    typer.echo(PlanOut.model_validate(document).model_dump_json(indent=2))


@app.command("convert")
def convert_file(
    file: Annotated[str, typer.Argument(help="A recipe as text, Markdown, web page or JSON-LD.")],
    cooker: Annotated[str, typer.Option(help="A ready cooker, such as tenor.")] = "tenor",
    altitude: Annotated[str, typer.Option(help="Such as 1150 m or 3800 ft.")] = "0 m",
    form: Annotated[Form, typer.Option("--format", help="An open format.")] = "text",
) -> None:
    """Convert a recipe for a pressure cooker; what it does not say is told on the error output."""
    from pneumachron.core.units import parse_measure
    from pneumachron.services.recipes import convert_alone
    from pneumachron.text.reader import READING
    from pneumachron.text.vocabulary import ready_cooker

    content = _read_bytes(file, MAX_BYTES)
    with _told():
        found = convert_alone(
            content, "" if file == "-" else Path(file).name, ready_cooker(cooker),
            parse_measure(altitude, "altitude", "altitude"), form,
            metric=READING.get().units == "metric",
        )  # fmt: skip
    for line in (*(f"assumed: {line}" for line in found.assumed), *found.remarks):
        typer.echo(line, err=True)
    typer.echo(found.text, nl=not found.text.endswith("\n"))


@app.command()
def ask(
    question: Annotated[
        str,
        typer.Argument(
            help="what-if, ready-by, minutes, not-done, interrupted, other-pressure, batches, "
            "prep or sauce."
        ),
    ],
    file: Annotated[str, typer.Argument(help="The question as JSON, or - for standard input.")],
    data: DataFolder = DEFAULT_DATA,
) -> None:
    """Ask around a plan: the same JSON in and out as POST /api/plan/QUESTION.

    Pots and defaults are those of the household in the data folder.
    """
    from pneumachron.api.questions import QUESTIONS

    if question not in QUESTIONS:
        known = ", ".join(QUESTIONS)
        _fail("unknown_question", question=question, known=known)
    kind = QUESTIONS[question]
    text = _read(file)
    with _told(), _opened(data) as database, database.session() as session:
        _read_by(session)
        asked = kind.asked.model_validate_json(text)
        answer = kind.answered.model_validate(kind.answer(asked, session))
        typer.echo(answer.model_dump_json(indent=2))


@app.command()
def backup(
    data: DataFolder = DEFAULT_DATA,
) -> None:
    """Print everything as one JSON file."""
    from pneumachron.services.backup import backup as make_backup

    with _told(), _opened(data) as database, database.session() as session:
        _print(make_backup(session, data))


@app.command()
def restore(
    file: Annotated[str, typer.Argument(help="What `backup` printed, or - for standard input.")],
    data: DataFolder = DEFAULT_DATA,
    dry_run: Annotated[bool, typer.Option(help="Only say what it would change.")] = False,
) -> None:
    """Take a backup in, also one that is too large for the screen."""
    from pneumachron.api.restoring import take_in

    text = _read(file, MAX_BACKUP_BYTES)
    with _told(), _opened(data, exclusive=not dry_run) as database, database.session() as session:
        _, changes = take_in(session, data, json.loads(text), dry_run=dry_run)
    for change in changes:
        typer.echo(
            f"{change.kind}: {change.added} new, {change.changed} changed, {change.same} the same"
        )


@app.command("copies")
def list_copies(data: DataFolder = DEFAULT_DATA) -> None:
    """List the copies that the app made of its database by itself."""
    from pneumachron.store import copies

    for copy in copies.listed(data):
        typer.echo(f"{copy.name}  {copy.size_bytes // 1024} kB")


@app.command("use-copy")
def use_copy(
    name: Annotated[str, typer.Argument(help="A name that `copies` lists.")],
    data: DataFolder = DEFAULT_DATA,
) -> None:
    """Go back to a copy, also when the database is damaged; what is there now is kept aside."""
    from pneumachron.store import copies
    from pneumachron.store.db import FILE_NAME, Database
    from pneumachron.store.folder import held

    database = data / FILE_NAME
    with _told(), held(data):
        try:
            copies.file_of(data, name)
        except LookupError:
            _fail("no_copy", "name", name=name)
        if database.exists() and copies.is_whole(database):
            copies.make(database, "before-restore")
            copies.bring_back(database, name)
            typer.echo("The state before is kept as a copy of its own.")
        else:
            aside = copies.replace_damaged(database, name)
            typer.echo(f"The damaged file is kept as {aside.name}.")
        Database(data).close()
    typer.echo(f"Back to {name}.")


@app.command("import-log")
def import_log(
    file: Annotated[str, typer.Argument(help="CSV or JSON-LD that the log exported, or -.")],
    data: DataFolder = DEFAULT_DATA,
) -> None:
    """Take a long log in, telling how far it is. Ctrl+C stops it; what is in stays in."""
    from pneumachron.api.plan_cells import read_plan
    from pneumachron.services import log_files, log_rows

    def progress(count: int) -> bool:
        typer.echo(f"\r{count} rows", err=True, nl=False)
        return True

    text = _read(file, MAX_LOG_BYTES).removeprefix("\ufeff")
    with _told(), _opened(data, exclusive=True) as database:
        rows = log_rows.rows_of(text)
        found = log_files.Imported()
        with suppress(KeyboardInterrupt):
            log_files.read_in_batches(database.session, rows, found, read_plan, progress)
    for row in found.told:
        typer.echo(f"line {row.line}: {row.message}", err=True)
    typer.echo(f"{found.added} added, {found.known} known, {found.bad} not read")


@app.command()
def openapi() -> None:
    """Print the description of the API."""
    from pneumachron.api.app import create_app

    _print(create_app(DEFAULT_DATA).openapi())


@contextmanager
def _opened(data: Path, *, exclusive: bool = False) -> Iterator["Database"]:
    """The database of a data folder; `exclusive`: while no app serves it.

    Raises
    ------
    StoreError : it cannot be opened, or is in use.
    """
    from pneumachron.store.db import Database
    from pneumachron.store.folder import held

    with held(data) if exclusive else nullcontext():
        database = Database(data)
        try:
            yield database
        finally:
            database.close()


@contextmanager
def _told() -> Iterator[None]:
    """Turn every error that has words into one line of JSON: the same words as over HTTP."""
    from pneumachron.api.problems import problem_of

    try:
        yield
    except Exception as error:
        found = problem_of(error)
        if found is None:
            raise
        _tell(found)


def _read(file: str, most: int = MAX_FILE_BYTES) -> str:
    try:
        return _read_bytes(file, most).decode("utf-8")
    except UnicodeDecodeError:
        _fail("body_not_utf8")


def _read_bytes(file: str, most: int) -> bytes:
    try:
        if file == "-":
            raw = sys.stdin.buffer.read(most + 1)
        else:
            with Path(file).open("rb") as opened:
                raw = opened.read(most + 1)
    except OSError as error:
        _fail("unreadable_file", file=file, detail=error.strerror or "")
    if len(raw) > most:
        _fail("too_large", limit_kb=most // 1024)
    return raw


def _fail(code: str, field: str | None = None, **params: "Param") -> NoReturn:
    from pneumachron.api.problems import Trouble

    _tell(Trouble(422, code, params, field))


def _tell(trouble: "Trouble") -> NoReturn:
    from pneumachron.text.reader import READING

    reader = READING.get()
    problem = {
        "code": trouble.code,
        "message": trouble.message(reader),
        "field": trouble.field,
        "hint": trouble.hint(reader) or "",
    }
    typer.echo(json.dumps(problem, ensure_ascii=False), err=True)
    raise typer.Exit(2)


def _print(content: dict[str, Any]) -> None:
    typer.echo(json.dumps(content, ensure_ascii=False, indent=2))


if __name__ == "__main__":
    app()

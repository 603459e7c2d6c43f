"""The command line: serve the app, work out a plan from a file, back up, print the API."""

import json
import sys
from collections.abc import Iterator
from contextlib import contextmanager, suppress
from pathlib import Path
from typing import Annotated, Any, NoReturn

import typer
from platformdirs import user_data_path
from pydantic import ValidationError

from pneumachron.core.errors import OutOfRangeError, WishError
from pneumachron.services.errors import VersionError

app = typer.Typer(no_args_is_help=True, add_completion=False, pretty_exceptions_enable=False)
DataFolder = Annotated[
    Path,
    typer.Option("--data", help="Folder with the database.", envvar="PNEUMACHRON_DATA"),
]
DEFAULT_DATA = user_data_path("pneumachron")
MAX_FILE_BYTES = 256 * 1024
MAX_LOG_BYTES = 128 * 1024 * 1024
"""A hundred thousand cooks with long notes."""
MAX_BACKUP_BYTES = 1024 * 1024 * 1024
"""Some thousands of photos."""


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
    from pneumachron.store.db import Database

    if demo:
        database = Database(data)
        with database.session() as session:
            scenario.fill(session, data)
        database.close()
    if lan:
        _serve_lan(data, port)
        return
    typer.echo(f"Pneumachron: http://{host}:{port} (data in {data}); Ctrl+C stops it.")
    served = create_app(data, LOCAL_HOSTS | {host})
    uvicorn.run(served, host=host, port=port, log_level="warning", access_log=False)


def _serve_lan(data: Path, port: int) -> None:
    """Answer the network: paired browsers only, over https."""
    import segno
    import uvicorn

    from pneumachron.api.app import LOCAL_HOSTS, create_app
    from pneumachron.api.lan import PAIR_PATH, own_address, prepare

    found = prepare(data, own_address())
    address = f"https://{found.address}:{port}"
    pairing = f"{address}{PAIR_PATH}?token={found.token}"
    typer.echo(f"Pneumachron for this network: {address} (data in {data}); Ctrl+C stops it.")
    typer.echo("Scan this with the phone, or open the address below it:")
    segno.make(pairing, error="m").terminal(compact=True)
    typer.echo(pairing)
    typer.echo(
        "The browser will say that it does not know who made the certificate: this app did, just "
        "now, for itself.\nCompare the fingerprint it shows, then go on; it asks once.\n"
        f"SHA-256 {found.fingerprint}"
    )
    served = create_app(data, LOCAL_HOSTS | {found.address}, lan=found)
    uvicorn.run(
        served,
        host="0.0.0.0",
        port=port,
        log_level="warning",
        access_log=False,
        ssl_certfile=found.certificate,
        ssl_keyfile=found.key,
    )


@app.command()
def plan(
    file: Annotated[str, typer.Argument(help="A wish as JSON, or - for standard input.")],
) -> None:
    """Work out a plan: the same JSON in and out as POST /api/plan.

    The pot is a ready one; without an altitude it is sea level, without a start 4 °C.
    """
    from pneumachron.api.schemas.plan import PlanIn, PlanOut
    from pneumachron.core.pots import ready_pot
    from pneumachron.services.planning import work_out

    text = _read(file)
    with _told():
        wish = PlanIn.model_validate_json(text)
        document = work_out(wish.to_inputs(), ready_pot(wish.pot))
    typer.echo(PlanOut.model_validate(document).model_dump_json(indent=2))


@app.command()
def ask(
    question: Annotated[
        str,
        typer.Argument(
            help="what-if, ready-by, minutes, opened, stopped, other-pressure, batches, around or "
            "sauce."
        ),
    ],
    file: Annotated[str, typer.Argument(help="The question as JSON, or - for standard input.")],
    data: DataFolder = DEFAULT_DATA,
) -> None:
    """Ask around a plan: the same JSON in and out as POST /api/plan/QUESTION.

    Pots and defaults are those of the household in the data folder.
    """
    from pneumachron.api.questions import QUESTIONS
    from pneumachron.store.db import Database

    if question not in QUESTIONS:
        known = ", ".join(QUESTIONS)
        _fail("unknown_question", f"“{question}” is not a question.", None, f"Ask one of: {known}.")
    kind = QUESTIONS[question]
    text = _read(file)
    database = Database(data)
    try:
        with database.session() as session, _told():
            asked = kind.asked.model_validate_json(text)
            answer = kind.answered.model_validate(kind.answer(asked, session))
            typer.echo(answer.model_dump_json(indent=2))
    finally:
        database.close()


@app.command()
def backup(
    data: DataFolder = DEFAULT_DATA,
) -> None:
    """Print everything as one JSON file."""
    from pneumachron.services.backup import backup as make_backup
    from pneumachron.store.db import Database

    database = Database(data)
    with database.session() as session:
        _print(make_backup(session, data))
    database.close()


@app.command()
def restore(
    file: Annotated[str, typer.Argument(help="What `backup` printed, or - for standard input.")],
    data: DataFolder = DEFAULT_DATA,
    dry_run: Annotated[bool, typer.Option(help="Only say what it would change.")] = False,
) -> None:
    """Take a backup in, also one that is too large for the screen."""
    from pneumachron.api.restoring import take_in
    from pneumachron.store.db import Database

    text = _read(file, MAX_BACKUP_BYTES)
    database = Database(data)
    try:
        with _told(), database.session() as session:
            _, changes = take_in(session, data, json.loads(text), dry_run=dry_run)
    finally:
        database.close()
    for change in changes:
        typer.echo(
            f"{change.kind}: {change.added} new, {change.changed} changed, {change.same} the same"
        )


@app.command("import-log")
def import_log(
    file: Annotated[str, typer.Argument(help="CSV or JSON-LD that the log exported, or -.")],
    data: DataFolder = DEFAULT_DATA,
) -> None:
    """Take a long log in, telling how far it is. Ctrl+C stops it; what is in stays in."""
    from pneumachron.api.plan_cells import read_plan
    from pneumachron.services import log_files
    from pneumachron.store.db import Database

    def progress(count: int) -> bool:
        typer.echo(f"\r{count} rows", err=True, nl=False)
        return True

    text = _read(file, MAX_LOG_BYTES).removeprefix("\ufeff")
    database = Database(data)
    with _told():
        rows = log_files.rows_of(text)
        found = log_files.Imported()
        with suppress(KeyboardInterrupt):
            log_files.read_in_batches(database.session, rows, found, read_plan, progress)
    database.close()
    for row in found.told:
        typer.echo(f"line {row.line}: {row.message}", err=True)
    typer.echo(f"{found.added} added, {found.known} known, {found.bad} not read")


@app.command()
def openapi() -> None:
    """Print the description of the API."""
    from pneumachron.api.app import create_app

    _print(create_app(DEFAULT_DATA).openapi())


@contextmanager
def _told() -> Iterator[None]:
    """Turn errors into one line of JSON."""
    try:
        yield
    except ValidationError as error:
        first = error.errors()[0]
        where = ".".join(str(part) for part in first["loc"])
        _fail("invalid_input", first["msg"], where, "Correct the file and try again.")
    except WishError as error:
        _fail(error.code, error.message, error.field, error.hint)
    except json.JSONDecodeError as error:
        _fail("not_json", f"This is not JSON: {error}.", None, "Choose another file.")
    except VersionError:
        _fail("newer_version", "A newer version wrote this.", None, "Update the app first.")
    except OutOfRangeError as error:
        hint = f"It must be {error.low:g} to {error.high:g} {error.unit}."
        _fail("out_of_range", f"{error.name} is {error.value:g}.", error.name, hint)


def _read(file: str, most: int = MAX_FILE_BYTES) -> str:
    try:
        if file == "-":
            raw = sys.stdin.buffer.read(most + 1)
        else:
            with Path(file).open("rb") as opened:
                raw = opened.read(most + 1)
        if len(raw) > most:
            limit = f"{most // 1024} kB"
            _fail("too_large", f"This is more than {limit}.", None, "Send less at a time.")
        return raw.decode("utf-8")
    except OSError as error:
        _fail("unreadable_file", f"{file}: {error.strerror}.", None, "Check the name.")
    except UnicodeDecodeError:
        _fail("not_text", "This is not UTF-8 text.", None, "Save the file as UTF-8.")


def _fail(code: str, message: str, field: str | None, hint: str) -> NoReturn:
    problem = {"code": code, "message": message, "field": field, "hint": hint}
    typer.echo(json.dumps(problem, ensure_ascii=False), err=True)
    raise typer.Exit(2)


def _print(content: dict[str, Any]) -> None:
    typer.echo(json.dumps(content, ensure_ascii=False, indent=2))


if __name__ == "__main__":
    app()

"""The log and the backup on the command line; one of them run as a cook runs it."""

import json
import subprocess
import sys
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path

import pytest
from fastapi import FastAPI
from fastapi.testclient import TestClient
from typer.testing import CliRunner, Result

from pneumachron.cli import app as cli
from pneumachron.store.db import FILE_NAME
from tests.api.test_log_files import csv_of, pot_name
from tests.conftest import BRISKET

PROGRAM = str(Path(sys.executable).with_name("pneumachron"))


def run(*words: str, stdin: str | None = None, status: int = 0) -> Result:
    """In this process: loading the program takes seconds each time."""
    done = CliRunner().invoke(cli, words, input=stdin)
    assert done.exit_code == status, done.stderr
    return done


@contextmanager
def asking(app: FastAPI, folder: Path) -> Iterator[TestClient]:
    app.state.folder = folder
    with TestClient(app, base_url="http://127.0.0.1") as client:
        yield client


@pytest.fixture
def folder(app: FastAPI, tmp_path: Path, prepared: bytes) -> Path:
    """A household with one cook in its log."""
    place = tmp_path / "here"
    place.mkdir()
    (place / FILE_NAME).write_bytes(prepared)
    with asking(app, place) as client:
        client.post("/api/cooks", json={"name": "Kept", "plan": BRISKET})
    return place


def log_file(app: FastAPI, folder: Path, *rows: dict[str, str]) -> str:
    with asking(app, folder) as client:
        return csv_of(pot_name(client), *rows)


def test_a_log_comes_in_once_and_bad_rows_are_told(
    app: FastAPI, folder: Path, tmp_path: Path
) -> None:
    file = tmp_path / "log.csv"
    rows = ({"texture": "tender"}, {"texture": "like leather"}, {"texture": "very"})
    file.write_text(
        log_file(app, folder, *rows), encoding="utf-8-sig"
    )  # as a spreadsheet writes it
    words = [PROGRAM, "import-log", str(file), "--data", str(folder)]
    first = subprocess.run(words, capture_output=True, text=True, check=True)
    assert first.stdout == "2 added, 0 known, 1 not read\n"
    assert "line 3" in first.stderr
    assert "like leather" in first.stderr
    again = run("import-log", "-", "--data", str(folder), stdin=file.read_text("utf-8-sig"))
    assert again.stdout == "0 added, 2 known, 1 not read\n"


@pytest.mark.parametrize(
    ("content", "code"),
    [(b"a,b\n1,2\n", "columns"), (b"{}", "jsonld"), (b"\xff\xfe\x00", "body_not_utf8")],
)
def test_what_is_no_log_is_told_in_one_line(
    folder: Path, tmp_path: Path, content: bytes, code: str
) -> None:
    file = tmp_path / "odd.csv"
    file.write_bytes(content)
    told = json.loads(run("import-log", str(file), "--data", str(folder), status=2).stderr)
    assert told["code"] == code
    assert told["hint"]


def test_a_missing_file(folder: Path) -> None:
    told = json.loads(run("import-log", "not-there", "--data", str(folder), status=2).stderr)
    assert told["code"] == "unreadable_file"


def test_everything_moves_to_another_machine(app: FastAPI, folder: Path, tmp_path: Path) -> None:
    copy = tmp_path / "copy.json"
    copy.write_text(run("backup", "--data", str(folder)).stdout, encoding="utf-8")
    there = tmp_path / "there"
    dry = run("restore", str(copy), "--dry-run", "--data", str(there))
    assert "cooks: 1 new, 0 changed, 0 the same" in dry.stdout
    # a dry run changed nothing
    assert run("restore", str(copy), "--dry-run", "--data", str(there)).stdout == dry.stdout
    run("restore", str(copy), "--data", str(there))
    again = run("restore", str(copy), "--data", str(there))
    assert "cooks: 0 new, 0 changed, 1 the same" in again.stdout
    with asking(app, there) as client:
        assert [item["name"] for item in client.get("/api/cooks").json()["cooks"]] == ["Kept"]


@pytest.mark.parametrize(
    ("content", "code"),
    [
        ("no JSON", "not_json"),
        ("[]", "not_a_backup"),
        ('{"envelope": "pneumachron-backup", "envelope_version": 99}', "newer_version"),
    ],
)
def test_what_is_no_backup(folder: Path, content: str, code: str) -> None:
    told = json.loads(run("restore", "-", "--data", str(folder), stdin=content, status=2).stderr)
    assert told["code"] == code

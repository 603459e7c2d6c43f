"""The log and the backup on the command line, run as a cook runs them."""

import json
import subprocess
import sys
from pathlib import Path

import pytest
from fastapi.testclient import TestClient

from pneumachron.api.app import LOCAL_HOSTS, create_app
from tests.api.test_log_files import csv_of, pot_name
from tests.conftest import BRISKET

PROGRAM = str(Path(sys.executable).with_name("pneumachron"))


def run(*words: str, stdin: str | None = None, status: int = 0) -> subprocess.CompletedProcess[str]:
    done = subprocess.run(
        [PROGRAM, *words], input=stdin, capture_output=True, text=True, check=False
    )
    assert done.returncode == status, done.stderr
    return done


@pytest.fixture
def folder(tmp_path: Path) -> Path:
    """A household with one cook in its log."""
    place = tmp_path / "here"
    with TestClient(create_app(place, LOCAL_HOSTS), base_url="http://127.0.0.1") as client:
        client.post("/api/cooks", json={"name": "Kept", "plan": BRISKET})
    return place


def log_file(folder: Path, *rows: dict[str, str]) -> str:
    with TestClient(create_app(folder, LOCAL_HOSTS), base_url="http://127.0.0.1") as client:
        return csv_of(pot_name(client), *rows)


def test_a_log_comes_in_once_and_bad_rows_are_told(folder: Path, tmp_path: Path) -> None:
    file = tmp_path / "log.csv"
    rows = ({"texture": "tender"}, {"texture": "like leather"}, {"texture": "very"})
    file.write_text(log_file(folder, *rows), encoding="utf-8-sig")  # as a spreadsheet writes it
    first = run("import-log", str(file), "--data", str(folder))
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


def test_everything_moves_to_another_machine(folder: Path, tmp_path: Path) -> None:
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
    with TestClient(create_app(there, LOCAL_HOSTS), base_url="http://127.0.0.1") as client:
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

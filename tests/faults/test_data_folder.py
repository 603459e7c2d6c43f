"""The data folder: one process at a time, damaged, newer, full, read only, private, its copies."""

import json
import os
import resource
import shutil
import signal
import sqlite3
import stat
import subprocess
import sys
import time
from collections.abc import Iterator
from io import BytesIO
from pathlib import Path
from threading import Thread

import httpx2
import pytest
from fastapi.testclient import TestClient
from PIL import Image
from typer.testing import CliRunner

from pneumachron.api.app import LOCAL_HOSTS, create_app
from pneumachron.cli import app as cli
from pneumachron.store import copies
from pneumachron.store.db import FILE_NAME, Database
from pneumachron.store.errors import DamagedError, FolderInUseError, NewerFolderError
from pneumachron.store.folder import held
from tests.conftest import BRISKET
from tests.live import START_S, free_port, serving, start, wait_for

PROGRAM = str(Path(sys.executable).with_name("pneumachron"))


def served(folder: Path) -> TestClient:
    return TestClient(
        create_app(folder, LOCAL_HOSTS),
        base_url="http://127.0.0.1",
        raise_server_exceptions=False,
    )


def plan_named(client: TestClient, name: str) -> str:
    reply = client.post("/api/plans", json={"name": name, "inputs": BRISKET})
    assert reply.status_code == 201, reply.text
    return str(reply.json()["id"])


def names(client: TestClient) -> set[str]:
    return {plan["name"] for plan in client.get("/api/plans").json()["plans"]}


# one process


def test_a_second_server_says_who_has_the_folder(tmp_path: Path) -> None:
    port = free_port()
    with serving(tmp_path, demo=False, port=port):
        second = subprocess.run(
            [PROGRAM, "serve", "--port", str(free_port()), "--data", str(tmp_path)],
            capture_output=True, text=True, timeout=START_S, check=False,
        )  # fmt: skip
    assert second.returncode == 2
    assert f"on port {port}" in second.stderr
    assert "Traceback" not in second.stderr
    assert len(second.stderr.strip().splitlines()) == 1


def test_a_port_that_is_taken_is_said(tmp_path: Path) -> None:
    with serving(tmp_path / "one", demo=False, port=(port := free_port())):
        second = subprocess.run(
            [PROGRAM, "serve", "--port", str(port), "--data", str(tmp_path / "two")],
            capture_output=True, text=True, timeout=START_S, check=False,
        )  # fmt: skip
    assert second.returncode == 2
    assert second.stderr.startswith(f"Another program already uses port {port} of this machine.")
    assert f"--port {port + 1}" in second.stderr
    assert not second.stdout


def test_the_lock_goes_with_a_killed_process(tmp_path: Path) -> None:
    process = start(tmp_path, port := free_port())
    wait_for(f"http://127.0.0.1:{port}/api/health", process)
    process.kill()
    process.join()
    with serving(tmp_path, demo=False) as address:
        assert httpx2.get(f"{address}/api/health").status_code == 200


def test_commands_that_write_wait_for_nobody(tmp_path: Path) -> None:
    with held(tmp_path, 8137):
        with pytest.raises(FolderInUseError) as refused, held(tmp_path):
            pass
        assert (refused.value.process, refused.value.port) == (os.getpid(), 8137)
        said = CliRunner().invoke(cli, ["use-copy", "x", "--data", str(tmp_path)])
        assert (said.exit_code, json.loads(said.stderr)["code"]) == (2, "folder_in_use")


# damaged, newer


def spoiled(folder: Path) -> None:
    """A page of the file overwritten, as a failing disk does it."""
    file = folder / FILE_NAME
    for suffix in ("-wal", "-shm"):
        file.with_name(FILE_NAME + suffix).unlink(missing_ok=True)
    content = bytearray(file.read_bytes())
    content[4096:12_288] = b"\xa5" * 8192
    file.write_bytes(content)


def test_a_damaged_file_is_said_and_the_newest_good_copy_brings_all_back(tmp_path: Path) -> None:
    with served(tmp_path) as client:
        plan_named(client, "Before the damage")
        time.sleep(0.1)
    old = copies.make(tmp_path / FILE_NAME, "daily")
    time.sleep(1.1)
    newest = copies.make(tmp_path / FILE_NAME, "daily")
    spoiled(tmp_path / "copies" / newest.name)  # the newest copy is damaged too
    spoiled(tmp_path)
    with pytest.raises(DamagedError) as damaged:
        Database(tmp_path)
    assert damaged.value.copy == old.name
    said = CliRunner().invoke(cli, ["serve", "--data", str(tmp_path)])
    assert said.exit_code == 2
    assert old.name in said.stderr
    assert "Traceback" not in said.stderr
    back = CliRunner().invoke(cli, ["use-copy", old.name, "--data", str(tmp_path)])
    assert back.exit_code == 0, back.stderr
    assert list(tmp_path.glob("damaged-*.sqlite3"))
    with served(tmp_path) as client:
        assert names(client) == {"Before the damage"}


@pytest.mark.parametrize("content", [b"no database at all, but long enough for a header" * 40])
def test_no_database_is_said_in_one_sentence(tmp_path: Path, content: bytes) -> None:
    (tmp_path / FILE_NAME).write_bytes(content)
    said = CliRunner().invoke(cli, ["serve", "--data", str(tmp_path)])
    assert said.exit_code == 2
    assert "damaged" in said.stderr
    assert len(said.stderr.strip().splitlines()) == 1
    assert (tmp_path / FILE_NAME).read_bytes() == content


def test_a_newer_folder_is_refused_and_left_alone(tmp_path: Path) -> None:
    Database(tmp_path).close()
    with sqlite3.connect(tmp_path / FILE_NAME) as plain:
        plain.execute("UPDATE alembic_version SET version_num = '9999'")
    plain.close()
    with pytest.raises(NewerFolderError):
        Database(tmp_path)
    said = CliRunner().invoke(cli, ["serve", "--data", str(tmp_path)])
    assert (said.exit_code, len(said.stderr.strip().splitlines())) == (2, 1)
    assert "newer version" in said.stderr
    assert not (tmp_path / "copies").exists()


# copies


def test_copies_rotate_and_lead_back(tmp_path: Path) -> None:
    with served(tmp_path) as client:
        plan_named(client, "First")
        cook = client.post("/api/cooks", json={"name": "Kept", "plan": BRISKET}).json()["id"]
        first = copies.make(tmp_path / FILE_NAME, "before-upgrade")
        plan_named(client, "Second")
        note = {"key": "told-later", "kind": "note", "text": "after the copy"}
        client.post(f"/api/cooks/{cook}/events", json=note)
        listed = client.get("/api/copies").json()
        assert first.name in {copy["name"] for copy in listed["copies"]}
        assert listed["free_bytes"] > 0
        undo = client.post(f"/api/copies/{first.name}/use").json()
        assert names(client) == {"First"}
        keys = [item["key"] for item in client.get(f"/api/cooks/{cook}/events").json()["events"]]
        assert "told-later" not in keys
        client.post(f"/api/copies/{undo['name']}/use")  # and back again
        assert names(client) == {"First", "Second"}
        keys = [item["key"] for item in client.get(f"/api/cooks/{cook}/events").json()["events"]]
        assert "told-later" in keys
        assert client.post("/api/copies/20200101T000000Z-daily/use").status_code == 404


def test_only_the_last_copies_are_kept(tmp_path: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    Database(tmp_path).close()
    folder = tmp_path / "copies"
    for day in range(1, 10):
        copy = copies.make(tmp_path / FILE_NAME, "daily")
        (folder / copy.name).rename(folder / f"202601{day:02d}T120000Z-daily")
    kept = [copy.name[:8] for copy in copies.listed(tmp_path)]
    copies.make(tmp_path / FILE_NAME, "daily")
    assert kept[0] == "20260109"
    after = [copy.name[:8] for copy in copies.listed(tmp_path)]
    assert len(after) == copies.KEPT["daily"]
    assert after[1:] == kept[: copies.KEPT["daily"] - 1]
    monkeypatch.setattr(copies, "MAX_BYTES", 1)
    time.sleep(1.1)
    newest = copies.make(tmp_path / FILE_NAME, "daily")
    assert [copy.name for copy in copies.listed(tmp_path)] == [newest.name]


def test_a_restore_can_be_undone(tmp_path: Path) -> None:
    with served(tmp_path) as client:
        plan_named(client, "Mine")
        whole = client.get("/api/backup").json()
        whole["household"]["name"] = "Somebody else's"
        client.post("/api/restore", params={"dry_run": False}, json=whole)
        assert client.get("/api/household").json()["name"] == "Somebody else's"
        (copy,) = [
            item
            for item in client.get("/api/copies").json()["copies"]
            if item["reason"] == "before-restore"
        ]
        client.post(f"/api/copies/{copy['name']}/use")
        assert client.get("/api/household").json()["name"] == "Our kitchen"


# full, read only


@pytest.fixture
def limited() -> Iterator[None]:
    """Files of this process may grow no further: what a full disk does, for SQLite too."""
    handler = signal.signal(signal.SIGXFSZ, signal.SIG_IGN)
    yield
    resource.setrlimit(resource.RLIMIT_FSIZE, (resource.RLIM_INFINITY, resource.RLIM_INFINITY))
    signal.signal(signal.SIGXFSZ, handler)


@pytest.mark.usefixtures("limited")
def test_a_full_disk_refuses_in_words_and_a_cook_goes_on(tmp_path: Path) -> None:
    with served(tmp_path) as client:
        body = {"name": "Under way", "plan": BRISKET, "connected": True}
        cook = client.post("/api/cooks", json=body).json()["id"]
        timer = {"key": "timer-1", "kind": "timer_started", "timer_id": "rest-1",
                 "step_id": "rest", "title": "rest", "seconds": 600}  # fmt: skip
        assert client.post(f"/api/cooks/{cook}/events", json=timer).status_code == 200
        resource.setrlimit(resource.RLIMIT_FSIZE, (1, resource.RLIM_INFINITY))
        refused = [
            client.post("/api/plans", json={"name": "x", "inputs": BRISKET}),
            client.post(f"/api/cooks/{cook}/events",
                        json={"key": "note-1", "kind": "note", "text": "x"}),
            client.put("/api/household", json={"name": "x", "altitude": "0 m", "start": "4 °C",
                                               "units": "metric"}),
            client.post(f"/api/cooks/{cook}/photos", content=_picture(),
                        headers={"content-type": "image/png"}),
        ]  # fmt: skip
        assert [reply.status_code for reply in refused] == [507] * len(refused)
        assert {reply.json()["code"] for reply in refused} <= {"disk_full", "not_writable"}
        # reading depends on no writing
        shown = client.get(f"/api/cooks/{cook}")
        assert shown.status_code == 200
        assert 590 <= shown.json()["timers"][0]["left_s"] <= 600
        for path in ("/api/plans", "/api/cooks", "/api/lessons", "/api/backup", "/api/copies"):
            assert client.get(path).status_code == 200, path
        assert client.post("/api/plan", json=BRISKET).status_code == 200
        resource.setrlimit(resource.RLIMIT_FSIZE, (resource.RLIM_INFINITY, resource.RLIM_INFINITY))
        assert client.post("/api/plans", json={"name": "x", "inputs": BRISKET}).status_code == 201
        # the copy of the day may be under way; when it is done, nothing half-written is left
        until = time.monotonic() + 20.0
        while list(tmp_path.rglob("*.new")) and time.monotonic() < until:
            time.sleep(0.1)
        assert not list(tmp_path.rglob("*.new"))
        assert not list((tmp_path / "photos").glob("*"))


def _picture() -> bytes:
    written = BytesIO()
    Image.new("RGB", (40, 30), "red").save(written, "PNG")
    return written.getvalue()


def test_a_folder_that_may_only_be_read_is_shown(tmp_path: Path) -> None:
    """In a process of an unprivileged user: root may write anywhere."""
    if os.geteuid() != 0:
        pytest.skip("only root can become another user")
    folder = tmp_path / "data"
    with served(folder) as client:
        plan_named(client, "To be read")
    nobody = 65534
    for path in (folder, *folder.rglob("*")):
        os.chown(path, nobody, nobody)
        path.chmod(0o500 if path.is_dir() else 0o400)
    for parent in (folder, *folder.parents):
        if parent.stat().st_uid == 0 and parent != Path("/"):
            parent.chmod(parent.stat().st_mode | 0o011)
    child = os.fork()
    if child == 0:
        code = 1
        try:
            os.setgid(nobody)
            os.setuid(nobody)
            with served(folder) as client:
                assert names(client) == {"To be read"}
                reply = client.post("/api/plans", json={"name": "x", "inputs": BRISKET})
                assert reply.status_code == 507, reply.text
                assert reply.json()["code"] == "not_writable"
                code = 0
        finally:
            os._exit(code)
    _, status = os.waitpid(child, 0)
    assert os.waitstatus_to_exitcode(status) == 0


# private


def test_the_folder_is_for_its_user_alone(tmp_path: Path) -> None:
    folder = tmp_path / "data"
    with served(folder) as client:
        cook = client.post(
            "/api/cooks", json={"name": "x", "plan": BRISKET, "connected": True}
        ).json()["id"]
        client.post(f"/api/cooks/{cook}/photos", content=_picture(),
                    headers={"content-type": "image/png"})  # fmt: skip
        copies.make(folder / FILE_NAME, "daily")
        for path in (folder, *folder.rglob("*")):
            wanted = 0o700 if path.is_dir() else 0o600
            assert stat.S_IMODE(path.stat().st_mode) == wanted, path


def test_what_a_kill_left_of_photos_is_swept(tmp_path: Path) -> None:
    with served(tmp_path) as client:
        cook = client.post("/api/cooks", json={"name": "x", "plan": BRISKET}).json()["id"]
        photo = client.post(
            f"/api/cooks/{cook}/photos", content=_picture(), headers={"content-type": "image/png"}
        ).json()["id"]
    orphan = tmp_path / "photos" / "11111111-1111-4111-8111-111111111111.jpg"
    orphan.write_bytes(b"half")
    (tmp_path / "photos" / ".x.jpg.99.new").write_bytes(b"half")
    with served(tmp_path):
        assert [path.stem for path in (tmp_path / "photos").iterdir()] == [photo]


def test_a_copy_waits_for_another_one(tmp_path: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    """The daily copy begins while a restore makes its own: both are whole in the end."""
    with served(tmp_path) as client:
        plan_named(client, "Before both")
    for copy in copies.listed(tmp_path):
        shutil.rmtree(tmp_path / copies.FOLDER / copy.name)
    link_all = copies._link_all
    begun: list[Thread] = []

    def with_another(*places: Path) -> None:
        if not begun:
            begun.append(Thread(target=copies.make, args=(tmp_path / FILE_NAME, "daily")))
            begun[0].start()
            begun[0].join(0.5)
        link_all(*places)

    monkeypatch.setattr(copies, "_link_all", with_another)
    copies.make(tmp_path / FILE_NAME, "before-restore")
    begun[0].join()
    assert sorted(copy.reason for copy in copies.listed(tmp_path)) == ["before-restore", "daily"]

"""Photos: what is taken, what is left of it, and what is refused."""

import json
from base64 import b64encode
from concurrent.futures import ThreadPoolExecutor
from io import BytesIO
from pathlib import Path
from threading import Lock
from time import sleep
from typing import Any

import pytest
from fastapi.testclient import TestClient
from PIL import Image, PngImagePlugin

from pneumachron.services import photos
from pneumachron.services.photos import LONG_SIDE_PX, MAX_PHOTO_BYTES, MAX_PHOTOS
from tests.conftest import BRISKET

ORIENTATION, MAKE, GPS = 0x0112, 0x010F, 0x8825
"""Tags of Exif 2.32 (JEITA CP-3451), from memory."""
SECRET = "Upper Lane 7"


def picture(kind: str = "JPEG", size: tuple[int, int] = (60, 40), shade: int = 90) -> bytes:
    """A picture that says where it was taken."""
    made = Image.new("RGB", size, (shade, 60, 40))
    made.paste((250, 250, 250), (0, 0, size[0] // 2, size[1]))
    written = BytesIO()
    exif = made.getexif()
    exif[MAKE] = SECRET
    exif[ORIENTATION] = 6  # the camera lay on its side
    exif.get_ifd(GPS)[1] = "N"
    more: dict[str, Any] = {"exif": exif}
    if kind == "JPEG":
        more["comment"] = SECRET
    if kind == "PNG":
        chunk = PngImagePlugin.PngInfo()
        chunk.add_text("Comment", SECRET)
        more["pnginfo"] = chunk
    made.save(written, kind, **more)
    assert SECRET.encode() in written.getvalue()
    return written.getvalue()


@pytest.fixture
def cook(client: TestClient) -> str:
    found: str = client.post("/api/cooks", json={"name": "Now", "plan": BRISKET}).json()["id"]
    return found


def put(client: TestClient, cook: str, content: bytes, status: int = 201) -> dict[str, Any]:
    reply = client.post(f"/api/cooks/{cook}/photos", content=content)
    assert reply.status_code == status, reply.text
    found: dict[str, Any] = reply.json()
    return found


@pytest.mark.parametrize("kind", ["JPEG", "PNG", "WEBP"])
def test_nothing_but_the_picture_is_kept(client: TestClient, cook: str, kind: str) -> None:
    photo = put(client, cook, picture(kind))
    # turned upright: what was 60 × 40 stands on its short side
    assert (photo["width_px"], photo["height_px"]) == (40, 60)
    shown = client.get(f"/api/photos/{photo['id']}")
    assert shown.headers["content-type"] == "image/jpeg"
    assert shown.headers["x-content-type-options"] == "nosniff"
    assert SECRET.encode() not in shown.content
    with Image.open(BytesIO(shown.content)) as opened:
        assert opened.format == "JPEG"
        assert not opened.getexif()
        assert "comment" not in opened.info
    assert client.get(f"/api/cooks/{cook}").json()["photos"] == [photo]


def test_large_ones_are_made_small_and_bright_ground_stays(client: TestClient, cook: str) -> None:
    photo = put(client, cook, picture(size=(3000, 1000)))
    assert max(photo["width_px"], photo["height_px"]) == LONG_SIDE_PX
    clear = BytesIO()
    Image.new("RGBA", (20, 20), (0, 0, 0, 0)).save(clear, "PNG")
    see_through = put(client, cook, clear.getvalue())
    content = client.get(f"/api/photos/{see_through['id']}").content
    with Image.open(BytesIO(content)) as opened:
        assert min(opened.convert("L").tobytes()) > 240  # on white, not black


def test_the_same_one_twice_is_there_once(client: TestClient, cook: str) -> None:
    first, again = put(client, cook, picture()), put(client, cook, picture())
    assert first["id"] == again["id"]
    assert client.delete(f"/api/photos/{first['id']}").status_code == 204
    assert client.get(f"/api/cooks/{cook}").json()["photos"] == []
    # undone, or put on once more
    assert client.post(f"/api/photos/{first['id']}/restore").status_code == 204
    client.delete(f"/api/photos/{first['id']}")
    assert put(client, cook, picture())["id"] == first["id"]
    assert len(client.get(f"/api/cooks/{cook}").json()["photos"]) == 1


def test_a_sheet_is_not_an_album(client: TestClient, cook: str) -> None:
    for shade in range(MAX_PHOTOS):
        put(client, cook, picture(shade=20 * shade))
    refused = put(client, cook, picture(shade=255), 422)
    assert refused["code"] == "enough_photos"


def bomb() -> bytes:
    """A small file that would be a picture of ten thousand times ten thousand dots."""
    written = BytesIO()
    Image.new("1", (10_000, 10_000)).save(written, "PNG")
    assert len(written.getvalue()) < 100_000
    return written.getvalue()


def gif() -> bytes:
    written = BytesIO()
    Image.new("P", (4, 4)).save(written, "GIF")
    return written.getvalue()


@pytest.mark.parametrize(
    "content",
    [
        b"",
        b"no picture",
        b"<svg xmlns='http://www.w3.org/2000/svg'><script>alert(1)</script></svg>",
        b"\xff\xd8\xff\xe0" + b"\0" * 500,
        picture()[:200],
        picture("PNG")[:60],
        gif(),
        bomb(),
    ],
    ids=["empty", "text", "svg", "head only", "cut short", "cut png", "gif", "bomb"],
)
def test_what_is_no_photo_is_refused(
    client: TestClient, cook: str, content: bytes, tmp_path: Path
) -> None:
    refused = put(client, cook, content, 422)
    assert refused["code"] == "not_a_photo"
    assert refused["hint"]
    assert client.get(f"/api/cooks/{cook}").json()["photos"] == []
    assert list(tmp_path.rglob("*.jpg")) == []


def test_script_behind_a_picture_stays_behind(client: TestClient, cook: str) -> None:
    photo = put(client, cook, picture() + b"<script>alert(1)</script>")
    assert b"<script>" not in client.get(f"/api/photos/{photo['id']}").content


def test_too_large(client: TestClient, cook: str) -> None:
    refused = client.post(f"/api/cooks/{cook}/photos", content=b"x" * (MAX_PHOTO_BYTES + 1))
    assert refused.status_code == 413
    # the larger limit is for this address alone
    assert client.post("/api/plan", content=b"x" * 1_000_000).status_code == 413


@pytest.mark.parametrize(
    "name",
    [
        "..%2F..%2Fpneumachron.sqlite3",
        "../pneumachron.sqlite3",
        "..%5C..%5Cwin.ini",
        "%2Fetc%2Fpasswd",
        "00000000-0000-0000-0000-000000000000%00",
        "-" * 36,
        "0" * 36,
    ],
)
def test_no_way_out_of_the_folder(client: TestClient, cook: str, name: str) -> None:
    put(client, cook, picture())
    reply = client.get(f"/api/photos/{name}")
    assert reply.status_code in {404, 422}
    assert b"SQLite" not in reply.content
    assert client.delete(f"/api/photos/{name}").status_code in {404, 405, 422}


def test_photos_go_along_in_the_backup(client: TestClient, cook: str, tmp_path: Path) -> None:
    photo = put(client, cook, picture())
    whole = client.get("/api/backup").json()
    dry = client.post("/api/restore", json=whole).json()
    assert all((item["added"], item["changed"]) == (0, 0) for item in dry["changes"])
    # onto a machine where this cook never was
    moved = json.loads(json.dumps(whole).replace(cook, "another-cook").replace(photo["id"], NEW_ID))
    assert client.post("/api/restore", params={"dry_run": False}, json=moved).status_code == 200
    there = client.get("/api/cooks/another-cook").json()["photos"]
    assert [item["id"] for item in there] == [NEW_ID]
    assert client.get(f"/api/photos/{NEW_ID}").headers["content-type"] == "image/jpeg"


NEW_ID = "12345678-1234-4234-8234-123456789abc"


def files_of(folder: Path) -> list[str]:
    """Everything in a data folder but the daily copy, which is made when it suits."""
    found = (path.relative_to(folder) for path in folder.rglob("*"))
    return sorted(str(path) for path in found if path.parts[0] != "copies")


@pytest.mark.parametrize(
    "changed",
    [
        {"photo_id": "../../../../etc/cron.d/evil-000000000000"},
        {"photo_id": "..\\" * 12},
        {"photo_id": ""},
        {"jpeg": "not base 64!"},
        {"jpeg": b64encode(b"<script>alert(1)</script>").decode()},
        {"jpeg": b64encode(gif()).decode()},
        {"file": "/etc/passwd"},
    ],
)
def test_a_backup_writes_nothing_it_should_not(
    client: TestClient, cook: str, tmp_path: Path, changed: dict[str, str]
) -> None:
    put(client, cook, picture())
    whole = client.get("/api/backup").json()
    entry = whole["cooks"][0]["photos"][0]
    entry |= {"photo_id": NEW_ID} | changed
    before = files_of(tmp_path)
    refused = client.post("/api/restore", params={"dry_run": False}, json=whole)
    assert refused.status_code == 422
    assert refused.json()["code"] == "not_a_backup"
    assert files_of(tmp_path) == before


def test_pictures_are_opened_one_at_a_time(monkeypatch: pytest.MonkeyPatch) -> None:
    """A large one takes some hundred megabytes while it is read."""
    counting, open_now, most = Lock(), [0], [0]

    def slowly(content: bytes) -> tuple[bytes, tuple[int, int]]:
        with counting:
            open_now[0] += 1
            most[0] = max(most[0], open_now[0])
        sleep(0.02)
        with counting:
            open_now[0] -= 1
        return content, (1, 1)

    monkeypatch.setattr(photos, "_cleaned", slowly)
    with ThreadPoolExecutor(4) as threads:
        assert len(list(threads.map(photos.cleaned, [b""] * 8))) == 8
    assert most[0] == 1

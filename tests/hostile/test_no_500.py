"""Input that once brought a server error: each is answered in words now, and the rest goes on."""

import json
from concurrent.futures import ThreadPoolExecutor
from io import BytesIO
from pathlib import Path
from typing import Any

import pytest
from fastapi.testclient import TestClient
from PIL import Image
from typer.testing import CliRunner

from pneumachron.cli import app as cli
from tests.conftest import BRISKET

JSON = {"content-type": "application/json"}
HUGE = "9" * 400
MOMENTS = (
    "0001-01-01T00:00:00+14:00", "9999-12-31T23:59:59-14:00", "1969-12-31T23:59:59+00:00",
    "2200-01-01T00:00:00+00:00", "2026-11-27T12:00:00", "NaN", "", "12345678901234567890",
)  # fmt: skip


def answered(reply: Any) -> dict[str, Any]:  # noqa: ANN401 - a response of the test client
    assert reply.status_code < 500, reply.text
    found: dict[str, Any] = reply.json()
    if reply.status_code >= 400:
        assert found["message"]
    return found


@pytest.mark.parametrize(
    "charset",
    ["undefined", "idna", "punycode", "unicode_escape", "raw_unicode_escape", "rot13", "hex",
     "base64", "bz2", "zlib", "uu", "mbcs", "oem", "utf-7", "nonsense", "ascii"],
)  # fmt: skip
def test_charsets_that_are_none(client: TestClient, charset: str) -> None:
    page = f"<html><meta charset={charset}><h1>Ribs</h1><p>1 rack back ribs</p>\xe9".encode(
        "latin1"
    )
    assert answered(client.post("/api/recipes/read", content=page))["recipe"]["title"] == "Ribs"


@pytest.mark.parametrize(
    "body",
    [
        '{"name": "\\ud800", "inputs": {}}',
        '{"name": "\\udfff\\ud800"}',
        '{"pieces": [{"cut": "brisket_flat", "count": NaN, "mass": "1 kg"}], "pot": "tenor"}',
        '{"pieces": [{"cut": "brisket_flat", "count": Infinity, "mass": "1 kg"}], "pot": "tenor"}',
        '{"pieces": [{"cut": "brisket_flat", "count": 1e999, "mass": "1 kg"}], "pot": "tenor"}',
        '{"pieces": [{"cut": "brisket_flat", "count": ' + HUGE + ', "mass": "1 kg"}]}',
        '{"pieces": [{"cut": "brisket_flat", "count": 1, "mass": "'
        + HUGE
        + ' kg"}], "pot": "tenor"}',
        "[" * 100_000,
        "{" * 50_000,
        '{"a":' * 5_000,
        "[" + "[]," * 190_000 + "[]]",
        "\x00",
        "\ufeff{}",
        "nul",
        "",
    ],
    ids=lambda body: body[:24],
)
@pytest.mark.parametrize(
    "path", ["/api/plan", "/api/plans", "/api/cooks", "/api/schedule", "/api/recipes/convert",
             "/api/restore", "/api/sauce", "/api/cooks/import"],
)  # fmt: skip
def test_bodies_that_are_none(client: TestClient, path: str, body: str) -> None:
    reply = client.post(path, content=body.encode("utf-8", "surrogatepass"), headers=JSON)
    assert reply.status_code in {400, 413, 422}, (reply.status_code, reply.text)
    answered(reply)


@pytest.mark.parametrize("raw", [b"\xed\xa0\x80", b"\xff\xfe", b"\xc3\x28", b"\xf4\x90\x80\x80"])
def test_bytes_that_are_no_text(client: TestClient, raw: bytes) -> None:
    body = b'{"name": "' + raw + b'", "altitude": "0 m", "start": "4 C", "units": "metric"}'
    reply = client.put("/api/household", content=body, headers=JSON)
    assert reply.status_code in {400, 422}


@pytest.mark.parametrize("moment", MOMENTS)
def test_moments_out_of_all_time(client: TestClient, moment: str) -> None:
    dish = {"dish_id": "a", "title": "x", "plan": BRISKET}
    for path, body in (
        ("/api/schedule", {"table": moment, "dishes": [dish]}),
        ("/api/cooks/entry", {"name": "x", "plan": BRISKET, "started_at": moment, "hold_min": 9}),
    ):
        assert client.post(path, json=body).status_code == 422, path
    listed = client.get("/api/cooks", params={"since": moment})
    assert listed.status_code == 422


@pytest.mark.parametrize(
    "text", [HUGE, f"{HUGE} kg", f"1{HUGE[:50]}e400 kg", "1/0 kg", "∞ kg", "٣ kg", "-1 kg", "\x00"]
)
def test_measures_that_are_none(client: TestClient, text: str) -> None:
    piece = {**BRISKET["pieces"][0], "mass": text}
    assert client.post("/api/plan", json={**BRISKET, "pieces": [piece]}).status_code == 422


def test_numbers_in_recipes(client: TestClient) -> None:
    page = json.dumps(
        {"@type": "Recipe", "name": "Ribs", "recipeYield": 7, "recipeIngredient": ["1 lb ribs"],
         "cookTime": "PT9E9H", "totalTime": f"P{HUGE}D"}
    ).replace("7", HUGE, 1)  # fmt: skip
    answered(client.post("/api/recipes/read", content=page.encode()))
    text = (
        f"Ribs\n{HUGE} lb back ribs\n{HUGE}/{HUGE} cup stock\n"
        f"Bake at {HUGE[:3]} °F for {HUGE} hours."
    )
    read = answered(client.post("/api/recipes/read", content=text.encode()))
    answered(client.post("/api/recipes/convert", json={"recipe": read["recipe"], "pot": "tenor"}))


def test_the_same_photo_four_times_at_once(client: TestClient) -> None:
    cook = client.post("/api/cooks", json={"name": "x", "plan": BRISKET}).json()["id"]
    written = BytesIO()
    Image.new("RGB", (300, 200), "brown").save(written, "JPEG")

    def put(_: int) -> int:
        return client.post(
            f"/api/cooks/{cook}/photos", content=written.getvalue(),
            headers={"content-type": "image/jpeg"},
        ).status_code  # fmt: skip

    with ThreadPoolExecutor(4) as pool:
        assert list(pool.map(put, range(4))) == [201] * 4
    assert len(client.get(f"/api/cooks/{cook}").json()["photos"]) == 1


def test_a_picture_of_too_many_dots_is_refused(client: TestClient) -> None:
    cook = client.post("/api/cooks", json={"name": "x", "plan": BRISKET}).json()["id"]
    written = BytesIO()
    Image.new("1", (8000, 8000)).save(written, "PNG")  # 64 million dots in 8 kB
    reply = client.post(
        f"/api/cooks/{cook}/photos", content=written.getvalue(),
        headers={"content-type": "image/png"},
    )  # fmt: skip
    assert (reply.status_code, reply.json()["code"]) == (422, "not_a_photo")


HEAD = "started [ISO 8601],name,cut,pieces,mass [kg],thickness [cm],pot,hold [min],come up [min]"
GOOD = "2026-11-27T09:00:00+00:00,Good,brisket_flat,2,1.4,4.5,{pot},90,12"


@pytest.mark.parametrize(
    "bad",
    ["0001-01-01T00:00:00+14:00,x,brisket_flat,2,1.4,4.5,{pot},90,12",
     "2026-11-27T09:00:00+00:00,x,brisket_flat,2,1e999,4.5,{pot},90,12",
     "2026-11-27T09:00:00+00:00,x,brisket_flat," + HUGE + ",1.4,4.5,{pot},90,12",
     "2026-11-27T09:00:00+00:00,x,brisket_flat,2,nan,4.5,{pot},90,12",
     "2026-11-27T09:00:00+00:00,x,unicorn,2,1.4,4.5,{pot},90,12",
     "2026-11-27T09:00:00+00:00,x,brisket_flat,2,1.4,4.5,{pot},inf,12",
     "2026-11-27T09:00:00+00:00,x,brisket_flat,2,1.4,4.5,{pot},90,-1e400",
     "9999-12-31T23:59:59-14:00,x,brisket_flat,2,1.4,4.5,{pot},720,180"],
    ids=lambda row: row[-40:],
)  # fmt: skip
def test_one_bad_row_refuses_itself_alone(client: TestClient, bad: str) -> None:
    pot = client.get("/api/pots").json()["pots"][0]["pot"]["name"].replace(",", "")
    name = client.get("/api/pots").json()["pots"][0]["pot"]["name"]
    rows = [row.format(pot=f'"{name}"') for row in (GOOD, bad)]
    assert pot
    found = answered(client.post("/api/cooks/import", json={"text": "\n".join([HEAD, *rows])}))
    assert (found["added"], found["bad"]) == (1, 1)


def test_the_command_line_says_the_same_words(tmp_path: Path) -> None:
    file = tmp_path / "asked.json"
    file.write_text(json.dumps({**BRISKET, "pot": "no-such-pot"}))
    said = CliRunner().invoke(cli, ["ask", "what-if", str(file), "--data", str(tmp_path / "data")])
    assert said.exit_code == 2
    problem = json.loads(said.stderr)
    assert (problem["code"], problem["message"]) == ("not_found", "There is no such cooker here.")

"""The log out and in again: CSV, JSON-LD, backup; bad rows, the same twice, stopped half way."""

import csv
import io
import json
import re
from datetime import UTC, datetime, timedelta
from pathlib import Path

import pytest
from fastapi.testclient import TestClient

from pneumachron.api.app import LOCAL_HOSTS, create_app
from pneumachron.api.plan_cells import read_plan
from pneumachron.services import log_files, log_rows
from pneumachron.services.households import add_ready_pot, current_household
from pneumachron.services.log_plans import PLAN
from pneumachron.store.cooks import Filter, log_page
from pneumachron.store.db import Database
from tests.conftest import BRISKET

BEGIN = datetime(2026, 1, 1, 12, 0, tzinfo=UTC)
ROWS = 5_000
"""A tenth of the fifty thousand that a command of the project takes in."""


def pot_name(client: TestClient) -> str:
    return str(client.get("/api/pots").json()["pots"][1]["pot"]["name"])


def csv_of(pot: str, *rows: dict[str, str]) -> str:
    held = io.StringIO()
    writer = csv.DictWriter(held, log_files.COLUMNS)
    writer.writeheader()
    for index, row in enumerate(rows):
        plain = {
            "started [ISO 8601]": (BEGIN + timedelta(hours=index)).isoformat(),
            "name": f"Supper {index}",
            "cut": "brisket_flat",
            "pieces": "2",
            "mass [kg]": "1.42",
            "thickness [cm]": "4.5",
            "pot": pot,
            "hold [min]": "80",
        }
        writer.writerow({**plain, **row})
    return held.getvalue()


def take(client: TestClient, text: str) -> dict[str, object]:
    reply = client.post("/api/cooks/import", json={"text": text})
    assert reply.status_code == 200, reply.text
    found: dict[str, object] = reply.json()
    return found


def test_a_log_written_in_the_other_english_finds_its_cooker(client: TestClient) -> None:
    text = csv_of(pot_name(client), {})
    home = {"name": "Home", "altitude": "0 m", "start": "4 °C", "units": "metric"}
    client.put("/api/household", json={**home, "locale": "en-GB"})
    assert pot_name(client) not in text
    assert take(client, text)["added"] == 1


def test_csv_goes_out_and_comes_in_once(client: TestClient) -> None:
    text = csv_of(
        pot_name(client),
        {"texture": "tender", "juicy [1-5]": "4", "come up [min]": "13", "raw [kg]": "1.4",
         "cooked [kg]": "0.9", "note": "=SUM(A1) and <script>alert(1)</script>, \"quoted\""},
        {"note": "-5 for next time"},
    )  # fmt: skip
    assert take(client, text) == {"added": 2, "known": 0, "bad": 0, "told": []}
    assert take(client, text) == {"added": 0, "known": 2, "bad": 0, "told": []}
    reply = client.get("/api/cooks/export")
    assert reply.headers["content-type"].startswith("text/csv")
    rows = list(csv.DictReader(io.StringIO(reply.text)))
    assert set(rows[0]) == set(log_files.COLUMNS)
    assert all("[" in name for name in ("mass [kg]", "hold [min]", "thickness [cm]"))
    # a spreadsheet must not take text for a formula
    notes = {row["note"][:5] for row in rows}
    assert notes == {"'=SUM", "'-5 f"}
    line = client.get("/api/cooks", params={"search": "SUM"}).json()["cooks"][0]
    assert line["note"].startswith("=SUM(A1) and <script>")
    assert line["yield_ratio"] == pytest.approx(0.9 / 1.4)
    assert line["outcome_step"] == 2
    opened = client.get(f"/api/cooks/{line['id']}").json()
    assert opened["outcome"]["pieces"][0]["juicy"] == 4
    assert len(opened["pencil"]) > 20  # its plan is worked out when it is opened


def test_jsonld_goes_out_and_comes_in(client: TestClient) -> None:
    take(client, csv_of(pot_name(client), {"texture": "very"}, {}))
    text = client.get("/api/cooks/export", params={"kind": "jsonld"}).text
    found = json.loads(text)
    # published: schema.org CookAction with its recipe (from memory)
    action = found["@graph"][0]
    assert action["@type"] == "CookAction"
    assert action["recipe"]["@type"] == "Recipe"
    assert action["recipe"]["cookTime"] == "PT80M"
    names = {item["name"] for item in action["additionalProperty"]}
    assert "mass [kg]" in names
    for cook in client.get("/api/cooks").json()["cooks"]:
        client.delete(f"/api/cooks/{cook['id']}")
    # the same cooks, read from the other format: their columns say the same, but for what a
    # column of the CSV leaves empty
    back = take(client, text)
    assert (back["added"], back["bad"]) == (2, 0)
    assert take(client, text) == {"added": 0, "known": 2, "bad": 0, "told": []}


TWO_WAYS = {
    "pieces": [
        {"cut": "back_ribs", "count": 1, "mass": "2 lb 4 oz", "thickness": "1 1/8 in",
         "membrane": True},
        {"cut": "back_ribs", "count": 1, "mass": "1 kg", "thickness": "3 cm"},
    ],
    "texture": "very",
    "liquid_style": "bath",
    "release": "timed",
    "wait_min": 12,
    "sauce": "200 ml",
}  # fmt: skip


def exported(client: TestClient, kind: str = "csv") -> str:
    return client.get("/api/cooks/export", params={"kind": kind}).text


@pytest.mark.parametrize("kind", ["csv", "jsonld"])
def test_everything_that_was_typed_comes_back(
    client: TestClient, tmp_path: Path, kind: str
) -> None:
    """Into another kitchen, where nothing is known of the cook."""
    pot = client.get("/api/pots").json()["pots"][1]["id"]
    entry = {
        "name": "Ribs two ways",
        "plan": {**TWO_WAYS, "pot": pot},
        "started_at": BEGIN.isoformat(),
        "hold_min": 25,
        "pieces": [{"texture": "tender", "group": 0}, {"texture": "very", "group": 1}],
    }
    kept = client.post("/api/cooks/entry", json=entry).json()
    text = exported(client, kind)
    with TestClient(
        create_app(tmp_path / "other", LOCAL_HOSTS), base_url="http://127.0.0.1"
    ) as other:
        for ready in ("tenor", "bass"):
            other.post("/api/pots", json={"ready_id": ready})
        assert take(other, text)["added"] == 1
        back = other.get(f"/api/cooks/{kept['id']}").json()
        again = exported(other)
    first = client.get(f"/api/cooks/{kept['id']}").json()
    assert back["plan"]["kinds"] == first["plan"]["kinds"]
    assert [item["name"] for item in back["plan"]["kinds"]] == [
        "Baby back ribs, membrane on, 2.9\u00a0cm",
        "Baby back ribs, membrane off, 3\u00a0cm",
    ]
    assert back["plan"]["texture"] == "very"
    assert back["plan"]["hold_min"] == first["plan"]["hold_min"]
    assert back["outcome"] == first["outcome"]
    assert "2 lb 4 oz" in again  # as it was typed


def test_columns_changed_by_hand_are_taken(client: TestClient) -> None:
    plan = {"pieces": [{"cut": "brisket_flat", "count": 2, "mass": "1.42 kg",
                        "thickness": "4.5 cm"}], "texture": "falls"}  # fmt: skip
    told = {PLAN: json.dumps(plan)}
    take(client, csv_of(pot_name(client), told, {**told, "mass [kg]": "1.9"}))
    changed, whole = client.get("/api/cooks").json()["cooks"]
    assert (whole["mass_kg"], whole["wished_step"]) == (pytest.approx(1.42), 4)
    assert changed["mass_kg"] == pytest.approx(1.9)


@pytest.mark.parametrize(
    "cell",
    [
        "no json", "[]", "3", '"text"', "{}", '{"pieces": []}', "[" * 9000,
        '{"pieces": [{"cut": "brisket_flat", "mass": "1 kg"}], "texture": "lovely"}',
        '{"pieces": [{"cut": "brisket_flat", "mass": "1 kg", "__class__": 1}]}',
    ],
)  # fmt: skip
def test_a_plan_that_is_none_is_told_with_its_line(client: TestClient, cell: str) -> None:
    found = take(client, csv_of(pot_name(client), {}, {PLAN: cell}))
    assert (found["added"], found["bad"]) == (1, 1)
    told = found["told"]
    assert isinstance(told, list)
    assert told[0]["line"] == 3
    assert "plan" in str(told[0]["message"]).lower()


def test_bad_rows_are_told_by_line_and_the_rest_comes_in(client: TestClient) -> None:
    pot = pot_name(client)
    wrong = (
        {"cut": "unicorn"}, {"mass [kg]": "heavy"}, {"pot": "nobody's"}, {"texture": "lovely"},
        {"started [ISO 8601]": "2026-01-01 12:00"}, {"hold [min]": "9000"}, {"pieces": "0"},
        {"juicy [1-5]": "9"}, {"name": ""}, {"note": "x" * 5000},
    )  # fmt: skip
    found = take(client, csv_of(pot, {}, *wrong, {}))
    assert (found["added"], found["bad"]) == (2, len(wrong))
    told = found["told"]
    assert isinstance(told, list)
    assert [row["line"] for row in told] == list(range(3, 3 + len(wrong)))
    assert "time zone" in told[4]["message"]
    # sentences, and not the codes and parameters that the core gives
    assert [row["message"] for row in told if re.search(r"[{}]|\w_\w", str(row["message"]))] == []
    for text in (
        "",
        "a,b\n1,2\n",
        '{"@graph": 3}',
        "{not json",
        '{"@graph": ' + "[" * 100_000,
        "\x00",
        "\u00c7\r\u009c",
    ):
        reply = client.post("/api/cooks/import", json={"text": text})
        assert reply.status_code == 422, text
        assert reply.json()["hint"]
    assert client.post("/api/cooks/import", json={"text": "x" * 5_500_000}).status_code == 413


def test_a_tenth_of_a_long_log(tmp_path: Path) -> None:
    database = Database(tmp_path)
    with database.writing() as session:
        pot = add_ready_pot(session, "tenor").pot.name
    rows = ({"texture": ("holds", "tender", "very")[index % 3]} for index in range(ROWS))
    text = csv_of(pot, *rows)
    seen: list[int] = []

    def stop_half_way(count: int) -> bool:
        seen.append(count)
        return count < ROWS // 2

    found = log_files.Imported()
    log_files.read_in_batches(
        database.session, log_rows.rows_of(text), found, read_plan, stop_half_way
    )
    assert found.stopped
    assert seen == sorted(seen)
    assert found.added == ROWS // 2
    # taken up again: what is in is known, the rest comes in
    again = log_files.Imported()
    with database.writing() as session:
        log_files.read_at_once(session, log_rows.rows_of(text), again, read_plan)
        home = current_household(session).household_id
        page, total = log_page(session, home, Filter(search="supper 17"), limit=50, offset=0)
    assert (again.known, again.added) == (ROWS // 2, ROWS // 2)
    assert total >= 1
    assert all("17" in item.name for item in page)
    database.close()


ALONE = [
    {"texture": "tender", "group": 0, "number": 1, "mark": "thick end", "juicy": 4},
    {"texture": "very", "group": 0, "number": 2, "taste": 5},
]


@pytest.mark.parametrize("kind", ["csv", "jsonld"])
def test_what_went_out_is_known_when_it_comes_back(client: TestClient, kind: str) -> None:
    cook = client.post("/api/cooks", json={"name": "Followed", "plan": BRISKET}).json()["id"]
    for event in ({"kind": "outcome", "pieces": ALONE}, {"kind": "ended"}):
        client.post(f"/api/cooks/{cook}/events", json={"key": f"{event['kind']}-key", **event})
    take(client, csv_of(pot_name(client), {"texture": "holds"}))
    text = client.get("/api/cooks/export", params={"kind": kind}).text
    assert take(client, text) == {"added": 0, "known": 2, "bad": 0, "told": []}
    # the same on another machine: under their ids, with every piece
    moved = text.replace(cook, "11111111-2222-4333-8444-555555555555")
    assert take(client, moved)["added"] == 1
    there = client.get("/api/cooks/11111111-2222-4333-8444-555555555555").json()
    pieces = there["outcome"]["pieces"]
    assert [(piece["texture"], piece["mark"]) for piece in pieces] == [
        ("tender", "thick end"),
        ("very", ""),
    ]
    assert "one step softer" in there["side_by_side"][0]
    line = client.get("/api/cooks", params={"search": "Followed"}).json()["cooks"][0]
    assert line["outcome_step"] == pytest.approx(2.5)


@pytest.mark.parametrize(
    "cell",
    [
        "no json",
        "{}",
        "[]",
        json.dumps(ALONE[:1]),
        json.dumps(ALONE * 40),
        json.dumps([{"texture": "leather"}, {}]),
        json.dumps([{"juicy": 6}, {}]),
        json.dumps([{"juicy": True}, {}]),
        json.dumps([{"mark": "x" * 41}, {}]),
        json.dumps([{"evil": 1}, {}]),
        json.dumps(["tender", "very"]),
        "[" * 3900,
    ],
)
def test_pieces_that_cannot_be_read_are_told(client: TestClient, cell: str) -> None:
    text = csv_of(pot_name(client), {"pieces judged alone [JSON]": cell}, {"texture": "tender"})
    found = take(client, text)
    assert (found["added"], found["bad"]) == (1, 1)


def test_cooks_are_in_the_backup(client: TestClient) -> None:
    begun = client.post("/api/cooks", json={"name": "Now", "plan": BRISKET}).json()
    told = {"key": "done-one", "kind": "done", "step_id": "season"}
    client.post(f"/api/cooks/{begun['id']}/events", json=told)
    take(client, csv_of(pot_name(client), {"texture": "tender"}))
    whole = client.get("/api/backup").json()
    assert len(whole["cooks"]) == 2
    dry = client.post("/api/restore", json=whole).json()
    cooks = next(item for item in dry["changes"] if item["kind"] == "cooks")
    assert (cooks["added"], cooks["changed"], cooks["same"]) == (0, 0, 2)
    client.delete(f"/api/cooks/{begun['id']}")
    client.post("/api/restore", params={"dry_run": False}, json=whole)
    back = client.get(f"/api/cooks/{begun['id']}").json()
    assert back["steps"][0]["done_at"] is not None
    assert back["current"] == "sear"
    events = client.get(f"/api/cooks/{begun['id']}/events").json()["events"]
    assert len(events) == 2  # nothing twice
    whole["cooks"][0]["kitchen"] = {"pot": {}}
    assert client.post("/api/restore", json=whole).status_code == 422

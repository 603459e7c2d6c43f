"""Working out plans over the wire and on the command line."""

import json
from pathlib import Path
from typing import Any

import pytest
from fastapi.testclient import TestClient
from typer.testing import CliRunner

from pneumachron.cli import app as cli
from pneumachron.text.reader import Reader
from pneumachron.text.vocabulary import called_there
from tests.conftest import BRISKET, ROOT


def with_piece(**changes: object) -> dict[str, Any]:
    return BRISKET | {"pieces": [BRISKET["pieces"][0] | changes]}


def test_a_plan_one_could_cook_from(client: TestClient) -> None:
    plan = client.post("/api/plan", json=BRISKET).json()
    setting = plan["setting"]
    assert setting["hold_low_min"] < setting["hold_min"] < setting["hold_high_min"]
    assert setting["release"] == "natural"
    assert plan["pieces"][0]["total_mass_shown"] == {"metric": "1.42 kg", "us": "3 lb 2 oz"}
    assert plan["liquid"]["lowest_m3"] <= plan["liquid"]["volume_m3"]
    assert plan["liquid"]["volume_m3"] <= plan["liquid"]["highest_m3"]
    assert len(plan["reasons"]) >= 3
    total = sum(phase["duration_s"] for phase in plan["phases"] if phase["kind"] != "standing")
    assert total == pytest.approx(plan["lid_on_to_open_s"], abs=1)


def test_cookers_bear_their_size_in_the_household_s_words(client: TestClient) -> None:
    def names() -> list[str]:
        return [kept["pot"]["name"] for kept in client.get("/api/pots").json()["pots"]]

    def speak(locale: str) -> None:
        home = {"name": "Home", "altitude": "0 m", "start": "4 °C", "units": "metric"}
        assert client.put("/api/household", json={**home, "locale": locale}).status_code == 200

    speak("en-GB")
    assert names() == ["3-litre cooker", "5.7-litre cooker", "7.6-litre cooker"]
    speak("en-US")
    assert names() == ["3-quart cooker (3 L)", "6-quart cooker (5.7 L)", "8-quart cooker (7.6 L)"]


def test_a_nickname_stays_with_the_size_and_an_own_name_as_it_is() -> None:
    british = Reader("en-GB", "metric")
    assert (
        called_there("Blue, 6-quart cooker (5.7 L)", "tenor", british) == "Blue, 5.7-litre cooker"
    )
    for name in ("The old one", "Not a 6-quart cooker (5.7 L)", "", "Blue, 8-quart cooker (7.6 L)"):
        assert called_there(name, "tenor", british) == name
    assert called_there("6-quart cooker (5.7 L)", "nobody", british) == "6-quart cooker (5.7 L)"


def test_household_altitude_counts(client: TestClient) -> None:
    low = client.post("/api/plan", json=BRISKET).json()["setting"]["hold_min"]
    change = {"name": "Up there", "altitude": "3770 ft", "start": "39 °F", "units": "us"}
    household = client.put("/api/household", json=change).json()
    assert household["altitude_m"] == pytest.approx(1149.1, abs=0.1)
    high = client.post("/api/plan", json=BRISKET).json()["setting"]["hold_min"]
    assert high > low + 4
    own = client.post("/api/plan", json=BRISKET | {"altitude": "0 m"}).json()["setting"]
    assert own["hold_min"] == low


@pytest.mark.parametrize(
    ("cook_request", "field", "code"),
    [
        (with_piece(mass="3"), "pieces.0.mass", "unit_missing"),
        (with_piece(mass="3 furlongs"), "pieces.0.mass", "unit_unknown"),
        (with_piece(mass="0 kg"), "pieces.0.mass", "too_light"),
        (with_piece(mass="-3 kg"), "pieces.0.mass", "too_light"),
        (with_piece(mass="20 kg"), "pieces.0.mass", "too_heavy"),
        (with_piece(mass="5 kg", count=8), "pieces.0.mass", "too_full"),
        (with_piece(thickness="9 in"), "pieces.0.thickness", "too_thick"),
        (with_piece(thickness="3 mm"), "pieces.0.thickness", "too_thin"),
        (with_piece(count=0), "pieces.0.count", "piece_count"),
        (with_piece(count=1, mass="3 kg"), "pieces.0.count", "too_long"),
        (with_piece(start="frozen", thickness="6 cm"), "pieces.0.start", "frozen_too_thick"),
        (with_piece(membrane=True), "pieces.0.membrane", "no_membrane"),
        (with_piece(cut="unicorn"), "pieces.0.cut", "unknown_cut"),
        (BRISKET | {"liquid": "1/4 cup"}, "liquid", "below_minimum"),
        (BRISKET | {"liquid": "5 l"}, "liquid", "above_maximum"),
        (BRISKET | {"altitude": "20 km"}, "altitude", "altitude"),
        (BRISKET | {"release": "timed", "wait_min": 0}, "wait", "wait"),
        (BRISKET | {"surprise": 1}, "surprise", "invalid_input"),
        (BRISKET | {"texture": "raw"}, "texture", "invalid_input"),
        (BRISKET | {"pieces": []}, "pieces", "invalid_input"),
    ],
)
def test_a_request_that_cannot_be_met(
    client: TestClient, cook_request: dict[str, Any], field: str, code: str
) -> None:
    answer = client.post("/api/plan", json=cook_request)
    assert answer.status_code == 422
    problem = answer.json()
    assert set(problem) - {"fix"} == {"code", "message", "field", "hint"}
    assert (problem["field"], problem["code"]) == (field, code)
    assert problem["message"].endswith(".")
    assert problem["hint"].endswith(".")


def test_the_second_kind_of_piece_is_named(client: TestClient) -> None:
    cook_request = BRISKET | {
        "pieces": [BRISKET["pieces"][0], BRISKET["pieces"][0] | {"mass": "x"}]
    }
    assert client.post("/api/plan", json=cook_request).json()["field"] == "pieces.1.mass"


def test_what_changes_if(client: TestClient) -> None:
    found = client.post("/api/plan/what-if", json=BRISKET).json()["alternatives"]
    assert len(found) >= 8
    for item in found:
        assert (item["answer"] is None) != (item["trouble"] is None)
    pots = [item["value"] for item in found if item["kind"] == "pot"]
    assert pots == ["3-quart cooker (3 L)", "8-quart cooker (7.6 L)"]
    broken = client.post("/api/plan/what-if", json=with_piece(mass="x")).json()
    assert broken["field"] == "pieces.0.mass"


def test_ready_by(client: TestClient) -> None:
    asked = {"request": BRISKET, "available_min": 300}
    ways = client.post("/api/plan/ready-by", json=asked).json()["ways"]
    assert ways[0]["parts"] == 1
    assert ways[0]["spare_s"] > 0
    late = client.post("/api/plan/ready-by", json=asked | {"available_min": 20}).json()["ways"]
    assert late[0]["spare_s"] < 0


def test_minutes_of_a_recipe(client: TestClient) -> None:
    asked = {"request": BRISKET, "hold_min": 60}
    answer = client.post("/api/plan/minutes", json=asked).json()
    assert answer["hold_min"] == 60
    assert answer["tenderness_step"] < 2.0
    assert client.post("/api/plan/minutes", json=asked | {"hold_min": 999}).status_code == 422


def test_unknown_pot(client: TestClient) -> None:
    assert client.post("/api/plan", json=BRISKET | {"pot": "nowhere"}).status_code == 404


def test_command_line_speaks_the_same_json(client: TestClient, tmp_path: Path) -> None:
    file = tmp_path / "cook_request.json"
    file.write_text(json.dumps(BRISKET))
    runner = CliRunner()
    from_file = runner.invoke(cli, ["plan", str(file)])
    from_input = runner.invoke(cli, ["plan", "-"], input=json.dumps(BRISKET))
    served = client.post("/api/plan", json=BRISKET).json()
    assert from_file.exit_code == from_input.exit_code == 0
    assert json.loads(from_file.stdout) == json.loads(from_input.stdout) == served


@pytest.mark.parametrize(
    ("text", "code"),
    [
        ("{", "invalid_input"),
        ("{}", "invalid_input"),
        (json.dumps(with_piece(thickness="9 in")), "too_thick"),
        (json.dumps(BRISKET | {"pot": "cauldron"}), "unknown_pot"),
        (" " * 300_000, "too_large"),
    ],
)
def test_command_line_says_what_is_wrong(text: str, code: str) -> None:
    answer = CliRunner().invoke(cli, ["plan", "-"], input=text)
    assert answer.exit_code == 2
    assert json.loads(answer.stderr)["code"] == code


def test_missing_file() -> None:
    answer = CliRunner().invoke(cli, ["plan", "nowhere.json"])
    assert answer.exit_code == 2
    assert json.loads(answer.stderr)["code"] == "unreadable_file"


def test_described_api_is_current() -> None:
    # the TypeScript types are made from this file; `python3 dev.py refresh-api` writes it
    answer = CliRunner().invoke(cli, ["openapi"])
    assert json.loads(answer.stdout) == json.loads((ROOT / "docs/openapi.json").read_text())


@pytest.mark.parametrize("units", ["metric", "us"])
def test_what_was_typed_is_answered_in_its_units(client: TestClient, units: str) -> None:
    home = client.get("/api/household").json()
    change = {"name": home["name"], "altitude": "0 m", "start": "4 °C", "units": units}
    client.put("/api/household", json=change)
    inches = client.post("/api/plan", json=with_piece(thickness="9 in")).json()["message"]
    centimetres = client.post("/api/plan", json=with_piece(thickness="23 cm")).json()["message"]
    assert inches.startswith("9\u00a0in is too thick")
    assert centimetres.startswith("23\u00a0cm is too thick")


def test_flat_and_point_of_a_parted_brisket_are_batches_of_their_own(client: TestClient) -> None:
    """Common practice: the point takes longer, so they are not cooked together."""
    whole = {"cut": "brisket_whole", "count": 1, "mass": "11 lb 7 oz", "thickness": "3 1/4 in",
             "cutting": "parted"}  # fmt: skip
    asked = {"pieces": [whole], "pot": "bass", "liquid": "500 ml"}
    plan = client.post("/api/plan", json=asked).json()
    kinds = [piece["cut"] for piece in plan["pieces"]]
    assert set(kinds) == {"brisket_flat"}
    assert len(plan["later"]) >= 1
    # what was typed stays
    assert plan["liquid"]["shown"]["metric"].startswith("500")

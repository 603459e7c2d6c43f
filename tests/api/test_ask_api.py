"""What a cook asks around a plan, over the wire and on the command line."""

import json
from pathlib import Path
from typing import Any

import pytest
from fastapi.testclient import TestClient
from typer.testing import CliRunner

from pneumachron.api.questions import QUESTIONS
from pneumachron.cli import app as cli
from tests.conftest import BRISKET

ASKED: dict[str, dict[str, Any]] = {
    "what-if": BRISKET,
    "ready-by": {"request": BRISKET, "available_min": 200, "finish": "broiler"},
    "minutes": {"request": BRISKET, "hold_min": 60},
    "not-done": {"request": BRISKET, "hold_min": 60, "seen": "holds"},
    "interrupted": {"request": BRISKET, "at_min": 50, "since_min": 15},
    "other-pressure": {"request": BRISKET, "hold_min": 60, "gauge": "15 psi"},
    "batches": BRISKET | {"pieces": [BRISKET["pieces"][0] | {"count": 6, "mass": "9 lb"}]},
    "prep": {"request": BRISKET, "finish": "crisping", "marinade": "mild"},
    "sauce": {"pot": "tenor", "volume": "1 l", "left_ratio": 0.5, "body": "medium"},
}


def path_of(question: str) -> str:
    return "/api/sauce" if question == "sauce" else f"/api/plan/{question}"


def test_every_question_is_asked_here() -> None:
    assert set(ASKED) == set(QUESTIONS)


@pytest.mark.parametrize("question", ASKED)
def test_wire_and_command_line_agree(question: str, client: TestClient, tmp_path: Path) -> None:
    served = client.post(path_of(question), json=ASKED[question])
    assert served.status_code == 200, served.text
    asked = ["ask", question, "-", "--data", str(tmp_path / "kitchen")]
    told = CliRunner().invoke(cli, asked, input=json.dumps(ASKED[question]))
    assert told.exit_code == 0, told.output
    assert json.loads(told.stdout) == served.json()


@pytest.mark.parametrize(
    ("question", "change", "code"),
    [
        ("not-done", {"seen": None}, "nothing_seen"),
        ("not-done", {"probe": "warm"}, "unreadable"),
        ("not-done", {"probe": "500 °C"}, "out_of_range"),
        ("interrupted", {"request": BRISKET | {"liquid": "9 l"}}, "above_maximum"),
        ("other-pressure", {"gauge": "5 bar"}, "gauge"),
        ("other-pressure", {"gauge": "5 l"}, "unit_unknown"),
        ("sauce", {"volume": "40 l"}, "out_of_range"),
        ("sauce", {"volume": "1 kg"}, "unit_unknown"),
        ("batches", {"surprise": 1}, "invalid_input"),
    ],
)
def test_bad_questions(
    question: str, change: dict[str, Any], code: str, client: TestClient
) -> None:
    asked = ASKED[question] | change
    served = client.post(path_of(question), json=asked)
    assert served.status_code == 422
    assert served.json()["code"] == code
    told = CliRunner().invoke(cli, ["ask", question, "-"], input=json.dumps(asked))
    assert told.exit_code == 2
    assert json.loads(told.stderr)["code"] == code


def test_unknown_question() -> None:
    told = CliRunner().invoke(cli, ["ask", "meaning", "-"], input="{}")
    assert told.exit_code == 2
    assert "ready-by" in json.loads(told.stderr)["hint"]


def test_batches_are_even(client: TestClient) -> None:
    runs = client.post("/api/plan/batches", json=ASKED["batches"]).json()["runs"]
    assert len(runs) == 3
    assert {run["pieces"] for run in runs} == {2}
    assert all(run["answer"]["hold_min"] > 0 for run in runs)


def test_plates_and_sides(client: TestClient) -> None:
    bought = client.get("/api/plates", params={"cut": "shoulder_bone_in", "plates": 8}).json()
    assert bought["least_kg"] < bought["enough_kg"]
    assert bought["other_cut"] == "shoulder_boneless"
    assert bought["other_kg"] < bought["enough_kg"]
    unknown = client.get("/api/plates", params={"cut": "tofu", "plates": 8})
    assert unknown.json()["code"] == "unknown_cut"
    sides = client.get("/api/sides", params={"hold_min": 80}).json()["sides"]
    ways = {side["side"]: side["way"] for side in sides}
    assert ways["onions"] == "with_the_meat"
    assert ways["carrots"] == "second_run"


@pytest.mark.parametrize(
    ("change", "part", "expected"),
    [
        ({"rack": "tall"}, ("setting", "rack"), "tall"),
        ({"release": "soak", "stay_min": 20}, ("release", "soak_s"), 1200.0),
        ({"release": "keep_warm", "stay_min": 60}, ("release", "keep_s"), 3600.0),
        ({"release": "quick", "boil_min": 10}, ("release", "boil_s"), 600.0),
        ({"gauge": "100 kPa"}, ("setting", "gauge_pa"), 100_000.0),
        ({"stacked": True}, ("arrangement", "kind"), "stacked"),
        ({"sauce": "1 cup", "sauce_place": "top"}, ("liquid", "sauce_m3"), 2.365882365e-4),
        ({"liquid_style": "lean"}, ("setting", "liquid_style"), "lean"),
    ],
)
def test_choices_arrive(
    change: dict[str, Any], part: tuple[str, str], expected: object, client: TestClient
) -> None:
    plan = client.post("/api/plan", json=BRISKET | change).json()
    value = plan[part[0]][part[1]]
    assert value == pytest.approx(expected) if isinstance(expected, float) else value == expected


@pytest.mark.parametrize(
    ("change", "key", "expected"),
    [
        ({"start": "frozen"}, "start_temp_c", -18.0),
        ({"start": "Frozen"}, "frozen", True),
        ({"start": "tempered"}, "start_temp_c", 8.0),
        ({"shape": "tapered"}, "shape", "tapered"),
    ],
)
def test_pieces_arrive(
    change: dict[str, Any], key: str, expected: object, client: TestClient
) -> None:
    piece = BRISKET["pieces"][0] | change
    plan = client.post("/api/plan", json=BRISKET | {"pieces": [piece]}).json()
    assert plan["pieces"][0][key] == expected


def posted(client: TestClient, path: str, cook_request: dict[str, Any]) -> dict[str, Any]:
    found: dict[str, Any] = client.post(path, json=cook_request).json()
    return found


def test_whole_pieces_are_cut(client: TestClient) -> None:
    whole = {"cut": "brisket_flat", "count": 1, "mass": "1.5 kg", "thickness": "4.5 cm"}
    plan = posted(client, "/api/plan", BRISKET | {"pieces": [whole | {"cutting": "across"}]})
    assert plan["pieces"][0]["count"] == 2
    (bought,) = plan["wholes"]
    assert bought["total_mass_shown"]["metric"] == "1.5 kg"
    assert plan["pieces"][0]["length_m"] == pytest.approx(bought["width_m"], abs=1e-3)
    for wrong, field in (
        ({"cutting": "across", "parts": 40}, "pieces.0.parts"),
        ({"cutting": "cubes", "cube": "1 m"}, "pieces.0.cube"),
        ({"cutting": "cubes", "cube": "two"}, "pieces.0.cube"),
    ):
        refused = posted(client, "/api/plan", BRISKET | {"pieces": [whole | wrong]})
        assert refused["field"] == field


def test_batches_are_in_every_number(client: TestClient) -> None:
    roasts = {"cut": "shoulder_boneless", "count": 2, "mass": "4 kg", "thickness": "8 cm"}
    both = posted(client, "/api/plan", BRISKET | {"pieces": [roasts], "batches": 2})
    one = posted(client, "/api/plan", BRISKET | {"pieces": [roasts | {"count": 1, "mass": "2 kg"}]})
    assert both["setting"]["hold_min"] == one["setting"]["hold_min"]
    assert both["serving"]["plates_to"] >= 2 * one["serving"]["plates_to"] - 1
    assert both["serving"]["bought_shown"] != one["serving"]["bought_shown"]
    assert both["all_done_s"] > 1.7 * one["all_done_s"]
    assert len(both["later"]) == 1
    # the runs of a day are the batches of the plan
    asked = BRISKET | {"pieces": [roasts], "batches": 2}
    assert len(posted(client, "/api/plan/batches", asked)["runs"]) == 2


def test_the_fix_is_sent_and_does(client: TestClient) -> None:
    wide = {"cut": "brisket_flat", "count": 1, "mass": "2.6 kg", "thickness": "4.5 cm"}
    refused = posted(client, "/api/plan", BRISKET | {"pieces": [wide]})
    assert refused["fix"] == {"kind": "across", "value": "2"}
    assert "across" in refused["hint"]
    mended = wide | {"cutting": "across", "parts": 2}
    assert "setting" in posted(client, "/api/plan", BRISKET | {"pieces": [mended]})
    plain = posted(client, "/api/plan", BRISKET | {"altitude": "20 km"})
    assert "fix" not in plain


def test_own_minutes_and_habits(client: TestClient) -> None:
    own = posted(client, "/api/plan", BRISKET | {"my_minutes": 40})
    assert own["setting"]["hold_min"] == own["setting"]["hold_high_min"] == 40
    assert 0.0 <= own["expectation"]["sure_ratio"] < 0.2
    assert own["expectation"]["usual_low_min"] < own["expectation"]["usual_min"]
    assert posted(client, "/api/plan", BRISKET | {"my_minutes": 900})["field"] == "my_minutes"
    flanken = {"cut": "flanken", "count": 6, "mass": "1 kg", "thickness": "1.3 cm"}
    undecided = {"pieces": [flanken], "pot": "tenor"}
    assert [habit["code"] for habit in posted(client, "/api/plan", undecided)["habits"]] == [
        "braised",
        "crisped",
    ]
    assert posted(client, "/api/plan", undecided | {"texture": "very"})["habits"] == []


def test_unlike_pieces_in_two_cycles(client: TestClient) -> None:
    unlike = [
        {"cut": "back_ribs", "count": 1, "mass": "0.9 kg", "thickness": "2 cm"},
        {"cut": "spare_ribs_trimmed", "count": 1, "mass": "1.1 kg", "thickness": "3.5 cm"},
    ]
    cook_request = {"pieces": unlike, "pot": "tenor"}
    early = posted(client, "/api/plan/what-if", cook_request)["early_out"]
    assert [piece["out_early"] for piece in early["pieces"]] == [True, False]
    assert early["first_min"] > early["second_min"] > 0
    in_two = posted(client, "/api/plan/what-if", cook_request | {"thin_first": True})[
        "alternatives"
    ]
    answers = [item["answer"] for item in in_two if item["answer"]]
    assert any(answer["then_min"] for answer in answers)
    assert posted(client, "/api/plan/what-if", BRISKET)["early_out"] is None


def test_seared_as_bought_and_sections(client: TestClient) -> None:
    piece = BRISKET["pieces"][0]

    def planned(change: dict[str, Any]) -> dict[str, Any]:
        cook_request = BRISKET | {"pieces": [piece | change]}
        found: dict[str, Any] = client.post("/api/plan", json=cook_request).json()
        return found

    assert planned({"start": "seared"})["pieces"][0]["start_temp_c"] > 10
    bought = planned({"as_bought": True})["pieces"][0]
    assert bought["mass_kg"] == pytest.approx(0.875 * planned({})["pieces"][0]["mass_kg"])
    rack = {"cut": "back_ribs", "count": 2, "mass": "2.2 kg", "thickness": "3 cm"}
    sections = planned({**rack, "section_bones": 3})
    assert sections["arrangement"]["kind"] == "on_edge"
    assert sections["pieces"][0]["count"] == 6
    bad = BRISKET | {"pieces": [{**rack, "section_bones": 40}]}
    assert client.post("/api/plan", json=bad).json()["field"] == "pieces.0.section_bones"

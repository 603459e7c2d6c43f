"""A recipe converted on the command line, without a household."""

import json
from pathlib import Path

import pytest
from typer.testing import CliRunner

from pneumachron.cli import app

RECIPE = """Oven ribs
By Ida Marsh

Ingredients
2 (2 pound) racks baby back ribs
1 tsp salt
Method
Rub the ribs, wrap in foil and bake at 300 for two and a half hours.
"""


@pytest.mark.parametrize("form", ["text", "markdown", "jsonld"])
def test_a_file_is_converted(tmp_path: Path, form: str) -> None:
    file = tmp_path / "ribs.txt"
    file.write_text(RECIPE, encoding="utf-8")
    found = CliRunner().invoke(app, ["--units", "us", "convert", str(file), "--format", form])
    assert found.exit_code == 0, found.output
    assert "Ida Marsh" in found.stdout
    assert "assumed: How thick" in found.stderr
    if form == "jsonld":
        assert json.loads(found.stdout)["@type"] == "Recipe"


def test_what_no_line_has_is_told(tmp_path: Path) -> None:
    file = tmp_path / "ribs.txt"
    file.write_text(RECIPE + "Mix 1 cup ketchup and 2 Tbsp honey and brush it on.\n")
    found = CliRunner().invoke(app, ["convert", str(file)])
    assert "on no line of ingredients: 1 cup ketchup and 2 Tbsp honey." in found.stderr


def test_what_cannot_be_converted_says_so(tmp_path: Path) -> None:
    file = tmp_path / "lamb.txt"
    file.write_text(RECIPE.replace("baby back ribs", "lamb ribs"), encoding="utf-8")
    found = CliRunner().invoke(app, ["convert", str(file)])
    assert found.exit_code != 0
    assert json.loads(found.stderr)["code"] == "out_of_scope"
    missing = CliRunner().invoke(app, ["convert", str(tmp_path / "nothing.txt")])
    assert json.loads(missing.stderr)["code"] == "unreadable_file"
    high = CliRunner().invoke(app, ["convert", str(file), "--altitude", "high up"])
    assert json.loads(high.stderr)["field"] == "altitude"


def test_other_encodings_are_read(tmp_path: Path) -> None:
    file = tmp_path / "old.txt"
    file.write_bytes(RECIPE.replace("Ida Marsh", "Ida Mårsh").encode("cp1252"))
    found = CliRunner().invoke(app, ["convert", str(file)])
    assert found.exit_code == 0
    assert "Ida Mårsh" in found.stdout

"""Every code has a sentence for every reader, and every sentence is of a code."""

import ast
import re
from collections.abc import Iterator
from pathlib import Path
from typing import Any

import pytest
from fluent.syntax import ast as ftl
from fluent.syntax.serializer import serialize_message
from fluent.syntax.visitor import Visitor

from pneumachron.core.catalog.cuts import cuts
from pneumachron.core.catalog.tables import WORD_UNIT, read_rows
from pneumachron.core.physics.tenderness import TEXTURES
from pneumachron.text import render as rendering
from pneumachron.text.reader import EVERYBODY, LOCALES, Locale, Reader
from pneumachron.text.render import SOURCE, TextError, cut_words, has_message, messages, render

SRC = Path(__file__).parents[2] / "src" / "pneumachron"
RAISED = {"RequestError", "MeasureError", "RecipeError", "UnreadableError", "SheetError",
          "LiveError", "DeviceError", "InsaneError", "RowError"}  # fmt: skip
"""Errors whose first argument is their code."""
BUILT: dict[str, tuple[str, ...]] = {
    # codes that are chosen by a name and not written at the call
    "core/planning/releases.py": ("wait", "stay", "boil"),
    "services/inputs.py": ("sauce_amount", "sauce_sugar"),
    "api/errors.py": ("bad_request", "no_address", "not_allowed", "too_large", "gone",
                      "unknown_host", "foreign_origin", "pairing_not_kept", "not_paired",
                      "unexpected"),
    "api/problems.py": ("disk_full", "not_writable"),
    "devices/protocol.py": ("device_away",),
}  # fmt: skip


def calls() -> Iterator[tuple[str, str, ast.Call]]:
    for path in sorted(SRC.rglob("*.py")):
        for node in ast.walk(ast.parse(path.read_text())):
            if isinstance(node, ast.Call) and isinstance(node.func, ast.Name):
                yield path.relative_to(SRC).as_posix(), node.func.id, node


def literal(node: ast.expr) -> str | None:
    return node.value if isinstance(node, ast.Constant) and isinstance(node.value, str) else None


def error_codes() -> dict[str, set[str]]:
    """Codes of errors, with the names of parameters that every place gives."""
    found: dict[str, set[str]] = {}
    for _, name, call in calls():
        at = {"Trouble": 1, "CodedHTTPException": 1, "_fail": 0}.get(name, 0)
        if name not in RAISED | {"Trouble", "CodedHTTPException", "_fail"} or len(call.args) <= at:
            continue
        code = literal(call.args[at])
        if code is None:
            continue
        given = {item.arg for item in call.keywords if item.arg} - {"entry", "fix", "retry_s"}
        for argument in call.args[at + 1 :]:
            if isinstance(argument, ast.Dict):
                given |= {str(literal(key)) for key in argument.keys if key is not None}
        found[code] = found.get(code, given) & given
    for codes in BUILT.values():
        for code in codes:
            found.setdefault(code, set())
    return found


def asked_by(message: ftl.Message) -> set[str]:
    """Names of the parameters that a message and its attributes speak of."""
    names: set[str] = set()

    class Reading(Visitor):
        def visit_VariableReference(self, node: ftl.VariableReference) -> None:  # noqa: N802
            names.add(node.id.name)

    Reading().visit(message)
    return names - {"units"}


def entries(locale: Locale) -> dict[str, ftl.Message]:
    return {
        name: entry
        for name, entry in rendering._entries(locale).items()
        if isinstance(entry, ftl.Message)
    }


@pytest.mark.parametrize("reader", EVERYBODY, ids=str)
def test_every_error_has_words(reader: Reader) -> None:
    codes = error_codes()
    assert len(codes) > 100
    assert [code for code in codes if not has_message(f"error-{code}", reader)] == []


def test_every_error_message_is_of_an_error() -> None:
    said = {name.removeprefix("error-") for name in entries(SOURCE) if name.startswith("error-")}
    assert said - error_codes().keys() == set()


def test_messages_speak_only_of_what_is_given() -> None:
    source = entries(SOURCE)
    spoken = {name for codes in BUILT.values() for name in codes} | {"invalid_input",
              "out_of_range", "folder_in_use"}  # fmt: skip
    for code, given in error_codes().items():
        if code not in spoken:
            assert asked_by(source[f"error-{code}"]) <= given, code


def test_every_caution_has_words_and_every_text_a_caution() -> None:
    given = {
        str(literal(call.args[0])): {
            str(literal(key))
            for argument in call.args
            if isinstance(argument, ast.Dict)
            for key in argument.keys
            if key is not None
        }
        for _, name, call in calls()
        if name == "Caution"
    }
    source = entries(SOURCE)
    assert {f"caution-{code}" for code in given} == {
        name for name in source if name.startswith("caution-")
    }
    for code, names in given.items():
        assert asked_by(source[f"caution-{code}"]) == names, code


@pytest.mark.parametrize("reader", EVERYBODY, ids=str)
def test_every_cut_has_all_its_words(reader: Reader) -> None:
    for cut in cuts():
        for part in ("name", "short", "measure", *TEXTURES):
            assert cut_words(cut, part, reader)


def test_a_locale_overrides_and_adds_nothing() -> None:
    source = set(messages(SOURCE))
    for locale in LOCALES:
        assert set(messages(locale)) <= source


SAMPLES: dict[str, Any] = {
    "_min": 74.0, "_m": 0.0444, "_kg": 1.42, "_m3": 3.55e-4, "_c": 63.0, "_s": 4080.0,
    "_pa": 75_000.0, "_per_m": 2400.0,
}  # fmt: skip
CODES: dict[str, str] = {
    "cut": "back_ribs", "texture": "tender", "quantity": "length", "kind": "plan", "is": "sweet",
    "side": "below", "style": "steam", "why": "full", "raised": "yes", "tight": "yes",
    "rack_left_out": "yes", "dish": "Ribs", "pot": "Tenor", "place": "base",
    "allergens": "gluten", "method": "smoker", "device": "smoker",
    "came_out": "firmer", "helps": "yes", "release": "quick", "family": "ribs",
}  # fmt: skip
METRIC = re.compile(r"\d\s?(?:cm|mm|ml|km|kg|g|kPa|°C|m|l|L)\b")
US = re.compile(r"\d\s?(?:in|ft|lb|oz|cups?|Tbsp|psi|°F)(?!\w)|[¼½¾] (?:cups?|in)\b")


def sample(message: ftl.Message) -> dict[str, Any]:
    found: dict[str, Any] = {}
    for name in asked_by(message):
        ending = max((end for end in SAMPLES if name.endswith(end)), key=len, default="")
        found[name] = CODES.get(name, SAMPLES.get(ending, 3))
    return found


@pytest.mark.parametrize("reader", EVERYBODY, ids=str)
def test_no_sentence_has_a_unit_of_the_other_system(reader: Reader) -> None:
    """Safety figures stand in both, and so does the size that a cooker is called by.

    What is asked of a unit by its name is left out.
    """
    both, plain = {"SAFETEMP"}, {"error-pot_levels", "error-sauce_amount", "error-too_large",
                                 "error-recipe_too_large", "error-sauce_sugar"}  # fmt: skip
    foreign = METRIC if reader.units == "us" else US
    checked = 0
    for name, message in entries(SOURCE).items():
        if name in plain or name.startswith("cooker-"):
            continue
        for part in (name, *(f"{name}.{item.id.name}" for item in message.attributes)):
            if not has_message(part, reader):
                continue
            text = render(part, sample(message), reader)
            if not any(word in str(_source_of(message)) for word in both):
                assert foreign.search(text.replace("\u00a0", " ")) is None, f"{part}: {text}"
            checked += 1
    assert checked > 300


def _source_of(message: ftl.Message) -> str:
    return serialize_message(message)


def test_what_has_no_words_is_refused() -> None:
    with pytest.raises(TextError):
        render("no-such-message", {}, EVERYBODY[0])
    with pytest.raises(TextError):
        render("reason-hold-frozen", {}, EVERYBODY[0])
    with pytest.raises(TextError):
        cut_words("back_ribs", "no-such-part", EVERYBODY[0])


def test_plurals_and_numbers() -> None:
    # the forms are those of CLDR, through Babel
    one, two = (
        render("error-does_not_lie", {"count": count, "wide_m": 0.2}, EVERYBODY[0])
        for count in (1, 2)
    )
    assert one.startswith("One piece of this size does not")
    assert two.startswith("2 pieces of this size do not")
    assert "1,150" in render("error-altitude", {"altitude_m": 1150.0, "most_m": 3.0}, EVERYBODY[0])


def test_the_table_of_cuts_holds_no_words_for_people() -> None:
    # names, looks and places to measure stand in the catalogs, and only there
    quantities = {row.quantity for row in read_rows("cuts.csv") if row.unit == WORD_UNIT}
    assert quantities == {
        "like", "kind", "family", "default_texture", "default_release", "default_liquid_style"
    }  # fmt: skip

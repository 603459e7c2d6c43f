"""Strangers' recipes: the corpus stays as it was committed, and is read no worse than it was."""

from hashlib import sha256

from tests.recipes.strangers.measure import FOLDER, FORMS, SETS, corpus

TEST_HALF_SHA256 = "1da1c7c52554f6e084d96107b5973675c71c0221d3f3fdc3bbae7099e3e50165"
"""Of the half that is not looked at while mending."""


def test_the_test_half_is_as_it_was_committed() -> None:
    assert sha256((FOLDER / "test.txt").read_bytes()).hexdigest() == TEST_HALF_SHA256


def test_all_sets_are_labeled_in_every_form() -> None:
    found = {half: list(corpus(half)) for half in SETS}
    assert sum(map(len, found.values())) >= 60
    for half in SETS:
        assert {item.form for item in found[half]} == set(FORMS)
        for item in found[half]:
            roles = {role for role, _ in item.lines}
            assert {"I", "S"} <= roles
            assert roles <= set("TYHISNX")
            assert item.labels.get("cut") or item.labels.get("scope") in {"refuse", "ask"}

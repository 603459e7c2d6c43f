"""Words that a cook would not say, and words of the wrong kitchen, stand in no catalog."""

import re
from pathlib import Path

import pytest
from fluent.syntax import FluentParser
from fluent.syntax import ast as ftl
from fluent.syntax.serializer import serialize_message

from pneumachron.text import render as rendering
from pneumachron.text.reader import LOCALES, Locale
from tests.text.test_catalogs import entries

# ours: the house style; each is replaced by the word that the Guide explains
NOBODY_SAYS = (
    "anew", "wished", "till", "so many minutes", "by itself", "let go", "rung", "ladder",
    "school of", "clash", "put back", "back for", "hands in", "loose tent", "on the table",
    "the bench", "the kit", "the shelf", "misjudged", "laid over", "ways out", "vessel",
    "low rack", "tall rack", "base bare", "the hold", "kept day", "eaten by", "preheating",
    "npr", "qpr",
)  # fmt: skip
"""Whole phrases."""
NOT_BRITISH = (
    "broiler", "cornstarch", "center", "sear", "bottom of the pot", "baby back", "boston butt",
    "gasket", "color", "liter", "gray", "judgment", "stovetop", "chili", "canceled",
)  # fmt: skip
"""What cooks in Britain call otherwise; a broiler is a grill there, and a grill a barbecue."""


SCREEN = Path(__file__).parents[2] / "frontend" / "src" / "text"


def on_screen(locale: Locale) -> dict[str, ftl.Message]:
    """The screen's own words."""
    texts = (path.read_text(encoding="utf-8") for path in (SCREEN / locale).glob("*.ftl"))
    return {
        entry.id.name: entry
        for text in texts
        for entry in FluentParser().parse(text).body
        if isinstance(entry, ftl.Message)
    }


def said(locale: Locale) -> dict[str, str]:
    """The whole of each message, with what a locale takes from en-US."""
    own = entries(locale) | on_screen(locale)
    source = entries("en-US") | on_screen("en-US")
    assert len(source) > 1200
    whole = {
        name: rendering._completed(own.get(name, entry), entry) for name, entry in source.items()
    }
    return {
        name: serialize_message(entry)
        for name, entry in whole.items()
        if isinstance(entry, ftl.Message)
    }


_SAID_NOWHERE = re.compile(r"\{[^{}]*\}|^\s*\*?\[\w+\]")
"""What is filled in, and the code of a variant: nobody reads it."""


def found(locale: Locale, phrases: tuple[str, ...]) -> list[str]:
    pattern = re.compile(rf"\b(?:{'|'.join(map(re.escape, phrases))})\b", re.IGNORECASE)
    return [
        f"{name}: {match[0]}"
        for name, text in said(locale).items()
        for line in text.split("\n")
        if (
            match := pattern.search(
                _SAID_NOWHERE.sub("", line.partition("=")[2] if "=" in line else line)
            )
        )
    ]


@pytest.mark.parametrize("locale", LOCALES)
def test_nobody_says_it_so(locale: Locale) -> None:
    assert found(locale, NOBODY_SAYS) == []


def test_british_english_has_its_own_words() -> None:
    assert found("en-GB", NOT_BRITISH) == []

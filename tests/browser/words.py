"""The screen's own words by message id, so that a test finds a control in any locale."""

from functools import cache
from pathlib import Path

from fluent.runtime import FluentBundle
from fluent.syntax import FluentParser

from pneumachron.text.reader import MARKED, Locale
from pneumachron.text.render import marked

CATALOGS = Path(__file__).parents[2] / "frontend" / "src" / "text"


def screen(message: str, locale: Locale = "en-US", **params: str | float) -> str:
    """The text of a message of the screen."""
    bundle = _bundle(locale)
    pattern = bundle.get_message(message).value
    assert pattern is not None, message
    text, errors = bundle.format_pattern(pattern, params)
    assert not errors, errors
    return str(text)


@cache
def _bundle(locale: Locale) -> FluentBundle:
    bundle = FluentBundle([locale], use_isolating=False)
    for folder in ("en-US", *([] if locale in ("en-US", MARKED) else [locale])):
        for path in sorted((CATALOGS / folder).glob("*.ftl")):
            catalog = FluentParser().parse(path.read_text(encoding="utf-8"))
            if locale == MARKED:
                marked(catalog)
            bundle.add_resource(catalog, allow_overrides=True)
    return bundle

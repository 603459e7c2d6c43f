"""Codes with parameters to sentences, by Fluent catalogs: one folder a locale.

en-US is the source and complete; the other locales hold only what differs. In a message a
function says what a parameter is: `{ MASS($mass_kg) }`, `{ MINUTES($more_min) }`. To add one, add
it to `_FUNCTIONS`; to add a message, see the head of `catalogs/en-US/errors.ftl`.
"""

import re
from collections.abc import Callable, Iterator, Mapping
from functools import cache
from importlib.resources import files
from typing import Any, cast

from fluent.runtime import FluentBundle
from fluent.syntax import FluentParser
from fluent.syntax.ast import (
    BaseNode,
    Comment,
    GroupComment,
    Junk,
    Message,
    Placeable,
    Resource,
    ResourceComment,
    StringLiteral,
    Term,
    TextElement,
)
from fluent.syntax.visitor import Transformer

from pneumachron.core.catalog.cuts import cuts
from pneumachron.core.errors import CoreError, Param
from pneumachron.text import measures
from pneumachron.text.reader import LOCALES, MARKED, Locale, Reader

SOURCE: Locale = "en-US"
RIB_FAMILIES = frozenset({"ribs", "wings"})
"""Families whose tenderness is told by the bone."""
Params = Mapping[str, Param]


class TextError(CoreError):
    """There is no message for a code, or it lacks a parameter: a mistake of ours."""


_FUNCTIONS: dict[str, Callable[[float, Reader], str]] = {
    "MASS": measures.mass,
    "LENGTH": measures.length,
    "VOLUME": measures.volume,
    "VOLUMEMOST": measures.volume_at_most,
    "TEMP": measures.temperature,
    "SAFETEMP": measures.safe_temperature,
    "ALTITUDE": measures.altitude,
    "PRESSURE": measures.pressure,
    "MINUTES": measures.minutes,
    "CHANGE": measures.minutes_change,
    "DURATION": measures.duration,
    "PERCENT": measures.percent,
    "PLAIN": measures.number,
}


def render(code: str, params: Params, reader: Reader) -> str:
    """The sentence of a code.

    Raises
    ------
    TextError : no such message, or one of its parameters is missing.
    """
    message_id, _, attribute = code.partition(".")
    bundle = _bundle(reader)
    if not bundle.has_message(message_id):
        raise TextError(f"no message {message_id}")
    message = bundle.get_message(message_id)
    pattern = message.attributes.get(attribute) if attribute else message.value
    if pattern is None:
        raise TextError(f"no message {code}")
    # a text may differ by what is measured in: `{ $units -> ... }`
    text, errors = bundle.format_pattern(pattern, {"units": reader.units, **params})
    if errors:
        raise TextError(f"{code}: {errors[0]}")
    return str(text)


def has_message(code: str, reader: Reader) -> bool:
    """Whether there is a sentence for a code; `name.attribute` for a part of a message."""
    message_id, _, attribute = code.partition(".")
    bundle = _bundle(reader)
    if not bundle.has_message(message_id):
        return False
    message = bundle.get_message(message_id)
    return attribute in message.attributes if attribute else message.value is not None


def cut_words(cut_id: str, part: str, reader: Reader) -> str:
    """A cut's `name`, `short` name, `measure` (where to measure it) or how a step `looks-…`.

    What a cut does not say itself it shares with the cut that it is like.
    """
    asked: str | None = cut_id
    while asked is not None:
        if has_message(f"cut-{asked}.{part}", reader):
            return render(f"cut-{asked}.{part}", {}, reader)
        asked = cuts()[asked].like
    raise TextError(f"no words for {part} of {cut_id}")


def tenderness_words(family: str, texture: str, reader: Reader) -> str:
    """The word for a step of tenderness of a family of cuts."""
    kind = "ribs" if family in RIB_FAMILIES else "roasts"
    return render(f"tenderness-{kind}.{texture}", {}, reader)


def messages(locale: Locale) -> Iterator[str]:
    """Ids of all messages that a locale has a text of its own for, `name.attribute` included."""
    for name, entry in _entries(locale).items():
        if isinstance(entry, Message):
            if entry.value is not None:
                yield name
            for attribute in entry.attributes:
                yield f"{name}.{attribute.id.name}"


@cache
def _entries(locale: Locale) -> dict[str, Message | Term]:
    """Messages and terms of a locale by name, as its files have them."""
    folder = files("pneumachron.text") / "catalogs" / (SOURCE if locale == MARKED else locale)
    found: dict[str, Message | Term] = {}
    for path in sorted(folder.iterdir(), key=lambda path: path.name):
        for entry in FluentParser().parse(path.read_text(encoding="utf-8")).body:
            if isinstance(entry, Junk):
                raise TextError(f"{path.name}: {(entry.content or '')[:80]!r}")
            if isinstance(entry, Message | Term):
                sign = "-" if isinstance(entry, Term) else ""
                found[sign + entry.id.name] = entry
    if locale == MARKED:
        for entry in found.values():
            marked(entry)
    return found


def marked(node: BaseNode) -> None:
    """Put a ring on every letter of the texts of a catalog, or of a part of one."""
    _Marks().visit(node)


class _Marks(Transformer):
    def visit_TextElement(self, node: TextElement) -> TextElement:  # noqa: N802 - as there
        node.value = _ringed(node.value)
        return node

    def visit_Placeable(self, node: Placeable) -> BaseNode:  # noqa: N802 - as there
        # a text in quotes is told as it stands; one that a function gets is a name
        if isinstance(node.expression, StringLiteral):
            node.expression.value = _ringed(node.expression.value)
            return node
        return cast(BaseNode, self.generic_visit(node))


def _ringed(text: str) -> str:
    return re.sub("[A-Za-z]", "\\g<0>\u030a", text)


def _completed(entry: Message | Term, source: Message | Term | None) -> Message | Term:
    """What a locale says, and of the source what it does not say."""
    if source is None or isinstance(entry, Term):
        return entry
    own = {attribute.id.name for attribute in entry.attributes}
    rest = [attribute for attribute in source.attributes if attribute.id.name not in own]
    return Message(entry.id, entry.value or source.value, [*entry.attributes, *rest])


@cache
def _bundle(reader: Reader) -> FluentBundle:
    """All messages for a reader: those of the source, and over them those of the locale."""
    functions: dict[str, Callable[..., Any]] = {
        name: _bound(make, reader) for name, make in _FUNCTIONS.items()
    }
    functions["MINUTESSPAN"] = lambda low, high: measures.minutes_span(low, high, reader)
    functions["HOURSSPAN"] = lambda low, high: measures.hours_span(low, high, reader)
    functions["EXAMPLE"] = lambda kind: measures.shown_to(measures.EXAMPLES[kind], reader)
    functions["STEP"] = lambda: measures.length(measures.STEP_OF_THICKNESS_M[reader.units], reader)
    functions["STEPMINUTES"] = lambda slope: measures.minutes(
        slope * measures.STEP_OF_THICKNESS_M[reader.units], reader
    )
    functions["CUT"] = lambda cut, part: cut_words(str(cut), str(part), reader)
    functions["LOOKS"] = lambda cut, texture: cut_words(str(cut), str(texture), reader)
    functions["TENDERNESS"] = lambda family, texture: tenderness_words(
        str(family), str(texture), reader
    )
    functions["PANEL"] = lambda time_min: _on_the_panel(float(time_min), reader)
    functions["LIST"] = lambda names: measures.listing(str(names), reader)
    functions["NAMES"] = lambda group, codes: measures.listing(
        "\n".join(render(f"{group}-{code}", {}, reader) for code in str(codes).split("\n")), reader
    )
    functions["NAME"] = lambda group, one: render(f"{group}-{one}", {}, reader)
    bundle = FluentBundle([reader.locale], functions=functions, use_isolating=False)
    source, own = _entries(SOURCE), _entries(reader.locale)
    whole: list[Message | Term | Comment | GroupComment | ResourceComment | Junk] = [
        _completed(own.get(name, entry), entry) for name, entry in source.items()
    ]
    bundle.add_resource(Resource(whole))
    return bundle


def _on_the_panel(time_min: float, reader: Reader) -> str:
    """A cook time as it is keyed in: `98 min (1:38 on a cooker that shows hours)`."""
    shown = measures.minutes(time_min, reader)
    hours = measures.hours_minutes(time_min)
    return render("panel", {"minutes": shown, "hours": hours}, reader) if time_min >= 60 else shown


def _bound(make: Callable[[float, Reader], str], reader: Reader) -> Callable[[float], str]:
    return lambda value: make(float(value), reader)


def warm_up() -> None:
    """Read all catalogs."""
    for locale in LOCALES:
        _entries(locale)

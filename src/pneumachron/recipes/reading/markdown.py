"""Markdown as lines: its emphasis and links are words, its lists are lines."""

import re
from collections.abc import Iterator

from markdown_it import MarkdownIt
from markdown_it.token import Token

from pneumachron.recipes.reading.headings import may_be_marked


def markdown_lines(text: str) -> Iterator[str]:
    """The lines of a Markdown text: headings with their sign, items with a bullet, no emphasis.

    An empty line stands around a list and above a paragraph.
    """
    heading, lists, first = False, list[str](), False
    for token in MarkdownIt("commonmark", {"maxNesting": 20}).parse(text):
        if token.type in {"bullet_list_open", "ordered_list_open"}:
            if not lists:
                yield ""
            lists.append(token.type)
        elif token.type in {"bullet_list_close", "ordered_list_close"}:
            lists.pop()
            if not lists:
                yield ""
        elif token.type in {"heading_open", "heading_close"}:
            heading = token.type == "heading_open"
        elif token.type == "paragraph_open" and not lists:
            yield ""
        first = first or token.type == "list_item_open"
        if token.type != "inline":
            continue
        words = "".join(
            {"softbreak": "\n", "hardbreak": "\n"}.get(child.type, child.content)
            for child in token.children or []
        )
        if not lists and not heading:
            words = _with_headings(words, token.children or [])
        bullet = "- " if first and lists and lists[-1] == "bullet_list_open" else ""
        first = False
        lines = _unwrapped(words.split("\n"), in_item=bool(lists))
        if not lists and _is_emphasized(token.children or []):
            lines[0] = f"# {lines[0]}"
        yield f"# {lines[0]}" if heading else f"{bullet}{lines[0]}"
        yield from (f"# {line}" if heading else line for line in lines[1:])


def _is_emphasized(children: list[Token]) -> bool:
    """A paragraph that is nothing but one emphasis, and no sentence, is a heading."""
    children = [child for child in children if child.type != "text" or child.content]
    if children and children[-1].type == "text" and _ASIDE.fullmatch(children[-1].content):
        children = children[:-1]  # “**Dry rub** (makes extra)”
    marks = [child.type for child in children]
    words = "".join(child.content for child in children).strip()
    whole = len(marks) > 2 and marks[0] in _OPENS and marks[-1] == _OPENS[marks[0]]
    once = whole and marks.count(marks[0]) == 1
    return once and may_be_marked(words)


_ASIDE = re.compile(r"\s*\([^()]{2,30}\)\s*:?")
_HEADING_SIGN = "# "


def _with_headings(words: str, children: list[Token]) -> str:
    """“**Pickled onions**” on a line of its own within a paragraph is a heading too."""
    lines: list[list[Token]] = [[]]
    for child in children:
        if child.type in {"softbreak", "hardbreak"}:
            lines.append([])
        elif child.type != "text" or child.content:
            lines[-1].append(child)
    if len(lines) < 2:
        return words
    return "\n".join(
        _HEADING_SIGN * _is_emphasized(line) + "".join(child.content for child in line)
        for line in lines
    )


_OPENS = {"em_open": "em_close", "strong_open": "strong_close"}


def _unwrapped(lines: list[str], *, in_item: bool) -> list[str]:
    """An item that is wrapped goes on in small letters; anything else is a line of its own."""
    found = lines[:1]
    for line in lines[1:]:
        if in_item and line[:1].islower():
            found[-1] += f" {line}"
        else:
            found.append(line)
    return found

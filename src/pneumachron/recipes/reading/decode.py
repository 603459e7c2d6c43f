"""From bytes to text, whatever wrote them."""

import re
from codecs import BOM_UTF8, BOM_UTF16_BE, BOM_UTF16_LE

from pneumachron.core.message import Message
from pneumachron.recipes.errors import UnreadableError
from pneumachron.recipes.model import MAX_BYTES

_CHARSET = re.compile(rb"charset\s*=\s*[\"']?([A-Za-z0-9_.:-]{2,40})", re.I)
_CONTROL = re.compile(r"[\x00-\x08\x0b\x0c\x0e-\x1f\x7f-\x9f\u200b\u200e\u200f\u2060\ufeff]")
_SPACES = re.compile(r"[\u00a0\u2000-\u200a\u202f\u3000\t]")


def decode(content: bytes) -> tuple[str, list[Message]]:
    """Text of a file and remarks on its encoding.

    Raises
    ------
    UnreadableError : too large, or no text at all.
    """
    if len(content) > MAX_BYTES:
        raise UnreadableError(
            "recipe_too_large", size_mb=len(content) / 1e6, most_mb=MAX_BYTES / 1e6
        )
    for mark, name in ((BOM_UTF8, "utf-8-sig"), (BOM_UTF16_LE, "utf-16"), (BOM_UTF16_BE, "utf-16")):
        if content.startswith(mark):
            return clean(content.decode(name, errors="replace")), []
    if content[:4096].count(0) > 0:
        raise UnreadableError("not_text")
    try:
        return clean(content.decode("utf-8")), []
    except UnicodeDecodeError:
        named = _CHARSET.search(content[:4096])
        name = named[1].decode("ascii") if named else "cp1252"
        return clean(_decoded(content, name)), [Message("remark-not_utf8")]


CHARSETS = frozenset({
    "ascii", "us-ascii", "utf-8", "utf8", "utf-16", "utf-16le", "utf-16be",
    "iso-8859-1", "latin1", "latin-1", "iso-8859-2", "iso-8859-9", "iso-8859-15",
    "windows-1250", "windows-1251", "windows-1252", "windows-1254", "cp1250", "cp1251", "cp1252",
    "koi8-r", "macintosh", "shift_jis", "euc-jp", "iso-2022-jp", "gb2312", "gbk", "gb18030", "big5",
    "euc-kr",
})  # fmt: skip
"""Charsets of saved pages. Python knows more names, and some of them (`undefined`, `idna`,
`punycode`, `unicode_escape`) are no charset of a page but run code of their own."""


def _decoded(content: bytes, name: str) -> str:
    known = name.lower() if name.lower() in CHARSETS else "cp1252"
    return content.decode(known, errors="replace")


_GAP = re.compile(r" {5,}")
_LIKE_DEGREES = re.compile(r"(?<=\d)[˚⁰∘◦ᵒ]|(?<=\d )[˚⁰∘◦ᵒ](?=\s?[CF]\b)")
"""What looks like a degree sign behind a number: a ring above, a zero, a bullet."""
MAX_LINES_OF_TEXT = 20_000
MAX_LINE_CHARS = 20_000
"""A paragraph of a page without breaks; more is cut."""


def clean(text: str) -> str:
    """One kind of line end and space; nothing that hides, and no gap that nobody would read.

    Raises
    ------
    UnreadableError : far more lines than a recipe has.
    """
    plain = text.replace("\r\n", "\n").replace("\r", "\n").replace("\u2028", "\n")
    plain = _GAP.sub("    ", _CONTROL.sub("", _SPACES.sub(" ", plain)))
    plain = _LIKE_DEGREES.sub("°", plain)
    if plain.count("\n") > MAX_LINES_OF_TEXT:
        raise UnreadableError("too_many_lines", most=MAX_LINES_OF_TEXT)
    return plain

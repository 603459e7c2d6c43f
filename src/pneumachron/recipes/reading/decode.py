"""From bytes to text, whatever wrote them."""

import re
from codecs import BOM_UTF8, BOM_UTF16_BE, BOM_UTF16_LE

from pneumachron.recipes.errors import UnreadableError
from pneumachron.recipes.model import MAX_BYTES

_CHARSET = re.compile(rb"charset\s*=\s*[\"']?([A-Za-z0-9_.:-]{2,40})", re.I)
_CONTROL = re.compile(r"[\x00-\x08\x0b\x0c\x0e-\x1f\x7f-\x9f\u200b\u200e\u200f\u2060\ufeff]")
_SPACES = re.compile(r"[\u00a0\u2000-\u200a\u202f\u3000\t]")


def decode(content: bytes) -> tuple[str, list[str]]:
    """Text of a file and remarks on its encoding.

    Raises
    ------
    UnreadableError : too large, or no text at all.
    """
    if len(content) > MAX_BYTES:
        raise UnreadableError(
            "too_large",
            f"This file has {len(content) / 1e6:.1f} MB; at most {MAX_BYTES / 1e6:.0f} MB.",
            "Save only the recipe, or paste its text.",
        )
    for mark, name in ((BOM_UTF8, "utf-8-sig"), (BOM_UTF16_LE, "utf-16"), (BOM_UTF16_BE, "utf-16")):
        if content.startswith(mark):
            return clean(content.decode(name, errors="replace")), []
    if content[:4096].count(0) > 0:
        raise UnreadableError(
            "not_text",
            "This is not a text file.",
            "Open it in the program that made it, and paste the recipe's text.",
        )
    try:
        return clean(content.decode("utf-8")), []
    except UnicodeDecodeError:
        named = _CHARSET.search(content[:4096])
        name = named[1].decode("ascii") if named else "cp1252"
        return clean(_decoded(content, name)), ["Its letters were not UTF-8; look them over."]


def _decoded(content: bytes, name: str) -> str:
    try:
        return content.decode(name, errors="replace")
    except LookupError:
        return content.decode("cp1252", errors="replace")


def clean(text: str) -> str:
    """One kind of line end and space; nothing that hides."""
    plain = text.replace("\r\n", "\n").replace("\r", "\n").replace("\u2028", "\n")
    return _CONTROL.sub("", _SPACES.sub(" ", plain))

"""Pasted text and Markdown: which lines are title, yield, ingredients and steps."""

import re
from collections.abc import Iterator
from dataclasses import dataclass, field

from markdown_it import MarkdownIt

from pneumachron.recipes.model import Recipe
from pneumachron.recipes.understanding.durations import durations_in
from pneumachron.recipes.understanding.lines import read_line
from pneumachron.recipes.understanding.patterns import any_of

_INGREDIENTS = re.compile(
    r"^(the )?(ingredients?( list)?|what you(['’]ll| will)? need|you(['’]ll| will)? need)\s*:?$",
    re.I,
)
_STEPS = re.compile(
    r"^(the )?(method|directions?|instructions?|steps?|preparation|procedure|what to do|"
    r"how to (make|cook)( it)?)\s*:?$",
    re.I,
)
_NOTES = re.compile(r"^(notes?|tips?|remarks?)\s*:?$", re.I)
_YIELD = any_of(
    r"^(serves|servings?|makes|yields?|feeds|portions?|enough for)\b.{0,40}$",
    r"^(serves|feeds) about \d.{0,20}$",
    r"^for \d{1,3}( (people|persons|plates|of us))?\.?$",
    r"^\d{1,3}\s*([-–]|to)?\s*\d{0,3} (servings|portions|plates|people)\.?$",
)
_TIMES = re.compile(r"\b(prep|cook|total|serves)( time)?\s*:", re.I)
_STEP_LABEL = re.compile(r"^step \d{1,2}\s*[:.]?$", re.I)
_NUMBERED = re.compile(r"^\s*(?:step\s*)?\d{1,2}\s*[.):]\s+(?=[A-Za-z])", re.I)
_BULLET = re.compile(r"^\s*[-*•·▢☐–]\s+")
_VERBS = frozenset(
    [
        "add",
        "arrange",
        "bake",
        "baste",
        "beat",
        "blend",
        "boil",
        "braise",
        "bring",
        "broil",
        "brown",
        "brush",
        "carve",
        "chill",
        "chop",
        "close",
        "coat",
        "combine",
        "cook",
        "cool",
        "cover",
        "cut",
        "deglaze",
        "discard",
        "drain",
        "dust",
        "fry",
        "get",
        "grate",
        "grill",
        "heat",
        "hold",
        "keep",
        "lay",
        "leave",
        "let",
        "lift",
        "lock",
        "lower",
        "make",
        "marinate",
        "mash",
        "melt",
        "mix",
        "nestle",
        "pat",
        "place",
        "pour",
        "preheat",
        "press",
        "pull",
        "put",
        "reduce",
        "remove",
        "rest",
        "return",
        "roast",
        "roll",
        "rub",
        "scatter",
        "sear",
        "season",
        "serve",
        "set",
        "shred",
        "simmer",
        "skim",
        "slather",
        "slice",
        "smoke",
        "soak",
        "soften",
        "spread",
        "sprinkle",
        "stab",
        "stand",
        "stir",
        "strain",
        "take",
        "thicken",
        "tie",
        "toss",
        "transfer",
        "trim",
        "turn",
        "uncover",
        "unwrap",
        "warm",
        "wash",
        "whisk",
        "wrap",
    ]
)
"""Words that begin a step."""


@dataclass
class _Sorter:
    """Where the lines go; sections named by headings, or found by how lines look."""

    title: str = ""
    yields: str = ""
    times: str = ""
    section: str = "top"
    named: bool = False
    """A heading has opened the section, so a look does not close it."""
    parts: dict[str, list[str]] = field(
        default_factory=lambda: {"top": [], "ingredients": [], "steps": [], "notes": []}
    )

    def take(self, line: str) -> None:
        if self._is_heading(line):
            return
        plain = _BULLET.sub("", line).strip()
        if _YIELD.match(plain) and not self.yields and not _amount_of_food(plain):
            self.yields = plain
        elif _TIMES.search(plain) and self.section == "top":
            self.times = plain
            if (serves := re.search(r"serves\s*:?\s*[\d–-]+", plain, re.I)) and not self.yields:
                self.yields = serves[0]
        elif not self.title:
            self.title = plain.lstrip("# ")
        elif not _STEP_LABEL.match(plain):
            self._place(line, plain)

    def _is_heading(self, line: str) -> bool:
        bare = line.strip("#*_ ").strip()
        for pattern, section in (
            (_INGREDIENTS, "ingredients"),
            (_STEPS, "steps"),
            (_NOTES, "notes"),
        ):
            if pattern.match(bare):
                self.section, self.named = section, True
                return True
        return False

    def _place(self, line: str, plain: str) -> None:
        if not self.named:
            if self.section != "steps" and looks_like_step(line):
                self.section = "steps" if self.parts["ingredients"] else self.section
            elif self.section == "top" and looks_like_ingredient(plain):
                self.section = "ingredients"
        self.parts[self.section].append(
            _NUMBERED.sub("", plain) if self.section == "steps" else plain
        )


def _amount_of_food(line: str) -> bool:
    """“Makes 2 racks” is a yield, “serving spoon of salt” is not met here."""
    return bool(re.match(r"^portions? of\b", line, re.I))


def looks_like_ingredient(line: str) -> bool:
    """An amount in front, or few words and no sentence."""
    found = read_line(line)
    if line.endswith(".") and len(line.split()) >= 5:
        return False
    if found.low is not None:
        return len(line) <= 120
    return len(line.split()) <= 6 and not line.endswith((".", "!", "?"))


def looks_like_step(line: str) -> bool:
    """A sentence, a numbered line, or one that begins with a verb of the kitchen."""
    plain = _BULLET.sub("", line).strip()
    if _NUMBERED.match(line) and len(plain.split()) > 3:
        return True
    words = re.findall(r"[A-Za-z]+", plain.lower())
    if not words:
        return False
    starts = words[0] in _VERBS and not plain.lower().startswith(("salt", "roast beef"))
    sentence = plain.endswith((".", "!")) and len(words) >= 5
    amount = read_line(plain).low is not None and not durations_in(plain)
    return (starts and len(words) >= 3) or (sentence and not amount)


def read_plain(text: str) -> Recipe:
    """A recipe from pasted text."""
    return _sorted(line for line in text.split("\n"))


def read_markdown(text: str) -> Recipe:
    """A recipe from Markdown: its emphasis and links are words, its lists are lines."""
    return _sorted(_markdown_lines(text))


def _markdown_lines(text: str) -> Iterator[str]:
    items = 0
    for token in MarkdownIt("commonmark", {"maxNesting": 20}).parse(text):
        items += {"list_item_open": 1, "list_item_close": -1}.get(token.type, 0)
        if token.type != "inline":
            continue
        # an item that is wrapped goes on; lines of a paragraph are lines, as people mean them
        soft = " " if items else "\n"
        words = "".join(
            {"softbreak": soft, "hardbreak": "\n"}.get(child.type, child.content)
            for child in token.children or []
        )
        yield from words.split("\n")


def _sorted(lines: Iterator[str]) -> Recipe:
    sorter = _Sorter()
    for line in lines:
        if line.strip(" -_=*#"):
            sorter.take(line.strip())
    _numbers_without_headings(sorter)
    return Recipe(
        title=sorter.title,
        ingredients=tuple(sorter.parts["ingredients"]),
        steps=tuple(sorter.parts["steps"]),
        yields=sorter.yields,
        description=" ".join(sorter.parts["top"]),
        cook_s=_labelled_s(sorter.times, "cook"),
        prep_s=_labelled_s(sorter.times, "prep"),
        notes=tuple(sorter.parts["notes"]),
    )


def _numbers_without_headings(sorter: _Sorter) -> None:
    """Words before the first heading may hold the ingredients (“2 racks …” under the title)."""
    if sorter.parts["ingredients"] or not sorter.parts["top"]:
        return
    top = sorter.parts["top"]
    first = next((i for i, line in enumerate(top) if read_line(line).low is not None), None)
    if first is not None:
        sorter.parts["ingredients"], sorter.parts["top"] = top[first:], top[:first]


def _labelled_s(times: str, label: str) -> float | None:
    found = re.search(rf"{label}( time)?\s*:\s*(.{{1,30}})", times, re.I)
    spans = durations_in(found[2]) if found else []
    return spans[0].high_s if spans else None

"""How well strangers' recipes are read: precision and recall by field, over three sets.

Run with `python -m tests.recipes.strangers.measure development` (add `--show` for what was wrong)
or `... test`, which prints totals only. Texts and labels are invented; they were written and
measured before the code that reads them was changed. The test half is not looked at while mending;
its digest is held by `test_strangers.py`. `later` was written when both halves had
been measured many times: its first run tells how well a text is read that nothing was mended for.
"""

import re
import sys
from collections.abc import Iterator, Sequence
from csv import DictReader
from dataclasses import dataclass, field
from html import escape
from pathlib import Path

from pneumachron.core.catalog.pots import ready_pot
from pneumachron.recipes.converting.convert import Converted, convert
from pneumachron.recipes.converting.kitchen import Kitchen
from pneumachron.recipes.errors import RecipeError, UnreadableError
from pneumachron.recipes.model import Recipe
from pneumachron.recipes.reading import read_recipe
from pneumachron.recipes.understanding.ingredients import read_ingredients
from pneumachron.recipes.understanding.meat import read_meat
from pneumachron.recipes.understanding.method import read_method
from pneumachron.recipes.understanding.plates import read_plates
from pneumachron.recipes.understanding.texture import texture_of
from pneumachron.recipes.understanding.understand import Understood, understand
from tests.recipes.measure import MASS_TOLERANCE, TIME_TOLERANCE, Score, near

FOLDER = Path(__file__).parent
SETS = ("development", "test", "later")
FORMS = ("headings", "bare", "markdown", "page", "messy")
KITCHEN = Kitchen(ready_pot("bass"), 0.0, 4.0, metric=True)
IN_THE_POT = frozenset({"pot", "sear", "season"})
"""Where thick, sweet, starchy and fresh things do not belong before pressure."""


@dataclass(frozen=True, slots=True)
class Labeled:
    """A recipe of the corpus: its lines with what each is, and what a cook reads in it."""

    name: str
    form: str
    labels: dict[str, str]
    lines: tuple[tuple[str, str], ...]
    """Role (T title, Y yield, H heading, I ingredient, S step, N note, X none of it) and text."""

    def pasted(self) -> str:
        """As a cook pastes or saves it."""
        if self.form == "page":
            return _page(self.lines)
        return "\n".join(text for _, text in self.lines)

    def of_role(self, role: str) -> list[str]:
        """Texts of a role, as they are compared."""
        return [bare(text) for kind, text in self.lines if kind == role]


def _page(lines: Sequence[tuple[str, str]]) -> str:
    """A saved page without marks for machines."""
    tags = {"T": "h1", "H": "h3", "I": "li", "S": "p"}
    body = "\n".join(
        f"<{tags.get(role, 'div')}>{escape(text)}</{tags.get(role, 'div')}>" for role, text in lines
    )
    return f"<!doctype html><html><head><title>Page</title></head><body>{body}</body></html>"


_LEAD = re.compile(
    r"^(?:[-*•▢☐□–>#\s]|\*\*|step\s*\d{1,2}\s*[.:]?|\d{1,2}[.)](?=\s)"
    r"|\d{1,2} (?=(?-i:[A-Z])[a-z]+[ ,]))+\s*",
    re.I,
)


def bare(text: str) -> str:
    """Words alone: without bullet, number, emphasis."""
    return " ".join(re.sub(r"[*_]", "", _LEAD.sub("", text)).split()).casefold()


def corpus(half: str) -> Iterator[Labeled]:
    """All recipes of a half."""
    content = (FOLDER / f"{half}.txt").read_text(encoding="utf-8")
    for block in content.split("=== ")[1:]:
        head, _, body = block.partition("\n---\n")
        first, *rest = head.split("\n")
        name, form, _ = first.split(" ", 2)
        labels = {}
        for line in rest:
            key, _, value = line.partition(":")
            labels[key.strip()] = value.strip()
        lines = tuple(
            (line[0], line[2:]) for line in body.strip("\n").split("\n") if line[1:2] == " "
        )
        yield Labeled(name, form, labels, lines)


@dataclass
class Totals:
    """Scores by field and, for lines, by form; `wrong` says what was wrong, for the half that may
    be looked at."""

    fields: dict[str, Score] = field(default_factory=dict)
    wrong: list[str] = field(default_factory=list)

    def add(self, name: str, who: str, found: object, label: object, *, same: bool) -> None:
        self.fields.setdefault(name, Score()).add(found, label, same=same)
        if not same:
            self.wrong.append(f"{who} {name}: {found!r}, should be {label!r}")


def measure(half: str) -> Totals:
    """Read, understand and convert all of a half."""
    totals = Totals()
    for item in corpus(half):
        try:
            recipe = read_recipe(item.pasted()).recipe
        except UnreadableError as refused:
            totals.add("read at all", item.name, None, str(refused), same=False)
            recipe = Recipe("", (), ())
        _lines(totals, item, recipe)
        found, error = _understood(recipe)
        _scope(totals, item, found, error)
        if item.labels.get("scope", "ok") == "ok":
            _fields(totals, item, recipe, found)
            _converted(totals, item, recipe, found)
    return totals


def _lines(totals: Totals, item: Labeled, recipe: Recipe) -> None:
    for role, found in (("I", recipe.ingredients), ("S", recipe.steps)):
        wanted, read = item.of_role(role), [bare(text) for text in found]
        for text in wanted:
            same = text in read
            totals.add(f"lines, {item.form}", item.name, None, text, same=same)
        for text in read:
            if text not in wanted:
                totals.add(f"lines, {item.form}", item.name, text, None, same=False)


def _understood(recipe: Recipe) -> tuple[Understood | None, RecipeError | None]:
    try:
        return understand(recipe), None
    except RecipeError as error:
        return None, error


_ASKED_CODES = frozenset({"two_meats", "no_cut", "out_of_scope"})


def _scope(
    totals: Totals, item: Labeled, found: Understood | None, error: RecipeError | None
) -> None:
    scope = item.labels.get("scope", "ok")
    if scope == "ok":
        stopped = None if error is None else error.code
        totals.add("in scope let through", item.name, stopped, "ok", same=error is None)
        return
    asked = found is not None and any(item.asked == "cut" for item in found.questions)
    refused = error is not None and error.code in _ASKED_CODES
    cure = item.labels.get("cured") == "yes"
    totals.add("out of scope stopped or asked", item.name, None, scope,
               same=refused or asked or cure)  # fmt: skip


def _fields(totals: Totals, item: Labeled, recipe: Recipe, found: Understood | None) -> None:
    labels = item.labels
    meat = read_meat(read_ingredients(recipe.ingredients), recipe.title, recipe.steps)
    cooking = read_method(recipe)
    texture = texture_of(recipe)

    def plain(name: str, read: object, label: str) -> None:
        wanted = labels.get(label) or None
        if wanted is not None or label in labels:
            totals.add(name, item.name, read, wanted, same=read == wanted)

    def number(name: str, read: float | None, label: str, ratio: float) -> None:
        wanted = float(labels[label]) if labels.get(label) else None
        if label in labels:
            totals.add(name, item.name, read, wanted, same=near(read, wanted, ratio))

    cut = found.cut if found is not None else meat.cut
    plain("cut", cut, "cut")
    asked = found is not None and any(question.asked == "cut" for question in found.questions)
    silent = cut is not None and cut != labels.get("cut") and not asked
    totals.add("cut not wrong in silence", item.name, cut, labels.get("cut"), same=not silent)
    number("weight", meat.mass_kg, "mass_kg", MASS_TOLERANCE)
    number("pieces", meat.count, "pieces", 0.0)
    number("thickness", None if meat.thickness_m is None else 100 * meat.thickness_m,
           "thickness_cm", 0.03)  # fmt: skip
    plain("method", cooking.method, "method")
    number("temperature", cooking.temp_c, "temp_c", 0.02)
    plain("texture", texture, "texture")
    number("servings", read_plates(recipe), "serves", 0.01)
    if span := labels.get("time_min"):
        low, high = (float(part) for part in span.split("-"))
        read = None
        if cooking.low_s is not None and cooking.high_s is not None:
            read = (cooking.low_s / 60, cooking.high_s / 60)
        same = read is not None and (
            near(read[0], low, TIME_TOLERANCE) and near(read[1], high, TIME_TOLERANCE)
        )
        totals.add("time", item.name, read, (low, high), same=same)


def _converted(totals: Totals, item: Labeled, recipe: Recipe, found: Understood | None) -> None:
    try:
        done = None if found is None else convert(found, KITCHEN)
    except RecipeError as error:
        totals.wrong.append(f"{item.name} convert: {error.code}")
        done = None
    for words in filter(None, (part.strip() for part in item.labels.get("after", "").split(";"))):
        where = _where(done, recipe, words)
        same = bool(where) and not where & IN_THE_POT
        totals.add("kept out of the pot", item.name, None if not where else sorted(where), words,
                   same=same)  # fmt: skip
    if done is None:
        return
    kept = {line.origin for line in done.lines} | {
        mark.index for mark in done.marks if mark.where == "ingredient"
    }
    for index, text in enumerate(recipe.ingredients):
        totals.add("no ingredient lost", item.name, None, text, same=index in kept)


def _where(done: Converted | None, recipe: Recipe, words: str) -> frozenset[str]:
    """Where the lines that name something go in the converted recipe."""
    if done is None:
        return frozenset()
    rows = {
        index
        for index, text in enumerate(recipe.ingredients)
        if words.casefold() in text.casefold()
    }
    return frozenset(str(line.when) for line in done.lines if line.origin in rows)


def table(totals: Totals) -> str:
    """Precision and recall by field."""
    head = ["| field | precision, % | recall, % | n |", "| --- | --- | --- | --- |"]
    rows = [
        f"| {name} | {100 * score.precision:.0f} | {100 * score.recall:.0f} | {count(score)} |"
        for name, score in sorted(totals.fields.items())
    ]
    return "\n".join([*head, *rows])


def count(score: Score) -> int:
    """How many were judged."""
    return score.right + max(score.wrong, score.missed)


FIRST_RUN = FOLDER / "first-run.csv"
"""Of the day the corpus was committed: half, field, precision, recall, n."""


def first_run() -> dict[tuple[str, str], tuple[float, float, int]]:
    """Precision, recall [0 to 1] and n of the first run, by half and field."""
    with FIRST_RUN.open(encoding="utf-8") as lines:
        return {
            (row["half"], row["field"]): (
                float(row["precision"]), float(row["recall"]), int(row["n"])
            )
            for row in DictReader(lines)
        }  # fmt: skip


def main(arguments: Sequence[str]) -> None:
    """Print the totals of a half."""
    half = arguments[0]
    totals = measure(half)
    sys.stdout.write(table(totals) + "\n")
    if "--show" in arguments and half != "test":
        sys.stdout.write("\n".join(totals.wrong) + "\n")


if __name__ == "__main__":
    main(sys.argv[1:])

"""Pasted text and Markdown: which lines are title, yield, ingredients and steps.

Every line is scored (`looks.py`); headings (`headings.py`) weigh most. The cheapest way through the
text decides where ingredients and steps begin and end, in either order, with what a page says
before, after and in between left out. A line is never lost: what is left out is kept apart.
"""

from collections.abc import Callable, Iterator
from dataclasses import replace

from pneumachron.recipes.errors import UnreadableError
from pneumachron.recipes.model import MAX_LINES, MAX_PARTS, Part, Recipe, Section
from pneumachron.recipes.reading.asides import (
    SET_AT,
    by_their_work,
    ends_a_part,
    has_time_or_heat,
    is_aside,
    is_beside_the_list,
    is_clutter,
    is_farewell,
    labelled_s,
)
from pneumachron.recipes.reading.boxes import SURE_WORK
from pneumachron.recipes.reading.cards import Post, card_of
from pneumachron.recipes.reading.cells import joined_cells
from pneumachron.recipes.reading.headings import names_another_way
from pneumachron.recipes.reading.looks import NUMBERED
from pneumachron.recipes.reading.markdown import markdown_lines
from pneumachron.recipes.reading.nested import END_OF_PART, with_nested_parts
from pneumachron.recipes.reading.numbering import (
    BARE_NUMBER,
    LEAST_SMALL,
    SMALL_NUMBER,
    without_numbers,
    without_romans,
)
from pneumachron.recipes.reading.part_names import least_in_a_part
from pneumachron.recipes.reading.paths import SURELY_FOOD, State, states_of
from pneumachron.recipes.reading.prose import (
    foods_in_prose,
    is_told_part,
    meat_in_prose,
    told_as_well,
    without_meat_only,
)
from pneumachron.recipes.reading.row import Row
from pneumachron.recipes.reading.rows import (
    MOST_TITLE_WORDS,
    WEIGHED,
    Text,
    called,
    is_meat,
    may_be_title,
    may_end_as_a_sentence,
    name_sections,
)
from pneumachron.recipes.reading.several import recipes_in, with_mixtures_as_parts
from pneumachron.recipes.reading.tidied import tidied
from pneumachron.recipes.reading.titles import question, title_of
from pneumachron.recipes.reading.unfolding import later_part, unfolded
from pneumachron.recipes.reading.values_below import with_their_values
from pneumachron.recipes.understanding.ingredients import food_of
from pneumachron.recipes.understanding.lines import read_line
from pneumachron.recipes.understanding.remarks import tells_long_heat

MAX_ROWS = 4_000
"""Lines with words of a page; a long one with all its comments has some hundreds. Judgement."""


def read_plain(text: str) -> list[Recipe]:
    """The recipes in a pasted text, the one for a cooker first."""
    return _recipes(with_nested_parts(tidied(text)))


def read_markdown(text: str) -> list[Recipe]:
    """Those of Markdown: its emphasis and links are words, its lists are lines."""
    return _recipes(markdown_lines(text))


def _recipes(lines: Iterator[str]) -> list[Recipe]:
    """What the other recipes say is left out of the first, so that nothing is lost."""
    taken = list(_with_gaps(lines))
    text = _text_of(taken)
    found = recipes_in(text.rows)
    if not found:
        return [_sorted(text)]
    texts = [_text_of(_lines_of(taken, text.rows, *reach)) for reach in found]
    first, *others = map(_sorted, texts)
    ends = {row.line for row in text.rows[slice(*found[0])]}
    outside = [row.plain for row in text.rows if row.line not in ends]
    left_out = (*first.left_out, *outside)[:MAX_LINES]
    # who wrote the page wrote all of them
    author, source = first.author or text.author, first.source or text.source
    return [replace(first, left_out=left_out, author=author, source=source), *others]


def _lines_of(
    taken: list[tuple[str, bool]], rows: list[Row], begins: int, ends: int
) -> list[tuple[str, bool]]:
    """The lines that rows come from, with the yields and times among them."""
    last = rows[ends].line if ends < len(rows) else len(taken)
    return taken[rows[begins].line : last]


def _with_gaps(lines: Iterator[str]) -> Iterator[tuple[str, bool]]:
    """Each line with words, and whether an empty line stands above it."""
    gap, count = False, 0
    for raw in (part for line in with_their_values(lines) for part in unfolded(line)):
        line = joined_cells(raw.strip())
        if line.strip(" -_=*#"):
            count += 1
            if count > MAX_ROWS:
                raise UnreadableError("too_many_lines", most=MAX_ROWS)
            yield line, gap
            gap = False
        gap = gap or not line


def _text_of(lines: list[tuple[str, bool]]) -> Text:
    text = Text()
    for at, (line, gap) in enumerate(lines):
        text.take(line, after_gap=gap, at=at)
    return text


def _sorted(text: Text) -> Recipe:
    """A text that holds one recipe."""
    text.rows, post = card_of(with_mixtures_as_parts(text.rows))
    name_sections(text.rows)
    states = _with_later_parts(text.rows, states_of(text.rows))
    text.rows, states = _with_told_parts(text.rows, states)
    return _Sorted(text, states, post).recipe()


def _with_later_parts(rows: list[Row], states: list[State]) -> list[State]:
    """“Vinegar sauce”, with its foods and its work, behind the steps: no end of the page."""
    found = list(states)
    for at, row in enumerate(rows):
        behind = found[at] == "after" or (found[at] == "steps" and "ingredients" in found[:at])
        if row.heading != "part" or not behind or row.under in {"notes", "end"}:
            continue
        foods = at + 1 + _how_many(rows[at + 1 :], lambda each: each.look.food > SURELY_FOOD)
        if sum(each.look.has_amount for each in rows[at + 1 : foods]) < least_in_a_part(row):
            continue
        work = foods
        if found[at] == "after":
            work += _how_many(rows[foods:], lambda each: each.look.work > 0.0)
        for place in range(at, work):
            found[place] = "ingredients" if place < foods else "steps"
    return found


def _with_told_parts(rows: list[Row], states: list[State]) -> tuple[list[Row], list[State]]:
    """“Finishing sauce: 2 cups vinegar, 1 Tbsp salt, shake in a jar” is foods and their work."""
    listed = sum(state == "ingredients" and row.look.has_amount
                 for row, state in zip(rows, states, strict=True))  # fmt: skip
    # of a post that lists nothing else it may be the only line that looks like food
    told_in: set[State] = {"steps", "after"} if listed >= _LEAST_LISTED else {"ingredients"}
    found: list[tuple[Row, State]] = []
    for row, state in zip(rows, states, strict=True):
        idle = row.under not in {"notes", "end"} and not row.look.clutter
        told = later_part(row.plain) if idle and state in told_in else None
        if told is None:
            found.append((row, state))
            continue
        name, foods, work = told
        found += [(Row.of(line), "ingredients") for line in (f"{name}:", *foods, END_OF_PART)]
        found.append((Row.of(f"{name}: {work}"), "steps"))
    return [row for row, _ in found], [state for _, state in found]


_LEAST_LISTED = 3
"""Foods with an amount that make a list. Judgement."""


def _how_many(rows: list[Row], fits: Callable[[Row], bool]) -> int:
    """Rows from the first on that fit, up to the next heading."""
    return next(
        (at for at, row in enumerate(rows) if row.heading is not None or not fits(row)), len(rows)
    )


class _Sorted:
    """Rows with their states, made a recipe."""

    def __init__(self, text: Text, states: list[State], post: Post) -> None:
        self.text, self.post = text, post
        self.pairs = list(zip(text.rows, states, strict=True))
        self.left_out: list[str] = [*post.told_again]
        self.tips: list[str] = []

    def recipe(self) -> Recipe:
        """All of it."""
        title = self._title()
        ingredients, parts = self._ingredients()
        steps, sections = self._steps()
        early = self._work_before(title) + self._strayed()
        steps = [*(row.plain for row in early), *steps]
        sections = [replace(each, first=each.first + len(early)) for each in sections]
        notes = tuple(
            row.plain for row, state in self.pairs
            if state in {"before", "after"} and row.under == "notes" and not self._no_words(row)
        )  # fmt: skip
        notes = tuple(NUMBERED.sub("", line) for line in (*notes, *self.tips))
        before = [
            row.plain for row, state in self.pairs
            if state == "before" and row is not title and not self._no_words(row)
            and row.under not in {"notes", "end"}
            and not _is_lost_meat(row, state) and row not in early
        ]  # fmt: skip
        self.left_out += [
            row.plain for row, state in self.pairs
            if (state in {"before", "after"} and row.look.clutter and row is not title)
            or (state == "before" and row.under == "end" and not self._no_words(row))
            or (state == "after" and row.under != "notes" and not self._no_words(row)
                and row is not title and not _is_lost_meat(row, state))
        ]  # fmt: skip
        lines = ingredients
        if not any(food_of(line).kind == "meat" for line in ingredients):
            # “To freeze: put in a bag 3 lb brisket, …” tells all that goes in
            bagged = [line for line in self.tips if meat_in_prose([line])]
            steps = [*bagged, *steps]
            notes = tuple(line for line in notes if line not in bagged)
        if not steps:  # a letter in one paragraph is the work itself
            steps, before = by_their_work(before)
        if not any(food_of(line).kind == "meat" for line in ingredients):
            # in a question above its answer it may stand too
            titled = [title.plain] if title and not ingredients else []
            titled.append(self.text.yields)  # “Yield: 2 racks of baby back ribs”
            named = meat_in_prose([*before, *steps]) or meat_in_prose([*self.left_out, *titled])
            lines = [*ingredients, *named]
            # “Jacob's ladder in the slow cooker?”: only the title names the meat, or nothing does
            if (named or not ingredients) and not any(map(_is_counted, ingredients)):
                # a letter tells the meat, and what is done with it, before the steps
                above, before = by_their_work(before)
                steps = [*above, *steps]
                steps += [line for line in self.left_out if is_told_part(line)]
                self.left_out = [line for line in self.left_out if line not in steps]
                foods, told = foods_in_prose([*before, *steps], len(lines))
                lines, parts = [*lines, *foods], [*parts, *told][:MAX_PARTS]
                steps = steps if sections else without_meat_only(steps)
            elif len(lines) > len(ingredients):  # only the rub is listed
                lines += told_as_well(steps, lines)
        elif all(food_of(line).kind == "meat" for line in ingredients):
            # only the meat stands on a line of its own: the rest is told with the work
            foods, told = foods_in_prose(steps, len(ingredients))
            lines, parts = [*ingredients, *foods], [*parts, *told][:MAX_PARTS]
        called_so = title_of(title.plain) if title else self.text.subject or self.text.topic
        return Recipe(
            title=called_so,
            ingredients=tuple(lines),
            steps=tuple(steps),
            yields=self.text.yields,
            description=" ".join(
                line for line in (*self.post.description, *before) if title_of(line) != called_so
            ),
            cook_s=labelled_s(self.text.times, "cook")
            or labelled_s(self.text.times, r"(?<!prep )(?<!total )\btime"),
            prep_s=labelled_s(self.text.times, "prep"),
            notes=notes,
            author=self.text.author,
            source=self.text.source,
            parts=tuple(parts),
            sections=tuple(sections[:MAX_PARTS]),
            left_out=tuple(line for line in self.left_out[:MAX_LINES] if line != END_OF_PART),
        )

    def _work_before(self, title: Row | None) -> list[Row]:
        """“Take the skin off the back”, above the list of a mail: its first step."""
        if any(row.heading in {"ingredients", "steps"} for row, _ in self.pairs):
            return []
        if not any(state == "steps" for _, state in self.pairs):
            return []
        above = [
            row for row, state in self.pairs
            if state == "before" and row.heading is None and not row.look.clutter
            and row.under not in {"notes", "end"}
            and row is not title and not is_aside(row, cooked=True)
        ]  # fmt: skip
        sure = [at for at, row in enumerate(above) if row.look.work >= SURE_WORK]
        # "2 h on the smoke", below two lines of work, is work too
        several = len(sure) > 1
        return [
            row for at, row in enumerate(above)
            if at in sure or (several and at > sure[0] and has_time_or_heat(row.plain))
        ]  # fmt: skip

    def _strayed(self) -> list[Row]:
        """“Parboil 30 min”, between the meat and its sauce on a card: work, and no food."""
        if any(row.heading == "ingredients" for row, _ in self.pairs):
            return []
        return [row for row, state in self.pairs if state == "ingredients" and _is_strayed(row)]

    def _is_boxed(self, row: Row) -> bool:
        """Whether a row stands in notes, or in what a page adds, among the recipe: kept apart."""
        boxed = row.under in {"notes", "end"}
        if boxed and not self._no_words(row):
            (self.tips if row.under == "notes" else self.left_out).append(row.plain)
        return boxed

    @staticmethod
    def _no_words(row: Row) -> bool:
        opened = row.heading not in {None, "part"} and not names_another_way(row.plain)
        return row.look.clutter or opened

    def _title(self) -> Row | None:
        """The heading of a page; else the first line before the recipe that may be one."""
        outside = [
            (row, state) for row, state in self.pairs
            if state in {"before", "after"} and may_be_title(row)
        ]  # fmt: skip
        before = [row for row, state in outside if state == "before"]
        marked = next((row for row in before if row.raw.startswith("#")), None)
        meaty = (row for row, state in outside if state == "after" and is_meat(row))
        if self.text.subject and marked is None:
            return None
        asked = (row for row, state in self.pairs if state != "steps" and question(row.plain))
        found = marked or called(before) or next(meaty, None) or next(asked, None)
        if found is not None and found.plain.endswith("!"):
            # “It's brisket season, friends!” above “# Christmas brisket”
            heads = (row for row, _ in self.pairs if row.raw.startswith("#") and is_meat(row))
            found = next(heads, found)
        # “Pork collar for a weeknight?! Almost.” ends as a sentence does
        before = [row for row, state in self.pairs if state == "before"]
        return found or next(filter(may_end_as_a_sentence, before), None)

    def _ingredients(self) -> tuple[list[str], list[Part]]:
        lines: list[str] = []
        parts: list[tuple[str, list[int]]] = []
        strayed = self._strayed()
        for row, state in self.pairs:
            if state != "ingredients":
                if _is_lost_meat(row, state):
                    lines.append(row.plain)
                continue
            if self._is_boxed(row):
                continue
            if row.heading == "part":
                parts.append((row.plain.strip("*_:[] "), []))
            elif row.heading is None and row.look.clutter:
                self.left_out.append(row.plain)
            elif row.heading is None and is_beside_the_list(row):
                self.tips.append(row.plain)
            elif row.heading is None and row not in strayed:
                if parts and ends_a_part(row, *parts[-1]):
                    parts.append((END_OF_PART[0], []))
                if parts:
                    parts[-1][1].append(len(lines))
                lines.append(row.plain)
        return without_numbers(lines), [
            Part.of(name, tuple(rows))
            for name, rows in parts[:MAX_PARTS]
            if rows and name != END_OF_PART[0]
        ]

    def _steps(self) -> tuple[list[str], list[Section]]:
        places = [at for at, (_, state) in enumerate(self.pairs) if state == "steps"]
        first, last = (places[0], places[-1]) if places else (0, 0)
        rows = [
            row for at, (row, state) in enumerate(self.pairs)
            if (state == "steps" and row.heading in {None, "part"})
            # the heading of a part behind the steps names its foods and its work
            or (state == "ingredients" and row.heading == "part" and first < at < last)
        ]  # fmt: skip
        while len(rows) > 1 and (rows[-1].heading == "part" or is_farewell(rows[-1])):
            self.left_out.append(rows.pop().plain)
        steps: list[str] = []
        named: dict[int, str] = {}
        cooked = False
        for row in rows:
            if self._is_boxed(row):
                continue
            if row.heading == "part":
                if row.plain != END_OF_PART:
                    named[len(steps)] = row.plain.strip("*_:[] ")
            elif is_clutter(row):
                self.left_out.append(row.plain)
            elif is_aside(row, cooked=cooked):
                self.tips.append(row.plain)
            else:
                steps.append(row.plain)
                cooked = cooked or tells_long_heat(row.plain)
        # "2. 10 am: ribs on" is a number before a time, once all of them are numbered
        steps = [NUMBERED.sub("", step) for step in without_romans(without_numbers(steps))]
        steps = without_numbers(steps, BARE_NUMBER)
        if len(steps) >= LEAST_SMALL:
            steps = without_numbers(steps, SMALL_NUMBER)
        return steps, [Section(name, first) for first, name in named.items() if first < len(steps)]


def _is_strayed(row: Row) -> bool:
    sure = row.look.work >= SURE_WORK and row.look.food <= -SURELY_FOOD
    set_at = SET_AT.match(row.plain) is not None
    apart = row.heading is not None or row.look.clutter or row.under in {"notes", "end"}
    return (sure or set_at) and not apart


def _is_counted(line: str) -> bool:
    return read_line(line).low is not None


def _is_lost_meat(row: Row, state: State) -> bool:
    """A line with an amount of meat is an ingredient, wherever it stands."""
    if state == "steps" or row.heading is not None or row.look.clutter or row.names_it:
        return False
    weighed = row.look.has_amount and row.look.food > 1.0
    few = len(row.plain.split()) <= MOST_TITLE_WORDS and row.look.work < 0.3
    return is_meat(row) and (weighed or (few and WEIGHED.search(row.plain) is not None))

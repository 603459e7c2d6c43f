"""The lines of a pasted text: how each looks, and under which heading it stands."""

import re
from dataclasses import dataclass, field, replace
from itertools import pairwise

from pneumachron.recipes.reading.boxes import SURE_FOOD, Boxes
from pneumachron.recipes.reading.headings import (
    STEP_LABEL,
    TIMES,
    Heading,
    author_in,
    heading_of,
    names_another_way,
    source_in,
    yield_in,
)
from pneumachron.recipes.reading.looks import BULLET
from pneumachron.recipes.reading.part_names import capitals_are_headings, single_words_are_headings
from pneumachron.recipes.reading.prose import meat_in_prose
from pneumachron.recipes.reading.row import COUNTS, Row
from pneumachron.recipes.reading.titles import A_DISH, ABOUT_MEAT, MEAT_WORD, SERVED, SUBJECT
from pneumachron.recipes.understanding.durations import durations_in
from pneumachron.recipes.understanding.ingredients import food_of
from pneumachron.recipes.understanding.lines import read_line
from pneumachron.recipes.understanding.patterns import WEIGHT_UNIT

_LEAST_TITLE, MOST_TITLE_WORDS, _MOST_CALLED = 3, 14, 9
"""Letters and words of a title; words of one with an exclamation mark."""


@dataclass(slots=True)
class Text:
    """The rows, and what was taken out of them already."""

    rows: list[Row] = field(default_factory=list)
    yields: str = ""
    times: str = ""
    author: str = ""
    source: str = ""
    subject: str = ""
    """Of a mail, when it names a meat."""
    topic: str = ""
    """Of a thread, whatever it names."""
    _is_beside_times: bool = False

    def take(self, line: str, *, after_gap: bool = False, at: int = 0) -> None:
        """One line; yield, times and empty labels are no rows.

        Parameters
        ----------
        after_gap : an empty line stands above it
        at : which line of the text it is
        """
        before = len(self.rows)
        self._take(line)
        if len(self.rows) > before:
            self.rows[before].after_gap = after_gap
            for row in self.rows[before:]:
                row.line = at

    def _take(self, line: str) -> None:
        cells = None if self.rows else _TITLE_CELL.match(line)
        told = cells and ("|" in cells["labels"] or yield_in(cells["labels"].strip()))
        if cells and told and ABOUT_MEAT.search(cells["title"]):
            self.times = f"{self.times} {cells['labels']}".strip()
            counted = map(yield_in, _BAR.split(cells["labels"]))
            self.yields = self.yields or next(filter(None, counted), "")
            line = cells["title"].strip()
        dashed = None if self.rows else _TITLE_AND_TIMES.match(line)
        if dashed and ABOUT_MEAT.search(dashed["title"]):
            self.rows.append(Row.of(dashed["title"]))
            self.take(dashed["labels"])
            return
        # "for the marinade —" is a heading
        line = _DASHED.sub(r"\1:", line)
        plain = BULLET.sub("", line).strip()
        if STEP_LABEL.match(plain):
            return
        if self._credit(line):
            return
        if _WEIGHS.match(plain):
            return
        told = yield_in(line)
        # “Hi, here it is” may stand above it
        titled = not self.rows or (not self.yields and _NAMES_THE_DISH.match(plain))
        if titled and not told and (behind := SERVED.search(plain)):
            self.yields = behind[0].strip(" ,;.()–-")
            line = plain = SERVED.sub("", plain).rstrip(" .,–-")
        first = bool(told) and not self.yields
        if first:
            self.yields = told
        timed = bool(TIMES.search(plain) or (self.times and _ONLY_COOKS.match(plain)))
        told_more = len(_OTHER_WORDS.findall(plain.lower())) >= _MOST_OTHER_WORDS
        short = len(plain.split()) < 20 and not told_more
        work = _IN_THE_OVEN.match(plain) and any(row.heading == "steps" for row in self.rows)
        # below the yield or another time it is one more; among the steps it is work
        timed = timed or (self._is_beside_times and _ALSO_TIMED.match(plain) is not None)
        self._is_beside_times = first or (timed and short and not work)
        if timed and short and not work and heading_of(line) is None:
            self.times = f"{self.times} {plain}".strip()
            return
        if first and heading_of(line) is None:
            return
        self.rows.append(Row.of(line))

    def _credit(self, line: str) -> bool:
        """Who wrote it, where it stands and what the mail is about: each by its first line."""
        told = (found for words in _SAYS_WHO if (found := words.search(line)))
        posted = _THREAD.match(line) or (None if self.author else next(told, None))
        if posted is not None:
            self.author = self.author or posted["name"]
            if above := line[: posted.start()].strip():
                self.take(above)
            return True
        if (adapted := _ADAPTED.search(line)) and not self.source:
            self.source = adapted["where"]
            self.take(line[: adapted.start()])
            return True
        subject = SUBJECT.match(line)
        if subject and not self.topic and len(subject["about"].split()) >= _LEAST_OF_A_TOPIC:
            self.topic = subject["about"].strip(" ?!.")
        if subject and not self.subject and ABOUT_MEAT.search(subject["about"]):
            self.subject = subject["about"].strip(" ?!.")
            return True
        author, source = author_in(line), source_in(line)
        if author and not self.author:
            self.author = author
            for beside in _BESIDE_A_NAME.split(line)[1:]:
                self.take(beside)
            return True
        if source and not self.source:
            self.source = source
            return True
        return False


_LEAST_OF_A_TOPIC = 3
"""Words of a thread that may name its recipe: “Saturday” does not. Judgement."""
_POSTED_BY = re.compile(
    r"(?<=[\w)!?])\s+(?:[-–—|]\s*|\()(?:recipe )?(?:posted|submitted|shared|uploaded|added) by\s+"
    r"(?P<name>[^\s,;|()]+(?: [A-Z][\w.]*){0,2})[^a-z]*(?:rat(?:ing|ed)\b.{0,30}|\W*)$"
)
"""“Best ever pork roast - posted by granny_oakes, rating 4.7 (312)”."""
_OF_MRS = re.compile(r"(?<=[a-zA-Z])\s{3,}(?P<name>(?:Mrs?|Ms|Miss)\.? [A-Z][\w. ]{1,40})$")
"""“BARBECUED RIBS      Mrs. R. Dunmore”, in the book of a parish."""
_KITCHEN_OF = re.compile(
    r"(?<=[a-zA-Z])\s{2,}(?:from )?(?:the )?(?:kitchen|recipe|book) of:?\s+"
    r"(?P<name>[A-Z][\w.' ]{1,40})$"
)
"""“Ribs & Kraut      from the kitchen of: Lottie Brandt”, on a card."""
_SAYS_WHO = (_POSTED_BY, _OF_MRS, _KITCHEN_OF)
_THREAD = re.compile(r"^(?:r/\w+\s*\W\s*)?posted by u/(?P<name>[\w-]{2,40})\b.{0,30}$", re.I)
"""Of a thread: who opened it, and when."""
_ADAPTED = re.compile(
    r"(?<=[\w)!?])\s+\((?P<where>(?:adapted|inspired|borrowed|copied|stolen) (?:from|by) "
    r"[^()]{3,90})\)$",
    re.I,
)
"""“Pork roast (adapted from my mother-in-law)”: who it is owed to."""
_WEIGHS = re.compile(rf"^yields?\s*:\s*\d[\d./½¼¾]{{0,4}} {WEIGHT_UNIT}\b", re.I)
"""“Yield: 3 pounds of ribs” says nothing that the list does not say."""
_BAR = re.compile(r"\s*\|\s*")
_TITLE_CELL = re.compile(
    r"^(?P<title>[^|]{8,80}?)\s*\|\s*(?P<labels>[^|]{0,40}\d[^|]{0,40}(?:\|[^|]{0,40}\d[^|]{0,40})?)$"
)
"""“Brisket tacos | 12 tacos | 30 min active, 9 h total”."""
_TITLE_AND_TIMES = re.compile(
    r"^(?P<title>[^|:]{8,80}?)\s+[–—-]\s+"
    r"(?P<labels>(?:prep|cook|total|hands[- ]on)(?:ping|ing)?(?: time)?\W{1,3}\d.{1,80})$",
    re.I,
)
"""“Honey ribs – Prep: 10 min. Cook: 25 min. Serves 4”."""
_OTHER_WORDS = re.compile(
    r"(?<![\w'’])(?!(?:prep\w*|cook\w*|total|active|hands|serves?|servings?|yields?|makes|feeds|time"
    r"|minutes?|mins?|hours?|hrs?|for|about|overnight|plus|people|persons|portions?|and|the|difficulty"
    r"|easy|medium|level|oven|marinat\w*|chill\w*|rest\w*|inactive|additional|ready|resting)\b)"
    r"[a-zäöüß]{3,}"
)
_MOST_OTHER_WORDS = 5
_NAMES_THE_DISH = re.compile(
    rf"[^\d.!?]{{0,80}}{MEAT_WORD}[^\d.!?]{{0,40}}(?:\(|[,–-] )(?:serves|feeds|makes|for|für) \d",
    re.I,
)
"""“Braised short ribs, for 4” below the first words of a mail."""
"""“Cook: direct, over hardwood coals, 4 h, mop and flip”: so much more is work. Judgement."""
_ALSO_TIMED = re.compile(
    r"^(?:smok|rest|brais|roast|bak|grill|marinat|chill|brin|cur|soak|simmer|stand|inactiv"
    r"|slow[ -]?cook"
    r"|additional|extra|ready in)\w*(?: time)?\s*:\s*\d[\d ./½¼¾–-]*"
    r"(?:h|hrs?|hours?|m|mins?|minutes?|days?)\b\.?(?: \d+ ?(?:m|mins?|minutes?)\.?)?$",
    re.I,
)
"""“Smoke: 8 hrs”, behind “Prep: 15 min”."""
_ONLY_COOKS = re.compile(r"^cook(?:ing)?(?: time)? (?:about )?\d[^.,;]{0,20}$", re.I)
"""“Cook 1 hr 45 mins”, below “Prep 15 mins”."""
_IN_THE_OVEN = re.compile(r"^in the oven\b", re.I)
"""Among the steps it is one of them; above them it is a time."""
_DASHED = re.compile(r"^((?:for )?(?:the )?[a-z]+(?: [a-z]+){0,3})\s*[—–-]+\s*$", re.I)
_BESIDE_A_NAME = re.compile(r"\s+[|·]\s+|\s{3,}")
"""“By Ida Marsh | 12 servings | 3 hours”."""


NUMBERED = re.compile(r"\s*(?P<number>\d{1,2})[.)]\s+\S")
LEAST_NUMBERED = 3


def _numbered_are_alike(rows: list[Row]) -> None:
    """“1. rub, overnight” above “2. bake …” is a step, whatever rub may be on a list."""
    runs: list[list[Row]] = []
    for row in rows:
        found = NUMBERED.match(row.raw)
        number = int(found["number"]) if found else 0
        if number == 1:
            runs.append([])
        if number and runs and number == len(runs[-1]) + 1:
            runs[-1].append(row)
    for run in runs:
        works = sum(row.look.work for row in run) > sum(row.look.food for row in run)
        if len(run) >= LEAST_NUMBERED and works:
            for row in run:
                row.look = replace(row.look, food=min(row.look.food, 0.0))


def _shopping_talk_is_none(rows: list[Row]) -> None:
    """“What you'll need”, with nothing measured below it, above the list itself: it only tells."""
    opened = [at for at, row in enumerate(rows) if row.heading == "ingredients"]
    for at, following in pairwise(opened):
        between = rows[at + 1 : following]
        ends = next((k for k, row in enumerate(between) if row.heading), len(between))
        if between[:ends] and not any(row.look.has_amount for row in between):
            rows[at].heading = "end"


def _gear_is_none(rows: list[Row]) -> None:
    """“You will need”, and below it a pot and a pair of tongs: no list of foods."""
    for at, row in enumerate(rows):
        if row.heading != "ingredients" or not _ASKS_FOR.search(row.plain):
            continue
        below = rows[at + 1 :]
        ends = next(
            (k for k, each in enumerate(below) if each.heading or (k and each.after_gap)),
            len(below),
        )
        foods = [food_of(read_line(each.plain).name) for each in below[:ends]]
        if foods and all(food.kind in {"tool", "unknown"} for food in foods):
            row.heading = "end"


_ASKS_FOR = re.compile(r"\bneed\b", re.I)


def _to_cook_names_a_part(rows: list[Row]) -> None:
    """“To cook:”, above some of the ingredients and not above the work."""
    for at, row in enumerate(rows):
        below = rows[at + 1 : at + 1 + _FOODS_BELOW]
        foods = all(each.look.has_amount and each.look.food > each.look.work for each in below)
        if row.heading == "steps" and _TO_COOK.match(row.plain) and below and foods:
            row.heading = "part"


_TO_COOK = re.compile(r"to (?:cook|make|braise|roast)\s*:?$", re.I)
_FOODS_BELOW = 2
"""Lines below a heading that tell whether it stands above foods. Judgement."""


def name_sections(rows: list[Row]) -> None:
    """Under which heading every row stands; an unknown heading above work opens the steps."""
    capitals_are_headings(rows)
    _numbered_are_alike(rows)
    single_words_are_headings(rows)
    _shopping_talk_is_none(rows)
    _gear_is_none(rows)
    _to_cook_names_a_part(rows)
    named = {row.heading for row in rows}
    under: Heading | None = None
    titled = fed = ended = False
    boxes = Boxes()
    _answers_are_clutter(rows)
    for index, row in enumerate(rows):
        following = rows[index + 1].look if index + 1 < len(rows) else None
        opens_work = following is not None and following.work > max(following.food, 0.3)
        unknown = row.heading == "part" and row.raw.startswith("#")
        if unknown and under == "ingredients" and "steps" not in named and opens_work:
            row.heading = "steps"
            named.add("steps")
        row.opens_food = titled and following is not None and following.food > following.work
        titled = titled or may_be_title(row)
        if row.heading in {None, "part"} and names_another_way(row.plain):
            row.heading = "notes" if boxes.whole else "part" if opens_work else row.heading
        box_ended = False
        if row.heading not in {None, "part"}:
            boxes.heading(row, under)
            under = row.heading
        elif box_ended := boxes.ends_at(row):
            under = boxes.outside
        fed = fed or (row.look.has_amount and row.look.food > SURE_FOOD)
        ended = ended or (fed and row.heading == "end")
        if under == "end" and not ended and not named & {"ingredients", "steps"}:
            # “Equipment”, above a recipe without headings
            row.above, under = not fed, None if fed else under
        row.under = under
        if row.heading in {None, "part"}:
            boxes.saw(row, ended=box_ended)
        row.boxed = boxes.is_open
    _mark_above(rows)
    _name_the_list(rows)


_ANSWER = re.compile(
    r"^(?:yes|no|nope|sure|absolutely|definitely|of course|not really|i (?:like|use|would|do|don)"
    r"|you (?:can|could))\b",
    re.I,
)


def _answers_are_clutter(rows: list[Row]) -> None:
    """“Can I make it in a slow cooker?”, and below it what is answered."""
    for row, below in pairwise(rows):
        if row.plain.endswith("?") and row.look.clutter and _ANSWER.match(below.plain):
            below.look = replace(below.look, clutter=True)


def _mark_above(rows: list[Row]) -> None:
    """The title, and what is said before the ingredients, is none of them."""
    if any(row.heading == "ingredients" for row in rows):
        for row in rows:
            if row.heading == "ingredients":
                return
            row.above = True
    first = next((row for row in rows if not row.look.clutter), None)
    if first is not None and is_meat(first) and not COUNTS.match(first.plain):
        # “Rack of ribs, my way”, and two racks of them further down
        counted = [row for row in rows if row is not first and row.look.has_amount]
        first.above = first.names_it = any(map(is_meat, counted))
        _mark_said_twice(rows)
    if first is not None and not first.look.has_amount and not _tells_all(first):
        first.above = True
        if not is_meat(first):
            _mark_named_below(rows[rows.index(first) + 1 :])
        # a greeting may stand before the title
        for row in rows:
            if row.look.has_amount:
                return
            if may_be_title(row):
                row.above = True
                return


def _mark_said_twice(rows: list[Row]) -> None:
    """“Jacob's ladder, if your butcher has it”, below the title, and 2 kg of it further down."""
    for row, below in pairwise(rows):
        if row.look.has_amount or WEIGHED.search(row.plain):
            return
        if is_meat(row) and row.heading is None and below.under is None:
            row.above = row.names_it = True


_NEAR_THE_TOP = 3
"""Lines. Judgement."""


def _mark_named_below(rows: list[Row]) -> None:
    """“The Weekend Table, issue 14”, and “SHORT RIBS WITH POLENTA” below it: 8 ribs come later."""
    for at, row in enumerate(rows[:_NEAR_THE_TOP]):
        if row.look.has_amount or row.heading is not None:
            return
        later = any(is_meat(below) and below.look.has_amount for below in rows[at + 1 :])
        if is_meat(row) and row.plain.isupper() and later:
            row.above = row.names_it = True


_LEAST_BULLETS = 3
"""Lines with bullets that are a list. Judgement."""


def _name_the_list(rows: list[Row]) -> None:
    """A line without bullet and amount, right above a list with bullets, is none of it."""
    first = next((at for at, row in enumerate(rows) if row.bulleted), len(rows))
    if 0 < first <= len(rows) - _LEAST_BULLETS:
        name = rows[first - 1]
        listed = all(row.bulleted for row in rows[first : first + _LEAST_BULLETS])
        if listed and not name.look.has_amount and name.heading is None:
            name.above = True


def _tells_all(row: Row) -> bool:
    """A paragraph that names its meat, and how long it takes, is the recipe and no word before."""
    return bool(meat_in_prose([row.plain]) and durations_in(row.plain))


WEIGHED = re.compile(rf"\d\s?-?{WEIGHT_UNIT}\b", re.I)


def may_be_title(row: Row) -> bool:
    """Whether a line is short and bare enough to be a title."""
    words = row.plain.split()
    return (
        not (row.look.clutter or row.bulleted)
        and row.heading in {None, "part"}
        and not row.plain.endswith((".", "?", ":"))
        and (not row.plain.endswith("!") or (len(words) <= _MOST_CALLED and speaks_of_meat(row)))
        and len(row.plain) >= _LEAST_TITLE
        and not (WEIGHED.search(row.plain) and is_meat(row))
        and len(words) <= MOST_TITLE_WORDS
    )


def may_end_as_a_sentence(row: Row) -> bool:
    """“Pork collar for a weeknight?! Almost.”; and no “Hey! You asked about the ribs.”."""
    few = len(row.plain.split()) <= MOST_TITLE_WORDS
    return few and is_meat(row) and not _GREETS.match(row.plain)


_GREETS = re.compile(r"\W*(?:hey|hi|hello|hallo|hiya|dear|sure|ok|okay)\b", re.I)


def speaks_of_meat(row: Row) -> bool:
    """Whether a line names a cut, an animal or a dish of one."""
    return is_meat(row) or bool(ABOUT_MEAT.search(row.plain) or A_DISH.search(row.plain))


def is_meat(row: Row) -> bool:
    """Whether a line names one of our cuts."""
    return food_of(row.plain).kind == "meat"


def called(rows: list[Row]) -> Row | None:
    """The first line that may be the title; the second, where that alone names the meat.

    “Tuesday, for the freezer”, and below it “Slow cooker beer brisket tacos”.
    """
    first, second = [*rows, None, None][:2]
    if first is None or second is None or is_meat(first) or not is_meat(second):
        return first
    short = len(second.plain.split()) <= MOST_CALLED_WORDS and second.plain[:1].isupper()
    return second if short and second.heading is None else first


MOST_CALLED_WORDS = 7
"""Of a dish. Judgement."""

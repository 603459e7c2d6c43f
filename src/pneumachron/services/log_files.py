"""The log as files: CSV with units in its header, JSON-LD with what was cooked; out and in."""

import csv
import io
import json
import re
from collections.abc import Callable, Iterable, Iterator, Sequence
from contextlib import AbstractContextManager
from dataclasses import dataclass, field, replace
from datetime import datetime
from itertools import islice
from typing import Any, TypeAlias
from uuid import NAMESPACE_URL, uuid5

from sqlalchemy.orm import Session

from pneumachron.core.catalog.pots import Pot, ready_pots
from pneumachron.core.errors import CodedError, CoreError
from pneumachron.core.physics.tenderness import TEXTURES
from pneumachron.core.planning.load import MAX_PIECES
from pneumachron.services.entries import Entry, entered_content, entered_events
from pneumachron.services.errors import RowError
from pneumachron.services.households import current_household
from pneumachron.services.inputs import Defaults, PieceInputs, PlanInputs
from pneumachron.services.log_pieces import ALONE, MAX_ALONE, read_alone, within, write_alone
from pneumachron.services.log_plans import (
    MAX_PLAN,
    PLAN,
    PlanReader,
    load_cells,
    write_plan,
)
from pneumachron.store import cooks, pots
from pneumachron.store.cooks import COOKS, Filter
from pneumachron.store.db import give_back, writing
from pneumachron.store.records import CookContent, KeptPot, StoredCook, StoredEvent, now
from pneumachron.store.repository import MAX_LISTED
from pneumachron.text.reader import EVERYBODY
from pneumachron.text.say import say, say_cut
from pneumachron.text.vocabulary import called_there

COLUMNS = (
    "started [ISO 8601]", "name", "cut", "pieces", "mass [kg]", "thickness [cm]", "pot",
    "hold [min]", "come up [min]", "texture", "juicy [1-5]", "taste [1-5]", "raw [kg]",
    "cooked [kg]", "note", ALONE, PLAN, "id",
)  # fmt: skip
MAX_ROWS = 100_000
MAX_TOLD = 200
"""Rows that could not be read and are told one by one."""
LOAD_COLUMNS = COLUMNS[2:6]
MAX_CELL = 4000
FIRST_YEAR, LAST_YEAR = 1970, 2199
"""Of a cook in a file; as everywhere in the app."""
_LONGER = {ALONE: MAX_ALONE, PLAN: MAX_PLAN}
BATCH = 250
"""Rows in one go to the disk; what was written stays when an import is stopped."""
_FORMULA = ("=", "+", "-", "@", "\t")


@dataclass(frozen=True, slots=True)
class BadRow:
    """A row that could not be read."""

    line: int
    message: str


@dataclass
class Imported:
    """What came of an import."""

    added: int = 0
    known: int = 0
    bad: int = 0
    told: list[BadRow] = field(default_factory=list)
    stopped: bool = False

    def refuse(self, line: int, message: str) -> None:
        """One more that could not be read."""
        self.bad += 1
        if len(self.told) < MAX_TOLD:
            self.told.append(BadRow(line, message))


def write_csv(session: Session, wanted: Filter) -> Iterator[str]:
    """The log, a line a cook, the last one first."""
    yield _line(COLUMNS)
    for stored in _all(session, wanted):
        yield _line([_safe(cell) for cell in _cells(session, stored)])


def write_jsonld(session: Session, wanted: Filter) -> str:
    """The log as cook actions, each with what was cooked and the columns of the CSV."""
    graph = []
    for stored in _all(session, wanted):
        content = stored.content
        cells = dict(zip(COLUMNS, _cells(session, stored), strict=True))
        graph.append(
            {
                "@type": "CookAction",
                "name": content.name,
                "startTime": content.started_at.isoformat(),
                "endTime": None if content.ended_at is None else content.ended_at.isoformat(),
                "recipe": _recipe(content),
                "additionalProperty": [
                    {"@type": "PropertyValue", "name": name, "value": value}
                    for name, value in cells.items()
                    if value
                ],
            }
        )
    return json.dumps({"@context": "https://schema.org", "@graph": graph}, indent=1)


def _recipe(content: CookContent) -> dict[str, Any]:
    """What was cooked: the recipe that came along, or what is known without one."""
    card = content.recipe
    ingredients = [f"{content.mass_kg:.3g} kg {say_cut(content.cut, 'name')}"]
    found: dict[str, Any] = {
        "@type": "Recipe",
        "name": content.name if card is None else card["title"],
        "recipeIngredient": ingredients if card is None else card["ingredients"],
        "cookTime": f"PT{content.hold_min}M",
        "tool": content.pot_name,
    }
    if card is not None:
        found["recipeInstructions"] = [
            {"@type": "HowToStep", "text": step["text"]} for step in card["steps"]
        ]
    return found


def _all(session: Session, wanted: Filter) -> Iterator[StoredCook]:
    home = current_household(session).household_id
    offset = 0
    while True:
        page, _ = cooks.log_page(session, home, wanted, limit=MAX_LISTED, offset=offset)
        yield from (COOKS.get(session, home, line.cook_id) for line in page)
        offset += len(page)
        if len(page) < MAX_LISTED:
            return


def _cells(session: Session, stored: StoredCook) -> list[str]:
    content = stored.content
    told: dict[str, dict[str, Any]] = {"outcome": {}, "weighed": {}}
    for event in cooks.events_of(session, stored.cook_id):
        if event.kind in told:
            told[event.kind] = event.body
    judged = (told["outcome"].get("pieces") or [{}])[0]
    up = content.come_up_s
    return [
        content.started_at.isoformat(),
        content.name,
        *load_cells(content),
        content.pot_name,
        str(content.hold_min),
        "" if up is None else f"{up / 60:.4g}",
        str(judged.get("texture") or ""),
        str(judged.get("juicy") or ""),
        str(judged.get("taste") or ""),
        _number(told["weighed"].get("before_kg")),
        _number(told["weighed"].get("after_kg")),
        content.note,
        write_alone(told["outcome"].get("pieces") or []),
        write_plan(content.inputs),
        stored.cook_id,
    ]


def _number(value: float | None) -> str:
    return "" if value is None else f"{value:.4g}"


def _line(cells: Sequence[str]) -> str:
    held = io.StringIO()
    csv.writer(held).writerow(cells)
    return held.getvalue()


def _safe(cell: str) -> str:
    """A spreadsheet takes a cell that begins like a formula for one."""
    return f"'{cell}" if cell.startswith(_FORMULA) else cell


def plain_cell(cell: str) -> str:
    """A cell without the mark that keeps a spreadsheet from running it."""
    return cell[1:] if cell[:1] == "'" and cell[1:].startswith(_FORMULA) else cell


Read: TypeAlias = dict[str, tuple[StoredCook, list[StoredEvent]]]
"""Rows as cooks, by their id."""


def read_rows(
    session: Session,
    rows: Iterable[tuple[int, dict[str, str]]],
    found: Imported,
    read_plan: PlanReader,
) -> Read:
    """Read rows; nothing is written.

    What cannot be read is told with its line, the rest comes in; the same row twice is one cook.
    `found` counts as it goes.
    """
    home = current_household(session)
    kept = {
        name: item.pot for item in pots.list_pots(session, home.household_id)
        for name in _names(item)
    }  # fmt: skip
    defaults = Defaults(home.altitude_m, home.start_temp_c, home.taste_step)
    give_back(session)
    read: Read = {}
    moment = now()
    for line, row in rows:
        try:
            entry, content = _read_row(row, kept, defaults, read_plan)
        except (CoreError, ValueError, ArithmeticError) as error:
            found.refuse(line, _why(error))
            continue
        cook_id = _id_of(row, home.household_id)
        if cook_id in read:
            found.known += 1
        else:
            stored = StoredCook(cook_id, content, moment, moment)
            read[cook_id] = (stored, list(entered_events(entry)))
    return read


def _why(error: Exception) -> str:
    if isinstance(error, CodedError):
        return say(f"error-{error.code}", error.params)
    return say("row-unreadable")


def put_rows(session: Session, read: Read, found: Imported) -> None:
    """Write down what was read."""
    home = current_household(session)
    with writing(session):
        known = cooks.known_ids(session, list(read))
        new = [item for cook_id, item in read.items() if cook_id not in known]
        cooks.put_new(session, home.household_id, new)
        # one that was taken out of the log comes back with the file
        back = cooks.put_back(session, home.household_id, known)
    found.known += len(known) - back
    found.added += len(new) + back


_ID = re.compile(r"[A-Za-z0-9-]{8,36}")


def _id_of(row: dict[str, str], household_id: str) -> str:
    """The id that an export wrote; without one, the same row is the same cook."""
    own = row.get("id", "")
    if _ID.fullmatch(own):
        return own
    said = {name: value for name, value in row.items() if value}
    return str(uuid5(NAMESPACE_URL, json.dumps([household_id, said], sort_keys=True)))


def _read_row(
    row: dict[str, str], kept: dict[str, Pot], defaults: Defaults, read_plan: PlanReader
) -> tuple[Entry, CookContent]:
    """A row as an entry, and the line of the log it becomes.

    The plan in its cell tells more than the columns; when the columns of the load say otherwise,
    somebody changed them by hand, and they are taken.
    """
    entry, pot = _entry(row, kept)
    told = row.get(PLAN, "")
    if told:
        whole = replace(entry, inputs=read_plan(told, pot.pot_id))
        content = entered_content(whole, pot, defaults)
        if load_cells(content) == [row[name].strip() for name in LOAD_COLUMNS]:
            return whole, content
    return entry, entered_content(entry, pot, defaults)


def read_at_once(
    session: Session,
    rows: Iterator[tuple[int, dict[str, str]]],
    found: Imported,
    read_plan: PlanReader,
) -> None:
    """Take a log in, all of it or nothing."""
    read: Read = {}
    while batch := list(islice(rows, BATCH)):
        fresh = read_rows(session, batch, found, read_plan)
        found.known += len(fresh.keys() & read.keys())
        read |= fresh
    with writing(session):
        ids = list(read)
        for first in range(0, len(ids), BATCH):
            put_rows(session, {key: read[key] for key in ids[first : first + BATCH]}, found)


def read_in_batches(
    open_session: Callable[[], AbstractContextManager[Session]],
    rows: Iterator[tuple[int, dict[str, str]]],
    found: Imported,
    read_plan: PlanReader,
    go_on: Callable[[int], bool],
) -> None:
    """Take a long log in, a batch a transaction: what was written stays when it is stopped.

    Parameters
    ----------
    read_plan : reads the cell of the plan
    go_on : asked after every batch with the rows so far; False stops
    """
    count = 0
    while batch := list(islice(rows, BATCH)):
        with open_session() as session:
            put_rows(session, read_rows(session, batch, found, read_plan), found)
        count += len(batch)
        if not go_on(count):
            found.stopped = True
            return


def _entry(row: dict[str, str], kept: dict[str, Pot]) -> tuple[Entry, Pot]:
    """A row as an entry, and its pot."""
    for name, text in row.items():
        most = _LONGER.get(name, MAX_CELL)
        if len(text) > most:
            raise RowError("row_cell_long", column=name, most=most)
    cell = {name: value.strip() for name, value in row.items()}
    pot = _pot_called(cell.get("pot", ""), kept)
    texture = cell.get("texture") or None
    if texture is not None and texture not in TEXTURES:
        raise RowError("row_texture", given=texture[:40], known="\n".join(TEXTURES))
    thick = cell.get("thickness [cm]")
    mass_kg = _number_in(cell, "mass [kg]")
    piece = PieceInputs(
        cut=cell["cut"],
        count=int(within(_number_in(cell, "pieces"), 1, MAX_PIECES, "pieces")),
        mass=f"{mass_kg} kg",
        thickness=f"{_number_in(cell, 'thickness [cm]')} cm" if thick else None,
    )
    started = _start(_needed(cell, "started [ISO 8601]"))
    judged = {
        "texture": texture,
        "juicy": _rating(cell, "juicy [1-5]"),
        "taste": _rating(cell, "taste [1-5]"),
    }
    entry = Entry(
        name=_needed(cell, "name")[:120],
        person_id=None,
        inputs=PlanInputs((piece,), pot.pot_id),
        started_at=started,
        hold_min=within(int(_number_in(cell, "hold [min]")), 0, 720, "hold [min]"),
        come_up_min=_come_up(cell),
        pieces=read_alone(cell.get(ALONE)) or ((judged,) if any(judged.values()) else ()),
        before_kg=_kilos(cell, "raw [kg]"),
        after_kg=_kilos(cell, "cooked [kg]"),
        note=cell.get("note", "")[:2000],
    )
    return entry, pot


READY_IN_VERSION_1 = {
    "Treble, 3 litre": "treble",
    "Tenor, 5.7 litre": "tenor",
    "Bass, 7.6 litre": "bass",
}
"""What the ready cookers were called when the first logs were written."""


def _names(item: KeptPot) -> Iterator[str]:
    """What a cooker is called here, and was called if the household spoke another English then."""
    yield item.pot.name
    if item.ready_id is not None:
        for reader in EVERYBODY:
            yield called_there(item.pot.name, item.ready_id, reader)


def _pot_called(name: str, kept: dict[str, Pot]) -> Pot:
    if name in kept:
        return kept[name]
    if name in READY_IN_VERSION_1:
        size_m3 = ready_pots()[READY_IN_VERSION_1[name]].usable_volume_m3
        for pot in kept.values():
            if pot.usable_volume_m3 == size_m3:
                return pot
    raise RowError("row_pot", name=name[:60])


def _needed(cell: dict[str, str], name: str) -> str:
    value = cell.get(name, "")
    if not value:
        raise RowError("row_empty", column=name)
    return value


def _number_in(cell: dict[str, str], name: str) -> float:
    text = _needed(cell, name)
    try:
        return float(text)
    except ValueError:
        raise RowError("row_number", column=name, given=text[:40]) from None


def _start(text: str) -> datetime:
    try:
        started = datetime.fromisoformat(text)
    except ValueError:
        raise RowError("row_start", given=text[:40]) from None
    if started.tzinfo is None:
        raise RowError("row_start_zone", given=text[:40])
    if not FIRST_YEAR <= started.year <= LAST_YEAR:
        raise RowError("row_start_year", low=str(FIRST_YEAR), high=str(LAST_YEAR))
    return started


SHORTEST_UP_MIN = 0.1
"""No cooker is that quick: the steps were pressed through, and the come-up is not known."""


def _come_up(cell: dict[str, str]) -> float | None:
    found = _between(cell, "come up [min]", 0.0, 180.0)
    return None if found is None or found < SHORTEST_UP_MIN else found


def _rating(cell: dict[str, str], name: str) -> int | None:
    found = _between(cell, name, 1, 5)
    return None if found is None else int(found)


def _kilos(cell: dict[str, str], name: str) -> float | None:
    return _between(cell, name, 0.01, 40.0)


def _between(cell: dict[str, str], name: str, low: float, high: float) -> float | None:
    """A number of a cell that may be empty."""
    return within(_number_in(cell, name), low, high, name) if cell.get(name) else None

"""Cooks: begin, follow, tell, press, judge; the log; the kitchen's clock."""

import asyncio
from collections.abc import AsyncIterable
from typing import Annotated, Any

from anyio.to_thread import run_sync
from fastapi import APIRouter, Depends, Path, Query, Request, status
from fastapi.responses import PlainTextResponse
from fastapi.sse import EventSourceResponse, ServerSentEvent

from pneumachron.api.dependencies import CHANGING, INVALID, MISSING, Db, Kitchen, WriteDb
from pneumachron.api.plan_cells import read_plan
from pneumachron.api.sane import SaneRoute
from pneumachron.api.schemas.ask import OpenedOut, StoppedOut
from pneumachron.api.schemas.base import Problem
from pneumachron.api.schemas.connected import (
    ClockIn,
    ClockOut,
    ConnectIn,
    FaultsIn,
    HandsIn,
    PressIn,
    ProbeOut,
)
from pneumachron.api.schemas.cook_events import NewEventIn, told
from pneumachron.api.schemas.cooks import BeginIn, CookOut, JudgeIn, PiecesOut, TurnsOut
from pneumachron.api.schemas.log import (
    MAX_IMPORT_ROWS,
    CompareOut,
    CompareQuery,
    CookLine,
    EntryIn,
    EventOut,
    ExportQuery,
    HistoryOut,
    ImportedOut,
    ImportLogIn,
    LessonsOut,
    LogOut,
    LogQuery,
    SetBackIn,
)
from pneumachron.services import (
    connected_pots,
    cook_clocks,
    cook_view,
    cooks,
    entries,
    learning,
    log_files,
    log_rows,
)
from pneumachron.services.following import Follower
from pneumachron.store.db import Database
from pneumachron.store.errors import StoreError

router = APIRouter(prefix="/api", route_class=SaneRoute, tags=["cook"])
_REFUSED: dict[int | str, dict[str, object]] = {
    409: {"model": Problem, "description": "It cannot be done as things stand, and what to do"}
}
_ASKED = INVALID | MISSING | CHANGING | _REFUSED
CookId = Annotated[str, Path(min_length=1, max_length=40, pattern=r"^[A-Za-z0-9_-]+$")]


@router.get("/cooks", responses=INVALID)
def list_cooks(db: Db, wanted: Annotated[LogQuery, Query()]) -> LogOut:
    """Cooks of the log, the last one first; `running` are those beside the pot now."""
    found, total = cooks.log(db, wanted.to_filter(), limit=wanted.limit, offset=wanted.offset)
    return LogOut(cooks=[CookLine.of(stored) for stored in found], total=total)


@router.post(
    "/cooks", response_model=CookOut, status_code=status.HTTP_201_CREATED, responses=_ASKED
)
def begin_cook(asked: BeginIn, db: Db, kitchen: Kitchen) -> dict[str, Any]:
    """Begin a cook from a plan."""
    return cooks.begin(
        db,
        kitchen,
        name=asked.name,
        person_id=asked.person_id,
        inputs=asked.plan.to_inputs(),
        connected=asked.connected,
        came_with=asked.came_with(),
    )


@router.get("/cooks/active", response_model=TurnsOut)
def cooks_beside(db: Db, kitchen: Kitchen) -> dict[str, Any]:
    """All cooks that run; what needs hands comes first."""
    return {"turns": cooks.beside(db, kitchen)}


@router.get("/cooks/export", response_class=PlainTextResponse, responses=INVALID)
def export_log(db: Db, wanted: Annotated[ExportQuery, Query()]) -> PlainTextResponse:
    """The log as CSV with units in its header, or as JSON-LD with what was cooked."""
    if wanted.kind == "csv":
        text, media = "".join(log_files.write_csv(db, wanted.to_filter())), "text/csv"
    else:
        text, media = log_files.write_jsonld(db, wanted.to_filter()), "application/ld+json"
    return PlainTextResponse(text, media_type=media)


@router.post("/cooks/import", responses=_ASKED)
def import_log(asked: ImportLogIn, db: Db) -> ImportedOut:
    """Take a file of the log in. What cannot be read is told with its line; the rest comes in."""
    found = log_files.Imported()
    rows = log_rows.rows_of(asked.text, most=MAX_IMPORT_ROWS)
    log_files.read_at_once(db, rows, found, read_plan)
    return ImportedOut.of(found)


@router.post("/cooks/entry", status_code=status.HTTP_201_CREATED, responses=_ASKED)
def enter_cook(asked: EntryIn, db: Db) -> CookLine:
    """Write down a cook that was not followed."""
    return CookLine.of(entries.enter(db, asked.to_entry()))


@router.get("/cooks/compare", response_model=CompareOut, responses=INVALID | MISSING)
def compare_cooks(
    wanted: Annotated[CompareQuery, Query()], db: Db, kitchen: Kitchen
) -> dict[str, Any]:
    """Two sheets laid together, with their differences in words."""
    return cooks.compare(db, kitchen, wanted.one, wanted.other)


@router.get("/cooks/{cook_id}", response_model=CookOut, responses=INVALID | MISSING)
def follow_cook(cook_id: CookId, db: Db, kitchen: Kitchen) -> dict[str, Any]:
    """Where a cook stands now."""
    return cook_view.follow(db, kitchen, cook_id)


def _known(cook_id: CookId, request: Request) -> None:
    """There is such a cook: said before a stream begins."""
    _shown(request, cook_id)


@router.get(
    "/cooks/{cook_id}/stream",
    response_class=EventSourceResponse,
    responses=MISSING,
    dependencies=[Depends(_known)],
)
async def stream_cook(cook_id: CookId, request: Request) -> AsyncIterable[ServerSentEvent]:
    """Follow a cook: all of it first, then only what is new, as server-sent events.

    A stream that was cut off is opened again by the browser, and begins with all of it.
    """
    follower = Follower()
    while True:
        try:
            document = await run_sync(_shown, request, cook_id)
        except StoreError:
            return  # deleted meanwhile, or the database is silent: the screen asks again
        news = follower.news(document)
        if news is not None:
            yield ServerSentEvent(data=news, event="cook", id=str(follower.looks))
        if document["ended_at"] is not None:
            return
        await asyncio.sleep(EVERY_S / min(document["speed"], FASTEST))


EVERY_S, FASTEST = 1.0, 4


def _shown(request: Request, cook_id: str) -> dict[str, Any]:
    """The document of a cook as its answer has it."""
    database: Database = request.app.state.database
    with database.session() as session:
        found = cook_view.follow(session, request.app.state.kitchen, cook_id)
    return CookOut.model_validate(found).model_dump(mode="json")


@router.get("/cooks/{cook_id}/events", responses=INVALID | MISSING)
def cook_history(cook_id: CookId, db: Db, kitchen: Kitchen) -> HistoryOut:
    """Everything that happened in a cook."""
    return HistoryOut(events=[EventOut.of(event) for event in cooks.history(db, kitchen, cook_id)])


@router.get("/cooks/{cook_id}/pieces", response_model=PiecesOut, responses=INVALID | MISSING)
def pieces_of_cook(cook_id: CookId, db: Db, kitchen: Kitchen) -> dict[str, Any]:
    """How each kind of piece in the pot softened."""
    return cooks.pieces(db, kitchen, cook_id)


@router.post("/cooks/{cook_id}/events", response_model=CookOut, responses=_ASKED)
def tell_cook(cook_id: CookId, event: NewEventIn, db: Db, kitchen: Kitchen) -> dict[str, Any]:
    """Tell what happened. The same key twice is written once."""
    return cooks.tell(db, kitchen, cook_id, told(event))


@router.post("/cooks/{cook_id}/pot", response_model=CookOut, responses=_ASKED)
def press_panel(cook_id: CookId, asked: PressIn, db: Db, kitchen: Kitchen) -> dict[str, Any]:
    """Press the panel of the connected pot. A start and a vent want somebody at the pot."""
    return connected_pots.press(db, kitchen, cook_id, asked.do, at_the_pot=asked.at_the_pot)


@router.put("/cooks/{cook_id}/connected", response_model=CookOut, responses=_ASKED)
def connect_pot(cook_id: CookId, asked: ConnectIn, db: Db, kitchen: Kitchen) -> dict[str, Any]:
    """Put the simulated pot beside a cook, or go on by hand. A pot holds one cook."""
    return connected_pots.connect(db, kitchen, cook_id, on=asked.on)


@router.post("/cooks/{cook_id}/simulate", response_model=CookOut, responses=_ASKED)
def play_hands(cook_id: CookId, asked: HandsIn, db: Db, kitchen: Kitchen) -> dict[str, Any]:
    """What a person does with the simulated pot: lid, stirring, pouring."""
    return connected_pots.handle(db, kitchen, cook_id, asked.do, asked.volume)


@router.put("/cooks/{cook_id}/faults", response_model=CookOut, responses=_ASKED)
def switch_faults(cook_id: CookId, asked: FaultsIn, db: Db, kitchen: Kitchen) -> dict[str, Any]:
    """Switch faults of the simulated pot on or off."""
    return connected_pots.set_faults(db, kitchen, cook_id, asked.to_faults())


@router.post("/cooks/{cook_id}/judge", response_model=OpenedOut, responses=_ASKED)
def judge_cook(cook_id: CookId, asked: JudgeIn, db: Db, kitchen: Kitchen) -> dict[str, Any]:
    """Done, put back, or rescue."""
    return cooks.judge(db, kitchen, cook_id, seen=asked.seen, probe=asked.probe)


@router.get("/cooks/{cook_id}/credit", response_model=StoppedOut, responses=_ASKED)
def worth_of_minutes(cook_id: CookId, db: Db, kitchen: Kitchen) -> dict[str, Any]:
    """What the minutes of a run that stopped were worth."""
    return cooks.worth(db, kitchen, cook_id)


@router.get("/cooks/{cook_id}/probe", response_model=ProbeOut, responses=_ASKED)
def read_probe(cook_id: CookId, db: Db, kitchen: Kitchen) -> dict[str, Any]:
    """The simulated probe."""
    return connected_pots.probe(db, kitchen, cook_id)


@router.delete("/cooks/{cook_id}", status_code=status.HTTP_204_NO_CONTENT, responses=_ASKED)
def delete_cook(cook_id: CookId, db: WriteDb) -> None:
    """Take a cook out of the log; it can be put back."""
    cooks.set_cook_deleted(db, cook_id, deleted=True)


@router.post("/cooks/{cook_id}/restore", status_code=status.HTTP_204_NO_CONTENT, responses=_ASKED)
def restore_cook(cook_id: CookId, db: WriteDb) -> None:
    """Put a deleted cook back."""
    cooks.set_cook_deleted(db, cook_id, deleted=False)


@router.get("/lessons", response_model=LessonsOut)
def list_lessons(db: Db) -> dict[str, Any]:
    """What the log taught of this household's taste and of its pots."""
    return {"lessons": learning.all_learned(db)}


@router.put("/lessons", response_model=LessonsOut, responses=INVALID | CHANGING)
def set_back_lesson(asked: SetBackIn, db: WriteDb) -> dict[str, Any]:
    """Learn a cut or a pot anew from now on, or let everything count again."""
    learning.set_back(db, asked.kind, asked.key, on=asked.on)
    return {"lessons": learning.all_learned(db)}


@router.put("/cooks/{cook_id}/clock", response_model=CookOut, responses=_ASKED)
def set_clock(cook_id: CookId, asked: ClockIn, db: Db, kitchen: Kitchen) -> dict[str, Any]:
    """Let the simulated time of a cook run faster, or bring it back to the time of the kitchen."""
    if asked.speed is not None:
        cook_clocks.set_speed(db, kitchen, cook_id, asked.speed)
    if asked.back:
        cook_clocks.bring_back(db, kitchen, cook_id)
    return cook_view.follow(db, kitchen, cook_id)


@router.get("/clock")
async def read_clock(kitchen: Kitchen) -> ClockOut:
    """What time it is in the kitchen."""
    return ClockOut(now=kitchen.clock.now())

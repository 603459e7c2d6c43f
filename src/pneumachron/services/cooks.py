"""A cook beside the pot: begin, write down what happens, follow a connected pot.

Reading takes no lock and writes nothing. A change is worked out first; then one short transaction
sees that nothing else was told meanwhile, and writes it. Otherwise it is worked out again.
"""

from collections.abc import Iterator, Mapping, Sequence
from contextlib import contextmanager
from dataclasses import asdict, dataclass, field, replace
from datetime import UTC, datetime
from typing import Any

from sqlalchemy.orm import Session

from pneumachron.core.errors import RequestError
from pneumachron.core.physics.tenderness import TEXTURES, Texture
from pneumachron.core.planning.recovery import judge_opened
from pneumachron.core.planning.request import CookRequest
from pneumachron.core.procedure.cook_plan import to_document
from pneumachron.core.procedure.step import Brought
from pneumachron.core.session.events import Event, EventKind
from pneumachron.core.session.forecast import heat_ratio
from pneumachron.core.session.pieces import mean_step
from pneumachron.core.session.sheet import Sheet, after, blank, changes_nothing, check
from pneumachron.core.session.turns import turn_of
from pneumachron.core.units import parse_measure
from pneumachron.devices.clock import ClockOfCook, KitchenClock, read_cook_clock
from pneumachron.services.answers import opened_document, stopped_document
from pneumachron.services.baseline import with_model_prediction
from pneumachron.services.connected_pots import leave_room, missing_run, take_pot
from pneumachron.services.cook_documents import (
    PieceTraces,
    compare_document,
    cook_document,
    cooked,
    kept_traces,
    piece_traces,
)
from pneumachron.services.cook_numbers import own_plan, todays_plan, with_numbers
from pneumachron.services.cook_state import (
    Account,
    Moment,
    all_events,
    brought_of,
    core_event,
    moment_of,
    moment_of_stored,
    write_pot,
)
from pneumachron.services.cook_view import follow, state_document
from pneumachron.services.entries import kitchen_as_it_is, piece_counts
from pneumachron.services.households import current_household
from pneumachron.services.inputs import INPUTS_VERSION, PlanInputs, located, read_request
from pneumachron.services.learning import household_defaults
from pneumachron.services.lesson_rules import no_lesson
from pneumachron.services.live_kitchen import LiveKitchen
from pneumachron.services.planning import find_pot
from pneumachron.services.wording import say_message
from pneumachron.store import cooks, households
from pneumachron.store.cooks import COOKS, Filter
from pneumachron.store.db import WAIT_TO_WRITE_S, give_back, writing
from pneumachron.store.errors import BusyError
from pneumachron.store.records import (
    CookContent,
    LogLine,
    StoredCook,
    StoredEvent,
    StoredSample,
    new_id,
)

TRIES = 8
"""How often a change is worked out again because something else was told meanwhile."""


@dataclass(frozen=True, slots=True)
class NewEvent:
    """Something that a screen tells of a cook; `key` is the same when it is told twice."""

    key: str
    kind: EventKind
    body: Mapping[str, Any]


@dataclass(frozen=True, slots=True)
class SessionContext:
    """What a cook comes with besides its plan."""

    recipe: dict[str, Any] | None = None
    brought: Brought = field(default_factory=Brought)


def begin(
    session: Session,
    here: LiveKitchen,
    *,
    name: str,
    person_id: str | None,
    inputs: PlanInputs,
    connected: bool,
    came_with: SessionContext | None = None,
) -> dict[str, Any]:
    """Begin a cook: its plan is worked out and kept with the kitchen as it is now.

    The recipe it is cooked from comes along on the sheet, and what a day adds to the steps.

    Raises
    ------
    RequestError : it cannot be cooked; nothing was begun.
    """
    content = _content(session, here.clock.now(), name, person_id, inputs)
    came_with = came_with or SessionContext()
    # as in the schedule: what would not cool in time is not made ahead
    if came_with.brought.ahead != "today" and not (content.numbers or {}).get("ice_bath_s"):
        raise RequestError("cools_too_slowly", "ahead")
    content = replace(
        content, connected=connected, recipe=came_with.recipe, brought=asdict(came_with.brought)
    )
    home = current_household(session).household_id
    with writing(session):
        stored = COOKS.add(session, home, content)
        began = StoredEvent("began", content.started_at, "began", {})
        cooks.add_event(session, stored.cook_id, began)
        if connected:
            take_pot(session, here, stored)
    return follow(session, here, stored.cook_id)


def _content(
    session: Session, started_at: datetime, name: str, person_id: str | None, inputs: PlanInputs
) -> CookContent:
    """A cook as it begins: its plan worked out in the kitchen as it is now."""
    household = current_household(session)
    if person_id is not None:
        households.check_person(session, household.household_id, person_id)
    pot = find_pot(session, household.household_id, inputs.pot)
    defaults = household_defaults(session, inputs)
    give_back(session)
    try:
        request = read_request(inputs, pot, defaults)
    except RequestError as error:
        raise located(error) from None
    content = CookContent(
        name=name,
        person_id=person_id,
        cut=request.load.pieces[0].cut.cut_id,
        pot_id=inputs.pot,
        pot_name=pot.name,
        mass_kg=request.load.mass_kg,
        hold_min=0,
        wished_step=request.tenderness_step,
        connected=False,
        inputs_version=INPUTS_VERSION,
        inputs=asdict(inputs),
        kitchen=kitchen_as_it_is(pot, defaults),
        started_at=started_at,
    )
    return with_numbers(replace(content, hold_min=todays_plan(content).hold_min))


def tell(session: Session, here: LiveKitchen, cook_id: str, told: NewEvent) -> dict[str, Any]:
    """Write something down. Telling it twice, in whatever words, writes it once.

    Raises
    ------
    SheetError : it cannot be so; nothing was written.
    BusyError : others tell of the same cook all the time; nothing was written.
    """
    with cook_turn(here, cook_id):
        for _ in range(TRIES):
            found = moment_of(session, here, cook_id)
            event = StoredEvent(told.key, found.clock.now(), told.kind, dict(told.body))
            if cooks.is_told(session, cook_id, told.key) or _is_known(found, event):
                return state_document(session, found)
            check(found.sheet, Event(event.at.timestamp(), told.kind, event.body))
            leave_room(found.account.count + len(found.pending), told.kind)
            if append_event(session, found, event):
                break
        else:
            raise BusyError(cook_id)
    return follow(session, here, cook_id)


@contextmanager
def cook_turn(here: LiveKitchen, cook_id: str) -> Iterator[None]:
    """One change of a cook after another."""
    try:
        with here.turns.of(cook_id, WAIT_TO_WRITE_S):
            yield
    except TimeoutError:
        raise BusyError(cook_id) from None


def _is_known(found: Moment, event: StoredEvent) -> bool:
    """Whether it would change nothing that is shown."""
    told = core_event(event)
    return event.kind != "note" and told is not None and changes_nothing(found.sheet, told)


def append_event(session: Session, found: Moment, event: StoredEvent) -> bool:
    """Write an event down after what the pot did; False when something was told meanwhile."""
    told = core_event(event)
    sheet = found.sheet if told is None else after(found.plan, found.sheet, told)
    changed = _remembered(session, found, sheet, event)
    cook_id = found.stored.cook_id
    home = current_household(session).household_id
    with writing(session):
        if cooks.last_event_id(session, cook_id) != found.account.last_id:
            return False
        there = COOKS.get(session, home, cook_id)
        write_pot(session, found)
        cooks.add_event(session, cook_id, event)
        content = changed(there.content)
        if content != there.content:
            COOKS.replace(session, home, cook_id, content)
    return True


def judge(
    session: Session, here: LiveKitchen, cook_id: str, *, seen: Texture | None, probe: str | None
) -> dict[str, Any]:
    """Done, put back, or rescue: from how it looks, what was set, and how long it is open."""
    found = moment_of(session, here, cook_id)
    give_back(session)
    held = found.content.hold_min + sum(found.account.put_back_min)
    down_s = found.sheet.marks[-1].down_s
    now = found.clock.now()
    open_min = 5.0 if down_s is None else min(max((now.timestamp() - down_s) / 60.0, 0.0), 60.0)
    request = found.plan.request
    verdict = judge_opened(
        request,
        held,
        seen_step=None if seen is None else float(TEXTURES.index(seen)),
        probe_c=None if probe is None else parse_measure(probe, "temperature", "probe"),
        open_min=open_min,
    )
    document = opened_document(request, verdict)
    body = {"seen": seen, "probe": probe, "verdict": verdict.step, "hold_min": verdict.hold_min}
    with writing(session):
        leave_room(found.account.count, "judged")
        cooks.add_event(session, cook_id, StoredEvent(f"judged-{new_id()}", now, "judged", body))
    return document


def worth(session: Session, here: LiveKitchen, cook_id: str) -> dict[str, Any]:
    """What the minutes of a run that stopped were worth, and how to go on."""
    found = moment_of(session, here, cook_id)
    give_back(session)
    return stopped_document(missing_run(found))


def compare(session: Session, here: LiveKitchen, one: str, other: str) -> dict[str, Any]:
    """Two sheets laid together, and what is not the same about them."""
    both = [moment_of(session, here, cook_id) for cook_id in (one, other)]
    laid = [cooked(item.stored, item.plan, item.sheet, item.samples) for item in both]
    return {
        "sheets": [state_document(session, item) for item in both],
        "differences": compare_document(*laid),
    }


def pieces(session: Session, here: LiveKitchen, cook_id: str) -> dict[str, Any]:
    """How the kinds of pieces in one pot softened, each along what happened to the pot.

    Of a cook that is over it is worked out once and kept: a later engine does not rewrite it.
    """
    found = moment_of(session, here, cook_id)
    give_back(session)
    kept = found.content.traces
    if kept is not None:
        return kept_traces(kept, found.plan).to_document()
    try:
        return piece_traces(found.content, found.plan, found.sheet, found.samples).to_document()
    except RequestError:
        # today's engine cannot set this load up; the entry itself is shown all the same
        return PieceTraces(followed=False, kinds=()).to_document()


def shown_from_file(
    stored: StoredCook, events: Sequence[StoredEvent], samples: Sequence[StoredSample]
) -> tuple[StoredCook, dict[str, Any]]:
    """A cook of a backup with the numbers it goes by, and what its page would show.

    Nothing is read or written, so that a file can be checked before it is taken in.

    Raises
    ------
    CoreError : it cannot be shown.
    """
    plan = own_plan(stored.content)
    account = Account(plan, blank(plan, brought_of(stored.content.brought)))
    for number, event in enumerate(events, start=1):
        account = account.with_event(number, event)
    if stored.content.traces is not None:
        kept_traces(stored.content.traces, plan).to_document()
    if stored.content.clock is not None:
        read_cook_clock(stored.content.clock)
    content = replace(stored.content, numbers=to_document(plan.numbers))
    shown = replace(stored, content=content)
    document = cook_document(
        shown,
        plan,
        account.sheet,
        ClockOfCook(KitchenClock(), stored.cook_id, None),
        reading=None,
        faults=None,
        samples=samples,
        photos=(),
        cautions=(),
    )
    return shown, document


def connected_ids(session: Session) -> list[str]:
    """Cooks under way beside a connected pot."""
    return cooks.connected_ids(session, current_household(session).household_id)


def beside(session: Session, here: LiveKitchen) -> list[dict[str, Any]]:
    """All cooks that run, the one that needs hands first at the top."""
    home = current_household(session).household_id
    found = []
    for stored in cooks.running_cooks(session, home):
        item = moment_of_stored(session, here, stored)
        now_s = item.clock.now().timestamp()
        found.append((turn_of(item.plan, item.sheet, now_s), item, now_s))
    found.sort(key=lambda item: (*item[0].rank, item[1].stored.created_at))
    return [
        {
            "id": item.stored.cook_id,
            "name": item.content.name,
            "pot_name": item.content.pot_name,
            "wants": turn.wants,
            "title": say_message(turn.said),
            "due_at": _moment(turn.due_s),
            "left_s": max(round(turn.due_s - now_s), 0),
            "speed": item.clock.speed,
            "rang": [
                {"timer_id": timer.timer_id, "title": say_message(timer.said)}
                for timer in item.sheet.timers
                if timer.due_s <= now_s and timer.rang_s is None
            ],
        }
        for turn, item, now_s in found
    ]


def log(session: Session, wanted: Filter, *, limit: int, offset: int) -> tuple[list[LogLine], int]:
    """Cooks of the log, the last one first, and how many there are."""
    home = current_household(session).household_id
    return cooks.log_page(session, home, wanted, limit=limit, offset=offset)


def history(session: Session, here: LiveKitchen, cook_id: str) -> list[StoredEvent]:
    """Everything that happened in a cook."""
    return list(all_events(moment_of(session, here, cook_id), session))


def set_cook_deleted(session: Session, cook_id: str, *, deleted: bool) -> None:
    """Take a cook out of the log, or put it back."""
    home = current_household(session).household_id
    COOKS.set_deleted(session, home, cook_id, deleted=deleted)


def _remembered(session: Session, found: Moment, sheet: Sheet, event: StoredEvent) -> "_Change":
    """What the log lists of a cook with one more event, worked out before anything is written."""
    account = found.account.with_event(found.account.last_id, event)
    ratio = heat_ratio(sheet)
    up = next(step.likely_s for step in sheet.steps if step.kind == "come_up")
    model = found.content
    traces = found.content.traces
    left_out = found.content.no_lesson
    if sheet.ended_s is not None:
        events = [*all_events(found, session), event]
        give_back(session)
        left_out = no_lesson(
            found.plan, sheet, events, found.clock, connected=found.content.connected
        )
        model = with_model_prediction(replace(found.content), list(account.outcomes))
        if any(marks.stopped_early_s is not None for marks in sheet.marks) or sheet.abandoned:
            # nobody knows how many of the minutes it had: it says nothing of taste
            model = replace(model, model_step=None)
        if traces is None:
            traces = _traces(found, sheet)
    weighed = sheet.weighed
    return _Change(
        {
            "ended_at": _moment(sheet.ended_s),
            "outcome_step": _mean_step(sheet.outcome, found.plan.request),
            "come_up_s": None if ratio is None else ratio * up,
            "yield_ratio": (
                weighed["after_kg"] / weighed["before_kg"]
                if {"before_kg", "after_kg"} <= weighed.keys()
                else None
            ),
            "note": "\n".join(account.notes)[:4000],
            "abandoned": sheet.abandoned,
            "no_lesson": left_out,
            "model_step": model.model_step,
            "planned_up_s": model.planned_up_s,
            "model_engine": model.model_engine,
            "traces": traces,
        }
        | ({"started_at": event.at} if event.kind == "began" else {})
    )


def _traces(found: Moment, sheet: Sheet) -> dict[str, Any] | None:
    """How each kind softened, for good; None when today's engine cannot say."""
    try:
        return piece_traces(found.content, found.plan, sheet, found.samples).to_kept()
    except RequestError:
        return None


@dataclass(frozen=True, slots=True)
class _Change:
    """Fields of a cook that an event changes."""

    fields: Mapping[str, Any]

    def __call__(self, content: CookContent) -> CookContent:
        """The content with them."""
        return replace(content, **self.fields)


def _mean_step(outcome: Mapping[str, Any] | None, request: CookRequest) -> float | None:
    return None if outcome is None else mean_step(outcome["pieces"], piece_counts(request))


def _moment(at_s: float | None) -> datetime | None:
    return None if at_s is None else datetime.fromtimestamp(at_s, UTC)

"""A cook as a document for the wire: one step at a time, timers, what is still to come, the ink."""

from collections.abc import Sequence
from dataclasses import asdict, dataclass
from datetime import UTC, datetime
from typing import Any

import numpy as np

from pneumachron.core.errors import ShapeError
from pneumachron.core.physics.steam import FloatArray, ambient_pressure_pa, saturation_pressure_pa
from pneumachron.core.physics.tenderness import TEXTURES
from pneumachron.core.planning.request import resolve
from pneumachron.core.procedure.cook_plan import CookPlan
from pneumachron.core.procedure.step import Step, StepKind
from pneumachron.core.session.compare import Cooked, differences, to_pressure_s
from pneumachron.core.session.events import Timer
from pneumachron.core.session.forecast import alarms, forecast
from pneumachron.core.session.piece_traces import (
    PieceTrace,
    kind_names,
    pieces_along,
    pieces_as_set,
    said_of,
)
from pneumachron.core.session.pieces import side_by_side
from pneumachron.core.session.sheet import Sheet
from pneumachron.core.units import show_mass
from pneumachron.devices.clock import Clock
from pneumachron.devices.protocol import PotReading
from pneumachron.devices.simulated import Faults
from pneumachron.services.documents import shown_document
from pneumachron.services.log_words import difference_document, say_against, say_beside
from pneumachron.services.step_documents import step_document
from pneumachron.services.wording import say_message, what_to_do
from pneumachron.store.records import CookContent, StoredCook, StoredPhoto, StoredSample
from pneumachron.text.say import say, say_cut

MOST_INK = 400
"""Points of ink on a screen; a trace of four hours has a thousand."""


def _no_lesson(content: CookContent, sheet: Sheet) -> str | None:
    """Why a cook that is over teaches nothing of taste; None: it teaches, or it goes on."""
    if content.ended_at is None:
        return None
    if content.abandoned:
        return "abandoned"
    if content.no_lesson is not None:
        return content.no_lesson
    stopped = any(marks.stopped_early_s is not None for marks in sheet.marks)
    return "stopped" if stopped else None


def cook_document(
    stored: StoredCook,
    plan: CookPlan,
    sheet: Sheet,
    clock: Clock,
    *,
    reading: PotReading | None,
    faults: Faults | None,
    samples: Sequence[StoredSample],
    photos: Sequence[StoredPhoto],
    cautions: Sequence[str],
) -> dict[str, Any]:
    """Everything a screen shows of a cook."""
    now = clock.now()
    now_s = now.timestamp()
    content = stored.content
    current = sheet.current
    left = [step for step in sheet.steps if step.step_id not in sheet.done_s]
    seen = forecast(sheet, now_s)
    return {
        "id": stored.cook_id,
        "name": content.name,
        "person_id": content.person_id,
        "now": now,
        "speed": clock.speed,
        "ahead_s": round(clock.ahead_s),
        "version": stored.version,
        "abandoned": content.abandoned,
        "no_lesson": _no_lesson(content, sheet),
        "engine": plan.numbers.engine,
        "reconstructed": plan.numbers.reconstructed,
        "began_at": content.started_at,
        "ended_at": content.ended_at,
        "connected": content.connected,
        "set_min": content.hold_min,
        "plan": _plan(plan, content.pot_name, cautions),
        "steps": [_step(sheet, step, content.recipe) for step in sheet.steps],
        "current": None if current is None else current.step_id,
        "next": next((step.step_id for step in left if step is not current), None),
        "timers": [_timer(timer, now_s) for timer in sheet.timers],
        "alarms": [
            {"kind": item.kind, "title": say_message(item.said), "do": list(what_to_do(item))}
            for item in alarms(plan, sheet, now_s)
        ],
        "forecast": {
            "table_at": _moment(seen.table_s),
            "planned_at": _moment(seen.planned_s),
            "late_s": round(seen.late_s),
            "ahead": [
                {"step_id": item.step_id, "begin_at": _moment(item.begin_s),
                 "end_at": _moment(item.end_s)}
                for item in seen.ahead
            ],
        },
        "rounds": len(sheet.marks),
        "pot": None if reading is None else _pot(reading, plan),
        "faults": None if faults is None else asdict(faults),
        "lid_at": _lid_at(sheet),
        "pencil": _pencil(plan),
        "ink": _ink(sheet, samples),
        "outcome": None if sheet.outcome is None else dict(sheet.outcome),
        "weighed": {
            name: _mass(sheet.weighed.get(f"{name}_kg")) for name in ("before", "after")
        },
        "side_by_side": _side_by_side(plan, sheet),
        "request": without_nothing(content.inputs),
        "recipe": content.recipe,
        "photos": [
            {"id": item.photo_id, "at": item.at, "width_px": item.width_px,
             "height_px": item.height_px}
            for item in photos
        ],
    }  # fmt: skip


def compare_document(one: Cooked, other: Cooked) -> list[dict[str, Any]]:
    """What is not the same about two cooks."""
    return [difference_document(item) for item in differences(one, other)]


def cooked(
    stored: StoredCook, plan: CookPlan, sheet: Sheet, samples: Sequence[StoredSample]
) -> Cooked:
    """A cook as it is laid beside another one."""
    content = stored.content
    ink = [(at, gauge) for at, gauge in _ink(sheet, samples)]
    up_s = to_pressure_s(ink)
    return Cooked(
        plan,
        sheet,
        pot_name=content.pot_name,
        set_min=content.hold_min,
        up_s=content.come_up_s if up_s is None else up_s,
        yield_ratio=content.yield_ratio,
    )


@dataclass(frozen=True, slots=True)
class PieceTraces:
    """How each kind of piece softened; `followed`: along a trace, not along what was set."""

    followed: bool
    kinds: tuple[PieceTrace, ...]

    def to_document(self) -> dict[str, Any]:
        """As it is shown."""
        return {
            "followed": self.followed,
            "kinds": [
                {
                    "name": say_message(trace.name),
                    "count": trace.count,
                    "softening": _softening(trace),
                }
                for trace in self.kinds
            ],
            "said": say_against(said_of(self.kinds)),
        }  # fmt: skip

    def to_kept(self) -> dict[str, Any]:
        """As it is kept with a cook that is over: numbers only."""
        return {
            "followed": self.followed,
            "kinds": [
                {"count": trace.count, "points": [
                    [round(float(trace.time_s[at])), round(float(trace.core_c[at]), 2),
                     round(float(trace.tenderness_step[at]), 3)]
                    for at in _thinned(len(trace.time_s))
                ]}
                for trace in self.kinds
            ],
        }  # fmt: skip


def piece_traces(
    content: CookContent,
    plan: CookPlan,
    sheet: Sheet,
    samples: Sequence[StoredSample],
) -> PieceTraces:
    """Work out how each kind of piece softened, along what happened.

    Raises
    ------
    RequestError : today's engine cannot say.
    """
    if plan.numbers.goes_on is not None:
        return PieceTraces(followed=False, kinds=())  # each kind had a time of its own
    setup = resolve(plan.request)
    time_s, pot_c = _inside(sheet, plan.numbers.open_pot_s, samples)
    followed = len(time_s) > 1
    if followed:
        return PieceTraces(followed, pieces_along(setup, time_s, pot_c))
    return PieceTraces(followed, pieces_as_set(setup, content.hold_min))


def kept_traces(kept: dict[str, Any], plan: CookPlan) -> PieceTraces:
    """Read what `PieceTraces.to_kept` wrote.

    Raises
    ------
    ShapeError : it is not whole.
    """
    if plan.numbers.goes_on is not None:
        return PieceTraces(followed=False, kinds=())  # as `piece_traces` has it
    try:
        found = []
        for name, item in zip(kind_names(plan.request.load), kept["kinds"], strict=True):
            points = np.array(item["points"], dtype=np.float64)
            if points.ndim != 2 or points.shape[1] != 3 or not np.isfinite(points).all():
                raise ShapeError("the traces of this cook are not curves")
            found.append(PieceTrace(name, int(item["count"]), *points.T))
        return PieceTraces(bool(kept["followed"]), tuple(found))
    except (KeyError, TypeError, ValueError) as error:
        raise ShapeError("the traces of this cook are not whole") from error


def _softening(trace: PieceTrace) -> list[list[float]]:
    pick = _thinned(len(trace.time_s))
    pairs = zip(trace.time_s[pick], trace.tenderness_step[pick], strict=True)
    return [[round(float(at)), round(float(step), 3)] for at, step in pairs]


def _inside(
    sheet: Sheet, open_pot_s: float, samples: Sequence[StoredSample]
) -> tuple[FloatArray, FloatArray]:
    """Temperature of the pot from the start of heating on.

    It ends when the meat has softened by itself after the lid came off for good.
    """
    begin, end = _lid_at(sheet), sheet.opened_s
    if begin is None:
        return np.empty(0), np.empty(0)
    last = np.inf if end is None else end - begin.timestamp() + open_pot_s
    times = ((item.at - begin).total_seconds() for item in samples)
    points = [(at, item.temp_c) for at, item in zip(times, samples, strict=True) if 0 <= at <= last]
    rising = dict(points)
    return np.array(list(rising), dtype=float), np.array(list(rising.values()), dtype=float)


def without_nothing(inputs: dict[str, Any]) -> dict[str, Any]:
    """The request as it was typed; what was left open is left out."""
    pieces = [_given(piece) for piece in inputs["pieces"]]
    return {**_given(inputs), "pieces": pieces}


def _given(values: dict[str, Any]) -> dict[str, Any]:
    return {key: value for key, value in values.items() if value is not None}


def _plan(plan: CookPlan, pot_name: str, cautions: Sequence[str]) -> dict[str, Any]:
    request = plan.request
    cut = request.load.pieces[0].cut
    return {
        "hold_min": plan.hold_min,
        "level": request.level,
        "pot_name": pot_name,
        "cut": cut.cut_id,
        "texture": TEXTURES[round(request.tenderness_step)],
        "looks": [
            {"texture": texture, "looks": say_cut(cut.cut_id, texture)} for texture in TEXTURES
        ],
        "kinds": [
            {"name": say_message(name), "count": count}
            for name, (_, count) in zip(kind_names(request.load), request.load.kinds(), strict=True)
        ],
        "cautions": list(cautions),
    }


RECIPE_STEPS: dict[StepKind, tuple[str, ...]] = {
    "season": ("marinate", "season"),
    "sear": ("sear",),
    "deglaze": ("deglaze",),
    "load": ("pot",),
    "rest": ("rest", "own_run"),
    "sauce": ("sauce",),
    "finish": ("finish",),
    "carve": ("carve",),
    "keep": ("keep",),
}
"""Which steps of a converted recipe are told at which step beside the pot; lid, minutes and release
are the plan's own."""


def _side_by_side(plan: CookPlan, sheet: Sheet) -> list[str]:
    if sheet.outcome is None:
        return []
    return say_beside(side_by_side(sheet.outcome["pieces"]), kind_names(plan.request.load))


def _mass(mass_kg: float | None) -> dict[str, str] | None:
    return None if mass_kg is None else shown_document(show_mass(mass_kg))


def _told_by(sheet: Sheet, step: Step, recipe: dict[str, Any] | None) -> list[str]:
    kinds = RECIPE_STEPS.get(step.kind, ())
    if step.kind == "pour" and not any(each.kind == "deglaze" for each in sheet.steps):
        kinds = ("deglaze",)  # nothing is seared: the onions are softened before it
    steps = [] if recipe is None or step.round > 1 else recipe["steps"]
    return [item["text"] for kind in kinds for item in steps if item["kind"] == kind]


def _step(sheet: Sheet, step: Step, recipe: dict[str, Any] | None) -> dict[str, Any]:
    done = sheet.done_s.get(step.step_id)
    ticked = sheet.ticked.get(step.step_id, frozenset())
    return {
        **step_document(step),
        "recipe": _told_by(sheet, step, recipe),
        "waits": step.waits,
        "skippable": step.skippable,
        "ticks": [
            {"code": tick, "text": say(f"tick-{tick}"), "on": tick in ticked} for tick in step.ticks
        ],
        "timers": [
            {
                "offered": number,
                "title": say(f"timer-{timer.code}", timer.params),
                "seconds": round(timer.seconds),
            }
            for number, timer in enumerate(step.timers)
        ],
        "done_at": None if done is None else _moment(done),
    }


def _timer(timer: Timer, now_s: float) -> dict[str, Any]:
    return {
        "timer_id": timer.timer_id,
        "step_id": timer.step_id,
        "title": say_message(timer.said),
        "due_at": _moment(timer.due_s),
        "left_s": round(timer.left_s(now_s)),
        "heard": timer.rang_s is not None,
    }


def _pot(reading: PotReading, plan: CookPlan) -> dict[str, Any]:
    outside = float(ambient_pressure_pa(plan.request.altitude_m))
    shut = reading.state not in {"open", "no_vessel"}
    inside = float(saturation_pressure_pa(reading.temp_c)) if shut else outside
    return {
        "state": reading.state,
        "temp_c": round(reading.temp_c, 1),
        "gauge_pa": round(max(inside - outside, 0.0)),
        "pin_up": reading.pin_up,
        "left_s": None if reading.left_s is None else round(reading.left_s),
        "spitting": reading.spitting,
    }


def _lid_at(sheet: Sheet) -> datetime | None:
    """From when the trace counts: heating began."""
    marks = sheet.marks[0]
    started = marks.started_s if marks.started_s is not None else marks.lid_s
    return None if started is None else _moment(started)


def _pencil(plan: CookPlan) -> list[list[float]]:
    """The planned pressure over time from lid on: [s, Pa]."""
    return [[round(at), round(gauge)] for at, gauge in plan.numbers.trace]


def _ink(sheet: Sheet, samples: Sequence[StoredSample]) -> list[list[float]]:
    """What really happened: [s from the same moment, Pa]."""
    begin = _lid_at(sheet)
    if begin is None or not samples:
        return []
    inked = [item for item in samples if item.at >= begin]
    return [
        [round((item.at - begin).total_seconds()), round(item.gauge_pa)]
        for item in (inked[index] for index in _thinned(len(inked)))
    ]


def _thinned(count: int) -> list[int]:
    """Evenly spaced places of a trace, `MOST_INK` at most and the last one."""
    every = -(-count // MOST_INK)
    return sorted({*range(0, count, max(every, 1)), max(count - 1, 0)}) if count else []


def _moment(at_s: float) -> datetime:
    return datetime.fromtimestamp(at_s, UTC)

"""What a cook is told: one body for each kind of event."""

from typing import Annotated, Literal

from pydantic import Field, StringConstraints

from pneumachron.api.schemas.base import MeasureText, StrictModel
from pneumachron.core.physics.tenderness import Texture
from pneumachron.core.procedure.choices import LateHow
from pneumachron.core.schedule.guests_late import LATE_RANGE_S
from pneumachron.core.session.pieces import MOST_PIECES
from pneumachron.services.cooks import NewEvent
from pneumachron.services.entries import read_weights

MAX_TIMERS = 60
MAX_PIECE_KINDS = 12
EventKey = Annotated[
    str, StringConstraints(min_length=4, max_length=60, pattern=r"^[A-Za-z0-9._-]+$")
]
StepId = Annotated[str, StringConstraints(min_length=1, max_length=20)]
Rating = Annotated[int, Field(ge=1, le=5)]


class _Told(StrictModel):
    """`key` is the client's own; the same key is written once."""

    key: EventKey


class StepTold(_Told):
    """A step was done, or was not after all."""

    kind: Literal["done", "undone"]
    step_id: StepId
    anyway: Annotated[
        bool, Field(description="done although time that the plan counts on is left")
    ] = False
    skipped: Annotated[
        str | None,
        StringConstraints(strip_whitespace=True, min_length=1, max_length=200),
        Field(description="why it is left out"),
    ] = None


class TickTold(_Told):
    """A line of a step was confirmed."""

    kind: Literal["ticked"]
    step_id: StepId
    tick: Annotated[str, StringConstraints(min_length=1, max_length=80)]


class TimerStartTold(_Told):
    """A timer runs."""

    kind: Literal["timer_started"]
    step_id: StepId
    timer_id: EventKey
    title: Annotated[
        str | None, StringConstraints(strip_whitespace=True, min_length=1, max_length=80)
    ] = None
    offered: Annotated[
        int | None, Field(ge=0, le=100, description="which timer of the step; or a title")
    ] = None
    seconds: Annotated[float, Field(ge=1, le=172_800)]


class TimerMoveTold(_Told):
    """A timer was moved."""

    kind: Literal["timer_moved"]
    timer_id: EventKey
    by_s: Annotated[float, Field(ge=-86_400, le=86_400)]


class TimerTold(_Told):
    """A timer was heard, or taken off."""

    kind: Literal["timer_rang", "timer_stopped"]
    timer_id: EventKey


class PutBackTold(_Told):
    """It goes back into the pot."""

    kind: Literal["put_back"]
    hold_min: Annotated[int, Field(ge=1, le=240)]


class GuestsLateTold(_Told):
    """The guests are late, and the dish waits."""

    kind: Literal["guests_late"]
    how: LateHow
    late_s: Annotated[float, Field(ge=LATE_RANGE_S[0], le=LATE_RANGE_S[1])]


class NoteTold(_Told):
    """A line for next time."""

    kind: Literal["note"]
    step_id: Annotated[StepId | None, Field(description="the step that it is about")] = None
    text: Annotated[str, StringConstraints(strip_whitespace=True, min_length=1, max_length=2000)]


class WeighedTold(_Told):
    """Weights before and after, with their unit."""

    kind: Literal["weighed"]
    before: MeasureText | None = None
    after: MeasureText | None = None


class PieceOutcome(StrictModel):
    """How a piece came out, or all of a kind when `number` is not said."""

    group: Annotated[int | None, Field(ge=0, lt=MAX_PIECE_KINDS, description="its kind")] = None
    number: Annotated[int | None, Field(ge=1, le=MOST_PIECES)] = None
    mark: Annotated[str, StringConstraints(strip_whitespace=True, max_length=40)] = ""
    texture: Texture | None = None
    juicy: Rating | None = None
    taste: Rating | None = None


class OutcomeTold(_Told):
    """How it came out, piece by piece."""

    kind: Literal["outcome"]
    pieces: Annotated[list[PieceOutcome], Field(min_length=1, max_length=MOST_PIECES)]


class EndTold(_Told):
    """It is over; abandoned: it was given up before it was done, and teaches nothing."""

    kind: Literal["ended", "abandoned"]


class BeganTold(_Told):
    """It begins only now: nothing of it was done yet."""

    kind: Literal["began"]


NewEventIn = Annotated[
    StepTold
    | TickTold
    | TimerStartTold
    | TimerMoveTold
    | TimerTold
    | PutBackTold
    | GuestsLateTold
    | NoteTold
    | WeighedTold
    | OutcomeTold
    | EndTold
    | BeganTold,
    Field(discriminator="kind"),
]


def told(event: NewEventIn) -> NewEvent:
    """As the use case takes it.

    Raises
    ------
    RequestError : a weight that cannot be.
    """
    if isinstance(event, WeighedTold):
        return NewEvent(event.key, event.kind, read_weights(event.before, event.after))
    body = event.model_dump(exclude={"key", "kind"})
    if not body.get("anyway", True):
        del body["anyway"]
    return NewEvent(event.key, event.kind, body)

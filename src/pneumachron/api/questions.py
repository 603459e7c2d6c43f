"""The questions that the command line asks: the same schemas and routes as over the wire."""

from collections.abc import Callable
from dataclasses import dataclass
from typing import Any

from pneumachron.api.routes import ask, plans
from pneumachron.api.schemas.ask import (
    AroundIn,
    AroundOut,
    BatchesOut,
    OpenedIn,
    OpenedOut,
    OtherPressureIn,
    OtherPressureOut,
    SauceIn,
    SauceOut,
    StoppedIn,
    StoppedOut,
)
from pneumachron.api.schemas.base import StrictModel
from pneumachron.api.schemas.cook_request import PlanIn
from pneumachron.api.schemas.what_if import AnswerOut, MinutesIn, ReadyByIn, ReadyByOut, WhatIfOut


@dataclass(frozen=True, slots=True)
class Question:
    """What is asked, what answers it, and the shape of the answer."""

    asked: type[StrictModel]
    answer: Callable[..., Any]
    answered: type[StrictModel]


QUESTIONS: dict[str, Question] = {
    "what-if": Question(PlanIn, plans.what_if, WhatIfOut),
    "ready-by": Question(ReadyByIn, plans.ready_by, ReadyByOut),
    "minutes": Question(MinutesIn, plans.judge_minutes, AnswerOut),
    "not-done": Question(OpenedIn, ask.opened, OpenedOut),
    "interrupted": Question(StoppedIn, ask.stopped, StoppedOut),
    "other-pressure": Question(OtherPressureIn, ask.other_pressure, OtherPressureOut),
    "batches": Question(PlanIn, ask.batches, BatchesOut),
    "prep": Question(AroundIn, ask.around, AroundOut),
    "sauce": Question(SauceIn, ask.sauce, SauceOut),
}

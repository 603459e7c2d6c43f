"""Short answers over the wire: what changes if, ready by, an early opening."""

from typing import Annotated

from pydantic import Field, computed_field

from pneumachron.api.schemas.base import Shown, StrictModel
from pneumachron.api.schemas.cook_request import PlanIn
from pneumachron.api.schemas.said import Params
from pneumachron.core.catalog.cuts import ReleaseMethod
from pneumachron.core.physics.tenderness import Texture
from pneumachron.core.planning.finish import FinishKind
from pneumachron.core.planning.load import MAX_KINDS
from pneumachron.core.planning.what_if import AlternativeKind
from pneumachron.text.say import say, say_cut


class MinutesIn(StrictModel):
    """A request, and the minutes a recipe gives for it."""

    request: PlanIn
    hold_min: Annotated[int, Field(ge=0, le=720)]


class AnswerOut(StrictModel):
    """What a cook comes to; texture and core are those of the slowest piece."""

    hold_min: int
    lid_on_to_open_s: float
    done_s: float
    tenderness_step: float
    texture_reached: Texture
    core_at_open_c: float
    then_min: Annotated[
        int | None, Field(description="of a second run, with what is not done in the first")
    ] = None


class ReadyByIn(StrictModel):
    """A request, and the minutes there are until it should be on the table."""

    request: PlanIn
    available_min: Annotated[int, Field(ge=1, le=1440)]
    finish: FinishKind | None = None


class ReadyByWayOut(StrictModel):
    """A way of cutting, releasing and finishing; a negative `spare_s` is how late it is."""

    parts: int
    release: ReleaseMethod
    finish: FinishKind
    answer: AnswerOut
    rest_s: float
    finish_s: float
    table_s: float
    spare_s: float


class ReadyByOut(StrictModel):
    """Ways that go, best first."""

    ways: Annotated[list[ReadyByWayOut], Field(max_length=20)]


class RefusedOut(StrictModel):
    """Why something cannot be."""

    code: str
    params: Params

    def said(self) -> str:
        """What is wrong, and what to do."""
        message = say(f"error-{self.code}", self.params)
        return f"{message} {say(f'error-{self.code}.hint', self.params)}"


class AlternativeOut(StrictModel):
    """One thing changed: an answer, or why there is none."""

    kind: AlternativeKind
    value: str
    answer: AnswerOut | None
    refused: RefusedOut | None

    @computed_field
    def trouble(self) -> str | None:
        """Why there is no answer."""
        return None if self.refused is None else self.refused.said()


class EarlyPieceOut(StrictModel):
    """One kind of piece in two cycles."""

    cut_id: str
    thickness_shown: Shown
    out_early: bool
    tenderness_step: float
    texture_reached: Texture

    @computed_field
    def cut(self) -> str:
        """The short name of the cut."""
        return say_cut(self.cut_id, "short")


class EarlyOutOut(StrictModel):
    """Unlike pieces: open after the first minutes, take some out, close again."""

    first_min: int
    second_min: int
    done_s: Annotated[float, Field(description="from lid on until it is opened for good")]
    pieces: Annotated[list[EarlyPieceOut], Field(max_length=MAX_KINDS)]


class WhatIfOut(StrictModel):
    """The same request with one thing different at a time."""

    alternatives: Annotated[list[AlternativeOut], Field(max_length=80)]
    early_out: EarlyOutOut | None = None

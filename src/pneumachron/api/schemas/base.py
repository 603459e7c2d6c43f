"""What all schemas share."""

from typing import Annotated

from pydantic import BaseModel, ConfigDict, StringConstraints

from pneumachron.core.units import MAX_TEXT


class Closed(BaseModel):
    """Unknown fields and infinite numbers are refused; values do not change."""

    model_config = ConfigDict(extra="forbid", frozen=True, allow_inf_nan=False)


MeasureText = Annotated[str, StringConstraints(max_length=MAX_TEXT)]
"""A measure as typed, with its unit."""
Name = Annotated[str, StringConstraints(strip_whitespace=True, min_length=1, max_length=120)]
ShortName = Annotated[str, StringConstraints(strip_whitespace=True, min_length=1, max_length=80)]
Id = Annotated[str, StringConstraints(min_length=1, max_length=40, pattern=r"^[A-Za-z0-9_-]+$")]


class Shown(Closed):
    """A measure in both systems, ready to read."""

    metric: str
    us: str


class Problem(Closed):
    """The one shape of every error: what, where, and what to do."""

    code: str
    message: str
    field: str | None = None
    hint: str | None = None

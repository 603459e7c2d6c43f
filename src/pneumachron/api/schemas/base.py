"""What all schemas share."""

from datetime import datetime
from typing import Annotated

from pydantic import AfterValidator, AwareDatetime, BaseModel, ConfigDict, StringConstraints
from pydantic_core import PydanticCustomError

from pneumachron.core.errors import FixKind
from pneumachron.core.units import MAX_TEXT

EARLIEST_YEAR, LATEST_YEAR = 1970, 2199


class StrictModel(BaseModel):
    """Unknown fields and infinite numbers are refused; values do not change."""

    model_config = ConfigDict(extra="forbid", frozen=True, allow_inf_nan=False)


def _in_time(moment: datetime) -> datetime:
    """Refuse what is out of all time, whatever its zone: years 1 and 9999 break arithmetic."""
    if not EARLIEST_YEAR <= moment.year <= LATEST_YEAR:
        raise PydanticCustomError("out_of_all_time", "not a year from 1970 to 2199")
    return moment


Moment = Annotated[AwareDatetime, AfterValidator(_in_time)]
"""A date and time with its zone, from 1970 to 2199."""
MeasureText = Annotated[str, StringConstraints(max_length=MAX_TEXT)]
"""A measure as typed, with its unit."""
Name = Annotated[str, StringConstraints(strip_whitespace=True, min_length=1, max_length=120)]
ShortName = Annotated[str, StringConstraints(strip_whitespace=True, min_length=1, max_length=80)]
Id = Annotated[str, StringConstraints(min_length=1, max_length=40, pattern=r"^[A-Za-z0-9_-]+$")]


class Shown(StrictModel):
    """A measure in both systems, ready to read."""

    metric: str
    us: str


class FixOut(StrictModel):
    """The one change that meets a request: what is set, and to what; empty: as the engine would."""

    kind: FixKind
    value: str


class Problem(StrictModel):
    """The one shape of every error: what, where, and what to do."""

    code: str
    message: str
    field: str | None = None
    hint: str | None = None
    fix: FixOut | None = None

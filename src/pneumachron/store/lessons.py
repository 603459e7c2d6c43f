"""What the log teaches of a cut and of a pot, and what of it was set back."""

from dataclasses import dataclass
from datetime import datetime
from typing import Literal, TypeAlias

from sqlalchemy import Select, select
from sqlalchemy.orm import Session

from pneumachron.store.tables import CookRow, ForgottenRow, HouseholdRow

LessonKind: TypeAlias = Literal["taste", "heat"]


@dataclass(frozen=True, slots=True)
class Lesson:
    """One cook that teaches: what the model said and what was seen."""

    cook_id: str
    name: str
    started_at: datetime
    model: float | None
    """None: the model was not asked yet, or has no answer."""
    seen: float
    asked: bool
    """Whether the model was asked; a cook from a file is asked when it first teaches."""


def tastes(session: Session, household_id: str, cut: str, limit: int) -> list[Lesson]:
    """Rated cooks of a cut: steps, the oldest first."""
    chosen = (
        select(
            CookRow.id,
            CookRow.name,
            CookRow.started_at,
            CookRow.model_step,
            CookRow.outcome_step,
            CookRow.planned_up_s.is_not(None),
        )
        .where(CookRow.cut == cut)
        .where(CookRow.outcome_step.is_not(None))
    )
    since = forgotten_at(session, household_id, "taste", cut)
    return _lessons(session, chosen, household_id, since, limit)


def heats(session: Session, household_id: str, pot_id: str, limit: int) -> list[Lesson]:
    """Times to pressure of a pot [s], the oldest first."""
    chosen = (
        select(
            CookRow.id,
            CookRow.name,
            CookRow.started_at,
            CookRow.planned_up_s,
            CookRow.come_up_s,
            CookRow.planned_up_s.is_not(None),
        )
        .where(CookRow.pot_id == pot_id)
        .where(CookRow.come_up_s > 0)
    )
    since = forgotten_at(session, household_id, "heat", pot_id)
    return _lessons(session, chosen, household_id, since, limit)


_Chosen: TypeAlias = Select[str, str, datetime, float | None, float | None, bool]


def _lessons(
    session: Session, chosen: _Chosen, household_id: str, since: datetime | None, limit: int
) -> list[Lesson]:
    chosen = chosen.where(
        CookRow.household_id == household_id,
        CookRow.deleted_at.is_(None),
        CookRow.ended_at.is_not(None),
        CookRow.abandoned.is_(False),
        CookRow.no_lesson.is_(None),
    )
    home = session.get(HouseholdRow, household_id)
    if home is None or not home.simulated_teach:
        # what a simulated pot did is no cook of this household
        chosen = chosen.where(CookRow.connected.is_(False))
    if since is not None:
        chosen = chosen.where(CookRow.ended_at > since)
    rows = session.execute(chosen.order_by(CookRow.started_at.desc()).limit(limit)).all()
    return [
        Lesson(cook_id, name, started_at, model, seen, asked)
        for cook_id, name, started_at, model, seen, asked in reversed(rows)
        if seen is not None
    ]


def forgotten_at(
    session: Session, household_id: str, kind: LessonKind, key: str
) -> datetime | None:
    """Since when it is learned anew."""
    row = session.get(ForgottenRow, (household_id, kind, key))
    return None if row is None else row.at


def forget(session: Session, household_id: str, kind: LessonKind, key: str, at: datetime) -> None:
    """Learn it anew from now on."""
    session.merge(ForgottenRow(household_id=household_id, kind=kind, key=key, at=at))
    session.flush()


def remember(session: Session, household_id: str, kind: LessonKind, key: str) -> None:
    """Everything counts again."""
    row = session.get(ForgottenRow, (household_id, kind, key))
    if row is not None:
        session.delete(row)
        session.flush()


def judged_cuts(session: Session, household_id: str) -> list[str]:
    """Cuts that were rated at least once."""
    return list(
        session.scalars(
            select(CookRow.cut)
            .where(CookRow.household_id == household_id, CookRow.outcome_step.is_not(None))
            .distinct()
            .order_by(CookRow.cut)
        )
    )

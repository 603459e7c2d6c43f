"""Plans on the shelf."""

from sqlalchemy import func, select
from sqlalchemy.orm import Session

from pneumachron.store.errors import NotFoundError
from pneumachron.store.records import PlanContent, StoredPlan, new_id, now
from pneumachron.store.tables import PlanRow

MAX_LISTED = 200


def list_plans(
    session: Session, household_id: str, *, search: str, limit: int, offset: int
) -> tuple[list[StoredPlan], int]:
    """Plans whose name holds the words searched for, the newest first, and how many there are."""
    chosen = select(PlanRow).where(
        PlanRow.household_id == household_id, PlanRow.deleted_at.is_(None)
    )
    for word in search.split():
        chosen = chosen.where(PlanRow.name.icontains(word, autoescape=True))
    total = session.scalar(select(func.count()).select_from(chosen.subquery())) or 0
    rows = session.scalars(
        chosen.order_by(PlanRow.updated_at.desc(), PlanRow.id)
        .limit(min(limit, MAX_LISTED))
        .offset(offset)
    )
    return [_stored(row) for row in rows], total


def get_plan(session: Session, household_id: str, plan_id: str) -> StoredPlan:
    """A plan that is not deleted."""
    row = _row(session, household_id, plan_id)
    if row.deleted_at is not None:
        raise NotFoundError("plan", plan_id)
    return _stored(row)


def add_plan(session: Session, household_id: str, content: PlanContent) -> StoredPlan:
    """Put a new plan on the shelf."""
    row = PlanRow(id=new_id(), household_id=household_id, created_at=now())
    _write(row, content)
    session.add(row)
    session.flush()
    return _stored(row)


def replace_plan(
    session: Session, household_id: str, plan_id: str, content: PlanContent
) -> StoredPlan:
    """Change a plan."""
    row = _row(session, household_id, plan_id)
    if row.deleted_at is not None:
        raise NotFoundError("plan", plan_id)
    _write(row, content)
    session.flush()
    return _stored(row)


def put_plan(session: Session, household_id: str, plan: StoredPlan) -> None:
    """A plan under its own id and with its own dates, over what is there."""
    row = session.get(PlanRow, plan.plan_id) or PlanRow(id=plan.plan_id)
    _write(row, plan.content)
    row.household_id, row.deleted_at = household_id, None
    row.created_at, row.updated_at = plan.created_at, plan.updated_at
    session.add(row)
    session.flush()


def set_plan_deleted(session: Session, household_id: str, plan_id: str, *, deleted: bool) -> None:
    """Take a plan off the shelf, or put it back."""
    _row(session, household_id, plan_id).deleted_at = now() if deleted else None
    session.flush()


def _row(session: Session, household_id: str, plan_id: str) -> PlanRow:
    row = session.get(PlanRow, plan_id)
    if row is None or row.household_id != household_id:
        raise NotFoundError("plan", plan_id)
    return row


def _write(row: PlanRow, content: PlanContent) -> None:
    row.name, row.person_id = content.name, content.person_id
    row.inputs_version, row.inputs = content.inputs_version, content.inputs
    row.results_version, row.results = content.results_version, content.results
    row.engine_version = content.engine_version
    row.updated_at = now()


def _stored(row: PlanRow) -> StoredPlan:
    content = PlanContent(
        name=row.name,
        person_id=row.person_id,
        inputs_version=row.inputs_version,
        inputs=row.inputs,
        results_version=row.results_version,
        results=row.results,
        engine_version=row.engine_version,
    )
    return StoredPlan(row.id, content, row.created_at, row.updated_at)

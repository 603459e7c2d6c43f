"""Records put back under their own ids, over what is there."""

from dataclasses import fields

from sqlalchemy.orm import Session

from pneumachron.core.pots import Pot
from pneumachron.store.records import Household, KeptPot, Person, StoredPlan, now
from pneumachron.store.tables import HouseholdRow, PersonRow, PlanRow, PotRow

_POT_NUMBERS = [field.name for field in fields(Pot) if field.name not in {"pot_id", "name"}]


def put_household(session: Session, household: Household) -> None:
    """The household of the file becomes the one of this database, with all that is here."""
    first = session.query(HouseholdRow).first()
    if first is not None and first.id != household.household_id:
        moved = HouseholdRow(
            id=household.household_id,
            name=household.name,
            altitude_m=household.altitude_m,
            start_temp_c=household.start_temp_c,
            units=household.units,
            taste_step=household.taste_step,
            created_at=first.created_at,
            updated_at=now(),
        )
        session.add(moved)
        session.flush()
        for table in (PersonRow, PotRow, PlanRow):
            session.query(table).update({"household_id": household.household_id})
        session.delete(first)
        session.flush()
        return
    row = first or HouseholdRow(id=household.household_id, created_at=now())
    row.name, row.altitude_m = household.name, household.altitude_m
    row.start_temp_c, row.units, row.updated_at = household.start_temp_c, household.units, now()
    row.taste_step = household.taste_step
    session.add(row)
    session.flush()


def put_person(session: Session, household_id: str, person: Person) -> None:
    """Somebody, as in the file."""
    row = session.get(PersonRow, person.person_id)
    if row is None:
        row = PersonRow(id=person.person_id, created_at=now())
    row.household_id, row.name, row.deleted_at = household_id, person.name, None
    session.add(row)
    session.flush()


def put_pot(session: Session, household_id: str, kept: KeptPot) -> None:
    """A pot, as in the file."""
    row = session.get(PotRow, kept.pot.pot_id)
    if row is None:
        row = PotRow(id=kept.pot.pot_id, created_at=now())
    row.household_id, row.ready_id, row.name = household_id, kept.ready_id, kept.pot.name
    row.deleted_at = None
    for name in _POT_NUMBERS:
        setattr(row, name, getattr(kept.pot, name))
    session.add(row)
    session.flush()


def put_plan(session: Session, household_id: str, plan: StoredPlan) -> None:
    """A plan, as in the file."""
    row = session.get(PlanRow, plan.plan_id)
    if row is None:
        row = PlanRow(id=plan.plan_id)
    content = plan.content
    row.household_id, row.person_id, row.name = household_id, content.person_id, content.name
    row.inputs_version, row.inputs = content.inputs_version, content.inputs
    row.results_version, row.results = content.results_version, content.results
    row.engine_version = content.engine_version
    row.created_at, row.updated_at, row.deleted_at = plan.created_at, plan.updated_at, None
    session.add(row)
    session.flush()

"""The household and its people."""

from typing import cast

from sqlalchemy import select
from sqlalchemy.orm import Session

from pneumachron.store.errors import NotFoundError, StaleError
from pneumachron.store.records import Household, Locale, Person, Units, new_id, now
from pneumachron.store.tables import HouseholdRow, PersonRow


def get_household(session: Session) -> Household | None:
    """The household of this database, if it has one yet."""
    row = session.scalars(select(HouseholdRow).limit(1)).first()
    return None if row is None else _household(row)


def save_household(session: Session, household: Household, seen: int | None = None) -> None:
    """Add it, or replace what is known of it.

    Parameters
    ----------
    seen : the version that the change was made from; None writes over any

    Raises
    ------
    StaleError : it was changed since; nothing was written.
    """
    row = session.get(HouseholdRow, household.household_id)
    if row is None:
        row = HouseholdRow(id=household.household_id, created_at=now(), version=0)
        session.add(row)
    elif seen is not None and row.version != seen:
        raise StaleError("household", household.household_id, row.updated_at)
    row.version += 1
    row.name = household.name
    row.altitude_m = household.altitude_m
    row.start_temp_c = household.start_temp_c
    row.units = household.units
    row.taste_step = household.taste_step
    row.simulated_teach = household.simulated_teach
    row.locale, row.servings = household.locale, household.servings
    row.introduced, row.demo = household.introduced, household.demo
    row.updated_at = now()
    session.flush()


def _household(row: HouseholdRow) -> Household:
    return Household(
        household_id=row.id,
        name=row.name,
        altitude_m=row.altitude_m,
        start_temp_c=row.start_temp_c,
        units=cast(Units, row.units),
        taste_step=row.taste_step,
        simulated_teach=row.simulated_teach,
        locale=cast(Locale, row.locale),
        servings=row.servings,
        introduced=row.introduced,
        demo=row.demo,
        version=row.version,
    )


def put_person(session: Session, household_id: str, person: Person) -> None:
    """Somebody under their own id, over what is there."""
    row = session.get(PersonRow, person.person_id)
    if row is None:
        row = PersonRow(id=person.person_id, created_at=now())
    row.household_id, row.name, row.deleted_at = household_id, person.name, None
    session.add(row)
    session.flush()


def list_people(session: Session, household_id: str) -> list[Person]:
    """Everybody who cooks here, by name; at most 200."""
    rows = session.scalars(
        select(PersonRow)
        .where(PersonRow.household_id == household_id, PersonRow.deleted_at.is_(None))
        .order_by(PersonRow.name)
        .limit(200)
    )
    return [Person(row.id, row.name) for row in rows]


def add_person(session: Session, household_id: str, name: str) -> Person:
    """Somebody new."""
    row = PersonRow(id=new_id(), household_id=household_id, name=name, created_at=now())
    session.add(row)
    session.flush()
    return Person(row.id, row.name)


def check_person(session: Session, household_id: str, person_id: str) -> None:
    """Raise NotFoundError unless this person cooks here."""
    row = session.get(PersonRow, person_id)
    if row is None or row.deleted_at is not None or row.household_id != household_id:
        raise NotFoundError("person", person_id)

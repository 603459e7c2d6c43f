"""The household: its settings, its people and its pots."""

from sqlalchemy.orm import Session

from pneumachron.core.errors import WishError
from pneumachron.core.load import START_RANGE_C
from pneumachron.core.pots import ready_pot, ready_pots
from pneumachron.core.steam import ALTITUDE_RANGE_M
from pneumachron.core.units import parse_measure
from pneumachron.store import households, pots
from pneumachron.store.records import Household, KeptPot, Person, Units, new_id


def current_household(session: Session) -> Household:
    """The household of this database; made at sea level with all ready pots at the first call."""
    household = households.get_household(session)
    if household is None:
        household = Household(new_id(), "Our kitchen", 0.0, 4.0, "metric")
        households.save_household(session, household)
        for ready_id, pot in ready_pots().items():
            pots.add_pot(session, household.household_id, pot, ready_id)
    return household


def change_household(
    session: Session, *, name: str, altitude: str, start: str, units: Units
) -> Household:
    """Set what is usual here; altitude and start are typed with their units.

    Raises
    ------
    WishError : a value that cannot be.
    """
    altitude_m = parse_measure(altitude, "altitude", "altitude")
    low, high = ALTITUDE_RANGE_M
    if not low <= altitude_m <= high:
        raise WishError(
            "altitude",
            "altitude",
            f"{altitude_m:.0f} m is outside what this was checked for.",
            f"Give the altitude of the kitchen, up to {high:.0f} m.",
        )
    start_c = parse_measure(start, "temperature", "start")
    if not START_RANGE_C[0] <= start_c <= START_RANGE_C[1]:
        raise WishError(
            "start",
            "start",
            f"{start_c:.0f} °C is not how raw meat comes out of a refrigerator.",
            "Usual is 4 °C (39 °F).",
        )
    household = Household(current_household(session).household_id, name, altitude_m, start_c, units)
    households.save_household(session, household)
    return household


def list_people(session: Session) -> list[Person]:
    """Everybody who cooks here."""
    return households.list_people(session, current_household(session).household_id)


def add_person(session: Session, name: str) -> Person:
    """Somebody new."""
    return households.add_person(session, current_household(session).household_id, name)


def list_pots(session: Session) -> list[KeptPot]:
    """The pots here."""
    return pots.list_pots(session, current_household(session).household_id)


def add_ready_pot(session: Session, ready_id: str) -> KeptPot:
    """Take one of the ready pots into the kitchen."""
    home = current_household(session).household_id
    return pots.add_pot(session, home, ready_pot(ready_id), ready_id)


def set_pot_deleted(session: Session, pot_id: str, *, deleted: bool) -> None:
    """Put a pot away, or take it back out."""
    home = current_household(session).household_id
    pots.set_pot_deleted(session, home, pot_id, deleted=deleted)

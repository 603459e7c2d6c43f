"""What was deleted, erased for good: until then a deletion is only a date."""

from pathlib import Path

from sqlalchemy.orm import Session

from pneumachron.services.households import current_household
from pneumachron.services.photos import place
from pneumachron.store import erasing
from pneumachron.store.db import writing


def deleted(session: Session) -> dict[str, int]:
    """How many things of each kind are deleted."""
    return erasing.counted(session, current_household(session).household_id)


def erase(session: Session, data: Path) -> dict[str, int]:
    """Erase everything that is deleted, photos and their files too; gives how many of each kind.

    Copies that the app made before keep what they have, until they are rotated away.
    """
    home = current_household(session).household_id
    with writing(session):
        counts = erasing.counted(session, home)
        photos = erasing.erase(session, home)
    for photo_id in photos:
        place(data, photo_id).unlink(missing_ok=True)
    return counts

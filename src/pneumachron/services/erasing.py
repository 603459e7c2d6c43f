"""What was deleted, erased for good: until then a deletion is only a date."""

from dataclasses import replace
from pathlib import Path

from sqlalchemy.orm import Session

from pneumachron.services.households import current_household
from pneumachron.services.photos import place
from pneumachron.store import copies, erasing, households
from pneumachron.store.db import FILE_NAME, give_back, writing
from pneumachron.store.records import Household


def deleted(session: Session) -> dict[str, int]:
    """How many things of each kind are deleted."""
    return erasing.counted(session, current_household(session).household_id)


def clear_demo(session: Session, data: Path) -> Household:
    """An own, empty kitchen in place of the demo; its cookers stay.

    A copy of what is here is made first, so that it can be undone. Nothing happens to a kitchen
    that is not the demo.
    """
    here = current_household(session)
    if not here.demo:
        return here
    give_back(session)
    copies.make(data / FILE_NAME, "before-restore")
    own = replace(
        here,
        name="My kitchen",
        altitude_m=0.0,
        taste_step=0.0,
        simulated_teach=False,
        introduced=False,
        demo=False,
    )
    with writing(session):
        erasing.delete_all(session, here.household_id)
        households.save_household(session, own)
    return current_household(session)


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

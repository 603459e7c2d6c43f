"""The copies that the app makes by itself: listed, and gone back to."""

from collections.abc import Sequence

from pneumachron.services.live_kitchen import LiveKitchen
from pneumachron.store import copies
from pneumachron.store.copies import Copy
from pneumachron.store.db import Database
from pneumachron.store.errors import NotFoundError
from pneumachron.store.upgrade import upgrade


def list_copies(database: Database) -> Sequence[Copy]:
    """The copies in the data folder, the newest first."""
    return copies.listed(database.path.parent)


def use_copy(database: Database, here: LiveKitchen, name: str) -> Copy:
    """Go back to a copy; what is here now becomes a copy of its own, so that this can be undone.

    Raises
    ------
    NotFoundError : there is no such copy.
    StoreError : it cannot be written; nothing was changed.
    """
    try:
        copies.file_of(database.path.parent, name)
    except LookupError:
        raise NotFoundError("copy", name) from None
    with database.turn_to_write():
        kept = copies.make(database.path, "before-restore")
        copies.bring_back(database.path, name)
    upgrade(database, "head")
    here.memory.forget()
    return kept

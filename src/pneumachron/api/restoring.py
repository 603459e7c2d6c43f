"""A backup file on its way in: checked from end to end, then handed to the use case.

Nothing is taken in that could not be shown and given out again: every entry, plan, day and recipe
of the file is rendered as its page would ask for it, before anything is written.
"""

from dataclasses import replace
from datetime import datetime
from pathlib import Path

from pydantic import ValidationError
from sqlalchemy.orm import Session

from pneumachron.api.schemas.backup import BackupIn, EnvelopeIn
from pneumachron.api.schemas.cooks import CookOut
from pneumachron.api.schemas.log import EventOut
from pneumachron.api.schemas.saved_plans import StoredPlanOut
from pneumachron.core.errors import CoreError, RequestError
from pneumachron.services import backup, restore
from pneumachron.services.cooks import shown_from_file
from pneumachron.services.errors import VersionError
from pneumachron.store import copies
from pneumachron.store.db import FILE_NAME, give_back

_BAD = (
    ValidationError, CoreError, KeyError, TypeError, ValueError, ArithmeticError, AttributeError,
    LookupError, RecursionError,
)  # fmt: skip
"""What a document of the wrong shape can bring about."""


def take_in(
    session: Session, data: Path, content: object, *, dry_run: bool
) -> tuple[datetime, tuple[restore.Changes, ...]]:
    """When it was made, and what it changes here; a dry run only counts.

    A copy of what is here is made first, so that it can be undone.

    Raises
    ------
    RequestError : not a whole backup; nothing was changed.
    VersionError : written by a newer version of the app.
    """
    try:
        version = EnvelopeIn.model_validate(content)
        if version.envelope_version > backup.ENVELOPE_VERSION:
            raise VersionError("backup", version.envelope_version, backup.ENVELOPE_VERSION)
        file = BackupIn.model_validate(content)
        envelope = file.to_envelope()
        for item in envelope.plans:
            StoredPlanOut.of(item).model_dump_json()
        envelope = replace(envelope, cooks=tuple(_rendered(item) for item in envelope.cooks))
    except _BAD as error:
        raise _not_a_backup() from error

    def copy() -> None:
        give_back(session)
        copies.make(data / FILE_NAME, "before-restore")

    try:
        changes = restore.restore(session, data, envelope, copy, dry_run=dry_run)
    except CoreError as error:
        raise _not_a_backup() from error
    return file.made_at, changes


def _rendered(item: restore.CookHistory) -> restore.CookHistory:
    """A cook shown as its page would ask for it; gives it with the numbers it goes by."""
    stored, document = shown_from_file(item.stored, item.events, item.samples)
    CookOut.model_validate(document).model_dump_json()
    for event in item.events:
        EventOut.of(event).model_dump_json()
    return replace(item, stored=stored)


def _not_a_backup() -> RequestError:
    return RequestError("not_a_backup", "file")

"""A backup file on its way in: checked from end to end, then handed to the use case."""

from datetime import datetime
from pathlib import Path

from pydantic import ValidationError
from sqlalchemy.orm import Session

from pneumachron.api.schemas.backup import BackupIn, EnvelopeIn
from pneumachron.core.errors import WishError
from pneumachron.services import backup, restore
from pneumachron.services.errors import VersionError


def take_in(
    session: Session, data: Path, content: object, *, dry_run: bool
) -> tuple[datetime, tuple[restore.Changes, ...]]:
    """When it was made, and what it changes here; a dry run only counts.

    Raises
    ------
    WishError : not a whole backup; nothing was changed.
    VersionError : written by a newer version of the app.
    """
    try:
        version = EnvelopeIn.model_validate(content)
        if version.envelope_version > backup.ENVELOPE_VERSION:
            raise VersionError("backup", version.envelope_version, backup.ENVELOPE_VERSION)
        file = BackupIn.model_validate(content)
        changes = restore.restore(session, data, file.to_envelope(), dry_run=dry_run)
    except (ValidationError, WishError, KeyError, TypeError) as error:
        raise WishError(
            "not_a_backup",
            "file",
            "This file is not a whole backup of this app; nothing was changed.",
            "Choose the file that “a copy of everything” wrote.",
        ) from error
    return file.made_at, changes

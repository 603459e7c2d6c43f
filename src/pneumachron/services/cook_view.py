"""A cook as it stands, for every view."""

from contextlib import suppress
from typing import Any

from sqlalchemy.orm import Session

from pneumachron.core.errors import RequestError
from pneumachron.devices.protocol import AwayError, PotReading
from pneumachron.devices.simulated import Faults
from pneumachron.services.cook_documents import (
    cook_document,
)
from pneumachron.services.cook_numbers import todays_plan
from pneumachron.services.cook_state import (
    Moment,
    moment_of,
)
from pneumachron.services.live_kitchen import LiveKitchen
from pneumachron.services.wording import careful
from pneumachron.store import photos


def follow(session: Session, here: LiveKitchen, cook_id: str) -> dict[str, Any]:
    """Where a cook stands now."""
    return state_document(session, moment_of(session, here, cook_id))


def state_document(session: Session, found: Moment) -> dict[str, Any]:
    """A cook as it stands, for every view."""
    reading: PotReading | None = None
    faults: Faults | None = None
    if found.device is not None:
        faults = found.device.faults
        with suppress(AwayError):
            reading = found.device.reading()
    cautions: list[str] = []
    with suppress(RequestError):
        if found.running:
            cautions = careful(todays_plan(found.content))
    return cook_document(
        found.stored,
        found.plan,
        found.sheet,
        found.clock,
        reading=reading,
        faults=faults,
        samples=found.samples,
        photos=photos.photos_of(session, found.stored.cook_id),
        cautions=cautions,
    )

"""The phone in the kitchen."""

from datetime import datetime
from typing import Annotated

import segno
from pydantic import Field

from pneumachron.api.lan import PAIR_PATH, Lan
from pneumachron.api.schemas.base import StrictModel
from pneumachron.store.devices import MAX_DEVICES, Device

MAX_MODULES = 177
"""Of the largest QR code. Published, ISO/IEC 18004 (from memory)."""


class LanOut(StrictModel):
    """Where the network finds the app; `pairing` and its QR code are told to this machine alone."""

    address: str | None
    pairing: str | None
    fingerprint: str | None
    modules: Annotated[
        list[Annotated[str, Field(max_length=MAX_MODULES)]],
        Field(max_length=MAX_MODULES, description="rows of the QR code, # for dark"),
    ]

    @classmethod
    def of(cls, lan: Lan | None, port: int | None, *, told: bool) -> "LanOut":
        """What may be told."""
        if lan is None:
            return cls(address=None, pairing=None, fingerprint=None, modules=[])
        address = f"https://{lan.address}" + (f":{port}" if port else "")
        if not told:
            return cls(address=address, pairing=None, fingerprint=lan.fingerprint, modules=[])
        pairing = f"{address}{PAIR_PATH}?code={lan.pairing.code()}"
        matrix = segno.make(pairing, error="m", micro=False).matrix
        rows = ["".join("#" if module else "." for module in row) for row in matrix]
        return cls(address=address, pairing=pairing, fingerprint=lan.fingerprint, modules=rows)


class DeviceOut(StrictModel):
    """A browser that is paired."""

    id: str
    name: str
    created_at: datetime
    last_used_at: datetime


class DevicesOut(StrictModel):
    """All browsers that are paired."""

    devices: Annotated[list[DeviceOut], Field(max_length=MAX_DEVICES)]

    @classmethod
    def of(cls, found: list[Device]) -> "DevicesOut":
        """As it is shown: no digest."""
        return cls(
            devices=[
                DeviceOut(
                    id=item.device_id,
                    name=item.name,
                    created_at=item.created_at,
                    last_used_at=item.last_used_at,
                )
                for item in found
            ]
        )

"""The phone in the kitchen."""

from typing import Annotated

import segno
from pydantic import Field

from pneumachron.api.lan import PAIR_PATH, Lan
from pneumachron.api.schemas.base import Closed

MAX_MODULES = 177
"""Of the largest QR code. Published, ISO/IEC 18004 (from memory)."""


class LanOut(Closed):
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
        pairing = f"{address}{PAIR_PATH}?token={lan.token}"
        matrix = segno.make(pairing, error="m", micro=False).matrix
        rows = ["".join("#" if module else "." for module in row) for row in matrix]
        return cls(address=address, pairing=pairing, fingerprint=lan.fingerprint, modules=rows)

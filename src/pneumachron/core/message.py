"""A sentence as the core knows it: a code, and what it speaks of."""

from collections.abc import Mapping
from dataclasses import dataclass, field

from pneumachron.core.errors import Param


@dataclass(frozen=True, slots=True)
class Message:
    """The message of a catalog in `text`, with parameters in SI and codes of the vocabulary."""

    code: str
    params: Mapping[str, Param] = field(default_factory=dict)

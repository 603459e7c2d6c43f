"""What a sentence of an answer speaks of."""

from typing import Annotated

from pydantic import Field, StringConstraints

Params = Annotated[
    dict[Annotated[str, StringConstraints(max_length=40)], str | float],
    Field(max_length=20, description="what the text speaks of, in SI with the unit in the name"),
]

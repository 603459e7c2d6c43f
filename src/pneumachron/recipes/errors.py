"""What can go wrong with a recipe.

RecipeError                 a code with parameters, as in the core
└── UnreadableError         nothing in the text that could be a recipe, or too much of it
"""

from pneumachron.core.errors import CodedError, Param


class RecipeError(CodedError):
    """A recipe that cannot be used."""


class UnreadableError(RecipeError):
    """A text that cannot be read as a recipe."""

    def __init__(self, code: str, field: str = "recipe", **params: Param) -> None:
        super().__init__(code, field, **params)

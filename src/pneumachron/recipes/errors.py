"""What can go wrong with a recipe.

RecipeError                 code, field, message, hint
└── UnreadableError         nothing in the text that could be a recipe, or too much of it
"""


class RecipeError(Exception):
    """A recipe that cannot be used; says what to do."""

    def __init__(self, code: str, field: str, message: str, hint: str) -> None:
        super().__init__(message)
        self.code, self.field, self.message, self.hint = code, field, message, hint

    def __reduce__(self) -> tuple[type["RecipeError"], tuple[str, ...]]:
        """So that it can come from the process that reads."""
        return RecipeError, (self.code, self.field, self.message, self.hint)


class UnreadableError(RecipeError):
    """A text that cannot be read as a recipe."""

    def __init__(self, code: str, message: str, hint: str) -> None:
        super().__init__(code, "recipe", message, hint)

    def __reduce__(self) -> tuple[type[RecipeError], tuple[str, ...]]:
        """So that it can come from the process that reads."""
        return UnreadableError, (self.code, self.message, self.hint)

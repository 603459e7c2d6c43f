"""Recipes: as they come, as they are understood, converted, kept."""

from datetime import datetime
from typing import Annotated, Any

from pydantic import Field, StringConstraints

from pneumachron.api.schemas.base import Id, MeasureText, Shown, StrictModel
from pneumachron.api.schemas.cook_request import LiquidStyleName, PlanIn
from pneumachron.api.schemas.recipe_card import ExtraIn, PulledFirst, SearMinutes, SpanMinutes
from pneumachron.core.catalog.cuts import LiquidStyle, ReleaseMethod
from pneumachron.core.catalog.racks import Rack
from pneumachron.core.constants import SourceKind
from pneumachron.core.physics.tenderness import Texture
from pneumachron.core.planning.finish import FinishKind
from pneumachron.core.planning.other_methods import BackMethod
from pneumachron.core.planning.season import Marinade
from pneumachron.core.procedure.choices import MAX_EXTRAS
from pneumachron.recipes.converting.kitchen import PlacedWhen
from pneumachron.recipes.converting.marks import When
from pneumachron.recipes.converting.rule_table import Does
from pneumachron.recipes.model import (
    MAX_BYTES,
    MAX_LINES,
    MAX_PARTS,
    MAX_TEXT,
    MAX_TITLE,
    Format,
    PartRole,
    Recipe,
)
from pneumachron.recipes.reading.doubts import MOST_TOLD
from pneumachron.recipes.understanding.method import Method
from pneumachron.recipes.understanding.understand import Answers, Asked
from pneumachron.services.recipes import (
    ChoiceInputs,
    ConvertInputs,
    ExportFormat,
    PlacedLine,
    RecipeInputs,
    stored_recipe,
)
from pneumachron.store.records import StoredRecipe
from pneumachron.store.repository import MAX_LISTED

Text = Annotated[str, StringConstraints(max_length=MAX_TEXT)]
Title = Annotated[str, StringConstraints(strip_whitespace=True, min_length=1, max_length=MAX_TITLE)]
Tag = Annotated[
    str, StringConstraints(strip_whitespace=True, to_lower=True, min_length=1, max_length=30)
]
Seconds = Annotated[float | None, Field(ge=0, le=40 * 86_400)]
MAX_MARKS = 2 * MAX_LINES + 10
MAX_ORIGINAL = MAX_BYTES


class PartText(StrictModel):
    """Some of the ingredients under a heading of their own."""

    name: Title
    role: Annotated[PartRole, Field(description="by the heading; what is sent is not read")] = (
        "main"
    )
    lines: Annotated[list[Annotated[int, Field(ge=0, lt=MAX_LINES)]], Field(max_length=MAX_LINES)]


class SectionText(StrictModel):
    """A heading over some steps, and the row of its first."""

    name: Annotated[str, Field(min_length=1, max_length=MAX_TITLE)]
    first: Annotated[int, Field(ge=0, lt=MAX_LINES)]


class RecipeText(StrictModel):
    """A recipe as its writer left it."""

    title: Title
    ingredients: Annotated[list[Text], Field(max_length=MAX_LINES)]
    steps: Annotated[list[Text], Field(max_length=MAX_LINES)]
    yields: Annotated[str, Field(max_length=MAX_TITLE)] = ""
    description: Text = ""
    prep_s: Seconds = None
    cook_s: Seconds = None
    total_s: Seconds = None
    notes: Annotated[list[Text], Field(max_length=MAX_LINES)] = Field(default_factory=list)
    plan: Annotated[dict[str, str | int | float] | None, Field(max_length=60)] = None
    author: Annotated[str, Field(max_length=MAX_TITLE)] = ""
    source: Annotated[Text, Field(description="where it stands; never fetched")] = ""
    image: Annotated[Text, Field(description="address of a picture; never fetched")] = ""
    parts: Annotated[list[PartText], Field(max_length=MAX_PARTS)] = Field(default_factory=list)
    sections: Annotated[list[SectionText], Field(max_length=MAX_PARTS)] = Field(
        default_factory=list
    )
    left_out: Annotated[
        list[Text], Field(max_length=MAX_LINES, description="lines that are no part of the recipe")
    ] = Field(default_factory=list)

    def to_recipe(self) -> Recipe:
        """As the readers make it: no gap in a line that nobody would write."""
        values = self.model_dump()
        for name in ("ingredients", "steps", "notes", "left_out"):
            values[name] = [" ".join(text.split()) for text in values[name]]
        return stored_recipe(values)


class TwinOut(StrictModel):
    """A recipe in the library that reads the same."""

    id: str
    title: str


class DoubtsOut(StrictModel):
    """Lines that look like something else than what they were taken for."""

    steps_like_ingredients: Annotated[list[Text], Field(max_length=MAX_LINES)]
    ingredients_like_steps: Annotated[list[Text], Field(max_length=MAX_LINES)]
    foods_on_no_line: Annotated[list[Text], Field(max_length=MOST_TOLD)]
    """Measured in the text, and no ingredient."""


class ReadOut(StrictModel):
    """A recipe that was read, and what there is to say about it."""

    recipe: RecipeText
    format: Format
    doubts: DoubtsOut
    remarks: Annotated[list[str], Field(max_length=5)]
    twins: Annotated[list[TwinOut], Field(max_length=5)]


class AnswersIn(StrictModel):
    """What the cook answered or put right; what is left out takes the guess."""

    cut: Id | None = None
    mass: MeasureText | None = None
    count: Annotated[int | None, Field(ge=1, le=60)] = None
    thickness: MeasureText | None = None
    bone: bool | None = None
    method: Method | None = None
    method_minutes: Annotated[int | None, Field(ge=1, le=2000)] = None
    texture: Texture | None = None


class PlacedIn(StrictModel):
    """A line of the ingredients, counted from 0, and where the cook put it."""

    line: Annotated[int, Field(ge=0, lt=MAX_LINES)]
    when: PlacedWhen


class ChoicesIn(StrictModel):
    """What the cook chose; `overruled` names marks that are crossed out."""

    plates: Annotated[int | None, Field(ge=1, le=200)] = None
    liquid_style: LiquidStyleName = None
    release: ReleaseMethod | None = None
    finish: FinishKind | None = None
    overruled: Annotated[
        list[Annotated[str, Field(max_length=60)]], Field(max_length=MAX_MARKS)
    ] = Field(default_factory=list)
    placed: Annotated[list[PlacedIn], Field(max_length=MAX_LINES)] = Field(default_factory=list)


class ConvertIn(StrictModel):
    """A recipe to convert for a pot."""

    recipe: RecipeText
    pot: Id
    answers: AnswersIn = AnswersIn()
    choices: ChoicesIn = ChoicesIn()

    def to_inputs(self) -> ConvertInputs:
        """As the use case takes it."""
        return ConvertInputs(
            self.recipe.to_recipe(),
            Answers(**self.answers.model_dump()),
            choice_inputs(self.choices),
            self.pot,
        )


def choice_inputs(choices: ChoicesIn) -> ChoiceInputs:
    """Choices as the use case takes them."""
    placed = tuple(PlacedLine(each.line, each.when) for each in choices.placed)
    overruled = tuple(choices.overruled)
    return ChoiceInputs(**{**choices.model_dump(), "overruled": overruled, "placed": placed})


class ExportIn(StrictModel):
    """A conversion and the format it is wanted in."""

    request: ConvertIn
    format: ExportFormat


class ExportOut(StrictModel):
    """The text of the file."""

    format: ExportFormat
    text: str


class OptionOut(StrictModel):
    """One of several answers."""

    value: str
    name: str


class QuestionOut(StrictModel):
    """What was not read, and the guess that stands until it is answered."""

    asked: Asked
    text: str
    guess: str
    options: Annotated[list[OptionOut], Field(max_length=20)]


class UnderstoodOut(StrictModel):
    """What was read."""

    cut: str
    mass_kg: float
    mass_shown: Shown
    count: int
    thickness_shown: Shown | None
    bone: bool | None
    method: Method | None
    method_low_min: int | None
    method_high_min: int | None
    method_temp_c: int | None
    texture: Texture
    plates: float | None
    questions: Annotated[list[QuestionOut], Field(max_length=8)]
    unread: Annotated[list[int], Field(max_length=MAX_LINES)]


class LineOut(StrictModel):
    """An ingredient of the converted recipe."""

    origin: int | None
    when: When
    text: str
    movable: Annotated[bool, Field(description="the cook may put it elsewhere")]


class StepOut(StrictModel):
    """A step of the converted recipe."""

    kind: str
    text: str
    low_min: float | None
    high_min: float | None


class PencilMark(StrictModel):
    """A pencil mark."""

    mark_id: str
    rule: str
    does: Does
    where: str
    index: int | None
    before: str
    after: str
    step: Annotated[int | None, Field(description="in which of our steps it is done, from 1")]
    reason: str
    source_kind: SourceKind
    overruled: bool
    caution: str


class DoubtOut(StrictModel):
    """An ingredient whose place is in doubt: where it stands, and where it may belong instead."""

    index: int
    when: When
    instead: When
    text: str


class ConvertedSetting(StrictModel):
    """What is set, and how it goes in."""

    hold_min: int
    hold_low_min: int
    hold_high_min: int
    lid_on_to_open_s: float
    own_minutes: bool
    """The minutes are those of a recipe that is made for a pressure cooker."""
    release: ReleaseMethod
    release_shown: str
    rack: Rack
    liquid_style: LiquidStyle
    liquid_shown: Shown
    runs: int
    cuts: int
    finish: FinishKind


class CheckOut(StrictModel):
    """What the old method would have come to here."""

    hold_min: float
    agrees: bool
    words: str


class ShopOut(StrictModel):
    """A section of the shop."""

    section: str
    items: Annotated[list[str], Field(max_length=MAX_LINES)]


class ConvertedOut(StrictModel):
    """A recipe for the pot, and how it came about."""

    understood: UnderstoodOut
    lines: Annotated[list[LineOut], Field(max_length=2 * MAX_LINES)]
    steps: Annotated[list[StepOut], Field(max_length=MAX_LINES + 20)]
    marks: Annotated[list[PencilMark], Field(max_length=MAX_MARKS)]
    doubts: Annotated[list[DoubtOut], Field(max_length=MAX_LINES)]
    setting: ConvertedSetting
    check: CheckOut | None
    cautions: Annotated[list[str], Field(max_length=30)]
    allergens: Annotated[list[str], Field(max_length=20)]
    shopping: Annotated[list[ShopOut], Field(max_length=20)]
    request: PlanIn
    marinade: Marinade | None
    marinate_min: SpanMinutes
    rubbed: Annotated[bool, Field(description="the rub stays on, overnight or for `rub_min`")]
    rub_min: SpanMinutes
    crackling: Annotated[bool, Field(description="its rind is roasted crisp on its own")]
    pulled_first: PulledFirst
    sear_min: SearMinutes
    extras: Annotated[
        list[ExtraIn], Field(max_length=MAX_EXTRAS, description="other work, for the day")
    ]


class RecipeIn(StrictModel):
    """A recipe to keep. The original text is kept as it came and never changed later."""

    title: Title
    tags: Annotated[list[Tag], Field(max_length=12)] = Field(default_factory=list)
    original: Annotated[str, Field(max_length=MAX_ORIGINAL)]
    format: Format
    recipe: RecipeText
    answers: AnswersIn = AnswersIn()
    choices: ChoicesIn = ChoicesIn()

    def to_inputs(self) -> RecipeInputs:
        """As the use case takes it."""
        return RecipeInputs(
            self.title,
            tuple(self.tags),
            self.original,
            self.format,
            self.recipe.to_recipe(),
            Answers(**self.answers.model_dump()),
            choice_inputs(self.choices),
        )


class RecipeLine(StrictModel):
    """One line of the library."""

    id: str
    title: str
    tags: list[str]
    updated_at: datetime
    ingredients: int

    @classmethod
    def of(cls, stored: StoredRecipe) -> "RecipeLine":
        """The line of a recipe."""
        content = stored.content
        return cls(
            id=stored.recipe_id,
            title=content.title,
            tags=list(content.tags),
            updated_at=stored.updated_at,
            ingredients=len(content.recipe["ingredients"]),
        )


class LibraryOut(StrictModel):
    """Recipes, the newest first, and how many there are in all."""

    recipes: Annotated[list[RecipeLine], Field(max_length=MAX_LISTED)]
    total: int


class StoredRecipeOut(StrictModel):
    """A recipe of the library."""

    id: str
    title: str
    tags: list[str]
    original: str
    format: Format
    created_at: datetime
    updated_at: datetime
    version: int
    recipe: RecipeText
    answers: AnswersIn
    choices: ChoicesIn

    @classmethod
    def of(cls, stored: StoredRecipe) -> "StoredRecipeOut":
        """A recipe, whole."""
        content = stored.content
        values: dict[str, Any] = {
            "id": stored.recipe_id,
            "title": content.title,
            "tags": list(content.tags),
            "original": content.original,
            "format": content.format,
            "created_at": stored.created_at,
            "updated_at": stored.updated_at,
            "version": stored.version,
            "recipe": content.recipe,
            "answers": content.answers,
            "choices": content.choices,
        }
        return cls.model_validate(values)


class OtherWayIn(StrictModel):
    """A pressure plan, and the method it should go by."""

    request: PlanIn
    method: BackMethod


class OtherWayOut(StrictModel):
    """The same meal by another method."""

    method: BackMethod
    duration_s: float
    core_end_c: float
    liquid_shown: Shown
    advice: Annotated[list[str], Field(max_length=6)]

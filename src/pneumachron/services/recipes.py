"""Recipes: read, convert, give back, keep in the library."""

import json
from dataclasses import asdict, dataclass, replace
from hashlib import sha256
from math import exp
from typing import Any, Literal, TypeAlias

from sqlalchemy.orm import Session

from pneumachron.core.catalog.cuts import LiquidStyle, ReleaseMethod
from pneumachron.core.catalog.pots import Pot
from pneumachron.core.message import Message
from pneumachron.core.planning.finish import FinishKind
from pneumachron.recipes.converting.convert import Converted, convert
from pneumachron.recipes.converting.kitchen import Choices, Kitchen, PlacedWhen
from pneumachron.recipes.model import Part, Recipe, Section
from pneumachron.recipes.reading.doubts import doubts_of
from pneumachron.recipes.understanding.understand import Answers, understand
from pneumachron.recipes.writing.formats import to_jsonld, to_markdown, to_text
from pneumachron.recipes.writing.recipe import to_recipe
from pneumachron.services.conversion_documents import converted_document, recipe_document
from pneumachron.services.households import current_household
from pneumachron.services.learning import heat_ln, learned_for, taste_ln, taste_sd
from pneumachron.services.planning import find_pot
from pneumachron.services.reading import Reader, read_in_place
from pneumachron.services.wording import say_message
from pneumachron.store import recipes
from pneumachron.store.db import give_back
from pneumachron.store.records import RecipeContent, StoredRecipe

ExportFormat: TypeAlias = Literal["jsonld", "markdown", "text"]
WRITERS = {"jsonld": to_jsonld, "markdown": to_markdown, "text": to_text}


@dataclass(frozen=True, slots=True)
class PlacedLine:
    """A line of the ingredients, and where the cook put it."""

    line: int
    when: PlacedWhen


@dataclass(frozen=True, slots=True)
class ChoiceInputs:
    """What the cook chose besides the answers, as it is stored."""

    plates: int | None = None
    liquid_style: LiquidStyle | None = None
    release: ReleaseMethod | None = None
    finish: FinishKind | None = None
    overruled: tuple[str, ...] = ()
    placed: tuple[PlacedLine, ...] = ()

    def to_choices(self) -> Choices:
        """As the rules take it."""
        return Choices(
            self.plates,
            self.liquid_style,
            self.release,
            self.finish,
            frozenset(self.overruled),
            tuple((each.line, each.when) for each in self.placed),
        )


@dataclass(frozen=True, slots=True)
class ConvertInputs:
    """A recipe, what was answered and chosen, and the pot."""

    recipe: Recipe
    answers: Answers
    choices: ChoiceInputs
    pot: str


@dataclass(frozen=True, slots=True)
class RecipeInputs:
    """A recipe for the library, with the text it came from."""

    title: str
    tags: tuple[str, ...]
    original: str
    format: str
    recipe: Recipe
    answers: Answers
    choices: ChoiceInputs


def read_here(
    session: Session, content: bytes, name: str, read_recipe: Reader = read_in_place
) -> dict[str, Any]:
    """A recipe from a file or a paste, and whether the library has it already.

    Parameters
    ----------
    read_recipe : who reads it; the server lets a process of its own do so

    Raises
    ------
    RecipeError : it cannot be read; says what to do.
    """
    read = read_recipe(content, name)
    home = current_household(session).household_id
    return {
        "recipe": recipe_document(read.recipe),
        "format": read.format,
        "doubts": {key: list(texts) for key, texts in asdict(doubts_of(read.recipe)).items()},
        "remarks": [say_message(remark) for remark in read.remarks],
        "twins": [
            {"id": twin.recipe_id, "title": twin.content.title}
            for twin in recipes.twins(session, home, fingerprint_of(read.recipe))
        ],
    }


def fingerprint_of(recipe: Recipe) -> str:
    """The same for recipes whose ingredients and steps read the same, whatever their spaces."""
    lines = [" ".join(text.lower().split()) for text in (*recipe.ingredients, *recipe.steps)]
    return sha256(json.dumps(lines).encode()).hexdigest()


def convert_here(session: Session, inputs: ConvertInputs) -> dict[str, Any]:
    """Convert a recipe for a pot of the household.

    Raises
    ------
    RecipeError : no cut, an answer that cannot be read, or it does not fit.
    """
    return converted_document(_converted(session, inputs), inputs.pot)


def _converted(session: Session, inputs: ConvertInputs) -> Converted:
    household = current_household(session)
    pot = find_pot(session, household.household_id, inputs.pot)
    understood = understand(inputs.recipe, inputs.answers)
    learned = learned_for(session, [understood.cut] if understood.cut else [], inputs.pot)
    log_heat = exp(heat_ln(learned))
    kitchen = Kitchen(
        replace(pot, heat_ratio=pot.heat_ratio * log_heat),
        household.altitude_m,
        household.start_temp_c,
        metric=household.units == "metric",
        taste_ln=taste_ln(learned),
        taste_sd=taste_sd(learned),
        log_heat_ratio=log_heat,
    )
    give_back(session)
    return convert(understood, kitchen, inputs.choices.to_choices())


def export_here(session: Session, inputs: ConvertInputs, kind: ExportFormat) -> str:
    """The converted recipe in an open format."""
    return WRITERS[kind](to_recipe(_converted(session, inputs), say_message))


@dataclass(frozen=True, slots=True)
class Alone:
    """A recipe converted without a household: the text, and what had to be assumed."""

    text: str
    assumed: tuple[str, ...]
    remarks: tuple[str, ...]
    """What there is to say about how it was read."""


def convert_alone(
    content: bytes, name: str, pot: Pot, altitude_m: float, kind: ExportFormat, *, metric: bool
) -> Alone:
    """Read and convert a file for a pot; what the recipe does not say is guessed and told.

    Raises
    ------
    RecipeError, UnreadableError : it cannot be read or converted; says what to do.
    """
    read = read_in_place(content, name)
    understood = understand(read.recipe)
    kitchen = Kitchen(pot, altitude_m, FRIDGE_C, metric=metric)
    done = convert(understood, kitchen)
    assumed = tuple(
        f"{say_message(item.said)} {say_message(item.guess)}" for item in understood.questions
    )
    unsure = tuple(say_message(doubt.question) for doubt in done.doubts)
    lost = doubts_of(read.recipe).foods_on_no_line
    told = (Message("doubt-foods_on_no_line", {"foods": "\n".join(lost)}),) if lost else ()
    remarks = tuple(map(say_message, (*read.remarks, *told)))
    return Alone(WRITERS[kind](to_recipe(done, say_message)), assumed + unsure, remarks)


FRIDGE_C = 4.0
"""Meat from the refrigerator. Common practice."""


def list_here(
    session: Session, *, search: str, tag: str, limit: int, offset: int
) -> tuple[list[StoredRecipe], int]:
    """Recipes of the library, the newest first, and how many there are."""
    home = current_household(session).household_id
    where = (recipes.bears(tag),) if tag else ()
    return recipes.RECIPES.page(
        session, home, search=search, where=where, limit=limit, offset=offset
    )


def get_recipe(session: Session, recipe_id: str) -> StoredRecipe:
    """A recipe of the library."""
    return recipes.RECIPES.get(session, current_household(session).household_id, recipe_id)


def keep_recipe(
    session: Session,
    inputs: RecipeInputs,
    recipe_id: str | None = None,
    seen: int | None = None,
) -> StoredRecipe:
    """Keep a recipe: a new one, or answers and choices of one that has the version `seen`."""
    home = current_household(session).household_id
    content = RecipeContent(
        title=inputs.title,
        tags=tuple(dict.fromkeys(inputs.tags)),
        original=inputs.original,
        format=inputs.format,
        fingerprint=fingerprint_of(inputs.recipe),
        recipe=recipe_document(inputs.recipe),
        answers=asdict(inputs.answers),
        choices={
            **asdict(inputs.choices),
            "overruled": list(inputs.choices.overruled),
            "placed": [asdict(each) for each in inputs.choices.placed],
        },
    )
    if recipe_id is None:
        return recipes.RECIPES.add(session, home, content)
    return recipes.replace_recipe(session, home, recipe_id, content, seen)


def set_recipe_deleted(session: Session, recipe_id: str, *, deleted: bool) -> None:
    """Take a recipe out of the library, or put it back."""
    home = current_household(session).household_id
    recipes.RECIPES.set_deleted(session, home, recipe_id, deleted=deleted)


def stored_recipe(document: dict[str, Any]) -> Recipe:
    """A recipe as it is stored."""
    names = ("ingredients", "steps", "notes", "left_out")
    # a recipe of an older version knows neither parts nor what was left out
    texts = {key: tuple(document.get(key, ())) for key in names}
    parts = tuple(Part.of(part["name"], tuple(part["lines"])) for part in document.get("parts", ()))
    sections = tuple(Section(item["name"], item["first"]) for item in document.get("sections", ()))
    return Recipe(**{**document, **texts, "parts": parts, "sections": sections})

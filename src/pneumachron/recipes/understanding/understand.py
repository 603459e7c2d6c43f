"""All that can be read of a recipe, and one list of questions for the rest."""

from dataclasses import dataclass, field
from typing import Literal, TypeAlias

from pneumachron.core.cuts import Cut, cut_by_id, cuts
from pneumachron.core.errors import WishError
from pneumachron.core.load import usual_thickness_m
from pneumachron.core.tenderness import TEXTURES, Texture
from pneumachron.core.units import parse_measure, show_length, show_mass
from pneumachron.recipes.errors import RecipeError
from pneumachron.recipes.model import Recipe
from pneumachron.recipes.understanding.ingredients import Ingredient, read_ingredients
from pneumachron.recipes.understanding.meat import Meat, read_meat, usual_mass_kg
from pneumachron.recipes.understanding.method import METHODS, Cooking, Method, read_method
from pneumachron.recipes.understanding.plates import read_plates
from pneumachron.recipes.understanding.texture import read_texture

Asked: TypeAlias = Literal[
    "cut", "mass", "count", "thickness", "bone", "method", "method_minutes", "texture"
]
MAX_COUNT = 60


@dataclass(frozen=True, slots=True)
class Answers:
    """What the cook answered or put right, as typed; None takes the guess."""

    cut: str | None = None
    mass: str | None = None
    count: int | None = None
    thickness: str | None = None
    bone: bool | None = None
    method: Method | None = None
    method_minutes: int | None = None
    texture: Texture | None = None


NO_ANSWERS = Answers()


@dataclass(frozen=True, slots=True)
class Question:
    """Something that was not read, with the guess that stands until it is answered."""

    asked: Asked
    text: str
    guess: str
    options: tuple[tuple[str, str], ...] = ()
    """Value and words of each choice; empty when it is typed."""


@dataclass(frozen=True, slots=True)
class Understood:
    """A recipe as the rules take it."""

    recipe: Recipe
    ingredients: tuple[Ingredient, ...]
    meat_index: int | None
    cut: str
    mass_kg: float
    count: int
    thickness_m: float | None
    """None: not measured; the plan guesses and widens its range."""
    bone: bool | None
    cooking: Cooking
    texture: Texture
    plates: float | None
    questions: tuple[Question, ...]
    unread: tuple[int, ...] = field(default=())
    """Lines of ingredients whose food is not known here."""


def understand(recipe: Recipe, answers: Answers = NO_ANSWERS) -> Understood:
    """Read all, take the answers, guess the rest and ask about it.

    Raises
    ------
    RecipeError : there is no meat in it that this is for, or an answer cannot be read.
    """
    ingredients = read_ingredients(recipe.ingredients)
    meat = read_meat(ingredients, recipe.title, recipe.steps, answers.cut)
    cut = answers.cut or meat.cut
    if answers.cut is None and meat.others:
        raise _in_doubt(meat)
    if cut is None:
        raise RecipeError("no_cut", "cut")
    known = _known_cut(cut)
    questions: list[Question] = []
    if answers.cut is None and not meat.cut_sure:
        questions.append(_ask_cut(known.family, known.name))
    count = answers.count or meat.count or _pieces(known.cut_id)
    mass = _mass(answers, meat, known.cut_id, count, questions)
    count = answers.count or _fitting(meat, known.cut_id, mass, count)
    cooking = _cooking(read_method(recipe), answers, questions)
    texture = answers.texture or read_texture((recipe.title, recipe.description, *recipe.steps))
    if texture is None:
        texture = known.default_texture
        questions.append(_ask_texture(texture, known.looks))
    thickness = _thickness(answers, meat, questions, guess_m=usual_thickness_m(known, mass / count))
    return Understood(
        recipe=recipe,
        ingredients=ingredients,
        meat_index=meat.index,
        cut=known.cut_id,
        mass_kg=mass,
        count=count,
        thickness_m=thickness,
        bone=meat.bone if answers.bone is None else answers.bone,
        cooking=cooking,
        texture=texture,
        plates=read_plates(recipe),
        questions=tuple(questions),
        unread=tuple(item.index for item in ingredients if item.kind == "unknown"),
    )


def _in_doubt(meat: Meat) -> RecipeError:
    """Another animal, or two meats: nothing is cooked on a guess. The recipe itself stays."""
    said = "”, “".join(item.text[:80] for item in meat.others[:2])
    if meat.cut is None:
        return RecipeError("out_of_scope", "cut", meat=said)
    return RecipeError("two_meats", "cut", meat=meat.text[:80], other=said)


def _known_cut(cut: str) -> Cut:
    try:
        return cut_by_id(cut)
    except WishError as error:
        raise RecipeError.of(error, "cut") from None


def _ask_cut(family: str, guess: str) -> Question:
    options = tuple((cut.cut_id, cut.name) for cut in cuts().values() if cut.family == family)
    return Question("cut", "Which cut is it?", guess, options)


def _pieces(cut_id: str) -> int:
    return 12 if cut_id in {"short_ribs_english", "flanken", "wings", "rib_pieces"} else 1


def _mass(answers: Answers, meat: Meat, cut: str, count: int, questions: list[Question]) -> float:
    if answers.mass is not None:
        return _typed(answers.mass, "mass")
    if meat.mass_kg is not None:
        if not meat.mass_sure:
            questions.append(
                Question(
                    "mass",
                    f"What do all pieces weigh together? It says “{meat.text[:80]}”.",
                    show_mass(meat.mass_kg).metric,
                )
            )
        return meat.mass_kg
    guess = usual_mass_kg(cut, meat.count)
    questions.append(Question("mass", "What does the meat weigh?", show_mass(guess).metric))
    return guess


def _typed(text: str, field_name: Literal["mass", "thickness"]) -> float:
    quantity: Literal["mass", "length"] = "mass" if field_name == "mass" else "length"
    try:
        return parse_measure(text, quantity, field_name)
    except WishError as error:
        raise RecipeError.of(error, field_name) from None


_PIECE_KG: dict[str, float] = {
    "short_ribs_english": 0.2,
    "short_ribs_boneless": 0.15,
    "flanken": 0.2,
    "wings": 0.05,
    "rib_pieces": 0.03,
}
"""What one of them usually weighs. Common practice."""


def _fitting(meat: Meat, cut: str, mass_kg: float, count: int) -> int:
    """How many pieces: as read, from the size of cubes, or from what one usually weighs."""
    if meat.count is not None and meat.count > 1:
        return min(meat.count, MAX_COUNT)
    cubes = meat.thickness_m is not None and cut.endswith(("boneless", "point"))
    if cubes and meat.thickness_m is not None and meat.thickness_m <= CUBE_M:
        return _bounded(mass_kg / (DENSITY_KG_M3 * meat.thickness_m**3))
    if cut in _PIECE_KG:
        return _bounded(mass_kg / _PIECE_KG[cut])
    return min(max(count, 1), MAX_COUNT)


CUBE_M = 0.055
"""Boneless meat this thin in a recipe is cut in cubes. Judgement."""
DENSITY_KG_M3 = 1050.0


def _bounded(pieces: float) -> int:
    return min(max(round(pieces), 1), MAX_COUNT)


def _cooking(read: Cooking, answers: Answers, questions: list[Question]) -> Cooking:
    method = answers.method or read.method
    if method is None:
        words = tuple((key, METHOD_WORDS[key]) for key in METHODS)
        questions.append(Question("method", "How was it cooked?", "not said", words))
    if answers.method_minutes is not None:
        low = high = 60.0 * answers.method_minutes
    elif read.low_s is not None and read.high_s is not None:
        low, high = read.low_s, read.high_s
    else:
        if method is not None:
            questions.append(
                Question("method_minutes", "How many minutes did that take?", "not said")
            )
        return Cooking(method, None, None, read.temp_c, read.gauge_pa, read.steps)
    return Cooking(method, low, high, read.temp_c, read.gauge_pa, read.steps)


METHOD_WORDS: dict[Method, str] = {
    "smoker": "in a smoker",
    "oven_lid": "in the oven, covered",
    "oven_open": "in the oven, open",
    "slow_low": "in a slow cooker on low",
    "slow_high": "in a slow cooker on high",
    "grill": "on the grill",
    "stovetop_pressure": "in a stovetop pressure cooker",
    "pressure": "in an electric pressure cooker",
    "simmer": "simmered on the stove",
}


def _ask_texture(guess: Texture, looks: dict[Texture, str]) -> Question:
    options = tuple((texture, looks[texture]) for texture in TEXTURES)
    return Question("texture", "How soft should it get?", looks[guess], options)


def _thickness(
    answers: Answers, meat: Meat, questions: list[Question], *, guess_m: float
) -> float | None:
    if answers.thickness is not None:
        return _typed(answers.thickness, "thickness")
    if meat.thickness_m is not None:
        return meat.thickness_m
    questions.append(
        Question(
            "thickness",
            "How thick is a piece, the shortest way through?",
            show_length(guess_m).metric,
        )
    )
    return None
